<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, defineAsyncComponent, ref } from 'vue';
import { FIELDS } from '../../../core/quantity/index.ts';
import { costOf, engineHolds, sheetOf, stageGaps, STAGES } from '../../../core/job/index.ts';
import { METER_FIELDS, readMeter } from '../../../core/vehicle/index.ts';
import FigureRow from '../../parts/FigureRow.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import SavedLink from '../SavedLink.vue';
import GapList from '../GapList.vue';
import RefusalNote from '../RefusalNote.vue';
import CountersignPanel from '../countersign/CountersignPanel.vue';
import CustomerPageView from './CustomerPageView.vue';
import OpenPoints from './OpenPoints.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import { mayChange } from '../../../core/access/index.ts';
import { apiUrl, WORLD } from '../../data/world.ts';
import PractiseThis from './PractiseThis.vue';

const LinkDialog = defineAsyncComponent(() => import('../../outside/LinkDialog.vue'));
const store = useJob();
const shop = useShop();
const form = useForm();
const reopening = useForm();
const job = computed(() => store.job);
const sheet = computed(() => (job.value === null ? null : sheetOf(job.value, shop.say)));
const minutes = ref(String(Math.max(15, Math.round((store.job?.time.handsOnS ?? 0) / 60 / 15) * 15)));
const watchFor = ref('');
const nextDue = ref('');
const dueError = ref<string | null>(null);
const minutesError = ref<string | null>(null);
const reason = ref('');
const linking = ref(false);
const gaps = computed(() =>
  job.value === null
    ? []
    : STAGES.slice(0, -1).flatMap((stage) => (job.value === null ? [] : stageGaps(job.value, stage))),
);
/** Only what came off and went back teaches anything. */
const learnable = computed(() => job.value?.items.some(({ state }) => state !== 'on') ?? false);
const holding = computed(() => (job.value === null ? [] : engineHolds(job.value)));
const cost = computed(() =>
  job.value === null
    ? null
    : costOf(job.value, numberIn(minutes.value, FIELDS.minutes) || 0, shop.settings.ratePerHourMinor),
);

function handOver(): void {
  const { value } = job;
  if (value === null) return;
  const labourMinutes = numberIn(minutes.value, FIELDS.minutes);
  minutesError.value = Number.isNaN(labourMinutes) ? `Expected minutes, got “${minutes.value}”.` : null;
  const due = nextDue.value.trim() === '' ? null : readMeter(nextDue.value, value.reading.unit);
  dueError.value = due !== null && !due.ok ? due.message : null;
  if (minutesError.value !== null || (due !== null && !due.ok)) return;
  form.send('hand-over', {
    watch: watchFor.value,
    labourMinutes,
    ratePerHourMinor: shop.settings.ratePerHourMinor,
    currency: shop.settings.currency,
    nextDue: due === null ? null : due.reading,
  });
}
/** What a job taught can be practised; whoever answers for the shop writes that. */
const mayPractise = computed(
  () => WORLD.practice === null && job.value?.belief != null && shop.person !== null && mayChange(shop.person.role),
);
</script>

