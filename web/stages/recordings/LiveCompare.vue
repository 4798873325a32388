<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue';
import { computed, ref, shallowRef, watch } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { align, longestOf, PHASES, type PhaseKind, type Role, ROLES } from '../../../core/trace/index.ts';
import TraceChart from '../../charts/TraceChart.vue';
import type { Laid } from '../../charts/traceCurves.ts';
import { useShop } from '../../stores/shop.ts';
import { ALIGNED, bracketsOf, differenceWords, phaseSentence, phaseWord, unlikeWords } from './liveWords.ts';
import { type Compared, type OpenedRecording, useRecordings } from './useRecordings.ts';

/** The last recording before the work under the last after it, phase by phase, with what changed in figures. */
const props = defineProps<{ job: Job }>();
const shop = useShop();
const recordings = useRecordings(() => props.job);
const before = computed(() => recordings.lastOf('before'));
const after = computed(() => recordings.lastOf('after'));
const both = computed(() => [before.value, after.value].filter((each) => each !== null));

const kinds = computed(() =>
  (Object.keys(PHASES) as PhaseKind[]).filter(
    (kind) => kind !== 'key-on' && both.value.some(({ trace }) => longestOf(trace, kind) !== null),
  ),
);
const chosen = ref<PhaseKind | null>(null);
const kind = computed<PhaseKind | null>(() =>
  chosen.value !== null && kinds.value.includes(chosen.value)
    ? chosen.value
    : (kinds.value.find((each) => each === 'blip') ?? kinds.value.at(-1) ?? null),
);

const LANES: Readonly<Record<PhaseKind, readonly Role[]>> = {
  'key-on': ['plate'],
  sweep: ['plate', 'plate-second', 'pedal', 'plate-command'],
  'cold-idle': ['rpm', 'coolant', 'duty', 'steps', 'air-mass'],
  'warm-idle': ['rpm', 'duty', 'steps', 'plate-command', 'air-mass', 'manifold', 'short-trim'],
  blip: ['rpm', 'plate', 'duty', 'steps', 'manifold'],
  loads: ['rpm', 'volts', 'duty', 'steps', 'air-mass'],
  road: ['rpm', 'road-speed', 'plate', 'duty'],
};
const roles = computed(() => {
  if (kind.value === null) return [];
  const there = new Set(both.value.flatMap(({ trace }) => trace.channels.map(({ role }) => role)));
  return LANES[kind.value].filter((role) => there.has(role)).slice(0, 4);
});

/** What of each recording lies at zero: the blip of both, else the beginning of the phase. */
const alignment = computed(() => {
  if (kind.value !== 'blip' || before.value === null || after.value === null) return null;
  return align(before.value.trace, after.value.trace, 'blip');
});
function zeroOf({ kept, trace }: OpenedRecording): number {
  if (alignment.value !== null) return kept.when === 'before' ? alignment.value.before : alignment.value.after;
  return kind.value === null ? 0 : (longestOf(trace, kind.value)?.from ?? 0);
}
const laid = computed<Laid[]>(() =>
  both.value.map((each) => ({ when: each.kept.when, trace: each.trace, zero: zeroOf(each) })),
);
const span = computed(() => {
  const of = kind.value;
  if (of === null) return { from: 0, to: 1 };
  if (of === 'blip' && alignment.value !== null) return { from: -3, to: 12 };
  const spans = both.value.flatMap(({ trace }) => {
    const phase = longestOf(trace, of);
    return phase === null ? [] : [phase.to - phase.from];
  });
  return { from: 0, to: Math.min(Math.max(...spans, 1), 60) };
});
const brackets = computed(() => {
  const of = kind.value;
  return of === null ? [] : both.value.flatMap((each) => bracketsOf(each, of, zeroOf(each)));
});
const bands = computed(() => {
  const { idleRpm, valveDuty } = props.job.vehicle.figures;
  return { ...(idleRpm ? { rpm: idleRpm } : {}), ...(valveDuty ? { duty: valveDuty } : {}) };
});

