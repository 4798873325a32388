<script setup lang="ts">
import { computed } from 'vue';
import { sayBytes } from '../../core/keeping/index.ts';
import { useKeeping } from '../data/keeping.ts';
import { useShop } from '../stores/shop.ts';

/** Says on the Bay what would cost the shop its work: no backup for too long, a disk that fills, a store that is not well. */
const shop = useShop();
const { data: keeping } = useKeeping();
const words = computed(() => {
  const told = keeping.value;
  if (told === null || told.readOnly) return null;
  const { room, freeBytes, findings, backups, age, lastGood, lastTry } = told;
  if (room === 'last')
    return {
      alarm: true,
      what: `The disk is nearly full: ${sayBytes(freeBytes ?? 0)} left.`,
      then: 'Photos are not taken in until there is room.',
    };
  // What was found is forgotten with the program; that the newest backup was made of a store that was not well is not.
  if (backups[0]?.good === false || findings.some(({ kind }) => kind !== 'picture' && kind !== 'setting'))
    return { alarm: true, what: 'The store is not well.', then: 'The last check found something; see what to do.' };
  if (age === 'old' || age === 'never')
    return {
      alarm: false,
      what:
        lastGood === null ? 'There is no backup yet.' : `The last good backup is of ${shop.say.nearTime(lastGood.at)}.`,
      then:
        lastTry?.ok === false
          ? `The last try failed: ${lastTry.words}`
          : 'If this disk dies today, what came since is gone.',
    };
  if (room === 'low')
    return {
      alarm: false,
      what: `${sayBytes(freeBytes ?? 0)} are left on the disk.`,
      then: 'Make room before it is too late.',
    };
  return null;
});
</script>

<template>
  <p
    v-if="words"
    class="no-print border-b px-4 py-1.5 md:px-7"
    :class="words.alarm ? 'border-alarm bg-card' : 'border-brass bg-band'"
    role="status"
  >
    <b :class="words.alarm ? 'text-alarm' : 'text-brass'">{{ words.what }}</b> {{ words.then }}
    <RouterLink class="link ml-1" to="/settings#backups">To the backups</RouterLink>
  </p>
</template>
