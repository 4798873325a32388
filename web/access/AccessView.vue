<script setup lang="ts">
import { computed, onMounted, ref, shallowRef, watch } from 'vue';
import type { AccessLine } from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import { type AccountLine, readAccess } from '../data/signIn.ts';
import { wordsOf } from '../sign-in/useComingIn.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';
import AccessLines from './AccessLines.vue';
import AccountRows from './AccountRows.vue';
import FirstPassword from './FirstPassword.vue';
import NetworkBlock from './NetworkBlock.vue';
import OwnAccess from './OwnAccess.vue';
import StationRows from './StationRows.vue';

/** Who is let in, where, and how tablets come here. */
const shop = useShop();
const session = useSession();
const answers = computed(() => shop.person !== null && mayChange(shop.person.role));
const rows = shallowRef<readonly AccessLine[]>([]);
const accounts = shallowRef<readonly AccountLine[]>([]);
const brokenAt = ref<number | null>(null);
const error = ref('');
async function read(before?: number): Promise<void> {
  if (session.open || !answers.value) return;
  try {
    const reply = await readAccess(before);
    rows.value = before === undefined ? reply.rows : [...rows.value, ...reply.rows];
    accounts.value = reply.accounts;
    if (before === undefined) brokenAt.value = reply.brokenAt;
    error.value = '';
  } catch (failed) {
    error.value = wordsOf(failed);
  }
}
onMounted(() => read());
watch([() => session.open, () => shop.personId], () => read());
</script>

<template>
  <div class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p><RouterLink class="link" to="/settings">Settings</RouterLink></p>
    <h1 class="mt-1 text-title">Who is let in</h1>
    <FirstPassword v-if="session.open" class="mt-4" />
    <template v-else-if="!session.wanted">
      <OwnAccess class="mt-4 max-w-3xl" @changed="read()" />
      <template v-if="answers">
        <h2 class="mb-2 mt-9 text-xl">Who can sign in</h2>
        <AccountRows class="max-w-3xl" :accounts="accounts" @changed="read()" />
        <h2 class="mb-1 mt-9 text-xl">Stations</h2>
        <p class="mb-3 max-w-prose text-soft">
          A tablet or machine at which people change hands by a PIN. What is entered there while it is out of reach
          keeps the name of whoever was at it.
        </p>
        <StationRows class="max-w-3xl" @changed="read()" />
        <h2 class="mb-2 mt-9 text-xl">Network</h2>
        <NetworkBlock class="max-w-4xl" />
        <h2 class="mb-2 mt-9 text-xl">What happened here</h2>
        <p v-if="error" class="font-semibold text-alarm" role="alert">{{ error }}</p>
        <AccessLines class="max-w-3xl" :rows="rows" :broken-at="brokenAt" @more="read(rows.at(-1)?.seq)" />
      </template>
    </template>
  </div>
</template>
