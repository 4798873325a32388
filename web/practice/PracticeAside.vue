<script setup lang="ts">
import { computed, ref } from 'vue';
import { type HandDeed, inPlaceOf } from '../../core/practice/index.ts';
import { jobMayStart, runningTimers } from '../../core/job/index.ts';
import { lowerFirst } from '../../core/words/index.ts';
import PickField from '../parts/PickField.vue';
import { useShop } from '../stores/shop.ts';
import { useNow } from '../stores/clock.ts';
import { useCauseNames } from './causeNames.ts';
import EngineTraces from './EngineTraces.vue';
import SayWhatItWas from './SayWhatItWas.vue';
import { stopPractice } from '../data/practice.ts';
import { WORLD } from '../data/world.ts';
import { useEngine } from './useEngine.ts';
import { usePractice } from './usePractice.ts';
import BenchLooks from './BenchLooks.vue';
import CustomerAsked from './CustomerAsked.vue';

/** The simulated vehicle beside every stage: its key and engine, what hands do at it, the practice clock, and the way out. */
defineProps<{ stage: string }>();
const { store, reply, entries, does, problem, signs, tags } = usePractice();
const shop = useShop();
const now = useNow();
const { nameOf, newest } = useCauseNames();
const { samples, shown } = useEngine(() => reply.value?.state === 'open');
const job = computed(() => store.job);
const ending = ref(false);

const holds = computed(() => {
  const verdict = job.value === null ? null : jobMayStart(job.value);
  return verdict === null || verdict.may ? [] : verdict.holds.map(({ words }) => words);
});
const KEYS: readonly { readonly deed: HandDeed; readonly name: string; readonly key: string }[] = [
  { deed: 'key-off', name: 'Off', key: 'off' },
  { deed: 'key-on', name: 'On', key: 'on' },
  { deed: 'run', name: 'Run', key: 'run' },
];
const key = computed(() => reply.value?.key ?? 'off');
/** How the vehicle answered, as long as nothing else was done since. */
const last = computed(() => entries.value.at(-1) ?? null);
const isStopped = computed(() => last.value?.kind === 'hand' && last.value.answer?.hand?.stopped === true);
const answer = computed(() =>
  last.value?.kind === 'hand'
    ? (last.value.answer?.hand?.words ?? '')
    : last.value?.kind === 'mend'
      ? `${nameOf(last.value.what)}: put right.`
      : '',
);
const isWaiting = computed(() => job.value !== null && runningTimers(job.value).length > 0);

async function hand(deed: HandDeed): Promise<void> {
  await does({ kind: 'hand', deed });
}
const mending = ref('');
const mendable = computed(() =>
  (newest.value?.causes ?? [])
    .filter((cause) => inPlaceOf(cause) !== null)
    .map(({ id, name }) => ({ id, words: name })),
);
async function mend(): Promise<void> {
  const cause = mending.value;
  if (cause === '') return;
  if ((await does({ kind: 'mend', cause })) !== null) mending.value = '';
}
const mended = computed(() => entries.value.filter(({ kind }) => kind === 'mend').map(({ what }) => what));

async function putAside(): Promise<void> {
  await stopPractice(WORLD.practice ?? '');
  location.assign('/practice');
}
</script>

