<script setup lang="ts">
import { numberIn } from '../parts/numberIn.ts';
import { computed, ref } from 'vue';
import { freezePoint, freezeWords, type Glycol } from '../../core/coolant/index.ts';
import { calibrationDue } from '../../core/prepare/index.ts';
import { FIELDS, format, formatNumber, readField, unitsOfKind } from '../../core/quantity/index.ts';
import { isSpec, rankWrenches, specFromText } from '../../core/torque/index.ts';
import { checkVin, parseDtc } from '../../core/vehicle/index.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { sayDate } from '../../core/days/index.ts';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';
import WrenchRows from './WrenchRows.vue';

/** The bench tools on their own: torque, coolant, codes and VINs, without a job. */
const shop = useShop();
const torque = ref('8.5 Nm');
const share = ref('50');
const glycol = ref<Glycol | null>('ethylene');
const code = ref('');
const vin = ref('');

const spec = computed(() => specFromText(torque.value, null));
const parsed = computed(() => readField(torque.value, FIELDS.torqueSpec));
const ranked = computed(() => (isSpec(spec.value) ? rankWrenches(spec.value, shop.wrenches) : []));
const others = computed(() => {
  const { value } = parsed;
  return value.ok
    ? unitsOfKind('torque')
        .filter((unit) => unit !== value.quantity.unit)
        .map((unit) => format(value.quantity, { in: unit }))
    : [];
});
const today = useToday();
const wall = computed(() =>
  shop.tools.map((tool) => {
    const due = calibrationDue(tool);
    const late = tool.calibrationMonths !== null && (due === null || due < today.value);
    return { tool, late, words: due === null ? '' : `${late ? 'was due' : 'calibrated until'} ${sayDate(due)}` };
  }),
);
const freeze = computed(() => {
  const percent = numberIn(share.value, FIELDS.share);
  return percent >= 0 && percent <= 100 ? freezePoint(glycol.value ?? 'ethylene', percent / 100) : null;
});
const dtc = computed(() => (code.value === '' ? null : parseDtc(code.value)));
const vinCheck = computed(() => (vin.value === '' ? null : checkVin(vin.value)));
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <h1 class="text-title">Tools</h1>
    <nav class="mt-3 flex flex-wrap gap-3" aria-label="Tool pages">
      <RouterLink class="quiet" to="/tools/torque">Torque</RouterLink>
      <RouterLink class="quiet" to="/tools/coolant">Coolant</RouterLink>
      <RouterLink class="quiet" to="/tools/advice">What may touch what</RouterLink>
      <RouterLink class="quiet" to="/tools/air">Air in the bay</RouterLink>
    </nav>
    <div class="mt-4 grid gap-x-12 gap-y-8 lg:grid-cols-2">
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">Torque and wrench</h2>
        <FigureField
          v-model="torque"
          :field="FIELDS.torqueSpec"
          class="mt-3 max-w-sm"
          label="As the book writes it"
          placeholder="8–10 Nm, 80 in-lb, 0.9 kgf m"
          :error="isSpec(spec) ? null : spec.message"
        />
        <p v-if="others.length > 0" class="mt-3 flex flex-wrap gap-x-6 gap-y-1 font-bold">
          <span v-for="other in others" :key="other">{{ other }}</span>
        </p>
        <WrenchRows class="mt-3" :ranked="ranked"
          ><li v-if="ranked.length === 0" class="py-2.5 text-soft">
            Type a torque to see which wrench suits.
          </li></WrenchRows
        >
      </section>
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">Freeze point</h2>
        <div class="mt-3 flex flex-wrap items-end gap-4">
          <FigureField
            v-model="share"
            class="w-52"
            label="Antifreeze, % by volume"
            :field="FIELDS.share"
            :error="freeze === null ? 'Expected 0 to 100 %.' : null"
          /><ChoiceRow
            v-model="glycol"
            label="Base"
            :options="[
              { id: 'ethylene', name: 'Ethylene' },
              { id: 'propylene', name: 'Propylene' },
            ]"
          />
        </div>
        <p v-if="freeze" class="mt-4">
          <span class="figure text-figure-lg text-harbour">{{
            formatNumber({ value: freeze.celsius, unit: '°C' }, { decimals: 0 })
          }}</span>
          <span class="text-lg font-semibold text-soft">°C</span>
        </p>
        <p v-if="freeze?.beyondTable" class="text-sm font-semibold text-brass">
          Stronger than the table goes: {{ freezeWords(freeze) }}.
        </p>
        <p class="text-sm text-soft">Standard tables of glycol and water; the maker’s label comes first.</p>
      </section>
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">What a code says</h2>
        <TextField
          v-model="code"
          class="mt-3 max-w-sm"
          label="Code"
          placeholder="P0505"
          :error="dtc && !dtc.ok ? dtc.message : null"
        />
        <p v-if="dtc?.ok" class="mt-3">
          <span class="code text-xl font-bold">{{ dtc.dtc.code }}</span> {{ dtc.dtc.meaning ?? 'Not in our list.' }}
          <span class="text-soft"
            >{{ dtc.dtc.scope === 'generic' ? 'Generic' : 'Maker’s own' }}, {{ dtc.dtc.group }}.</span
          >
        </p>
      </section>
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">On the wall</h2>
        <ul class="rows mt-2 border-y border-line text-note">
          <li v-for="each in wall" :key="each.tool.id" class="grid gap-x-4 py-2 sm:grid-cols-[1fr_6rem_11rem]">
            <span
              ><span class="font-semibold">{{ each.tool.name }}</span
              ><span v-if="each.tool.range" class="block text-sm text-soft">{{ each.tool.range }}</span></span
            >
            <span class="text-soft">{{ each.tool.place }}</span>
            <span class="sm:text-right" :class="each.late ? 'font-semibold text-brass' : 'text-soft'">{{
              each.words
            }}</span>
          </li>
          <li v-if="wall.length === 0" class="py-2 text-soft">A shop file brings the list of tools in.</li>
        </ul>
      </section>
      <section class="border-t border-line pt-4">
        <h2 class="text-lg">VIN check</h2>
        <TextField v-model="vin" class="mt-3 max-w-md" label="VIN" placeholder="17 characters" />
        <p v-if="vinCheck" class="mt-3" :class="vinCheck.status === 'passes' ? 'font-bold text-moss' : 'text-brass'">
          {{ vinCheck.message }}
        </p>
      </section>
    </div>
  </section>
</template>
