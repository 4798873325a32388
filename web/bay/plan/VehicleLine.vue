<script setup lang="ts">
import type { BayLine } from '../../../contract/index.ts';
import { STAGE_NAMES } from '../../../core/job/index.ts';
import { formatMinutes } from '../../../core/quantity/index.ts';
import { useShop } from '../../stores/shop.ts';
import { tenths } from './planWords.ts';
import type { DrawnBlock, DrawnPromise } from './planView.ts';

/** The line of one vehicle: done solid, planned outlined, waits hatched, and the flag of its promise. */
defineProps<{
  line: BayLine;
  waitsFor: string;
  drawn: readonly { readonly kind: 'hands-on' | 'wait' | 'part'; readonly left: number; readonly width: number }[];
  planned: readonly DrawnBlock[];
  promise: DrawnPromise | null;
  clashing: ReadonlySet<string>;
  chosen: string | null;
  me: string;
  /** When it goes on by the plan, where that is on another day; empty where it is today. */
  later: string;
}>();
const emit = defineEmits<{ choose: [key: string] }>();
const shop = useShop();
/** Hours of a night say nothing: more than a working day is told by when it goes on. */
const NIGHT = 8 * 60;
const spareWords = (spare: number): string =>
  spare < -NIGHT
    ? 'not that day'
    : spare < 0
      ? `${formatMinutes(-spare)} late`
      : spare === 0
        ? 'to the minute'
        : `${formatMinutes(spare)} spare`;
</script>

<template>
  <div class="pb-2 pt-3 sm:flex">
    <RouterLink
      :to="`/jobs/${line.job.id}`"
      class="group block w-24 shrink-0 pr-2 max-sm:mb-1 max-sm:flex max-sm:w-auto max-sm:gap-3"
    >
      <span class="block whitespace-nowrap text-action font-bold leading-tight group-hover:underline">{{
        line.job.plate
      }}</span>
      <span class="block truncate text-fine leading-tight text-soft">{{ line.nickname || line.job.name }}</span>
      <span class="block text-fine font-bold leading-tight text-oxide">{{ STAGE_NAMES[line.job.stage] }}</span>
    </RouterLink>
    <div class="relative min-w-0 flex-1">
      <div class="relative h-9" :data-track="line.jobId">
        <span aria-hidden="true" class="absolute inset-x-0 top-1/2 border-t border-line" />
        <span
          v-for="(stretch, index) in drawn"
          :key="index"
          aria-hidden="true"
          class="absolute"
          :class="{
            'inset-y-0 rounded-sm bg-bottle': stretch.kind === 'hands-on',
            'hatched inset-y-2 rounded-sm border border-brass': stretch.kind === 'wait',
            'top-1/2 border-t-[3px] border-dotted border-brass': stretch.kind === 'part',
          }"
          :style="{ left: `${stretch.left}%`, width: `${stretch.width}%` }"
        />
        <template v-for="block in planned" :key="block.key">
          <span
            v-if="block.kind === 'wait'"
            aria-hidden="true"
            class="hatched absolute inset-y-2 rounded-sm border border-dashed border-brass"
            :style="{ left: `${block.left}%`, width: `${block.width}%` }"
          />
          <button
            v-else
            type="button"
            tabindex="-1"
            aria-hidden="true"
            class="absolute inset-y-0 overflow-hidden rounded-sm border-2 bg-card px-1 text-left text-xs leading-[1.1]"
            :class="[
              clashing.has(block.key)
                ? 'border-oxide text-oxide'
                : block.personId === me
                  ? 'border-bottle'
                  : 'border-bottle/55',
              chosen === block.key ? 'outline-3 outline-offset-1 outline-bottle' : '',
            ]"
            :style="{ left: `${block.left}%`, width: `${block.width}%` }"
            @click="emit('choose', block.key)"
          >
            <b class="block whitespace-nowrap">{{ shop.firstName(block.personId ?? '').slice(0, 1) }}</b>
            <span v-if="block.width > 5.5" class="block whitespace-nowrap">{{ block.words }}</span>
          </button>
        </template>
        <span
          v-if="promise?.left != null"
          class="absolute -top-4 bottom-0 border-l-2"
          :class="(promise.spare ?? 0) < 0 ? 'border-oxide text-oxide' : 'border-ink'"
          :style="{ left: `${promise.left}%` }"
        >
          <span
            class="flag absolute top-0 whitespace-nowrap border-2 border-l-0 border-current bg-card px-1 text-xs font-bold leading-[1.15]"
            :class="promise.left > 90 ? '-translate-x-full' : ''"
            >{{ shop.say.clock(promise.at) }}</span
          >
        </span>
      </div>
      <p class="mt-1 flex flex-wrap gap-x-4 text-note leading-snug">
        <span class="text-soft"
          >{{ waitsFor ? `Waits: ${waitsFor}` : line.job.lastWords
          }}<b v-if="line.job.held" class="text-alarm"> · engine held</b></span
        >
        <span class="ml-auto flex gap-x-3 text-right">
          <span v-if="later && promise?.left !== null" class="text-soft">{{ later }}</span>
          <span v-if="promise" class="font-semibold">
            <template v-if="promise.left === null">promised {{ shop.say.nearTime(promise.at) }}, </template>
            <span
              v-if="promise.spare !== null"
              :class="promise.spare < 0 ? 'text-oxide' : (promise.holds ?? 1) < 0.6 ? 'text-brass' : 'text-moss'"
              >{{ spareWords(promise.spare)
              }}<template v-if="promise.holds !== null && promise.spare >= 0"
                >, holds {{ tenths(promise.holds) }}</template
              ></span
            >
            <span v-else-if="promise.woven" class="text-soft">not planned to its end</span>
          </span>
        </span>
      </p>
    </div>
  </div>
</template>

<style scoped>
.hatched {
  background: repeating-linear-gradient(
    135deg,
    transparent 0 5px,
    color-mix(in srgb, var(--brass) 55%, transparent) 5px 6.5px
  );
}
.flag {
  clip-path: polygon(0 0, 100% 0, calc(100% - 6px) 50%, 100% 100%, 0 100%);
  padding-right: 11px;
}
</style>
