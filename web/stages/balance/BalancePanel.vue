<script setup lang="ts">
import { computed, inject, reactive, ref, watch } from 'vue';
import { type Balance } from '../../../core/balance/index.ts';
import { balanceSeen, bankPlaces, GAUGE_UNITS, type Job } from '../../../core/job/index.ts';
import { convert, FIELDS, format } from '../../../core/quantity/index.ts';
import { KEEPS_TAKEN, useInstruments } from '../../instruments/useInstruments.ts';
import { useListening } from '../../instruments/useListening.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import { useOf } from '../../../core/vehicle/index.ts';
import { freshId, useJob } from '../../stores/job.ts';
import PutRight from '../entries/PutRight.vue';
import { useForm } from '../useForm.ts';

/** How evenly the bodies of a bank draw, before and after, and which screw to turn first. */
const props = defineProps<{ job: Job; when: 'before' | 'after' }>();
const form = useForm();
const store = useJob();
const listed = computed(() => bankPlaces(props.job));
/** How many bodies there are, where the vehicle’s file lists none. */
const count = ref<string | null>(props.job.balances.at(-1)?.bodies.length.toString() ?? null);
const places = computed(() =>
  listed.value.length > 0
    ? listed.value
    : Array.from({ length: Number(count.value ?? 0) }, (_, index) => `cylinder ${index + 1}`),
);
/** Bodies of their own cylinders draw each for itself; two on one plenum do not. */
const applies = computed(
  () =>
    listed.value.length !== 1 &&
    (store.family?.layout === 'per-cylinder' || useOf(props.job.vehicle, store.family) === 'motorcycle'),
);
const unit = ref<(typeof GAUGE_UNITS)[number] | null>(props.job.balances.at(-1)?.unit ?? 'kPa');
const reference = ref(props.job.balances.at(-1)?.reference ?? places.value[0] ?? '');
watch(places, (now) => {
  if (!now.includes(reference.value)) reference.value = now[0] ?? '';
});
const rpm = ref('');
const texts = reactive<Record<string, string>>({});
const seen = computed(() =>
  (['before', 'after'] as const).flatMap((when) => {
    const found = balanceSeen(props.job, when);
    return found === null ? [] : [{ when, ...found }];
  }),
);
const last = computed(() => seen.value.find(({ when }) => when === props.when) ?? null);
const own = (kPa: number, gauge: (typeof GAUGE_UNITS)[number]): string =>
  format({ value: Number(convert(kPa, 'kPa', gauge).toPrecision(3)), unit: gauge });
function advice({ first }: Balance): string {
  if (first === null) return 'Even enough: leave the screws.';
  const way = first.turn === 'open' ? 'open it a little' : 'close it a little';
  return `First the screw of ${first.place}: ${way}, then read all again.`;
}
/** Half of the drawing, kPa: what is farthest off its mean, or the band, on one scale for before and after. */
const reach = computed(
  () =>
    1.15 *
    Math.max(
      ...seen.value.flatMap(({ read, balance }) => [
        read.evenKPa / 2,
        ...read.bodies.map(({ kPa }) => Math.abs(kPa - balance.meanKPa)),
      ]),
      0.5,
    ),
);
const HALF = 52;
const drawn = (kPa: number): number => (kPa / reach.value) * HALF;
/** A gauge with a column for each body gives them all at once. */
const instruments = useInstruments();
instruments.need();
const keepTaken = inject(KEEPS_TAKEN, null);
const heard = useListening();
const gaugeField = computed(() => ({ ...FIELDS.manifoldPressure, assume: unit.value ?? 'kPa' }) as const);
const gauge = computed(() => instruments.here.find(({ kind }) => kind === 'balance-gauge') ?? null);
function takeAll(): void {
  const from = gauge.value;
  if (from === null) return;
  if (heard.standing.value !== null) return heard.end();
  heard.listen(from, gaugeField.value, ({ value, unit: gaugeUnit, all }) => {
    places.value.forEach((place, index) => (texts[place] = all[index] ?? ''));
    keepTaken?.({ label: `Balance ${props.when}`, shown: all.join(' · '), value, unit: gaugeUnit, instrument: from });
  });
}
function record(): void {
  const sent = form.send('measure-balance', {
    id: freshId(),
    when: props.when,
    reference: reference.value,
    unit: unit.value ?? 'kPa',
    bodies: places.value.map((place) => ({ place, text: texts[place] ?? '' })),
    ...(rpm.value.trim() === '' ? {} : { rpmText: rpm.value }),
  });
  if (!sent) return;
  for (const place of places.value) texts[place] = '';
  rpm.value = '';
}
</script>

