<script setup lang="ts">
import { computed, onMounted, ref } from 'vue';
import type { When } from '../../core/job/index.ts';
import QrCode from '../access/QrCode.vue';
import { invitePhone } from '../data/signIn.ts';
import SheetDialog from '../parts/SheetDialog.vue';
import { wordsOf } from '../sign-in/useComingIn.ts';

/** A code by which a phone takes photos for this job. It is read once. */
const props = defineProps<{
  jobId: string;
  plate: string;
  /** What the photos are of, by its key and in words. */
  subject: string;
  what: string;
  when: When;
}>();
defineEmits<{ close: [] }>();
const path = ref('');
const error = ref('');
const of = computed(() => new URLSearchParams({ of: props.subject, what: props.what, when: props.when }));
const address = computed(() => `${location.origin}${path.value}?${of.value}`);
async function invite(): Promise<void> {
  error.value = path.value = '';
  try {
    ({ path: path.value } = await invitePhone(props.jobId));
  } catch (failed) {
    error.value = wordsOf(failed);
  }
}
onMounted(invite);
</script>

<template>
  <SheetDialog :title="`A phone takes photos: ${plate}, ${what}`" @close="$emit('close')">
    <p v-if="error" class="font-semibold text-alarm" role="alert">{{ error }}</p>
    <div v-if="path" class="grid gap-5 sm:grid-cols-[auto_1fr]">
      <QrCode :address="address" words="The address for the phone, as a code" />
      <div>
        <p class="sr-only" data-testid="phone-address">{{ address }}</p>
        <p>Let its camera read this code within five minutes. It counts for one phone.</p>
        <p class="mt-2 text-soft">
          The photos come here by themselves, under your name. The phone must know this server: one that opens no page
          here is brought in first, under Settings, Who is let in.
        </p>
        <p class="mt-3"><button type="button" class="quiet" @click="invite">A code for another phone</button></p>
      </div>
    </div>
  </SheetDialog>
</template>
