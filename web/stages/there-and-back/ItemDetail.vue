<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import { blockers, type Job, type JobItem } from '../../../core/job/index.ts';
import CautionStack from '../../parts/CautionStack.vue';
import TextField from '../../parts/TextField.vue';
import { readPreference } from '../../shell/preferences.ts';
import { useKeys } from '../../shell/keys.ts';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';
import { actionFor, gaping } from './actions.ts';
import ConstraintForm from './ConstraintForm.vue';
import type { Way } from './layout.ts';
import TorquePanel from './TorquePanel.vue';
import { torqueStep } from './torqueStep.ts';

const props = defineProps<{ job: Job; item: JobItem; way: Way }>();
const emit = defineEmits<{ acted: [] }>();
const store = useJob();
const shop = useShop();
const form = useForm();

const pocket = ref('');
const label = ref('');
const torqueText = ref('');
const byFeel = ref(false);
const wrench = ref(readPreference('wrench') ?? '');
const leaving = ref<string | null>(null);
watch(
  () => [props.item.id, props.item.pocket, props.item.label],
  () => {
    pocket.value = props.item.pocket;
    label.value = props.item.label;
    leaving.value = null;
    form.clear();
  },
  { immediate: true },
);

const step = computed(() => (props.way === 'refit' ? torqueStep(props.item, shop.wrenches, wrench.value) : null));
// Each bolt starts from its own proposal; a figure typed for the last one must not be recorded for the next by mistake.
watch(
  () => `${props.item.id} ${step.value?.boltId} ${step.value?.pass}`,
  () => (torqueText.value = ''),
);

const action = computed(() =>
  actionFor(
    props.way,
    props.job,
    props.item,
    store.send,
    { pocket: pocket.value, label: label.value, torqueText: torqueText.value, byFeel: byFeel.value },
    step.value,
  ),
);
function act(): void {
  if (action.value === null || props.job.status === 'closed') return;
  form.wrong.value = action.value.run();
  if (form.wrong.value === null) emit('acted');
}
useKeys([{ keys: ' ', does: 'Do what the button says', run: act }]);
/** A second tap on the tag does what the button says, but never records a torque unread. */
defineExpose({
  act,
  actPlainly: () => (step.value === null ? act() : undefined),
  label: computed(() => action.value?.label ?? ''),
  setting: computed(() =>
    step.value === null || !action.value?.label.startsWith('Record') ? '' : torqueText.value || step.value.entry,
  ),
  wrong: computed(() => form.wrong.value?.message ?? ''),
});

const remarkChanged = computed(
  () => props.item.state !== 'on' && (pocket.value !== props.item.pocket || label.value !== props.item.label),
);
function keepPlace(): void {
  form.send('remark-item', {
    itemId: props.item.id,
    pocket: pocket.value,
    label: label.value,
    remark: props.item.remark,
  });
}
function leaveOff(): void {
  if (leaving.value !== null && form.send('leave-off-item', { itemId: props.item.id, reason: leaving.value }))
    leaving.value = null;
}

const waits = computed(() =>
  props.way === 'refit' && props.item.state === 'off' ? blockers(props.job, props.item.id) : [],
);
const opening = computed(() => props.job.openings.find(({ id }) => props.item.opens.includes(id)));
const gapes = computed(() => props.way === 'strip' && gaping(props.job) !== undefined);
const name = (id: string): string => props.job.items.find((each) => each.id === id)?.name ?? id;
const rules = computed(() =>
  props.job.constraints.flatMap((constraint) => {
    if (constraint.kind !== 'before' || (constraint.a !== props.item.id && constraint.b !== props.item.id)) return [];
    return [
      {
        id: constraint.id,
        text: `${name(constraint.a)} before ${name(constraint.b).toLowerCase()}: ${constraint.reason}.`,
      },
    ];
  }),
);
const subtitle = computed(() => {
  const group = props.item.fasteners;
  return [group ? `${group.count} × ${group.thread} into ${group.into}` : '', props.item.tool]
    .filter(Boolean)
    .join(' · ');
});
</script>

