<script setup lang="ts">
import { onMounted, ref, shallowRef } from 'vue';
import type { Station } from '../../contract/index.ts';
import { makeStation, readStations, strikeStation } from '../data/signIn.ts';
import TextField from '../parts/TextField.vue';
import { wordsOf } from '../sign-in/useComingIn.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';

/** Where people change hands by a PIN. A lost one is struck out: whoever has it then is nobody. */
const emit = defineEmits<{ changed: [] }>();
const shop = useShop();
const session = useSession();
const rows = shallowRef<readonly Station[]>([]);
const name = ref('');
const error = ref('');
const striking = ref('');
async function attempt(work: () => Promise<{ readonly rows: readonly Station[] }>): Promise<void> {
  error.value = '';
  try {
    rows.value = (await work()).rows;
    striking.value = name.value = '';
    await session.load();
    emit('changed');
  } catch (failed) {
    error.value = wordsOf(failed);
  }
}
onMounted(async () => {
  rows.value = await readStations().then(
    (read) => read.rows,
    () => [],
  );
});
</script>

<template>
  <div>
    <ul v-if="rows.length > 0" class="rows border-y border-line" aria-label="Stations">
      <li v-for="station in rows" :key="station.id" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
        <span class="font-semibold" :class="station.struckAt ? 'line-through' : ''">{{ station.name }}</span>
        <span v-if="station.id === session.station?.id" class="text-bottle">this device</span>
        <span class="text-soft">{{
          station.struckAt
            ? `struck out ${shop.say.time(station.struckAt)}`
            : `last seen ${shop.say.time(station.seenAt)}, made by ${shop.firstName(station.enrolledBy)}`
        }}</span>
        <span v-if="!station.struckAt" class="ml-auto flex gap-x-4">
          <template v-if="striking === station.id">
            <span class="self-center text-sm">Whoever has it is signed out, and no PIN counts there.</span>
            <button type="button" class="quiet text-alarm" @click="attempt(() => strikeStation(station.id))">
              Strike it out
            </button>
            <button type="button" class="quiet" @click="striking = ''">Keep it</button>
          </template>
          <button v-else type="button" class="faint" @click="striking = station.id">
            Lost<span class="sr-only">: {{ station.name }}</span>
          </button>
        </span>
      </li>
    </ul>
    <form
      v-if="session.station === null"
      class="mt-3 flex max-w-xl flex-wrap items-end gap-3"
      @submit.prevent="attempt(() => makeStation(name))"
    >
      <TextField
        v-model="name"
        class="min-w-60 flex-1"
        label="Make this device a station called"
        placeholder="tablet at bay 1"
      />
      <button type="submit" class="quiet" :disabled="name.trim() === ''">Make it a station</button>
    </form>
    <p v-if="error" class="mt-2 font-semibold text-alarm" role="alert">{{ error }}</p>
  </div>
</template>
