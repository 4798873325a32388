<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Job, RunOutcome } from '../../../core/job/index.ts';
import { formatClock } from '../../../core/quantity/index.ts';
import { stepsLeftOut } from '../../../core/relearn/index.ts';
import FigureField from '../../parts/FigureField.vue';
import TextField from '../../parts/TextField.vue';
import { useKeys } from '../../shell/keys.ts';
import RefusalNote from '../RefusalNote.vue';
import { useAdapterReadings } from './useAdapterReadings.ts';
import { useRunCoach } from './useRunCoach.ts';

/** The open run: one step large, its clock, what must hold, the next one small, and how it ended. */
const props = defineProps<{ job: Job; purpose: 'bleed' | 'relearn' }>();
const coach = useRunCoach(
  () => props.job,
  () => props.purpose,
);
const {
  form,
  open,
  run,
  step,
  left,
  counting,
  needs,
  clockWords,
  unread,
  blocked,
  turn,
  askedReadings,
  askedFlags,
  typed,
  text,
} = coach;
const adapter = useAdapterReadings(
  () => props.job,
  () => run.value,
  (name, value) => coach.send({ kind: 'reading', name, value }),
);
const why = ref('');
const leaving = ref(false);
const leftWhy = ref('');

const next = computed(() => {
  const { value } = run;
  return value === null || step.value === null || step.value.answers.length > 0
    ? null
    : (value.recipe.steps[value.at + 1] ?? null);
});
const leftOut = computed(() => (run.value === null ? [] : stepsLeftOut(run.value)));
const needsWhy = computed(
  () =>
    run.value !== null &&
    (run.value.recipe.way === 'itself' ||
      run.value.status === 'ended badly' ||
      leftOut.value.some((each) => each.why === '')),
);

function confirm(answer?: number): void {
  coach.confirm(answer);
}
function leaveOut(answer?: number): void {
  if (coach.send({ kind: 'leave-out', why: leftWhy.value.trim(), ...(answer !== undefined && { answer }) })) {
    leaving.value = false;
    leftWhy.value = '';
  }
}
function close(outcome: RunOutcome): void {
  if (open.value !== null && form.send('close-run', { runId: open.value.id, outcome, why: why.value })) why.value = '';
}
useKeys([{ keys: ' ', does: 'Confirm the step of the run', run: () => coach.single.value && confirm() }]);
</script>

