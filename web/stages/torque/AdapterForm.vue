<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { ref, watch } from 'vue';
import { FIELDS } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import type { AdapterOn } from '../../../core/job/index.ts';

/** A crow-foot or extension changes what the wrench must be set to; square to the wrench it changes nothing. */
const adapter = defineModel<AdapterOn | null>({ required: true });
const open = ref(adapter.value !== null);
const lever = ref('250');
const length = ref('40');
const angle = ref('0');

const typed = (): AdapterOn => ({
  leverMm: numberIn(lever.value, FIELDS.leverMm),
  lengthMm: numberIn(length.value, FIELDS.millimetres),
  angleDeg: numberIn(angle.value, FIELDS.adapterAngle),
});
function problem(): string | null {
  const { leverMm, lengthMm, angleDeg } = typed();
  if (!(leverMm > 0)) return 'Expected a lever of more than 0 mm.';
  if (!(lengthMm >= 0)) return 'Expected an adapter of 0 mm or more.';
  return angleDeg >= 0 && angleDeg <= 180 ? null : 'Expected 0 to 180°.';
}
const wrong = ref<string | null>(null);
watch([open, lever, length, angle], () => {
  wrong.value = open.value ? problem() : null;
  adapter.value = open.value && wrong.value === null ? typed() : null;
});
</script>

<template>
  <div class="grid gap-2">
    <label class="flex min-h-8 items-center gap-2 text-sm text-soft"
      ><input v-model="open" type="checkbox" class="size-5 accent-bottle" /> An adapter is on the wrench</label
    >
    <div v-if="open" class="grid grid-cols-3 gap-2">
      <FigureField v-model="lever" label="Lever, mm" :field="FIELDS.leverMm" />
      <FigureField v-model="length" label="Adapter, mm" :field="FIELDS.millimetres" />
      <FigureField v-model="angle" label="Angle, °" :field="FIELDS.adapterAngle" />
    </div>
    <p v-if="wrong" class="text-sm font-semibold text-alarm" role="alert">{{ wrong }}</p>
    <p v-else-if="open" class="text-sm text-soft">0° straight on, 90° square to the wrench, 180° folded back.</p>
  </div>
</template>
