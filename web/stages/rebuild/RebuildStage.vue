<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { StockItem } from '../../../contract/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import TextField from '../../parts/TextField.vue';
import { api } from '../../stores/api.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import VariantForm from '../diagnose/VariantForm.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import UnitsDone from './UnitsDone.vue';

const store = useJob();
const shop = useShop();
const form = useForm();
const partForm = useForm();
const job = computed(() => store.job);
const stock = shallowRef<readonly StockItem[]>([]);
const reusing = ref('');
const why = ref('');
const extra = ref('');
const partId = ref('');
const quantity = ref('1');
const comparing = ref(false);
const compared = computed(() => job.value?.variants ?? []);

onMounted(async () => {
  stock.value = (await api.get<{ rows: StockItem[] }>('/stock').catch(() => ({ rows: [] }))).rows;
});
/** Gaskets and seals that this job has met, and any typed besides. */
const seals = computed(() => {
  const listed =
    job.value?.items
      .filter(({ kind, state }) => kind === 'gasket' && state !== 'on')
      .map(({ name, partNumber }) => ({ name, partNumber })) ?? [];
  const others =
    job.value?.seals
      .filter(({ name }) => !listed.some((each) => each.name === name))
      .map(({ name, partNumber }) => ({ name, partNumber })) ?? [];
  return [...listed, ...others];
});
const decided = (name: string) => job.value?.seals.find((seal) => seal.name === name);
const inStock = (partNumber: string) => stock.value.find((item) => item.partNumber === partNumber && partNumber !== '');

function renew(name: string, partNumber: string): void {
  if (!form.send('decide-seal', { id: freshId(), name, decision: 'renewed', partNumber, why: '' })) return;
  const part = inStock(partNumber);
  // One for each seal of that number: two banks take two gaskets.
  const fitted = job.value?.parts.reduce((sum, used) => sum + (used.partNumber === partNumber ? used.quantity : 0), 0);
  const renewed = job.value?.seals.filter((seal) => seal.partNumber === partNumber && seal.decision === 'renewed');
  if (part && (fitted ?? 0) < (renewed?.length ?? 1)) {
    store.send('use-part', { id: freshId(), name: part.name, partNumber, quantity: 1, priceMinor: part.priceMinor });
  }
}
function reuse(name: string, partNumber: string): void {
  if (form.send('decide-seal', { id: freshId(), name, decision: 'reused', partNumber, why: why.value })) {
    reusing.value = '';
    why.value = '';
  }
}
function addSeal(): void {
  if (form.send('decide-seal', { id: freshId(), name: extra.value, decision: 'renewed', partNumber: '', why: '' }))
    extra.value = '';
}
function fit(): void {
  const part = stock.value.find(({ id }) => id === partId.value);
  if (
    part &&
    partForm.send('use-part', {
      id: freshId(),
      name: part.name,
      partNumber: part.partNumber,
      quantity: Number(quantity.value),
      priceMinor: part.priceMinor,
    })
  )
    partId.value = '';
}
</script>

<template>
  <StageFrame
    v-if="job"
    stage="rebuild"
    title="On the bench: rebuild"
    lead="Every gasket and seal: new, or used again with a reason."
  >
    <UnitsDone :job="job" />
    <ul class="rows mt-5 border-y border-line">
      <li v-for="seal in seals" :key="seal.name" class="py-3">
        <div class="flex flex-wrap items-center gap-3">
          <div class="flex-1">
            <p class="font-semibold">{{ seal.name }}</p>
            <p class="text-sm text-soft">
              <span class="code">{{ seal.partNumber || 'no part number' }}</span><template
                v-if="inStock(seal.partNumber)"
                >, {{ inStock(seal.partNumber)?.left }} in {{ inStock(seal.partNumber)?.place }}</template
              >
            </p>
            <p
              v-if="decided(seal.name)"
              class="text-sm font-semibold"
              :class="decided(seal.name)?.decision === 'renewed' ? 'text-moss' : 'text-brass'"
            >
              {{ decided(seal.name)?.decision }}{{ decided(seal.name)?.why ? `: ${decided(seal.name)?.why}` : '' }}
            </p>
          </div>
          <fieldset class="flex gap-2" :disabled="job.status === 'closed'">
            <legend class="sr-only">{{ seal.name }}</legend>
            <button
              type="button"
              class="quiet"
              :aria-pressed="decided(seal.name)?.decision === 'renewed'"
              @click="renew(seal.name, seal.partNumber)"
            >
              Renew
            </button>
            <button
              type="button"
              class="quiet"
              :aria-pressed="decided(seal.name)?.decision === 'reused'"
              @click="reusing = reusing === seal.name ? '' : seal.name"
            >
              Use again
            </button>
          </fieldset>
        </div>
        <form
          v-if="reusing === seal.name"
          class="mt-2 flex items-start gap-2"
          @submit.prevent="reuse(seal.name, seal.partNumber)"
        >
          <TextField
            v-model="why"
            class="flex-1"
            label="Why can it serve again?"
            placeholder="proud, unmarked, soft"
            :error="form.error('why') ?? form.general('why', 'name')"
          />
          <button type="submit" class="quiet mt-6">Use it again</button>
        </form>
      </li>
      <li v-if="seals.length === 0" class="py-3 text-soft">No gasket or seal has come off. Type one if you meet it.</li>
    </ul>
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

    <h3 class="mt-8 text-lg">Fitted from stock</h3>
    <ul v-if="job.parts.length > 0" class="rows mt-1 border-y border-line">
      <li v-for="part in job.parts" :key="part.id" class="flex justify-between gap-4 py-2">
        <span
          >{{ part.quantity }} × {{ part.name }} <span class="code text-sm text-soft">{{ part.partNumber }}</span></span
        ><span class="font-bold">{{ shop.say.money(part.priceMinor * part.quantity) }}</span>
      </li>
    </ul>
    <form
      v-if="job.status === 'open'"
      class="mt-3 grid max-w-2xl items-start gap-3 sm:grid-cols-[1fr_6rem_auto]"
      @submit.prevent="fit"
    >
      <FieldBox v-slot="{ id }" label="Part"
        ><select :id="id" v-model="partId" class="input">
          <option value="" disabled>From stock</option>
          <option v-for="item in stock" :key="item.id" :value="item.id">{{ item.name }} ({{ item.left }} left)</option>
        </select></FieldBox
      >
      <TextField
        v-model="quantity"
        label="How many"
        inputmode="numeric"
        :error="partForm.error('quantity') ?? partForm.general('quantity')"
      />
      <button type="submit" class="quiet mt-6" :disabled="partId === ''">Fitted</button>
    </form>
    <h3 class="mb-1 mt-8 text-sm font-bold">The unit that goes on</h3>
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
    <template #why>
      <p>
        A gasket that is proud and unmarked may serve again; one that is flat will leak air, and leaked air looks like
        the fault you came to cure.
      </p>
      <ul class="rows border-y border-line text-[0.9375rem]">
        <li class="py-1.5">O-rings go in wet with a lubricant that suits their rubber. Petroleum jelly swells EPDM.</li>
        <li class="py-1.5">Valve and gasket the same way round as they sat.</li>
        <li class="py-1.5">Sensor back to its witness mark, or set by meter.</li>
      </ul>
    </template>
  </StageFrame>
  <SheetDialog v-if="comparing" title="Compare the unit with what the computer expects" wide @close="comparing = false">
    <VariantForm @done="comparing = false" />
  </SheetDialog>
</template>
