<script setup lang="ts" generic="Row extends object">
import { Popover, PopoverButton, PopoverPanel } from '@headlessui/vue';
import { Columns3 } from '@lucide/vue';
import { columnVisibilityFeature, rowSortingFeature, tableFeatures, useTable } from '@tanstack/vue-table';
import { useVirtualizer } from '@tanstack/vue-virtual';
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { type ListColumn, type ListOrder, orderBy } from './listColumns.ts';
import { type Preference, readPreference, writePreference } from '../shell/preferences.ts';

/** A list of the shop: its columns chosen, put in order by the server, a page at a time, and long without being slow. */
const props = defineProps<{
  /** What the choice of columns is kept under on this device. */
  name: string;
  /** What is listed, for who hears it. */
  caption: string;
  columns: readonly ListColumn[];
  rows: readonly Row[];
  keyOf: (row: Row) => string;
  order: ListOrder;
  /** There is more than is shown. */
  more: boolean;
  busy: boolean;
}>();
const emit = defineEmits<{ order: [order: ListOrder]; more: [] }>();
defineSlots<Record<`cell-${string}`, (given: { row: Row }) => unknown>>();

/** Longer lists draw only what is in view. */
const LONG = 80;
const ROW_HEIGHT = 53;

const kept: Preference = `columns.${props.name}`;
const hidden = ref<ReadonlySet<string>>(new Set((readPreference(kept) ?? '').split(' ').filter((id) => id !== '')));
function choose(id: string): void {
  const next = new Set(hidden.value);
  if (!next.delete(id)) next.add(id);
  hidden.value = next;
  writePreference(kept, [...next].join(' '));
}
const table = useTable({
  features: tableFeatures({ columnVisibilityFeature, rowSortingFeature }),
  data: computed(() => [...props.rows]),
  columns: props.columns.map(({ id, name, sort }) => ({ id, header: name, enableSorting: sort !== undefined })),
  getRowId: (row: Row) => props.keyOf(row),
  manualSorting: true,
  state: computed(() => ({
    columnVisibility: Object.fromEntries(props.columns.map(({ id }) => [id, !hidden.value.has(id)])),
    sorting: props.columns.flatMap(({ id, sort }) =>
      sort === props.order.sort ? [{ id, desc: props.order.direction === 'desc' }] : [],
    ),
  })),
});
const byId = new Map(props.columns.map((column) => [column.id, column]));
const shown = computed(() =>
  table.getVisibleLeafColumns().map((column) => ({ column: byId.get(column.id)!, sorted: column.getIsSorted() })),
);
const lines = computed(() => table.getRowModel().rows);

const body = useTemplateRef('body');
const scroller = ref<Element | null>(null);
watch(body, (element) => {
  let parent = element?.parentElement ?? null;
  while (parent !== null && !/auto|scroll/.test(getComputedStyle(parent).overflowY)) parent = parent.parentElement;
  scroller.value = parent;
});
const long = computed(() => lines.value.length > LONG);
const virtual = useVirtualizer(
  computed(() => ({
    count: lines.value.length,
    getScrollElement: () => scroller.value,
    estimateSize: () => ROW_HEIGHT,
    overscan: 12,
    enabled: long.value,
    scrollMargin: body.value?.offsetTop ?? 0,
    getItemKey: (index: number) => lines.value[index]?.id ?? index,
  })),
);
const drawn = computed(() =>
  long.value ? virtual.value.getVirtualItems().map(({ index }) => index) : lines.value.map((_, index) => index),
);
const above = computed(() =>
  long.value ? Math.max(0, (virtual.value.getVirtualItems()[0]?.start ?? 0) - (body.value?.offsetTop ?? 0)) : 0,
);
const below = computed(() =>
  long.value
    ? Math.max(
        0,
        virtual.value.getTotalSize() -
          (virtual.value.getVirtualItems().at(-1)?.end ?? 0) +
          (body.value?.offsetTop ?? 0),
      )
    : 0,
);
// The end of the list in view asks for the page after it.
watch(drawn, (indexes) => {
  if (long.value && props.more && !props.busy && (indexes.at(-1) ?? 0) >= lines.value.length - 10) emit('more');
});
/** The first new line takes the place of the button in the order of focus. */
async function showMore(): Promise<void> {
  const before = lines.value.length;
  emit('more');
  const stop = watch(lines, async (now) => {
    if (now.length <= before) return;
    stop();
    await nextTick();
    body.value
      ?.querySelectorAll<HTMLElement>('tr[data-line]')
      [before]?.querySelector<HTMLElement>('a, button')
      ?.focus();
  });
}
const FROM: Readonly<Record<NonNullable<ListColumn['from']>, string>> = {
  sm: 'max-sm:hidden',
  md: 'max-md:hidden',
  lg: 'max-lg:hidden',
  xl: 'max-xl:hidden',
};
const cellClass = ({ from, figures }: ListColumn): string =>
  `${from === undefined ? '' : FROM[from]} ${figures ? 'whitespace-nowrap text-right' : 'text-left'}`;
