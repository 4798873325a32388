<script setup lang="ts">
import { useOutbox } from '../stores/outbox.ts';

const outbox = useOutbox();
const typed = (data: object): string =>
  Object.values(data)
    .filter((value): value is string => typeof value === 'string' && value.length > 0 && !/^[0-9a-f-]{36}$/.test(value))
    .join(' · ');
</script>

<template>
  <div class="no-print fixed bottom-28 right-4 z-30 max-w-md border-2 border-alarm bg-card p-4" role="alert">
    <div v-for="entry in outbox.notTaken" :key="entry.command.id" class="py-1">
      <p class="font-bold">Not taken: {{ entry.message }}</p>
      <p v-if="entry.wouldHelp">{{ entry.wouldHelp }}</p>
      <p class="text-sm text-soft">
        You had: {{ entry.command.type.replaceAll('-', ' ') }} {{ typed(entry.command.data) }}
      </p>
      <button type="button" class="quiet mt-2 text-sm" @click="outbox.read(entry)">I have read it</button>
    </div>
  </div>
</template>
