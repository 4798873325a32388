<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  nextPass,
  PASS_KINDS,
  type PassKind,
  SOAK_MINUTES,
  SUBSTANCES,
  type Substance,
} from '../../../core/clean/index.ts';
import { GRADES, runningTimers, timerEnd } from '../../../core/job/index.ts';
import type { UnitKind } from '../../../core/procedure/index.ts';
import { formatClock } from '../../../core/quantity/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import TextField from '../../parts/TextField.vue';
import { useNow } from '../../stores/clock.ts';
import { freshId, useJob } from '../../stores/job.ts';
import StageFrame from '../StageFrame.vue';
import { UNIT_KINDS } from '../../../core/vehicle/index.ts';
import { unitsOnBench } from '../units.ts';
import { useForm } from '../useForm.ts';

const store = useJob();
const now = useNow();
const can = useForm();
const timerForm = useForm();
const job = computed(() => store.job);
const units = computed(() => (job.value === null ? [] : unitsOnBench(job.value)));
const substance = ref<Substance>('throttle-cleaner');
const before = ref('');
const after = ref('');
const surface = ref('');
const minutes = ref('25');
const label = ref('');

const passesOf = (unit: UnitKind): PassKind[] =>
  job.value?.passes.filter((pass) => pass.unit === unit).map(({ kind }) => kind) ?? [];
const gradeAfter = (unit: UnitKind): number | null => {
  const grades =
    job.value?.findings
      .filter((finding) => finding.unit === unit && finding.when === 'after' && finding.grade !== null)
      .map(({ grade }) => grade ?? 0) ?? [];
  return grades.length === 0 ? null : Math.max(...grades);
};
const proposed = (unit: UnitKind): PassKind | null => nextPass(passesOf(unit), gradeAfter(unit));
function doPass(unit: UnitKind, kind: PassKind): void {
  if (store.send('do-pass', { id: freshId(), unit, kind }) === null && kind === 'soak') {
    store.send('start-timer', {
      id: freshId(),
      label: `${UNIT_KINDS[unit]} soaks`,
      minutes: SOAK_MINUTES[unit],
      kind: 'soak',
    });
  }
}
const timers = computed(() =>
  job.value === null
    ? []
    : runningTimers(job.value).map((timer) => ({
        ...timer,
        left: (Date.parse(timerEnd(timer)) - Date.parse(now.value)) / 1000,
      })),
);
function startTimer(): void {
  if (
    timerForm.send('start-timer', {
      id: freshId(),
      label: label.value,
      minutes: Number(minutes.value.replace(',', '.')),
      kind: 'other',
    })
  )
    label.value = '';
}
function weigh(): void {
  if (
    can.send('weigh-can', {
      id: freshId(),
      substance: substance.value,
      surface: surface.value,
      beforeText: before.value,
      afterText: after.value,
    })
  ) {
    before.value = '';
    after.value = '';
  }
}
const short = (kind: PassKind): string => PASS_KINDS[kind].split(/[:,]/)[0] ?? kind;
</script>

