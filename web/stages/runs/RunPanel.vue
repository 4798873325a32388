<script setup lang="ts">
import { computed, ref } from 'vue';
import { type Job, type JobRun, recipesFor } from '../../../core/job/index.ts';
import { type OfferedRecipe, type Recipe, recipeWords, stepsLeftOut } from '../../../core/relearn/index.ts';
import SourceNote from '../../parts/SourceNote.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import RefusalNote from '../RefusalNote.vue';
import { useForm } from '../useForm.ts';
import RunCoach from './RunCoach.vue';

/** Attempts so far, the run that is open, and what can be started. */
const props = defineProps<{ job: Job; purpose: 'bleed' | 'relearn' }>();
const shop = useShop();
const form = useForm();
const mine = computed(() => props.job.runs.filter(({ run }) => run.recipe.purpose === props.purpose));
const closed = computed(() => mine.value.filter((entry) => entry.closed !== null));
const isOpen = computed(() => mine.value.some((entry) => entry.closed === null));
const offered = computed(() => recipesFor(props.job, shop.recipes, props.purpose));
const WHY: Readonly<Record<OfferedRecipe['why'], string>> = {
  vehicle: 'for this vehicle',
  family: 'for this engine',
  procedure: 'named by the procedure',
  kind: 'for a unit it has',
  any: '',
};
/** “None needed” asks for why before it is recorded. */
const asking = ref('');
const why = ref('');
function start({ id, way }: Recipe): void {
  if (way === 'none' && asking.value !== id) {
    asking.value = id;
    return;
  }
  if (form.send('start-run', { id: freshId(), recipeId: id, ...(way === 'none' && { why: why.value }) })) {
    asking.value = '';
    why.value = '';
  }
}
/** What was left out with its reason, each by itself; what was not come to, in one line. */
function leftOut({ run }: JobRun): string[] {
  const left = stepsLeftOut(run);
  const ahead = left.filter(({ why: said }) => said === '').map(({ step }) => step.title);
  return [
    ...left.filter(({ why: said }) => said !== '').map(({ step, why: said }) => `left out: ${step.title}, ${said}`),
    ...(ahead.length === 0 ? [] : [`not come to: ${ahead.join('; ')}`]),
  ];
}
/** A recipe that was gone through before is tried again. */
const tried = (id: string): boolean => mine.value.some(({ run }) => run.recipe.id === id);
const outcomeWords = (outcome: string): string => (outcome === 'took' && props.purpose === 'bleed' ? 'done' : outcome);
</script>

<template>
  <div>
    <ul v-if="closed.length > 0" class="rows mb-3 border-y border-line">
      <li v-for="(entry, index) in closed" :key="entry.id" class="flex justify-between gap-4 py-2">
        <span
          >{{ index + 1 }}. {{ entry.run.recipe.name
          }}<span v-if="entry.closed?.why" class="text-soft">, {{ entry.closed.why }}</span
          ><span v-for="said in entry.run.texts" :key="said.step" class="block text-sm text-soft"
            >it said “{{ said.text }}”</span
          ><span v-for="left in leftOut(entry)" :key="left" class="block text-sm text-oxide">{{ left }}</span></span
        >
        <span
          class="shrink-0 font-bold"
          :class="
            entry.closed?.outcome === 'took'
              ? 'text-moss'
              : entry.closed?.outcome === 'not needed'
                ? 'text-soft'
                : 'text-oxide'
          "
          >{{ outcomeWords(entry.closed?.outcome ?? '') }}</span
        >
      </li>
    </ul>

    <RunCoach v-if="isOpen" :job="job" :purpose="purpose" />

    <template v-else-if="job.status === 'open'">
      <ul class="rows border-y border-line">
        <li v-for="{ recipe, why: near } in offered" :key="recipe.id" class="py-2.5">
          <div class="flex flex-wrap items-center justify-between gap-3">
            <div>
              <p class="font-semibold">{{ recipe.name }}</p>
              <p class="text-sm">
                <span class="text-soft">{{ [recipeWords(recipe), WHY[near]].filter(Boolean).join(' · ') }} · </span
                ><SourceNote :source="recipe.source" />
              </p>
            </div>
            <button v-if="asking !== recipe.id" type="button" class="quiet" @click="start(recipe)">
              {{ recipe.way === 'none' ? 'None needed' : tried(recipe.id) ? 'Try again' : 'Start' }}
            </button>
          </div>
          <form
            v-if="asking === recipe.id"
            class="mt-2 flex max-w-2xl flex-wrap items-end gap-3"
            @submit.prevent="start(recipe)"
          >
            <TextField
              v-model="why"
              class="min-w-60 flex-1"
              label="Why none is needed"
              placeholder="nothing was unplugged, the plate never moved"
              :error="form.error('why')"
            />
            <button type="submit" class="primary">Record it</button>
            <button type="button" class="faint" @click="asking = ''">Leave it</button>
          </form>
        </li>
      </ul>
      <RefusalNote class="mt-2" :form="form" :job="job" :fields="['why']" />
      <p class="mt-2 text-note text-soft">
        Not the right one? <RouterLink class="link" to="/recipes">Write or read a recipe</RouterLink>
      </p>
    </template>
  </div>
</template>
