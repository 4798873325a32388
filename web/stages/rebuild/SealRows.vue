<script setup lang="ts">
import { samePart } from '../../../core/stock/index.ts';
import { computed, ref } from 'vue';
import type { StockItem } from '../../../contract/index.ts';
import { SUBSTANCES, type Substance } from '../../../core/clean/index.ts';
import { type Job, type JobUnit, rulesOf, sealWords } from '../../../core/job/index.ts';
import { inOrder, type KitPart, lubricantsFor, missingBefore, RUBBERS } from '../../../core/rebuild/index.ts';
import { unitTypeOf } from '../../../core/vehicle/index.ts';
import { lowerFirst } from '../../../core/words/index.ts';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';
import PutRight from '../entries/PutRight.vue';
import { useShop } from '../../stores/shop.ts';

/** Seals of one unit's kit and what else came off: in order, with what each may be greased with, renewed or used again. */
const props = defineProps<{
  job: Job;
  unit: JobUnit | null;
  stock: readonly StockItem[];
  seals: readonly { name: string; partNumber: string }[];
}>();
const store = useJob();
const form = useForm();
const reusing = ref('');
const why = ref('');
const refused = ref('');
const shop = useShop();
const lubricant = ref<Record<string, Substance | ''>>({});

const kit = computed((): readonly KitPart[] =>
  props.unit === null ? [] : inOrder(unitTypeOf(store.family, props.unit.kind)?.kit ?? []),
);
const rows = computed(() =>
  props.unit === null
    ? props.seals.map(({ name, partNumber }) => ({ name, partNumber, part: null as KitPart | null }))
    : kit.value.map((part) => ({ name: nameOf(part), partNumber: part.partNumber, part })),
);
/** A kit's part on several units has its own line on each. */
function nameOf(part: KitPart): string {
  return props.unit === null || ['only', 'under the body'].includes(props.unit.place)
    ? part.name
    : `${part.name}, ${props.unit.place}`;
}
const decided = (name: string) => props.job.seals.find((seal) => seal.name === name);
/** What this decision replaced, struck through beside it. */
const instead = (name: string): string => {
  const before = decided(name)?.instead ?? null;
  return before === null ? '' : sealWords(before);
};
const inStock = (partNumber: string) => props.stock.find((item) => samePart(item.partNumber, partNumber));
const done = computed(
  () => new Set(kit.value.filter((part) => decided(nameOf(part)) !== undefined).map(({ id }) => id)),
);
const before = (part: KitPart | null): string =>
  part === null
    ? ''
    : missingBefore(kit.value, part.id, done.value)
        .map(({ name }) => lowerFirst(name))
        .join(', ');
const greases = (part: KitPart) =>
  part.rubber === null ? [] : lubricantsFor(part.rubber, rulesOf(props.job, shop.rules).grease);
const chosen = (part: KitPart | null): Substance | undefined => {
  if (part?.rubber == null) return undefined;
  const own = lubricant.value[part.id];
  // Only what suits the rubber is proposed; where nothing does, it goes in dry.
  const [best] = greases(part);
  if (own === undefined) return best?.advice.verdict === 'use' ? best.substance : undefined;
  return own === '' ? undefined : own;
};

function renew(name: string, partNumber: string, part: KitPart | null): void {
  const with_ = chosen(part);
  refused.value = '';
  const taken = form.send('decide-seal', {
    id: freshId(),
    name,
    decision: 'renewed',
    partNumber,
    why: '',
    ...(part?.rubber == null ? {} : { rubber: part.rubber }),
    ...(with_ === undefined ? {} : { lubricant: with_ }),
    ...(part === null || part.wayRound === '' ? {} : { wayRound: part.wayRound }),
  });
  if (!taken) {
    refused.value = name;
    return;
  }
  const item = inStock(partNumber);
  // One for each seal of that number: two banks take two gaskets.
  const fitted = props.job.parts.reduce(
    (sum, used) => sum + (samePart(used.partNumber, partNumber) ? used.quantity : 0),
    0,
  );
  const renewed = store.job?.seals.filter(
    (seal) => samePart(seal.partNumber, partNumber) && seal.decision === 'renewed',
  );
  const wanted = (renewed?.length ?? 1) - 1 + (part?.count ?? 1);
  if (item && fitted < wanted)
    store.send('use-part', {
      id: freshId(),
      name: item.name,
      partNumber,
      quantity: wanted - fitted,
      priceMinor: item.priceMinor,
    });
}
function reuse(name: string, partNumber: string): void {
  refused.value = '';
  if (form.send('decide-seal', { id: freshId(), name, decision: 'reused', partNumber, why: why.value })) {
    reusing.value = '';
    why.value = '';
  } else refused.value = name;
}
</script>

