<script setup lang="ts">
import { computed } from 'vue';
import { figureGood, figureMeans, figureText, type Job, type When } from '../../../core/job/index.ts';
import { PHASES, TRACE_FIGURES, type TraceFigureKind } from '../../../core/trace/index.ts';
import { useShop } from '../../stores/shop.ts';
import { freshId, useJob } from '../../stores/job.ts';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';
import { useForm } from '../useForm.ts';
import { offerOf } from './offers.ts';
import { apiUrl } from '../../data/world.ts';

/** What recordings of the job show: each figure with what it means here, and offered to the diagnosis by a tap. */
const props = defineProps<{ job: Job; when: When }>();
const store = useJob();
const shop = useShop();
const form = useForm();
const kept = computed(() => props.job.recordings.filter((each) => each.when === props.when));
const last = computed(() => kept.value.at(-1) ?? null);
const rows = computed(() =>
  (last.value?.figures ?? []).map(({ kind, value, atLeast }) => ({
    kind,
    name: TRACE_FIGURES[kind].name,
    text: figureText(kind, { value, atLeast }),
    good: figureGood(props.job, kind, value),
    means: figureMeans(props.job, kind, value),
    offer: props.when === 'before' ? offerOf(props.job, store.knowledge, kind, last.value?.figures ?? []) : null,
  })),
);
function take(kind: TraceFigureKind): void {
  const offer = rows.value.find((row) => row.kind === kind)?.offer;
  if (!offer) return;
  if (offer.how === 'check')
    form.send('record-check', {
      id: freshId(),
      check: offer.sign,
      outcome: '',
      typed: [...offer.typed],
      when: 'before',
    });
  else form.send('answer-question', { id: freshId(), sign: offer.sign, outcome: offer.outcome });
}
</script>

<template>
  <div v-if="last">
    <ul class="rows border-y border-line">
      <li v-for="each in kept" :key="each.id" class="flex flex-wrap items-baseline gap-x-4 gap-y-1 py-2 text-note">
        <span class="font-semibold">{{ shop.say.time(each.startedAt) }}</span>
        <span class="flex-1 text-soft"
          >{{ Math.round(each.seconds) }} s, {{ each.channels.length }} values,
          {{ [...new Set(each.phases.map(({ kind }) => PHASES[kind]))].join(', ') || 'no phase found'
          }}{{
            each.ended === 'lost' ? '; the connection was lost' : each.ended === 'file' ? `; from ${each.from}` : ''
          }}</span
        >
        <a class="underline" :href="apiUrl(`/recordings/${each.hash}/csv`)" download>CSV</a>
        <PutRight :job="job" kind="recording-kept" :holds="{ id: each.id }" what="live data" />
      </li>
    </ul>
    <StruckLines :job="job" :kinds="['recording-kept']" />
    <ul class="mt-2">
      <li
        v-for="row in rows"
        :key="row.kind"
        class="flex flex-wrap items-baseline gap-x-4 gap-y-1 border-b border-line py-2"
      >
        <span class="w-56 max-w-full font-semibold">{{ row.name }}</span>
        <span class="figure w-24" :class="row.good === false ? 'text-oxide' : row.good ? 'text-moss' : ''">{{
          row.text
        }}</span>
        <span class="min-w-48 flex-1 text-note text-soft">{{ row.means }}</span>
        <button v-if="row.offer" type="button" class="quiet" @click="take(row.kind)">Add to the evidence</button>
      </li>
    </ul>
    <ul v-if="last.odd.length > 0" class="mt-2 text-note font-semibold text-oxide">
      <li v-for="each in last.odd" :key="each">{{ each }}.</li>
    </ul>
    <p v-if="last.untold.length > 0" class="mt-2 text-note text-soft">Not told: {{ last.untold.join('; ') }}.</p>
    <p v-if="form.general()" class="mt-2 font-semibold text-alarm" role="alert">{{ form.general() }}</p>
  </div>
</template>
