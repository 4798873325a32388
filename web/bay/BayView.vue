<script setup lang="ts">
import { computed, onBeforeUnmount, onMounted } from 'vue';
import type { BayLine } from '../../contract/index.ts';
import { fitInto, type PlannedBlock, stretchKey, waitsFor } from '../../core/bay/index.ts';
import { formatClock, formatMinutes } from '../../core/quantity/index.ts';
import { lowerFirst } from '../../core/words/index.ts';
import { useChanges } from '../data/changes.ts';
import ReminderRows from '../parts/ReminderRows.vue';
import { useBay } from '../stores/bay.ts';
import { useMinute, useNow } from '../stores/clock.ts';
import { AGAIN_MS, useDay } from '../stores/day.ts';
import { useShop } from '../stores/shop.ts';
import KeepingNote from './KeepingNote.vue';
import DayStrings from './plan/DayStrings.vue';
import BlockPanel from './plan/BlockPanel.vue';
import ClashPanel from './plan/ClashPanel.vue';
import PeopleLines from './plan/PeopleLines.vue';
import VehicleLine from './plan/VehicleLine.vue';
import WaitsUsed from './plan/WaitsUsed.vue';
import { daySentence, inWords, notPlannedWords, type Saying } from './plan/planWords.ts';
import { drawnBlocks, type DrawnBlock, personLines, type PlanInput, promiseOf } from './plan/planView.ts';
import { usePlanSpot } from './plan/usePlanSpot.ts';
import { dayAround, hourMarks, minuteSpan, placeOf, shareOf } from './day.ts';
import { heldOf, notToStrip, offOf, tasksOf, waitsOf } from './figures.ts';

/** The day as a plan: a line per person and per vehicle, done behind now and woven ahead of it; beside it what clashes. */
const store = useBay();
const plan = useDay();
const shop = useShop();
const now = useNow();
const minute = useMinute();
let again: ReturnType<typeof setInterval> | undefined;
onMounted(() => {
  void store.load();
  void plan.load();
  again = setInterval(() => void plan.weave(), AGAIN_MS);
});
onBeforeUnmount(() => clearInterval(again));
useChanges((change) => {
  store.heard(change);
  plan.heard(change);
});

function tryAgain(): void {
  void store.load();
  void plan.load();
}

const place = computed(() => ({ timeZone: shop.settings.timeZone, calendar: shop.calendar }));
const day = computed(() => dayAround(minute.value, place.value));
const hours = computed(() =>
  hourMarks(day.value, shop.settings.timeZone).map((mark) => ({ ...mark, left: placeOf(mark.time, day.value) * 100 })),
);
const nowAt = computed(() => placeOf(Date.parse(now.value), day.value) * 100);
const clock = computed(() => shop.say.clock(now.value));
const weekday = computed(() => shop.say.weekday(now.value));
/** A job that rests is in the Bay again by itself when its day has come. */
const today = computed(() => shop.say.isoDay(now.value));
const rests = ({ job }: BayLine): boolean =>
  job.aside !== null && (job.aside.until === null || job.aside.until > today.value);
const resting = computed(() => store.lines.filter(rests));
const working = computed(() => store.lines.filter((line) => !rests(line)));

const input = computed<PlanInput>(() => ({
  day: day.value,
  woven: plan.woven,
  lines: store.lines,
  done: plan.reply?.done ?? [],
  pins: new Set((plan.reply?.wishes ?? []).map(({ jobId, stretch }) => stretchKey(jobId, stretch))),
  stretchOf: plan.stretchOf,
}));
const blocks = computed(() => drawnBlocks(input.value));
const people = computed(() => {
  const working = (plan.reply?.people ?? []).filter(({ does }) => does.length > 0).map(({ id }) => id);
  return personLines(input.value, working, minute.value).map((each) => ({ ...each, name: shop.firstName(each.id) }));
});
const pause = computed(() => minuteSpan(plan.reply?.pause ?? null, minute.value, day.value, shop.settings.timeZone));
const lines = computed(() =>
  working.value.map((line) => {
    const told = plan.reply?.jobs.find(({ jobId }) => jobId === line.jobId);
    const planned = blocks.value.filter(({ jobId }) => jobId === line.jobId);
    return {
      line,
      waitsFor: waitsFor(line, now.value, shop.say.nearDay),
      drawn: line.stretches.flatMap((stretch) => {
        // What runs on is drawn by the plan from now on.
        const shown = shareOf(stretch, day.value);
        return shown === null ? [] : [{ kind: stretch.kind, left: shown.left * 100, width: shown.width * 100 }];
      }),
      planned,
      promise: promiseOf(input.value, line.jobId, told?.promised ?? null),
      later: laterWords(line.jobId),
    };
  }),
);
/** Where work on a vehicle goes on another day, that day. */
function laterWords(jobId: string): string {
  const next = plan.woven?.blocks.find(
    (block) => block.jobId === jobId && block.kind === 'hands' && Date.parse(block.from) >= day.value.to,
  );
  return next === undefined ? '' : `goes on ${shop.say.nearTime(next.from)}`;
}

