<script setup lang="ts">
import { plainNumber } from '../../../core/stock/index.ts';
import { numberIn } from '../../parts/numberIn.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import { computed, onMounted, ref } from 'vue';
import { isBody } from '../../../core/clean/index.ts';
import { isVehicleUnit, type JobUnit } from '../../../core/job/index.ts';
import { unitTypeOf } from '../../../core/vehicle/index.ts';
import type { StockItem } from '../../../contract/index.ts';
import { lookInStock } from '../../data/stock.ts';
import PickField from '../../parts/PickField.vue';
import type { Pick } from '../../parts/picks.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useStock } from '../../stores/stock.ts';
import UnitTabs from '../units/UnitTabs.vue';
import { useUnits } from '../units/useUnits.ts';
import VariantForm from '../diagnosis/VariantForm.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import AfterTests from './AfterTests.vue';
import PiecesBlock from './PiecesBlock.vue';
import RenewPart from './RenewPart.vue';
import SealRows from './SealRows.vue';
import SensorBlock from './SensorBlock.vue';
import TrimPanel from '../trim/TrimPanel.vue';
import TurnsBlock from './TurnsBlock.vue';
import UnitsDone from './UnitsDone.vue';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';

/** Put together again: the kit in its order, look-alikes to their place, the sensor by meter, screws counted, leaks looked for. */
const store = useJob();
const shop = useShop();
const form = useForm();
const partForm = useForm();
const { units, unit, chosen } = useUnits();
const job = computed(() => store.job);
const stock = useStock();
const extra = ref('');
const partId = ref('');
const quantity = ref('1');
const comparing = ref(false);
const compared = computed(() => job.value?.variants ?? []);
// Kits are of gaskets and seals; any other part is looked for when it is fitted.
onMounted(() => stock.load({ kind: ['gasket', 'seal'] }));
const kitOf = (of: JobUnit) => unitTypeOf(store.family, of.kind)?.kit ?? [];
/** Gaskets and seals that came off, and any typed besides: what no kit names already. */
const seals = computed(() => {
  const inKits = new Set(units.value.flatMap((each) => kitOf(each).map(({ partNumber }) => plainNumber(partNumber))));
  const kitNames = units.value.flatMap((each) => kitOf(each).map(({ name }) => name));
  const listed =
    job.value?.items
      .filter(
        ({ kind, state, partNumber }) => kind === 'gasket' && state !== 'on' && !inKits.has(plainNumber(partNumber)),
      )
      .map(({ name, partNumber }) => ({ name, partNumber })) ?? [];
  const others =
    job.value?.seals
      .filter(
        ({ name }) => !listed.some((each) => each.name === name) && !kitNames.some((each) => name.startsWith(each)),
      )
      .map(({ name, partNumber }) => ({ name, partNumber })) ?? [];
  return [...listed, ...others];
});
function addSeal(): void {
  if (form.send('decide-seal', { id: freshId(), name: extra.value, decision: 'renewed', partNumber: '', why: '' }))
    extra.value = '';
}
/** What was looked at in stock, so that the one that is picked is at hand. */
const looked = new Map<string, StockItem>();
async function look(text: string): Promise<readonly Pick[]> {
  const found = await lookInStock(text);
  for (const item of found) looked.set(item.id, item);
  return found.map(({ id, name, partNumber, left }) => ({
    id,
    words: name,
    about: `${partNumber === '' ? '' : `${partNumber}, `}${left} left`,
  }));
}
function fit(): void {
  const part = looked.get(partId.value);
  if (part === undefined) return;
  const { name, partNumber, priceMinor } = part;
  if (
    partForm.send('use-part', {
      id: freshId(),
      name,
      partNumber,
      quantity: numberIn(quantity.value, FIELDS.count),
      priceMinor,
    })
  ) {
    partId.value = '';
    quantity.value = '1';
  }
}
const replaced = computed(() => job.value?.replaced.find((each) => each.unit === unit.value?.id) ?? null);
</script>

