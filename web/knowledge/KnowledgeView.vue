<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { KnowledgeReply, TrialReply } from '../../contract/index.ts';
import { COMMONNESS, GROUPS, type Group, type KnowledgeEdit } from '../../core/diagnose/index.ts';
import TextField from '../parts/TextField.vue';
import { ApiError } from '../data/api.ts';
import { changeKnowledge, readKnowledge, tryKnowledge } from '../data/knowledge.ts';
import type { CaseScore } from '../workers/judgingProtocol.ts';
import { useJudging } from '../workers/useJudging.ts';
import { useShop } from '../stores/shop.ts';
import CureRows from './CureRows.vue';
import GroupRows from './GroupRows.vue';
import OwnWords from './OwnWords.vue';
import PortraitRows from './PortraitRows.vue';
import ScoreBlock from './ScoreBlock.vue';

/** What the ranking knows: every cause with what it shows and why, by version; a lead adjusts it. */
const route = useRoute();
const router = useRouter();
const shop = useShop();
const page = shallowRef<KnowledgeReply | null>(null);
const failed = ref('');
const chosen = ref('');
const edits = ref<readonly KnowledgeEdit[]>([]);
const note = ref('');
const errors = ref<Readonly<Record<string, string>>>({});
const problem = ref('');
const busy = ref(false);
const trial = shallowRef<TrialReply | null>(null);
const scores = shallowRef<{ readonly work: CaseScore | null; readonly apart: CaseScore | null }>({
  work: null,
  apart: null,
});
const progress = shallowRef<{ readonly done: number; readonly of: number } | null>(null);
const { ask } = useJudging((answer) => {
  if (answer.kind === 'scored') progress.value = { done: answer.done, of: answer.of };
  if (answer.kind === 'score') {
    scores.value = { work: answer.work, apart: answer.apart };
    progress.value = null;
  }
});
/** Beside the causes: what is one observation, and what is the shop’s own. */
const OTHERS = { groups: 'One observation', own: 'Our codes and phrases' } as const;

