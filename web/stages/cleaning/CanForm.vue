<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref } from 'vue';
import type { StockItem } from '../../../contract/index.ts';
import {
  adviseAll,
  FORM_SURFACES,
  LUBRICANTS,
  SUBSTANCES,
  type Substance,
  SURFACES,
} from '../../../core/clean/index.ts';
import type { JobUnit, Job } from '../../../core/job/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import FigureField from '../../parts/FigureField.vue';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** A can weighed before and after: what went into the air, onto what, and what it cost. */
const props = defineProps<{ job: Job; units: readonly JobUnit[]; stock: readonly StockItem[] }>();
const shop = useShop();
const form = useForm();
const substance = ref<Substance>('throttle-cleaner');
const before = ref('');
const after = ref('');
const minutes = ref('');
const unitId = ref('');
const emptied = ref(false);

const cans = computed(() => props.stock.filter(({ detail }) => detail.substance === substance.value));
const can = computed(() => cans.value[0] ?? null);
const onUnit = computed(() => props.units.find(({ id }) => id === unitId.value) ?? props.units[0] ?? null);
const surfaces = computed(() => {
  const form_ = onUnit.value?.form;
  const [first] = form_ === undefined ? [] : FORM_SURFACES[form_];
  return first === undefined ? [] : [first];
});
/** What else of the unit must be kept dry, said before anything is sprayed. */
const keepOff = computed(() => {
  const form_ = onUnit.value?.form;
  return form_ === undefined
    ? []
    : adviseAll(substance.value, FORM_SURFACES[form_], 'spray').filter(({ advice }) => advice.verdict === 'never');
});
const price = computed(() => {
  const contents = can.value?.detail.contentsG;
  const grams = [before.value, after.value].map((text) => numberIn(text, FIELDS.canGrams));
  const used = (grams[0] ?? Number.NaN) - (grams[1] ?? Number.NaN);
  return can.value === null || contents === undefined || !(used > 0)
    ? null
    : Math.round((used / contents) * can.value.priceMinor);
});
function weigh(): void {
  const time = numberIn(minutes.value, FIELDS.minutes);
  const sent = form.send('weigh-can', {
    id: freshId(),
    substance: substance.value,
    surface: onUnit.value?.name.toLowerCase() ?? '',
    beforeText: before.value,
    afterText: after.value,
    surfaces: surfaces.value,
    ...(Number.isNaN(time) ? {} : { minutes: time }),
    ...(can.value === null ? {} : { stockId: can.value.id }),
    ...(price.value === null ? {} : { priceMinor: price.value }),
    ...(emptied.value ? { emptied: true } : {}),
  });
  if (!sent) return;
  [before.value, after.value, minutes.value, emptied.value] = ['', '', '', false];
}
const cleaners = (Object.keys(SUBSTANCES) as Substance[]).filter((each) => !LUBRICANTS.includes(each));
</script>

<template>
  <form class="mt-3 grid items-start gap-3 sm:grid-cols-6" @submit.prevent="weigh">
    <FieldBox v-slot="{ id }" label="Cleaner" class="sm:col-span-3">
      <select :id="id" v-model="substance" class="input">
        <option v-for="each in cleaners" :key="each" :value="each">{{ SUBSTANCES[each] }}</option>
      </select>
    </FieldBox>
    <FieldBox v-slot="{ id }" label="On what" class="sm:col-span-3">
      <select :id="id" v-model="unitId" class="input">
        <option v-for="each in units" :key="each.id" :value="each.id === units[0]?.id ? '' : each.id">
          {{ each.name }}
        </option>
      </select>
    </FieldBox>
    <FigureField
      v-model="before"
      :field="FIELDS.canGrams"
      label="Can before"
      placeholder="412 g"
      class="sm:col-span-2"
      :error="form.error('beforeText')"
    />
    <FigureField
      v-model="after"
      :field="FIELDS.canGrams"
      label="Can after"
      placeholder="380 g"
      class="sm:col-span-2"
      :error="form.error('afterText') ?? form.general('beforeText', 'minutes')"
    />
    <FigureField
      v-model="minutes"
      label="Sprayed over, min"
      :field="FIELDS.minutes"
      placeholder="4"
      class="sm:col-span-2"
      :error="form.error('minutes')"
    />
    <label class="flex min-h-11 items-center gap-2 sm:col-span-3"
      ><input v-model="emptied" type="checkbox" class="size-5 accent-bottle" /> the can is empty now</label
    >
    <div class="flex items-center justify-end gap-4 sm:col-span-3">
      <span v-if="price !== null" class="text-soft">{{ shop.say.money(price) }}</span>
      <button type="submit" class="quiet" :disabled="job.status === 'closed'">Record the can</button>
    </div>
    <p v-if="keepOff.length > 0" class="text-sm text-soft sm:col-span-6">
      Sprayed, it must not reach
      {{ keepOff.map(({ surface, advice }) => `${SURFACES[surface]} (${advice.reason})`).join('; ') }}.
    </p>
  </form>
</template>
