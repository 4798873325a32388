<script setup lang="ts">
import { computed, ref } from 'vue';
import { coolantAccount, coolantQuestions, freezePoint } from '../../../core/coolant/index.ts';
import { mixAfter } from '../../../core/sheet/index.ts';
import { format, formatNumber, parseNumber } from '../../../core/quantity/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureRow from '../../parts/FigureRow.vue';
import SourceNote from '../../parts/SourceNote.vue';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import RunPanel from '../RunPanel.vue';
import StageFrame from '../StageFrame.vue';
import { useForm } from '../useForm.ts';
import CircuitDrawing from './CircuitDrawing.vue';

type Kind = 'caught' | 'returned' | 'added' | 'discarded';
const store = useJob();
const form = useForm();
const job = computed(() => store.job);
const kind = ref<Kind | null>('caught');
const amount = ref('');
const strength = ref('50');
const system = computed(() => job.value?.procedure?.coolant ?? null);
const account = computed(() => coolantAccount(job.value?.coolant ?? []));
const after = computed(() => (job.value === null ? null : mixAfter(job.value)));
const questions = computed(() => coolantQuestions(account.value));
const nominalFreeze = computed(() =>
  system.value === null ? null : freezePoint(system.value.glycol, system.value.concentration).celsius,
);

function record(): void {
  const share = parseNumber(strength.value);
  if (
    form.send('record-coolant', {
      id: freshId(),
      kind: kind.value ?? 'caught',
      amountText: amount.value,
      concentration: kind.value === 'added' ? (Number.isNaN(share) ? null : share / 100) : null,
    })
  )
    amount.value = '';
}
const levelWords = { low: 'Low', right: 'Right', high: 'High' } as const;
const lastLevel = (when: 'hot' | 'cold') => job.value?.levels.filter((level) => level.when === when).at(-1);
const bleeding = computed(() => job.value?.runs.filter(({ run }) => run.recipe.purpose === 'bleed').at(-1) ?? null);
</script>

<template>
  <StageFrame
    v-if="job"
    stage="coolant"
    title="Coolant"
    :lead="
      system
        ? `${format({ value: system.capacityL, unit: 'L' })} in all, ${Math.round(system.concentration * 100)} % antifreeze. Bleeds at the ${system.bleedPoint}.`
        : 'Only where a hose came off.'
    "
  >
    <ul v-if="job.coolant.length > 0" class="rows mt-4 border-y border-line">
      <li v-for="entry in job.coolant" :key="entry.id" class="flex justify-between gap-4 py-2">
        <span class="capitalize"
          >{{ entry.kind
          }}<span v-if="entry.concentration !== null" class="text-soft normal-case"
            >, {{ Math.round(entry.concentration * 100) }} % antifreeze</span
          ></span
        ><span class="font-bold text-harbour">{{ format(entry.quantity) }}</span>
      </li>
    </ul>
    <form
      v-if="job.status === 'open'"
      class="mt-4 grid max-w-2xl items-start gap-3 sm:grid-cols-[auto_8rem_8rem_auto]"
      @submit.prevent="record"
    >
      <ChoiceRow
        v-model="kind"
        label="What"
        :options="[
          { id: 'caught', name: 'Caught' },
          { id: 'returned', name: 'Returned' },
          { id: 'added', name: 'Added' },
          { id: 'discarded', name: 'Discarded' },
        ]"
      />
      <TextField
        v-model="amount"
        label="How much"
        placeholder="0.7 L"
        :error="form.error('amountText') ?? form.general('amountText', 'concentration')"
      />
      <TextField
        v-if="kind === 'added'"
        v-model="strength"
        label="Strength, %"
        inputmode="decimal"
        :error="form.error('concentration')"
      /><span v-else />
      <button type="submit" class="quiet mt-6">Record</button>
    </form>

    <section class="mt-7 border-t border-line pt-4">
      <h3 class="mb-2 text-lg">Bleed</h3>
      <RunPanel :job="job" purpose="bleed" />
    </section>

    <section class="mt-7 border-t border-line pt-4">
      <h3 class="text-lg">Level</h3>
      <div v-for="when in ['hot', 'cold'] as const" :key="when" class="mt-2 flex flex-wrap items-center gap-3">
        <span class="w-24 font-semibold">{{ when === 'hot' ? 'Hot' : 'Cold again' }}</span>
        <fieldset class="flex gap-2" :disabled="job.status === 'closed'">
          <legend class="sr-only">Level {{ when }}</legend>
          <button
            v-for="(name, level) in levelWords"
            :key="level"
            type="button"
            class="quiet"
            :aria-pressed="lastLevel(when)?.level === level"
            @click="store.send('check-level', { when, level })"
          >
            {{ name }}
          </button>
        </fieldset>
      </div>
    </section>

    <template #why>
      <CircuitDrawing
        :level="lastLevel('cold')?.level ?? lastLevel('hot')?.level ?? null"
        :bleeding="bleeding !== null && bleeding.closed === null"
      />
      <div v-if="after && system">
        <p>
          <span class="figure text-[2.25rem] text-harbour">{{
            formatNumber({ value: after.freezesAt, unit: '°C' }, { decimals: 0 })
          }}</span>
          <span class="text-lg font-semibold text-soft">°C freezes</span>
        </p>
        <dl class="rows mt-2 border-t border-line text-[0.9375rem]">
          <FigureRow label="Mix now">{{ (after.concentration * 100).toFixed(0) }} %</FigureRow>
          <FigureRow label="Before"
            >{{ Math.round(system.concentration * 100) }} %,
            {{ format({ value: nominalFreeze ?? 0, unit: '°C' }, { decimals: 0 }) }}</FigureRow
          >
          <FigureRow label="Still in the tray">{{ account.inTray.toFixed(2) }} L</FigureRow>
          <FigureRow label="In less out"
            >{{ account.net >= 0 ? '+' : '−' }}{{ Math.abs(account.net).toFixed(2) }} L</FigureRow
          >
          <FigureRow label="Source"
            ><SourceNote :source="job.procedure?.source ?? null" class="font-normal"
          /></FigureRow>
        </dl>
      </div>
      <ul v-if="questions.length > 0" class="border-l-[3px] border-brass py-1 pl-3">
        <li v-for="question in questions" :key="question">{{ question }}.</li>
      </ul>
    </template>
  </StageFrame>
</template>
