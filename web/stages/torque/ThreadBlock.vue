<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { type JobItem, strippedThreads } from '../../../core/job/index.ts';
import { useForm } from '../useForm.ts';
import { jointFigures } from './jointFigures.ts';

/** A bolt that turns without end: said once, then ways out with what each would hold. */
const props = defineProps<{ item: JobItem; next: string; closed: boolean }>();
const form = useForm();
const asking = ref(false);
watch(
  () => props.item.id,
  () => (asking.value = false),
);
const broken = computed(() => strippedThreads(props.item));
const repairs = computed(() => (props.item.fasteners === null ? [] : jointFigures(props.item.fasteners).repairs));
const labelOf = (boltId: string): string =>
  props.item.fasteners?.bolts.find(({ id }) => id === boltId)?.label || `bolt ${boltId}`;
</script>

<template>
  <section v-for="thread in broken" :key="thread.boltId" class="grid gap-2 border-l-[3px] border-alarm py-1 pl-3">
    <p class="font-bold text-alarm">Thread stripped: {{ labelOf(thread.boltId) }}</p>
    <ul class="rows">
      <li v-for="route in repairs" :key="route.route" class="py-2">
        <div class="flex items-baseline justify-between gap-3">
          <span class="font-semibold">{{ route.name }}</span>
          <span v-if="route.margin !== null" class="font-bold" :class="route.margin >= 1.5 ? 'text-moss' : 'text-oxide'"
            >{{ route.margin.toFixed(1) }} ×</span
          >
        </div>
        <p class="text-sm text-soft">{{ route.words }}</p>
        <button
          v-if="!closed"
          type="button"
          class="quiet mt-1 text-sm"
          @click="form.send('repair-thread', { itemId: item.id, boltId: thread.boltId, route: route.route, note: '' })"
        >
          Done this way
        </button>
      </li>
    </ul>
    <p class="text-sm text-soft">Times the load at the top of the band. Follow the maker’s procedure.</p>
  </section>
  <template v-if="next && !closed">
    <div v-if="asking" class="flex flex-wrap items-center gap-2">
      <p class="text-note font-semibold">{{ labelOf(next) }}: the thread is gone?</p>
      <button
        type="button"
        class="quiet text-sm"
        @click="
          form.send('strip-thread', { itemId: item.id, boltId: next, note: '' });
          asking = false;
        "
      >
        It stripped
      </button>
      <button type="button" class="quiet text-sm" @click="asking = false">No</button>
    </div>
    <button v-else type="button" class="faint" @click="asking = true">It turns without end</button>
  </template>
</template>
