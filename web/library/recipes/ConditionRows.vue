<script setup lang="ts">
import { computed } from 'vue';
import { FLAGS, READINGS, type ReadingName, type Recipe, type RecipeProblem } from '../../../core/relearn/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import type { BadEndText, ConditionText, StepText } from './recipeText.ts';
import type { WayOut } from './waysOut.ts';

/** What must hold for a step’s time to count, what stops its clock, and which reading ends it badly. */
const props = defineProps<{
  step: StepText;
  flags: Recipe['flags'];
  ways: readonly WayOut[];
  problems: readonly RecipeProblem[];
}>();
const emit = defineEmits<{ change: [more: Partial<StepText>]; flag: [words: string, name: string] }>();

const READING_NAMES = Object.keys(READINGS) as ReadingName[];
const allFlags = computed((): readonly { readonly id: string; readonly on: string }[] => [
  ...Object.entries(FLAGS).map(([id, { on }]) => ({ id, on })),
  ...props.flags,
]);
const OWN = 'own';
const condition = (name: string): ConditionText =>
  name in READINGS
    ? {
        kind: 'reading',
        name: name as ReadingName,
        low: '',
        high: '',
        unit: READINGS[name as ReadingName].unit,
        words: '',
      }
    : { kind: 'flag', name, on: true, words: '' };
/** A flag in own words gets an id that nobody sees. */
function nameOf(picked: string): string {
  if (picked !== OWN) return picked;
  const name = `own-${crypto.randomUUID().slice(0, 8)}`;
  emit('flag', '', name);
  return name;
}
const conditions = (next: readonly ConditionText[]): void => emit('change', { conditions: next });
function put(index: number, more: Partial<ConditionText>): void {
  conditions(props.step.conditions.map((each, at) => (at === index ? ({ ...each, ...more } as ConditionText) : each)));
}
const pauses = (next: readonly string[]): void => emit('change', { pausedBy: next });
const ends = (next: readonly BadEndText[]): void => emit('change', { endsBadly: next });
const putEnd = (index: number, more: Partial<BadEndText>): void =>
  ends(props.step.endsBadly.map((each, at) => (at === index ? { ...each, ...more } : each)));
const wrong = (field: string): string[] =>
  props.problems.flatMap((problem) =>
    problem.stepId === props.step.id && problem.field === field ? [problem.words] : [],
  );
