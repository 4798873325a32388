<script setup lang="ts">
import { computed, shallowRef } from 'vue';
import type { PracticeEntry } from '../../contract/index.ts';
import type { Sign } from '../../core/diagnose/index.ts';
import type { Job } from '../../core/job/index.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import LitLook from './looks/LitLook.vue';

/** What lies on the bench of a practice job, to be looked at: what it is, is recorded in the stage beside. */
const props = defineProps<{
  job: Job;
  signs: readonly Sign[];
  look: (sign: string) => Promise<PracticeEntry | null>;
}>();
const shown = shallowRef<PracticeEntry | null>(null);

const isOff = (unit: 'throttle-body' | 'idle-valve'): boolean =>
  props.job.items.some((item) => item.unit === unit && item.state === 'off');
/** Looks at what is off: each at its own unit. */
const looks = computed(() =>
  props.signs.filter(({ kind, of, method }) => {
    if (kind !== 'check' || method === null || method.key !== 'key off') return false;
    const idle = of.some((each) => each === 'idle-valve' || each === 'idle-actuator');
    const body = of.some((each) => each === 'throttle-body' || each === 'throttle-actuator');
    return (idle && isOff('idle-valve')) || (body && isOff('throttle-body'));
  }),
);
const nameOf = (id: string): string => props.signs.find((sign) => sign.id === id)?.name ?? id;
async function open(sign: string): Promise<void> {
  shown.value = await props.look(sign);
}
</script>

<template>
  <div v-if="looks.length > 0">
    <h4 class="text-sm font-bold">On the bench, to be looked at</h4>
    <ul class="rows mt-1 max-h-72 overflow-y-auto border-y border-line">
      <li v-for="sign in looks" :key="sign.id">
        <button
          type="button"
          class="flex min-h-11 w-full items-baseline justify-between gap-3 py-1.5 text-left text-note hover:text-bottle"
          @click="open(sign.id)"
        >
          {{ sign.name }}<span class="whitespace-nowrap text-sm text-soft">{{ sign.method?.minutes }} min</span>
        </button>
      </li>
    </ul>
    <SheetDialog v-if="shown" :title="nameOf(shown.what)" @close="shown = null">
      <p v-if="shown.answer?.said" class="border-l-4 border-oxide pl-3 font-semibold">{{ shown.answer.said }}</p>
      <template v-if="shown.answer?.met">
        <LitLook :met="shown.answer.met" />
        <p class="mt-4 text-note text-soft">
          What it is, is yours to say: grade it in the stage, or answer it at Diagnose.
        </p>
      </template>
    </SheetDialog>
  </div>
</template>
