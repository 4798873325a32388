<script setup lang="ts">
import { computed } from 'vue';
import type { ChapterElsewhere } from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import { sayDate } from '../../core/days/index.ts';
import { lifeAddress, useElsewhere } from '../data/exchange.ts';
import { useShop } from '../stores/shop.ts';

/** What other shops tell of a vehicle or a unit: theirs, by name, and in no count of ours; and our own telling as a file. */
const { subject } = defineProps<{
  /** `/vehicles/bus` or `/units/u-1`. */
  subject: string;
}>();
const shop = useShop();
const { data } = useElsewhere(() => subject);
const may = computed(() => shop.person !== null && mayChange(shop.person.role));
const onto = computed(() => subject.split('/').at(-1) ?? '');
const when = ({ openedAt }: ChapterElsewhere): string => sayDate(shop.say.isoDay(openedAt));
</script>

<template>
  <section v-if="may || (data?.rows.length ?? 0) > 0" class="mt-8" aria-labelledby="elsewhere-title">
    <h2 id="elsewhere-title" class="mb-1 text-sm font-bold">Told by other shops</h2>
    <ul v-if="data && data.rows.length > 0" class="rows border-y border-dashed border-line">
      <li v-for="chapter in data.rows" :key="chapter.shop.key + chapter.id" class="py-2.5">
        <details>
          <summary class="flex flex-wrap items-baseline gap-x-4 gap-y-0.5">
            <span class="w-40">{{ when(chapter) }}</span>
            <span class="w-28">{{ chapter.reading }}</span>
            <span class="font-semibold">{{ chapter.title }}</span>
            <span class="ml-auto text-right text-note">
              <span class="font-semibold text-brass">{{ chapter.shop.name }}</span>
              <span class="block text-fine text-soft"
                >{{ chapter.shop.confirmedAt ? 'their key was compared' : 'nobody compared their key'
                }}{{ chapter.tellings > 1 ? `; told ${chapter.tellings} times, this is the last` : '' }}</span
              >
            </span>
          </summary>
          <div class="mt-2 grid gap-3 border-l-4 border-dashed border-line pl-4">
            <section v-for="section in chapter.sections" :key="section.title">
              <h3 class="text-sm font-bold">{{ section.title }}</h3>
              <dl class="text-note">
                <div
                  v-for="(line, nth) in section.rows"
                  :key="nth"
                  class="grid gap-x-4 py-0.5 sm:grid-cols-[12rem_1fr]"
                >
                  <dt class="text-soft">{{ line.label }}</dt>
                  <dd>
                    {{ line.value }}<span v-if="line.note" class="text-soft"> · {{ line.note }}</span>
                  </dd>
                </div>
              </dl>
            </section>
          </div>
        </details>
      </li>
    </ul>
    <p v-if="may" class="flex flex-wrap gap-x-6">
      <a class="link py-2" :href="lifeAddress(subject, shop.personId)" download>Hand its life on, as a signed file</a>
      <RouterLink class="link py-2" :to="{ path: '/shops', query: { onto } }">Read what another shop tells</RouterLink>
    </p>
  </section>
</template>
