import { z } from 'zod';
import { recipeShape } from '../core/relearn/index.ts';
import { count, id, line } from './primitives.ts';
import { zodOf } from './shapes.ts';

/** A recipe of the shop. */
export const recipe = zodOf(recipeShape);

/** The name of the open format of a recipe; described in docs/recipe-file.md. */
export const RECIPE_FORMAT = 'unhurried-wrench-recipe';
/** A recipe as a file. */
export const recipeFile = z.strictObject({
  format: z.literal(RECIPE_FORMAT, 'This is not a recipe file of this program.'),
  version: z.literal(1, 'This recipe file is of a version that this program does not read.'),
  recipe,
});
/** The type of {@link recipeFile}. */
export type RecipeFile = z.infer<typeof recipeFile>;

/** What is sent to save a recipe as its next version. */
export const recipeSave = z.strictObject({
  by: id,
  /** The version it was made from; 0 for a new one, or one that came with the program. */
  basedOn: count.min(0),
  note: line.trim().min(1, 'Say in a few words what is new.'),
  recipe,
});

/** A version of a recipe: when, who, and what was new. */
export interface RecipeVersion {
  readonly version: number;
  /** ISO time. */
  readonly at: string;
  readonly by: string;
  readonly note: string;
}
