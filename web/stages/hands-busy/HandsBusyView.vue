<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import {
  caution,
  freeToGoBack,
  type Job,
  type JobItem,
  jobLocks,
  jobPlan,
  lockWords,
  nextStage,
  STAGE_NAMES,
} from '../../../core/job/index.ts';
import { lowerFirst } from '../../../core/words/index.ts';
import { RESTORE_KINDS } from '../../../core/procedure/index.ts';
import { readPreference } from '../../shell/preferences.ts';
import { nowIso } from '../../stores/clock.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { actionFor, gaping, standsAt, UNTYPED } from '../items/actions.ts';
import type { Way } from '../items/layout.ts';
import { torqueStep } from '../torque/torqueStep.ts';
import { useHandsBusy } from './useHandsBusy.ts';

/** One step fills the screen. Space, Enter, Page Down or a foot pedal is Done. */
const route = useRoute();
const store = useJob();
const shop = useShop();
const way = computed(() => route.params.way as Way);
const hands = useHandsBusy({
  sheet: () => way.value,
  current: () => item.value?.id ?? null,
  left: () => queue.value.length,
  act: () => action.value?.run() ?? null,
});
const { job, said, done: doIt, notYet, undo, leave } = hands;

const queue = computed((): JobItem[] => {
  const { value } = job;
  if (value === null) return [];
  const at = nowIso();
  const first = standsAt(value, way.value, shop.personId, at);
  const plan = jobPlan(value);
  const off = new Map(value.items.flatMap((each) => (each.state === 'off' ? [[each.id, each] as const] : [])));
  // What can be done comes first, then what is locked, so that its locks can be read.
  const rest =
    way.value === 'strip'
      ? stillToStrip(value)
      : [...freeToGoBack(value, at), ...(plan.ok ? plan.steps.flatMap(({ itemId }) => off.get(itemId) ?? []) : [])];
  const all = [...new Set(first === null ? rest : [first, ...rest])];
  return hands.putOffLast(all, ({ id }) => id);
});
/** What is on, what still holds a weight, and, when nothing else is left, the item whose opening gapes. */
function stillToStrip(value: Job): JobItem[] {
  const left = value.items.filter(({ state, stayingIn }) => state === 'on' || (state === 'off' && stayingIn > 0));
  const last = value.items.filter(({ stripOrder }) => stripOrder !== null).at(-1);
  return left.length === 0 && last !== undefined && gaping(value) !== undefined ? [last] : left;
}
const item = computed(() => queue.value[0] ?? null);
const step = computed(() =>
  item.value !== null && way.value === 'refit'
    ? torqueStep(item.value, shop.wrenches, readPreference('wrench') ?? '')
    : null,
);
const action = computed(() => {
  const { value } = job;
  return value === null || item.value === null
    ? null
    : actionFor(way.value, value, item.value, store.send, UNTYPED, step.value);
});
const torqueNow = computed(() => step.value !== null && action.value?.kind === 'bolt');
/** Where hands go when nothing is left here. */
const onward = computed(() => nextStage(way.value) ?? way.value);
/** What comes before the item itself: an opening to plug, or fasteners that still hold the weight. */
const before = computed(() => {
  const { kind, label = '' } = action.value ?? {};
  if (kind !== 'plug' && kind !== 'rest') return null;
  const [what = label, plugWith = ''] = label.split(': ');
  return { what, plugWith, done: kind === 'plug' ? 'Plugged' : 'All out' };
});
const title = computed(() => {
  if (item.value === null) return '';
  if (before.value !== null) return before.value.what;
  if (torqueNow.value && step.value)
    return `${item.value.name.split(',')[0]?.replace(/s$/, '')} ${step.value.number}${step.value.label ? `, ${step.value.label.split(',')[0]}` : ''}`;
  return item.value.name;
});
const heading = computed(() => {
  if (before.value !== null) return 'First';
  const what = way.value === 'strip' ? 'comes off' : item.value?.origin === 'plug' ? 'comes out' : 'goes back';
  return `${done.value + 1} · ${what}`;
});
/** What to measure before it comes off, or to set it to once it is back. */
const measuring = computed(() => {
  const { value } = item;
  if (value === null) return '';
  if (way.value === 'refit')
    return value.kept
      .filter(({ restored }) => restored === null)
      .map(({ kind, text }) => `${RESTORE_KINDS[kind]}: ${text}.`)
      .join(' ');
  const open = (value.restore ?? []).filter((kind) => !value.kept.some((each) => each.kind === kind));
  return open.length === 0
    ? ''
    : `First, on the sheet: ${open.map((kind) => lowerFirst(RESTORE_KINDS[kind])).join(', ')}.`;
});
const detail = computed(() => {
  if (item.value === null) return [];
  if (before.value !== null) return [before.value.plugWith && `With: ${before.value.plugWith}.`].filter(Boolean);
  if (torqueNow.value && step.value)
    return [
      `Bolt ${step.value.number} of ${step.value.of}. Pass ${step.value.pass} of ${step.value.passes}, ${step.value.passWords}.`,
      step.value.label.split(', ').slice(1).join(', '),
    ].filter(Boolean);
  return [
    measuring.value,
    item.value.note,
    item.value.pocket === ''
      ? ''
      : `From ${item.value.pocket === 'bench' ? 'the bench' : `pocket ${item.value.pocket}`}.`,
    item.value.tool,
  ].filter(Boolean);
});
/** What keeps this step from being done, when nothing else is free. */
const locked = computed(() => {
  const { value } = job;
  if (value === null || item.value === null || way.value === 'strip' || item.value.state !== 'off') return '';
  const [lock] = jobLocks(value, item.value.id, nowIso());
  return lock === undefined
    ? ''
    : lockWords(value, lock, (iso) => (iso.length === 10 ? shop.say.day(iso) : shop.say.time(iso)));
});
const warning = computed(() => item.value?.cautions.map(caution).find((found) => found !== undefined)?.text ?? '');
const done = computed(() =>
  job.value === null
    ? 0
    : job.value.items.filter(({ state }) =>
        way.value === 'strip' ? state !== 'on' : state === 'refitted' || state === 'renewed',
      ).length,
);
const dots = computed(() => {
  const total = done.value + queue.value.length;
  const shown = Math.min(total, 13);
  const reached = total === 0 ? 0 : Math.round((done.value / total) * (shown - 1));
  return Array.from({ length: shown }, (_, index) => (index < reached ? 'done' : index === reached ? 'now' : 'next'));
});
</script>

