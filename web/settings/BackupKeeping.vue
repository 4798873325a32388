<script setup lang="ts">
import { computed, nextTick, reactive, ref, useTemplateRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { BackupStep } from '../../contract/index.ts';
import { sayBytes } from '../../core/keeping/index.ts';
import { ApiError } from '../data/api.ts';
import { backUpNow, keepBackups, useKeeping } from '../data/keeping.ts';
import TextField from '../parts/TextField.vue';
import { useShop } from '../stores/shop.ts';
import BackupShelf from './BackupShelf.vue';
import { readClock } from '../../core/days/index.ts';
import { clockText } from './hours.ts';

/** Backups of the shop: the last good one, those that are kept, where they go, and one now. */
defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const route = useRoute();
const { data: keeping, failed, reload } = useKeeping();
const heading = useTemplateRef<HTMLElement>('heading');
const text = reactive({ first: '', second: '', at: '' });
const fields = ref<Readonly<Record<string, string>>>({});
const problem = ref('');
const kept = ref(false);

const STEPS: Readonly<Record<BackupStep, string>> = {
  copy: 'Copying the store',
  check: 'Checking every job',
  pack: 'Packing',
  'read back': 'Reading it back',
  'second copy': 'Making the second copy',
};
const AGES = { good: 'Last good backup', old: 'Too old', never: 'No backup yet', 'not-yet': 'No backup yet' } as const;
const when = computed(() => {
  const last = keeping.value?.lastGood;
  return last ? shop.say.nearTime(last.at) : 'none';
});
const share = computed(() => {
  const { done = 0, of = 0 } = keeping.value?.running ?? {};
  return of === 0 ? 0 : Math.round((done / of) * 100);
});
/** What was typed stays while others change something else here. */
let base = '';
watch(
  keeping,
  (reply) => {
    if (reply === null) return;
    const folders = reply.chosen ? reply.folders.map(({ path }) => path) : [];
    const stored = { first: folders[0] ?? '', second: folders[1] ?? '', at: clockText(reply.minute) };
    if (JSON.stringify(text) === base || base === '') Object.assign(text, stored);
    base = JSON.stringify(stored);
  },
  { immediate: true },
);
// Who comes for the backups sees them at once, as soon as there is something to scroll to.
watch(
  () => keeping.value !== null,
  async (isThere) => {
    if (!isThere || route.hash !== '#backups') return;
    await nextTick();
    heading.value?.scrollIntoView();
    heading.value?.focus({ preventScroll: true });
  },
  { immediate: true },
);

async function now(): Promise<void> {
  problem.value = '';
  try {
    await backUpNow();
    await reload();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
async function keep(): Promise<void> {
  kept.value = false;
  problem.value = '';
  const minute = readClock(text.at);
  fields.value = minute === null ? { 'keeping.minute': 'Expected a time of day such as 03:00.' } : {};
  if (minute === null) return;
  try {
    const folders = [text.first, text.second].map((path) => path.trim()).filter((path) => path !== '');
    await keepBackups({ folders, minute });
    await reload();
    kept.value = true;
  } catch (error) {
    if (error instanceof ApiError) fields.value = error.fields;
    problem.value = error instanceof Error && Object.keys(fields.value).length === 0 ? error.message : '';
  }
}
</script>

<template>
  <section class="mt-9 max-w-5xl" aria-labelledby="backups">
    <h2 id="backups" ref="heading" tabindex="-1" class="text-xl outline-none">Backups</h2>
    <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <template v-if="keeping">
      <div class="mt-3 flex flex-wrap items-end gap-x-10 gap-y-4 border-y border-line py-4">
        <p class="min-w-56">
          <span
            class="block text-note font-bold"
            :class="keeping.age === 'old' || keeping.age === 'never' ? 'text-oxide' : 'text-soft'"
            >{{ AGES[keeping.age] }}</span
          >
          <span class="figure block text-figure-sm">{{ when }}</span>
          <span class="text-note text-soft">{{
            keeping.lastGood
              ? `${sayBytes(keeping.lastGood.bytes)}, read back and whole`
              : 'made each night from now on'
          }}</span>
        </p>
        <p>
          <span class="block text-note font-bold" :class="keeping.room === 'well' ? 'text-soft' : 'text-alarm'"
            >Room on the disk</span
          >
          <span class="figure block text-figure-sm">{{
            keeping.freeBytes === null ? 'not known' : sayBytes(keeping.freeBytes)
          }}</span>
          <span class="text-note text-soft">{{
            { well: 'enough', low: 'low: make room soon', last: 'photos are not taken in any more' }[keeping.room]
          }}</span>
        </p>
        <div class="ml-auto flex min-w-64 flex-col items-end">
          <div v-if="keeping.running" class="w-full" role="status">
            <p class="flex justify-between gap-4 text-note">
              <span>{{ STEPS[keeping.running.step] }}</span><b class="figure">{{ share }} %</b>
            </p>
            <progress class="mt-1 h-2 w-full accent-bottle" :value="share" max="100" aria-label="The backup" />
          </div>
          <button v-else type="button" class="primary" :disabled="keeping.readOnly" @click="now">Back up now</button>
        </div>
      </div>
      <p
        v-if="keeping.lastTry && !keeping.running"
        class="mt-2 text-note"
        :class="keeping.lastTry.ok ? 'text-soft' : 'font-semibold text-alarm'"
        :role="keeping.lastTry.ok ? 'status' : 'alert'"
      >
        {{ keeping.lastTry.ok ? 'Backed up:' : 'The last try failed:' }} {{ keeping.lastTry.words }}
      </p>
      <ul v-if="keeping.findings.length > 0" class="rows mt-3 border-y border-line">
        <li v-for="found in keeping.findings" :key="found.words" class="py-2">
          <b class="text-oxide">{{ found.words }}</b> <span class="text-soft">{{ found.toDo }}</span>
        </li>
      </ul>
      <BackupShelf class="mt-5" :backups="keeping.backups" />
      <form class="mt-5 grid max-w-3xl items-start gap-4 sm:grid-cols-[1fr_1fr_8rem]" @submit.prevent="keep">
        <TextField
          v-model="text.first"
          label="They go to this folder"
          :placeholder="keeping.chosen ? '' : (keeping.folders[0]?.path ?? '')"
          :error="
            fields['keeping.folders.0'] ??
            fields['keeping.folders'] ??
            (keeping.chosen ? keeping.folders[0]?.problem : null)
          "
          hint="Empty: beside the store. Another disk is better."
        />
        <TextField
          v-model="text.second"
          label="And to this one"
          placeholder="/media/backup"
          :error="fields['keeping.folders.1'] ?? keeping.folders[1]?.problem"
          hint="A disk that goes home with somebody."
        />
        <TextField v-model="text.at" label="Each day at" placeholder="03:00" :error="fields['keeping.minute']" />
        <div class="sm:col-span-3">
          <button v-if="mayEdit" type="submit" class="quiet">Keep where they go</button>
          <span v-if="kept" class="ml-3 text-soft" role="status">Kept.</span>
          <p v-if="problem" class="mt-1 font-semibold text-alarm" role="alert">{{ problem }}</p>
        </div>
      </form>
    </template>
  </section>
</template>
