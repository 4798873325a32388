<script setup lang="ts">
import { FIELDS } from '../../core/quantity/index.ts';
import { computed, ref, watch } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { familyInput } from '../../contract/index.ts';
import { type EngineFamily, FAMILY_FIGURES, familyOf, FIGURE_FIELDS, UNIT_KINDS } from '../../core/vehicle/index.ts';
import DraftNote from '../forms/DraftNote.vue';
import { useRowForm } from '../forms/rowForm.ts';
import AuditLines from '../parts/AuditLines.vue';
import ChoiceRow from '../parts/ChoiceRow.vue';
import SideBySide from '../parts/SideBySide.vue';
import FigureField from '../parts/FigureField.vue';
import TextField from '../parts/TextField.vue';
import KitFields from './KitFields.vue';
import VariantFields from '../parts/VariantFields.vue';
import { readFamily as askFamily } from '../data/families.ts';
import { keepFamilyOf, readVehicle } from '../data/vehicles.ts';
import { freshId } from '../stores/job.ts';
import { useShop } from '../stores/shop.ts';
import { IDLE_VALVES, LAYOUTS, THROTTLES, USES } from './engineChoices.ts';
import { emptyUnitType, type FamilyText, familyText, FIGURE_NAMES, readFamily } from './familyText.ts';

/** What engines of one kind take and show. Every figure has a source, or is a shop figure to be verified. */
const route = useRoute();
const router = useRouter();
const shop = useShop();
const loaded = ref(false);
const failed = ref('');
const isNew = computed(() => route.query.new === '1');
/** The vehicle that a new family is made of. */
const of = computed(() => (isNew.value && typeof route.query.of === 'string' ? route.query.of : null));
const form = useRowForm<FamilyText, EngineFamily>({
  schema: familyInput,
  path: () => `/families/${String(route.params.id)}`,
  field: 'family',
  draft: () => `family.${of.value === null ? (isNew.value ? 'new' : String(route.params.id)) : `of.${of.value}`}`,
  textOf: (family) => familyText(family, shop.settings.currency),
  read: (typed) => readFamily(typed, shop.settings.currency),
});
const { text, errors, said, busy, sent, restored, newer } = form;

watch(
  () => String(route.params.id),
  async (id) => {
    loaded.value = false;
    try {
      if (of.value !== null) form.open(familyOf((await readVehicle(of.value)).vehicle, id), 0);
      else if (isNew.value) form.open(null, 0);
      else {
        const { family, version } = await askFamily(id);
        form.open(family, version);
      }
      loaded.value = true;
    } catch (error) {
      failed.value = error instanceof Error ? error.message : String(error);
    }
  },
  { immediate: true },
);
async function save(event?: Event): Promise<void> {
  if (!(await form.submit(event))) return;
  if (of.value === null) return void (await router.push('/families'));
  try {
    await keepFamilyOf(of.value, String(route.params.id));
    await router.push(`/vehicles/${of.value}`);
  } catch (error) {
    failed.value = `The family is kept, the vehicle is not put into it: ${error instanceof Error ? error.message : String(error)}`;
  }
}
async function saveMine(): Promise<void> {
  if (await form.saveMine()) await router.push('/families');
}
const variantErrors = (index: number): Record<string, string> =>
  Object.fromEntries(
    Object.entries(errors.value).flatMap(([field, message]) => {
      const head = `unitTypes.${index}.expected.`;
      return field.startsWith(head) ? [[field.slice(head.length), message]] : [];
    }),
  );
</script>

