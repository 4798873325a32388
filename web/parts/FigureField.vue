<script setup lang="ts">
import { computed, defineAsyncComponent, nextTick, ref, useTemplateRef } from 'vue';
import type { Field } from '../../core/quantity/index.ts';
import { useShop } from '../stores/shop.ts';
import FieldBox from './FieldBox.vue';
import { readPreference } from '../shell/preferences.ts';
import { readTyped } from './readTyped.ts';

// Only a station that is paired with an instrument needs what listens to one.
const TakeFrom = defineAsyncComponent(() => import('../instruments/TakeFrom.vue'));

/**
 * A figure with its unit, as people write it, or an amount of money. Where what was typed may mean two things it asks
 * which, once the person has gone on; what was typed stays until they say. How it was read stands under it whenever that
 * is not plain to see.
 */
const props = defineProps<{
  label: string;
  field: Field | 'money';
  error?: string | null | undefined;
  hint?: string;
  placeholder?: string;
  disabled?: boolean;
  /** It is one of several that an instrument gives at once: the place offers that. */
  one?: boolean;
  /** The label is read, not seen: the place says what it is. */
  bare?: boolean;
}>();
const emit = defineEmits<{ leave: [] }>();
const model = defineModel<string>({ default: '' });
const shop = useShop();
const here = ref(false);
const paired = readPreference('instruments') !== null;
const input = useTemplateRef('input');

const read = computed(() => readTyped(model.value, props.field, shop.settings));
const asked = computed(() => (read.value.state === 'asks' && (!here.value || props.error) ? read.value : null));
/** What the reader says of the text is nearer to it than what the form says. */
const wrong = computed(() => {
  if (asked.value !== null) return null;
  return props.error && read.value.state === 'unread' ? read.value.message : props.error;
});
const shownHint = computed(() =>
  read.value.state === 'read' && read.value.echo !== '' ? read.value.echo : props.hint,
);

function choose(index: number): void {
  const choice = asked.value?.choices[index];
  if (choice === undefined) return;
  model.value = choice.typed;
  // Whoever waits for a change that a person made hears of this one too.
  void nextTick(() => input.value?.dispatchEvent(new Event('change', { bubbles: true })));
  if (choice.measures !== null) void shop.settleMeasures(choice.measures);
  emit('leave');
}
/** A figure that an instrument gave is as good as typed, and gone on from. */
function taken(text: string): void {
  model.value = text;
  void nextTick(() => {
    input.value?.dispatchEvent(new Event('change', { bubbles: true }));
    emit('leave');
  });
}
function leave(): void {
  here.value = false;
  emit('leave');
}
</script>

<template>
  <FieldBox
    v-slot="{ id, described, invalid }"
    :label="label"
    :bare="bare"
    :error="wrong"
    v-bind="shownHint === undefined || asked !== null ? {} : { hint: shownHint }"
  >
    <input
      :id="id"
      ref="input"
      v-model="model"
      class="input"
      :class="asked === null ? '' : 'border-brass!'"
      :placeholder="placeholder"
      :disabled="disabled"
      inputmode="decimal"
      autocomplete="off"
      :aria-describedby="asked === null ? described : `${id}-asked`"
      :aria-invalid="invalid || asked !== null"
      @focus="here = true"
      @blur="leave"
    />
    <TakeFrom
      v-if="paired && field !== 'money' && !bare && !one && !disabled"
      :field="field"
      :label="label"
      @taken="taken"
    />
    <div v-if="asked" class="mt-1.5 w-max max-w-72" role="group" :aria-labelledby="`${id}-asked`">
      <p :id="`${id}-asked`" class="text-sm font-semibold text-brass" role="status">{{ asked.question }}</p>
      <div class="mt-1 flex flex-wrap gap-2">
        <button
          v-for="(choice, index) in asked.choices"
          :key="choice.typed"
          type="button"
          class="quiet figure min-h-12 px-3"
          @click="choose(index)"
        >
          {{ choice.words }}
        </button>
      </div>
    </div>
  </FieldBox>
</template>
