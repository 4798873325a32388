<script setup lang="ts">
import { computed, ref } from 'vue';
import { causesOf } from '../../core/diagnose/index.ts';
import { subjectOf } from '../../core/job/index.ts';
import { dropStores } from '../data/browserStore.ts';
import { endPractice } from '../data/practice.ts';
import { WORLD } from '../data/world.ts';
import PickField from '../parts/PickField.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { useJob } from '../stores/job.ts';
import { useOutbox } from '../stores/outbox.ts';

/** Says what was wrong: one cause, or two. After it the job is ended, and what was hidden is shown. */
const props = defineProps<{ tags: Readonly<Record<string, number>> }>();
defineEmits<{ close: [] }>();
const store = useJob();
const outbox = useOutbox();
const most = Object.entries(props.tags).sort(([, a], [, b]) => b - a)[0]?.[0] ?? '';
const first = ref(most);
const second = ref('');
const problem = ref('');
const busy = ref(false);
const picks = computed(() => {
  const { job, knowledge, family } = store;
  return job === null || knowledge === null
    ? []
    : causesOf(knowledge, subjectOf(job, family)).map(({ id, name }) => ({ id, words: name }));
});
async function say(): Promise<void> {
  if (first.value === '') {
    problem.value = 'Say what it was.';
    return;
  }
  if (outbox.count > 0) {
    problem.value = 'Not everything is saved yet; in a moment.';
    return;
  }
  busy.value = true;
  try {
    const { id } = await endPractice(
      WORLD.practice ?? '',
      [first.value, second.value].filter((each) => each !== ''),
    );
    await dropStores();
    location.assign(`/practice/jobs/${id}/review`);
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
    busy.value = false;
  }
}
</script>

<template>
  <SheetDialog title="What was it?" @close="$emit('close')">
    <form class="grid gap-4" @submit.prevent="say">
      <p class="max-w-prose text-soft">
        This ends the practice job: work that is not done yet stays undone. Then you see what was hidden, and both ways
        side by side.
      </p>
      <PickField v-model="first" label="It was" :picks="picks" :error="problem" />
      <PickField v-model="second" label="And beside it" none="Nothing else" :picks="picks" />
      <button type="submit" class="primary" :disabled="busy">Say so, and end it</button>
    </form>
  </SheetDialog>
</template>
