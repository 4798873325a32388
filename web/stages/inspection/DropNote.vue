<script setup lang="ts">
import { FIELDS } from '../../../core/quantity/index.ts';
import { computed, ref } from 'vue';
import { droppedUnseen, type Job, type JobUnit } from '../../../core/job/index.ts';
import { format } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** A unit that was dropped: from how high, onto what, and whether anybody has looked at it since. */
const props = defineProps<{ job: Job; unit: JobUnit }>();
const shop = useShop();
const form = useForm();
const open = ref(false);
const height = ref('');
const note = ref('');
const drops = computed(() => props.job.drops.filter(({ unit }) => unit === props.unit.id));
const unseen = computed(() => new Set(droppedUnseen(props.job).map(({ id }) => id)));

function drop(): void {
  const data = { id: freshId(), unit: props.unit.id, heightText: height.value, note: note.value.trim() };
  if (!form.send('drop-unit', data)) return;
  height.value = note.value = '';
  open.value = false;
}
</script>

<template>
  <section class="mt-7">
    <ul v-if="drops.length > 0" class="rows mb-2 border-y border-line text-note">
      <li v-for="each in drops" :key="each.id" class="py-1.5">
        Dropped {{ each.height ? `from ${format(each.height)}` : 'from a height not known'
        }}{{ each.note ? `, ${each.note}` : '' }}, {{ shop.say.person(each.by) }}, {{ shop.say.time(each.at) }}.
        <b v-if="unseen.has(each.id)" class="text-oxide">Not looked at since: go over the walk again.</b>
      </li>
    </ul>
    <button v-if="!open" type="button" class="quiet text-sm" @click="open = true">It was dropped</button>
    <form v-else class="grid max-w-2xl items-start gap-3 sm:grid-cols-[10rem_1fr]" @submit.prevent="drop">
      <FigureField
        v-model="height"
        :field="FIELDS.dropMetres"
        label="From how high"
        placeholder="80 cm"
        :error="form.error('heightText')"
      />
      <TextField v-model="note" label="Onto what" placeholder="concrete, on the connector" />
      <div class="flex flex-wrap gap-3 sm:col-span-2">
        <button type="submit" class="primary">Note the drop</button>
        <button type="button" class="quiet" @click="open = false">Leave it</button>
      </div>
      <p v-if="form.general('heightText')" class="font-semibold text-alarm sm:col-span-2" role="alert">
        {{ form.general('heightText') }}
      </p>
    </form>
  </section>
</template>
