<script setup lang="ts">
import { computed } from 'vue';
import { freePocket, type Job, type JobItem } from '../../../core/job/index.ts';
import { anotherName } from '../../../core/words/index.ts';
import { useKeys } from '../../shell/keys.ts';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** Rows of clamps: the next of the same kind, off at once. */
const props = defineProps<{ job: Job; item: JobItem }>();
const form = useForm();
const canRepeat = computed(
  () => props.item.state === 'off' && ['clamp', 'hose', 'connector', 'fasteners', 'other'].includes(props.item.kind),
);
function another(): void {
  if (!canRepeat.value) return;
  const id = freshId();
  const name = anotherName(
    props.item.name,
    props.job.items.map((each) => each.name),
  );
  const { kind, tool, note, fasteners, singleUse, partNumber, cautions } = props.item;
  const made = form.send('add-item', {
    item: { id, name, kind, tool, note, opens: [], fasteners, singleUse, partNumber, unit: null, cautions },
  });
  if (made)
    form.send('remove-item', {
      itemId: id,
      pocket: props.item.pocket || freePocket(props.job),
      label: '',
      countedOut: fasteners?.count ?? null,
    });
}
useKeys([{ keys: 'l', does: 'And another like it', run: another }]);
</script>

<template>
  <div v-if="canRepeat">
    <button type="button" class="quiet text-sm" @click="another">
      And another like it <kbd class="key" aria-hidden="true">L</kbd>
    </button>
    <p v-if="form.general()" class="mt-1 font-semibold text-alarm" role="alert">{{ form.general() }}</p>
  </div>
</template>
