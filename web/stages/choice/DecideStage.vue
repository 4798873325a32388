<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { OptionId, OptionTerms } from '../../../core/choose/index.ts';
import { departure } from '../../../core/house/index.ts';
import { type Choice, CHOICES } from '../../../core/job/index.ts';
import FigureRow from '../../parts/FigureRow.vue';
import TextField from '../../parts/TextField.vue';
import { shareWords } from '../diagnosis/useDiagnosis.ts';
import KnowledgeMissing from '../diagnosis/KnowledgeMissing.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import EstimateBlock from './EstimateBlock.vue';
import FlipLine from './FlipLine.vue';
import OptionRows from './OptionRows.vue';
import TermsForm from './TermsForm.vue';
import { useOptions } from './useOptions.ts';

const { store, shop, diagnosis, input, comparison, dragged, flipOf, money, per, optionName, nameOf } = useOptions();
const form = useForm();
const termsForm = useForm();
const job = computed(() => store.job);
const closed = computed(() => job.value?.status === 'closed');
const choice = ref<OptionId>((store.job?.decision?.choice as OptionId | undefined) ?? 'clean-bench');
const touched = ref(store.job?.decision !== null && store.job?.decision !== undefined);
const reason = ref(store.job?.decision?.reason ?? '');
const why = ref('');

// Until somebody chooses, what comes first is marked.
watch(
  () => comparison.value?.first,
  (first) => {
    if (!touched.value && first) choice.value = first;
  },
  { immediate: true },
);
watch(choice, (now) => {
  if (now !== comparison.value?.first) touched.value = true;
});

const option = computed(() => comparison.value?.options.find(({ terms }) => terms.id === choice.value) ?? null);
const terms = computed(() => option.value?.terms ?? null);
const priced = computed(
  () => choice.value.startsWith('replace') || choice.value === 'rebuild' || choice.value === 'clean-bench',
);
/** The part whose price is on the line: the chosen option’s, or a new unit’s when it needs none. */
const lineOption = computed<OptionId>(() => (priced.value ? choice.value : 'replace'));
const lineTerms = computed(() => input.value?.terms.find(({ id }) => id === lineOption.value) ?? null);
const flip = computed(() => flipOf(lineOption.value));
const HEADROOM = 1.5;
const LEAST_LINE = 20_000;
const highest = computed(() => {
  const known = lineTerms.value?.partsMinor ?? 0;
  return Math.ceil((Math.max(LEAST_LINE, known, flip.value?.priceMinor ?? 0) * HEADROOM) / 1000) * 1000;
});
// The line must not grow while it is dragged.
const frozen = ref<number | null>(null);
const price = computed({
  get: () => lineTerms.value?.partsMinor ?? 0,
  set: (partsMinor: number) => {
    frozen.value ??= highest.value;
    dragged.value = { option: lineOption.value, partsMinor };
  },
});
type Change = Partial<{ partsMinor: number | null; minutes: number; daysOff: number; life: number }>;
function setTerms(own: OptionTerms | null, change: Change): void {
  if (own === null) return;
  const { partsMinor, minutes, daysOff, life, id } = own;
  if (termsForm.send('set-terms', { option: id, partsMinor, minutes, daysOff, life, ...change })) {
    dragged.value = null;
    frozen.value = null;
  }
}
const rule = computed(() => departure(shop.rules, choice.value));
const departed = computed(
  () => job.value?.departures.some(({ question }) => question === rule.value?.question.id) ?? false,
);

function decideNow(): void {
  const options = (comparison.value?.options ?? []).map(({ terms: { id }, chance, nowMinor, perUseMinor }) => ({
    id,
    chance: chance.mean,
    nowMinor,
    perUseMinor,
  }));
  form.send('decide', { choice: choice.value as Choice, reason: reason.value, departure: why.value, options });
}
const belief = computed(() => diagnosis.value?.ranking.causes.slice(0, 4) ?? []);
</script>

