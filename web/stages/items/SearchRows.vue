<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** A search ends with where it was found, or with a lead's word. */
const props = defineProps<{ job: Job }>();
const shop = useShop();
const form = useForm();
const ending = ref('');
const where = ref('');
const open = computed(() => props.job.searches.filter(({ ended }) => ended === null));
const ended = computed(() => props.job.searches.filter((each) => each.ended !== null));

function begin(id: string): void {
  ending.value = id;
  where.value = '';
  form.clear();
}
function end(outcome: 'found' | 'accepted'): void {
  if (form.send('end-search', { id: ending.value, outcome, where: where.value })) ending.value = '';
}
</script>

<template>
  <ul v-if="job.searches.length > 0" class="rows" aria-label="Dropped">
    <li v-for="each in open" :key="each.id" class="py-2">
      <div class="flex flex-wrap items-center justify-between gap-3">
        <span
          ><span class="font-bold text-alarm">Dropped: {{ each.what }}</span
          >, {{ each.where }}. The engine is held.</span
        >
        <button
          v-if="ending !== each.id && job.status === 'open'"
          type="button"
          class="quiet text-sm"
          @click="begin(each.id)"
        >
          End the search
        </button>
      </div>
      <form v-if="ending === each.id" class="mt-2 grid gap-2" @submit.prevent="end('found')">
        <TextField
          v-model="where"
          label="Where was it found? Or where can it be, and why is that safe?"
          :error="form.error('where') ?? form.general('where')"
        />
        <span class="flex flex-wrap gap-2">
          <button type="submit" class="quiet">It is found</button>
          <button type="button" class="quiet" @click="end('accepted')">
            {{ shop.person?.role === 'lead' ? 'I accept that it stays lost' : 'Accept the loss (lead only)' }}
          </button>
          <button type="button" class="quiet" @click="ending = ''">Go on looking</button>
        </span>
      </form>
    </li>
    <li v-for="each in ended" :key="each.id" class="py-1.5 text-note text-soft">
      {{ each.what }} {{ each.ended?.outcome === 'found' ? 'found' : 'not found, accepted' }}: {{ each.ended?.where }},
      {{ shop.firstName(each.ended?.by ?? '') }}
    </li>
  </ul>
</template>
