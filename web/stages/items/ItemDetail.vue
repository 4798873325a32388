<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import {
  type AdapterOn,
  gaping,
  type Job,
  type JobItem,
  jobLocks,
  lengthsOf,
  passEntry,
  tapOn,
  torqueStep,
  type Typed,
  type Way,
} from '../../../core/job/index.ts';
import { constraintWords, isBackStep, namedBy } from '../../../core/procedure/index.ts';
import { lowerFirst, upperFirst } from '../../../core/words/index.ts';
import CautionStack from '../../parts/CautionStack.vue';
import TextField from '../../parts/TextField.vue';
import { useKeys } from '../../shell/keys.ts';
import { readPreference } from '../../shell/preferences.ts';
import { useMinute } from '../../stores/clock.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';
import AnotherLike from './AnotherLike.vue';
import BackStepForm from './BackStepForm.vue';
import BenchPartForm from './BenchPartForm.vue';
import ConstraintForm from './ConstraintForm.vue';
import CorrectForm from './CorrectForm.vue';
import CureForm from './CureForm.vue';
import FigureWanted from '../torque/FigureWanted.vue';
import FlagForm from './FlagForm.vue';
import ItemPictures from './ItemPictures.vue';
import LeaveOffForm from './LeaveOffForm.vue';
import LockList from './LockList.vue';
import MeasureRows from './MeasureRows.vue';
import OpeningForm from './OpeningForm.vue';
import OffFirst from './OffFirst.vue';
import OffOrderForm from './OffOrderForm.vue';
import { sendTap } from './sendTap.ts';
import { tapWords } from './tapWords.ts';
import TieAsideForm from './TieAsideForm.vue';
import PlaceBolts from '../torque/PlaceBolts.vue';
import TorquePanel from '../torque/TorquePanel.vue';
import UnitRows from './UnitRows.vue';

const props = defineProps<{ job: Job; item: JobItem; way: Way }>();
const emit = defineEmits<{ acted: [] }>();
const shop = useShop();
const form = useForm();
const now = useMinute();

const pocket = ref('');
const label = ref('');
const torqueText = ref('');
const byFeel = ref(false);
const renew = ref<boolean | null>(null);
const adapter = ref<AdapterOn | null>(null);
const stayIn = ref<number | null>(null);
const wrench = ref(readPreference('wrench') ?? '');
watch(
  [() => props.item.id, () => props.item.pocket, () => props.item.label],
  () => {
    pocket.value = props.item.pocket;
    label.value = props.item.label;
    renew.value = null;
    stayIn.value = null;
    form.clear();
  },
  { immediate: true },
);

const step = computed(() =>
  props.way === 'refit' ? torqueStep(props.item, shop.wrenches, wrench.value, adapter.value) : null,
);
// Each bolt starts from its own proposal; a figure typed for the last one must not be recorded for the next by mistake.
watch(
  () => `${props.item.id} ${step.value?.boltId} ${step.value?.pass}`,
  () => (torqueText.value = ''),
);

