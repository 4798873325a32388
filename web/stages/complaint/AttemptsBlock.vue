<script setup lang="ts">
import { computed, ref } from 'vue';
import { OPTIONS, type OptionId } from '../../../core/diagnose/index.ts';
import { type Job, unitsOf, whereIs } from '../../../core/job/index.ts';
import { convert, type Field, FIELDS } from '../../../core/quantity/index.ts';
import { METER_FIELDS } from '../../../core/vehicle/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import { numberIn } from '../../parts/numberIn.ts';
import TextField from '../../parts/TextField.vue';
import { freshId, useJob } from '../../stores/job.ts';
import { useForm } from '../useForm.ts';

/** What was tried about it before: here, found by itself; elsewhere, as told. How it went counts. */
const props = defineProps<{ job: Job }>();
const store = useJob();
const form = useForm();
const open = computed(() => props.job.status === 'open');
const adding = ref(false);
const option = ref<OptionId>('clean-in-place');
const helped = ref<'yes' | 'no' | null>('no');
const at = ref('');
const days = ref('');
const use = ref('');
const words = ref('');
const units = computed(() => unitsOf(props.job, store.family));
const hours = computed(() => props.job.vehicle.meterUnit === 'h');
/** What cannot be read stays in its field, and is said beside it; nothing is kept without it. */
const wrong = ref<Readonly<Record<'days' | 'use', string | null>>>({ days: null, use: null });
const figure = (text: string, field: Field): number | null => (text.trim() === '' ? null : numberIn(text, field));
const unread = (value: number | null): string | null =>
  value !== null && (Number.isNaN(value) || value < 0) ? 'Expected a number, zero or more.' : null;
function tell(): void {
  const [ago, since] = [figure(days.value, FIELDS.days), figure(use.value, METER_FIELDS[props.job.vehicle.meterUnit])];
  wrong.value = { days: unread(ago), use: unread(since) };
  if (wrong.value.days !== null || wrong.value.use !== null) return;
  const distance =
    since !== null && props.job.vehicle.meterUnit === 'mi' ? Math.round(convert(since, 'mi', 'km')) : since;
  const unit = units.value[Number(at.value)];
  const sent = form.send('tell-attempt', {
    id: freshId(),
    option: option.value,
    ...(at.value === '' || unit === undefined ? {} : { unit }),
    helped: helped.value === 'yes',
    ago: { km: hours.value ? null : distance, h: hours.value ? distance : null, days: ago },
    words: words.value,
  });
  if (!sent) return;
  adding.value = false;
  days.value = use.value = words.value = '';
}
const since = ({ km, h, days: ago }: { km: number | null; h: number | null; days: number | null }): string =>
  [
    ago === null ? '' : `${Math.round(ago)} days ago`,
    km === null ? '' : `${Math.round(km)} km since`,
    h === null ? '' : `${Math.round(h)} h since`,
  ]
    .filter(Boolean)
    .join(', ');
</script>

<template>
  <section aria-label="Tried before">
    <h3 class="mb-1 mt-7 text-sm font-bold">Tried before</h3>
    <ul v-if="job.earlierWork.length + job.attempts.length > 0" class="rows max-w-2xl border-y border-line">
      <li v-for="work in job.earlierWork" :key="work.jobId" class="flex flex-wrap items-baseline gap-x-3 py-1.5">
        <RouterLink class="link" :to="`/jobs/${work.jobId}`">Job {{ work.number }}</RouterLink>
        <span class="font-semibold">{{ OPTIONS[work.option] }}</span>
        <span :class="work.helped ? 'text-moss' : 'font-semibold text-oxide'">{{
          work.helped ? 'held' : 'came back'
        }}</span>
        <span class="text-sm text-soft">{{ since(work.ago) }}</span>
      </li>
      <li v-for="each in job.attempts" :key="each.id" class="flex flex-wrap items-baseline gap-x-3 py-1.5">
        <span class="font-semibold">{{ OPTIONS[each.option] }}</span>
        <span v-if="each.unit" class="text-soft">{{ whereIs(each.unit) }}</span>
        <span :class="each.helped ? 'text-moss' : 'font-semibold text-oxide'">{{
          each.helped ? 'helped' : 'did not help'
        }}</span>
        <span class="text-sm text-soft">{{
          [since(each.ago), each.words && `“${each.words}”`].filter(Boolean).join(', ')
        }}</span>
        <button
          v-if="open"
          type="button"
          class="link ml-auto min-h-8 text-sm"
          @click="form.send('strike-attempt', { id: each.id })"
        >
          Strike out<span class="sr-only"> {{ OPTIONS[each.option] }}</span>
        </button>
      </li>
    </ul>
    <p v-else class="text-soft">
      Nothing that is known of. What failed before counts against a cause that it would have cured.
    </p>
    <button v-if="open && !adding" type="button" class="quiet mt-2" @click="adding = true">Note what was tried</button>
    <form v-if="open && adding" class="mt-3 grid max-w-2xl gap-3 sm:grid-cols-2" @submit.prevent="tell">
      <label class="block"
        ><span class="mb-1 block text-sm font-semibold">What was done</span
        ><select v-model="option" class="input">
          <option v-for="(name, id) in OPTIONS" :key="id" :value="id">{{ name }}</option>
        </select></label
      >
      <label v-if="units.length > 1" class="block"
        ><span class="mb-1 block text-sm font-semibold">On which one</span
        ><select v-model="at" class="input">
          <option value="">not known</option>
          <option v-for="(unit, index) in units" :key="whereIs(unit)" :value="String(index)">
            {{ whereIs(unit) }}
          </option>
        </select></label
      >
      <ChoiceRow
        v-model="helped"
        class="sm:col-span-2"
        label="Did it help"
        :options="[
          { id: 'no', name: 'No, it was still there' },
          { id: 'yes', name: 'Yes, for a while at least' },
        ]"
      />
      <FigureField v-model="days" label="How long ago, days" :field="FIELDS.days" :error="wrong.days" />
      <FigureField
        v-model="use"
        :label="`Since then, ${job.vehicle.meterUnit}`"
        :field="METER_FIELDS[job.vehicle.meterUnit]"
        :error="wrong.use"
      />
      <TextField
        v-model="words"
        class="sm:col-span-2"
        label="In their words"
        placeholder="another garage put a new valve in"
      />
      <p v-if="form.general()" class="text-sm font-semibold text-alarm sm:col-span-2" role="alert">
        {{ form.general() }}
      </p>
      <button type="submit" class="quiet justify-self-start">Keep it</button>
    </form>
  </section>
</template>
