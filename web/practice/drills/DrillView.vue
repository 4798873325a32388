<script setup lang="ts">
import { type Component, computed, defineAsyncComponent, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import { recordDrill } from '../../data/practice.ts';
import { useShop } from '../../stores/shop.ts';
import { DRILL_IDS, type DrillId, DRILLS, isDrill } from './list.ts';

/** A drill: some tasks of one kind, each judged at once with the reason; what came of it is kept at the end. */
const TASKS: Readonly<Record<DrillId, Component>> = {
  'way-back': defineAsyncComponent(() => import('./WayBackTask.vue')),
  relearn: defineAsyncComponent(() => import('./RelearnTask.vue')),
  trace: defineAsyncComponent(() => import('./TraceTask.vue')),
  look: defineAsyncComponent(() => import('./SeenTask.vue')),
  wrench: defineAsyncComponent(() => import('./WrenchTask.vue')),
  'still-in': defineAsyncComponent(() => import('./StillInTask.vue')),
  mix: defineAsyncComponent(() => import('./MixTask.vue')),
};
/** How many of each are five minutes. */
const HOW_MANY: Readonly<Record<DrillId, number>> = {
  'way-back': 2,
  relearn: 3,
  trace: 6,
  look: 8,
  wrench: 6,
  'still-in': 5,
  mix: 4,
};

const route = useRoute();
const shop = useShop();
const drill = computed((): DrillId | null => {
  const id = String(route.params.drill);
  return isDrill(id) ? id : null;
});
const fresh = (): number => crypto.getRandomValues(new Uint32Array(1))[0] ?? 1;
const seed = ref(fresh());
const nth = ref(0);
const right = ref(0);
const of = ref(0);
const judged = ref(false);
const ended = ref(false);
const problem = ref('');
let began = performance.now();

function begin(): void {
  seed.value = fresh();
  nth.value = right.value = of.value = 0;
  judged.value = ended.value = false;
  problem.value = '';
  began = performance.now();
}
watch(drill, begin);
/** Told by a task once it is answered. */
function hear(got: { readonly right: number; readonly of: number }): void {
  right.value += got.right;
  of.value += got.of;
  judged.value = true;
}
const many = computed(() => (drill.value === null ? 0 : HOW_MANY[drill.value]));
/** Each task has a seed of its own; the drill is kept under the first. */
const taskSeed = computed(() => (seed.value + nth.value * 101) % 4294967296);
async function goOn(): Promise<void> {
  if (nth.value + 1 < many.value) {
    nth.value += 1;
    judged.value = false;
    return;
  }
  ended.value = true;
  if (shop.personId === '' || drill.value === null) return;
  problem.value = '';
  try {
    await recordDrill({
      by: shop.personId,
      drill: drill.value,
      seed: seed.value,
      right: right.value,
      of: of.value,
      seconds: Math.round((performance.now() - began) / 1000),
    });
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
const next = computed(() => DRILL_IDS[(DRILL_IDS.indexOf(drill.value ?? 'mix') + 1) % DRILL_IDS.length] ?? 'mix');
</script>

<template>
  <div class="h-full overflow-y-auto px-4 pb-8 pt-5 md:px-7">
    <p><RouterLink to="/practice" class="link text-note">Practice</RouterLink></p>
    <p v-if="drill === null" class="mt-3 text-lg" role="alert">There is no such drill.</p>
    <template v-else>
      <div class="mt-1 flex flex-wrap items-baseline gap-x-6 gap-y-1">
        <h1 class="text-title">{{ DRILLS[drill].name }}</h1>
        <p class="text-note text-soft">{{ DRILLS[drill].does }}</p>
        <ol class="ml-auto flex items-center gap-1.5" :aria-label="`${Math.min(nth + 1, many)} of ${many}`">
          <li
            v-for="place in many"
            :key="place"
            class="size-3 rounded-full border-2"
            :class="
              place - 1 < nth || ended
                ? 'border-bottle bg-bottle'
                : place - 1 === nth
                  ? 'border-oxide bg-paper'
                  : 'border-line bg-paper'
            "
          />
        </ol>
      </div>
      <section v-if="ended" class="mt-6 max-w-prose" aria-label="How it went">
        <p class="text-figure-md font-bold tabular-nums" role="status">{{ right }} of {{ of }}</p>
        <p class="mt-1 text-lg">
          {{
            right === of
              ? 'All of it. It comes back later.'
              : right >= of * 0.8
                ? 'Nearly all. It comes back in some days.'
                : 'It comes back soon.'
          }}
        </p>
        <p v-if="shop.personId === ''" class="mt-2 text-soft">Nobody is picked at this bench, so it is not kept.</p>
        <p v-if="problem" class="mt-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
        <div class="mt-5 flex flex-wrap gap-3">
          <button type="button" class="primary" @click="begin">Once more</button>
          <RouterLink class="quiet min-h-[50px]!" :to="`/practice/drills/${next}`">{{ DRILLS[next].name }}</RouterLink>
          <RouterLink class="quiet min-h-[50px]!" to="/practice">Back to practice</RouterLink>
        </div>
      </section>
      <div v-else class="mt-5">
        <component :is="TASKS[drill]" :key="`${seed} ${nth}`" :seed="taskSeed" @judged="hear" />
        <button v-if="judged" type="button" class="primary mt-5" @click="goOn">
          {{ nth + 1 < many ? 'Next' : 'See how it went' }}<span aria-hidden="true">→</span>
        </button>
      </div>
    </template>
  </div>
</template>
