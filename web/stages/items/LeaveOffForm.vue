<script setup lang="ts">
import { computed, ref } from 'vue';
import type { JobItem } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** What does not go back, on purpose, and why. */
const props = defineProps<{ item: JobItem }>();
const form = useForm();
const reason = ref<string | null>(null);
const says = computed(() =>
  props.item.backBefore === undefined ? 'Leave it off on purpose' : 'Leave it out on purpose',
);
function leaveOff(): void {
  if (reason.value !== null && form.send('leave-off-item', { itemId: props.item.id, reason: reason.value }))
    reason.value = null;
}
</script>

<template>
  <form v-if="reason !== null" class="grid gap-2" @submit.prevent="leaveOff">
    <TextField
      v-model="reason"
      :label="item.backBefore === undefined ? 'Why does it stay off?' : 'Why is it left out?'"
      :error="form.error('reason')"
    />
    <p v-if="form.general('reason')" class="font-semibold text-alarm" role="alert">{{ form.general('reason') }}</p>
    <button type="submit" class="quiet">{{ says }}</button>
  </form>
  <button v-else type="button" class="faint" @click="reason = ''">{{ says }}</button>
</template>
