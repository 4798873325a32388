<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import {
  type Condition,
  conditionWords,
  type MeasureKind,
  type ProofKind,
  PROOFS,
  USUAL_MEASURES,
} from '../../../core/job/index.ts';
import { useOf } from '../../../core/vehicle/index.ts';
import TextField from '../../parts/TextField.vue';
import { useJob } from '../../stores/job.ts';
import BalancePanel from '../balance/BalancePanel.vue';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';
import RefusalNote from '../RefusalNote.vue';
import StageFrame from '../StageFrame.vue';
import { useUnits } from '../units/useUnits.ts';
import { useForm } from '../useForm.ts';
import BandLine from './BandLine.vue';
import BeforeAfter from './BeforeAfter.vue';
import CodesAfter from './CodesAfter.vue';
import ConditionPick from './ConditionPick.vue';
import MeasureEntry from './MeasureEntry.vue';
import OwnProof from './OwnProof.vue';
import ProofLines from './ProofLines.vue';
import ProofSummary from './ProofSummary.vue';
import ToolSaid from './ToolSaid.vue';
import LiveData from '../recordings/LiveData.vue';

const LiveCompare = defineAsyncComponent(() => import('../recordings/LiveCompare.vue'));
const GapDrawing = defineAsyncComponent(() => import('../recordings/GapDrawing.vue'));
const AdapterPanel = defineAsyncComponent(() => import('../complaint/AdapterPanel.vue'));

const store = useJob();
const { units } = useUnits();
const form = useForm();
const job = computed(() => store.job);
const badFor = ref<ProofKind | null>(null);
const note = ref('');
/** The adapter is asked only by who opens it. */
const reading = ref(false);
const drawn = USUAL_MEASURES.filter((kind): kind is MeasureKind => kind !== 'settle-time');
/** An outboard is proved where it ran: on the hose says less than on the water. */
const outboard = computed(() => job.value !== null && useOf(job.value.vehicle, store.family) === 'outboard');
const last = [...(store.job?.proofs ?? []), ...(store.job?.measurements ?? []), ...(store.job?.tried ?? [])].at(-1);
const under = ref<Condition>({ place: last?.place, state: last?.state });
/** Only what was said goes into the record. */
const said = computed<Condition>(() => ({
  ...(under.value.place === undefined ? {} : { place: under.value.place }),
  ...(under.value.state === undefined ? {} : { state: under.value.state }),
}));
const proved = (check: ProofKind) => job.value?.proofs.find((proof) => proof.check === check);
function record(check: ProofKind, result: 'good' | 'bad'): void {
  if (form.send('record-proof', { check, result, note: result === 'bad' ? note.value : '', ...said.value })) {
    badFor.value = null;
    note.value = '';
  }
}
</script>

<template>
  <StageFrame
    v-if="job"
    stage="prove"
    title="Prove"
    :cautions="['road']"
    lead="Line by line: what it was before, what it is now, and whether it is gone."
  >
    <LiveCompare v-if="job.recordings.length > 0" class="mt-4" :job="job" />
    <ConditionPick v-if="job.status === 'open'" v-model="under" class="mt-4" :afloat="outboard" />
    <section id="lines" class="mt-5" aria-label="What the complaint was, line by line">
      <ProofLines :job="job" :under="said" />
      <OwnProof v-if="job.status === 'open'" class="mt-4" :job="job" :under="said" />
    </section>

    <h3 id="live" class="mb-2 mt-8 text-sm font-bold">Live data after the work</h3>
    <LiveData :job="job" when="after" :under="said" />

    <h3 id="measured" class="mb-2 mt-8 text-sm font-bold">Measured after the work</h3>
    <MeasureEntry :job="job" when="after" :under="said" />
    <div class="mt-5 grid gap-5">
      <BandLine v-for="kind in drawn" :key="kind" :job="job" :kind="kind" />
    </div>

    <BalancePanel class="mt-7" :job="job" when="after" />

    <h3 id="codes-after" class="mb-1 mt-7 text-sm font-bold">Codes read after</h3>
    <CodesAfter :job="job" />
    <details v-if="job.status === 'open'" class="mt-2" @toggle="reading = ($event.target as HTMLDetailsElement).open">
      <summary class="cursor-pointer py-2 font-semibold">Read them with the adapter</summary>
      <AdapterPanel v-if="reading" class="mt-2" :job="job" when="after" />
    </details>

    <template v-if="job.status === 'open' || job.toolSays.length > 0">
      <h3 class="mb-1 mt-7 text-sm font-bold">Said by the maker’s tool</h3>
      <ToolSaid :job="job" when="after" />
    </template>

    <h3 id="driven" class="mb-1 mt-7 text-sm font-bold">Looked at and driven</h3>
    <ul class="rows border-y border-line">
      <li v-for="(name, check) in PROOFS" :key="check" class="flex flex-wrap items-center gap-3 py-2">
        <span class="flex-1 font-semibold"
          >{{ name
          }}<span v-if="conditionWords(proved(check) ?? {})" class="block text-sm font-normal text-soft">{{
            conditionWords(proved(check) ?? {})
          }}</span
          ><span v-if="proved(check)?.note" class="block text-sm font-normal text-oxide">{{
            proved(check)?.note
          }}</span></span
        >
        <PutRight v-if="proved(check)" :job="job" kind="proof-recorded" :holds="{ check }" :what="name" />
        <fieldset class="flex gap-2" :disabled="job.status === 'closed'">
          <legend class="sr-only">{{ name }}</legend>
          <button
            type="button"
            class="quiet"
            :aria-pressed="proved(check)?.result === 'good'"
            @click="record(check, 'good')"
          >
            Good
          </button>
          <button
            type="button"
            class="quiet"
            :aria-pressed="proved(check)?.result === 'bad'"
            @click="badFor = badFor === check ? null : check"
          >
            Not good
          </button>
        </fieldset>
        <form v-if="badFor === check" class="flex w-full items-start gap-2" @submit.prevent="record(check, 'bad')">
          <TextField v-model="note" class="flex-1" label="What was wrong?" :error="form.error('note')" />
          <button type="submit" class="quiet mt-6">Record</button>
        </form>
      </li>
    </ul>
    <StruckLines :job="job" :kinds="['proof-recorded', 'measurement-taken', 'line-tried', 'tool-said']" />
    <RefusalNote class="mt-2" :form="form" :job="job" :fields="['note']" />
    <section v-for="unit in units" :key="unit.id" class="mt-6">
      <BeforeAfter :job="job" :subject="unit.id" :what="unit.name" />
    </section>
    <template #why>
      <GapDrawing v-if="job.recordings.length > 0" :job="job" />
      <ProofSummary :job="job" />
    </template>
  </StageFrame>
</template>
