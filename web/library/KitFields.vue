<script setup lang="ts">
import { ArrowDown, ArrowUp, GripVertical } from '@lucide/vue';
import { computed, useTemplateRef } from 'vue';
import { FIELDS } from '../../core/quantity/index.ts';
import { RUBBERS } from '../../core/rebuild/index.ts';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import { HANDLE, useOrder } from '../parts/useOrder.ts';
import { freshId } from '../stores/job.ts';
import { emptyKitPart, type KitText, movedPart } from './familyText.ts';

/** The seals and small parts that a rebuild of one unit renews, in the order in which they go in. */
defineProps<{ errors: Readonly<Record<string, string>>; at: string }>();
const kit = defineModel<KitText[]>({ required: true });
const list = useTemplateRef('list');
const order = useOrder(
  list,
  () => kit.value.map(({ id }) => id),
  (id, to) => (kit.value = movedPart(kit.value, id, to)),
);
const shown = computed(() => order.value.flatMap((id) => kit.value.find((part) => part.id === id) ?? []));
const move = (id: string, to: number): void => {
  kit.value = movedPart(kit.value, id, to);
};
const add = (): void => {
  kit.value = [...kit.value, emptyKitPart(freshId(), kit.value.length + 1)];
};
const drop = (id: string): void => {
  kit.value = kit.value.filter((part) => part.id !== id);
};
</script>

<template>
  <div>
    <h3 class="mb-1 mt-4 text-sm font-bold">Its kit, in the order in which it goes in</h3>
    <div ref="list">
      <div
        v-for="(part, index) in shown"
        :key="part.id"
        class="grid items-start gap-2 border-t border-line bg-paper py-2 sm:grid-cols-[3rem_1fr_9rem_4rem_8rem_1fr_auto]"
      >
        <span
          class="flex min-h-11 cursor-grab touch-none items-center gap-1 font-bold text-oxide sm:mt-6"
          :class="HANDLE"
          title="Drag to move"
          ><GripVertical :size="16" class="text-soft" aria-hidden="true" />{{ index + 1 }}</span
        >
        <TextField
          v-model="part.name"
          label="Piece"
          placeholder="Valve O-ring"
          :error="errors[`${at}.${index}.name`]"
        />
        <TextField v-model="part.partNumber" label="Number" />
        <FigureField v-model="part.count" label="Count" :field="FIELDS.count" :error="errors[`${at}.${index}.count`]" />
        <label>
          <span class="mb-1 block text-sm font-semibold">Rubber</span>
          <select v-model="part.rubber" class="input">
            <option value="">none</option>
            <option v-for="(name, rubber) in RUBBERS" :key="rubber" :value="rubber">{{ name }}</option>
          </select>
        </label>
        <TextField v-model="part.wayRound" label="Way round" placeholder="lip outwards" />
        <span class="flex items-center sm:mt-6">
          <button
            type="button"
            class="grid size-11 place-items-center disabled:opacity-30"
            :aria-label="`${part.name || 'The piece'} goes in earlier`"
            :disabled="index === 0"
            @click="move(part.id, index - 1)"
          >
            <ArrowUp :size="18" aria-hidden="true" />
          </button>
          <button
            type="button"
            class="grid size-11 place-items-center disabled:opacity-30"
            :aria-label="`${part.name || 'The piece'} goes in later`"
            :disabled="index === shown.length - 1"
            @click="move(part.id, index + 1)"
          >
            <ArrowDown :size="18" aria-hidden="true" />
          </button>
          <button type="button" class="faint min-w-11 self-center! text-center!" @click="drop(part.id)">
            Out<span class="sr-only">: {{ part.name }}</span>
          </button>
        </span>
      </div>
    </div>
    <button type="button" class="faint" @click="add">Another piece</button>
  </div>
</template>
