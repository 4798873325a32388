<script setup lang="ts">
import { computed } from 'vue';
import { useRoute } from 'vue-router';
import { WORLD } from '../data/world.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useShop } from '../stores/shop.ts';
import PlaceLink from './PlaceLink.vue';
import { switchTheme, theme } from './theme.ts';

defineEmits<{ person: []; keys: []; search: []; page: []; waiting: [] }>();

const places = [
  { path: '/bay', name: 'Bay', key: 'G B' },
  { path: '/vehicles', name: 'Vehicles', key: 'G V' },
  { path: '/procedures', name: 'Procedures', key: 'G P' },
  { path: '/stock', name: 'Stock', key: 'G S' },
  { path: '/tools', name: 'Tools', key: 'G T' },
  { path: '/records', name: 'Records', key: 'G R' },
  { path: '/practice', name: 'Practice', key: 'G X' },
];
const practising = WORLD.practice !== null;
const route = useRoute();
const shop = useShop();
const outbox = useOutbox();
/** Units and families belong to the vehicles; settings and knowledge stand at the foot. */
const UNDER: Readonly<Record<string, string>> = {
  '/units': '/vehicles',
  '/families': '/vehicles',
  '/recipes': '/procedures',
  '/settings': '',
  '/knowledge': '',
  '/shops': '',
  '/arrivals': '/stock',
  '/price-lists': '/stock',
};
const here = computed(() => {
  if (practising) return '/practice';
  const under = Object.keys(UNDER).find((path) => route.path.startsWith(path));
  if (under !== undefined) return UNDER[under];
  return places.find(({ path }) => route.path.startsWith(path))?.path ?? '/bay';
});
</script>

<template>
  <nav
    aria-label="Places"
    class="relative flex shrink-0 items-center gap-x-4 overflow-x-auto border-b border-line px-4 py-1 min-[900px]:w-[104px] min-[900px]:flex-col min-[900px]:items-stretch min-[900px]:gap-0 min-[900px]:overflow-visible min-[900px]:border-b-0 min-[900px]:border-r min-[900px]:p-0"
  >
    <PlaceLink to="/bay" class="hidden px-4 pb-7 pt-4 text-note font-bold leading-[1.1] text-bottle min-[900px]:block"
      >Unhurried<br />Wrench</PlaceLink
    >
    <PlaceLink
      v-for="place in places"
      :key="place.path"
      :to="place.path"
      :title="`Keys ${place.key}`"
      class="relative py-3 text-note min-[900px]:px-4 min-[900px]:py-2.5"
      :class="here === place.path ? 'font-bold text-ink' : 'text-soft hover:text-ink'"
      :aria-current="here === place.path ? 'page' : undefined"
    >
      {{ place.name }}
      <span
        v-if="here === place.path"
        aria-hidden="true"
        class="absolute -bottom-1 left-1/2 size-3 rounded-full border-2 border-oxide bg-paper min-[900px]:-right-[7px] min-[900px]:bottom-auto min-[900px]:left-auto min-[900px]:top-1/2 min-[900px]:-translate-y-1/2"
      />
    </PlaceLink>
    <span class="flex-1" />
    <!-- On a narrow screen the rail scrolls, and this stays. -->
    <button
      v-if="outbox.lagging || outbox.notTaken.length > 0"
      type="button"
      class="sticky right-0 min-h-11 shrink-0 bg-paper px-2 text-left text-sm font-bold leading-tight min-[900px]:static min-[900px]:mb-3 min-[900px]:px-4"
      :class="outbox.notTaken.length > 0 || outbox.onlyHere > 0 ? 'text-alarm' : 'text-brass'"
      data-testid="waits"
      @click="$emit('waiting')"
    >
      <span v-if="outbox.lagging" class="block whitespace-nowrap">{{ outbox.count }} waiting</span>
      <span v-if="outbox.notTaken.length > 0" class="block whitespace-nowrap"
        >{{ outbox.notTaken.length }} not taken</span
      >
    </button>
    <div
      class="flex items-center gap-2 min-[900px]:flex-col min-[900px]:items-start min-[900px]:gap-0.5 min-[900px]:px-3 min-[900px]:pb-4"
    >
      <button
        v-if="!practising"
        type="button"
        class="min-h-9 px-1 text-sm text-soft hover:text-ink"
        title="Key /"
        @click="$emit('search')"
      >
        Search
      </button>
      <button
        type="button"
        class="min-h-9 whitespace-nowrap px-1 text-sm text-soft hover:text-ink max-sm:hidden"
        @click="$emit('page')"
      >
        What is this?
      </button>
      <button
        type="button"
        class="min-h-9 px-1 text-sm text-soft hover:text-ink max-[899px]:hidden"
        title="Key ?"
        @click="$emit('keys')"
      >
        Keys
      </button>
      <PlaceLink
        to="/settings"
        class="flex min-h-9 items-center px-1 text-sm hover:text-ink"
        :class="
          route.path.startsWith('/settings') || route.path.startsWith('/knowledge') ? 'font-bold text-ink' : 'text-soft'
        "
        >Settings</PlaceLink
      >
      <button
        type="button"
        class="min-h-9 whitespace-nowrap px-1 text-left text-sm text-soft hover:text-ink"
        title="Key M"
        @click="switchTheme"
      >
        {{ theme === 'dark' ? 'Light' : 'Dark' }}<span class="sr-only"> screen</span>
      </button>
      <button
        type="button"
        class="min-h-11 whitespace-nowrap px-1 text-left leading-tight min-[900px]:whitespace-normal min-[900px]:pt-3"
        @click="$emit('person')"
      >
        <span class="text-sm font-bold">{{ shop.person?.name ?? 'Who?' }}</span>
        <span v-if="practising" class="block text-sm text-soft max-[899px]:sr-only">practising</span>
        <span v-else-if="shop.person?.bay" class="hidden text-sm text-soft min-[900px]:block"
          >at {{ shop.person.bay }}</span
        >
        <span class="sr-only">, change who is at the bench</span>
      </button>
    </div>
  </nav>
</template>
