<script setup lang="ts">
import { computed, ref } from 'vue';
import { constraintWords, type Procedure } from '../../../core/procedure/index.ts';
import type { Constraint } from '../../../core/refit/index.ts';
import FieldBox from '../../parts/FieldBox.vue';
import PickField from '../../parts/PickField.vue';
import type { Pick } from '../../parts/picks.ts';
import TextField from '../../parts/TextField.vue';
import { addConstraint, addReason } from './draft.ts';

/** Everything that binds the way back, with its reason; new ones by picking from lists. */
const props = defineProps<{ draft: Procedure }>();
const emit = defineEmits<{ change: [draft: Procedure]; choose: [id: string] }>();
const kind = ref<'before' | 'after-bench' | 'needs' | 'together'>('before');
const a = ref('');
const b = ref('');
const part = ref('');
const reason = ref('');
const find = ref('');

const nameOf = (id: string): string => props.draft.items.find((item) => item.id === id)?.name ?? id;
const shown = computed(() =>
  props.draft.constraints
    .map((constraint) => ({ constraint, words: constraintWords(constraint, nameOf) }))
    .filter(({ words, constraint }) =>
      `${words} ${constraint.reason}`.toLowerCase().includes(find.value.toLowerCase()),
    ),
);
const pickOf = ({ id, name }: { readonly id: string; readonly name: string }): Pick => ({ id, words: name });
const items = computed(() => props.draft.items.map(pickOf));
const units = computed(() => props.draft.items.filter((item) => item.kind === 'unit').map(pickOf));
const parts = computed(() =>
  props.draft.needs
    .filter((need) => need.kind === 'part')
    .map(({ id, name, partNumber }): Pick => ({ id: partNumber || id, words: name, about: partNumber })),
);
const ready = computed(
  () =>
    a.value !== '' &&
    reason.value.trim() !== '' &&
    (kind.value === 'needs'
      ? part.value !== ''
      : kind.value === 'after-bench'
        ? b.value !== ''
        : b.value !== '' && b.value !== a.value),
);
function add(): void {
  if (!ready.value) return;
  const why = reason.value.trim();
  const made: Constraint | null =
    kind.value === 'after-bench'
      ? { kind: 'after-bench', id: `${a.value}-after-bench`, item: a.value, unit: b.value, reason: why }
      : kind.value === 'needs'
        ? { kind: 'needs', id: `${a.value}-needs`, item: a.value, part: part.value, reason: why }
        : kind.value === 'together'
          ? { kind: 'together', id: `${a.value}-with-${b.value}`, items: [a.value, b.value], reason: why }
          : null;
  emit('change', made === null ? addReason(props.draft, a.value, b.value, why) : addConstraint(props.draft, made));
  reason.value = '';
}
const reword = (id: string, text: string): void =>
  emit('change', {
    ...props.draft,
    constraints: props.draft.constraints.map((each) => (each.id === id ? { ...each, reason: text } : each)),
  });
const remove = (id: string): void =>
  emit('change', { ...props.draft, constraints: props.draft.constraints.filter((each) => each.id !== id) });
</script>

<template>
  <form class="grid gap-2" @submit.prevent="add">
    <FieldBox v-slot="{ id }" label="A reason of this kind">
      <select :id="id" v-model="kind" class="input">
        <option value="before">One before another</option>
        <option value="after-bench">Waits for the bench</option>
        <option value="needs">Needs a part</option>
        <option value="together">Two in one go</option>
      </select>
    </FieldBox>
    <PickField v-model="a" label="This" :picks="items" />
    <PickField v-if="kind === 'needs'" v-model="part" label="needs" :picks="parts" />
    <PickField
      v-else
      v-model="b"
      :label="
        kind === 'before' ? 'goes back before' : kind === 'together' ? 'together with' : 'waits for the bench work on'
      "
      :picks="kind === 'after-bench' ? units : items"
    />
    <TextField v-model="reason" label="because" placeholder="it lies under" />
    <button type="submit" class="quiet" :disabled="!ready">Keep the reason</button>
  </form>
  <TextField v-if="draft.constraints.length > 8" v-model="find" label="Find among the reasons" placeholder="plenum" />
  <ul class="rows border-y border-line text-note">
    <li v-for="row in shown" :key="row.constraint.id" class="py-1.5">
      <p class="font-semibold">{{ row.words }}</p>
      <span class="flex items-center gap-2">
        <input
          class="min-h-8 w-full bg-transparent text-soft"
          :value="row.constraint.reason"
          :aria-label="`Reason: ${row.words}`"
          @change="reword(row.constraint.id, ($event.target as HTMLInputElement).value)"
        />
        <button
          type="button"
          class="min-h-8 text-sm text-soft underline"
          :aria-label="`Take out: ${row.words}`"
          @click="remove(row.constraint.id)"
        >
          out
        </button>
      </span>
    </li>
    <li v-if="draft.constraints.length === 0" class="py-2 text-soft">
      None yet: everything goes back as the mirror of how it came off.
    </li>
  </ul>
</template>
