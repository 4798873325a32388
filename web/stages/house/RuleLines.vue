<script setup lang="ts">
import { computed, ref } from 'vue';
import { HOUSE_QUESTIONS, type HouseQuestion, ruleFor } from '../../../core/house/index.ts';
import { type Job, QUESTIONS_AT, type Stage } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import PutRight from '../entries/PutRight.vue';
import { useForm } from '../useForm.ts';

/** The house rules that bite at this stage, and the way to depart from one on this job alone. */
const props = defineProps<{ job: Job; stage: Stage }>();
const shop = useShop();
const form = useForm();
const departing = ref('');
const taken = ref('');
const reason = ref('');

const lines = computed(() =>
  (QUESTIONS_AT[props.stage] ?? []).flatMap((id) => {
    const question = HOUSE_QUESTIONS.find((each) => each.id === id);
    const rule = ruleFor(shop.rules, id);
    const departed = props.job.departures.find((each) => each.question === id) ?? null;
    return question === undefined || (rule === null && departed === null) ? [] : [{ question, rule, departed }];
  }),
);
const nameOf = (question: HouseQuestion, school: string): string =>
  question.schools.find(({ id }) => id === school)?.name ?? school;
const others = (question: HouseQuestion, rule: string) => question.schools.filter(({ id }) => id !== rule);
function begin(question: HouseQuestion, rule: string): void {
  departing.value = question.id;
  taken.value = others(question, rule)[0]?.id ?? '';
  reason.value = '';
  form.clear();
}
function depart(): void {
  if (form.send('depart-from-rule', { question: departing.value, taken: taken.value, reason: reason.value }))
    departing.value = '';
}
</script>

<template>
  <section v-if="lines.length > 0" aria-label="House rules here">
    <h3 class="text-lg">How the house does it</h3>
    <ul class="rows mt-1 border-y border-line text-note">
      <li v-for="{ question, rule, departed } in lines" :key="question.id" class="py-1.5">
        <span class="block text-sm text-soft">{{ question.question }}</span>
        <template v-if="departed">
          <b class="text-brass">{{ nameOf(question, departed.taken) }}</b> on this job: {{ departed.reason }}
          <PutRight
            :job="job"
            kind="rule-departed"
            :holds="{ question: question.id }"
            :what="nameOf(question, departed.taken)"
          />
        </template>
        <template v-else-if="rule">
          <span class="font-semibold">{{ rule.name }}</span>
          <button
            v-if="job.status === 'open' && departing !== question.id"
            type="button"
            class="faint block!"
            :aria-label="`Not on this job: ${question.question}`"
            @click="begin(question, rule.id)"
          >
            Not on this job
          </button>
          <form v-if="departing === question.id" class="mt-2 grid gap-2" @submit.prevent="depart">
            <label>
              <span class="mb-1 block text-sm font-semibold">Here it is</span>
              <select v-model="taken" class="input">
                <option v-for="school in others(question, rule.id)" :key="school.id" :value="school.id">
                  {{ school.name }}
                </option>
              </select>
            </label>
            <p class="text-sm text-soft">{{ question.schools.find(({ id }) => id === taken)?.costs }}</p>
            <TextField v-model="reason" label="Because" :error="form.error('reason') ?? form.general('reason')" />
            <span class="flex flex-wrap gap-2">
              <button type="submit" class="quiet text-sm">Depart from it here</button>
              <button type="button" class="faint" @click="departing = ''">Keep the rule</button>
            </span>
          </form>
        </template>
      </li>
    </ul>
  </section>
</template>
