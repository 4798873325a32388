<script setup lang="ts">
import { computed, onMounted, reactive, ref } from 'vue';
import { type InstrumentInfo, type Mood, MOODS } from '../../contract/index.ts';
import { INSTRUMENT_KINDS } from '../../core/instruments/index.ts';
import { upperFirst } from '../../core/words/index.ts';
import { pairInstrument, setInstrument } from '../data/instruments.ts';
import TextField from '../parts/TextField.vue';
import { useShop } from '../stores/shop.ts';
import { stationId } from './station.ts';
import { useInstruments } from './useInstruments.ts';

/** Instruments of the bench: which of them this station takes figures from. */
const instruments = useInstruments();
const shop = useShop();
const problem = ref('');
const shows = reactive<Record<string, string>>({});
const moods = reactive<Record<string, Mood>>({});
onMounted(() => void instruments.refresh());
const own = stationId();
const open = ref<string | null>(null);
const where = computed(
  () =>
    ({ station }: InstrumentInfo): string =>
      station === null ? 'with no station' : station === own ? 'with this station' : 'with another station',
);
async function attempt(work: () => Promise<unknown>): Promise<void> {
  problem.value = '';
  try {
    await work();
    await instruments.refresh();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
const pair = ({ id, station }: InstrumentInfo): Promise<void> =>
  attempt(() => pairInstrument(id, station === own ? null : own));
const WORD = /^(.*?)\s*([^\d\s.,-]+)?$/;
function show({ id, unit }: InstrumentInfo): Promise<void> {
  const [, figures = '', typed] = WORD.exec((shows[id] ?? '').trim()) ?? [];
  const values = figures.split(/\s+/).map((each) => Number(each.replace(',', '.').replace('−', '-')));
  if (values.length === 0 || values.some((value) => !Number.isFinite(value)) || figures === '') {
    problem.value = 'Expected a figure and its unit, such as 9.1 N·m.';
    return Promise.resolve();
  }
  return attempt(() => setInstrument(id, values, typed ?? unit, moods[id] ?? 'steady'));
}
const MOOD: Readonly<Record<Mood, string>> = {
  steady: 'steady',
  noisy: 'noisy',
  overload: 'over its range',
  unplugged: 'unplugged',
};
</script>

<template>
  <div class="max-w-5xl">
    <p class="max-w-prose text-soft">
      A field that wants such a figure offers to take it from here. What an instrument shows goes to the station that it
      is paired with, and to no other.
    </p>
    <p v-if="problem || instruments.problem" class="mt-2 font-semibold text-alarm" role="alert">
      {{ problem || instruments.problem }}
    </p>
    <ul class="rows mt-3 border-y border-line">
      <li v-for="each in instruments.all" :key="each.id" class="flex flex-wrap items-center gap-x-4 gap-y-2 py-2.5">
        <span class="min-w-56 flex-1"
          ><span class="block font-semibold">{{ each.name }}</span>
          <span class="block text-sm text-soft"
            >{{ upperFirst(INSTRUMENT_KINDS[each.kind].name) }}, {{ each.low }} to {{ each.high }} {{ each.unit }};
            {{
              each.calibratedOn === null ? 'no calibration is known' : `calibrated ${shop.say.day(each.calibratedOn)}`
            }}</span
          ></span
        >
        <span class="text-sm" :class="each.station === own ? 'font-bold text-moss' : 'text-soft'">{{
          where(each)
        }}</span>
        <button type="button" class="quiet" @click="pair(each)">
          {{ each.station === own ? 'Let go' : 'Pair with this station' }}
        </button>
        <button
          v-if="each.simulated"
          type="button"
          class="quiet"
          :aria-expanded="open === each.id"
          @click="open = open === each.id ? null : each.id"
        >
          What it shows
        </button>
        <form v-if="open === each.id" class="flex w-full flex-wrap items-end gap-3" @submit.prevent="show(each)">
          <TextField
            :model-value="shows[each.id] ?? ''"
            class="w-56"
            label="It shows"
            :placeholder="`9.1 ${each.unit}`"
            @update:model-value="shows[each.id] = $event"
          />
          <label class="block"
            ><span class="mb-1 block text-sm font-semibold">and is</span>
            <select v-model="moods[each.id]" class="input">
              <option v-for="mood in MOODS" :key="mood" :value="mood">{{ MOOD[mood] }}</option>
            </select></label
          >
          <button type="submit" class="quiet">Set the stand-in</button>
        </form>
      </li>
    </ul>
  </div>
</template>
