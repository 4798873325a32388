<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref } from 'vue';
import { type FastenerGroup, type ItemKind, plainItem } from '../../../core/procedure/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import { isSpec, specFromText, type TorqueSpec } from '../../../core/torque/index.ts';
import { freePocket, hangsLoose, type Job, placeFor, tagFor } from '../../../core/job/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import FigureField from '../../parts/FigureField.vue';
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

/** Fasteners are counted as they come out, and tightened to a figure if somebody knows one. */
const count = ref('4');
const thread = ref('M6');
const torque = ref('');
const countProblem = ref<string | null>(null);
function readFasteners(): FastenerGroup | null {
  countProblem.value = null;
  if (kind.value !== 'fasteners') return null;
  const number = numberIn(count.value, FIELDS.count);
  if (!Number.isInteger(number) || number < 1 || number > 200) countProblem.value = 'Expected 1 to 200.';
  const spec = torque.value.trim() === '' ? null : specFromText(torque.value, null);
  return {
    count: number,
    thread: thread.value,
    into: '',
    bolts: [],
    fractions: spec === null ? [1] : [0.5, 1],
    spec: spec === null || isSpec(spec) ? spec : unread(torque.value),
  };
}
/** What cannot be read goes to core as it was typed, which says beside the field what is wrong with it. */
const unread = (text: string): TorqueSpec => ({
  text,
  lowNm: 1,
  highNm: 1,
  targetNm: 1,
  angleDeg: null,
  source: null,
});
function takeKnown(itemId: string): void {
  const item = props.job.items.find(({ id }) => id === itemId);
  if (item === undefined) return;
  const taken = form.send('remove-item', {
    itemId,
    pocket: placeFor(props.job, item),
    label: tagFor(item),
    countedOut: item.fasteners?.count ?? null,
  });
  if (taken) emit('added', itemId);
}
function add(): void {
  const id = freshId();
  const fasteners = readFasteners();
  if (countProblem.value !== null) return;
  const made = form.send('add-item', {
    item: plainItem(id, name.value, kind.value ?? 'other', { fasteners }),
  });
  const countedOut = fasteners?.count ?? null;
  const pocket = hangsLoose({ kind: kind.value ?? 'other' }) ? '' : freePocket(props.job);
  if (made && form.send('remove-item', { itemId: id, pocket, label: '', countedOut })) emit('added', id);
}
</script>

<template>
  <SheetDialog title="Something came off" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="add">
      <TextField
        v-model="name"
        label="What is it?"
        placeholder="coolant hose, left"
        :error="form.error('name') ?? form.general('name', 'torque')"
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
      <div v-if="kind === 'fasteners'" class="grid grid-cols-3 gap-3">
        <FigureField v-model="count" label="How many" :field="FIELDS.count" :error="countProblem" />
        <TextField v-model="thread" label="Thread" placeholder="M6×20" />
        <FigureField
          v-model="torque"
          :field="FIELDS.torqueSpec"
          label="Torque, if known"
          placeholder="8–10 Nm"
          :error="form.error('torque')"
        />
      </div>
      <button type="submit" class="primary">Add it as off</button>
    </form>
  </SheetDialog>
</template>
