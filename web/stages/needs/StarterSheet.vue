<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import {
  answersFor,
  STARTER_HOLES,
  STARTER_REACHES,
  STARTER_SEALS,
  STARTER_UNITS,
  STARTER_VALVES,
  type StarterAnswers,
  starterProcedure,
  stepsInPlace,
} from '../../../core/procedure/index.ts';
import { engineLine, vehicleName } from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import { saveProcedure } from '../../data/procedures.ts';
import { freshId } from '../../stores/job.ts';

/** A first procedure from eight answers: each line with why, and *not on this one* by a tap. */
const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: []; made: [procedureId: string] }>();
const { vehicle } = props.job;
// What the vehicle’s file says is answered; nothing else is taken for granted.
const known = answersFor(vehicle);
const answers = reactive<{ -readonly [K in keyof StarterAnswers]: StarterAnswers[K] | null }>({
  unit: known.unit ?? null,
  reach: null,
  bolts: null,
  into: null,
  seal: null,
  hoses: null,
  coolantHoses: null,
  valve: known.valve ?? null,
  plugs: null,
  bodies: known.bodies ?? 1,
});
const without = ref<ReadonlySet<string>>(new Set());
const busy = ref(false);
const wrong = ref('');
const id = freshId();

const options = <K extends string>(all: Readonly<Record<K, string>>) =>
  (Object.entries(all) as [K, string][]).map(([key, name]) => ({ id: key, name }));
const counts = (high: number) =>
  Array.from({ length: high + 1 }, (_, count) => ({ id: String(count), name: String(count) }));
const counted = (name: 'bolts' | 'hoses' | 'coolantHoses' | 'plugs') =>
  computed({
    get: () => (answers[name] === null ? null : String(answers[name])),
    set: (text: string | null) => (answers[name] = text === null ? null : Number(text)),
  });
const bolts = counted('bolts');
const hoses = counted('hoses');
const coolantHoses = counted('coolantHoses');
const plugs = counted('plugs');

const left = computed(() => Object.values(answers).filter((answer) => answer === null).length);
const draft = computed(() =>
  left.value > 0
    ? null
    : starterProcedure(
        answers as StarterAnswers,
        {
          id,
          name: `${STARTER_UNITS[answers.unit ?? 'cable']}, ${vehicleName({ ...vehicle, nickname: '' })}`.slice(0, 120),
          family: engineLine(vehicle),
          familyId: vehicle.familyId ?? null,
        },
        without.value,
      ),
);
/** Everything the answers call for, so that what was left out can be taken in again. */
const whole = computed(() =>
  draft.value === null ? null : starterProcedure(answers as StarterAnswers, draft.value.procedure),
);
const minutes = computed(
  () =>
    draft.value?.procedure.items.reduce((sum, { minutes: own }) => sum + (own?.off ?? 0) + (own?.back ?? 0), 0) ?? 0,
);
function turn(line: string): void {
  const next = new Set(without.value);
  if (!next.delete(line)) next.add(line);
  without.value = next;
}
async function make(): Promise<void> {
  if (draft.value === null) return;
  busy.value = true;
  try {
    await saveProcedure(draft.value.procedure, 0, 'from eight questions');
    emit('made', id);
    emit('close');
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <SheetDialog title="A first procedure from eight questions" wide @close="emit('close')">
    <p class="text-soft">Usual practice of the trade, no maker’s data: every line says why, and is yours to verify.</p>
    <div class="mt-4 grid gap-4">
      <ChoiceRow v-model="answers.unit" label="1. What is it?" :options="options(STARTER_UNITS)" />
      <ChoiceRow v-model="answers.reach" label="2. How is it reached?" :options="options(STARTER_REACHES)" />
      <div class="grid gap-2">
        <ChoiceRow v-model="bolts" label="3. How many bolts hold it, and into what?" :options="counts(8)" />
        <ChoiceRow v-model="answers.into" label="Into what" hide-label :options="options(STARTER_HOLES)" />
      </div>
      <ChoiceRow v-model="answers.seal" label="4. What seals it?" :options="options(STARTER_SEALS)" />
      <ChoiceRow v-model="hoses" label="5. Air, breather and vacuum hoses on it" :options="counts(6)" />
      <ChoiceRow v-model="coolantHoses" label="6. Coolant hoses through it" :options="counts(3)" />
      <ChoiceRow v-model="answers.valve" label="7. The idle air valve" :options="options(STARTER_VALVES)" />
      <ChoiceRow v-model="plugs" label="8. Connectors on it" :options="counts(6)" />
    </div>
    <p v-if="left > 0" class="mt-5 font-semibold text-brass">
      {{ left === 1 ? 'One answer is' : `${left} answers are` }} still open.
    </p>
    <template v-if="whole && draft">
      <h3 class="mt-6 text-lg">Comes off, in this order; about {{ minutes }} min off and back</h3>
      <ol class="rows mt-1 border-y border-line">
        <li
          v-for="line in stepsInPlace(whole.procedure.items)"
          :key="line.id"
          class="grid grid-cols-[1fr_auto] items-baseline gap-3 py-1.5"
        >
          <span :class="without.has(line.id) ? 'text-soft line-through' : ''"
            ><b>{{ line.name }}</b
            ><span v-if="line.backBefore" class="text-brass">, on the way back</span>
            <span class="block text-sm text-soft">{{ whole.reasons[line.id] }}</span></span
          >
          <button type="button" class="link min-h-10 text-sm" @click="turn(line.id)">
            {{ without.has(line.id) ? 'It is on this one' : 'Not on this one'
            }}<span class="sr-only">: {{ line.name }}</span>
          </button>
        </li>
      </ol>
      <h3 class="mt-5 text-lg">Needed</h3>
      <ul class="rows mt-1 border-y border-line">
        <li
          v-for="need in whole.procedure.needs"
          :key="need.id"
          class="grid grid-cols-[1fr_auto] items-baseline gap-3 py-1.5"
        >
          <span :class="without.has(need.id) ? 'text-soft line-through' : ''"
            ><b>{{ (need.count ?? 1) > 1 ? `${need.count} × ` : '' }}{{ need.name }}</b>
            <span class="block text-sm text-soft">{{ whole.reasons[need.id] }}</span></span
          >
          <button type="button" class="link min-h-10 text-sm" @click="turn(need.id)">
            {{ without.has(need.id) ? 'Needed here' : 'Not on this one' }}<span class="sr-only">: {{ need.name }}</span>
          </button>
        </li>
      </ul>
      <p v-if="wrong" class="mt-3 font-semibold text-alarm" role="alert">{{ wrong }}</p>
      <button type="button" class="primary mt-5" :disabled="busy" @click="make">Keep it and work by it</button>
    </template>
  </SheetDialog>
</template>
