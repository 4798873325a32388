<script setup lang="ts">
import { computed, ref } from 'vue';
import type { PracticeLine, ScenarioLine } from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import { type Group, GROUPS } from '../../core/diagnose/index.ts';
import { beginPractice, practiceUrl, takeUpPractice, usePracticeHome, useToCountersign } from '../data/practice.ts';
import { useShop } from '../stores/shop.ts';
import { DRILL_IDS, DRILLS } from './drills/list.ts';
import DueList from './DueList.vue';
import ScenarioShelf from './ScenarioShelf.vue';

/** Practice: a vehicle that somebody is to find the fault of, drills of five minutes, and what is due again. */
const shop = useShop();
const { data: home, failed, reload } = usePracticeHome(() => shop.personId);
const may = computed(() => shop.person !== null && mayChange(shop.person.role));
const { data: waiting } = useToCountersign(() => may.value);
const problem = ref('');
const busy = ref(false);

const HARD = { 1: 'Plain', 2: 'Takes care', 3: 'Misleads' } as const;
const hards = [1, 2, 3] as const;
const lines = computed(() =>
  (Object.keys(GROUPS) as Group[]).map((group) => ({
    group,
    name: GROUPS[group],
    of: hards.map((hard) => {
      const all = (home.value?.scenarios ?? []).filter((each) => each.group === group && each.difficulty === hard);
      return { hard, all: all.length, done: all.filter(({ done }) => done > 0).length };
    }),
  })),
);
const own = computed((): readonly ScenarioLine[] => (home.value?.scenarios ?? []).filter((each) => each.own !== null));

async function work(step: () => Promise<void>): Promise<void> {
  problem.value = '';
  busy.value = true;
  try {
    await step();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
    busy.value = false;
  }
}
/** The world of a practice job is a page of its own. */
const begin = (asked: object) => work(async () => location.assign(practiceUrl((await beginPractice(asked)).id)));
const takeUp = (line: PracticeLine) =>
  work(async () => {
    if (line.state === 'stopped') await takeUpPractice(line.id);
    location.assign(practiceUrl(line.id));
  });
const how = ({ found, cured }: PracticeLine): string =>
  found === true ? (cured === true ? 'found and cured' : 'found, not cured') : 'not found';
</script>

