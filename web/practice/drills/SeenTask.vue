<script setup lang="ts">
import { computed, ref } from 'vue';
import { seenDrill } from '../../../core/drills/index.ts';
import { lowerFirst } from '../../../core/words/index.ts';
import { useCauseNames } from '../causeNames.ts';
import LitLook from '../looks/LitLook.vue';
import AnswerForm from './AnswerForm.vue';
import JudgedLine from './JudgedLine.vue';

/** A look, to be judged: the lamp may be turned first. */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const { newest } = useCauseNames();
const drill = computed(() => (newest.value === null ? null : seenDrill(props.seed, newest.value)));
/** What was answered; empty before. */
const given = ref('');
const rightName = computed(() => drill.value?.answers.find(({ id }) => id === drill.value?.answer)?.name ?? '');
function judge(answer: string): void {
  given.value = answer;
  emit('judged', { right: answer === drill.value?.answer ? 1 : 0, of: 1 });
}
</script>

<template>
  <div v-if="drill" class="grid max-w-4xl gap-x-10 gap-y-4 md:grid-cols-[minmax(0,22rem)_minmax(0,16rem)]">
    <div>
      <h2 class="text-heading">{{ drill.name }}</h2>
      <LitLook class="mt-2" :met="drill.met" />
    </div>
    <AnswerForm :answers="drill.answers" legend="What is it?" @given="judge" />
    <JudgedLine
      v-if="given"
      class="md:col-span-2"
      :right="given === drill.answer"
      :words="`It is: ${lowerFirst(rightName)}.`"
    />
  </div>
  <div v-else class="h-60 max-w-md bg-band" aria-busy="true" />
</template>
