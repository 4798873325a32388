<script setup lang="ts">
import { computed, ref } from 'vue';
import TextField from '../../parts/TextField.vue';
import { shareWords, useDiagnosis } from '../diagnosis/useDiagnosis.ts';
import KnowledgeMissing from '../diagnosis/KnowledgeMissing.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import AttemptsBlock from './AttemptsBlock.vue';
import LiveData from '../recordings/LiveData.vue';
import CodesEntry from './CodesEntry.vue';
import ConversationPanel from './ConversationPanel.vue';
import ReadingLine from './ReadingLine.vue';

const { store, diagnosis, nameOf, says } = useDiagnosis();
const form = useForm();
const since = ref(store.job?.since ?? '');
const doneBefore = ref(store.job?.doneBefore ?? '');
const job = computed(() => store.job);
const open = computed(() => job.value?.status === 'open');
const leading = computed(() => diagnosis.value?.ranking.causes.slice(0, 3) ?? []);
/** What the owner said stands once: among what was told, or here in jobs opened before it was weighed at once. */
const lead = computed(() => {
  const { planned = null, told = [], complaint = '' } = job.value ?? {};
  if (planned !== null) return `Planned: ${planned.what}`;
  return told.some(({ id }) => id === 'opening')
    ? 'What the owner said, and what was understood'
    : `The owner said: “${complaint}”`;
});
const began = computed(() => (diagnosis.value?.findings.length ?? 0) > 0);
</script>

<template>
  <StageFrame v-if="job" stage="complaint" title="Complaint" :lead="lead">
    <KnowledgeMissing />
    <p v-if="job.planned !== null" class="mt-3 max-w-prose text-soft">
      No fault is to be found: a quick look at codes and idle is enough. If something is wrong after all, say so.
      <button v-if="open" type="button" class="link" @click="form.send('plan-work', { kind: 'fault', what: '' })">
        There is a fault after all
      </button>
    </p>
    <ConversationPanel v-else id="said" class="mt-5" />
    <p v-if="job.symptoms.length > 0" class="mt-3 text-soft">
      Noted: {{ job.symptoms.map(({ text }) => text).join(', ') }}
    </p>
    <CodesEntry :job="job" />
    <LiveData class="mt-4" :job="job" when="before" :under="{}" />
    <AttemptsBlock :job="job" />
    <h3 class="mb-2 mt-7 text-sm font-bold">Before this</h3>
    <form
      class="grid max-w-2xl gap-3 sm:grid-cols-2"
      @submit.prevent="form.send('tell-history', { since, doneBefore })"
    >
      <TextField v-model="since" label="Since when" placeholder="about a month" />
      <TextField v-model="doneBefore" label="What was done before" placeholder="plugs and leads last year" />
      <button
        v-if="open && (since !== job.since || doneBefore !== job.doneBefore)"
        type="submit"
        class="quiet justify-self-start"
      >
        Keep this
      </button>
    </form>

    <template #why>
      <section aria-label="What it looks like so far" aria-live="polite">
        <p class="text-sm text-soft">{{ began ? 'So far it looks like' : 'Before anything is known' }}</p>
        <ol class="mt-1">
          <li v-for="(cause, index) in leading" :key="cause.id" class="flex items-baseline justify-between gap-3 py-1">
            <span :class="index === 0 && began ? 'text-lg font-bold' : 'text-soft'">{{ nameOf(cause.id) }}</span>
            <span class="figure" :class="index === 0 && began ? 'text-2xl' : 'text-soft'">{{
              cause.standing === 'proved' ? 'seen' : shareWords(cause.share)
            }}</span>
          </li>
        </ol>
        <p v-for="each in diagnosis?.contradictions" :key="each.a.sign" class="mt-2 text-note text-oxide">
          These do not go together: {{ says(each.a) }}, and {{ says(each.b) }}.
        </p>
      </section>
      <ReadingLine :job="job" />
      <p class="text-note text-soft">
        Codes say where the computer looked, not what is broken: write them down before anything is unplugged.
      </p>
    </template>
  </StageFrame>
</template>
