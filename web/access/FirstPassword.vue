<script setup lang="ts">
import { computed, ref } from 'vue';
import { mayChange } from '../../core/access/index.ts';
import { setPassword } from '../data/signIn.ts';
import { wordsOf } from '../sign-in/useComingIn.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';
import NewPassword from './NewPassword.vue';

/** Nobody has a password: names are picked. The first one is that of whoever answers for the shop. */
const shop = useShop();
const may = computed(() => shop.person !== null && mayChange(shop.person.role));
const session = useSession();
const error = ref('');
const busy = ref(false);
/** Whoever sets it is in by it. */
async function begin(password: string): Promise<void> {
  const { person } = shop;
  if (person === null) return;
  error.value = '';
  busy.value = true;
  try {
    await setPassword(person.id, password);
    await session.load();
  } catch (failed) {
    error.value = wordsOf(failed);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <section class="max-w-prose">
    <p>
      Nobody here has a password. Names are picked at the foot of the rail, and the program answers on this machine
      alone. To use tablets at the vehicles, give yourself a password first; from then on everybody signs in.
    </p>
    <p v-if="!may" class="mt-3 font-semibold text-brass">
      The first password is that of a lead or the proprietor. Change who is at this bench, or ask them.
    </p>
    <template v-else>
      <h2 class="mb-2 mt-5 text-xl">Password of {{ shop.person?.name }}</h2>
      <NewPassword first :error="error" :busy="busy" done="Begin with sign-in" @give="begin" />
    </template>
  </section>
</template>
