<script setup lang="ts">
import { readFigure } from '../../../core/quantity/index.ts';
import { computed, reactive } from 'vue';
import {
  bandOf,
  type Job,
  measured,
  MEASURE_FIELDS,
  type MeasureKind,
  MEASURES,
  type TrialPlace,
  type When,
} from '../../../core/job/index.ts';
import { freshId, useJob } from '../../stores/job.ts';
import FigureField from '../../parts/FigureField.vue';
import PutRight from '../entries/PutRight.vue';

/** Figures typed one by one; each says at once whether it lies in the family's band. */
const props = defineProps<{ job: Job; when: When; place?: TrialPlace | null }>();
const store = useJob();
const typed = reactive<Record<MeasureKind, string>>({
  'idle-rpm': '',
  'valve-duty': '',
  'closed-volts': '',
  'settle-time': '',
});
const errors = reactive<Partial<Record<MeasureKind, string>>>({});

const kinds = computed(() =>
  (Object.keys(MEASURES) as MeasureKind[]).filter(
    (kind) => kind !== 'valve-duty' || props.job.vehicle.idleValve !== 'none',
  ),
);
/** How an outboard ran for it. */
const ran = computed(() => (props.place === undefined || props.place === null ? {} : { place: props.place }));
const known = (kind: MeasureKind) => measured(props.job, kind, props.when);
function keep(kind: MeasureKind): void {
  const text = typed[kind].trim();
  if (text === '') return;
  const read = readFigure(text, MEASURE_FIELDS[kind]);
  const refusal = read.ok
    ? store.send('take-measurement', {
        id: freshId(),
        kind,
        when: props.when,
        value: read.value,
        typed: read.text,
        ...ran.value,
      })
    : { message: read.message, wouldHelp: '' };
  errors[kind] = refusal === null ? '' : `${refusal.message} ${refusal.wouldHelp}`.trim();
  if (refusal === null) typed[kind] = '';
}
</script>

<template>
  <div class="grid max-w-2xl gap-x-8 gap-y-4 sm:grid-cols-2">
    <form v-for="kind in kinds" :key="kind" @submit.prevent="keep(kind)">
      <div class="flex items-start gap-3">
        <FigureField
          v-model="typed[kind]"
          class="max-w-56"
          :label="`${MEASURES[kind].name}, ${MEASURES[kind].unit}`"
          :field="MEASURE_FIELDS[kind]"
          :error="errors[kind] || null"
          :placeholder="bandOf(job, kind) ? `${bandOf(job, kind)?.low} to ${bandOf(job, kind)?.high}` : ''"
          :disabled="job.status === 'closed'"
          @leave="keep(kind)"
        />
        <p v-if="known(kind)" class="mt-7 leading-tight">
          <span class="figure text-xl">{{ known(kind)?.shown }}</span>
          <span
            class="block text-sm"
            :class="
              known(kind)?.good === false ? 'font-bold text-oxide' : known(kind)?.good ? 'text-moss' : 'text-soft'
            "
            >{{ known(kind)?.words }}</span
          >
          <PutRight :job="job" kind="measurement-taken" :holds="{ kind, when }" :what="MEASURES[kind].name" />
        </p>
      </div>
    </form>
  </div>
</template>
