<script setup lang="ts">
import { numberIn } from '../parts/numberIn.ts';
import { computed, ref } from 'vue';
import { FIELDS } from '../../core/quantity/index.ts';
import {
  CONDITIONS,
  correctForLubricant,
  isSpec,
  parseThread,
  passes,
  preload,
  PROOF_STRESS,
  proofFraction,
  type PropertyClass,
  rankWrenches,
  repairRoutes,
  specFromText,
  STRENGTHS,
  stripMargin,
  tighteningOrder,
  type ThreadCondition,
  type ThreadMaterial,
  withAdapter,
} from '../../core/torque/index.ts';
import type { Bolt } from '../../core/procedure/index.ts';
import FieldBox from '../parts/FieldBox.vue';
import FigureRow from '../parts/FigureRow.vue';
import { keysOf } from '../parts/keysOf.ts';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import FlangePlacer from '../library/editor/FlangePlacer.vue';
import AdapterForm from '../stages/torque/AdapterForm.vue';
import type { AdapterOn } from '../../core/job/index.ts';
import { useShop } from '../stores/shop.ts';
import WrenchRows from './WrenchRows.vue';

/** Torque without a job: what a figure means on the shop's own wrenches, and what it does to the thread. */
const shop = useShop();
const text = ref('9 Nm');
const threadText = ref('M6×1.0×30');
const told = ref<ThreadCondition>('dry');
const condition = ref<ThreadCondition>('dry');
const grade = ref<PropertyClass>('8.8');
const material = ref<ThreadMaterial>('die-cast-aluminium');
const depth = ref('12');
/** Empty takes the figure of the material; anything else is one's own casting. */
const ownShear = ref('');
const shares = ref('50, 100');
const adapter = ref<AdapterOn | null>(null);
const bolts = ref<readonly Bolt[]>([
  { id: '1', x: 0, y: 0, label: 'upper left' },
  { id: '2', x: 66, y: 0, label: 'upper right' },
  { id: '3', x: 66, y: 66, label: 'lower right' },
  { id: '4', x: 0, y: 66, label: 'lower left' },
]);

