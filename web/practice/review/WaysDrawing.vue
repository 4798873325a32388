<script setup lang="ts">
import { computed } from 'vue';
import { type Review, stepKey, type Way, type WayStep } from '../../../core/practice/index.ts';

/** Both ways on one scale of minutes: solid is in both, and joined; outlined is in one only; letters mark where they part. */
const props = defineProps<{ review: Review; name: (step: WayStep) => string; said: (step: WayStep) => string }>();
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const WIDTH = 780;
const LEFT = 88;
const OWN_Y = 66;
const BEST_Y = 204;
const BAR = 26;

const longest = computed(() => Math.max(1, props.review.own.minutes, props.review.best.minutes));
const scale = computed(() => (WIDTH - LEFT - 6) / longest.value);
const TICKS = [1, 2, 5, 10, 20, 30, 60, 120, 240];
const every = computed(() => TICKS.find((each) => longest.value / each <= 8) ?? 480);
const ticks = computed(() =>
  Array.from({ length: Math.floor(longest.value / every.value) + 1 }, (_, index) => index * every.value),
);

interface Block {
  readonly key: string;
  readonly x: number;
  readonly width: number;
  readonly step: WayStep;
  readonly isShared: boolean;
}
function blocksOf({ steps }: Way, isOwn: boolean): Block[] {
  const seen = new Set<string>();
  let at = 0;
  return steps.map((step, index) => {
    const key = stepKey(step);
    const block = {
      key: `${index} ${key}`,
      x: LEFT + at * scale.value,
      width: Math.max(2, step.minutes * scale.value),
      step,
      isShared: props.review.shared.includes(key) && !(isOwn && seen.has(key)),
    };
    seen.add(key);
    at += step.minutes;
    return block;
  });
}
const own = computed(() => blocksOf(props.review.own, true));
const best = computed(() => blocksOf(props.review.best, false));
const joins = computed(() =>
  own.value.flatMap((block) => {
    if (!block.isShared) return [];
    const other = best.value.find(({ step }) => stepKey(step) === stepKey(block.step));
    if (other === undefined) return [];
    const [from, to] = [block.x + block.width / 2, other.x + other.width / 2];
    const middle = (OWN_Y + BAR + BEST_Y) / 2;
    return [{ key: block.key, d: `M${from} ${OWN_Y + BAR}C${from} ${middle} ${to} ${middle} ${to} ${BEST_Y}` }];
  }),
);
const letters = computed(() =>
  props.review.partings.map(({ at }, index) => ({
    letter: LETTERS[index] ?? '',
    x: LEFT + at * scale.value,
  })),
);
/** A letter stands where the ways part; the name beside it makes room. */
const startsParting = ({ x }: Block): boolean => letters.value.some((each) => Math.abs(each.x - x) < 1);
/** Words fit where a block is wide enough. */
const fits = ({ width }: Block): boolean => width > 40;
/** In at most two lines that fit; what does not is cut. */
function wrapped(text: string, width: number): string[] {
  const most = Math.max(4, Math.floor((width - 4) / 6.1));
  const lines: string[] = [''];
  for (const word of text.split(' ')) {
    const last = lines[lines.length - 1] ?? '';
    const longer = last === '' ? word : `${last} ${word}`;
    if (longer.length <= most || last === '') lines[lines.length - 1] = longer;
    else lines.push(word);
  }
  const cut = (line: string): string => (line.length <= most ? line : `${line.slice(0, most - 1)}…`);
  return lines.length <= 2 ? lines.map(cut) : [cut(lines[0] ?? ''), cut(`${lines[1] ?? ''} …`)];
}
const words = computed(() => {
  const way = ({ steps, minutes }: Way): string =>
    `${Math.round(minutes)} min: ${steps.map((step) => `${props.name(step)}${props.said(step) ? `, ${props.said(step).toLowerCase()}` : ''}, ${step.minutes} min`).join('; ')}`;
  return `Your way, ${way(props.review.own)}. The way of the plan, ${way(props.review.best)}.`;
});
</script>

<template>
  <div class="overflow-x-auto" tabindex="0" role="group" aria-label="Both ways, in minutes">
    <svg :viewBox="`0 0 ${WIDTH} 268`" role="img" :aria-label="words" class="block min-w-[640px]">
      <g class="text-soft" font-size="12" fill="currentColor">
        <g v-for="tick in ticks" :key="tick">
          <path :d="`M${LEFT + tick * scale} 18V${BEST_Y + BAR}`" class="stroke-line" stroke-width="1" />
          <text :x="LEFT + tick * scale + 3" y="12">{{ tick }}{{ tick === 0 ? ' min' : '' }}</text>
        </g>
      </g>
      <path v-for="join in joins" :key="join.key" :d="join.d" fill="none" class="stroke-bottle" stroke-width="1.6" />
      <g
        v-for="[blocks, y, isOwn] in [
          [own, OWN_Y, true],
          [best, BEST_Y, false],
        ] as const"
        :key="String(isOwn)"
      >
        <g v-for="block in blocks" :key="block.key">
          <title>{{ name(block.step) }}, {{ block.step.minutes }} min</title>
          <rect
            :x="block.x + 1"
            :y="y"
            :width="Math.max(1, block.width - 2)"
            :height="BAR"
            rx="3"
            :class="
              block.isShared
                ? 'fill-bottle stroke-bottle'
                : isOwn
                  ? 'fill-card stroke-oxide'
                  : 'fill-card stroke-bottle'
            "
            stroke-width="1.6"
          />
          <text
            v-if="block.width > 18"
            :x="block.x + block.width / 2"
            :y="y + 17"
            text-anchor="middle"
            font-size="13"
            font-weight="700"
            :class="block.isShared ? 'fill-paper' : isOwn ? 'fill-oxide' : 'fill-bottle'"
          >
            {{ block.step.minutes }}
          </text>
          <template v-if="fits(block)">
            <text
              v-for="(line, index) in wrapped(name(block.step), block.width)"
              :key="`name ${index}`"
              :x="block.x + (isOwn && startsParting(block) ? 13 : 3)"
              :y="y - 7 - 14 * (wrapped(name(block.step), block.width).length - 1 - index)"
              font-size="12"
              class="halo fill-ink"
            >
              {{ line }}
            </text>
            <text
              v-for="(line, index) in wrapped(said(block.step), block.width)"
              :key="`said ${index}`"
              :x="block.x + 3"
              :y="y + BAR + 15 + 14 * index"
              font-size="12.5"
              font-weight="700"
              class="halo fill-ink"
            >
              {{ line }}
            </text>
          </template>
        </g>
      </g>
      <g font-weight="700" class="fill-ink">
        <text x="0" :y="OWN_Y + 9" font-size="14">You</text>
        <text x="0" :y="OWN_Y + 27" font-size="18">{{ Math.round(review.own.minutes) }} min</text>
        <text x="0" :y="BEST_Y + 9" font-size="14">The plan</text>
        <text x="0" :y="BEST_Y + 27" font-size="18">{{ Math.round(review.best.minutes) }} min</text>
      </g>
      <g v-for="each in letters" :key="each.letter">
        <circle :cx="each.x" :cy="OWN_Y - 10" r="9" class="fill-card stroke-oxide" stroke-width="2" />
        <text :x="each.x" :y="OWN_Y - 6" text-anchor="middle" font-size="12" font-weight="700" class="fill-oxide">
          {{ each.letter }}
        </text>
      </g>
    </svg>
  </div>
</template>

<style scoped>
/* Words stay legible where a join passes behind them. */
.halo {
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
</style>
