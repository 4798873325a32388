<script setup lang="ts">
import type { CustomerPage } from '../../../core/sheet/index.ts';

/** The first page of the sheet, for whoever owns the vehicle. */
const props = defineProps<{ page: CustomerPage }>();
const parts = [
  { title: 'What was wrong', of: () => props.page.wrong, none: 'Nothing was said.' },
  { title: 'What was done', of: () => props.page.done, none: 'Nothing is recorded as done.' },
] as const;
</script>

<template>
  <div>
    <section v-for="part in parts" :key="part.title" class="mt-4">
      <h3 class="text-lg text-bottle">{{ part.title }}</h3>
      <p v-for="words in part.of()" :key="words" class="max-w-prose">{{ words }}</p>
      <p v-if="part.of().length === 0" class="text-soft">{{ part.none }}</p>
    </section>
    <section class="mt-4">
      <h3 class="text-lg text-bottle">What it cost</h3>
      <dl v-if="page.cost.length > 0" class="rows mt-1 max-w-lg border-y border-line">
        <div
          v-for="row in page.cost"
          :key="row.label"
          class="flex justify-between gap-4 py-1"
          :class="row.label === 'Total' ? 'font-bold' : ''"
        >
          <dt>
            {{ row.label }}<span v-if="row.note" class="text-soft">, {{ row.note }}</span>
          </dt>
          <dd>{{ row.value }}</dd>
        </div>
      </dl>
      <p v-else class="text-soft">Not worked out yet: the vehicle is not handed over.</p>
    </section>
    <section class="mt-4">
      <h3 class="text-lg text-bottle">What to watch, and when to come again</h3>
      <p v-for="words in page.watch" :key="words" class="max-w-prose">{{ words }}</p>
      <p v-if="page.watch.length === 0" class="text-soft">Nothing in particular.</p>
    </section>
    <section v-if="page.gaps.length > 0" class="mt-4">
      <h3 class="text-lg text-brass">Not in the record</h3>
      <ul class="list-disc pl-5">
        <li v-for="words in page.gaps" :key="words">{{ words }}</li>
      </ul>
    </section>
    <dl class="mt-10 grid grid-cols-2 gap-8">
      <div v-for="who in page.signs" :key="who" class="border-t border-ink pt-1 text-sm text-soft">
        <dt>{{ who }}, day and name</dt>
      </div>
    </dl>
  </div>
</template>
