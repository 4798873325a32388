<script setup lang="ts">
import { numberIn } from '../parts/numberIn.ts';
import { computed, ref } from 'vue';
import {
  compatible,
  freezePoint,
  freezeWords,
  type Glycol,
  type Inhibitor,
  INHIBITORS,
  mix,
  shareForFreezePoint,
} from '../../core/coolant/index.ts';
import { FIELDS, formatNumber } from '../../core/quantity/index.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import FieldBox from '../parts/FieldBox.vue';
import FigureField from '../parts/FigureField.vue';
import { useShop } from '../stores/shop.ts';
import TopUpRows from '../stages/coolant/TopUpRows.vue';

/** Coolant without a job: mixing, freeze points both ways, topping up, what goes with what. */
const shop = useShop();
const glycol = ref<Glycol | null>('ethylene');
const base = computed<Glycol>(() => glycol.value ?? 'ethylene');
const percent = ref('50');
const celsius = ref('−37');
const full = ref('7.4');
const now = ref('7.0');
const nowShare = ref('45');
const target = ref('50');
const drained = ref('0.9');
const returned = ref('0.5');
const added = ref('0.4');
const addedShare = ref('0');
const a = ref<Inhibitor>('OAT');
const b = ref<Inhibitor>('HOAT');

const share = (text: string): number => numberIn(text, FIELDS.share) / 100;
const litres = (text: string): number => numberIn(text, FIELDS.coolantLitres, shop.settings.measures);
const within = (value: number, low: number, high: number): boolean => value >= low && value <= high;
const freeze = computed(() =>
  within(share(percent.value), 0, 1) ? freezePoint(base.value, share(percent.value)) : null,
);
const back = computed(() => {
  try {
    return {
      percent: Math.round(shareForFreezePoint(base.value, numberIn(celsius.value, FIELDS.freezePoint)) * 100),
      wrong: null,
    };
  } catch (error) {
    return { percent: null, wrong: (error as RangeError).message.replace('NaN', 'nothing that can be read') };
  }
});
const state = computed(() => {
  const [volume, concentration, capacity, wanted] = [
    litres(now.value),
    share(nowShare.value),
    litres(full.value),
    share(target.value),
  ];
  return within(volume, 0, 100) && within(concentration, 0, 1) && within(capacity, 0.1, 100) && within(wanted, 0, 1)
    ? { now: { volume, concentration }, target: { volume: capacity, concentration: wanted } }
    : null;
});
const mixed = computed(() => {
  try {
    const found = mix(
      { volume: litres(full.value), concentration: share(nowShare.value) },
      {
        drained: litres(drained.value),
        returned: litres(returned.value),
        added: litres(added.value),
        addedConcentration: share(addedShare.value),
      },
    );
    return { ...found, freezes: freezeWords(freezePoint(base.value, found.concentration)), wrong: null };
  } catch (error) {
    return {
      volume: 0,
      concentration: 0,
      freezes: '',
      wrong: (error as RangeError).message.replace('NaN', 'nothing that can be read'),
    };
  }
});
const goes = computed(() => compatible(a.value, b.value));
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p class="text-sm"><RouterLink class="link" to="/tools">Tools</RouterLink></p>
    <div class="flex flex-wrap items-end justify-between gap-4">
      <h1 class="text-title">Coolant</h1>
      <ChoiceRow
        v-model="glycol"
        label="Base"
        hide-label
        :options="[
          { id: 'ethylene', name: 'Ethylene glycol' },
          { id: 'propylene', name: 'Propylene glycol' },
        ]"
      />
    </div>
    <div class="mt-5 grid gap-x-12 gap-y-8 lg:grid-cols-2">
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">Share to freeze point, and back</h2>
        <div class="mt-3 grid max-w-md grid-cols-2 gap-4">
          <FigureField
            v-model="percent"
            label="Antifreeze, % by volume"
            :field="FIELDS.share"
            :error="freeze === null ? 'Expected 0 to 100 %.' : null"
          />
          <FigureField v-model="celsius" label="Refractometer, °C" :field="FIELDS.freezePoint" :error="back.wrong" />
          <p>
            <span v-if="freeze" class="figure text-figure-md text-harbour">{{
              formatNumber({ value: freeze.celsius, unit: '°C' }, { decimals: 0 })
            }}</span>
            <span class="text-soft">°C</span>
          </p>
          <p>
            <span v-if="back.percent !== null" class="figure text-figure-md text-harbour">{{ back.percent }}</span>
            <span class="text-soft">%</span>
          </p>
        </div>
        <p v-if="freeze?.beyondTable" class="text-sm font-semibold text-brass">
          Stronger than the table goes: {{ freezeWords(freeze) }}.
        </p>
      </section>
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">What goes with what</h2>
        <div class="mt-3 grid gap-3 sm:grid-cols-2">
          <FieldBox v-slot="{ id }" label="In it"
            ><select :id="id" v-model="a" class="input">
              <option v-for="(name, key) in INHIBITORS" :key="key" :value="key">{{ name }}</option>
            </select></FieldBox
          >
          <FieldBox v-slot="{ id }" label="To be added"
            ><select :id="id" v-model="b" class="input">
              <option v-for="(name, key) in INHIBITORS" :key="key" :value="key">{{ name }}</option>
            </select></FieldBox
          >
        </div>
        <p
          class="mt-3 text-xl font-bold"
          :class="goes.verdict === 'do not mix' ? 'text-alarm' : goes.verdict === 'same' ? 'text-moss' : 'text-brass'"
        >
          {{
            goes.verdict === 'same' ? 'The same' : goes.verdict === 'do not mix' ? 'Do not mix' : 'Mixes, lasts less'
          }}
        </p>
        <p>{{ goes.words }} <span class="text-soft">Not by colour: colours are not agreed on.</span></p>
      </section>
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">Top up</h2>
        <div class="mt-3 grid grid-cols-4 gap-2">
          <FigureField v-model="full" label="Full, L" :field="FIELDS.coolantLitres" />
          <FigureField v-model="target" label="Wanted, %" :field="FIELDS.share" />
          <FigureField v-model="now" label="In it, L" :field="FIELDS.coolantLitres" />
          <FigureField v-model="nowShare" label="Of, %" :field="FIELDS.share" />
        </div>
        <TopUpRows v-if="state" class="mt-3" :state="state.now" :target="state.target" :glycol="base" />
        <p v-else class="mt-3 text-sm font-semibold text-alarm" role="alert">
          Expected litres up to 100 and shares from 0 to 100 %.
        </p>
      </section>
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">Out, back and added</h2>
        <div class="mt-3 grid grid-cols-4 gap-2">
          <FigureField v-model="drained" label="Out, L" :field="FIELDS.coolantLitres" />
          <FigureField v-model="returned" label="Back, L" :field="FIELDS.coolantLitres" />
          <FigureField v-model="added" label="Added, L" :field="FIELDS.coolantLitres" />
          <FigureField v-model="addedShare" label="Of, %" :field="FIELDS.share" />
        </div>
        <p v-if="mixed.wrong" class="mt-3 text-sm font-semibold text-alarm" role="alert">{{ mixed.wrong }}</p>
        <p v-else class="mt-3">
          From {{ full }} L at {{ nowShare }} %:
          <b class="text-harbour">{{ mixed.volume.toFixed(2) }} L at {{ (mixed.concentration * 100).toFixed(0) }} %</b>,
          freezes at <b class="text-harbour">{{ mixed.freezes }}</b>.
        </p>
        <p class="mt-2 text-sm text-soft">Standard tables of glycol and water; the maker’s label comes first.</p>
      </section>
    </div>
  </section>
</template>
