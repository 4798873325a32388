<script setup lang="ts">
import { formatMinutes } from '../../../core/quantity/index.ts';
import type { ToolUse } from '../../../core/refit/index.ts';
import FigureRow from '../../parts/FigureRow.vue';
import { lowerFirst } from '../../../core/words/index.ts';
import { type AdviceWords, sayRange } from './adviceWords.ts';
import type { Outlook } from '../../../core/job/index.ts';

/** Start or wait, and the minutes that this is worked out with. */
defineProps<{
  said: AdviceWords;
  outlook: Outlook;
  started: boolean;
  missing: readonly { readonly name: string }[];
  ready: number;
  total: number;
  opened: number;
  bays: number;
  tools: readonly ToolUse[];
}>();
</script>

<template>
  <div class="flex flex-col gap-4">
    <div v-if="!started">
      <p
        class="text-title font-bold leading-tight"
        :class="said.tone === 'good' ? 'text-moss' : said.tone === 'wait' ? 'text-brass' : ''"
      >
        {{ said.headline }}
      </p>
      <p v-for="line in said.lines" :key="line" class="mt-2">{{ line }}</p>
    </div>
    <p v-else class="border-l-[3px] border-brass py-1 pl-3">
      It is in pieces.
      {{
        missing.length === 0
          ? 'Nothing is missing to put it back.'
          : `${outlook.held} ${outlook.held === 1 ? 'item waits' : 'items wait'} for ${missing.map(({ name }) => lowerFirst(name)).join(', ')}; all else can go back.`
      }}
    </p>
    <dl class="rows border-y border-line text-note">
      <FigureRow label="Ready">{{ ready }} of {{ total }}</FigureRow>
      <FigureRow label="Off"
        >{{ formatMinutes(outlook.off.likely) }}
        <span class="font-normal text-soft">{{ sayRange(outlook.off.low, outlook.off.high) }}</span></FigureRow
      >
      <FigureRow label="Units, one soak">{{ formatMinutes(outlook.units) }}</FigureRow>
      <FigureRow label="Back"
        >{{ formatMinutes(outlook.back.likely) }}
        <span class="font-normal text-soft">{{ sayRange(outlook.back.low, outlook.back.high) }}</span></FigureRow
      >
      <FigureRow v-if="outlook.held > 0" label="Waits for parts"
        >{{ outlook.held }} {{ outlook.held === 1 ? 'item' : 'items' }}</FigureRow
      >
      <FigureRow label="In a bay for about">{{
        formatMinutes(outlook.off.likely + outlook.units + outlook.back.likely + outlook.back.waiting)
      }}</FigureRow>
      <FigureRow label="In pieces now">{{ opened }} in {{ bays }} {{ bays === 1 ? 'bay' : 'bays' }}</FigureRow>
    </dl>
    <p class="text-sm text-soft">
      {{ outlook.off.timed + outlook.back.timed }} of {{ outlook.off.steps + outlook.back.steps }} steps were timed here
      before; the rest goes by kind.
    </p>
    <details v-if="tools.length > 0" class="text-note">
      <summary class="font-semibold">{{ tools.length }} tools along the way</summary>
      <ul class="rows mt-1">
        <li v-for="tool in tools" :key="tool.tool" class="flex justify-between gap-3 py-1">
          <span>{{ tool.tool }}</span><span class="text-soft">{{ tool.steps.length }} ×</span>
        </li>
      </ul>
    </details>
  </div>
</template>
