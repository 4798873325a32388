<script setup lang="ts">
import { computed, ref } from 'vue';
import { type Cause, CHANCE, type KnowledgeEdit, type Sign, type Word } from '../../core/diagnose/index.ts';
import PickField from '../parts/PickField.vue';

/** What a cause shows, row by row: how often, and why. Rows can be changed, and added for signs it says nothing of. */
const props = defineProps<{
  cause: Cause;
  signs: readonly Sign[];
  edits: readonly KnowledgeEdit[];
  mayEdit: boolean;
  errors: Readonly<Record<string, string>>;
}>();
const emit = defineEmits<{ change: [edit: KnowledgeEdit] }>();

const WORDS = Object.keys(CHANCE) as Word[];
const KINDS = { symptom: 'Noticed', circumstance: 'When', history: 'Before', code: 'Codes', check: 'Checks' } as const;
const added = ref<readonly string[]>([]);

interface Row {
  readonly key: string;
  readonly sign: string;
  readonly outcome: string;
  readonly found: string;
  readonly word: Word;
  readonly why: string;
  readonly changed: boolean;
}
const rowFor = (sign: Sign, outcome: string): Row => {
  const edit = props.edits.find(
    (each) =>
      each.kind === 'likelihood' && each.cause === props.cause.id && each.sign === sign.id && each.outcome === outcome,
  );
  const known = props.cause.shows.find((row) => row.sign === sign.id && row.outcome === outcome);
  const own = edit?.kind === 'likelihood' ? edit : known;
  return {
    key: `${props.cause.id}/${sign.id}/${outcome}`,
    sign: sign.id,
    outcome,
    found: sign.outcomes.find(({ id }) => id === outcome)?.found ?? outcome,
    word: own?.word ?? sign.usually[outcome] ?? 'never',
    why: own?.why ?? '',
    changed: edit !== undefined,
  };
};
const groups = computed(() =>
  (Object.keys(KINDS) as (keyof typeof KINDS)[]).map((kind) => ({
    kind,
    rows: props.signs
      .filter((sign) => sign.kind === kind)
      .flatMap((sign) =>
        sign.outcomes
          .filter(
            ({ id }, index) =>
              // The last answer takes the rest; it has a row of its own only where it rules the cause out.
              (index < sign.outcomes.length - 1 ||
                props.cause.shows.some((row) => row.sign === sign.id && row.outcome === id)) &&
              (added.value.includes(`${sign.id}=${id}`) ||
                props.cause.shows.some((row) => row.sign === sign.id && row.outcome === id) ||
                props.edits.some(
                  (each) =>
                    each.kind === 'likelihood' &&
                    each.cause === props.cause.id &&
                    each.sign === sign.id &&
                    each.outcome === id,
                )),
          )
          .map(({ id }) => rowFor(sign, id)),
      ),
  })),
);
const silent = computed(() =>
  props.signs.flatMap((sign) =>
    sign.outcomes
      .slice(0, -1)
      .filter(
        ({ id }) => !groups.value.some(({ rows }) => rows.some((row) => row.sign === sign.id && row.outcome === id)),
      )
      .map(({ id, found }) => ({ key: `${sign.id}=${id}`, words: found })),
  ),
);
const edit = (row: Row, change: Partial<Pick<Row, 'word' | 'why'>>): void =>
  emit('change', {
    kind: 'likelihood',
    cause: props.cause.id,
    sign: row.sign,
    outcome: row.outcome,
    word: row.word,
    why: row.why,
    ...change,
  });
const wrong = (row: Row): string | undefined => props.errors[row.key] ?? props.errors[`${props.cause.id}/${row.sign}`];
</script>

<template>
  <div>
    <section v-for="group in groups" :key="group.kind">
      <template v-if="group.rows.length > 0">
        <h3 class="mb-1 mt-5 text-sm font-bold">{{ KINDS[group.kind] }}</h3>
        <ul class="rows border-y border-line">
          <li
            v-for="row in group.rows"
            :key="row.key"
            class="grid items-center gap-x-4 py-1 sm:grid-cols-[10.5rem_9rem_1fr]"
          >
            <span class="font-semibold" :class="row.changed ? 'text-brass' : ''">{{ row.found }}</span>
            <select
              v-if="mayEdit"
              class="input min-h-10!"
              :aria-label="`How often: ${row.found}`"
              :value="row.word"
              @change="edit(row, { word: ($event.target as HTMLSelectElement).value as Word })"
            >
              <option v-for="word in WORDS" :key="word" :value="word">{{ word }}</option>
            </select>
            <span v-else>{{ row.word }}</span>
            <textarea
              v-if="mayEdit"
              class="input min-h-10! field-sizing-content resize-none"
              rows="1"
              :aria-label="`Why: ${row.found}`"
              :value="row.why"
              placeholder="why"
              @change="edit(row, { why: ($event.target as HTMLTextAreaElement).value })"
            />
            <span v-else class="text-soft">{{ row.why }}</span>
            <p v-if="wrong(row)" class="text-sm font-semibold text-alarm sm:col-span-3" role="alert">
              {{ wrong(row) }}
            </p>
          </li>
        </ul>
      </template>
    </section>
    <PickField
      v-if="mayEdit"
      :model-value="''"
      class="mt-5 max-w-sm"
      label="It also shows"
      placeholder="something it says nothing of yet"
      :picks="silent.map(({ key, words }) => ({ id: key, words }))"
      @update:model-value="added = [...added, $event]"
    />
  </div>
</template>
