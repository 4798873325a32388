<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute } from 'vue-router';
import { STAGE_NAMES } from '../../core/job/index.ts';
import { format, formatNumber } from '../../core/quantity/index.ts';
import {
  checkVin,
  engineLine,
  VEHICLE_USES,
  FAMILY_FIGURES,
  figuresOf,
  type FigureName,
  type FittedUnit,
  matchVariant,
  sourceWords,
  UNIT_KINDS,
  unitTypeOf,
  UNKNOWN_VARIANT,
  vehicleName,
} from '../../core/vehicle/index.ts';
import AuditLines from '../parts/AuditLines.vue';
import FigureRow from '../parts/FigureRow.vue';
import ReminderRows from '../parts/ReminderRows.vue';
import { useVehicleFile } from '../data/vehicles.ts';
import { useShop } from '../stores/shop.ts';
import { freshId } from '../stores/job.ts';
import ElsewhereRows from '../exchange/ElsewhereRows.vue';
import WrongVehicle from './WrongVehicle.vue';
import DistanceLine from './DistanceLine.vue';
import VehicleYears from './VehicleYears.vue';

const route = useRoute();
const shop = useShop();
const { data: file, failed } = useVehicleFile(() => String(route.params.id));
const vehicle = computed(() => file.value?.vehicle ?? null);
const vin = computed(() => (vehicle.value === null || vehicle.value.vin === '' ? null : checkVin(vehicle.value.vin)));
const freshFamily = freshId();
const sorting = ref(false);
const openJob = computed(() => file.value?.jobs.rows.find(({ status }) => status === 'open') ?? null);
const figures = computed(() => {
  if (vehicle.value === null) return [];
  const known = figuresOf(vehicle.value, file.value?.family ?? null);
  return (Object.keys(FAMILY_FIGURES) as FigureName[]).flatMap((name) => {
    const figure = known[name];
    return figure === undefined
      ? []
      : [{ name, figure, unit: FAMILY_FIGURES[name].unit, label: FAMILY_FIGURES[name].name }];
  });
});
/** Fitted against expected; what nobody measured is not judged. */
const matchOf = (unit: FittedUnit) => {
  const type = unitTypeOf(file.value?.family ?? null, unit.kind);
  return type === null
    ? null
    : matchVariant(type.expected, unit.features ?? { ...UNKNOWN_VARIANT, mark: unit.variant });
};
</script>

