<script setup lang="ts">
import { computed } from 'vue';
import { type Job, proofOf } from '../../../core/job/index.ts';

/** What the proof comes to so far, in a line, and what is left. */
const props = defineProps<{ job: Job }>();
const proof = computed(() => proofOf(props.job));
const title = computed(() => {
  const { lines, failing, untried } = proof.value;
  if (lines.length === 0) return 'Nothing to prove yet';
  if (failing.length > 0)
    return failing.length === 1 ? 'Not proved: one came out wrong' : `Not proved: ${failing.length} came out wrong`;
  if (untried.length === lines.length) return 'Nothing tried yet';
  if (untried.length > 0) return untried.length === 1 ? 'Proved, but for one' : `Proved, but for ${untried.length}`;
  return 'Proved';
});
const wrong = computed(() => proof.value.failing.length > 0);
const shown = computed(() => (wrong.value ? proof.value.failing : proof.value.untried).slice(0, 4));
const more = computed(() => (wrong.value ? proof.value.failing : proof.value.untried).length - shown.value.length);
</script>

<template>
  <div>
    <p class="text-xl font-bold" :class="wrong ? 'text-oxide' : ''">{{ title }}</p>
    <ul v-if="shown.length > 0 && title !== 'Nothing tried yet'" class="mt-2 grid gap-1.5">
      <li v-for="line in shown" :key="line.id" class="text-note">
        <span class="font-semibold">{{ line.name }}</span><span
          v-if="line.after || line.remark"
          class="block text-soft"
          >{{ [line.after, line.remark].filter(Boolean).join(', ') }}</span
        >
      </li>
      <li v-if="more > 0" class="text-sm text-soft">and {{ more }} more</li>
    </ul>
    <p v-if="wrong" class="mt-2 text-note">What came out wrong goes over only with a reason, which the sheet says.</p>
    <p v-else-if="title === 'Proved'" class="mt-2 text-note text-soft">
      Every line was tried since the last thing came off, and none is left.
    </p>
  </div>
</template>
