<script setup lang="ts">
import { ref } from 'vue';
import { setPassword, setPin } from '../data/signIn.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';
import { wordsOf } from '../sign-in/useComingIn.ts';
import NewPassword from './NewPassword.vue';
import TextSecret from './TextSecret.vue';

/** One’s own password and PIN. */
const emit = defineEmits<{ changed: [] }>();
const shop = useShop();
const session = useSession();
const open = ref<'password' | 'pin' | null>(null);
const error = ref('');
const said = ref('');
const password = ref('');
const pin = ref('');

async function attempt(work: () => Promise<unknown>, words: string): Promise<void> {
  error.value = said.value = '';
  try {
    await work();
    said.value = words;
    open.value = null;
    password.value = pin.value = '';
    await session.load();
    emit('changed');
  } catch (failed) {
    error.value = wordsOf(failed);
  }
}
const keepPassword = (fresh: string, current: string): Promise<void> =>
  attempt(() => setPassword(shop.personId, fresh, current), 'The new password holds from now on, here and everywhere.');
const keepPin = (): Promise<void> =>
  attempt(() => setPin(shop.personId, password.value, pin.value), 'The PIN holds from now on, at every station.');
function begin(what: 'password' | 'pin'): void {
  open.value = open.value === what ? null : what;
  error.value = said.value = '';
}
</script>

<template>
  <section>
    <p class="flex flex-wrap items-center gap-x-4 gap-y-2">
      <span
        ><b>{{ shop.person?.name }}</b
        >, signed in by {{ session.way === 'pin' ? 'PIN' : 'password' }}</span
      >
      <button type="button" class="quiet" :aria-pressed="open === 'pin'" @click="begin('pin')">Set a PIN</button>
      <button type="button" class="quiet" :aria-pressed="open === 'password'" @click="begin('password')">
        Change the password
      </button>
    </p>
    <p v-if="said" class="mt-2 font-semibold text-moss" role="status">{{ said }}</p>
    <NewPassword
      v-if="open === 'password'"
      class="mt-4"
      own
      :error="error"
      done="Change the password"
      @give="keepPassword"
    />
    <form v-if="open === 'pin'" class="mt-4 grid max-w-sm gap-3" @submit.prevent="keepPin">
      <TextSecret v-model="password" label="Your password" completes="current-password" />
      <TextSecret
        v-model="pin"
        label="New PIN"
        completes="off"
        digits
        :error="error"
        hint="4 to 8 digits, not all the same and not in a row. It counts at stations of the workshop alone."
      />
      <div><button type="submit" class="quiet" :disabled="password === '' || pin === ''">Set the PIN</button></div>
    </form>
  </section>
</template>
