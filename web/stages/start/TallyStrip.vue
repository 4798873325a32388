<script setup lang="ts">
import { computed, defineAsyncComponent, ref } from 'vue';
import {
  allNeeds,
  foreignHolding,
  type Job,
  jobMayStart,
  jobTally,
  runningTimers,
  secondsLeft,
} from '../../../core/job/index.ts';
import { formatClock } from '../../../core/quantity/index.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import { useKeys } from '../../shell/keys.ts';
import { useNow } from '../../stores/clock.ts';
import { useOutbox } from '../../stores/outbox.ts';
import { useShop } from '../../stores/shop.ts';
import { useTakeBack } from '../entries/useTakeBack.ts';
import HoldsDialog from './HoldsDialog.vue';
import TallyFigure from './TallyFigure.vue';

const EntriesSheet = defineAsyncComponent(() => import('../entries/EntriesSheet.vue'));

const props = defineProps<{ job: Job }>();
const outbox = useOutbox();
const shop = useShop();
const now = useNow();

const tally = computed(() => jobTally(props.job));
const start = computed(() => jobMayStart(props.job));
const timers = computed(() =>
  runningTimers(props.job)
    .map((timer) => ({ ...timer, left: secondsLeft(timer, now.value) }))
    .sort((a, b) => a.left - b.left),
);
const ordered = computed(() => props.job.needs.filter(({ state }) => state === 'ordered'));
const needName = (id: string): string => allNeeds(props.job).find((need) => need.id === id)?.name ?? id;
const openings = computed(() => props.job.openings.filter(({ state }) => state === 'open' || state === 'plugged'));

type List = { title: string; lines: { text: string; to?: string }[] };
const shown = ref<List | null>(null);
const holding = ref(false);
const item = (id: string, text: string) => ({ text, to: `/jobs/${props.job.id}/refit?item=${id}` });

const lists = {
  off: (): List => ({
    title: 'Items off',
    lines: tally.value.itemsOff.map(({ id, name, aside }) => item(id, aside === true ? `${name}: tied aside` : name)),
  }),
  steps: (): List => ({
    title: 'To do on the way back',
    lines: tally.value.stepsToDo.map(({ id, name }) => item(id, name)),
  }),
  openings: (): List => ({
    title: 'Openings',
    lines: openings.value.map(({ name, state }) => ({ text: `${name}: ${state}` })),
  }),
  torque: (): List => ({
    title: 'Not yet at torque',
    lines: props.job.items
      .filter(({ fasteners, state }) => fasteners?.spec && state !== 'on')
      .map(({ id, name, bolts, fasteners }) =>
        item(id, `${name}: ${bolts.filter(({ final }) => final).length} of ${fasteners?.count ?? 0} recorded`),
      ),
  }),
  figures: (): List => ({
    title: 'Torque figures wanted',
    lines: tally.value.figuresWanted.map(({ id, name }) => item(id, name)),
  }),
  timers: (): List => ({
    title: 'Timers',
    lines: timers.value.map(({ label, left }) => ({
      text: `${label}: ${left > 0 ? formatClock(left) : 'time is up'}`,
    })),
  }),
  parts: (): List => ({
    title: 'Waiting for parts',
    lines: ordered.value.map(({ needId, expected }) => ({
      text: `${needName(needId)}, expected ${expected === null ? 'some day' : shop.say.nearDay(expected)}`,
    })),
  }),
  findings: (): List => ({
    title: 'Findings',
    lines: [
      ...props.job.told.map(({ text }) => ({ text: `“${text}”` })),
      ...props.job.signs.filter(({ source }) => source === 'asked').map(({ words }) => ({ text: words })),
      ...props.job.checks.map(({ name, result }) => ({ text: `${name}: ${result}` })),
    ],
  }),
  codes: (): List => ({
    title: 'Codes read before',
    lines: props.job.codes
      .filter(({ when }) => when === 'before')
      .map(({ code, status }) => ({ text: `${code}, ${status}`, to: `/jobs/${props.job.id}/complaint` })),
  }),
};

/** Before anything is off the count that matters is what was found. */
const early = computed(() => props.job.items.every(({ state }) => state === 'on') && props.job.status === 'open');
const found = computed(
  () => props.job.signs.length + props.job.symptoms.length + props.job.checks.length + props.job.measurements.length,
);

const { undo, redo, others, asking, takeBack, doAgain, leave } = useTakeBack();
const entries = ref(false);
useKeys([
  { keys: 'u', does: 'Undo the last action', run: takeBack },
  { keys: 'y', does: 'Redo what was undone', run: doAgain },
  { keys: 't', does: 'Timers of this job', run: () => (shown.value = lists.timers()) },
]);
const lastTime = computed(() => (props.job.last === null ? '' : shop.say.clock(props.job.last.at)));
</script>

