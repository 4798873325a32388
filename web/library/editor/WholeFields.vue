<script setup lang="ts">
import { FIELDS } from '../../../core/quantity/index.ts';
import { numberIn } from '../../parts/numberIn.ts';
import { onMounted } from 'vue';
import { type Need, type Procedure, type ProcedureOpening, WORK_KINDS } from '../../../core/procedure/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import PickField from '../../parts/PickField.vue';
import { keysOf } from '../../parts/keysOf.ts';
import TextField from '../../parts/TextField.vue';
import { useKnowledge } from '../../stores/knowledge.ts';
import { idFor } from './draft.ts';
import SystemFields from './SystemFields.vue';

/** What is said of the whole: name, engines, openings, what is needed. */
const props = defineProps<{ draft: Procedure }>();
const emit = defineEmits<{ change: [draft: Procedure] }>();
const known = useKnowledge();
onMounted(() => void known.needFamilies());
const put = (more: Partial<Procedure>): void => emit('change', { ...props.draft, ...more });

function family(id: string): void {
  const found = known.families.get(id);
  put({ familyId: id || null, ...(found === undefined ? {} : { family: found.name }) });
}
const putOpening = (id: string, more: Partial<ProcedureOpening>): void =>
  put({ openings: props.draft.openings.map((each) => (each.id === id ? { ...each, ...more } : each)) });
function addOpening(): void {
  const id = idFor(
    `opening ${props.draft.openings.length + 1}`,
    props.draft.openings.map((each) => each.id),
  );
  put({ openings: [...props.draft.openings, { id, name: '', plugWith: '' }] });
}
function dropOpening(id: string): void {
  put({
    openings: props.draft.openings.filter((each) => each.id !== id),
    items: props.draft.items.map((item) => ({ ...item, opens: item.opens.filter((each) => each !== id) })),
  });
}
const putNeed = (id: string, more: Partial<Need>): void =>
  put({ needs: props.draft.needs.map((each) => (each.id === id ? { ...each, ...more } : each)) });
function addNeed(kind: Need['kind']): void {
  const id = idFor(
    `need ${props.draft.needs.length + 1}`,
    props.draft.needs.map((each) => each.id),
  );
  put({ needs: [...props.draft.needs, { id, kind, name: '', partNumber: '', note: '', caution: null }] });
}
const NEEDS: readonly { kind: Need['kind']; name: string }[] = [
  { kind: 'part', name: 'Parts, gaskets, seals' },
  { kind: 'consumable', name: 'Cleaners, greases' },
  { kind: 'tool', name: 'Tools' },
  { kind: 'do-first', name: 'Done first' },
];
function days(id: string, text: string): void {
  const value = numberIn(text, FIELDS.days);
  putNeed(id, { leadDays: value >= 0 ? value : undefined });
}
/** A count that is none is one. */
const howMany = (id: string, words: string): void => {
  const typed = Number(words.trim());
  putNeed(id, { count: Number.isInteger(typed) && typed > 1 && typed < 100 ? typed : undefined });
};
const atEnd = (need: Need, words: string): void =>
  putNeed(need.id, {
    atEnd: words.trim() === '' ? undefined : { words, beforeStart: need.atEnd?.beforeStart ?? true },
  });
const text = (event: Event): string => (event.target as HTMLInputElement).value;
</script>

