<script setup lang="ts">
import { computed, onMounted } from 'vue';
import type { BayLine } from '../../contract/index.ts';
import { fitInto, waitsFor } from '../../core/bay/index.ts';
import { STAGE_NAMES } from '../../core/job/index.ts';
import { formatClock, formatMinutes } from '../../core/quantity/index.ts';
import { lowerFirst } from '../../core/words/index.ts';
import { useChanges } from '../data/changes.ts';
import ReminderRows from '../parts/ReminderRows.vue';
import { useBay } from '../stores/bay.ts';
import { useNow } from '../stores/clock.ts';
import { useShop } from '../stores/shop.ts';
import KeepingNote from './KeepingNote.vue';
import { dayAround, hourMarks, placeOf, shareOf } from './day.ts';
import { heldOf, notToStrip, offOf, tasksOf, waitsOf } from './figures.ts';

/** One line of the day per vehicle; beside it, what fits into the present wait. */
const store = useBay();
const shop = useShop();
const now = useNow();
onMounted(store.load);
useChanges(store.heard);

const place = computed(() => ({ timeZone: shop.settings.timeZone, calendar: shop.calendar }));
const day = computed(() => dayAround(now.value, place.value));
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
const lines = computed(() =>
  working.value.map((line) => ({
    ...line,
    waitsFor: waitsFor(line, now.value, shop.say.nearDay),
    drawn: line.stretches.flatMap((stretch) => {
      const share = shareOf(stretch, day.value);
      return share === null ? [] : [{ ...stretch, left: share.left * 100, width: share.width * 100 }];
    }),
  })),
);
const waits = computed(() => waitsOf(store.lines, now.value));
const present = computed(() => waits.value.find(({ left }) => left > 0) ?? null);
/** Without a running wait the next free hour is filled. */
const minutes = computed(() => Math.floor((present.value?.left ?? 3600) / 60));
const chosen = computed(() => fitInto(minutes.value, tasksOf(working.value, now.value)).chosen);
const better = computed(() => notToStrip(working.value, shop.say));
const held = computed(() => heldOf(store.lines));
const off = computed(() => offOf(store.lines));
const numbers = ['no', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];
const inWords = (count: number): string => numbers[count] ?? String(count);
</script>

<template>
  <div class="flex h-full flex-col">
    <KeepingNote />
    <div class="grid min-h-0 flex-1 overflow-y-auto lg:grid-cols-[minmax(0,1fr)_312px]">
      <section class="min-w-0 px-4 pb-4 pt-6 md:px-7" aria-labelledby="bay-day">
        <h1 id="bay-day" class="text-title">
          {{ weekday }}
          <span class="text-base font-normal text-soft"
            >{{ inWords(lines.length) }} {{ lines.length === 1 ? 'vehicle' : 'vehicles' }} in ·
            <RouterLink class="link" to="/jobs">all jobs</RouterLink></span
          >
        </h1>
        <p v-if="store.failed" class="mt-2 font-semibold text-alarm" role="alert">
          {{ store.failed }} <button type="button" class="link" @click="store.load()">Try again</button>
        </p>
        <div v-if="store.loaded && store.lines.length === 0" class="mt-6 max-w-prose">
          <p>No vehicle is in. Find one, or write down a new one, and open a job on it.</p>
          <RouterLink class="primary mt-4 inline-flex!" to="/vehicles">To the vehicles</RouterLink>
        </div>
        <div v-else class="relative mt-11">
          <div class="pointer-events-none absolute inset-0" aria-hidden="true">
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
            <div class="absolute -top-2 bottom-0 w-0.5 bg-oxide" :style="{ left: `${nowAt}%` }">
              <span class="absolute -left-[7px] -top-2 size-4 rounded-full border-[3px] border-oxide bg-paper" /><span
                class="absolute -top-9 left-0 -translate-x-1/2 font-bold text-oxide"
                >{{ clock }}</span
              >
            </div>
          </div>
          <ul>
            <li v-for="line in lines" :key="line.job.id" class="relative pb-7 pt-4">
              <RouterLink :to="`/jobs/${line.job.id}`" class="group block">
                <span class="flex items-baseline gap-4">
                  <span class="w-19 whitespace-nowrap text-action font-bold">{{ line.job.plate }}</span>
                  <span class="truncate group-hover:underline">{{ line.job.name }}</span>
                  <span class="ml-auto text-note text-soft">{{
                    shop.firstName(line.job.assigned ?? line.job.lastBy)
                  }}</span>
                </span>
                <span class="relative mt-2 block h-8" aria-hidden="true">
                  <span class="absolute inset-x-0 top-1/2 border-t border-line" />
                  <span
                    v-for="(stretch, index) in line.drawn"
                    :key="index"
                    class="absolute"
                    :class="{
                      'inset-y-0 rounded-sm bg-bottle': stretch.kind === 'hands-on',
                      'waiting inset-y-1.5 rounded-sm border border-brass': stretch.kind === 'wait',
                      'top-1/2 border-t-[3px] border-dotted border-brass': stretch.kind === 'part',
                    }"
                    :style="{ left: `${stretch.left}%`, width: `${stretch.width}%` }"
                  />
                </span>
                <span class="mt-1 flex gap-4 text-note">
                  <span class="w-19 font-bold text-oxide">{{ STAGE_NAMES[line.job.stage] }}</span>
                  <span class="text-soft"
                    >{{ line.waitsFor ? `Waits: ${line.waitsFor}` : line.job.lastWords
                    }}<b v-if="line.job.held" class="text-alarm"> · engine held</b></span
                  >
                </span>
              </RouterLink>
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
        <h2 class="text-xl">In the next {{ formatMinutes(minutes) }}</h2>
        <p class="text-soft">
          {{ present ? `until on ${present.plate}: ${present.label.toLowerCase()}` : 'nothing soaks; hands are free' }}
        </p>
        <ul class="rows mt-3 border-y border-line">
          <li v-for="task in chosen" :key="task.jobId">
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
          <li v-if="store.loaded && chosen.length === 0" class="py-3 text-soft">
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
        <ReminderRows class="mt-6" title="Due to be looked at again" />
      </aside>
    </div>
    <section
      aria-label="Tally of the Bay"
      class="flex shrink-0 flex-wrap items-center gap-x-8 gap-y-2 border-t border-line bg-band px-4 py-2.5 md:px-7"
    >
      <p v-for="wait in waits.slice(0, 3)" :key="wait.jobId + wait.label">
        <span class="figure block text-heading text-brass">{{
          wait.left > 0 ? formatClock(wait.left) : 'time is up'
        }}</span><span class="mt-0.5 block text-fine text-soft">{{ wait.label.toLowerCase() }}, {{ wait.plate }}</span>
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

<style scoped>
.waiting {
  background: repeating-linear-gradient(
    135deg,
    transparent 0 5px,
    color-mix(in srgb, var(--brass) 55%, transparent) 5px 6.5px
  );
}
</style>