<template>
  <StageFrame v-if="job" stage="decide" title="Decide">
    <template #head>
      <h2 class="text-heading">{{ comparison?.sentence ?? 'Decide' }}</h2>
    </template>
    <KnowledgeMissing />
    <OptionRows
      v-if="comparison"
      v-model="choice"
      class="mt-4"
      :options="comparison.options"
      :first="comparison.first"
      :per="per"
      :money="money"
      :disabled="closed"
    />
    <div v-else class="mt-6 grid gap-3" aria-busy="true"><div v-for="row in 6" :key="row" class="h-12 bg-band" /></div>

    <div v-if="terms && !closed" class="mt-5 grid max-w-4xl gap-x-10 gap-y-4 md:grid-cols-2">
      <FlipLine
        v-model="price"
        :label="`Parts for “${optionName(lineOption).toLowerCase()}”`"
        :flip="flip"
        :highest="frozen ?? highest"
        :money="money"
        :name-of="optionName"
        @settle="setTerms(lineTerms, { partsMinor: price })"
      />
      <TermsForm
        :key="terms.id"
        :terms="terms"
        :priced="priced"
        :currency="shop.settings.currency"
        :errors="{
          partsMinor: termsForm.error('partsMinor'),
          minutes: termsForm.error('minutes'),
          daysOff: termsForm.error('daysOff'),
        }"
        @set="setTerms(terms, $event)"
      />
    </div>

    <EstimateBlock v-if="job.decision && input" class="mt-8" :job="job" :terms="input.terms" />

    <template #why>
      <form v-if="!closed" class="grid gap-3" @submit.prevent="decideNow">
        <TextField
          v-if="rule && !departed"
          v-model="why"
          :label="`House rule: ${rule.rule.name.toLowerCase()}. Why not this time?`"
          placeholder="only the front is dirty, and the boat leaves at four"
          :error="form.error('departure')"
        />
        <TextField
          v-model="reason"
          label="Because"
          :lines="3"
          placeholder="deposit at the edge, valve stiff; body true"
          :error="form.error('reason') ?? form.general('reason', 'departure')"
        />
        <button type="submit" class="primary">
          {{ job.decision === null ? `Decide: ${optionName(choice).toLowerCase()}` : 'Decide anew' }}
        </button>
      </form>
      <div v-if="job.decision">
        <h3 class="text-lg">{{ CHOICES[job.decision.choice] }}</h3>
        <p class="mt-1">{{ job.decision.reason }}</p>
        <p class="mt-1 text-sm text-soft">
          {{ shop.say.person(job.decision.by) }}, {{ shop.say.time(job.decision.at) }}
        </p>
        <p v-for="each in job.departures" :key="each.question" class="mt-1 text-sm text-brass">
          Departs from the house rule: {{ each.reason }}
        </p>
        <p v-if="job.belief" class="mt-1 text-sm text-soft">
          Believed then:
          {{
            job.belief.causes
              .slice(0, 3)
              .map(({ name, share }) => `${name.toLowerCase()} ${shareWords(share)}`)
              .join(', ')
          }}
        </p>
      </div>
      <div>
        <h3 class="text-sm font-bold">What is believed</h3>
        <dl class="rows mt-1">
          <FigureRow v-for="cause in belief" :key="cause.id" :label="nameOf(cause.id)">{{
            shareWords(cause.share)
          }}</FigureRow>
        </dl>
      </div>
      <div v-if="option">
        <h3 class="text-sm font-bold">The chance, and what is not known</h3>
        <p class="mt-1 text-note">
          {{ Math.round(option.chance.fromCauses * 100) }} % from the causes; our own jobs:
          {{ option.chance.cured }} cured, {{ option.chance.cameBack }} back. Nine in ten between
          {{ Math.round(option.chance.low * 100) }} and {{ Math.round(option.chance.high * 100) }} %.
        </p>
        <ul class="mt-1 text-note text-brass">
          <li v-for="each in option.unknown" :key="each">{{ each }}</li>
        </ul>
      </div>
      <p v-if="job.checks.length === 0" class="text-soft">Nothing was checked. A choice without a check is a guess.</p>
    </template>
  </StageFrame>
</template>
