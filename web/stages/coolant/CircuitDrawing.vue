<script setup lang="ts">
import { computed } from 'vue';

/** The circuit: engine, radiator, bottle with its level, the throttle body in the loop, and the bleed point on top. */
const props = defineProps<{ level: 'low' | 'right' | 'high' | null; bleeding: boolean }>();
const surface = computed(() => (props.level === 'low' ? 90 : props.level === 'high' ? 61 : 76));
</script>

<template>
  <svg
    viewBox="0 0 264 150"
    role="img"
    :aria-label="`Cooling circuit, level ${level ?? 'not checked'}${bleeding ? ', bleed point open' : ''}`"
  >
    <g fill="none" stroke="var(--harbour)" stroke-width="3">
      <path d="M46 60V30H92M46 118V138H170V122M148 30h22v48" />
      <path d="M170 46h69v6" stroke-width="2" />
    </g>
    <rect x="18" y="60" width="56" height="58" fill="var(--band)" stroke="var(--soft)" stroke-width="1.5" />
    <text x="46" y="93" text-anchor="middle" font-size="11" fill="var(--soft)">radiator</text>
    <rect x="92" y="15" width="56" height="30" fill="var(--card)" stroke="var(--oxide)" stroke-width="1.5" />
    <text x="120" y="34" text-anchor="middle" font-size="11" fill="var(--ink)">body</text>
    <rect x="128" y="78" width="76" height="44" fill="var(--band)" stroke="var(--soft)" stroke-width="1.5" />
    <text x="166" y="104" text-anchor="middle" font-size="11" fill="var(--soft)">engine</text>
    <circle
      cx="170"
      cy="30"
      r="7"
      :fill="bleeding ? 'var(--brass)' : 'var(--card)'"
      stroke="var(--brass)"
      stroke-width="2"
    />
    <text x="182" y="26" font-size="11" fill="var(--brass)">bleed{{ bleeding ? ', open' : '' }}</text>
    <rect x="222" y="54" width="34" height="44" rx="4" fill="var(--card)" stroke="var(--soft)" stroke-width="1.5" />
    <rect
      v-if="level"
      x="223.5"
      :y="surface"
      width="31"
      :height="96.5 - surface"
      rx="2"
      fill="var(--harbour)"
      opacity="0.45"
    />
    <path d="M220 70h8M220 84h8" stroke="var(--ink)" stroke-width="1.5" />
    <text x="239" y="113" text-anchor="middle" font-size="11" fill="var(--soft)">
      {{ level === null ? 'level?' : level }}
    </text>
  </svg>
</template>
