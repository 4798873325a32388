<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { type Difference, diffProcedures, type Procedure } from '../../core/procedure/index.ts';
import { readProcedure } from '../data/procedures.ts';
import { useJob } from '../stores/job.ts';

/** Two versions of a procedure against each other; from a job, the way to the newer one. */
const route = useRoute();
const router = useRouter();
const store = useJob();
const before = shallowRef<Procedure | null>(null);
const after = shallowRef<Procedure | null>(null);
const failed = ref('');
const wrong = ref('');
const jobId = computed(() => (typeof route.query.job === 'string' ? route.query.job : null));

watch(
  () => route.fullPath,
  async () => {
    // On the way to another page there is nothing to compare.
    if (typeof route.query.from !== 'string') return;
    const { id } = route.params;
    const to = typeof route.query.to === 'string' ? route.query.to : undefined;
    try {
      [before.value, after.value] = await Promise.all([
        readProcedure(String(id), route.query.from),
        readProcedure(String(id), to),
      ]);
      if (jobId.value !== null) await store.load(jobId.value);
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  },
  { immediate: true },
);
const all = computed(() =>
  before.value === null || after.value === null ? [] : diffProcedures(before.value, after.value),
);
const SECTIONS: readonly { what: Difference['what']; name: string }[] = [
  { what: 'procedure', name: 'The whole' },
  { what: 'item', name: 'Items' },
  { what: 'reason', name: 'Reasons' },
  { what: 'opening', name: 'Openings' },
  { what: 'need', name: 'Needed' },
];
const sections = computed(() =>
  SECTIONS.map((section) => ({ ...section, rows: all.value.filter(({ what }) => what === section.what) })).filter(
    ({ rows }) => rows.length > 0,
  ),
);
const count = (change: Difference['change']): number => all.value.filter((each) => each.change === change).length;
const counts = computed(() =>
  (['added', 'removed', 'changed', 'moved'] as const)
    .filter((change) => count(change) > 0)
    .map((change) => `${count(change)} ${change}`)
    .join(', '),
);
/** What is off now and no longer listed stays in the job all the same. */
const touched = computed(() => {
  const { job } = store;
  if (job === null || jobId.value === null) return [];
  const gone = new Set(
    all.value.filter(({ what, change }) => what === 'item' && change === 'removed').map(({ id }) => id),
  );
  return job.items.filter(({ id, state }) => gone.has(id) && state !== 'on').map(({ name }) => name);
});

async function move(): Promise<void> {
  if (after.value === null || jobId.value === null) return;
  await store.needProcedure(after.value.id, after.value.version);
  const refusal = store.send('move-to-version', { procedureId: after.value.id, version: after.value.version });
  wrong.value = refusal === null ? '' : `${refusal.message} ${refusal.wouldHelp}`.trim();
  if (refusal === null) await router.push(`/jobs/${jobId.value}/prepare`);
}
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/procedures">To the procedures</RouterLink>
  </p>
  <section v-else-if="before && after" class="h-full overflow-y-auto px-4 py-6 md:px-7" tabindex="0">
    <h1 class="text-title">{{ after.name }}</h1>
    <p class="text-soft">
      Version {{ before.version }} against version {{ after.version }}:
      {{ all.length === 0 ? 'nothing differs.' : `${counts}.` }}
    </p>
    <div v-if="jobId" class="mt-4 flex flex-wrap items-center gap-3">
      <button type="button" class="primary" @click="move">Work on by version {{ after.version }}</button>
      <RouterLink class="quiet" :to="`/jobs/${jobId}/prepare`">Stay with version {{ before.version }}</RouterLink>
      <p class="text-note text-soft">What is off, plugged and tightened stays as it is.</p>
    </div>
    <p v-if="touched.length > 0" class="mt-2 border-l-[3px] border-brass py-1 pl-3 text-note">
      No longer listed, but off on this job, so kept: {{ touched.join(', ').toLowerCase() }}.
    </p>
    <p v-if="wrong" class="mt-2 font-semibold text-alarm" role="alert">{{ wrong }}</p>
    <section v-for="section in sections" :key="section.what" class="mt-6">
      <h2 class="text-sm font-bold">{{ section.name }}</h2>
      <ul class="rows mt-1 border-y border-line">
        <li
          v-for="row in section.rows"
          :key="`${row.change} ${row.id}`"
          class="grid gap-x-5 gap-y-1 py-2.5 md:grid-cols-[5.5rem_minmax(0,18rem)_1fr]"
        >
          <span
            class="text-note font-bold"
            :class="{
              'text-moss': row.change === 'added',
              'text-oxide': row.change === 'removed',
              'text-brass': row.change === 'changed' || row.change === 'moved',
            }"
            >{{ row.change }}</span
          >
          <span :class="row.change === 'removed' ? 'text-soft line-through' : 'font-semibold'">{{ row.name }}</span>
          <dl class="grid gap-1 text-note max-md:pl-4">
            <div v-for="field in row.fields" :key="field.field" class="grid gap-x-3 sm:grid-cols-[7rem_1fr_1fr]">
              <dt class="text-soft">{{ field.field }}</dt>
              <dd class="text-soft line-through decoration-line">
                <span class="sr-only">before: </span>{{ field.before || 'nothing' }}
              </dd>
              <dd class="font-semibold"><span class="sr-only">now: </span>{{ field.after || 'nothing' }}</dd>
            </div>
          </dl>
        </li>
      </ul>
    </section>
  </section>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening both versions</p>
</template>
