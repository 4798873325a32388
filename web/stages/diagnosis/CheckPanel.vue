<script setup lang="ts">
import { computed, ref, watch } from 'vue';
import {
  ACCESS,
  bandFor,
  interpret,
  type Proposal,
  type Sign,
  type TypedField,
  typedFields,
  type UnitRef,
} from '../../../core/diagnose/index.ts';
import { whereIs, type When } from '../../../core/job/index.ts';
import { fieldIn } from '../../../core/quantity/index.ts';
import { figuresOf } from '../../../core/vehicle/index.ts';
import CautionStack from '../../parts/CautionStack.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import PictureAdd from '../pictures/PictureAdd.vue';
import { useForm } from '../useForm.ts';
import { shareWords } from './useDiagnosis.ts';

/** One check: how it is done, what is normal here, what each answer would do, and where the answer goes. */
const props = defineProps<{
  sign: Sign;
  proposal: Proposal | null;
  when: When;
  name: (cause: string) => string;
  leaders?: readonly string[];
  /** Every unit of the vehicle: a look at one of several says at which. */
  units?: readonly UnitRef[];
}>();
const emit = defineEmits<{ done: [] }>();
const store = useJob();
const form = useForm();
const first = ref('');
const second = ref('');
const skipping = ref(false);
const at = ref('');
const places = computed(() => (props.units ?? []).filter(({ kind }) => props.sign.of.includes(kind)));
const several = computed(() => places.value.length > 1);
const unit = computed(() =>
  several.value ? places.value[Number(at.value)] : places.value.length === 1 ? places.value[0] : undefined,
);
/** Nobody has said at which of several it was made. */
const unplaced = computed(() => several.value && (at.value === '' || unit.value === undefined));
const asked = ref(false);
const why = ref('');

watch(
  () => props.sign.id,
  () => {
    first.value = second.value = why.value = at.value = '';
    asked.value = false;
    skipping.value = false;
    form.clear();
  },
);

const method = computed(() => props.sign.method);
const entry = computed(() => method.value?.entry ?? { kind: 'choice' as const });
const figures = computed(() => (store.job === null ? {} : figuresOf(store.job.vehicle, store.family)));
const band = computed(() => (entry.value.kind === 'number' ? bandFor(entry.value, figures.value) : null));
const wanted = computed(() => (entry.value.kind === 'choice' ? [] : typedFields(entry.value)));
const typed = computed(() => [first.value, second.value].slice(0, wanted.value.length));
const labelOf = ({ name, unit }: TypedField): string => `${name || 'Reading'}, ${unit}`;
const filled = computed(() => typed.value.every((text) => text.trim() !== ''));
/** Why this one: an answer of it that moves the two in front apart by half, or what it tests. */
const separates = computed(() => {
  const [a, b] = props.leaders ?? [];
  if (props.proposal === null || a === undefined || b === undefined) return '';
  const ratios = props.proposal.previews
    .filter(({ chance }) => chance > 0.05)
    .map(
      ({ causes }) =>
        (causes.find(({ id }) => id === a)?.share ?? 0) / Math.max(1e-6, causes.find(({ id }) => id === b)?.share ?? 0),
    );
  return Math.max(...ratios) > 2 * Math.min(...ratios)
    ? `tells ${props.name(a)} from ${props.name(b)}`
    : 'tells most for its time';
});
const judged = computed(() =>
  entry.value.kind === 'choice' || !filled.value ? null : interpret(props.sign, typed.value, figures.value),
);
const previewOf = (outcome: string) =>
  props.proposal?.previews
    .find((preview) => preview.outcome === outcome)
    ?.causes.slice(0, 2)
    .map(({ id, share }) => `${props.name(id)} ${shareWords(share)}`) ?? [];

const outcomeName = computed(() => {
  const { value } = judged;
  return value?.ok ? (props.sign.outcomes.find(({ id }) => id === value.outcome)?.name ?? '') : '';
});
const judgedPreview = computed(() => (judged.value?.ok ? previewOf(judged.value.outcome) : []));

function record(outcome: string, values: readonly string[]): void {
  asked.value = unplaced.value;
  if (unplaced.value) return;
  const made = { id: freshId(), check: props.sign.id, outcome, typed: [...values], when: props.when };
  if (form.send('record-check', unit.value === undefined ? made : { ...made, unit: unit.value })) emit('done');
}
function passOver(): void {
  if (form.send('pass-over-check', { id: freshId(), check: props.sign.id, why: why.value })) emit('done');
}
</script>

