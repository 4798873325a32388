<script setup lang="ts">
import { FIELDS } from '../../../core/quantity/index.ts';
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref, useTemplateRef } from 'vue';
import type { Bolt } from '../../../core/procedure/index.ts';
import { tighteningOrder } from '../../../core/torque/index.ts';

/** Bolts placed on a drawing, snapped to two millimetres, or in the table below it: both are the same bolts. */
const props = defineProps<{ bolts: readonly Bolt[] }>();
const emit = defineEmits<{ put: [bolts: readonly Bolt[]] }>();

const SNAP = 2;
const MARGIN = 16;
const board = useTemplateRef('board');
const chosen = ref('');

/** Millimetres shown: what is placed with room round it, at least a palm wide. */
const view = computed(() => {
  const xs = props.bolts.map(({ x }) => x);
  const ys = props.bolts.map(({ y }) => y);
  const [left, top] = [Math.min(0, ...xs) - MARGIN, Math.min(0, ...ys) - MARGIN];
  const [right, bottom] = [Math.max(90, ...xs) + MARGIN, Math.max(60, ...ys) + MARGIN];
  return { left, top, width: right - left, height: bottom - top };
});
const order = computed(() => tighteningOrder(props.bolts));
const path = computed(() =>
  order.value
    .flatMap((id) => props.bolts.filter((bolt) => bolt.id === id))
    .map(({ x, y }) => `${x},${y}`)
    .join(' '),
);
const freeId = (): string => {
  for (let number = 1; ; number += 1) if (!props.bolts.some(({ id }) => id === String(number))) return String(number);
};

function place(event: MouseEvent): void {
  const box = board.value?.getBoundingClientRect();
  if (box === undefined) return;
  const scale = Math.max(view.value.width / box.width, view.value.height / box.height);
  const snap = (millimetres: number): number => Math.round(millimetres / SNAP) * SNAP;
  const x = snap(view.value.left + view.value.width / 2 + (event.clientX - box.left - box.width / 2) * scale);
  const y = snap(view.value.top + view.value.height / 2 + (event.clientY - box.top - box.height / 2) * scale);
  const near = props.bolts.find((bolt) => Math.hypot(bolt.x - x, bolt.y - y) < 6);
  if (near !== undefined) chosen.value = chosen.value === near.id ? '' : near.id;
  else if (chosen.value !== '') change(chosen.value, { x, y });
  else emit('put', [...props.bolts, { id: freeId(), x, y, label: '' }]);
}
const change = (id: string, more: Partial<Bolt>): void =>
  emit(
    'put',
    props.bolts.map((bolt) => (bolt.id === id ? { ...bolt, ...more } : bolt)),
  );
const remove = (id: string): void =>
  emit(
    'put',
    props.bolts.filter((bolt) => bolt.id !== id),
  );
const add = (): void => emit('put', [...props.bolts, { id: freeId(), x: 0, y: props.bolts.length * 20, label: '' }]);
const figure = (event: Event): number => numberIn((event.target as HTMLInputElement).value, FIELDS.millimetres);
function number(id: string, axis: 'x' | 'y', event: Event): void {
  if (Number.isFinite(figure(event))) change(id, { [axis]: figure(event) });
}
function length(id: string, event: Event): void {
  change(id, { lengthMm: figure(event) > 0 ? figure(event) : undefined });
}
</script>

<template>
  <div class="grid gap-2">
    <p class="text-sm font-semibold">
      Places<span class="font-normal text-soft"
        >: tap the drawing, or fill the table; numbers are the tightening order</span
      >
    </p>
    <svg
      ref="board"
      :viewBox="`${view.left} ${view.top} ${view.width} ${view.height}`"
      class="board"
      role="img"
      :aria-label="`${bolts.length} bolts placed`"
      @click="place"
    >
      <polyline v-if="bolts.length > 1" class="order" :points="path" />
      <g v-for="bolt in bolts" :key="bolt.id" :class="{ chosen: bolt.id === chosen }">
        <circle :cx="bolt.x" :cy="bolt.y" r="5.5" />
        <text :x="bolt.x" :y="bolt.y + 2">{{ order.indexOf(bolt.id) + 1 }}</text>
      </g>
    </svg>
    <table v-if="bolts.length > 0" class="w-full text-sm">
      <thead>
        <tr class="text-left text-soft">
          <th class="w-7 font-normal"><span class="sr-only">Order</span></th>
          <th class="font-normal">x</th>
          <th class="font-normal">y</th>
          <th class="font-normal">where</th>
          <th class="font-normal">mm long</th>
          <th><span class="sr-only">Take out</span></th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="bolt in bolts" :key="bolt.id" class="border-t border-line">
          <td class="font-bold text-oxide">{{ order.indexOf(bolt.id) + 1 }}</td>
          <td>
            <input
              class="cell"
              :value="bolt.x"
              :aria-label="`x of bolt ${bolt.id}`"
              @change="number(bolt.id, 'x', $event)"
            />
          </td>
          <td>
            <input
              class="cell"
              :value="bolt.y"
              :aria-label="`y of bolt ${bolt.id}`"
              @change="number(bolt.id, 'y', $event)"
            />
          </td>
          <td>
            <input
              class="cell"
              :value="bolt.label"
              :aria-label="`Where bolt ${bolt.id} sits`"
              @change="change(bolt.id, { label: ($event.target as HTMLInputElement).value })"
            />
          </td>
          <td>
            <input
              class="cell"
              :value="bolt.lengthMm ?? ''"
              :aria-label="`Length of bolt ${bolt.id}`"
              @change="length(bolt.id, $event)"
            />
          </td>
          <td class="text-right">
            <button
              type="button"
              class="min-h-8 px-1 text-soft underline"
              :aria-label="`Take out bolt ${bolt.id}`"
              @click="remove(bolt.id)"
            >
              out
            </button>
          </td>
        </tr>
      </tbody>
    </table>
    <button type="button" class="quiet justify-self-start text-sm" @click="add">Add a place</button>
  </div>
</template>

<style scoped>
.board {
  display: block;
  width: 100%;
  height: 190px;
  border: 1px solid var(--line);
  background: var(--band);
  cursor: crosshair;
}
.order {
  fill: none;
  stroke: var(--oxide);
  stroke-width: 0.6px;
  stroke-dasharray: 2 2;
}
circle {
  fill: var(--card);
  stroke: var(--soft);
  stroke-width: 0.9px;
}
g text {
  fill: var(--ink);
  font-size: 5.5px;
  font-weight: 700;
  text-anchor: middle;
}
.chosen circle {
  stroke: var(--bottle);
  stroke-width: 1.8px;
}
.cell {
  width: 100%;
  min-width: 2.25rem;
  min-height: 2rem;
  background: transparent;
}
</style>
