<script setup lang="ts">
import { useTemplateRef } from 'vue';
import type { Day } from '../day.ts';
import { formatMinutes } from '../../../core/quantity/index.ts';
import PlanBlock from './PlanBlock.vue';
import { DASHES } from './dashes.ts';
import type { DrawnBlock, PersonLine } from './planView.ts';

/** One line a person: what was done solid, what is planned outlined. A block is given to somebody by its line. */
const { people, day } = defineProps<{
  people: readonly (PersonLine & { readonly name: string })[];
  day: Day;
  chosen: string | null;
  clashing: ReadonlySet<string>;
  me: string;
  labelOf: (block: DrawnBlock) => string;
  /** The pause, as per cent of the day; null where there is none. */
  pause: { readonly left: number; readonly width: number } | null;
}>();
const emit = defineEmits<{ choose: [key: string]; drop: [block: DrawnBlock, minutes: number, personId: string] }>();
/** As much of a plate as there is room for: its last figures still tell vehicles apart. */
const plateIn = ({ plate, width }: { readonly plate: string; readonly width: number }): string =>
  width > 8 ? plate : width > 4.2 ? plate.slice(-3) : '';
const tracks = useTemplateRef<HTMLElement[]>('tracks');

function dropped(block: DrawnBlock, row: number, { dx, dy }: { dx: number; dy: number }): void {
  const own = tracks.value?.[row]?.getBoundingClientRect();
  if (own === undefined || own.width === 0) return;
  const middle = own.top + own.height / 2 + dy;
  const target = tracks.value?.findIndex((each) => {
    const { top, bottom } = each.getBoundingClientRect();
    return middle >= top && middle <= bottom;
  });
  const person = people[target === undefined || target < 0 ? row : target];
  if (person !== undefined) emit('drop', block, (dx / own.width) * ((day.to - day.from) / 60_000), person.id);
}
</script>

<template>
  <ul aria-label="Who does what">
    <li v-for="(person, row) in people" :key="person.id" class="flex items-center py-1">
      <RouterLink
        :to="`/bench/${person.id}`"
        class="flex w-24 shrink-0 items-center gap-2 text-note hover:underline"
        :class="person.id === me ? 'font-bold' : 'text-soft'"
        ><span class="truncate">{{ person.name }}</span
        ><svg width="20" height="4" aria-hidden="true" class="shrink-0">
          <line
            x1="0"
            x2="20"
            y1="2"
            y2="2"
            stroke="currentColor"
            stroke-width="2"
            :stroke-dasharray="DASHES[row % DASHES.length]"
          /></svg
      ></RouterLink>
      <div ref="tracks" class="relative h-8 min-w-0 flex-1">
        <span aria-hidden="true" class="absolute inset-x-0 top-1/2 border-t border-line" />
        <span
          v-if="pause"
          aria-hidden="true"
          class="absolute -inset-y-1 bg-band"
          :style="{ left: `${pause.left}%`, width: `${pause.width}%` }"
        />
        <RouterLink
          v-for="(done, index) in person.done"
          :key="`d${index}`"
          :to="`/jobs/${done.jobId}`"
          class="absolute inset-y-0 overflow-hidden rounded-sm bg-bottle px-1 pt-2 text-xs font-semibold leading-none text-on-bottle"
          :style="{ left: `${done.left}%`, width: `${done.width}%` }"
          :aria-label="`${person.name}: done on ${done.plate}`"
          :tabindex="-1"
          ><span class="whitespace-nowrap">{{ plateIn(done) }}</span></RouterLink
        >
        <PlanBlock
          v-for="block in person.planned"
          :key="block.key"
          :block="block"
          :chosen="chosen === block.key"
          :clashes="clashing.has(block.key)"
          :mine="person.id === me"
          :text="plateIn(block)"
          :label="labelOf(block)"
          @choose="emit('choose', block.key)"
          @drop="dropped(block, row, $event)"
        />
        <span
          v-if="person.freeMinutes !== null && person.planned[0]"
          class="absolute top-1.5 -translate-x-full whitespace-nowrap pr-1.5 text-xs font-semibold text-brass"
          :style="{ left: `${person.planned[0].left}%` }"
          >free {{ formatMinutes(person.freeMinutes) }}</span
        >
      </div>
    </li>
  </ul>
</template>
