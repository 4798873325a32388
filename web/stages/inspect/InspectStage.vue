<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import { GRADES, INSPECTION_POINTS, type When } from '../../../core/job/index.ts';
import type { UnitKind } from '../../../core/procedure/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { freshId, useJob } from '../../stores/job.ts';
import BeforeAfter from '../BeforeAfter.vue';
import PictureAdd from '../PictureAdd.vue';
import StageFrame from '../StageFrame.vue';
import { UNIT_KINDS } from '../../../core/vehicle/index.ts';
import { unitsOnBench } from '../units.ts';
import { useForm } from '../useForm.ts';
import BoreDrawing from './BoreDrawing.vue';

const store = useJob();
const form = useForm();
const job = computed(() => store.job);
const units = computed(() => (job.value === null ? [] : unitsOnBench(job.value)));
const when = ref<When | null>('before');
const texts = reactive<Record<string, string>>({});
const wrongAt = ref('');

const phase = computed<When>(() => when.value ?? 'before');
const found = (unit: UnitKind, point: string, at: When = phase.value) =>
  job.value?.findings.find((finding) => finding.unit === unit && finding.point === point && finding.when === at);
function grade(unit: UnitKind, point: string, value: number): void {
  form.send('record-finding', {
    id: freshId(),
    unit,
    point,
    when: phase.value,
    grade: value,
    text: found(unit, point)?.text ?? '',
  });
}
function write(unit: UnitKind, point: string): void {
  const key = `${unit} ${point} ${phase.value}`;
  const text = texts[key];
  if (text === undefined || text === (found(unit, point)?.text ?? '')) return;
  wrongAt.value = form.send('record-finding', {
    id: freshId(),
    unit,
    point,
    when: phase.value,
    grade: found(unit, point)?.grade ?? null,
    text,
  })
    ? ''
    : key;
}
const worst = (unit: UnitKind, at: When): number | null => {
  const grades =
    job.value?.findings
      .filter((finding) => finding.unit === unit && finding.when === at && finding.grade !== null)
      .map(({ grade: value }) => value ?? 0) ?? [];
  return grades.length === 0 ? null : Math.max(...grades);
};
</script>

<template>
  <StageFrame
    v-if="job"
    stage="inspect"
    title="On the bench: inspect"
    lead="Look before you clean. Grades run from 0, as new, to 4, coke."
  >
    <ChoiceRow
      v-model="when"
      class="mt-4"
      label="Looking"
      hide-label
      :options="[
        { id: 'before', name: 'Before cleaning' },
        { id: 'after', name: 'After cleaning' },
      ]"
    />
    <section v-for="unit in units" :key="unit" class="mt-6">
      <div class="flex flex-wrap items-center gap-3">
        <h3 class="text-lg">{{ UNIT_KINDS[unit] }}</h3>
        <PictureAdd
          v-if="job.status === 'open'"
          class="ml-auto"
          :subject="unit"
          :when="phase"
          :caption="phase === 'before' ? 'as it came off' : 'cleaned'"
        />
      </div>
      <ul class="rows mt-1 border-y border-line">
        <li
          v-for="point in INSPECTION_POINTS.filter((each) => each.unit === unit)"
          :key="point.id"
          class="grid items-center gap-x-5 gap-y-1 py-2 md:grid-cols-[13rem_15rem_1fr]"
        >
          <span class="font-semibold">{{ point.name }}</span>
          <fieldset v-if="point.graded" class="flex gap-1" :disabled="job.status === 'closed'">
            <legend class="sr-only">{{ point.name }}, grade</legend>
            <button
              v-for="(name, index) in GRADES"
              :key="name"
              type="button"
              class="quiet min-w-11 px-0!"
              :title="name"
              :aria-pressed="found(unit, point.id)?.grade === index"
              @click="grade(unit, point.id, index)"
            >
              {{ index }}<span class="sr-only"> {{ name }}</span>
            </button>
          </fieldset>
          <span v-else />
          <div>
            <label class="sr-only" :for="`${unit}-${point.id}`">{{ point.name }}, in words</label>
            <input
              :id="`${unit}-${point.id}`"
              class="input"
              :value="texts[`${unit} ${point.id} ${phase}`] ?? found(unit, point.id)?.text ?? ''"
              :placeholder="
                point.graded && found(unit, point.id)?.grade != null
                  ? GRADES[found(unit, point.id)?.grade ?? 0]
                  : 'in words'
              "
              :disabled="job.status === 'closed'"
              @input="texts[`${unit} ${point.id} ${phase}`] = ($event.target as HTMLInputElement).value"
              @change="write(unit, point.id)"
            />
            <p
              v-if="wrongAt === `${unit} ${point.id} ${phase}`"
              class="mt-1 text-sm font-semibold text-alarm"
              role="alert"
            >
              {{ form.error('text') ?? form.general('text') }}
            </p>
          </div>
        </li>
      </ul>
      <BeforeAfter class="mt-4" :job="job" :subject="unit" :what="UNIT_KINDS[unit]" />
    </section>
    <template #why>
      <div v-for="unit in units" :key="unit">
        <h3 class="text-sm font-bold">{{ UNIT_KINDS[unit] }}</h3>
        <BoreDrawing v-if="unit === 'throttle-body'" class="mt-2" :deposit="worst(unit, phase) ?? 0" :degrees="6" />
        <p class="mt-1 text-[0.9375rem] text-soft">
          <template v-if="worst(unit, 'before') === null">Not graded yet.</template>
          <template v-else
            >{{ GRADES[worst(unit, 'before') ?? 0] }} before<template v-if="worst(unit, 'after') !== null"
              >, {{ GRADES[worst(unit, 'after') ?? 0] }} after</template
            >.</template
          >
        </p>
      </div>
      <p class="text-[0.9375rem] text-soft">
        A bent plate, a warped body or play in the shaft is never cured by cleaning. If you find one, decide anew.
      </p>
    </template>
  </StageFrame>
</template>