<template>
  <div v-if="open && run" class="border-l-4 border-brass pl-4">
    <div class="flex flex-wrap items-baseline gap-x-3 text-sm text-soft">
      <b class="text-ink">{{ run.recipe.name }}</b>
      <span v-if="step">step {{ run.at + 1 }} of {{ run.recipe.steps.length }}</span>
      <span v-if="turn" class="font-bold text-brass">{{ turn }}</span>
      <RouterLink class="link ml-auto" :to="`/jobs/${job.id}/hands/run/${purpose}`">Hands busy</RouterLink>
    </div>
    <div v-if="run.recipe.steps.length > 0" class="mt-2 flex gap-1" aria-hidden="true">
      <span
        v-for="(each, index) in run.recipe.steps"
        :key="each.id"
        class="h-1.5 flex-1 rounded-full"
        :class="index < run.at ? 'bg-moss' : index === run.at && step ? 'bg-brass' : 'bg-line'"
      />
    </div>
    <template v-if="step">
      <p class="mt-4 text-2xl font-bold">{{ step.title }}</p>
      <p class="mt-1 max-w-prose text-soft">{{ step.how }}</p>
      <p v-if="left !== null" class="mt-3 flex items-baseline gap-3">
        <span class="figure text-figure-xl" :class="counting ? 'text-brass' : 'text-soft'" data-testid="run-clock">{{
          formatClock(left)
        }}</span><span class="text-soft">{{ clockWords }}</span>
      </p>
      <p v-if="needs" class="mt-2 font-semibold text-brass">Needs: {{ needs }}.</p>
      <p v-if="run.said" class="mt-2 font-semibold text-alarm" role="status">{{ run.said }}</p>
      <div v-if="askedReadings.length + askedFlags.length > 0" class="mt-4 flex flex-wrap items-end gap-3">
        <form
          v-for="asked in askedReadings"
          :key="asked.name"
          class="flex items-end gap-2"
          @submit.prevent="coach.enter(asked)"
        >
          <FigureField
            v-model="typed[asked.name]!"
            :label="asked.label"
            :field="asked.field"
            class="w-40"
            :placeholder="asked.last"
            :error="unread === asked.name ? `Expected a figure in ${asked.unit}.` : form.error('value')"
          />
          <button type="submit" class="quiet">Enter</button>
          <span v-if="asked.last" class="pb-2"
            ><span class="figure text-xl">{{ asked.last }}</span> {{ asked.unit }}</span
          >
        </form>
        <button
          v-for="flag in askedFlags"
          :key="flag.name"
          type="button"
          class="quiet"
          :aria-pressed="flag.on"
          @click="coach.toggle(flag.name, !flag.on)"
        >
          {{ flag.words }}
        </button>
      </div>
      <p
        v-if="askedReadings.length > 0 && adapter.links.value.length > 0"
        class="mt-2 flex flex-wrap items-center gap-3"
      >
        <select
          v-model="adapter.chosen.value"
          class="input w-auto"
          aria-label="Adapter"
          :disabled="adapter.reading.value"
        >
          <option v-for="link in adapter.links.value" :key="link.id" :value="link.id">{{ link.name }}</option>
        </select>
        <button v-if="adapter.reading.value" type="button" class="quiet" @click="adapter.stop()">Stop reading</button>
        <button v-else type="button" class="quiet" @click="adapter.start()">Read from the adapter</button>
        <span v-if="adapter.reading.value" class="text-note text-brass" role="status">reading, every few seconds</span>
        <span v-if="adapter.wrong.value" class="text-note font-semibold text-alarm" role="alert">{{
          adapter.wrong.value
        }}</span>
      </p>
      <TextField
        v-if="step.asks"
        v-model="text"
        class="mt-4 max-w-xl"
        :label="`Type ${step.asks}`"
        placeholder="as it stands there"
        :error="form.error('text')"
      />
      <div class="mt-4 flex flex-wrap items-center gap-3">
        <button
          v-if="coach.single.value"
          type="button"
          :class="blocked === null ? 'primary' : 'quiet'"
          @click="confirm()"
        >
          Step done <kbd class="key" aria-hidden="true">Space</kbd>
        </button>
        <button
          v-for="(answer, index) in step.answers"
          :key="answer.words"
          type="button"
          class="quiet min-h-12"
          @click="confirm(index)"
        >
          {{ answer.words }}
        </button>
        <span v-if="step.instead.length > 0" class="text-soft">or</span>
        <button
          v-for="(other, index) in step.instead"
          :key="other.words"
          type="button"
          class="link"
          @click="coach.send({ kind: 'instead', answer: index })"
        >
          {{ other.words }}
        </button>
        <button v-if="!leaving" type="button" class="faint" @click="leaving = true">Leave this step out</button>
      </div>
      <form v-if="leaving" class="mt-3 flex max-w-2xl flex-wrap items-end gap-3" @submit.prevent="leaveOut()">
        <TextField
          v-model="leftWhy"
          class="min-w-60 flex-1"
          label="Why it is left out"
          placeholder="done on the road already"
          :error="form.error('leftOut')"
        />
        <template v-if="step.answers.length > 0">
          <button
            v-for="(answer, index) in step.answers"
            :key="answer.words"
            type="button"
            class="quiet"
            @click="leaveOut(index)"
          >
            Leave it out: {{ answer.words }}
          </button>
        </template>
        <button v-else type="submit" class="quiet">Leave it out</button>
        <button type="button" class="faint" @click="leaving = false">No, go on</button>
      </form>
      <p v-if="next" class="mt-4 text-soft">
        Then <b class="text-ink">{{ next.title }}</b>
      </p>
    </template>
    <p v-else class="mt-3 text-xl font-bold" :class="run.status === 'complete' ? 'text-moss' : 'text-alarm'">
      {{ run.said }}
    </p>
    <RefusalNote class="mt-2" :form="form" :job="job" :fields="['why', 'value', 'text', 'leftOut', 'answer']" />
    <p v-if="form.error('answer')" class="mt-2 font-semibold text-alarm" role="alert">{{ form.error('answer') }}</p>
    <div class="mt-5 grid max-w-2xl gap-2 border-t border-line pt-3 sm:grid-cols-[1fr_auto]">
      <TextField
        v-if="needsWhy || purpose === 'relearn'"
        v-model="why"
        :label="needsWhy ? 'Why it is closed here' : 'Why, if it did not take'"
        :placeholder="needsWhy ? 'seen on the tool: values stored' : 'idle stayed high'"
        :error="form.error('why')"
      />
      <div class="flex flex-wrap items-end gap-2">
        <button type="button" class="quiet" @click="close('took')">
          {{ purpose === 'bleed' ? 'Bled' : 'It took' }}
        </button>
        <button v-if="purpose === 'relearn'" type="button" class="quiet" @click="close('did not take')">
          Did not take
        </button>
        <button type="button" class="quiet" @click="close('abandoned')">Abandon</button>
      </div>
    </div>
  </div>
</template>
