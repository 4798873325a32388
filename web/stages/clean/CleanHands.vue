<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { PASS_KINDS, type PassKind, SUBSTANCES } from '../../../core/clean/index.ts';
import { GRADES } from '../../../core/inspect/index.ts';
import {
  type BenchUnit,
  nextUnitPass,
  runningTimers,
  timerEnd,
  unitMethod,
  wantsGrade,
} from '../../../core/job/index.ts';
import { formatClock } from '../../../core/quantity/index.ts';
import { useKeys } from '../../shell/keys.ts';
import { useNow } from '../../stores/clock.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useLiveJob } from '../../stores/liveJob.ts';
import { useShop } from '../../stores/shop.ts';
import { useBench } from '../bench/useBench.ts';

/** Soak and brush with wet gloves: one pass of one unit fills the screen; what soaks is passed over until it is up. */
const route = useRoute();
const router = useRouter();
const store = useJob();
const shop = useShop();
const now = useNow();
const { units } = useBench();
const skipped = ref<readonly string[]>([]);
const said = ref('');
watch(
  () => String(route.params.id),
  (id) => void store.load(id),
  { immediate: true },
);
useLiveJob(() => String(route.params.id));
const job = computed(() => store.job);

interface Step {
  readonly unit: BenchUnit;
  readonly kind: PassKind | 'look';
  readonly left: number | null;
}
const soakOf = (unit: BenchUnit): number | null => {
  const timer =
    job.value === null
      ? undefined
      : runningTimers(job.value).find((each) => each.unit === unit.id && each.kind === 'soak');
  return timer === undefined ? null : (Date.parse(timerEnd(timer)) - Date.parse(now.value)) / 1000;
};
const steps = computed((): readonly Step[] => {
  const { value } = job;
  if (value === null) return [];
  const all = units.value.flatMap((unit): Step[] => {
    const method = unitMethod(value, unit, shop.rules);
    if (wantsGrade(value, unit, method)) return [{ unit, kind: 'look', left: null }];
    const kind = nextUnitPass(value, unit, method);
    return kind === null ? [] : [{ unit, kind, left: soakOf(unit) }];
  });
  const waits = ({ left }: Step): boolean => left !== null && left > 0;
  const order = [
    ...all.filter((step) => !waits(step)),
    ...all.filter(waits).sort((a, b) => (a.left ?? 0) - (b.left ?? 0)),
  ];
  return [
    ...order.filter(({ unit }) => !skipped.value.includes(unit.id)),
    ...order.filter(({ unit }) => skipped.value.includes(unit.id)),
  ];
});
const step = computed(() => steps.value[0] ?? null);
const waiting = computed(() => step.value !== null && step.value.left !== null && step.value.left > 0);
const plan = computed(() =>
  job.value === null || step.value === null
    ? null
    : (unitMethod(job.value, step.value.unit, shop.rules).passes.find(({ kind }) => kind === step.value?.kind) ?? null),
);
const short = (kind: Step['kind']): string => (kind === 'look' ? 'Look' : (PASS_KINDS[kind].split(/[:,]/)[0] ?? kind));

function done(): void {
  const { value } = step;
  if (value === null || value.kind === 'look' || job.value === null) return;
  const kind = value.kind;
  const minutes = plan.value?.minutes ?? null;
  const refused = store.send('do-pass', {
    id: freshId(),
    unit: value.unit.id,
    kind,
    form: value.unit.form,
    ...(plan.value?.substance == null || plan.value.how === null
      ? {}
      : { substance: plan.value.substance, how: plan.value.how }),
    ...(minutes === null || (kind !== 'soak' && kind !== 'bath')
      ? {}
      : {
          soak: {
            timerId: freshId(),
            label: `${value.unit.name} ${kind === 'bath' ? 'in the bath' : 'soaks'}`,
            minutes,
          },
        }),
  });
  said.value = refused === null ? '' : `${refused.message} ${refused.wouldHelp}`.trim();
}
function look(grade: number): void {
  const { value } = step;
  if (value === null) return;
  store.send('judge-point', {
    id: freshId(),
    unit: value.unit.id,
    kind: value.unit.kind,
    form: value.unit.form,
    point: value.unit.form.endsWith('valve') || value.unit.form === 'actuator' ? 'valve-deposit' : 'deposit-edge',
    when: 'after',
    which: '',
    marks: [grade],
    outcome: '',
    typed: [],
    note: '',
  });
}
function notYet(): void {
  const { value } = step;
  if (value !== null && steps.value.length > 1)
    skipped.value = [...skipped.value.filter((id) => id !== value.unit.id), value.unit.id];
}
function undo(): void {
  const last = job.value?.undo ?? null;
  if (last !== null) store.send('undo', { expected: last.commandId });
}
const leave = (): void => void router.push(`/jobs/${String(route.params.id)}/clean`);
useKeys([
  { keys: ' ', does: 'Done', run: done },
  { keys: 'enter', does: 'Done', run: done },
  { keys: 'pagedown', does: 'Done (foot pedal)', run: done },
  { keys: 'u', does: 'Undo', run: undo },
  { keys: 'n', does: 'Not yet', run: notYet },
  { keys: 'h', does: 'Back to the sheet', run: leave },
]);
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
        <h1 class="text-[clamp(2.5rem,8vw,5rem)] leading-[1.05]">{{ waiting ? 'Soaks' : short(step.kind) }}</h1>
        <p v-if="step.left !== null" class="figure mt-3 text-[clamp(2.5rem,7vw,4.5rem)] text-brass">
          {{ step.left > 0 ? formatClock(step.left) : 'time is up' }}
        </p>
        <p v-if="plan?.substance" class="mt-3 text-[1.75rem]">{{ SUBSTANCES[plan.substance] }}</p>
        <p v-if="plan" class="mt-2 max-w-[40ch] text-2xl text-soft">{{ plan.why }}.</p>
        <p v-if="step.kind === 'look'" class="mt-2 max-w-[40ch] text-2xl text-soft">What does it look like now?</p>
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
      <button v-else type="button" class="primary min-h-24! justify-center! text-[2rem]!" @click="done">
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
      <h1 class="text-[2.5rem]">Everything is clean and dry.</h1>
      <button type="button" class="primary justify-center!" @click="leave">Back to the sheet</button>
    </div>
  </main>
</template>
