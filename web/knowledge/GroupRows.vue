<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Knowledge, KnowledgeEdit, SignGroup } from '../../core/diagnose/index.ts';
import PickField from '../parts/PickField.vue';
import TextField from '../parts/TextField.vue';

/** Signs that are several views of one observation: they are weighed once. */
const props = defineProps<{ knowledge: Knowledge; edits: readonly KnowledgeEdit[]; mayEdit: boolean }>();
const emit = defineEmits<{ change: [edit: KnowledgeEdit] }>();
const groups = computed((): readonly SignGroup[] =>
  props.knowledge.groups.map((group) => {
    const edit = props.edits.find((each) => each.kind === 'group' && each.id === group.id);
    return edit?.kind === 'group' ? edit : group;
  }),
);
const nameOf = (id: string): string => props.knowledge.signs.find((sign) => sign.id === id)?.name ?? id;
const picks = computed(() => props.knowledge.signs.map(({ id, name }) => ({ id, words: name })));
const bare = ({ id, name, signs, why }: SignGroup) => ({ kind: 'group' as const, id, name, signs, why });
const without = (group: SignGroup, sign: string): void =>
  emit('change', { ...bare(group), signs: group.signs.length <= 2 ? [] : group.signs.filter((each) => each !== sign) });
const withOne = (group: SignGroup, sign: string): void => {
  if (sign !== '' && !group.signs.includes(sign)) emit('change', { ...bare(group), signs: [...group.signs, sign] });
};
const name = ref('');
const why = ref('');
const first = ref('');
const second = ref('');
function add(): void {
  const id = name.value
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-');
  emit('change', { kind: 'group', id, name: name.value, signs: [first.value, second.value], why: why.value });
  name.value = why.value = first.value = second.value = '';
}
</script>

<template>
  <section aria-label="One observation">
    <h2 class="text-heading">One observation, several views</h2>
    <p class="mt-1 max-w-prose text-soft">
      What hunts is unsteady, and what clicks does not move: signs of one group are weighed once, by the one that says
      most.
    </p>
    <ul class="rows mt-3 border-y border-line">
      <li v-for="group in groups" :key="group.id" class="py-2">
        <p>
          <span class="font-semibold">{{ group.name }}</span> <span class="text-soft">{{ group.why }}</span>
        </p>
        <p v-if="group.signs.length === 0" class="text-brass">Dissolved: each is weighed by itself.</p>
        <p class="mt-1 flex flex-wrap items-center gap-2">
          <span
            v-for="sign in group.signs"
            :key="sign"
            class="inline-flex items-center gap-1 bg-band px-2 py-0.5 text-note"
            >{{ nameOf(sign)
            }}<button
              v-if="mayEdit"
              type="button"
              class="min-h-8 px-1 text-sm text-soft underline"
              @click="without(group, sign)"
            >
              out<span class="sr-only"> of {{ group.name }}: {{ nameOf(sign) }}</span>
            </button></span
          >
          <PickField
            v-if="mayEdit"
            class="w-56"
            :model-value="''"
            :label="`Add to ${group.name.toLowerCase()}`"
            placeholder="another view"
            :picks="picks"
            @update:model-value="withOne(group, $event)"
          />
        </p>
      </li>
    </ul>
    <form v-if="mayEdit" class="mt-4 grid max-w-3xl gap-3 sm:grid-cols-2" @submit.prevent="add">
      <TextField v-model="name" label="A new group" placeholder="idle as told" />
      <TextField v-model="why" label="Why it is one observation" />
      <PickField v-model="first" label="One view" :picks="picks" />
      <PickField v-model="second" label="Another view" :picks="picks" />
      <button
        type="submit"
        class="quiet justify-self-start"
        :disabled="name === '' || why === '' || first === '' || second === ''"
      >
        Make it one
      </button>
    </form>
  </section>
</template>
