<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { JobItem } from '../../../core/job/index.ts';
import { useForm } from '../useForm.ts';

/** Where the bolts of a typed group sit: tapped on a flange, or as a ring or a row. Their order follows from it. */
const props = defineProps<{ item: JobItem }>();
const form = useForm();
const open = ref(false);
const places = ref<readonly { readonly x: number; readonly y: number }[]>([]);
watch(
  () => props.item.id,
  () => ([open.value, places.value] = [false, []]),
);
const count = computed(() => props.item.fasteners?.count ?? 0);
const left = computed(() => count.value - places.value.length);
const [WIDTH, HEIGHT] = [250, 190];

function put(event: MouseEvent): void {
  if (left.value === 0 || !(event.currentTarget instanceof SVGElement)) return;
  const box = event.currentTarget.getBoundingClientRect();
  const x = Math.round(((event.clientX - box.left) / box.width) * WIDTH);
  const y = Math.round(((event.clientY - box.top) / box.height) * HEIGHT);
  places.value = [...places.value, { x, y }];
  if (left.value === 0) keep();
}
function keep(): void {
  if (form.send('place-bolts', { itemId: props.item.id, places: places.value })) open.value = false;
  else places.value = [];
}
const all = (placeOf: (index: number) => { x: number; y: number }): void => {
  places.value = Array.from({ length: count.value }, (_, index) => placeOf(index));
  keep();
};
/** From the upper left clockwise. */
const ring = (): void =>
  all((index) => {
    const angle = (2 * Math.PI * index) / count.value - (3 * Math.PI) / 4;
    return { x: Math.round(WIDTH / 2 + 70 * Math.cos(angle)), y: Math.round(HEIGHT / 2 + 70 * Math.sin(angle)) };
  });
const row = (): void => all((index) => ({ x: 20 + Math.round((210 * index) / (count.value - 1)), y: HEIGHT / 2 }));
</script>

<template>
  <div v-if="open" class="grid gap-2">
    <p class="text-note" aria-live="polite">
      {{ left === count ? `Tap where each of the ${count} sits, looking at the flange.` : `${left} to go.` }}
    </p>
    <svg
      :viewBox="`0 0 ${WIDTH} ${HEIGHT}`"
      class="w-full max-w-72 cursor-crosshair touch-manipulation border border-line bg-band"
      role="img"
      :aria-label="`Flange with ${places.length} of ${count} bolts placed`"
      @click="put"
    >
      <circle :cx="WIDTH / 2" :cy="HEIGHT / 2" r="34" class="fill-none stroke-line" stroke-width="5" />
      <g v-for="(place, index) in places" :key="index">
        <circle :cx="place.x" :cy="place.y" r="13" class="fill-card stroke-oxide" stroke-width="3" />
        <text :x="place.x" :y="place.y + 5" text-anchor="middle" class="fill-ink text-sm font-bold">
          {{ index + 1 }}
        </text>
      </g>
    </svg>
    <p v-if="form.error('places') ?? form.general('places')" class="font-semibold text-alarm" role="alert">
      {{ form.error('places') ?? form.general('places') }}
    </p>
    <div class="flex flex-wrap gap-2">
      <button type="button" class="quiet text-sm" @click="ring">Evenly round</button>
      <button type="button" class="quiet text-sm" @click="row">In a row</button>
      <button type="button" class="faint" @click="[open, places] = [false, []]">Leave it</button>
    </div>
  </div>
  <button v-else type="button" class="faint justify-self-start" @click="open = true">Show where they sit</button>
</template>
