<script setup lang="ts">
import { computed, ref } from 'vue';
import type { ItemKind } from '../../../core/procedure/index.ts';
import type { Job } from '../../../core/job/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: []; added: [id: string] }>();
const form = useForm();
const name = ref('');
const kind = ref<ItemKind | null>('other');

const kinds: readonly { id: ItemKind; name: string }[] = [
  { id: 'connector', name: 'Plug' },
  { id: 'hose', name: 'Hose' },
  { id: 'coolant-hose', name: 'Coolant hose' },
  { id: 'clamp', name: 'Clamp' },
  { id: 'bracket', name: 'Bracket' },
  { id: 'cover', name: 'Cover' },
  { id: 'fasteners', name: 'Fasteners' },
  { id: 'gasket', name: 'Gasket' },
  { id: 'other', name: 'Other' },
];
/** A few letters find what the procedure still has on. */
const known = computed(() => {
  const words = name.value.toLowerCase().split(/\s+/).filter(Boolean);
  if (words.length === 0) return [];
  return props.job.items
    .filter((item) => item.state === 'on' && words.every((word) => item.name.toLowerCase().includes(word)))
    .slice(0, 5);
});

function takeKnown(itemId: string): void {
  const item = props.job.items.find(({ id }) => id === itemId);
  if (form.send('remove-item', { itemId, pocket: '', label: '', countedOut: item?.fasteners?.count ?? null }))
    emit('added', itemId);
}
function add(): void {
  const id = freshId();
  const made = form.send('add-item', {
    item: {
      id,
      name: name.value,
      kind: kind.value ?? 'other',
      tool: '',
      note: '',
      opens: [],
      fasteners: null,
      singleUse: false,
      partNumber: '',
      unit: null,
      cautions: [],
    },
  });
  if (made && form.send('remove-item', { itemId: id, pocket: '', label: '', countedOut: null })) emit('added', id);
}
</script>

<template>
  <SheetDialog title="Something came off" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="add">
      <TextField
        v-model="name"
        label="What is it?"
        placeholder="coolant hose, left"
        :error="form.error('name') ?? form.general('name')"
      />
      <ul v-if="known.length > 0" class="rows border-y border-line" aria-label="In the procedure">
        <li v-for="item in known" :key="item.id">
          <button
            type="button"
            class="flex min-h-12 w-full items-center justify-between text-left font-semibold hover:text-bottle"
            @click="takeKnown(item.id)"
          >
            {{ item.name }} <span class="text-sm font-normal text-soft">in the procedure: take it off</span>
          </button>
        </li>
      </ul>
      <ChoiceRow v-model="kind" label="Kind" :options="kinds" />
      <button type="submit" class="primary">Add it as off</button>
    </form>
  </SheetDialog>
</template>
