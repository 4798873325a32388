<script setup lang="ts">
import { computed, reactive } from 'vue';
import { bandOf, type Job, measured, type MeasureKind, MEASURES, type When } from '../../../core/job/index.ts';
import { parseNumber } from '../../../core/quantity/index.ts';
import { freshId, useJob } from '../../stores/job.ts';
import FieldBox from '../../parts/FieldBox.vue';

/** Figures typed one by one; each says at once whether it lies in the family's band. */
const props = defineProps<{ job: Job; when: When }>();
const store = useJob();
const typed = reactive<Partial<Record<MeasureKind, string>>>({});
const errors = reactive<Partial<Record<MeasureKind, string>>>({});

const kinds = computed(() =>
  (Object.keys(MEASURES) as MeasureKind[]).filter(
    (kind) => kind !== 'valve-duty' || props.job.vehicle.idleValve !== 'none',
  ),
);
const known = (kind: MeasureKind) => measured(props.job, kind, props.when);
function keep(kind: MeasureKind): void {
  const text = typed[kind]?.trim() ?? '';
  if (text === '') return;
  const value = parseNumber(text);
  const refusal = Number.isNaN(value)
    ? { message: `Expected a number in ${MEASURES[kind].unit}, got “${text}”.`, wouldHelp: '' }
    : store.send('take-measurement', { id: freshId(), kind, when: props.when, value });
  errors[kind] = refusal === null ? '' : `${refusal.message} ${refusal.wouldHelp}`.trim();
  if (refusal === null) typed[kind] = '';
}
</script>

<template>
  <div class="grid max-w-2xl gap-x-8 gap-y-4 sm:grid-cols-2">
    <form v-for="kind in kinds" :key="kind" @submit.prevent="keep(kind)">
      <FieldBox
        v-slot="{ id, described, invalid }"
        :label="`${MEASURES[kind].name}, ${MEASURES[kind].unit}`"
        :error="errors[kind] || null"
      >
        <div class="flex items-center gap-3">
          <input
            :id="id"
            v-model="typed[kind]"
            class="input max-w-32"
            inputmode="decimal"
            autocomplete="off"
            :placeholder="bandOf(job, kind) ? `${bandOf(job, kind)?.low} to ${bandOf(job, kind)?.high}` : ''"
            :aria-describedby="described"
            :aria-invalid="invalid"
            :disabled="job.status === 'closed'"
            @blur="keep(kind)"
          />
          <p v-if="known(kind)" class="leading-tight">
            <span class="figure text-xl">{{ known(kind)?.value }}</span>
            <span
              class="block text-sm"
              :class="
                known(kind)?.good === false ? 'font-bold text-oxide' : known(kind)?.good ? 'text-moss' : 'text-soft'
              "
              >{{ known(kind)?.words }}</span
            >
          </p>
        </div>
      </FieldBox>
    </form>
  </div>
</template>
