<script setup lang="ts">
import { computed, ref } from 'vue';
import { boltIds, isTight, type JobItem, runningTimers } from '../../../core/job/index.ts';
import { formatMinutes } from '../../../core/quantity/index.ts';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** A group that is gone over again once the engine has been hot and is cold. */
const props = defineProps<{ item: JobItem }>();
const store = useJob();
const shop = useShop();
const form = useForm();
const note = ref('');
const tight = computed(() => boltIds(props.item).every((id) => isTight(props.item, id)));
const minutes = computed(() => props.item.fasteners?.retorqueAfterMin ?? 0);
const timer = computed(() =>
  store.job === null
    ? undefined
    : runningTimers(store.job).find(({ kind, itemId }) => kind === 'heat-cycle' && itemId === props.item.id),
);
const over = (moved: boolean): boolean =>
  form.send('go-over-group', { itemId: props.item.id, moved, note: note.value });
</script>

<template>
  <section v-if="minutes > 0 && tight" class="grid gap-2">
    <p v-if="item.retorqued" class="text-note text-moss">
      Gone over cold, {{ shop.say.nearTime(item.retorqued.at) }}:
      {{ item.retorqued.moved ? item.retorqued.note : 'none moved' }}.
    </p>
    <template v-else>
      <p class="text-note">
        <span class="font-semibold text-brass">Once more when cold</span>, after the first heat cycle.
      </p>
      <button
        v-if="!timer"
        type="button"
        class="quiet justify-self-start text-sm"
        @click="
          form.send('start-timer', {
            id: freshId(),
            label: `${item.name} cool down`,
            minutes,
            kind: 'heat-cycle',
            itemId: item.id,
          })
        "
      >
        Engine is off: start {{ formatMinutes(minutes) }}
      </button>
      <TextField v-model="note" label="What moved, if any" :error="form.error('note')" />
      <div class="flex gap-2">
        <button type="button" class="quiet text-sm" @click="over(false)">None moved</button>
        <button type="button" class="quiet text-sm" @click="over(true)">Some moved</button>
      </div>
      <p v-if="form.general('note')" class="font-semibold text-alarm" role="alert">{{ form.general('note') }}</p>
    </template>
  </section>
</template>
