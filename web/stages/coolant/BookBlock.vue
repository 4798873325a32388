<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, onMounted, ref, watch } from 'vue';
import { compatible } from '../../../core/coolant/index.ts';
import { coolantNow, type Job } from '../../../core/job/index.ts';
import type { CoolantSystem } from '../../../core/procedure/index.ts';
import { FIELDS, format } from '../../../core/quantity/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import PickField from '../../parts/PickField.vue';
import FigureField from '../../parts/FigureField.vue';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useStock } from '../../stores/stock.ts';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';
import { useForm } from '../useForm.ts';
import TopUpRows from './TopUpRows.vue';

/** The coolant book: what came out, went back, was poured in or away, and what would bring it to the mark. */
const props = defineProps<{ job: Job; system: CoolantSystem | null }>();
const shop = useShop();
const form = useForm();
type Kind = 'caught' | 'returned' | 'added' | 'discarded';
const kind = ref<Kind | null>('caught');
const amount = ref('');
const strength = ref('50');
const bottle = ref('');
const emptied = ref(false);
const shelf = useStock();
onMounted(() => shelf.load({ kind: 'coolant' }));
const stock = computed(() => shelf.rows.filter(({ kind: of }) => of === 'coolant'));
const now = computed(() => coolantNow(props.job));
/** What is poured in: its strength, inhibitor and price by the litre. */
const chosen = computed(() => stock.value.find(({ id }) => id === bottle.value) ?? null);
// By id: what is typed over the bottle's strength stays when the stock is read again.
watch(bottle, () => {
  const { concentration } = chosen.value?.detail ?? {};
  if (concentration !== undefined) strength.value = String(Math.round(concentration * 100));
});
const mixing = computed(() => {
  const [own, added] = [props.system?.inhibitor, chosen.value?.detail.inhibitor];
  return own === undefined || added === undefined ? null : compatible(own, added);
});

function record(): void {
  const share = numberIn(strength.value, FIELDS.share);
  const adding = kind.value === 'added';
  const litres = numberIn(amount.value, FIELDS.coolantLitres, shop.settings.measures);
  const { contentsL, inhibitor } = chosen.value?.detail ?? {};
  const price =
    adding && chosen.value !== null && contentsL !== undefined && !Number.isNaN(litres)
      ? Math.round((litres / contentsL) * chosen.value.priceMinor)
      : null;
  if (
    form.send('record-coolant', {
      id: freshId(),
      kind: kind.value ?? 'caught',
      amountText: amount.value,
      concentration: adding ? (Number.isNaN(share) ? null : share / 100) : null,
      ...(adding && inhibitor !== undefined ? { inhibitor } : {}),
      ...(price === null ? {} : { priceMinor: price }),
      ...(adding && chosen.value !== null ? { stockId: chosen.value.id, emptied: emptied.value } : {}),
    })
  )
    [amount.value, emptied.value] = ['', false];
}
function pickTopUp({ litres, percent }: { litres: number; percent: number }): void {
  kind.value = 'added';
  amount.value = `${litres.toFixed(2)} L`;
  strength.value = String(percent);
}
</script>

<template>
  <section id="book">
    <h3 class="text-lg">Out and in</h3>
    <ul v-if="job.coolant.length > 0" class="rows mt-2 border-y border-line">
      <li v-for="entry in job.coolant" :key="entry.id" class="flex justify-between gap-4 py-2">
        <span class="capitalize"
          >{{ entry.kind
          }}<span v-if="entry.concentration !== null" class="text-soft normal-case"
            >, {{ Math.round(entry.concentration * 100) }} % antifreeze</span
          ><span v-if="entry.inhibitor" class="text-soft normal-case">, {{ entry.inhibitor }}</span
          ><span v-if="entry.priceMinor" class="text-soft normal-case"
            >, {{ shop.say.money(entry.priceMinor) }}</span
          ></span
        ><span class="flex items-baseline gap-4"
          ><PutRight
            :job="job"
            kind="coolant-recorded"
            :holds="{ id: entry.id }"
            :what="`${entry.kind} ${format(entry.quantity)}`"
          /><span class="font-bold text-harbour">{{ format(entry.quantity) }}</span></span
        >
      </li>
    </ul>
    <StruckLines :job="job" :kinds="['coolant-recorded']" />
    <form
      v-if="job.status === 'open'"
      class="mt-4 grid max-w-2xl items-start gap-3 sm:grid-cols-[9rem_9rem_auto]"
      @submit.prevent="record"
    >
      <ChoiceRow
        v-model="kind"
        class="sm:col-span-3"
        label="What"
        :options="[
          { id: 'caught', name: 'Caught' },
          { id: 'returned', name: 'Returned' },
          { id: 'added', name: 'Added' },
          { id: 'discarded', name: 'Discarded' },
        ]"
      />
      <FigureField
        v-model="amount"
        label="How much"
        :field="FIELDS.coolantLitres"
        placeholder="0.7 L"
        :error="form.error('amountText') ?? form.general('amountText', 'concentration')"
      />
      <FigureField
        v-if="kind === 'added'"
        v-model="strength"
        label="Strength, %"
        :field="FIELDS.share"
        :error="form.error('concentration')"
      />
      <button type="submit" class="quiet mt-6 justify-self-start">Record</button>
      <PickField
        v-if="kind === 'added'"
        v-model="bottle"
        class="sm:col-span-3 sm:max-w-md"
        label="From which bottle"
        none="not from stock"
        :picks="stock.map(({ id, name, left }) => ({ id, words: name, about: `${left} left` }))"
      />
      <label v-if="kind === 'added' && chosen" class="flex min-h-11 items-center gap-2 sm:col-span-3"
        ><input v-model="emptied" type="checkbox" class="size-5 accent-bottle" /> the bottle is empty now</label
      >
      <p
        v-if="kind === 'added' && mixing && mixing.verdict !== 'same'"
        class="font-semibold sm:col-span-3"
        :class="mixing.verdict === 'do not mix' ? 'text-alarm' : 'text-brass'"
      >
        {{ mixing.words }}
      </p>
    </form>
    <div v-if="now && system && job.status === 'open'" class="mt-4 max-w-3xl">
      <h4 class="mb-1 text-sm font-bold">To the mark and {{ Math.round(system.concentration * 100) }} %</h4>
      <TopUpRows
        :state="now"
        :target="{ volume: system.capacityL, concentration: system.concentration }"
        :glycol="system.glycol"
        @pick="pickTopUp"
      />
    </div>
  </section>
</template>
