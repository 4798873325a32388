<script setup lang="ts">
import SheetDialog from '../parts/SheetDialog.vue';
import { useShop } from '../stores/shop.ts';

const props = defineProps<{ required: boolean }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();

function pick(id: string): void {
  shop.pick(id);
  emit('close');
}
</script>

<template>
  <SheetDialog title="Who is at the bench?" @close="props.required ? undefined : emit('close')">
    <p class="mb-4 text-soft">Every entry carries a name. You can change it at the foot of the rail.</p>
    <ul class="grid gap-2">
      <li v-for="person in shop.here" :key="person.id">
        <button
          type="button"
          class="quiet min-h-14 w-full justify-between! text-left"
          :aria-pressed="person.id === shop.personId"
          @click="pick(person.id)"
        >
          <span>{{ person.name }}</span>
          <span class="font-normal">{{ person.role }}, {{ person.bay }}</span>
        </button>
      </li>
    </ul>
  </SheetDialog>
</template>
