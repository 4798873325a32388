<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { vehicleInput } from '../../contract/index.ts';
import { anotherLike, FIGURE_FIELDS, type Vehicle, VEHICLE_USES, type VehicleUse } from '../../core/vehicle/index.ts';
import { samePart } from '../../core/stock/index.ts';
import DraftNote from '../forms/DraftNote.vue';
import { useRowForm } from '../forms/rowForm.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import PickField from '../parts/PickField.vue';
import SideBySide from '../parts/SideBySide.vue';
import FieldBox from '../parts/FieldBox.vue';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import { useFamilies } from '../data/families.ts';
import { readVehicle } from '../data/vehicles.ts';
import { freshId } from '../stores/job.ts';
import { useToday } from '../stores/today.ts';
import { IDLE_VALVES, THROTTLES } from './engineChoices.ts';
import FittedUnits from './FittedUnits.vue';
import { readVehicleText, vehicleText } from './vehicleText.ts';
import VinField from './VinField.vue';

const route = useRoute();
const router = useRouter();
const existing = computed(() => (route.name === 'vehicle-edit' ? String(route.params.id) : null));
const id = existing.value ?? freshId();
/** The vehicle that a new one is like. */
const like = existing.value === null && typeof route.query.like === 'string' ? route.query.like : null;
const today = useToday();
/** What is typed before the vehicle has come would be overwritten by it. */
const opened = ref(false);
const failed = ref('');
const form = useRowForm<ReturnType<typeof vehicleText>, Vehicle>({
  schema: vehicleInput,
  path: () => `/vehicles/${id}`,
  field: 'vehicle',
  draft: () => `vehicle.${existing.value ?? (like === null ? 'new' : `like.${like}`)}`,
  textOf: vehicleText,
  read: readVehicleText,
});
const { text, errors, said, busy, sent, restored, newer } = form;

