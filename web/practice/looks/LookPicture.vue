<script setup lang="ts">
import { computed } from 'vue';
import type { Met } from '../../../core/practice/index.ts';
import LightLook from './LightLook.vue';
import MeterLook from './MeterLook.vue';
import PartLook from './PartLook.vue';
import PlateLook from './PlateLook.vue';

/** What is met at a check, drawn as a lamp, a hand or a meter shows it; nothing here says what it means. */
const props = defineProps<{ met: Met; /** Where the lamp stands, an hour of the clock, 0 to 11. */ lamp: number }>();
const felt = computed(() => (props.met.kind === 'felt' ? props.met.words : ''));
</script>

<template>
  <PlateLook v-if="met.kind === 'deposit'" :cover="met.cover" :object="met.object" :oil="met.oil" :lamp="lamp" />
  <LightLook v-else-if="met.kind === 'light'" :sectors="met.sectors" />
  <PartLook v-else-if="met.kind === 'part'" :what="met.what" :state="met.state" />
  <MeterLook v-else-if="met.kind === 'figures'" :figures="met.figures" />
  <p v-else class="border-l-4 border-line py-2 pl-4 text-lg leading-snug">{{ felt }}</p>
</template>
