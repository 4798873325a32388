<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { needState } from '../../../core/job/index.ts';
import type { Readiness } from '../../../core/prepare/index.ts';
import { useProcedures } from '../../data/procedures.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import StageFrame from '../StageFrame.vue';
import NewerVersion from '../items/NewerVersion.vue';
import { useForm } from '../useForm.ts';
import { adviceWords } from './adviceWords.ts';
import OutlookRows from './OutlookRows.vue';
import StarterSheet from './StarterSheet.vue';
import SupplierBlock from './SupplierBlock.vue';
import OwnNeedForm from './OwnNeedForm.vue';
import { usePrepare } from './usePrepare.ts';

/** What is needed against what is there, what to order today, and whether to start or wait. */
const store = useJob();
const shop = useShop();
const form = useForm();
const job = computed(() => store.job);
const { list, orders, missing, outlook, advice, tools, opened, bays } = usePrepare(job);
const { rows: procedures } = useProcedures();
const changing = ref(false);
const dates = reactive<Record<string, string>>({});
const dateFor = ref('');

/** Those of this engine family, then those that name none; what is for other engines is a tap away. */
const fitting = computed(() => {
  const own = job.value?.vehicle.familyId ?? null;
  return (procedures.value ?? []).filter(({ familyId }) => own !== null && familyId === own);
});
const unbound = computed(() => (procedures.value ?? []).filter(({ familyId }) => (familyId ?? null) === null));
const others = computed(() =>
  (procedures.value ?? []).filter((each) => !fitting.value.includes(each) && !unbound.value.includes(each)),
);
const all = ref(false);
const choices = computed(() => [...fitting.value, ...unbound.value, ...(all.value ? others.value : [])]);
const asking = ref(false);
async function pin(id: string): Promise<void> {
  await store.needProcedure(id).catch(() => null);
  if (form.send('pin-procedure', { procedureId: id })) changing.value = false;
}
const isReady = (needId: string): boolean => job.value !== null && needState(job.value, needId)?.state === 'ready';
const isOrdered = (needId: string): boolean => job.value !== null && needState(job.value, needId)?.state === 'ordered';
function tick(needId: string): void {
  form.send('tick-need', { needId, state: isReady(needId) ? 'missing' : 'ready', expected: null });
}
function askDay(needId: string): void {
  dateFor.value = dateFor.value === needId ? '' : needId;
  dates[needId] ??= orders.value.find(({ need }) => need.id === needId)?.expected ?? '';
  form.clear();
}
function order(needId: string): void {
  if (form.send('tick-need', { needId, state: 'ordered', expected: dates[needId] || null })) dateFor.value = '';
}
const KINDS = [
  { kind: 'part', name: 'Parts, gaskets, seals' },
  { kind: 'consumable', name: 'Cleaners' },
  { kind: 'tool', name: 'Tools' },
  { kind: 'do-first', name: 'First' },
] as const;
const groups = computed(() => KINDS.filter(({ kind }) => rowsOf(kind).length > 0));
const rowsOf = (kind: Readiness['need']['kind']): Readiness[] => list.value.filter(({ need }) => need.kind === kind);
const TONES: Readonly<Record<Readiness['status'], string>> = {
  ready: 'text-soft',
  'on order': 'font-semibold text-brass',
  'in stock': 'text-moss',
  'spoken for': 'font-semibold text-brass',
  'not in stock': 'font-semibold text-oxide',
  'on the wall': 'text-moss',
  overdue: 'font-semibold text-brass',
  'not looked at': 'text-soft',
};
const words = ({ status, need, words: said }: Readiness): string =>
  status === 'on order'
    ? `on order, expected ${shop.say.nearDay((job.value && needState(job.value, need.id)?.expected) || '')}`
    : said;
const cautions = computed(() =>
  [...new Set(list.value.flatMap(({ need }) => (need.caution === null ? [] : [need.caution])))].filter(
    (id) => id !== 'battery',
  ),
);
const ready = computed(() => list.value.filter(({ status }) => status === 'ready').length);
const started = computed(() => job.value?.items.some(({ state }) => state !== 'on') ?? false);
const said = computed(() => (advice.value === null ? null : adviceWords(advice.value, shop.say.day)));
</script>