<template>
  <p v-if="failed && !file" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/vehicles">To the vehicles</RouterLink>
  </p>
  <div v-else-if="vehicle && file" class="grid h-full overflow-y-auto lg:grid-cols-[minmax(0,1fr)_312px]">
    <section class="min-w-0 px-4 py-6 md:px-7">
      <div class="flex flex-wrap items-center gap-4">
        <span class="plate px-3 py-1 text-2xl">{{ vehicle.plate }}</span>
        <div>
          <h1 class="text-xl">{{ vehicleName(vehicle) }}</h1>
          <p class="text-soft">
            {{ vehicle.use ? `${VEHICLE_USES[vehicle.use]} · ` : '' }}{{ engineLine(vehicle)
            }}{{ vehicle.year ? ` · ${vehicle.year}` : '' }}
          </p>
        </div>
        <RouterLink class="quiet ml-auto" :to="`/vehicles/${vehicle.id}/edit`">Change</RouterLink>
        <RouterLink :class="openJob ? 'quiet' : 'primary'" :to="`/vehicles/${vehicle.id}/new-job`">{{
          openJob ? 'Open another job' : 'Open a job'
        }}</RouterLink>
        <RouterLink v-if="openJob" class="primary" :to="`/jobs/${openJob.id}`"
          >Go to job {{ openJob.number }}</RouterLink
        >
      </div>
      <h2 class="mb-2 mt-8 text-sm font-bold">Jobs along the {{ vehicle.meterUnit === 'h' ? 'hours' : 'distance' }}</h2>
      <DistanceLine v-if="file.jobs.rows.length > 0" :jobs="file.jobs.rows" />
      <p v-else class="text-soft">No job yet on this vehicle.</p>
      <ul v-if="file.jobs.rows.length > 0" class="rows mt-4 border-y border-line">
        <li v-for="job in file.jobs.rows" :key="job.id">
          <RouterLink
            :to="`/jobs/${job.id}`"
            class="grid items-baseline gap-x-5 py-3 hover:bg-band md:grid-cols-[4rem_8rem_1fr_auto]"
          >
            <span class="figure">{{ job.number }}</span><span>{{
              format({ value: job.reading, unit: job.readingUnit })
            }}</span>
            <span>{{ job.decision || 'not decided yet' }}</span>
            <span class="text-sm" :class="job.status === 'open' ? 'font-bold text-oxide' : 'text-soft'">{{
              job.status === 'open' ? STAGE_NAMES[job.stage] : `handed over, ${shop.say.date(job.lastAt)}`
            }}</span>
          </RouterLink>
        </li>
      </ul>
      <RouterLink
        v-if="file.jobs.next"
        class="link mt-2 inline-block"
        :to="{ path: '/jobs', query: { vehicle: vehicle.id, plate: vehicle.plate } }"
        >All its jobs</RouterLink
      >
      <ElsewhereRows :key="vehicle.id" :subject="`/vehicles/${vehicle.id}`" />
      <VehicleYears :vehicle-id="vehicle.id" :meter-unit="vehicle.meterUnit" />
      <ReminderRows class="mt-8" :vehicle-id="vehicle.id" title="To be looked at again" />
      <h2 class="mb-1 mt-8 text-sm font-bold">Units fitted</h2>
      <ul v-if="vehicle.units.length > 0" class="rows border-y border-line">
        <li
          v-for="unit in vehicle.units"
          :key="unit.id"
          class="grid gap-x-5 py-2.5 md:grid-cols-[10rem_8rem_9rem_1fr_auto]"
        >
          <RouterLink class="link" :to="`/units/${unit.id}`">{{ UNIT_KINDS[unit.kind] }}</RouterLink><span
            class="font-semibold"
            >{{ unit.place }}</span
          ><span class="code">{{ unit.partNumber }}</span
          ><span
            class="text-note"
            :class="
              matchOf(unit)?.verdict === 'fits'
                ? 'text-moss'
                : matchOf(unit) === null || matchOf(unit)?.verdict === 'not known'
                  ? 'text-soft'
                  : 'font-semibold text-oxide'
            "
            >{{ matchOf(unit)?.words ?? 'no family to compare with' }}</span
          ><span
            >variant <span class="code font-bold">{{ unit.variant }}</span></span
          >
        </li>
      </ul>
      <p v-else class="text-soft">None noted.</p>
      <div class="mt-6 flex flex-wrap gap-x-6 gap-y-1">
        <RouterLink class="link py-2" :to="`/vehicles/new?like=${vehicle.id}`">Another like this one</RouterLink>
        <RouterLink v-if="!file.family" class="link py-2" :to="`/families/${freshFamily}?new=1&of=${vehicle.id}`"
          >Make a family of it</RouterLink
        >
        <button type="button" class="link min-h-10" @click="sorting = true">It is a mistake, or here twice</button>
      </div>
      <WrongVehicle v-if="sorting" :vehicle="vehicle" :jobs="file.jobs.rows.length" @close="sorting = false" />
      <AuditLines :key="vehicle.id" :path="`/vehicles/${vehicle.id}`" />
    </section>
    <aside
      class="border-t border-line bg-card px-4 py-6 md:px-6 lg:border-l lg:border-t-0"
      aria-label="Figures of this engine"
    >
      <p v-if="vehicle.lastReading">
        <span class="figure text-figure-sm">{{ formatNumber(vehicle.lastReading) }}</span>
        <span class="font-semibold text-soft">{{ vehicle.lastReading.unit }} last seen</span>
      </p>
      <dl class="rows mt-3 border-y border-line text-note">
        <FigureRow label="Customer">{{ vehicle.owner || 'not noted' }}</FigureRow>
        <FigureRow v-if="vehicle.selfStarting !== undefined" label="Starts by itself">{{
          vehicle.selfStarting ? 'yes: made safe first' : 'no'
        }}</FigureRow>
        <FigureRow v-if="vehicle.computer" label="Computer or variant">{{ vehicle.computer }}</FigureRow>
        <FigureRow v-if="vehicle.coolant" label="Coolant"
          >{{ vehicle.coolant.capacityL }} L, {{ Math.round(vehicle.coolant.concentration * 100) }} %</FigureRow
        >
        <FigureRow label="Family"
          ><RouterLink v-if="file.family" class="link" :to="`/families/${file.family.id}`">{{
            file.family.name
          }}</RouterLink
          ><span v-else class="font-normal text-soft">none noted</span></FigureRow
        >
        <FigureRow v-for="each in figures" :key="each.name" :label="each.label"
          >{{ each.figure.low }}–{{ each.figure.high }} {{ each.unit
          }}<span
            class="block text-xs font-normal"
            :class="each.figure.source === null ? 'font-semibold! text-brass' : 'text-soft'"
            >{{ sourceWords(each.figure) }}</span
          ></FigureRow
        >
      </dl>
      <div class="mt-4">
        <h2 class="text-sm font-bold">VIN</h2>
        <p class="code break-all">{{ vehicle.vin || 'not noted' }}</p>
        <p
          v-if="vin"
          class="text-sm"
          :class="
            vin.status === 'passes' ? 'text-moss' : vin.status === 'fails' ? 'font-semibold text-brass' : 'text-soft'
          "
        >
          {{ vin.message }}
        </p>
      </div>
      <p v-if="vehicle.notes" class="mt-4">{{ vehicle.notes }}</p>
    </aside>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the vehicle file</p>
</template>
