<script setup lang="ts">
import { ref, watch } from 'vue';
import TextField from '../parts/TextField.vue';
import { keepCalendar } from '../data/shopRows.ts';
import { useShop } from '../stores/shop.ts';
import { hoursText, readCalendar, WEEKDAYS } from './hours.ts';

/** When the shop is open: what “start or wait” is worked out with. */
defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const week = ref<string[]>([]);
const closed = ref('');
const problems = ref<Readonly<Record<string, string>>>({});
const failed = ref('');
const kept = ref(false);
watch(
  () => shop.calendar,
  (calendar) => {
    week.value = calendar.hours.map(hoursText);
    closed.value = calendar.closed.join('\n');
  },
  { immediate: true },
);
async function keep(): Promise<void> {
  kept.value = false;
  failed.value = '';
  const read = readCalendar(week.value, closed.value);
  problems.value = 'problems' in read ? read.problems : {};
  if ('problems' in read) return;
  try {
    shop.calendar = await keepCalendar(read.calendar);
    kept.value = true;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <h2 class="mb-2 mt-9 text-xl">Opening hours</h2>
  <form class="grid max-w-3xl gap-4 sm:grid-cols-2" @submit.prevent="keep">
    <div class="grid gap-2">
      <TextField
        v-for="(day, index) in WEEKDAYS"
        :key="day"
        :model-value="week[index] ?? ''"
        :label="day"
        placeholder="closed"
        :error="problems[String(index)]"
        @update:model-value="week[index] = $event"
      />
    </div>
    <TextField
      v-model="closed"
      label="Closed on these days too"
      :lines="8"
      placeholder="2026-12-25"
      :error="problems.closed"
      hint="One a line, year first."
    />
    <div class="sm:col-span-2">
      <button v-if="mayEdit" type="submit" class="quiet">Keep the hours</button>
      <span v-if="kept" class="ml-3 text-soft" role="status">Kept.</span>
      <p v-if="failed" class="mt-1 font-semibold text-alarm" role="alert">{{ failed }}</p>
    </div>
  </form>
</template>
