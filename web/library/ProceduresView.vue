<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { ProcedureFile } from '../../contract/index.ts';
import { WORK_KINDS } from '../../core/procedure/index.ts';
import { takeProcedureFile, useProcedures } from '../data/procedures.ts';
import { useTakeFile } from './takeFile.ts';

/** The procedures library: what comes off, in which order, and what binds the way back. */
const router = useRouter();
const { rows: read, failed } = useProcedures();
const rows = computed(() => read.value ?? []);

const groups = computed(() => {
  const families = [...new Set(rows.value.map(({ family }) => family))].sort();
  return families.map((family) => ({ family, rows: rows.value.filter((row) => row.family === family) }));
});

const { wrong, readFile } = useTakeFile(async (file) => {
  const saved = await takeProcedureFile(file as ProcedureFile);
  await router.push(`/procedures/${saved.id}`);
});
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <div class="flex flex-wrap items-center gap-3">
      <h1 class="text-title">Procedures</h1>
      <span class="ml-auto flex flex-wrap gap-2">
        <label class="quiet cursor-pointer text-sm focus-within:outline-3 focus-within:outline-bottle"
          >Read a file<input type="file" accept=".json,application/json" class="sr-only" @change="readFile"
        /></label>
        <RouterLink class="quiet text-sm" to="/recipes">Relearn and bleeding recipes</RouterLink>
        <RouterLink class="primary" to="/procedures/new">Write one</RouterLink>
      </span>
    </div>
    <p class="mt-1 max-w-prose text-soft">
      What comes off, in which order, and what binds the way back. A job keeps the version that it began with.
    </p>
    <p v-if="failed" class="mt-4 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <ul v-if="wrong.length > 0" class="mt-4 border-l-[3px] border-alarm py-1 pl-3" role="alert">
      <li v-for="(line, index) in wrong" :key="line" :class="index === 0 ? 'font-semibold text-alarm' : 'text-note'">
        {{ line }}
      </li>
    </ul>
    <section v-for="group in groups" :key="group.family" class="mt-6">
      <h2 class="text-sm font-bold">{{ group.family }}</h2>
      <ul class="rows mt-1 border-y border-line">
        <li v-for="row in group.rows" :key="row.id">
          <RouterLink
            :to="`/procedures/${row.id}`"
            class="grid gap-x-5 py-3 hover:bg-band md:grid-cols-[1fr_12rem_14rem_6rem]"
            ><span class="font-semibold">{{ row.name }}</span
            ><span class="text-soft">{{ row.work === null ? '' : WORK_KINDS[row.work] }}</span
            ><span class="text-soft">{{ row.items }} items, {{ row.constraints }} reasons</span
            ><span class="text-soft md:text-right">version {{ row.version }}</span></RouterLink
          >
        </li>
      </ul>
    </section>
    <p v-if="rows.length === 0 && !failed" class="mt-6 text-soft">
      The library is empty. Write one, read a file, or let a finished job write it.
    </p>
  </section>
</template>
