<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { type Believed, type OptionId, OPTIONS, type OptionTerms } from '../../../core/choose/index.ts';
import { departure } from '../../../core/house/index.ts';
import { type Choice, CHOICES, partNumberFor } from '../../../core/job/index.ts';
import { canBeAsked, type PricedWay, type WayPrice } from '../../../core/supplier/index.ts';
import FigureRow from '../../parts/FigureRow.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { shareWords } from '../diagnosis/useDiagnosis.ts';
import KnowledgeMissing from '../diagnosis/KnowledgeMissing.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import AskPrices from './AskPrices.vue';
import EstimateBlock from './EstimateBlock.vue';
import FlipLine from './FlipLine.vue';
import OptionRows from './OptionRows.vue';
import PlannedRows from './PlannedRows.vue';
import PlanRows from './PlanRows.vue';
import PlanSums from './PlanSums.vue';
import { firstWords, ofHundred, thenWords } from './planWords.ts';
import TermsForm from './TermsForm.vue';
import { useFlips } from './useFlips.ts';
import { useOptions } from './useOptions.ts';

const {
  store,
  shop,
  diagnosis,
  input,
  plans,
  comparison,
  dragged,
  money,
  per,
  perUse,
  lasts,
  wayName,
  wayMinutes,
  nameOf,
  shortOf,
} = useOptions();
const form = useForm();
const termsForm = useForm();
const job = computed(() => store.job);
const closed = computed(() => job.value?.status === 'closed');
const reason = ref(store.job?.decision?.reason ?? store.job?.planned?.what ?? '');
const why = ref('');
const oneByOne = ref(false);

/** What is chosen, by the first step of its plan; until somebody chooses, what was decided, else what comes first. */
const chosen = ref('');
const touched = ref(false);
const best = computed(() => plans.value?.plans[0] ?? null);
const planned = computed(() => job.value?.planned ?? null);
/** What is planned needs no fault: what is done to the unit, the usual first. */
const PLANNED = {
  service: ['clean-bench', 'clean-in-place', 'adjust', 'relearn'],
  replacement: ['replace', 'replace-rebuilt', 'replace-used', 'rebuild'],
};
const plannedWays = computed(() => {
  const { value } = planned;
  if (value === null || value.kind === 'fault') return [];
  const first = PLANNED[value.kind];
  const order = [...first, ...PLANNED.service, ...PLANNED.replacement];
  return order
    .filter((id, index) => order.indexOf(id) === index)
    .flatMap((id) => (plans.value?.ways ?? []).filter(({ option: of }) => of === id));
});
watch(
  () => (planned.value === null ? best.value?.steps[0]?.way.id : plannedWays.value[0]?.id),
  (first) => {
    if (touched.value) return;
    const decided = job.value?.decision;
    chosen.value = decided?.plan?.[0] ?? (decided === null || decided === undefined ? first : decided.choice) ?? '';
  },
  { immediate: true },
);
const pick = (way: string): void => {
  touched.value = true;
  chosen.value = way;
};
const plan = computed(() =>
  planned.value === null ? (plans.value?.plans.find(({ steps }) => steps[0]?.way.id === chosen.value) ?? null) : null,
);
const option = computed(
  () =>
    comparison.value?.options.find(({ way }) => way.id === chosen.value) ??
    comparison.value?.options.find(({ terms }) => terms.id === chosen.value) ??
    null,
);
const terms = computed(() => option.value?.terms ?? null);
const taken = computed((): OptionId => terms.value?.id ?? 'clean-bench');
/** Whether a price that nobody has given decides what comes first; undefined while that is worked out. */
const priceDecides = computed(() =>
  (plans.value?.unpriced.length ?? 0) === 0 ? false : asks.value === undefined ? undefined : asks.value.length > 0,
);
const headline = computed(() => {
  const { value } = plan;
  if (planned.value !== null) return `Planned: ${planned.value.what}`;
  // A winner is named once every price that could change it is known.
  if (priceDecides.value === undefined) return 'Decide';
  if (priceDecides.value) return 'Which comes first depends on a price';
  const first = value?.steps[0];
  if (plans.value !== null && plans.value.plans.length === 0) return 'No option has both a chance and a price yet';
  if (first !== undefined && value !== null) return firstWords(first, wayName, money);
  // What was decided may be the first step of no plan: then that is what stands.
  const decided = job.value?.decision;
  return decided == null ? 'Decide' : `Decided: ${CHOICES[decided.choice].toLowerCase()}`;
});
const after = computed(() =>
  plan.value === null || planned.value !== null || priceDecides.value !== false ? '' : thenWords(plan.value, wayName),
);
/** Parts that failed here twice or more, with the life that is left to expect of a new one. */
const shortLived = computed(() => {
  const found = (input.value?.terms ?? []).flatMap(({ id, lived, life }) =>
    id === 'replace' && lived !== undefined ? [{ ...lived, life }] : [],
  );
  return found.filter((each, index) => found.findIndex(({ partNumber }) => partNumber === each.partNumber) === index);
});
/** Repairs of the ways on the screen that failed here often enough to say how long they hold. */
const heldHere = computed(() =>
  (input.value?.terms ?? [])
    .flatMap(({ id, held, life }) =>
      held === undefined ? [] : [{ key: `${id} ${held.median} ${held.usual}`, name: OPTIONS[id], ...held, life }],
    )
    .filter((each, index, all) => all.findIndex(({ key }) => key === each.key) === index),
);
const hopeless = computed(() => plans.value?.notWorth.filter(({ why: reasonWhy }) => reasonWhy !== 'no price') ?? []);
const NOT_WORTH = {
  'no chance': 'not worth trying',
  'tried already': 'tried already, and it did not help',
  'no price': 'no price',
  'no life': 'no life given',
} as const;

