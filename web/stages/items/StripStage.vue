<script setup lang="ts">
import SheetStage from './SheetStage.vue';
</script>

<template>
  <SheetStage way="strip" />
</template>
