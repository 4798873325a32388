<script setup lang="ts">
import { ref } from 'vue';
import type { Need } from '../../../core/procedure/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import TextField from '../../parts/TextField.vue';
import { useTypedDraft } from '../../forms/typedDraft.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** Something that no procedure lists: a part, a cleaner, a tool, or a thing to be done first. */
const form = useForm();
const store = useJob();
const adding = ref(false);
const KINDS: readonly { readonly id: Need['kind']; readonly name: string }[] = [
  { id: 'part', name: 'Part' },
  { id: 'consumable', name: 'Cleaner or coolant' },
  { id: 'tool', name: 'Tool' },
  { id: 'do-first', name: 'To be done first' },
];
const kind = ref<Need['kind'] | null>('part');
const name = useTypedDraft(() => `need.${store.id}`);
const partNumber = ref('');
function add(): void {
  const need = {
    id: freshId(),
    kind: kind.value ?? 'part',
    name: name.value,
    partNumber: kind.value === 'do-first' ? '' : partNumber.value.trim(),
    note: '',
    caution: null,
  };
  if (!form.send('add-need', { need })) return;
  // Ready for the next one: lists are typed line by line.
  [name.value, partNumber.value] = ['', ''];
}
</script>

<template>
  <form v-if="adding || name !== ''" class="mt-4 flex flex-wrap items-end gap-3" @submit.prevent="add">
    <ChoiceRow v-model="kind" class="w-full" label="What kind of thing" :options="KINDS" hide-label />
    <TextField v-model="name" class="min-w-52 flex-1" label="What else is needed?" :error="form.error('name')" />
    <TextField v-if="kind !== 'do-first'" v-model="partNumber" class="w-44" label="Part number, if known" />
    <button type="submit" class="quiet">Put it on the list</button>
    <p v-if="form.general('name')" class="w-full font-semibold text-alarm" role="alert">{{ form.general('name') }}</p>
  </form>
  <button v-else type="button" class="quiet mt-4 text-sm" @click="adding = true">Something else is needed</button>
</template>
