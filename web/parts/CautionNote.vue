<script setup lang="ts">
import { computed } from 'vue';
import { caution, CAUTION_CLOSE } from '../../core/job/index.ts';
import { useJob } from '../stores/job.ts';

/** A caution where it matters: loud until acknowledged once on this job, then one quiet line. */
const props = defineProps<{ id: string }>();
const store = useJob();
const found = computed(() => caution(props.id));
const read = computed(() => store.job?.cautions.includes(props.id) ?? false);
</script>

<template>
  <div v-if="found && !read" class="border-l-[3px] border-alarm py-1 pl-3" role="note">
    <p class="font-semibold">{{ found.text }}</p>
    <p class="mt-1 text-fine leading-snug text-soft">{{ CAUTION_CLOSE }}</p>
    <button
      v-if="store.job?.status === 'open'"
      type="button"
      class="quiet mt-2 text-sm"
      @click="store.send('acknowledge-caution', { caution: id })"
    >
      I have read it
    </button>
  </div>
  <p v-else-if="found" class="border-l-[3px] border-line py-0.5 pl-3 text-sm text-soft" :title="found.text">
    {{ found.text.split(/(?<=\.)\s/)[0] }}
  </p>
</template>
