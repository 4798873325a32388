export {
  advance,
  countedBy,
  currentStep,
  isCounting,
  missingConditions,
  notYet,
  remaining,
  startRun,
} from './advance.ts';
export { recipe, RECIPES } from './recipes.ts';
export type {
  BadEnd,
  FlagName,
  ReadingName,
  Recipe,
  Run,
  RunCondition,
  RunInput,
  RunStep,
  RunStepKind,
} from './types.ts';
