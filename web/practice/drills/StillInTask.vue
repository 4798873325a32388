<script setup lang="ts">
import { ref } from 'vue';
import { stillInDrill } from '../../../core/drills/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import AnswerForm from './AnswerForm.vue';
import JudgedLine from './JudgedLine.vue';

/** Notes of a way there and back: before the key is turned, what did nobody take out? */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const drill = stillInDrill(props.seed);
const answers = drill.answers.map((what) => ({ id: what, name: upperFirst(what) }));
/** What was answered; empty before. */
const given = ref('');
function judge(answer: string): void {
  given.value = answer;
  emit('judged', { right: answer === drill.answer ? 1 : 0, of: 1 });
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
    <AnswerForm :answers="answers" legend="What is still in?" @given="judge" />
    <JudgedLine
      v-if="given"
      class="md:col-span-2"
      :right="given === drill.answer"
      :words="`Still in is ${drill.answer}.`"
    />
  </div>
</template>