const { families: listed } = useFamilies();
const families = computed(() => listed.value ?? []);
const family = computed(() => families.value.find((each) => each.id === text.value.familyId) ?? null);
onMounted(() => {
  if (existing.value !== null) return void open(existing.value);
  if (like !== null) return void openLike(like);
  form.open(null, 0);
  opened.value = true;
});
async function open(vehicleId: string): Promise<void> {
  failed.value = '';
  try {
    const { vehicle, version } = await readVehicle(vehicleId);
    form.open(vehicle, version);
    opened.value = true;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
/** What one of its kind has is taken over; what tells it from the other is not. */
async function openLike(vehicleId: string): Promise<void> {
  failed.value = '';
  try {
    const { vehicle } = await readVehicle(vehicleId);
    form.open(anotherLike(vehicle, id, freshId), 0);
    opened.value = true;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
/** A family says what kind of engine it is; what was typed already stays. */
function takeFamily(familyId: string): void {
  text.value.familyId = familyId;
  if (family.value === null) return;
  text.value.throttle = family.value.throttle;
  text.value.idleValve = family.value.idleValve;
  if (family.value.engine !== 'any') text.value.engine ||= family.value.engine;
  takeUse(text.value.use ?? family.value.use);
}
/** A family lists the variants that go with it; another one is a question, not a mistake. */
const computerHint = computed(() => {
  const known = family.value?.computers ?? [];
  const typed = text.value.computer.trim();
  if (known.length === 0) return '';
  return typed === '' || known.some((each) => samePart(each, typed))
    ? `The family takes ${known.join(', ')}`
    : `Not among those of the family: ${known.join(', ')}. A unit of the wrong variant sets idle codes.`;
});
const USES = Object.entries(VEHICLE_USES).map(([key, name]) => ({ id: key as VehicleUse, name }));
/** Outboards count hours; nothing else does by itself. */
function takeUse(use: VehicleUse | null): void {
  text.value.use = use;
  if (use === 'outboard') text.value.meterUnit = 'h';
  ownUnit(use);
}
/** A unit without its vehicle is listed as what it is, so that what is done to it stands in its life. */
function ownUnit(use: VehicleUse | null): void {
  const { units } = text.value;
  const blank = units.find(({ id: key, partNumber, variant }) => key === `${id}-unit` && partNumber + variant === '');
  if (use === 'loose' && units.length === 0)
    text.value.units = [{ id: `${id}-unit`, kind: 'throttle-body', place: 'only', partNumber: '', variant: '' }];
  else if (use !== 'loose' && blank !== undefined) text.value.units = units.filter((each) => each !== blank);
}
/** Electronic bodies and diesel flaps have no idle valve unless somebody says so. */
function takeThrottle(throttle: Vehicle['throttle'] | null): void {
  text.value.throttle = throttle;
  if (throttle !== null && throttle !== 'cable') text.value.idleValve ??= 'none';
}
async function save(event?: Event): Promise<void> {
  if (await form.submit(event)) await router.push(`/vehicles/${id}`);
}
async function saveMine(): Promise<void> {
  if (await form.saveMine()) await router.push(`/vehicles/${id}`);
}
</script>

<template>
  <p v-if="!opened && failed" class="p-8 font-semibold text-alarm" role="alert">
    {{ failed }} <button type="button" class="link" @click="open(id)">Try again</button>
  </p>
  <p v-else-if="!opened" class="p-8 text-soft" aria-busy="true">Opening the vehicle</p>
  <form v-else class="h-full overflow-y-auto px-4 py-6 md:px-7" novalidate @submit.prevent="save">
    <SideBySide
      v-if="newer"
      :newer="newer"
      :mine="sent"
      @mine="saveMine"
      @theirs="form.takeTheirs"
      @close="newer = null"
    />
    <h1 class="text-title">{{ existing ? 'Change the vehicle' : 'A new vehicle' }}</h1>
    <DraftNote :restored="restored" @afresh="form.startAfresh" />
    <div class="mt-5 grid max-w-4xl gap-4">
      <TextField
        v-model="text.plate"
        class="max-w-xs"
        :label="text.use === 'loose' ? 'What is written on its tag' : 'Plate'"
        :placeholder="text.use === 'loose' ? 'Pump house body' : 'TQ 417'"
        :error="errors.plate"
      />
      <ChoiceRow :model-value="text.use" label="What is it?" :options="USES" @update:model-value="takeUse" />
      <ChoiceRow
        :model-value="text.throttle"
        label="Throttle"
        :options="THROTTLES"
        @update:model-value="takeThrottle"
      />
      <p v-if="errors.throttle" class="-mt-2 font-semibold text-alarm" role="alert">{{ errors.throttle }}</p>
      <ChoiceRow v-model="text.idleValve" label="Idle air valve" :options="IDLE_VALVES" />
      <p v-if="errors.idleValve" class="-mt-2 font-semibold text-alarm" role="alert">{{ errors.idleValve }}</p>
      <ChoiceRow
        v-if="text.use !== 'loose'"
        v-model="text.meterUnit"
        label="It counts"
        :options="[
          { id: 'km', name: 'Kilometres' },
          { id: 'mi', name: 'Miles' },
          { id: 'h', name: 'Running hours' },
        ]"
      />
    </div>
    <h2 class="mt-7 text-lg">All that follows can wait</h2>
    <ChoiceRow
      v-if="text.use !== 'loose'"
      v-model="text.selfStarting"
      class="mt-3"
      label="Does its engine start by itself?"
      :options="[
        { id: 'yes', name: 'Yes: hybrid or stop-start' },
        { id: 'no', name: 'No' },
      ]"
    />
    <PickField
      :model-value="text.familyId"
      class="mt-3 max-w-md"
      label="Engine family"
      none="none of the list"
      :picks="families.map(({ id: key, name, engine }) => ({ id: key, words: name, about: engine }))"
      @update:model-value="takeFamily"
    />
    <div class="mt-4 grid max-w-4xl gap-x-6 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">
      <TextField v-model="text.make" label="Make" placeholder="Norrland" :error="errors.make" />
      <TextField v-model="text.model" label="Model" placeholder="Parcel" :error="errors.model" />
      <TextField
        v-model="text.nickname"
        label="What people call it"
        placeholder="library bus"
        :error="errors.nickname"
      />
      <TextField v-model="text.engine" label="Engine" placeholder="2.5 L four" :error="errors.engine" />
      <TextField v-model="text.year" label="Year" placeholder="1998" inputmode="numeric" :error="errors.year" />
      <TextField v-model="text.owner" label="Customer" placeholder="Island library" :error="errors.owner" />
      <TextField
        v-model="text.computer"
        label="Engine computer or market variant"
        placeholder="as it is marked"
        :error="errors.computer"
        v-bind="computerHint === '' ? {} : { hint: computerHint }"
      />
      <FieldBox
        v-slot="{ id: field, described, invalid }"
        label="Known here since"
        :error="errors.knownSince"
        hint="Today, unless it came here before"
        ><input
          :id="field"
          v-model="text.knownSince"
          type="date"
          class="input"
          :max="today"
          :aria-describedby="described"
          :aria-invalid="invalid"
      /></FieldBox>
      <VinField v-model="text.vin" class="sm:col-span-2" :error="errors.vin" />
    </div>
    <h2 class="mb-2 mt-7 text-lg">What it should show</h2>
    <div class="grid max-w-4xl gap-x-6 gap-y-4 sm:grid-cols-3">
      <FigureField
        v-model="text.bands.idleRpm"
        :field="FIGURE_FIELDS.idleRpm"
        label="Warm idle, rpm"
        placeholder="780 to 880"
        :error="errors['figures.idleRpm']"
        hint="Typed here it is a shop figure"
      />
      <FigureField
        v-model="text.bands.valveDuty"
        :field="FIGURE_FIELDS.valveDuty"
        label="Valve duty, %"
        placeholder="28 to 40"
        :error="errors['figures.valveDuty']"
      />
      <FigureField
        v-model="text.bands.closedVolts"
        :field="FIGURE_FIELDS.closedVolts"
        label="Sensor, plate closed, V"
        placeholder="0.45 to 0.55"
        :error="errors['figures.closedVolts']"
      />
    </div>
    <h2 class="mb-2 mt-7 text-lg">Units fitted</h2>
    <FittedUnits v-model="text.units" :family="family" />
    <p v-if="errors.units" class="mt-2 font-semibold text-alarm" role="alert">
      {{ errors.units }}
    </p>
    <TextField
      v-model="text.notes"
      class="mt-5 max-w-4xl"
      label="Notes"
      :lines="2"
      placeholder="stands a lot, short trips"
    />
    <p v-if="said" class="mt-4 font-semibold text-alarm" role="alert">{{ said }}</p>
    <div class="mt-5 flex gap-3">
      <button type="submit" class="primary" :disabled="busy">Keep the vehicle</button
      ><RouterLink class="quiet" :to="existing ? `/vehicles/${existing}` : '/vehicles'" @click="form.leave"
        >Leave it</RouterLink
      >
    </div>
  </form>
</template>
