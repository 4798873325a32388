<script setup lang="ts">
import { computed } from 'vue';
import { type Mask, walkInPlace } from '../../../core/clean/index.ts';
import { type Job, type JobUnit, rulesOf } from '../../../core/job/index.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';

/** A unit that is cleaned where it sits: what is reached and what stays, what is covered, and rags counted in and out. */
const props = defineProps<{ job: Job; unit: JobUnit; masks: readonly Mask[] }>();
const store = useJob();
const shop = useShop();
const walk = computed(() => walkInPlace(props.unit.form, rulesOf(props.job, shop.rules)));
const where = computed(() => `behind the plate, ${props.unit.name.toLowerCase()}`);
const rags = computed(() => props.job.objects.filter((each) => each.where === where.value && !each.out));
const ragIn = (): void => void store.send('place-object', { id: freshId(), what: 'Rag', where: where.value });
</script>

<template>
  <div class="mt-3 max-w-3xl border-l-[3px] border-bottle pl-4">
    <dl class="grid gap-x-4 gap-y-1 text-note sm:grid-cols-[7rem_1fr]">
      <dt class="font-semibold">Reached</dt>
      <dd>{{ walk.reached }}.</dd>
      <dt class="font-semibold">Stays on</dt>
      <dd>{{ walk.staysOn }}: not seen, not clean.</dd>
      <dt class="font-semibold">Engine</dt>
      <dd>{{ walk.engine }}.</dd>
      <dt class="font-semibold">Cover</dt>
      <dd>
        <template v-for="(mask, index) in masks" :key="mask.what"
          ><template v-if="index > 0">; </template><b>{{ mask.what.toLowerCase() }}</b
          >: {{ mask.with }}</template
        >.
      </dd>
      <dt class="font-semibold">Afterwards</dt>
      <dd>{{ walk.after }}.</dd>
    </dl>
    <div v-if="job.status === 'open'" class="mt-2 flex flex-wrap items-center gap-3">
      <button type="button" class="quiet" @click="ragIn">A rag goes in</button>
      <button
        v-for="(rag, index) in rags"
        :key="rag.id"
        type="button"
        class="quiet border-oxide! text-oxide"
        @click="store.send('take-object-out', { id: rag.id })"
      >
        Rag {{ index + 1 }} is in: take it out
      </button>
      <p v-if="rags.length > 0" class="text-note font-semibold text-oxide">The engine is held while a rag is in.</p>
    </div>
  </div>
</template>
