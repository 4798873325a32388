<script setup lang="ts">
import { WORLD } from '../data/world.ts';

/** A link to a place of the shop. From a practice job that is another world, whose page is opened anew. */
defineProps<{ to: string }>();
const practising = WORLD.practice !== null;
</script>

<template>
  <a v-if="practising" :href="to"><slot /></a>
  <RouterLink v-else :to="to"><slot /></RouterLink>
</template>
