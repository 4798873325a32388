<script setup lang="ts">
import type { Reminder } from '../../contract/index.ts';
import { format } from '../../core/quantity/index.ts';
import { endReminder, useReminders } from '../data/followUps.ts';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';

/** What is to be looked at again: on one vehicle, or what is due in the whole shop. */
const props = defineProps<{ vehicleId?: string; title: string }>();
const shop = useShop();
const today = useToday();
// On the Bay what is due is short; the rest is asked for.
const { rows, next, failed, more, reload } = useReminders(() =>
  props.vehicleId === undefined ? { dueBy: today.value, limit: '6' } : { vehicleId: props.vehicleId },
);
async function done(reminder: Reminder): Promise<void> {
  try {
    await endReminder(reminder);
    await reload();
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <section v-if="rows.length > 0">
    <h2 class="mb-1 text-sm font-bold">{{ title }}</h2>
    <ul class="rows border-y border-line">
      <li v-for="row in rows" :key="row.jobId + row.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2.5">
        <span class="min-w-40 flex-1">
          <RouterLink v-if="vehicleId === undefined" class="link" :to="`/vehicles/${row.vehicleId}`">{{
            row.plate
          }}</RouterLink>
          <span class="font-semibold">{{ vehicleId === undefined ? ` ${row.what.toLowerCase()}` : row.what }}</span>
          <span
            class="block text-sm"
            :class="row.dueOn !== null && row.dueOn <= today ? 'font-semibold text-brass' : 'text-soft'"
            >{{ row.dueOn === null ? '' : `due ${shop.say.day(row.dueOn)}`
            }}{{
              row.dueReading === null
                ? ''
                : `${row.dueOn === null ? 'due' : ', or'} at ${format({ value: row.dueReading, unit: row.readingUnit })}`
            }}</span
          >
        </span>
        <button type="button" class="quiet text-sm" @click="done(row)">Looked at</button>
      </li>
    </ul>
    <button v-if="next" type="button" class="link mt-1 text-sm" @click="more">Show more</button>
    <p v-if="failed" class="mt-1 text-sm font-semibold text-alarm" role="alert">{{ failed }}</p>
  </section>
</template>
