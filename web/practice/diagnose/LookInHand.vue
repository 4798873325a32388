<script setup lang="ts">
import { computed, ref } from 'vue';
import type { PracticeEntry } from '../../../contract/index.ts';
import { bandFor, type Sign } from '../../../core/diagnose/index.ts';
import { subjectOf, whereIs } from '../../../core/job/index.ts';
import { figuresOf } from '../../../core/vehicle/index.ts';
import CautionStack from '../../parts/CautionStack.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../../stages/useForm.ts';
import LitLook from '../looks/LitLook.vue';

/** What is looked at now, as it is; the person says what it is. */
const props = defineProps<{ entry: PracticeEntry; sign: Sign }>();
defineEmits<{ another: [] }>();
const store = useJob();
const form = useForm();
const outcome = ref('');
const isAsked = ref(false);

const met = computed(() => props.entry.answer?.met ?? null);
const said = computed(() => props.entry.answer?.said ?? '');
const method = computed(() => props.sign.method);
const isNumber = computed(() => method.value?.entry.kind !== 'choice');
const hasLamp = computed(() => met.value?.kind === 'deposit');
const readings = computed(() => (met.value?.kind === 'figures' ? met.value.figures : []));
/** Beyond the meter there is nothing to type: it is said. */
const isReadable = computed(() => isNumber.value && readings.value.every(({ value }) => value !== null));
const band = computed(() => {
  const entry = method.value?.entry;
  return entry?.kind !== 'number' || store.job === null
    ? null
    : bandFor(entry, figuresOf(store.job.vehicle, store.family));
});
/** Once work has begun a look is one of *after*. */
const when = computed(() => (store.job?.items.some(({ state }) => state !== 'on') ? 'after' : 'before'));
const unit = computed(() => {
  if (store.job === null) return undefined;
  const fits = (subjectOf(store.job, store.family).units ?? []).filter(({ kind }) => props.sign.of.includes(kind));
  return fits.length === 1 ? fits[0] : undefined;
});
function record(): void {
  isAsked.value = outcome.value === '' && !isReadable.value;
  if (isAsked.value) return;
  if (outcome.value === 'cannot-tell') {
    form.send('pass-over-check', { id: freshId(), check: props.sign.id, why: 'could not tell' });
    return;
  }
  const made = {
    id: freshId(),
    check: props.sign.id,
    outcome: isReadable.value ? '' : outcome.value,
    typed: isReadable.value ? readings.value.map(({ value, decimals }) => (value ?? 0).toFixed(decimals)) : [],
    when: when.value,
  } as const;
  form.send(
    'record-check',
    unit.value === undefined
      ? { ...made, typed: [...made.typed] }
      : { ...made, typed: [...made.typed], unit: unit.value },
  );
}
const passOver = (): void =>
  void form.send('pass-over-check', { id: freshId(), check: props.sign.id, why: 'the engine is held' });
</script>

<template>
  <div>
    <div class="flex flex-wrap items-baseline justify-between gap-x-4">
      <h3 class="text-xl">{{ sign.name }}</h3>
      <p class="text-sm text-soft">
        {{ method?.minutes }} min · {{ method?.key }}{{ hasLamp ? ' · lamp' : ''
        }}{{ unit && unit.place !== 'only' ? ` · ${whereIs(unit)}` : '' }}
      </p>
    </div>
    <div v-if="said" class="mt-3">
      <p class="border-l-4 border-oxide pl-3 font-semibold" role="status">{{ said }}</p>
      <button type="button" class="quiet mt-3" @click="passOver">Leave it for later</button>
    </div>
    <form
      v-else-if="met"
      class="mt-2 grid items-start gap-x-6 gap-y-4 sm:grid-cols-[minmax(0,1fr)_minmax(9.5rem,12rem)]"
      @submit.prevent="record"
    >
      <div class="min-w-0">
        <LitLook :met="met" />
        <details class="mt-3">
          <summary class="min-h-9 py-1.5 text-sm font-semibold text-soft">How it is done</summary>
          <ol class="list-decimal pl-6 text-note leading-snug">
            <li v-for="step in method?.steps ?? []" :key="step" class="py-0.5">{{ step }}</li>
          </ol>
        </details>
        <CautionStack class="mt-2" :ids="method?.cautions ?? []" />
      </div>
      <div class="grid content-start gap-2">
        <template v-if="isReadable">
          <p v-if="band" class="text-note">The book: {{ band.low }} to {{ band.high }} {{ readings[0]?.unit }}</p>
          <p v-else class="text-note">{{ method?.normal }}</p>
        </template>
        <fieldset v-else class="grid gap-2">
          <legend class="mb-1 text-sm font-bold">What is it?</legend>
          <label
            v-for="each in sign.outcomes"
            :key="each.id"
            class="flex min-h-12 cursor-pointer items-center gap-3 rounded border-[1.5px] border-line px-3 py-2 leading-tight has-checked:border-2 has-checked:border-bottle has-checked:font-bold"
          >
            <input
              v-model="outcome"
              type="radio"
              name="outcome"
              :value="each.id"
              class="size-5 shrink-0 accent-bottle"
            />
            {{ each.name }}
          </label>
          <label class="flex min-h-11 cursor-pointer items-center gap-3 px-3 text-note has-checked:font-bold">
            <input v-model="outcome" type="radio" name="outcome" value="cannot-tell" class="size-5 accent-bottle" />
            I cannot tell
          </label>
        </fieldset>
        <button type="submit" class="primary">
          {{ isReadable ? 'Record the reading' : 'Record' }}
        </button>
        <p v-if="isAsked" class="text-sm font-semibold text-alarm" role="alert">
          Say what it is, or that you cannot tell.
        </p>
        <p v-if="form.general('nothing')" class="text-sm font-semibold text-alarm" role="alert">
          {{ form.general('nothing') }}
        </p>
        <button type="button" class="link min-h-10 text-left text-note" @click="$emit('another')">
          Look at something else
        </button>
      </div>
    </form>
  </div>
</template>
