<script setup lang="ts" generic="Id extends string">
import { Combobox, ComboboxButton, ComboboxInput, ComboboxOption, ComboboxOptions } from '@headlessui/vue';
import { ChevronDown } from '@lucide/vue';
import { type ComponentPublicInstance, computed, ref, shallowRef, useTemplateRef, watch } from 'vue';
import { searchWords } from '../../core/words/index.ts';
import FieldBox from './FieldBox.vue';
import type { Pick } from './picks.ts';

/** One of many, found by typing a few letters: from a list that is here, or looked for on the server. */
const props = defineProps<{
  label: string;
  /** All there is to pick from. */
  picks?: readonly Pick<Id>[];
  /** Or the first that fit what was typed. */
  look?: (text: string) => Promise<readonly Pick<Id>[]>;
  /** What is shown of the one that is picked, where it is not in the list. */
  picked?: string;
  /** What nothing picked is called, where nothing may be picked. */
  none?: string;
  placeholder?: string;
  error?: string | null | undefined;
  hint?: string;
}>();
const model = defineModel<Id | ''>({ required: true });

/** Lists that are here are cut to so many, and say so. */
const SHOWN = 60;
const text = ref('');
const found = shallowRef<readonly Pick<Id>[]>([]);
const failed = ref('');
const looking = ref(false);
let asked = 0;
const button = useTemplateRef<ComponentPublicInstance>('button');

async function lookFor(typed: string): Promise<void> {
  if (props.look === undefined) return;
  const mine = ++asked;
  looking.value = true;
  try {
    const answer = await props.look(typed);
    if (mine !== asked) return;
    found.value = answer;
    failed.value = '';
  } catch (error) {
    if (mine === asked) failed.value = error instanceof Error ? error.message : String(error);
  } finally {
    if (mine === asked) looking.value = false;
  }
}
watch(text, (typed) => void lookFor(typed));

const matching = computed(() => {
  if (props.look !== undefined) return found.value;
  const words = searchWords(text.value);
  return (props.picks ?? []).filter(({ words: name, about = '' }) => {
    const own = searchWords(`${name} ${about}`);
    return words.every((word) => own.some((each) => each.startsWith(word)));
  });
});
const shown = computed(() => matching.value.slice(0, SHOWN));
const known = new Map<string, string>();
watch(
  [() => props.picks, found],
  () => {
    for (const { id, words } of [...(props.picks ?? []), ...found.value]) known.set(id, words);
  },
  { immediate: true },
);
const nameOf = (id: unknown): string =>
  id === '' ? (props.none ?? '') : (props.picked ?? known.get(String(id)) ?? String(id));
function begin(event: Event): void {
  text.value = '';
  void lookFor('');
  // What is typed takes the place of what is picked.
  if (event.target instanceof HTMLInputElement) event.target.select();
}
/** A tap into the field shows the list, as one on the arrow does. */
function tap(event: Event, open: boolean): void {
  begin(event);
  const { $el } = button.value ?? {};
  if (!open && $el instanceof HTMLElement) $el.click();
}
</script>

<template>
  <FieldBox
    v-slot="{ id, labelled, described, invalid }"
    :label="label"
    :error="error"
    v-bind="hint === undefined ? {} : { hint }"
  >
    <Combobox v-slot="{ open }" v-model="model" as="div" class="relative">
      <div class="relative">
        <ComboboxInput
          :id="id"
          class="input pr-11"
          :display-value="nameOf"
          :placeholder="placeholder ?? 'Type a few letters'"
          autocomplete="off"
          :aria-labelledby="labelled"
          :aria-describedby="described"
          :aria-invalid="invalid"
          @change="text = $event.target.value"
          @focus="begin"
          @click="tap($event, open)"
        />
        <ComboboxButton
          ref="button"
          class="absolute inset-y-0 right-0 grid w-11 place-items-center text-soft"
          @click="begin"
        >
          <ChevronDown :size="18" aria-hidden="true" /><span class="sr-only"
            >Show all of {{ label.toLowerCase() }}</span
          >
        </ComboboxButton>
      </div>
      <ComboboxOptions
        class="absolute inset-x-0 z-30 mt-1 max-h-80 overflow-y-auto border border-line bg-card py-1 shadow-md"
      >
        <ComboboxOption v-if="none !== undefined && text === ''" v-slot="{ active }" value="">
          <span class="block px-3 py-2.5 text-soft" :class="active ? 'bg-band dark:bg-line' : ''">{{ none }}</span>
        </ComboboxOption>
        <ComboboxOption v-for="each in shown" :key="each.id" v-slot="{ active, selected }" :value="each.id">
          <span
            class="flex items-baseline justify-between gap-4 border-l-4 px-3 py-2.5"
            :class="[active ? 'bg-band dark:bg-line' : '', selected ? 'border-bottle' : 'border-transparent']"
          >
            <span :class="selected ? 'font-bold' : 'font-semibold'">{{ each.words }}</span>
            <span v-if="each.about" class="text-right text-sm text-soft">{{ each.about }}</span>
          </span>
        </ComboboxOption>
        <li v-if="failed" class="px-3 py-2.5 font-semibold text-alarm" role="alert">{{ failed }}</li>
        <li v-else-if="shown.length === 0 && !looking" class="px-3 py-2.5 text-soft">Nothing fits “{{ text }}”.</li>
        <li v-else-if="matching.length > shown.length" class="px-3 py-2.5 text-sm text-soft">
          {{ matching.length - shown.length }} more; type on.
        </li>
      </ComboboxOptions>
    </Combobox>
  </FieldBox>
</template>
