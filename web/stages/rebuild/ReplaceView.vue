<script setup lang="ts">
import { minorIn, numberIn } from '../../parts/numberIn.ts';
import { computed, onMounted, ref, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { UnitFile } from '../../../contract/index.ts';
import { FAIL_CODES, type FailCode, type NewUnit } from '../../../core/job/index.ts';
import { FIELDS, typedMoney } from '../../../core/quantity/index.ts';
import {
  matchVariant,
  type UnitObject,
  unitTypeOf,
  UNKNOWN_VARIANT,
  type VariantFeatures,
} from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import PickField from '../../parts/PickField.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import VariantFields from '../../parts/VariantFields.vue';
import { emptyVariant, readVariant, variantText } from '../../parts/variantText.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import UnitTabs from '../units/UnitTabs.vue';
import { useUnits } from '../units/useUnits.ts';
import StageFrame from '../StageFrame.vue';
import MarksTable from './MarksTable.vue';
import ShelfPick from './ShelfPick.vue';
import SwapList from './SwapList.vue';
import { useForm } from '../useForm.ts';

/** Old against new, mark by mark, before anything is bolted on; what moves over; why the old one goes. */
const store = useJob();
const shop = useShop();
const form = useForm();
const route = useRoute();
const { fitted: units, chosen } = useUnits();
const unit = computed(() => units.value.find(({ id }) => id === chosen.value) ?? units.value[0] ?? null);
const job = computed(() => store.job);
const text = ref(emptyVariant());
const tag = ref('');
const partNumber = ref('');
const origin = ref<NewUnit['origin'] | null>('new');
const price = ref('');
const supplier = ref('');
const warranty = ref('24');
const failCode = ref<FailCode | ''>('');
const failNote = ref('');
const anyway = ref('');
onMounted(() => {
  if (typeof route.query.unit === 'string') chosen.value = route.query.unit;
});
const type = computed(() => (unit.value === null ? null : unitTypeOf(store.family, unit.value.kind)));
const fitted = computed(() => job.value?.vehicle.units.find(({ id }) => id === unit.value?.unitId) ?? null);
const old = computed((): VariantFeatures => {
  const own = fitted.value;
  if (own === null) return UNKNOWN_VARIANT;
  return { ...(own.features ?? UNKNOWN_VARIANT), mark: own.variant };
});
const read = computed(() => readVariant(text.value));
const features = computed(() => (read.value.ok ? read.value.features : UNKNOWN_VARIANT));
const match = computed(() => (type.value === null ? null : matchVariant(type.value.expected, features.value)));
const done = computed(() => job.value?.replaced.find((each) => each.unit === unit.value?.id) ?? null);

/** A used unit off the shelf brings what its file says. */
function pick(each: UnitObject): void {
  tag.value = each.id;
  partNumber.value = each.partNumber;
  text.value = variantText(each.features);
  origin.value = 'used';
  warranty.value = '3';
}
/** What was paid for it, and where it came from. */
function tellLife(life: UnitFile['life']): void {
  const bought = life.find(({ priceMinor }) => priceMinor !== null);
  price.value = bought?.priceMinor == null ? price.value : typedMoney(bought.priceMinor, shop.settings.currency);
  supplier.value = bought?.note ?? supplier.value;
}
/** What the family's list says, taken over as long as nothing else was typed. */
const proposed = ref({ price: '', partNumber: '' });
function propose(): void {
  const list = type.value?.prices;
  const known =
    list === undefined ? null : { new: list.new, rebuilt: list.rebuilt, used: list.used }[origin.value ?? 'new'];
  const next = {
    price: known === null ? '' : typedMoney(known, shop.settings.currency),
    partNumber: origin.value === 'used' ? '' : (type.value?.partNumber ?? ''),
  };
  if (price.value === proposed.value.price) price.value = next.price;
  if (partNumber.value === proposed.value.partNumber) partNumber.value = next.partNumber;
  proposed.value = next;
}
watch([origin, type], propose, { immediate: true });
/** Another unit is another comparison: what was typed for the first is not about it. */
watch(
  () => unit.value?.id,
  () => {
    text.value = emptyVariant();
    [tag.value, failNote.value, anyway.value, supplier.value] = ['', '', '', ''];
    [price.value, partNumber.value] = [proposed.value.price, proposed.value.partNumber];
    failCode.value = '';
    form.clear();
    propose();
  },
);
/** What cannot be read as a number, beside its field. */
const unread = ref<{ price: string | null; warranty: string | null }>({ price: null, warranty: null });
function replace(): void {
  const own = unit.value;
  if (own === null || job.value === null || !read.value.ok) return;
  const amount = price.value.trim() === '' ? 0 : minorIn(price.value, shop.settings.currency);
  const months = warranty.value.trim() === '' ? 0 : numberIn(warranty.value, FIELDS.months);
  unread.value = {
    price: Number.isNaN(amount) ? `Expected an amount, got “${price.value}”.` : null,
    warranty: Number.isNaN(months) ? `Expected months, got “${warranty.value}”.` : null,
  };
  if (unread.value.price !== null || unread.value.warranty !== null) return;
  form.send('replace-unit', {
    id: freshId(),
    unit: own.id,
    kind: own.kind,
    place: own.place,
    oldUnitId: own.unitId,
    oldPartNumber: own.partNumber,
    fitted: {
      unitId: tag.value.trim().replace(/[^\w.-]+/g, '-'),
      partNumber: partNumber.value.trim(),
      features: read.value.features,
      origin: origin.value ?? 'new',
      priceMinor: amount,
      supplier: supplier.value,
      warrantyMonths: Math.round(months),
    },
    failCode: failCode.value === '' ? 'F-90' : failCode.value,
    failNote: failNote.value,
    anyway: anyway.value,
  });
}
const misfit = computed(() => match.value?.verdict === 'does not fit');
</script>

<template>
  <StageFrame v-if="job" stage="rebuild" title="Old against new">
    <template #head>
      <p class="text-sm"><RouterLink class="link" :to="`/jobs/${job.id}/rebuild`">Rebuild</RouterLink></p>
      <h2 class="text-heading">Old against new</h2>
      <p class="mt-1 max-w-prose text-soft">
        Side by side on the bench before anything is bolted on. A wrong variant sets idle codes even when it is brand
        new.
      </p>
    </template>
    <UnitTabs class="mt-3" :units="units" :current="unit?.id ?? ''" @pick="chosen = $event">
      <template v-if="unit">
        <p v-if="done" class="mt-4 border-l-[3px] border-moss py-1 pl-3">
          <b class="text-moss"
            >Replaced by {{ done.fitted.partNumber }}, {{ done.fitted.origin }}, tag {{ done.fitted.unitId }}.</b
          >
          {{ done.words }}
          <span class="block text-soft"
            >{{ done.failCode }} {{ FAIL_CODES[done.failCode] }}. It moves in the vehicle’s file at the hand-over.</span
          >
        </p>
        <MarksTable
          class="mt-4"
          :old="old"
          :old-number="unit.partNumber"
          :fresh="features"
          :fresh-number="partNumber"
          :type="type"
          :match="match"
        />
        <p
          v-if="match && match.verdict !== 'not known'"
          class="mt-3 max-w-prose text-lg font-semibold"
          :class="match.verdict === 'fits' ? 'text-moss' : 'text-alarm'"
          aria-live="polite"
        >
          {{ match.words }}
        </p>
        <form
          v-if="job.status === 'open'"
          class="mt-5 grid max-w-3xl items-start gap-4 border-t border-line pt-4 sm:grid-cols-3"
          @submit.prevent="replace"
        >
          <ChoiceRow
            v-model="origin"
            class="sm:col-span-3"
            label="What goes on"
            :options="[
              { id: 'new', name: 'New' },
              { id: 'rebuilt', name: 'Rebuilt' },
              { id: 'used', name: 'Used' },
            ]"
          />
          <ShelfPick
            v-if="origin === 'used'"
            :key="unit.id"
            class="sm:col-span-3"
            :kind="unit.kind"
            :tag="tag"
            @pick="pick"
            @life="tellLife"
          />
          <TextField v-model="partNumber" label="Number on it" :error="form.error('fitted.partNumber')" />
          <TextField
            v-model="tag"
            label="Our tag for it"
            placeholder="launch-tb-2"
            :error="form.error('fitted.unitId')"
          />
          <FigureField
            v-model="price"
            :label="`Price, ${shop.settings.currency}`"
            field="money"
            :error="
              unread.price ?? (form.error('fitted.priceMinor') === null ? null : 'Expected an amount, zero or more.')
            "
          />
          <div class="sm:col-span-3"><VariantFields v-model="text" :errors="read.ok ? {} : read.errors" /></div>
          <TextField v-model="supplier" label="From" placeholder="supplier or breaker" />
          <FigureField
            v-model="warranty"
            label="Warranty, months"
            :field="FIELDS.months"
            :error="unread.warranty ?? form.error('fitted.warrantyMonths')"
          />
          <span class="max-sm:hidden" />
          <PickField
            v-model="failCode"
            class="sm:col-span-2"
            label="Why the old one goes"
            placeholder="Fail code for the returns box"
            :picks="Object.entries(FAIL_CODES).map(([code, name]) => ({ id: code, words: `${code} ${name}` }))"
          />
          <TextField v-model="failNote" label="In words" placeholder="0.3 mm out of true" />
          <TextField
            v-if="misfit"
            v-model="anyway"
            class="sm:col-span-3"
            label="It does not fit. Why does it go on all the same?"
          />
          <p
            v-if="form.general('fitted.partNumber', 'fitted.unitId', 'fitted.priceMinor', 'fitted.warrantyMonths')"
            class="font-semibold text-alarm sm:col-span-3"
            role="alert"
          >
            {{ form.general('fitted.partNumber', 'fitted.unitId', 'fitted.priceMinor', 'fitted.warrantyMonths') }}
          </p>
          <button type="submit" class="primary sm:col-span-2" :disabled="failCode === ''">Replace it</button>
        </form>
      </template>
    </UnitTabs>
    <template #why>
      <SwapList :job="job" />
      <p class="text-note text-soft">
        Warranty counts from the day it is fitted. The old one goes into the returns box with its code.
      </p>
      <RouterLink class="link" to="/returns">Returns box</RouterLink>
    </template>
  </StageFrame>
</template>
