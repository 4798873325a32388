<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';
import SearchRows from './SearchRows.vue';

/** Rags, ties and hooks, counted in and out; and what was dropped and is looked for. */
const props = defineProps<{ job: Job }>();
const store = useJob();
const form = useForm();
const open = ref<'in' | 'dropped' | null>(null);
const what = ref('Rag');
const where = ref('');
const inside = computed(() => props.job.objects.filter(({ out }) => !out));

function begin(kind: 'in' | 'dropped'): void {
  open.value = kind;
  what.value = kind === 'in' ? 'Rag' : '';
  where.value = '';
  form.clear();
}
function keep(): void {
  const data = { id: freshId(), what: what.value, where: where.value };
  if (open.value === 'in' ? form.send('place-object', data) : form.send('drop-object', data)) open.value = null;
}
</script>

<template>
  <div class="mt-4 border-t border-line pt-3">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <h3 class="text-sm font-bold">Rags, ties and hooks</h3>
      <p v-if="inside.length === 0" class="text-sm text-soft">none in</p>
      <template v-if="open === null && job.status === 'open'">
        <button type="button" class="min-h-8 text-sm font-semibold underline underline-offset-2" @click="begin('in')">
          Count one in
        </button>
        <button
          type="button"
          class="min-h-8 text-sm font-semibold underline underline-offset-2"
          @click="begin('dropped')"
        >
          Something was dropped
        </button>
      </template>
    </div>
    <ul v-if="inside.length > 0" class="rows">
      <li v-for="each in inside" :key="each.id" class="flex items-center justify-between gap-3 py-1.5">
        <span
          ><span class="font-semibold text-oxide">{{ each.what }}</span
          >: {{ each.where }}</span
        >
        <button type="button" class="quiet text-sm" @click="store.send('take-object-out', { id: each.id })">
          It is out
        </button>
      </li>
    </ul>
    <SearchRows :job="job" />
    <form v-if="open !== null" class="mt-2 grid items-start gap-2 sm:grid-cols-[1fr_2fr_auto]" @submit.prevent="keep">
      <TextField
        v-model="what"
        label="What"
        :error="form.error('what')"
        :placeholder="open === 'in' ? 'Rag' : 'M6 nut'"
      />
      <TextField
        v-model="where"
        :label="open === 'in' ? 'Where' : 'Where was it last seen or heard?'"
        :placeholder="open === 'in' ? 'in the duct' : 'behind the plenum, left'"
        :error="form.error('where') ?? form.general('what', 'where')"
      />
      <span class="flex gap-2 sm:mt-6"
        ><button type="submit" class="quiet">{{ open === 'in' ? 'Count it in' : 'Look for it' }}</button
        ><button type="button" class="quiet" @click="open = null">Not now</button></span
      >
    </form>
  </div>
</template>
