<script setup lang="ts">
import { computed } from 'vue';
import {
  type Condition,
  PROOF_PLACES,
  PROOF_STATES,
  type ProofPlace,
  type ProofState,
} from '../../../core/job/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';

/** The condition that what follows is tried under; it stays until another is picked. */
const props = defineProps<{ afloat: boolean }>();
const model = defineModel<Condition>({ required: true });
const ON_LAND: readonly ProofPlace[] = ['bay', 'stand', 'road'];
const AFLOAT: readonly ProofPlace[] = ['hose', 'tank', 'water'];
const places = computed(() => (props.afloat ? AFLOAT : ON_LAND).map((id) => ({ id, name: PROOF_PLACES[id] })));
const STATES = (Object.keys(PROOF_STATES) as ProofState[]).map((id) => ({ id, name: PROOF_STATES[id] }));
const state = computed({
  get: () => model.value.state ?? null,
  set: (picked) => (model.value = { ...model.value, state: picked ?? undefined }),
});
const place = computed({
  get: () => model.value.place ?? null,
  set: (picked) => (model.value = { ...model.value, place: picked ?? undefined }),
});
</script>

<template>
  <div class="flex flex-wrap gap-x-8 gap-y-3">
    <ChoiceRow v-model="state" label="Tried" :options="STATES" />
    <ChoiceRow v-model="place" label="Where" :options="places" />
  </div>
</template>