<template>
  <p v-if="failed" class="p-8" role="alert">
    {{ failed }} <RouterLink class="link" to="/families">To the families</RouterLink>
  </p>
  <form v-else-if="loaded" class="h-full overflow-y-auto px-4 py-6 md:px-7" novalidate @submit.prevent="save">
    <SideBySide
      v-if="newer"
      :newer="newer"
      :mine="sent"
      @mine="saveMine"
      @theirs="form.takeTheirs"
      @close="newer = null"
    />
    <h1 class="text-title">{{ text.name || 'A new engine family' }}</h1>
    <DraftNote :restored="restored" @afresh="form.startAfresh" />
    <div class="mt-5 grid max-w-4xl gap-4 sm:grid-cols-2">
      <TextField v-model="text.name" label="Name" placeholder="Norrland 2.5 four" :error="errors.name" />
      <TextField v-model="text.engine" label="Engine" placeholder="2.5 L four" :error="errors.engine" />
    </div>
    <div class="mt-4 grid max-w-4xl gap-4">
      <ChoiceRow v-model="text.throttle" label="Throttle" :options="THROTTLES" />
      <ChoiceRow v-model="text.idleValve" label="Idle air valve" :options="IDLE_VALVES" />
      <ChoiceRow v-model="text.use" label="Used in" :options="USES" />
      <ChoiceRow v-model="text.layout" label="Units" :options="LAYOUTS" />
      <TextField
        v-model="text.computers"
        label="Engine computers or market variants it takes"
        placeholder="as marked, with commas between"
        :error="errors.computers"
      />
    </div>

    <h2 class="mt-8 text-xl">What it should show</h2>
    <p class="text-soft">
      Two figures, such as 780 to 880, and where they come from. Without a source they are a shop figure, to be
      verified.
    </p>
    <div class="mt-2 max-w-4xl border-y border-line">
      <div
        v-for="name in FIGURE_NAMES"
        :key="name"
        class="grid items-start gap-x-5 gap-y-1 border-b border-line py-2 last:border-b-0 sm:grid-cols-[1fr_11rem_1fr]"
      >
        <span class="pt-2 font-semibold">{{ FAMILY_FIGURES[name].name }}, {{ FAMILY_FIGURES[name].unit }}</span>
        <FigureField
          v-model="text.figures[name].band"
          :field="FIGURE_FIELDS[name]"
          :label="`Band, ${FAMILY_FIGURES[name].unit}`"
          :error="errors[`figures.${name}`] ?? errors[`figures.${name}.high`]"
        />
        <TextField v-model="text.figures[name].source" label="Source" placeholder="shop figure, verify" />
      </div>
    </div>

    <h2 class="mt-8 text-xl">Units it takes</h2>
    <section
      v-for="(type, index) in text.unitTypes"
      :key="type.id"
      class="mt-4 max-w-4xl border-t border-line pt-4"
      :aria-label="type.name || 'Unit'"
    >
      <div class="grid gap-3 sm:grid-cols-3">
        <label>
          <span class="mb-1 block text-sm font-semibold">Kind</span>
          <select v-model="type.kind" class="input">
            <option v-for="(words, kind) in UNIT_KINDS" :key="kind" :value="kind">{{ words }}</option>
          </select>
        </label>
        <TextField
          v-model="type.name"
          label="Name"
          placeholder="Cable body"
          :error="errors[`unitTypes.${index}.name`]"
        />
        <TextField v-model="type.partNumber" label="Part number" placeholder="NP-25-1100" />
        <TextField
          v-model="type.places"
          label="Places, by comma"
          placeholder="left bank, right bank"
          hint="Look-alikes are told apart by this"
          :error="errors[`unitTypes.${index}.places`]"
        />
        <FigureField
          v-model="type.days"
          label="Days until a new one is here"
          :field="FIELDS.days"
          :error="errors[`unitTypes.${index}.daysToGet`]"
        />
        <TextField v-model="type.source" label="Source" placeholder="shop figure, verify" />
        <FigureField
          v-model="type.new"
          :label="`New, ${shop.settings.currency}`"
          field="money"
          :error="errors[`unitTypes.${index}.prices.new`]"
        />
        <FigureField
          v-model="type.rebuilt"
          :label="`Rebuilt, ${shop.settings.currency}`"
          field="money"
          :error="errors[`unitTypes.${index}.prices.rebuilt`]"
        />
        <FigureField
          v-model="type.used"
          :label="`Used, ${shop.settings.currency}`"
          field="money"
          :error="errors[`unitTypes.${index}.prices.used`]"
        />
      </div>
      <h3 class="mb-1 mt-4 text-sm font-bold">The variant that the computer expects</h3>
      <VariantFields v-model="type.expected" :errors="variantErrors(index)" />
      <KitFields v-model="type.kit" :errors="errors" :at="`unitTypes.${index}.kit`" />
      <button
        type="button"
        class="mt-2 min-h-9 text-sm text-soft underline underline-offset-2"
        @click="text.unitTypes.splice(index, 1)"
      >
        Take this unit out
      </button>
    </section>
    <button type="button" class="quiet mt-4" @click="text.unitTypes.push(emptyUnitType(freshId()))">
      Another unit
    </button>
    <TextField v-model="text.notes" class="mt-5 max-w-4xl" label="Notes" :lines="2" />
    <p v-if="said" class="mt-4 font-semibold text-alarm" role="alert">{{ said }}</p>
    <div class="mt-5 flex gap-3">
      <button type="submit" class="primary" :disabled="busy">Keep the family</button>
      <RouterLink class="quiet" to="/families" @click="form.leave">Leave it</RouterLink>
    </div>
    <AuditLines v-if="!isNew" :path="`/families/${String(route.params.id)}`" />
  </form>
  <p v-else class="p-8 text-soft" aria-busy="true">Opening the engine family</p>
</template>
