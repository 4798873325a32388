<script setup lang="ts">
import { computed } from 'vue';
import type { BackupLine } from '../../contract/index.ts';
import { dayOf } from '../../core/days/index.ts';
import { keptBackups, KEPT, type KeptFor, sayBytes } from '../../core/keeping/index.ts';
import { useShop } from '../stores/shop.ts';

/** The backups that are kept, as tags on three strings: the last days, weeks and months. An empty hole is one to come. */
const props = defineProps<{ backups: readonly BackupLine[] }>();
const shop = useShop();
const STRINGS: readonly { readonly kept: KeptFor; readonly name: string }[] = [
  { kept: 'days', name: 'Days' },
  { kept: 'weeks', name: 'Weeks' },
  { kept: 'months', name: 'Months' },
];
const strings = computed(() => {
  const good = props.backups.filter((each) => each.good);
  const { keep } = keptBackups(good, shop.settings.timeZone);
  return STRINGS.map(({ kept, name }) => {
    const tags = keep.filter(({ keptFor }) => keptFor === kept);
    return { name, tags, empty: Math.max(0, KEPT[kept] - tags.length) };
  });
});
const notWell = computed(() => props.backups.filter(({ good }) => !good));
const day = (at: string): string => shop.say.nearDay(dayOf(at, shop.settings.timeZone));
</script>

<template>
  <div>
    <dl class="grid gap-x-6 gap-y-2 sm:grid-cols-[4rem_1fr]">
      <template v-for="string in strings" :key="string.name">
        <dt class="pt-1.5 text-note font-bold text-soft">{{ string.name }}</dt>
        <dd class="string relative flex flex-wrap gap-x-2 gap-y-2 py-1">
          <span
            v-for="tag in string.tags"
            :key="tag.name"
            class="tag relative bg-card px-2.5 py-0.5 text-note"
            :title="`${tag.name}, ${sayBytes(tag.bytes)}`"
            >{{ day(tag.at) }}</span
          >
          <span
            v-for="hole in string.empty"
            :key="hole"
            class="hole relative mt-1.5 size-3 bg-paper"
            aria-hidden="true"
          />
          <span v-if="string.tags.length === 0" class="sr-only">none yet</span>
        </dd>
      </template>
    </dl>
    <p v-if="notWell.length > 0" class="mt-2 text-note text-oxide">
      <b>Made while the store was not well:</b> {{ notWell.map(({ at }) => day(at)).join(', ') }}. They count for
      nothing here, and are kept as long.
    </p>
  </div>
</template>

<style scoped>
.string::before {
  content: '';
  position: absolute;
  left: 0;
  right: 0;
  top: 1.05rem;
  border-top: 1px solid var(--line);
}
.tag {
  border: 1px solid var(--brass);
  border-radius: 0.2rem 0.9rem 0.9rem 0.2rem;
}
.hole {
  border: 1px solid var(--line);
  border-radius: 50%;
}
</style>
