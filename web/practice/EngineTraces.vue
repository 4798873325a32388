<script setup lang="ts">
import { computed } from 'vue';
import type { EngineShown } from '../../contract/index.ts';
import type { FamilyFigures } from '../../core/vehicle/index.ts';
import { type EngineSample, SHOWN_S } from './useEngine.ts';

/** Speed and what drives the idle over the last seconds, each with its band of the book. */
const props = defineProps<{
  samples: readonly EngineSample[];
  shown: EngineShown | null;
  figures: Pick<FamilyFigures, 'idleRpm' | 'valveDuty'>;
  /** With the key off nothing is driven, and nothing is shown of it. */
  isOff: boolean;
}>();
const WIDTH = 240;
const HEIGHT = 64;
/** Labels nearer than this would lie on one another, % of the height. */
const LABEL_APART = 26;

interface Trace {
  readonly name: string;
  readonly points: string;
  /** Where the ends of the band are written, % from the top: never on one another. */
  readonly labels: { readonly high: number; readonly low: number };
  readonly band: { readonly y: number; readonly height: number; readonly low: string; readonly high: string } | null;
}
function traceOf(
  name: string,
  read: (sample: EngineSample) => number | null,
  band: { readonly low: number; readonly high: number } | null,
): Trace {
  const { samples } = props;
  const last = samples.at(-1)?.at ?? 0;
  const values = samples.flatMap((each) => read(each) ?? []);
  const low = Math.min(...values, band?.low ?? Infinity);
  const high = Math.max(...values, band?.high ?? -Infinity);
  const reach = Math.max(1, high - low) * 1.15;
  const bottom = low - Math.max(1, high - low) * 0.08;
  const y = (value: number): number => HEIGHT - ((value - bottom) / reach) * HEIGHT;
  const [top, foot] = band === null ? [0, 100] : [(y(band.high) / HEIGHT) * 100, (y(band.low) / HEIGHT) * 100];
  const apart = Math.max(0, LABEL_APART - (foot - top)) / 2;
  return {
    name,
    labels: { high: Math.max(10, top - apart), low: Math.max(10 + LABEL_APART, Math.min(92, foot + apart)) },
    points: samples
      .flatMap((each) => {
        const value = read(each);
        return value === null
          ? []
          : [`${(WIDTH - ((last - each.at) / SHOWN_S) * WIDTH).toFixed(1)},${y(value).toFixed(1)}`];
      })
      .join(' '),
    band:
      band === null
        ? null
        : {
            y: y(band.high),
            height: Math.max(2, y(band.low) - y(band.high)),
            low: String(band.low),
            high: String(band.high),
          },
  };
}
const traces = computed(() => [
  traceOf('Speed, rpm', ({ rpm }) => rpm, props.figures.idleRpm),
  ...(props.samples.some(({ drive }) => drive !== null)
    ? [
        traceOf(
          props.figures.valveDuty === null ? 'Plate, °' : 'Valve, %',
          ({ drive }) => drive,
          props.figures.valveDuty,
        ),
      ]
    : []),
]);
</script>

<template>
  <div>
    <p class="flex items-baseline gap-4 whitespace-nowrap">
      <span
        ><b class="text-figure-sm leading-none tabular-nums">{{ shown?.rpm ?? 0 }}</b>
        <span class="text-sm text-soft">rpm</span></span
      >
      <span
        ><b class="text-figure-sm leading-none tabular-nums">{{
          shown?.drive == null || isOff ? '–' : shown.drive.toFixed(1)
        }}</b>
        <span class="text-sm text-soft">{{ figures.valveDuty === null ? '°' : '%' }}</span></span
      >
      <span
        ><b class="text-figure-sm leading-none tabular-nums">{{ shown?.coolantC ?? '–' }}</b>
        <span class="text-sm text-soft">°C</span></span
      >
    </p>
    <figure v-for="trace in traces" :key="trace.name" class="mt-2">
      <figcaption class="text-sm font-bold">{{ trace.name }}</figcaption>
      <div class="grid grid-cols-[2.6rem_minmax(0,1fr)] gap-2">
        <p class="relative text-right text-sm font-bold leading-none tabular-nums text-moss">
          <template v-if="trace.band">
            <span class="absolute right-0 -translate-y-1/2" :style="{ top: `${trace.labels.high}%` }">{{
              trace.band.high
            }}</span>
            <span class="absolute right-0 -translate-y-1/2" :style="{ top: `${trace.labels.low}%` }">{{
              trace.band.low
            }}</span>
          </template>
        </p>
        <svg :viewBox="`0 0 ${WIDTH} ${HEIGHT}`" preserveAspectRatio="none" class="h-16 w-full" aria-hidden="true">
          <rect
            v-if="trace.band"
            x="0"
            :y="trace.band.y"
            :width="WIDTH"
            :height="trace.band.height"
            class="fill-moss opacity-20"
          />
          <polyline
            :points="trace.points"
            fill="none"
            class="stroke-bottle"
            stroke-width="2"
            vector-effect="non-scaling-stroke"
          />
        </svg>
      </div>
    </figure>
    <p class="text-right text-xs text-soft">the last {{ SHOWN_S }} s</p>
  </div>
</template>
