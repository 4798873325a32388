<script setup lang="ts">
import { computed, ref } from 'vue';
import { FIELDS } from '../../core/quantity/index.ts';
import { calibrationDue, type Tool } from '../../core/prepare/index.ts';
import { ApiError } from '../data/api.ts';
import { dropTool, keepTool } from '../data/people.ts';
import FieldBox from '../parts/FieldBox.vue';
import FigureField from '../parts/FigureField.vue';
import { numberIn } from '../parts/numberIn.ts';
import TextField from '../parts/TextField.vue';
import { freshId } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';
import { useToday } from '../stores/today.ts';

/** Tools other than wrenches: what a procedure asks for is looked for here, with where it hangs and when it is due. */
defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const today = useToday();
const changing = ref<string | null>(null);
const name = ref('');
const place = ref('');
const range = ref('');
const calibratedOn = ref('');
const months = ref('');
const fields = ref<Readonly<Record<string, string>>>({});
const problem = ref('');

function change(tool: Tool): void {
  clear();
  changing.value = tool.id;
  ({ name: name.value, place: place.value, range: range.value } = tool);
  calibratedOn.value = tool.calibratedOn ?? '';
  months.value = tool.calibrationMonths === null ? '' : String(tool.calibrationMonths);
}
function clear(): void {
  changing.value = null;
  name.value = place.value = range.value = calibratedOn.value = months.value = problem.value = '';
  fields.value = {};
}
async function attempt(work: () => Promise<{ readonly tools: readonly Tool[] }>): Promise<void> {
  [problem.value, fields.value] = ['', {}];
  try {
    shop.tools = (await work()).tools;
    clear();
  } catch (error) {
    if (error instanceof ApiError) fields.value = error.fields;
    if (Object.keys(fields.value).length === 0) problem.value = error instanceof Error ? error.message : String(error);
  }
}
async function keep(): Promise<void> {
  const every = months.value.trim() === '' ? null : numberIn(months.value, FIELDS.count);
  if (every !== null && !Number.isInteger(every)) {
    fields.value = { 'tool.calibrationMonths': 'Expected whole months, such as 12.' };
    return;
  }
  await attempt(() =>
    keepTool({
      id: changing.value ?? freshId(),
      name: name.value,
      place: place.value.trim(),
      range: range.value.trim(),
      calibratedOn: calibratedOn.value === '' ? null : calibratedOn.value,
      calibrationMonths: every,
    }),
  );
}
const rows = computed(() =>
  shop.tools.map((tool) => {
    const day = calibrationDue(tool);
    return { tool, due: day, overdue: day !== null && day < today.value };
  }),
);
</script>

<template>
  <div>
    <ul v-if="rows.length > 0" class="rows border-y border-line" aria-label="Tools">
      <li v-for="{ tool, due, overdue } in rows" :key="tool.id" class="flex flex-wrap items-baseline gap-x-4 py-2">
        <span class="font-semibold">{{ tool.name }}</span>
        <span class="text-soft">{{ [tool.range, tool.place].filter(Boolean).join(', ') }}</span>
        <span v-if="due" class="text-note" :class="overdue ? 'font-semibold text-brass' : 'text-soft'"
          >{{ overdue ? 'check overdue since' : 'check due' }} {{ shop.say.day(due) }}</span
        >
        <span v-if="mayEdit" class="ml-auto flex gap-4">
          <button type="button" class="faint" @click="change(tool)">
            Change<span class="sr-only"> {{ tool.name }}</span>
          </button>
          <button type="button" class="faint" @click="attempt(() => dropTool(tool.id))">
            Take it off<span class="sr-only">: {{ tool.name }}</span>
          </button>
        </span>
      </li>
    </ul>
    <p v-else class="text-soft">None noted. What is here need not be asked for on each job.</p>
    <form v-if="mayEdit" class="mt-3 grid items-start gap-3 sm:grid-cols-2 lg:grid-cols-3" @submit.prevent="keep">
      <TextField
        v-model="name"
        :label="changing ? 'Tool' : 'Another tool'"
        placeholder="Refractometer"
        :error="fields['tool.name']"
      />
      <TextField v-model="place" label="Where it hangs" placeholder="wall, left" :error="fields['tool.place']" />
      <TextField v-model="range" label="What it covers" placeholder="−50 to 0 °C" :error="fields['tool.range']" />
      <FieldBox v-slot="{ id, described, invalid }" label="Last checked" :error="fields['tool.calibratedOn']">
        <input
          :id="id"
          v-model="calibratedOn"
          type="date"
          class="input"
          :max="today"
          :aria-describedby="described"
          :aria-invalid="invalid"
        />
      </FieldBox>
      <FigureField
        v-model="months"
        label="Checked again after, months"
        :field="FIELDS.count"
        :error="fields['tool.calibrationMonths']"
      />
      <div class="flex gap-3 sm:mt-6">
        <button type="submit" class="quiet">{{ changing ? 'Keep the change' : 'Add the tool' }}</button>
        <button v-if="changing" type="button" class="faint" @click="clear">Leave it</button>
      </div>
      <p v-if="problem" class="font-semibold text-alarm sm:col-span-2" role="alert">{{ problem }}</p>
    </form>
  </div>
</template>
