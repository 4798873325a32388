<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { AdapterLinkInfo, Deed, RecordingNews } from '../../../contract/index.ts';
import type { Condition, Job, When } from '../../../core/job/index.ts';
import { PHASES, type PhaseKind, type Role } from '../../../core/trace/index.ts';
import { readLinks } from '../../data/adapter.ts';
import { actOn } from '../../data/recordings.ts';
import TraceChart from '../../charts/TraceChart.vue';
import { useLiveRecording } from './useLiveRecording.ts';

/** Records live data: phases by a tap, what comes drawn as it comes, paused, kept or thrown away. */
const props = defineProps<{ job: Job; when: When; under: Condition }>();
const emit = defineEmits<{ kept: [] }>();
const links = shallowRef<readonly AdapterLinkInfo[]>([]);
const chosen = ref('');
const live = useLiveRecording();
const { news, trace, running, wrong, busy, marked } = live;

onMounted(async () => {
  try {
    links.value = await readLinks();
    chosen.value =
      links.value.find(({ vehicleId }) => vehicleId === props.job.vehicle.id)?.id ?? links.value[0]?.id ?? '';
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error);
  }
});
const simulated = computed(() => chosen.value.startsWith('sim.'));
const foreign = computed(() => {
  const vin = links.value.find(({ id }) => id === chosen.value)?.vin ?? '';
  return vin !== '' && props.job.vehicle.vin !== '' && vin !== props.job.vehicle.vin;
});
/** What a simulated vehicle does when a phase begins; on a real one a person does it. */
const DEED_OF: Readonly<Record<PhaseKind, Deed>> = {
  'key-on': 'key-on',
  sweep: 'sweep',
  'cold-idle': 'start',
  'warm-idle': 'idle',
  blip: 'blip',
  loads: 'loads',
  road: 'drive',
};
const WHAT: Readonly<Record<PhaseKind, string>> = {
  'key-on': 'Key on, engine off.',
  sweep: 'Key on, engine off: foot slowly down and slowly up again.',
  'cold-idle': 'Start it cold, and leave it alone.',
  'warm-idle': 'Warm, loads off, foot off, half a minute.',
  blip: 'One short blip, then foot off until it is quiet.',
  loads: 'Lights, blower and rear window on, a quarter of a minute.',
  road: 'One drives, one reads. Nobody looks at this on the move.',
};
const STATES: Readonly<Record<RecordingNews['state'], string>> = {
  recording: 'Recording',
  paused: 'Paused',
  stopped: 'Stopped after an hour',
  lost: 'Connection lost',
};
const LANES: readonly Role[] = ['rpm', 'plate', 'duty', 'steps', 'air-mass', 'manifold', 'short-trim', 'coolant'];
const shown = computed(() =>
  LANES.filter((role) => trace.value.channels.some((channel) => channel.role === role)).slice(0, 5),
);
const laid = computed(() => [{ when: props.when, trace: trace.value, zero: 0 }]);
const seconds = computed(() => Math.floor(news.value?.seconds ?? 0));
const perSecond = computed(() => {
  const rpm = trace.value.channels.find(({ role }) => role === 'rpm');
  return rpm === undefined || seconds.value < 2 ? null : Math.round(rpm.times.length / (news.value?.seconds ?? 1));
});
const band = computed(() => props.job.vehicle.figures.idleRpm);

async function phase(kind: PhaseKind): Promise<void> {
  if (simulated.value && news.value?.phase !== kind) await actOn(chosen.value, DEED_OF[kind]);
  await live.mark(kind);
}
async function keep(): Promise<void> {
  if (await live.end(true)) emit('kept');
}
</script>

<template>
  <section aria-label="Record live data">
    <div v-if="!running" class="flex flex-wrap items-end gap-3">
      <label v-if="links.length > 1" class="block">
        <span class="mb-1 block text-sm font-semibold">Adapter</span>
        <select v-model="chosen" class="input">
          <option v-for="link in links" :key="link.id" :value="link.id">{{ link.name }}</option>
        </select>
      </label>
      <button
        type="button"
        class="quiet"
        :disabled="chosen === '' || busy !== ''"
        @click="live.begin(chosen, job.id, when, under)"
      >
        Record live data {{ when }} the work
      </button>
      <p v-if="foreign" class="w-full font-semibold text-oxide">
        This adapter is plugged into another vehicle than the one of this job.
      </p>
    </div>
    <template v-else>
      <div class="flex flex-wrap items-baseline gap-x-6 gap-y-2">
        <p class="flex items-center gap-2 font-bold" :class="news?.state === 'recording' ? 'text-oxide' : 'text-brass'">
          <span v-if="news?.state === 'recording'" class="size-3 rounded-full bg-oxide" aria-hidden="true" />
          {{ STATES[news?.state ?? 'recording'] }}
        </p>
        <p>
          <span class="figure text-xl" data-testid="recorded">{{ seconds }}</span> s
        </p>
        <p>
          <span class="figure text-xl">{{ news?.readings ?? 0 }}</span> readings
        </p>
        <p v-if="perSecond !== null">
          <span class="figure text-xl">{{ perSecond }}</span> a second
        </p>
      </div>
      <fieldset class="mt-3">
        <legend class="mb-1 text-sm font-semibold">What is done now</legend>
        <div class="flex flex-wrap gap-2">
          <button
            v-for="(name, kind) in PHASES"
            :key="kind"
            type="button"
            class="quiet"
            :aria-pressed="news?.phase === kind"
            :disabled="news?.state !== 'recording'"
            @click="phase(kind)"
          >
            {{ name
            }}<span v-if="marked.some((each) => each.kind === kind) && news?.phase !== kind" class="text-moss"> ✓</span>
          </button>
        </div>
        <p class="mt-1 min-h-6 text-note text-soft" aria-live="polite">
          {{ news?.phase ? WHAT[news.phase] : 'Tap what you do; what is not marked is found by itself afterwards.' }}
        </p>
      </fieldset>
      <TraceChart
        v-if="shown.length > 0"
        class="mt-2"
        :laid="laid"
        :roles="shown"
        :bands="band ? { rpm: band } : {}"
        :brackets="[]"
        :words="`Live data as they come, ${seconds} seconds`"
      />
      <div class="mt-3 flex flex-wrap gap-2">
        <button type="button" class="primary" :disabled="busy !== '' || (news?.readings ?? 0) === 0" @click="keep">
          {{ news?.state === 'recording' || news?.state === 'paused' ? 'Stop and keep' : 'Keep what came' }}
        </button>
        <button
          v-if="news?.state === 'recording' || news?.state === 'paused'"
          type="button"
          class="quiet"
          @click="live.step({ do: news?.state === 'paused' ? 'resume' : 'pause' })"
        >
          {{ news?.state === 'paused' ? 'Go on' : 'Pause' }}
        </button>
        <button type="button" class="quiet" @click="live.end(false)">Throw it away</button>
      </div>
    </template>
    <p v-if="busy" class="mt-2 text-soft" aria-live="polite">{{ busy }} …</p>
    <p v-if="wrong" class="mt-2 font-semibold text-alarm" role="alert">{{ wrong }}</p>
  </section>
</template>
