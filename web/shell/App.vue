<script setup lang="ts">
import { computed, defineAsyncComponent, onBeforeUnmount, onMounted, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { useChanges } from '../data/changes.ts';
import { useFreshReads } from '../data/read.ts';
import { WORLD } from '../data/world.ts';
import { useCarry } from '../stores/useCarry.ts';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';
import { listenForKeys, useKeys } from './keys.ts';
import ClockNote from './ClockNote.vue';
import RailNav from './RailNav.vue';
import { newVersionReady } from './newVersionReady.ts';
import { switchTheme } from './theme.ts';

const KeysSheet = defineAsyncComponent(() => import('./KeysSheet.vue'));
const PersonPicker = defineAsyncComponent(() => import('./PersonPicker.vue'));
const SearchSheet = defineAsyncComponent(() => import('./SearchSheet.vue'));
const ReadOnlyNote = defineAsyncComponent(() => import('./ReadOnlyNote.vue'));
const FirstVisit = defineAsyncComponent(() => import('./FirstVisit.vue'));
const WhatIsThis = defineAsyncComponent(() => import('./WhatIsThis.vue'));
const NewVersionNote = defineAsyncComponent(() => import('./NewVersionNote.vue'));
const WaitingSheet = defineAsyncComponent(() => import('./WaitingSheet.vue'));
const InsecureNote = defineAsyncComponent(() => import('./InsecureNote.vue'));
const PracticeFrame = defineAsyncComponent(() => import('../practice/PracticeFrame.vue'));
const SignIn = defineAsyncComponent(() => import('../sign-in/SignIn.vue'));
const NotTaken = defineAsyncComponent(() => import('./NotTaken.vue'));

/** For whoever follows a link, and is not of the workshop: such a page is opened by itself, and listens to nothing. */
const outside = /^\/(for|phone)\//.test(location.pathname);
if (!outside) {
  useFreshReads();
  if (WORLD.practice === null) useCarry();
}
const route = useRoute();
const router = useRouter();
const shop = useShop();
const outbox = useOutbox();
const session = useSession();
const open = ref<'keys' | 'person' | 'search' | 'page' | 'waiting' | null>(null);
const failed = ref(false);
/** Without HTTPS a browser keeps no pages and no files. */
const insecure = window.isSecureContext === false;
const bare = computed(() => route.meta.bare === true);
const askWho = computed(() => session.open && shop.loaded && shop.person === null && shop.here.length > 0);
/** What is under the sign-in stays as it was left, once it was shown at all. */
const begun = ref(false);
watch(
  () => session.known && !session.wanted,
  (letIn) => {
    if (letIn) begun.value = true;
  },
  { immediate: true },
);
/** An empty shop begins with its first day. */
watch(
  () => shop.loaded && shop.here.length === 0 && !shop.readOnly,
  (empty) => {
    if (empty && route.name !== 'first-day') void router.replace('/first-day');
  },
);

const go = (keys: string, path: string, place: string) => ({
  keys: `g${keys}`,
  does: `Go to ${place}`,
  // The shop's own pages are another world than that of a practice job.
  run: () => (WORLD.practice === null ? void router.push(path) : location.assign(path)),
});
useKeys([
  { keys: '?', does: 'Show this sheet', run: () => (open.value = 'keys') },
  ...(WORLD.practice === null ? [{ keys: '/', does: 'Search anything', run: () => (open.value = 'search') }] : []),
  { keys: 'm', does: 'Light or dark', run: switchTheme },
  go('b', '/bay', 'the Bay'),
  go('v', '/vehicles', 'vehicles'),
  go('p', '/procedures', 'procedures'),
  go('j', '/jobs', 'jobs'),
  go('s', '/stock', 'stock'),
  go('t', '/tools', 'tools'),
  go('r', '/records', 'records'),
  go('x', '/practice', 'practice'),
]);

/** Lists that are parts of the shop's own settings. */
const SHOP_ROWS: ReadonlySet<string> = new Set(['shop', 'settings', 'house-rules', 'calendar']);

async function start(): Promise<void> {
  failed.value = false;
  await router.isReady();
  if (outside) return;
  await session.load().catch(() => (failed.value = true));
  if (!session.wanted) await enter();
}
async function enter(): Promise<void> {
  await Promise.all([shop.load(), outbox.restore()]).catch(() => (failed.value = true));
}
// Whoever comes in finds the workshop as it is now; what waited for them goes.
watch(
  () => session.wanted,
  (wanted) => {
    if (!wanted) void enter();
  },
);
watch(() => session.stretch, outbox.flush);
// What the shop says of itself, and who works here, is the same on every station.
if (!outside)
  useChanges((change) => {
    if (change === null || (change.kind === 'rows' && SHOP_ROWS.has(change.list)))
      void shop.load().catch(() => undefined);
  });
onMounted(() => {
  window.addEventListener('keydown', listenForKeys);
  void start();
});
onBeforeUnmount(() => window.removeEventListener('keydown', listenForKeys));

/** What this page asks for next: the act of the item in hand, else its one primary action. */
function toNextStep(): void {
  const next = ['[data-testid="act"]', 'aside .primary', '.primary'].flatMap((each) => [
    ...document.querySelectorAll<HTMLElement>(`main ${each}`),
  ]);
  (
    next.find((each) => each.offsetParent !== null && !each.matches(':disabled')) ?? document.getElementById('work')
  )?.focus();
}
</script>

<template>
  <RouterView v-if="outside" />
  <template v-else>
    <a href="#work" class="primary sr-only focus:not-sr-only focus:fixed focus:left-2 focus:top-2 focus:z-50"
      >To the work</a
    >
    <button
      type="button"
      class="primary sr-only focus:not-sr-only focus:fixed focus:left-2 focus:top-2 focus:z-50"
      @click="toNextStep"
    >
      To the next step
    </button>
    <div :inert="session.wanted" :class="bare ? 'h-full' : 'flex h-full flex-col min-[900px]:flex-row'">
      <RailNav
        v-if="!bare"
        class="no-print"
        @person="open = 'person'"
        @keys="open = 'keys'"
        @search="open = 'search'"
        @page="open = 'page'"
        @waiting="open = 'waiting'"
      />
      <main
        id="work"
        tabindex="-1"
        :class="bare ? 'h-full' : 'min-h-0 min-w-0 flex-1'"
        class="flex flex-col outline-none"
      >
        <p v-if="failed" class="m-8 max-w-prose" role="alert">
          The server is out of reach. What you do is kept here and sent when it is back.
          <button type="button" class="link ml-1" @click="start">Try again</button>
        </p>
        <ClockNote />
        <NewVersionNote v-if="newVersionReady" />
        <InsecureNote v-if="insecure" />
        <ReadOnlyNote v-if="shop.readOnly" />
        <NotTaken v-if="outbox.notTaken.length > 0" />
        <FirstVisit v-if="!bare && shop.loaded && WORLD.practice === null" :page="String(route.name ?? '')" />
        <div class="min-h-0 flex-1"><RouterView v-if="begun" /></div>
      </main>
    </div>
    <PracticeFrame v-if="WORLD.practice !== null" />
    <WhatIsThis v-if="open === 'page'" :page="String(route.name ?? '')" @close="open = null" />
    <KeysSheet v-if="open === 'keys'" @close="open = null" />
    <SearchSheet v-if="open === 'search'" @close="open = null" />
    <WaitingSheet v-if="open === 'waiting'" @close="open = null" />
    <PersonPicker v-if="open === 'person' || askWho" :required="askWho" @close="open = null" />
    <SignIn v-if="session.wanted" />
  </template>
</template>
