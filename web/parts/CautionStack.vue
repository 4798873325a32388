<script setup lang="ts">
import { computed } from 'vue';
import { useJob } from '../stores/job.ts';
import CautionNote from './CautionNote.vue';

/** Cautions one at a time: those read stay as quiet lines, the first unread speaks up, the rest wait their turn. */
const props = defineProps<{ ids: readonly string[] }>();
const store = useJob();
const isRead = (id: string): boolean => store.job?.cautions.includes(id) ?? false;
const unread = computed(() => props.ids.filter((id) => !isRead(id)));
</script>

<template>
  <CautionNote v-if="unread[0]" :id="unread[0]" :key="unread[0]" />
  <p v-if="unread.length > 1" class="-mt-2 pl-3 text-sm text-soft">{{ unread.length - 1 }} more after this one</p>
  <CautionNote v-for="id in ids.filter(isRead)" :id="id" :key="id" />
</template>
