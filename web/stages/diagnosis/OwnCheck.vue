<script setup lang="ts">
import { ref } from 'vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** A check in one's own words: kept on the sheet, not weighed. */
const form = useForm();
const open = ref(false);
const name = ref('');
const result = ref('');
const verdict = ref<'normal' | 'abnormal' | 'unclear' | null>('normal');

function record(): void {
  const data = {
    id: freshId(),
    name: name.value,
    result: result.value,
    verdict: verdict.value ?? ('unclear' as const),
  };
  if (!form.send('do-check', data)) return;
  name.value = result.value = '';
  verdict.value = 'normal';
  open.value = false;
}
</script>

<template>
  <div>
    <button v-if="!open" type="button" class="quiet text-sm" @click="open = true">Something else was checked</button>
    <form v-else class="grid max-w-2xl gap-3" @submit.prevent="record">
      <TextField v-model="name" label="Check" placeholder="Exhaust back pressure" :error="form.error('name')" />
      <TextField
        v-model="result"
        label="What was found"
        :lines="2"
        placeholder="nothing out of the way"
        :error="form.error('result') ?? form.general('name', 'result')"
      />
      <ChoiceRow
        v-model="verdict"
        label="That is"
        :options="[
          { id: 'normal', name: 'as it should be' },
          { id: 'abnormal', name: 'not as it should be' },
          { id: 'unclear', name: 'unclear' },
        ]"
      />
      <button type="submit" class="quiet justify-self-start">Keep the check</button>
    </form>
  </div>
</template>
