<script setup lang="ts">
import { ref } from 'vue';
import type { Job, When } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import PutRight from '../entries/PutRight.vue';
import { useForm } from '../useForm.ts';

/** What the maker’s tool said: learn status, actuator steps, whatever it shows in its own words. */
const props = defineProps<{ job: Job; when: When }>();
const form = useForm();
const what = ref('');
const said = ref('');
function keep(): void {
  if (!form.send('note-tool-said', { what: what.value, when: props.when, said: said.value })) return;
  what.value = '';
  said.value = '';
}
</script>

<template>
  <div>
    <ul v-if="job.toolSays.some((each) => each.when === when)" class="rows mb-2 max-w-3xl border-y border-line">
      <li
        v-for="each in job.toolSays.filter((said) => said.when === when)"
        :key="each.what"
        class="flex flex-wrap items-baseline gap-3 py-1.5"
      >
        <span class="flex-1 font-semibold">{{ each.what }}</span>
        <span>{{ each.said }}</span>
        <PutRight :job="job" kind="tool-said" :holds="{ what: each.what, when }" :what="each.what" />
      </li>
    </ul>
    <form
      v-if="job.status === 'open'"
      class="grid max-w-3xl items-start gap-x-3 gap-y-2 sm:grid-cols-[1fr_1fr_auto]"
      @submit.prevent="keep"
    >
      <TextField
        v-model="what"
        label="What the maker’s tool shows"
        placeholder="Throttle adaptation"
        :error="form.error('what') ?? form.general('what', 'said')"
      />
      <TextField v-model="said" label="What it says" placeholder="learned, 0.62 V" :error="form.error('said')" />
      <button type="submit" class="quiet sm:mt-6">Keep</button>
    </form>
  </div>
</template>
