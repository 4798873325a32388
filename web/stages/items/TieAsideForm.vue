<script setup lang="ts">
import { ref } from 'vue';
import type { JobItem } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** What may stay connected and is only moved out of the way: nothing of it is undone, and it comes back to its place. */
const props = defineProps<{ item: JobItem }>();
const emit = defineEmits<{ tied: [] }>();
const form = useForm();
const where = ref<string | null>(null);
function tie(): void {
  if (where.value === null || !form.send('tie-aside', { itemId: props.item.id, where: where.value })) return;
  where.value = null;
  emit('tied');
}
</script>

<template>
  <form v-if="where !== null" class="grid gap-2" @submit.prevent="tie">
    <TextField
      v-model="where"
      label="Tied where?"
      placeholder="left wing, to the strut"
      :error="form.error('where') ?? form.general('where')"
    />
    <button type="submit" class="quiet">Tie it aside, connected</button>
  </form>
  <button v-else type="button" :class="item.mayStay ? 'quiet' : 'faint'" @click="where = item.mayStay ?? ''">
    {{ item.mayStay ? 'It may stay connected: tie it aside' : 'It stays connected, tied aside' }}
  </button>
</template>
