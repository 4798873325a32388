<script setup lang="ts">
import { ref } from 'vue';
import { useRouter } from 'vue-router';
import { type Vehicle, vehicleName } from '../../core/vehicle/index.ts';
import PickField from '../parts/PickField.vue';
import SheetDialog from '../parts/SheetDialog.vue';
import TextField from '../parts/TextField.vue';
import { ApiError } from '../data/api.ts';
import { lookForVehicles, mergeVehicle, removeVehicle } from '../data/vehicles.ts';

/** A vehicle that was entered by mistake is taken out; one that is in the list twice is merged into the other entry. */
const props = defineProps<{ vehicle: Vehicle; jobs: number }>();
const emit = defineEmits<{ close: [] }>();
const router = useRouter();
const into = ref('');
const why = ref('');
const errors = ref<Readonly<Record<string, string>>>({});
const said = ref('');
const busy = ref(false);

const look = async (typed: string) =>
  (await lookForVehicles(typed))
    .filter(({ id }) => id !== props.vehicle.id)
    .map((each) => ({ id: each.id, words: each.plate, about: vehicleName(each) }));

async function attempt(work: () => Promise<unknown>, then: string): Promise<void> {
  busy.value = true;
  [errors.value, said.value] = [{}, ''];
  try {
    await work();
    emit('close');
    await router.push(then);
  } catch (error) {
    errors.value = error instanceof ApiError ? error.fields : {};
    const help = error instanceof ApiError ? error.wouldHelp : '';
    if (Object.keys(errors.value).length === 0)
      said.value = `${error instanceof Error ? error.message : String(error)} ${help}`.trim();
  } finally {
    busy.value = false;
  }
}
const take = () => attempt(() => removeVehicle(props.vehicle.id), '/vehicles');
async function merge(): Promise<void> {
  if (into.value === '') {
    errors.value = { into: 'Which entry is it?' };
    return;
  }
  await attempt(() => mergeVehicle(props.vehicle.id, into.value, why.value), `/vehicles/${into.value}`);
}
</script>

<template>
  <SheetDialog :title="`${vehicle.plate} is wrong here`" @close="emit('close')">
    <section v-if="jobs === 0" class="mb-6">
      <p>No job is on it, so it can go. Units noted on it stay, as loose ones.</p>
      <button type="button" class="quiet mt-3" :disabled="busy" @click="take">Take it out of the list</button>
    </section>
    <p v-else class="mb-6">
      {{
        jobs === 1
          ? 'A job is on it, so it stays in the list until that is on the right one.'
          : `${jobs} jobs are on it, so it stays in the list until they are on the right one.`
      }}
    </p>
    <form class="grid gap-3 border-t border-line pt-4" @submit.prevent="merge">
      <p>The same vehicle is in the list twice: its jobs go to the other entry, and each says so.</p>
      <PickField v-model="into" label="It is" placeholder="plate or name" :look="look" :error="errors.into" />
      <TextField v-model="why" label="Why are they one?" placeholder="new plate" :error="errors.why" />
      <button type="submit" class="quiet justify-self-start" :disabled="busy">Merge it into that one</button>
    </form>
    <p v-if="said" class="mt-3 font-semibold text-alarm" role="alert">{{ said }}</p>
  </SheetDialog>
</template>
