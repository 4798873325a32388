<script setup lang="ts">
import { ref } from 'vue';
import { type OptionTerms, USUAL } from '../../../core/choose/index.ts';
import { parseNumber } from '../../../core/quantity/index.ts';
import TextField from '../../parts/TextField.vue';

/** Parts, minutes and days of one option, typed over what is usual. */
const props = defineProps<{
  terms: OptionTerms;
  /** Whether it needs parts that have a price. */
  priced: boolean;
  currency: string;
  errors: Readonly<Partial<Record<'partsMinor' | 'minutes' | 'daysOff', string | null>>>;
}>();
const emit = defineEmits<{ set: [change: { partsMinor?: number; minutes?: number; daysOff?: number }] }>();

type Field = 'partsMinor' | 'minutes' | 'daysOff';
const typed = ref<Record<Field, string>>({ partsMinor: '', minutes: '', daysOff: '' });
const unread = ref<Partial<Record<Field, string>>>({});

function keep(field: Field): void {
  const text = typed.value[field].trim();
  if (text === '') return;
  const value = parseNumber(text);
  unread.value = Number.isNaN(value) ? { [field]: `Expected a number, got “${text}”.` } : {};
  if (Number.isNaN(value)) return;
  emit('set', { [field]: field === 'partsMinor' ? Math.round(value * 100) : value });
  typed.value[field] = '';
}
const wrong = (field: Field): string | null => unread.value[field] ?? props.errors[field] ?? null;
</script>

<template>
  <form class="grid grid-cols-3 items-start gap-3 self-start" @submit.prevent>
    <TextField
      v-if="priced"
      v-model="typed.partsMinor"
      :label="`Parts, ${currency}`"
      inputmode="decimal"
      :placeholder="terms.partsMinor === null ? 'not known' : String(terms.partsMinor / 100)"
      :error="wrong('partsMinor')"
      @change="keep('partsMinor')"
    />
    <TextField
      v-model="typed.minutes"
      label="Labour, min"
      inputmode="numeric"
      :placeholder="String(terms.minutes)"
      :error="wrong('minutes')"
      @change="keep('minutes')"
    />
    <TextField
      v-model="typed.daysOff"
      label="Days to wait"
      inputmode="numeric"
      :placeholder="String(terms.daysOff)"
      :error="wrong('daysOff')"
      @change="keep('daysOff')"
    />
    <p
      class="col-span-3 text-sm"
      :class="terms.minutes === USUAL[terms.id].minutes ? 'font-semibold text-brass' : 'text-soft'"
    >
      {{
        terms.minutes === USUAL[terms.id].minutes
          ? 'Minutes and life are shop figures, verify.'
          : 'Minutes set for this job.'
      }}
    </p>
  </form>
</template>