/** The part whose price is on the line: the chosen way’s, or a new unit’s when it needs none. */
const priced = computed(() =>
  ['replace', 'replace-rebuilt', 'replace-used', 'rebuild', 'clean-bench'].includes(taken.value),
);
const lineWay = computed(() =>
  priced.value ? option.value?.way : plans.value?.ways.find(({ option: id }) => id === 'replace'),
);
const {
  price: flip,
  chance: chanceFlip,
  asks,
} = useFlips(
  computed(() =>
    input.value === null || store.knowledge === null
      ? null
      : {
          knowledge: store.knowledge,
          choose: input.value,
          priceOf: lineWay.value?.id ?? null,
          chanceOf: plan.value?.steps[0]?.way.id ?? null,
        },
  ),
);
const HEADROOM = 1.5;
const LEAST_LINE = 20_000;
const highest = computed(() => {
  const known = lineWay.value?.terms.partsMinor ?? 0;
  return Math.ceil((Math.max(LEAST_LINE, known, flip.value?.at ?? 0) * HEADROOM) / 1000) * 1000;
});
// The line must not grow while it is dragged.
const frozen = ref<number | null>(null);
const price = computed({
  get: () => lineWay.value?.terms.partsMinor ?? 0,
  set: (partsMinor: number) => {
    if (lineWay.value === undefined) return;
    frozen.value ??= highest.value;
    dragged.value = { way: lineWay.value.id, partsMinor };
  },
});
type Change = Partial<{ partsMinor: number | null; minutes: number; daysOff: number; life: number }>;
function setTerms(of: { readonly id: string; readonly terms: OptionTerms } | undefined, change: Change): void {
  if (of === undefined) return;
  const { partsMinor, minutes, daysOff, life, id } = of.terms;
  const way = of.id === id ? {} : { way: of.id };
  if (termsForm.send('set-terms', { option: id, ...way, partsMinor, minutes, daysOff, life, ...change })) {
    dragged.value = null;
    frozen.value = null;
  }
}
/** Ways that wait for a price and fit a unit whose number is known: a supplier can be asked for them. */
const toAsk = computed((): PricedWay[] =>
  (plans.value?.ways ?? []).flatMap(({ id, option: fits, terms: of }) => {
    if (job.value === null || of.partsMinor !== null || !canBeAsked(fits)) return [];
    const units = (diagnosis.value?.subject.units ?? []).filter(
      ({ kind, place }) => kind === (of.kind ?? kind) && place === (of.unit?.place ?? place),
    );
    const kind = of.kind ?? units[0]?.kind ?? 'throttle-body';
    const partNumber = partNumberFor(job.value, store.family, kind);
    return partNumber === null ? [] : [{ way: id, option: fits, partNumber, units: Math.max(1, units.length) }];
  }),
);
const wayOf = (id: string) => plans.value?.ways.find((way) => way.id === id);
const nameOfWay = (id: string): string => {
  const way = wayOf(id);
  return way === undefined ? id : wayName(way);
};
function takePrice({ way, partsMinor, daysOff }: WayPrice): void {
  setTerms(wayOf(way), { partsMinor, ...(daysOff === null ? {} : { daysOff }) });
}
const rule = computed(() => departure(shop.rules, taken.value));
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
  const steps =
    plan.value?.steps.map(({ way }) => way.id) ?? (option.value === null ? undefined : [option.value.way.id]);
  form.send('decide', {
    choice: taken.value as Choice,
    reason: reason.value,
    departure: why.value,
    options: options.slice(0, 12),
    ...(steps === undefined ? {} : { plan: steps }),
  });
}
const belief = computed(() => diagnosis.value?.ranking.causes.slice(0, 4) ?? []);
const causeWords = ({ cause, unit, with: other }: Believed): string => {
  const one = (each: Pick<Believed, 'cause' | 'unit'>): string =>
    shortOf(each.unit ? `${each.cause}@${each.unit.kind}:${each.unit.place}` : each.cause);
  return other === undefined ? one({ cause, unit }) : `${one({ cause, unit })} and ${one(other)}`;
};
</script>

