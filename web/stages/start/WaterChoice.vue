<script setup lang="ts">
import { ref } from 'vue';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** An outboard is held until its cooling water is there: by a tap, or in a few words. */
defineProps<{ words: string }>();
const form = useForm();
const other = ref('');
const USUAL = ['Muffs and hose, water running', 'In a tank, leg covered', 'Afloat'];
</script>

<template>
  <div class="grid flex-1 gap-2">
    <p>{{ words }}. Propeller off or clear, kill-cord in hand.</p>
    <div class="flex flex-wrap gap-2">
      <button
        v-for="how in USUAL"
        :key="how"
        type="button"
        class="quiet text-sm"
        @click="form.send('give-water', { how })"
      >
        {{ how }}
      </button>
    </div>
    <form class="flex items-end gap-2" @submit.prevent="form.send('give-water', { how: other })">
      <TextField v-model="other" class="flex-1" label="Otherwise" :error="form.error('how') ?? form.general('how')" />
      <button type="submit" class="quiet text-sm">It has water</button>
    </form>
  </div>
</template>
