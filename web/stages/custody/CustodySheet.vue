<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job } from '../../../core/job/index.ts';
import { vehicleName } from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import { ApiError } from '../../data/api.ts';
import { lookForVehicles } from '../../data/vehicles.ts';
import PickField from '../../parts/PickField.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useToday } from '../../stores/today.ts';
import { useForm } from '../useForm.ts';

/** Who has this job, whether it rests, and whether it is called off. */
const props = defineProps<{ job: Job }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const store = useJob();
const today = useToday();
const giving = useForm();
const resting = useForm();
const ending = useForm();
const to = ref<string | null>(props.job.assigned?.to ?? null);
const note = ref('');
const until = ref('');
const why = ref('');
const reason = ref('');

const vehicleId = ref('');
const wrongBecause = ref('');
const moving = ref<{ vehicleId?: string; why?: string; general?: string }>({});
const look = async (typed: string) =>
  (await lookForVehicles(typed))
    .filter(({ id }) => id !== props.job.vehicle.id)
    .map((each) => ({ id: each.id, words: each.plate, about: vehicleName(each) }));
/** Only the server knows the other vehicle, so its answer is waited for. */
async function move(): Promise<void> {
  try {
    await store.sendAndWait('move-job', { vehicleId: vehicleId.value, why: wrongBecause.value });
    emit('close');
  } catch (error) {
    const fields = error instanceof ApiError ? error.fields : {};
    const told = { vehicleId: fields['data.vehicleId'] ?? '', why: fields['data.why'] ?? '' };
    moving.value =
      told.vehicleId || told.why ? told : { general: error instanceof Error ? error.message : String(error) };
  }
}
const people = computed(() => [
  ...shop.here.map(({ id, name }) => ({ id, name })),
  { id: '', name: 'nobody in particular' },
]);
function give(): void {
  const name = shop.here.find(({ id }) => id === to.value)?.name ?? '';
  if (giving.send('assign-job', { to: to.value ?? '', name, note: note.value })) emit('close');
}
function rest(): void {
  if (resting.send('put-aside', { until: until.value === '' ? null : until.value, why: why.value })) emit('close');
}
function goOn(): void {
  if (resting.send('take-up', {})) emit('close');
}
function cancel(): void {
  if (ending.send('cancel-job', { why: reason.value })) emit('close');
}
function reopen(): void {
  if (ending.send('reopen-job', { reason: reason.value })) emit('close');
}
</script>

<template>
  <SheetDialog :title="`Job ${job.number}`" @close="emit('close')">
    <div v-if="job.status === 'closed'" class="grid gap-3">
      <p v-if="job.cancelled">
        Cancelled by {{ shop.say.person(job.cancelled.by) }}, {{ shop.say.nearTime(job.cancelled.at) }}:
        {{ job.cancelled.why }}.
      </p>
      <p v-else>Handed over.</p>
      <form class="grid gap-3" @submit.prevent="reopen">
        <TextField
          v-model="reason"
          label="Open it again, because"
          :error="ending.error('reason') ?? ending.general('reason')"
        />
        <button type="submit" class="quiet justify-self-start">Open it again</button>
      </form>
    </div>
    <div v-else class="grid gap-5">
      <form class="grid gap-3" @submit.prevent="give">
        <ChoiceRow v-model="to" label="Who has it" :options="people" />
        <TextField v-model="note" label="A note that waits for them" placeholder="the lower hose leaks" :lines="2" />
        <p v-if="giving.general()" class="font-semibold text-alarm" role="alert">{{ giving.general() }}</p>
        <button type="submit" class="quiet justify-self-start">Give it to them</button>
      </form>
      <div v-if="job.aside" class="border-t border-line pt-4">
        <p>
          Put aside{{ job.aside.until ? ` until ${shop.say.nearDay(job.aside.until)}` : '' }} by
          {{ shop.firstName(job.aside.by) }}: {{ job.aside.why }}.
        </p>
        <button type="button" class="quiet mt-2" @click="goOn">Take it up again</button>
      </div>
      <form v-else class="grid gap-3 border-t border-line pt-4" @submit.prevent="rest">
        <div class="grid grid-cols-[1fr_auto] gap-3">
          <TextField
            v-model="why"
            label="Put it aside, because"
            placeholder="seal on order"
            :error="resting.error('why')"
          />
          <label class="block"
            ><span class="mb-1 block text-sm font-semibold">Until, if known</span
            ><input v-model="until" type="date" class="input" :min="today"
          /></label>
        </div>
        <p
          v-if="resting.error('until') ?? resting.general('why', 'until')"
          class="font-semibold text-alarm"
          role="alert"
        >
          {{ resting.error('until') ?? resting.general('why', 'until') }}
        </p>
        <button type="submit" class="quiet justify-self-start">Put it aside</button>
      </form>
      <form class="grid gap-3 border-t border-line pt-4" @submit.prevent="move">
        <PickField
          v-model="vehicleId"
          label="It is on the wrong vehicle; the right one is"
          placeholder="plate or name"
          :look="look"
          :error="moving.vehicleId"
        />
        <TextField v-if="vehicleId" v-model="wrongBecause" label="Why was it on this one?" :error="moving.why" />
        <p v-if="moving.general" class="font-semibold text-alarm" role="alert">{{ moving.general }}</p>
        <button v-if="vehicleId" type="submit" class="quiet justify-self-start">Put the job on it</button>
      </form>
      <form class="grid gap-3 border-t border-line pt-4" @submit.prevent="cancel">
        <TextField
          v-model="reason"
          label="Cancel it, because"
          placeholder="the vehicle was sold"
          :error="ending.error('why') ?? ending.general('why')"
        />
        <button type="submit" class="quiet justify-self-start">Cancel the job</button>
      </form>
    </div>
  </SheetDialog>
</template>
