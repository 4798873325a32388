<script setup lang="ts">
import { computed } from 'vue';
import type { NewerRow } from '../stores/rows.ts';
import { useShop } from '../stores/shop.ts';
import { rowDifferences } from './rowDifference.ts';
import SheetDialog from './SheetDialog.vue';

/** Two saves of one row: what one typed beside what somebody else saved meanwhile. Nothing is lost until one chooses. */
const props = defineProps<{
  newer: NewerRow;
  /** What this person typed, as it was sent. */
  mine: unknown;
  names?: Readonly<Record<string, string>>;
}>();
defineEmits<{ mine: []; theirs: []; close: [] }>();
const shop = useShop();
/** What the store keeps beside what people type. */
const OWN = new Set(['id', 'lastReading', 'version', 'left', 'free', 'reserved', 'reorder', 'onOrder', 'batches']);
const fields = computed(() => rowDifferences(props.mine, props.newer.row, props.names, OWN));
const who = computed(() => {
  const { changed } = props.newer;
  return changed === undefined
    ? 'Somebody saved it meanwhile.'
    : `${shop.say.person(changed.by)} saved it ${shop.say.time(changed.at)}.`;
});
</script>

<template>
  <SheetDialog title="Changed meanwhile" wide @close="$emit('close')">
    <p>{{ who }} What you typed is kept here; choose what is to stand.</p>
    <table v-if="fields.length > 0" class="mt-4 w-full border-y border-line text-left">
      <thead>
        <tr class="border-b border-line text-sm text-soft">
          <th class="py-1.5 pr-4 font-semibold" scope="col">Field</th>
          <th class="py-1.5 pr-4 font-semibold" scope="col">Yours</th>
          <th class="py-1.5 font-semibold" scope="col">Theirs</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="field in fields" :key="field.label" class="border-b border-line align-top last:border-b-0">
          <th class="py-2 pr-4 font-semibold" scope="row">{{ field.label }}</th>
          <td class="py-2 pr-4 text-bottle">{{ field.mine || 'nothing' }}</td>
          <td class="py-2 text-oxide">{{ field.theirs || 'nothing' }}</td>
        </tr>
      </tbody>
    </table>
    <p v-else class="mt-4 text-soft">You both typed the same.</p>
    <div class="mt-5 flex flex-wrap gap-3">
      <button type="button" class="primary" @click="$emit('mine')">Save mine over it</button>
      <button type="button" class="quiet" @click="$emit('theirs')">Take theirs</button>
    </div>
  </SheetDialog>
</template>
