<script setup lang="ts">
import { computed, ref } from 'vue';
import { type Choice, CHOICES } from '../../core/job/index.ts';
import { type OptionTerms, wayId } from '../../core/choose/index.ts';
import { departure } from '../../core/house/index.ts';
import { lowerFirst } from '../../core/words/index.ts';
import TextField from '../parts/TextField.vue';
import StageFrame from '../stages/StageFrame.vue';
import { useForm } from '../stages/useForm.ts';
import { useOptions } from '../stages/choice/useOptions.ts';

/** Decide in practice: what each way takes, and your choice; which comes first is said afterwards. */
const { store, shop, input, wayName } = useOptions();
const form = useForm();
const job = computed(() => store.job);
const reason = ref(store.job?.decision?.reason ?? '');
const chosen = ref(store.job?.decision?.plan?.[0] ?? '');
const rows = computed(() =>
  (input.value?.terms ?? []).map((terms: OptionTerms) => ({
    id: wayId(terms),
    terms,
    name: wayName({ option: terms.id, terms }),
  })),
);
const isUnsaid = ref(false);
const why = ref('');
/** The house rule from which the choice departs: it is said why, as in any job. */
const rule = computed(() => {
  const row = rows.value.find(({ id }) => id === chosen.value);
  return row === undefined ? null : departure(shop.rules, row.terms.id);
});
function decide(): void {
  const row = rows.value.find(({ id }) => id === chosen.value);
  isUnsaid.value = row === undefined;
  if (row === undefined) return;
  form.send('decide', {
    choice: row.terms.id as Choice,
    reason: reason.value,
    departure: why.value,
    options: [],
    plan: [row.id],
  });
}
const ordered = (terms: OptionTerms): string =>
  terms.partsMinor === null ? 'price not known' : terms.partsMinor === 0 ? '' : shop.say.money(terms.partsMinor);
</script>

<template>
  <StageFrame
    v-if="job"
    stage="decide"
    title="What is done about it?"
    lead="Each way with what it takes. Which one the plan would begin with is told afterwards, beside yours."
  >
    <form class="mt-5 grid gap-4" @submit.prevent="decide">
      <fieldset>
        <legend class="sr-only">What is done</legend>
        <div
          class="grid grid-cols-[minmax(0,1fr)_6rem_7rem] gap-x-3 border-b border-line pb-1 text-sm text-soft"
          aria-hidden="true"
        >
          <span>Way</span><span class="text-right">Hands-on</span><span class="text-right">Parts</span>
        </div>
        <label
          v-for="row in rows"
          :key="row.id"
          class="grid min-h-12 cursor-pointer grid-cols-[minmax(0,1fr)_6rem_7rem] items-center gap-x-3 border-b border-line py-1.5 has-checked:bg-band has-checked:font-bold"
        >
          <span class="flex items-center gap-3">
            <input v-model="chosen" type="radio" name="way" :value="row.id" class="size-5 shrink-0 accent-bottle" />
            {{ row.name }}
          </span>
          <span class="whitespace-nowrap text-right tabular-nums">{{ Math.round(row.terms.minutes) }} min</span>
          <span class="whitespace-nowrap text-right tabular-nums">{{ ordered(row.terms) }}</span>
        </label>
      </fieldset>
      <p v-if="isUnsaid" class="font-semibold text-alarm" role="alert">Choose what is done.</p>
      <TextField v-model="reason" label="Why" placeholder="in a few words" :error="form.error('reason')" />
      <TextField
        v-if="rule"
        v-model="why"
        :label="`House rule: ${lowerFirst(rule.rule.name)}. Why does this job depart from it?`"
        :error="form.error('departure')"
      />
      <p v-if="form.general('reason', 'departure')" class="font-semibold text-alarm" role="alert">
        {{ form.general('reason', 'departure') }}
      </p>
      <button type="submit" class="primary max-w-sm">
        {{ job.decision === null ? 'Decide' : 'Decide anew' }}
      </button>
      <p v-if="job.decision" role="status">
        Decided: {{ CHOICES[job.decision.choice].toLowerCase() }}. {{ job.decision.reason }}
      </p>
    </form>
  </StageFrame>
</template>
