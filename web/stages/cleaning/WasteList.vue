<script setup lang="ts">
import { computed } from 'vue';
import { WASTE_KINDS, type WasteKind } from '../../../core/clean/index.ts';
import { type Job, wasteDue } from '../../../core/job/index.ts';
import { lowerFirst } from '../../../core/words/index.ts';
import { freshId, useJob } from '../../stores/job.ts';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';

/** What the bench leaves behind and where each kind goes. */
const props = defineProps<{ job: Job }>();
const store = useJob();
const due = computed(() => wasteDue(props.job));
const take = (kind: WasteKind): void => {
  store.send('take-waste', { id: freshId(), kind, amount: '', where: WASTE_KINDS[kind].bin });
};
</script>

<template>
  <section v-if="due.length > 0 || job.waste.length > 0" id="waste">
    <h3 class="text-lg">Waste</h3>
    <ul class="rows mt-1 border-y border-line text-note">
      <li v-for="each in due" :key="each.kind" class="flex items-center justify-between gap-3 py-2">
        <span>
          <span class="font-semibold">{{ WASTE_KINDS[each.kind].name }}</span>
          <span class="block text-sm text-soft">{{ WASTE_KINDS[each.kind].into }}; {{ each.why }}</span>
        </span>
        <button v-if="job.status === 'open'" type="button" class="quiet shrink-0 text-sm" @click="take(each.kind)">
          Taken away
        </button>
      </li>
      <li v-for="each in job.waste" :key="each.id" class="flex items-baseline justify-between gap-3 py-2 text-moss">
        {{ WASTE_KINDS[each.kind].name }}: {{ lowerFirst(each.where) }}
        <PutRight :job="job" kind="waste-taken" :holds="{ id: each.id }" :what="WASTE_KINDS[each.kind].name" />
      </li>
    </ul>
    <StruckLines :job="job" :kinds="['waste-taken', 'can-weighed', 'pass-done']" />
  </section>
</template>
