<script setup lang="ts">
import { computed, ref } from 'vue';
import {
  awaitingByPerson,
  eventWords,
  handOverCountersigned,
  type Job,
  type RecordedEvent,
} from '../../../core/job/index.ts';
import { useShop } from '../../stores/shop.ts';
import CountersignDialog from './CountersignDialog.vue';

/** What an apprentice did that a technician looks at, and the hand-over that an apprentice is about to make. */
const props = defineProps<{ job: Job }>();
const shop = useShop();
const open = ref(false);
const waits = computed(() => awaitingByPerson(props.job));
const seqs = computed(() => waits.value.flatMap(({ waits: entries }) => entries.map(({ seq }) => seq)));
const wordsOf = (entry: unknown): string => eventWords(entry as RecordedEvent, props.job);
const apprentice = computed(() => shop.person?.role === 'apprentice' && shop.here.length > 1);
const wanted = computed(() => apprentice.value && !handOverCountersigned(props.job));
</script>

<template>
  <section
    v-if="seqs.length > 0 || wanted"
    id="countersign"
    class="border-l-[3px] border-brass py-1 pl-3"
    tabindex="-1"
  >
    <p class="font-bold text-brass">A technician’s name beside it</p>
    <template v-for="{ by, waits: entries } in waits" :key="by">
      <p class="mt-1 text-note">{{ shop.firstName(by) }} did these; nobody has looked at them yet:</p>
      <ul class="text-sm">
        <li v-for="entry in entries" :key="entry.seq">{{ wordsOf(entry) }}</li>
      </ul>
    </template>
    <p v-if="wanted" class="mt-1 text-note">An apprentice hands over with a technician’s name beside it.</p>
    <p class="mt-2"><button type="button" class="quiet" @click="open = true">Countersign</button></p>
    <CountersignDialog v-if="open" :job="job" :seqs="seqs" :hand-over="wanted" @close="open = false" />
  </section>
</template>
