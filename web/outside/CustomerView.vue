<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import type { ForCustomer } from '../../contract/index.ts';
import { ApiError } from '../data/api.ts';
import { answerLink, type CustomerSays, followLink } from '../data/signIn.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { minorIn } from '../parts/numberIn.ts';
import TextField from '../parts/TextField.vue';
import { wordsOf } from '../sign-in/useComingIn.ts';
import CustomerPageView from '../stages/handover/CustomerPageView.vue';

/** What a customer sees through a link: one thing of one job, to be read and, where it is an estimate, answered. */
const route = useRoute();
const token = String(route.params.token);
const told = shallowRef<ForCustomer | null>(null);
const over = ref('');
const answer = ref<CustomerSays['answer'] | null>(null);
const limit = ref('');
const who = ref('');
const note = ref('');
const fields = ref<Readonly<Record<string, string>>>({});
const wrong = ref('');
const busy = ref(false);
const ANSWERS = [
  { id: 'approved', name: 'Yes, go ahead' },
  { id: 'up to', name: 'Yes, up to a sum' },
  { id: 'declined', name: 'No' },
] as const;

onMounted(async () => {
  try {
    told.value = await followLink(token);
    document.title = `${told.value.plate}, ${told.value.shopName}`;
  } catch (failed) {
    over.value = wordsOf(failed);
  }
});
const estimate = computed(() => told.value?.estimate ?? null);

async function give(): Promise<void> {
  const { value } = told;
  if (value?.estimate == null || answer.value === null) return;
  const limitMinor = answer.value === 'up to' ? minorIn(limit.value, value.currency) : null;
  fields.value = limitMinor !== null && Number.isNaN(limitMinor) ? { limitMinor: 'Expected a sum, such as 120.' } : {};
  if ('limitMinor' in fields.value) return;
  busy.value = true;
  wrong.value = '';
  try {
    const says = { id: value.estimate.id, answer: answer.value, limitMinor, who: who.value, note: note.value };
    told.value = await answerLink(token, says);
  } catch (failed) {
    if (failed instanceof ApiError) fields.value = failed.fields;
    wrong.value = 'who' in fields.value ? '' : wordsOf(failed);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <main class="mx-auto h-full max-w-2xl overflow-y-auto px-5 py-8" data-testid="for-customer">
    <div v-if="over" class="mt-16" role="alert">
      <h1 class="text-title leading-tight">Nothing to see here</h1>
      <p class="mt-3">{{ over }}</p>
    </div>
    <template v-else-if="told">
      <p class="text-note font-bold text-bottle">{{ told.shopName }}</p>
      <h1 class="mt-1 text-title leading-tight">{{ told.plate }}, {{ told.title }}</h1>
      <template v-if="estimate">
        <p class="mt-1 text-soft">{{ estimate.subtitle }}</p>
        <p class="mt-5">{{ estimate.finding }}</p>
        <dl class="rows mt-5 border-y border-line">
          <div v-for="line in estimate.lines" :key="line.words" class="flex justify-between gap-6 py-2">
            <dt>{{ line.words }}</dt>
            <dd class="shrink-0 tabular-nums">{{ line.money }}</dd>
          </div>
        </dl>
        <p class="mt-4 flex flex-wrap items-baseline justify-between gap-4">
          <span class="font-semibold">Between</span>
          <b class="text-3xl tabular-nums leading-tight sm:text-figure-md">{{ estimate.range }}</b>
        </p>
        <p v-if="estimate.note" class="mt-4 border-l-4 border-brass pl-3">{{ estimate.note }}</p>
        <form v-if="estimate.open" class="mt-8 grid gap-4 border-t-2 border-ink pt-5" @submit.prevent="give">
          <ChoiceRow v-model="answer" label="May we go ahead?" :options="ANSWERS" />
          <TextField
            v-if="answer === 'up to'"
            v-model="limit"
            :label="`Up to how much, ${told.currency}?`"
            inputmode="decimal"
            :error="fields.limitMinor"
          />
          <template v-if="answer !== null">
            <TextField v-model="who" label="Your name" :error="fields.who" />
            <TextField v-model="note" label="Anything we should know" :lines="2" :error="fields.note" />
          </template>
          <p v-if="wrong" class="font-semibold text-alarm" role="alert">{{ wrong }}</p>
          <button type="submit" class="primary" :disabled="busy || answer === null">Send this answer</button>
        </form>
        <p v-else class="mt-8 border-t-2 border-ink pt-5 text-lg font-bold" role="status">{{ estimate.answer }}</p>
        <p class="mt-6 text-sm text-soft">{{ estimate.terms }}</p>
      </template>
      <template v-else-if="told.page">
        <CustomerPageView class="mt-5" :page="told.page" />
        <p class="mt-8">
          <a class="link" :href="`/api/for/${token}/sheet.pdf`" target="_blank" rel="noopener">The whole sheet, PDF</a>
        </p>
      </template>
      <p class="mt-8 text-sm text-soft">
        This link shows this one job and nothing else, to whoever has it. It ends by itself.
      </p>
    </template>
    <p v-else class="mt-16 text-soft" role="status">One moment.</p>
  </main>
</template>
