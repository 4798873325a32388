<script setup lang="ts">
/** What was typed earlier on this device and not kept is back. */
defineProps<{ restored: boolean }>();
defineEmits<{ afresh: [] }>();
</script>

<template>
  <p v-if="restored" class="mt-3 max-w-4xl border-l-4 border-brass bg-band px-3 py-2" role="status">
    What you typed here earlier and did not keep is back.
    <button type="button" class="link ml-1" @click="$emit('afresh')">Start afresh</button>
  </p>
</template>
