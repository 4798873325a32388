<script setup lang="ts">
import { computed } from 'vue';
import type { Met } from '../../../core/practice/index.ts';
import { blend, roughRing } from './drawing.ts';

/** A part in the hand, as far gone as it is. */
const props = defineProps<{
  what: Extract<Met, { kind: 'part' }>['what'];
  /** 0 sound to 1 far gone. */ state: number;
}>();

/** A ring in section: round when it is sound, pressed flat as it hardens. */
const section = computed(() => ({ rx: 30 + props.state * 10, ry: 30 - props.state * 16 }));
const rubber = computed(() => blend([44, 48, 47], [92, 84, 70], props.state));
const cracks = computed(() => Math.round(props.state * 7));
const copper = computed(() => blend([214, 178, 96], [70, 130, 104], props.state * 1.2));
/** Teeth that are whole, of those drawn. */
const TEETH = 18;
const worn = computed(() => Math.round(props.state * TEETH));
const toothHeight = (index: number): number => ((index * 7) % TEETH < worn.value ? 13 - props.state * 11 : 13);
const tooth = (index: number): string => {
  const angle = (index / TEETH) * 360;
  return `rotate(${angle})`;
};
const split = computed(() => (props.what === 'hose' && props.state > 0.3 && props.state < 0.95 ? props.state : 0));
const isOff = computed(() => props.what === 'hose' && props.state >= 0.95);
const WORDS = {
  ring: (state: number) =>
    `A ring cut through: ${Math.round(section.value.rx * 2)} wide and ${Math.round(section.value.ry * 2)} high as drawn, ${Math.round(state * 7)} lines across it.`,
  pins: (state: number) => `Pins of a plug: colour ${Math.round(state * 10)} tenths from brass to green.`,
  hose: () =>
    isOff.value
      ? 'A hose and the post it belongs to: they stand apart.'
      : split.value > 0
        ? 'A hose on its post: a dark line along its side.'
        : 'A hose on its post, its side of one colour.',
  gasket: (state: number) => `A gasket from the side: ${Math.round(22 - state * 17)} high as drawn.`,
  gears: () => `A gear of ${TEETH} teeth: ${worn.value} are lower than the rest.`,
  boot: (state: number) =>
    state > 0.4
      ? 'A boot in its groove: its lip runs in, out and in again at the lower left.'
      : 'A boot in its groove: its lip runs round.',
} as const;
const words = computed(() => WORDS[props.what](props.state));
</script>

<template>
  <svg viewBox="-120 -90 240 180" role="img" :aria-label="words" class="mx-auto block w-full max-w-[320px]">
    <rect x="-120" y="-90" width="240" height="180" rx="6" fill="#e9e2d2" />
    <g v-if="what === 'ring'">
      <path d="M-110 34H110V80H-110Z" fill="#a8aca6" />
      <path d="M-52 34V12H52V34" fill="none" stroke="#7c817c" stroke-width="3" />
      <ellipse cx="0" :cy="34 - section.ry" :rx="section.rx" :ry="section.ry" :fill="rubber" stroke="#1c1f1e" />
      <path
        v-for="crack in cracks"
        :key="crack"
        :d="`M${-section.rx + (crack * section.rx * 2) / 8} ${34 - section.ry - section.ry * 0.7}l3 ${section.ry * 0.5}l-3 ${section.ry * 0.4}`"
        fill="none"
        stroke="#14120e"
        stroke-width="1.6"
      />
    </g>
    <g v-else-if="what === 'pins'">
      <rect x="-74" y="-48" width="148" height="96" rx="12" fill="#2b2f2e" stroke="#17191a" stroke-width="3" />
      <g v-for="pin in 6" :key="pin" :transform="`translate(${-50 + ((pin - 1) % 3) * 50} ${pin > 3 ? 22 : -22})`">
        <rect x="-11" y="-13" width="22" height="26" rx="3" fill="#141617" />
        <rect x="-5" y="-10" width="10" height="20" rx="1.5" :fill="copper" />
        <path
          v-if="state > 0.4"
          :d="`M-9 ${6 + (pin % 3)}q4 -${4 + pin} 9 0t8 3v6h-17z`"
          fill="#5fa487"
          :opacity="state * 0.85"
        />
      </g>
    </g>
    <g v-else-if="what === 'hose'">
      <rect x="40" y="-22" width="70" height="44" fill="#a8aca6" />
      <rect x="10" y="-15" width="36" height="30" rx="3" fill="#8d938e" />
      <g :transform="isOff ? 'translate(-34 26) rotate(-14)' : ''">
        <path d="M-112 -24H22V24H-112Z" fill="#2c302f" />
        <path d="M-112 -14H22" stroke="#4b514f" stroke-width="4" />
        <path
          v-if="split > 0"
          :d="`M-70 ${8 - split * 4}q16 ${-10 * split} 34 2t${26 + split * 14} -3`"
          fill="none"
          stroke="#050606"
          :stroke-width="1.5 + split * 3.5"
          stroke-linecap="round"
        />
        <rect v-if="!isOff" x="-6" y="-28" width="10" height="56" rx="2" fill="#b9bcb5" />
      </g>
    </g>
    <g v-else-if="what === 'gasket'">
      <rect x="-104" y="-62" width="208" height="36" fill="#a8aca6" />
      <rect x="-104" :y="-26 + (22 - state * 17)" width="208" height="40" fill="#a8aca6" />
      <path
        :d="`M-96 -26H96V${-26 + 22 - state * 17}H-96Z`"
        :fill="blend([70, 112, 92], [46, 50, 44], state)"
        stroke="#20302a"
      />
      <path
        v-if="state > 0.5"
        :d="`M-20 -26l6 ${(22 - state * 17) / 2}l-8 ${(22 - state * 17) / 2}`"
        stroke="#0d0f0e"
        stroke-width="2"
        fill="none"
      />
    </g>
    <g v-else-if="what === 'gears'">
      <g v-for="index in TEETH" :key="index" :transform="tooth(index)">
        <rect
          x="-6"
          :y="-58 - toothHeight(index)"
          width="12"
          :height="toothHeight(index) + 6"
          rx="1.5"
          fill="#d8cdb0"
          stroke="#7c7460"
        />
      </g>
      <circle r="56" fill="#d8cdb0" stroke="#7c7460" stroke-width="2" />
      <circle r="14" fill="#8d938e" stroke="#4b514f" stroke-width="2" />
    </g>
    <g v-else>
      <circle r="74" fill="#a8aca6" />
      <path :d="roughRing(() => 62, state * 1.2, 7)" fill="none" stroke="#2c302f" stroke-width="16" />
      <path
        v-if="state > 0.4"
        d="M-58 20q14 -4 16 8t-14 14t10 16"
        fill="none"
        stroke="#0f1110"
        stroke-width="11"
        stroke-linecap="round"
      />
      <circle r="52" fill="#1d2120" />
    </g>
  </svg>
</template>
