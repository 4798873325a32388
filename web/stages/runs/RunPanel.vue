<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, onBeforeUnmount, onMounted, reactive, ref } from 'vue';
import type { Job, RunOutcome } from '../../../core/job/index.ts';
import { type Field, FIELDS, formatClock } from '../../../core/quantity/index.ts';
import {
  currentStep,
  type FlagName,
  isCounting,
  missingConditions,
  notYet,
  type ReadingName,
  RECIPES,
  remaining,
} from '../../../core/relearn/index.ts';
import SourceNote from '../../parts/SourceNote.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { useKeys } from '../../shell/keys.ts';
import { useNow } from '../../stores/clock.ts';
import { freshId } from '../../stores/job.ts';
import RefusalNote from '../RefusalNote.vue';
import { useForm } from '../useForm.ts';

/** A timed run: one step at a time, its clock, what must hold for the clock to go, and how it ended. */
const props = defineProps<{ job: Job; purpose: 'bleed' | 'relearn' }>();
const form = useForm();
const now = useNow();
const why = ref('');
const readings = reactive<Partial<Record<ReadingName, string>>>({});

const mine = computed(() => props.job.runs.filter(({ run }) => run.recipe.purpose === props.purpose));
const open = computed(() => mine.value.find(({ closed }) => closed === null) ?? null);
const step = computed(() => (open.value === null ? null : currentStep(open.value.run)));
const left = computed(() => (open.value === null ? null : remaining(open.value.run, now.value)));
const counting = computed(() => open.value !== null && isCounting(open.value.run));
const missing = computed(() => (open.value === null ? [] : missingConditions(open.value.run)));
const blocked = computed(() => (open.value === null ? null : notYet(open.value.run, now.value)));
const offered = computed(() =>
  RECIPES.filter(
    ({ id, purpose }) =>
      purpose === props.purpose &&
      (purpose === 'bleed' || props.job.procedure === null || props.job.procedure.relearn.includes(id)),
  ),
);

const names: Readonly<Record<ReadingName, string>> = {
  ect: 'Coolant, °C',
  rpm: 'Speed, rpm',
  speed: 'Road speed, km/h',
};
const fields: Readonly<Record<ReadingName, Field>> = {
  ect: FIELDS.coolantTemperature,
  rpm: FIELDS.idleSpeed,
  speed: FIELDS.roadSpeed,
};
const flags: Readonly<Record<FlagName, string>> = {
  'loads-off': 'Lights, fan and heater off',
  'fan-running': 'Radiator fan runs',
  bubbles: 'Bubbles rise',
  'heater-hot': 'Heater blows hot',
};
/** Only what this step asks about. */
const askedReadings = computed((): ReadingName[] => {
  const { value } = step;
  if (value === null) return [];
  const asked = value.conditions.flatMap((condition) => (condition.kind === 'reading' ? [condition.name] : []));
  return [...new Set([...asked, ...(value.endsBadly === null ? [] : [value.endsBadly.name])])];
});
const askedFlags = computed((): FlagName[] => {
  const { value } = step;
  return value === null
    ? []
    : [
        ...new Set([
          ...value.conditions.flatMap((condition) => (condition.kind === 'flag' ? [condition.name] : [])),
          ...value.pausedBy,
        ]),
      ];
});

function send(input: Parameters<typeof form.send<'advance-run'>>[1]['input']): void {
  if (open.value !== null) form.send('advance-run', { runId: open.value.id, input });
}
function type(name: ReadingName): void {
  const value = numberIn(readings[name] ?? '', fields[name]);
  if (Number.isNaN(value)) return;
  send({ kind: 'reading', name, value });
  readings[name] = '';
}
function confirm(): void {
  if (step.value !== null) send({ kind: 'confirm' });
}
function close(outcome: RunOutcome): void {
  if (open.value !== null && form.send('close-run', { runId: open.value.id, outcome, why: why.value })) why.value = '';
}
// The clock moves on by itself once a step's time is full, also after a reload.
let timer: ReturnType<typeof setInterval> | undefined;
onMounted(() => {
  timer = setInterval(() => {
    if (counting.value && left.value === 0 && props.job.status === 'open') send({ kind: 'tick' });
  }, 1000);
});
onBeforeUnmount(() => clearInterval(timer));
useKeys([{ keys: ' ', does: 'Confirm the step of the run', run: confirm }]);
</script>

