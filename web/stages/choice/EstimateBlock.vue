<script setup lang="ts">
import { typedMoney } from '../../../core/quantity/index.ts';
import { minorIn } from '../../parts/numberIn.ts';
import { computed, defineAsyncComponent, ref, watch } from 'vue';
import { OPTIONS, type OptionTerms, USUAL, wayId } from '../../../core/choose/index.ts';
import { estimateLines, estimateMessage, estimateRange, type Job } from '../../../core/job/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import SavedLink from '../SavedLink.vue';
import { useForm } from '../useForm.ts';
import { apiUrl } from '../../data/world.ts';

/** The estimate for the owner: lines to be adjusted, a page, a message, and what the owner said. */
const props = defineProps<{
  job: Job;
  terms: readonly OptionTerms[];
  /** Hands-on minutes of the way off and back by the procedure; null without one. */
  way: number | null;
}>();
const LinkDialog = defineAsyncComponent(() => import('../../outside/LinkDialog.vue'));
const linking = ref(false);
const shop = useShop();
const form = useForm();
const answerForm = useForm();

const lines = ref<{ words: string; amount: string }[]>([]);
const note = ref('');
const wrong = ref('');
watch(
  [() => props.job.decision?.choice, () => props.job.decision?.plan?.[0]],
  ([choice]) => {
    const decided = props.job.decision?.plan?.[0];
    const own = props.terms.find((terms) => wayId(terms) === decided) ?? props.terms.find(({ id }) => id === choice);
    lines.value =
      own === undefined
        ? []
        : estimateLines(
            own,
            (id) => OPTIONS[id],
            shop.settings.ratePerHourMinor,
            USUAL[own.id].comesOff ? props.way : null,
          ).map(({ words, minor }) => ({
            words,
            amount: typedMoney(minor, shop.settings.currency),
          }));
  },
  { immediate: true },
);
const read = computed(() =>
  lines.value.map(({ words, amount }) => ({ words, minor: minorIn(amount, shop.settings.currency) })),
);
const range = computed(() =>
  estimateRange(
    read.value.filter(({ minor }) => !Number.isNaN(minor)),
    shop.settings.currency,
  ),
);
const latest = computed(() => props.job.estimates.at(-1) ?? null);
const closed = computed(() => props.job.status === 'closed');
const message = computed(() =>
  latest.value === null ? '' : estimateMessage(props.job, latest.value, shop.say, shop.settings.shopName),
);

function make(): void {
  const bad = read.value.find(({ minor }) => Number.isNaN(minor));
  wrong.value = bad === undefined ? '' : `“${bad.words}”: expected an amount of money.`;
  if (bad !== undefined || props.job.decision === null) return;
  form.send('make-estimate', {
    id: freshId(),
    choice: props.job.decision.choice,
    lines: read.value.filter(({ words }) => words.trim() !== ''),
    ...range.value,
    currency: shop.settings.currency,
    note: note.value,
  });
}

const answer = ref<'approved' | 'declined' | 'up to' | null>('approved');
const who = ref(props.job.vehicle.owner);
const how = ref('');
const limit = ref('');
function keepAnswer(): void {
  if (latest.value === null || answer.value === null) return;
  const typed = minorIn(limit.value, shop.settings.currency);
  answerForm.send('answer-estimate', {
    id: latest.value.id,
    answer: answer.value,
    limitMinor: answer.value === 'up to' && !Number.isNaN(typed) ? typed : null,
    who: who.value,
    how: how.value,
    note: '',
  });
}
const copied = ref(false);
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(message.value).then(
    () => (copied.value = true),
    () => (copied.value = false),
  );
}
</script>