<template>
  <section
    aria-label="Tally of this vehicle"
    class="no-print flex flex-wrap items-center gap-x-7 gap-y-2 border-t border-line bg-band px-4 py-2 md:px-7"
  >
    <TallyFigure
      :value="String(tally.itemsOff.length)"
      label="items off"
      :tone="tally.itemsOff.length > 0 ? 'oxide' : 'ink'"
      @open="shown = lists.off()"
    />
    <TallyFigure
      v-if="tally.stepsToDo.length > 0"
      :value="String(tally.stepsToDo.length)"
      label="steps to do"
      tone="oxide"
      @open="shown = lists.steps()"
    />
    <template v-if="early">
      <TallyFigure :value="String(found)" label="findings" tone="ink" @open="shown = lists.findings()" />
      <TallyFigure
        :value="String(job.codes.filter(({ when }) => when === 'before').length)"
        label="codes"
        tone="ink"
        @open="shown = lists.codes()"
      />
    </template>
    <TallyFigure
      v-if="job.openings.length > 0"
      :value="`${tally.openingsOpen.length} / ${tally.openingsPlugged.length}`"
      label="openings open / plugged"
      :tone="tally.openingsOpen.length > 0 ? 'alarm' : 'ink'"
      @open="shown = lists.openings()"
    />
    <TallyFigure
      v-if="tally.boltsToTorque > 0"
      :value="`${tally.boltsAtTorque} of ${tally.boltsToTorque}`"
      label="at torque"
      tone="ink"
      @open="shown = lists.torque()"
    />
    <TallyFigure
      v-if="tally.figuresWanted.length > 0"
      :value="String(tally.figuresWanted.length)"
      :label="tally.figuresWanted.length === 1 ? 'figure wanted' : 'figures wanted'"
      tone="brass"
      @open="shown = lists.figures()"
    />
    <TallyFigure
      v-if="timers[0]"
      :value="timers[0].left > 0 ? formatClock(timers[0].left) : 'time is up'"
      :label="timers[0].label.toLowerCase()"
      tone="brass"
      @open="shown = lists.timers()"
    />
    <TallyFigure
      v-if="ordered.length > 0"
      :value="String(ordered.length)"
      label="waiting for parts"
      tone="brass"
      @open="shown = lists.parts()"
    />
    <TallyFigure
      v-if="tally.objectsIn.length > 0"
      :value="String(tally.objectsIn.length)"
      :label="foreignHolding(job).length > 0 ? 'must still come out' : 'rags and ties in'"
      tone="oxide"
      @open="holding = true"
    />
    <TallyFigure
      v-if="tally.searching.length > 0"
      :value="String(tally.searching.length)"
      label="dropped, not found"
      tone="alarm"
      @open="holding = true"
    />
    <button
      v-if="!start.may"
      type="button"
      class="min-h-9 rounded border-2 border-alarm bg-card px-3 text-note font-bold text-alarm"
      @click="holding = true"
    >
      Engine held
    </button>
    <button
      v-else-if="start.passed.length > 0"
      type="button"
      class="min-h-9 rounded border-2 border-brass bg-card px-3 text-note font-bold text-brass"
      @click="holding = true"
    >
      May start, by a lead’s word
    </button>
    <span
      v-else-if="job.items.some(({ state }) => state !== 'on')"
      class="rounded border-2 border-moss px-3 py-1 text-note font-bold text-moss"
      >Engine may start</span
    >
    <div class="ml-auto text-right text-sm leading-tight" aria-live="polite">
      <p v-if="outbox.lagging" class="font-bold text-brass" data-testid="waiting">
        {{ outbox.count }} waiting to be saved
      </p>
      <p v-if="outbox.trouble" class="max-w-xs text-alarm">{{ outbox.trouble }}</p>
      <button v-if="job.last" type="button" class="min-h-7 text-right" @click="entries = true">
        {{ job.last.words }}, {{ lastTime }}<span class="sr-only">: everything entered</span>
      </button>
      <p class="flex flex-wrap justify-end gap-x-4">
        <button
          v-if="undo"
          type="button"
          class="max-w-72 min-h-7 truncate font-semibold underline underline-offset-2"
          :title="`Undo: ${undo.label}`"
          @click="takeBack"
        >
          Undo{{ others === '' ? '' : ` ${others}’s` }}<span class="font-normal">: {{ undo.label }}</span>
          <kbd class="key ml-1" aria-hidden="true">U</kbd>
        </button>
        <button
          v-if="redo"
          type="button"
          class="max-w-56 min-h-7 truncate font-semibold underline underline-offset-2"
          :title="`Redo: ${redo.label}`"
          @click="doAgain"
        >
          Redo<span class="font-normal">: {{ redo.label }}</span> <kbd class="key ml-1" aria-hidden="true">Y</kbd>
        </button>
      </p>
    </div>
    <EntriesSheet v-if="entries" :job="job" @close="entries = false" />
    <SheetDialog v-if="asking" :title="`Take back what ${others} did?`" @close="leave">
      <p>
        <b>{{ asking.label }}</b>, {{ shop.say.nearTime(asking.at) }}. To put right only a line of your own, strike that
        line instead.
      </p>
      <div class="mt-5 flex flex-wrap gap-3">
        <button type="button" class="primary" @click="takeBack">Take it back</button>
        <button type="button" class="quiet" @click="leave">Leave it</button>
      </div>
    </SheetDialog>
    <HoldsDialog v-if="holding" :job="job" @close="holding = false" />
    <SheetDialog v-if="shown" :title="shown.title" @close="shown = null">
      <ul class="rows">
        <li v-for="line in shown.lines" :key="line.text" class="py-2">
          <RouterLink v-if="line.to" class="link" :to="line.to" @click="shown = null">{{ line.text }}</RouterLink>
          <span v-else>{{ line.text }}</span>
        </li>
      </ul>
      <p v-if="shown.lines.length === 0" class="text-soft">None.</p>
    </SheetDialog>
  </section>
</template>
