<script setup lang="ts">
import { computed, ref } from 'vue';
import { PART_FORMS, type PartForm, UNIT_FORMS } from '../../../core/clean/index.ts';
import { benchParts, type Job, type JobItem } from '../../../core/job/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** What came off and is looked at and cleaned in a lane of its own: an injector, the air meter, a breather valve. */
const props = defineProps<{ job: Job; item: JobItem }>();
const form = useForm();
const open = ref(false);
const kind = ref<PartForm>(props.item.kind === 'hose' ? 'hose' : 'injector');
const there = computed(() => benchParts(props.job).find(({ itemId }) => itemId === props.item.id));
function lay(): void {
  const sent = form.send('lay-out-part', {
    id: freshId(),
    form: kind.value,
    name: props.item.name,
    place: '',
    itemId: props.item.id,
  });
  if (sent) open.value = false;
}
</script>

<template>
  <p v-if="there" class="py-1 text-note">
    On the bench as {{ UNIT_FORMS[there.form] }}:
    <RouterLink class="link" :to="{ path: `/jobs/${job.id}/inspect`, query: { unit: there.id } }">look at it</RouterLink
    >, <RouterLink class="link" :to="{ path: `/jobs/${job.id}/clean` }">clean it</RouterLink>
  </p>
  <form v-else-if="open" class="grid gap-2" @submit.prevent="lay">
    <label>
      <span class="mb-1 block text-sm font-semibold">On the bench as</span>
      <select v-model="kind" class="input">
        <option v-for="each in PART_FORMS" :key="each" :value="each">{{ upperFirst(UNIT_FORMS[each]) }}</option>
      </select>
    </label>
    <p v-if="form.general()" class="text-sm font-semibold text-alarm" role="alert">{{ form.general() }}</p>
    <button type="submit" class="quiet">Lay it on the bench</button>
  </form>
  <button v-else type="button" class="faint" @click="open = true">It is cleaned on the bench too</button>
</template>
