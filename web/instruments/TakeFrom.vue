<script setup lang="ts">
import { computed, inject } from 'vue';
import { INSTRUMENT_KINDS } from '../../core/instruments/index.ts';
import type { Field } from '../../core/quantity/index.ts';
import { useShop } from '../stores/shop.ts';
import { KEEPS_TAKEN, useInstruments } from './useInstruments.ts';
import { useListening } from './useListening.ts';

/** Beside a field: take its figure from the instrument of this station, once that stands still. */
const props = defineProps<{ field: Field; label: string }>();
const emit = defineEmits<{ taken: [text: string] }>();
const instruments = useInstruments();
const shop = useShop();
instruments.need();
const keep = inject(KEEPS_TAKEN, null);
const { standing, showing, trouble, listen, end } = useListening();
const instrument = computed(() => instruments.forField(props.field));
const name = computed(() => (instrument.value === null ? '' : INSTRUMENT_KINDS[instrument.value.kind].name));
function take(): void {
  const from = instrument.value;
  if (from === null) return;
  if (standing.value !== null) return end();
  listen(from, props.field, ({ text, value, unit }) => {
    emit('taken', text);
    keep?.({ label: props.label, shown: text, value, unit, instrument: from });
  });
}
const STATE = { waiting: 'waiting', moving: 'not still yet', overload: 'over its range', steady: 'steady' } as const;
</script>

<template>
  <div v-if="instrument" class="mt-1">
    <button type="button" class="link min-h-9 text-sm" @click="take">
      {{ standing ? 'Stop listening' : `Take it from the ${name}` }}
    </button>
    <p v-if="standing" class="text-sm" role="status">
      <span class="figure">{{ showing }}</span>
      <span class="text-soft"
        >{{ STATE[standing.state] }};
        {{
          instrument.calibratedOn === null
            ? 'no calibration is known'
            : `calibrated ${shop.say.day(instrument.calibratedOn)}`
        }}</span
      >
    </p>
    <p v-if="trouble" class="text-sm font-semibold text-brass" role="status">{{ trouble }}</p>
  </div>
</template>
