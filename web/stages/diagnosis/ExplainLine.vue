<script setup lang="ts">
import { computed } from 'vue';
import type { JobDiagnosis } from '../../../core/job/index.ts';

/** The state of belief in one sentence, and aloud what does not fit. */
const props = defineProps<{
  diagnosis: JobDiagnosis;
  name: (cause: string) => string;
  says: (finding: { readonly sign: string; readonly outcome: string }) => string;
}>();

const weighed = computed(() => {
  const count = new Set(
    props.diagnosis.findings.filter(({ source }) => source !== 'codes read').map(({ sign }) => sign),
  ).size;
  return count === 0 ? 'nothing found yet' : `${count} ${count === 1 ? 'finding' : 'findings'} weighed`;
});
const headline = computed(() => {
  const [first, second] = props.diagnosis.ranking.causes;
  if (first === undefined) return 'No cause is known for this kind of vehicle';
  if (weighed.value === 'nothing found yet') return 'Nothing found yet: this is only how common each cause is';
  if (props.diagnosis.ranking.explains?.poor) return `Nothing here explains this well; ${weighed.value}`;
  if (first.share >= 0.75) return `${props.name(first.id)}; ${weighed.value}`;
  const together = first.share + (second?.share ?? 0);
  return second !== undefined && together >= 0.6 && second.share >= 0.15
    ? `Two causes stand out; ${weighed.value}`
    : `No cause stands out yet; ${weighed.value}`;
});
const pair = computed(() => {
  const { pair: both, ranking } = props.diagnosis;
  if (both === null) return null;
  const names = `${props.name(both.first)} and ${props.name(both.second).toLowerCase()}`;
  const ratio = 2 ** Math.min(20, Math.abs(both.bits));
  const times = ratio >= 100 ? 'far' : `${ratio < 10 ? ratio.toFixed(1) : Math.round(ratio)} times`;
  return both.bits > 0
    ? `Two together explain it better: ${names}, ${times} likelier than ${props.name(ranking.causes[0]?.id ?? '').toLowerCase()} alone.`
    : `Two together, ${names}, are no likelier. Look for something outside this list, or at a finding again.`;
});
</script>

<template>
  <div>
    <h2 class="text-heading">{{ headline }}</h2>
    <p v-if="pair" class="mt-1 max-w-prose font-semibold text-brass">{{ pair }}</p>
    <p
      v-for="each in diagnosis.contradictions"
      :key="`${each.a.sign}${each.b.sign}`"
      class="mt-1 text-oxide"
      role="status"
    >
      <span class="font-semibold">These do not go together:</span> {{ says(each.a) }}, and {{ says(each.b) }}. Check one
      again, or strike one out; until then both are weighed.
    </p>
    <p v-if="diagnosis.unknownCodes.length > 0" class="mt-1 text-soft">
      Kept, but not weighed, since nothing here knows {{ diagnosis.unknownCodes.length === 1 ? 'it' : 'them' }}:
      <span class="code font-semibold">{{ diagnosis.unknownCodes.join(' ') }}</span>
    </p>
  </div>
</template>