</script>

<template>
  <div>
    <table class="w-full border-b border-line" :aria-rowcount="more ? -1 : lines.length + 1">
      <caption class="sr-only">
        {{
          caption
        }}
      </caption>
      <thead class="border-b-2 border-ink/70 align-bottom">
        <tr>
          <th
            v-for="{ column, sorted } in shown"
            :key="column.id"
            scope="col"
            class="px-2 pb-1.5 text-sm font-semibold first:pl-0"
            :class="cellClass(column)"
            :aria-sort="sorted === false ? undefined : sorted === 'asc' ? 'ascending' : 'descending'"
          >
            <button
              v-if="column.sort"
              type="button"
              class="group inline-flex min-h-9 items-end gap-1.5 font-semibold"
              :class="sorted === false ? 'text-soft hover:text-ink' : 'text-ink'"
              @click="emit('order', orderBy(order, column.sort))"
            >
              {{ column.name }}
              <svg
                viewBox="0 0 8 12"
                class="mb-0.5 h-3 w-2"
                :class="sorted === false ? 'opacity-0 group-hover:opacity-60 group-focus-visible:opacity-60' : ''"
                aria-hidden="true"
              >
                <path :d="sorted === 'desc' ? 'M4 11 1 7.5h6z' : 'M4 1 1 4.5h6z'" fill="currentColor" />
                <path d="M4 1.5v9" stroke="currentColor" />
              </svg>
            </button>
            <span v-else class="inline-flex min-h-9 items-end text-soft">{{ column.name }}</span>
          </th>
          <th scope="col" class="w-10 pb-1 text-right font-normal">
            <Popover class="relative inline-block">
              <PopoverButton class="faint inline-flex size-9 items-center justify-center" title="Columns">
                <Columns3 :size="18" aria-hidden="true" /><span class="sr-only">Columns</span>
              </PopoverButton>
              <PopoverPanel
                class="absolute right-0 z-20 mt-1 w-56 border border-line bg-card p-3 text-left text-base shadow-md"
              >
                <p class="mb-1 text-sm font-bold">Columns</p>
                <label v-for="column in columns" :key="column.id" class="flex min-h-10 items-center gap-2.5">
                  <input
                    type="checkbox"
                    class="size-5 accent-(--bottle)"
                    :checked="!hidden.has(column.id)"
                    :disabled="column.always"
                    @change="choose(column.id)"
                  />{{ column.name }}
                </label>
              </PopoverPanel>
            </Popover>
          </th>
        </tr>
      </thead>
      <tbody ref="body">
        <tr v-if="above > 0" aria-hidden="true">
          <td :style="{ height: `${above}px` }" :colspan="shown.length + 1" />
        </tr>
        <tr
          v-for="index in drawn"
          :key="lines[index]!.id"
          data-line
          :data-index="index"
          class="border-b border-line last:border-b-0 hover:bg-band/60"
          :aria-rowindex="index + 2"
        >
          <td
            v-for="({ column }, place) in shown"
            :key="column.id"
            class="px-2 py-2.5 align-baseline first:pl-0"
            :class="cellClass(column)"
            :colspan="place === shown.length - 1 ? 2 : undefined"
          >
            <slot :name="`cell-${column.id}`" :row="lines[index]!.original" />
          </td>
        </tr>
        <tr v-if="below > 0" aria-hidden="true">
          <td :style="{ height: `${below}px` }" :colspan="shown.length + 1" />
        </tr>
      </tbody>
    </table>
    <button v-if="more && !long" type="button" class="quiet mt-4" :disabled="busy" @click="showMore">Show more</button>
    <p v-else-if="more" class="py-3 text-soft" aria-live="polite">{{ busy ? 'Reading on' : '' }}</p>
  </div>
</template>
