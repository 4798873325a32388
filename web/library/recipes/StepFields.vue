<script setup lang="ts">
import { computed } from 'vue';
import { FIELDS } from '../../../core/quantity/index.ts';
import { type Recipe, type RecipeProblem, STEP_KINDS } from '../../../core/relearn/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import ConditionRows from './ConditionRows.vue';
import type { StepText } from './recipeText.ts';
import WayRows from './WayRows.vue';
import type { WayOut } from './waysOut.ts';

/** One step of a recipe: what is done, how long, what must hold, and where it leads. */
const props = defineProps<{
  step: StepText;
  flags: Recipe['flags'];
  /** Steps that it may go back to, itself among them. */
  before: readonly WayOut[];
  ways: readonly WayOut[];
  problems: readonly RecipeProblem[];
}>();
const emit = defineEmits<{ change: [more: Partial<StepText>]; flag: [words: string, name: string] }>();
const KINDS = STEP_KINDS.map((id) => ({ id, name: upperFirst(id) }));
const wrong = (field: string): string[] =>
  props.problems.flatMap((problem) =>
    problem.stepId === props.step.id && problem.field === field && problem.level === 'wrong' ? [problem.words] : [],
  );
const goesBack = computed(() => props.step.again !== null);
function turns(on: boolean): void {
  emit('change', { again: on ? { back: props.step.id, times: '2' } : null });
}
</script>

<template>
  <div class="grid gap-5">
    <ChoiceRow
      :model-value="step.kind"
      label="Kind"
      :options="KINDS"
      @update:model-value="emit('change', { kind: $event ?? 'check' })"
    />
    <TextField
      :model-value="step.title"
      label="What is done"
      placeholder="Key on, engine off"
      :error="wrong('title')[0] ?? wrong('id')[0]"
      @update:model-value="emit('change', { title: $event })"
    />
    <TextField
      :model-value="step.how"
      label="How, in a sentence"
      placeholder="Do not touch the pedal. The valve sweeps to its stops."
      :lines="2"
      @update:model-value="emit('change', { how: $event })"
    />
    <FigureField
      :model-value="step.seconds"
      class="w-48"
      label="Held for"
      :field="FIELDS.holdTime"
      placeholder="until it is tapped"
      :error="wrong('seconds')[0]"
      @update:model-value="emit('change', { seconds: $event })"
    />
    <ConditionRows
      :step="step"
      :flags="flags"
      :ways="ways"
      :problems="problems"
      @change="emit('change', $event)"
      @flag="(words, name) => emit('flag', words, name)"
    />
    <TextField
      :model-value="step.asks"
      label="What is typed when it is done"
      placeholder="the text the tool ended on"
      @update:model-value="emit('change', { asks: $event })"
    />
    <WayRows
      label="Answer"
      hint="Asked when it is done. Without any it goes on to the next step."
      add="Ask which way"
      placeholder="no code is stored"
      :rows="step.answers"
      :ways="ways"
      :errors="wrong('answers')"
      @change="emit('change', { answers: $event })"
    />
    <WayRows
      label="Other way"
      hint="May be taken at once instead of it."
      add="Offer another way"
      placeholder="no tool here: timed"
      :rows="step.instead"
      :ways="ways"
      :errors="[]"
      @change="emit('change', { instead: $event })"
    />
    <fieldset class="grid gap-2">
      <legend class="text-sm font-bold">Several times</legend>
      <label class="flex min-h-11 items-center gap-2"
        ><input
          type="checkbox"
          class="size-5 accent-bottle"
          :checked="goesBack"
          @change="turns(($event.target as HTMLInputElement).checked)"
        />
        After it, back for another turn</label
      >
      <div v-if="step.again" class="flex flex-wrap items-end gap-2">
        <label class="min-w-48 flex-1">
          <span class="mb-1 block text-sm font-semibold">back to</span>
          <select
            class="input"
            :value="step.again.back"
            @change="emit('change', { again: { ...step.again, back: ($event.target as HTMLSelectElement).value } })"
          >
            <option v-for="way in before" :key="way.id" :value="way.id">{{ way.words }}</option>
          </select>
        </label>
        <FigureField
          :model-value="step.again.times"
          class="w-32"
          label="times in all"
          :field="FIELDS.count"
          @update:model-value="step.again && emit('change', { again: { ...step.again, times: $event } })"
        />
      </div>
      <p v-for="error in wrong('again')" :key="error" class="text-sm font-semibold text-alarm">{{ error }}</p>
    </fieldset>
  </div>
</template>