<template>
  <div class="grid h-full overflow-y-auto lg:grid-cols-[minmax(0,1fr)_320px] lg:overflow-hidden">
    <section class="px-4 pb-8 pt-5 md:px-7 lg:overflow-y-auto" tabindex="0" aria-label="What there is to practise">
      <h1 class="text-title">Practice</h1>
      <p class="mt-1 max-w-prose text-soft">
        A simulated vehicle with something wrong in it, worked with the very screens of real work. Nothing of it reaches
        the shop’s jobs, stock or figures.
      </p>
      <p v-if="problem || failed" class="mt-3 max-w-prose font-semibold text-alarm" role="alert">
        {{ problem || failed }}
      </p>
      <div v-if="home === null && failed === ''" class="mt-6 grid gap-3" aria-busy="true">
        <div v-for="row in 6" :key="row" class="h-12 bg-band" />
      </div>
      <template v-if="home">
        <div class="mt-6 flex flex-wrap items-baseline gap-x-6 gap-y-1">
          <h2 class="text-heading">A vehicle comes in</h2>
          <p class="text-note text-soft">
            {{ home.scenarios.length }} faults to find; how many you have been through stands beside.
          </p>
        </div>
        <button
          type="button"
          class="primary mt-3 w-full max-w-md"
          :disabled="busy || shop.personId === ''"
          @click="begin({})"
        >
          Any vehicle, any fault<span aria-hidden="true">→</span>
        </button>
        <div
          class="mt-4 hidden grid-cols-[minmax(0,1fr)_repeat(3,8.5rem)] border-b border-line pb-1 text-sm text-soft sm:grid"
          aria-hidden="true"
        >
          <span>Kind of vehicle</span><span v-for="hard in hards" :key="hard" class="px-3">{{ HARD[hard] }}</span>
        </div>
        <ul class="rows border-b border-line">
          <li
            v-for="line in lines"
            :key="line.group"
            class="grid items-center gap-x-2 py-1 sm:grid-cols-[minmax(0,1fr)_repeat(3,8.5rem)]"
          >
            <h3 class="py-1 text-action font-semibold">{{ line.name }}</h3>
            <div class="flex gap-2 sm:contents">
              <template v-for="each in line.of" :key="each.hard">
                <button
                  v-if="each.all > 0"
                  type="button"
                  class="flex min-h-12 flex-1 items-center justify-between gap-2 rounded border-[1.5px] border-line px-3 text-left hover:border-bottle hover:bg-band"
                  :disabled="busy || shop.personId === ''"
                  :aria-label="`${line.name}, ${HARD[each.hard].toLowerCase()}: begin; ${each.done} of ${each.all} done`"
                  @click="begin({ group: line.group, difficulty: each.hard })"
                >
                  <span class="text-note font-semibold sm:hidden">{{ HARD[each.hard] }}</span>
                  <span class="text-note font-semibold max-sm:hidden" aria-hidden="true">Begin</span>
                  <span class="whitespace-nowrap text-sm tabular-nums text-soft"
                    >{{ each.done }} of {{ each.all }}</span
                  >
                </button>
                <span v-else class="flex-1 px-3 text-sm text-soft">none</span>
              </template>
            </div>
          </li>
        </ul>

        <h2 class="mt-9 text-heading">Drills, five minutes each</h2>
        <ul class="rows mt-2 border-y border-line">
          <li v-for="id in DRILL_IDS" :key="id">
            <RouterLink
              :to="`/practice/drills/${id}`"
              class="flex min-h-12 flex-wrap items-baseline gap-x-4 py-2.5 hover:text-bottle"
            >
              <span class="w-56 shrink-0 text-action font-semibold">{{ DRILLS[id].name }}</span>
              <span class="min-w-0 flex-1 text-note text-soft">{{ DRILLS[id].does }}</span>
              <span aria-hidden="true">→</span>
            </RouterLink>
          </li>
        </ul>
        <ScenarioShelf
          v-if="may || own.length > 0"
          class="mt-9"
          :own="own"
          :may="may"
          @changed="reload"
          @begin="begin"
        />
      </template>
    </section>
    <aside
      class="flex flex-col gap-6 border-t border-line bg-card px-4 py-5 md:px-6 lg:overflow-y-auto lg:border-l lg:border-t-0"
      aria-label="Yours"
    >
      <template v-if="home">
        <section v-if="home.open.length > 0">
          <h2 class="text-sm font-bold">In hand</h2>
          <ul class="rows mt-1 border-y border-line">
            <li v-for="line in home.open" :key="line.id">
              <button type="button" class="block w-full py-2.5 text-left hover:text-bottle" @click="takeUp(line)">
                <span class="font-semibold">Practice {{ line.number }}, {{ line.name }}</span>
                <span class="block text-note leading-snug text-soft">{{ line.complaint }}</span>
                <span class="mt-0.5 block text-sm font-semibold text-brass">{{
                  line.state === 'stopped' ? 'Put aside: take it up' : 'Go on with it'
                }}</span>
              </button>
            </li>
          </ul>
        </section>
        <DueList :due="home.due" />
        <section>
          <h2 class="text-sm font-bold">Done</h2>
          <p v-if="home.ended.length === 0" class="mt-1 text-note text-soft">
            Nothing yet. What you have been through stands here, with what was hidden in it.
          </p>
          <ul v-else class="rows mt-1 border-y border-line">
            <li v-for="line in home.ended.slice(0, 8)" :key="line.id">
              <RouterLink :to="`/practice/jobs/${line.id}/review`" class="block py-2 hover:text-bottle">
                <span class="font-semibold">Practice {{ line.number }}, {{ line.name }}</span>
                <span class="block text-sm" :class="line.found ? 'text-moss' : 'text-oxide'">{{ how(line) }}</span>
              </RouterLink>
            </li>
          </ul>
          <RouterLink to="/practice/progress" class="link mt-2 inline-block text-note"
            >What you have practised</RouterLink
          >
        </section>
        <section v-if="may && waiting && waiting.length > 0">
          <h2 class="text-sm font-bold">To countersign</h2>
          <ul class="rows mt-1 border-y border-line">
            <li v-for="line in waiting" :key="line.id">
              <RouterLink :to="`/practice/jobs/${line.id}/review`" class="block py-2 hover:text-bottle">
                {{ shop.firstName(line.by) }}: practice {{ line.number }}
                <span class="block text-sm text-soft">{{ how(line) }}</span>
              </RouterLink>
            </li>
          </ul>
        </section>
      </template>
    </aside>
  </div>
</template>
