<script setup lang="ts">
import { ref } from 'vue';
import { stillInDrill } from '../../../core/drills/index.ts';
import AnswerRows from './AnswerRows.vue';
import JudgedLine from './JudgedLine.vue';

/** Notes of a way there and back: before the key is turned, what did nobody take out? */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const drill = stillInDrill(props.seed);
const answers = drill.answers.map((what) => ({ id: what, name: what.charAt(0).toUpperCase() + what.slice(1) }));
const picked = ref('');
const done = ref(false);
function judge(): void {
  if (picked.value === '') return;
  done.value = true;
  emit('judged', { right: picked.value === drill.answer ? 1 : 0, of: 1 });
}
</script>

<template>
  <div class="grid max-w-4xl gap-x-10 gap-y-4 md:grid-cols-[minmax(0,1fr)_minmax(0,20rem)]">
    <section aria-label="What was noted">
      <h2 class="text-heading">What was noted</h2>
      <ol class="mt-2 grid gap-1 border-l-2 border-line pl-4">
        <li v-for="line in drill.lines" :key="line" class="py-0.5 text-action">{{ line }}</li>
      </ol>
    </section>
    <form class="grid content-start gap-3" @submit.prevent="judge">
      <AnswerRows v-model="picked" :answers="answers" legend="What is still in?" :done="done" />
      <button v-if="!done" type="submit" class="primary" :disabled="picked === ''">That is it</button>
    </form>
    <JudgedLine
      v-if="done"
      class="md:col-span-2"
      :right="picked === drill.answer"
      :words="`Still in is ${drill.answer}.`"
    />
  </div>
</template>