<template>
  <StageFrame
    v-if="job"
    stage="prepare"
    title="Prepare"
    :cautions="cautions"
    :lead="
      job.procedure
        ? `${job.procedure.name}, version ${job.procedure.version}`
        : 'Choose how it will be done. The procedure lists what is needed and what comes off.'
    "
  >
    <NewerVersion :job="job" />
    <!-- Where the why lies below the list, its first sentence stands above it. -->
    <p
      v-if="said && !started && !changing"
      class="mt-3 text-xl font-bold lg:hidden"
      :class="said.tone === 'good' ? 'text-moss' : 'text-brass'"
    >
      {{ said.headline }}
    </p>
    <button
      v-if="job.procedure && !changing && !started && job.status === 'open'"
      type="button"
      class="link text-sm"
      @click="changing = true"
    >
      Choose another procedure
    </button>
    <ul v-if="!job.procedure || changing" class="rows mt-4 border-y border-line">
      <li v-for="each in choices" :key="each.id" class="flex items-center justify-between gap-4 py-3">
        <div>
          <p class="font-semibold">{{ each.name }}</p>
          <p class="text-sm text-soft">
            {{ each.family }}, version {{ each.version }}, {{ each.items }} items<span
              v-if="each.familyId !== null && each.familyId === job.vehicle.familyId"
              class="font-semibold text-moss"
              >; for this engine</span
            >
          </p>
        </div>
        <button type="button" class="quiet" @click="pin(each.id)">Work by this</button>
      </li>
      <li v-if="others.length > 0 && !all" class="py-1">
        <button type="button" class="link min-h-10" @click="all = true">
          Procedures for other engines: {{ others.length }}
        </button>
      </li>
    </ul>
    <div v-if="(!job.procedure || changing) && job.status === 'open'" class="mt-3 flex flex-wrap items-center gap-3">
      <p v-if="job.withoutProcedure && !job.procedure" class="font-semibold">Worked without a procedure.</p>
      <button v-else-if="!job.procedure" type="button" class="quiet" @click="form.send('work-without-procedure', {})">
        Work without one
      </button>
      <button type="button" class="quiet" @click="asking = true">Write one from eight questions</button>
    </div>
    <StarterSheet v-if="asking" :job="job" @close="asking = false" @made="pin" />
    <p v-if="form.general('expected')" class="mt-2 font-semibold text-alarm" role="alert">
      {{ form.general('expected') }}
    </p>

    <template v-if="!changing">
      <section v-if="orders.length > 0" class="mt-5 border-l-[3px] border-oxide pl-4">
        <h3 class="text-lg">Order now</h3>
        <ul class="rows mt-1 border-y border-line">
          <li v-for="line in orders" :key="line.need.id" class="flex flex-wrap items-center gap-x-4 gap-y-2 py-2">
            <p class="min-w-48 flex-1">
              <span class="font-semibold"
                >{{ (line.need.count ?? 1) > 1 ? `${line.need.count} × ` : '' }}{{ line.need.name }}</span
              >
              <span class="code text-sm text-soft">{{ line.need.partNumber }}</span><span
                class="block text-sm text-soft"
                >{{ line.why
                }}{{
                  line.expected
                    ? `; ordered today it is here about ${shop.say.nearDay(line.expected)}`
                    : '; how long it takes is not known'
                }}</span
              >
            </p>
            <button type="button" class="quiet" :disabled="job.status === 'closed'" @click="askDay(line.need.id)">
              It is ordered
            </button>
          </li>
        </ul>
      </section>
      <SupplierBlock v-if="job.status === 'open'" :job="job" :missing="missing" />
      <section
        v-for="group in groups"
        :id="group.kind === groups[0]?.kind ? 'needs' : undefined"
        :key="group.kind"
        class="mt-6"
      >
        <h3 class="text-sm font-bold">{{ group.name }}</h3>
        <ul class="rows mt-1 border-y border-line">
          <li
            v-for="row in rowsOf(group.kind)"
            :key="row.need.id"
            class="flex flex-wrap items-center gap-x-4 gap-y-2 py-2"
          >
            <div class="min-w-48 flex-1">
              <p class="font-semibold" :class="row.status === 'ready' ? 'text-soft' : ''">
                {{ (row.need.count ?? 1) > 1 ? `${row.need.count} × ` : '' }}{{ row.need.name }}
                <span v-if="row.need.partNumber" class="code text-sm font-normal text-soft">{{
                  row.need.partNumber
                }}</span>
              </p>
              <p class="text-sm">
                <span :class="TONES[row.status]">{{ words(row) }}</span><span v-if="row.need.note" class="text-soft"
                  >{{ words(row) ? '; ' : '' }}{{ row.need.note }}</span
                ><span v-if="row.need.atEnd" class="text-soft"
                  >{{ words(row) || row.need.note ? '; ' : '' }}undone at the end:
                  {{ row.need.atEnd.words.toLowerCase() }}</span
                >
              </p>
            </div>
            <fieldset class="flex gap-2" :disabled="job.status === 'closed'">
              <legend class="sr-only">{{ row.need.name }}</legend>
              <button type="button" class="quiet" :aria-pressed="isReady(row.need.id)" @click="tick(row.need.id)">
                {{ row.need.kind === 'do-first' ? 'Done' : 'Here' }}
              </button>
              <button
                v-if="row.need.kind === 'part' || row.need.kind === 'consumable'"
                type="button"
                class="quiet"
                :aria-pressed="isOrdered(row.need.id)"
                @click="askDay(row.need.id)"
              >
                On order
              </button>
            </fieldset>
            <form
              v-if="dateFor === row.need.id"
              class="flex w-full items-end justify-end gap-2"
              @submit.prevent="order(row.need.id)"
            >
              <label class="text-sm font-semibold"
                >Expected on
                <input
                  v-model="dates[row.need.id]"
                  type="date"
                  class="input mt-1"
                  :aria-invalid="Boolean(form.error('expected'))"
              /></label>
              <button type="submit" class="quiet">Ordered</button>
              <p v-if="form.error('expected')" class="text-sm font-semibold text-alarm" role="alert">
                {{ form.error('expected') }}
              </p>
            </form>
          </li>
        </ul>
      </section>
      <OwnNeedForm v-if="job.status === 'open'" />
    </template>

    <template #why>
      <OutlookRows
        v-if="(job.procedure || list.length > 0) && said && outlook"
        :said="said"
        :outlook="outlook"
        :started="started"
        :missing="missing"
        :ready="ready"
        :total="list.length"
        :opened="opened"
        :bays="bays"
        :tools="tools"
      />
      <p v-if="!job.procedure" class="text-soft">
        Without a procedure the order back is the mirror of what you take off, bent by the reasons you give.
      </p>
    </template>
  </StageFrame>
</template>
