<script setup lang="ts">
import { computed } from 'vue';
import { type Job, type JobItem } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';

/** Units on the bench, each finished by itself: a bank that is ready need not wait for the other. */
const props = defineProps<{ job: Job }>();
const store = useJob();
const units = computed(() => props.job.items.filter(({ kind, state }) => kind === 'unit' && state === 'off'));
const isDone = ({ id }: JobItem): boolean => props.job.unitWorkDone.some(({ itemId }) => itemId === id);
</script>

<template>
  <section v-if="units.length > 1" class="mt-5">
    <h3 class="text-sm font-bold">Units on the bench</h3>
    <ul class="rows mt-1 border-y border-line">
      <li v-for="unit in units" :key="unit.id" class="flex items-center justify-between gap-3 py-2">
        <span :class="isDone(unit) ? 'text-soft' : 'font-semibold'">{{ unit.name }}</span>
        <span v-if="isDone(unit)" class="font-semibold text-moss">ready to go back</span>
        <button
          v-else-if="job.status === 'open'"
          type="button"
          class="quiet text-sm"
          @click="store.send('finish-bench', { itemId: unit.id, note: '' })"
        >
          Bench work is finished
        </button>
      </li>
    </ul>
  </section>
</template>