<template>
  <div>
    <ul v-if="mine.some(({ closed }) => closed !== null)" class="rows mb-3 border-y border-line">
      <li
        v-for="(entry, index) in mine.filter(({ closed }) => closed !== null)"
        :key="entry.id"
        class="flex justify-between gap-4 py-2"
      >
        <span
          >{{ index + 1 }}. {{ entry.run.recipe.name
          }}<span v-if="entry.closed?.why" class="text-soft">, {{ entry.closed.why }}</span></span
        >
        <span class="font-bold" :class="entry.closed?.outcome === 'took' ? 'text-moss' : 'text-oxide'">{{
          entry.closed?.outcome === 'took' && purpose === 'bleed' ? 'done' : entry.closed?.outcome
        }}</span>
      </li>
    </ul>

    <div v-if="open" class="border-l-4 border-brass pl-4">
      <ol class="flex flex-wrap gap-x-4 gap-y-1 text-sm text-soft">
        <li
          v-for="(each, index) in open.run.recipe.steps"
          :key="each.id"
          :class="index === open.run.at ? 'font-bold text-ink' : index < open.run.at ? 'text-moss' : ''"
        >
          {{ index + 1 }}. {{ each.title }}
        </li>
      </ol>
      <template v-if="step">
        <p class="mt-4 text-2xl font-bold">{{ step.title }}</p>
        <p class="mt-1 text-soft">{{ step.how }}</p>
        <p v-if="left !== null" class="mt-3 flex items-baseline gap-3">
          <span class="figure text-figure-xl" :class="counting ? 'text-brass' : 'text-soft'" data-testid="run-clock">{{
            formatClock(left)
          }}</span><span class="text-soft">{{ counting ? 'counting' : 'does not count yet' }}</span>
        </p>
        <p v-if="missing.length > 0" class="mt-2 font-semibold text-brass">
          Needs: {{ missing.map(({ words }) => words).join(', ') }}.
        </p>
        <p v-if="open.run.said" class="mt-2 font-semibold text-alarm" role="status">{{ open.run.said }}</p>
        <div class="mt-4 flex flex-wrap items-end gap-3">
          <form v-for="name in askedReadings" :key="name" class="flex items-end gap-2" @submit.prevent="type(name)">
            <FigureField
              v-model="readings[name]!"
              :label="names[name]"
              :field="fields[name]"
              class="w-36"
              :placeholder="open.run.readings[name]?.toString() ?? ''"
              :error="form.error('value')"
            />
            <button type="submit" class="quiet">Enter</button>
          </form>
          <button
            v-for="flag in askedFlags"
            :key="flag"
            type="button"
            class="quiet"
            :aria-pressed="open.run.flags[flag] ?? false"
            @click="send({ kind: 'flag', name: flag, on: !(open.run.flags[flag] ?? false) })"
          >
            {{ flags[flag] }}
          </button>
        </div>
        <button type="button" class="mt-4" :class="blocked === null ? 'primary' : 'quiet'" @click="confirm">
          Step done <kbd class="key" aria-hidden="true">Space</kbd>
        </button>
      </template>
      <p v-else class="mt-3 text-xl font-bold" :class="open.run.status === 'complete' ? 'text-moss' : 'text-alarm'">
        {{ open.run.said }}
      </p>
      <div class="mt-5 grid max-w-xl gap-2 border-t border-line pt-3 sm:grid-cols-[1fr_auto]">
        <TextField
          v-if="open.run.status !== 'complete' || purpose === 'relearn'"
          v-model="why"
          label="Why, if it did not take"
          placeholder="idle stayed high"
          :error="form.error('why') ?? form.general('why', 'value')"
        />
        <div class="flex flex-wrap items-end gap-2">
          <button type="button" class="quiet" :disabled="open.run.status !== 'complete'" @click="close('took')">
            {{ purpose === 'bleed' ? 'Bled' : 'It took' }}
          </button>
          <button v-if="purpose === 'relearn'" type="button" class="quiet" @click="close('did not take')">
            Did not take
          </button>
          <button type="button" class="quiet" @click="close('abandoned')">Abandon</button>
        </div>
      </div>
    </div>

    <template v-else-if="job.status === 'open'">
      <ul class="rows border-y border-line">
        <li v-for="recipe in offered" :key="recipe.id" class="flex flex-wrap items-center justify-between gap-3 py-2.5">
          <div>
            <p class="font-semibold">{{ recipe.name }}</p>
            <p class="text-sm">
              <span class="text-soft">{{ recipe.steps.length }} steps · </span><SourceNote :source="recipe.source" />
            </p>
          </div>
          <button type="button" class="quiet" @click="form.send('start-run', { id: freshId(), recipeId: recipe.id })">
            {{ mine.length > 0 ? 'Try again' : 'Start' }}
          </button>
        </li>
      </ul>
      <RefusalNote class="mt-2" :form="form" :job="job" :fields="['why', 'value']" />
    </template>
  </div>
</template>
