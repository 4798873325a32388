<script setup lang="ts">
import { computed, ref } from 'vue';
import type { JobUnit, Job, PieceApart } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** What looks alike and must go back to its own place: injectors to their cylinder. */
const props = defineProps<{ job: Job; unit: JobUnit; units: readonly JobUnit[] }>();
const form = useForm();
const what = ref('Injector');
const wrongAt = ref('');
const free = ref('');
const places = computed(() => {
  const named = props.units.map(({ place }) => place).filter((place) => place !== 'only');
  return named.length > 1 ? named : [];
});
const apart = computed(() => props.job.pieces);
const lying = (place: string): boolean =>
  apart.value.some((piece) => piece.what === what.value && piece.place === place && piece.returned === null);
function setApart(place: string): void {
  if (form.send('set-apart', { id: freshId(), unit: props.unit.id, what: what.value, place })) free.value = '';
}
function putBack(piece: PieceApart, place: string, renewed = false): void {
  wrongAt.value = form.send('return-piece', { id: piece.id, place, renewed }) ? '' : piece.id;
}
</script>

<template>
  <section id="pieces">
    <h3 class="text-lg">To its own place</h3>
    <p class="text-note text-soft">Injectors and other look-alikes go back to the cylinder they came from.</p>
    <ul v-if="apart.length > 0" class="rows mt-2 border-y border-line">
      <li v-for="piece in apart" :key="piece.id" class="flex flex-wrap items-center gap-x-4 gap-y-2 py-2">
        <span
          class="rounded-full border-2 px-3 py-0.5 font-bold"
          :class="piece.returned ? 'border-moss text-moss' : 'border-oxide text-oxide'"
          >{{ piece.place }}</span
        >
        <span class="font-semibold">{{ piece.what }}</span>
        <span v-if="piece.returned" class="ml-auto text-moss">{{
          piece.returned.renewed ? 'renewed' : 'back in its place'
        }}</span>
        <span v-else-if="job.status === 'open'" class="ml-auto flex flex-wrap items-center gap-2">
          <span class="text-sm text-soft">goes into</span>
          <button
            v-for="place in places.length > 0 ? places : [piece.place]"
            :key="place"
            type="button"
            class="quiet text-sm"
            @click="putBack(piece, place)"
          >
            {{ place }}
          </button>
          <button type="button" class="faint self-center!" @click="putBack(piece, piece.place, true)">a new one</button>
        </span>
        <p v-if="wrongAt === piece.id" class="w-full text-sm font-semibold text-alarm" role="alert">
          {{ form.error('place') ?? form.general('place') }}
        </p>
      </li>
    </ul>
    <div v-if="job.status === 'open'" class="mt-3 flex flex-wrap items-end gap-2">
      <TextField v-model="what" class="w-44" label="Set apart" />
      <template v-if="places.length > 0">
        <button
          v-for="place in places.filter((each) => !lying(each))"
          :key="place"
          type="button"
          class="quiet"
          @click="setApart(place)"
        >
          from {{ place }}
        </button>
      </template>
      <form v-else class="flex items-end gap-2" @submit.prevent="setApart(free)">
        <TextField v-model="free" class="w-44" label="From" placeholder="cylinder 2" />
        <button type="submit" class="quiet">Set apart</button>
      </form>
    </div>
    <p v-if="wrongAt === '' && form.wrong.value" class="mt-1 text-sm font-semibold text-alarm" role="alert">
      {{ form.wrong.value.message }}
    </p>
  </section>
</template>
