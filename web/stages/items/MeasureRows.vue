<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import type { Job, JobItem, Way } from '../../../core/job/index.ts';
import { RESTORE_KINDS, type RestoreKind } from '../../../core/procedure/index.ts';
import { keysOf } from '../../parts/keysOf.ts';
import TextField from '../../parts/TextField.vue';
import { useForm } from '../useForm.ts';

/** Lock-nut positions, marks and counts: taken before it comes off, set again when it is back. */
const props = defineProps<{ job: Job; item: JobItem; way: Way }>();
const form = useForm();
const typed = ref<Partial<Record<RestoreKind, string>>>({});
const extra = ref<RestoreKind | ''>('');
watch(
  () => props.item.id,
  () => {
    typed.value = {};
    extra.value = '';
  },
);
const keptOf = (kind: RestoreKind) => props.item.kept.find((each) => each.kind === kind);
const kinds = computed((): RestoreKind[] => {
  const asked = new Set<RestoreKind>([...(props.item.restore ?? []), ...props.item.kept.map(({ kind }) => kind)]);
  if (extra.value !== '') asked.add(extra.value);
  return [...asked];
});
const open = computed(() => kinds.value.filter((kind) => keptOf(kind) === undefined));
const others = computed(() => keysOf(RESTORE_KINDS).filter((kind) => !kinds.value.includes(kind)));

function keep(kind: RestoreKind): void {
  if (form.send('keep-measure', { itemId: props.item.id, kind, text: typed.value[kind] ?? '' })) extra.value = '';
}
function restore(kind: RestoreKind): void {
  const text = keptOf(kind)?.text ?? '';
  form.send('restore-measure', { itemId: props.item.id, kind, text: typed.value[kind] || text });
}
</script>

<template>
  <section v-if="kinds.length > 0 || way === 'strip'" class="grid gap-2">
    <h3 v-if="kinds.length > 0" class="text-sm font-bold">
      {{ way === 'strip' ? 'Measure before it comes off' : 'Set again' }}
    </h3>
    <div v-for="kind in kinds" :key="kind">
      <p v-if="keptOf(kind)?.restored" class="text-note text-moss">
        {{ RESTORE_KINDS[kind] }}: set to {{ keptOf(kind)?.restored?.text }}
      </p>
      <div v-else-if="keptOf(kind)" class="flex items-center justify-between gap-3">
        <p class="text-note">
          {{ RESTORE_KINDS[kind] }}: <span class="font-bold">{{ keptOf(kind)?.text }}</span>
        </p>
        <button v-if="way === 'refit'" type="button" class="quiet text-sm" @click="restore(kind)">Set again</button>
      </div>
      <form v-else-if="way === 'strip'" class="flex items-end gap-2" @submit.prevent="keep(kind)">
        <TextField
          :model-value="typed[kind] ?? ''"
          class="flex-1"
          :label="RESTORE_KINDS[kind]"
          :error="form.error('text')"
          placeholder="7.4 mm, 3 turns, lug to the rear"
          @update:model-value="typed[kind] = $event"
        />
        <button type="submit" class="quiet text-sm">Keep</button>
      </form>
      <p v-else class="text-note text-brass">{{ RESTORE_KINDS[kind] }}: nothing was measured.</p>
    </div>
    <label v-if="way === 'strip' && open.length === 0 && others.length > 0" class="text-sm text-soft">
      <span class="sr-only">Measure something else</span>
      <select v-model="extra" class="min-h-9 bg-card text-soft underline underline-offset-2">
        <option value="">Measure or mark something</option>
        <option v-for="kind in others" :key="kind" :value="kind">{{ RESTORE_KINDS[kind] }}</option>
      </select>
    </label>
  </section>
</template>
