<script setup lang="ts">
import { computed, ref } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { FIELDS } from '../../../core/quantity/index.ts';
import type { Recipe } from '../../../core/relearn/index.ts';
import { UNIT_KINDS, type UnitObjectKind, vehicleName } from '../../../core/vehicle/index.ts';
import DraftNote from '../../forms/DraftNote.vue';
import ChoiceRow from '../../parts/ChoiceRow.vue';
import FigureField from '../../parts/FigureField.vue';
import PickField from '../../parts/PickField.vue';
import TextField from '../../parts/TextField.vue';
import { useFamilies } from '../../data/families.ts';
import { lookForVehicles } from '../../data/vehicles.ts';
import { useShop } from '../../stores/shop.ts';
import RecipeLine from './RecipeLine.vue';
import StepFields from './StepFields.vue';
import { useRecipeEditor } from './useRecipeEditor.ts';
import { waysOut } from './waysOut.ts';

/** A recipe of a relearn or of bleeding as data: its steps as a line, what each needs, and where each leads. */
const route = useRoute();
const router = useRouter();
const shop = useShop();
const editor = useRecipeEditor(route.name === 'recipe-new' ? null : String(route.params.id));
void editor.load();
const { text, read, problems, basedOn, versions, failed, wrong, saving, restored, selected } = editor;
const { families } = useFamilies();

const recipe = computed(() => read.value?.recipe ?? null);
const step = computed(() => text.value?.steps.find(({ id }) => id === selected.value) ?? null);
const at = computed(() => text.value?.steps.findIndex(({ id }) => id === selected.value) ?? -1);
const ways = computed(() => (recipe.value === null ? [] : waysOut(recipe.value)));
const before = computed(() =>
  ways.value.filter(({ id }) => text.value?.steps.slice(0, at.value + 1).some((each) => each.id === id)),
);
const whole = (field: string): string | null =>
  problems.value.find((problem) => problem.stepId === null && problem.field === field)?.words ?? null;
const wrongs = computed(() => problems.value.filter(({ level }) => level === 'wrong'));
const note = ref('');
const noteWrong = ref('');

const WAYS = [
  { id: 'steps', name: 'By steps' },
  { id: 'itself', name: 'Adapts by itself' },
  { id: 'none', name: 'None needed' },
] as const;
const PURPOSES = [
  { id: 'relearn', name: 'Relearn' },
  { id: 'bleed', name: 'Bleeding' },
] as const;
const KINDS = Object.entries(UNIT_KINDS) as [UnitObjectKind, string][];
type Fits = Recipe['fits'];
function fit<K extends keyof Fits>(which: K, id: Fits[K][number]): void {
  if (text.value === null) return;
  const now = text.value.fits[which] as readonly string[];
  const next = now.includes(id) ? now.filter((each) => each !== id) : [...now, id];
  editor.put({ fits: { ...text.value.fits, [which]: next } });
}
const look = async (typed: string) =>
  (await lookForVehicles(typed)).map((each) => ({ id: each.id, words: each.plate, about: vehicleName(each) }));
const vehicle = ref('');