const compared = shallowRef<Compared | null>(null);
watch(
  [before, after, kind],
  async ([was, is, of]) => {
    compared.value = null;
    if (was === null || is === null || of === null) return;
    const [a, b] = [longestOf(was.trace, of), longestOf(is.trace, of)];
    if (a === null || b === null) return;
    const swing = Math.max(
      ...[was, is].map(({ kept }) => kept.figures.find((each) => each.kind === 'swing-period')?.value ?? 0),
    );
    const found = await recordings.compare(was, is, a, b, swing);
    // Another phase may have been chosen meanwhile.
    if (of === kind.value) compared.value = found;
  },
  { immediate: true },
);
const title = computed(() => (kind.value === null ? '' : phaseSentence(props.job, kind.value)));
const taken = ({ kept }: OpenedRecording): string =>
  `${kept.when === 'before' ? 'Before' : 'After'}: ${shop.say.time(kept.startedAt)}${kept.ended === 'lost' ? ', lost in the middle' : ''}`;
</script>

<template>
  <section v-if="job.recordings.length > 0" aria-label="Live data before and after">
    <p v-if="recordings.wrong.value" class="font-semibold text-alarm" role="alert">{{ recordings.wrong.value }}</p>
    <p v-if="both.length === 0 && !recordings.wrong.value" class="text-soft" aria-live="polite">
      Opening the recordings …
    </p>
    <template v-else>
      <h3 v-if="title" class="text-xl font-bold">{{ title }}</h3>
      <TabGroup
        v-if="kind !== null"
        as="div"
        :selected-index="kinds.indexOf(kind)"
        @change="chosen = kinds[$event] ?? null"
      >
        <TabList class="mt-2 flex flex-wrap gap-x-2 border-b border-line" aria-label="Phases">
          <Tab v-for="each in kinds" :key="each" as="template">
            <button
              type="button"
              class="-mb-px min-h-12 border-b-4 px-3 text-left leading-tight"
              :class="each === kind ? 'border-bottle' : 'border-transparent'"
            >
              <span class="block" :class="each === kind ? 'font-bold' : 'font-semibold'">{{ PHASES[each] }}</span>
              <span
                class="block text-sm"
                :class="['worse', 'as before', 'not right'].includes(phaseWord(job, each)) ? 'text-oxide' : 'text-soft'"
                >{{ phaseWord(job, each) || ' ' }}</span
              >
            </button>
          </Tab>
        </TabList>
        <TabPanels>
          <TabPanel v-for="each in kinds" :key="each" :tabindex="-1">
            <TraceChart
              v-if="roles.length > 0"
              :key="kind"
              class="mt-3"
              :laid="laid"
              :roles="roles"
              :bands="bands"
              :brackets="brackets"
              :span="span"
              :words="`${PHASES[kind]}: ${laid.map(({ when }) => when).join(' and ')} the work. ${title}`"
            />
            <p class="mt-2 text-sm text-soft">
              <template v-if="alignment">{{ ALIGNED[alignment.on] }}. </template>
              {{ both.map(taken).join('. ') }}.
            </p>
            <template v-if="compared">
              <p v-if="compared.unlike.length > 0" class="mt-1 text-note font-semibold text-brass">
                Not alike enough to compare: {{ compared.unlike.map(unlikeWords).join('; ') }}.
              </p>
              <ul v-else-if="kind !== 'blip' && kind !== 'sweep'" class="mt-1 text-note">
                <li v-for="{ role, difference } in compared.differences" :key="role">
                  {{ differenceWords(ROLES[role as Role].name, ROLES[role as Role].unit, difference) }}
                </li>
              </ul>
            </template>
          </TabPanel>
        </TabPanels>
      </TabGroup>
    </template>
  </section>
</template>
