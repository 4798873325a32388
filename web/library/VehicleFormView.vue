<script setup lang="ts">
import { numberIn } from '../parts/numberIn.ts';
import { computed, onMounted, reactive, ref, shallowRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import type { VehicleInput } from '../../contract/index.ts';
import { FIELDS } from '../../core/quantity/index.ts';
import { FIGURE_FIELDS, type Vehicle } from '../../core/vehicle/index.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import SideBySide from '../parts/SideBySide.vue';
import FieldBox from '../parts/FieldBox.vue';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import { ApiError } from '../data/api.ts';
import { useFamilies } from '../data/families.ts';
import { readVehicle } from '../data/vehicles.ts';
import { freshId } from '../stores/job.ts';
import { useRow } from '../stores/rows.ts';
import { useToday } from '../stores/today.ts';
import { bandText, figureFrom } from './bandText.ts';
import { IDLE_VALVES, THROTTLES } from './engineChoices.ts';
import FittedUnits from './FittedUnits.vue';
import VinField from './VinField.vue';

const route = useRoute();
const router = useRouter();
const existing = computed(() => (route.name === 'vehicle-edit' ? String(route.params.id) : null));
const id = existing.value ?? freshId();
const today = useToday();
const busy = ref(false);
const errors = ref<Readonly<Record<string, string>>>({});
const general = ref('');
/** What is typed before the vehicle has come would be overwritten by it. */
const opened = ref(existing.value === null);
const row = useRow(() => `/vehicles/${id}`, 'vehicle');
/** What was sent last, for showing it beside what somebody else saved. */
const sent = shallowRef<unknown>(null);

const text = reactive({
  plate: '',
  vin: '',
  make: '',
  model: '',
  nickname: '',
  year: '',
  engine: '',
  owner: '',
  notes: '',
});
/** Nothing can have been done here before; a day on paper, such as that of the first invoice, is as good. */
const knownSince = ref('');
const throttle = ref<VehicleInput['throttle'] | null>('cable');
const idleValve = ref<VehicleInput['idleValve'] | null>('rotary');
const meterUnit = ref<VehicleInput['meterUnit'] | null>('km');
const bands = reactive({ idleRpm: '', valveDuty: '', closedVolts: '' });
const kept = ref<Pick<VehicleInput, 'units' | 'figures'>>({
  units: [],
  figures: { idleRpm: null, valveDuty: null, closedVolts: null },
});
const { families: listed } = useFamilies();
const families = computed(() => listed.value ?? []);
const familyId = ref('');
const family = computed(() => families.value.find((each) => each.id === familyId.value) ?? null);
onMounted(() => {
  if (existing.value !== null) void open(existing.value);
});
async function open(vehicleId: string): Promise<void> {
  general.value = '';
  try {
    const { vehicle, version } = await readVehicle(vehicleId);
    row.version.value = version;
    show(vehicle);
    opened.value = true;
  } catch (error) {
    general.value = error instanceof Error ? error.message : String(error);
  }
}

function show(vehicle: Vehicle): void {
  Object.assign(text, {
    plate: vehicle.plate,
    vin: vehicle.vin,
    make: vehicle.make,
    model: vehicle.model,
    nickname: vehicle.nickname,
    year: vehicle.year?.toString() ?? '',
    engine: vehicle.engine,
    owner: vehicle.owner,
    notes: vehicle.notes,
  });
  throttle.value = vehicle.throttle;
  idleValve.value = vehicle.idleValve;
  meterUnit.value = vehicle.meterUnit;
  familyId.value = vehicle.familyId ?? '';
  knownSince.value = vehicle.knownSince ?? '';
  kept.value = { units: [...vehicle.units], figures: vehicle.figures };
  Object.assign(bands, {
    idleRpm: bandText(vehicle.figures.idleRpm),
    valveDuty: bandText(vehicle.figures.valveDuty),
    closedVolts: bandText(vehicle.figures.closedVolts),
  });
}
function takeTheirs(): void {
  show(row.newer.value?.row as Vehicle);
  row.haveSeen();
}
function saveMine(): void {
  row.haveSeen();
  void save();
}

const band = (name: keyof typeof bands) => figureFrom(bands[name], kept.value.figures[name], FIGURE_FIELDS[name]);

async function save(): Promise<void> {
  const found = {
    idleRpm: band('idleRpm'),
    valveDuty: band('valveDuty'),
    closedVolts: band('closedVolts'),
  };
  const year = text.year.trim() === '' ? null : numberIn(text.year, FIELDS.count);
  const wrong = Object.fromEntries(
    Object.entries(found).flatMap(([name, value]) =>
      typeof value === 'string' ? [[`vehicle.figures.${name}`, value]] : [],
    ),
  );
  if (year !== null && !Number.isInteger(year)) wrong['vehicle.year'] = `Expected a year, got “${text.year}”.`;
  errors.value = wrong;
  if (Object.keys(wrong).length > 0) return;
  busy.value = true;
  general.value = '';
  try {
    const vehicle = {
      ...text,
      year,
      throttle: throttle.value,
      idleValve: idleValve.value,
      meterUnit: meterUnit.value,
      figures: found,
      units: kept.value.units,
      familyId: familyId.value === '' ? null : familyId.value,
      ...(knownSince.value === '' ? {} : { knownSince: knownSince.value }),
    };
    sent.value = vehicle;
    if ((await row.save(vehicle)) !== null) await router.push(`/vehicles/${id}`);
  } catch (error) {
    if (error instanceof ApiError) errors.value = error.fields;
    general.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
/** A family says what kind of engine it is; what was typed already stays. */
function takeFamily(): void {
  if (family.value === null) return;
  throttle.value = family.value.throttle;
  idleValve.value = family.value.idleValve;
  text.engine ||= family.value.engine;
  if (family.value.use === 'outboard') meterUnit.value = 'h';
}
</script>

<template>
  <p v-if="!opened && general" class="p-8 font-semibold text-alarm" role="alert">
    {{ general }} <button type="button" class="link" @click="open(id)">Try again</button>
  </p>
  <p v-else-if="!opened" class="p-8 text-soft" aria-busy="true">Opening the vehicle</p>
  <form v-else class="h-full overflow-y-auto px-4 py-6 md:px-7" novalidate @submit.prevent="save">
    <SideBySide
      v-if="row.newer.value"
      :newer="row.newer.value"
      :mine="sent"
      @mine="saveMine"
      @theirs="takeTheirs"
      @close="row.newer.value = null"
    />
    <h1 class="text-[1.75rem]">{{ existing ? 'Change the vehicle' : 'A new vehicle' }}</h1>
    <div class="mt-5 grid max-w-4xl gap-x-6 gap-y-4 sm:grid-cols-2 lg:grid-cols-3">
      <TextField v-model="text.plate" label="Plate" placeholder="TQ 417" :error="errors['vehicle.plate']" />
      <TextField v-model="text.make" label="Make" placeholder="Norrland" :error="errors['vehicle.make']" />
      <TextField v-model="text.model" label="Model" placeholder="Parcel" :error="errors['vehicle.model']" />
      <TextField
        v-model="text.nickname"
        label="What people call it"
        placeholder="library bus"
        :error="errors['vehicle.nickname']"
      />
      <TextField v-model="text.engine" label="Engine" placeholder="2.5 L four" :error="errors['vehicle.engine']" />
      <FigureField
        v-model="text.year"
        label="Year"
        :field="FIELDS.count"
        placeholder="1998"
        :error="errors['vehicle.year']"
      />
      <TextField v-model="text.owner" label="Owner" placeholder="Island library" :error="errors['vehicle.owner']" />
      <FieldBox
        v-slot="{ id: field, described, invalid }"
        label="Known here since"
        :error="errors['vehicle.knownSince']"
        hint="Today, unless it came here before"
        ><input
          :id="field"
          v-model="knownSince"
          type="date"
          class="input"
          :max="today"
          :aria-describedby="described"
          :aria-invalid="invalid"
      /></FieldBox>
      <VinField v-model="text.vin" class="sm:col-span-2" :error="errors['vehicle.vin']" />
    </div>
    <label class="mt-5 block max-w-md">
      <span class="mb-1 block text-sm font-semibold">Engine family</span>
      <select v-model="familyId" class="input" @change="takeFamily">
        <option value="">none of the list</option>
        <option v-for="each in families" :key="each.id" :value="each.id">{{ each.name }}</option>
      </select>
    </label>
    <div class="mt-4 grid max-w-4xl gap-4">
      <ChoiceRow v-model="throttle" label="Throttle" :options="THROTTLES" />
      <ChoiceRow v-model="idleValve" label="Idle air valve" :options="IDLE_VALVES" />
      <ChoiceRow
        v-model="meterUnit"
        label="It counts"
        :options="[
          { id: 'km', name: 'Kilometres' },
          { id: 'mi', name: 'Miles' },
          { id: 'h', name: 'Running hours' },
        ]"
      />
    </div>
    <h2 class="mb-2 mt-7 text-lg">What it should show</h2>
    <div class="grid max-w-4xl gap-x-6 gap-y-4 sm:grid-cols-3">
      <FigureField
        v-model="bands.idleRpm"
        :field="FIGURE_FIELDS.idleRpm"
        label="Warm idle, rpm"
        placeholder="780 to 880"
        :error="errors['vehicle.figures.idleRpm']"
        hint="Typed here it is a shop figure"
      />
      <FigureField
        v-model="bands.valveDuty"
        :field="FIGURE_FIELDS.valveDuty"
        label="Valve duty, %"
        placeholder="28 to 40"
        :error="errors['vehicle.figures.valveDuty']"
      />
      <FigureField
        v-model="bands.closedVolts"
        :field="FIGURE_FIELDS.closedVolts"
        label="Sensor, plate closed, V"
        placeholder="0.45 to 0.55"
        :error="errors['vehicle.figures.closedVolts']"
      />
    </div>
    <h2 class="mb-2 mt-7 text-lg">Units fitted</h2>
    <FittedUnits v-model="kept.units" :family="family" />
    <p v-if="errors['vehicle.units']" class="mt-2 font-semibold text-alarm" role="alert">
      {{ errors['vehicle.units'] }}
    </p>
    <TextField
      v-model="text.notes"
      class="mt-5 max-w-4xl"
      label="Notes"
      :lines="2"
      placeholder="stands a lot, short trips"
    />
    <p v-if="general" class="mt-4 font-semibold text-alarm" role="alert">{{ general }}</p>
    <div class="mt-5 flex gap-3">
      <button type="submit" class="primary" :disabled="busy">Keep the vehicle</button
      ><RouterLink class="quiet" :to="existing ? `/vehicles/${existing}` : '/vehicles'">Leave it</RouterLink>
    </div>
  </form>
</template>
