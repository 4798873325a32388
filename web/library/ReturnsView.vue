<script setup lang="ts">
import { computed } from 'vue';
import type { ReturnLine } from '../../contract/index.ts';
import { FAIL_CODES, type FailCode } from '../../core/job/index.ts';
import { sayDate } from '../../core/days/index.ts';
import { sendReturn, useFailCodes, useReturns } from '../data/followUps.ts';
import { useShop } from '../stores/shop.ts';

/** Units that came off for good, each with its fail code, until they are sent back. */
const shop = useShop();
const { rows, next, failed, loaded, more, reload } = useReturns();
const { data: codes } = useFailCodes();
async function sent(line: ReturnLine): Promise<void> {
  try {
    await sendReturn(line);
    await reload();
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
/** How often each code came: what keeps failing shows. */
const counts = computed(() =>
  (codes.value?.failCodes ?? []).map(({ code, count }) => ({ count, name: FAIL_CODES[code as FailCode] ?? code })),
);
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p class="text-sm"><RouterLink class="link" to="/stock">Stock</RouterLink></p>
    <h1 class="text-title">Returns box</h1>
    <p class="mt-1 text-soft">What came off for good, with its fail code.</p>
    <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <ul v-if="loaded" class="rows mt-4 max-w-4xl border-y border-line">
      <li v-for="row in rows" :key="row.jobId + row.id" class="flex flex-wrap items-center gap-x-5 gap-y-1 py-3">
        <span class="code w-14 text-lg font-bold">{{ row.failCode }}</span>
        <span class="min-w-56 flex-1">
          <span class="font-semibold">{{ FAIL_CODES[row.failCode as FailCode] }}</span><span
            v-if="row.failNote"
            class="text-soft"
            >, {{ row.failNote }}</span
          >
          <span class="block text-sm text-soft"
            ><span class="code">{{ row.oldNumber || 'no number' }}</span
            >, tag {{ row.oldUnit || 'none' }}, off {{ row.plate }},
            <RouterLink class="link" :to="`/jobs/${row.jobId}`">job {{ row.number }}</RouterLink
            >; replaced by <span class="code">{{ row.newNumber }}</span>{{
              row.warrantyUntil ? `, warranty until ${sayDate(row.warrantyUntil)}` : ', no warranty'
            }}</span
          >
        </span>
        <span v-if="row.sentAt" class="text-moss">sent {{ shop.say.time(row.sentAt) }}</span>
        <button v-else type="button" class="quiet text-sm" @click="sent(row)">Sent back</button>
      </li>
      <li v-if="rows.length === 0" class="py-3 text-soft">
        The box is empty. A unit that is replaced in a job lands here with its code.
      </li>
    </ul>
    <button v-if="next" type="button" class="quiet mt-3" @click="more">Show more</button>
    <p v-if="counts.length > 0" class="mt-4 text-soft">
      So far: {{ counts.map(({ count, name }) => `${count} × ${name.toLowerCase()}`).join(', ') }}.
    </p>
  </section>
</template>
