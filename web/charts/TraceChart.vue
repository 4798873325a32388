<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted, ref, useTemplateRef, watch } from 'vue';
import { type Role, ROLES } from '../../core/trace/index.ts';
import { theme } from '../shell/theme.ts';
import { themeColours } from './themeColours.ts';
import { type TraceChart, traceChartOn, traceConfig, traceRedraw } from './traceChart.ts';
import { type Bracket, type Laid, niceStep, rolesOf, spanOfAll, traceCurves, valuesAt } from './traceCurves.ts';

/**
 * Recordings over each other, lane by lane on one time. Dragged, pinched, wheeled or moved by keys; a cursor says the
 * values of a moment, and all of it can be read as a table.
 */
const props = defineProps<{
  laid: readonly Laid[];
  /** Lanes that are shown, the first the highest. */
  roles: readonly Role[];
  bands: Readonly<Partial<Record<Role, { readonly low: number; readonly high: number }>>>;
  brackets: readonly Bracket[];
  /** What it is a chart of, for those who do not see it. */
  words: string;
  /** The stretch to begin with; all of it where left out. */
  span?: { readonly from: number; readonly to: number };
}>();
const canvas = useTemplateRef('canvas');
const box = useTemplateRef('box');
let chart: TraceChart | null = null;
const whole = computed(() => spanOfAll(props.laid));
const view = ref({ ...(props.span ?? whole.value) });
const cursor = ref<number | null>(null);
const width = ref(900);

const shownRoles = computed(() => {
  const there = new Set(rolesOf(props.laid));
  return props.roles.filter((role) => there.has(role));
});
const curves = computed(() =>
  traceCurves(props.laid, shownRoles.value, props.bands, view.value, width.value, props.brackets.length),
);
const config = () => traceConfig(curves.value, props.brackets, cursor.value, themeColours());
const height = computed(() => `${Math.max(14, 13 + shownRoles.value.length * 4)}rem`);

onMounted(() => {
  width.value = Math.max(200, box.value?.clientWidth ?? 900);
  if (canvas.value !== null) chart = traceChartOn(canvas.value, config());
});
let due = 0;
onBeforeUnmount(() => {
  cancelAnimationFrame(due);
  chart?.destroy();
  chart = null;
});
/** As often as the screen is drawn, and no more. */
function draw(): void {
  cancelAnimationFrame(due);
  due = requestAnimationFrame(() => chart !== null && traceRedraw(chart, config()));
}
watch([curves, () => props.brackets, cursor, theme], draw);
watch(
  [() => props.span?.from, () => props.span?.to, () => whole.value.from, () => whole.value.to],
  () => (view.value = { ...(props.span ?? whole.value) }),
);

