<script setup lang="ts">
import { numberIn } from '../parts/numberIn.ts';
import { onMounted, ref } from 'vue';
import type { AirReply } from '../../contract/index.ts';
import type { AiringState } from '../../core/clean/index.ts';
import { type Field, FIELDS } from '../../core/quantity/index.ts';
import FigureField from '../parts/FigureField.vue';
import { ApiError } from '../data/api.ts';
import { keepAir, readAir } from '../data/shopRows.ts';

/** How large the bay is and what doors and fan change of its air: what airing is worked out with. */
defineProps<{ mayEdit: boolean }>();
const room = ref('');
const rates = ref<Record<AiringState, string>>({ shut: '', door: '', fan: '', both: '' });
const fields = ref<Readonly<Record<string, string>>>({});
const failed = ref('');
const kept = ref(false);
const names: Readonly<Record<AiringState, string>> = { shut: 'Shut', door: 'Door open', fan: 'Fan on', both: 'Both' };
const states = Object.keys(names) as AiringState[];
function take(reply: AirReply): void {
  room.value = String(reply.roomM3);
  for (const state of states) rates.value[state] = String(reply.rates[state]);
}
onMounted(async () => {
  try {
    take(await readAir());
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
});
async function keep(): Promise<void> {
  kept.value = false;
  failed.value = '';
  fields.value = {};
  const read = (text: string, field: Field): number => {
    const value = numberIn(text, field);
    return Number.isNaN(value) ? -1 : value;
  };
  try {
    take(
      await keepAir(
        read(room.value, FIELDS.roomVolume),
        Object.fromEntries(states.map((state) => [state, read(rates.value[state], FIELDS.plain)])) as Record<
          AiringState,
          number
        >,
      ),
    );
    kept.value = true;
  } catch (error) {
    if (error instanceof ApiError) fields.value = error.fields;
    failed.value = error instanceof Error && Object.keys(fields.value).length === 0 ? error.message : '';
  }
}
</script>

<template>
  <form class="mt-9 max-w-3xl" @submit.prevent="keep">
    <h2 class="text-xl">Air in the bay</h2>
    <p class="mb-3 mt-1 text-soft">
      Air changes an hour are what doors and fan bring; measure them once with smoke if you can.
    </p>
    <div class="grid grid-cols-2 gap-3 sm:grid-cols-5">
      <FigureField v-model="room" label="Volume, m³" :field="FIELDS.roomVolume" :error="fields.roomM3" />
      <FigureField
        v-for="state in states"
        :key="state"
        v-model="rates[state]"
        :label="`${names[state]}, /h`"
        :field="FIELDS.plain"
        :error="fields[`rates.${state}`]"
      />
    </div>
    <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <button v-if="mayEdit" type="submit" class="quiet mt-3">Keep the air</button>
    <span v-if="kept" class="ml-3 text-soft" role="status">Kept.</span>
  </form>
</template>
