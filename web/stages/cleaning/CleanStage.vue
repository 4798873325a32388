<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, onMounted, ref, watch } from 'vue';
import { MASKS, SUBSTANCES, UNIT_FORMS } from '../../../core/clean/index.ts';
import {
  isInPlace,
  type JobUnit,
  nextUnitPass,
  runningTimers,
  secondsLeft,
  unitMethod,
} from '../../../core/job/index.ts';
import { FIELDS, formatClock } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { useKeys } from '../../shell/keys.ts';
import { useAir } from '../../stores/air.ts';
import { useNow } from '../../stores/clock.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useStock } from '../../stores/stock.ts';
import { useUnits } from '../units/useUnits.ts';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import AirNow from './AirNow.vue';
import CanForm from './CanForm.vue';
import LayOutPart from '../parts/LayOutPart.vue';
import CleaningLane from './CleaningLane.vue';
import WasteList from './WasteList.vue';
import { useRouter } from 'vue-router';

/** Every unit in a lane of its own: passes, soaks that run side by side, the look that ends a round. */
const store = useJob();
const shop = useShop();
const air = useAir();
const router = useRouter();
const now = useNow();
const timerForm = useForm();
const { units } = useUnits();
const job = computed(() => store.job);
const stock = useStock();
const minutes = ref('25');
const label = ref('');
onMounted(() => stock.load({ kind: 'cleaner' }));

/** What soaks waits for itself: hands go first to what is ready. */
const lanes = computed((): readonly JobUnit[] => units.value);
const loose = computed(() =>
  job.value === null
    ? []
    : runningTimers(job.value)
        .filter(({ unit }) => unit === null || !units.value.some(({ id }) => id === unit))
        .map((timer) => ({ ...timer, left: secondsLeft(timer, now.value) })),
);
const oiled = computed(() =>
  job.value === null
    ? []
    : runningTimers(job.value)
        .filter(({ kind }) => kind === 'oil')
        .map((timer) => ({ ...timer, left: secondsLeft(timer, now.value) })),
);
const allInPlace = computed(
  () =>
    job.value !== null &&
    units.value.length > 0 &&
    units.value.every(({ id }) => job.value !== null && isInPlace(job.value, id)),
);
const seized = computed(() => job.value?.seized.filter(({ ended }) => ended === null).length ?? 0);
const allDry = computed(
  () =>
    job.value !== null &&
    units.value.every(
      (unit) =>
        job.value !== null &&
        nextUnitPass(job.value, unit, unitMethod(job.value, unit, shop.rules, shop.figures)) === null,
    ),
);
/** What is cleaned on the vehicle says itself what is covered. */
const forms = computed(() => [
  ...new Set(units.value.filter(({ id }) => job.value === null || !isInPlace(job.value, id)).map(({ form }) => form)),
]);
function startTimer(): void {
  if (
    timerForm.send('start-timer', {
      id: freshId(),
      label: label.value,
      minutes: numberIn(minutes.value, FIELDS.minutes),
      kind: 'other',
    })
  )
    label.value = '';
}
// The air is worked out over all jobs, by the server: it is asked anew once a can is on disk.
watch(
  () => store.confirmed?.cleaners.length,
  () => void air.load(),
);
useKeys([{ keys: 'h', does: 'Hands busy', run: () => void router.push(`/jobs/${store.id}/hands/clean`) }]);
</script>

