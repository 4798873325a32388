export {
  advance,
  countedBy,
  currentStep,
  isCounting,
  isWorthTelling,
  missingConditions,
  notYet,
  pausesOf,
  remaining,
  startRun,
  stepsLeftOut,
} from './advance.ts';
export { recipeOf, step } from './building.ts';
export { recipeProblems, stepsWithoutEnd } from './check.ts';
export type { RecipeProblem } from './check.ts';
export { offeredRecipes } from './offered.ts';
export type { OfferedRecipe, RecipeFor } from './offered.ts';
export { FLAGS, READINGS } from './readings.ts';
export type { ReadingDefinition, ReadingName } from './readings.ts';
export type { Run, RunInput } from './run.ts';
export { ENDS, MOST_STEPS, recipeShape, STEP_KINDS } from './shape.ts';
export type { BadEnd, Recipe, RunCondition, RunStep, RunStepKind, WayOn } from './shape.ts';
export { allRecipes, STARTER_RECIPES, starterRecipe } from './starters.ts';
export {
  badEndWords,
  conditionWords,
  flagWords,
  lookAgainWords,
  readingIn,
  recipeWords,
  wayOutWords,
} from './words.ts';