<template>
  <section v-if="applies" id="balance" aria-label="Balance">
    <h3 class="text-lg">Balance of the bodies</h3>
    <p class="text-note text-soft">
      Suction below the outside air at each body, warm, at idle, the same gauge for all.
    </p>
    <div v-if="seen.length > 0" class="mt-3 flex flex-wrap gap-x-10 gap-y-4">
      <figure v-for="{ when: moment, read, balance } in seen" :key="moment" class="max-w-80 min-w-56">
        <svg
          :width="read.bodies.length * 68 + 8"
          :height="HALF * 2 + 40"
          role="img"
          :aria-label="`${moment}: ${read.bodies.map(({ place, typed }) => `${place} ${typed}`).join(', ')} ${read.unit}`"
        >
          <rect
            x="0"
            :width="read.bodies.length * 68 + 8"
            :y="HALF - drawn(read.evenKPa / 2)"
            :height="2 * drawn(read.evenKPa / 2)"
            class="fill-band"
          />
          <line x1="0" :x2="read.bodies.length * 68 + 8" :y1="HALF" :y2="HALF" class="stroke-line" stroke-width="2" />
          <g v-for="(each, index) in read.bodies" :key="each.place">
            <line
              :x1="index * 68 + 38"
              :x2="index * 68 + 38"
              :y1="HALF"
              :y2="HALF - drawn(each.kPa - balance.meanKPa)"
              stroke-width="14"
              :stroke-dasharray="moment === 'before' ? '4 3' : ''"
              :class="moment === 'before' ? 'stroke-oxide' : 'stroke-bottle'"
            />
            <text :x="index * 68 + 38" :y="HALF * 2 + 14" text-anchor="middle" class="figure fill-ink text-sm">
              {{ each.typed }}
            </text>
            <text :x="index * 68 + 38" :y="HALF * 2 + 32" text-anchor="middle" class="fill-soft text-xs">
              {{ each.place }}
            </text>
          </g>
        </svg>
        <figcaption class="mt-1 text-note">
          <b>{{ moment === 'before' ? 'Before' : 'After' }}</b>, {{ read.unit }}: spread
          <b :class="balance.even ? 'text-moss' : 'text-oxide'"
            >{{ own(balance.spreadKPa, read.unit) }}, {{ balance.even ? 'even' : 'uneven' }}</b
          >, within the band it is even {{ ' '
          }}<PutRight :job="job" kind="balance-measured" :holds="{ id: read.id }" :what="`balance ${moment}`" />
        </figcaption>
      </figure>
    </div>
    <p v-if="last" class="mt-2 font-semibold" :class="last.balance.even ? 'text-moss' : 'text-brass'" role="status">
      {{ advice(last.balance) }}
    </p>
    <form v-if="job.status === 'open'" class="mt-3 grid gap-3" @submit.prevent="record">
      <ChoiceRow
        v-if="listed.length === 0"
        v-model="count"
        label="How many bodies has it?"
        :options="['2', '3', '4', '6'].map((id) => ({ id, name: id }))"
      />
      <ChoiceRow v-model="unit" label="The gauge shows" :options="GAUGE_UNITS.map((id) => ({ id, name: id }))" />
      <div v-if="places.length > 1" class="flex flex-wrap items-start gap-3">
        <FigureField
          v-for="(place, index) in places"
          :key="place"
          v-model="texts[place]!"
          class="w-28"
          one
          :label="place"
          :field="{ ...FIELDS.manifoldPressure, assume: unit ?? 'kPa' }"
          :error="form.error(`bodies.${index}`)"
        />
        <FigureField
          v-model="rpm"
          class="w-28"
          label="At, rpm"
          :field="FIELDS.idleSpeed"
          :error="form.error('rpmText')"
        />
        <label>
          <span class="mb-1 block text-sm font-semibold">Without a screw</span>
          <select v-model="reference" class="input">
            <option v-for="place in places" :key="place" :value="place">{{ place }}</option>
          </select>
        </label>
        <button v-if="gauge" type="button" class="quiet mt-6" @click="takeAll">
          {{ heard.standing.value ? 'Stop listening' : 'Take all from the gauge' }}
        </button>
        <button type="submit" class="quiet mt-6">Record {{ when }}</button>
        <p v-if="heard.standing.value || heard.trouble.value" class="w-full text-sm" role="status">
          {{ heard.trouble.value || heard.showing.value }}
        </p>
      </div>
      <p v-if="form.error('reference')" class="text-sm font-semibold text-alarm">{{ form.error('reference') }}</p>
    </form>
  </section>
</template>
