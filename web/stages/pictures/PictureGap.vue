<script setup lang="ts">
import { onMounted, ref } from 'vue';
import { isThere } from '../../data/api.ts';

/** What stands where a photo was taken that is not to be had: its file is gone, or out of reach. */
defineProps<{ what: string; small?: boolean }>();
/** Only a server that is there can say that a file is gone. */
const away = ref(false);
onMounted(async () => {
  away.value = !(await isThere());
});
</script>

<template>
  <span
    role="img"
    :aria-label="`${what}: the photo is not to be had`"
    class="flex flex-col items-center justify-center border border-dashed border-oxide bg-band p-2 text-center leading-snug"
  >
    <b class="text-oxide" :class="small ? 'text-sm' : ''">No photo here</b>
    <span v-if="!small" class="max-w-72 text-note text-soft">
      {{
        away
          ? 'The server is out of reach, and this photo was not taken along.'
          : 'It was taken, but its file cannot be read. If somebody has it, add it again: the same photo takes its old place.'
      }}
    </span>
  </span>
</template>
