<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef, useTemplateRef } from 'vue';
import type { OnOrderLine, OnOrderReply } from '../../contract/index.ts';
import { giveCommand } from '../data/jobCommand.ts';
import { readOnOrder } from '../data/supplier.ts';
import { useShop } from '../stores/shop.ts';

/** What is unpacked is scanned and booked for the job that waits for it; what is late says who waits. */
const shop = useShop();
const code = ref('');
const all = shallowRef<OnOrderReply | null>(null);
const fits = shallowRef<readonly OnOrderLine[] | null>(null);
const said = ref('');
const problem = ref('');
const field = useTemplateRef<HTMLInputElement>('field');
async function load(): Promise<void> {
  try {
    all.value = await readOnOrder();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
void load();
// The scanner types into what has the focus: it is never to be looked for.
onMounted(() => field.value?.focus());
async function scan(): Promise<void> {
  said.value = problem.value = '';
  fits.value = null;
  if (code.value.trim() === '') return;
  try {
    const { rows } = await readOnOrder(code.value);
    if (rows.length === 1) await book(rows[0]!);
    else if (rows.length === 0)
      problem.value = `No job waits for “${code.value.trim()}”. It can be booked into stock instead.`;
    else fits.value = rows;
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
async function book(line: OnOrderLine): Promise<void> {
  try {
    await giveCommand(line.jobId, {
      type: 'tick-need',
      data: { needId: line.needId, state: 'ready', expected: null },
    });
    said.value = `${line.name} is here for job ${line.number}, ${line.plate}.`;
    code.value = problem.value = '';
    fits.value = null;
    await load();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
  await nextTick();
  field.value?.focus();
}
const rows = computed(() => fits.value ?? all.value?.rows ?? []);
const late = (line: OnOrderLine): boolean => line.expected !== null && line.expected < (all.value?.today ?? '');
const due = (line: OnOrderLine): string =>
  line.expected === null ? 'no day said' : `${late(line) ? 'should have come' : 'comes'} ${shop.say.nearDay(line.expected)}`; // prettier-ignore
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p class="text-sm"><RouterLink class="link" to="/stock">Stock</RouterLink></p>
    <h1 class="text-title">What arrived</h1>
    <form class="mt-3 flex max-w-xl flex-wrap items-end gap-3" @submit.prevent="scan">
      <label class="block flex-1"
        ><span class="mb-1 block text-sm font-semibold">Scan or type a number</span
        ><input
          ref="field"
          v-model="code"
          class="input code text-xl"
          autocomplete="off"
          placeholder="NP-25-1131"
          :aria-invalid="problem !== ''"
      /></label>
      <button type="submit" class="primary">Book it</button>
    </form>
    <p v-if="said" class="mt-3 border-l-4 border-moss pl-3 text-lg font-semibold" role="status">{{ said }}</p>
    <p v-if="problem" class="mt-3 font-semibold text-alarm" role="alert">
      {{ problem }}
      <RouterLink v-if="code" class="link" :to="{ path: '/stock', query: { q: code } }">To the stock</RouterLink>
    </p>
    <p v-if="fits" class="mt-4 text-lg">Several jobs wait for it. Whose is it?</p>
    <h2 v-else class="mt-6 text-xl">On its way</h2>
    <ul v-if="rows.length > 0" class="rows mt-2 max-w-4xl border-y border-line" aria-label="On its way">
      <li
        v-for="line in rows"
        :key="line.jobId + line.needId"
        class="flex flex-wrap items-center gap-x-5 gap-y-1 py-2.5"
      >
        <span class="min-w-52 flex-1">
          <span class="font-semibold"
            >{{ line.quantity > 1 ? `${line.quantity} × ` : '' }}{{ line.name }}
            <span class="code text-note font-normal text-soft">{{ line.partNumber }}</span></span
          >
          <span class="block text-note"
            ><RouterLink class="link" :to="`/jobs/${line.jobId}/prepare`"
              >job {{ line.number }}, {{ line.plate }}</RouterLink
            >
            waits for it</span
          >
        </span>
        <span :class="late(line) ? 'font-semibold text-oxide' : 'text-soft'">{{ due(line) }}</span>
        <button type="button" class="quiet" @click="book(line)">
          It is here<span class="sr-only">: {{ line.name }} for {{ line.plate }}</span>
        </button>
      </li>
    </ul>
    <p v-else-if="all" class="mt-2 text-soft">Nothing is on its way for a job.</p>
  </section>
</template>
