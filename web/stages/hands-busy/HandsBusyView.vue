<script setup lang="ts">
import { computed, watch } from 'vue';
import { useRoute } from 'vue-router';
import {
  caution,
  comesOff,
  isBack,
  type JobItem,
  jobLocks,
  lockWords,
  nextStage,
  STAGE_NAMES,
  tagNumbers,
  tapOn,
  torqueStep,
  UNTYPED,
  type Way,
  workQueue,
} from '../../../core/job/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import { lowerFirst } from '../../../core/words/index.ts';
import { useInstruments } from '../../instruments/useInstruments.ts';
import { useKeepTaken } from '../../instruments/useKeepTaken.ts';
import { useListening } from '../../instruments/useListening.ts';
import { readPreference } from '../../shell/preferences.ts';
import { nowIso } from '../../stores/clock.ts';
import { useShop } from '../../stores/shop.ts';
import StandingLine from '../items/line/StandingLine.vue';
import { sendTap } from '../items/sendTap.ts';
import { stepWords } from './stepWords.ts';
import { useHandsBusy } from './useHandsBusy.ts';

/** One step fills the screen. Space, Enter, Page Down or a foot pedal is Done. */
const route = useRoute();
const shop = useShop();
const way = computed(() => route.params.way as Way);
const hands = useHandsBusy({
  sheet: () => way.value,
  current: () => item.value?.id ?? null,
  left: () => queue.value.length,
  act: () => (job.value === null || tap.value === null ? null : sendTap(tap.value, job.value, UNTYPED)),
});
const { job, said, done: doIt, notYet, undo, leave } = hands;

const queue = computed((): JobItem[] => {
  const { value } = job;
  return value === null ? [] : hands.putOffLast(workQueue(value, way.value, shop.personId, nowIso()), ({ id }) => id);
});
const item = computed(() => queue.value[0] ?? null);
const step = computed(() =>
  item.value !== null && way.value === 'refit'
    ? torqueStep(item.value, shop.wrenches, readPreference('wrench') ?? '')
    : null,
);
const tap = computed(() => {
  const { value } = job;
  return value === null || item.value === null ? null : tapOn(way.value, value, item.value, UNTYPED, step.value);
});
/** A torque that the wrench of this station reached is taken without a touch. */
const instruments = useInstruments();
instruments.need();
const keepTaken = useKeepTaken();
const wrenchHere = computed(() => instruments.forField(FIELDS.torqueReached));
const heard = useListening();
const torqueNow = computed(() => (tap.value?.kind === 'bolt' ? tap.value.step : null));
const listens = computed(() => (torqueNow.value?.angleDeg === null ? wrenchHere.value : null));
watch(
  listens,
  (wrench) => {
    if (wrench === null) return heard.end();
    heard.listen(
      wrench,
      FIELDS.torqueReached,
      ({ text, value, unit }) => {
        if (job.value === null || tap.value?.kind !== 'bolt') return;
        const label = `${tap.value.item.name}, bolt ${tap.value.step.boltId}`;
        const refusal = sendTap(tap.value, job.value, { ...UNTYPED, torqueText: text, byInstrument: true });
        hands.tell(refusal);
        if (refusal === null) keepTaken({ label, shown: text, value, unit, instrument: wrench });
      },
      true,
    );
  },
  { immediate: true },
);
/** Where hands go when nothing is left here. */
const onward = computed(() => nextStage(way.value) ?? way.value);
const words = computed(() => (item.value === null ? null : stepWords(way.value, item.value, tap.value)));
const before = computed(() => words.value?.before ?? null);
/** As on its tag and on the sheet. */
const number = computed(() =>
  job.value === null || item.value === null ? '' : (tagNumbers(job.value).get(item.value.id) ?? ''),
);
const heading = computed(() => (before.value === null ? `${number.value} · ${words.value?.happens}` : 'First'));
/** What keeps this step from being done, when nothing else is free. */
const locked = computed(() => {
  const { value } = job;
  if (value === null || item.value === null || way.value === 'strip' || item.value.state !== 'off') return '';
  const [lock] = jobLocks(value, item.value.id, nowIso());
  return lock === undefined
    ? ''
    : lockWords(value, lock, (iso) => (iso.length === 10 ? shop.say.nearDay(iso) : shop.say.nearTime(iso)));
});
const warning = computed(() => item.value?.cautions.map(caution).find((found) => found !== undefined)?.text ?? '');
const done = computed(() =>
  job.value === null
    ? 0
    : job.value.items.filter((each) => (way.value === 'strip' ? each.state !== 'on' && comesOff(each) : isBack(each)))
        .length,
);
const dots = computed(() => {
  const total = done.value + queue.value.length;
  const shown = Math.min(total, 13);
  const reached = total === 0 ? 0 : Math.round((done.value / total) * (shown - 1));
  return Array.from({ length: shown }, (_, index) => (index < reached ? 'done' : index === reached ? 'now' : 'next'));
});
</script>