const ownWords = (name: string): string | null => props.flags.find(({ id }) => id === name)?.on ?? null;
const value = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <fieldset class="grid gap-2">
    <legend class="text-sm font-bold">Needs</legend>
    <p class="text-sm text-soft">Its time counts, and it can be confirmed, only while all of these hold.</p>
    <div
      v-for="(each, index) in step.conditions"
      :key="index"
      class="grid items-end gap-2 border-l-[3px] border-line pl-3"
    >
      <template v-if="each.kind === 'reading'">
        <div class="flex flex-wrap items-end gap-2">
          <b class="w-full text-note">{{ READINGS[each.name].name }}</b>
          <FigureField
            :model-value="each.low"
            class="w-24"
            :label="`From, ${each.unit}`"
            :field="FIELDS.plain"
            @update:model-value="put(index, { low: $event })"
          />
          <FigureField
            :model-value="each.high"
            class="w-24"
            :label="`to, ${each.unit}`"
            :field="FIELDS.plain"
            @update:model-value="put(index, { high: $event })"
          />
          <label v-if="READINGS[each.name].units.length > 1">
            <span class="mb-1 block text-sm font-semibold">in</span>
            <select class="input" :value="each.unit" @change="put(index, { unit: value($event) as typeof each.unit })">
              <option v-for="unit in READINGS[each.name].units" :key="unit" :value="unit">{{ unit }}</option>
            </select>
          </label>
          <button
            type="button"
            class="faint"
            :aria-label="`Take out ${READINGS[each.name].name}`"
            @click="conditions(step.conditions.filter((_, at) => at !== index))"
          >
            Take out
          </button>
        </div>
      </template>
      <div v-else class="flex flex-wrap items-end gap-2">
        <TextField
          v-if="ownWords(each.name) !== null"
          class="min-w-48 flex-1"
          label="What must be so"
          placeholder="air conditioning off"
          :model-value="ownWords(each.name) ?? ''"
          @update:model-value="emit('flag', $event, each.name)"
        />
        <label v-else class="min-w-48 flex-1">
          <span class="mb-1 block text-sm font-semibold">What must be so</span>
          <select class="input" :value="each.on ? 'on' : 'off'" @change="put(index, { on: value($event) === 'on' })">
            <option value="on">{{ upperFirst(FLAGS[each.name]?.on ?? each.name) }}</option>
            <option value="off">{{ upperFirst(FLAGS[each.name]?.off ?? `not ${each.name}`) }}</option>
          </select>
        </label>
        <button
          type="button"
          class="faint"
          :aria-label="`Take out ${ownWords(each.name) ?? FLAGS[each.name]?.on ?? each.name}`"
          @click="conditions(step.conditions.filter((_, at) => at !== index))"
        >
          Take out
        </button>
      </div>
      <p v-for="error in wrong(`conditions.${index}`)" :key="error" class="text-sm font-semibold text-alarm">
        {{ error }}
      </p>
    </div>
    <select
      class="input justify-self-start"
      aria-label="Add something that must hold"
      value=""
      @change="conditions([...step.conditions, condition(nameOf(value($event)))])"
    >
      <option value="" disabled>Add …</option>
      <optgroup label="A reading">
        <option v-for="name in READING_NAMES" :key="name" :value="name">{{ READINGS[name].name }}</option>
      </optgroup>
      <optgroup label="What is so">
        <option v-for="{ id, on } in allFlags" :key="id" :value="id">{{ upperFirst(on) }}</option>
        <option :value="OWN">In own words</option>
      </optgroup>
    </select>
  </fieldset>

  <fieldset class="grid gap-2">
    <legend class="text-sm font-bold">Its time stands still while</legend>
    <ul v-if="step.pausedBy.length > 0" class="flex flex-wrap gap-2">
      <li v-for="name in step.pausedBy" :key="name" class="flex items-center gap-2 rounded bg-band px-3">
        {{ ownWords(name) ?? FLAGS[name]?.on ?? name }}
        <button
          type="button"
          class="faint"
          :aria-label="`No longer: ${ownWords(name) ?? FLAGS[name]?.on ?? name}`"
          @click="pauses(step.pausedBy.filter((each) => each !== name))"
        >
          Take out
        </button>
      </li>
    </ul>
    <select
      class="input justify-self-start"
      aria-label="Add what stops the clock"
      value=""
      @change="pauses([...new Set([...step.pausedBy, value($event)])])"
    >
      <option value="" disabled>Add …</option>
      <option v-for="{ id, on } in allFlags" :key="id" :value="id">{{ upperFirst(on) }}</option>
    </select>
  </fieldset>

  <fieldset class="grid gap-2">
    <legend class="text-sm font-bold">Ends badly when</legend>
    <div v-for="(end, index) in step.endsBadly" :key="index" class="grid gap-2 border-l-[3px] border-oxide pl-3">
      <div class="flex flex-wrap items-end gap-2">
        <b class="w-full text-note">{{ READINGS[end.name].name }}</b>
        <FigureField
          :model-value="end.below"
          class="w-24"
          :label="`Below, ${end.unit}`"
          :field="FIELDS.plain"
          @update:model-value="putEnd(index, { below: $event })"
        />
        <FigureField
          :model-value="end.above"
          class="w-24"
          :label="`above, ${end.unit}`"
          :field="FIELDS.plain"
          @update:model-value="putEnd(index, { above: $event })"
        />
        <label v-if="READINGS[end.name].units.length > 1">
          <span class="mb-1 block text-sm font-semibold">in</span>
          <select class="input" :value="end.unit" @change="putEnd(index, { unit: value($event) as typeof end.unit })">
            <option v-for="unit in READINGS[end.name].units" :key="unit" :value="unit">{{ unit }}</option>
          </select>
        </label>
        <label class="min-w-40 flex-1">
          <span class="mb-1 block text-sm font-semibold">go on at</span>
          <select class="input" :value="end.goTo" @change="putEnd(index, { goTo: value($event) })">
            <option v-for="way in ways" :key="way.id" :value="way.id">{{ way.words }}</option>
          </select>
        </label>
      </div>
      <div class="flex items-end gap-2">
        <TextField
          class="flex-1"
          label="What is said then"
          placeholder="It stalled. Start again and let it idle."
          :model-value="end.words"
          @update:model-value="putEnd(index, { words: $event })"
        />
        <button
          type="button"
          class="faint"
          :aria-label="`Take out the bad end by ${READINGS[end.name].name}`"
          @click="ends(step.endsBadly.filter((_, at) => at !== index))"
        >
          Take out
        </button>
      </div>
      <p v-for="error in wrong(`endsBadly.${index}`)" :key="error" class="text-sm font-semibold text-alarm">
        {{ error }}
      </p>
    </div>
    <p v-for="error in wrong('endsBadly')" :key="error" class="text-sm font-semibold text-alarm">{{ error }}</p>
    <select
      class="input justify-self-start"
      aria-label="Add a reading that ends it badly"
      value=""
      @change="
        ends([
          ...step.endsBadly,
          {
            name: value($event) as ReadingName,
            below: '',
            above: '',
            unit: READINGS[value($event) as ReadingName].unit,
            words: '',
            goTo: 'failed',
          },
        ])
      "
    >
      <option value="" disabled>Add …</option>
      <option v-for="name in READING_NAMES" :key="name" :value="name">{{ READINGS[name].name }}</option>
    </select>
  </fieldset>
</template>
