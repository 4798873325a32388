<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { boreNames, type JobUnit, jobObjections, type When, worstGrade } from '../../../core/job/index.ts';
import { GRADES, type InspectPoint, pointName, pointsFor, type PointVerdict } from '../../../core/inspect/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { useJob } from '../../stores/job.ts';
import LayOutPart from '../parts/LayOutPart.vue';
import UnitTabs from '../units/UnitTabs.vue';
import { useUnits } from '../units/useUnits.ts';
import PicturesBlock from '../pictures/PicturesBlock.vue';
import StageFrame from '../StageFrame.vue';
import DropNote from './DropNote.vue';
import PointPanel from './PointPanel.vue';
import UnitDrawing from './UnitDrawing.vue';

/** A walk over each unit, drawn from its own type; what is found is judged and held against what was decided. */
const store = useJob();
const { units, unit, chosen } = useUnits();
const job = computed(() => store.job);
const route = useRoute();
if (typeof route.query.unit === 'string') chosen.value = route.query.unit;
const when = ref<When | null>(route.query.when === 'after' ? 'after' : 'before');
const phase = computed<When>(() => when.value ?? 'before');
/** A stop can be linked to. */
const current = ref(typeof route.query.at === 'string' ? route.query.at : '');

const points = computed((): readonly InspectPoint[] =>
  unit.value === null
    ? []
    : pointsFor(unit.value.form).filter(({ again, id }) => (phase.value === 'before' ? id !== 'leak' : again)),
);
const point = computed(
  () => points.value.find(({ id }) => id === current.value) ?? firstOpen() ?? points.value[0] ?? null,
);
const seen = (of: JobUnit, id: string) =>
  job.value?.findings.filter((each) => each.unit === of.id && each.point === id && each.when === phase.value) ?? [];
/** Looked at; a point that each bore has is, once each bore was. */
const isSeen = (of: JobUnit, id: string): boolean => {
  const bores = boreNames(of, id);
  const found = seen(of, id);
  return bores.length === 0
    ? found.length > 0
    : bores.every((bore) => found.some(({ judged }) => judged?.which === bore));
};
const rank: readonly PointVerdict[] = ['bad', 'watch', 'good', 'noted'];
function verdictOf(of: JobUnit, id: string): PointVerdict | undefined {
  const found = seen(of, id);
  const judged = found.flatMap((each) => (each.judged === undefined ? [] : [each.judged.verdict]));
  return rank.find((each) => judged.includes(each)) ?? (found.length > 0 ? 'noted' : undefined);
}
const verdicts = computed(() => {
  const of = unit.value;
  return of === null ? {} : Object.fromEntries(points.value.map(({ id }) => [id, verdictOf(of, id)]));
});
function firstOpen(): InspectPoint | undefined {
  const of = unit.value;
  return of === null ? undefined : points.value.find(({ id }) => !isSeen(of, id));
}
/** Goes to the next stop that nobody has looked at; stays where several of the same are entered. */
function goOn(): void {
  if (point.value?.each === true) return;
  current.value = '';
}
// By id: every answer of the server makes the units anew, and the stop that was picked must stay.
watch([chosen, phase], () => (current.value = ''));
const done = (of: JobUnit): string => {
  const walk = pointsFor(of.form).filter(({ again, id }) => (phase.value === 'before' ? id !== 'leak' : again));
  const looked = walk.filter(({ id }) => isSeen(of, id)).length;
  return looked === walk.length ? 'walked over' : `${looked} of ${walk.length} looked at`;
};
const objections = computed(() => (job.value === null ? [] : jobObjections(job.value)));
const nameOf = (id: string): string => units.value.find((each) => each.id === id)?.name ?? id;
/** Findings of before there was a walk, and of units that the file no longer lists. */
const older = computed(() => {
  const known = new Set(units.value.flatMap((each) => pointsFor(each.form).map(({ id }) => `${each.id} ${id}`)));
  return job.value?.findings.filter((each) => !known.has(`${each.unit} ${each.point}`)) ?? [];
});
const tone = { good: 'text-moss', watch: 'text-brass', bad: 'text-oxide', noted: 'text-soft' } as const;
</script>

