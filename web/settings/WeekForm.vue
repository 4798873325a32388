<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { ApiError } from '../data/api.ts';
import { dropAbsence, keepAbsence, keepDayFigures, readDay } from '../data/day.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import TextField from '../parts/TextField.vue';
import { freshId } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';
import type { Absence } from '../../core/bay/index.ts';
import { hoursText, readHours } from './hours.ts';

/** What the day is woven from besides the opening hours: bays, the pause, and who is away when. */
const { mayEdit } = defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const today = useToday();
const bays = ref('');
const pause = ref('');
const absences = ref<readonly Absence[]>([]);
const problems = ref<Readonly<Record<string, string>>>({});
const failed = ref('');
const kept = ref('');
void readDay().then(
  (day) => {
    bays.value = String(day.bays);
    pause.value = day.pause === null ? '' : hoursText(day.pause);
    absences.value = day.absences;
  },
  () => undefined,
);
async function attempt(words: string, work: () => Promise<void>): Promise<void> {
  problems.value = {};
  failed.value = kept.value = '';
  try {
    await work();
    kept.value = words;
  } catch (error) {
    problems.value = error instanceof ApiError ? error.fields : {};
    failed.value = Object.keys(problems.value).length > 0 ? '' : error instanceof Error ? error.message : String(error);
  }
}
async function keepFigures(): Promise<void> {
  const read = readHours(pause.value);
  if ('problem' in read) {
    problems.value = { 'figures.pause': `${read.problem.replace(', or closed', '')} Leave it empty for none.` };
    return;
  }
  await attempt('Kept.', async () => {
    const figures = { bays: Number(bays.value), pause: read.hours };
    await keepDayFigures(figures);
  });
}

/** No id of a person: those have no colon. */
const EVERYBODY = ':everybody';
const who = ref<string | null>(null);
const from = ref('');
const to = ref('');
const part = ref<Absence['part'] | null>('day');
const why = ref('');
watch(from, (day) => {
  if (to.value < day) to.value = day;
});
const people = computed(() => [
  ...shop.here.filter(({ id }) => mayEdit || id === shop.personId).map(({ id, name }) => ({ id, name })),
  ...(mayEdit ? [{ id: EVERYBODY, name: 'Everybody: the shop is shut' }] : []),
]);
const PARTS: readonly { readonly id: Absence['part']; readonly name: string }[] = [
  { id: 'day', name: 'whole days' },
  { id: 'morning', name: 'mornings' },
  { id: 'afternoon', name: 'afternoons' },
];
async function add(): Promise<void> {
  if (who.value === null || from.value === '') {
    problems.value = {
      ...(who.value === null && { 'absence.personId': 'Who is away?' }),
      ...(from.value === '' && { 'absence.from': 'From which day?' }),
    };
    return;
  }
  await attempt('Written down.', async () => {
    const absence = {
      personId: who.value === EVERYBODY ? null : who.value,
      from: from.value,
      to: to.value === '' ? from.value : to.value,
      part: part.value ?? 'day',
      why: why.value,
    };
    absences.value = (await keepAbsence(freshId(), absence)).absences;
    from.value = to.value = why.value = '';
  });
}
const drop = (id: string): Promise<void> =>
  attempt('Taken out.', async () => {
    absences.value = (await dropAbsence(id)).absences;
  });
const words = ({ personId, from: first, to: last, part: which }: Absence): string =>
  `${personId === null ? 'Everybody' : shop.say.person(personId)}: ${which === 'day' ? '' : `${which}${first === last ? '' : 's'}, `}${shop.say.nearDay(first)}${first === last ? '' : ` to ${shop.say.nearDay(last)}`}`;
</script>

<template>
  <section aria-label="The week">
    <h2 class="mb-2 mt-9 text-xl">Bays, pause and absences</h2>
    <form class="grid max-w-3xl gap-4 sm:grid-cols-2" @submit.prevent="keepFigures">
      <TextField v-model="bays" label="Vehicles that stand inside at a time" :error="problems['figures.bays']" />
      <TextField
        v-model="pause"
        label="When nobody works, though it is open"
        placeholder="12:00–12:40"
        :error="problems['figures.pause'] ?? problems['figures.pause.to']"
      />
      <div v-if="mayEdit" class="sm:col-span-2"><button type="submit" class="quiet">Keep them</button></div>
    </form>
    <h3 class="mb-1 mt-5 font-bold">Who is away</h3>
    <ul v-if="absences.length > 0" class="rows max-w-3xl border-y border-line" aria-label="Absences">
      <li v-for="absence in absences" :key="absence.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
        <span class="font-semibold">{{ words(absence) }}</span>
        <span class="text-soft">{{ absence.why }}</span>
        <button
          v-if="mayEdit || absence.personId === shop.personId"
          type="button"
          class="faint ml-auto"
          @click="drop(absence.id)"
        >
          Take out<span class="sr-only">: {{ words(absence) }}</span>
        </button>
      </li>
    </ul>
    <p v-else class="text-soft">Nobody that is written down. Holidays of the shop stand with the opening hours.</p>
    <form class="mt-3 grid max-w-3xl gap-3" @submit.prevent="add">
      <ChoiceRow v-model="who" label="Who" :options="people" />
      <p v-if="problems['absence.personId']" class="font-semibold text-alarm" role="alert">
        {{ problems['absence.personId'] }}
      </p>
      <ChoiceRow v-model="part" label="When" :options="PARTS" />
      <div class="grid gap-3 sm:grid-cols-[auto_auto_1fr]">
        <label class="block"
          ><span class="mb-1 block text-sm font-semibold">From</span
          ><input v-model="from" type="date" class="input" :min="today"
        /></label>
        <label class="block"
          ><span class="mb-1 block text-sm font-semibold">To</span
          ><input v-model="to" type="date" class="input" :min="from || today"
        /></label>
        <TextField v-model="why" label="Why, if it matters" placeholder="course on the mainland" />
      </div>
      <p v-if="problems['absence.from'] || problems['absence.to']" class="font-semibold text-alarm" role="alert">
        {{ problems['absence.from'] ?? problems['absence.to'] }}
      </p>
      <div>
        <button type="submit" class="quiet">Write it down</button>
        <span v-if="kept" class="ml-3 text-soft" role="status">{{ kept }}</span>
      </div>
      <p v-if="failed" class="font-semibold text-alarm" role="alert">{{ failed }}</p>
    </form>
  </section>
</template>
