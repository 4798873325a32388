<script setup lang="ts">
import { ArrowDown, ArrowUp, GripVertical } from '@lucide/vue';
import { computed, nextTick, useTemplateRef } from 'vue';
import type { Procedure, ProcedureProblem } from '../../../core/procedure/index.ts';
import { HANDLE, useOrder } from '../../parts/useOrder.ts';
import { addItem, changeItem, moveItem, placeItem, removeItem } from './draft.ts';
import { isBackStep, ITEM_KINDS } from '../../../core/procedure/index.ts';

/**
 * The items as an outline, quick by keyboard: Enter adds below, Alt with an arrow moves, Backspace in an empty name
 * takes it out, Alt with B picks “before”. A row is also dragged by its handle, or moved by the buttons of the chosen one.
 */
const props = defineProps<{
  draft: Procedure;
  selected: string;
  picking: string;
  problems: readonly ProcedureProblem[];
}>();
const emit = defineEmits<{ change: [draft: Procedure]; choose: [id: string]; pick: [id: string] }>();
const list = useTemplateRef('list');

const order = useOrder(
  list,
  () => props.draft.items.map(({ id }) => id),
  (id, to) => emit('change', placeItem(props.draft, id, to)),
);
const rows = computed(() => {
  const items = new Map(props.draft.items.map((item) => [item.id, item]));
  const shown = order.value.flatMap((id) => items.get(id) ?? []);
  return shown.map((item, index) => {
    const section = item.section ?? '';
    return {
      item,
      index,
      heading: section !== (shown[index - 1]?.section ?? '') ? section : '',
      ties: props.draft.constraints.filter(
        (constraint) => constraint.kind === 'before' && (constraint.a === item.id || constraint.b === item.id),
      ).length,
      wrong: props.problems.find(({ subject }) => subject === item.id)?.level ?? null,
    };
  });
});
function move(id: string, by: 1 | -1): void {
  emit('change', moveItem(props.draft, id, by));
  focus(id);
}

function focus(id: string): void {
  emit('choose', id);
  void nextTick(() => list.value?.querySelector<HTMLInputElement>(`[data-item="${CSS.escape(id)}"]`)?.focus());
}
function add(below: number): void {
  const added = addItem(props.draft, below);
  emit('change', added.draft);
  focus(added.id);
}
function neighbour(index: number, by: 1 | -1): void {
  const next = props.draft.items[index + by];
  if (next !== undefined) focus(next.id);
}
function press(event: KeyboardEvent, index: number): void {
  const item = props.draft.items[index];
  if (item === undefined) return;
  const arrow = event.key === 'ArrowUp' ? -1 : event.key === 'ArrowDown' ? 1 : null;
  if (event.key === 'Enter') {
    event.preventDefault();
    if (props.picking !== '' && props.picking !== item.id) emit('pick', item.id);
    else add(index);
  } else if (arrow !== null && event.altKey) {
    event.preventDefault();
    move(item.id, arrow);
  } else if (arrow !== null) {
    event.preventDefault();
    neighbour(index, arrow);
  } else if (event.key === 'Backspace' && item.name === '') {
    event.preventDefault();
    const near = props.draft.items[index - 1] ?? props.draft.items[index + 1];
    emit('change', removeItem(props.draft, item.id));
    if (near !== undefined) focus(near.id);
  } else if (event.altKey && event.code === 'KeyB') {
    event.preventDefault();
    emit('pick', item.id);
  }
}
const rename = (id: string, event: Event): void =>
  emit('change', changeItem(props.draft, id, { name: (event.target as HTMLInputElement).value }));
const typed = (id: string, event: Event): void =>
  emit('change', changeItem(props.draft, id, { kind: (event.target as HTMLSelectElement).value as never }));
</script>

