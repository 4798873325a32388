<script setup lang="ts">
import type { RankedWrench } from '../../core/torque/index.ts';

/** What the shop owns for one figure, best first, each with its setting and why. */
defineProps<{ ranked: readonly RankedWrench[]; share?: boolean }>();
</script>

<template>
  <ul class="rows border-y border-line">
    <li v-for="each in ranked" :key="each.wrench.id" class="grid grid-cols-[6.5rem_1fr] gap-x-4 py-2.5">
      <span
        ><span class="figure text-xl" :class="each.setting.verdict === 'suits' ? '' : 'text-soft'">{{
          each.setting.setting
        }}</span>
        <span class="text-sm text-soft">{{ each.setting.unit }}</span></span
      >
      <span
        ><span class="font-semibold">{{ each.wrench.name }}</span
        >:
        <span :class="each.setting.verdict === 'suits' ? 'font-bold text-moss' : 'text-oxide'">{{
          each.setting.verdict
        }}</span><span class="block text-sm text-soft"
          >{{ each.setting.why
          }}{{
            share && each.setting.verdict === 'suits'
              ? ` ${Math.round(each.inside * 100)} % of that lies in the band.`
              : ''
          }}{{ each.wrench.calibratedOn === null ? ' No calibration date.' : '' }}</span
        ></span
      >
    </li>
    <slot />
  </ul>
</template>
