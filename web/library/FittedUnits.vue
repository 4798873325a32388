<script setup lang="ts">
import { reactive } from 'vue';
import { type EngineFamily, UNIT_KINDS, type UnitObjectKind, type Vehicle } from '../../core/vehicle/index.ts';
import TextField from '../parts/TextField.vue';
import { freshId } from '../stores/job.ts';

/** The units that sit on this engine. */
const props = defineProps<{ family: EngineFamily | null }>();
const units = defineModel<Vehicle['units']>({ required: true });
const unit = reactive({ kind: 'throttle-body' as UnitObjectKind, place: '', partNumber: '', variant: '' });

function addUnit(): void {
  units.value = [...units.value, { id: freshId(), ...unit }];
  Object.assign(unit, { place: '', partNumber: '', variant: '' });
}
/** The units that the family takes, one for each place. */
function unitsOfFamily(): void {
  units.value = (props.family?.unitTypes ?? []).flatMap(({ kind, places, partNumber, expected }) =>
    places.map((place) => ({ id: freshId(), kind, place, partNumber, variant: expected.mark })),
  );
}
const dropUnit = (unitId: string): void => {
  units.value = units.value.filter((each) => each.id !== unitId);
};
</script>

<template>
  <ul v-if="units.length > 0" class="rows max-w-4xl border-y border-line">
    <li v-for="each in units" :key="each.id" class="flex items-center justify-between gap-4 py-2">
      <span
        >{{ UNIT_KINDS[each.kind] }}, {{ each.place || 'only' }}
        <span class="code text-soft">{{ each.partNumber }} {{ each.variant }}</span></span
      ><button type="button" class="quiet text-sm" @click="dropUnit(each.id)">Take off the list</button>
    </li>
  </ul>
  <div class="mt-3 grid max-w-4xl items-end gap-3 sm:grid-cols-[auto_1fr_1fr_6rem_auto]">
    <label
      ><span class="mb-1 block text-sm font-semibold">Unit</span
      ><select v-model="unit.kind" class="input">
        <option v-for="(words, kind) in UNIT_KINDS" :key="kind" :value="kind">{{ words }}</option>
      </select></label
    >
    <TextField v-model="unit.place" label="Where" placeholder="left bank" /><TextField
      v-model="unit.partNumber"
      label="Number"
      placeholder="NP-25-1100"
    /><TextField v-model="unit.variant" label="Variant" placeholder="C" />
    <button type="button" class="quiet" @click="addUnit">Add</button>
  </div>
  <button v-if="family && units.length === 0" type="button" class="quiet mt-3" @click="unitsOfFamily">
    Put in what the family takes
  </button>
</template>
