<script setup lang="ts">
import { ref } from 'vue';
import { roleWords } from '../../core/access/index.ts';
import { type AccountLine, setPassword, signOutOf, unlock } from '../data/signIn.ts';
import { wordsOf } from '../sign-in/useComingIn.ts';
import { useShop } from '../stores/shop.ts';
import NewPassword from './NewPassword.vue';

/** Who can sign in, for those who answer for the shop. */
const props = defineProps<{ accounts: readonly AccountLine[] }>();
const emit = defineEmits<{ changed: [] }>();
const shop = useShop();
const setting = ref('');
const error = ref('');
const said = ref('');
const of = (personId: string): AccountLine | undefined => props.accounts.find((each) => each.personId === personId);
const words = (account: AccountLine | undefined): string =>
  account === undefined
    ? 'cannot sign in yet'
    : account.locked
      ? 'locked'
      : account.hasPin
        ? 'password and PIN'
        : 'password';

async function attempt(work: () => Promise<unknown>, done: string): Promise<void> {
  error.value = said.value = '';
  try {
    await work();
    setting.value = '';
    said.value = done;
    emit('changed');
  } catch (failed) {
    error.value = wordsOf(failed);
  }
}
</script>

<template>
  <div>
    <ul class="rows border-y border-line" aria-label="Who can sign in">
      <li v-for="person in shop.here" :key="person.id" class="py-2">
        <p class="flex flex-wrap items-center gap-x-4 gap-y-1">
          <span class="font-semibold">{{ person.name }}</span>
          <span class="text-soft">{{ roleWords(person.role) }}</span>
          <span :class="of(person.id)?.locked ? 'font-bold text-alarm' : 'text-soft'">{{ words(of(person.id)) }}</span>
          <span class="ml-auto flex flex-wrap gap-x-4">
            <button
              v-if="of(person.id)?.locked"
              type="button"
              class="quiet text-sm"
              @click="attempt(() => unlock(person.id), `${person.name} can sign in again.`)"
            >
              Open again<span class="sr-only">: {{ person.name }}</span>
            </button>
            <button
              v-if="person.id !== shop.personId"
              type="button"
              class="faint"
              @click="((setting = setting === person.id ? '' : person.id), (error = said = ''))"
            >
              {{ of(person.id) ? 'New password' : 'Let sign in' }}<span class="sr-only">: {{ person.name }}</span>
            </button>
            <button
              v-if="of(person.id) && person.id !== shop.personId"
              type="button"
              class="faint"
              @click="attempt(() => signOutOf(person.id), `${person.name} is signed out everywhere.`)"
            >
              Sign out<span class="sr-only"> {{ person.name }} everywhere</span>
            </button>
          </span>
        </p>
        <div v-if="setting === person.id" class="mb-2 mt-3 border-l-4 border-brass pl-4">
          <p class="mb-2 text-soft">{{ person.name }} changes it to one of their own at the first sign-in.</p>
          <NewPassword
            :error="error"
            :done="`Set it for ${person.name}`"
            @give="(fresh) => attempt(() => setPassword(person.id, fresh), `${person.name} can sign in by it.`)"
          />
        </div>
      </li>
    </ul>
    <p v-if="said" class="mt-2 font-semibold text-moss" role="status">{{ said }}</p>
    <p v-else-if="error && setting === ''" class="mt-2 font-semibold text-alarm" role="alert">{{ error }}</p>
  </div>
</template>
