<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job } from '../../core/job/index.ts';
import FieldBox from '../parts/FieldBox.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { nowIso } from '../stores/clock.ts';
import { useShop } from '../stores/shop.ts';
import { useWritingUp } from '../stores/writingUp.ts';
import { writeUpFor, yesterday } from './writeUp.ts';

/** When the work was done that is entered now: asked once, said on the sheet until the person is back to now. */
const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const writingUp = useWritingUp();
const { timeZone } = shop.settings;
const day = ref(yesterday(nowIso(), timeZone));
const time = ref('');
const tried = ref(false);
const found = computed(() =>
  writeUpFor(day.value, time.value, { timeZone, now: nowIso(), knownSince: props.job.vehicle.knownSince ?? null }),
);
function take(at: string): void {
  writingUp.choose(props.job.id, at);
  emit('close');
}
function done(): void {
  tried.value = true;
  if (found.value.ok && found.value.instants.length === 1) take(found.value.instants[0]?.at ?? '');
}
</script>

<template>
  <SheetDialog title="When was it done?" @close="emit('close')">
    <form class="grid gap-4" @submit.prevent="done">
      <p class="text-soft">What you enter next is kept with this time, and with the time you entered it.</p>
      <div class="grid grid-cols-2 gap-3">
        <FieldBox v-slot="{ id }" label="Day"
          ><input :id="id" v-model="day" type="date" class="input" required
        /></FieldBox>
        <FieldBox v-slot="{ id, described, invalid }" label="Time" :error="tried && !found.ok ? found.message : null"
          ><input
            :id="id"
            v-model="time"
            type="time"
            class="input"
            :aria-describedby="described"
            :aria-invalid="invalid"
        /></FieldBox>
      </div>
      <div v-if="found.ok && found.instants.length > 1" role="group" aria-labelledby="twice">
        <p id="twice" class="font-semibold text-brass">
          That hour was lived twice, when the clocks went back. Which one?
        </p>
        <div class="mt-2 flex flex-wrap gap-2">
          <button
            v-for="(each, index) in found.instants"
            :key="each.at"
            type="button"
            class="quiet min-h-12"
            @click="take(each.at)"
          >
            {{ index === 0 ? 'The first' : 'The second' }}: {{ each.words }}
          </button>
        </div>
      </div>
      <button v-else type="submit" class="primary justify-self-start">
        {{ found.ok ? `Write up ${found.instants[0]?.words ?? ''}` : 'Write up' }}
      </button>
    </form>
  </SheetDialog>
</template>
