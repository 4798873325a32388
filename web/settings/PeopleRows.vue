<script setup lang="ts">
import { computed, ref } from 'vue';
import type { Person } from '../../contract/index.ts';
import { type Skill, SKILLS, usualSkills } from '../../core/bay/index.ts';
import { ApiError } from '../data/api.ts';
import { keepPerson, letLeave } from '../data/people.ts';
import ChoiceRow from '../parts/ChoiceRow.vue';
import TextField from '../parts/TextField.vue';
import { freshId } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';
import { hoursText, readHours, WEEKDAYS } from './hours.ts';

/** Who works here: one line each, and a line for the next. In an empty shop the first one answers for it. */
defineProps<{ mayEdit: boolean }>();
const shop = useShop();
const changing = ref<string | null>(null);
const name = ref('');
const role = ref<Person['role'] | null>(null);
const bay = ref('');
/** What they do, by {@link SKILLS}; null for what their role usually does. */
const does = ref<readonly Skill[] | null>(null);
const week = ref('');
const fields = ref<Readonly<Record<string, string>>>({});
const problem = ref('');
const held = ref(false);

const ROLES: readonly { readonly id: Person['role']; readonly name: string }[] = [
  { id: 'lead', name: 'Lead: signs off' },
  { id: 'technician', name: 'Technician' },
  { id: 'apprentice', name: 'Apprentice' },
  { id: 'owner', name: 'Proprietor' },
  { id: 'parts', name: 'Parts counter' },
];
const roleName = (of: Person['role']): string => ROLES.find(({ id }) => id === of)?.name.split(':')[0] ?? of;
const here = computed(() => shop.people.filter(({ leftAt }) => leftAt == null));
const gone = computed(() => shop.people.filter(({ leftAt }) => leftAt != null));

function change(person: Person): void {
  changing.value = person.id;
  ({ name: name.value, bay: bay.value } = person);
  role.value = person.role;
  does.value = person.does ?? null;
  week.value = person.hours == null ? '' : person.hours.map(hoursText).join('\n');
  fields.value = {};
}
function clear(): void {
  changing.value = null;
  name.value = bay.value = problem.value = '';
  role.value = does.value = null;
  week.value = '';
  fields.value = {};
}
const skillsNow = computed<readonly Skill[]>(() => does.value ?? (role.value === null ? [] : usualSkills(role.value)));
function toggle(skill: Skill): void {
  does.value = skillsNow.value.includes(skill)
    ? skillsNow.value.filter((each) => each !== skill)
    : [...skillsNow.value, skill];
}
/** Seven lines, Monday first; nothing at all for whenever the shop is open. */
function readWeek(): { hours: NonNullable<Person['hours']> | null } | { problem: string } {
  if (week.value.trim() === '') return { hours: null };
  const lines = week.value.split('\n').slice(0, 7);
  const read = Array.from({ length: 7 }, (_, day) => readHours(lines[day] ?? ''));
  const at = read.findIndex((each) => 'problem' in each);
  const wrong = read[at];
  if (wrong !== undefined && 'problem' in wrong) return { problem: `${WEEKDAYS[at]}: ${wrong.problem}` };
  return { hours: read.map((each) => ('hours' in each ? each.hours : null)) };
}
async function attempt(work: () => Promise<{ readonly people: readonly Person[] }>): Promise<boolean> {
  problem.value = '';
  fields.value = {};
  held.value = false;
  try {
    shop.people = (await work()).people;
    return true;
  } catch (error) {
    if (error instanceof ApiError) {
      fields.value = error.fields;
      held.value = error.code === 'jobs-with-them';
    }
    const beside = ['person.name', 'person.role', 'person.bay'].some((field) => field in fields.value);
    problem.value = beside ? '' : error instanceof Error ? error.message : String(error);
    return false;
  }
}
async function keep(): Promise<void> {
  if (role.value === null) {
    fields.value = { 'person.role': 'What do they do here?' };
    return;
  }
  const id = changing.value ?? freshId();
  const read = readWeek();
  if ('problem' in read) {
    fields.value = { 'person.hours': read.problem };
    return;
  }
  const person = {
    name: name.value,
    role: role.value,
    bay: bay.value,
    ...(does.value !== null && { does: [...does.value] }),
    ...(read.hours !== null && { hours: read.hours }),
  };
  if (!(await attempt(() => keepPerson(id, person, shop.personId)))) return;
  if (shop.person === null) shop.pick(id);
  clear();
}
/** Whose open jobs must go to somebody first. */
const leaving = ref<Person | null>(null);
async function leave(person: Person, to?: string | null): Promise<void> {
  const left = await attempt(() => letLeave(person.id, to));
  leaving.value = left || !held.value ? null : person;
}
const back = ({ id, leftAt: _, ...person }: Person): Promise<boolean> =>
  attempt(() => keepPerson(id, person, shop.personId));