<template>
  <StageFrame
    v-if="job"
    stage="clean"
    :title="allInPlace ? 'Clean on the vehicle' : 'On the bench: clean'"
    :lead="
      allInPlace
        ? 'Covered, wiped from the front, rags out and counted; then run until it burns clean.'
        : 'Cover, wet, soak, brush, wipe, look; and again until the card and the light say so. Dry before it goes back.'
    "
  >
    <div class="mt-3 flex flex-wrap items-center gap-3">
      <RouterLink class="quiet" :to="`/jobs/${job.id}/seized`"
        >Seized screws<span v-if="seized > 0" class="font-bold text-oxide"
          ><span class="sr-only">: </span>{{ seized }}</span
        ></RouterLink
      >
      <RouterLink class="quiet" :to="`/jobs/${job.id}/hands/clean`"
        >Hands busy <kbd class="key" aria-hidden="true">H</kbd></RouterLink
      >
      <RouterLink class="link" to="/tools/advice">What may touch what</RouterLink>
      <p v-if="allDry" class="font-semibold text-moss">Everything is clean and dry.</p>
    </div>
    <LayOutPart class="mt-3" :job="job" />
    <div id="passes" class="mt-4 border-b border-line">
      <CleaningLane v-for="unit in lanes" :key="unit.id" :job="job" :unit="unit" :now="now" />
    </div>
    <section id="can" class="mt-6">
      <h3 class="text-lg">Cleaner by weight</h3>
      <ul v-if="job.cleaners.length > 0" class="rows mt-1 border-y border-line">
        <li v-for="use in job.cleaners" :key="use.id" class="flex flex-wrap justify-between gap-x-4 py-2">
          <span
            >{{ SUBSTANCES[use.substance] }}<span v-if="use.surface" class="text-soft">, {{ use.surface }}</span
            ><span v-if="use.minutes" class="text-soft">, over {{ use.minutes }} min</span></span
          >
          <span
            ><span v-if="use.priceMinor" class="mr-3 text-soft">{{ shop.say.money(use.priceMinor) }}</span
            ><b>{{ use.grams.toFixed(0) }} g</b></span
          >
        </li>
      </ul>
      <CanForm v-if="job.status === 'open'" :job="job" :units="units" :stock="stock.rows" />
    </section>
    <WasteList class="mt-7" :job="job" />
    <template #why>
      <AirNow :now="now" />
      <div v-if="forms.length > 0">
        <h3 class="text-lg">Cover first</h3>
        <dl v-for="form in forms" :key="form" class="mt-1 text-note">
          <dt v-if="forms.length > 1" class="text-sm font-bold">{{ UNIT_FORMS[form] }}</dt>
          <dd v-for="mask in MASKS[form]" :key="mask.what" class="border-b border-line py-1.5">
            <b>{{ mask.what }}</b>: {{ mask.with }} <span class="text-soft">({{ mask.why }})</span>
          </dd>
        </dl>
      </div>
      <div>
        <h3 class="text-lg">Waiting besides</h3>
        <ul v-if="oiled.length + loose.length > 0" class="rows">
          <li
            v-for="timer in [...oiled, ...loose.filter(({ kind }) => kind !== 'oil')]"
            :key="timer.id"
            class="flex items-center justify-between gap-3 py-2"
          >
            <span
              ><span class="figure block text-2xl text-brass">{{
                timer.left > 0 ? formatClock(timer.left) : 'time is up'
              }}</span
              ><span class="text-sm">{{ timer.label }}</span></span
            >
            <button
              v-if="timer.kind !== 'oil' || timer.left <= 0"
              type="button"
              class="quiet text-sm"
              @click="store.send('end-timer', { id: timer.id, outcome: timer.left > 0 ? 'stopped' : 'done' })"
            >
              {{ timer.left > 0 ? 'Stop' : 'Done' }}
            </button>
          </li>
        </ul>
        <p v-else class="text-soft">Nothing else waits.</p>
        <form v-if="job.status === 'open'" class="mt-2 grid grid-cols-[1fr_5rem] gap-2" @submit.prevent="startTimer">
          <TextField v-model="label" label="Timer for" placeholder="screws oiled" :error="timerForm.error('label')" />
          <FigureField v-model="minutes" label="Minutes" :field="FIELDS.minutes" :error="timerForm.error('minutes')" />
          <button type="submit" class="quiet col-span-2">Start</button>
        </form>
      </div>
    </template>
  </StageFrame>
</template>
