import type { RecipeFile, RecipeVersion } from '../../contract/index.ts';
import type { Recipe } from '../../core/relearn/index.ts';
import { ask, give, keep } from './asking.ts';
import { addressOf } from './pages.ts';

/** A recipe, the newest version unless one is named; those that came with the program can be read too. */
export const readRecipe = (id: string, version?: string): Promise<Recipe> =>
  ask(addressOf(`/recipes/${id}`, { version }));
/** The versions of a recipe, newest first; none for one that came with the program. */
export const readRecipeVersions = async (id: string): Promise<readonly RecipeVersion[]> =>
  (await ask<{ rows: readonly RecipeVersion[] }>(`/recipes/${id}/versions`)).rows;
/** Saves the next version. */
export const saveRecipe = (recipe: Recipe, basedOn: number, note: string): Promise<Recipe> =>
  keep(`/recipes/${recipe.id}`, { basedOn, note, recipe });
/** Takes in a recipe file. */
export const takeRecipeFile = (file: RecipeFile): Promise<Recipe> => give('/recipes/files', { file });
