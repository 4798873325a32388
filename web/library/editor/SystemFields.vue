<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref } from 'vue';
import type { CoolantSystem, Procedure } from '../../../core/procedure/index.ts';
import { type Inhibitor, INHIBITORS, USUAL_LOSS_L } from '../../../core/coolant/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import { allRecipes } from '../../../core/relearn/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';

/** Coolant and bleeding, and which relearn runs suit. What cannot be read stays typed and changes nothing. */
const props = defineProps<{ draft: Procedure }>();
const emit = defineEmits<{ put: [more: Partial<Procedure>] }>();
const capacity = ref(String(props.draft.coolant?.capacityL ?? ''));
const percent = ref(props.draft.coolant === null ? '' : String(Math.round(props.draft.coolant.concentration * 100)));

const BLANK: CoolantSystem = { capacityL: 6, glycol: 'ethylene', concentration: 0.5, bleedPoint: '' };
const put = (more: Partial<CoolantSystem>): void =>
  emit('put', { coolant: { ...(props.draft.coolant ?? BLANK), ...more } });
const capacityProblem = computed(() =>
  numberIn(capacity.value, FIELDS.coolantLitres) > 0 ? null : 'Expected more than 0 L.',
);
const percentProblem = computed(() => {
  const share = numberIn(percent.value, FIELDS.share);
  return share >= 0 && share <= 100 ? null : 'Expected 0 to 100 %.';
});
function begin(): void {
  capacity.value = String(BLANK.capacityL);
  percent.value = '50';
  emit('put', { coolant: BLANK });
}
const hoses = computed(() => props.draft.items.filter(({ kind }) => kind === 'coolant-hose'));
const losses = ref<Record<string, string>>(
  Object.fromEntries((props.draft.coolant?.losses ?? []).map(({ itemId, litres }) => [itemId, String(litres)])),
);
const lossOf = (id: string): number => numberIn(losses.value[id] ?? '', FIELDS.coolantLitres);
const lossProblem = (id: string): string | null =>
  (losses.value[id] ?? '').trim() === '' || (lossOf(id) >= 0 && lossOf(id) <= 40) ? null : 'Expected 0 to 40 L.';
function putLosses(): void {
  if (hoses.value.some(({ id }) => lossProblem(id) !== null)) return;
  put({
    losses: hoses.value.flatMap(({ id }) =>
      (losses.value[id] ?? '').trim() === '' ? [] : [{ itemId: id, litres: lossOf(id) }],
    ),
  });
}
function putInhibitor(value: string): void {
  put({ inhibitor: value === '' ? undefined : (value as Inhibitor) });
}
const shop = useShop();
const runs = computed(() => allRecipes(shop.recipes).filter(({ purpose }) => purpose === 'relearn'));
const toggle = (id: string): void =>
  emit('put', {
    relearn: props.draft.relearn.includes(id)
      ? props.draft.relearn.filter((each) => each !== id)
      : [...props.draft.relearn, id],
  });
</script>

<template>
  <section class="grid gap-3">
    <h3 class="text-sm font-bold">Coolant and bleeding</h3>
    <button v-if="draft.coolant === null" type="button" class="quiet justify-self-start text-sm" @click="begin">
      Coolant is opened
    </button>
    <template v-else>
      <div class="grid grid-cols-2 gap-3">
        <FigureField
          v-model="capacity"
          label="System holds, L"
          :field="FIELDS.coolantLitres"
          :error="capacityProblem"
          @change="capacityProblem === null ? put({ capacityL: numberIn(capacity, FIELDS.coolantLitres) }) : undefined"
        />
        <FigureField
          v-model="percent"
          label="Antifreeze, %"
          :field="FIELDS.share"
          :error="percentProblem"
          @change="percentProblem === null ? put({ concentration: numberIn(percent, FIELDS.share) / 100 }) : undefined"
        />
      </div>
      <ChoiceRow
        :model-value="draft.coolant.glycol"
        label="Base"
        :options="[
          { id: 'ethylene', name: 'Ethylene' },
          { id: 'propylene', name: 'Propylene' },
        ]"
        @update:model-value="put({ glycol: $event ?? 'ethylene' })"
      />
      <TextField
        :model-value="draft.coolant.bleedPoint"
        label="Bled at"
        placeholder="screw on the thermostat housing"
        @update:model-value="put({ bleedPoint: $event })"
      />
      <label>
        <span class="mb-1 block text-sm font-semibold">Inhibitor in it</span>
        <select
          class="input"
          :value="draft.coolant.inhibitor ?? ''"
          @change="putInhibitor(($event.target as HTMLSelectElement).value)"
        >
          <option value="">not known</option>
          <option v-for="(name, id) in INHIBITORS" :key="id" :value="id">{{ name }}</option>
        </select>
      </label>
      <FigureField
        v-for="hose in hoses"
        :key="hose.id"
        :model-value="losses[hose.id] ?? ''"
        :label="`${hose.name} lets go, L`"
        :field="FIELDS.coolantLitres"
        :placeholder="`${USUAL_LOSS_L} assumed`"
        :error="lossProblem(hose.id)"
        @update:model-value="losses[hose.id] = $event"
        @change="putLosses"
      />
      <button type="button" class="faint" @click="emit('put', { coolant: null })">It stays closed</button>
    </template>
    <fieldset>
      <legend class="mb-1 text-sm font-bold">Relearn runs that suit</legend>
      <label v-for="run in runs" :key="run.id" class="flex min-h-8 items-center gap-2 text-note"
        ><input
          type="checkbox"
          class="size-5 accent-bottle"
          :checked="draft.relearn.includes(run.id)"
          @change="toggle(run.id)"
        />
        {{ run.name }}</label
      >
    </fieldset>
  </section>
</template>
