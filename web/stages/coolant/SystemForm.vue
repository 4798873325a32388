<script setup lang="ts">
import { ref } from 'vue';
import { INHIBITORS } from '../../../core/coolant/index.ts';
import type { Job } from '../../../core/job/index.ts';
import type { CoolantSystem } from '../../../core/procedure/index.ts';
import { FIELDS } from '../../../core/quantity/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import { numberIn } from '../../parts/numberIn.ts';
import TextField from '../../parts/TextField.vue';
import { keepCoolantOf } from '../../data/vehicles.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** What the cooling system holds, said on the job; it can be kept for the vehicle's next ones. */
const props = defineProps<{ job: Job; system: CoolantSystem | null }>();
const shop = useShop();
const form = useForm();
const open = ref(false);
const capacity = ref('');
const strength = ref('');
const glycol = ref<'ethylene' | 'propylene' | null>(null);
const bleedPoint = ref('');
const inhibitor = ref('');
const forVehicle = ref(true);
const wrong = ref('');
function begin(): void {
  const { system } = props;
  capacity.value = system === null ? '' : `${system.capacityL} L`;
  strength.value = system === null ? '' : String(Math.round(system.concentration * 100));
  glycol.value = system?.glycol ?? null;
  bleedPoint.value = system?.bleedPoint ?? '';
  inhibitor.value = system?.inhibitor ?? '';
  open.value = true;
}
async function keep(): Promise<void> {
  wrong.value = '';
  const share = numberIn(strength.value, FIELDS.share);
  if (glycol.value === null) wrong.value = 'Which antifreeze is it?';
  else if (Number.isNaN(share)) wrong.value = 'Expected a strength of 0 to 100 %.';
  if (wrong.value !== '' || glycol.value === null) return;
  const said = {
    glycol: glycol.value,
    concentration: share / 100,
    bleedPoint: bleedPoint.value.trim(),
    ...(inhibitor.value === '' ? {} : { inhibitor: inhibitor.value as keyof typeof INHIBITORS }),
  };
  if (!form.send('give-coolant-system', { capacityText: capacity.value, ...said })) return;
  open.value = false;
  const capacityL = numberIn(capacity.value, FIELDS.coolantLitres, shop.settings.measures);
  if (forVehicle.value && !Number.isNaN(capacityL))
    await keepCoolantOf(props.job.vehicle.id, { capacityL, ...said }).catch((error: unknown) => {
      wrong.value = `The vehicle’s file was not changed: ${error instanceof Error ? error.message : String(error)}`;
    });
}
</script>

<template>
  <section aria-label="Cooling system">
    <p v-if="!system && !open" class="max-w-prose">
      How much this system holds is not known here. With it the mix, the freeze point and the top-up are worked out.
    </p>
    <form v-if="open" class="grid max-w-2xl items-start gap-3 sm:grid-cols-[9rem_9rem_1fr]" @submit.prevent="keep">
      <FigureField
        v-model="capacity"
        label="It holds"
        :field="FIELDS.coolantLitres"
        placeholder="6.5 L"
        :error="form.error('capacityText') ?? form.general('capacityText', 'concentration')"
      />
      <FigureField
        v-model="strength"
        label="Strength, %"
        :field="FIELDS.share"
        placeholder="50"
        :error="form.error('concentration')"
      />
      <TextField v-model="bleedPoint" label="Bleeds at the" placeholder="screw on the housing" />
      <ChoiceRow
        v-model="glycol"
        class="sm:col-span-2"
        label="Antifreeze"
        :options="[
          { id: 'ethylene', name: 'Ethylene glycol' },
          { id: 'propylene', name: 'Propylene glycol' },
        ]"
      />
      <label class="block"
        ><span class="mb-1 block text-sm font-semibold">Inhibitor</span
        ><select v-model="inhibitor" class="input">
          <option value="">not known</option>
          <option v-for="(words, kind) in INHIBITORS" :key="kind" :value="kind">{{ words }}</option>
        </select></label
      >
      <label class="flex min-h-11 items-center gap-2 sm:col-span-3"
        ><input v-model="forVehicle" type="checkbox" class="size-5 accent-bottle" /> keep it for this vehicle’s next
        jobs too</label
      >
      <div class="flex gap-3 sm:col-span-3">
        <button type="submit" class="quiet">Keep the cooling system</button>
        <button type="button" class="faint" @click="open = false">Leave it</button>
      </div>
    </form>
    <button
      v-else-if="job.status === 'open'"
      type="button"
      class="mt-2"
      :class="system ? 'faint' : 'quiet'"
      @click="begin"
    >
      {{ system ? 'Its volume or mix is otherwise' : 'Say what it holds' }}
    </button>
    <p v-if="wrong" class="mt-2 font-semibold text-alarm" role="alert">{{ wrong }}</p>
  </section>
</template>
