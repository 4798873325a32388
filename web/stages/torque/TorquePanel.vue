<script setup lang="ts">
import { computed } from 'vue';
import {
  type AdapterOn,
  type JobItem,
  type TorqueStep,
  boltIds,
  boltVerdict,
  isAtTorque,
  isTight,
  strippedThreads,
  wantsPass,
  rulesOf,
} from '../../../core/job/index.ts';
import { FIELDS, format, formatNumber } from '../../../core/quantity/index.ts';
import FigureField from '../../parts/FigureField.vue';
import FigureRow from '../../parts/FigureRow.vue';
import SourceNote from '../../parts/SourceNote.vue';
import { writePreference } from '../../shell/preferences.ts';
import { useShop } from '../../stores/shop.ts';
import AdapterForm from './AdapterForm.vue';
import FlangeDrawing from './FlangeDrawing.vue';
import { jointFigures } from './jointFigures.ts';
import RetorqueRow from './RetorqueRow.vue';
import ThreadBlock from './ThreadBlock.vue';
import { useJob } from '../../stores/job.ts';
import PutRight from '../entries/PutRight.vue';

/** Which bolt, how tight, on which wrench at which setting, and what was reached. */
const store = useJob();
const props = defineProps<{ item: JobItem; step: TorqueStep | null; error: string | null; closed: boolean }>();
defineEmits<{ pass: [] }>();
const shop = useShop();
const rules = computed(() => (store.job === null ? shop.rules : rulesOf(store.job, shop.rules)));
const text = defineModel<string>('text', { required: true });
const byFeel = defineModel<boolean>('byFeel', { required: true });
const wrench = defineModel<string>('wrench', { required: true });
const adapter = defineModel<AdapterOn | null>('adapter', { required: true });

const chosen = computed(() => props.step?.chosen ?? null);
const delivers = computed(() => {
  const band = chosen.value?.setting.deliversNm;
  return band === undefined ? '' : `${band.low.toFixed(1)}–${band.high.toFixed(1)}`;
});
const joint = computed(() => (props.item.fasteners === null ? null : jointFigures(props.item.fasteners)));
/** Bolts that this pass still wants, this one included. */
const left = computed(() => {
  const { step } = props;
  return step === null ? 0 : boltIds(props.item).filter((id) => wantsPass(props.item, id, step.pass)).length;
});
/** Tightened by feel: done, and not at torque. */
const felt = computed(
  () => boltIds(props.item).filter((id) => isTight(props.item, id) && !isAtTorque(props.item, id)).length,
);
const stripped = computed(() => strippedThreads(props.item).length);
const wrong = computed(() =>
  props.item.bolts.filter((bolt) => ['under', 'over'].includes(boltVerdict(props.item, bolt))),
);
function choose(event: Event): void {
  wrench.value = (event.target as HTMLSelectElement).value;
  writePreference('wrench', wrench.value);
}
</script>

