<script setup lang="ts">
import { FIELDS } from '../../core/quantity/index.ts';
import { RUBBERS } from '../../core/rebuild/index.ts';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import { freshId } from '../stores/job.ts';
import { emptyKitPart, type KitText } from './familyText.ts';

/** The seals and small parts that a rebuild of one unit renews, in the order in which they go in. */
defineProps<{ errors: Readonly<Record<string, string>>; at: string }>();
const kit = defineModel<KitText[]>({ required: true });
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
    <div
      v-for="(part, index) in kit"
      :key="part.id"
      class="grid items-start gap-2 border-t border-line py-2 sm:grid-cols-[4rem_1fr_9rem_4rem_8rem_1fr_auto]"
    >
      <FigureField v-model="part.order" label="Order" :field="FIELDS.count" :error="errors[`${at}.${index}.order`]" />
      <TextField v-model="part.name" label="Piece" placeholder="Valve O-ring" :error="errors[`${at}.${index}.name`]" />
      <TextField v-model="part.partNumber" label="Number" />
      <FigureField
        v-model="part.count"
        label="How many"
        :field="FIELDS.count"
        :error="errors[`${at}.${index}.count`]"
      />
      <label>
        <span class="mb-1 block text-sm font-semibold">Rubber</span>
        <select v-model="part.rubber" class="input">
          <option value="">none</option>
          <option v-for="(name, rubber) in RUBBERS" :key="rubber" :value="rubber">{{ name }}</option>
        </select>
      </label>
      <TextField v-model="part.wayRound" label="Way round" placeholder="lip outwards" />
      <button type="button" class="faint sm:mt-7" @click="drop(part.id)">
        Out<span class="sr-only">: {{ part.name }}</span>
      </button>
    </div>
    <button type="button" class="faint" @click="add">Another piece</button>
  </div>
</template>
