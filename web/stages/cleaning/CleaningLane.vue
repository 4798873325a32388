<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef } from 'vue';
import {
  LUBRICANTS,
  type Method,
  METHODS,
  PASS_KINDS,
  passName,
  type PassKind,
  SUBSTANCES,
  type Substance,
} from '../../../core/clean/index.ts';
import { GRADES, pointOf } from '../../../core/inspect/index.ts';
import {
  againstWords,
  boreGrade,
  boreNames,
  gradedAt,
  isInPlace,
  type JobUnit,
  type Job,
  looksClean,
  nextUnitPass,
  passesNow,
  passesOf,
  runningTimers,
  seenSince,
  secondsLeft,
  unitMethod,
  wantsGrade,
} from '../../../core/job/index.ts';
import { FIELDS, formatClock } from '../../../core/quantity/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import FigureField from '../../parts/FigureField.vue';
import { numberIn } from '../../parts/numberIn.ts';
import TextField from '../../parts/TextField.vue';
import FieldBox from '../../parts/FieldBox.vue';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import InPlaceWalk from './InPlaceWalk.vue';
import GradeScale from '../inspection/GradeScale.vue';
import { useForm } from '../useForm.ts';
import { isWait, lookAt, passOver } from './passes.ts';

/** One unit's cleaning: what comes next, what soaks, and the look that decides whether another round is due. */
const props = defineProps<{ job: Job; unit: JobUnit; now: string }>();
const store = useJob();
const shop = useShop();
const form = useForm();
const otherwise = ref(false);
const own = ref<Substance | ''>('');
const ownHow = ref<Method | ''>('');
const ownMinutes = ref('');
const unread = ref<string | null>(null);
/** What was asked about, and why it is done all the same. */
const asked = ref<PassKind | null>(null);
const because = ref('');
const whyField = useTemplateRef('whyField');

const method = computed(() => unitMethod(props.job, props.unit, shop.rules, shop.figures));
const done = computed(() => passesOf(props.job, props.unit.id));
const passes = computed(() => passesNow(props.job, props.unit.id));
const next = computed(() => nextUnitPass(props.job, props.unit, method.value));
const grade = computed(() => wantsGrade(props.job, props.unit, method.value));
const seen = computed(() => seenSince(props.job, props.unit));
const planned = computed(() => method.value.passes.find(({ kind }) => kind === next.value) ?? null);
const substance = computed(() => (own.value === '' ? (planned.value?.substance ?? null) : own.value));
const soaking = computed(() =>
  runningTimers(props.job)
    .filter(({ unit, kind }) => unit === props.unit.id && kind === 'soak')
    .map((timer) => ({ ...timer, left: secondsLeft(timer, props.now) })),
);
/** Clean to the eye, but nobody has held it against the lamp yet. */
const wantsLight = computed(
  () =>
    next.value === 'dry' &&
    seen.value.lightEven === null &&
    (pointOf('light')?.forms.includes(props.unit.form) ?? false),
);
const gradePoint = computed(() => gradedAt(props.job, props.unit));
const inPlace = computed(() => isInPlace(props.job, props.unit.id));

function pass(kind: PassKind): void {
  const minutes = ownMinutes.value.trim() === '' ? null : numberIn(ownMinutes.value, FIELDS.minutes);
  unread.value = Number.isNaN(minutes) ? 'Expected a time such as 20 min or 2 h.' : null;
  if (unread.value !== null) return;
  const sent = form.send(
    'do-pass',
    passOver(props.unit, method.value, kind, {
      substance: own.value === '' ? null : own.value,
      how: ownHow.value === '' ? null : ownHow.value,
      minutes,
      because: because.value,
    }),
  );
  asked.value = sent || form.wrong.value?.field !== 'because' ? null : kind;
  if (asked.value !== null) void nextTick(() => whyField.value?.querySelector('input')?.focus());
  if (!sent) return;
  because.value = '';
  asProposed(false);
}
/** Opens or closes another way; what was picked of it goes when it is closed. */
function asProposed(open: boolean): void {
  otherwise.value = open;
  if (!open) [own.value, ownHow.value, ownMinutes.value] = ['', '', ''];
}
function leave(): void {
  asked.value = null;
  because.value = '';
  form.clear();
}
const look = (value: number, bore: string): void =>
  void form.send('judge-point', lookAt(props.job, props.unit, value, bore));
