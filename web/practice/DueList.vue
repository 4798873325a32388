<script setup lang="ts">
import { computed } from 'vue';
import type { PracticeProgress } from '../../contract/index.ts';
import { useCauseNames } from './causeNames.ts';
import { DRILLS, isDrill } from './drills/list.ts';
import { useShop } from '../stores/shop.ts';
import { useMinute } from '../stores/clock.ts';

/** What is to be practised again, and when: what went well comes later each time. */
const props = defineProps<{ due: PracticeProgress['due'] }>();
const shop = useShop();
const now = useMinute();
const { nameOf } = useCauseNames();
/** More than a week ahead nobody needs to see. */
const SHOWN = 6;
const lines = computed(() =>
  props.due.slice(0, SHOWN).map(({ subject, at }) => {
    const [kind, id = ''] = subject.split(':');
    const drill = kind === 'drill' && isDrill(id) ? DRILLS[id].name : null;
    return {
      subject,
      name: drill ?? nameOf(id),
      to: drill === null ? null : `/practice/drills/${id}`,
      isDue: at <= now.value,
      when: shop.say.nearDay(shop.say.isoDay(at)),
    };
  }),
);
</script>

<template>
  <section>
    <h2 class="text-sm font-bold">Due again</h2>
    <p v-if="lines.length === 0" class="mt-1 text-note text-soft">
      What you practise comes back here before you forget it.
    </p>
    <ul v-else class="rows mt-1 border-y border-line">
      <li v-for="line in lines" :key="line.subject" class="flex items-baseline justify-between gap-3 py-2">
        <RouterLink v-if="line.to" :to="line.to" class="font-semibold hover:text-bottle">{{ line.name }}</RouterLink>
        <span v-else class="font-semibold">{{ line.name }}</span>
        <span class="whitespace-nowrap text-sm" :class="line.isDue ? 'font-bold text-brass' : 'text-soft'">{{
          line.isDue ? 'now' : line.when
        }}</span>
      </li>
    </ul>
  </section>
</template>
