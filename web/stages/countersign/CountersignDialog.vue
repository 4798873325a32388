<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { countersignAs } from '../../data/signIn.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import PasswordForm from '../../sign-in/PasswordForm.vue';
import PinPad from '../../sign-in/PinPad.vue';
import { wordsOf } from '../../sign-in/useComingIn.ts';
import { deviceIso } from '../../stores/clock.ts';
import { freshId, useJob } from '../../stores/job.ts';
import { useSession } from '../../stores/session.ts';
import { useShop } from '../../stores/shop.ts';

/** Somebody puts their name beside it, at this station and without a change of hands. */
const props = defineProps<{ job: Job; seqs: readonly number[]; handOver: boolean }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const session = useSession();
const store = useJob();
const who = ref<{ readonly id: string; readonly name: string } | null>(null);
const error = ref('');
const busy = ref(false);
const signers = computed(() => shop.here.filter(({ role }) => role === 'technician' || role === 'lead'));
const what = computed(() =>
  [
    props.seqs.length > 0 ? `${props.seqs.length} ${props.seqs.length === 1 ? 'entry' : 'entries'}` : '',
    props.handOver ? 'the hand-over of the job as it stands' : '',
  ]
    .filter(Boolean)
    .join(' and '),
);

function choose(person: { readonly id: string; readonly name: string }): void {
  error.value = '';
  who.value = person;
  // Where names are picked, the name is all there is to give.
  if (session.open || person.id === shop.personId) void sign('');
}
async function sign(secret: string): Promise<void> {
  const person = who.value;
  if (person === null) return;
  const data = { seqs: props.seqs, handOver: props.handOver };
  if (session.open || person.id === shop.personId) {
    const refused = store.sendAs(person.id, 'countersign', data);
    if (refused === null) emit('close');
    else error.value = refused.message;
    return;
  }
  busy.value = true;
  error.value = '';
  try {
    const at = deviceIso();
    await countersignAs(props.job.id, person.id, secret, {
      id: freshId(),
      at,
      sentAt: at,
      seen: props.job.version,
      data,
    });
    await store.load(props.job.id);
    emit('close');
  } catch (failed) {
    error.value = wordsOf(failed);
  } finally {
    busy.value = false;
  }
}
</script>

<template>
  <SheetDialog title="Countersign" @close="$emit('close')">
    <p class="mb-4">Whoever signs has looked at {{ what }}.</p>
    <p v-if="error && who === null" class="mb-3 font-semibold text-alarm" role="alert">{{ error }}</p>
    <ul v-if="who === null" class="grid gap-2">
      <li v-for="person in signers" :key="person.id">
        <button type="button" class="quiet min-h-14 w-full justify-start! text-left" @click="choose(person)">
          {{ person.name }}
        </button>
      </li>
    </ul>
    <template v-else>
      <PinPad v-if="session.station" :name="who.name" :error="error" :busy="busy" done="Sign" @pin="sign" />
      <PasswordForm
        v-else-if="!session.open"
        :name="who.name"
        :error="error"
        :busy="busy"
        done="Sign"
        @give="(_, password) => sign(password)"
      />
      <p v-else-if="error" class="font-semibold text-alarm" role="alert">{{ error }}</p>
      <p class="mt-3"><button type="button" class="faint" @click="who = null">Somebody else</button></p>
    </template>
  </SheetDialog>
</template>