<template>
  <div v-if="method" class="grid gap-3">
    <div>
      <h3 class="text-xl">{{ sign.name }}</h3>
      <p class="mt-1 text-sm text-soft">
        <span v-if="separates" class="font-semibold text-ink">{{ separates }} · </span
        >{{ proposal ? Math.round(proposal.minutes) : method.minutes }} min · {{ method.key
        }}<template v-if="proposal && proposal.reach.length > 0">
          · first {{ proposal.reach.map((access) => ACCESS[access].name).join(', ') }}</template
        ><template v-if="method.tools.length > 0"> · {{ method.tools.join(', ') }}</template>
      </p>
    </div>
    <ol class="list-decimal pl-6 text-note leading-snug">
      <li v-for="step in method.steps" :key="step" class="py-0.5">{{ step }}</li>
    </ol>
    <CautionStack :ids="method.cautions" />
    <p class="text-note">
      <span class="font-semibold">Normal:</span>
      <template v-if="band && entry.kind === 'number'">
        {{ band.low }} to {{ band.high }} {{ entry.unit
        }}<span :class="band.source === null ? 'font-semibold text-brass' : 'text-soft'"
          >, {{ band.source ?? 'shop figure, verify' }}</span
        ></template
      ><template v-else> {{ method.normal }}</template>
    </p>

    <fieldset v-if="several" class="grid gap-1">
      <legend class="text-sm font-bold">On which one</legend>
      <label
        v-for="(place, index) in places"
        :key="whereIs(place)"
        class="flex min-h-11 cursor-pointer items-center gap-2 has-checked:font-bold"
      >
        <input v-model="at" type="radio" name="unit" :value="String(index)" class="size-5 accent-bottle" />
        {{ whereIs(place) }}
      </label>
      <p v-if="asked && unplaced" class="text-sm font-semibold text-alarm" role="alert">
        Say first on which one: they look alike, and only one of them has it.
      </p>
    </fieldset>

    <form v-if="entry.kind !== 'choice'" class="grid gap-2" @submit.prevent="record('', typed)">
      <div class="grid gap-2" :class="wanted.length > 1 ? 'grid-cols-2' : ''">
        <FigureField
          v-if="wanted[0]"
          v-model="first"
          :label="labelOf(wanted[0])"
          :field="fieldIn(wanted[0].unit, [wanted[0].low, wanted[0].high])"
          :error="form.error('typed.0') ?? (judged && !judged.ok && judged.field === 0 ? judged.message : null)"
        />
        <FigureField
          v-if="wanted[1]"
          v-model="second"
          :label="labelOf(wanted[1])"
          :field="fieldIn(wanted[1].unit, [wanted[1].low, wanted[1].high])"
          :error="form.error('typed.1') ?? (judged && !judged.ok && judged.field === 1 ? judged.message : null)"
        />
      </div>
      <p v-if="judged?.ok" class="text-note" role="status">
        <span class="font-bold">{{ outcomeName }}</span><span
          v-for="each in judgedPreview"
          :key="each"
          class="block text-sm text-soft"
          >{{ each }}</span
        >
      </p>
      <button type="submit" class="primary" :disabled="!filled">Record the reading</button>
      <details>
        <summary class="min-h-9 py-1.5 text-sm font-semibold text-soft">No gauge at hand</summary>
        <div class="mt-1 flex flex-wrap gap-2">
          <button
            v-for="outcome in sign.outcomes"
            :key="outcome.id"
            type="button"
            class="quiet text-note"
            @click="record(outcome.id, [])"
          >
            {{ outcome.name }}
          </button>
        </div>
      </details>
    </form>
    <div v-else class="grid gap-2">
      <button
        v-for="outcome in sign.outcomes"
        :key="outcome.id"
        type="button"
        class="flex min-h-14 items-center justify-between gap-3 rounded border-[1.5px] border-bottle px-3 py-2 text-left hover:bg-band"
        @click="record(outcome.id, [])"
      >
        <span class="font-bold text-bottle">{{ outcome.name }}</span>
        <span class="min-w-0 max-w-[62%] text-right text-fine leading-tight text-soft"
          ><span v-for="each in previewOf(outcome.id)" :key="each" class="block">{{ each }}</span></span
        >
      </button>
    </div>
    <p v-if="form.general('typed.0', 'typed.1')" class="text-sm font-semibold text-alarm" role="alert">
      {{ form.general('typed.0', 'typed.1') }}
    </p>
    <div class="flex flex-wrap items-center gap-2">
      <button v-if="!skipping" type="button" class="quiet text-sm" @click="skipping = true">Could not do it</button>
      <PictureAdd :subject="sign.name" :when="when" :caption="sign.name" />
    </div>
    <form v-if="skipping" class="grid gap-2" @submit.prevent="passOver">
      <TextField v-model="why" label="Why not" placeholder="no smoke machine today" />
      <button type="submit" class="quiet justify-self-start">Leave it out</button>
    </form>
  </div>
</template>
