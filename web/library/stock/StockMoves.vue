<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref, shallowRef, watch } from 'vue';
import type { StockFile } from '../../../contract/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import { type MovementKind, MOVEMENTS, shelfState } from '../../../core/stock/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { sayDate } from '../../../core/days/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { earlierStock, moveStock, orderStock, receiveOrder } from '../../data/stock.ts';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useToday } from '../../stores/today.ts';
import { type Past, pastOf, readOn } from './past.ts';
import type { SendStock } from './useStockFile.ts';

/** What came and went: a movement to book, batches, orders under way, and everything that moved before. */
const props = defineProps<{
  file: StockFile;
  wrong: Readonly<Record<string, string>>;
  send: SendStock;
  /** As a scanner read them. */
  batch: string;
  bestBefore: string;
}>();
const shop = useShop();
const today = useToday();
const moveKind = ref<MovementKind | null>('counted');
const figure = ref('');
const batch = ref(props.batch);
const bestBefore = ref(props.bestBefore);
const moveNote = ref('');
/** What cannot be read as a number, by field: said here, the server would only see that nothing came. */
const unread = ref<Readonly<Record<string, string>>>({});
function countOf(field: string, text: string): number | null {
  const value = numberIn(text, FIELDS.count);
  unread.value = Number.isNaN(value)
    ? { [field]: text.trim() === '' ? 'How many?' : `Expected a whole number, got “${text}”.` }
    : {};
  return Number.isNaN(value) ? null : value;
}
/** The same as long as nothing else is typed, so that a second try is the same movement. */
const moveId = ref(freshId());
watch([moveKind, figure, batch, bestBefore, moveNote], () => (moveId.value = freshId()));
async function move(): Promise<void> {
  const value = countOf('figure', figure.value);
  if (value === null) return;
  const done = await props.send(() =>
    moveStock(props.file.item.id, {
      id: moveId.value,
      kind: moveKind.value ?? 'counted',
      figure: value,
      batch: batch.value.trim(),
      bestBefore: bestBefore.value === '' ? null : bestBefore.value,
      note: moveNote.value,
    }),
  );
  if (done) [figure.value, batch.value, bestBefore.value, moveNote.value] = ['', '', '', ''];
}
const many = ref('');
const expected = ref('');
const orderId = ref(freshId());
async function order(): Promise<void> {
  const value = countOf('many', many.value);
  if (value === null) return;
  const done = await props.send(() =>
    orderStock(props.file.item.id, {
      id: orderId.value,
      quantity: value,
      expected: expected.value === '' ? null : expected.value,
      supplier: props.file.item.detail.supplier ?? '',
      note: '',
    }),
  );
  if (done) [many.value, expected.value, orderId.value] = ['', '', freshId()];
}
const received = ref<Record<string, string>>({});
const receiveIds = ref<Record<string, string>>({});
async function receive(orderKey: string, missing: number): Promise<void> {
  const value = countOf(orderKey, received.value[orderKey] ?? String(missing));
  if (value === null) return;
  const sentAs = (receiveIds.value[orderKey] ??= freshId());
  const done = await props.send(() =>
    receiveOrder(orderKey, {
      id: sentAs,
      quantity: value,
      batch: batch.value.trim(),
      bestBefore: bestBefore.value === '' ? null : bestBefore.value,
    }),
  );
  if (!done) return;
  received.value = Object.fromEntries(Object.entries(received.value).filter(([key]) => key !== orderKey));
  receiveIds.value[orderKey] = freshId();
}
/** What was read of the past, more of it as it is asked for; what is sent brings it anew. */
const read = shallowRef<Past>(props.file);
watch(
  () => props.file,
  (file) => (read.value = file),
);
const past = computed(() => pastOf(read.value));
const behind = computed(() => readOn(read.value));
const pastFailed = ref('');
async function earlier(): Promise<void> {
  const kind = behind.value;
  const after = kind === null ? null : read.value[kind].next;
  if (kind === null || after === null) return;
  try {
    const page = await earlierStock(props.file.item.id, kind, after);
    const rows = [...read.value[kind].rows, ...page.rows];
    read.value = { ...read.value, [kind]: { rows, next: page.next } } as Past;
    pastFailed.value = '';
  } catch (error) {
    pastFailed.value = error instanceof Error ? error.message : String(error);
  }
}
const movementOptions = (Object.entries(MOVEMENTS) as [MovementKind, string][]).map(([key, name]) => ({
  id: key,
  name,
}));
</script>

