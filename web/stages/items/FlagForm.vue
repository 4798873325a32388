<script setup lang="ts">
import { ref, watch } from 'vue';
import { FLAG_NEEDS, FLAGS, type Flag, type FlagNeed, type JobItem } from '../../../core/job/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { keysOf } from '../../parts/keysOf.ts';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** An item found broken, seized, missing or wrong, with what it will need. */
const props = defineProps<{ item: JobItem; closed: boolean }>();
const form = useForm();
const open = ref(false);
const flag = ref<Flag | null>('broken');
const needs = ref<FlagNeed | null>('part');
const text = ref('');
const partNumber = ref('');
const how = ref('');
watch(
  () => props.item.id,
  () => {
    open.value = false;
    text.value = '';
    partNumber.value = props.item.partNumber;
  },
  { immediate: true },
);
function keep(): void {
  const kept = form.send('flag-item', {
    itemId: props.item.id,
    flag: flag.value ?? 'broken',
    needs: needs.value ?? 'part',
    text: text.value,
    partNumber: partNumber.value,
    needId: freshId(),
  });
  if (kept) open.value = false;
}
</script>

<template>
  <div v-if="item.flag && item.flag.settled === null" class="grid gap-2 border-l-[3px] border-oxide py-1 pl-3">
    <p>
      <span class="font-bold text-oxide">{{ FLAGS[item.flag.flag] }}</span>{{
        item.flag.text === '' ? '' : `: ${item.flag.text}`
      }}. {{ FLAG_NEEDS[item.flag.needs] }}.
    </p>
    <form
      v-if="!closed"
      class="flex items-end gap-2"
      @submit.prevent="form.send('settle-flag', { itemId: item.id, how })"
    >
      <TextField v-model="how" class="flex-1" label="Settled how?" :error="form.error('how') ?? form.general('how')" />
      <button type="submit" class="quiet text-sm">Settled</button>
    </form>
  </div>
  <p v-else-if="item.flag" class="text-note text-soft">
    {{ FLAGS[item.flag.flag] }}, settled: {{ item.flag.settled?.how }}.
  </p>
  <form v-if="open" class="grid gap-3 border-t border-line pt-3" @submit.prevent="keep">
    <ChoiceRow
      v-model="flag"
      label="How was it found?"
      :options="keysOf(FLAGS).map((id) => ({ id, name: FLAGS[id] }))"
    />
    <ChoiceRow
      v-model="needs"
      label="It needs"
      :options="keysOf(FLAG_NEEDS).map((id) => ({ id, name: FLAG_NEEDS[id] }))"
    />
    <TextField v-model="text" label="What is it like?" placeholder="clip snapped off" :error="form.error('text')" />
    <TextField v-if="needs === 'part'" v-model="partNumber" label="Part number, if known" />
    <p v-if="form.general('text')" class="font-semibold text-alarm" role="alert">{{ form.general('text') }}</p>
    <button type="submit" class="quiet">Keep it</button>
  </form>
  <button
    v-else-if="!closed && (item.flag === null || item.flag.settled !== null)"
    type="button"
    class="faint"
    @click="open = true"
  >
    Broken, seized, missing or wrong
  </button>
</template>
