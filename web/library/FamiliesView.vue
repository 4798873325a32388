<script setup lang="ts">
import { engineLine } from '../../core/vehicle/index.ts';
import { useFamilies } from '../data/families.ts';
import { freshId } from '../stores/job.ts';

const { families, failed } = useFamilies();
const fresh = freshId();
</script>

<template>
  <div class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <div class="flex flex-wrap items-center gap-4">
      <h1 class="text-title">Engine families</h1>
      <RouterLink class="primary ml-auto" :to="`/families/${fresh}?new=1`">A new family</RouterLink>
    </div>
    <p v-if="failed" class="mt-4" role="alert">{{ failed }}</p>
    <ul v-else-if="families && families.length > 0" class="rows mt-4 border-y border-line">
      <li v-for="family in families" :key="family.id">
        <RouterLink
          :to="`/families/${family.id}`"
          class="grid items-baseline gap-x-6 py-3 hover:bg-band md:grid-cols-[16rem_1fr_1fr]"
        >
          <span class="font-bold">{{ family.name }}</span>
          <span>{{ engineLine(family) }}</span>
          <span class="text-soft">{{ family.unitTypes.map(({ name }) => name).join(', ') || 'no units noted' }}</span>
        </RouterLink>
      </li>
    </ul>
    <p v-else-if="families" class="mt-4 text-soft">
      None yet. A family holds what engines of one kind take and show: units, variants and figures.
    </p>
  </div>
</template>