<template>
  <div
    v-if="job"
    data-testid="hands"
    class="flex h-full flex-col gap-4 p-5 sm:gap-6 sm:p-8 lg:px-12 short:gap-2! short:p-3!"
  >
    <header class="flex flex-wrap items-center gap-4 short:gap-3">
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
      class="grid min-h-0 flex-1 content-start gap-x-10 gap-y-4 overflow-y-auto lg:grid-cols-[1fr_auto] short:grid-cols-[1fr_auto] short:gap-x-5"
      aria-live="polite"
    >
      <div>
        <p class="text-2xl font-bold text-oxide short:text-lg">
          {{ heading }}
        </p>
        <p class="mt-1 text-figure-md font-bold leading-[1.08] text-balance sm:text-figure-2xl short:text-figure-md!">
          {{ words?.title }}
        </p>
        <p
          v-for="line in words?.detail"
          :key="line"
          class="mt-2 text-xl leading-snug text-soft sm:mt-3 sm:text-title short:mt-1! short:text-lg!"
        >
          {{ line }}
        </p>
      </div>
      <div v-if="torqueNow?.angleDeg != null" class="lg:min-w-90 lg:text-right">
        <p class="figure text-figure-2xl sm:text-far short:text-figure-2xl!">{{ torqueNow.angleDeg }}°</p>
        <p class="text-xl text-soft sm:text-title">further, after {{ torqueNow.spec.text }}</p>
      </div>
      <div
        v-else-if="torqueNow?.chosen"
        class="max-sm:order-first max-sm:flex max-sm:flex-wrap max-sm:items-baseline max-sm:gap-x-3 lg:min-w-90 lg:text-right short:min-w-40! short:text-right"
      >
        <p class="figure text-figure-2xl sm:text-far short:text-figure-2xl!">{{ torqueNow.chosen.setting.setting }}</p>
        <p class="text-xl text-soft sm:mt-2 sm:text-title short:mt-0! short:text-note!">
          {{ torqueNow.chosen.setting.unit }} on this wrench
        </p>
        <p
          class="w-full border-line text-xl sm:mt-4 sm:border-t sm:pt-4 sm:text-title short:mt-1! short:border-0! short:pt-0! short:text-note!"
        >
          {{ torqueNow.spec.text }} · {{ torqueNow.chosen.wrench.name.toLowerCase() }}
          <span class="font-bold" :class="torqueNow.chosen.setting.verdict === 'suits' ? 'text-moss' : 'text-alarm'">{{
            torqueNow.chosen.setting.verdict
          }}</span>
        </p>
      </div>
      <p
        v-if="listens"
        class="text-xl sm:text-title lg:col-span-2"
        :class="heard.trouble.value ? 'text-brass' : 'text-soft'"
      >
        {{
          heard.trouble.value ||
          `Pull, and it is taken from the ${listens.name.toLowerCase()}: ${heard.showing.value || 'waiting'}`
        }}
      </p>
      <p v-if="locked" class="border-l-4 border-brass pl-4 text-lg leading-snug sm:text-2xl lg:col-span-2">
        {{ locked }}
      </p>
      <p v-if="warning" class="border-l-4 border-alarm pl-4 text-lg leading-snug sm:text-2xl lg:col-span-2">
        {{ warning }}
      </p>
      <p v-if="said" class="border-l-4 border-brass pl-4 text-2xl font-bold leading-snug lg:col-span-2" role="alert">
        {{ said }}
      </p>
    </section>
    <section v-else class="flex-1">
      <p class="text-figure-lg font-bold sm:text-figure-2xl">
        {{
          way === 'refit'
            ? 'Everything is back'
            : job.items.length === 0
              ? 'Say what comes off'
              : 'Everything listed is off'
        }}
      </p>
    </section>

    <StandingLine
      v-if="way === 'strip' && job.status === 'open'"
      :job="job"
      :big="item === null"
      :class="item === null ? '' : 'short:hidden'"
    />
    <footer>
      <p class="mb-3 text-lg text-soft sm:mb-4 sm:text-heading short:hidden">
        <template v-if="before && way === 'strip' && item?.state === 'on'"
          >Then <b class="text-ink">{{ lowerFirst(item.name) }}</b></template
        ><template v-else-if="queue[1]"
          >Then <b class="text-ink">{{ lowerFirst(queue[1].name) }}</b></template
        ><template v-if="queue[2] && !before"
          >, then <b class="text-ink">{{ lowerFirst(queue[2].name) }}</b></template
        >
      </p>
      <div
        class="grid grid-cols-2 gap-4 sm:grid-cols-[190px_190px_1fr] short:grid-cols-[7.5rem_7.5rem_1fr] short:gap-2"
      >
        <button
          type="button"
          class="min-h-16 rounded border-2 border-line text-2xl font-bold sm:min-h-28 short:min-h-14! short:text-xl"
          :disabled="job.undo === null"
          @click="undo"
        >
          Undo
        </button>
        <button
          type="button"
          class="min-h-16 rounded border-2 border-line text-2xl font-bold sm:min-h-28 short:min-h-14! short:text-xl"
          :disabled="queue.length < 2"
          @click="notYet"
        >
          Not yet
        </button>
        <RouterLink
          v-if="item === null"
          class="grid min-h-24 place-items-center rounded bg-bottle text-figure-md font-bold text-on-bottle max-sm:col-span-2 sm:min-h-28 sm:text-figure-lg short:col-span-1 short:min-h-14! short:text-figure-md!"
          :to="`/jobs/${job.id}/${onward}`"
          >To {{ STAGE_NAMES[onward].toLowerCase() }}</RouterLink
        >
        <button
          v-else
          type="button"
          class="min-h-24 rounded bg-bottle text-figure-md font-bold text-on-bottle max-sm:col-span-2 sm:min-h-28 sm:text-figure-lg short:col-span-1 short:min-h-14! short:text-figure-md!"
          :disabled="tap === null"
          @click="doIt"
        >
          {{ before?.done ?? 'Done' }}
        </button>
      </div>
    </footer>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the job</p>
</template>