<template>
  <StageFrame v-if="job && sheet" stage="hand-over" title="Hand over">
    <template #head>
      <div class="flex flex-wrap items-center gap-3">
        <h2 class="text-heading">The sheet</h2>
        <span class="ml-auto flex flex-wrap gap-2 text-sm">
          <SavedLink :href="apiUrl(`/jobs/${job.id}/sheet.pdf`)">A4 sheet, PDF</SavedLink>
          <SavedLink v-if="WORLD.practice === null" :href="apiUrl(`/jobs/${job.id}/file`)" download
            >Job file, JSON</SavedLink
          >
          <button v-if="WORLD.practice === null" type="button" class="quiet" @click="linking = true">
            A link for the customer
          </button>
          <PractiseThis v-if="mayPractise" :job-id="job.id" />
          <RouterLink v-if="learnable" class="quiet" :to="`/procedures/new?job=${job.id}`"
            >Let it write the procedure</RouterLink
          >
        </span>
      </div>
    </template>
    <article class="mt-4 border border-line bg-card px-5 py-6 md:px-8">
      <p class="text-sm font-bold text-bottle">{{ shop.settings.shopName }}</p>
      <p class="mt-1 text-2xl font-bold">{{ sheet.plate }} · {{ sheet.title }}</p>
      <p class="text-soft">{{ sheet.subtitle }}</p>
      <CustomerPageView class="mt-5" :page="sheet.customer" />
      <h3 class="mt-8 border-t-2 border-ink pt-4 text-xl">The full record</h3>
      <dl class="mt-2 grid gap-x-8 sm:grid-cols-2">
        <div
          v-for="row in sheet.identity"
          :key="row.label"
          class="flex justify-between gap-4 border-t border-line py-1.5 text-note"
        >
          <dt class="text-soft">{{ row.label }}</dt>
          <dd class="text-right">
            {{ row.value }}<span v-if="row.note" class="block text-sm text-soft">{{ row.note }}</span>
          </dd>
        </div>
      </dl>
      <section v-for="section in sheet.sections" :key="section.title" class="mt-5">
        <h3 class="border-b border-line pb-1 text-bottle">{{ section.title }}</h3>
        <dl v-if="section.rows.length > 0" :class="section.dense ? 'grid gap-x-8 xl:grid-cols-2' : ''">
          <div
            v-for="(row, index) in section.rows"
            :key="index"
            class="grid grid-cols-[minmax(7rem,12rem)_1fr] gap-4 py-1 text-note"
          >
            <dt class="text-soft">{{ row.label }}</dt>
            <dd class="min-w-0">
              {{ row.value }}<span v-if="row.note" class="block text-sm text-soft">{{ row.note }}</span>
            </dd>
          </div>
        </dl>
        <p v-else class="py-1 text-note text-soft">{{ section.empty }}</p>
      </section>
      <p class="mt-6 text-sm text-soft">{{ sheet.closing }}</p>
    </article>

    <LinkDialog v-if="linking" :job-id="job.id" kind="sheet" @close="linking = false" />
    <template #why>
      <template v-if="job.status === 'open'">
        <div v-if="holding.length > 0" class="border-l-[3px] border-alarm py-1 pl-3">
          <p class="font-bold text-alarm">Engine held</p>
          <GapList class="text-note" :job-id="job.id" :gaps="holding" :first="4" />
        </div>
        <div v-if="gaps.length > 0">
          <p class="font-semibold text-brass">
            {{ gaps.length }} {{ gaps.length === 1 ? 'gap' : 'gaps' }} in the record
          </p>
          <GapList class="text-sm" :job-id="job.id" :gaps="gaps" :first="4" />
        </div>
        <CountersignPanel :job="job" />
        <OpenPoints :job="job" />
        <form class="grid gap-3" @submit.prevent="handOver">
          <FigureField
            v-model="minutes"
            label="Labour, minutes"
            :field="FIELDS.minutes"
            hint="Proposed from the entries’ own times"
            :error="minutesError ?? form.error('labourMinutes')"
          />
          <FigureField
            v-model="nextDue"
            label="Next due"
            :field="METER_FIELDS[job.reading.unit]"
            :placeholder="job.reading.unit === 'h' ? '712 h' : '178000 km'"
            :error="dueError ?? form.error('nextDue')"
          />
          <TextField v-model="watchFor" label="What to watch" :lines="2" placeholder="oil mist in the duct" />
          <dl v-if="cost" class="rows border-y border-line text-note">
            <FigureRow label="Labour">{{ shop.say.money(cost.labourMinor) }}</FigureRow><FigureRow label="Parts">{{
              shop.say.money(cost.partsMinor)
            }}</FigureRow
            ><FigureRow v-if="cost.materialsMinor > 0" label="Cleaner and coolant">{{
              shop.say.money(cost.materialsMinor)
            }}</FigureRow
            ><FigureRow label="Total">{{ shop.say.money(cost.totalMinor) }}</FigureRow>
          </dl>
          <RefusalNote :form="form" :job="job" :fields="['labourMinutes', 'nextDue']" />
          <button type="submit" class="primary">Hand over and close</button>
        </form>
      </template>
      <template v-else>
        <div>
          <h3 class="text-lg text-moss">Handed over</h3>
          <p v-if="job.handOver" class="text-soft">
            {{ shop.say.time(job.handOver.at) }}, {{ shop.say.person(job.handOver.by) }}
          </p>
        </div>
        <form class="grid gap-2" @submit.prevent="reopening.send('reopen-job', { reason })">
          <TextField
            v-model="reason"
            label="Open it again because"
            placeholder="came back hunting"
            :error="reopening.error('reason') ?? reopening.general('reason')"
          />
          <button type="submit" class="quiet">Open it again</button>
        </form>
      </template>
    </template>
    <template #foot><span /></template>
  </StageFrame>
</template>
