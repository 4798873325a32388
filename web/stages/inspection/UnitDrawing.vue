<script setup lang="ts">
import { computed } from 'vue';
import { isPart, UNIT_FORMS, type UnitForm } from '../../../core/clean/index.ts';
import type { InspectPoint, PointVerdict } from '../../../core/inspect/index.ts';
import { stopAt } from './stops.ts';

/** The unit drawn from its own type, the stops of the walk on it. What is drawn follows the deposit that was found. */
const props = defineProps<{
  form: UnitForm;
  points: readonly InspectPoint[];
  current: string;
  verdicts: Readonly<Record<string, PointVerdict | undefined>>;
  deposit: number;
}>();
defineEmits<{ pick: [id: string] }>();

const drawn = computed(() =>
  props.points.flatMap((point, index) => {
    const at = stopAt(props.form, point.id);
    return at === null ? [] : [{ ...point, number: index + 1, x: at[0], y: at[1], verdict: props.verdicts[point.id] }];
  }),
);
const isValve = computed(() => props.form.endsWith('valve') || props.form === 'actuator');
const bores = computed(() =>
  props.form === 'bank'
    ? [70, 166, 262, 358].map((x) => ({ x, r: 42 }))
    : [{ x: 230, r: props.form === 'diesel-flap' ? 100 : 92 }],
);
const motor = computed(() => props.form === 'electronic' || props.form === 'diesel-flap');
const ink: Readonly<Record<PointVerdict, string>> = {
  good: 'var(--moss)',
  watch: 'var(--brass)',
  bad: 'var(--oxide)',
  noted: 'var(--soft)',
};
const signs: Readonly<Record<PointVerdict, string>> = { good: '✓', watch: '~', bad: '!', noted: '·' };
</script>

