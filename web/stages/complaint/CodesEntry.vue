<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { codesInText, DTC_MEANINGS, parseDtc } from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import AdapterPanel from './AdapterPanel.vue';
import CodesList from './CodesList.vue';
import { useForm } from '../useForm.ts';

/** Codes by typing, by pasting a printout, or read from the vehicle. */
const props = defineProps<{ job: Job }>();
const form = useForm();
const way = ref<'type' | 'paste' | 'adapter' | null>(null);
const code = ref('');
const status = ref<'stored' | 'pending' | 'permanent' | 'cleared' | 'ours' | null>('stored');
const note = ref('');
const printout = ref('');
const open = computed(() => props.job.status === 'open');
const explained = computed(() => {
  const parsed = parseDtc(code.value);
  return parsed.ok
    ? `${parsed.dtc.meaning ?? 'Not in our list; it is kept and marked unknown'}. ${parsed.dtc.scope === 'generic' ? 'Generic' : 'Maker’s own'}, ${parsed.dtc.group}.`
    : '';
});
const pasted = computed(() => codesInText(printout.value));
const known = (each: string): boolean => props.job.codes.some((read) => read.code === each && read.when === 'before');

function add(): void {
  const data = {
    id: freshId(),
    code: code.value,
    status: status.value ?? 'stored',
    when: 'before',
    note: note.value,
  } as const;
  if (form.send('read-code', data)) code.value = note.value = '';
}
function takePrintout(): void {
  const fresh = pasted.value.filter((each) => !known(each.code));
  if (fresh.every((each) => form.send('read-code', { id: freshId(), when: 'before', ...each }))) {
    printout.value = '';
    way.value = null;
  }
}
</script>

<template>
  <section id="codes" aria-label="Codes">
    <h3 class="mb-1 mt-7 text-sm font-bold">Codes read before</h3>
    <CodesList :job="job" when="before" />
    <div v-for="frame in job.frames" :key="frame.id" class="mt-2 max-w-2xl">
      <p class="text-sm text-soft">
        When <span class="code font-semibold">{{ frame.code }}</span> was set:
        <span v-for="(value, index) in frame.values" :key="value.pid"
          >{{ index > 0 ? ', ' : '' }}{{ value.name.toLowerCase() }}
          <span class="font-semibold text-ink">{{ value.value }} {{ value.unit }}</span></span
        >
      </p>
    </div>
    <div v-if="open" class="mt-3 flex flex-wrap gap-2">
      <button type="button" class="quiet" :aria-expanded="way === 'type'" @click="way = way === 'type' ? null : 'type'">
        Type a code
      </button>
      <button
        type="button"
        class="quiet"
        :aria-expanded="way === 'paste'"
        @click="way = way === 'paste' ? null : 'paste'"
      >
        Paste a printout
      </button>
      <button type="button" class="quiet" @click="way = 'adapter'">Read the vehicle</button>
      <button
        v-if="job.codesRead.before === null"
        type="button"
        class="quiet"
        @click="form.send('read-codes-out', { when: 'before' })"
      >
        {{ job.codes.some(({ when }) => when === 'before') ? 'That is all of them' : 'Read: none stored' }}
      </button>
    </div>
    <form
      v-if="open && way === 'type'"
      class="mt-3 grid max-w-2xl gap-3 sm:grid-cols-[150px_1fr]"
      @submit.prevent="add"
    >
      <TextField v-model="code" label="Code" placeholder="P0505" :error="form.error('code') ?? form.general('code')" />
      <ChoiceRow
        v-model="status"
        label="Status"
        :options="[
          { id: 'stored', name: 'stored' },
          { id: 'pending', name: 'pending' },
          { id: 'permanent', name: 'permanent' },
          { id: 'cleared', name: 'history' },
          { id: 'ours', name: 'our own unplugging' },
        ]"
      />
      <TextField
        v-model="note"
        class="sm:col-span-2"
        label="Freeze frame, in words"
        placeholder="warm, 610 rpm, 0 km/h"
      />
      <p v-if="explained" class="text-soft sm:col-span-2">{{ explained }}</p>
      <button type="submit" class="quiet justify-self-start sm:col-span-2">Add the code</button>
    </form>
    <form v-if="open && way === 'paste'" class="mt-3 grid max-w-2xl gap-3" @submit.prevent="takePrintout">
      <TextField
        v-model="printout"
        label="The printout, or any text with codes in it"
        :lines="4"
        placeholder="P0505 idle air control&#10;P0171 pending"
        :error="
          printout.trim() !== '' && pasted.length === 0 ? 'No code found in this text. A code looks like P0505.' : null
        "
      />
      <ul v-if="pasted.length > 0" class="rows border-y border-line">
        <li v-for="each in pasted" :key="each.code" class="flex gap-3 py-1.5">
          <span class="code font-bold">{{ each.code }}</span><span>{{
            DTC_MEANINGS.get(each.code) ?? 'unknown here; it is kept'
          }}</span>
          <span class="ml-auto text-sm text-soft">{{ known(each.code) ? 'noted already' : each.status }}</span>
        </li>
      </ul>
      <button type="submit" class="quiet justify-self-start" :disabled="pasted.length === 0">
        Take {{ pasted.length === 1 ? 'it' : `all ${pasted.length}` }}
      </button>
    </form>
    <SheetDialog v-if="way === 'adapter'" title="Read the vehicle" wide @close="way = null">
      <AdapterPanel :job="job" when="before" />
    </SheetDialog>
  </section>
</template>
