<script setup lang="ts">
import { numberIn } from '../parts/numberIn.ts';
import { computed, ref } from 'vue';
import {
  type AiringState,
  AIRING_THRESHOLDS,
  isOver,
  NEAR_THE_FACE,
  SAFETY,
  shareWords,
  SUBSTANCES,
  type Substance,
  vapour,
} from '../../core/clean/index.ts';
import { FIELDS } from '../../core/quantity/index.ts';
import CurveChart from '../charts/CurveChart.vue';
import FieldBox from '../parts/FieldBox.vue';
import FigureField from '../parts/FigureField.vue';
import { useAir, useAirLive } from '../stores/air.ts';
import { useNow } from '../stores/clock.ts';
import { useShop } from '../stores/shop.ts';
import { curveOf } from './airCurve.ts';

/** The air of the bay, live from what was weighed out of the cans: its curve, how long to air, and what a can more would do. */
const store = useAir();
const shop = useShop();
const now = useNow(5000);
useAirLive();
const names: Readonly<Record<AiringState, string>> = {
  shut: 'Doors shut',
  door: 'Door open',
  fan: 'Fan on',
  both: 'Door open, fan on',
};
const minute = computed(() => store.minuteOf(now.value));
const state = computed(() => store.air?.at(minute.value) ?? null);
const airing = computed(() => store.air?.airingFrom(minute.value) ?? 0);
const over = computed(() => state.value !== null && isOver(state.value));
const curve = computed(() => (store.air === null ? null : curveOf(store.air, minute.value, airing.value ?? 0)));
const releases = computed(() => [...(store.reply?.releases ?? [])].reverse());

const substance = ref<Substance>('throttle-cleaner');
const grams = ref('60');
const minutes = ref('0');
const volume = ref('');
const room = computed(() => numberIn(volume.value, FIELDS.roomVolume) || (store.reply?.roomM3 ?? 120));
const changes = computed(() => store.reply?.rates[store.reply.state] ?? 0.5);
const trial = computed(() => {
  const [mass, time] = [numberIn(grams.value, FIELDS.canGrams), numberIn(minutes.value, FIELDS.minutes)];
  if (!(mass >= 0 && mass <= 100_000 && time >= 0 && time <= 600 && room.value >= 10)) return null;
  return vapour({
    grams: mass,
    minutes: time,
    roomVolume: room.value,
    airChanges: changes.value,
    substance: substance.value,
  });
});
const safety = computed(() => SAFETY[substance.value]);
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p class="text-sm"><RouterLink class="link" to="/tools">Tools</RouterLink></p>
    <h1 class="text-title">Air in the bay</h1>
    <p v-if="store.failed" class="mt-2 font-semibold text-alarm" role="alert">{{ store.failed }}</p>
    <div class="mt-4 grid gap-x-10 gap-y-7 xl:grid-cols-[minmax(0,1fr)_20rem]">
      <div class="min-w-0">
        <div class="flex flex-wrap items-end gap-x-10 gap-y-4">
          <p v-if="state">
            <span class="figure text-figure-xl" :class="over ? 'text-alarm' : 'text-ink'">{{
              Math.round(state.ppm)
            }}</span>
            <span class="text-lg font-semibold text-soft">ppm now</span>
          </p>
          <p v-if="state" class="max-w-md pb-2">
            Of the exposure limit
            <b :class="state.exposure > AIRING_THRESHOLDS.exposure ? 'text-alarm' : ''">{{
              shareWords(state.exposure)
            }}</b>, of the explosive limit
            <b :class="state.explosive > AIRING_THRESHOLDS.explosive ? 'text-alarm' : ''">{{
              shareWords(state.explosive)
            }}</b>.
            <span v-if="over" class="block font-bold text-alarm">{{
              airing === null
                ? 'With the doors shut it stays: open one.'
                : `Air for ${Math.ceil(airing)} minutes before anyone works here or starts an engine.`
            }}</span>
            <span v-else class="block text-moss">Fit to work in.</span>
          </p>
        </div>
        <div class="mt-4 flex flex-wrap gap-2" role="group" aria-label="How the bay is aired">
          <button
            v-for="(name, key) in names"
            :key="key"
            type="button"
            class="quiet"
            :aria-pressed="store.reply?.state === key"
            @click="store.set(key)"
          >
            {{ name }}<span class="font-normal">{{ store.reply?.rates[key] }}/h</span>
          </button>
        </div>
        <CurveChart v-if="curve" :curve="curve" class="mt-5" />
        <h2 class="mt-5 text-lg">Out of the cans in the last day</h2>
        <ul class="rows mt-1 border-y border-line">
          <li v-for="each in releases" :key="each.at + each.grams" class="flex flex-wrap justify-between gap-x-4 py-2">
            <span
              >{{ SUBSTANCES[each.substance] }}
              <span class="text-soft"
                >at {{ each.plate }}<template v-if="each.minutes">, over {{ each.minutes }} min</template>,
                {{ shop.say.time(each.at) }}</span
              ></span
            ><b>{{ each.grams.toFixed(0) }} g</b>
          </li>
          <li v-if="releases.length === 0" class="py-2 text-soft">
            Nothing was sprayed. Weigh a can at the clean stage of a job and it shows here.
          </li>
        </ul>
      </div>
      <aside class="border-t border-line pt-4 xl:border-l xl:border-t-0 xl:pl-6 xl:pt-0">
        <h2 class="text-lg">What would it do?</h2>
        <FieldBox v-slot="{ id }" label="Cleaner" class="mt-2">
          <select :id="id" v-model="substance" class="input">
            <option v-for="(name, key) in SUBSTANCES" :key="key" :value="key">{{ name }}</option>
          </select>
        </FieldBox>
        <div class="mt-3 grid grid-cols-3 gap-2">
          <FigureField v-model="grams" label="Grams" :field="FIELDS.canGrams" />
          <FigureField v-model="minutes" label="Minutes" :field="FIELDS.minutes" />
          <FigureField
            v-model="volume"
            label="Room, m³"
            :field="FIELDS.roomVolume"
            :placeholder="String(store.reply?.roomM3 ?? '')"
          />
        </div>
        <template v-if="trial">
          <p class="mt-3">
            <span class="figure text-figure-sm">{{ Math.round(trial.peakPpm) }}</span>
            <span class="text-soft">ppm at most</span>
          </p>
          <p class="text-note">
            <template v-if="trial.shareOfExposure !== null"
              >Exposure limit: {{ shareWords(trial.shareOfExposure) }}.
            </template>
            <template v-if="trial.shareOfExplosive !== null"
              >Explosive limit: {{ shareWords(trial.shareOfExplosive) }}.
            </template>
            {{
              trial.airingMinutes === null
                ? 'As it is aired now it never clears.'
                : trial.airingMinutes === 0
                  ? 'No airing needed.'
                  : `${Math.ceil(trial.airingMinutes)} minutes of airing.`
            }}
          </p>
        </template>
        <p v-else class="mt-3 text-sm font-semibold text-alarm" role="alert">
          Expected grams, minutes up to 600 and a room of 10 m³ or more.
        </p>
        <p class="mt-3 text-sm text-soft">
          Well-mixed air; at the face it can be {{ NEAR_THE_FACE }} times as much.
          {{ safety?.source ? `${safety.source}.` : 'This gives no vapour worth counting.' }}
          The product’s own safety sheet comes first.
        </p>
      </aside>
    </div>
  </section>
</template>