<template>
  <div class="grid gap-3">
    <div v-if="step" class="flex items-end justify-between gap-3">
      <p>
        <template v-if="step.angleDeg !== null"
          ><span class="figure text-figure-lg">{{ step.angleDeg }}°</span>
          <span class="text-lg font-semibold text-soft">further</span></template
        ><template v-else
          ><span class="figure text-figure-lg">{{
            formatNumber({ value: Number(step.spec.targetNm.toFixed(2)), unit: 'N·m' })
          }}</span>
          <span class="text-lg font-semibold text-soft">N·m</span></template
        >
      </p>
      <p
        v-if="step.angleDeg === null && chosen && (chosen.setting.unit !== 'N·m' || adapter)"
        class="text-right leading-tight"
      >
        <span class="block text-fine text-soft">{{
          adapter ? 'set with the adapter' : `${chosen.setting.unit} wrench`
        }}</span><span class="figure text-xl">{{ chosen.setting.setting }}</span>
      </p>
    </div>
    <p v-if="step" class="-mt-1 text-note text-soft">
      Pass {{ step.pass }} of {{ step.passes }}, {{ step.passWords
      }}<template v-if="step.label">; {{ step.label }}</template>
    </p>
    <FlangeDrawing v-if="(item.fasteners?.bolts.length ?? 0) > 1" :item="item" :next="step?.boltId ?? ''" />
    <template v-if="step">
      <div class="flex items-start gap-3">
        <FigureField
          v-model="text"
          class="flex-1"
          :label="adapter ? 'Shown by the wrench' : 'Reached'"
          :field="step.angleDeg === null ? FIELDS.torqueReached : FIELDS.turn"
          :placeholder="step.entry"
          :disabled="byFeel"
          :error="error"
        />
        <label class="mt-6 flex min-h-10 items-center gap-2 whitespace-nowrap text-sm"
          ><input v-model="byFeel" type="checkbox" class="size-6 accent-bottle" /> By feel</label
        >
      </div>
      <p v-if="byFeel && rules.tightening === 'figure'" class="text-sm text-brass">
        The house rule is a figure, in stages. The sheet will say <em>by feel</em>.
      </p>
      <button v-if="left > 1 && !closed" type="button" class="quiet justify-self-start text-sm" @click="$emit('pass')">
        All {{ left }} of this pass reached it
      </button>
      <dl v-if="step.angleDeg === null" class="rows border-y border-line text-note">
        <div class="flex items-center justify-between gap-3">
          <dt class="min-w-0">
            <label class="sr-only" :for="`wrench-${item.id}`">Wrench</label>
            <select
              :id="`wrench-${item.id}`"
              class="min-h-10 w-full bg-card font-semibold text-ink"
              :value="chosen?.wrench.id"
              @change="choose"
            >
              <option v-for="each in step.ranked" :key="each.wrench.id" :value="each.wrench.id">
                {{ each.wrench.name }}
              </option>
            </select>
          </dt>
          <dd
            v-if="chosen"
            class="text-right font-bold"
            :class="chosen.setting.verdict === 'suits' ? 'text-moss' : 'text-alarm'"
          >
            {{ chosen.setting.verdict }}
          </dd>
        </div>
        <FigureRow label="It will deliver">{{ delivers }} N·m</FigureRow>
        <FigureRow v-for="row in joint?.rows ?? []" :key="row.label" :label="row.label"
          ><span :class="{ 'text-moss': row.tone === 'good', 'text-alarm': row.tone === 'bad' }">{{
            row.value
          }}</span></FigureRow
        >
        <FigureRow label="Source"
          ><SourceNote :source="step.spec.source" class="font-normal" /><template v-if="item.figureFrom"
            >, from job {{ item.figureFrom.number }}</template
          ></FigureRow
        >
      </dl>
      <p v-if="chosen && chosen.setting.verdict !== 'suits'" class="text-sm font-semibold text-alarm">
        {{ chosen.setting.why }}
      </p>
      <p v-if="joint?.warning" class="border-l-[3px] border-alarm py-1 pl-3 text-note font-semibold">
        {{ joint.warning }}
      </p>
      <AdapterForm v-if="step.angleDeg === null" v-model="adapter" />
    </template>
    <p v-else-if="stripped === 0 && felt > 0" class="font-semibold">
      {{ (item.fasteners?.count ?? 0) - felt }} at torque, {{ felt }} by feel.
    </p>
    <p v-else-if="stripped === 0" class="font-semibold text-moss">All {{ item.fasteners?.count }} at torque.</p>
    <p v-else class="font-semibold">
      {{ (item.fasteners?.count ?? 0) - stripped }} at torque, {{ stripped }} waiting for a thread.
    </p>
    <RetorqueRow v-if="!closed" :item="item" />
    <ThreadBlock :item="item" :next="step?.boltId ?? ''" :closed="closed" />
    <details v-if="item.bolts.length > 0 && !closed" class="text-note">
      <summary class="min-h-9 cursor-pointer font-semibold">What each bolt got</summary>
      <ul class="rows mt-1 border-y border-line">
        <li v-for="bolt in item.bolts" :key="bolt.boltId" class="flex items-baseline justify-between gap-3 py-1">
          <span
            >Bolt {{ bolt.boltId }}:
            {{ bolt.angleDeg !== null ? `${bolt.angleDeg}°` : bolt.torque ? format(bolt.torque) : 'by feel' }}</span
          >
          <PutRight
            v-if="store.job"
            :job="store.job"
            kind="bolt-tightened"
            :holds="{ itemId: item.id, boltId: bolt.boltId }"
            :what="`bolt ${bolt.boltId}`"
          />
        </li>
      </ul>
    </details>
    <ul v-if="wrong.length > 0" class="text-sm font-semibold text-alarm">
      <li v-for="bolt in wrong" :key="bolt.boltId">
        Bolt {{ bolt.boltId }}:
        {{ bolt.angleDeg !== null ? `${bolt.angleDeg}°` : bolt.torque ? format(bolt.torque) : '' }} is
        {{ boltVerdict(item, bolt) }}. Loosen it, look at the thread, start again.
      </li>
    </ul>
  </div>
</template>