/** Each bore of a casting is looked at; one of its own has no name. */
const bores = computed(() => {
  const names = boreNames(props.unit, gradePoint.value);
  return names.length === 0 ? [''] : names;
});
const state = computed(() => {
  if (next.value === null) return 'clean and dry';
  if (grade.value) return 'look at it';
  if (seen.value.grade !== null)
    return `now ${GRADES[seen.value.grade]}${looksClean(props.job, props.unit) ? ', good enough' : ': another round'}`;
  return done.value.length === 0 ? 'not begun' : `round ${rounds.value}`;
});
const rounds = computed(() => {
  const [first] = method.value.rounds.round;
  return Math.max(1, done.value.filter((kind) => kind === first).length);
});
/** Anything can be recorded: what speaks against it is said once, and asks why. */
const cleaners = (Object.keys(SUBSTANCES) as Substance[]).filter((each) => !LUBRICANTS.includes(each));
const ways = Object.keys(METHODS) as Method[];
</script>

<template>
  <section class="border-t border-line py-5" :aria-label="unit.name">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <h3 class="text-lg">{{ unit.name }}</h3>
      <p class="text-soft">{{ state }}</p>
      <p v-for="timer in soaking" :key="timer.id" class="ml-auto flex items-baseline gap-3 text-brass">
        <span class="figure text-2xl">{{ timer.left > 0 ? formatClock(timer.left) : 'time is up' }}</span>
        <button
          v-if="job.status === 'open'"
          type="button"
          class="quiet text-sm text-ink"
          @click="store.send('end-timer', { id: timer.id, outcome: timer.left > 0 ? 'stopped' : 'done' })"
        >
          {{ timer.left > 0 ? 'Stop' : 'Taken out' }}<span class="sr-only">: {{ timer.label }}</span>
        </button>
      </p>
    </div>
    <p class="mt-1 max-w-prose text-note text-soft">{{ method.words }} {{ method.rule }}</p>
    <InPlaceWalk v-if="inPlace" :job="job" :unit="unit" :masks="method.masks" />
    <p v-if="passes.before.length > 0" class="mt-2 text-note text-soft">
      Before it came off last: {{ passes.before.map(({ kind }) => passName(kind).toLowerCase()).join(', ') }}.
    </p>
    <ol v-if="done.length > 0" class="mt-3 flex flex-wrap items-center" :aria-label="`Passes of ${unit.name}`">
      <li v-for="(each, index) in passes.now" :key="each.id" class="flex items-center text-sm text-moss">
        <span v-if="index > 0" aria-hidden="true" class="w-3 border-t-2 border-moss" />
        <span
          class="rounded-full border-2 px-2.5 py-0.5"
          :class="each.against ? 'border-dashed border-oxide font-semibold text-oxide' : 'border-moss'"
          :title="each.against ? againstWords(each.against) : undefined"
          >{{ passName(each.kind) }}<template v-if="each.against">, against advice</template
          ><span class="sr-only"> done</span></span
        >
      </li>
    </ol>
    <div v-if="grade" class="mt-3">
      <p class="mb-2 font-semibold">What does it look like now? The card decides whether another round is due.</p>
      <div v-for="bore in bores" :key="bore" class="mb-3">
        <p v-if="bore !== ''" class="mb-1 text-sm font-bold">{{ upperFirst(bore) }}</p>
        <GradeScale
          class="max-w-2xl"
          :label="[pointOf(gradePoint)?.name, bore].filter(Boolean).join(', ')"
          :grade="bore === '' ? seen.grade : boreGrade(job, unit, bore)"
          :disabled="job.status === 'closed'"
          @pick="look($event, bore)"
        />
      </div>
    </div>
    <template v-else-if="next">
      <div class="mt-3 flex flex-wrap items-center gap-3">
        <button type="button" class="primary" :disabled="job.status === 'closed'" @click="pass(next)">
          {{ passName(next)
          }}<span v-if="substance && planned?.how" class="font-normal">{{ SUBSTANCES[substance] }}</span
          ><span v-if="planned?.minutes && next !== 'dry'" class="font-normal">{{ planned.minutes }} min</span>
        </button>
        <button v-if="job.status === 'open'" type="button" class="faint self-center!" @click="asProposed(!otherwise)">
          {{ otherwise ? 'As proposed' : 'Otherwise' }}
        </button>
        <RouterLink
          v-if="wantsLight"
          class="link"
          :to="{ path: `/jobs/${job.id}/inspect`, query: { unit: unit.id, at: 'light', when: 'after' } }"
          >Look at the light first</RouterLink
        >
      </div>
      <p v-if="planned" class="mt-1 text-note text-soft">
        {{ next === 'protect' ? `Cover ${planned.why}.` : `${planned.why}.` }}
      </p>
      <fieldset v-if="otherwise" class="mt-3 flex flex-wrap items-end gap-3" :disabled="job.status === 'closed'">
        <legend class="sr-only">Another way for {{ unit.name }}</legend>
        <FieldBox v-slot="{ id }" label="With" class="w-72">
          <select :id="id" v-model="own" class="input">
            <option value="">as proposed</option>
            <option v-for="each in cleaners" :key="each" :value="each">{{ SUBSTANCES[each] }}</option>
          </select>
        </FieldBox>
        <FieldBox v-slot="{ id }" label="How" class="w-48">
          <select :id="id" v-model="ownHow" class="input">
            <option value="">as usual</option>
            <option v-for="each in ways" :key="each" :value="each">{{ METHODS[each] }}</option>
          </select>
        </FieldBox>
        <FigureField
          v-model="ownMinutes"
          label="A soak or bath for"
          class="w-44"
          :field="FIELDS.minutes"
          :placeholder="planned?.minutes && next && isWait(next) ? `${planned.minutes} min` : '2 h'"
          :error="unread ?? form.error('soak.minutes')"
        />
        <span class="w-full text-note text-soft">Then the pass that is done so:</span>
        <button v-for="(_, kind) in PASS_KINDS" :key="kind" type="button" class="quiet text-sm" @click="pass(kind)">
          {{ passName(kind) }}
        </button>
      </fieldset>
    </template>
    <form
      v-if="asked"
      ref="whyField"
      class="mt-3 max-w-3xl border-l-[3px] border-alarm bg-band px-4 py-3"
      role="alert"
      @submit.prevent="pass(asked)"
    >
      <p class="font-semibold text-alarm">{{ form.wrong.value?.message }}</p>
      <p class="mt-1 text-note">{{ form.wrong.value?.wouldHelp }}</p>
      <div class="mt-2 flex flex-wrap items-end gap-3">
        <TextField
          v-model="because"
          class="min-w-60 flex-1"
          label="Done all the same, because"
          placeholder="the coating is gone already"
        />
        <button type="submit" class="quiet" :disabled="because.trim() === ''">Record it so</button>
        <button type="button" class="primary" @click="leave">Not like that</button>
      </div>
      <p class="mt-2 text-note"><RouterLink class="link" to="/tools/advice">What may touch what</RouterLink></p>
    </form>
    <p v-else-if="form.wrong.value" class="mt-2 max-w-prose border-l-[3px] border-alarm pl-3" role="alert">
      <span class="font-semibold text-alarm">{{ form.wrong.value.message }}</span> {{ form.wrong.value.wouldHelp }}
    </p>
  </section>
</template>
