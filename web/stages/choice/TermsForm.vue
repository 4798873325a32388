<script setup lang="ts">
import { minorIn, numberIn } from '../../parts/numberIn.ts';
import { ref } from 'vue';
import { type OptionTerms, USUAL } from '../../../core/choose/index.ts';
import { FIELDS, moneyText } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';

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
  const value =
    field === 'partsMinor'
      ? minorIn(text, props.currency)
      : numberIn(text, field === 'minutes' ? FIELDS.minutes : FIELDS.days);
  unread.value = Number.isNaN(value) ? { [field]: `Expected a number, got “${text}”.` } : {};
  if (Number.isNaN(value)) return;
  emit('set', { [field]: value });
  typed.value[field] = '';
}
const wrong = (field: Field): string | null => unread.value[field] ?? props.errors[field] ?? null;
</script>

<template>
  <form class="grid grid-cols-3 items-start gap-3 self-start" @submit.prevent>
    <FigureField
      v-if="priced"
      v-model="typed.partsMinor"
      :label="`Parts, ${currency}`"
      field="money"
      :placeholder="terms.partsMinor === null ? 'not known' : moneyText(terms.partsMinor, currency)"
      :error="wrong('partsMinor')"
      @change="keep('partsMinor')"
    />
    <FigureField
      v-model="typed.minutes"
      label="Labour, min"
      :field="FIELDS.minutes"
      :placeholder="String(terms.minutes)"
      :error="wrong('minutes')"
      @change="keep('minutes')"
    />
    <FigureField
      v-model="typed.daysOff"
      label="Days to wait"
      :field="FIELDS.days"
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
