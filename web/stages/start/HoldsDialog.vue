<script setup lang="ts">
import { computed, ref } from 'vue';
import { type Job, jobMayStart, whereCleared } from '../../../core/job/index.ts';
import { holdKey } from '../../../core/refit/index.ts';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';
import WaterChoice from './WaterChoice.vue';
import { linkTo } from '../linkTo.ts';

/** What holds the engine. A lead, or who works alone, may let some of it pass, with a reason that the sheet carries. */
const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const form = useForm();
const picked = ref<readonly string[] | null>(null);
const reason = ref('');

const verdict = computed(() => jobMayStart(props.job));
const holds = computed(() => (verdict.value.may ? [] : verdict.value.holds));
/** The lead answers for it; who works alone is their own. */
const isLead = computed(() => shop.person?.role === 'lead' || shop.here.length === 1);

function toggle(key: string): void {
  const keys = picked.value ?? [];
  picked.value = keys.includes(key) ? keys.filter((each) => each !== key) : [...keys, key];
}
function letPass(): void {
  if (!form.send('override-hold', { keys: [...(picked.value ?? [])], reason: reason.value })) return;
  picked.value = null;
  if (holds.value.length === 0) emit('close');
}
</script>

<template>
  <SheetDialog :title="holds.length > 0 ? 'The engine is held' : 'Nothing holds the engine'" @close="emit('close')">
    <ul class="rows">
      <li v-for="hold in holds" :key="holdKey(hold)" class="flex min-h-10 items-center gap-3 py-1.5">
        <input
          v-if="picked !== null"
          type="checkbox"
          class="size-6 shrink-0 accent-bottle"
          :aria-label="hold.words"
          :checked="picked.includes(holdKey(hold))"
          @change="toggle(holdKey(hold))"
        />
        <WaterChoice v-if="hold.code === 'cooling-water'" :words="hold.words" />
        <RouterLink v-else class="link" :to="linkTo(job.id, whereCleared(job, hold))" @click="emit('close')">{{
          hold.words
        }}</RouterLink>
      </li>
    </ul>
    <p v-for="hold in verdict.passed" :key="holdKey(hold)" class="py-1 text-note text-brass">
      Let pass: {{ hold.words }}
    </p>
    <form v-if="picked !== null" class="mt-4 grid gap-3" @submit.prevent="letPass">
      <p class="border-l-[3px] border-alarm py-1 pl-3 text-note">
        What is open, in or loose can wreck the engine or hurt somebody. Look at it yourself first.
      </p>
      <TextField
        v-model="reason"
        label="Why may it start all the same?"
        :error="form.error('reason') ?? form.general('reason')"
      />
      <button type="submit" class="quiet" :disabled="picked.length === 0">Let {{ picked.length }} pass</button>
    </form>
    <button
      v-else-if="holds.length > 0 && job.status === 'open' && isLead"
      type="button"
      class="mt-4 faint"
      @click="picked = []"
    >
      {{ shop.here.length === 1 ? 'Let some of it pass' : 'Let some of it pass, as lead' }}
    </button>
    <p v-else-if="holds.length > 0 && !isLead" class="mt-4 text-sm text-soft">
      Only a lead may let the engine start while something holds it.
    </p>
  </SheetDialog>
</template>
