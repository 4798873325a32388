<script setup lang="ts">
import { ref } from 'vue';
import type { StockFile } from '../../../contract/index.ts';
import { type CrossReference, type Fit, FITS } from '../../../core/stock/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import TextField from '../../parts/TextField.vue';
import { referStock } from '../../data/stock.ts';
import type { SendStock } from './useStockFile.ts';

/** Numbers that may stand in for this one, or must not. */
const props = defineProps<{ file: StockFile; wrong: Readonly<Record<string, string>>; send: SendStock }>();
const other = ref('');
const fit = ref<Fit | null>('fits');
const note = ref('');
async function refer(): Promise<void> {
  const own = props.file.item.partNumber;
  const reference: CrossReference = {
    a: own,
    b: other.value.trim(),
    fit: fit.value ?? 'fits',
    note: note.value,
    source: null,
  };
  const done = await props.send(async () => {
    await referStock(reference);
    return null;
  });
  if (done) [other.value, note.value] = ['', ''];
}
const tone: Readonly<Record<Fit, string>> = { fits: 'text-moss', 'fits-but': 'text-brass', no: 'text-alarm' };
const fitOptions = (Object.entries(FITS) as [Fit, string][]).map(([key, name]) => ({ id: key, name }));
</script>

<template>
  <div>
    <h2 class="text-lg">Other numbers</h2>
    <ul class="rows border-y border-line text-note">
      <li v-for="each in file.standIns" :key="each.number" class="py-2">
        <span class="code font-semibold">{{ each.number }}</span>
        <b :class="tone[each.fit]">{{ FITS[each.fit] }}</b><span class="text-soft"
          >{{ each.notes.length > 0 ? ` ${each.notes.join('; ')}` : ''
          }}{{ each.through.length > 0 ? `, by way of ${each.through.join(', ')}` : '' }}</span
        >
      </li>
      <li v-if="file.standIns.length === 0" class="py-2 text-soft">None is known.</li>
    </ul>
    <form v-if="file.item.partNumber" class="mt-2 grid gap-2" @submit.prevent="refer">
      <TextField v-model="other" label="Another number" :error="wrong['reference.b']" />
      <ChoiceRow v-model="fit" label="It" :options="fitOptions" />
      <TextField v-if="fit !== 'fits'" v-model="note" label="What has to be known" placeholder="0.5 mm thicker" />
      <button type="submit" class="quiet justify-self-start">Note it</button>
    </form>
  </div>
</template>
