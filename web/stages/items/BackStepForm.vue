<script setup lang="ts">
import { ref } from 'vue';
import { plainItem } from '../../../core/procedure/index.ts';
import type { JobItem } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** A step that exists only on the way back: vacuum the valley, clean the seat, route the hose under. */
const props = defineProps<{ item: JobItem }>();
const form = useForm();
const open = ref(false);
const name = ref('');
const why = ref('');
function add(): void {
  const step = plainItem(freshId(), name.value.trim(), 'other', { note: why.value.trim(), backBefore: props.item.id });
  if (form.send('add-item', { item: step })) {
    open.value = false;
    name.value = why.value = '';
  }
}
</script>

<template>
  <form v-if="open" class="grid gap-2" @submit.prevent="add">
    <TextField
      v-model="name"
      label="To do before it goes back"
      placeholder="vacuum the valley"
      :error="form.error('name') ?? form.general('name')"
    />
    <TextField v-model="why" label="Because" placeholder="what lies there falls into the ports" />
    <button type="submit" class="quiet">Keep this step</button>
  </form>
  <button v-else type="button" class="faint" @click="open = true">Something to do before it goes back</button>
</template>
