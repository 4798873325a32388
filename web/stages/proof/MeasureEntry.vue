<script setup lang="ts">
import { readFigure } from '../../../core/quantity/index.ts';
import { computed, reactive, ref } from 'vue';
import {
  bandOf,
  type Condition,
  type Job,
  measured,
  MEASURE_FIELDS,
  type MeasureKind,
  MEASURES,
  USUAL_MEASURES,
  type When,
} from '../../../core/job/index.ts';
import { freshId, useJob } from '../../stores/job.ts';
import FigureField from '../../parts/FigureField.vue';
import PutRight from '../entries/PutRight.vue';

/** Figures typed one by one; each says at once whether it lies in the family's band. */
const props = defineProps<{ job: Job; when: When; under?: Condition }>();
const store = useJob();
const typed = reactive(
  Object.fromEntries(Object.keys(MEASURES).map((kind) => [kind, ''])) as Record<MeasureKind, string>,
);
const errors = reactive<Partial<Record<MeasureKind, string>>>({});

const hasValve = computed(() => props.job.vehicle.idleValve !== 'none');
const usual = computed(() => USUAL_MEASURES.filter((kind) => kind !== 'valve-duty' || hasValve.value));
/** Everything else that somebody may have read; what was taken before or after is shown at once. */
const others = computed(() =>
  (Object.keys(MEASURES) as MeasureKind[]).filter(
    (kind) => !USUAL_MEASURES.includes(kind) && (kind !== 'valve-steps' || hasValve.value),
  ),
);
const taken = (kind: MeasureKind): boolean => props.job.measurements.some((each) => each.kind === kind);
const showAll = ref(false);
const kinds = computed(() => [...usual.value, ...others.value.filter((kind) => showAll.value || taken(kind))]);
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
        ...props.under,
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
    <button
      v-if="!showAll && job.status === 'open' && others.some((kind) => !taken(kind))"
      type="button"
      class="quiet justify-self-start self-end"
      @click="showAll = true"
    >
      Trims, air, second track, steps …
    </button>
  </div>
</template>
