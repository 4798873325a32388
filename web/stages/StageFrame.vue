<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { useRouter } from 'vue-router';
import { CAUTIONS, cautionsFor, nextStage, type Stage, STAGE_NAMES, stageGaps } from '../../core/job/index.ts';
import CautionStack from '../parts/CautionStack.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import TextField from '../parts/TextField.vue';
import { WORLD } from '../data/world.ts';
import { useTypedDraft } from '../forms/typedDraft.ts';
import { useKeys } from '../shell/keys.ts';
import { freshId, useJob } from '../stores/job.ts';
import PutRight from './entries/PutRight.vue';
import StruckLines from './entries/StruckLines.vue';
import RuleLines from './house/RuleLines.vue';
import GapList from './GapList.vue';
import { useForm } from './useForm.ts';
import { useSpot } from './useSpot.ts';

const PracticeAside = defineAsyncComponent(() => import('../practice/PracticeAside.vue'));
const MishapSheet = defineAsyncComponent(() => import('./mishaps/MishapSheet.vue'));
const WriteUpDialog = defineAsyncComponent(() => import('./WriteUpDialog.vue'));

/** Two thirds work, one third why; the way on stands at the foot of the why. */
const props = defineProps<{ stage: Stage; title: string; lead?: string; cautions?: readonly string[] }>();
const store = useJob();
const router = useRouter();
const form = useForm();
/** What was typed of a note stays over leaving, Esc and a reload, until it is kept. */
const typedNote = useTypedDraft(() => `note.${store.id}.${props.stage}`);
const noting = ref(false);
const writing = ref(false);
const mishap = ref(false);

const gaps = computed(() => (store.job === null ? [] : stageGaps(store.job, props.stage)));
const passed = computed(() => store.job?.passed.includes(props.stage) ?? false);
const closed = computed(() => store.job?.status === 'closed');
const next = computed(() => nextStage(props.stage));
const shownCautions = computed(() => [
  ...new Set([
    // What this vehicle calls for is read first.
    ...(store.job === null ? [] : cautionsFor(store.job, props.stage)),
    ...CAUTIONS.filter(({ stages }) => stages.includes(props.stage)).map(({ id }) => id),
    ...(props.cautions ?? []),
  ]),
]);
const notes = computed(() => store.job?.notes.filter(({ stage }) => stage === props.stage) ?? []);

function goOn(): void {
  const { job } = store;
  if (job === null || next.value === null) return;
  if (!passed.value && !closed.value && store.send('pass-stage', { stage: props.stage }) !== null) return;
  void router.push(`/jobs/${job.id}/${next.value}`);
}
function keepNote(): void {
  if (!form.send('make-note', { id: freshId(), stage: props.stage, text: typedNote.value })) return;
  typedNote.value = '';
  noting.value = false;
}
useSpot();
useKeys([{ keys: 'k', does: 'Note', run: () => (noting.value = true) }]);
</script>

<template>
  <div class="grid min-h-full lg:h-full lg:grid-cols-[minmax(0,1fr)_312px] lg:grid-rows-1">
    <section
      class="min-w-0 px-4 py-4 md:px-7 lg:overflow-y-auto lg:contain-content"
      tabindex="0"
      :aria-label="STAGE_NAMES[stage]"
    >
      <slot name="head">
        <h2 class="text-heading">{{ title }}</h2>
        <p v-if="lead" class="mt-1 max-w-prose text-soft">{{ lead }}</p>
      </slot>
      <slot />
    </section>
    <aside
      class="flex flex-col gap-4 border-t border-line bg-card px-4 py-5 md:px-6 lg:overflow-y-auto lg:border-l lg:contain-content lg:border-t-0"
      aria-label="Why"
    >
      <PracticeAside v-if="WORLD.practice !== null" :stage="stage" />
      <slot name="why" />
      <CautionStack :ids="shownCautions" />
      <RuleLines v-if="store.job" :job="store.job" :stage="stage" />
      <div class="mt-auto pt-2">
        <ul v-if="notes.length > 0" class="rows mb-3 border-y border-line text-sm">
          <li v-for="each in notes" :key="each.id" class="py-2">
            {{ each.text }}
            <PutRight :job="store.job!" kind="note-made" :holds="{ id: each.id }" :what="each.text" />
          </li>
        </ul>
        <StruckLines v-if="store.job" class="mb-3" :job="store.job" :kinds="['note-made']" />
        <div v-if="gaps.length > 0 && !closed" class="mb-3 text-sm">
          <p class="font-semibold text-brass">Still open here</p>
          <GapList :job-id="store.job!.id" :gaps="gaps" :first="5" />
        </div>
        <slot name="foot">
          <button
            v-if="next"
            type="button"
            class="w-full"
            :class="gaps.length === 0 || passed ? 'primary' : 'quiet justify-between! min-h-12'"
            @click="goOn"
          >
            {{
              passed || closed
                ? `To ${STAGE_NAMES[next].toLowerCase()}`
                : gaps.length === 0
                  ? `Done, on to ${STAGE_NAMES[next].toLowerCase()}`
                  : `On to ${STAGE_NAMES[next].toLowerCase()} all the same`
            }}
            <span aria-hidden="true">→</span>
          </button>
        </slot>
        <button
          type="button"
          class="mt-2 min-h-9 text-sm font-semibold text-soft underline underline-offset-2"
          @click="noting = true"
        >
          Add a note <kbd class="key ml-1" aria-hidden="true">K</kbd>
        </button>
        <button
          v-if="!closed"
          type="button"
          class="block min-h-9 text-sm font-semibold text-soft underline underline-offset-2"
          @click="writing = true"
        >
          Write up for another time
        </button>
        <button
          type="button"
          class="block min-h-9 text-sm font-semibold text-alarm underline underline-offset-2"
          @click="mishap = true"
        >
          Something went wrong<template v-if="store.job && store.job.mishaps.length > 0"
            >: {{ store.job.mishaps.length }} noted</template
          >
        </button>
      </div>
    </aside>
    <MishapSheet v-if="mishap && store.job" :job="store.job" @close="mishap = false" />
    <WriteUpDialog v-if="writing && store.job" :job="store.job" @close="writing = false" />
    <SheetDialog v-if="noting" :title="`Note at ${STAGE_NAMES[stage].toLowerCase()}`" @close="noting = false">
      <form class="grid gap-3" @submit.prevent="keepNote">
        <TextField v-model="typedNote" label="Note" :lines="4" :error="form.error('text') ?? form.general('text')" />
        <button type="submit" class="primary">Keep the note</button>
      </form>
    </SheetDialog>
  </div>
</template>