<template>
  <ol id="seals" class="rows border-y border-line">
    <li v-for="{ name, partNumber, part } in rows" :key="name" class="py-3">
      <div class="flex flex-wrap items-center gap-x-4 gap-y-2">
        <span v-if="part" class="figure w-7 text-xl text-soft" aria-hidden="true">{{ part.order }}</span>
        <div class="min-w-48 flex-1">
          <p class="font-semibold">
            {{ part && part.count > 1 ? `${part.count} × ` : '' }}{{ name }}
            <span v-if="part?.rubber" class="font-normal text-soft">{{ RUBBERS[part.rubber] }}</span>
          </p>
          <p class="text-sm text-soft">
            <span class="code">{{ partNumber || 'no part number' }}</span><template v-if="inStock(partNumber)"
              >, {{ inStock(partNumber)?.left }} in {{ inStock(partNumber)?.place }}</template
            ><template v-if="part?.wayRound"> · {{ part.wayRound }}</template
            ><template v-if="part?.note"> · {{ part.note }}</template>
          </p>
          <p
            v-if="decided(name)"
            class="text-sm font-semibold"
            :class="decided(name)?.decision === 'renewed' ? 'text-moss' : 'text-brass'"
          >
            {{ decided(name)?.decision
            }}{{ decided(name)?.lubricant ? `, with ${SUBSTANCES[decided(name)?.lubricant ?? 'clean-oil']}` : ''
            }}{{ decided(name)?.why ? `: ${decided(name)?.why}` : '' }}
            <s v-if="instead(name)" class="font-normal text-soft">{{ instead(name) }}</s>
          </p>
          <p v-else-if="before(part)" class="text-sm text-brass">first: {{ before(part) }}</p>
        </div>
        <label v-if="part?.rubber && !decided(name)" class="w-56 text-sm">
          <span class="sr-only">Grease for {{ name }}</span>
          <select
            class="input"
            :value="lubricant[part.id] ?? chosen(part) ?? ''"
            :disabled="job.status === 'closed'"
            @change="lubricant[part.id] = ($event.target as HTMLSelectElement).value as Substance | ''"
          >
            <option value="">dry</option>
            <option v-for="each in greases(part)" :key="each.substance" :value="each.substance">
              {{ SUBSTANCES[each.substance]
              }}{{
                each.advice.verdict === 'never' ? ': never' : each.advice.verdict === 'with care' ? ': with care' : ''
              }}
            </option>
          </select>
        </label>
        <PutRight v-if="decided(name)" :job="job" kind="seal-decided" :holds="{ name }" :what="name" />
        <fieldset class="flex gap-2" :disabled="job.status === 'closed'">
          <legend class="sr-only">{{ name }}</legend>
          <button
            type="button"
            class="quiet"
            :aria-pressed="decided(name)?.decision === 'renewed'"
            @click="renew(name, partNumber, part)"
          >
            Renew
          </button>
          <button
            type="button"
            class="quiet"
            :aria-pressed="decided(name)?.decision === 'reused'"
            @click="reusing = reusing === name ? '' : name"
          >
            Use again
          </button>
        </fieldset>
      </div>
      <p
        v-if="refused === name && form.wrong.value && reusing !== name"
        class="mt-1 text-sm font-semibold text-alarm"
        role="alert"
      >
        {{ form.wrong.value.message }}
      </p>
      <form v-if="reusing === name" class="mt-2 flex items-start gap-2" @submit.prevent="reuse(name, partNumber)">
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
    <slot v-if="rows.length === 0" />
  </ol>
</template>
