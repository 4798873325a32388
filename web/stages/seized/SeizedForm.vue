<script setup lang="ts">
import { ref } from 'vue';
import type { JobUnit } from '../../../core/job/index.ts';
import { type Host, HOSTS } from '../../../core/seized/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** A screw that does not come: where it sits, in what, and what is close by. */
const props = defineProps<{ units: readonly JobUnit[] }>();
const emit = defineEmits<{ noted: [id: string] }>();
const form = useForm();
const draft = ref({ unit: '', where: '', thread: '', host: 'aluminium' as Host, partNumber: '', delicate: false });
function add(): void {
  const { unit, where, thread, host, partNumber, delicate } = draft.value;
  const id = freshId();
  if (
    form.send('note-seized', {
      id,
      unit: unit || (props.units[0]?.id ?? 'throttle-body'),
      where,
      thread,
      host,
      headWhole: true,
      nearDelicate: delicate,
      partNumber,
    })
  ) {
    emit('noted', id);
    draft.value = { ...draft.value, where: '' };
  }
}
</script>

<template>
  <form class="mt-4 grid max-w-2xl items-start gap-3 sm:grid-cols-2" @submit.prevent="add">
    <TextField
      v-model="draft.where"
      label="Which screw"
      placeholder="Valve screw, lower"
      :error="form.error('where') ?? form.general('where', 'why')"
    />
    <FieldBox v-slot="{ id }" label="On">
      <select :id="id" v-model="draft.unit" class="input">
        <option v-for="each in units" :key="each.id" :value="each.id === units[0]?.id ? '' : each.id">
          {{ each.name }}
        </option>
      </select>
    </FieldBox>
    <TextField v-model="draft.thread" label="Thread" placeholder="M5×14" />
    <TextField v-model="draft.partNumber" label="Number of the new one" placeholder="NP-05-0514" />
    <FieldBox v-slot="{ id }" label="It sits in">
      <select :id="id" v-model="draft.host" class="input">
        <option v-for="(host, key) in HOSTS" :key="key" :value="key">{{ host.name }}</option>
      </select>
    </FieldBox>
    <label class="flex min-h-11 items-center gap-2 sm:mt-6"
      ><input v-model="draft.delicate" type="checkbox" class="size-5 accent-bottle" /> motor, sensor or seal close
      by</label
    >
    <button type="submit" class="primary sm:col-span-2">Note the screw</button>
  </form>
</template>