const parsed = computed(() => specFromText(text.value, null));
const spec = computed(() =>
  isSpec(parsed.value) ? correctForLubricant(parsed.value, told.value, condition.value) : null,
);
const thread = computed(() => parseThread(threadText.value));
const share = computed(() => {
  const on = adapter.value;
  return on === null
    ? 1
    : withAdapter({ target: 1, leverLength: on.leverMm, adapterLength: on.lengthMm, angle: on.angleDeg });
});
const ranked = computed(() => {
  if (spec.value === null) return [];
  const { targetNm, lowNm, highNm } = spec.value;
  const set = {
    ...spec.value,
    targetNm: targetNm * share.value,
    lowNm: lowNm * share.value,
    highNm: highNm * share.value,
  };
  return rankWrenches(set, shop.wrenches);
});
const pull = computed(() =>
  spec.value === null || thread.value === null
    ? null
    : preload({ torque: spec.value.targetNm, diameter: thread.value.diameter, k: CONDITIONS[condition.value].k }),
);
const proof = computed(() =>
  pull.value === null || thread.value === null ? null : proofFraction(pull.value.newtons, thread.value, grade.value),
);
const depthProblem = computed(() => (numberIn(depth.value, FIELDS.playMm) > 0 ? null : 'Expected more than 0 mm.'));
const shearProblem = computed(() =>
  ownShear.value === '' || numberIn(ownShear.value, FIELDS.shearMpa) > 0 ? null : 'Expected more than 0 MPa.',
);
const hole = computed(() =>
  thread.value === null || depthProblem.value !== null || shearProblem.value !== null
    ? null
    : {
        thread: thread.value,
        engagement: numberIn(depth.value, FIELDS.playMm),
        material:
          ownShear.value === ''
            ? material.value
            : { name: 'your own figure', shearMpa: numberIn(ownShear.value, FIELDS.shearMpa), source: null },
        condition: condition.value,
      },
);
const margin = computed(() =>
  spec.value === null || hole.value === null ? null : stripMargin(spec.value, hole.value),
);
const repairs = computed(() => (hole.value === null ? [] : repairRoutes(spec.value, hole.value)));
const fractions = computed(() => shares.value.split(/[,;]\s*/).map((each) => numberIn(each, FIELDS.share) / 100));
const rounds = computed(() => {
  if (spec.value === null) return null;
  try {
    return passes(spec.value, { fractions: fractions.value });
  } catch {
    return null;
  }
});
const order = computed(() =>
  tighteningOrder(bolts.value).map((id) => bolts.value.find((bolt) => bolt.id === id)?.label || `bolt ${id}`),
);
const kilo = (newtons: number): string => `${Number((newtons / 1000).toPrecision(2))} kN`;
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7" tabindex="0" aria-label="Torque">
    <h1 class="text-title">Torque</h1>
    <p class="max-w-prose text-soft">
      What a figure means on your own wrenches, and what it does to the bolt and to the thread it goes into.
    </p>
    <div class="mt-5 grid gap-x-12 gap-y-8 lg:grid-cols-[minmax(0,5fr)_minmax(0,4fr)]">
      <div class="grid content-start gap-6">
        <section class="grid gap-3 border-t border-line pt-4">
          <h2 class="text-lg">The joint</h2>
          <div class="grid gap-3 sm:grid-cols-3">
            <FigureField
              v-model="text"
              :field="FIELDS.torqueSpec"
              label="Torque, as the book writes it"
              placeholder="8–10 Nm, 5 Nm + 45°"
              :error="isSpec(parsed) ? null : parsed.message"
            />
            <TextField
              v-model="threadText"
              label="Thread"
              placeholder="M6×1.0×30"
              :error="thread === null ? 'Expected a metric thread, such as M6×1.0.' : null"
            />
            <FieldBox v-slot="{ id }" label="Bolt class">
              <select :id="id" v-model="grade" class="input">
                <option v-for="each in keysOf(PROOF_STRESS)" :key="each" :value="each">{{ each }}</option>
              </select>
            </FieldBox>
            <FieldBox v-slot="{ id }" label="The figure is for">
              <select :id="id" v-model="told" class="input">
                <option v-for="each in keysOf(CONDITIONS)" :key="each" :value="each">
                  {{ CONDITIONS[each].name }}
                </option>
              </select>
            </FieldBox>
            <FieldBox v-slot="{ id }" label="This thread is">
              <select :id="id" v-model="condition" class="input">
                <option v-for="each in keysOf(CONDITIONS)" :key="each" :value="each">
                  {{ CONDITIONS[each].name }}
                </option>
              </select>
            </FieldBox>
            <FigureField v-model="depth" label="Grips, mm deep" :field="FIELDS.playMm" :error="depthProblem" />
            <FieldBox v-slot="{ id }" label="Cut into">
              <select :id="id" v-model="material" class="input">
                <option v-for="each in keysOf(STRENGTHS)" :key="each" :value="each">{{ STRENGTHS[each].name }}</option>
              </select>
            </FieldBox>
            <FigureField
              v-model="ownShear"
              label="Shear strength, MPa"
              :field="FIELDS.shearMpa"
              :placeholder="String(STRENGTHS[material].shearMpa)"
              :error="shearProblem"
            />
          </div>
          <p class="text-sm text-soft">
            {{ STRENGTHS[material].name }}: {{ STRENGTHS[material].shearMpa }} MPa,
            {{ STRENGTHS[material].source ?? 'shop figure, verify' }}.
          </p>
        </section>
        <section class="border-t border-line pt-4">
          <h2 class="text-lg">On your wrenches</h2>
          <p v-if="spec && told !== condition" class="mt-1 text-note">
            For a thread that is {{ CONDITIONS[condition].name }}: <b>{{ spec.text }}</b>, so that it pulls the same.
          </p>
          <WrenchRows class="mt-2" :ranked="ranked" share />
          <AdapterForm v-model="adapter" class="mt-2" />
        </section>
        <section class="border-t border-line pt-4">
          <h2 class="text-lg">If the thread strips</h2>
          <ul class="rows mt-1 border-y border-line">
            <li v-for="route in repairs" :key="route.route" class="grid grid-cols-[4rem_1fr] gap-x-4 py-2">
              <span class="figure text-lg">{{ route.margin === null ? '' : `${route.margin.toFixed(1)} ×` }}</span>
              <span
                ><span class="font-semibold">{{ route.name }}</span
                ><span class="block text-sm text-soft">{{ route.words }}</span></span
              >
            </li>
          </ul>
        </section>
      </div>
      <div class="grid content-start gap-6">
        <section class="border-t border-line pt-4">
          <h2 class="text-lg">What it does</h2>
          <p v-if="margin" class="mt-2">
            <span
              class="figure text-figure-lg"
              :class="
                margin.verdict === 'holds' ? 'text-moss' : margin.verdict === 'will strip' ? 'text-alarm' : 'text-brass'
              "
              >{{ margin.margin.toFixed(1) }} ×</span
            >
            <span class="text-lg font-semibold text-soft">before the thread strips</span>
          </p>
          <p v-if="margin && margin.verdict !== 'holds'" class="text-note font-semibold">{{ margin.words }}</p>
          <dl v-if="pull && spec" class="rows mt-3 border-y border-line text-note">
            <FigureRow label="Pull">{{ kilo(pull.newtons) }}</FigureRow>
            <FigureRow label="With the scatter of friction">{{ kilo(pull.low) }} to {{ kilo(pull.high) }}</FigureRow>
            <FigureRow v-if="proof !== null" :label="`Of the proof load, class ${grade}`"
              ><span :class="proof > 0.9 ? 'text-alarm' : ''">{{ Math.round(proof * 100) }} %</span></FigureRow
            >
          </dl>
          <p class="mt-2 text-sm text-soft">
            T over K·d with K {{ CONDITIONS[condition].k }}, ±30 %. The maker’s figure comes first.
          </p>
        </section>
        <section class="grid gap-3 border-t border-line pt-4">
          <h2 class="text-lg">In which order</h2>
          <TextField
            v-model="shares"
            label="Passes, %"
            :error="rounds === null && spec !== null ? 'Expected shares that rise to 100, such as 50, 100.' : null"
          />
          <ol v-if="rounds" class="rows border-y border-line text-note">
            <li v-for="round in rounds" :key="round.number" class="flex justify-between gap-3 py-1.5">
              <span>{{ round.words }}</span><span v-if="round.torqueNm !== null" class="font-bold"
                >{{ Number(round.torqueNm.toPrecision(3)) }} N·m</span
              >
            </li>
          </ol>
          <FlangePlacer :bolts="bolts" @put="bolts = $event" />
          <p class="text-sm text-soft">{{ order.join(', then ') }}.</p>
        </section>
      </div>
    </div>
  </section>
</template>