const wanted = computed(() => (typeof route.query.version === 'string' ? route.query.version : 'newest'));
async function load(): Promise<void> {
  try {
    page.value = await readKnowledge(wanted.value);
    chosen.value ||= typeof route.query.teach === 'string' ? 'own' : (page.value.knowledge.causes[0]?.id ?? '');
    const { knowledge: found, cases } = page.value;
    if (cases.length > 0) {
      progress.value = { done: 0, of: cases.length };
      ask(found, { kind: 'score', cases, minutePrice: (shop.settings.ratePerHourMinor || 6000) / 60 });
    }
    failed.value = '';
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
watch(wanted, load, { immediate: true });

const knowledge = computed(() => page.value?.knowledge ?? null);
const cause = computed(() => knowledge.value?.causes.find(({ id }) => id === chosen.value) ?? null);
const isNewest = computed(() => page.value !== null && page.value.knowledge.version === page.value.newest);
const mayEdit = computed(() => isNewest.value && (shop.person?.role === 'lead' || shop.person?.role === 'owner'));
const commonIn = (group: Group): string => {
  const edit = edits.value.find(
    (each) => each.kind === 'common' && each.cause === chosen.value && each.group === group,
  );
  if (edit?.kind === 'common') return edit.to ?? '';
  return cause.value?.common[group] ?? '';
};

/** A later change of the same thing takes the place of the earlier one. */
function stage(edit: KnowledgeEdit): void {
  const key = (each: KnowledgeEdit): string => {
    switch (each.kind) {
      case 'likelihood':
        return `${each.cause}/${each.sign}/${each.outcome}`;
      case 'common':
        return `${each.cause}/${each.group}`;
      case 'cure':
        return `${each.cause}/${each.option}`;
      case 'minutes':
        return each.sign;
      case 'group':
        return each.id;
      case 'code':
      case 'forget-code':
        return each.code;
      case 'phrase':
      case 'forget-phrase':
        return each.phrase;
    }
  };
  edits.value = [...edits.value.filter((each) => each.kind !== edit.kind || key(each) !== key(edit)), edit];
}
/** What the changes would do to past jobs is seen before they are kept. */
watch(edits, () => (trial.value = null));
async function tryThem(): Promise<void> {
  busy.value = true;
  errors.value = {};
  problem.value = '';
  try {
    trial.value = await tryKnowledge(edits.value);
  } catch (error) {
    if (error instanceof ApiError) errors.value = error.fields;
    problem.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
async function keep(): Promise<void> {
  if (page.value === null) return;
  busy.value = true;
  errors.value = {};
  problem.value = '';
  try {
    await changeKnowledge(page.value.knowledge.version, note.value, edits.value);
    edits.value = [];
    note.value = '';
    await router.replace('/knowledge');
    await load();
  } catch (error) {
    if (error instanceof ApiError) errors.value = error.fields;
    problem.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
const changed = (id: string): number => edits.value.filter((each) => 'cause' in each && each.cause === id).length;
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/knowledge">To the newest</RouterLink>
  </p>
  <div
    v-else-if="page && knowledge"
    class="grid h-full overflow-y-auto lg:grid-cols-[232px_minmax(0,1fr)_312px] lg:overflow-hidden"
  >
    <nav aria-label="Causes" class="border-line py-5 lg:overflow-y-auto lg:border-r">
      <h1 class="px-4 text-xl md:px-7 lg:px-5">Causes and signs, version {{ knowledge.version }}</h1>
      <label class="mt-3 block px-4 md:px-7 lg:hidden"
        ><span class="mb-1 block text-sm font-semibold">Cause</span
        ><select v-model="chosen" class="input">
          <option v-for="each in knowledge.causes" :key="each.id" :value="each.id">{{ each.name }}</option>
          <option v-for="(name, id) in OTHERS" :key="id" :value="id">{{ name }}</option>
        </select></label
      >
      <ul class="mt-2 hidden border-b border-line pb-2 lg:block">
        <li v-for="(name, id) in OTHERS" :key="id">
          <button
            type="button"
            class="flex min-h-9 w-full items-baseline px-3 py-1 text-left text-note lg:px-5"
            :class="id === chosen ? 'bg-band font-bold text-bottle' : 'hover:bg-band'"
            :aria-current="id === chosen"
            @click="chosen = id"
          >
            {{ name }}
          </button>
        </li>
      </ul>
      <ul class="mt-2 hidden lg:block">
        <li v-for="each in knowledge.causes" :key="each.id">
          <button
            type="button"
            class="flex min-h-9 w-full items-baseline justify-between gap-2 px-3 py-1 text-left text-note lg:px-5"
            :class="each.id === chosen ? 'bg-band font-bold text-bottle' : 'hover:bg-band'"
            :aria-current="each.id === chosen"
            @click="chosen = each.id"
          >
            {{ each.name }}<span v-if="changed(each.id) > 0" class="text-sm text-brass">{{ changed(each.id) }}</span>
          </button>
        </li>
      </ul>
    </nav>
    <section
      v-if="chosen in OTHERS"
      class="min-w-0 px-4 py-5 md:px-7 lg:overflow-y-auto"
      tabindex="0"
      aria-label="Beside the causes"
    >
      <GroupRows v-if="chosen === 'groups'" :knowledge="knowledge" :edits="edits" :may-edit="mayEdit" @change="stage" />
      <OwnWords
        v-else
        :knowledge="knowledge"
        :edits="edits"
        :may-edit="mayEdit"
        :errors="errors"
        :teach="typeof route.query.teach === 'string' ? route.query.teach : ''"
        @change="stage"
      />
    </section>
    <section
      v-else-if="cause"
      class="min-w-0 px-4 py-5 md:px-7 lg:overflow-y-auto"
      tabindex="0"
      :aria-label="cause.name"
    >
      <h2 class="text-heading">{{ cause.name }}</h2>
      <p class="mt-1 text-soft">
        {{ cause.about
        }}<span v-if="!cause.throttle" class="font-semibold text-brass"> Not cured by work on the throttle.</span>
      </p>
      <h3 class="mb-1 mt-5 text-sm font-bold">How common</h3>
      <div class="grid gap-x-6 gap-y-2 sm:grid-cols-2 xl:grid-cols-3">
        <label v-for="(name, group) in GROUPS" :key="group" class="text-sm">
          <span class="block text-soft">{{ name }}</span>
          <select
            v-if="mayEdit"
            class="input"
            :value="commonIn(group)"
            @change="
              stage({
                kind: 'common',
                cause: cause.id,
                group,
                to: (($event.target as HTMLSelectElement).value || null) as keyof typeof COMMONNESS | null,
              })
            "
          >
            <option value="">does not occur</option>
            <option v-for="word in Object.keys(COMMONNESS)" :key="word" :value="word">{{ word }}</option>
          </select>
          <span v-else class="font-semibold">{{ commonIn(group) || 'does not occur' }}</span>
        </label>
      </div>
      <CureRows
        :key="`cures-${cause.id}`"
        :cause="cause"
        :edits="edits"
        :may-edit="mayEdit"
        :errors="errors"
        @change="stage"
      />
      <PortraitRows
        :key="cause.id"
        class="mt-6"
        :cause="cause"
        :signs="knowledge.signs"
        :edits="edits"
        :may-edit="mayEdit"
        :errors="errors"
        @change="stage"
      />
    </section>
    <aside
      class="flex flex-col gap-5 border-t border-line bg-card px-4 py-5 md:px-6 lg:overflow-y-auto lg:border-l lg:border-t-0"
      aria-label="Versions and score"
    >
      <form v-if="edits.length > 0" class="grid gap-2" @submit.prevent="keep">
        <h3 class="text-lg">{{ edits.length }} {{ edits.length === 1 ? 'change' : 'changes' }} not kept yet</h3>
        <TextField v-model="note" label="What was changed, and why" :lines="2" :error="errors.note ?? null" />
        <p v-if="problem" class="text-sm font-semibold text-alarm" role="alert">{{ problem }}</p>
        <div v-if="trial" class="border-l-4 border-brass pl-3" role="status">
          <p class="font-semibold">
            {{
              trial.changed.length === 0
                ? `None of the last ${trial.jobs} jobs would be led by another cause.`
                : `${trial.changed.length} of the last ${trial.jobs} jobs would be led by another cause:`
            }}
          </p>
          <ul class="text-note">
            <li v-for="each in trial.changed.slice(0, 6)" :key="each.jobId">
              <RouterLink class="link" :to="`/jobs/${each.jobId}/diagnose`"
                >Job {{ each.number }}, {{ each.plate }}</RouterLink
              >: {{ each.before.name.toLowerCase() }} → {{ each.after.name.toLowerCase() }}
            </li>
          </ul>
        </div>
        <button v-else type="button" class="quiet" :disabled="busy" @click="tryThem">
          What it would do to past jobs
        </button>
        <button type="submit" class="primary" :disabled="busy || trial === null">
          Keep as version {{ page.newest + 1 }}
        </button>
        <button type="button" class="quiet" @click="edits = []">Drop the changes</button>
      </form>
      <p v-else-if="!isNewest" class="font-semibold text-brass">
        This is an older version, as jobs remember it.
        <RouterLink class="link" to="/knowledge">To version {{ page.newest }}</RouterLink>
      </p>
      <p v-else class="text-note text-soft">
        Likelihoods are our judgement in five words, and two for what is seen directly.
        {{
          mayEdit
            ? 'Change one where your experience says otherwise; jobs keep the version they began with.'
            : 'A lead or the owner can change them.'
        }}
      </p>
      <ScoreBlock
        v-if="page.cases.length > 0"
        :work="scores.work"
        :apart="scores.apart"
        :progress="progress"
        :causes="knowledge.causes"
      />
      <section>
        <h3 class="text-sm font-bold">Versions</h3>
        <ul class="rows mt-1">
          <li v-for="version in page.versions" :key="version.version" class="py-1.5 text-note">
            <RouterLink class="link" :to="`/knowledge?version=${version.version}`"
              >Version {{ version.version }}</RouterLink
            >
            <span class="text-soft"
              >{{ version.by === '' ? '' : ` by ${shop.say.person(version.by)}` }}: {{ version.note }}</span
            >
          </li>
        </ul>
      </section>
    </aside>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the knowledge</p>
</template>
