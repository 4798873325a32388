<script setup lang="ts">
import { useOutbox } from '../stores/outbox.ts';
import NotTakenEntry from './NotTakenEntry.vue';

/** What the server would not take stands above the work, never over it, until a person has dealt with it. */
const outbox = useOutbox();
</script>

<template>
  <div class="no-print max-h-72 overflow-y-auto border-b-2 border-alarm bg-card px-4 py-2 md:px-7" role="alert">
    <NotTakenEntry v-for="entry in outbox.notTaken" :key="entry.command.id" :entry="entry" />
  </div>
</template>
