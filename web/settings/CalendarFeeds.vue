<script setup lang="ts">
import { ref, shallowRef } from 'vue';
import type { Feed } from '../../contract/index.ts';
import { makeFeed, readFeeds, withdrawFeed } from '../data/feeds.ts';
import { useShop } from '../stores/shop.ts';

/** Calendars for other programs: their address holds the key, is shown once, and leads nowhere once withdrawn. */
const { mayEdit } = defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const rows = shallowRef<readonly Feed[]>([]);
const made = ref('');
const problem = ref('');
const copied = ref(false);
void readFeeds().then(
  (read) => (rows.value = read),
  () => undefined,
);
async function attempt(work: () => Promise<void>): Promise<void> {
  problem.value = '';
  try {
    await work();
  } catch (error) {
    problem.value = error instanceof Error ? error.message : String(error);
  }
}
const make = (personId: string | null): Promise<void> =>
  attempt(async () => {
    const { feed, path } = await makeFeed(personId);
    rows.value = [feed, ...rows.value];
    made.value = `${location.origin}${path}`;
    copied.value = false;
  });
const withdraw = (id: string): Promise<void> =>
  attempt(async () => {
    rows.value = await withdrawFeed(id);
    made.value = '';
  });
async function copy(): Promise<void> {
  await navigator.clipboard.writeText(made.value).then(
    () => (copied.value = true),
    () => (copied.value = false),
  );
}
const words = ({ personId }: Feed): string =>
  personId === null ? 'The shop: promises, waits, what is due' : `The day of ${shop.say.person(personId)}`;
</script>

<template>
  <section aria-label="Calendars for other programs" class="max-w-3xl">
    <h2 class="mb-2 mt-9 text-xl">Calendars for other programs</h2>
    <p class="text-soft">
      Any program that reads iCalendar can show them. Whoever has the address can read it, so it is shown once.
    </p>
    <ul v-if="rows.length > 0" class="rows mt-3 border-y border-line" aria-label="Calendars">
      <li v-for="feed in rows" :key="feed.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
        <span class="font-semibold">{{ words(feed) }}</span>
        <span class="text-note text-soft">{{
          feed.readAt === null ? 'never read yet' : `read ${shop.say.nearTime(feed.readAt)}`
        }}</span>
        <button
          v-if="mayEdit || feed.personId === shop.personId"
          type="button"
          class="faint ml-auto"
          @click="withdraw(feed.id)"
        >
          Withdraw<span class="sr-only">: {{ words(feed) }}</span>
        </button>
      </li>
    </ul>
    <div v-if="made" class="mt-3 border-l-4 border-bottle pl-4" role="status">
      <p class="font-semibold">Its address, this once:</p>
      <p class="code mt-1 break-all text-note">{{ made }}</p>
      <button type="button" class="quiet mt-2" @click="copy">{{ copied ? 'Copied' : 'Copy the address' }}</button>
    </div>
    <p class="mt-3 flex flex-wrap gap-2">
      <button v-if="mayEdit" type="button" class="quiet" @click="make(null)">A calendar of the shop</button>
      <button v-if="shop.person" type="button" class="quiet" @click="make(shop.personId)">A calendar of my day</button>
    </p>
    <p v-if="problem" class="mt-2 font-semibold text-alarm" role="alert">{{ problem }}</p>
  </section>
</template>
