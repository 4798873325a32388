<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import { daysBetween } from '../../core/days/index.ts';
import type { Job } from '../../core/job/index.ts';
import { format } from '../../core/quantity/index.ts';
import { engineLine, isLooseUnit, vehicleName } from '../../core/vehicle/index.ts';
import { WORLD } from '../data/world.ts';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';

const props = defineProps<{ job: Job }>();
const shop = useShop();
const today = useToday();
const practising = WORLD.practice !== null;
const opened = ref(false);
const day = computed(() => daysBetween(shop.say.isoDay(props.job.opened.at), today.value) + 1);
/** What was said when it was given on waits for whoever has it now. */
const note = computed(() => {
  const { assigned, status } = props.job;
  return status === 'open' && assigned !== null && assigned.note !== '' ? assigned : null;
});
const state = computed(() => {
  const { cancelled, aside, status, assigned } = props.job;
  if (cancelled !== null) return 'cancelled';
  if (status === 'closed') return 'handed over';
  if (aside !== null) return aside.until === null ? 'put aside' : `aside until ${shop.say.nearDay(aside.until)}`;
  return [`day ${day.value}`, assigned === null ? '' : shop.firstName(assigned.to)].filter(Boolean).join(', ');
});
const promising = ref(false);
const PromiseSheet = defineAsyncComponent(() => import('./promise/PromiseSheet.vue'));
const CustodySheet = defineAsyncComponent(() => import('./custody/CustodySheet.vue'));
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-4 gap-y-1 px-4 pb-1 pt-2.5 md:px-7">
    <span class="plate px-2.5 py-0.5 text-xl" :class="practising ? 'practice-plate' : ''"
      ><span v-if="practising" aria-hidden="true">× </span>{{ job.vehicle.plate
      }}<span v-if="practising" aria-hidden="true"> ×</span></span
    >
    <h1 class="text-action">{{ vehicleName(job.vehicle) }}</h1>
    <!-- Where it is narrow the engine gives way, never the reading or the number of the job. -->
    <span class="min-w-0 flex-1 truncate text-note text-soft max-md:hidden">{{ engineLine(job.vehicle) }}</span>
    <span class="ml-auto flex gap-x-4 whitespace-nowrap text-note text-soft">
      <span>{{ isLooseUnit(job.vehicle) ? 'loose unit' : format(job.reading) }}</span>
      <span v-if="practising">Nothing here is booked</span>
      <button v-else type="button" class="underline underline-offset-2" @click="opened = true">
        Job {{ job.number }}, {{ state }}
      </button>
      <button
        v-if="job.status === 'open' && !practising"
        type="button"
        class="underline underline-offset-2"
        :class="job.promise ? 'font-semibold text-ink' : ''"
        @click="promising = true"
      >
        {{ job.promise ? `ready ${shop.say.nearTime(job.promise.ready)}` : 'promise a time' }}
      </button>
    </span>
    <p v-if="note" class="basis-full border-l-4 border-brass pl-3 text-note" role="status">
      {{ shop.firstName(note.by) }} gave it to {{ note.to === shop.personId ? 'you' : note.name }}: {{ note.note }}
    </p>
    <PromiseSheet v-if="promising" :job="job" @close="promising = false" />
    <CustodySheet v-if="opened" :job="job" @close="opened = false" />
  </div>
</template>
