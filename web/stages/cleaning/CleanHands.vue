<script setup lang="ts">
import { computed } from 'vue';
import { passName, type PassKind, SUBSTANCES } from '../../../core/clean/index.ts';
import { GRADES } from '../../../core/inspect/index.ts';
import {
  boreGrade,
  boreNames,
  gradedAt,
  type JobUnit,
  nextUnitPass,
  type Refusal,
  runningTimers,
  secondsLeft,
  unitMethod,
  wantsGrade,
} from '../../../core/job/index.ts';
import { formatClock } from '../../../core/quantity/index.ts';
import { useNow } from '../../stores/clock.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useUnits } from '../units/useUnits.ts';
import { useHandsBusy } from '../hands-busy/useHandsBusy.ts';
import { lookAt, passOver } from './passes.ts';

/** Soak and brush with wet gloves: one pass of one unit fills the screen; what soaks is passed over until it is up. */
const store = useJob();
const shop = useShop();
const now = useNow();
const { units } = useUnits();
const hands = useHandsBusy({
  sheet: () => 'clean',
  current: () => step.value?.unit.id ?? null,
  left: () => steps.value.length,
  act,
});
const { job, said, done, notYet, undo, leave } = hands;

interface Step {
  readonly unit: JobUnit;
  readonly kind: PassKind | 'look';
  readonly left: number | null;
  /** Which of several bores is looked at; empty for the only one. */
  readonly bore: string;
}
const soakOf = (unit: JobUnit): number | null => {
  const timer =
    job.value === null
      ? undefined
      : runningTimers(job.value).find((each) => each.unit === unit.id && each.kind === 'soak');
  return timer === undefined ? null : secondsLeft(timer, now.value);
};
const steps = computed((): readonly Step[] => {
  const { value } = job;
  if (value === null) return [];
  const all = units.value.flatMap((unit): Step[] => {
    const method = unitMethod(value, unit, shop.rules, shop.figures);
    if (wantsGrade(value, unit, method)) {
      const bores = boreNames(unit, gradedAt(value, unit));
      const bore = bores.find((each) => boreGrade(value, unit, each) === null) ?? '';
      return [{ unit, kind: 'look', left: null, bore }];
    }
    const kind = nextUnitPass(value, unit, method);
    return kind === null ? [] : [{ unit, kind, left: soakOf(unit), bore: '' }];
  });
  const waits = ({ left }: Step): boolean => left !== null && left > 0;
  const order = [
    ...all.filter((step) => !waits(step)),
    ...all.filter(waits).sort((a, b) => (a.left ?? 0) - (b.left ?? 0)),
  ];
  return hands.putOffLast(order, ({ unit }) => unit.id);
});
const step = computed(() => steps.value[0] ?? null);
const waiting = computed(() => step.value !== null && step.value.left !== null && step.value.left > 0);
const method = computed(() =>
  job.value === null || step.value === null ? null : unitMethod(job.value, step.value.unit, shop.rules, shop.figures),
);
const plan = computed(() => method.value?.passes.find(({ kind }) => kind === step.value?.kind) ?? null);
const short = (kind: Step['kind']): string => (kind === 'look' ? 'Look' : passName(kind));

/** A look has its own five buttons: Done does nothing there. */
function act(): Refusal | null {
  const { value } = step;
  if (value === null || value.kind === 'look' || method.value === null) return null;
  return store.send('do-pass', passOver(value.unit, method.value, value.kind));
}
function look(grade: number): void {
  if (step.value !== null)
    hands.tell(store.send('judge-point', lookAt(job.value!, step.value.unit, grade, step.value.bore)));
}
</script>

<template>
  <main v-if="job" class="flex h-full flex-col px-5 py-5 md:px-10" aria-label="Hands busy: cleaning">
    <div class="flex items-baseline justify-between gap-4 text-soft">
      <p>
        <b class="text-ink">{{ job.vehicle.plate }}</b> cleaning
      </p>
      <button type="button" class="quiet" @click="leave">
        Back to the sheet <kbd class="key" aria-hidden="true">H</kbd>
      </button>
    </div>
    <template v-if="step">
      <div class="flex min-h-0 flex-1 flex-col justify-center py-4" aria-live="polite">
        <p class="text-2xl text-soft">{{ step.unit.name }}</p>
        <h1 class="text-far-name leading-[1.05]">{{ waiting ? 'Soaks' : short(step.kind) }}</h1>
        <p v-if="step.left !== null" class="figure mt-3 text-far-name text-brass">
          {{ step.left > 0 ? formatClock(step.left) : 'time is up' }}
        </p>
        <p v-if="plan?.substance" class="mt-3 text-title">{{ SUBSTANCES[plan.substance] }}</p>
        <p v-if="plan" class="mt-2 max-w-[40ch] text-2xl text-soft">{{ plan.why }}.</p>
        <p v-if="step.kind === 'look'" class="mt-2 max-w-[40ch] text-2xl text-soft">
          What does {{ step.bore || 'it' }} look like now?
        </p>
        <p v-if="said" class="mt-3 text-2xl font-semibold text-alarm" role="alert">{{ said }}</p>
      </div>
      <div v-if="step.kind === 'look'" class="grid grid-cols-5 gap-3">
        <button
          v-for="(name, grade) in GRADES"
          :key="name"
          type="button"
          class="quiet min-h-24 flex-col text-lg"
          @click="look(grade)"
        >
          <span class="figure text-4xl">{{ grade }}</span>{{ name }}
        </button>
      </div>
      <button v-else type="button" class="primary min-h-24! justify-center! text-figure-sm!" @click="done">
        {{
          waiting
            ? `Soaked enough, ${short(step.kind).toLowerCase()} done`
            : step.kind === 'soak'
              ? 'Soaking now'
              : 'Done'
        }}
      </button>
      <div class="mt-3 flex gap-3">
        <button type="button" class="quiet min-h-16 flex-1 text-lg" :disabled="job.undo === null" @click="undo">
          Undo
        </button>
        <button type="button" class="quiet min-h-16 flex-1 text-lg" :disabled="steps.length < 2" @click="notYet">
          Not yet
        </button>
      </div>
      <ol class="mt-4 flex flex-wrap gap-x-8 gap-y-1 text-soft" aria-label="Next">
        <li v-for="each in steps.slice(1, 4)" :key="each.unit.id">
          {{ each.unit.name }}: {{ short(each.kind).toLowerCase()
          }}<span v-if="each.left !== null && each.left > 0" class="text-brass">, {{ formatClock(each.left) }}</span>
        </li>
      </ol>
    </template>
    <div v-else class="grid flex-1 place-content-center gap-4 text-center">
      <h1 class="text-figure-md">Everything is clean and dry.</h1>
      <button type="button" class="primary justify-center!" @click="leave">Back to the sheet</button>
    </div>
  </main>
</template>