<template>
  <div class="flex flex-1 flex-col gap-4">
    <div>
      <h2 class="text-xl">{{ item.name }}</h2>
      <p v-if="subtitle" class="mt-0.5 text-[0.9375rem] text-soft">{{ subtitle }}</p>
      <p v-if="item.note && step === null" class="mt-2">{{ item.note }}</p>
    </div>
    <CautionStack :ids="item.cautions" />

    <div
      v-if="action && job.status === 'open'"
      class="order-last mt-auto grid gap-2 lg:sticky lg:-bottom-5 lg:bg-card lg:pb-5 lg:pt-2"
    >
      <p v-if="form.general('torqueText', 'pocket', 'label', 'reason')" class="font-semibold text-alarm" role="alert">
        {{ form.general('torqueText', 'pocket', 'label', 'reason') }}
      </p>
      <button type="button" class="primary" data-testid="act" @click="act">
        {{ action.label }} <kbd class="key" aria-hidden="true">Space</kbd>
      </button>
    </div>

    <p v-if="gapes" class="border-l-[3px] border-oxide py-1 pl-3">An opening gapes. Plug it before you go on.</p>
    <ul v-if="waits.length > 0" class="border-l-[3px] border-brass py-1 pl-3">
      <li v-for="wait in waits" :key="wait.item.id">
        <span class="font-semibold">{{ wait.item.name }}</span> first: {{ wait.reason }}.
      </li>
    </ul>
    <TorquePanel
      v-if="way === 'refit' && item.fasteners?.spec && item.state !== 'on'"
      v-model:text="torqueText"
      v-model:by-feel="byFeel"
      v-model:wrench="wrench"
      :item="item"
      :step="step"
      :error="form.error('torqueText')"
    />
    <p v-if="item.singleUse" class="text-[0.9375rem]">
      <span class="font-semibold text-brass">Single use.</span> New one: <span class="code">{{ item.partNumber }}</span>
    </p>
    <p v-if="opening" class="text-[0.9375rem]">
      Leaves <span class="font-semibold">{{ opening.name.toLowerCase() }}</span>:
      <span :class="opening.state === 'open' ? 'font-bold text-oxide' : ''">{{ opening.state }}</span><span
        v-if="opening.state === 'whole'"
        >, plug with {{ opening.plugWith.toLowerCase() }}</span
      >.
    </p>
    <form
      v-if="item.origin !== 'plug' && !(way === 'refit' && item.fasteners?.spec)"
      class="grid grid-cols-2 gap-3"
      @submit.prevent="remarkChanged ? keepPlace() : act()"
    >
      <TextField v-model="pocket" label="Tray pocket" :error="form.error('pocket')" placeholder="A1, bench" />
      <TextField v-model="label" label="Tag or mark" :error="form.error('label')" placeholder="left, upper" />
      <button v-if="remarkChanged" type="submit" class="quiet col-span-2">Keep place and mark</button>
    </form>
    <details v-if="rules.length > 0" class="text-[0.9375rem]">
      <summary class="font-semibold">Order: {{ rules.length }} {{ rules.length === 1 ? 'reason' : 'reasons' }}</summary>
      <ul class="rows mt-1">
        <li v-for="rule in rules" :key="rule.id" class="py-1.5">{{ rule.text }}</li>
      </ul>
    </details>
    <template v-if="job.status === 'open' && item.origin !== 'plug'">
      <ConstraintForm :job="job" :item="item" />
      <form v-if="leaving !== null" class="grid gap-2" @submit.prevent="leaveOff">
        <TextField v-model="leaving" label="Why does it stay off?" :error="form.error('reason')" />
        <button type="submit" class="quiet">Leave it off on purpose</button>
      </form>
      <button
        v-else-if="way === 'refit' && item.state === 'off'"
        type="button"
        class="min-h-8 self-start text-sm text-soft underline underline-offset-2"
        @click="leaving = ''"
      >
        Leave it off on purpose
      </button>
    </template>
  </div>
</template>
