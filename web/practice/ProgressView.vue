<script setup lang="ts">
import { computed } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { mayChange } from '../../core/access/index.ts';
import { useProgress } from '../data/practice.ts';
import { useShop } from '../stores/shop.ts';
import { useCauseNames } from './causeNames.ts';
import { DRILL_IDS, DRILLS } from './drills/list.ts';
import DueList from './DueList.vue';
import StagesCovered from './StagesCovered.vue';

/** What one person has practised, for themselves and a lead: along the stages, by cause and by drill. Nobody is set beside another. */
const route = useRoute();
const router = useRouter();
const shop = useShop();
const person = computed(() => String(route.params.person ?? '') || shop.personId);
const { data: progress, failed } = useProgress(() => person.value);
const { newest } = useCauseNames();
const may = computed(() => shop.person !== null && mayChange(shop.person.role));
const causes = computed(() =>
  (newest.value?.causes ?? []).map(({ id, name }) => {
    const met = progress.value?.causes.find(({ cause }) => cause === id);
    return { id, name, met: met?.met ?? 0, found: met?.found ?? 0 };
  }),
);
const covered = computed(() => causes.value.filter(({ found }) => found > 0).length);
const drills = computed(() =>
  DRILL_IDS.map((id) => ({
    id,
    ...DRILLS[id],
    last: progress.value?.drills.find(({ drill }) => drill === id) ?? null,
  })),
);
const choose = (event: Event): void =>
  void router.push(`/practice/progress/${(event.target as HTMLSelectElement).value}`);
</script>

<template>
  <div class="grid h-full overflow-y-auto lg:grid-cols-[minmax(0,1fr)_300px] lg:overflow-hidden">
    <section class="px-4 pb-8 pt-5 md:px-7 lg:overflow-y-auto" tabindex="0" aria-label="What was practised">
      <p><RouterLink to="/practice" class="link text-note">Practice</RouterLink></p>
      <div class="mt-1 flex flex-wrap items-end justify-between gap-4">
        <h1 class="text-title">
          {{ person === shop.personId ? 'What you have practised' : `What ${shop.firstName(person)} has practised` }}
        </h1>
        <label v-if="may" class="block">
          <span class="mb-1 block text-sm font-semibold">Of</span>
          <select class="input" :value="person" @change="choose">
            <option v-for="each in shop.here" :key="each.id" :value="each.id">{{ each.name }}</option>
          </select>
        </label>
      </div>
      <p v-if="failed" class="mt-3 font-semibold text-alarm" role="alert">{{ failed }}</p>
      <template v-if="progress">
        <StagesCovered class="mt-6" :jobs="progress.jobs" :drills="progress.drills" />
        <h2 class="mt-9 text-heading">Causes: {{ covered }} of {{ causes.length }} found</h2>
        <ul class="mt-2 grid gap-x-8 border-t border-line sm:grid-cols-2 xl:grid-cols-3">
          <li v-for="cause in causes" :key="cause.id" class="flex items-center gap-3 border-b border-line py-1.5">
            <span
              class="size-3.5 shrink-0 rounded-full border-2"
              :class="cause.found > 0 ? 'border-bottle bg-bottle' : cause.met > 0 ? 'border-brass' : 'border-line'"
              aria-hidden="true"
            />
            <span class="min-w-0 flex-1" :class="cause.met === 0 ? 'text-soft' : 'font-semibold'">{{
              cause.name
            }}</span>
            <span class="whitespace-nowrap text-sm text-soft">{{
              cause.met === 0 ? 'not yet' : `${cause.found} of ${cause.met}`
            }}</span>
          </li>
        </ul>
        <h2 class="mt-9 text-heading">Drills</h2>
        <ul class="rows mt-2 border-y border-line">
          <li v-for="drill in drills" :key="drill.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
            <RouterLink :to="`/practice/drills/${drill.id}`" class="w-56 font-semibold hover:text-bottle">{{
              drill.name
            }}</RouterLink>
            <span v-if="drill.last" class="tabular-nums"
              >{{ drill.last.lastRight }} of {{ drill.last.lastOf }}
              <span class="text-soft"
                >last time, {{ shop.say.nearDay(shop.say.isoDay(drill.last.lastAt)) }}; {{ drill.last.done }} in
                all</span
              ></span
            >
            <span v-else class="text-soft">not yet</span>
          </li>
        </ul>
      </template>
      <div v-else-if="!failed" class="mt-6 grid gap-3" aria-busy="true">
        <div v-for="row in 6" :key="row" class="h-9 bg-band" />
      </div>
    </section>
    <aside
      class="flex flex-col gap-6 border-t border-line bg-card px-4 py-5 md:px-6 lg:overflow-y-auto lg:border-l lg:border-t-0"
      aria-label="Due again"
    >
      <DueList v-if="progress" :due="progress.due" />
      <p class="text-note text-soft">
        Seen by {{ person === shop.personId ? 'you' : 'whoever practised' }} and by a lead. Nothing of it leaves the
        shop, and nobody is set beside another.
      </p>
    </aside>
  </div>
</template>
