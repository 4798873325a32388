<script setup lang="ts">
import { computed } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';

/** What moves from the old unit to the new one. */
const props = defineProps<{ job: Job }>();
const store = useJob();
const swaps = computed(() => props.job.items.filter(({ swapFrom }) => swapFrom !== undefined));
</script>

<template>
  <div>
    <h3 class="text-lg">To move over</h3>
    <ul v-if="swaps.length > 0" class="rows border-y border-line text-note">
      <li v-for="item in swaps" :key="item.id" class="flex items-center justify-between gap-3 py-2">
        <span>{{ item.name }}</span>
        <span v-if="item.swapped" class="text-moss">moved over</span>
        <button
          v-else-if="job.status === 'open'"
          type="button"
          class="quiet text-sm"
          @click="store.send('swap-over', { itemId: item.id })"
        >
          Moved over
        </button>
      </li>
    </ul>
    <p v-else class="text-note text-soft">
      The procedure names nothing. Look for arms, brackets, plugs and clips on the old one.
    </p>
  </div>
</template>
