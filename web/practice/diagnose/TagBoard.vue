<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { CauseModel } from '../../../core/diagnose/index.ts';
import PickField from '../../parts/PickField.vue';
import { useCauseNames } from '../causeNames.ts';

/** Ten tags that a person lays on causes: how much is believed of each. Never judged before it is decided. */
const props = defineProps<{ tags: Readonly<Record<string, number>>; causes: readonly CauseModel[] }>();
const emit = defineEmits<{ lay: [tags: Record<string, number>] }>();
const ALL = 10;
/** Taps in one breath are one thought, ms. */
const BREATH_MS = 500;
const { nameOf } = useCauseNames();

const laid = ref<Record<string, number>>({ ...props.tags });
/** Causes that were picked, in the order in which they were. */
const shown = ref<string[]>(Object.keys(props.tags));
let breath: ReturnType<typeof setTimeout> | undefined;
watch(
  () => props.tags,
  (tags) => {
    if (breath !== undefined) return;
    laid.value = { ...tags };
    for (const cause of Object.keys(tags)) if (!shown.value.includes(cause)) shown.value.push(cause);
  },
);
const rows = computed(() =>
  shown.value
    .map((cause) => ({ cause, tags: laid.value[cause] ?? 0 }))
    .sort((a, b) => b.tags - a.tags || shown.value.indexOf(a.cause) - shown.value.indexOf(b.cause)),
);
const left = computed(() => ALL - Object.values(laid.value).reduce((sum, tags) => sum + tags, 0));
const picks = computed(() =>
  [...new Set(props.causes.map(({ id, cause }) => cause ?? id))]
    .filter((cause) => !shown.value.includes(cause))
    .map((cause) => ({ id: cause, words: nameOf(cause) })),
);
const another = ref('');
watch(another, (cause) => {
  if (cause === '') return;
  shown.value = [...shown.value, cause];
  if (left.value > 0) move(cause, 1);
  another.value = '';
});

function move(cause: string, by: number): void {
  const next = (laid.value[cause] ?? 0) + by;
  if (next < 0 || (by > 0 && left.value < by)) return;
  laid.value = { ...laid.value, [cause]: next };
  clearTimeout(breath);
  breath = setTimeout(() => {
    breath = undefined;
    emit('lay', Object.fromEntries(Object.entries(laid.value).filter(([, tags]) => tags > 0)));
  }, BREATH_MS);
}
</script>

<template>
  <div>
    <h3 class="text-xl">What do you think?</h3>
    <p class="text-note text-soft">
      Ten tags, put on causes;
      {{ left === 0 ? 'all placed.' : left === 1 ? 'one is left.' : `${left} are left.` }}
    </p>
    <ol class="mt-2">
      <li v-for="(row, place) in rows" :key="row.cause" class="border-t border-line py-2.5">
        <p class="font-semibold">
          <span class="text-brass">{{ place + 1 }}</span>&ensp;{{ nameOf(row.cause) }}
        </p>
        <div class="mt-1.5 flex items-center gap-2">
          <span class="flex flex-1 flex-wrap items-center gap-0.5" aria-hidden="true">
            <svg v-for="tag in row.tags" :key="tag" viewBox="0 0 18 14" class="h-3.5 w-[18px] text-brass">
              <path d="M5 0H17a1 1 0 0 1 1 1V13a1 1 0 0 1-1 1H5L0 7Z" fill="currentColor" />
              <circle cx="6" cy="7" r="1.8" class="fill-paper" />
            </svg>
          </span>
          <span class="w-5 text-right font-bold tabular-nums" :aria-label="`${row.tags} of ten`">{{ row.tags }}</span>
          <button
            type="button"
            class="quiet size-11 p-0! text-lg"
            :disabled="row.tags === 0"
            :aria-label="`One tag less on ${nameOf(row.cause).toLowerCase()}`"
            @click="move(row.cause, -1)"
          >
            −
          </button>
          <button
            type="button"
            class="quiet size-11 p-0! text-lg"
            :disabled="left === 0"
            :aria-label="`One tag more on ${nameOf(row.cause).toLowerCase()}`"
            @click="move(row.cause, 1)"
          >
            +
          </button>
        </div>
      </li>
    </ol>
    <PickField v-model="another" class="mt-2" :label="rows.length === 0 ? 'A cause' : 'Another cause'" :picks="picks" />
  </div>
</template>
