<script setup lang="ts">
import { computed } from 'vue';
import type { Job, When } from '../../../core/job/index.ts';
import { parseDtc } from '../../../core/vehicle/index.ts';
import PutRight from '../entries/PutRight.vue';
import StruckLines from '../entries/StruckLines.vue';
import { useJob } from '../../stores/job.ts';

const props = defineProps<{ job: Job; when: When }>();
const store = useJob();
const STATUS = {
  stored: 'stored',
  pending: 'pending',
  permanent: 'permanent',
  cleared: 'history',
  ours: 'our own unplugging',
} as const;
/** The shop’s own words for a maker’s code come first. */
function meaningOf(code: string): string {
  const own = store.knowledge?.ownCodes.find((each) => each.code === code);
  const parsed = parseDtc(code);
  return own?.meaning ?? (parsed.ok ? parsed.dtc.meaning : undefined) ?? 'unknown here';
}
const codes = computed(() => props.job.codes.filter((read) => read.when === props.when));
</script>

<template>
  <ul v-if="codes.length > 0" class="rows max-w-2xl border-y border-line">
    <li v-for="read in codes" :key="read.id" class="grid grid-cols-[6.5rem_1fr_auto] items-baseline gap-3 py-2">
      <span class="code font-bold">{{ read.code }}</span>
      <span
        >{{ meaningOf(read.code) }}<span v-if="read.note" class="block text-sm text-soft">{{ read.note }}</span></span
      >
      <span class="flex items-baseline gap-4 text-sm text-soft"
        >{{ STATUS[read.status] }}
        <PutRight :job="job" kind="code-read" :holds="{ id: read.id }" :what="read.code" />
      </span>
    </li>
  </ul>
  <p v-else class="text-soft">{{ job.codesRead[when] === null ? 'Not read yet.' : 'Read: none stored.' }}</p>
  <StruckLines :job="job" :kinds="['code-read']" />
</template>
