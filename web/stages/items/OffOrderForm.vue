<script setup lang="ts">
import { computed, ref } from 'vue';
import { comesOff, type Job, type JobItem } from '../../../core/job/index.ts';
import { OFF_REASONS, type OffReasonKind } from '../../../core/procedure/index.ts';
import { keysOf } from '../../parts/keysOf.ts';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** Adds “that comes off before this, because”: found at the vehicle, kept for the next one. */
const props = defineProps<{ job: Job; item: JobItem }>();
const form = useForm();
const open = ref(false);
const first = ref('');
const kind = ref<OffReasonKind>('reach');
const reason = ref('');
const others = computed(() =>
  props.job.items
    .filter((each) => each.id !== props.item.id && comesOff(each))
    .map(({ id, name }) => ({ id, words: name })),
);
function say(): void {
  if (
    form.send('say-off-order', { itemId: props.item.id, first: first.value, kind: kind.value, reason: reason.value })
  ) {
    open.value = false;
    first.value = reason.value = '';
  }
}
</script>

<template>
  <form v-if="open" class="grid gap-2" @submit.prevent="say">
    <PickField v-model="first" label="Off before it" placeholder="Which item?" :picks="others" />
    <label>
      <span class="mb-1 block text-sm font-semibold">Because it</span>
      <select v-model="kind" class="input">
        <option v-for="each in keysOf(OFF_REASONS)" :key="each" :value="each">{{ OFF_REASONS[each] }}</option>
      </select>
    </label>
    <TextField
      v-model="reason"
      label="In a few words"
      placeholder="the rail hangs on it"
      :error="form.error('first') ?? form.general('first')"
    />
    <button type="submit" class="quiet" :disabled="first === ''">Keep this order</button>
  </form>
  <button v-else type="button" class="faint" @click="open = true">Something comes off before it</button>
</template>
