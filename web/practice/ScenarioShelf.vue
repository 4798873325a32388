<script setup lang="ts">
import { ref } from 'vue';
import type { ScenarioFile, ScenarioLine } from '../../contract/index.ts';
import { GROUPS } from '../../core/diagnose/index.ts';
import { dropScenario, keepScenario, scenarioFileUrl } from '../data/practice.ts';
import { useShop } from '../stores/shop.ts';

/** Scenarios that this shop has written, out and in as files; one is made of a past job at its hand-over. */
defineProps<{ own: readonly ScenarioLine[]; may: boolean }>();
const emit = defineEmits<{ changed: []; begin: [asked: object] }>();
const shop = useShop();
const problem = ref('');
const taken = ref('');

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const [file] = input.files ?? [];
  problem.value = taken.value = '';
  if (file === undefined) return;
  try {
    await keepScenario(JSON.parse(await file.text()) as ScenarioFile);
    taken.value = `${file.name} is here.`;
    emit('changed');
  } catch (error) {
    problem.value =
      error instanceof SyntaxError
        ? `${file.name} is no scenario: it cannot be read as JSON.`
        : `${file.name}: ${error instanceof Error ? error.message : String(error)}`;
  }
  input.value = '';
}
async function drop(key: string): Promise<void> {
  problem.value = '';
  try {
    await dropScenario(key);
    emit('changed');
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <section>
    <h2 class="text-heading">Written here</h2>
    <p v-if="own.length === 0" class="mt-1 max-w-prose text-note text-soft">
      Nothing yet. A job that taught something becomes a practice vehicle by one tap at its hand-over, without its
      vehicle, its owner or who worked on it.
    </p>
    <ul v-else class="rows mt-2 border-y border-line">
      <li v-for="line in own" :key="line.key" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
        <button
          type="button"
          class="min-h-11 min-w-0 flex-1 text-left hover:text-bottle"
          @click="emit('begin', { scenario: line.key })"
        >
          <span class="font-semibold">{{ GROUPS[line.group] }}</span>
          <span class="block text-sm text-soft"
            >{{ line.teaches || line.tried || 'What it teaches is told once you have been through it.' }}
            <template v-if="line.own">By {{ shop.firstName(line.own.by) }}.</template></span
          >
        </button>
        <template v-if="may">
          <a class="quiet text-sm" :href="scenarioFileUrl(line.key)" download>File</a>
          <button type="button" class="quiet text-sm" @click="drop(line.key)">Take out</button>
        </template>
      </li>
    </ul>
    <p v-if="problem" class="mt-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <p v-if="taken" class="mt-2 font-semibold" role="status">{{ taken }}</p>
    <label v-if="may" class="quiet mt-3 cursor-pointer text-sm">
      Take in the file of a scenario
      <input type="file" accept="application/json,.json" class="sr-only" @change="take" />
    </label>
  </section>
</template>
