<script setup lang="ts">
import { computed, useTemplateRef } from 'vue';
import type { Job } from '../../../../core/job/index.ts';
import { useKeys } from '../../../shell/keys.ts';
import ChipField from './ChipField.vue';
import { chipsOf } from './chips.ts';
import { useStandingLine } from './useStandingLine.ts';

/** Always ready under what came off: a sentence is read into chips to confirm or change, Enter takes it off. */
const props = defineProps<{ job: Job; big?: boolean }>();
const emit = defineEmits<{ taken: [id: string] }>();
const { text, things, listed, change, record, takeListed, form } = useStandingLine(() => props.job);
const line = useTemplateRef<HTMLInputElement>('line');

/** A single thing that is listed and still on is what was meant, unless it is said to be another one. */
const meant = computed(() => (listed.value.length === 1 ? (listed.value[0] ?? null) : null));
const does = computed(() => {
  if (meant.value !== null) return `Take off ${meant.value.name.toLowerCase()}`;
  const count = things.value.length;
  return count > 2 ? `All ${count} are off` : count === 2 ? 'Both are off' : 'It is off';
});
function enter(): void {
  if (meant.value !== null) {
    const { id } = meant.value;
    if (takeListed(meant.value)) emit('taken', id);
  } else add(things.value.length);
  line.value?.focus();
}
function add(count: number): void {
  const id = record(count);
  if (id !== null) emit('taken', id);
}
const problems = computed(() =>
  things.value.flatMap(({ thing, problem }) =>
    thing.problems.flatMap(({ field, message }) => (problem(field) === null ? [] : [message])),
  ),
);
useKeys([{ keys: 'a', does: 'Type what came off', run: () => line.value?.focus() }]);
defineExpose({ focus: () => line.value?.focus() });
</script>

<template>
  <form class="line" :class="{ big, open: text.trim() !== '' }" aria-label="What came off" @submit.prevent="enter">
    <div class="flex flex-wrap items-baseline gap-x-4">
      <label for="standing-line" class="text-sm font-bold text-bottle">What came off?</label>
      <p v-if="things.length > 1" class="ml-auto text-sm text-soft" role="status">read as {{ things.length }} items</p>
    </div>
    <input
      id="standing-line"
      ref="line"
      v-model="text"
      class="typed"
      autocomplete="off"
      autocapitalize="sentences"
      enterkeyhint="done"
      placeholder="flange bolts 4 M6x25, 10 mm, tray B2"
      @keydown.esc="line?.blur()"
    />
    <template v-if="text.trim() !== ''">
      <ul v-if="listed.length > 0" class="flex flex-wrap gap-2 pt-1" aria-label="Listed, and still on">
        <li v-for="item in listed" :key="item.id">
          <button type="button" class="quiet min-h-12" @click="takeListed(item) && emit('taken', item.id)">
            {{ item.name }} <span class="font-normal text-soft">listed: take it off</span>
          </button>
        </li>
      </ul>
      <ul v-if="meant === null" class="things" aria-label="Read as">
        <li v-for="({ thing, text: shows, problem }, index) in things" :key="index" class="thing">
          <ChipField
            v-for="chip in chipsOf(thing)"
            :key="chip.field"
            v-bind="chip.look"
            :state="thing.states[chip.field] ?? 'proposed'"
            :model-value="chip.field === 'count' && thing.states.count === 'wanted' ? '' : shows(chip.field)"
            :error="problem(chip.field)"
            @update:model-value="change(index, chip.field, $event)"
          />
          <div v-if="thing.opening" class="flex basis-full flex-wrap items-center gap-2">
            <span class="text-note"
              >opens <b class="text-oxide">{{ thing.opening.name.toLowerCase() }}</b>: plug it with</span
            >
            <button
              v-for="what in thing.plugs"
              :key="what"
              type="button"
              class="quiet min-h-12"
              :aria-pressed="shows('plug') === what"
              @click="change(index, 'plug', shows('plug') === what ? '' : what)"
            >
              {{ what }}
            </button>
            <ChipField
              label="or with"
              :state="thing.states.plug ?? 'wanted'"
              placeholder="nothing yet"
              :model-value="shows('plug')"
              @update:model-value="change(index, 'plug', $event)"
            />
          </div>
        </li>
      </ul>
      <p v-for="message in problems" :key="message" class="font-semibold text-alarm" role="alert">{{ message }}</p>
      <p v-if="form.general()" class="font-semibold text-alarm" role="alert">{{ form.general() }}</p>
      <div class="flex flex-wrap items-center gap-2 pt-1">
        <p class="mr-auto text-sm text-soft max-md:hidden">Bright edge: from your words. Dashed: wanted.</p>
        <button v-if="meant" type="button" class="quiet min-h-12" @click="add(things.length)">
          Another one, not listed
        </button>
        <button v-else-if="things.length > 1" type="button" class="quiet min-h-12" @click="add(1)">
          Only the first
        </button>
        <button type="submit" class="primary" data-testid="take-off-typed">
          {{ does }} <kbd class="key" aria-hidden="true">Enter</kbd>
        </button>
      </div>
    </template>
  </form>
</template>

<style scoped>
.line {
  padding: 0.55rem 0.9rem 0.7rem;
  border: 1.5px solid var(--line);
  border-radius: 4px;
  background: var(--card);
}
.line:focus-within,
.line.open {
  border-color: var(--bottle);
}
.typed {
  display: block;
  width: 100%;
  min-height: 40px;
  background: transparent;
  font-size: 1.25rem;
  color: var(--ink);
}
.typed::placeholder {
  color: var(--soft);
}
.typed:focus {
  outline: none;
}
.big .typed {
  min-height: 64px;
  font-size: 2rem;
}
.things {
  max-height: max(9rem, 42vh);
  overflow-y: auto;
  border-top: 1px solid var(--line);
}
.thing {
  display: flex;
  flex-wrap: wrap;
  gap: 0.5rem;
  padding: 0.6rem 0;
}
.thing + .thing {
  border-top: 1px solid var(--line);
}
</style>
