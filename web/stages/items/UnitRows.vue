<script setup lang="ts">
import { computed } from 'vue';
import { type Job, type JobItem, renewalOf } from '../../../core/job/index.ts';
import { useJob } from '../../stores/job.ts';

/** A unit on its way back: old or new, and what moves over to a new one. */
const props = defineProps<{ job: Job; item: JobItem }>();
const renew = defineModel<boolean | null>('renew', { required: true });
const store = useJob();
/** As decided on the bench, until somebody says otherwise here. */
const decided = computed(() => renewalOf(props.job, props.item));
const renewed = computed({
  get: () => renew.value ?? decided.value !== null,
  set: (on) => (renew.value = on),
});
const riders = computed(() => props.job.items.filter(({ swapFrom }) => swapFrom === props.item.id));
</script>

<template>
  <section v-if="(item.kind === 'unit' || decided) && item.state === 'off'" class="grid gap-2">
    <label class="flex min-h-10 items-center gap-3 text-note"
      ><input v-model="renewed" type="checkbox" class="size-6 accent-bottle" />
      <span
        >{{ decided ? 'The other one goes on, as decided on the bench' : 'A new one goes on instead'
        }}<span v-if="decided?.partNumber" class="code ml-1">{{ decided.partNumber }}</span></span
      ></label
    >
    <ul v-if="renewed && riders.length > 0" class="rows border-y border-line" aria-label="To move over">
      <li v-for="rider in riders" :key="rider.id" class="flex min-h-11 items-center justify-between gap-3">
        <span>{{ rider.name }}</span>
        <span v-if="rider.swapped" class="font-semibold text-moss">moved over</span>
        <button v-else type="button" class="quiet text-sm" @click="store.send('swap-over', { itemId: rider.id })">
          Moved over
        </button>
      </li>
    </ul>
  </section>
</template>
