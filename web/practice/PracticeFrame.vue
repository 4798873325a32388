<script setup lang="ts">
/** The running stitch round everything that is only practised. */
</script>

<template>
  <div class="pointer-events-none fixed inset-1 z-40 rounded-lg min-[900px]:left-[108px]" aria-hidden="true">
    <svg class="size-full overflow-visible text-brass">
      <rect
        width="100%"
        height="100%"
        rx="8"
        fill="none"
        stroke="currentColor"
        stroke-width="2"
        stroke-dasharray="10 6"
      />
    </svg>
  </div>
</template>
