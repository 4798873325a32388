<script setup lang="ts">
import { ref } from 'vue';
import { useOutbox } from '../stores/outbox.ts';
import { useSession } from '../stores/session.ts';
import PasswordForm from './PasswordForm.vue';
import PinPad from './PinPad.vue';
import { useComingIn } from './useComingIn.ts';

/** Over everything, until somebody is signed in; what was under it stays as it was left. */
const session = useSession();
const outbox = useOutbox();
const who = ref<{ readonly id: string; readonly name: string } | null>(null);
/** A password instead of the names of this station. */
const byName = ref(session.hands.length === 0);
const { error, busy, byPassword, byPin } = useComingIn();
function choose(person: { readonly id: string; readonly name: string } | null): void {
  who.value = person;
  error.value = '';
}
</script>

<template>
  <div
    class="fixed inset-0 z-50 grid overflow-y-auto bg-paper md:grid-cols-[minmax(16rem,2fr)_3fr]"
    role="dialog"
    aria-modal="true"
    aria-labelledby="sign-in"
    data-testid="sign-in"
  >
    <div class="border-line p-6 md:border-r md:p-10">
      <p class="text-note font-bold leading-[1.1] text-bottle">{{ session.told?.shopName || 'Unhurried Wrench' }}</p>
      <h1 id="sign-in" class="mt-6 text-title leading-tight">
        {{ session.station ? 'Who is at this station?' : 'Sign in' }}
      </h1>
      <p v-if="session.station" class="mt-1 text-lg">{{ session.station.name }}</p>
      <p class="mt-2 max-w-prose text-soft">
        {{
          session.station
            ? 'Every entry carries a name. Choose yours, and give your PIN.'
            : 'Every entry carries a name, and this server knows only people of the workshop.'
        }}
      </p>
      <p v-if="outbox.count > 0" class="mt-4 border-l-4 border-brass pl-3 font-semibold">
        {{ outbox.count }} waiting here, kept until somebody is signed in.
      </p>
    </div>
    <div class="flex flex-col p-6 md:justify-center md:p-10">
      <template v-if="byName">
        <PasswordForm :error="error" :busy="busy" @give="byPassword" />
        <p v-if="session.hands.length > 0" class="mt-4">
          <button type="button" class="faint" @click="((byName = false), choose(null))">By name and PIN</button>
        </p>
      </template>
      <template v-else-if="who">
        <PinPad :name="who.name" :error="error" :busy="busy" @pin="byPin(who.id, $event)" />
        <p class="mt-4"><button type="button" class="faint" @click="choose(null)">Somebody else</button></p>
      </template>
      <template v-else>
        <ul class="rows w-full max-w-md border-y border-line">
          <li v-for="person in session.hands" :key="person.id">
            <button type="button" class="min-h-16 w-full text-left text-xl font-semibold" @click="choose(person)">
              {{ person.name }}
            </button>
          </li>
        </ul>
        <p class="mt-4">
          <button type="button" class="faint" @click="((byName = true), choose(null))">By name and password</button>
        </p>
      </template>
    </div>
  </div>
</template>
