<script setup lang="ts">
import { computed, ref } from 'vue';
import { PART_FORMS, type PartForm, UNIT_FORMS } from '../../../core/clean/index.ts';
import { benchParts, comesOff, type Job } from '../../../core/job/index.ts';
import { upperFirst } from '../../../core/words/index.ts';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import PutRight from '../entries/PutRight.vue';
import { useForm } from '../useForm.ts';

/** What else came off and lies on the bench: injectors to their cylinder, a breather valve, the air meter, a passage. */
const props = defineProps<{ job: Job }>();
const form = useForm();
const open = ref(false);
const kind = ref<PartForm>('injector');
const name = ref('');
const place = ref('');
const itemId = ref('');
const parts = computed(() => benchParts(props.job));
/** What came off and has no lane yet. */
const cameOff = computed(() =>
  props.job.items.filter(
    (item) =>
      item.stripOrder !== null &&
      comesOff(item) &&
      item.aside === null &&
      item.kind !== 'unit' &&
      !parts.value.some((part) => part.itemId === item.id),
  ),
);
function add(): void {
  const item = props.job.items.find(({ id }) => id === itemId.value);
  const sent = form.send('lay-out-part', {
    id: freshId(),
    form: kind.value,
    name: name.value || (item?.name ?? ''),
    place: place.value,
    ...(item === undefined ? {} : { itemId: item.id }),
  });
  if (sent) [name.value, place.value, itemId.value] = ['', '', ''];
}
</script>

<template>
  <section v-if="props.job.status === 'open' || props.job.laidOut.length > 0" aria-label="Other parts on the bench">
    <ul v-if="props.job.laidOut.length > 0" class="flex flex-wrap gap-x-4 gap-y-1 text-note text-soft">
      <li v-for="part in props.job.laidOut" :key="part.id">
        {{ part.name }}<template v-if="part.place">, {{ part.place }}</template>
        <PutRight :job="props.job" kind="part-laid-out" :holds="{ id: part.id }" :what="part.name" />
      </li>
    </ul>
    <button v-if="!open && props.job.status === 'open'" type="button" class="faint" @click="open = true">
      Another part on the bench
    </button>
    <form v-else-if="props.job.status === 'open'" class="flex flex-wrap items-start gap-3" @submit.prevent="add">
      <label>
        <span class="mb-1 block text-sm font-semibold">What</span>
        <select v-model="kind" class="input w-52">
          <option v-for="each in PART_FORMS" :key="each" :value="each">{{ upperFirst(UNIT_FORMS[each]) }}</option>
        </select>
      </label>
      <label v-if="cameOff.length > 0">
        <span class="mb-1 block text-sm font-semibold">One that came off</span>
        <select v-model="itemId" class="input w-52">
          <option value="">none of those</option>
          <option v-for="item in cameOff" :key="item.id" :value="item.id">{{ item.name }}</option>
        </select>
      </label>
      <TextField v-model="name" class="w-36" label="Called" placeholder="as it is" />
      <TextField v-model="place" class="w-36" label="Goes to" placeholder="cylinder 3" :error="form.error('place')" />
      <span class="mt-6 flex gap-2"
        ><button type="submit" class="quiet">Lay it out</button>
        <button type="button" class="faint" @click="open = false">No more</button></span
      >
    </form>
  </section>
</template>
