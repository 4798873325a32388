<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref, watch } from 'vue';
import { CAUTIONS } from '../../../core/job/index.ts';
import {
  isBackStep,
  type Procedure,
  type ProcedureItem,
  RESTORE_KINDS,
  type RestoreKind,
} from '../../../core/procedure/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import { keysOf } from '../../parts/keysOf.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { changeItem, removeItem } from './draft.ts';
import FastenerFields from './FastenerFields.vue';
import OrderFields from './OrderFields.vue';

/** Everything that can be said of one item. */
const props = defineProps<{ draft: Procedure; item: ProcedureItem }>();
const emit = defineEmits<{ change: [draft: Procedure] }>();
const put = (more: Partial<ProcedureItem>): void => emit('change', changeItem(props.draft, props.item.id, more));

const off = ref('');
const back = ref('');
watch(
  () => props.item.id,
  () => {
    off.value = props.item.minutes === undefined ? '' : String(props.item.minutes.off);
    back.value = props.item.minutes === undefined ? '' : String(props.item.minutes.back);
  },
  { immediate: true },
);
const minutesIn = (text: string): number => numberIn(text, FIELDS.minutes);
const minuteProblem = computed(() =>
  [off.value, back.value].some((text) => text !== '' && !(minutesIn(text) >= 0 && minutesIn(text) <= 600))
    ? 'Expected 0 to 600 minutes.'
    : null,
);
watch([off, back], () => {
  if (minuteProblem.value !== null) return;
  const told = { off: minutesIn(off.value || '0'), back: minutesIn(back.value || '0') };
  const now = props.item.minutes;
  if (off.value === '' && back.value === '') {
    if (now !== undefined) put({ minutes: undefined });
  } else if (now?.off !== told.off || now.back !== told.back) put({ minutes: told });
});
const units = computed(() => props.draft.items.filter(({ kind, id }) => kind === 'unit' && id !== props.item.id));
const toggle = <T,>(list: readonly T[], value: T): T[] =>
  list.includes(value) ? list.filter((each) => each !== value) : [...list, value];
const restores = (kind: RestoreKind): boolean => props.item.restore?.includes(kind) ?? false;
const field = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <div class="grid gap-3">
    <h2 class="text-lg">{{ item.name || 'Item without a name' }}</h2>
    <div class="grid grid-cols-2 gap-3">
      <TextField
        :model-value="item.section ?? ''"
        label="Heading"
        placeholder="Left bank"
        @update:model-value="put({ section: $event || undefined })"
      />
      <TextField
        :model-value="item.tool"
        label="Tool"
        placeholder="12 mm, long extension"
        @update:model-value="put({ tool: $event })"
      />
    </div>
    <TextField
      :model-value="item.note"
      label="How, in one sentence"
      :lines="2"
      @update:model-value="put({ note: $event })"
    />
    <div class="grid grid-cols-2 gap-3">
      <FigureField v-model="off" label="Minutes off" :field="FIELDS.minutes" :error="minuteProblem" />
      <FigureField v-model="back" label="Minutes back" :field="FIELDS.minutes" />
    </div>
    <div class="grid grid-cols-2 items-end gap-3">
      <label class="flex min-h-10 items-center gap-2 text-note"
        ><input
          type="checkbox"
          class="size-5 accent-bottle"
          :checked="item.singleUse"
          @change="put({ singleUse: !item.singleUse })"
        />
        Always a new one</label
      >
      <TextField :model-value="item.partNumber" label="Part number" @update:model-value="put({ partNumber: $event })" />
    </div>
    <FieldBox v-if="item.kind === 'unit'" v-slot="{ id }" label="Which kind of unit">
      <select :id="id" class="input" :value="item.unit ?? ''" @change="put({ unit: (field($event) || null) as never })">
        <option value="">Other</option>
        <option value="throttle-body">Throttle body or flap</option>
        <option value="idle-valve">Idle valve or actuator</option>
      </select>
    </FieldBox>
    <TextField
      v-if="item.unit !== null"
      :model-value="item.unitPlace ?? ''"
      label="Which of them, where the engine has several"
      placeholder="left bank"
      hint="As the vehicle’s file says it."
      @update:model-value="put({ unitPlace: $event || undefined })"
    />
    <TextField
      :model-value="item.alike ?? ''"
      label="Looks like others: a word they share"
      placeholder="coil plug"
      hint="Each of them then asks for its own tag."
      @update:model-value="put({ alike: $event || undefined })"
    />
    <TextField
      v-if="item.alike"
      :model-value="item.tag ?? ''"
      label="What tells it from them"
      placeholder="left"
      hint="Proposed as its tag when it comes off."
      @update:model-value="put({ tag: $event || undefined })"
    />
    <FieldBox
      v-if="units.length > 0 && item.kind !== 'unit'"
      v-slot="{ id }"
      label="Moves over when a new unit is fitted, from"
    >
      <select
        :id="id"
        class="input"
        :value="item.swapFrom ?? ''"
        @change="put({ swapFrom: field($event) || undefined })"
      >
        <option value="">No, it stays with the vehicle</option>
        <option v-for="unit in units" :key="unit.id" :value="unit.id">{{ unit.name }}</option>
      </select>
    </FieldBox>
    <fieldset v-if="draft.openings.length > 0">
      <legend class="mb-1 text-sm font-semibold">Leaves open</legend>
      <label v-for="opening in draft.openings" :key="opening.id" class="flex min-h-8 items-center gap-2 text-note"
        ><input
          type="checkbox"
          class="size-5 accent-bottle"
          :checked="item.opens.includes(opening.id)"
          @change="put({ opens: toggle(item.opens, opening.id) })"
        />
        {{ opening.name }}</label
      >
    </fieldset>
    <OrderFields :draft="draft" :item="item" @put="put" />
    <FastenerFields v-if="!isBackStep(item)" :key="item.id" :item="item" @put="put" />
    <details>
      <summary class="text-sm font-semibold">Measures and cautions</summary>
      <div class="mt-2 grid grid-cols-2 gap-x-3">
        <label v-for="kind in keysOf(RESTORE_KINDS)" :key="kind" class="flex min-h-8 items-center gap-2 text-note"
          ><input
            type="checkbox"
            class="size-5 accent-bottle"
            :checked="restores(kind)"
            @change="put({ restore: toggle(item.restore ?? [], kind) })"
          />
          {{ RESTORE_KINDS[kind] }}</label
        >
      </div>
      <div class="mt-2">
        <label v-for="caution in CAUTIONS" :key="caution.id" class="flex min-h-8 items-start gap-2 py-1 text-sm"
          ><input
            type="checkbox"
            class="size-5 shrink-0 accent-bottle"
            :checked="item.cautions.includes(caution.id)"
            @change="put({ cautions: toggle(item.cautions, caution.id) })"
          />
          {{ caution.text }}</label
        >
      </div>
    </details>
    <button type="button" class="faint" @click="emit('change', removeItem(draft, item.id))">Take this item out</button>
  </div>
</template>
