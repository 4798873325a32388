<script setup lang="ts">
import { FIELDS } from '../../../core/quantity/index.ts';
import { computed, ref } from 'vue';
import type { JobUnit, Job } from '../../../core/job/index.ts';
import { COUNTED_SCREWS, type CountedScrew, netTurns, turnWords } from '../../../core/rebuild/index.ts';
import { ruleFor } from '../../../core/house/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { freshId } from '../../stores/job.ts';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';

/** Stop, idle and sync screws: every turn counted, so that each goes back to where it was found. */
const props = defineProps<{ job: Job; unit: JobUnit }>();
const shop = useShop();
const form = useForm();
const screw = ref<CountedScrew | null>('idle');
const turns = ref('');
const why = ref('');
const reason = ref('');
/** A new body is set by whoever made it. */
const isNew = computed(() =>
  props.job.replaced.some(({ unit, fitted }) => unit === props.unit.id && fitted.origin === 'new'),
);
const own = computed(() => props.job.turned.filter(({ unit }) => unit === props.unit.id));
const options = (Object.entries(COUNTED_SCREWS) as [CountedScrew, string][]).map(([id, name]) => ({ id, name }));
function record(): void {
  if (
    form.send('turn-screw', {
      id: freshId(),
      unit: props.unit.id,
      screw: screw.value ?? 'idle',
      turnsText: turns.value,
      why: why.value,
    })
  )
    [turns.value, why.value] = ['', ''];
}
const byRule = computed(() => form.wrong.value?.message.startsWith('The house rule') === true);
function depart(): void {
  const rule = ruleFor(shop.rules, 'stop-screw');
  if (
    rule !== null &&
    form.send('depart-from-rule', { question: 'stop-screw', taken: 'stop-gap', reason: reason.value })
  )
    record();
}
</script>

<template>
  <section>
    <h3 class="text-lg">Screws turned</h3>
    <p class="max-w-prose text-note text-soft">
      To keep where one stood: turn it in gently until it seats, counting, and out again by the same.
      <template v-if="isNew"
        >This body is new: it comes with its own factory setting, so leave its stop screw.</template
      >
    </p>
    <dl v-if="own.length > 0" class="rows mt-1 border-y border-line">
      <div
        v-for="option in options.filter(({ id }) => own.some((turn) => turn.screw === id))"
        :key="option.id"
        class="flex justify-between gap-4 py-2"
      >
        <dt class="font-semibold">{{ option.name }}</dt>
        <dd :class="netTurns(own, option.id) === 0 ? 'text-moss' : 'font-bold text-brass'">
          {{ turnWords(netTurns(own, option.id)) }}
        </dd>
      </div>
    </dl>
    <form v-if="job.status === 'open'" class="mt-2 flex flex-wrap items-start gap-3" @submit.prevent="record">
      <ChoiceRow v-model="screw" label="Which" :options="options" />
      <FigureField
        v-model="turns"
        :field="FIELDS.turnsOfScrew"
        class="w-32"
        label="Turns, out +"
        placeholder="−1.5"
        :error="form.error('turnsText')"
      />
      <TextField v-model="why" class="min-w-44 flex-1" label="Why" placeholder="to free its O-ring" />
      <button type="submit" class="quiet mt-6">Count</button>
    </form>
    <div v-if="byRule" class="mt-2 border-l-[3px] border-brass pl-3" role="alert">
      <p class="font-semibold">{{ form.wrong.value?.message }}</p>
      <form class="mt-1 flex items-start gap-2" @submit.prevent="depart">
        <TextField
          v-model="reason"
          class="flex-1"
          label="Reason to depart from it"
          placeholder="warped body, stop-gap until Friday"
        />
        <button type="submit" class="quiet mt-6">Depart and count</button>
      </form>
    </div>
    <p v-else-if="form.general('turnsText')" class="mt-1 text-sm font-semibold text-alarm" role="alert">
      {{ form.general('turnsText') }}
    </p>
  </section>
</template>
