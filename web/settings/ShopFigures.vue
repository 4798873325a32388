<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue';
import { isTimeZone, sayTime } from '../../core/days/index.ts';
import { decimalsOf, FIELDS, typedMoney } from '../../core/quantity/index.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import FieldBox from '../parts/FieldBox.vue';
import FigureField from '../parts/FigureField.vue';
import { minorIn, numberIn } from '../parts/numberIn.ts';
import TextField from '../parts/TextField.vue';
import { ApiError } from '../data/api.ts';
import { useMinute } from '../stores/clock.ts';
import { useShop } from '../stores/shop.ts';
import { TIME_ZONES } from './timeZones.ts';

/** What the shop is called, where it is, what it counts in, and the figures that money is worked out with. */
defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const now = useMinute();
const problem = ref('');
const fields = ref<Readonly<Record<string, string>>>({});
const kept = ref(false);

const text = reactive({
  shopName: '',
  currency: '',
  timeZone: '',
  rate: '',
  day: '',
  comeback: '',
  days: '',
  km: '',
  h: '',
});
const measures = ref<'US' | 'imperial' | 'ask' | null>('ask');
watch(
  () => shop.settings,
  (known) => {
    const { shopName, currency, timeZone, ratePerHourMinor, dayPriceMinor, comebackMinor, comebackWithin } = known;
    const money = (minor: number): string => typedMoney(minor, currency);
    Object.assign(text, {
      shopName,
      currency,
      timeZone,
      rate: money(ratePerHourMinor),
      day: money(dayPriceMinor),
      comeback: money(comebackMinor),
      days: String(comebackWithin.days),
      km: String(comebackWithin.km),
      h: String(comebackWithin.h),
    });
    measures.value = known.measures ?? 'ask';
  },
  { immediate: true },
);
const REACHES = { days: FIELDS.days, km: FIELDS.odometerKm, h: FIELDS.runningHours } as const;
const decimals = computed(() => decimalsOf(text.currency));
const coins = computed(() =>
  decimals.value === 0 ? 'Whole amounts only' : `${decimals.value} decimals, as in ${typedMoney(1250, text.currency)}`,
);
const there = computed(() => (isTimeZone(text.timeZone) ? `There it is ${sayTime(now.value, text.timeZone)}` : ''));

/** Money is recorded in another currency: nothing is kept until somebody has said what its figures mean. */
const moneyAsked = ref(false);
async function keep(sameFigures = false): Promise<void> {
  moneyAsked.value = false;
  const currency = text.currency.trim();
  const amounts = { ratePerHourMinor: text.rate, dayPriceMinor: text.day, comebackMinor: text.comeback };
  const read = Object.entries(amounts).map(([name, typed]) => [name, minorIn(typed, currency)] as const);
  fields.value = Object.fromEntries(
    read
      .filter(([, minor]) => Number.isNaN(minor) || minor < 0)
      .map(([name]) => [`settings.${name}`, `Expected an amount in ${currency}, zero or more.`]),
  );
  const reaches = Object.entries(REACHES).map(
    ([name, field]) => [name, numberIn(text[name as keyof typeof REACHES], field)] as const,
  );
  fields.value = {
    ...fields.value,
    ...Object.fromEntries(
      reaches
        .filter(([, value]) => !Number.isInteger(value) || value < 0)
        .map(([name]) => [`settings.comebackWithin.${name}`, 'Expected a whole number, zero or more.']),
    ),
  };
  problem.value = '';
  kept.value = false;
  if (Object.keys(fields.value).length > 0) return;
  try {
    await shop.keepFigures(
      {
        shopName: text.shopName,
        currency,
        timeZone: text.timeZone.trim(),
        measures: measures.value === 'ask' ? null : measures.value,
        ratePerHourMinor: 0,
        dayPriceMinor: 0,
        comebackMinor: 0,
        ...Object.fromEntries(read),
        comebackWithin: Object.fromEntries(reaches) as Readonly<Record<'days' | 'km' | 'h', number>>,
      },
      sameFigures,
    );
    kept.value = true;
  } catch (error) {
    if (error instanceof ApiError) {
      fields.value = error.fields;
      moneyAsked.value = error.code === 'money-recorded';
    }
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
</script>

<template>
  <h2 class="mb-2 mt-9 text-xl">The shop and its figures</h2>
  <form class="grid max-w-3xl items-start gap-4 sm:grid-cols-2" @submit.prevent="keep()">
    <TextField v-model="text.shopName" label="Shop" :error="fields['settings.shopName']" />
    <FieldBox
      v-slot="{ id, described, invalid }"
      label="Where it is: time zone"
      :error="fields['settings.timeZone']"
      :hint="there"
    >
      <input
        :id="id"
        v-model="text.timeZone"
        class="input"
        list="time-zones"
        autocomplete="off"
        placeholder="Europe/London"
        :aria-describedby="described"
        :aria-invalid="invalid"
      />
      <datalist id="time-zones"><option v-for="zone in TIME_ZONES" :key="zone" :value="zone" /></datalist>
    </FieldBox>
    <TextField v-model="text.currency" label="Currency" :hint="coins" :error="fields['settings.currency']" />
    <ChoiceRow
      v-model="measures"
      label="A gallon, quart or pint here is"
      :options="[
        { id: 'imperial', name: 'Imperial' },
        { id: 'US', name: 'US' },
        { id: 'ask', name: 'Ask' },
      ]"
    />
    <FigureField
      v-model="text.rate"
      :label="`Labour an hour, ${text.currency}`"
      field="money"
      :error="fields['settings.ratePerHourMinor']"
    />
    <FigureField
      v-model="text.day"
      :label="`A day without the vehicle costs its customer, ${text.currency}`"
      field="money"
      :error="fields['settings.dayPriceMinor']"
    />
    <FigureField
      v-model="text.comeback"
      :label="`A comeback costs us besides the work, ${text.currency}`"
      field="money"
      :error="fields['settings.comebackMinor']"
    />
    <fieldset class="sm:col-span-2">
      <legend class="text-note font-semibold">The same complaint is a comeback within</legend>
      <div class="mt-1 grid gap-4 sm:grid-cols-3">
        <FigureField
          v-model="text.days"
          :field="FIELDS.days"
          label="Days"
          :error="fields['settings.comebackWithin.days']"
        />
        <FigureField
          v-model="text.km"
          :field="FIELDS.odometerKm"
          label="and km"
          :error="fields['settings.comebackWithin.km']"
        />
        <FigureField
          v-model="text.h"
          :field="FIELDS.runningHours"
          label="or running hours"
          :error="fields['settings.comebackWithin.h']"
        />
      </div>
    </fieldset>
    <div class="sm:col-span-2">
      <p v-if="problem" class="mb-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
      <button v-if="moneyAsked" type="button" class="quiet mb-2 mr-3" @click="keep(true)">
        The figures stand for {{ text.currency }}
      </button>
      <button v-if="mayEdit" type="submit" class="quiet">Keep the figures</button>
      <span v-if="kept" class="ml-3 text-soft" role="status">Kept.</span>
    </div>
  </form>
</template>
