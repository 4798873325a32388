<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job, JobItem } from '../../../core/job/index.ts';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** Adds “this before that, because”: discovered at the vehicle, kept for the way back. */
const props = defineProps<{ job: Job; item: JobItem }>();
const form = useForm();
const open = ref(false);
const other = ref('');
const reason = ref('');
const others = computed(() =>
  props.job.items
    .filter(({ id, origin }) => id !== props.item.id && origin !== 'plug')
    .map(({ id, name }) => ({ id, words: name })),
);

function add(): void {
  if (
    form.send('add-constraint', {
      constraint: { kind: 'before', id: freshId(), a: props.item.id, b: other.value, reason: reason.value },
    })
  ) {
    open.value = false;
    reason.value = '';
  }
}
</script>

<template>
  <form v-if="open" class="grid gap-2" @submit.prevent="add">
    <PickField v-model="other" label="Must go back before" placeholder="Which item?" :picks="others" />
    <TextField
      v-model="reason"
      label="Because"
      placeholder="the bracket closes the way"
      :error="form.error('reason') ?? form.general('reason')"
    />
    <button type="submit" class="quiet" :disabled="other === ''">Keep this order</button>
  </form>
  <button v-else type="button" class="faint" @click="open = true">It must go back before something</button>
</template>
