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
  surfacesReached,
} from '../../../core/clean/index.ts';
import { type JobUnit, type Job, unitMethod, unitState } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
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
/** Where nothing is sprayed the can wets a cloth. */
const how = computed(() =>
  onUnit.value !== null &&
  unitMethod(props.job, onUnit.value, shop.rules, shop.figures).passes.some((each) => each.how === 'spray')
    ? 'spray'
    : 'wipe',
);
/** All that it gets onto while what must stay dry is covered; that is said below, and asked of each pass. */
const surfaces = computed(() =>
  onUnit.value === null
    ? []
    : [...surfacesReached(onUnit.value.form, how.value, { ...unitState(props.job, onUnit.value.id), covered: true })],
);
/** What of the unit must be kept dry, said before anything is sprayed. */
const keepOff = computed(() =>
  onUnit.value === null
    ? []
    : adviseAll(substance.value, FORM_SURFACES[onUnit.value.form], 'spray').filter(
        ({ advice }) => advice.verdict === 'never',
      ),
);
const because = ref('');
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
    ...(because.value.trim() === '' ? {} : { because: because.value }),
  });
  if (!sent) return;
  [before.value, after.value, minutes.value, because.value, emptied.value] = ['', '', '', '', false];
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
      :error="form.error('afterText') ?? form.general('beforeText', 'minutes', 'because')"
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
    <div v-if="form.error('because')" class="border-l-[3px] border-alarm bg-band px-4 py-3 sm:col-span-6" role="alert">
      <p class="font-semibold text-alarm">{{ form.error('because') }}</p>
      <TextField
        v-model="because"
        class="mt-2 max-w-xl"
        label="Used all the same, because"
        placeholder="the sensor is off already"
      />
      <button type="submit" class="quiet mt-2" :disabled="because.trim() === ''">Record the can so</button>
    </div>
    <p v-if="keepOff.length > 0" class="text-sm text-soft sm:col-span-6">
      Sprayed, it must not reach
      {{ keepOff.map(({ surface, advice }) => `${SURFACES[surface]} (${advice.reason})`).join('; ') }}.
    </p>
  </form>
</template>