</script>

<template>
  <div>
    <ul v-if="here.length > 0" class="rows border-y border-line" aria-label="People">
      <li v-for="person in here" :key="person.id" class="flex flex-wrap items-center gap-x-4 py-2">
        <span class="font-semibold">{{ person.name }}</span>
        <span class="text-soft">{{ [roleName(person.role), person.bay].filter(Boolean).join(', ') }}</span>
        <span v-if="mayEdit" class="ml-auto flex gap-4">
          <button type="button" class="faint" @click="change(person)">
            Change<span class="sr-only"> {{ person.name }}</span>
          </button>
          <button v-if="here.length > 1" type="button" class="faint" @click="leave(person)">
            Has left<span class="sr-only">: {{ person.name }}</span>
          </button>
        </span>
      </li>
    </ul>
    <div v-if="leaving" class="mt-3 border-l-4 border-brass pl-4">
      <p class="font-semibold">{{ problem }} Who has them from now on?</p>
      <div class="mt-2 flex flex-wrap gap-2">
        <button
          v-for="person in here.filter(({ id }) => id !== leaving?.id)"
          :key="person.id"
          type="button"
          class="quiet"
          @click="leave(leaving, person.id)"
        >
          {{ person.name }}
        </button>
        <button type="button" class="quiet" @click="leave(leaving, null)">Nobody in particular</button>
      </div>
    </div>
    <p v-if="gone.length > 0 && mayEdit" class="mt-2 text-note text-soft">
      Not here any more:
      <template v-for="(person, index) in gone" :key="person.id"
        >{{ index > 0 ? ', ' : '' }}{{ person.name }}
        <button type="button" class="faint" @click="back(person)">
          back again<span class="sr-only">: {{ person.name }}</span>
        </button></template
      >. Their entries keep their names.
    </p>
    <form v-if="mayEdit || here.length === 0" class="mt-3 grid gap-3" @submit.prevent="keep">
      <div class="grid gap-3 sm:grid-cols-2">
        <TextField
          v-model="name"
          :label="changing ? 'Name' : here.length === 0 ? 'Your name' : 'Who else works here?'"
          :error="fields['person.name']"
        />
        <TextField v-model="bay" label="Where they work" placeholder="bay 1" :error="fields['person.bay']" />
      </div>
      <ChoiceRow v-model="role" label="What they do" :options="ROLES" />
      <details v-if="role && mayEdit" class="border-l-4 border-line pl-4">
        <summary class="py-1 font-semibold">For the plan of the day: what they do, and when they are here</summary>
        <fieldset class="mt-2">
          <legend class="sr-only">What they do in the plan</legend>
          <label v-for="(words, skill) in SKILLS" :key="skill" class="flex min-h-9 items-center gap-3">
            <input
              type="checkbox"
              class="size-4.5 accent-bottle"
              :checked="skillsNow.includes(skill)"
              @change="toggle(skill)"
            />{{ words }}
          </label>
        </fieldset>
        <TextField
          v-model="week"
          label="Their own hours, Monday to Sunday, a line a day"
          placeholder="empty: whenever the shop is open"
          :lines="7"
          hint="Such as 8–12; closed for a day off."
          :error="fields['person.hours']"
        />
      </details>
      <p v-if="fields['person.role']" class="font-semibold text-alarm" role="alert">{{ fields['person.role'] }}</p>
      <p v-if="problem && !leaving" class="font-semibold text-alarm" role="alert">{{ problem }}</p>
      <div class="flex gap-3">
        <button type="submit" class="quiet">{{ changing ? 'Keep the change' : 'Add' }}</button>
        <button v-if="changing" type="button" class="faint" @click="clear">Leave it</button>
      </div>
    </form>
  </div>
</template>
