<script setup lang="ts">
import { Dialog, DialogPanel, DialogTitle } from '@headlessui/vue';
import { ref, useTemplateRef, watch } from 'vue';

/** A sheet over the page. Where there is something to type it begins there; Escape closes it. */
defineProps<{ title: string; wide?: boolean }>();
defineEmits<{ close: [] }>();
const content = useTemplateRef('content');
const first = ref<HTMLElement | null>(null);
// The sheet is put elsewhere in the page, and is there after this has been mounted.
watch(content, (element) => {
  first.value = element?.querySelector<HTMLElement>('input[type="text"], input:not([type]), textarea') ?? null;
});
</script>

<template>
  <Dialog :open="true" :initial-focus="first" class="relative z-40" @close="$emit('close')">
    <div class="fixed inset-0 bg-ink/40 dark:bg-paper/80" aria-hidden="true" />
    <div class="fixed inset-0 flex items-start justify-center overflow-y-auto p-4 pt-[8vh]">
      <DialogPanel class="w-full border border-line bg-card p-6" :class="wide ? 'max-w-3xl' : 'max-w-lg'">
        <div class="mb-4 flex items-start justify-between gap-4">
          <DialogTitle class="text-xl font-bold">{{ title }}</DialogTitle>
          <button type="button" class="quiet -mr-2 -mt-1 text-sm" @click="$emit('close')">
            Close <span class="key" aria-hidden="true">Esc</span>
          </button>
        </div>
        <div ref="content"><slot /></div>
      </DialogPanel>
    </div>
  </Dialog>
</template>
