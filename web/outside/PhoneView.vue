<script setup lang="ts">
import { computed, onMounted, ref, shallowRef } from 'vue';
import { useRoute } from 'vue-router';
import type { Command } from '../../core/job/index.ts';
import { storePicture } from '../data/pictures.ts';
import { signAs } from '../data/signedAs.ts';
import { joinAsPhone, type PhoneIn } from '../data/signIn.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import { wordsOf } from '../sign-in/useComingIn.ts';
import { deviceIso } from '../stores/clock.ts';
import { useOutbox } from '../stores/outbox.ts';

/** A phone that takes photos for one job, beside a station: it came in by a code, and goes by itself. */
const route = useRoute();
const outbox = useOutbox();
const joined = shallowRef<PhoneIn | null>(null);
const over = ref('');
const wrong = ref('');
const busy = ref(false);
const said = (name: string): string => String(route.query[name] ?? '');
const when = ref<'before' | 'after' | null>(said('when') === 'after' ? 'after' : 'before');
const taken = ref<readonly string[]>([]);
const WHEN = [
  { id: 'before', name: 'Before the work' },
  { id: 'after', name: 'After it' },
] as const;
const KEPT = 'uw-phone';

onMounted(async () => {
  const token = String(route.params.token);
  // A page that is opened again in the same tab goes on: the code itself counts once.
  const kept = JSON.parse(sessionStorage.getItem(KEPT) ?? 'null') as { token: string; phone: PhoneIn } | null;
  try {
    joined.value = kept?.token === token ? kept.phone : await joinAsPhone(token);
    sessionStorage.setItem(KEPT, JSON.stringify({ token, phone: joined.value }));
    signAs({ token: joined.value.token, stretch: '' });
    await outbox.restore();
  } catch (failed) {
    over.value = wordsOf(failed);
  }
});

async function take(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  const phone = joined.value;
  if (file === undefined || phone === null) return;
  busy.value = true;
  wrong.value = '';
  try {
    const { hash } = await storePicture(file);
    const command = {
      id: crypto.randomUUID(),
      at: deviceIso(),
      by: phone.by,
      seen: phone.version,
      type: 'attach-picture',
      data: { id: crypto.randomUUID(), hash, subject: said('of'), when: when.value ?? 'before', caption: '' },
    } as Command;
    outbox.add(phone.jobId, command, 'Photo', `job ${phone.number}`);
    taken.value = [URL.createObjectURL(file), ...taken.value];
  } catch (failed) {
    wrong.value = wordsOf(failed);
  } finally {
    busy.value = false;
    input.value = '';
  }
}
const words = computed(() => {
  const { length } = taken.value;
  if (outbox.count > 0) return `${outbox.count} of ${length} waiting to be sent`;
  return `${length} ${length === 1 ? 'photo' : 'photos'} on the job`;
});
</script>

<template>
  <main class="mx-auto flex h-full max-w-lg flex-col overflow-y-auto px-5 py-8" data-testid="phone">
    <div v-if="over" class="mt-16" role="alert">
      <h1 class="text-title leading-tight">This code is over</h1>
      <p class="mt-3">{{ over }}</p>
    </div>
    <template v-else-if="joined">
      <p class="text-note font-bold text-bottle">Photos for</p>
      <h1 class="mt-1 text-title leading-tight">{{ joined.plate }}, job {{ joined.number }}</h1>
      <p v-if="said('what')" class="mt-1 text-lg">{{ said('what') }}</p>
      <ChoiceRow v-model="when" class="mt-6" label="Taken" :options="WHEN" />
      <label class="primary mt-6 min-h-24! cursor-pointer justify-center! text-2xl! focus-within:outline-3">
        {{ busy ? 'Storing it' : 'Take a photo' }}
        <input type="file" accept="image/*" capture="environment" class="sr-only" :disabled="busy" @change="take" />
      </label>
      <p v-if="wrong" class="mt-3 font-semibold text-alarm" role="alert">{{ wrong }}</p>
      <p v-for="entry in outbox.notTaken" :key="entry.command.id" class="mt-3 font-semibold text-alarm" role="alert">
        {{ entry.message }}
      </p>
      <p v-if="outbox.count > 0 && outbox.trouble" class="mt-3 font-semibold text-brass" role="status">
        {{ outbox.trouble }} What waits goes once a fresh code from the station is read here.
      </p>
      <p v-if="taken.length > 0" class="mt-6 font-semibold" role="status">{{ words }}</p>
      <ul class="mt-3 grid grid-cols-3 gap-2">
        <li v-for="(photo, nth) in taken" :key="photo">
          <img :src="photo" :alt="`Photo ${taken.length - nth}`" class="aspect-square w-full object-cover" />
        </li>
      </ul>
      <p class="mt-auto pt-8 text-sm text-soft">
        This phone takes photos for this job, and does nothing else here. It goes by itself after {{ joined.minutes }}
        minutes.
      </p>
    </template>
    <p v-else class="mt-16 text-soft" role="status">One moment.</p>
  </main>
</template>
