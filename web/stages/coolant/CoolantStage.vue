<script setup lang="ts">
import { computed } from 'vue';
import { coolantAccount, freezePoint } from '../../../core/coolant/index.ts';
import {
  coolantLoss,
  coolantSystem,
  jobCoolantQuestions,
  mixAfter,
  openedHoses,
  shareBefore,
} from '../../../core/job/index.ts';
import { format, formatNumber } from '../../../core/quantity/index.ts';
import FigureRow from '../../parts/FigureRow.vue';
import SourceNote from '../../parts/SourceNote.vue';
import { useJob } from '../../stores/job.ts';
import RunPanel from '../runs/RunPanel.vue';
import StageFrame from '../StageFrame.vue';
import BookBlock from './BookBlock.vue';
import CircuitDrawing from './CircuitDrawing.vue';
import LevelLeaks from './LevelLeaks.vue';
import RecheckForm from './RecheckForm.vue';
import SystemForm from './SystemForm.vue';
import StrengthBlock from './StrengthBlock.vue';

/** Coolant from what the hoses let go to the level when it is cold again. */
const store = useJob();
const job = computed(() => store.job);
const system = computed(() => (job.value === null ? null : coolantSystem(job.value)));
const account = computed(() => coolantAccount(job.value?.coolant ?? []));
const after = computed(() => (job.value === null ? null : mixAfter(job.value)));
const before = computed(() => (job.value === null ? null : shareBefore(job.value)));
const loss = computed(() => (job.value === null ? null : coolantLoss(job.value)));
const hoses = computed(() => (job.value === null ? [] : openedHoses(job.value)));
const questions = computed(() => (job.value === null ? [] : jobCoolantQuestions(job.value)));
const beforeFreeze = computed(() =>
  system.value === null || before.value === null ? null : freezePoint(system.value.glycol, before.value.share).celsius,
);
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
    <div v-if="loss && loss.middle > 0" class="mt-4 max-w-2xl text-note">
      <p>
        <b>{{ hoses.length }} {{ hoses.length === 1 ? 'hose' : 'hoses' }} off</b>: about {{ loss.middle.toFixed(2) }} L
        should have come out<span v-if="loss.assumed.length > 0" class="text-soft">
          ({{ loss.assumed.length }} of them assumed)</span
        >. Caught {{ account.caught.toFixed(2) }} L.
      </p>
      <p v-if="loss.question" class="font-semibold text-brass">{{ loss.question }}</p>
    </div>
    <SystemForm class="mt-4" :job="job" :system="system" />
    <StrengthBlock v-if="system" class="mt-5 border-t border-line pt-4" :job="job" :system="system" />
    <BookBlock class="mt-6 border-t border-line pt-4" :job="job" :system="system" />

    <section id="bleed" class="mt-7 border-t border-line pt-4">
      <h3 class="mb-2 text-lg">Bleed</h3>
      <RunPanel :job="job" purpose="bleed" />
    </section>

    <LevelLeaks class="mt-7 border-t border-line pt-4" :job="job" />
    <RecheckForm class="mt-7 border-t border-line pt-4" :job="job" />

    <template #why>
      <CircuitDrawing
        class="w-full shrink-0"
        :level="lastLevel('cold')?.level ?? lastLevel('hot')?.level ?? null"
        :bleeding="bleeding !== null && bleeding.closed === null"
      />
      <div v-if="after && system">
        <p>
          <span class="figure text-figure-md text-harbour">{{
            formatNumber({ value: after.freezes.celsius, unit: '°C' }, { decimals: 0 })
          }}</span>
          <span class="text-lg font-semibold text-soft">°C freezes</span>
        </p>
        <dl class="rows mt-2 border-t border-line text-note">
          <FigureRow label="Mix now">{{ (after.concentration * 100).toFixed(0) }} %</FigureRow>
          <FigureRow :label="before?.read ? 'Before, as read' : 'Before, by the book'"
            >{{ Math.round((before?.share ?? system.concentration) * 100) }} %,
            {{ format({ value: beforeFreeze ?? 0, unit: '°C' }, { decimals: 0 }) }}</FigureRow
          >
          <FigureRow v-if="system.inhibitor" label="Inhibitor">{{ system.inhibitor }}</FigureRow>
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
        <li v-for="question in questions" :key="question">{{ question.endsWith('?') ? question : `${question}.` }}</li>
      </ul>
    </template>
  </StageFrame>
</template>
