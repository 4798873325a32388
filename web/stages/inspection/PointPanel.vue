<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue';
import { boreNames, type Finding, type Job, type JobUnit, type When } from '../../../core/job/index.ts';
import { type InspectPoint, isPointProblem, judgePoint, limitOf, typedAt } from '../../../core/inspect/index.ts';
import { fieldIn } from '../../../core/quantity/index.ts';
import { figuresOf, sourceWords } from '../../../core/vehicle/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';
import GradeScale from './GradeScale.vue';
import LightRing from './LightRing.vue';
import PutRight from '../entries/PutRight.vue';

/** One stop of the walk: how to look, what was found, judged as it is typed. */
const props = defineProps<{ job: Job; unit: JobUnit; point: InspectPoint; when: When }>();
const emit = defineEmits<{ done: [] }>();
const store = useJob();
const form = useForm();
/** Bores of one casting are looked at one after the other; empty where there is but one. */
const bores = computed(() => boreNames(props.unit, props.point.id));
const bore = ref<string | null>(null);
watch(
  () => `${props.unit.id} ${props.point.id} ${props.when}`,
  () => (bore.value = unseenBore(null) ?? bores.value[0] ?? null),
  { immediate: true },
);
/** The next bore that nobody has looked at. @param besides one that was looked at just now */
function unseenBore(besides: string | null): string | null {
  const seen = (name: string): boolean =>
    props.job.findings.some(
      (each) =>
        each.unit === props.unit.id &&
        each.point === props.point.id &&
        each.when === props.when &&
        each.judged?.which === name,
    );
  return bores.value.find((name) => name !== besides && !seen(name)) ?? null;
}
const key = computed(() => `${props.unit.id} ${props.point.id} ${props.when} ${bore.value ?? ''}`);
/** What is typed at each stop stays until it is recorded. */
const typed = reactive<Record<string, { texts: string[]; which: string; note: string; marks: number[] }>>({});
const open = ref('');

const known = computed((): readonly Finding[] =>
  props.job.findings.filter(
    (each) =>
      each.unit === props.unit.id &&
      each.point === props.point.id &&
      each.when === props.when &&
      (bore.value === null || each.judged?.which === bore.value),
  ),
);
function fresh() {
  const seen = props.job.findings.find(
    (each) =>
      each.unit === props.unit.id &&
      each.point === props.point.id &&
      each.when === props.when &&
      (bore.value === null || each.judged?.which === bore.value) &&
      !props.point.each,
  );
  return {
    texts: [...(seen?.judged?.typed ?? [])],
    which: '',
    note: seen?.text ?? '',
    marks: [...(seen?.judged?.marks ?? [])],
  };
}
watch(
  key,
  (now) => {
    form.clear();
    typed[now] ??= fresh();
  },
  { immediate: true },
);
const entry = computed(() => typed[key.value] ?? fresh());

const limit = computed(() =>
  limitOf(props.point, figuresOf(props.job.vehicle, store.family), store.family, props.unit.kind),
);
const fields = computed(() =>
  typedAt(props.point).map(({ label, unit, low, high }) => ({
    label: `${label}, ${unit}`,
    field: fieldIn(unit, [low, high]),
  })),
);
/** Judged as it is typed; nothing is said before there is enough to judge. */
const live = computed(() => {
  if (fields.value.length === 0 || fields.value.some((_, index) => !entry.value.texts[index]?.trim())) return null;
  const judged = judgePoint(props.point, { marks: [], outcome: '', typed: entry.value.texts }, limit.value);
  return isPointProblem(judged) ? null : judged;
});
const verdictWords = { good: 'Good', watch: 'Watch', bad: 'Bad', noted: 'Noted' } as const;
const tone = { good: 'text-moss', watch: 'text-brass', bad: 'text-oxide', noted: 'text-soft' } as const;

function record(outcome = '', marks: readonly number[] = entry.value.marks): void {
  const taken = form.send('judge-point', {
    id: freshId(),
    unit: props.unit.id,
    kind: props.unit.kind,
    form: props.unit.form,
    point: props.point.id,
    when: props.when,
    which: bore.value ?? entry.value.which,
    marks: props.point.entry.kind === 'grade' || props.point.entry.kind === 'light' ? [...marks] : [],
    outcome,
    // What was felt stands without a figure, whatever was half typed.
    typed: fields.value.map((_, index) => (outcome === '' ? (entry.value.texts[index] ?? '') : '')),
    note: entry.value.note.trim(),
  });
  if (!taken) return;
  if (outcome !== '') entry.value.texts = [];
  if (props.point.each) Object.assign(entry.value, { texts: [], which: '', note: '' });
  open.value = '';
  const next = unseenBore(bore.value);
  if (next === null) emit('done');
  else bore.value = next;
}
function light(marks: number[]): void {
  entry.value.marks = marks;
}
const all = (mark: number): number[] => Array.from({ length: 12 }, () => mark);
const closed = computed(() => props.job.status === 'closed');
const problem = computed(
  () => form.error('marks') ?? form.error('outcome') ?? form.general('marks', 'outcome', 'typed.0', 'typed.1', 'which'),
);
</script>

