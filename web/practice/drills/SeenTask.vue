<script setup lang="ts">
import { computed, ref } from 'vue';
import { seenDrill } from '../../../core/drills/index.ts';
import { useCauseNames } from '../causeNames.ts';
import LookPicture from '../looks/LookPicture.vue';
import AnswerRows from './AnswerRows.vue';
import JudgedLine from './JudgedLine.vue';

/** A look, to be judged: the lamp may be turned first. */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const { newest } = useCauseNames();
const drill = computed(() => (newest.value === null ? null : seenDrill(props.seed, newest.value)));
const picked = ref('');
const done = ref(false);
const lamp = ref(10);
const turn = (by: number): void => {
  lamp.value = (lamp.value + by + 12) % 12;
};
const rightName = computed(() => drill.value?.answers.find(({ id }) => id === drill.value?.answer)?.name ?? '');
function judge(): void {
  if (picked.value === '' || drill.value === null) return;
  done.value = true;
  emit('judged', { right: picked.value === drill.value.answer ? 1 : 0, of: 1 });
}
</script>

<template>
  <div v-if="drill" class="grid max-w-4xl gap-x-10 gap-y-4 md:grid-cols-[minmax(0,22rem)_minmax(0,16rem)]">
    <div>
      <h2 class="text-heading">{{ drill.name }}</h2>
      <LookPicture class="mt-2" :met="drill.met" :lamp="lamp" />
      <div v-if="drill.met.kind === 'deposit'" class="mx-auto mt-3 flex max-w-[300px] items-center justify-between">
        <button type="button" class="quiet size-12 p-0! text-xl" aria-label="Lamp back an hour" @click="turn(-1)">
          ↺
        </button>
        <span class="text-note font-semibold" aria-live="polite">Lamp at {{ lamp === 0 ? 12 : lamp }}</span>
        <button type="button" class="quiet size-12 p-0! text-xl" aria-label="Lamp on an hour" @click="turn(1)">
          ↻
        </button>
      </div>
    </div>
    <form class="grid content-start gap-3" @submit.prevent="judge">
      <AnswerRows v-model="picked" :answers="drill.answers" legend="What is it?" :done="done" />
      <button v-if="!done" type="submit" class="primary" :disabled="picked === ''">That is it</button>
    </form>
    <JudgedLine
      v-if="done"
      class="md:col-span-2"
      :right="picked === drill.answer"
      :words="`It is: ${rightName.charAt(0).toLowerCase()}${rightName.slice(1)}.`"
    />
  </div>
  <div v-else class="h-60 max-w-md bg-band" aria-busy="true" />
</template>
