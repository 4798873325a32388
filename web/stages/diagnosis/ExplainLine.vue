<script setup lang="ts">
import { computed } from 'vue';
import { type JobDiagnosis, type JobFinding, whereIs } from '../../../core/job/index.ts';
import { freshId } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** The state of belief in one sentence, and aloud what does not fit. */
const props = defineProps<{
  diagnosis: JobDiagnosis;
  name: (cause: string) => string;
  says: (finding: { readonly sign: string; readonly outcome: string }) => string;
  /** A sign's name. */
  check: (sign: string) => string;
  planned?: boolean;
  closed?: boolean;
}>();
const form = useForm();

const weighed = computed(() => {
  const count = new Set(
    props.diagnosis.findings.filter(({ source }) => source !== 'codes read').map(({ sign }) => sign),
  ).size;
  return count === 0 ? 'nothing found yet' : `${count} ${count === 1 ? 'finding' : 'findings'} weighed`;
});
const lead = computed(() => props.diagnosis.ranking.causes[0]);
const proved = computed(() => props.diagnosis.ranking.causes.filter(({ standing }) => standing === 'proved'));
const headline = computed(() => {
  const { ranking, pair } = props.diagnosis;
  const [first, second] = ranking.causes;
  if (first === undefined) return 'No cause is known for this kind of vehicle';
  if (weighed.value === 'nothing found yet')
    return props.planned
      ? 'Planned work: a quick look is enough'
      : 'Nothing found yet: this is only how common each cause is';
  if (proved.value.length > 1 && pair?.proved)
    return `Two faults, both seen: ${props.name(pair.first)}, and ${props.name(pair.second).toLowerCase()}`;
  if (proved.value[0] !== undefined) return `${props.name(proved.value[0].id)}: seen; ${weighed.value}`;
  if (ranking.explanation.nothingFits) return `Nothing here explains this; ${weighed.value}`;
  if (first.standing === 'decided') return `${props.name(first.id)}; ${weighed.value}`;
  if (first.standing === 'likely') return `Likely ${props.name(first.id).toLowerCase()}; ${weighed.value}`;
  const together = first.share + (second?.share ?? 0);
  // The same fault at one unit or another: what it is, is nearly said; at which, is not.
  if (second?.cause === first.cause && second.unit && first.unit && together >= 0.6)
    return `Likely ${props.name(first.cause).toLowerCase()}, ${whereIs(first.unit)} or ${second.unit.place}; ${weighed.value}`;
  return second !== undefined && together >= 0.6 && second.share >= 0.15
    ? `Two causes stand out; ${weighed.value}`
    : `No cause stands out yet; ${weighed.value}`;
});
/** What a high share from the telling alone still needs. */
const lookFirst = computed(() =>
  lead.value?.standing === 'likely' && lead.value.lookFirst !== null && !props.diagnosis.ranking.explanation.nothingFits
    ? props.check(lead.value.lookFirst)
    : null,
);
const outside = computed(() =>
  props.diagnosis.ranking.explanation.nothingFits
    ? 'Look outside the throttle: compression and timing, exhaust back pressure, clutch and gearbox, or what the noise comes from.'
    : null,
);
const left = computed(() =>
  weighed.value === 'nothing found yet' || props.diagnosis.ranking.explanation.nothingFits
    ? []
    : props.diagnosis.ranking.explanation.leftOver.slice(0, 3).map(props.says),
);
const pair = computed(() => {
  const { pair: both, ranking } = props.diagnosis;
  if (both === null || both.proved) return null;
  const names = `${props.name(both.first)} and ${props.name(both.second).toLowerCase()}`;
  const ratio = 2 ** Math.min(20, Math.abs(both.bits));
  const times = ratio >= 100 ? 'far' : `${ratio < 10 ? ratio.toFixed(1) : Math.round(ratio)} times`;
  return `Two together explain it better: ${names}, ${times} likelier than ${props.name(ranking.causes[0]?.id ?? '').toLowerCase()} alone.`;
});
type One = Pick<JobFinding, 'sign' | 'outcome' | 'unit'>;
const bare = ({ sign, outcome, unit }: One) => ({ sign, outcome, ...(unit ? { unit } : {}) });
function stands(one: One, other: One): void {
  form.send('let-stand', { id: freshId(), stands: bare(one), falls: bare(other) });
}
</script>

<template>
  <div>
    <h2 class="text-heading">{{ headline }}</h2>
    <p v-if="lookFirst" class="mt-1 max-w-prose font-semibold text-brass">
      Not settled by what was told alone. Look first: {{ lookFirst.toLowerCase() }}.
    </p>
    <p v-if="outside" class="mt-1 max-w-prose font-semibold text-brass">{{ outside }}</p>
    <p v-if="pair" class="mt-1 max-w-prose font-semibold text-brass">{{ pair }}</p>
    <p v-else-if="left.length > 0" class="mt-1 max-w-prose text-soft">
      Left over, and not what that leads one to expect: {{ left.join(', ') }}.
    </p>
    <div
      v-for="each in diagnosis.contradictions"
      :key="`${each.a.sign}${each.b.sign}`"
      class="mt-2 border-l-4 border-oxide pl-3"
      role="status"
    >
      <p class="text-oxide">
        <span class="font-semibold">Only one of these can be:</span> {{ says(each.a) }}, or {{ says(each.b) }}.
        <span class="text-soft">Until one stands, both are weighed.</span>
      </p>
      <div v-if="!closed" class="mt-1 flex flex-wrap gap-2">
        <button type="button" class="quiet" @click="stands(each.a, each.b)">Stands: {{ says(each.a) }}</button>
        <button type="button" class="quiet" @click="stands(each.b, each.a)">Stands: {{ says(each.b) }}</button>
      </div>
    </div>
    <p v-if="diagnosis.unknownCodes.length > 0" class="mt-1 text-soft">
      Kept, but not weighed, since nothing here knows {{ diagnosis.unknownCodes.length === 1 ? 'it' : 'them' }}:
      <span class="code font-semibold">{{ diagnosis.unknownCodes.join(' ') }}</span>
    </p>
    <p v-for="each in diagnosis.mutedCodes" :key="each.code" class="mt-1 text-sm text-soft">
      <span class="code font-semibold">{{ each.code }}</span> says nothing of a cause: {{ each.why }}.
    </p>
    <p v-if="form.general()" class="mt-1 text-sm font-semibold text-alarm" role="alert">{{ form.general() }}</p>
  </div>
</template>
