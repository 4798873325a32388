<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { dayOf, instantsAt, readClock } from '../../../core/days/index.ts';
import { type Job, promiseMessage } from '../../../core/job/index.ts';
import { useChanges } from '../../data/changes.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { nowIso } from '../../stores/clock.ts';
import { useDay } from '../../stores/day.ts';
import { useShop } from '../../stores/shop.ts';
import { useToday } from '../../stores/today.ts';
import { useForm } from '../useForm.ts';
import { tenths } from '../../bay/plan/planWords.ts';

/** When it is promised: the earliest honest time with its chance, or any other; and what the customer is told. */
const { job } = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const plan = useDay();
const today = useToday();
const giving = useForm();
const taking = useForm();
const day = ref('');
const clock = ref('');
const why = ref('');
const because = ref('');
const wrong = ref('');
const copied = ref(false);
onMounted(() => void plan.load());
useChanges(plan.heard);

const end = computed(() => plan.woven?.ends.find(({ jobId }) => jobId === job.id) ?? null);
const stops = computed(() => plan.woven?.notPlanned.find(({ jobId }) => jobId === job.id) ?? null);
const message = computed(() => promiseMessage(job, shop.say, shop.settings.shopName));
const typed = computed(() => {
  const minute = readClock(clock.value);
  if (minute === null) return null;
  return instantsAt({ day: day.value || today.value, minute }, shop.settings.timeZone)[0] ?? null;
});
/** What is promised before the work can be done is said; the record does not bend. */
const early = computed(() => typed.value !== null && end.value !== null && typed.value < end.value.end);
function promise(ready: string): void {
  wrong.value = '';
  if (giving.send('promise-ready', { ready, told: shop.say.nearTime(ready), why: why.value }))
    day.value = clock.value = '';
}
function promiseTyped(): void {
  if (typed.value === null) wrong.value = 'Expected a time such as 16:00.';
  else promise(typed.value);
}
function withdraw(): void {
  if (taking.send('withdraw-promise', { why: because.value })) emit('close');
}
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(message.value ?? '').then(
    () => (copied.value = true),
    () => (copied.value = false),
  );
}
const isToday = (iso: string): boolean =>
  dayOf(iso, shop.settings.timeZone) === dayOf(nowIso(), shop.settings.timeZone);
</script>

<template>
  <SheetDialog title="When it is ready" @close="emit('close')">
    <p v-if="job.promise" class="mb-4">
      Promised for <b>{{ shop.say.nearTime(job.promise.ready) }}</b> by {{ shop.firstName(job.promise.by)
      }}<template v-if="end && end.holds !== null"
        >; by the plan it is done {{ shop.say.nearTime(end.end) }}, and the promise holds
        {{ tenths(end.holds) }}</template
      >.
    </p>
    <div v-if="end && end.honest" class="border-l-4 border-bottle pl-4">
      <p>
        Done by the plan <b>{{ shop.say.nearTime(end.end) }}</b>. The earliest honest promise, kept in 8 days of 10:
      </p>
      <button type="button" class="primary mt-2" @click="promise(end.honest)">
        Promise {{ isToday(end.honest) ? shop.say.clock(end.honest) : shop.say.nearTime(end.honest) }}
        <span aria-hidden="true">→</span>
      </button>
    </div>
    <p v-else-if="stops?.why === 'part-without-day'" class="border-l-4 border-brass pl-4">
      It waits for {{ stops.part.toLowerCase() }}, and nobody knows the day: no honest time can be said yet.
    </p>
    <p v-else-if="stops?.why === 'rests'" class="border-l-4 border-brass pl-4">
      It is put aside: it is not in the plan.
    </p>
    <p v-else-if="plan.woven" class="border-l-4 border-brass pl-4">
      It finds no place in the next two weeks; look at the Bay.
    </p>
    <p v-else class="text-soft" role="status">The day is being woven.</p>
    <form class="mt-5 grid gap-3 border-t border-line pt-4" @submit.prevent="promiseTyped">
      <div class="grid grid-cols-2 gap-3">
        <label class="block"
          ><span class="mb-1 block text-sm font-semibold">Another day</span
          ><input v-model="day" type="date" class="input" :min="today"
        /></label>
        <TextField v-model="clock" label="Another time" placeholder="16:00" :error="wrong || giving.error('ready')" />
      </div>
      <TextField
        v-if="job.promise"
        v-model="why"
        label="Why it moves, for the customer"
        placeholder="the seal came late"
      />
      <p v-if="early" class="border-l-4 border-brass pl-3 text-note" role="status">
        By the plan it is done {{ end ? shop.say.nearTime(end.end) : '' }}, after that. It can be promised all the same;
        the Bay will show the clash.
      </p>
      <p v-if="giving.general('ready')" class="font-semibold text-alarm" role="alert">{{ giving.general('ready') }}</p>
      <button type="submit" class="quiet justify-self-start">Promise that</button>
    </form>
    <template v-if="job.promise && message">
      <h3 class="mt-5 border-t border-line pt-4 text-sm font-bold">For the customer</h3>
      <p class="mt-1 whitespace-pre-line border border-line bg-paper p-3 text-note">{{ message }}</p>
      <button type="button" class="quiet mt-2" @click="copy">{{ copied ? 'Copied' : 'Copy the message' }}</button>
      <form class="mt-4 grid gap-3 border-t border-line pt-4" @submit.prevent="withdraw">
        <TextField
          v-model="because"
          label="Promise nothing any more, because"
          :error="taking.error('why') ?? taking.general('why')"
        />
        <button type="submit" class="quiet justify-self-start">Withdraw the promise</button>
      </form>
    </template>
  </SheetDialog>
</template>
