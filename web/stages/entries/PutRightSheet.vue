<script setup lang="ts">
import { computed, reactive, ref } from 'vue';
import {
  bodyOf,
  COMMANDS,
  entryWords,
  FACTS,
  fixesOf,
  type Job,
  type LoggedFact,
  nameOfEntry,
  standsOn,
} from '../../../core/job/index.ts';
import { clockOf } from '../../../core/days/index.ts';
import { moneyText, readMoney } from '../../../core/quantity/index.ts';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import SheetDialog from '../../parts/SheetDialog.vue';
import TextField from '../../parts/TextField.vue';
import { useShop } from '../../stores/shop.ts';
import { useForm } from '../useForm.ts';
import { timeOn } from './clockTime.ts';

/** One entry, as it stands: say it anew, give it its right time, or strike it. The old words stay legible. */
const props = defineProps<{ job: Job; entry: LoggedFact }>();
const emit = defineEmits<{ close: [] }>();
const shop = useShop();
const form = useForm();

const declared = computed(() => FACTS.get(props.entry.type)!);
const way = computed(() => fixesOf(declared.value));
const words = computed(() => entryWords(props.job, props.entry));
const falls = computed(() => standsOn(props.job, props.entry).map((each) => entryWords(props.job, each)));
const body = bodyOf(props.entry);
const said = (body?.data ?? {}) as Readonly<Record<string, unknown>>;
const node = COMMANDS.get(body?.type ?? '')?.shape.node;

/** What a field says now, as it would be typed. */
function textOf(field: string, money: boolean): string {
  const value = said[field];
  if (value === null || value === undefined) return '';
  if (money && typeof value === 'number') return moneyText(value, shop.settings.currency);
  return String(value);
}
const fields = Object.entries(declared.value.putRight?.anew?.fields ?? {}).map(([name, field]) => ({
  name,
  ...field,
  was: textOf(name, field.money === true),
  options: Object.entries(field.choices ?? {}).map(([id, words]) => ({ id, name: words })),
  lines: node?.kind === 'record' && node.fields[name]?.kind === 'text' && node.fields[name].max > 300 ? 3 : undefined,
}));
const text = reactive<Record<string, string>>(Object.fromEntries(fields.map(({ name, was }) => [name, was])));
const why = ref('');
const time = ref(clockOf(props.entry.at, shop.settings.timeZone));
const timeWas = ref(time.value);
const moneyWrong = reactive<Record<string, string>>({});
const striking = ref(fields.length === 0);

const name = computed(() => nameOfEntry(props.job, props.entry));
/** What changes, each as the command takes it; null where an amount of money cannot be read. */
function changed(): { field: string; text: string }[] | null {
  const is: { field: string; text: string }[] = [];
  for (const { name: field, was, money } of fields) {
    const typed = text[field] ?? '';
    if (typed === was) continue;
    if (!money) is.push({ field, text: typed });
    else {
      const read = readMoney(typed, shop.settings.currency);
      if (!read.ok) {
        moneyWrong[field] = read.message;
        return null;
      }
      is.push({ field, text: String(read.minor) });
    }
  }
  return is;
}
const closed = computed(() => props.job.status === 'closed');
/** What was handed over is opened again first, with why it is put right. */
function opened(): boolean {
  if (!closed.value) return true;
  if (form.send('reopen-job', { reason: why.value })) return true;
  if (form.error('reason') !== null)
    form.wrong.value = { field: 'why', message: 'Say why: the job is opened again for it.', wouldHelp: '' };
  return false;
}
function keep(): void {
  for (const field of Object.keys(moneyWrong)) delete moneyWrong[field];
  const is = changed();
  if (is === null) return;
  if (is.length === 0 && time.value === timeWas.value) {
    form.wrong.value = { field: null, message: 'That is what it says already.', wouldHelp: '' };
    return;
  }
  const at = time.value === timeWas.value ? null : timeOn(props.entry.at, time.value, shop.settings.timeZone);
  if (at === null && time.value !== timeWas.value) {
    form.wrong.value = { field: 'at', message: 'Expected a time of day such as 14:20.', wouldHelp: '' };
    return;
  }
  if (!opened()) return;
  if (at !== null) {
    if (!form.send('move-entry', { ...name.value, at, why: why.value })) return;
    // Moved is moved: a field that is refused after it is put right without it.
    timeWas.value = time.value;
    if (is.length === 0) {
      emit('close');
      return;
    }
  }
  if (form.send('correct-entry', { ...name.value, why: why.value, is })) emit('close');
}
function strike(): void {
  if (why.value.trim() !== '' && !opened()) return;
  if (form.send('strike-entry', { ...name.value, why: why.value })) emit('close');
}
const known = computed(() => [...fields.map((field) => field.name), 'at', 'why']);
</script>

<template>
  <SheetDialog :title="words" @close="emit('close')">
    <p class="text-soft">Entered {{ shop.say.nearTime(entry.at) }}, {{ shop.firstName(entry.by) }}.</p>
    <p v-if="way === 'none'" class="mt-3">This is not struck by itself. Undo it, or put right the line it is about.</p>
    <form v-else class="mt-4 grid gap-4" @submit.prevent="striking ? strike() : keep()">
      <template v-if="!striking">
        <template v-for="field in fields" :key="field.name">
          <div v-if="field.options.length > 0">
            <ChoiceRow
              :model-value="text[field.name] ?? ''"
              :label="field.label"
              :options="field.options"
              @update:model-value="text[field.name] = $event ?? ''"
            />
            <p v-if="form.error(field.name)" class="mt-1 font-semibold text-alarm" role="alert">
              {{ form.error(field.name) }}
            </p>
          </div>
          <TextField
            v-else
            :model-value="text[field.name] ?? ''"
            :label="field.label"
            :error="moneyWrong[field.name] ?? form.error(field.name)"
            v-bind="field.lines === undefined ? {} : { lines: field.lines }"
            @update:model-value="text[field.name] = $event"
          />
        </template>
      </template>
      <TextField
        v-if="!striking || fields.length === 0"
        v-model="time"
        class="max-w-40"
        label="When"
        :error="form.error('at')"
      />
      <p v-if="striking && falls.length > 0" class="border-l-4 border-brass pl-3">
        With it {{ falls.length === 1 ? 'goes' : 'go' }}: <b>{{ falls.slice(0, 6).join('; ') }}</b><template
          v-if="falls.length > 6"
        >
          and {{ falls.length - 6 }} more</template
        >.
      </p>
      <TextField
        v-model="why"
        :label="striking ? 'Why it is struck' : 'Why, where it matters'"
        placeholder="misread, wrong vehicle"
        :error="form.error('why')"
      />
      <p v-if="form.general(...known)" class="font-semibold text-alarm" role="alert">{{ form.general(...known) }}</p>
      <p v-if="closed" class="font-semibold text-brass">
        The job is handed over: it is opened again for this, with what you say, and handed over anew.
      </p>
      <p class="text-sm text-soft">What it says now stays legible, on the sheet too. Undo takes this back.</p>
      <div class="flex flex-wrap items-center gap-3">
        <button v-if="!striking" type="submit" class="primary">Put it right</button>
        <button v-else type="submit" class="primary">Strike it</button>
        <button v-if="fields.length === 0 && time !== timeWas" type="button" class="quiet" @click="keep">
          Only its time was wrong
        </button>
        <button v-if="fields.length > 0" type="button" class="quiet" @click="striking = !striking">
          {{ striking ? 'Put it right instead' : 'Strike it instead' }}
        </button>
      </div>
    </form>
  </SheetDialog>
</template>
