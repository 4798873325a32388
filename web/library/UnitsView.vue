<script setup lang="ts">
import { minorIn } from '../parts/numberIn.ts';
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useRouter } from 'vue-router';
import {
  type EngineFamily,
  matchVariant,
  UNIT_KINDS,
  type UnitObject,
  type UnitObjectKind,
  unitTypeOf,
} from '../../core/vehicle/index.ts';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import VariantFields from '../parts/VariantFields.vue';
import { emptyVariant, readVariant } from '../parts/variantText.ts';
import { api, ApiError } from '../stores/api.ts';
import { freshId } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';

/** Units that sit on no vehicle, and a new one bought: compared with an engine family before money changes hands. */
const shop = useShop();
const router = useRouter();
const units = shallowRef<readonly UnitObject[] | null>(null);
const families = shallowRef<readonly EngineFamily[]>([]);
const failed = ref('');
onMounted(async () => {
  try {
    [units.value, families.value] = await Promise.all([
      api.get<{ rows: UnitObject[] }>('/units').then(({ rows }) => rows),
      api.get<{ rows: EngineFamily[] }>('/families').then(({ rows }) => rows),
    ]);
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  }
});

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
    const unit = { kind: kind.value, partNumber: partNumber.value.trim(), features: read.value.features };
    await api.put(`/units/${id}`, { by: shop.personId, unit });
    const entry = { kind: 'bought', vehicleId: null, place: place.value, note: note.value };
    await api.post(`/units/${id}/life`, {
      by: shop.personId,
      entry: { ...entry, priceMinor: paid },
    });
    await router.push(`/units/${id}`);
  } catch (error) {
    if (error instanceof ApiError) errors.value = error.fields;
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <div class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <h1 class="text-[1.75rem]">Units on the shelf</h1>
    <p v-if="failed" class="mt-4" role="alert">{{ failed }}</p>
    <ul v-else-if="units && units.length > 0" class="rows mt-4 max-w-4xl border-y border-line">
      <li v-for="unit in units" :key="unit.id">
        <RouterLink
          :to="`/units/${unit.id}`"
          class="grid items-baseline gap-x-5 py-2.5 hover:bg-band sm:grid-cols-[11rem_10rem_1fr_8rem]"
        >
          <span class="font-semibold">{{ UNIT_KINDS[unit.kind] }}</span><span class="code">{{
            unit.partNumber || 'no number'
          }}</span
          ><span class="text-soft">{{ unit.place }}</span
          ><span :class="unit.state === 'on the shelf' ? '' : 'text-soft'">{{ unit.state }}</span>
        </RouterLink>
      </li>
    </ul>
    <p v-else-if="units" class="mt-4 text-soft">None. A unit taken off a vehicle, or bought used, waits here.</p>

    <h2 class="mt-8 text-xl">Bought a unit</h2>
    <form class="mt-3 max-w-4xl" novalidate @submit.prevent="keep">
      <div class="grid gap-3 sm:grid-cols-3">
        <label
          ><span class="mb-1 block text-sm font-semibold">Kind</span
          ><select v-model="kind" class="input">
            <option v-for="(words, id) in UNIT_KINDS" :key="id" :value="id">{{ words }}</option>
          </select></label
        >
        <label
          ><span class="mb-1 block text-sm font-semibold">Meant for</span
          ><select v-model="familyId" class="input">
            <option value="">no family in mind</option>
            <option v-for="each in families" :key="each.id" :value="each.id">{{ each.name }}</option>
          </select></label
        >
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