<template>
  <section :aria-label="point.name">
    <h3 class="text-xl">{{ point.name }}</h3>
    <p class="mt-1 max-w-prose text-soft">{{ point.how }}</p>
    <div v-if="point.each && known.length > 0" class="mt-3">
      <ul class="rows border-y border-line text-note">
        <li v-for="each in known" :key="each.id" class="flex flex-wrap justify-between gap-x-4 py-1.5">
          <span class="font-semibold">{{ each.judged?.which }}</span>
          <span :class="tone[each.judged?.verdict ?? 'noted']">{{ each.judged?.words }}</span>
        </li>
      </ul>
    </div>
    <TextField
      v-if="point.each"
      v-model="entry.which"
      class="mt-3 max-w-xs"
      label="Which one"
      :placeholder="unit.kind === 'part' ? 'upper ring' : 'idle screw'"
      :error="form.error('which')"
    />
    <ChoiceRow
      v-if="bore !== null"
      v-model="bore"
      class="mt-3"
      label="Which bore"
      hide-label
      :options="bores.map((id) => ({ id, name: upperFirst(id) }))"
    />
    <GradeScale
      v-if="point.entry.kind === 'grade'"
      class="mt-3 max-w-2xl"
      :label="point.name"
      :grade="known[0]?.grade ?? null"
      :disabled="closed"
      @pick="(grade) => record('', [grade])"
    />
    <div v-else-if="point.entry.kind === 'light'" class="mt-3">
      <LightRing class="w-full max-w-72" :marks="entry.marks" :disabled="closed" @mark="light" />
      <div class="mt-3 flex flex-wrap items-center gap-2">
        <button type="button" class="quiet" :disabled="closed" @click="light(all(1))">Thin all round</button>
        <button type="button" class="quiet" :disabled="closed" @click="light(all(0))">None at all</button>
        <button type="button" class="primary" :disabled="closed || entry.marks.length !== 12" @click="record()">
          Record the light
        </button>
      </div>
    </div>
    <fieldset v-else-if="point.entry.kind === 'choice'" class="mt-3 flex flex-wrap gap-2" :disabled="closed">
      <legend class="sr-only">{{ point.name }}</legend>
      <button
        v-for="outcome in point.entry.outcomes"
        :key="outcome.id"
        type="button"
        class="quiet min-h-12"
        :aria-pressed="!point.each && known[0]?.judged?.outcome === outcome.id"
        @click="record(outcome.id)"
      >
        {{ outcome.name }}
      </button>
    </fieldset>
    <form v-else class="mt-3 flex max-w-xl flex-wrap items-start gap-3" @submit.prevent="record()">
      <FigureField
        v-for="({ label, field }, index) in fields"
        :key="label"
        :model-value="entry.texts[index] ?? ''"
        class="w-40"
        :label="label"
        :field="field"
        :error="form.error(`typed.${index}`)"
        @update:model-value="entry.texts[index] = $event"
      />
      <button type="submit" class="primary mt-6" :disabled="closed">Record</button>
      <fieldset v-if="point.felt.length > 0" class="flex w-full flex-wrap items-center gap-2" :disabled="closed">
        <legend class="mb-1 text-sm text-soft">Or by eye and hand: noted, not measured</legend>
        <button
          v-for="outcome in point.felt"
          :key="outcome.id"
          type="button"
          class="quiet"
          :aria-pressed="!point.each && known[0]?.judged?.outcome === outcome.id"
          @click="record(outcome.id)"
        >
          {{ outcome.name }}
        </button>
      </fieldset>
    </form>
    <p v-if="live" class="mt-2" aria-live="polite">
      <b :class="tone[live.verdict]">{{ verdictWords[live.verdict] }}.</b> {{ live.words }}
    </p>
    <p v-else-if="!point.each && known[0]?.judged" class="mt-2">
      <b :class="tone[known[0].judged.verdict]">{{ verdictWords[known[0].judged.verdict] }}.</b>
      {{ known[0].judged.words }}
      <span v-if="known[0].judged.verdict === 'bad'" class="text-soft">{{ point.consequence }}</span>
    </p>
    <p v-else-if="!point.each && known[0]?.text" class="mt-2 text-soft">{{ known[0].text }}</p>
    <PutRight
      v-if="known[0]"
      :job="job"
      :kind="known[0].judged ? 'point-judged' : 'finding-recorded'"
      :holds="{ id: known[0].id }"
      :what="point.name"
    />
    <p v-if="problem" class="mt-2 text-sm font-semibold text-alarm" role="alert">{{ problem }}</p>
    <p class="mt-3 text-sm text-soft">
      {{ point.why }}.
      <template v-if="limit">
        Limit {{ limit.low ?? ''
        }}{{ limit.low !== null && limit.high !== null ? ' to ' : limit.low === null ? 'at most ' : ' or more'
        }}{{ limit.high ?? '' }} {{ limit.unit }}: {{ sourceWords(limit) }}.
      </template>
    </p>
    <div v-if="!closed" class="mt-2 max-w-xl">
      <button v-if="open !== key && entry.note === ''" type="button" class="faint" @click="open = key">
        Add a word to it
      </button>
      <TextField v-else v-model="entry.note" label="In words" placeholder="kept with what is recorded next" />
    </div>
  </section>
</template>
