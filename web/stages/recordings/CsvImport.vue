<script setup lang="ts">
import { computed, ref, shallowRef } from 'vue';
import { type Condition, type Job, keepingOf, reportBy, type When } from '../../../core/job/index.ts';
import { type CsvLayout, ROLES } from '../../../core/trace/index.ts';
import { storeRecording } from '../../data/recordings.ts';
import { nowIso } from '../../stores/clock.ts';
import { freshId } from '../../stores/job.ts';
import { useTracing } from '../../workers/useTracing.ts';
import { useForm } from '../useForm.ts';

/** A file of somebody's live data: what was understood of it first, then read in a worker, with how far it is. */
const props = defineProps<{ job: Job; when: When; under: Condition }>();
const tracing = useTracing();
const form = useForm();
const file = shallowRef<File | null>(null);
const layout = shallowRef<CsvLayout | null>(null);
const lines = ref(0);
const share = ref<number | null>(null);
const wrong = ref('');
const problems = ref<readonly { readonly line: number; readonly words: string }[]>([]);
const problemCount = ref(0);
const done = ref('');
let reading = 0;

const foreign = computed(
  () =>
    layout.value !== null &&
    layout.value.vin !== '' &&
    props.job.vehicle.vin !== '' &&
    layout.value.vin !== props.job.vehicle.vin,
);
const SEPARATOR: Readonly<Record<string, string>> = { ',': 'comma', ';': 'semicolon', '\t': 'tab', '|': 'bar' };
const TIME: Readonly<Record<CsvLayout['time']['form'], string>> = {
  seconds: 'in seconds',
  milliseconds: 'in milliseconds',
  minutes: 'in minutes',
  clock: 'as a clock',
  date: 'as dates',
};

async function attempt(work: () => Promise<void>): Promise<void> {
  wrong.value = '';
  try {
    await work();
  } catch (error) {
    wrong.value = error instanceof Error ? error.message : String(error);
    share.value = null;
  }
}
const pick = (event: Event): Promise<void> =>
  attempt(async () => {
    const input = event.target as HTMLInputElement;
    const picked = input.files?.[0] ?? null;
    input.value = '';
    layout.value = null;
    problems.value = [];
    done.value = '';
    file.value = picked;
    if (picked === null) return;
    const answer = await tracing.ask('looked', { kind: 'look', bytes: await picked.arrayBuffer() }).answer;
    if (answer === null) return;
    layout.value = answer.layout;
    lines.value = answer.lines;
  });
const read = (): Promise<void> =>
  attempt(async () => {
    if (layout.value === null) return;
    share.value = 0;
    const asked = tracing.ask('read', { kind: 'read', layout: layout.value }, (now) => (share.value = now));
    reading = asked.id;
    const answer = await asked.answer;
    share.value = null;
    if (answer === null) return;
    problems.value = answer.problems;
    problemCount.value = answer.problemCount;
    const { hash } = await storeRecording(answer.packed as Uint8Array<ArrayBuffer>);
    const source = {
      id: freshId(),
      hash,
      when: props.when,
      startedAt: nowIso(),
      from: (file.value?.name ?? 'a file').slice(0, 200),
      ended: 'file' as const,
      under: props.under,
    };
    if (!form.send('keep-recording', keepingOf(answer.trace, source, reportBy(props.job.vehicle)))) return;
    done.value = `${answer.readings} readings of ${answer.trace.channels.length} values were read.`;
    layout.value = null;
  });
const cancel = (): void => tracing.cancel(reading);
</script>

<template>
  <section aria-label="Live data from a file">
    <label class="quiet inline-flex cursor-pointer items-center">
      Live data from a CSV file
      <input type="file" accept=".csv,.txt,.tsv,text/csv" class="sr-only" @change="pick" />
    </label>
    <p v-if="wrong" class="mt-2 font-semibold text-alarm" role="alert">{{ file?.name }}: {{ wrong }}</p>
    <div v-if="layout" class="mt-3 border border-line bg-card p-4">
      <p class="font-bold">{{ file?.name }}</p>
      <p class="text-note text-soft">
        Understood: parted by {{ SEPARATOR[layout.separator] }}, decimals with
        {{ layout.decimal === ',' ? 'comma' : 'point' }},
        {{ layout.shape === 'wide' ? 'one row a moment' : 'one row a value' }}, time {{ TIME[layout.time.form] }}, about
        {{ lines }} rows.
      </p>
      <p v-if="foreign" class="mt-2 font-semibold text-alarm" role="alert">
        The file is of another vehicle: it says {{ layout.vin }}, this one is {{ job.vehicle.vin }}.
      </p>
      <div
        v-if="layout.shape === 'wide'"
        class="mt-2 overflow-x-auto"
        tabindex="0"
        role="region"
        aria-label="What was understood"
      >
        <table class="w-full text-note">
          <thead>
            <tr>
              <th scope="col" class="pr-4 text-left">Heading</th>
              <th scope="col" class="pr-4 text-left">Taken as</th>
              <th scope="col" class="pr-4 text-left">Unit</th>
              <th scope="col" class="text-left">First rows</th>
            </tr>
          </thead>
          <tbody>
            <tr v-for="column in layout.columns" :key="column.column" class="border-t border-line">
              <th scope="row" class="py-1 pr-4 text-left font-semibold">{{ column.name }}</th>
              <td class="py-1 pr-4" :class="column.role ? '' : 'text-soft'">
                {{ column.role ? ROLES[column.role].name : 'kept as it is' }}
              </td>
              <td class="py-1 pr-4">{{ column.unit || '—' }}</td>
              <td class="code py-1">
                {{
                  layout.first
                    .slice(0, 3)
                    .map((row) => row[column.column] ?? '')
                    .join(' · ')
                }}
              </td>
            </tr>
          </tbody>
        </table>
      </div>
      <div class="mt-3 flex flex-wrap items-center gap-3">
        <template v-if="share === null">
          <button type="button" class="primary" @click="read">
            {{ foreign ? 'Take it all the same' : `Take it, ${when} the work` }}
          </button>
          <button type="button" class="quiet" @click="layout = null">Leave it</button>
        </template>
        <template v-else>
          <progress :value="share" max="1" class="h-3 w-64" :aria-label="`Reading ${file?.name ?? ''}`" />
          <span>{{ Math.round(share * 100) }} %</span>
          <button type="button" class="quiet" @click="cancel">Stop</button>
        </template>
      </div>
    </div>
    <p v-if="done" class="mt-2 text-moss" role="status">{{ done }}</p>
    <div v-if="problems.length > 0" class="mt-1 text-note text-brass">
      <p class="font-semibold">{{ problemCount }} {{ problemCount === 1 ? 'cell was' : 'cells were' }} left out:</p>
      <ul>
        <li v-for="(each, index) in problems.slice(0, 5)" :key="index">line {{ each.line }}: {{ each.words }}</li>
      </ul>
    </div>
    <p v-if="form.general()" class="mt-2 font-semibold text-alarm" role="alert">{{ form.general() }}</p>
  </section>
</template>