<template>
  <StageFrame v-if="job" stage="decide" title="Decide">
    <template #head>
      <h2 class="text-heading">{{ headline }}</h2>
      <p v-if="after" class="text-heading font-bold leading-tight">{{ after }}</p>
      <p v-if="planned" class="mt-1 text-soft">No fault is weighed: choose what is done, and what it takes.</p>
      <p v-else-if="plans?.close && plan === best" class="mt-1 font-semibold text-brass">
        A near draw: the second is within a tenth of it.
      </p>
    </template>
    <KnowledgeMissing />
    <p v-if="shop.settings.ratePerHourMinor === 0" class="mt-3 border-l-4 border-brass pl-3" role="status">
      An hour of labour has no price here yet, so plans are compared by parts and comebacks alone.
      <RouterLink class="link" to="/settings">Say what an hour costs</RouterLink>
    </p>
    <p v-if="plans && !planned && priceDecides && asks" class="mt-3 border-l-4 border-brass pl-3" role="status">
      <span class="font-semibold">Ask for a price first:</span>
      {{
        asks
          .map(({ way, underMinor }) =>
            underMinor === Infinity
              ? wayName(way)
              : `${wayName(way)} comes first under ${money(Math.round(underMinor))}`,
          )
          .join('; ')
      }}.
      <button type="button" class="link" @click="oneByOne = true">Set it</button>
    </p>
    <AskPrices
      v-if="!closed && priceDecides"
      class="mt-3 max-w-3xl"
      :ways="toAsk"
      :name="nameOfWay"
      @take="takePrice"
    />
    <PlannedRows
      v-if="planned && plans"
      class="mt-3"
      :model-value="chosen"
      :ways="plannedWays"
      :name="wayName"
      :lasts="lasts"
      :money="money"
      :disabled="closed"
      @update:model-value="pick"
    />
    <PlanRows
      v-else-if="plans && plans.plans.length > 0"
      class="mt-3"
      :model-value="chosen"
      :plans="plans.plans"
      :per="per"
      :per-use="perUse"
      :money="money"
      :name="wayName"
      :cause="causeWords"
      :disabled="closed"
      @update:model-value="pick"
    />
    <div v-else-if="!plans" class="mt-6 grid gap-3" aria-busy="true">
      <div v-for="row in 6" :key="row" class="h-12 bg-band" />
    </div>
    <p v-if="option && !plan && !planned" class="mt-3 font-semibold">
      Chosen beside the plans: {{ wayName(option.way).toLowerCase() }}, {{ ofHundred(option.chance.mean) }} in 100 to
      cure.
    </p>
    <ul v-if="hopeless.length > 0 && !planned" class="rows mt-3 border-y border-line">
      <li v-for="each in hopeless" :key="each.way.id" class="flex flex-wrap items-baseline gap-x-4 gap-y-0.5 py-1.5">
        <span aria-hidden="true">×</span><span>{{ wayName(each.way) }}</span>
        <span class="font-semibold"
          >{{ NOT_WORTH[each.why]
          }}<template v-if="each.why === 'no chance'">: {{ ofHundred(each.way.chance.mean) }} in 100</template></span
        >
      </li>
    </ul>
    <ul
      v-if="shortLived.length > 0"
      class="mt-3 grid gap-1 border-l-[3px] border-brass pl-3"
      aria-label="Failed here before"
    >
      <li v-for="each in shortLived" :key="each.partNumber">
        <span class="code">{{ each.partNumber }}</span> failed here after
        {{ each.distances.map((distance) => lasts(distance)).join(' and ') }}: a new one is expected to last
        <b>{{ lasts(each.life) }}</b>, not the usual {{ lasts(each.usual) }}.
      </li>
    </ul>
    <ul
      v-if="heldHere.length > 0"
      class="mt-3 grid gap-1 border-l-[3px] border-line pl-3"
      aria-label="How long it held here"
    >
      <li v-for="each in heldHere" :key="each.key">
        {{ each.name }}: of {{ each.repairs }} here {{ each.failures }} failed, half of them hold
        {{ lasts(each.median) }}; so <b>{{ lasts(each.life) }}</b> is expected, where {{ lasts(each.usual) }} is usual.
      </li>
    </ul>
    <div class="mt-2 flex flex-wrap items-baseline justify-between gap-3 text-note">
      <span class="font-semibold text-brass">Minutes, lives and small parts are shop figures, verify.</span>
      <button v-if="!planned" type="button" class="link min-h-10" @click="oneByOne = true">
        All choices, one by one
      </button>
    </div>

    <AskPrices
      v-if="!closed && priceDecides === false"
      class="mt-3 max-w-3xl"
      :ways="toAsk"
      :name="nameOfWay"
      @take="takePrice"
    />

    <div v-if="option && lineWay && !closed" class="mt-5 grid max-w-4xl gap-x-10 gap-y-4 md:grid-cols-2">
      <FlipLine
        v-model="price"
        :label="`Parts for “${wayName(lineWay).toLowerCase()}”`"
        :flip="flip"
        :highest="frozen ?? highest"
        :money="money"
        :name-of="wayName"
        @settle="setTerms(lineWay, { partsMinor: price })"
      />
      <TermsForm
        :key="option.way.id"
        :terms="option.terms"
        :priced="priced"
        :currency="shop.settings.currency"
        :errors="{
          partsMinor: termsForm.error('partsMinor'),
          minutes: termsForm.error('minutes'),
          daysOff: termsForm.error('daysOff'),
        }"
        @set="setTerms(option.way, $event)"
      />
    </div>

    <EstimateBlock v-if="job.decision && input" class="mt-8" :job="job" :terms="input.terms" :way="wayMinutes" />

    <template #why>
      <PlanSums
        v-if="plan && !planned"
        :plan="plan"
        :per="per"
        :per-use="perUse"
        :money="money"
        :day-price-minor="shop.settings.dayPriceMinor"
        :unsolved-minor="input?.unsolvedMinor ?? 0"
        :chance-flip="chanceFlip"
        :name="wayName"
      />
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
          {{ job.decision === null ? `Decide: ${CHOICES[taken].toLowerCase()}` : 'Decide anew' }}
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
      <div v-if="!planned">
        <h3 class="text-sm font-bold">What is believed</h3>
        <dl class="rows mt-1">
          <FigureRow v-for="cause in belief" :key="cause.id" :label="nameOf(cause.id)">{{
            cause.standing === 'proved' ? 'seen' : shareWords(cause.share)
          }}</FigureRow>
        </dl>
      </div>
      <p v-if="job.checks.length === 0 && job.planned === null" class="text-soft">
        Nothing was checked. A choice without a check is a guess.
      </p>
    </template>
  </StageFrame>
  <SheetDialog v-if="oneByOne && comparison" title="All choices, one by one" wide @close="oneByOne = false">
    <OptionRows
      :model-value="chosen"
      :options="comparison.options"
      :name="wayName"
      :per="per"
      :per-use="perUse"
      :lasts="lasts"
      :money="money"
      :disabled="closed"
      @update:model-value="pick"
    />
    <TermsForm
      v-if="option && !closed"
      :key="`sheet-${option.way.id}`"
      class="mt-4"
      :terms="option.terms"
      :priced="true"
      :currency="shop.settings.currency"
      :errors="{
        partsMinor: termsForm.error('partsMinor'),
        minutes: termsForm.error('minutes'),
        daysOff: termsForm.error('daysOff'),
      }"
      @set="setTerms(option.way, $event)"
    />
    <ul v-if="option" class="mt-2 text-note text-brass">
      <li v-for="each in option.unknown" :key="each">{{ each }}</li>
    </ul>
  </SheetDialog>
</template>
