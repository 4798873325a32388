<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Sign } from '../../../core/diagnose/index.ts';
import { isOrdinary } from '../../../core/job/index.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import BalancePanel from '../balance/BalancePanel.vue';
import MeasureEntry from '../proof/MeasureEntry.vue';
import LiveData from '../recordings/LiveData.vue';
import KnowledgeMissing from './KnowledgeMissing.vue';
import StageFrame from '../StageFrame.vue';
import AdapterPanel from '../complaint/AdapterPanel.vue';
import BeliefChart from './BeliefChart.vue';
import CauseDetail from './CauseDetail.vue';
import CheckPanel from './CheckPanel.vue';
import ExplainLine from './ExplainLine.vue';
import FindingsList from './FindingsList.vue';
import ForeignPanel from './ForeignPanel.vue';
import OwnCheck from './OwnCheck.vue';
import VariantForm from './VariantForm.vue';
import { useCheckOrder } from './useCheckOrder.ts';

const { store, diagnosis, signs, causes, checks, turns, leader, nameOf, shortOf, says, enough, saves, opens } =
  useCheckOrder();
const job = computed(() => store.job);
const closed = computed(() => job.value?.status === 'closed');
const chosen = ref<string | null>(null);
const picked = ref<string | null>(null);
const all = ref(false);
const sheet = ref<'all checks' | 'variant' | 'adapter' | null>(null);

const SHOWN = 8;
const shown = computed(() => diagnosis.value?.ranking.causes.slice(0, all.value ? undefined : SHOWN) ?? []);
/** The check on the right: the one picked, else the best. */
const current = computed(() => {
  const best = checks.value[0];
  const wanted = picked.value ?? best?.sign.id ?? null;
  const sign = signs.value.find(({ id }) => id === wanted);
  return sign === undefined ? null : { sign, proposal: checks.value.find((each) => each.sign.id === wanted) ?? null };
});
const others = computed(() => checks.value.filter(({ sign }) => sign.id !== current.value?.sign.id).slice(0, 4));
const everyCheck = computed(() => signs.value.filter(({ kind }) => kind === 'check'));
const doneBefore = (sign: Sign): boolean => job.value?.checks.some(({ check }) => check === sign.id) ?? false;
/** Once work has begun a check is one of *after*: it is kept beside the first. */
const when = computed(() => (job.value?.items.some(({ state }) => state !== 'on') ? 'after' : 'before'));
const turn = computed(() => turns.value[0] ?? null);

function pick(id: string): void {
  sheet.value = id === 'variant' ? 'variant' : null;
  picked.value = id;
}
</script>