const LEAST_S = 0.5;
/** Moves or stretches the view, within what was recorded. */
function show(from: number, to: number): void {
  const { from: first, to: last } = whole.value;
  const span = Math.min(Math.max(to - from, LEAST_S), Math.max(last - first, LEAST_S));
  const start = Math.min(Math.max(from, first), Math.max(first, last - span));
  view.value = { from: start, to: start + span };
}
const pan = (share: number): void => {
  const { from, to } = view.value;
  show(from + (to - from) * share, to + (to - from) * share);
};
function zoom(factor: number, at = (view.value.from + view.value.to) / 2): void {
  const { from, to } = view.value;
  show(at - (at - from) * factor, at + (to - at) * factor);
}
const reset = (): void => show(whole.value.from, whole.value.to);
function moveCursor(share: number): void {
  const { from, to } = view.value;
  const at = (cursor.value ?? (from + to) / 2) + (to - from) * share;
  cursor.value = Math.min(Math.max(at, from), to);
}
const KEYS: Readonly<Record<string, () => void>> = {
  ArrowLeft: () => pan(-0.15),
  ArrowRight: () => pan(0.15),
  '+': () => zoom(0.7),
  '=': () => zoom(0.7),
  '-': () => zoom(1 / 0.7),
  '0': reset,
  ',': () => moveCursor(-0.02),
  '.': () => moveCursor(0.02),
};
function key(event: KeyboardEvent): void {
  const run = KEYS[event.key];
  if (run === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
  event.preventDefault();
  event.stopPropagation();
  run();
}

/** Time under a place of the screen. */
function timeAt(clientX: number): number {
  const area = chart?.chartArea;
  const left = (canvas.value?.getBoundingClientRect().left ?? 0) + (area?.left ?? 0);
  const across = (area?.right ?? width.value) - (area?.left ?? 0);
  const share = Math.min(Math.max((clientX - left) / Math.max(across, 1), 0), 1);
  return view.value.from + share * (view.value.to - view.value.from);
}
const fingers = new Map<number, number>();
let moved = false;
function down(event: PointerEvent): void {
  fingers.set(event.pointerId, event.clientX);
  moved = false;
  (event.currentTarget as HTMLElement).setPointerCapture(event.pointerId);
}
function move(event: PointerEvent): void {
  const was = fingers.get(event.pointerId);
  if (was === undefined) {
    if (event.pointerType === 'mouse') cursor.value = timeAt(event.clientX);
    return;
  }
  if (Math.abs(event.clientX - was) < 3 && !moved) return;
  moved = true;
  const others = [...fingers].filter(([id]) => id !== event.pointerId);
  const [other] = others;
  if (other === undefined) {
    const by = timeAt(was) - timeAt(event.clientX);
    show(view.value.from + by, view.value.to + by);
  } else {
    const [before, after] = [Math.abs(was - other[1]), Math.abs(event.clientX - other[1])];
    if (before > 10 && after > 10) zoom(before / after, timeAt((event.clientX + other[1]) / 2));
  }
  fingers.set(event.pointerId, event.clientX);
}
function up(event: PointerEvent): void {
  if (fingers.delete(event.pointerId) && !moved) cursor.value = timeAt(event.clientX);
}
const wheel = (event: WheelEvent): void => zoom(event.deltaY < 0 ? 0.8 : 1.25, timeAt(event.clientX));

const say = (value: number | null): string =>
  value === null ? '—' : String(Math.round(value * 100) / 100).replace('-', '−');
const seconds = (at: number): string => `${at < 0 ? '−' : '+'}${Math.abs(at).toFixed(1)} s`;
const atCursor = computed(() => (cursor.value === null ? [] : valuesAt(props.laid, shownRoles.value, cursor.value)));
const both = computed(() => props.laid.length > 1);
/** The table: as many moments as the scale has ticks twice over. */
const moments = computed(() => {
  const { from, to } = view.value;
  const step = niceStep(to - from, 16);
  const first = Math.ceil(from / step) * step;
  return Array.from({ length: Math.floor((to - first) / step) + 1 }, (_, at) => first + at * step);
});
</script>

<template>
  <figure>
    <div
      ref="box"
      class="relative cursor-crosshair touch-pan-y"
      :style="{ height }"
      tabindex="0"
      role="application"
      aria-roledescription="chart"
      :aria-label="`${words}. Arrows move, plus and minus zoom, nought shows all, comma and point move the cursor; the table below holds the same.`"
      @keydown="key"
      @pointerdown="down"
      @pointermove="move"
      @pointerup="up"
      @pointercancel="fingers.clear()"
      @wheel.prevent="wheel"
    >
      <canvas ref="canvas" aria-hidden="true" />
    </div>
    <figcaption class="mt-1 flex flex-wrap items-center gap-x-5 gap-y-1 text-sm">
      <span v-for="{ when } in laid" :key="when" class="flex items-center gap-2 font-semibold">
        <svg viewBox="0 0 34 8" class="h-2 w-9" aria-hidden="true">
          <path
            d="M0 4h34"
            stroke-width="3"
            :stroke="when === 'before' ? 'var(--oxide)' : 'var(--bottle)'"
            :stroke-dasharray="both && when === 'before' ? '7 5' : undefined"
          />
        </svg>
        <span :class="when === 'before' ? 'text-oxide' : 'text-bottle'">{{ when }}</span>
      </span>
      <span class="ml-auto flex gap-1">
        <button type="button" class="quiet" aria-label="Zoom in" @click="zoom(0.7)">+</button>
        <button type="button" class="quiet" aria-label="Zoom out" @click="zoom(1 / 0.7)">−</button>
        <button type="button" class="quiet" @click="reset">All of it</button>
      </span>
    </figcaption>
    <p v-if="cursor !== null" class="mt-1 flex flex-wrap gap-x-5 text-sm" aria-live="polite">
      <span class="font-bold">{{ seconds(cursor) }}</span>
      <span v-for="{ role, before, after } in atCursor" :key="role"
        >{{ ROLES[role].name.toLowerCase() }}
        <span class="text-oxide">{{ before === null ? '' : say(before) }}</span>
        <template v-if="before !== null && after !== null"> → </template>
        <span class="font-semibold text-bottle">{{ after === null ? '' : say(after) }}</span>
        {{ ROLES[role].unit }}</span
      >
    </p>
    <details class="mt-1 text-sm">
      <summary class="cursor-pointer py-1 font-semibold text-soft">As a table</summary>
      <div class="max-h-72 overflow-auto" tabindex="0" role="region" :aria-label="`${words}, as a table`">
        <table class="w-full">
          <thead>
            <tr>
              <th scope="col" class="text-left">Time</th>
              <template v-for="role in shownRoles" :key="role">
                <th v-for="{ when } in laid" :key="when" scope="col" class="text-right">
                  {{ ROLES[role].name }}, {{ ROLES[role].unit }}{{ both ? `, ${when}` : '' }}
                </th>
              </template>
            </tr>
          </thead>
          <tbody>
            <tr v-for="at in moments" :key="at">
              <th scope="row" class="text-left font-normal">{{ seconds(at) }}</th>
              <template v-for="{ role, before, after } in valuesAt(laid, shownRoles, at)" :key="role">
                <td v-for="{ when } in laid" :key="when" class="text-right">
                  {{ say(when === 'before' ? before : after) }}
                </td>
              </template>
            </tr>
          </tbody>
        </table>
      </div>
    </details>
  </figure>
</template>
