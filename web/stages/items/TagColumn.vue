<script setup lang="ts">
import type { JobItem } from '../../../core/job/index.ts';
import type { Row } from './layout.ts';
import TagItem from './TagItem.vue';

/** One column of tags, of which only the rows in sight are drawn. */
defineProps<{
  side: 'left' | 'right';
  /** Rows in sight, and how many there are in all. */
  rows: readonly Row[];
  total: number;
  selected: string;
  /** Height of a row, px. */
  pitch: number;
  nameOf: (item: JobItem) => string;
  noteOf: (item: JobItem) => string;
}>();
defineEmits<{ choose: [id: string] }>();
</script>

<template>
  <ol>
    <li
      v-for="row in rows"
      :key="row.item.id"
      :aria-posinset="row.row + 1"
      :aria-setsize="total"
      v-memo="[row.item, row.number, row.item.id === selected, noteOf(row.item), pitch]"
    >
      <TagItem
        :side="side"
        :number="row.number"
        :name="nameOf(row.item)"
        :note="noteOf(row.item)"
        :state="row.item.state"
        :selected="row.item.id === selected"
        :wet="side === 'left' && row.item.kind === 'coolant-hose'"
        @choose="$emit('choose', row.item.id)"
      />
    </li>
  </ol>
</template>

<style scoped>
li {
  height: var(--pitch);
}
</style>