<template>
  <section class="max-w-3xl" aria-label="Estimate for the owner">
    <h3 class="text-lg">Estimate for the owner</h3>
    <template v-if="latest">
      <ul class="rows mt-2 border-y border-line">
        <li v-for="line in latest.lines" :key="line.words" class="flex justify-between gap-4 py-1.5">
          <span>{{ line.words }}</span><span class="whitespace-nowrap font-bold">{{ shop.say.money(line.minor) }}</span>
        </li>
        <li class="flex justify-between gap-4 py-2">
          <span class="font-bold">Between</span
          ><span class="figure text-xl"
            >{{ shop.say.money(latest.lowMinor) }} – {{ shop.say.money(latest.highMinor) }}</span
          >
        </li>
      </ul>
      <div class="mt-2 flex flex-wrap gap-3">
        <SavedLink :href="apiUrl(`/jobs/${job.id}/estimate.pdf`)">A4 page</SavedLink>
        <button type="button" class="quiet" @click="copy">{{ copied ? 'Copied' : 'Copy as a message' }}</button>
        <button type="button" class="quiet" @click="linking = true">A link for the customer</button>
        <LinkDialog v-if="linking" :job-id="job.id" kind="estimate" @close="linking = false" />
      </div>
      <details class="mt-2">
        <summary class="min-h-9 py-1.5 text-sm font-semibold text-soft">The message</summary>
        <pre class="whitespace-pre-wrap border-l-2 border-line pl-3 font-sans text-note">{{ message }}</pre>
      </details>
      <p
        v-if="latest.answer"
        class="mt-3 font-semibold"
        :class="latest.answer.answer === 'declined' ? 'text-oxide' : 'text-moss'"
      >
        {{
          latest.answer.answer === 'declined'
            ? 'Declined'
            : latest.answer.answer === 'up to'
              ? `Approved up to ${shop.say.money(latest.answer.limitMinor ?? 0)}`
              : 'Approved'
        }}
        by {{ latest.answer.who }}<template v-if="latest.answer.how">, {{ latest.answer.how }}</template
        >, {{ shop.say.time(latest.answer.at) }}
      </p>
      <form v-else-if="!closed" class="mt-4 grid gap-3" @submit.prevent="keepAnswer">
        <ChoiceRow
          v-model="answer"
          label="The owner says"
          :options="[
            { id: 'approved', name: 'Go ahead' },
            { id: 'up to', name: 'Up to an amount' },
            { id: 'declined', name: 'No' },
          ]"
        />
        <div class="grid gap-3 sm:grid-cols-3">
          <TextField v-model="who" label="Who" :error="answerForm.error('who')" />
          <TextField v-model="how" label="How" placeholder="telephone, 14:10" />
          <FigureField
            v-if="answer === 'up to'"
            v-model="limit"
            :label="`Up to, ${shop.settings.currency}`"
            field="money"
            :error="answerForm.error('limitMinor')"
          />
        </div>
        <p v-if="answerForm.general('who', 'limitMinor')" class="text-sm font-semibold text-alarm" role="alert">
          {{ answerForm.general('who', 'limitMinor') }}
        </p>
        <button type="submit" class="primary justify-self-start">Keep the answer</button>
      </form>
    </template>
    <form
      v-if="!closed && (latest === null || latest.answer?.answer === 'declined')"
      class="mt-3 grid gap-2"
      @submit.prevent="make"
    >
      <div v-for="(line, index) in lines" :key="index" class="grid grid-cols-[1fr_8rem] gap-3">
        <input v-model="line.words" class="input" :aria-label="`Line ${index + 1}`" />
        <FigureField
          v-model="line.amount"
          bare
          :label="`Amount of line ${index + 1}, ${shop.settings.currency}`"
          field="money"
        />
      </div>
      <button
        type="button"
        class="link min-h-9 justify-self-start text-note"
        @click="lines.push({ words: '', amount: typedMoney(0, shop.settings.currency) })"
      >
        Another line
      </button>
      <TextField v-model="note" label="A word to the owner" placeholder="ready on Friday if the gasket comes" />
      <p v-if="wrong || form.general()" class="text-sm font-semibold text-alarm" role="alert">
        {{ wrong || form.general() }}
      </p>
      <p>
        Between <span class="font-bold">{{ shop.say.money(range.lowMinor) }}</span> and
        <span class="font-bold">{{ shop.say.money(range.highMinor) }}</span>
      </p>
      <button type="submit" class="quiet justify-self-start">Make the estimate</button>
    </form>
  </section>
</template>
