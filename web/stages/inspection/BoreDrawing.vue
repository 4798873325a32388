<script setup lang="ts">
import { computed } from 'vue';

/** The bore in section, the plate at its angle, the deposit that narrows the gap. */
const props = defineProps<{ deposit: number; degrees: number }>();
const RADIUS = 46;
const plate = computed(() => {
  const angle = (props.degrees * Math.PI) / 180;
  return { x: RADIUS * Math.sin(angle) * 1.04, y: RADIUS * Math.cos(angle) * 0.985 };
});
const crust = computed(() => props.deposit * 1.7);
</script>

<template>
  <svg
    viewBox="0 0 240 130"
    role="img"
    :aria-label="`Bore in section, plate at ${degrees} degrees, deposit grade ${deposit}`"
  >
    <path d="M8 11h224M8 119h224" stroke="var(--soft)" stroke-width="2" />
    <rect x="8" y="11" width="224" height="8" fill="var(--band)" />
    <rect x="8" y="111" width="224" height="8" fill="var(--band)" />
    <rect v-if="crust > 0" x="92" y="19" width="56" :height="crust" rx="2" fill="var(--ink)" opacity="0.72" />
    <rect v-if="crust > 0" x="92" :y="111 - crust" width="56" :height="crust" rx="2" fill="var(--ink)" opacity="0.72" />
    <path
      :d="`M${120 - plate.x} ${65 + plate.y}L${120 + plate.x} ${65 - plate.y}`"
      stroke="var(--brass)"
      stroke-width="5"
      stroke-linecap="round"
    />
    <circle cx="120" cy="65" r="6" fill="var(--card)" stroke="var(--soft)" stroke-width="2" />
    <path d="M20 65h44m-9-5 9 5-9 5" fill="none" stroke="var(--harbour)" stroke-width="2" />
    <text x="22" y="57" font-size="11" fill="var(--soft)">air</text>
    <text x="176" y="69" font-size="13" font-weight="700" fill="var(--ink)">{{ degrees }}°</text>
  </svg>
</template>
