<script setup lang="ts">
import { minorIn } from '../parts/numberIn.ts';
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { UnitFile, VehicleFile } from '../../contract/index.ts';
import {
  FEATURES,
  LIFE_KINDS,
  type LifeKind,
  matchVariant,
  UNIT_KINDS,
  unitTypeOf,
  vehicleName,
} from '../../core/vehicle/index.ts';
import AuditLines from '../parts/AuditLines.vue';
import SideBySide from '../parts/SideBySide.vue';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import VariantFields from '../parts/VariantFields.vue';
import { emptyVariant, readVariant, variantText } from '../parts/variantText.ts';
import { liveUnit, readUnit } from '../data/units.ts';
import { lookForVehicles, readVehicle } from '../data/vehicles.ts';
import ElsewhereRows from '../exchange/ElsewhereRows.vue';
import PickField from '../parts/PickField.vue';
import type { Pick } from '../parts/picks.ts';
import { useRow } from '../stores/rows.ts';
import { useShop } from '../stores/shop.ts';

/** A unit with a life of its own: bought, fitted, moved, scrapped. */
const route = useRoute();
const shop = useShop();
const file = shallowRef<UnitFile | null>(null);
const vehicle = shallowRef<VehicleFile | null>(null);
const failed = ref('');
const problem = ref('');
const text = ref(emptyVariant());
const built = ref('');
const row = useRow(() => `/units/${String(route.params.id)}`, 'unit');
/** What was sent last, for showing it beside what somebody else saved. */
const sent = shallowRef<unknown>(null);