const saying = computed<Saying>(() => ({
  say: shop.say,
  plate: (jobId) => store.byJob.get(jobId)?.job.plate ?? jobId,
  first: shop.firstName,
  words: (jobId, stretch) => plan.stretchOf({ jobId, stretch })?.words ?? stretch,
}));
const sentence = computed(() => (plan.woven === null ? '' : daySentence(plan.woven, saying.value)));
const woven = computed(() => plan.reply?.plan ?? null);
const clashes = computed(() => plan.woven?.clashes ?? []);
const clashing = computed<ReadonlySet<string>>(() => {
  const [first] = clashes.value;
  if (first === undefined) return new Set();
  const { clash } = first;
  const own = blocks.value.filter((block) => block.jobId === clash.job && block.kind === 'hands');
  return new Set(
    clash.kind === 'late'
      ? own.slice(-1).map(({ key }) => key)
      : own.filter(({ stretch }) => stretch === clash.stretch).map(({ key }) => key),
  );
});
const label = ({ plate, words, personId, from, to }: DrawnBlock): string =>
  `${plate}: ${words}, ${shop.firstName(personId ?? '')}, ${shop.say.clock(from)} to ${shop.say.clock(to)}`;
const { chosen, choose, drop } = usePlanSpot(blocks);
const movedWords = (block: PlannedBlock): string =>
  `${saying.value.plate(block.jobId)} ${saying.value.words(block.jobId, block.stretch)} at ${shop.say.nearTime(block.from)}`;

const waits = computed(() => waitsOf(store.lines, now.value));
const present = computed(() => waits.value.find(({ left }) => left > 0) ?? null);
/** Without a running wait the next free hour is filled. */
const minutes = computed(() => Math.floor((present.value?.left ?? 3600) / 60));
const fitting = computed(() => fitInto(minutes.value, tasksOf(working.value, now.value)).chosen);
const better = computed(() => notToStrip(working.value, shop.say));
const held = computed(() => heldOf(store.lines));
const off = computed(() => offOf(store.lines));
const nextPromise = computed(() => {
  const [next] = (plan.woven?.ends ?? [])
    .flatMap(({ jobId, promised }) => (promised === null ? [] : [{ jobId, promised }]))
    .toSorted((a, b) => a.promised.localeCompare(b.promised));
  return next ?? null;
});
</script>

