<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { mayChange } from '../../../core/access/index.ts';
import type { Harm, Way, WayStep } from '../../../core/practice/index.ts';
import { lowerFirst } from '../../../core/words/index.ts';
import { beginAgain, countersignPractice, dropPractice, practiceUrl } from '../../data/practice.ts';
import { useReview } from './useReview.ts';
import TagsLaid from './TagsLaid.vue';
import WaysDrawing from './WaysDrawing.vue';

/** What was hidden, and both ways side by side: where they part, what each look said, and what was counted along the way. */
const route = useRoute();
const id = computed(() => String(route.params.id));
const { shop, told, failed, problem, reload, review, causeName, stepName, outcomeName } = useReview(() => id.value);
const LETTERS = 'ABCDEFGHIJKLMNOPQRSTUVWXYZ';
const wrong = ref('');

const names = computed(() => (told.value?.scenario.faults ?? []).map(causeName));
const hidden = computed(() => names.value.map(lowerFirst).join(', and '));
const headline = computed(() =>
  told.value === null ? '' : told.value.found === true ? `You found it: ${hidden.value}.` : `It was ${hidden.value}.`,
);
const outcome = computed(() => {
  const { value } = told;
  if (value === null) return '';
  const left = value.left.length;
  return value.cured === true
    ? 'Nothing of it is left.'
    : left === 0
      ? 'It is mended, and something else is not as it was.'
      : left === value.scenario.faults.length
        ? 'It is as it was when it came in.'
        : 'One of the two is still there.';
});
const HARMS: Readonly<Record<Harm, string>> = {
  rag: 'A rag is in the inlet',
  sensor: 'Cleaner ran into a sensor',
  askew: 'The body sits askew or leaks at its bolts',
  'not-learned': 'It was not learned anew',
};
const minutesOf = (minutes: number): string => `${Math.round(minutes)} min`;
/** Minutes, and money where there was any. */
const spent = ({ minutes, costMinor }: Way): string =>
  costMinor === 0 ? minutesOf(minutes) : `${minutesOf(minutes)} and ${shop.say.money(costMinor)}`;
const sumWords = computed(() => {
  const { value } = review;
  if (value === null) return '';
  const parts = value.partings.map(({ minutes }) => Math.round(minutes * 10) / 10);
  const without = Math.round(value.leftOut.reduce((sum, { minutes }) => sum + minutes, 0) * 10) / 10;
  const order = Math.round(value.orderMinutes * 10) / 10;
  const total = Math.round((value.own.minutes - value.best.minutes) * 10) / 10;
  const terms = [
    parts.length === 0 ? '0' : parts.join(' + '),
    without > 0 ? ` − ${without} for what you left out` : '',
    order === 0 ? '' : ` ${order < 0 ? '−' : '+'} ${Math.abs(order)} for the order`,
  ].join('');
  return `${terms} = ${total < 0 ? `−${Math.abs(total)}` : total} min`;
});
const torqueWords = computed(() => {
  const { value } = review;
  if (value === null) return '…';
  const { right, byFeel, unsaid } = value.torque;
  if (right + byFeel + unsaid === 0) return 'nothing came off';
  return [
    right > 0 ? `${right} to figure` : '',
    byFeel > 0 ? `${byFeel} by feel` : '',
    unsaid > 0 ? `${unsaid} not recorded` : '',
  ]
    .filter(Boolean)
    .join(', ');
});
const counted = computed(() => {
  const { value } = told;
  if (value === null) return [];
  const hands = value.entries.filter(({ answer }) => answer?.hand !== undefined);
  const risks = hands.filter(({ answer }) => answer?.hand?.risk === true).length;
  const held = hands.filter(({ answer }) => answer?.hand?.stopped === true && !answer.hand.risk).length;
  return [
    {
      name: 'Left as it should not be',
      said: value.harms.length === 0 ? 'nothing' : String(value.harms.length),
      bad: value.harms.length > 0,
    },
    { name: 'Risks taken', said: risks === 0 ? 'none' : String(risks), bad: risks > 0 },
    {
      name: 'Engine held when it had to be',
      said: held === 0 ? 'not needed' : `${held} ${held === 1 ? 'time' : 'times'}`,
      bad: false,
    },
    {
      name: 'Parts fitted for nothing',
      said:
        review.value === null
          ? '…'
          : review.value.forNothing.length === 0
            ? 'none'
            : shop.say.money(review.value.forNothing.reduce((sum, { costMinor }) => sum + costMinor, 0)),
      bad: (review.value?.forNothing.length ?? 0) > 0,
    },
    {
      name: 'Torque',
      said: torqueWords.value,
      bad: (review.value?.torque.byFeel ?? 0) + (review.value?.torque.unsaid ?? 0) > 0,
    },
    {
      name: 'Proved by',
      said:
        review.value === null
          ? '…'
          : review.value.proofs === 0
            ? 'nothing measured'
            : `${review.value.proofs} measured after`,
      bad: false,
    },
    {
      name: 'The program’s ranking',
      said: ((count) => (count === 0 ? 'not asked for' : `asked ${count === 1 ? 'once' : `${count} times`}`))(
        value.entries.filter(({ kind }) => kind === 'ranking').length,
      ),
      bad: false,
    },
  ];
});
/** What a look said of the truth, in words: two bits are four times as likely as before. */
function bitsWords({ bits }: Pick<WayStep, 'bits'>): string {
  if (Math.abs(bits) < 0.15) return 'said next to nothing';
  const times = 2 ** Math.abs(bits);
  const said = times >= 10 ? Math.round(times) : times.toFixed(1);
  return bits > 0 ? `made it ${said} times as likely` : `led away from it, ${said} times`;
}
const rows = computed(() =>
  (review.value?.own.steps ?? [])
    .filter(({ kind }) => kind === 'check' || kind === 'ask')
    .map((step, index) => {
      const misread = review.value?.misread.find(({ sign, said }) => sign === step.id && said === step.outcome);
      return {
        key: `${index} ${step.id}`,
        step,
        name: stepName(step),
        said: outcomeName(step) || 'nothing recorded',
        was: misread === undefined ? '' : outcomeName({ id: step.id, outcome: misread.was }),
        bits: bitsWords(step),
      };
    }),
);
const skipped = computed(() => (review.value?.leftOut ?? []).filter(({ kind }) => kind !== 'work'));
const may = computed(
  () => shop.person !== null && mayChange(shop.person.role) && told.value !== null && told.value.by !== shop.personId,
);

