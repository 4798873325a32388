<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref } from 'vue';
import type { Bolt, FastenerGroup, ProcedureItem } from '../../../core/procedure/index.ts';
import { type Field, FIELDS } from '../../../core/quantity/index.ts';
import { CONDITIONS, isSpec, PROOF_STRESS, specFromText, STRENGTHS } from '../../../core/torque/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import { keysOf } from '../../parts/keysOf.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { jointFigures } from '../../stages/torque/jointFigures.ts';
import FlangePlacer from './FlangePlacer.vue';

/** Fasteners of an item: how many, of what, how tight and where they sit. What cannot be read stays typed, with why. */
const props = defineProps<{ item: ProcedureItem }>();
const emit = defineEmits<{ put: [more: Partial<ProcedureItem>] }>();
const group = computed(() => props.item.fasteners);

const torque = ref(props.item.fasteners?.spec?.text ?? '');
const source = ref(props.item.fasteners?.spec?.source ?? '');
const passes = ref(props.item.fasteners?.fractions.map((share) => Math.round(share * 100)).join(', ') ?? '100');
const count = ref(String(props.item.fasteners?.count ?? ''));
const stays = ref(String(props.item.fasteners?.staysIn ?? ''));
const depth = ref(String(props.item.fasteners?.hole?.engagementMm ?? ''));
const cold = ref(String(props.item.fasteners?.retorqueAfterMin ?? ''));

const spec = computed(() =>
  torque.value.trim() === '' ? null : specFromText(torque.value, source.value.trim() || null),
);
const torqueProblem = computed(() => (spec.value !== null && !isSpec(spec.value) ? spec.value.message : null));
const shares = computed(() => passes.value.split(/[,;]\s*/).map((text) => numberIn(text, FIELDS.share) / 100));
const passProblem = computed(() =>
  shares.value.every((share, index) => share > (shares.value[index - 1] ?? 0) && share <= 1) &&
  shares.value.at(-1) === 1
    ? null
    : 'Expected shares that rise to 100, such as 50, 100.',
);
const countProblem = computed(() => {
  const number = numberIn(count.value, FIELDS.count);
  return Number.isInteger(number) && number >= 1 && number <= 200 ? null : 'Expected 1 to 200.';
});

const BLANK: FastenerGroup = { count: 1, thread: 'M6', bolts: [], spec: null, fractions: [1], into: 'alloy' };
const put = (more: Partial<FastenerGroup>): void => emit('put', { fasteners: { ...(group.value ?? BLANK), ...more } });
function begin(): void {
  count.value = '4';
  passes.value = '50, 100';
  put({ count: 4, fractions: [0.5, 1] });
}
function putSpec(): void {
  if (torqueProblem.value === null) put({ spec: spec.value !== null && isSpec(spec.value) ? spec.value : null });
}
function putPlaces(bolts: readonly Bolt[]): void {
  count.value = String(Math.max(bolts.length, 1));
  put({ bolts, count: Math.max(bolts.length, 1) });
}
function orNothing(text: string, of: Field): number | undefined {
  const value = numberIn(text, of);
  return value > 0 ? value : undefined;
}
function putHole(material: string, engagement: string): void {
  const engagementMm = orNothing(engagement, FIELDS.playMm);
  const known = keysOf(STRENGTHS).find((id) => id === material);
  put({ hole: known === undefined || engagementMm === undefined ? undefined : { material: known, engagementMm } });
}
const material = ref<string>(props.item.fasteners?.hole?.material ?? '');
const joint = computed(() => (group.value === null ? null : jointFigures(group.value)));
const field = (event: Event): string => (event.target as HTMLSelectElement).value;
</script>

<template>
  <button v-if="group === null" type="button" class="quiet justify-self-start text-sm" @click="begin">
    It has fasteners
  </button>
  <fieldset v-else class="grid gap-3 border-t border-line pt-3">
    <legend class="sr-only">Fasteners</legend>
    <div class="grid grid-cols-3 gap-3">
      <FigureField
        v-model="count"
        label="How many"
        :field="FIELDS.count"
        :error="countProblem"
        @change="countProblem === null ? put({ count: numberIn(count, FIELDS.count) }) : undefined"
      />
      <TextField
        :model-value="group.thread"
        label="Thread"
        placeholder="M6×1.0×30"
        @update:model-value="put({ thread: $event })"
      />
      <TextField
        :model-value="group.into"
        label="Into"
        placeholder="alloy"
        @update:model-value="put({ into: $event })"
      />
    </div>
    <div class="grid grid-cols-2 gap-3">
      <FigureField
        v-model="torque"
        :field="FIELDS.torqueSpec"
        label="Torque"
        placeholder="8–10 Nm, 5 Nm + 45°"
        :error="torqueProblem"
        @change="putSpec"
      />
      <TextField v-model="source" label="Source" placeholder="shop figure, verify" @change="putSpec" />
    </div>
    <div class="grid grid-cols-3 gap-3">
      <TextField
        v-model="passes"
        label="Passes, %"
        :error="passProblem"
        @change="passProblem === null ? put({ fractions: shares }) : undefined"
      />
      <FigureField
        v-model="stays"
        label="Stay in"
        :field="FIELDS.count"
        @change="put({ staysIn: orNothing(stays, FIELDS.count) })"
      />
      <FigureField
        v-model="cold"
        label="Again, min"
        :field="FIELDS.minutes"
        @change="put({ retorqueAfterMin: orNothing(cold, FIELDS.minutes) })"
      />
    </div>
    <div class="grid grid-cols-2 gap-3">
      <FieldBox v-slot="{ id }" label="Cut into">
        <select :id="id" v-model="material" class="input" @change="putHole(material, depth)">
          <option value="">Not known</option>
          <option v-for="each in keysOf(STRENGTHS)" :key="each" :value="each">{{ STRENGTHS[each].name }}</option>
        </select>
      </FieldBox>
      <FigureField v-model="depth" label="Grips, mm deep" :field="FIELDS.playMm" @change="putHole(material, depth)" />
      <FieldBox v-slot="{ id }" label="Bolt class">
        <select
          :id="id"
          class="input"
          :value="group.grade ?? ''"
          @change="put({ grade: (field($event) || undefined) as never })"
        >
          <option value="">Not known</option>
          <option v-for="each in keysOf(PROOF_STRESS)" :key="each" :value="each">{{ each }}</option>
        </select>
      </FieldBox>
      <FieldBox v-slot="{ id }" label="Thread goes in">
        <select
          :id="id"
          class="input"
          :value="group.condition ?? 'dry'"
          @change="put({ condition: field($event) as never })"
        >
          <option v-for="each in keysOf(CONDITIONS)" :key="each" :value="each">{{ CONDITIONS[each].name }}</option>
        </select>
      </FieldBox>
    </div>
    <p v-if="joint?.warning" class="border-l-[3px] border-alarm py-1 pl-3 text-note">{{ joint.warning }}</p>
    <FlangePlacer :bolts="group.bolts" @put="putPlaces" />
    <button type="button" class="faint" @click="emit('put', { fasteners: null })">It has none</button>
  </fieldset>
</template>