<template>
  <p class="mt-3 text-sm text-soft">
    <kbd class="key">Enter</kbd> adds below, <kbd class="key">Alt</kbd> <kbd class="key">↑</kbd>
    <kbd class="key">↓</kbd> moves, <kbd class="key">Backspace</kbd> in an empty name takes out,
    <kbd class="key">Alt</kbd> <kbd class="key">B</kbd> picks two for a reason.
  </p>
  <ol ref="list" class="mt-2 border-t border-line">
    <li v-for="row in rows" :key="row.item.id">
      <p v-if="row.heading" class="border-b border-line pb-1 pt-4 text-sm font-bold">{{ row.heading }}</p>
      <div
        class="line"
        :class="{ chosen: row.item.id === selected, picked: row.item.id === picking }"
        @click="picking && picking !== row.item.id ? emit('pick', row.item.id) : undefined"
      >
        <span class="number" :class="[HANDLE, { 'text-alarm': row.wrong === 'wrong' }]" title="Drag to move"
          ><GripVertical :size="16" class="grip" aria-hidden="true" />{{ row.index + 1 }}</span
        >
        <input
          class="name"
          :data-item="row.item.id"
          :value="row.item.name"
          :aria-label="`Name of item ${row.index + 1}`"
          placeholder="what comes off"
          autocomplete="off"
          @input="rename(row.item.id, $event)"
          @focus="emit('choose', row.item.id)"
          @keydown="press($event, row.index)"
        />
        <span v-if="isBackStep(row.item)" class="kind flex items-center text-brass">on the way back</span>
        <select
          v-else
          class="kind"
          :value="row.item.kind"
          :aria-label="`Kind of item ${row.index + 1}`"
          @change="typed(row.item.id, $event)"
        >
          <option v-for="(words, kind) in ITEM_KINDS" :key="kind" :value="kind">{{ words }}</option>
        </select>
        <span v-if="row.item.id === selected" class="moves">
          <button
            type="button"
            :aria-label="`Move ${row.item.name || 'the item'} up`"
            :disabled="row.index === 0"
            @click.stop="move(row.item.id, -1)"
          >
            <ArrowUp :size="18" aria-hidden="true" />
          </button>
          <button
            type="button"
            :aria-label="`Move ${row.item.name || 'the item'} down`"
            :disabled="row.index === rows.length - 1"
            @click.stop="move(row.item.id, 1)"
          >
            <ArrowDown :size="18" aria-hidden="true" />
          </button>
        </span>
        <span v-else class="torque">{{ row.item.fasteners?.spec?.text ?? '' }}</span>
        <button
          type="button"
          class="before"
          :aria-label="`${row.item.name || 'Item'} goes back before`"
          :aria-pressed="row.item.id === picking"
          @click.stop="emit('pick', row.item.id)"
        >
          {{ row.ties === 0 ? 'before …' : `${row.ties} ${row.ties === 1 ? 'reason' : 'reasons'}` }}
        </button>
      </div>
    </li>
  </ol>
  <button type="button" class="quiet mt-3 text-sm" @click="add(draft.items.length - 1)">Add an item</button>
</template>

<style scoped>
.line {
  display: grid;
  grid-template-columns: 3rem minmax(0, 1fr) 8.5rem 6.5rem 6rem;
  align-items: center;
  border-bottom: 1px solid var(--line);
}
.line.chosen {
  background: var(--band);
}
.line.picked {
  box-shadow: inset 4px 0 0 var(--bottle);
}
.number {
  display: flex;
  align-items: center;
  gap: 0.25rem;
  min-height: 2.5rem;
  padding-left: 0.25rem;
  cursor: grab;
  touch-action: none;
  font-size: var(--text-fine);
  font-weight: 700;
  font-variant-numeric: tabular-nums;
  color: var(--oxide);
}
.grip {
  color: var(--soft);
}
.moves {
  display: flex;
  justify-content: flex-end;
}
.moves button {
  display: grid;
  place-items: center;
  width: 2.75rem;
  min-height: 2.75rem;
}
.moves button:disabled {
  opacity: 0.3;
}
.name,
.kind,
.before {
  min-height: 2.5rem;
  background: transparent;
}
.name {
  width: 100%;
  font-weight: 600;
}
.name::placeholder {
  font-weight: 400;
  color: var(--soft);
}
.kind {
  font-size: var(--text-sm);
  color: var(--soft);
}
.kind option {
  background: var(--card);
  color: var(--ink);
}
.torque {
  font-size: var(--text-sm);
  font-weight: 700;
  text-align: right;
}
.before {
  padding-right: 0.5rem;
  font-size: var(--text-fine);
  color: var(--soft);
  text-align: right;
  text-decoration: underline;
  text-decoration-color: var(--line);
  text-underline-offset: 3px;
}
.before[aria-pressed='true'] {
  font-weight: 700;
  color: var(--bottle);
}
@media (max-width: 640px) {
  .line {
    grid-template-columns: 3rem minmax(0, 1fr) auto 5.5rem;
  }
  .kind,
  .torque {
    display: none;
  }
  .before {
    grid-column: 4;
  }
}
</style>
