<script setup lang="ts">
import { ref } from 'vue';
import type { When } from '../../../core/job/index.ts';
import { storePicture } from '../../data/pictures.ts';
import { freshId, useJob } from '../../stores/job.ts';

/** Takes or picks a picture, stores it by its content and hangs it on the job. */
const props = defineProps<{ subject: string; when: When; caption: string }>();
const store = useJob();
const busy = ref(false);
const wrong = ref('');

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  if (file === undefined) return;
  busy.value = true;
  wrong.value = '';
  try {
    const { hash } = await storePicture(file);
    const refusal = store.send('attach-picture', {
      id: freshId(),
      hash,
      subject: props.subject,
      when: props.when,
      caption: props.caption,
    });
    if (refusal !== null) wrong.value = refusal.message;
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
    input.value = '';
  }
}
</script>

<template>
  <div>
    <label class="quiet cursor-pointer text-sm focus-within:outline-3 focus-within:outline-bottle">
      {{ busy ? 'Storing the picture' : `Picture ${when}` }}
      <input type="file" accept="image/jpeg,image/png,image/webp" class="sr-only" :disabled="busy" @change="take" />
    </label>
    <p v-if="wrong" class="mt-1 text-sm font-semibold text-alarm" role="alert">{{ wrong }}</p>
  </div>
</template>
