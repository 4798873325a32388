<script setup lang="ts">
import { computed, ref } from 'vue';
import { type Choice, CHOICES } from '../../../core/job/index.ts';
import TextField from '../../parts/TextField.vue';
import { useJob } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';

const store = useJob();
const shop = useShop();
const form = useForm();
const job = computed(() => store.job);
const choice = ref<Choice>(store.job?.decision?.choice ?? 'clean-bench');
const reason = ref(store.job?.decision?.reason ?? '');

/** What each choice costs and where it fails, in a sentence. */
const meaning: Readonly<Record<Choice, string>> = {
  relearn: 'After battery or unit work, with a clean bore. Nothing comes off.',
  'clean-in-place': 'Quick. Only the front is reachable, and solvent and dirt go inwards.',
  'clean-bench': 'Both faces and the edge. Needs a gasket, and coolant if it runs through.',
  rebuild: 'Hard O-rings, seized screws, worn gears, with a body that is true.',
  replace: 'Warped body, bent plate or worn shaft: cleaning never cures those.',
  elsewhere: 'Leak, sensor, wiring or variant. Leave the throttle alone.',
};
</script>

<template>
  <StageFrame v-if="job" stage="decide" title="Decide" lead="What will be done, and why. The sheet carries your words.">
    <form class="mt-5" @submit.prevent="form.send('decide', { choice, reason })">
      <fieldset :disabled="job.status === 'closed'" class="rows border-y border-line">
        <legend class="sr-only">What will be done</legend>
        <label
          v-for="(name, id) in CHOICES"
          :key="id"
          class="flex min-h-14 cursor-pointer items-center gap-4 py-2.5 has-checked:bg-band"
        >
          <input v-model="choice" type="radio" name="choice" :value="id" class="ml-2 size-5 accent-bottle" />
          <span class="w-52 font-semibold" :class="choice === id ? 'text-bottle' : ''">{{ name }}</span>
          <span class="text-[0.9375rem] text-soft max-sm:hidden">{{ meaning[id] }}</span>
        </label>
      </fieldset>
      <div class="mt-5 grid max-w-2xl gap-3">
        <TextField
          v-model="reason"
          label="Because"
          :lines="2"
          placeholder="deposit at the edge, valve stiff; body true, shaft without play"
          :error="form.error('reason') ?? form.general('reason')"
        />
        <button v-if="job.status === 'open'" type="submit" class="primary justify-self-start">
          {{ job.decision === null ? 'Decide' : 'Decide anew' }}
        </button>
      </div>
    </form>
    <template #why>
      <div v-if="job.decision">
        <h3 class="text-lg">{{ CHOICES[job.decision.choice] }}</h3>
        <p class="mt-1">{{ job.decision.reason }}</p>
        <p class="mt-1 text-sm text-soft">
          {{ shop.say.person(job.decision.by) }}, {{ shop.say.time(job.decision.at) }}
        </p>
      </div>
      <div>
        <h3 class="text-sm font-bold">What speaks for something</h3>
        <ul class="rows mt-1 text-[0.9375rem]">
          <li
            v-for="check in job.checks.filter(({ verdict }) => verdict === 'abnormal')"
            :key="check.id"
            class="py-1.5"
          >
            <span class="font-semibold">{{ check.name }}:</span> {{ check.result }}
          </li>
          <li v-for="code in job.codes.filter(({ when }) => when === 'before')" :key="code.id" class="py-1.5">
            <span class="code font-bold">{{ code.code }}</span>, {{ code.status }}
          </li>
        </ul>
        <p v-if="job.checks.length === 0" class="text-soft">
          Nothing was checked. A choice without a check is a guess.
        </p>
      </div>
    </template>
  </StageFrame>
</template>