<template>
  <div class="flex h-full flex-col">
    <KeepingNote />
    <div class="grid min-h-0 flex-1 overflow-y-auto lg:grid-cols-[minmax(0,1fr)_312px]">
      <section class="min-w-0 px-4 pb-4 pt-6 md:px-7" aria-labelledby="bay-day">
        <h1 id="bay-day" class="text-title">
          {{ weekday }}
          <span class="text-base font-normal text-soft"
            ><template v-if="woven">woven at {{ shop.say.clock(woven.madeAt) }} · </template>{{ inWords(lines.length) }}
            {{ lines.length === 1 ? 'vehicle' : 'vehicles' }} in ·
            <RouterLink class="link" to="/jobs">all jobs</RouterLink></span
          >
        </h1>
        <p
          v-if="lines.length > 0"
          class="mt-1 flex flex-wrap items-baseline justify-between gap-x-6"
          aria-live="polite"
        >
          <span class="text-lg font-bold" data-testid="day-sentence">{{ sentence }}</span>
          <span v-if="clashes.length > 0" class="font-bold text-oxide"
            >{{ inWords(clashes.length) }} {{ clashes.length === 1 ? 'clash' : 'clashes' }} to settle</span
          >
        </p>
        <p v-if="plan.failed && !store.failed && lines.length > 0" class="mt-1 text-note text-alarm" role="alert">
          The day cannot be woven: {{ plan.failed }}
        </p>
        <p v-if="store.failed" class="mt-2 font-semibold text-alarm" role="alert">
          {{ store.failed }} <button type="button" class="link" @click="tryAgain">Try again</button>
        </p>
        <div v-if="store.loaded && store.lines.length === 0" class="mt-6 max-w-prose">
          <p>No vehicle is in. Find one, or write down a new one, and open a job on it.</p>
          <RouterLink class="primary mt-4 inline-flex!" to="/vehicles">To the vehicles</RouterLink>
        </div>
        <div v-else class="relative mt-11">
          <div class="pointer-events-none absolute inset-y-0 left-0 right-0 sm:left-24" aria-hidden="true">
            <div
              v-for="hour in hours"
              :key="hour.time"
              class="absolute -top-1 bottom-0 border-l border-line/60"
              :style="{ left: `${hour.left}%` }"
            >
              <span
                class="absolute -top-5 -translate-x-1/2 text-xs text-soft max-sm:odd:hidden"
                :class="Math.abs(hour.left - nowAt) < 4 ? 'invisible' : ''"
                >{{ hour.text }}</span
              >
            </div>
            <div class="absolute -top-2 bottom-0 z-10 w-0.5 bg-oxide" :style="{ left: `${nowAt}%` }">
              <span class="absolute -left-[7px] -top-2 size-4 rounded-full border-[3px] border-oxide bg-paper" /><span
                class="absolute -top-9 left-0 -translate-x-1/2 font-bold text-oxide"
                >{{ clock }}</span
              >
            </div>
          </div>
          <PeopleLines
            v-if="people.length > 0 && store.lines.length > 0"
            class="relative pb-1 max-sm:hidden"
            :people="people"
            :day="day"
            :chosen="chosen?.key ?? null"
            :clashing="clashing"
            :me="shop.personId"
            :label-of="label"
            :pause="pause"
            @choose="choose"
            @drop="drop"
          />
          <div class="relative">
            <DayStrings
              class="max-sm:hidden sm:left-24! sm:w-[calc(100%-6rem)]!"
              :blocks="blocks"
              :people="people.map(({ id }) => id)"
              :me="shop.personId"
            />
            <ul aria-label="Vehicles" class="rows">
              <li v-for="row in lines" :key="row.line.job.id" class="relative">
                <VehicleLine
                  v-bind="row"
                  :clashing="clashing"
                  :chosen="chosen?.key ?? null"
                  :me="shop.personId"
                  @choose="choose"
                />
              </li>
            </ul>
          </div>
          <ul
            v-if="(plan.woven?.notPlanned ?? []).some(({ why }) => why === 'part-without-day')"
            class="mt-2 text-note text-soft"
          >
            <li
              v-for="each in plan.woven?.notPlanned.filter(({ why }) => why === 'part-without-day')"
              :key="each.jobId"
            >
              {{ notPlannedWords(each, saying) }}
            </li>
          </ul>
          <section v-if="resting.length > 0" class="relative border-t border-line bg-paper pt-3" aria-label="Put aside">
            <h2 class="text-sm font-bold">Put aside</h2>
            <ul class="rows">
              <li v-for="{ job } in resting" :key="job.id">
                <RouterLink :to="`/jobs/${job.id}`" class="group flex flex-wrap items-baseline gap-x-4 py-2">
                  <span class="w-19 whitespace-nowrap font-bold">{{ job.plate }}</span>
                  <span class="group-hover:underline">{{ job.name }}</span>
                  <span class="ml-auto text-note text-soft"
                    >{{ job.aside?.until ? `until ${shop.say.nearDay(job.aside.until)}: ` : ''
                    }}{{ job.aside?.why }}</span
                  >
                </RouterLink>
              </li>
            </ul>
          </section>
        </div>
      </section>
      <aside
        class="border-t border-line bg-card px-4 py-6 md:px-6 lg:border-l lg:border-t-0"
        aria-label="What fits into the wait"
      >
        <BlockPanel v-if="chosen" :block="chosen" class="mb-7" @close="choose('')" />
        <ClashPanel
          v-else-if="clashes[0]"
          :key="clashes[0].clash.kind + clashes[0].clash.job + clashes[0].at"
          class="mb-7"
          :clash="clashes[0]"
          :ways="plan.ways.get(0) ?? null"
          :more="clashes.length - 1"
          :saying="saying"
        />
        <h2 class="text-xl">In the next {{ formatMinutes(minutes) }}</h2>
        <p class="text-soft">
          {{ present ? `until on ${present.plate}: ${present.label.toLowerCase()}` : 'nothing soaks; hands are free' }}
        </p>
        <ul class="rows mt-3 border-y border-line">
          <li v-for="task in fitting" :key="task.jobId">
            <RouterLink :to="`/jobs/${task.jobId}`" class="flex gap-4 py-3 hover:text-bottle">
              <span class="w-10"
                ><span class="figure block text-xl">{{ task.minutes }}</span
                ><span class="text-sm text-soft">min</span></span
              >
              <span
                ><span class="block font-semibold leading-snug">{{ task.what }}</span
                ><span class="text-sm text-soft"
                  >{{ store.byJob.get(task.jobId)?.job.plate }} · {{ store.byJob.get(task.jobId)?.nickname }}</span
                ></span
              >
            </RouterLink>
          </li>
          <li v-if="store.loaded && fitting.length === 0" class="py-3 text-soft">
            Nothing short enough. Sweep the bay.
          </li>
        </ul>
        <section v-if="waits.length > 3" class="mt-5">
          <h3 class="text-sm font-bold">Soaks and waits</h3>
          <ul class="rows mt-1 border-y border-line text-note">
            <li v-for="wait in waits" :key="wait.jobId + wait.label" class="flex justify-between gap-3 py-1.5">
              <RouterLink class="hover:underline" :to="`/jobs/${wait.jobId}`"
                >{{ wait.plate }} <span class="text-soft">{{ lowerFirst(wait.label) }}</span></RouterLink
              ><b class="whitespace-nowrap text-brass">{{ wait.left > 0 ? formatClock(wait.left) : 'up' }}</b>
            </li>
          </ul>
        </section>
        <p v-for="job in better" :key="job.id" class="mt-4 leading-relaxed text-soft">
          Do not strip <RouterLink class="link" :to="`/jobs/${job.id}`">{{ job.plate }}</RouterLink> today:
          {{ job.words }}, and until then it can drive.
        </p>
        <WaitsUsed class="mt-6" :uses="plan.woven?.uses ?? []" :saying="saying" />
        <section v-if="plan.moved.length > 0" class="mt-6" aria-label="What moved">
          <h3 class="text-sm font-bold">Moved since the plan before</h3>
          <ul class="mt-1 text-note text-soft">
            <li v-for="block in plan.moved.slice(0, 6)" :key="block.jobId + block.stretch">{{ movedWords(block) }}</li>
            <li v-if="plan.moved.length > 6">and {{ plan.moved.length - 6 }} more</li>
          </ul>
        </section>
        <p v-if="blocks.some(({ own }) => !own)" class="mt-6 text-fine text-soft">
          Minutes come from this shop’s own jobs; where there are none yet, from procedure and method, with a ring in
          the block.
        </p>
        <ReminderRows class="mt-6" title="Due to be looked at again" />
      </aside>
    </div>
    <section
      aria-label="Tally of the Bay"
      class="flex shrink-0 flex-wrap items-center gap-x-8 gap-y-2 border-t border-line bg-band px-4 py-2.5 md:px-7"
    >
      <p v-for="wait in waits.slice(0, nextPromise ? 2 : 3)" :key="wait.jobId + wait.label">
        <span class="figure block text-heading text-brass">{{
          wait.left > 0 ? formatClock(wait.left) : 'time is up'
        }}</span><span class="mt-0.5 block text-fine text-soft">{{ wait.label.toLowerCase() }}, {{ wait.plate }}</span>
      </p>
      <p v-if="nextPromise">
        <span class="figure block text-heading">{{ shop.say.clock(nextPromise.promised) }}</span><span
          class="mt-0.5 block text-fine text-soft"
          >next promise, {{ saying.plate(nextPromise.jobId) }}</span
        >
      </p>
      <p>
        <span class="figure block text-heading">{{ held }}</span><span class="mt-0.5 block text-fine text-soft">{{
          held === 1 ? 'engine held' : 'engines held'
        }}</span>
      </p>
      <p>
        <span class="figure block text-heading" :class="off.length > 0 ? 'text-oxide' : ''">{{
          off.reduce((sum, count) => sum + count, 0)
        }}</span><span class="mt-0.5 block text-fine text-soft"
          >items off, {{ inWords(off.length) }} {{ off.length === 1 ? 'vehicle' : 'vehicles' }}</span
        >
      </p>
    </section>
  </div>
</template>
