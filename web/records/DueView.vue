<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import type { DueLine, DueReply } from '../../contract/index.ts';
import { addDays, daysBetween } from '../../core/days/index.ts';
import { dueMessage } from '../../core/visits/index.ts';
import { ApiError } from '../data/api.ts';
import { answerDue, readDue } from '../data/years.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import TextField from '../parts/TextField.vue';
import { useShop } from '../stores/shop.ts';
import DueBand from './DueBand.vue';
import RecordsNav from './RecordsNav.vue';
import { dueWhy, dueWords } from './dueWords.ts';

/** Which vehicles are due, with a band and why; what to have on the shelf for them; and what becomes of each. */
const shop = useShop();
const WEEKS = [
  { id: '4', name: '4 weeks' },
  { id: '8', name: '8 weeks' },
  { id: '26', name: 'half a year' },
  { id: '104', name: 'two years' },
] as const;
const weeks = ref<(typeof WEEKS)[number]['id'] | null>('8');
const due = shallowRef<DueReply | null>(null);
const failed = ref('');
const chosen = ref('');
const until = ref('');
const note = ref('');
const problems = ref<Readonly<Record<string, string>>>({});
const copied = ref(false);
async function load(): Promise<void> {
  try {
    due.value = await readDue(Number(weeks.value ?? '8'));
    failed.value = '';
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
watch(weeks, load, { immediate: true });

const today = computed(() => due.value?.today ?? '');
/** The drawn time: from a month ago to where the last of them is surely due, but no farther than needed. */
const span = computed(() => {
  const rows = due.value?.rows ?? [];
  const from = rows.reduce(
    (first, { lowOn }) => (lowOn < first ? lowOn : first),
    addDays(today.value || '2026-01-01', -30),
  );
  const to = rows.reduce(
    (last, { highOn }) => (highOn > last ? highOn : last),
    addDays(today.value || '2026-01-01', 120),
  );
  return { from, days: Math.max(1, daysBetween(from, to)) };
});
const row = computed(() => due.value?.rows.find(({ vehicleId }) => vehicleId === chosen.value) ?? null);
const message = computed(() =>
  row.value === null ? '' : dueMessage(row.value, row.value, shop.say, shop.settings.shopName),
);
function choose(vehicleId: string): void {
  chosen.value = chosen.value === vehicleId ? '' : vehicleId;
  until.value = note.value = '';
  problems.value = {};
  copied.value = false;
}
async function answer(line: DueLine, said: 'put-off' | 'not-wanted' | 'told' | null): Promise<void> {
  problems.value = {};
  try {
    await answerDue(line.vehicleId, {
      answer: said,
      until: said === 'put-off' ? until.value || null : null,
      note: note.value,
    });
    await load();
  } catch (error) {
    problems.value = error instanceof ApiError ? error.fields : {};
    failed.value = Object.keys(problems.value).length > 0 ? '' : error instanceof Error ? error.message : String(error);
  }
}
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(message.value).then(
    () => (copied.value = true),
    () => (copied.value = false),
  );
}
const answerWords = ({ answer: said }: DueLine): string => {
  if (said === null) return '';
  const who = `${shop.firstName(said.by)}, ${shop.say.nearDay(shop.say.isoDay(said.at))}`;
  if (said.answer === 'put-off') return `put off until ${shop.say.nearDay(said.until ?? '')} (${who})`;
  return said.answer === 'told' ? `customer told (${who})` : `not wanted (${who})`;
};
</script>

<template>
  <div class="grid h-full overflow-y-auto lg:grid-cols-[minmax(0,1fr)_312px]">
    <section class="min-w-0 px-4 pb-6 pt-5 md:px-7" aria-labelledby="due-title">
      <RecordsNav />
      <div class="mt-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
        <h1 id="due-title" class="text-title">Due</h1>
        <ChoiceRow v-model="weeks" label="Within" hide-label :options="WEEKS" />
      </div>
      <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
      <template v-if="due">
        <p class="mt-1 text-soft">
          {{ due.rows.length === 0 ? 'Nothing is due in that time.' : '' }}
          {{
            due.later === 0
              ? due.rows.length === 0
                ? 'A vehicle is in this list once it was cleaned here or its deposit was graded.'
                : 'No other vehicle has been looked at.'
              : `${due.later} more ${due.later === 1 ? 'is' : 'are'} due later.`
          }}
        </p>
        <ul class="rows mt-4 border-y border-line" aria-label="Vehicles that are due">
          <li v-for="line in due.rows" :key="line.vehicleId">
            <button
              type="button"
              class="grid w-full gap-x-5 gap-y-1 py-3 text-left sm:grid-cols-[11rem_minmax(0,1fr)]"
              :class="chosen === line.vehicleId ? 'bg-card' : ''"
              :aria-expanded="chosen === line.vehicleId"
              @click="choose(line.vehicleId)"
            >
              <span>
                <span class="block text-action font-bold leading-tight">{{ line.plate }}</span>
                <span class="block text-fine text-soft">{{ [line.name, line.owner].filter(Boolean).join(', ') }}</span>
              </span>
              <span class="min-w-0">
                <DueBand :line="line" :span="span" :today="today" />
                <span class="mt-0.5 flex flex-wrap justify-between gap-x-4 text-note">
                  <span class="font-semibold" :class="line.likelyOn < today ? 'text-oxide' : ''">{{
                    dueWords(line, today)
                  }}</span>
                  <span class="text-soft">{{
                    line.openJob ? `job ${line.openJob.number} is open` : answerWords(line)
                  }}</span>
                </span>
              </span>
            </button>
            <div v-if="chosen === line.vehicleId" class="grid gap-4 bg-card px-3 pb-4 sm:grid-cols-2">
              <div>
                <p class="text-note">{{ dueWhy(line, shop.say) }}</p>
                <p class="mt-2 flex flex-wrap gap-x-5">
                  <RouterLink class="link" :to="`/jobs/${line.lastJobId}`">The last visit</RouterLink>
                  <RouterLink class="link" :to="`/vehicles/${line.vehicleId}`">The vehicle</RouterLink>
                </p>
                <RouterLink v-if="line.openJob" class="primary mt-3 inline-flex!" :to="`/jobs/${line.openJob.jobId}`"
                  >Job {{ line.openJob.number }} <span aria-hidden="true">→</span></RouterLink
                >
                <RouterLink
                  v-else
                  class="primary mt-3 inline-flex!"
                  :to="`/vehicles/${line.vehicleId}/new-job?planned=service`"
                  >Open a planned job <span aria-hidden="true">→</span></RouterLink
                >
              </div>
              <div class="grid content-start gap-3">
                <p class="whitespace-pre-line border border-line bg-paper p-3 text-note">{{ message }}</p>
                <div class="flex flex-wrap gap-2">
                  <button type="button" class="quiet" @click="copy">
                    {{ copied ? 'Copied' : 'Copy the message' }}
                  </button>
                  <button type="button" class="quiet" @click="answer(line, 'told')">The customer was told</button>
                </div>
                <form class="grid grid-cols-[auto_1fr] items-end gap-2" @submit.prevent="answer(line, 'put-off')">
                  <label class="block"
                    ><span class="mb-1 block text-sm font-semibold">Put off until</span
                    ><input v-model="until" type="date" class="input" :min="today"
                  /></label>
                  <TextField v-model="note" label="Because" placeholder="after the harvest" :error="problems.note" />
                  <p v-if="problems.until" class="col-span-2 font-semibold text-alarm" role="alert">
                    {{ problems.until }}
                  </p>
                  <div class="col-span-2 flex flex-wrap gap-2">
                    <button type="submit" class="quiet">Put it off</button>
                    <button type="button" class="quiet" @click="answer(line, 'not-wanted')">Not wanted</button>
                    <button v-if="line.answer" type="button" class="faint" @click="answer(line, null)">
                      Take back what was said
                    </button>
                  </div>
                </form>
              </div>
            </div>
          </li>
        </ul>
      </template>
    </section>
    <aside
      class="border-t border-line bg-card px-4 py-6 md:px-6 lg:border-l lg:border-t-0"
      aria-label="On the shelf for it"
    >
      <h2 class="text-xl">On the shelf for it</h2>
      <p class="text-soft">What was renewed on these vehicles the last time.</p>
      <ul v-if="due && due.shelf.length > 0" class="rows mt-3 border-y border-line">
        <li v-for="part in due.shelf" :key="part.partNumber" class="flex justify-between gap-3 py-2">
          <span
            ><span class="block font-semibold leading-snug">{{ part.name }}</span
            ><span class="code text-fine text-soft">{{ part.partNumber }}</span></span
          >
          <span class="text-right"
            ><span class="figure block text-lg">{{ part.quantity }}</span
            ><span
              class="text-fine"
              :class="part.inStock !== null && part.inStock >= part.quantity ? 'text-moss' : 'text-oxide'"
              >{{ part.inStock === null ? 'not in stock' : `${part.inStock} there` }}</span
            ></span
          >
        </li>
      </ul>
      <p v-else-if="due" class="mt-3 text-soft">Nothing that is known by number.</p>
      <p class="mt-6 text-fine text-soft">
        The bar is the time in which 8 of 10 such vehicles come to be due; the mark in it is the likeliest day. A bar
        that is dashed goes by the house interval alone: no vehicle of that kind was seen twice.
      </p>
    </aside>
  </div>
</template>
