<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref } from 'vue';
import type { JobUnit, Job } from '../../../core/job/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import { judgeClosed, linearity, SWEEP_PERCENT } from '../../../core/rebuild/index.ts';
import { figuresOf, sourceWords } from '../../../core/vehicle/index.ts';
import FigureField from '../../parts/FigureField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** The position sensor set by meter: closed volts judged while the screws are loose, then five openings against a straight line. */
const props = defineProps<{ job: Job; unit: JobUnit }>();
const store = useJob();
const form = useForm();
const typed = ref<string[]>(['', '', '', '', '']);
const band = computed(() => figuresOf(props.job.vehicle, store.family).closedVolts ?? null);
const volts = computed(() =>
  typed.value.map((text) => (text.trim() === '' ? Number.NaN : numberIn(text, FIELDS.sensorVolts))),
);
const closed = computed(() => {
  const [first = Number.NaN] = volts.value;
  return Number.isNaN(first) ? null : judgeClosed(first, band.value);
});
const points = computed(() =>
  volts.value.flatMap((value, index) =>
    Number.isNaN(value) ? [] : [{ percent: SWEEP_PERCENT[index] ?? 0, volts: value }],
  ),
);
const live = computed(() => {
  if (points.value.length < 3) return null;
  try {
    return linearity(points.value);
  } catch {
    return null;
  }
});
const swept = computed(() => props.job.sweeps.filter(({ unit }) => unit === props.unit.id).at(-1) ?? null);
const shown = computed(() => (points.value.length > 1 ? points.value : (swept.value?.points ?? [])));
const x = (percent: number): number => 40 + percent * 2.4;
const y = (value: number): number => 130 - value * 23;
function record(): void {
  if (form.send('sweep-sensor', { id: freshId(), unit: props.unit.id, when: 'after', typed: typed.value }))
    typed.value = ['', '', '', '', ''];
}
const tone = { right: 'text-moss', 'too low': 'text-oxide', 'too high': 'text-oxide', 'no band': 'text-soft' } as const;
</script>

<template>
  <section>
    <h3 class="text-lg">Position sensor by meter</h3>
    <p class="text-note text-soft">
      Key on, plug on, screws just loose. Closed volts
      <template v-if="band">{{ band.low }} to {{ band.high }} V: {{ sourceWords(band) }}.</template
      ><template v-else>: no band is known.</template>
    </p>
    <form class="mt-2 grid items-start gap-5 md:grid-cols-[minmax(0,1fr)_17rem]" @submit.prevent="record">
      <div>
        <div class="grid grid-cols-5 gap-2">
          <FigureField
            v-for="(percent, index) in SWEEP_PERCENT"
            :key="percent"
            :model-value="typed[index] ?? ''"
            :label="percent === 0 ? 'Closed, V' : percent === 100 ? 'Open, V' : `${percent} %, V`"
            :field="FIELDS.sensorVolts"
            :error="form.error(`typed.${index}`) === null ? null : 'Volts?'"
            @update:model-value="typed[index] = $event"
          />
        </div>
        <p v-if="closed" class="mt-2 text-lg font-semibold" :class="tone[closed.verdict]" aria-live="polite">
          {{ closed.words }}
        </p>
        <p v-if="live" class="mt-1" :class="live.good ? 'text-moss' : 'font-semibold text-oxide'">{{ live.words }}</p>
        <p v-if="form.wrong.value" class="mt-1 text-sm font-semibold text-alarm" role="alert">
          {{ form.wrong.value.message }}
        </p>
        <button type="submit" class="quiet mt-3" :disabled="job.status === 'closed'">Record the sweep</button>
        <p v-if="swept" class="mt-2 text-note">
          <span class="text-soft">Recorded: {{ swept.points.map((point) => `${point.volts} V`).join(' · ') }}.</span>
          {{ swept.words }}
        </p>
      </div>
      <svg
        viewBox="0 0 300 156"
        class="h-auto w-full"
        role="img"
        :aria-label="`Volts over the travel, ${shown.length} points`"
      >
        <g font-size="11" fill="var(--soft)">
          <path d="M40 15V130H284" fill="none" stroke="var(--soft)" />
          <text v-for="value in [0, 1, 2, 3, 4, 5]" :key="value" x="33" :y="y(value) + 4" text-anchor="end">
            {{ value }}
          </text>
          <text v-for="percent in SWEEP_PERCENT" :key="percent" :x="x(percent)" y="146" text-anchor="middle">
            {{ percent }}
          </text>
        </g>
        <rect
          v-if="band"
          x="40"
          :y="y(band.high)"
          width="16"
          :height="y(band.low) - y(band.high)"
          fill="var(--moss)"
          opacity="0.4"
        />
        <path
          v-if="shown.length > 1"
          :d="`M${x(shown[0]?.percent ?? 0)} ${y(shown[0]?.volts ?? 0)}L${x(shown.at(-1)?.percent ?? 0)} ${y(shown.at(-1)?.volts ?? 0)}`"
          stroke="var(--soft)"
          stroke-dasharray="4 4"
        />
        <circle
          v-for="point in shown"
          :key="point.percent"
          :cx="x(point.percent)"
          :cy="y(point.volts)"
          r="5"
          fill="var(--bottle)"
        />
      </svg>
    </form>
  </section>
</template>