<template>
  <StageFrame
    v-if="job"
    stage="clean"
    title="On the bench: clean"
    lead="Spray, soak, brush soft, wipe, and again until the grade says so. Dry before it goes back."
  >
    <section v-for="unit in units" :key="unit" class="mt-6 border-t border-line pt-4">
      <div class="flex flex-wrap items-baseline gap-3">
        <h3 class="text-lg">{{ UNIT_KINDS[unit] }}</h3>
        <p class="text-sm text-soft">
          {{ gradeAfter(unit) === null ? 'not graded since it was wiped' : `now ${GRADES[gradeAfter(unit) ?? 0]}` }}
        </p>
      </div>
      <ol class="mt-2 flex flex-wrap items-center gap-1.5" :aria-label="`Passes of ${UNIT_KINDS[unit]}`">
        <li
          v-for="(kind, index) in passesOf(unit)"
          :key="index"
          class="rounded-sm bg-band px-2.5 py-1 text-sm text-moss"
        >
          {{ short(kind) }}<span class="sr-only"> done</span>
        </li>
        <li v-if="passesOf(unit).length === 0" class="text-sm text-soft">No pass yet.</li>
      </ol>
      <fieldset class="mt-3 flex flex-wrap items-center gap-2" :disabled="job.status === 'closed'">
        <legend class="sr-only">Next pass</legend>
        <button v-if="proposed(unit)" type="button" class="primary" @click="doPass(unit, proposed(unit) ?? 'wet')">
          {{ PASS_KINDS[proposed(unit) ?? 'wet'] }}
        </button>
        <p v-else class="font-semibold text-moss">Clean and dry.</p>
        <button
          v-for="(_, kind) in PASS_KINDS"
          v-show="kind !== proposed(unit)"
          :key="kind"
          type="button"
          class="quiet text-sm"
          @click="doPass(unit, kind)"
        >
          {{ short(kind) }}
        </button>
      </fieldset>
    </section>

    <section class="mt-8 border-t border-line pt-4">
      <h3 class="text-lg">Cleaner by weight</h3>
      <ul v-if="job.cleaners.length > 0" class="rows mt-1">
        <li v-for="use in job.cleaners" :key="use.id" class="flex justify-between gap-4 py-2">
          <span
            >{{ SUBSTANCES[use.substance] }}<span v-if="use.surface" class="text-soft">, {{ use.surface }}</span></span
          ><span class="font-bold">{{ use.grams.toFixed(0) }} g</span>
        </li>
      </ul>
      <form
        v-if="job.status === 'open'"
        class="mt-3 grid items-start gap-3 sm:grid-cols-[1.6fr_1fr_1fr_1.3fr_auto]"
        @submit.prevent="weigh"
      >
        <FieldBox v-slot="{ id }" label="Cleaner"
          ><select :id="id" v-model="substance" class="input">
            <option v-for="(name, id2) in SUBSTANCES" :key="id2" :value="id2">{{ name }}</option>
          </select></FieldBox
        >
        <TextField v-model="before" label="Can before" placeholder="412 g" :error="can.error('beforeText')" />
        <TextField
          v-model="after"
          label="Can after"
          placeholder="380 g"
          :error="can.error('afterText') ?? can.general('beforeText', 'afterText')"
        />
        <TextField v-model="surface" label="On what" placeholder="bore and plate" />
        <button type="submit" class="quiet mt-6">Record</button>
      </form>
    </section>

    <template #why>
      <div>
        <h3 class="text-lg">Waiting</h3>
        <ul v-if="timers.length > 0" class="rows">
          <li v-for="timer in timers" :key="timer.id" class="flex items-center justify-between gap-3 py-2">
            <span
              ><span class="figure block text-2xl text-brass">{{
                timer.left > 0 ? formatClock(timer.left) : 'time is up'
              }}</span
              ><span class="text-sm">{{ timer.label }}</span></span
            >
            <button
              type="button"
              class="quiet text-sm"
              @click="store.send('end-timer', { id: timer.id, outcome: timer.left > 0 ? 'stopped' : 'done' })"
            >
              {{ timer.left > 0 ? 'Stop' : 'Done' }}
            </button>
          </li>
        </ul>
        <p v-else class="text-soft">Nothing soaks.</p>
        <form v-if="job.status === 'open'" class="mt-2 grid grid-cols-[1fr_5rem] gap-2" @submit.prevent="startTimer">
          <TextField v-model="label" label="Timer for" placeholder="screws oiled" :error="timerForm.error('label')" />
          <TextField v-model="minutes" label="Minutes" inputmode="decimal" :error="timerForm.error('minutes')" />
          <button type="submit" class="quiet col-span-2">Start</button>
        </form>
      </div>
      <ul class="rows border-y border-line text-[0.9375rem]">
        <li class="py-1.5">No metal on a coated bore.</li>
        <li class="py-1.5">No solvent into bearings, motors or sensors.</li>
        <li class="py-1.5">The last degrees round the closed plate matter most.</li>
      </ul>
    </template>
  </StageFrame>
</template>
