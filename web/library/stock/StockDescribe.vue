<script setup lang="ts">
import { FIELDS } from '../../../core/quantity/index.ts';
import { watch } from 'vue';
import { type StockFile, stockInput, type StockItem } from '../../../contract/index.ts';
import { SUBSTANCES } from '../../../core/clean/index.ts';
import DraftNote from '../../forms/DraftNote.vue';
import { useRowForm } from '../../forms/rowForm.ts';
import FieldBox from '../../parts/FieldBox.vue';
import SideBySide from '../../parts/SideBySide.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import { type ItemText, itemText, readItem } from './itemText.ts';
import { STOCK_KINDS } from './kinds.ts';

/** What a stocked thing is: name, number, place, price, how long an order takes, and a cleaner's safety sheet. */
const props = defineProps<{ id: string; file: StockFile | null; number: string }>();
const emit = defineEmits<{ done: []; leave: [] }>();
const shop = useShop();
const form = useRowForm<ItemText, StockItem>({
  schema: stockInput,
  path: () => `/stock/${props.id}`,
  field: 'item',
  draft: () => `stock.${props.file === null ? 'new' : props.id}`,
  textOf: (item) => itemText(item, shop.settings.currency, props.number),
  read: (typed) => readItem(typed, props.file?.item.detail ?? {}, shop.settings),
});
const { text, errors, said, busy, sent, restored, newer } = form;
watch(
  () => props.file,
  (file) => form.open(file?.item ?? null, file?.item.version ?? 0),
  { immediate: true },
);
async function keep(event?: Event): Promise<void> {
  if (await form.submit(event)) emit('done');
}
async function saveMine(): Promise<void> {
  if (await form.saveMine()) emit('done');
}
function leave(): void {
  form.leave();
  emit('leave');
}
</script>

<template>
  <form
    class="mt-4 grid max-w-4xl items-start gap-3 border-y border-line py-4 sm:grid-cols-3"
    novalidate
    @submit.prevent="keep"
  >
    <SideBySide
      v-if="newer"
      :newer="newer"
      :mine="sent"
      @mine="saveMine"
      @theirs="form.takeTheirs"
      @close="newer = null"
    />
    <DraftNote class="sm:col-span-3" :restored="restored" @afresh="form.startAfresh" />
    <TextField v-model="text.name" label="Name" :error="errors.name" />
    <TextField v-model="text.partNumber" label="Part number" :error="errors.partNumber" />
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
      :error="errors.priceMinor"
    />
    <TextField v-model="text.barcode" label="Barcode" placeholder="scan it here" />
    <FigureField
      v-model="text.leadDays"
      label="Days until it is here"
      :field="FIELDS.days"
      :error="errors['detail.leadDays']"
    />
    <FigureField
      v-model="text.reorderAt"
      label="Order at, by hand"
      :field="FIELDS.count"
      placeholder="worked out from use"
      :error="errors['detail.reorderAt']"
    />
    <TextField v-model="text.supplier" label="From" />
    <FigureField
      v-if="text.kind === 'cleaner' || text.kind === 'coolant'"
      v-model="text.contents"
      :label="text.kind === 'cleaner' ? 'Full can holds, g' : 'Bottle holds, L'"
      :field="text.kind === 'cleaner' ? FIELDS.canGrams : FIELDS.coolantLitres"
      :error="errors['detail.contentsG'] ?? errors['detail.contentsL']"
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
        :error="errors['detail.safety.molarMass']"
      />
      <FigureField
        v-model="text.limit"
        label="Exposure limit, ppm"
        :field="FIELDS.plain"
        :error="errors['detail.safety.limitPpm']"
      />
      <FigureField
        v-model="text.lel"
        label="Explosive limit, %"
        :field="FIELDS.share"
        :error="errors['detail.safety.lelPercent']"
      />
      <FigureField
        v-model="text.flash"
        label="Flash point, °C"
        :field="FIELDS.coolantTemperature"
        :error="errors['detail.safety.flashPointC']"
      />
      <TextField v-model="text.sheet" class="sm:col-span-2" label="Safety sheet and its year" />
    </template>
    <p v-if="said" class="font-semibold text-alarm sm:col-span-3" role="alert">{{ said }}</p>
    <div class="flex gap-3 sm:col-span-3">
      <button type="submit" class="primary" :disabled="busy">
        {{ file === null ? 'Keep it' : 'Keep the change' }}
      </button>
      <button type="button" class="quiet" @click="leave">Leave it</button>
    </div>
  </form>
</template>
