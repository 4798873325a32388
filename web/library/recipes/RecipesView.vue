<script setup lang="ts">
import { computed } from 'vue';
import { useRouter } from 'vue-router';
import type { RecipeFile } from '../../../contract/index.ts';
import { allRecipes, type Recipe, recipeWords } from '../../../core/relearn/index.ts';
import { UNIT_KINDS } from '../../../core/vehicle/index.ts';
import SourceNote from '../../parts/SourceNote.vue';
import { useFamilies } from '../../data/families.ts';
import { takeRecipeFile } from '../../data/recipes.ts';
import { useShop } from '../../stores/shop.ts';
import { useTakeFile } from '../takeFile.ts';

/** Every recipe that a run can go by: the shop's own and those that came with the program. */
const shop = useShop();
const router = useRouter();
const { families } = useFamilies();
const groups = computed(() => {
  const all = allRecipes(shop.recipes);
  const forAny = ({ fits }: Recipe): boolean => fits.families.length + fits.kinds.length + fits.vehicles.length === 0;
  return [
    { name: 'Relearn, for some engines', rows: all.filter((each) => each.purpose === 'relearn' && !forAny(each)) },
    { name: 'Relearn, for any engine', rows: all.filter((each) => each.purpose === 'relearn' && forAny(each)) },
    { name: 'Bleeding', rows: all.filter((each) => each.purpose === 'bleed') },
  ].filter(({ rows }) => rows.length > 0);
});
const forWhat = ({ fits }: Recipe): string =>
  [
    ...fits.families.map((id) => families.value?.find((each) => each.id === id)?.name ?? id),
    ...fits.kinds.map((kind) => UNIT_KINDS[kind].toLowerCase()),
    ...(fits.vehicles.length === 0
      ? []
      : [fits.vehicles.length === 1 ? 'one vehicle' : `${fits.vehicles.length} vehicles`]),
  ].join(', ');

const { wrong, readFile } = useTakeFile(async (file) => {
  const saved = await takeRecipeFile(file as RecipeFile);
  await shop.load();
  await router.push(`/recipes/${saved.id}`);
});
</script>

<template>
  <section class="h-full overflow-y-auto px-4 py-6 md:px-7">
    <p class="text-sm"><RouterLink class="link" to="/procedures">Procedures</RouterLink></p>
    <div class="flex flex-wrap items-center gap-3">
      <h1 class="text-title">Recipes</h1>
      <span class="ml-auto flex flex-wrap gap-2">
        <label class="quiet cursor-pointer text-sm focus-within:outline-3 focus-within:outline-bottle"
          >Read a file<input type="file" accept=".json,application/json" class="sr-only" @change="readFile"
        /></label>
        <RouterLink class="primary" to="/recipes/new">Write one</RouterLink>
      </span>
    </div>
    <p class="mt-1 max-w-prose text-soft">
      How an engine computer learns its stops and its idle air again, and how coolant is bled. A run keeps the version
      that it began with; the maker’s own procedure comes first.
    </p>
    <ul v-if="wrong.length > 0" class="mt-4 border-l-[3px] border-alarm py-1 pl-3" role="alert">
      <li v-for="(line, index) in wrong" :key="line" :class="index === 0 ? 'font-semibold text-alarm' : 'text-note'">
        {{ line }}
      </li>
    </ul>
    <section v-for="group in groups" :key="group.name" class="mt-6 max-w-5xl">
      <h2 class="text-sm font-bold">{{ group.name }}</h2>
      <ul class="rows mt-1 border-y border-line">
        <li v-for="recipe in group.rows" :key="recipe.id">
          <RouterLink
            :to="`/recipes/${recipe.id}`"
            class="grid gap-x-5 py-3 hover:bg-band md:grid-cols-[1fr_14rem_13rem_6rem]"
            ><span class="font-semibold"
              >{{ recipe.name }}<span class="block text-sm font-normal text-soft">{{ forWhat(recipe) }}</span></span
            ><span class="text-soft">{{ recipeWords(recipe) }}</span
            ><span class="text-note"><SourceNote :source="recipe.source" /></span
            ><span class="text-soft md:text-right">{{
              recipe.version === 0 ? 'shipped' : `version ${recipe.version}`
            }}</span></RouterLink
          >
        </li>
      </ul>
    </section>
  </section>
</template>