<template>
  <section v-if="reply && reply.state !== 'open'" aria-label="The simulated vehicle" class="border-b border-line pb-5">
    <h3 class="text-action font-bold">{{ reply.state === 'ended' ? 'This practice is ended' : 'Put aside' }}</h3>
    <p class="mt-1 text-note text-soft">
      {{
        reply.state === 'ended'
          ? 'You look at it as it was left: nothing of it changes any more.'
          : 'Its clock stands still, and nothing of it changes until it is taken up.'
      }}
    </p>
    <a v-if="reply.state === 'ended'" class="quiet mt-3" :href="`/practice/jobs/${reply.id}/review`">To its review</a>
    <a v-else class="quiet mt-3" href="/practice">To practice</a>
  </section>
  <section v-else-if="reply && job" aria-label="The simulated vehicle" class="grid gap-3 border-b border-line pb-5">
    <CustomerAsked
      v-if="stage === 'complaint'"
      :job="job"
      :signs="signs"
      :entries="entries"
      @ask="(sign) => does({ kind: 'ask', sign })"
    />
    <div class="flex items-baseline justify-between gap-3">
      <h3 class="text-action font-bold">The simulated engine</h3>
      <span class="text-sm text-soft">key {{ key }}</span>
    </div>
    <EngineTraces :samples="samples" :shown="shown" :figures="job.vehicle.figures" :is-off="key === 'off'" />
    <div class="grid grid-cols-3 overflow-hidden rounded border-[1.5px] border-line" role="group" aria-label="Key">
      <button
        v-for="each in KEYS"
        :key="each.deed"
        type="button"
        class="min-h-12 border-line text-note font-bold not-first:border-l-[1.5px]"
        :class="
          key === each.key
            ? 'bg-ink text-paper'
            : each.deed === 'run' && holds.length > 0
              ? 'text-soft'
              : 'hover:bg-band'
        "
        :aria-pressed="key === each.key"
        @click="hand(each.deed)"
      >
        {{ each.name }}{{ each.deed === 'run' && holds.length > 0 ? ', held' : '' }}
      </button>
    </div>
    <div class="grid grid-cols-3 gap-2">
      <button type="button" class="quiet px-1! text-sm" @click="hand('blip')">Blip</button>
      <button type="button" class="quiet px-1! text-sm" @click="hand('lights-on')">Lights on</button>
      <button type="button" class="quiet px-1! text-sm" @click="hand('sweep')">Pedal down</button>
    </div>
    <p
      v-if="answer || problem"
      class="border-l-4 pl-3 text-note leading-snug"
      :class="isStopped || problem ? 'border-alarm font-semibold text-alarm' : 'border-line'"
      role="status"
    >
      {{ problem || answer }}
    </p>
    <BenchLooks v-if="stage !== 'diagnose'" :job="job" :signs="signs" :look="(sign) => does({ kind: 'look', sign })" />
    <details :open="reply.open || reply.ragIn || reply.handAtPlate">
      <summary class="min-h-9 py-1.5 text-sm font-semibold text-soft">What your hands do</summary>
      <div class="mt-1 grid grid-cols-2 gap-2">
        <button v-if="!reply.handAtPlate" type="button" class="quiet px-2! text-sm" @click="hand('hand-at-plate')">
          Hand at the plate
        </button>
        <button v-else type="button" class="quiet px-2! text-sm" @click="hand('hand-away')">Hand away</button>
        <button v-if="!reply.ragIn" type="button" class="quiet px-2! text-sm" @click="hand('rag-in')">
          Rag into the inlet
        </button>
        <button v-else type="button" class="quiet px-2! text-sm" @click="hand('rag-out')">Rag out</button>
        <button type="button" class="quiet px-2! text-sm" @click="hand('spray-bore')">Spray the bore</button>
        <button type="button" class="quiet px-2! text-sm" @click="hand('spray-sensor')">Spray the sensor</button>
      </div>
    </details>
    <form v-if="stage !== 'complaint'" class="grid gap-2" @submit.prevent="mend">
      <PickField
        v-model="mending"
        label="Put right where it sits"
        :picks="mendable"
        placeholder="hose, cable, plug …"
      />
      <button v-if="mending" type="submit" class="quiet justify-self-start">Put it right</button>
      <p v-if="mended.length > 0" class="text-sm text-soft">
        Put right: {{ mended.map(nameOf).map(lowerFirst).join(', ') }}.
      </p>
    </form>
    <p class="flex items-center gap-3 text-sm">
      <svg viewBox="0 0 24 24" class="size-6 shrink-0 text-brass" aria-hidden="true">
        <circle cx="12" cy="12" r="10" fill="none" stroke="currentColor" stroke-width="2" stroke-dasharray="4 2.3" />
        <path d="M12 6V12L16 14" fill="none" stroke="currentColor" stroke-width="2" />
      </svg>
      <span
        ><b class="text-note tabular-nums">{{ shop.say.clock(now) }}</b> on the practice clock{{ isWaiting ? ',' : '' }}
        <span v-if="isWaiting" class="font-bold text-brass">×20 while it soaks or warms up</span></span
      >
    </p>
    <button type="button" class="primary" @click="ending = true">
      Say what it was<span aria-hidden="true">→</span>
    </button>
    <button type="button" class="link min-h-9 justify-self-start text-note" @click="putAside">Put it aside</button>
    <SayWhatItWas v-if="ending" :tags="tags" @close="ending = false" />
  </section>
</template>
