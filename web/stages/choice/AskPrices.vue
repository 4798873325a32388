<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { SupplierReply } from '../../../contract/index.ts';
import { type PricedWay, type WayPrice, wayPrices } from '../../../core/supplier/index.ts';
import { readOffers } from '../../data/supplier.ts';
import { useShop } from '../../stores/shop.ts';
import { useToday } from '../../stores/today.ts';

/** Prices that nobody has given, asked of the supplier; each is taken by a tap, none by itself. */
const { ways, name } = defineProps<{
  ways: readonly PricedWay[];
  /** What a way is called, by its id. */
  name: (way: string) => string;
}>();
const emit = defineEmits<{ take: [price: WayPrice] }>();
const shop = useShop();
const today = useToday();
const reply = shallowRef<SupplierReply | null>(null);
const busy = ref(false);
const problem = ref('');
async function ask(): Promise<void> {
  busy.value = true;
  problem.value = '';
  try {
    reply.value = await readOffers([...new Set(ways.map(({ partNumber }) => partNumber))]);
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
const prices = computed(() =>
  reply.value === null ? [] : wayPrices(ways, reply.value.offers, shop.settings.currency, today.value),
);
const without = computed(() =>
  reply.value === null ? [] : ways.filter(({ way }) => !prices.value.some((price) => price.way === way)),
);
const said = ({ offer }: WayPrice): string =>
  [
    offer.expected === null ? 'no day said' : `here ${shop.say.nearDay(offer.expected)}`,
    offer.depositMinor > 0 ? `deposit ${shop.say.money(offer.depositMinor, offer.currency)} on the old unit` : '',
    offer.list === undefined ? '' : `by the list of ${offer.list.supplier}, ${shop.say.nearDay(offer.list.day)}`,
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <div v-if="ways.length > 0" role="group" aria-label="Prices from the supplier">
    <button type="button" class="quiet" :disabled="busy" @click="ask">
      {{ reply ? 'Ask again' : `Ask the supplier for ${ways.length === 1 ? 'the price' : `${ways.length} prices`}` }}
    </button>
    <p v-if="problem" class="mt-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
    <p v-if="reply && !reply.reached" class="mt-2 border-l-4 border-brass pl-3" role="status">
      {{ reply.words }} <RouterLink class="link" to="/price-lists">Take a price list in</RouterLink>
    </p>
    <ul v-if="prices.length > 0" class="rows mt-2 border-y border-line">
      <li v-for="price in prices" :key="price.way" class="flex flex-wrap items-center gap-x-4 gap-y-1 py-2">
        <span class="min-w-40 flex-1"
          >{{ name(price.way) }} <span class="block text-fine text-soft">{{ said(price) }}</span></span
        >
        <span class="figure">{{ shop.say.money(price.partsMinor) }}</span>
        <button type="button" class="quiet" @click="emit('take', price)">
          Take it<span class="sr-only">: {{ name(price.way) }}</span>
        </button>
      </li>
    </ul>
    <p v-if="reply && without.length > 0 && (reply.reached || prices.length > 0)" class="mt-1 text-note text-soft">
      No price in {{ shop.settings.currency }} for: {{ without.map(({ way }) => name(way).toLowerCase()).join(', ') }}.
    </p>
  </div>
</template>