<template>
  <StageFrame
    v-if="job"
    stage="inspect"
    title="On the bench: inspect"
    lead="Look before you clean. Each stop says how to look, and what a bad one means."
  >
    <ChoiceRow
      v-model="when"
      class="mt-3"
      label="Looking"
      hide-label
      :options="[
        { id: 'before', name: 'Before cleaning' },
        { id: 'after', name: 'After cleaning' },
      ]"
    />
    <LayOutPart class="mt-2" :job="job" />
    <UnitTabs class="mt-3" :units="units" :current="unit?.id ?? ''" :mark="done" @pick="chosen = $event">
      <div v-if="unit && point" class="mt-4 grid items-start gap-x-8 gap-y-5 xl:grid-cols-[minmax(19rem,5fr)_6fr]">
        <div>
          <UnitDrawing
            class="max-w-lg"
            :form="unit.form"
            :points="points"
            :current="point.id"
            :verdicts="verdicts"
            :deposit="worstGrade(job, unit.id, phase) ?? 0"
            @pick="current = $event"
          />
          <p class="mt-1 text-sm text-soft">
            {{ unit.name }}<span v-if="unit.partNumber" class="code">, {{ unit.partNumber }}</span
            >: {{ done(unit) }}
          </p>
        </div>
        <PointPanel :key="`${unit.id} ${phase}`" :job="job" :unit="unit" :point="point" :when="phase" @done="goOn" />
      </div>
      <section v-if="unit" class="mt-7">
        <h3 class="text-sm font-bold">The walk</h3>
        <ol class="rows mt-1 border-y border-line">
          <li v-for="(each, index) in points" :key="each.id">
            <button
              type="button"
              class="grid min-h-11 w-full grid-cols-[2rem_1fr] items-baseline gap-x-3 py-2 text-left hover:text-bottle sm:grid-cols-[2rem_15rem_1fr]"
              :aria-current="each.id === point?.id ? 'step' : undefined"
              @click="current = each.id"
            >
              <span class="figure text-soft">{{ index + 1 }}</span>
              <span :class="each.id === point?.id ? 'font-bold text-bottle' : 'font-semibold'">{{ each.name }}</span>
              <span class="text-note max-sm:col-start-2">
                <span v-for="found in seen(unit, each.id)" :key="found.id" class="block">
                  <b v-if="found.judged" :class="tone[found.judged.verdict]">{{ found.judged.verdict }}</b>
                  {{ found.judged?.which ? `${found.judged.which}: ` : ''
                  }}{{ found.judged?.words ?? (found.grade === null ? '' : `${found.grade}, ${GRADES[found.grade]}`) }}
                  <span v-if="found.text" class="text-soft">{{ found.text }}</span>
                </span>
                <span v-if="seen(unit, each.id).length === 0" class="text-soft">not looked at</span>
              </span>
            </button>
          </li>
        </ol>
      </section>
      <PicturesBlock
        v-if="unit"
        :key="unit.id"
        class="mt-7"
        :job="job"
        :subject="unit.id"
        :what="unit.name"
        :when="phase"
      />
      <DropNote v-if="unit" :key="`drop ${unit.id}`" :job="job" :unit="unit" />
    </UnitTabs>
    <section v-if="older.length > 0" class="mt-7">
      <h3 class="text-sm font-bold">Noted besides</h3>
      <ul class="rows mt-1 border-y border-line text-note">
        <li v-for="each in older" :key="each.id" class="py-1.5">
          {{ pointName(each.point) }}, {{ each.when }}:
          {{ each.grade === null ? '' : `${each.grade}, ${GRADES[each.grade]}. ` }}{{ each.text }}
        </li>
      </ul>
    </section>
    <template #why>
      <div v-if="objections.length > 0" class="border-l-[3px] border-oxide py-1 pl-3" role="status">
        <h3 class="font-bold text-oxide">What was decided will not cure this</h3>
        <ul class="mt-1 grid gap-2">
          <li v-for="each in objections" :key="each.unit + each.words">
            <span v-if="units.length > 1" class="font-semibold">{{ nameOf(each.unit) }}: </span>{{ each.words }}
          </li>
        </ul>
        <RouterLink class="quiet mt-3" :to="`/jobs/${job.id}/decide`">Decide anew</RouterLink>
      </div>
      <div v-for="each in units.slice(0, 4)" :key="each.id">
        <h3 class="text-sm font-bold">{{ each.name }}</h3>
        <p class="text-note text-soft">
          <template v-if="worstGrade(job, each.id, 'before') === null">Not graded yet.</template>
          <template v-else
            >Worst grade {{ GRADES[worstGrade(job, each.id, 'before') ?? 0] }} before<template
              v-if="worstGrade(job, each.id, 'after') !== null"
              >, {{ GRADES[worstGrade(job, each.id, 'after') ?? 0] }} after</template
            >.</template
          >
        </p>
      </div>
      <RouterLink v-if="unit" class="link" :to="{ path: `/jobs/${job.id}/replace`, query: { unit: unit.id } }"
        >Its marks against what the computer expects</RouterLink
      >
      <p class="text-note text-soft">
        A bent plate, a warped body or play in the shaft is never cured by cleaning. What is found here also goes to the
        diagnosis.
      </p>
    </template>
  </StageFrame>
</template>
