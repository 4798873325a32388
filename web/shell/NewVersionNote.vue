<script setup lang="ts">
import { ref } from 'vue';
import { useOutbox } from '../stores/outbox.ts';
import { newVersionReady } from './newVersionReady.ts';

/** A newer program is offered where nothing is covered by it, and waits as long as the person likes. */
const outbox = useOutbox();
const later = ref(false);
</script>

<template>
  <p
    v-if="!later"
    class="no-print flex flex-wrap items-center gap-x-4 gap-y-1 border-b border-line bg-band px-4 py-1.5 md:px-7"
    role="status"
  >
    <span class="min-w-0 flex-1 basis-72"
      ><b>A new version is here.</b> The page loads anew;
      {{ outbox.count > 0 ? 'what waits is sent after.' : 'no work is lost.' }}</span
    >
    <span class="flex gap-x-3">
      <button type="button" class="quiet" @click="newVersionReady?.()">Take it now</button>
      <button type="button" class="quiet" @click="later = true">Later</button>
    </span>
  </p>
</template>
