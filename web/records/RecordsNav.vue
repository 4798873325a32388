<script setup lang="ts">
import { useRoute } from 'vue-router';

/** The rooms of the records, on one line. */
const route = useRoute();
const ROOMS = [
  { path: '/records/due', name: 'Due' },
  { path: '/records/lasting', name: 'What lasts' },
  { path: '/records/lessons', name: 'Lessons' },
  { path: '/records/report', name: 'Month and year' },
] as const;
</script>

<template>
  <nav aria-label="Records" class="flex flex-wrap gap-x-6 border-b border-line">
    <RouterLink
      v-for="room in ROOMS"
      :key="room.path"
      :to="room.path"
      class="-mb-px border-b-[3px] py-2"
      :class="
        route.path.startsWith(room.path)
          ? 'border-oxide font-bold text-ink'
          : 'border-transparent text-soft hover:text-ink'
      "
      :aria-current="route.path.startsWith(room.path) ? 'page' : undefined"
      >{{ room.name }}</RouterLink
    >
  </nav>
</template>
