<script setup lang="ts">
import { ref, watch } from 'vue';

/** An address as a code for a camera: dark on light in both themes, since cameras want it so. */
const props = defineProps<{ address: string; words: string }>();
const image = ref('');
watch(
  () => props.address,
  async (address) => {
    const { toDataURL } = await import('qrcode');
    image.value = await toDataURL(address, { margin: 2, width: 480, errorCorrectionLevel: 'M' });
  },
  { immediate: true },
);
</script>

<template>
  <img v-if="image" :src="image" :alt="words" class="size-48 bg-white" width="192" height="192" />
  <div v-else class="size-48 bg-band" aria-hidden="true" />
</template>
