<script setup lang="ts">
import { ref } from 'vue';
import { roleWords } from '../../core/access/index.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import PasswordForm from '../sign-in/PasswordForm.vue';
import PinPad from '../sign-in/PinPad.vue';
import { useComingIn, wordsOf } from '../sign-in/useComingIn.ts';
import { useSession } from '../stores/session.ts';
import { useShop } from '../stores/shop.ts';

/** Who is at the bench: picked where nobody has an account; else by a PIN at a station, or by going and coming in anew. */
const props = defineProps<{ required: boolean }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const session = useSession();
const who = ref<{ readonly id: string; readonly name: string } | null>(null);
const byName = ref(false);
const leaving = ref(false);
const { error, busy, byPassword, byPin } = useComingIn(() => emit('close'));

function pick(id: string): void {
  shop.pick(id);
  emit('close');
}
async function leave(everywhere: boolean): Promise<void> {
  leaving.value = true;
  error.value = '';
  try {
    await session.leave(everywhere);
    emit('close');
  } catch (failed) {
    // Out of reach nobody comes or goes: what is entered keeps the name of whoever is here.
    error.value = wordsOf(failed);
  } finally {
    leaving.value = false;
  }
}
</script>

<template>
  <SheetDialog title="Who is at the bench?" @close="props.required ? undefined : emit('close')">
    <template v-if="session.open">
      <p class="mb-4 text-soft">Every entry carries a name. You can change it at the foot of the rail.</p>
      <ul class="grid gap-2">
        <li v-for="person in shop.here" :key="person.id">
          <button
            type="button"
            class="quiet min-h-14 w-full justify-between! text-left"
            :aria-pressed="person.id === shop.personId"
            @click="pick(person.id)"
          >
            <span>{{ person.name }}</span>
            <span class="font-normal">{{ [roleWords(person.role), person.bay].filter(Boolean).join(', ') }}</span>
          </button>
        </li>
      </ul>
    </template>
    <template v-else-if="who">
      <PinPad :name="who.name" :error="error" :busy="busy" @pin="byPin(who.id, $event)" />
      <p class="mt-3"><button type="button" class="faint" @click="who = null">Somebody else</button></p>
    </template>
    <PasswordForm v-else-if="byName" :error="error" :busy="busy" @give="byPassword" />
    <template v-else>
      <p class="mb-4">
        <b>{{ shop.person?.name }}</b> is signed in.
        <span v-if="session.station" class="block text-soft">This station is called {{ session.station.name }}.</span>
      </p>
      <ul v-if="session.hands.length > 0" class="grid gap-2">
        <li v-for="person in session.hands.filter(({ id }) => id !== shop.personId)" :key="person.id">
          <button type="button" class="quiet min-h-14 w-full justify-start! text-left" @click="who = person">
            {{ person.name }}
          </button>
        </li>
      </ul>
      <p class="mt-5 flex flex-wrap gap-x-5 gap-y-2">
        <button type="button" class="quiet" @click="byName = true">Somebody else, by password</button>
        <button type="button" class="quiet" :disabled="leaving" @click="leave(false)">Sign out</button>
        <button type="button" class="quiet" :disabled="leaving" @click="leave(true)">Sign out everywhere</button>
      </p>
      <p v-if="error" class="mt-3 font-semibold text-alarm" role="alert">{{ error }}</p>
      <p class="mt-4">
        <RouterLink class="link" to="/settings/access" @click="emit('close')">Password and PIN</RouterLink>
      </p>
    </template>
  </SheetDialog>
</template>
