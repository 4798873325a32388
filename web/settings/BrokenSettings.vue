<script setup lang="ts">
import { useKeeping } from '../data/keeping.ts';

/** Settings that were said and cannot be read any more: what holds instead is told, until somebody sets them anew. */
const { data: keeping } = useKeeping();
</script>

<template>
  <div
    v-if="keeping && keeping.broken.length > 0"
    class="mt-6 max-w-3xl border-l-4 border-oxide bg-band px-4 py-3"
    role="alert"
  >
    <p v-for="setting in keeping.broken" :key="setting.key">
      <b class="text-oxide">The store cannot read {{ setting.name }}.</b>
      {{ setting.holds === null ? 'What is usual holds instead.' : `“${setting.holds}” holds instead.` }} Set it anew
      below.
    </p>
  </div>
</template>
