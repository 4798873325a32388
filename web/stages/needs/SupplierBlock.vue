<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { SupplierReply } from '../../../contract/index.ts';
import type { Job, Missing } from '../../../core/job/index.ts';
import { type Offer, OFFER_KINDS, offersFor, orderText } from '../../../core/supplier/index.ts';
import { ApiError } from '../../data/api.ts';
import { orderParts, readOffers } from '../../data/supplier.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';

/** What is missing, asked of the supplier and ordered; or the order as text, for one who is called. */
const { job, missing } = defineProps<{ job: Job; missing: readonly Missing[] }>();
const shop = useShop();
const store = useJob();
const reply = shallowRef<SupplierReply | null>(null);
const busy = ref(false);
const problem = ref('');
const told = ref('');
const copied = ref(false);
/** Which offer is taken, by need. */
const picked = ref<Readonly<Record<string, Offer>>>({});
/** Parts that are still to be ordered; what is on its way already is not asked for again. */
const wanted = computed(() => missing.filter(({ expected }) => expected === null));
const numbered = computed(() => wanted.value.filter(({ partNumber }) => partNumber !== ''));
// Made once for what is shown: a second press is the same order.
const orderId = ref(freshId());

async function ask(): Promise<void> {
  busy.value = true;
  problem.value = told.value = '';
  try {
    const answer = await readOffers(numbered.value.map(({ partNumber }) => partNumber));
    reply.value = answer;
    orderId.value = freshId();
    picked.value = Object.fromEntries(
      numbered.value.flatMap(({ needId, partNumber }) => {
        const [first] = offersFor(answer.offers, partNumber);
        return first === undefined ? [] : [[needId, first]];
      }),
    );
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  } finally {
    busy.value = false;
  }
}
const offered = computed(() => {
  const answer = reply.value;
  return answer !== null && (answer.reached || answer.offers.length > 0)
    ? numbered.value.map((part) => ({ ...part, offers: offersFor(answer.offers, part.partNumber) }))
    : [];
});
const lines = computed(() =>
  numbered.value.flatMap(({ needId, partNumber }) => {
    const offer = picked.value[needId];
    // What is from a list is ordered by whoever is called: the supplier that answers does not know of it.
    return offer === undefined || offer.list !== undefined
      ? []
      : [{ needId, partNumber, kind: offer.kind, quantity: 1, offer }];
  }),
);
const total = computed(() => lines.value.reduce((sum, { offer }) => sum + offer.priceMinor + offer.depositMinor, 0));
const foreign = computed(() => lines.value.some(({ offer }) => offer.currency !== shop.settings.currency));
async function order(): Promise<void> {
  busy.value = true;
  problem.value = '';
  try {
    const taken = await orderParts(
      {
        jobId: job.id,
        lines: lines.value.map(({ needId, partNumber, kind, quantity }) => ({ needId, partNumber, kind, quantity })),
        agreedMinor: total.value,
      },
      orderId.value,
    );
    await store.load(job.id);
    reply.value = null;
    told.value = [
      `Ordered as ${taken.orderId}${taken.deliveries.length > 1 ? `, in ${taken.deliveries.length} deliveries` : ''}.`,
      taken.dearerMinor > 0
        ? `It is ${shop.say.money(taken.dearerMinor, taken.currency)} dearer than was offered: call them.`
        : '',
      taken.withoutDay.length > 0 ? `No day is known of ${taken.withoutDay.join(', ')}: ask.` : '',
    ]
      .filter(Boolean)
      .join(' ');
  } catch (error) {
    problem.value =
      error instanceof ApiError
        ? [error.message, error.wouldHelp].filter(Boolean).join(' ')
        : error instanceof Error
          ? error.message
          : String(error);
  } finally {
    busy.value = false;
  }
}
const text = computed(() =>
  orderText(
    shop.settings.shopName,
    { number: job.number, plate: job.vehicle.plate },
    wanted.value.map(({ needId, name, partNumber }) => ({
      name,
      partNumber,
      quantity: 1,
      kind: picked.value[needId]?.kind ?? 'new',
    })),
  ),
);
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(text.value).then(
    () => (copied.value = true),
    () => (copied.value = false),
  );
}
const offerWords = ({ expected, inStock, depositMinor, currency, list }: Offer): string =>
  [
    expected === null ? 'no day said' : `here ${shop.say.nearDay(expected)}`,
    inStock === 0 && list === undefined ? 'not in stock there' : '',
    list === undefined ? '' : `by the list of ${list.supplier}, ${shop.say.nearDay(list.day)}`,
    depositMinor > 0 ? `deposit ${shop.say.money(depositMinor, currency)} on the old unit` : '',
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <section v-if="wanted.length > 0 || told" aria-label="From the supplier" class="mt-6">
    <h3 class="text-lg">From the supplier</h3>
    <p v-if="told" class="mt-1 font-semibold text-moss" role="status">{{ told }}</p>
    <template v-if="wanted.length > 0">
      <div class="mt-2 flex flex-wrap gap-2">
        <button v-if="numbered.length > 0" type="button" class="quiet" :disabled="busy" @click="ask">
          {{ reply ? 'Ask again' : `Ask for ${numbered.length === 1 ? 'one part' : `${numbered.length} parts`}` }}
        </button>
        <button type="button" class="quiet" @click="copy">{{ copied ? 'Copied' : 'Copy the order as text' }}</button>
      </div>
      <p v-if="reply && !reply.reached" class="mt-2 border-l-4 border-brass pl-3" role="status">{{ reply.words }}</p>
      <ul v-if="offered.length > 0" class="rows mt-3 max-w-3xl border-y border-line">
        <li v-for="part in offered" :key="part.needId" class="py-2.5">
          <p class="font-semibold">
            {{ part.name }} <span class="code text-note font-normal text-soft">{{ part.partNumber }}</span>
          </p>
          <p v-if="part.offers.length === 0" class="text-oxide">The supplier does not know this number.</p>
          <label
            v-for="offer in part.offers"
            :key="`${offer.kind} ${offer.list?.supplier ?? ''}`"
            class="flex min-h-9 cursor-pointer flex-wrap items-baseline gap-x-3"
          >
            <input
              v-model="picked[part.needId]"
              type="radio"
              class="size-4.5 translate-y-0.5 accent-bottle"
              :name="`offer-${part.needId}`"
              :value="offer"
            />
            <span class="w-16 font-semibold">{{ OFFER_KINDS[offer.kind] }}</span>
            <span class="figure">{{ shop.say.money(offer.priceMinor, offer.currency) }}</span>
            <span class="text-note text-soft">{{ offerWords(offer) }}</span>
          </label>
        </li>
      </ul>
      <p v-if="foreign" class="mt-2 border-l-4 border-brass pl-3">
        The supplier counts in another currency: the sum is not one of this shop.
      </p>
      <button
        v-if="lines.length > 0 && reply?.reached"
        type="button"
        class="primary mt-3"
        :disabled="busy"
        @click="order"
      >
        Order for {{ shop.say.money(total, lines[0]?.offer.currency) }} <span aria-hidden="true">→</span>
      </button>
      <p v-if="problem" class="mt-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
    </template>
  </section>
</template>
