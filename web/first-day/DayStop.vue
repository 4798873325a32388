<script setup lang="ts">
/** A stop of the first day on its line: done, open or ahead; never locked, at most waiting for a name. */
defineProps<{ title: string; lead: string; done: boolean; open: boolean; waits?: string }>();
defineEmits<{ toggle: [] }>();
</script>

<template>
  <li class="stop" :class="{ done, open }">
    <h2 class="flex items-baseline gap-4">
      <span class="text-heading">{{ title }}<span v-if="done" class="sr-only">, done</span></span>
      <button
        v-if="!open && !waits"
        type="button"
        class="ml-auto min-h-9 text-sm font-semibold underline underline-offset-2"
        @click="$emit('toggle')"
      >
        {{ done ? 'Change' : 'Open' }}<span class="sr-only">: {{ title }}</span>
      </button>
      <span v-else-if="waits" class="ml-auto text-sm font-normal text-soft">{{ waits }}</span>
    </h2>
    <p class="text-soft">{{ lead }}</p>
    <div v-if="open && !waits" class="mt-3 max-w-3xl"><slot /></div>
  </li>
</template>

<style scoped>
.stop {
  position: relative;
  padding: 0 0 1.6rem 2.25rem;
}
.stop::before {
  content: '';
  position: absolute;
  left: 8px;
  top: 12px;
  bottom: -12px;
  width: 2px;
  background: var(--line);
}
.stop.done::before {
  background: var(--moss);
}
.stop:last-child::before {
  display: none;
}
.stop::after {
  content: '';
  position: absolute;
  left: 2px;
  top: 6px;
  width: 14px;
  height: 14px;
  border: 2px solid var(--line);
  border-radius: 50%;
  background: var(--paper);
}
.stop.done::after {
  border-color: var(--moss);
  background: var(--moss);
}
.stop.open::after {
  border: 4px solid var(--oxide);
  background: var(--paper);
}
</style>
