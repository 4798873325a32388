<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { LastingReply, LifeLine } from '../../contract/index.ts';
import { group } from '../../core/quantity/index.ts';
import { compareLasting, type FollowUpAnswer, lastingOf } from '../../core/visits/index.ts';
import { ApiError } from '../data/api.ts';
import { keepFollowUp, readLasting } from '../data/years.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import TextField from '../parts/TextField.vue';
import { useShop } from '../stores/shop.ts';
import RecordsNav from './RecordsNav.vue';
import SurvivalChart from './SurvivalChart.vue';
import { ANSWERS, comparedWords, KNOWN_BY, kindName, medianWords } from './lastingWords.ts';

/** How long each kind of repair holds in this shop, two kinds compared, and the customers that are still to be asked. */
const shop = useShop();
const reply = shallowRef<LastingReply | null>(null);
const failed = ref('');
const family = ref<string | null>('');
const first = ref(0);
const second = ref<number | null>(null);
readLasting().then(
  (read) => (reply.value = read),
  (error: unknown) => (failed.value = error instanceof Error ? error.message : String(error)),
);
const families = computed(() => {
  const known = new Set((reply.value?.lives ?? []).map(({ familyId }) => familyId));
  return [{ id: '', name: 'All' }, ...(reply.value?.families ?? []).filter(({ id }) => known.has(id))];
});
const kinds = computed(() =>
  lastingOf(reply.value?.lives ?? [], family.value === '' ? null : family.value).map((kind) => ({
    ...kind,
    name: kindName(kind),
  })),
);
const chosen = computed(() => kinds.value[first.value] ?? kinds.value[0] ?? null);
const other = computed(() => (second.value === null ? null : (kinds.value[second.value] ?? null)));
/** Use in km and in hours has nothing to say of each other. */
const comparable = computed(() => other.value !== null && other.value.hours === chosen.value?.hours);
const compared = computed(() =>
  chosen.value === null || other.value === null || !comparable.value
    ? ''
    : comparedWords(compareLasting(chosen.value, other.value), chosen.value, other.value),
);
const drawn = computed(() => [chosen.value, comparable.value ? other.value : null].filter((kind) => kind !== null));
const lives = computed(() => (chosen.value?.lives ?? []) as readonly LifeLine[]);
function pick(nth: number): void {
  if (nth === first.value) return;
  second.value = second.value === nth ? null : nth;
}
function lead(nth: number): void {
  first.value = nth;
  second.value = null;
}
const toAsk = computed(() => (reply.value?.lives ?? []).filter(({ ask }) => ask));
const asking = ref('');
const answer = ref<FollowUpAnswer | null>(null);
const meter = ref('');
const note = ref('');
const problems = ref<Readonly<Record<string, string>>>({});
async function keep(line: LifeLine): Promise<void> {
  problems.value = {};
  if (answer.value === null) {
    problems.value = { answer: 'What did the customer say?' };
    return;
  }
  const read = meter.value.trim() === '' ? null : Number(meter.value.replace(/[\s\u2009',]/g, ''));
  if (read !== null && !Number.isFinite(read)) {
    problems.value = { meter: 'Expected a reading such as 118 000.' };
    return;
  }
  try {
    reply.value = await keepFollowUp(line.jobId, { answer: answer.value, meter: read, note: note.value });
    asking.value = meter.value = note.value = '';
    answer.value = null;
  } catch (error) {
    problems.value = error instanceof ApiError ? error.fields : {};
    failed.value = Object.keys(problems.value).length > 0 ? '' : error instanceof Error ? error.message : String(error);
  }
}
function open(jobId: string): void {
  asking.value = asking.value === jobId ? '' : jobId;
  answer.value = null;
  meter.value = note.value = '';
  problems.value = {};
}
const unit = (hours: boolean): string => (hours ? 'h' : 'km');
const whole = (use: number): string => group(String(Math.round(use)));
</script>

<template>
  <div class="h-full overflow-y-auto px-4 pb-8 pt-5 md:px-7">
    <RecordsNav />
    <div class="mt-5 flex flex-wrap items-end justify-between gap-x-6 gap-y-2">
      <h1 class="text-title">What lasts</h1>
      <ChoiceRow v-if="families.length > 2" v-model="family" label="Family" hide-label :options="families" />
    </div>
    <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <p v-if="reply && kinds.length === 0" class="mt-3 max-w-prose text-lg">
      Nothing that was decided, done and handed over yet. With each job it becomes clearer which repair holds.
    </p>
    <div v-else-if="chosen" class="mt-4 grid gap-x-10 gap-y-6 xl:grid-cols-[minmax(0,22rem)_minmax(0,1fr)]">
      <ul class="rows self-start border-y border-line" aria-label="Kinds of repair">
        <li v-for="(kind, nth) in kinds" :key="kind.name + String(kind.hours)" class="flex items-center gap-3">
          <button
            type="button"
            class="min-w-0 flex-1 py-2.5 text-left"
            :aria-pressed="chosen === kind"
            @click="lead(nth)"
          >
            <span class="block leading-snug" :class="chosen === kind ? 'font-bold text-bottle' : 'font-semibold'">{{
              kind.name
            }}</span>
            <span class="block text-fine text-soft"
              >{{ kind.survival.repairs }} known, {{ kind.survival.failures }} failed<template v-if="kind.unseen > 0"
                >, {{ kind.unseen }} not seen since</template
              ></span
            >
          </button>
          <button
            v-if="chosen !== kind && kind.hours === chosen.hours"
            type="button"
            class="faint shrink-0"
            :aria-pressed="other === kind"
            @click="pick(nth)"
          >
            {{ other === kind ? 'compared' : 'compare' }}<span class="sr-only">: {{ kind.name }}</span>
          </button>
        </li>
      </ul>
      <section class="min-w-0" :aria-label="chosen.name">
        <h2 class="text-xl">{{ chosen.name }}</h2>
        <p class="mt-0.5 text-lg">{{ medianWords(chosen) }}</p>
        <p v-if="compared" class="mt-1 border-l-4 border-oxide pl-3">{{ compared }}</p>
        <SurvivalChart class="mt-4" :kinds="drawn" />
        <p class="text-fine text-soft">
          Share that still holds, over {{ chosen.hours ? 'running hours' : 'km' }} since the repair; the shade is its 95
          % band, small ticks are repairs that were good when last known of<template v-if="comparable"
            >; {{ other?.name }} is dashed</template
          >.<template v-if="chosen.assumed > 0">
            {{ chosen.assumed }} of them {{ chosen.assumed === 1 ? 'is' : 'are' }} assumed by their use,
            verify.</template
          >
        </p>
        <table v-if="chosen.survival.steps.length > 0" class="mt-4 w-full max-w-3xl text-note">
          <caption class="sr-only">
            {{
              chosen.name
            }}: the figures of the curve
          </caption>
          <thead>
            <tr class="border-b border-line text-left text-sm">
              <th class="py-1 pr-4">Use, {{ unit(chosen.hours) }}</th>
              <th class="py-1 pr-4">At risk</th>
              <th class="py-1 pr-4">Failed</th>
              <th class="py-1">Still holds, with band</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="step in chosen.survival.steps" :key="step.use" class="border-b border-line/60">
              <td class="py-1 pr-4 font-semibold">{{ whole(step.use) }}</td>
              <td class="py-1 pr-4">{{ step.atRisk }}</td>
              <td class="py-1 pr-4">{{ step.failed }}</td>
              <td class="py-1">
                {{ Math.round(step.share * 100) }} % ({{ Math.round(step.low * 100) }} to
                {{ Math.round(step.high * 100) }})
              </td>
            </tr>
          </tbody>
        </table>
        <h3 class="mt-6 text-sm font-bold">The repairs behind it</h3>
        <ul class="rows mt-1 max-w-3xl border-y border-line text-note">
          <li v-for="line in lives" :key="line.jobId" class="flex flex-wrap items-baseline gap-x-4 py-1.5">
            <RouterLink class="link" :to="`/jobs/${line.jobId}`">Job {{ line.number }}</RouterLink>
            <span class="w-20 font-semibold">{{ line.plate }}</span>
            <span>{{ line.knownBy === 'hand-over' ? '' : `${whole(line.use)} ${unit(line.hours)}` }}</span>
            <span class="ml-auto" :class="line.failed ? 'font-semibold text-oxide' : 'text-soft'"
              >{{ KNOWN_BY[line.knownBy] }}
              <RouterLink
                v-if="line.failedIn && line.failedIn !== line.jobId"
                class="link"
                :to="`/jobs/${line.failedIn}`"
                >in that job</RouterLink
              ></span
            >
          </li>
        </ul>
      </section>
    </div>
    <section v-if="toAsk.length > 0" class="mt-9 max-w-4xl" aria-label="To be asked">
      <h2 class="text-xl">To be asked</h2>
      <p class="text-soft">
        These were not seen again. Until the customer was asked, nobody knows whether the repair holds, and it counts
        for nothing.
      </p>
      <ul class="rows mt-2 border-y border-line">
        <li v-for="line in toAsk" :key="line.jobId" class="py-2">
          <div class="flex flex-wrap items-baseline gap-x-4">
            <span class="w-20 font-bold">{{ line.plate }}</span>
            <span>{{ kindName(line) }}, {{ shop.say.nearDay(shop.say.isoDay(line.closedAt)) }}</span>
            <RouterLink class="link text-note" :to="`/jobs/${line.jobId}`">job {{ line.number }}</RouterLink>
            <button
              type="button"
              class="quiet ml-auto"
              :aria-expanded="asking === line.jobId"
              @click="open(line.jobId)"
            >
              Asked<span class="sr-only"> about {{ line.plate }}</span>
            </button>
          </div>
          <form v-if="asking === line.jobId" class="mt-2 grid gap-3" @submit.prevent="keep(line)">
            <ChoiceRow v-model="answer" label="The customer says" :options="ANSWERS" />
            <p v-if="problems.answer" class="font-semibold text-alarm" role="alert">{{ problems.answer }}</p>
            <div class="grid gap-3 sm:grid-cols-[14rem_1fr]">
              <TextField
                v-model="meter"
                :label="line.hours ? 'Hours now, if told' : 'Kilometres now, if told'"
                :error="problems.meter"
              />
              <TextField v-model="note" label="Note" placeholder="by telephone" :error="problems.note" />
            </div>
            <button type="submit" class="quiet justify-self-start">Keep the answer</button>
          </form>
        </li>
      </ul>
    </section>
  </div>
</template>
