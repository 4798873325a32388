<script setup lang="ts">
import { computed } from 'vue';
import type { AccessLine } from '../../contract/index.ts';
import { useShop } from '../stores/shop.ts';
import { ACCESS_WORDS, OWN_ACCESS_WORDS } from './accessWords.ts';

/** Who was let in and who changed who may be, newest first. Nobody can edit it. */
const props = defineProps<{ rows: readonly AccessLine[]; brokenAt: number | null }>();
defineEmits<{ more: [] }>();
const shop = useShop();
const nameOf = (id: string): string => shop.people.find((each) => each.id === id)?.name ?? '';
/** “Isla Renn set the password of Wen Okafor”. */
const told = computed(() =>
  props.rows.map(({ seq, at, by, kind, subject, place }) => ({
    seq,
    at: shop.say.time(at),
    place,
    words:
      subject === by
        ? `${nameOf(by)} ${OWN_ACCESS_WORDS[kind] ?? ACCESS_WORDS[kind]}`
        : [
            nameOf(by) || (kind === 'password-set' ? 'Somebody at the server itself' : ''),
            ACCESS_WORDS[kind],
            nameOf(subject),
          ]
            .filter(Boolean)
            .join(' '),
    bad: kind === 'not-let-in' || kind === 'locked',
  })),
);
</script>

<template>
  <div>
    <p v-if="brokenAt !== null" class="mb-2 font-semibold text-alarm" role="alert">
      Line {{ brokenAt }} of this record does not follow from the one before it: somebody changed the store by other
      means.
    </p>
    <ol class="rows border-y border-line">
      <li v-for="line in told" :key="line.seq" class="flex flex-wrap justify-between gap-x-4 py-1.5">
        <span :class="line.bad ? 'font-semibold text-alarm' : ''">{{ line.words }}</span>
        <span class="text-sm text-soft">{{ line.at }}</span>
      </li>
    </ol>
    <p v-if="(rows.at(-1)?.seq ?? 1) > 1" class="mt-2">
      <button type="button" class="quiet" @click="$emit('more')">Earlier lines</button>
    </p>
  </div>
</template>
