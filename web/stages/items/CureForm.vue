<script setup lang="ts">
import { numberIn } from '../../parts/numberIn.ts';
import { computed, ref } from 'vue';
import { runningTimers, timerEnd, type JobItem } from '../../../core/job/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** Sealant or thread-locker on an item: nothing that follows it goes on before it has cured. */
const props = defineProps<{ item: JobItem }>();
const store = useJob();
const shop = useShop();
const form = useForm();
const open = ref(false);
const label = ref('Sealant cures');
const minutes = ref('30');
const running = computed(() =>
  store.job === null
    ? undefined
    : runningTimers(store.job).find(({ kind, itemId }) => kind === 'cure' && itemId === props.item.id),
);
function start(): void {
  const started = form.send('start-timer', {
    id: freshId(),
    label: label.value,
    minutes: numberIn(minutes.value, FIELDS.minutes),
    kind: 'cure',
    itemId: props.item.id,
  });
  if (started) open.value = false;
}
</script>

<template>
  <p v-if="running" class="border-l-[3px] border-brass py-1 pl-3">
    {{ running.label }} until {{ shop.say.nearTime(timerEnd(running)) }}.
    <button type="button" class="link text-sm" @click="store.send('end-timer', { id: running.id, outcome: 'done' })">
      It has cured
    </button>
  </p>
  <form v-else-if="open" class="grid gap-2" @submit.prevent="start">
    <TextField v-model="label" label="What cures?" :error="form.error('label')" />
    <FigureField
      v-model="minutes"
      label="Minutes"
      :field="FIELDS.minutes"
      :error="form.error('minutes') ?? form.general('label', 'minutes')"
    />
    <button type="submit" class="quiet">Start the cure</button>
  </form>
  <button v-else type="button" class="faint" @click="open = true">It must cure first</button>
</template>
