<script setup lang="ts">
import { computed, ref } from 'vue';
import { judgeMix, mixDrill } from '../../../core/drills/index.ts';
import { fieldIn, readIn } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import JudgedLine from './JudgedLine.vue';

/** A system that lost some coolant: how much concentrate goes in, so that it comes out right? */
const props = defineProps<{ seed: number }>();
const emit = defineEmits<{ judged: [got: { right: number; of: number }] }>();
const drill = mixDrill(props.seed);
const typed = ref('');
const wrong = ref('');
const poured = ref<number | null>(null);
const judged = computed(() => (poured.value === null ? null : judgeMix(drill, poured.value)));
const percent = (share: number): string => `${Math.round(share * 100)} %`;
const field = fieldIn('L', [0, drill.lost]);
function judge(): void {
  const read = readIn(typed.value, 'L', [0, drill.lost]);
  wrong.value = !read.ok
    ? read.message
    : read.value > drill.lost || read.value < 0
      ? `Between nothing and the ${drill.lost} L that are missing.`
      : '';
  if (!read.ok || wrong.value !== '') return;
  const litres = read.value;
  poured.value = litres;
  emit('judged', { right: judgeMix(drill, litres).isRight ? 1 : 0, of: 1 });
}
</script>

<template>
  <form class="grid max-w-xl gap-5" @submit.prevent="judge">
    <dl class="rows border-y border-line text-lg">
      <div class="flex justify-between gap-4 py-2">
        <dt>The system holds</dt>
        <dd class="font-bold tabular-nums">{{ drill.volume }} L</dd>
      </div>
      <div class="flex justify-between gap-4 py-2">
        <dt>Ran out and is thrown away</dt>
        <dd class="font-bold tabular-nums">{{ drill.lost }} L</dd>
      </div>
      <div class="flex justify-between gap-4 py-2">
        <dt>What is left in it reads</dt>
        <dd class="font-bold tabular-nums">{{ percent(drill.share) }}</dd>
      </div>
      <div class="flex justify-between gap-4 py-2">
        <dt>It should read, once full</dt>
        <dd class="font-bold tabular-nums">{{ percent(drill.target) }}</dd>
      </div>
    </dl>
    <FigureField
      v-model="typed"
      label="Concentrate to pour in; water makes up the rest"
      :field="field"
      :error="wrong"
    />
    <button v-if="judged === null" type="submit" class="primary justify-self-start" :disabled="typed.trim() === ''">
      Pour it in
    </button>
    <JudgedLine v-else :right="judged.isRight" :words="judged.words" />
  </form>
</template>
