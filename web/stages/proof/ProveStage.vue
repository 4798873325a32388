<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  MEASURES,
  type MeasureKind,
  type ProofKind,
  PROOFS,
  TRIAL_PLACES,
  type TrialPlace,
} from '../../../core/job/index.ts';
import { useOf } from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import BalancePanel from '../balance/BalancePanel.vue';
import BeforeAfter from './BeforeAfter.vue';
import CodesList from '../complaint/CodesList.vue';
import MeasureEntry from './MeasureEntry.vue';
import StageFrame from '../StageFrame.vue';
import { useUnits } from '../units/useUnits.ts';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';
import RefusalNote from '../RefusalNote.vue';
import { useForm } from '../useForm.ts';
import BandLine from './BandLine.vue';

const store = useJob();
const { units } = useUnits();
const form = useForm();
const codeForm = useForm();
const job = computed(() => store.job);
const code = ref('');
const badFor = ref<ProofKind | null>(null);
const note = ref('');
const kinds = (Object.keys(MEASURES) as MeasureKind[]).filter((kind) => kind !== 'settle-time');
/** An outboard is proved where it ran: on the hose says less than on the water. */
const outboard = computed(() => job.value !== null && useOf(job.value.vehicle, store.family) === 'outboard');
const place = ref<TrialPlace | null>(store.job?.proofs.at(-1)?.place ?? store.job?.measurements.at(-1)?.place ?? null);
const ran = computed(() => (outboard.value && place.value !== null ? { place: place.value } : {}));
const PLACES = (Object.keys(TRIAL_PLACES) as TrialPlace[]).map((id) => ({ id, name: TRIAL_PLACES[id] }));
const proved = (check: ProofKind) => job.value?.proofs.find((proof) => proof.check === check);
function record(check: ProofKind, result: 'good' | 'bad'): void {
  if (form.send('record-proof', { check, result, note: result === 'bad' ? note.value : '', ...ran.value })) {
    badFor.value = null;
    note.value = '';
  }
}
function addCode(): void {
  if (codeForm.send('read-code', { id: freshId(), code: code.value, status: 'stored', when: 'after', note: '' }))
    code.value = '';
}
</script>

<template>
  <StageFrame
    v-if="job"
    stage="prove"
    title="Prove"
    :cautions="['road']"
    lead="The same figures as before the work, on the same lines."
  >
    <div class="mt-4 grid gap-5">
      <BandLine v-for="kind in kinds" :key="kind" :job="job" :kind="kind" />
    </div>
    <h3 id="measured" class="mb-2 mt-7 text-sm font-bold">Measured after the work</h3>
    <ChoiceRow v-if="outboard" v-model="place" class="mb-3" label="It runs" :options="PLACES" />
    <MeasureEntry :job="job" when="after" :place="outboard ? place : null" />

    <BalancePanel class="mt-7" :job="job" when="after" />

    <h3 id="codes-after" class="mb-1 mt-7 text-sm font-bold">Codes read after</h3>
    <CodesList :job="job" when="after" />
    <form v-if="job.status === 'open'" class="mt-2 flex max-w-xl items-start gap-2" @submit.prevent="addCode">
      <TextField
        v-model="code"
        label="A code that came back"
        placeholder="P0505"
        class="w-48"
        :error="codeForm.error('code') ?? codeForm.general('code')"
      />
      <button type="submit" class="quiet mt-6">Add</button>
      <button
        v-if="job.codesRead.after === null"
        type="button"
        class="quiet mt-6"
        @click="codeForm.send('read-codes-out', { when: 'after' })"
      >
        {{ job.codes.some(({ when }) => when === 'after') ? 'That is all' : 'Read: none stored' }}
      </button>
    </form>

    <h3 id="driven" class="mb-1 mt-7 text-sm font-bold">Looked at and driven</h3>
    <ul class="rows border-y border-line">
      <li v-for="(name, check) in PROOFS" :key="check" class="flex flex-wrap items-center gap-3 py-2">
        <span class="flex-1 font-semibold"
          >{{ name
          }}<span v-if="proved(check)?.place" class="block text-sm font-normal text-soft">{{
            TRIAL_PLACES[proved(check)?.place ?? 'hose']
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
    <StruckLines :job="job" :kinds="['proof-recorded', 'measurement-taken']" />
    <RefusalNote class="mt-2" :form="form" :job="job" :fields="['note']" />
    <section v-for="unit in units" :key="unit.id" class="mt-6">
      <BeforeAfter :job="job" :subject="unit.id" :what="unit.name" />
    </section>
    <template #why>
      <p>
        In band, no code back, quick to settle, no leak: then it is proved. One of them missing is a comeback in
        waiting.
      </p>
    </template>
  </StageFrame>
</template>