<template>
  <StageFrame v-if="job" stage="diagnose" title="Diagnose before touching">
    <template #head>
      <ExplainLine
        v-if="diagnosis"
        :diagnosis="diagnosis"
        :name="nameOf"
        :says="says"
        :check="(id) => signs.find((sign) => sign.id === id)?.name ?? id"
        :planned="job.planned !== null"
        :closed="closed"
      />
      <h2 v-else class="text-heading">Diagnose before touching</h2>
      <a v-if="current && !closed" href="#checks" class="primary mt-3 lg:hidden!"
        >Next: {{ current.sign.name }}<span aria-hidden="true">↓</span></a
      >
    </template>
    <KnowledgeMissing />
    <ForeignPanel :job="job" />
    <div v-if="diagnosis" class="mt-3">
      <BeliefChart
        v-model:chosen="chosen"
        :causes="shown"
        :name="nameOf"
        :says="says"
        :ordinary="(finding) => isOrdinary(signs, finding)"
      >
        <template #detail="{ cause }">
          <CauseDetail v-if="causes.get(cause.cause)" :ranked="cause" :cause="causes.get(cause.cause)!" :says="says" />
        </template>
      </BeliefChart>
      <div class="mt-2 flex flex-wrap gap-x-5">
        <button type="button" class="link min-h-10 text-note" @click="all = !all">
          {{ all ? 'Only the first eight' : `All ${diagnosis.ranking.causes.length} causes` }}
        </button>
        <RouterLink class="link py-2 text-note" :to="`/knowledge?version=${job.knowledge}`"
          >Where these shares come from</RouterLink
        >
      </div>
      <p v-if="turn && leader" class="mt-1 max-w-prose text-note text-soft">
        What would change this: if “{{ turn.sign.name.toLowerCase() }}” shows
        <span class="font-semibold text-ink">{{ says({ sign: turn.sign.id, outcome: turn.outcome }) }}</span>,
        {{ nameOf(turn.leader).toLowerCase() }} comes first.
      </p>
    </div>
    <div v-else class="mt-6 grid gap-3" aria-busy="true"><div v-for="row in 6" :key="row" class="h-10 bg-band" /></div>

    <FindingsList v-if="diagnosis" class="mt-7" :job="job" :diagnosis="diagnosis" :signs="signs" @again="pick" />
    <h3 class="mb-2 mt-8 text-sm font-bold">Measured before the work</h3>
    <MeasureEntry :job="job" when="before" />
    <LiveData class="mt-4" :job="job" when="before" :under="{}" />
    <BalancePanel class="mt-6" :job="job" when="before" />
    <OwnCheck v-if="!closed" class="mt-6" />

    <template #why>
      <section v-if="!closed && current" id="checks" aria-label="Do this next" class="scroll-mt-2">
        <div v-if="enough && picked === null" class="mb-3 border-l-4 border-moss pl-3" role="status">
          <p class="font-semibold">No check would change the plan: go on.</p>
          <RouterLink class="link" :to="`/jobs/${job.id}/decide`">To Decide</RouterLink>
        </div>
        <p class="text-sm text-soft">
          {{ picked !== null ? 'Your choice' : enough ? 'If you want to know more' : 'Do this next'
          }}<template v-if="saves(current.sign.id)"> · saves {{ saves(current.sign.id) }} in the plan</template>
        </p>
        <p v-if="opens(current.sign.id)" class="text-sm text-soft">
          It also opens the way to “{{ opens(current.sign.id)?.toLowerCase() }}”.
        </p>
        <CheckPanel
          class="mt-0.5"
          :sign="current.sign"
          :proposal="current.proposal"
          :when="when"
          :name="shortOf"
          :leaders="diagnosis?.ranking.causes.slice(0, 2).map(({ id }) => id) ?? []"
          :units="diagnosis?.subject.units ?? []"
          @done="picked = null"
        />
      </section>
      <p v-else-if="!closed && diagnosis" class="text-soft">Every check that fits this vehicle was done.</p>
      <div v-if="!closed">
        <ul class="rows border-y border-line">
          <li v-for="each in others" :key="each.sign.id">
            <button
              type="button"
              class="flex min-h-10 w-full items-baseline justify-between gap-3 py-1.5 text-left text-note hover:text-bottle"
              @click="pick(each.sign.id)"
            >
              {{ each.sign.name
              }}<span class="whitespace-nowrap text-sm text-soft">{{ Math.round(each.minutes) }} min</span>
            </button>
          </li>
        </ul>
        <div class="mt-1 flex flex-wrap gap-x-4">
          <button type="button" class="link min-h-9 text-sm" @click="sheet = 'all checks'">All checks</button>
          <button type="button" class="link min-h-9 text-sm" @click="sheet = 'variant'">Compare the variant</button>
          <button type="button" class="link min-h-9 text-sm" @click="sheet = 'adapter'">Read the vehicle</button>
        </div>
      </div>
    </template>
  </StageFrame>
  <SheetDialog v-if="sheet === 'all checks'" title="Every check for this vehicle" wide @close="sheet = null">
    <ul class="rows">
      <li v-for="sign in everyCheck" :key="sign.id">
        <button
          type="button"
          class="flex min-h-11 w-full items-baseline justify-between gap-3 py-1.5 text-left hover:text-bottle"
          @click="pick(sign.id)"
        >
          <span class="font-semibold">{{ sign.name }}</span><span class="whitespace-nowrap text-sm text-soft"
            >{{ doneBefore(sign) ? 'done, can be repeated' : sign.method?.key }} · {{ sign.method?.minutes }} min</span
          >
        </button>
      </li>
    </ul>
  </SheetDialog>
  <SheetDialog
    v-if="sheet === 'variant'"
    title="Compare the unit with what the computer expects"
    wide
    @close="sheet = null"
  >
    <VariantForm @done="((sheet = null), (picked = null))" />
  </SheetDialog>
  <SheetDialog v-if="sheet === 'adapter' && job" title="Read the vehicle" wide @close="sheet = null">
    <AdapterPanel :job="job" when="before" />
  </SheetDialog>
</template>
