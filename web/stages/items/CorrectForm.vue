<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue';
import { changesOf, fallsWith, type Job, type JobItem, saidOf } from '../../../core/job/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import type { ItemKind, Joint } from '../../../core/procedure/index.ts';
import FigureField from '../../parts/FigureField.vue';
import { numberIn } from '../../parts/numberIn.ts';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';
import { JOINT_PICKS, KINDS } from './line/chips.ts';

/** Puts right what was said of an item, where it stands; the old words stay legible. Or it never came off at all. */
const props = defineProps<{ job: Job; item: JobItem }>();
const shop = useShop();
const form = useForm();
const open = ref<'correct' | 'strike' | null>(null);
const text = reactive({
  name: '',
  kind: 'other' as ItemKind,
  tool: '',
  count: '',
  thread: '',
  joint: 'flange' as Joint,
  why: '',
});
watch(
  () => props.item.id,
  () => {
    open.value = null;
    form.clear();
  },
);
function begin(): void {
  const { name, kind, tool, count, thread, joint } = saidOf(props.item);
  Object.assign(text, {
    name,
    kind,
    tool,
    count: count === null ? '' : String(count),
    thread,
    joint: joint ?? 'flange',
    why: '',
  });
  open.value = 'correct';
}
function strike(): void {
  text.why = '';
  open.value = 'strike';
}
function keep(): void {
  const { name, kind, tool, thread, why } = text;
  const count = props.item.fasteners === null ? null : numberIn(text.count, FIELDS.count);
  const is = {
    name,
    kind,
    tool,
    thread,
    count: count === null ? null : Number.isInteger(count) && count >= 0 ? count : 0,
    joint: count === null ? null : text.joint,
  };
  if (form.send('correct-item', { itemId: props.item.id, is, why })) open.value = null;
}
function neverOff(): void {
  if (form.send('strike-removal', { itemId: props.item.id, why: text.why })) open.value = null;
}
const falls = computed(() => fallsWith(props.item, props.job));
const fields = ['name', 'count', 'thread', 'why'] as const;
</script>

<template>
  <ul v-if="item.corrections.length > 0" class="text-note" aria-label="Put right">
    <li v-for="each in item.corrections" :key="each.at">
      {{ changesOf(each.was, each.is).join(', ') }}<template v-if="each.why">: {{ each.why }}</template
      >. {{ shop.firstName(each.by) }}, {{ shop.say.nearTime(each.at) }}.
    </li>
  </ul>
  <p v-if="item.neverOff" class="text-note text-soft">
    It was said to be off and never was{{ item.neverOff.why === '' ? '' : `: ${item.neverOff.why}` }}.
    {{ shop.firstName(item.neverOff.by) }}, {{ shop.say.nearTime(item.neverOff.at) }}.
  </p>
  <form v-if="open === 'correct'" class="grid gap-3 border-t border-line pt-3" @submit.prevent="keep">
    <TextField v-model="text.name" label="What it is" :error="form.error('name')" />
    <label class="block"
      ><span class="mb-1 block text-sm font-semibold">Kind</span
      ><select v-model="text.kind" class="input">
        <option v-for="kind in KINDS" :key="kind.id" :value="kind.id">{{ kind.name }}</option>
      </select></label
    >
    <div v-if="item.fasteners" class="grid grid-cols-2 gap-3">
      <FigureField v-model="text.count" label="How many" :field="FIELDS.count" :error="form.error('count')" />
      <label class="col-span-2 block"
        ><span class="mb-1 block text-sm font-semibold">They hold</span
        ><select v-model="text.joint" class="input">
          <option v-for="joint in JOINT_PICKS" :key="joint.id" :value="joint.id">{{ joint.name }}</option>
        </select></label
      >
      <TextField v-model="text.thread" label="Thread" placeholder="M6×25" :error="form.error('thread')" />
    </div>
    <TextField v-model="text.tool" label="Tool" placeholder="10 mm" />
    <TextField v-model="text.why" label="Why, where it matters" placeholder="found a third" />
    <p v-if="form.general(...fields)" class="font-semibold text-alarm" role="alert">{{ form.general(...fields) }}</p>
    <div class="flex gap-3">
      <button type="submit" class="quiet">Put it right</button>
      <button type="button" class="faint" @click="open = null">Leave it</button>
    </div>
  </form>
  <form v-else-if="open === 'strike'" class="grid gap-3 border-t border-line pt-3" @submit.prevent="neverOff">
    <p class="text-note">
      {{ item.name }} goes back among what is still on.
      <template v-if="falls.length > 0"
        >With it falls <b>{{ falls.join(', ') }}</b>.</template
      >
      The log keeps that it was entered.
    </p>
    <TextField v-model="text.why" label="Why, where it matters" placeholder="the other one" />
    <p v-if="form.general()" class="font-semibold text-alarm" role="alert">{{ form.general() }}</p>
    <div class="flex gap-3">
      <button type="submit" class="quiet">It never came off</button>
      <button type="button" class="faint" @click="open = null">Leave it</button>
    </div>
  </form>
  <div v-else class="flex flex-wrap gap-x-5">
    <button type="button" class="faint" @click="begin">Correct</button>
    <button v-if="item.stripOrder !== null" type="button" class="faint" @click="strike">It never came off</button>
  </div>
</template>
