<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Cause, Rate } from '../../core/diagnose/index.ts';
import type { CaseScore } from '../workers/judgingProtocol.ts';

/** How the written cases come out with this version: those to work with, and those set apart. */
const props = defineProps<{
  work: CaseScore | null;
  apart: CaseScore | null;
  causes: readonly Cause[];
  /** Cases scored so far, while it is worked out; null once it is there. */
  progress: { readonly done: number; readonly of: number } | null;
}>();
const open = ref(false);
const percent = (share: number): string => `${Math.round(share * 100)}\u00a0%`;
const within = ({ low, high }: Rate): string => `${Math.round(low * 100)} to ${Math.round(high * 100)}`;
const saved = ({ guided, list }: CaseScore): number => 1 - guided.meanMinutes / Math.max(1, list.meanMinutes);
const nameOf = (id: string): string => props.causes.find((cause) => cause.id === id.split('@')[0])?.name ?? id;
const sets = computed(() => [
  ...(props.apart === null ? [] : [{ title: 'set apart, never looked at', score: props.apart }]),
  ...(props.work === null ? [] : [{ title: 'to work with', score: props.work }]),
]);
</script>

<template>
  <section aria-label="Score">
    <p v-if="progress" class="text-soft" role="status">
      Working out {{ progress.of }} written cases: {{ progress.done }} done
      <svg class="mt-1 block" width="100%" height="4" aria-hidden="true">
        <rect width="100%" height="4" class="fill-line" />
        <rect
          :width="percent(progress.done / Math.max(1, progress.of)).replace('\u00a0', '')"
          height="4"
          class="fill-bottle"
        />
      </svg>
    </p>
    <div v-for="each in sets" :key="each.title" class="mb-4">
      <h3 class="text-sm font-bold">{{ each.score.guided.cases }} written cases {{ each.title }}</h3>
      <p class="mt-1">
        <span class="figure text-figure-sm">{{ percent(each.score.guided.amongThree.rate) }}</span>
        <span class="text-soft">
          ({{ within(each.score.guided.amongThree) }}) have the true cause among the first three, everything looked
          at</span
        >
      </p>
      <dl class="rows mt-2 text-note">
        <div class="flex justify-between gap-3 py-1">
          <dt>First of all</dt>
          <dd class="font-bold">{{ percent(each.score.guided.first.rate) }}</dd>
        </div>
        <div class="flex justify-between gap-3 py-1">
          <dt>First three, from what was told alone</dt>
          <dd class="font-bold">{{ percent(each.score.guided.top3Told) }}</dd>
        </div>
        <div class="flex justify-between gap-3 py-1">
          <dt>Shares of 90 % and more that were right</dt>
          <dd class="font-bold">{{ each.score.guided.sure.hits }} of {{ each.score.guided.sure.of }}</dd>
        </div>
        <div class="flex justify-between gap-3 py-1">
          <dt>Two faults, or none of ours, said</dt>
          <dd class="font-bold">{{ each.score.guided.named.hits }} of {{ each.score.guided.named.of }}</dd>
        </div>
        <div class="flex justify-between gap-3 py-1">
          <dt>Brier score, 0 best</dt>
          <dd class="font-bold">{{ each.score.guided.brier.toFixed(2) }}</dd>
        </div>
        <div class="flex justify-between gap-3 py-1">
          <dt>One finding left out changes what leads</dt>
          <dd class="font-bold">{{ percent(each.score.guided.turned.rate) }}</dd>
        </div>
        <div class="flex justify-between gap-3 py-1">
          <dt>Minutes until it leads</dt>
          <dd class="font-bold">
            {{ Math.round(each.score.guided.meanMinutes)
            }}<span class="font-normal text-soft"
              >, list {{ Math.round(each.score.list.meanMinutes) }}: {{ percent(saved(each.score)) }} fewer</span
            >
          </dd>
        </div>
      </dl>
      <table class="mt-2 w-full text-sm">
        <caption class="text-left font-semibold">
          How often a leading share was right
        </caption>
        <tbody>
          <tr v-for="band in each.score.guided.reliability" :key="band.from">
            <th scope="row" class="text-left font-normal text-soft">
              {{ percent(band.from) }} to {{ percent(band.to) }}
            </th>
            <td class="text-right font-semibold">{{ band.right.of === 0 ? '—' : percent(band.right.rate) }}</td>
            <td class="text-right text-soft">{{ band.right.hits }} of {{ band.right.of }}</td>
          </tr>
        </tbody>
      </table>
    </div>
    <p v-if="sets.length > 0" class="text-sm text-soft">
      The cases are written by us in the demo world: they show whether a change makes things worse, not how good we are
      on yours.
    </p>
    <button v-if="work" type="button" class="link min-h-9 text-sm" :aria-expanded="open" @click="open = !open">
      {{ open ? 'Hide the cases' : 'Every case to work with' }}
    </button>
    <ul v-if="open && work" class="rows text-sm">
      <li v-for="each in work.cases" :key="each.id" class="py-1.5">
        <span class="font-semibold">{{ each.title }}</span>:
        {{ each.truth.map((id) => nameOf(id).toLowerCase()).join(' and ') || 'nothing of ours' }}
        <span class="block text-soft"
          >place {{ each.placeTold }} when told, {{ each.placeAll }} at the end; {{ each.checks }} checks,
          {{ each.minutes }} min (list {{ each.listMinutes }})</span
        >
      </li>
    </ul>
  </section>
</template>
