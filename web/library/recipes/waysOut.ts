import { ENDS, type Recipe, wayOutWords } from '../../../core/relearn/index.ts';

/** Where a way out of a step may lead. */
export interface WayOut {
  readonly id: string;
  readonly words: string;
}

/** Every step of a recipe, and its ends. */
export const waysOut = (recipe: Pick<Recipe, 'steps'>): readonly WayOut[] =>
  [...Object.keys(ENDS), ...recipe.steps.map(({ id }) => id)].map((id) => ({ id, words: wayOutWords(recipe, id) }));