<template>
  <StageFrame
    v-if="job"
    stage="rebuild"
    title="On the bench: rebuild"
    lead="Every gasket and seal in its order: new, or used again with a reason."
  >
    <UnitsDone :job="job" />
    <UnitTabs class="mt-3" :units="units" :current="unit?.id ?? ''" @pick="chosen = $event">
      <RenewPart v-if="unit && !isVehicleUnit(unit)" :key="unit.id" :job="job" :unit="unit" />
      <template v-else-if="unit">
        <div class="mt-4 flex flex-wrap items-center gap-3">
          <p v-if="replaced" class="font-semibold text-moss">
            Replaced by <span class="code">{{ replaced.fitted.partNumber }}</span>, {{ replaced.fitted.origin }}.
          </p>
          <RouterLink class="quiet" :to="{ path: `/jobs/${job.id}/replace`, query: { unit: unit.id } }">{{
            replaced ? 'Old against new' : 'Replace it instead'
          }}</RouterLink>
        </div>
        <section v-if="kitOf(unit).length > 0" class="mt-4">
          <h3 class="mb-1 text-sm font-bold">
            Kit of the {{ unit.name.toLowerCase() }}, in the order in which it goes in
          </h3>
          <SealRows :key="unit.id" :job="job" :unit="unit" :stock="stock.rows" :seals="[]" />
        </section>
      </template>
    </UnitTabs>
    <section class="mt-5">
      <h3 class="mb-1 text-sm font-bold">
        {{ unit && kitOf(unit).length > 0 ? 'Other gaskets and seals' : 'Gaskets and seals' }}
      </h3>
      <SealRows :job="job" :unit="null" :stock="stock.rows" :seals="seals">
        <li class="py-3 text-soft">No other gasket or seal has come off. Type one if you meet it.</li>
      </SealRows>
    </section>
    <form v-if="job.status === 'open'" class="mt-3 flex max-w-lg items-start gap-2" @submit.prevent="addSeal">
      <TextField
        v-model="extra"
        class="flex-1"
        label="Another seal, renewed"
        placeholder="shaft seal"
        :error="form.error('name')"
      />
      <button type="submit" class="quiet mt-6">Add</button>
    </form>
    <div v-if="unit" class="mt-8 grid gap-8 border-t border-line pt-6">
      <PiecesBlock
        v-if="unit.form === 'bank' || job.pieces.length > 0"
        :job="job"
        :unit="unit"
        :units="units.filter(isVehicleUnit)"
      />
      <SensorBlock
        v-if="isBody(unit.form) && unit.form !== 'diesel-flap'"
        :key="`sensor ${unit.id}`"
        :job="job"
        :unit="unit"
      />
      <TurnsBlock
        v-if="unit.form === 'cable' || unit.form === 'bank' || unit.form === 'plastic'"
        :key="`turns ${unit.id}`"
        :job="job"
        :unit="unit"
      />
      <TrimPanel :key="`trim ${unit.id}`" :job="job" :unit="unit" />
      <AfterTests :key="`after ${unit.id}`" :job="job" :unit="unit" />
    </div>
    <h3 class="mt-8 border-t border-line pt-6 text-lg">Fitted from stock</h3>
    <ul v-if="job.parts.length > 0" class="rows mt-1 border-y border-line">
      <li v-for="part in job.parts" :key="part.id" class="flex justify-between gap-4 py-2">
        <span
          >{{ part.quantity }} × {{ part.name }} <span class="code text-sm text-soft">{{ part.partNumber }}</span></span
        ><span class="flex items-baseline gap-4 font-bold"
          ><PutRight :job="job" kind="part-used" :holds="{ id: part.id }" :what="part.name" />{{
            shop.say.money(part.priceMinor * part.quantity)
          }}</span
        >
      </li>
    </ul>
    <StruckLines :job="job" :kinds="['part-used', 'seal-decided']" />
    <form
      v-if="job.status === 'open'"
      class="mt-3 grid max-w-2xl items-start gap-3 sm:grid-cols-[1fr_6rem_auto]"
      @submit.prevent="fit"
    >
      <PickField v-model="partId" label="Part" placeholder="From stock: name or number" :look="look" />
      <FigureField
        v-model="quantity"
        label="How many"
        :field="FIELDS.count"
        :error="partForm.error('quantity') ?? partForm.general('quantity')"
      />
      <button type="submit" class="quiet mt-6" :disabled="partId === ''">Fitted</button>
    </form>
    <template #why>
      <div>
        <h3 class="text-sm font-bold">The unit that goes on</h3>
        <p
          v-for="each in compared"
          :key="each.id"
          :class="each.verdict === 'fits' ? 'text-moss' : 'font-semibold text-oxide'"
        >
          {{ each.place }}: {{ each.words }}
        </p>
        <button v-if="job.status === 'open'" type="button" class="quiet mt-2" @click="comparing = true">
          Compare it with what the computer expects
        </button>
      </div>
      <p>
        A gasket that is proud and unmarked may serve again; one that is flat will leak air, and leaked air looks like
        the fault you came to cure.
      </p>
      <ul class="rows border-y border-line text-note">
        <li class="py-1.5">O-rings go in wet with a lubricant that suits their rubber. Petroleum jelly swells EPDM.</li>
        <li class="py-1.5">Valve and gasket the same way round as they sat.</li>
        <li class="py-1.5">Sensor back to its witness mark, or set by meter.</li>
      </ul>
      <RouterLink class="link" to="/tools/advice">What may touch what</RouterLink>
    </template>
  </StageFrame>
  <SheetDialog v-if="comparing" title="Compare the unit with what the computer expects" wide @close="comparing = false">
    <VariantForm @done="comparing = false" />
  </SheetDialog>
</template>
