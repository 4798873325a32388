<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import type { AuditLine } from '../../contract/index.ts';
import { auditOf } from '../stores/rows.ts';
import { useShop } from '../stores/shop.ts';
import { rowDifferences } from './rowDifference.ts';

/** Who changed a row, when, and from what to what. Read when it is opened. */
const props = defineProps<{
  /** The row's address under the API. */
  path: string;
  names?: Readonly<Record<string, string>>;
}>();
const shop = useShop();
const lines = shallowRef<readonly AuditLine[] | null>(null);
const failed = ref('');
const more = ref(false);
const reading = ref(false);

async function read(): Promise<void> {
  if (reading.value) return;
  reading.value = true;
  try {
    const page = await auditOf(props.path, lines.value?.at(-1)?.id);
    lines.value = [...(lines.value ?? []), ...page];
    more.value = page.length === 20;
  } catch (error) {
    failed.value = error instanceof Error ? error.message : String(error);
  } finally {
    reading.value = false;
  }
}
function opened(event: Event): void {
  if ((event.target as HTMLDetailsElement).open && lines.value === null) void read();
}
/** Each line with what it changed against the one before it in time, where that is shown too. */
const changes = computed(() =>
  (lines.value ?? []).map((line, index, all) => {
    const before = all.slice(index + 1).find(({ kind }) => !kind.endsWith('-lived') && !line.kind.endsWith('-lived'));
    const fields =
      before === undefined ? [] : rowDifferences(before.body, line.body, props.names, new Set(['id', 'features']));
    return { ...line, fields: fields.slice(0, 8), others: Math.max(0, fields.length - 8) };
  }),
);
const words = (kind: string): string => kind.replaceAll('-', ' ');
</script>

<template>
  <details class="mt-8 max-w-4xl" @toggle="opened">
    <summary class="min-h-9 cursor-pointer font-semibold">Who changed this</summary>
    <p v-if="failed" class="text-alarm" role="alert">{{ failed }}</p>
    <p v-else-if="lines === null" class="text-soft" :aria-busy="reading || undefined">Reading the changes</p>
    <p v-else-if="lines.length === 0" class="text-soft">Nobody since it came.</p>
    <ol v-else class="rows border-y border-line">
      <li v-for="line in changes" :key="line.id" class="grid gap-x-5 py-2 sm:grid-cols-[14rem_9rem_1fr]">
        <span class="text-soft">{{ shop.say.time(line.at) }}</span>
        <span class="font-semibold">{{ shop.say.person(line.by) }}</span>
        <span>
          <template v-if="line.fields.length === 0">{{ words(line.kind) }}</template>
          <span v-for="field in line.fields" :key="field.label" class="block">
            {{ field.label }}: <s v-if="field.mine" class="text-soft">{{ field.mine }}</s>
            {{ field.theirs || 'nothing' }}
          </span>
          <span v-if="line.others > 0" class="text-soft">and {{ line.others }} more</span>
        </span>
      </li>
    </ol>
    <button v-if="more" type="button" class="quiet mt-2" @click="read">Older changes</button>
  </details>
</template>
