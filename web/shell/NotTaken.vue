<script setup lang="ts">
import { useOutbox } from '../stores/outbox.ts';

/** What the server would not take stands above the work, never over it, until a person has dealt with it. */
const outbox = useOutbox();
</script>

<template>
  <div class="no-print max-h-60 overflow-y-auto border-b-2 border-alarm bg-card px-4 py-2 md:px-7" role="alert">
    <div
      v-for="entry in outbox.notTaken"
      :key="entry.command.id"
      class="flex flex-wrap items-center gap-x-6 gap-y-1 py-1.5"
    >
      <div class="min-w-0 flex-1">
        <p class="font-bold">Not taken: {{ entry.message }}</p>
        <p v-if="entry.wouldHelp">{{ entry.wouldHelp }}</p>
        <p v-if="entry.meant" class="text-sm text-soft">
          You had: {{ entry.meant }} ·
          <RouterLink class="link" :to="`/jobs/${entry.jobId}`">to the job</RouterLink>
        </p>
      </div>
      <button type="button" class="quiet" @click="outbox.again(entry)">Send it again</button>
      <button type="button" class="quiet" @click="outbox.read(entry)">I have read it</button>
    </div>
  </div>
</template>
