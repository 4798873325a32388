<script setup lang="ts">
import { minorIn } from '../parts/numberIn.ts';
import { computed, ref } from 'vue';
import { useRouter } from 'vue-router';
import {
  matchVariant,
  UNIT_KINDS,
  type UnitObject,
  type UnitObjectKind,
  unitTypeOf,
} from '../../core/vehicle/index.ts';
import { useFamilies } from '../data/families.ts';
import { liveUnit, noteUnit, useLooseUnits } from '../data/units.ts';
import FigureField from '../parts/FigureField.vue';
import type { ListColumn } from '../parts/listColumns.ts';
import ListTable from '../parts/ListTable.vue';
import PickField from '../parts/PickField.vue';
import TextField from '../parts/TextField.vue';
import VariantFields from '../parts/VariantFields.vue';
import { emptyVariant, readVariant } from '../parts/variantText.ts';
import { ApiError } from '../data/api.ts';
import { freshId } from '../stores/job.ts';
import { useListAsk } from '../stores/listMemory.ts';
import { useShop } from '../stores/shop.ts';

/** Units that sit on no vehicle, and a new one bought: compared with an engine family before money changes hands. */
const shop = useShop();
const router = useRouter();
const { text: typed, settled, order, query } = useListAsk('units', { sort: 'state', direction: 'asc' });
const { rows, next, failed, loaded, busy, more } = useLooseUnits(() => query.value);
const { families: listed } = useFamilies();
const families = computed(() => listed.value ?? []);
const columns: readonly ListColumn[] = [
  { id: 'kind', name: 'Unit', always: true },
  { id: 'number', name: 'Number', sort: 'number' },
  { id: 'place', name: 'Place', sort: 'place', from: 'sm' },
  { id: 'state', name: 'State', sort: 'state' },
  { id: 'tag', name: 'Tag', from: 'lg' },
];
const keyOf = ({ id }: UnitObject): string => id;

const kind = ref<UnitObjectKind>('throttle-body');
const familyId = ref('');
const partNumber = ref('');
const place = ref('');
const price = ref('');
const note = ref('');
const text = ref(emptyVariant());
const errors = ref<Readonly<Record<string, string>>>({});
const problem = ref('');
const family = computed(() => families.value.find(({ id }) => id === familyId.value) ?? null);
const read = computed(() => readVariant(text.value));
const match = computed(() => {
  const type = unitTypeOf(family.value, kind.value);
  return type === null || !read.value.ok ? null : matchVariant(type.expected, read.value.features);
});

async function keep(): Promise<void> {
  const paid = price.value.trim() === '' ? null : minorIn(price.value, shop.settings.currency);
  const wrong = paid !== null && (Number.isNaN(paid) || paid < 0);
  errors.value = wrong ? { price: `Expected an amount, got “${price.value}”.` } : {};
  problem.value = '';
  if (wrong || !read.value.ok) return;
  const id = freshId();
  try {
    await noteUnit(id, { kind: kind.value, partNumber: partNumber.value.trim(), features: read.value.features });
    await liveUnit(id, { kind: 'bought', vehicleId: null, place: place.value, note: note.value, priceMinor: paid });
    await router.push(`/units/${id}`);
  } catch (error) {
    if (error instanceof ApiError) errors.value = error.fields;
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <div class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <h1 class="text-title">Units on the shelf</h1>
    <p v-if="failed" class="mt-4" role="alert">{{ failed }}</p>
    <div v-if="rows.length > 0 || typed !== ''" class="mt-3 max-w-xl">
      <label class="sr-only" for="unit-search">Search units</label>
      <input
        id="unit-search"
        v-model="typed"
        class="input"
        type="search"
        placeholder="Number, tag or place"
        autocomplete="off"
      />
    </div>
    <ListTable
      v-if="rows.length > 0"
      class="mt-4 max-w-5xl"
      name="units"
      caption="Units on no vehicle"
      :columns="columns"
      :rows="rows"
      :key-of="keyOf"
      :order="order"
      :more="next !== null"
      :busy="busy"
      @order="order = $event"
      @more="more"
    >
      <template #cell-kind="{ row }"
        ><RouterLink :to="`/units/${row.id}`" class="font-semibold hover:underline">{{
          UNIT_KINDS[row.kind]
        }}</RouterLink></template
      >
      <template #cell-number="{ row }"
        ><span class="code">{{ row.partNumber || 'no number' }}</span></template
      >
      <template #cell-place="{ row }">{{ row.place }}</template>
      <template #cell-state="{ row }"
        ><span :class="row.state === 'on the shelf' ? '' : 'text-soft'">{{ row.state }}</span></template
      >
      <template #cell-tag="{ row }"
        ><span class="code text-sm text-soft">{{ row.id }}</span></template
      >
    </ListTable>
    <p v-else-if="loaded" class="mt-4 text-soft">
      {{
        settled === '' ? 'None. A unit taken off a vehicle, or bought used, waits here.' : `Nothing fits “${settled}”.`
      }}
    </p>

    <h2 class="mt-8 text-xl">Bought a unit</h2>
    <form class="mt-3 max-w-4xl" novalidate @submit.prevent="keep">
      <div class="grid gap-3 sm:grid-cols-3">
        <label
          ><span class="mb-1 block text-sm font-semibold">Kind</span
          ><select v-model="kind" class="input">
            <option v-for="(words, id) in UNIT_KINDS" :key="id" :value="id">{{ words }}</option>
          </select></label
        >
        <PickField
          v-model="familyId"
          label="Meant for"
          none="no family in mind"
          :picks="families.map(({ id, name }) => ({ id, words: name }))"
        />
        <TextField v-model="partNumber" label="Part number" placeholder="CW-14-0200" />
      </div>
      <VariantFields v-model="text" class="mt-3" :errors="read.ok ? {} : read.errors" />
      <p
        v-if="match"
        class="mt-3 font-semibold"
        role="status"
        :class="match.verdict === 'fits' ? 'text-moss' : match.verdict === 'not known' ? 'text-soft' : 'text-oxide'"
      >
        {{ match.words }}
      </p>
      <div class="mt-3 grid gap-3 sm:grid-cols-3">
        <FigureField
          v-model="price"
          :label="`Paid, ${shop.settings.currency}`"
          field="money"
          :error="errors.price ?? errors['entry.priceMinor']"
        />
        <TextField v-model="place" label="Where it lies" placeholder="shelf U2" />
        <TextField v-model="note" label="From where" placeholder="the breaker, 90 000 km" />
      </div>
      <p v-if="problem" class="mt-3 font-semibold text-alarm" role="alert">{{ problem }}</p>
      <button type="submit" class="primary mt-4">Keep the unit</button>
    </form>
  </div>
</template>
