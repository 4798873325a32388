<script setup lang="ts">
import { computed, ref } from 'vue';
import { type Job, type JobUnit, TRIAL_PLACES, trimmedUnits } from '../../../core/job/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import { turnWords } from '../../../core/rebuild/index.ts';
import { sourceWords, useOf } from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import PutRight from '../entries/PutRight.vue';
import RefusalNote from '../RefusalNote.vue';
import { useForm } from '../useForm.ts';

/** A stop screw of a warped outboard body trimmed turn by turn: a stop-gap until a new body comes with its own setting. */
const props = defineProps<{ job: Job; unit: JobUnit }>();
const form = useForm();
const turns = ref('');
const rpm = ref('');
const duty = ref('');
const note = ref('');
const water = ref('');
const place = ref<keyof typeof TRIAL_PLACES | null>('hose');
const PLACES = Object.entries(TRIAL_PLACES).map(([id, name]) => ({ id: id as keyof typeof TRIAL_PLACES, name }));
const mine = computed(() => props.job.trims.filter(({ unit }) => unit === props.unit.id));
const left = computed(() => trimmedUnits(props.job).find(({ unit }) => unit === props.unit.id) ?? null);
const applies = computed(() => useOf(props.job.vehicle, null) === 'outboard' && props.unit.form === 'plastic');
const windows = computed(() => {
  const { idleRpm, valveDuty } = props.job.vehicle.figures;
  return [
    idleRpm === null ? '' : `${idleRpm.low} to ${idleRpm.high} rpm (${sourceWords(idleRpm)})`,
    valveDuty === null ? '' : `${valveDuty.low} to ${valveDuty.high} % duty (${sourceWords(valveDuty)})`,
  ].filter(Boolean);
});
function record(): void {
  const sent = form.send('try-trim', {
    id: freshId(),
    unit: props.unit.id,
    turnsText: turns.value,
    place: place.value ?? 'hose',
    rpmText: rpm.value,
    dutyText: duty.value,
    note: note.value,
  });
  if (sent) [turns.value, rpm.value, duty.value, note.value] = ['', '', '', ''];
}
function giveWater(): void {
  if (form.send('give-water', { how: water.value })) water.value = '';
}
</script>

<template>
  <section v-if="applies" aria-label="Trim trial">
    <h3 class="text-lg">Trim trial of the stop screw</h3>
    <p class="max-w-prose text-note text-soft">
      A stop-gap on a warped body, turn by turn. Turns count from where it was found. A new body comes with its own
      factory setting: leave that as it is.
      <template v-if="windows.length > 0">Its window: {{ windows.join(', ') }}.</template>
    </p>
    <ol v-if="mine.length > 0" class="rows mt-2 border-y border-line">
      <li v-for="each in mine" :key="each.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
        <b class="w-36">{{ turnWords(each.turns) }}</b>
        <span class="figure">{{ each.rpm === null ? '' : `${each.rpm} rpm` }}</span>
        <span class="figure">{{ each.duty === null ? '' : `${each.duty} %` }}</span>
        <span class="text-soft">{{ TRIAL_PLACES[each.place] }}</span>
        <b
          class="ml-auto"
          :class="each.inside === true ? 'text-moss' : each.inside === false ? 'text-oxide' : 'text-soft'"
          >{{ each.inside === null ? 'no window' : each.inside ? 'in its window' : 'not in it' }}</b
        >
        <PutRight :job="job" kind="trim-tried" :holds="{ id: each.id }" :what="turnWords(each.turns)" />
      </li>
    </ol>
    <p v-if="left" class="mt-2 font-semibold text-brass">
      It stands {{ turnWords(left.turns) }}: a stop-gap. At hand-over it gets a day to look again.
    </p>
    <form v-if="job.status === 'open'" class="mt-3 grid gap-3" @submit.prevent="record">
      <ChoiceRow v-model="place" label="Run" :options="PLACES" />
      <div class="flex flex-wrap items-start gap-3">
        <FigureField
          v-model="turns"
          class="w-36"
          label="Turns, out +"
          placeholder="½"
          :field="FIELDS.turnsOfScrew"
          :error="form.error('turnsText')"
        />
        <FigureField
          v-model="rpm"
          class="w-28"
          label="Idle, rpm"
          :field="FIELDS.idleSpeed"
          :error="form.error('rpmText')"
        />
        <FigureField
          v-model="duty"
          class="w-28"
          label="Duty, %"
          :field="FIELDS.share"
          :error="form.error('dutyText')"
        />
        <TextField v-model="note" class="min-w-40 flex-1" label="A word to it" />
        <button type="submit" class="quiet mt-6">Record the step</button>
      </div>
    </form>
    <RefusalNote class="mt-2" :form="form" :job="job" :fields="['turnsText', 'rpmText', 'dutyText', 'how']" />
    <form
      v-if="form.wrong.value?.message.includes('cooling water')"
      class="mt-2 flex max-w-xl items-end gap-3"
      @submit.prevent="giveWater"
    >
      <TextField v-model="water" class="flex-1" label="How it gets its water" placeholder="muffs and hose" />
      <button type="submit" class="quiet">It has water</button>
    </form>
  </section>
</template>