const typed = computed((): Typed => ({
  pocket: pocket.value,
  label: label.value,
  torqueText: torqueText.value,
  byFeel: byFeel.value,
  renew: renew.value,
  adapter: adapter.value,
  stayIn: stayIn.value,
}));
const tap = computed(() => tapOn(props.way, props.job, props.item, typed.value, step.value));
const says = computed(() => (tap.value === null ? '' : tapWords(tap.value)));
/** What waits has no button: beside it stands why, and what would let it. */
const locked = computed(
  () => props.way === 'refit' && props.item.state === 'off' && jobLocks(props.job, props.item.id, now.value).length > 0,
);
function act(): void {
  if (tap.value === null || props.job.status === 'closed') return;
  form.wrong.value = sendTap(tap.value, props.job, typed.value);
  if (form.wrong.value === null) emit('acted');
}
/** What was tied aside has to come off: never by the key that takes off the next thing. */
function offAfterAll(): void {
  form.wrong.value = sendTap({ kind: 'off', item: props.item, again: false }, props.job, typed.value);
}
/** One figure for every bolt that this pass still wants. */
function actPass(): void {
  if (step.value === null) return;
  if (form.send('tighten-pass', { itemId: props.item.id, ...passEntry(step.value, typed.value) })) emit('acted');
}
useKeys([{ keys: ' ', does: 'Do what the button says', run: act }]);
/** A second tap on the tag does what the button says, but never records a torque unread. */
defineExpose({
  act,
  actPlainly: () => (step.value === null ? act() : undefined),
  label: computed(() => (locked.value ? '' : says.value)),
  setting: computed(() =>
    step.value === null || tap.value?.kind !== 'bolt' ? '' : torqueText.value || step.value.entry,
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
const opening = computed(() => props.job.openings.find(({ id }) => props.item.opens.includes(id)));
const cue = computed(() => props.job.items.find(({ id }) => id === props.item.backBefore));
const gapes = computed(() => props.way === 'strip' && gaping(props.job) !== undefined);
const name = (id: string): string => props.job.items.find((each) => each.id === id)?.name ?? id;
const rules = computed(() =>
  props.job.constraints.flatMap((constraint) =>
    namedBy(constraint).includes(props.item.id)
      ? [{ id: constraint.id, text: `${constraintWords(constraint, name)}: ${constraint.reason}.` }]
      : [],
  ),
);
/** A unit, its fasteners and its gasket come off or stay; what hangs on wires and hoses can be moved aside. */
const mayTie = computed(
  () =>
    props.way === 'strip' &&
    props.item.state === 'on' &&
    props.job.status === 'open' &&
    props.item.origin !== 'plug' &&
    !isBackStep(props.item) &&
    !['fasteners', 'gasket'].includes(props.item.kind),
);
const lengths = computed(() => {
  const each = lengthsOf(props.item);
  return each.length < 2 ? [] : each;
});
const staysIn = computed(() => stayIn.value ?? props.item.fasteners?.staysIn ?? 0);
const subtitle = computed(() => {
  const group = props.item.fasteners;
  const into = group === null || group.into === '' ? '' : ` into ${group.into}`;
  return [group ? `${group.count} × ${group.thread}${into}` : '', props.item.tool].filter(Boolean).join(' · ');
});
</script>

<template>
  <div class="flex flex-1 flex-col gap-4">
    <div>
      <h2 class="text-xl">{{ item.name }}</h2>
      <p v-if="subtitle" class="mt-0.5 text-note text-soft">{{ subtitle }}</p>
      <p v-if="item.note && step === null" class="mt-2">{{ upperFirst(item.note) }}</p>
    </div>
    <CautionStack :ids="item.cautions" />

    <div
      v-if="tap && job.status === 'open' && !locked"
      class="order-last mt-auto grid gap-2 lg:sticky lg:-bottom-5 lg:bg-card lg:pb-5 lg:pt-2"
    >
      <p v-if="form.general('torqueText', 'pocket', 'label', 'stayIn')" class="font-semibold text-alarm" role="alert">
        {{ form.general('torqueText', 'pocket', 'label', 'stayIn') }}
      </p>
      <button type="button" class="primary" data-testid="act" @click="act">
        {{ says }} <kbd class="key" aria-hidden="true">Space</kbd>
      </button>
    </div>

    <OffFirst v-if="way === 'strip' && item.state === 'on'" :job="job" :item="item" />
    <p v-if="isBackStep(item)" class="text-note text-soft">
      Only on the way back<template v-if="cue">, before {{ lowerFirst(cue.name) }} goes on</template>.
      <template v-if="way === 'strip'">It waits there; nothing is taken off for it.</template>
    </p>
    <p v-if="item.aside && item.state === 'off'" class="border-l-[3px] border-oxide py-1 pl-3">
      Still connected, tied aside: {{ item.aside.where }}.
      <button v-if="way === 'strip' && job.status === 'open'" type="button" class="link" @click="offAfterAll">
        Take it off after all
      </button>
    </p>
    <p v-if="gapes" class="border-l-[3px] border-oxide py-1 pl-3">An opening gapes. Plug it before you go on.</p>
    <p
      v-if="way === 'refit' && item.state === 'off' && item.alike && item.label"
      class="border-l-[3px] border-brass py-1 pl-3"
    >
      Looks like another: its tag must say <b>{{ item.label }}</b>.
    </p>
    <LockList v-if="way === 'refit' && item.state === 'off'" :job="job" :item="item" />
    <p v-if="item.stayingIn > 0 && item.state === 'off'" class="border-l-[3px] border-oxide py-1 pl-3">
      {{ item.stayingIn }} still in, to hold the weight.
    </p>
    <ul v-if="lengths.length > 0 && !(way === 'refit' && step === null && item.state !== 'off')" class="text-note">
      <li v-for="each in lengths" :key="each.lengthMm">
        <span class="font-bold">{{ each.count }} × {{ each.lengthMm }} mm</span>
        <span v-if="each.count <= 2" class="text-soft"> {{ each.places.join(', ') }}</span>
      </li>
    </ul>
    <label
      v-if="way === 'strip' && item.state === 'on' && (item.fasteners?.count ?? 0) > 2 && item.kind === 'fasteners'"
      class="flex min-h-10 items-center gap-3 text-note"
      ><input
        type="checkbox"
        class="size-6 accent-bottle"
        :checked="staysIn > 0"
        @change="stayIn = ($event.target as HTMLInputElement).checked ? item.fasteners?.staysIn || 2 : 0"
      />
      {{ item.fasteners?.staysIn || 2 }} stay in to hold it</label
    >
    <FigureWanted
      v-if="item.state !== 'on' && item.fasteners && item.fasteners.spec === null"
      :job="job"
      :item="item"
    />
    <TorquePanel
      v-if="way === 'refit' && item.fasteners?.spec && item.state !== 'on'"
      v-model:text="torqueText"
      v-model:by-feel="byFeel"
      v-model:wrench="wrench"
      v-model:adapter="adapter"
      :item="item"
      :step="step"
      :error="form.error('torqueText')"
      :closed="job.status === 'closed'"
      @pass="actPass"
    />
    <PlaceBolts
      v-if="
        item.origin === 'typed' &&
        job.status === 'open' &&
        (item.fasteners?.count ?? 0) > 1 &&
        item.fasteners?.bolts.length === 0 &&
        item.bolts.length === 0
      "
      :item="item"
    />
    <UnitRows v-if="way === 'refit'" v-model:renew="renew" :job="job" :item="item" />
    <MeasureRows
      v-if="item.origin !== 'plug' && !isBackStep(item) && job.status === 'open'"
      :job="job"
      :item="item"
      :way="way"
    />
    <p v-if="item.singleUse" class="text-note">
      <span class="font-semibold text-brass">Single use.</span> New one: <span class="code">{{ item.partNumber }}</span>
    </p>
    <p v-if="opening" class="text-note">
      Leaves <span class="font-semibold">{{ opening.name.toLowerCase() }}</span>:
      <span :class="opening.state === 'open' ? 'font-bold text-oxide' : ''">{{ opening.state }}</span><span
        v-if="opening.state === 'whole'"
        >, plug with {{ opening.plugWith.toLowerCase() }}</span
      >.
    </p>
    <form
      v-if="item.origin !== 'plug' && !isBackStep(item) && !(way === 'refit' && item.fasteners?.spec)"
      class="grid grid-cols-2 gap-3"
      @submit.prevent="remarkChanged ? keepPlace() : act()"
    >
      <TextField v-model="pocket" label="Tray pocket" :error="form.error('pocket')" placeholder="A1, bench" />
      <TextField v-model="label" label="Tag or mark" :error="form.error('label')" placeholder="left, upper" />
      <button v-if="remarkChanged" type="submit" class="quiet col-span-2">Keep place and mark</button>
    </form>
    <TieAsideForm v-if="mayTie && item.mayStay" :key="`aside ${item.id}`" :item="item" @tied="emit('acted')" />
    <details v-if="rules.length > 0" class="text-note">
      <summary class="font-semibold">Order: {{ rules.length }} {{ rules.length === 1 ? 'reason' : 'reasons' }}</summary>
      <ul class="rows mt-1">
        <li v-for="rule in rules" :key="rule.id" class="py-1.5">{{ rule.text }}</li>
      </ul>
    </details>
    <AnotherLike v-if="way === 'strip' && job.status === 'open'" :job="job" :item="item" />
    <ItemPictures v-if="item.origin !== 'plug'" :job="job" :item="item" :way="way" />
    <FlagForm v-if="item.flag" :item="item" :closed="job.status === 'closed'" />
    <CorrectForm v-if="item.origin !== 'plug' && !isBackStep(item) && job.status === 'open'" :job="job" :item="item" />
    <details v-if="item.origin !== 'plug' && job.status === 'open'" class="border-t border-line pt-2">
      <summary class="min-h-8 text-sm font-semibold text-soft">More about it</summary>
      <div class="flex flex-col gap-1">
        <FlagForm v-if="!item.flag && !isBackStep(item)" :item="item" :closed="false" />
        <OpeningForm v-if="way === 'strip' && !isBackStep(item) && item.opens.length === 0" :item="item" />
        <CureForm v-if="way === 'refit'" :item="item" />
        <TieAsideForm v-if="mayTie && !item.mayStay" :key="`aside ${item.id}`" :item="item" @tied="emit('acted')" />
        <BackStepForm v-if="!isBackStep(item)" :key="`step ${item.id}`" :item="item" />
        <OffOrderForm
          v-if="way === 'strip' && item.state === 'on' && !isBackStep(item)"
          :key="`first ${item.id}`"
          :job="job"
          :item="item"
        />
        <ConstraintForm :job="job" :item="item" />
        <BenchPartForm
          v-if="item.stripOrder !== null && item.kind !== 'unit' && !item.aside && !isBackStep(item)"
          :key="`part ${item.id}`"
          :job="job"
          :item="item"
        />
        <LeaveOffForm v-if="way === 'refit' && item.state === 'off'" :key="item.id" :item="item" />
      </div>
    </details>
  </div>
</template>
