<script setup lang="ts">
import { computed, ref } from 'vue';
import type { KnowledgeScore } from '../../contract/index.ts';
import type { Cause } from '../../core/diagnose/index.ts';

/** How the written cases come out with this version, against a fixed list of checks. */
const props = defineProps<{ score: KnowledgeScore; causes: readonly Cause[] }>();
const open = ref(false);
const percent = (share: number): string => `${Math.round(share * 100)}\u00a0%`;
const saved = computed(() => 1 - props.score.guided.meanMinutes / Math.max(1, props.score.list.meanMinutes));
const nameOf = (id: string): string => props.causes.find((cause) => cause.id === id)?.name ?? id;
</script>

<template>
  <section aria-label="Score">
    <h3 class="text-sm font-bold">{{ score.guided.cases }} written cases</h3>
    <p class="mt-1">
      <span class="figure text-figure-sm">{{ percent(score.guided.top3) }}</span>
      <span class="text-soft"> have the true cause among the first three when checking ends</span>
    </p>
    <dl class="rows mt-2 text-note">
      <div class="flex justify-between gap-3 py-1.5">
        <dt>First, when checking ends</dt>
        <dd class="font-bold">{{ percent(score.guided.top1) }}</dd>
      </div>
      <div class="flex justify-between gap-3 py-1.5">
        <dt>First three, from what was told alone</dt>
        <dd class="font-bold">{{ percent(score.guided.top3Told) }}</dd>
      </div>
      <div class="flex justify-between gap-3 py-1.5">
        <dt>Checks until it leads</dt>
        <dd class="font-bold">
          {{ score.guided.meanChecks.toFixed(1)
          }}<span class="font-normal text-soft">, list {{ score.list.meanChecks.toFixed(1) }}</span>
        </dd>
      </div>
      <div class="flex justify-between gap-3 py-1.5">
        <dt>Minutes until it leads</dt>
        <dd class="font-bold">
          {{ score.guided.meanMinutes.toFixed(0)
          }}<span class="font-normal text-soft">, list {{ score.list.meanMinutes.toFixed(0) }}</span>
        </dd>
      </div>
    </dl>
    <p class="mt-1 text-note text-soft">
      {{ percent(saved) }} fewer minutes than a fixed list of checks. The cases are written by us in the demo world:
      they show whether a change makes things worse, not how good we are on yours.
    </p>
    <button type="button" class="link min-h-9 text-sm" :aria-expanded="open" @click="open = !open">
      {{ open ? 'Hide the cases' : 'Every case' }}
    </button>
    <ul v-if="open" class="rows text-sm">
      <li v-for="each in score.cases" :key="each.id" class="py-1.5">
        <span class="font-semibold">{{ each.title }}</span>: {{ nameOf(each.truth).toLowerCase() }}
        <span class="block text-soft"
          >place {{ each.placeTold }} when told, {{ each.placeEnd }} at the end; {{ each.checks }} checks,
          {{ each.minutes }} min (list {{ each.listMinutes }})</span
        >
      </li>
    </ul>
  </section>
</template>