<template>
  <div>
    <form class="mt-4 grid items-start gap-3 sm:grid-cols-5" @submit.prevent="move">
      <ChoiceRow v-model="moveKind" class="sm:col-span-5" label="What happened" :options="movementOptions" />
      <FigureField
        v-model="figure"
        :label="moveKind === 'counted' ? 'Lie there' : 'How many'"
        :field="FIELDS.count"
        :error="unread.figure ?? wrong.figure ?? wrong['movement.figure']"
      />
      <TextField v-model="batch" label="Batch" />
      <FieldBox v-slot="{ id: field }" label="Keeps until"
        ><input :id="field" v-model="bestBefore" type="date" class="input"
      /></FieldBox>
      <TextField v-model="moveNote" label="Note" />
      <button type="submit" class="quiet mt-6">Book it</button>
    </form>
    <ul v-if="file.item.batches.length > 0" class="mt-3 text-note">
      <li
        v-for="each in file.item.batches"
        :key="each.batch"
        :class="
          shelfState(each, today) === 'past'
            ? 'font-semibold text-alarm'
            : shelfState(each, today) === 'soon'
              ? 'text-brass'
              : ''
        "
      >
        Batch {{ each.batch }}: {{ each.quantity
        }}{{
          each.bestBefore
            ? `, ${shelfState(each, today) === 'past' ? 'past its date' : 'keeps until'} ${sayDate(each.bestBefore)}`
            : ''
        }}
      </li>
    </ul>
    <h2 class="mt-7 text-lg">On order</h2>
    <ul class="rows mt-1 border-y border-line">
      <li v-for="each in file.item.onOrder" :key="each.id" class="flex flex-wrap items-center gap-3 py-2">
        <span class="flex-1"
          ><b>{{ each.quantity - each.received }}</b>
          <template v-if="each.jobId !== null">
            for <RouterLink class="link" :to="`/jobs/${each.jobId}/prepare`">job {{ each.number }}</RouterLink
            ><span class="text-soft"
              >{{ each.expected ? `, expected ${shop.say.day(each.expected)}` : '' }}: tick it there when it comes</span
            ></template
          ><template v-else>
            of {{ each.quantity
            }}<span class="text-soft">
              from {{ each.supplier || 'somebody'
              }}{{ each.expected ? `, expected ${shop.say.day(each.expected)}` : '' }}</span
            ></template
          ></span
        >
        <template v-if="each.jobId === null">
          <label class="flex items-center gap-2 text-sm"
            >came
            <input
              class="input w-20"
              inputmode="numeric"
              :value="received[each.id] ?? String(each.quantity - each.received)"
              @input="received[each.id] = ($event.target as HTMLInputElement).value"
          /></label>
          <button type="button" class="quiet text-sm" @click="receive(each.id, each.quantity - each.received)">
            Book in
          </button>
        </template>
        <p v-if="unread[each.id]" class="w-full text-sm font-semibold text-alarm" role="alert">{{ unread[each.id] }}</p>
      </li>
      <li v-if="file.item.onOrder.length === 0" class="py-2 text-soft">Nothing is on the way.</li>
    </ul>
    <p v-if="wrong.quantity ?? wrong['received.quantity']" class="mt-1 text-sm font-semibold text-alarm" role="alert">
      {{ wrong.quantity ?? wrong['received.quantity'] }}
    </p>
    <form class="mt-3 flex flex-wrap items-start gap-3" @submit.prevent="order">
      <FigureField
        v-model="many"
        class="w-28"
        label="Order"
        :field="FIELDS.count"
        :error="unread.many ?? wrong['order.quantity']"
      />
      <FieldBox v-slot="{ id: field }" label="Expected"
        ><input :id="field" v-model="expected" type="date" class="input"
      /></FieldBox>
      <button type="submit" class="quiet mt-6">Ordered</button>
    </form>
    <h2 class="mt-7 text-lg">Movements</h2>
    <ul class="rows mt-1 border-y border-line text-note">
      <li v-for="(each, index) in past" :key="index" class="grid grid-cols-[3.5rem_1fr] gap-x-3 py-1.5">
        <b :class="each.change < 0 ? 'text-oxide' : 'text-moss'"
          >{{ each.change > 0 ? '+' : each.change < 0 ? '−' : '' }}{{ Math.abs(each.change) }}</b
        >
        <span
          >{{ each.words
          }}<RouterLink v-if="each.job" class="link ml-1" :to="`/jobs/${each.job.id}`"
            >job {{ each.job.number }}</RouterLink
          ><span class="text-soft"
            >{{ each.batch ? `, batch ${each.batch}` : '' }}{{ each.at ? `, ${shop.say.time(each.at)}` : ''
            }}{{ each.by ? `, ${shop.firstName(each.by)}` : '' }}{{ each.note ? `: ${each.note}` : '' }}</span
          ></span
        >
      </li>
    </ul>
    <p v-if="pastFailed" class="mt-2 font-semibold text-alarm" role="alert">{{ pastFailed }}</p>
    <button v-if="behind" type="button" class="quiet mt-2" @click="earlier">Earlier</button>
  </div>
</template>