async function save(): Promise<void> {
  noteWrong.value = note.value.trim() === '' ? 'Say in a few words what is new.' : '';
  if (noteWrong.value !== '') return;
  if ((await editor.save(note.value)) === null) return;
  await shop.load();
  await router.push('/recipes');
}
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/recipes">To the recipes</RouterLink>
  </p>
  <div
    v-else-if="text && recipe"
    class="grid h-full min-h-0 overflow-y-auto lg:grid-cols-[minmax(0,1fr)_470px] lg:overflow-hidden"
  >
    <section class="min-w-0 px-4 py-5 md:px-7 lg:overflow-y-auto" tabindex="0" aria-label="The recipe">
      <p class="text-sm"><RouterLink class="link" to="/recipes">Recipes</RouterLink></p>
      <div class="flex flex-wrap items-baseline gap-x-4">
        <h1 class="text-title">{{ text.name || 'A new recipe' }}</h1>
        <span class="text-soft">{{
          basedOn === 0 ? (editor.shipped ? 'came with the program' : '') : `made from version ${basedOn}`
        }}</span>
        <a v-if="basedOn > 0 || editor.shipped" class="faint ml-auto" :href="`/api/recipes/${text.id}/file`" download
          >Save as a file</a
        >
      </div>
      <DraftNote :restored="restored" @afresh="editor.startOver" />
      <div class="mt-4 grid max-w-3xl gap-4">
        <TextField
          :model-value="text.name"
          label="Name"
          placeholder="Timed key and pedal"
          :error="whole('name')"
          @update:model-value="editor.put({ name: $event })"
        />
        <div class="flex flex-wrap gap-x-8 gap-y-4">
          <ChoiceRow
            :model-value="text.purpose"
            label="It is a"
            :options="PURPOSES"
            @update:model-value="editor.put({ purpose: $event ?? 'relearn' })"
          />
          <ChoiceRow
            :model-value="text.way"
            label="Goes"
            :options="WAYS"
            @update:model-value="editor.put({ way: $event ?? 'steps' })"
          />
        </div>
        <p v-if="whole('way') || whole('steps')" class="text-sm font-semibold text-alarm">
          {{ whole('way') ?? whole('steps') }}
        </p>
        <div v-if="text.way === 'itself'" class="flex flex-wrap items-end gap-3">
          <FigureField
            :model-value="text.lookAgain.value"
            class="w-40"
            label="Look again after"
            :field="FIELDS.plain"
            :error="whole('lookAgain')"
            @update:model-value="editor.put({ lookAgain: { ...text.lookAgain, value: $event } })"
          />
          <ChoiceRow
            :model-value="text.lookAgain.unit"
            label="in"
            hide-label
            :options="[
              { id: 'km', name: 'km' },
              { id: 'mi', name: 'mi' },
              { id: 'h', name: 'h' },
              { id: 'd', name: 'days' },
            ]"
            @update:model-value="editor.put({ lookAgain: { ...text.lookAgain, unit: $event ?? 'km' } })"
          />
        </div>
        <TextField
          :model-value="text.source"
          label="Where it is from"
          placeholder="shop figure, verify"
          @update:model-value="editor.put({ source: $event })"
        />
        <details class="border-y border-line py-2">
          <summary class="min-h-9 cursor-pointer py-1">
            <b>Used on</b>
            {{
              text.fits.families.length + text.fits.kinds.length + text.fits.vehicles.length === 0
                ? 'any engine'
                : [
                    ...text.fits.families.map((id) => families?.find((each) => each.id === id)?.name ?? id),
                    ...text.fits.kinds.map((kind) => UNIT_KINDS[kind].toLowerCase()),
                    ...text.fits.vehicles.map((id) => `vehicle ${id}`),
                  ].join(', ')
            }}
          </summary>
          <div class="mt-2 grid gap-4 sm:grid-cols-2">
            <fieldset>
              <legend class="text-sm font-bold">Engine families</legend>
              <label v-for="family in families ?? []" :key="family.id" class="flex min-h-9 items-center gap-2"
                ><input
                  type="checkbox"
                  class="size-5 accent-bottle"
                  :checked="text.fits.families.includes(family.id)"
                  @change="fit('families', family.id)"
                />
                {{ family.name }}</label
              >
              <p v-if="families?.length === 0" class="text-note text-soft">No family is in the library yet.</p>
            </fieldset>
            <div class="grid content-start gap-4">
              <fieldset>
                <legend class="text-sm font-bold">Kinds of unit</legend>
                <label v-for="[kind, name] in KINDS" :key="kind" class="flex min-h-9 items-center gap-2"
                  ><input
                    type="checkbox"
                    class="size-5 accent-bottle"
                    :checked="text.fits.kinds.includes(kind)"
                    @change="fit('kinds', kind)"
                  />
                  {{ name }}</label
                >
              </fieldset>
              <PickField
                v-model="vehicle"
                label="One vehicle alone"
                :look="look"
                none="none"
                @update:model-value="$event !== '' && !text.fits.vehicles.includes($event) && fit('vehicles', $event)"
              />
              <button
                v-for="id in text.fits.vehicles"
                :key="id"
                type="button"
                class="faint justify-self-start"
                @click="fit('vehicles', id)"
              >
                No longer for vehicle {{ id }}
              </button>
            </div>
          </div>
        </details>
      </div>
      <template v-if="text.way !== 'none'">
        <h2 class="mt-6 text-xl">Steps</h2>
        <p class="text-sm text-soft">
          Beside the line: <span class="font-semibold text-brass">turns</span>,
          <span class="font-semibold text-bottle">answers</span>, other ways, and where it
          <span class="font-semibold text-oxide">ends badly</span>.
        </p>
        <RecipeLine
          class="mt-2 max-w-3xl"
          :recipe="recipe"
          :selected="selected"
          :problems="problems"
          @choose="selected = $event"
        />
        <button type="button" class="quiet mt-3" @click="editor.addStep(text.steps.length - 1)">Add a step</button>
      </template>
      <ol v-if="versions.length > 0" class="rows mt-8 max-w-3xl border-t border-line text-sm text-soft">
        <li v-for="version in versions" :key="version.version" class="py-1">
          Version {{ version.version }}, {{ shop.say.day(version.at.slice(0, 10)) }}, {{ shop.firstName(version.by)
          }}<template v-if="version.note">: {{ version.note }}</template>
        </li>
      </ol>
    </section>
    <aside
      class="flex flex-col gap-4 border-t border-line bg-card px-4 py-5 md:px-6 lg:overflow-y-auto lg:border-l lg:border-t-0"
      aria-label="The step"
      tabindex="0"
    >
      <template v-if="step">
        <div class="flex flex-wrap items-center gap-x-1 gap-y-1">
          <h2 class="mr-auto text-lg">Step {{ at + 1 }}</h2>
          <button type="button" class="faint" :disabled="at === 0" @click="editor.moveStep(step.id, -1)">Up</button>
          <button
            type="button"
            class="faint"
            :disabled="at === text.steps.length - 1"
            @click="editor.moveStep(step.id, 1)"
          >
            Down
          </button>
          <button type="button" class="faint" @click="editor.addStep(at)">Add below</button>
          <button type="button" class="faint" @click="editor.removeStep(step.id)">Take out</button>
        </div>
        <StepFields
          :key="step.id"
          :step="step"
          :flags="text.flags"
          :before="before"
          :ways="ways"
          :problems="problems"
          @change="editor.putStep(step.id, $event)"
          @flag="editor.putFlag"
        />
      </template>
      <form
        class="mt-auto grid gap-3 border-t border-line bg-card pt-4 lg:sticky lg:-bottom-5 lg:pb-5"
        novalidate
        @submit.prevent="save"
      >
        <ul v-if="wrongs.length > 0" class="text-note">
          <li v-for="problem in wrongs.slice(0, 4)" :key="`${problem.stepId} ${problem.words}`">
            <button
              v-if="problem.stepId"
              type="button"
              class="text-left font-semibold text-alarm underline underline-offset-2"
              @click="selected = problem.stepId"
            >
              Step {{ text.steps.findIndex(({ id }) => id === problem.stepId) + 1 }}: {{ problem.words }}
            </button>
            <span v-else class="font-semibold text-alarm">{{ problem.words }}</span>
          </li>
          <li v-if="wrongs.length > 4" class="text-soft">and {{ wrongs.length - 4 }} more</li>
        </ul>
        <TextField
          v-model="note"
          label="What is new, in a few words"
          placeholder="the wait is longer"
          :error="noteWrong"
        />
        <p v-if="wrong" class="font-semibold text-alarm" role="alert">{{ wrong }}</p>
        <p v-if="shop.personId === ''" class="text-sm text-soft">Pick who is at the bench before saving.</p>
        <button type="submit" class="primary justify-self-start" :disabled="saving || shop.personId === ''">
          Keep version {{ basedOn + 1 }}
        </button>
      </form>
    </aside>
  </div>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the recipe</p>
</template>