async function work(step: () => Promise<void>): Promise<void> {
  wrong.value = '';
  try {
    await step();
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error);
  }
}
const again = (other: boolean) =>
  work(async () => {
    location.assign(practiceUrl((await beginAgain(id.value, { other })).id));
  });
const sign = () =>
  work(async () => {
    await countersignPractice(id.value);
    await reload();
  });
const drop = () =>
  work(async () => {
    await dropPractice(id.value);
    location.assign('/practice');
  });
</script>

<template>
  <div class="grid h-full overflow-y-auto lg:grid-cols-[minmax(0,1fr)_300px] lg:overflow-hidden">
    <section class="px-4 pb-8 pt-4 md:px-7 lg:overflow-y-auto" tabindex="0" aria-label="Review">
      <p v-if="failed || problem || wrong" class="font-semibold text-alarm" role="alert">
        {{ wrong || failed || problem }}
      </p>
      <template v-if="told">
        <p class="flex flex-wrap items-center gap-x-4 gap-y-1 text-note text-soft">
          <span class="plate practice-plate px-2.5 py-0.5 text-lg"
            ><span aria-hidden="true">× </span>PRACTICE {{ told.number }}<span aria-hidden="true"> ×</span></span
          >
          {{ told.name }} · {{ shop.firstName(told.by) }}
        </p>
        <h1 class="mt-3 text-title">{{ headline }}</h1>
        <p class="mt-1 text-action font-semibold">
          {{ outcome }}
          <template v-if="review">
            {{ spent(review.own) }}; the plan, which did not know it either, took {{ spent(review.best) }}.
          </template>
        </p>
        <p v-if="!told.found" class="mt-1 text-note">
          You said: {{ told.decided.map(causeName).map(lowerFirst).join(', and ') }}.
        </p>
        <div v-if="!review" class="mt-6 grid gap-3" aria-busy="true">
          <p class="text-soft" role="status">Both ways are worked out.</p>
          <div class="h-8 bg-band" />
          <div class="h-8 w-2/3 bg-band" />
        </div>
        <template v-else>
          <p class="mt-4 text-sm text-soft">Solid is in both ways, and joined; outlined is in one only.</p>
          <WaysDrawing class="mt-1" :review="review" :name="stepName" :said="outcomeName" />
          <ol v-if="review.partings.length > 0" class="mt-3 grid gap-2">
            <li v-for="(parting, index) in review.partings" :key="parting.at" class="flex gap-3">
              <span
                class="grid size-7 shrink-0 place-items-center rounded-full border-2 border-oxide text-sm font-bold text-oxide"
                >{{ LETTERS[index] }}</span
              >
              <p class="max-w-prose leading-snug">
                At {{ minutesOf(parting.at) }}:
                {{ parting.steps.map((step) => lowerFirst(stepName(step))).join(', ') }}.
                <template v-if="parting.steps.some(({ kind }) => kind !== 'work')">
                  {{ parting.steps.length === 1 ? 'It' : 'Together they' }} {{ bitsWords(parting) }}:</template
                >
                {{ minutesOf(parting.minutes)
                }}<template v-if="parting.costMinor > 0">, {{ shop.say.money(parting.costMinor) }}</template
                >.
              </p>
            </li>
          </ol>
          <p class="mt-2 text-note text-soft" data-testid="sum">{{ sumWords }}</p>
          <p v-if="review.isUndone && review.planned" class="mt-2 max-w-prose text-note">
            Nothing was done about it. The plan would have gone on with: {{ lowerFirst(stepName(review.planned)) }},
            {{ minutesOf(review.planned.minutes) }}, {{ shop.say.money(review.planned.costMinor) }}.
          </p>
          <p v-else-if="review.best.left.length > 0" class="mt-2 max-w-prose text-note">
            The plan did not come to its end here either:
            {{ review.best.left.map(causeName).map(lowerFirst).join(', ') }} would still be there.
          </p>

          <h2 class="mt-7 text-heading">What each look said</h2>
          <p v-if="rows.length === 0" class="mt-1 text-soft">Nothing was looked at and nobody was asked.</p>
          <table v-else class="mt-2 w-full border-y border-line text-left">
            <thead class="text-sm text-soft">
              <tr>
                <th class="py-1 pr-4 font-semibold" scope="col">Look</th>
                <th class="py-1 pr-4 font-semibold" scope="col">You recorded</th>
                <th class="py-1 font-semibold" scope="col">Of what was hidden it</th>
              </tr>
            </thead>
            <tbody>
              <tr v-for="row in rows" :key="row.key" class="border-t border-line align-top">
                <th class="py-2 pr-4 font-semibold" scope="row">{{ row.name }}</th>
                <td class="py-2 pr-4">
                  {{ row.said }}
                  <span v-if="row.was" class="block font-semibold text-oxide">Not so: {{ lowerFirst(row.was) }}</span>
                </td>
                <td class="py-2" :class="row.step.bits < -0.15 ? 'font-semibold text-oxide' : ''">{{ row.bits }}</td>
              </tr>
            </tbody>
          </table>
          <template v-if="skipped.length > 0">
            <h2 class="mt-7 text-heading">What the plan looked at, and you did not</h2>
            <ul class="rows mt-2 border-y border-line">
              <li v-for="step in skipped" :key="step.id" class="flex flex-wrap gap-x-4 py-2">
                <span class="font-semibold">{{ stepName(step) }}</span>
                <span>{{ outcomeName(step) }}</span>
                <span class="ml-auto text-soft">{{ bitsWords(step) }} · {{ step.minutes }} min</span>
              </li>
            </ul>
          </template>
        </template>
        <p class="mt-6 max-w-prose border-l-4 border-bottle pl-3 text-lg">{{ told.scenario.teaches }}</p>
      </template>
      <div v-else-if="!failed" class="grid gap-3" aria-busy="true">
        <div v-for="row in 5" :key="row" class="h-10 bg-band" />
      </div>
    </section>
    <aside
      v-if="told"
      class="flex flex-col gap-5 border-t border-line bg-card px-4 py-5 md:px-6 lg:overflow-y-auto lg:border-l lg:border-t-0"
      aria-label="Counted along the way"
    >
      <section>
        <h2 class="text-sm font-bold">Counted along the way</h2>
        <dl class="rows mt-1 border-y border-line">
          <div v-for="line in counted" :key="line.name" class="flex justify-between gap-3 py-2">
            <dt>{{ line.name }}</dt>
            <dd class="text-right font-bold" :class="line.bad ? 'text-oxide' : ''">{{ line.said }}</dd>
          </div>
        </dl>
        <ul v-if="told.harms.length > 0" class="mt-2 grid gap-1">
          <li v-for="harm in told.harms" :key="harm" class="font-semibold text-oxide">{{ HARMS[harm] }}.</li>
        </ul>
      </section>
      <TagsLaid :entries="told.entries" :faults="told.scenario.faults" :begun="told.begunAt" />
      <section class="grid gap-2">
        <h2 class="text-sm font-bold">Practise it again</h2>
        <button type="button" class="primary" @click="again(true)">
          Another vehicle, the same fault<span aria-hidden="true">→</span>
        </button>
        <button type="button" class="quiet" @click="again(false)">This very vehicle</button>
        <a class="link py-1 text-note" :href="practiceUrl(id, 'diagnose')">Look at it again, stop by stop</a>
      </section>
      <section>
        <h2 class="text-sm font-bold">Countersignature</h2>
        <p v-if="told.countersigned" class="mt-1 font-semibold text-moss">
          {{ shop.firstName(told.countersigned.by) }}, {{ shop.say.nearDay(shop.say.isoDay(told.countersigned.at)) }}
        </p>
        <p v-else class="mt-1 font-semibold text-brass">not yet read</p>
        <button v-if="may && !told.countersigned" type="button" class="quiet mt-2" @click="sign">I have read it</button>
      </section>
      <button type="button" class="link mt-auto self-start text-note text-soft" @click="drop">
        Throw this practice away
      </button>
    </aside>
  </div>
</template>
