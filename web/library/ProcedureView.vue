<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { ItemTimes, ProcedureVersion } from '../../contract/index.ts';
import { UNIT_FORMS } from '../../core/clean/index.ts';
import {
  backStepTies,
  expectedMinutes,
  OFF_REASONS,
  type Procedure,
  procedureProblems,
  stepsInPlace,
} from '../../core/procedure/index.ts';
import { formatMinutes } from '../../core/quantity/index.ts';
import { estimate, planRefit } from '../../core/refit/index.ts';
import { lowerFirst } from '../../core/words/index.ts';
import FigureRow from '../parts/FigureRow.vue';
import SourceNote from '../parts/SourceNote.vue';
import { readProcedure, readTimes, readVersions } from '../data/procedures.ts';
import { useShop } from '../stores/shop.ts';
import { apiUrl } from '../data/world.ts';

const route = useRoute();
const shop = useShop();
const procedure = shallowRef<Procedure | null>(null);
const versions = shallowRef<readonly ProcedureVersion[]>([]);
const times = shallowRef<ItemTimes>({});
const failed = ref('');
/** On the way to another page its id is no longer ours. */
const own = route.matched.at(-1)?.path;
watch(
  [() => String(route.params.id), () => String(route.query.version ?? '')],
  async ([id, version]) => {
    if (route.matched.at(-1)?.path !== own) return;
    try {
      const [body, list, taken] = await Promise.all([
        readProcedure(id, version === '' ? undefined : version),
        readVersions(id),
        readTimes(id),
      ]);
      procedure.value = body;
      versions.value = list;
      times.value = taken;
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  },
  { immediate: true },
);
const newest = computed(() => versions.value[0]?.version ?? 0);
const problems = computed(() => (procedure.value === null ? [] : procedureProblems(procedure.value)));
/** Hands-on minutes both ways, from what this shop timed and what is expected. */
const time = computed(() => {
  const items = procedure.value?.items ?? [];
  const both = (['off', 'back'] as const).flatMap((way) =>
    items.map((item) => ({ id: `${way} ${item.id}`, expected: expectedMinutes(item, way) })),
  );
  const history = new Map(
    Object.entries(times.value).flatMap(([id, taken]) => [
      [`off ${id}`, taken.off] as const,
      [`back ${id}`, taken.back] as const,
    ]),
  );
  return estimate(both, history);
});
/** Each step of the way back beside what it belongs to. */
const listed = computed(() => stepsInPlace(procedure.value?.items ?? []));
const name = (id: string): string => procedure.value?.items.find((item) => item.id === id)?.name ?? id;
const bends = computed(() => {
  const { value } = procedure;
  if (value === null) return [];
  const plan = planRefit(
    stepsInPlace(value.items).map((item, index) => ({ id: item.id, name: item.name, stripOrder: index + 1 })),
    [...value.constraints, ...backStepTies(value.items)],
  );
  return plan.ok
    ? plan.steps.flatMap(({ itemId, movedBy }) =>
        movedBy.flatMap((constraint) => (constraint.kind === 'before' && constraint.a === itemId ? [constraint] : [])),
      )
    : [];
});
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/procedures">To the procedures</RouterLink>
  </p>
  <div v-else-if="procedure" tabindex="0" class="grid h-full overflow-y-auto lg:grid-cols-[minmax(0,1fr)_340px]">
    <section class="min-w-0 px-4 py-6 md:px-7">
      <h1 class="text-title">{{ procedure.name }}</h1>
      <p class="text-soft">
        {{ procedure.family }} · version {{ procedure.version }} · <SourceNote :source="procedure.source" />
      </p>
      <p v-if="procedure.version < newest" class="mt-2 border-l-[3px] border-brass py-1 pl-3">
        An earlier version.
        <RouterLink class="link" :to="`/procedures/${procedure.id}`">To version {{ newest }}</RouterLink>
      </p>
      <div class="mt-4 flex flex-wrap items-end gap-x-8 gap-y-3">
        <p>
          <span class="figure text-figure-sm">{{ formatMinutes(time.likely) }}</span><span
            class="block text-sm text-soft"
            >hands-on off and back, {{ formatMinutes(time.low) }} to {{ formatMinutes(time.high) }}; {{ time.timed }} of
            {{ time.steps }} steps timed here</span
          >
        </p>
        <span class="ml-auto flex flex-wrap gap-2">
          <a
            class="quiet text-sm"
            :href="apiUrl(`/procedures/${procedure.id}/file?version=${procedure.version}`)"
            download
            >Save as a file</a
          >
          <RouterLink v-if="procedure.version === newest" class="primary" :to="`/procedures/${procedure.id}/edit`"
            >Change it</RouterLink
          >
        </span>
      </div>
      <ul v-if="problems.length > 0" class="mt-3 border-l-[3px] border-line py-1 pl-3 text-note text-soft">
        <li v-for="problem in problems" :key="problem.words">{{ problem.words }}</li>
      </ul>
      <h2 class="mb-1 mt-6 text-sm font-bold">Comes off, in this order</h2>
      <ol class="rows border-y border-line">
        <li
          v-for="(item, index) in listed"
          :key="item.id"
          class="grid grid-cols-[2rem_1fr] gap-x-3 py-2.5 md:grid-cols-[2rem_15rem_1fr_9rem]"
        >
          <span class="figure pt-1 text-sm text-oxide">{{ index + 1 }}</span>
          <span class="font-semibold"
            ><span
              v-if="item.section && item.section !== listed[index - 1]?.section"
              class="block text-sm font-bold text-soft"
              >{{ item.section }}</span
            >{{ item.name
            }}<span v-if="item.backBefore" class="block text-sm font-normal text-brass"
              >only on the way back, before {{ lowerFirst(name(item.backBefore)) }}</span
            ><span v-for="first in item.offAfter ?? []" :key="first.item" class="block text-sm font-normal text-soft"
              >off after {{ lowerFirst(name(first.item)) }}, which {{ OFF_REASONS[first.kind]
              }}{{ first.reason ? `: ${first.reason}` : '' }}</span
            ><span v-if="item.mayStay" class="block text-sm font-normal text-soft"
              >may stay connected, tied {{ item.mayStay }}</span
            ><span v-if="item.part" class="block text-sm font-normal text-soft"
              >on the bench as {{ UNIT_FORMS[item.part] }}</span
            ><span v-if="item.singleUse" class="block text-sm font-normal text-brass"
              >single use <span class="code">{{ item.partNumber }}</span></span
            ></span
          >
          <span class="text-note text-soft max-md:col-start-2"
            >{{ item.note }}<span v-if="item.tool" class="block text-sm">{{ item.tool }}</span></span
          >
          <span v-if="item.fasteners" class="text-note max-md:col-start-2 md:text-right"
            >{{ item.fasteners.count }} × {{ item.fasteners.thread
            }}<span class="block font-bold">{{ item.fasteners.spec?.text ?? 'no torque given' }}</span></span
          >
        </li>
      </ol>
    </section>
    <aside
      class="border-t border-line bg-card px-4 py-6 md:px-6 lg:border-l lg:border-t-0"
      aria-label="What binds the way back"
    >
      <h2 class="text-lg">What bends the way back</h2>
      <ul class="rows mt-2 border-y border-line text-note">
        <li v-for="bend in bends" :key="bend.id" class="py-2">
          <span class="font-semibold">{{ name(bend.a) }}</span> before {{ name(bend.b).toLowerCase() }}:
          {{ bend.reason }}.
        </li>
      </ul>
      <p class="mt-2 text-sm text-soft">
        {{ procedure.constraints.length }} rules in all; the others agree with the plain mirror.
      </p>
      <h2 class="mt-6 text-lg">Versions</h2>
      <ul class="rows mt-1 border-y border-line text-note">
        <li v-for="(each, index) in versions" :key="each.version" class="py-2">
          <RouterLink class="link" :to="`/procedures/${procedure.id}?version=${each.version}`"
            >Version {{ each.version }}</RouterLink
          ><span class="text-soft"
            >{{ each.at ? `, ${shop.say.day(each.at.slice(0, 10))}` : '' }}, {{ shop.firstName(each.by) }}</span
          >
          <p v-if="each.note" class="text-soft">{{ each.note }}</p>
          <RouterLink
            v-if="versions[index + 1]"
            class="text-sm text-soft underline underline-offset-2"
            :to="`/procedures/${procedure.id}/difference?from=${versions[index + 1]?.version}&to=${each.version}`"
            >what differs from version {{ versions[index + 1]?.version }}</RouterLink
          >
        </li>
      </ul>
      <h2 class="mt-6 text-lg">Openings</h2>
      <dl class="rows mt-1 border-y border-line text-note">
        <FigureRow v-for="opening in procedure.openings" :key="opening.id" :label="opening.name">{{
          opening.plugWith
        }}</FigureRow>
      </dl>
      <h2 class="mt-6 text-lg">Needed</h2>
      <ul class="rows mt-1 border-y border-line text-note">
        <li v-for="need in procedure.needs" :key="need.id" class="py-1.5">
          {{ need.name }} <span class="code text-sm text-soft">{{ need.partNumber }}</span>
        </li>
      </ul>
    </aside>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the procedure</p>
</template>