<template>
  <div v-if="job" data-testid="hands" class="flex h-full flex-col gap-4 p-5 sm:gap-6 sm:p-8 lg:px-12">
    <header class="flex flex-wrap items-center gap-4">
      <span class="plate px-2.5 py-1 text-lg">{{ job.vehicle.plate }}</span>
      <h1 class="text-lg font-normal text-soft">{{ way === 'strip' ? 'Strip' : 'Refit, reading upward' }}</h1>
      <button
        type="button"
        class="ml-auto min-h-11 px-2 text-soft underline underline-offset-4 lg:order-last lg:ml-0"
        @click="leave"
      >
        Back to the sheet
      </button>
      <span
        class="flex items-center gap-2.5 max-sm:hidden lg:ml-auto"
        role="img"
        :aria-label="`${done} done, ${queue.length} to go`"
      >
        <span
          v-for="(dot, index) in dots"
          :key="index"
          class="rounded-full"
          :class="{
            'size-3.5 bg-moss': dot === 'done',
            'size-5 border-[5px] border-oxide': dot === 'now',
            'size-3.5 border-2 border-line': dot === 'next',
          }"
        />
      </span>
    </header>

    <section
      v-if="item"
      class="grid min-h-0 flex-1 content-start gap-x-10 gap-y-4 overflow-y-auto lg:grid-cols-[1fr_auto]"
      aria-live="polite"
    >
      <div>
        <p class="text-2xl font-bold text-oxide">
          {{ heading }}
        </p>
        <p class="mt-1 text-[2.5rem] font-bold leading-[1.08] text-balance sm:text-[4rem]">{{ title }}</p>
        <p v-for="words in detail" :key="words" class="mt-2 text-xl leading-snug text-soft sm:mt-3 sm:text-[1.625rem]">
          {{ words }}
        </p>
      </div>
      <div v-if="torqueNow && step?.angleDeg != null" class="lg:min-w-90 lg:text-right">
        <p class="figure text-[4.5rem] sm:text-[9rem]">{{ step.angleDeg }}°</p>
        <p class="text-xl text-soft sm:text-[1.75rem]">further, after {{ step.spec.text }}</p>
      </div>
      <div
        v-else-if="torqueNow && step?.chosen"
        class="max-sm:order-first max-sm:flex max-sm:flex-wrap max-sm:items-baseline max-sm:gap-x-3 lg:min-w-90 lg:text-right"
      >
        <p class="figure text-[4.5rem] sm:text-[9rem]">{{ step.chosen.setting.setting }}</p>
        <p class="text-xl text-soft sm:mt-2 sm:text-[1.75rem]">{{ step.chosen.setting.unit }} on this wrench</p>
        <p class="w-full border-line text-xl sm:mt-4 sm:border-t sm:pt-4 sm:text-[1.625rem]">
          {{ step.spec.text }} · {{ step.chosen.wrench.name.toLowerCase() }}
          <span class="font-bold" :class="step.chosen.setting.verdict === 'suits' ? 'text-moss' : 'text-alarm'">{{
            step.chosen.setting.verdict
          }}</span>
        </p>
      </div>
      <p v-if="locked" class="border-l-4 border-brass pl-4 text-lg leading-snug sm:text-[1.5rem] lg:col-span-2">
        {{ locked }}
      </p>
      <p v-if="warning" class="border-l-4 border-alarm pl-4 text-lg leading-snug sm:text-[1.5rem] lg:col-span-2">
        {{ warning }}
      </p>
      <p
        v-if="said"
        class="border-l-4 border-brass pl-4 text-[1.5rem] font-bold leading-snug lg:col-span-2"
        role="alert"
      >
        {{ said }}
      </p>
    </section>
    <section v-else class="flex-1">
      <p class="text-[2.75rem] font-bold sm:text-[4rem]">
        {{ way === 'strip' ? 'Everything listed is off' : 'Everything is back' }}
      </p>
    </section>

    <footer>
      <p class="mb-3 text-lg text-soft sm:mb-4 sm:text-[1.375rem]">
        <template v-if="before && way === 'strip' && item?.state === 'on'"
          >Then <b class="text-ink">{{ lowerFirst(item.name) }}</b></template
        ><template v-else-if="queue[1]"
          >Then <b class="text-ink">{{ lowerFirst(queue[1].name) }}</b></template
        ><template v-if="queue[2] && !before"
          >, then <b class="text-ink">{{ lowerFirst(queue[2].name) }}</b></template
        >
      </p>
      <div class="grid grid-cols-2 gap-4 sm:grid-cols-[190px_190px_1fr]">
        <button
          type="button"
          class="min-h-16 rounded border-2 border-line text-2xl font-bold sm:min-h-28"
          :disabled="job.undo === null"
          @click="undo"
        >
          Undo
        </button>
        <button
          type="button"
          class="min-h-16 rounded border-2 border-line text-2xl font-bold sm:min-h-28"
          :disabled="queue.length < 2"
          @click="notYet"
        >
          Not yet
        </button>
        <RouterLink
          v-if="item === null"
          class="grid min-h-24 place-items-center rounded bg-bottle text-[2.25rem] font-bold text-on-bottle max-sm:col-span-2 sm:min-h-28 sm:text-[2.75rem]"
          :to="`/jobs/${job.id}/${onward}`"
          >To {{ STAGE_NAMES[onward].toLowerCase() }}</RouterLink
        >
        <button
          v-else
          type="button"
          class="min-h-24 rounded bg-bottle text-[2.25rem] font-bold text-on-bottle max-sm:col-span-2 sm:min-h-28 sm:text-[2.75rem]"
          :disabled="action === null"
          @click="doIt"
        >
          {{ before?.done ?? 'Done' }}
        </button>
      </div>
    </footer>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the job</p>
</template>
