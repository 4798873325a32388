<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { SAFETY } from '../../core/clean/index.ts';
import { negativeWords } from '../../core/stock/index.ts';
import AuditLines from '../parts/AuditLines.vue';
import { useShop } from '../stores/shop.ts';
import { STOCK_KINDS } from './stock/kinds.ts';
import StockDescribe from './stock/StockDescribe.vue';
import StockMoves from './stock/StockMoves.vue';
import StockNumbers from './stock/StockNumbers.vue';
import { useStockFile } from './stock/useStockFile.ts';

/** One thing in stock: its count by movements, who wants it, orders, what may stand in for it, and its safety sheet. */
const shop = useShop();
const route = useRoute();
const router = useRouter();
const id = computed(() => String(route.params.id));
const { file, isNew, failed, wrong, open, send } = useStockFile(() => id.value);
const editing = ref(false);
const asked = (name: string): string => (typeof route.query[name] === 'string' ? route.query[name] : '');
const safety = computed(() => {
  const detail = file.value?.item.detail;
  if (detail?.substance === undefined) return null;
  return detail.safety ?? SAFETY[detail.substance];
});
async function described(): Promise<void> {
  editing.value = false;
  await open();
}
const leave = (): void => void router.push('/stock');
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p class="text-sm"><RouterLink class="link" to="/stock">Stock</RouterLink></p>
    <h1 class="text-title">{{ isNew ? 'A new thing in stock' : (file?.item.name ?? 'Stock') }}</h1>
    <p v-if="file" class="text-soft">
      <span class="code">{{ file.item.partNumber || 'no number' }}</span>,
      {{ STOCK_KINDS[file.item.kind].toLowerCase() }}, {{ file.item.place || 'no place' }},
      {{ shop.say.money(file.item.priceMinor) }}
      <button v-if="!editing" type="button" class="link ml-2" @click="editing = true">Change</button>
    </p>
    <p v-if="failed" class="mt-2 font-semibold text-alarm" role="alert">{{ failed }}</p>
    <StockDescribe
      v-if="editing || isNew"
      :id="id"
      :file="file"
      :number="asked('number')"
      @done="described"
      @leave="isNew ? leave() : (editing = false)"
    />
    <div v-if="file" class="mt-5 grid gap-x-10 gap-y-7 xl:grid-cols-[minmax(0,1fr)_20rem]">
      <div class="min-w-0">
        <div class="flex flex-wrap items-end gap-x-10 gap-y-2">
          <p>
            <span class="figure text-figure-xl" :class="file.item.left < 0 ? 'text-alarm' : ''">{{
              file.item.left
            }}</span>
            <span class="text-soft">lie there</span>
          </p>
          <p>
            <span class="figure text-figure-sm">{{ file.item.free }}</span> <span class="text-soft">free</span>
          </p>
          <p v-if="file.item.reserved.length > 0" class="pb-1 text-soft">
            wanted by
            <template v-for="(each, index) in file.item.reserved" :key="each.jobId"
              >{{ index > 0 ? ', ' : ''
              }}<RouterLink class="link" :to="`/jobs/${each.jobId}`">job {{ each.number }}</RouterLink
              >{{ each.quantity > 1 ? ` (${each.quantity})` : '' }}</template
            >
          </p>
        </div>
        <p v-if="negativeWords(file.item.left)" class="font-semibold text-alarm">{{ negativeWords(file.item.left) }}</p>
        <StockMoves
          :file="file"
          :wrong="wrong"
          :send="send"
          :batch="asked('batch')"
          :best-before="asked('bestBefore')"
        />
      </div>
      <aside class="grid content-start gap-6 border-t border-line pt-4 xl:border-l xl:border-t-0 xl:pl-6 xl:pt-0">
        <div>
          <h2 class="text-lg">When to order</h2>
          <p v-if="file.item.detail.reorderAt !== undefined">
            <span class="figure text-2xl">{{ file.item.detail.reorderAt }}</span>
            <span class="text-soft">set by hand</span>
          </p>
          <p v-else-if="file.item.reorder.point !== null">
            <span class="figure text-2xl">{{ file.item.reorder.point }}</span>
            <span class="text-soft">free, or fewer</span>
          </p>
          <p class="text-note text-soft">{{ file.item.reorder.words }}</p>
        </div>
        <StockNumbers :file="file" :wrong="wrong" :send="send" />
        <div v-if="safety">
          <h2 class="text-lg">Safety</h2>
          <dl class="grid grid-cols-[1fr_auto] gap-y-1 text-note">
            <dt class="text-soft">Flash point</dt>
            <dd>{{ safety.flashPointC === null ? 'does not burn' : `${safety.flashPointC} °C` }}</dd>
            <dt class="text-soft">Explosive from</dt>
            <dd>{{ safety.lelPercent === null ? '—' : `${safety.lelPercent} %` }}</dd>
            <dt class="text-soft">Exposure limit</dt>
            <dd>{{ safety.limitPpm === null ? '—' : `${safety.limitPpm} ppm` }}</dd>
          </dl>
          <p class="mt-1 text-sm text-soft">
            {{ safety.source ?? 'shop figure, verify'
            }}{{ file.item.detail.safety ? '' : '. The product’s own sheet is not noted yet.' }}
          </p>
        </div>
      </aside>
    </div>
    <AuditLines v-if="file" :key="id" :path="`/stock/${id}`" />
  </section>
</template>