<template>
  <div class="grid gap-3">
    <TextField
      :model-value="draft.name"
      label="Name"
      placeholder="Body off, clean and back"
      @update:model-value="put({ name: $event })"
    />
    <PickField
      :model-value="draft.familyId ?? ''"
      label="Engine family"
      none="None in particular"
      :picks="[...known.families.values()].map(({ id, name, engine }) => ({ id, words: name, about: engine }))"
      @update:model-value="family"
    />
    <TextField :model-value="draft.family" label="Engines, in words" @update:model-value="put({ family: $event })" />
    <ChoiceRow
      :model-value="draft.work ?? 'clean'"
      label="Kind of work"
      :options="keysOf(WORK_KINDS).map((id) => ({ id, name: WORK_KINDS[id] }))"
      @update:model-value="put({ work: $event ?? 'clean' })"
    />
    <TextField
      :model-value="draft.source ?? ''"
      label="Source"
      placeholder="shop figure, verify"
      @update:model-value="put({ source: $event || null })"
    />
    <SystemFields :draft="draft" @put="put" />
    <section>
      <h3 class="text-sm font-bold">Openings</h3>
      <div
        v-for="opening in draft.openings"
        :key="opening.id"
        class="mt-2 grid grid-cols-[1fr_1fr_auto] items-end gap-2"
      >
        <TextField
          :model-value="opening.name"
          label="Opening"
          @update:model-value="putOpening(opening.id, { name: $event })"
        />
        <TextField
          :model-value="opening.plugWith"
          label="Plug with"
          @update:model-value="putOpening(opening.id, { plugWith: $event })"
        />
        <button
          type="button"
          class="min-h-10 text-sm text-soft underline"
          :aria-label="`Take out ${opening.name || 'opening'}`"
          @click="dropOpening(opening.id)"
        >
          out
        </button>
      </div>
      <button type="button" class="quiet mt-2 text-sm" @click="addOpening">Add an opening</button>
    </section>
    <section v-for="group in NEEDS" :key="group.kind">
      <h3 class="text-sm font-bold">{{ group.name }}</h3>
      <div
        v-for="need in draft.needs.filter(({ kind }) => kind === group.kind)"
        :key="need.id"
        class="grid grid-cols-[1fr_7rem_auto] items-center gap-2 border-b border-line"
      >
        <input
          class="cell font-semibold"
          :value="need.name"
          :aria-label="`${group.name}: name`"
          placeholder="name"
          @change="putNeed(need.id, { name: text($event) })"
        />
        <input
          v-if="group.kind === 'part' || group.kind === 'consumable'"
          class="cell code"
          :value="need.partNumber"
          :aria-label="`${need.name}: number`"
          placeholder="number"
          @change="putNeed(need.id, { partNumber: text($event) })"
        />
        <input
          v-else-if="group.kind === 'do-first'"
          class="cell"
          :value="need.atEnd?.words ?? ''"
          :aria-label="`${need.name}: what undoes it`"
          placeholder="undone by"
          @change="atEnd(need, text($event))"
        />
        <input
          v-else
          class="cell"
          :value="need.note"
          :aria-label="`${need.name}: note`"
          placeholder="range"
          @change="putNeed(need.id, { note: text($event) })"
        />
        <button
          type="button"
          class="min-h-8 text-sm text-soft underline"
          :aria-label="`Take out ${need.name || 'need'}`"
          @click="put({ needs: draft.needs.filter(({ id }) => id !== need.id) })"
        >
          out
        </button>
        <label
          v-if="group.kind === 'part' || group.kind === 'consumable'"
          class="col-span-3 flex items-center gap-2 text-sm text-soft"
          >days to get
          <input
            class="cell w-14"
            inputmode="decimal"
            :value="need.leadDays ?? ''"
            placeholder="?"
            @change="days(need.id, text($event))" />
          how many
          <input
            class="cell w-12"
            inputmode="numeric"
            :value="need.count ?? ''"
            placeholder="1"
            @change="howMany(need.id, text($event))"
        /></label>
        <label v-else-if="need.atEnd" class="col-span-3 flex min-h-8 items-center gap-2 text-sm text-soft"
          ><input
            type="checkbox"
            class="size-5 accent-bottle"
            :checked="need.atEnd.beforeStart"
            @change="putNeed(need.id, { atEnd: { ...need.atEnd, beforeStart: !need.atEnd.beforeStart } })"
          />
          holds the engine until then</label
        >
      </div>
      <button type="button" class="quiet mt-2 text-sm" @click="addNeed(group.kind)">Add</button>
    </section>
  </div>
</template>

<style scoped>
.cell {
  width: 100%;
  min-height: 2.25rem;
  background: transparent;
}
.cell::placeholder {
  color: var(--soft);
  font-weight: 400;
}
</style>
