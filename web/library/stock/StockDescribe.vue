<script setup lang="ts">
import { FIELDS } from '../../../core/quantity/index.ts';
import { ref, shallowRef, watch } from 'vue';
import type { StockFile, StockItem } from '../../../contract/index.ts';
import { SUBSTANCES } from '../../../core/clean/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import SideBySide from '../../parts/SideBySide.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { useRow } from '../../stores/rows.ts';
import { useShop } from '../../stores/shop.ts';
import { itemText, readItem } from './itemText.ts';
import { STOCK_KINDS } from './kinds.ts';
import type { SendStock } from './useStockFile.ts';

/** What a stocked thing is: name, number, place, price, how long an order takes, and a cleaner's safety sheet. */
const props = defineProps<{
  id: string;
  file: StockFile | null;
  wrong: Readonly<Record<string, string>>;
  send: SendStock;
  number: string;
}>();
const emit = defineEmits<{ done: []; leave: [] }>();
const shop = useShop();
const text = ref(itemText(props.file?.item ?? null, shop.settings.currency, props.number));
const row = useRow(() => `/stock/${props.id}`, 'item');
row.version.value = props.file?.item.version ?? 0;
/** What was sent last, for showing it beside what somebody else saved. */
const sent = shallowRef<unknown>(null);
watch(
  () => props.file,
  (file) => {
    text.value = itemText(file?.item ?? null, shop.settings.currency, props.number);
    row.version.value = file?.item.version ?? 0;
  },
);
const error = (field: string): string | null => props.wrong[`item.${field}`] ?? null;
async function keep(): Promise<void> {
  const item = readItem(text.value, props.file?.item.detail ?? {}, shop.settings);
  sent.value = item;
  const kept = await props.send(async () => {
    await row.save(item);
    // Somebody else's save is read only once this person has chosen: what is typed here stays.
    return row.newer.value === null ? null : props.file;
  });
  if (kept && row.newer.value === null) emit('done');
}
function takeTheirs(): void {
  text.value = itemText(row.newer.value?.row as StockItem, shop.settings.currency, props.number);
  row.haveSeen();
}
function saveMine(): void {
  row.haveSeen();
  void keep();
}
</script>

<template>
  <form class="mt-4 grid max-w-4xl items-start gap-3 border-y border-line py-4 sm:grid-cols-3" @submit.prevent="keep">
    <SideBySide
      v-if="row.newer.value"
      :newer="row.newer.value"
      :mine="sent"
      @mine="saveMine"
      @theirs="takeTheirs"
      @close="row.newer.value = null"
    />
    <TextField v-model="text.name" label="Name" :error="error('name')" />
    <TextField v-model="text.partNumber" label="Part number" :error="error('partNumber')" />
    <FieldBox v-slot="{ id: field }" label="Kind">
      <select :id="field" v-model="text.kind" class="input">
        <option v-for="(name, key) in STOCK_KINDS" :key="key" :value="key">{{ name }}</option>
      </select>
    </FieldBox>
    <TextField v-model="text.place" label="Place" placeholder="drawer G2" />
    <FigureField
      v-model="text.price"
      :label="`Price, ${shop.settings.currency}`"
      field="money"
      :error="error('priceMinor')"
    />
    <TextField v-model="text.barcode" label="Barcode" placeholder="scan it here" />
    <FigureField
      v-model="text.leadDays"
      label="Days until it is here"
      :field="FIELDS.days"
      :error="error('detail.leadDays')"
    />
    <FigureField
      v-model="text.reorderAt"
      label="Order at, by hand"
      :field="FIELDS.count"
      placeholder="worked out from use"
      :error="error('detail.reorderAt')"
    />
    <TextField v-model="text.supplier" label="From" />
    <FigureField
      v-if="text.kind === 'cleaner' || text.kind === 'coolant'"
      v-model="text.contents"
      :label="text.kind === 'cleaner' ? 'Full can holds, g' : 'Bottle holds, L'"
      :field="text.kind === 'cleaner' ? FIELDS.canGrams : FIELDS.coolantLitres"
      :error="error('detail.contentsG') ?? error('detail.contentsL')"
    />
    <template v-if="text.kind === 'cleaner'">
      <FieldBox v-slot="{ id: field }" label="Kind of cleaner" class="sm:col-span-2">
        <select :id="field" v-model="text.substance" class="input">
          <option value="">not said</option>
          <option v-for="(name, key) in SUBSTANCES" :key="key" :value="key">{{ name }}</option>
        </select>
      </FieldBox>
      <FigureField
        v-model="text.molar"
        label="Molar mass, g/mol"
        :field="FIELDS.plain"
        :error="error('detail.safety.molarMass')"
      />
      <FigureField
        v-model="text.limit"
        label="Exposure limit, ppm"
        :field="FIELDS.plain"
        :error="error('detail.safety.limitPpm')"
      />
      <FigureField
        v-model="text.lel"
        label="Explosive limit, %"
        :field="FIELDS.share"
        :error="error('detail.safety.lelPercent')"
      />
      <FigureField
        v-model="text.flash"
        label="Flash point, °C"
        :field="FIELDS.coolantTemperature"
        :error="error('detail.safety.flashPointC')"
      />
      <TextField v-model="text.sheet" class="sm:col-span-2" label="Safety sheet and its year" />
    </template>
    <div class="flex gap-3 sm:col-span-3">
      <button type="submit" class="primary">{{ file === null ? 'Keep it' : 'Keep the change' }}</button>
      <button type="button" class="quiet" @click="emit('leave')">Leave it</button>
    </div>
  </form>
</template>