async function load(id: string): Promise<void> {
  try {
    file.value = await readUnit(id);
    text.value = variantText(file.value.unit.features);
    built.value = file.value.unit.built ?? '';
    row.version.value = file.value.version;
    const { vehicleId } = file.value.unit;
    vehicle.value = vehicleId === null ? null : await readVehicle(vehicleId);
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
}
watch(() => String(route.params.id), load, { immediate: true });

const unit = computed(() => file.value?.unit ?? null);
const read = computed(() => readVariant(text.value));
const expected = computed(() =>
  unit.value === null ? null : (unitTypeOf(vehicle.value?.family ?? null, unit.value.kind)?.expected ?? null),
);
const match = computed(() =>
  expected.value === null || !read.value.ok ? null : matchVariant(expected.value, read.value.features),
);
const plateOf = (id: string | null): string => (id === null ? '' : (file.value?.plates[id] ?? id));

async function attempt(step: () => Promise<unknown>): Promise<void> {
  problem.value = '';
  try {
    await step();
    await load(String(route.params.id));
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
async function keepFeatures(): Promise<void> {
  problem.value = '';
  if (unit.value === null || !read.value.ok) return;
  const { kind, partNumber } = unit.value;
  const stamped = built.value.trim();
  sent.value = { kind, partNumber, features: read.value.features, ...(stamped === '' ? {} : { built: stamped }) };
  try {
    if ((await row.save(sent.value)) !== null) await load(String(route.params.id));
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
function takeTheirs(): void {
  row.newer.value = null;
  void load(String(route.params.id));
}
function saveMine(): void {
  row.haveSeen();
  void keepFeatures();
}

const kind = ref<LifeKind>('taken-off');
const vehicleId = ref('');
const place = ref('');
const price = ref('');
async function look(typed: string): Promise<readonly Pick[]> {
  return (await lookForVehicles(typed)).map((each) => ({ id: each.id, words: each.plate, about: vehicleName(each) }));
}
const note = ref('');
const priceWrong = ref<string | null>(null);
function live(): void {
  const typed = price.value.trim() === '' ? null : minorIn(price.value, shop.settings.currency);
  priceWrong.value = typed !== null && Number.isNaN(typed) ? `Expected an amount, got “${price.value}”.` : null;
  if (priceWrong.value !== null) return;
  void attempt(async () => {
    await liveUnit(String(route.params.id), {
      kind: kind.value,
      vehicleId: kind.value === 'fitted' && vehicleId.value !== '' ? vehicleId.value : null,
      place: place.value,
      priceMinor: typed,
      note: note.value,
    });
    place.value = price.value = note.value = '';
  });
}
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">{{ failed }}</p>
  <div v-else-if="unit && file" class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <SideBySide
      v-if="row.newer.value"
      :newer="row.newer.value"
      :mine="sent"
      @mine="saveMine"
      @theirs="takeTheirs"
      @close="row.newer.value = null"
    />
    <h1 class="text-title">
      {{ UNIT_KINDS[unit.kind] }} <span class="code">{{ unit.partNumber }}</span>
    </h1>
    <p class="text-soft">
      {{ unit.state
      }}<template v-if="unit.vehicleId">
        on <RouterLink class="link" :to="`/vehicles/${unit.vehicleId}`">{{ plateOf(unit.vehicleId) }}</RouterLink>,
        {{ unit.place }}</template
      >
    </p>
    <p
      v-if="match"
      class="mt-3 font-semibold"
      :class="match.verdict === 'fits' ? 'text-moss' : match.verdict === 'not known' ? 'text-soft' : 'text-oxide'"
    >
      {{ match.words }}
    </p>
    <form class="mt-4 max-w-3xl" @submit.prevent="keepFeatures">
      <h2 class="mb-2 text-lg">What it is</h2>
      <VariantFields v-model="text" :errors="read.ok ? {} : read.errors" />
      <TextField v-model="built" class="mt-3 max-w-xs" label="Date of build" placeholder="as stamped: week 23/19" />
      <p v-if="expected" class="mt-2 text-sm text-soft">
        Expected:
        <template v-for="(feature, id, index) in FEATURES" :key="id"
          >{{ index > 0 ? ', ' : '' }}{{ feature.name.toLowerCase() }} {{ expected[id] || 'not known' }}</template
        >
      </p>
      <button type="submit" class="quiet mt-3">Keep this</button>
    </form>
    <h2 class="mb-1 mt-8 text-lg">Its life</h2>
    <ol v-if="file.life.length > 0" class="rows max-w-3xl border-y border-line">
      <li v-for="(entry, index) in file.life" :key="index" class="grid gap-x-5 py-2 sm:grid-cols-[12rem_7rem_1fr]">
        <span class="text-soft">{{ shop.say.date(entry.at) }}</span><span class="font-semibold">{{
          LIFE_KINDS[entry.kind]
        }}</span>
        <span>{{
          [
            plateOf(entry.vehicleId),
            entry.place,
            entry.priceMinor === null ? '' : shop.say.money(entry.priceMinor),
            entry.note,
          ]
            .filter(Boolean)
            .join(', ')
        }}</span>
      </li>
    </ol>
    <p v-else class="text-soft">Nothing noted yet.</p>
    <form class="mt-4 grid max-w-3xl items-end gap-3 sm:grid-cols-3" @submit.prevent="live">
      <label
        ><span class="mb-1 block text-sm font-semibold">What happened</span
        ><select v-model="kind" class="input">
          <option v-for="(words, id) in LIFE_KINDS" :key="id" :value="id">{{ words }}</option>
        </select></label
      >
      <PickField
        v-if="kind === 'fitted'"
        v-model="vehicleId"
        label="To"
        placeholder="Plate, make or owner"
        :look="look"
      />
      <TextField v-model="place" label="Where" placeholder="left bank, shelf U2" />
      <FigureField v-model="price" :label="`Price, ${shop.settings.currency}`" field="money" :error="priceWrong" />
      <TextField v-model="note" label="Note" placeholder="from the breaker, 90 000 km" />
      <button type="submit" class="quiet">Note it</button>
      <p v-if="problem" class="font-semibold text-alarm sm:col-span-3" role="alert">{{ problem }}</p>
    </form>
    <ElsewhereRows :key="unit.id" :subject="`/units/${unit.id}`" />
    <AuditLines :key="unit.id" :path="`/units/${unit.id}`" />
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the unit</p>
</template>
