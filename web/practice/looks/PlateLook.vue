<script setup lang="ts">
import { computed, useId } from 'vue';
import { atHour, blend, roughRing } from './drawing.ts';

/**
 * The closed plate in its bore by the light of a lamp. What lies on it stays where it is when the lamp goes round; a
 * shadow goes with it. The drawing is the same for a film and for coke but for how far it reaches and how dark it is.
 */
const props = defineProps<{
  /** 0 metal to 1 coke. */
  cover: number;
  /** The hour at which something lies; null for nothing. */
  object: number | null;
  /** 0 dry to 1 wet. */
  oil: number;
  lamp: number;
}>();
const id = useId();
const BORE = 100;
const PLATE = 92;
/** Outermost crust reaches so far in from the rim. */
const REACH = 34;

const crust = computed(() => {
  const reach = props.cover * REACH;
  // Dirt hangs below the breather: heavier towards four and eight.
  return `M-${BORE} -${BORE}H${BORE}V${BORE}H-${BORE}Z${roughRing(
    (share) => PLATE - reach * (0.75 + 0.25 * Math.cos((share - 0.5) * 4 * Math.PI)),
    props.cover * 3.4,
    41,
  )}`;
});
const dark = computed(() => blend([150, 128, 84], [18, 13, 8], props.cover * 1.15));
const spots = computed(() => {
  const shadow = atHour((props.lamp + 7) % 12, 58);
  return { shadow, object: props.object === null ? null : atHour(props.object, 62) };
});
/** Away from the lamp. */
const cast = computed(() => atHour((props.lamp + 6) % 12, 7));
const light = computed(() => atHour(props.lamp, 55));
const words = computed(() => {
  const hours = [...new Set([(props.lamp + 7) % 12, ...(props.object === null ? [] : [props.object % 12])])]
    .map((hour) => (hour === 0 ? 12 : hour))
    .sort((a, b) => a - b);
  const reach = Math.round(props.cover * 10);
  return `The plate, closed, lamp at ${props.lamp === 0 ? 12 : props.lamp}. From the rim inwards it is ${
    reach < 2 ? 'bright' : `darker over ${reach} tenths of the way to where crust can reach`
  }${props.oil > 0.5 ? ', and it shines' : ''}. A dark spot at ${hours.join(' and at ')}.`;
});
</script>

<template>
  <svg viewBox="-122 -122 244 244" role="img" :aria-label="words" class="mx-auto block w-full max-w-[300px]">
    <defs>
      <radialGradient :id="`${id}-metal`" :cx="light[0]" :cy="light[1]" r="150" gradientUnits="userSpaceOnUse">
        <stop offset="0" stop-color="#f3e6bd" />
        <stop offset="0.45" stop-color="#c9b887" />
        <stop offset="1" stop-color="#7d7152" />
      </radialGradient>
      <radialGradient :id="`${id}-shadow`">
        <stop offset="0" stop-color="#000" stop-opacity="0.75" />
        <stop offset="1" stop-color="#000" stop-opacity="0" />
      </radialGradient>
      <clipPath :id="`${id}-plate`"><circle :r="PLATE" /></clipPath>
    </defs>
    <circle r="118" fill="#0c1011" />
    <circle :r="BORE" fill="#3d4240" stroke="#8b9390" stroke-width="3" />
    <circle :r="PLATE" :fill="`url(#${id}-metal)`" />
    <g :clip-path="`url(#${id}-plate)`">
      <path :d="crust" fill-rule="evenodd" :fill="dark" :opacity="0.25 + 0.75 * Math.min(1, cover * 1.3)" />
      <g v-if="oil > 0.3">
        <path
          v-for="run in 5"
          :key="run"
          :d="`M${-60 + run * 20} ${-40 + ((run * 37) % 50)}q4 22 -2 ${34 + run * 5}`"
          fill="none"
          stroke="#2d2413"
          stroke-width="5"
          stroke-linecap="round"
          :opacity="oil * 0.7"
        />
        <ellipse :cx="light[0] * 0.5" :cy="light[1] * 0.5" rx="26" ry="14" fill="#fff" :opacity="oil * 0.22" />
      </g>
      <ellipse
        :cx="spots.shadow[0]"
        :cy="spots.shadow[1]"
        rx="17"
        ry="11"
        :fill="`url(#${id}-shadow)`"
        data-testid="shadow"
      />
      <g v-if="spots.object" data-testid="object">
        <ellipse
          :cx="spots.object[0] + cast[0]"
          :cy="spots.object[1] + cast[1]"
          rx="13"
          ry="9"
          fill="#000"
          opacity="0.35"
        />
        <ellipse
          :cx="spots.object[0]"
          :cy="spots.object[1]"
          rx="11"
          ry="7.5"
          fill="#2a2015"
          stroke="#4b3b25"
          stroke-width="1.5"
          :transform="`rotate(28 ${spots.object[0]} ${spots.object[1]})`"
        />
      </g>
    </g>
    <rect x="-90" y="-9" width="180" height="14" rx="2" fill="#6c726e" stroke="#3b403d" />
    <g v-for="x in [-34, 34]" :key="x" :transform="`translate(${x} -2)`">
      <circle r="7" fill="#a39a80" stroke="#4a4636" />
      <path d="M-4 -4L4 4M4 -4L-4 4" stroke="#4a4636" stroke-width="1.6" />
    </g>
    <circle :r="PLATE" fill="none" stroke="#15110b" stroke-width="1" opacity="0.6" />
    <g class="fill-soft" font-size="9" text-anchor="middle" aria-hidden="true">
      <text v-for="hour in 12" :key="hour" :x="atHour(hour, 110)[0]" :y="atHour(hour, 110)[1] + 3" fill="#b9c0bb">
        {{ hour }}
      </text>
    </g>
    <circle
      :cx="atHour(lamp, 110)[0]"
      :cy="atHour(lamp, 110)[1]"
      r="9"
      fill="#f5dc8c"
      stroke="#8a6a1f"
      stroke-width="1.5"
    />
  </svg>
</template>