<template>
  <svg viewBox="0 0 460 300" class="h-auto w-full" role="group" :aria-label="`${UNIT_FORMS[form]}, stops of the walk`">
    <g fill="none" stroke="var(--soft)" stroke-width="2" stroke-linejoin="round">
      <template v-if="isPart(form)">
        <!-- A length of duct in section, its flange on the left, its neck on the right. -->
        <path d="M92 58h22v34h200l46 26v64l-46 26H114v34H92z" fill="var(--band)" />
        <path d="M92 112h214l30 18v40l-30 18H92z" fill="var(--metal)" />
        <path d="M92 58v184" stroke-width="4" />
      </template>
      <template v-else-if="!isValve">
        <!-- Housing with its flange holes. -->
        <rect
          v-if="form !== 'bank'"
          x="106"
          y="26"
          width="248"
          height="248"
          :rx="form === 'plastic' ? 34 : 16"
          fill="var(--band)"
        />
        <rect v-else x="16" y="86" width="396" height="128" rx="14" fill="var(--band)" />
        <g v-if="form === 'plastic'" stroke-width="1.5" opacity="0.7">
          <path d="M120 70h26M120 104h26M120 196h26M120 230h26M314 70h26M314 230h26" />
        </g>
        <g v-if="form !== 'bank'" fill="var(--card)">
          <circle
            v-for="[x, y] in [
              [126, 46],
              [334, 46],
              [126, 254],
              [334, 254],
            ]"
            :key="`${x}${y}`"
            :cx="x"
            :cy="y"
            r="8"
          />
        </g>
        <g v-for="bore in bores" :key="bore.x">
          <circle :cx="bore.x" cy="150" :r="bore.r" fill="var(--metal)" />
          <circle
            :cx="bore.x"
            cy="150"
            :r="bore.r - 4"
            stroke="var(--coke)"
            :stroke-width="1 + deposit * 2.6"
            :opacity="deposit === 0 ? 0.15 : 0.25 + deposit * 0.14"
          />
          <ellipse
            :cx="bore.x"
            cy="150"
            :rx="bore.r - 7"
            :ry="bore.r - 12"
            fill="color-mix(in srgb, var(--brass) 26%, var(--metal))"
            stroke="var(--brass)"
          />
        </g>
        <path v-if="form === 'bank'" d="M20 150h416" stroke-width="7" stroke="var(--soft)" />
        <path v-else :d="motor ? 'M132 150h222' : 'M92 150h296'" stroke-width="8" />
        <g v-for="bore in bores" :key="`screws${bore.x}`" fill="var(--paper)">
          <circle :cx="bore.x - bore.r * 0.35" cy="150" r="5" />
          <circle :cx="bore.x + bore.r * 0.35" cy="150" r="5" />
        </g>
        <!-- Cable side: pulley, stop screw, dashpot; sensor on the other end. -->
        <g v-if="form === 'cable' || form === 'plastic'">
          <path d="M388 150m-34 0a34 34 0 1 1 34 34l-10-34z" fill="var(--card)" />
          <path d="M388 116h58" stroke-width="3" />
          <path d="M398 190v-14h26m-26 0h-10" stroke-width="4" />
          <rect v-if="form === 'cable'" x="392" y="22" width="52" height="36" rx="8" fill="var(--card)" />
          <path v-if="form === 'cable'" d="M418 58v30" stroke-width="3" />
          <rect x="30" y="146" width="46" height="60" rx="6" fill="var(--card)" />
          <path d="M76 150h18M30 168H12m18 14H12" stroke-width="3" />
        </g>
        <g v-if="form === 'bank'">
          <path d="M424 150m-24 0a24 24 0 1 1 24 24l-8-24z" fill="var(--card)" />
          <path v-for="x in [118, 214, 310]" :key="x" :d="`M${x} 138v24m-6-12h12`" stroke-width="3" />
          <path v-for="bore in bores" :key="`inj${bore.x}`" :d="`M${bore.x} 96V64m-9 0h18m-14 0V48h10v16`" />
        </g>
        <!-- Motor and gears in their case. -->
        <g v-if="motor">
          <path d="M354 70h78a14 14 0 0 1 14 14v158a14 14 0 0 1-14 14h-78z" fill="var(--card)" />
          <rect x="386" y="74" width="56" height="52" rx="8" fill="var(--band)" />
          <circle cx="386" cy="190" r="30" stroke-dasharray="5 4" />
          <circle cx="424" cy="156" r="14" stroke-dasharray="4 3" />
          <path d="M354 150h20" stroke-width="6" />
        </g>
      </template>
      <template v-else-if="form === 'actuator'">
        <rect x="40" y="66" width="280" height="168" rx="18" fill="var(--band)" />
        <circle cx="112" cy="150" r="52" stroke-dasharray="6 5" fill="var(--card)" />
        <circle cx="196" cy="150" r="26" stroke-dasharray="5 4" fill="var(--card)" />
        <circle cx="112" cy="150" r="9" fill="var(--soft)" />
        <path d="M222 150h98" stroke-width="6" />
        <rect x="320" y="96" width="96" height="108" rx="12" fill="var(--card)" />
        <path d="M416 124h24m-24 20h24m-24 20h24" stroke-width="3" />
      </template>
      <template v-else>
        <!-- Port side, what closes it, and what drives it. -->
        <path d="M40 84h150v132H40z" fill="var(--band)" />
        <path d="M40 128h60M40 172h60M110 84V40h42v44" stroke-width="2" />
        <rect x="100" y="118" width="72" height="64" fill="var(--metal)" />
        <rect
          x="100"
          y="118"
          width="72"
          height="64"
          stroke="var(--coke)"
          :stroke-width="1 + deposit * 2.2"
          :opacity="0.2 + deposit * 0.16"
        />
        <path
          v-if="form === 'rotary-valve'"
          d="M136 150m-24 0a24 24 0 0 1 48 0z"
          fill="var(--brass)"
          stroke="var(--brass)"
        />
        <path
          v-else-if="form === 'stepper-valve'"
          d="M168 136l-44 14 44 14z"
          fill="var(--brass)"
          stroke="var(--brass)"
        />
        <path v-else-if="form === 'duty-valve'" d="M128 130h14v40h-14z" fill="var(--brass)" stroke="var(--brass)" />
        <path v-else d="M124 140h30v20h-30z" fill="var(--brass)" stroke="var(--brass)" />
        <path d="M160 150h60" stroke-width="6" />
        <g v-if="form === 'stepper-valve'"><path d="M182 142v16m8-16v16m8-16v16m8-16v16" /></g>
        <g v-if="form === 'duty-valve'"><path d="M190 138c6 24 6-24 12 0s6-24 12 0" /></g>
        <rect x="220" y="78" width="160" height="144" rx="14" fill="var(--card)" />
        <path v-if="form !== 'wax-valve'" d="M256 78v144m40-144v144m40-144v144" opacity="0.35" />
        <path v-else d="M220 106h-30v-26m30 114h-30v26" />
        <path v-if="form !== 'wax-valve'" d="M380 130h40m-40 20h40m-40 20h40" stroke-width="3" />
        <path d="M190 96v108" stroke="var(--alarm)" stroke-width="3" opacity="0.6" />
      </template>
    </g>
    <g
      v-for="point in drawn"
      :key="point.id"
      class="stop cursor-pointer"
      role="button"
      tabindex="0"
      :aria-label="`${point.name}${point.verdict ? `: ${point.verdict}` : ', not looked at'}`"
      :aria-pressed="point.id === current"
      @click="$emit('pick', point.id)"
      @keydown.enter.prevent="$emit('pick', point.id)"
      @keydown.space.prevent="$emit('pick', point.id)"
    >
      <circle :cx="point.x" :cy="point.y" r="18" fill="transparent" />
      <circle
        :cx="point.x"
        :cy="point.y"
        r="13"
        :fill="point.id === current ? 'var(--bottle)' : point.verdict ? ink[point.verdict] : 'var(--card)'"
        :stroke="point.id === current ? 'var(--bottle)' : point.verdict ? ink[point.verdict] : 'var(--ink)'"
        stroke-width="2"
      />
      <text
        :x="point.x"
        :y="point.y + 4.5"
        text-anchor="middle"
        font-size="13"
        font-weight="700"
        :fill="point.id === current ? 'var(--on-bottle)' : point.verdict ? 'var(--card)' : 'var(--ink)'"
      >
        {{ point.id !== current && point.verdict ? signs[point.verdict] : point.number }}
      </text>
    </g>
  </svg>
</template>

<style scoped>
.stop:focus-visible {
  outline: none;
}
.stop:focus-visible circle:first-child {
  stroke: var(--bottle);
  stroke-width: 3;
}
</style>
