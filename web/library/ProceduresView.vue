<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue';
import { api } from '../stores/api.ts';

const rows = shallowRef<readonly { id: string; name: string; family: string; version: number }[]>([]);
const failed = ref('');
onMounted(async () => {
  try {
    rows.value = (await api.get<{ rows: typeof rows.value }>('/procedures')).rows;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
});
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <h1 class="text-[1.75rem]">Procedures</h1>
    <p class="mt-1 max-w-prose text-soft">
      What comes off, in which order, and what binds the way back. A job keeps the version that it began with.
    </p>
    <p v-if="failed" class="mt-4 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <ul class="rows mt-5 border-y border-line">
      <li v-for="row in rows" :key="row.id">
        <RouterLink :to="`/procedures/${row.id}`" class="grid gap-x-5 py-3.5 hover:bg-band md:grid-cols-[1fr_1fr_auto]"
          ><span class="font-semibold">{{ row.name }}</span
          ><span class="text-soft">{{ row.family }}</span
          ><span class="text-soft">version {{ row.version }}</span></RouterLink
        >
      </li>
      <li v-if="rows.length === 0 && !failed" class="py-4 text-soft">
        The library is empty. A shop file brings procedures in.
      </li>
    </ul>
  </section>
</template>
