<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import type { JobLink } from '../../contract/index.ts';
import QrCode from '../access/QrCode.vue';
import { makeLink, readLinks, withdrawLink } from '../data/signIn.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import { wordsOf } from '../sign-in/useComingIn.ts';
import { useShop } from '../stores/shop.ts';

/** A link for the customer: to read and approve one thing of this job. It ends by itself, and can be withdrawn. */
const props = defineProps<{ jobId: string; kind: 'estimate' | 'sheet' }>();
defineEmits<{ close: [] }>();
const shop = useShop();
const days = ref<'3' | '14' | '60' | null>(props.kind === 'estimate' ? '14' : '60');
const DAYS = [
  { id: '3', name: '3 days' },
  { id: '14', name: '14 days' },
  { id: '60', name: '60 days' },
] as const;
const rows = shallowRef<readonly JobLink[]>([]);
const path = ref('');
const error = ref('');
const copied = ref(false);
const address = computed(() => `${location.origin}${path.value}`);
/** On its own machine alone a server is reached by nobody else, whatever link they have. */
const onlyHere = ['127.0.0.1', 'localhost', '[::1]'].includes(location.hostname);
const now = new Date().toISOString();
const links = computed(() => rows.value.filter(({ kind }) => kind === props.kind));
const state = ({ withdrawnAt, endsAt, seenAt }: JobLink): string => {
  if (withdrawnAt !== null) return `withdrawn ${shop.say.time(withdrawnAt)}`;
  if (endsAt <= now) return 'ended';
  return `ends ${shop.say.time(endsAt)}; ${seenAt === null ? 'not opened yet' : `last opened ${shop.say.time(seenAt)}`}`;
};
async function attempt(work: () => Promise<void>): Promise<void> {
  error.value = '';
  try {
    await work();
  } catch (failed) {
    error.value = wordsOf(failed);
  }
}
const read = (): Promise<void> =>
  attempt(async () => {
    rows.value = (await readLinks(props.jobId)).rows;
  });
const make = (): Promise<void> =>
  attempt(async () => {
    ({ path: path.value } = await makeLink(props.jobId, props.kind, Number(days.value ?? '14')));
    copied.value = false;
    await read();
  });
const withdraw = (id: string): Promise<void> =>
  attempt(async () => {
    rows.value = (await withdrawLink(id)).rows;
    path.value = '';
  });
async function copy(): Promise<void> {
  copied.value = await navigator.clipboard.writeText(address.value).then(
    () => true,
    () => false,
  );
}
onMounted(read);
</script>

<template>
  <SheetDialog
    :title="kind === 'estimate' ? 'The estimate for the customer' : 'The sheet for the customer'"
    wide
    @close="$emit('close')"
  >
    <p class="max-w-prose text-soft">
      Whoever has the link reads {{ kind === 'estimate' ? 'the newest estimate and answers it' : 'the sheet' }}, and
      sees nothing else. It ends by itself.
    </p>
    <div v-if="path" class="mt-4 grid gap-5 sm:grid-cols-[auto_1fr]">
      <QrCode :address="address" words="The link, as a code" />
      <div class="min-w-0">
        <p class="code text-sm [overflow-wrap:anywhere]" data-testid="link">{{ address }}</p>
        <p class="mt-3 flex flex-wrap items-center gap-3">
          <button type="button" class="primary" @click="copy">{{ copied ? 'Copied' : 'Copy the link' }}</button>
        </p>
        <p class="mt-3 text-sm text-soft">It is shown this once: what it says is kept nowhere.</p>
        <p v-if="onlyHere" class="mt-2 text-sm font-semibold text-brass">
          This page was opened on the server’s own machine: the link opens here alone. Make it at the address that
          customers reach.
        </p>
      </div>
    </div>
    <form v-else class="mt-4 flex flex-wrap items-end gap-4" @submit.prevent="make">
      <ChoiceRow v-model="days" label="It holds for" :options="DAYS" />
      <button type="submit" class="primary">Make a link</button>
    </form>
    <p v-if="error" class="mt-3 font-semibold text-alarm" role="alert">{{ error }}</p>
    <ul v-if="links.length > 0" class="rows mt-6 border-y border-line" aria-label="Links">
      <li v-for="link in links" :key="link.id" class="flex flex-wrap items-center gap-x-4 py-2">
        <span>Made {{ shop.say.time(link.madeAt) }} by {{ shop.firstName(link.madeBy) }}</span>
        <span class="text-soft">{{ state(link) }}</span>
        <button
          v-if="link.withdrawnAt === null && link.endsAt > now"
          type="button"
          class="faint ml-auto"
          @click="withdraw(link.id)"
        >
          Withdraw<span class="sr-only"> the link made {{ shop.say.time(link.madeAt) }}</span>
        </button>
      </li>
    </ul>
  </SheetDialog>
</template>
