<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** Rags, ties and hooks, counted in and out. */
const props = defineProps<{ job: Job }>();
const store = useJob();
const form = useForm();
const open = ref(false);
const what = ref('Rag');
const where = ref('');
const inside = computed(() => props.job.objects.filter(({ out }) => !out));

function place(): void {
  if (form.send('place-object', { id: freshId(), what: what.value, where: where.value })) {
    open.value = false;
    where.value = '';
  }
}
</script>

<template>
  <div class="mt-4 border-t border-line pt-3">
    <div class="flex flex-wrap items-center gap-x-4 gap-y-1">
      <h3 class="text-sm font-bold">Rags, ties and hooks</h3>
      <p v-if="inside.length === 0" class="text-sm text-soft">none in</p>
      <button
        v-if="!open && job.status === 'open'"
        type="button"
        class="min-h-8 text-sm font-semibold underline underline-offset-2"
        @click="open = true"
      >
        Count one in
      </button>
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
    <form v-if="open" class="mt-2 grid grid-cols-[1fr_2fr_auto] items-start gap-2" @submit.prevent="place">
      <TextField v-model="what" label="What" :error="form.error('what')" />
      <TextField
        v-model="where"
        label="Where"
        placeholder="in the duct"
        :error="form.error('where') ?? form.general('what', 'where')"
      />
      <button type="submit" class="quiet mt-6">Count it in</button>
    </form>
  </div>
</template>
