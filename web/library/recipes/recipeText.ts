import { convert, FIELDS, plainText, type Unit } from '../../../core/quantity/index.ts';
import {
  type BadEnd,
  type ReadingName,
  READINGS,
  type Recipe,
  type RecipeProblem,
  recipeProblems,
  type RunCondition,
  type RunStep,
} from '../../../core/relearn/index.ts';
import { numberIn } from '../../parts/numberIn.ts';

/** A figure as it is typed; empty for none. */
type Typed = string;
export type ConditionText =
  | {
      readonly kind: 'reading';
      readonly name: ReadingName;
      readonly low: Typed;
      readonly high: Typed;
      readonly unit: Unit;
      readonly words: string;
    }
  | Extract<RunCondition, { kind: 'flag' }>;
export type BadEndText = Omit<BadEnd, 'below' | 'above'> & { readonly below: Typed; readonly above: Typed };
export type StepText = Omit<RunStep, 'seconds' | 'conditions' | 'endsBadly' | 'again'> & {
  readonly seconds: Typed;
  readonly conditions: readonly ConditionText[];
  readonly endsBadly: readonly BadEndText[];
  readonly again: { readonly back: string; readonly times: Typed } | null;
};
/** A recipe as it is typed. */
export type RecipeText = Omit<Recipe, 'steps' | 'source' | 'lookAgain' | 'version'> & {
  readonly source: string;
  readonly lookAgain: { readonly value: Typed; readonly unit: NonNullable<Recipe['lookAgain']>['unit'] };
  readonly steps: readonly StepText[];
};

/** A clock time as people type it: “20 s”, “3 min”, “1.5 h”. */
export function durationText(seconds: number): string {
  if (seconds % 3600 === 0) return `${seconds / 3600} h`;
  return seconds >= 60 && seconds % 30 === 0 ? `${plainText(seconds / 60)} min` : `${plainText(seconds)} s`;
}
const figure = (value: number | null): Typed => (value === null ? '' : plainText(value));

/** What the editor shows of a recipe. */
export const recipeText = ({ version: _, ...recipe }: Recipe): RecipeText => ({
  ...recipe,
  source: recipe.source ?? '',
  lookAgain: { value: figure(recipe.lookAgain?.value ?? null), unit: recipe.lookAgain?.unit ?? 'km' },
  steps: recipe.steps.map((step) => ({
    ...step,
    seconds: step.seconds === null ? '' : durationText(step.seconds),
    conditions: step.conditions.map((condition) =>
      condition.kind === 'flag'
        ? condition
        : { ...condition, low: figure(condition.low), high: figure(condition.high) },
    ),
    endsBadly: step.endsBadly.map((end) => ({ ...end, below: figure(end.below), above: figure(end.above) })),
    again: step.again === null ? null : { ...step.again, times: String(step.again.times) },
  })),
});

/** What was typed as a recipe, and what is wrong with it; it is one to work by when nothing is *wrong*. */
export function readRecipeText(typed: RecipeText): {
  readonly recipe: Recipe;
  readonly problems: readonly RecipeProblem[];
} {
  const unread: RecipeProblem[] = [];
  const cannot = (stepId: string | null, field: string, text: string, expected: string): void => {
    unread.push({ level: 'wrong', stepId, field, words: `“${text}” cannot be read. Expected ${expected}.` });
  };
  const number = (text: Typed, stepId: string | null, field: string, expected: string): number | null => {
    if (text.trim() === '') return null;
    const value = numberIn(text, FIELDS.plain);
    if (!Number.isNaN(value)) return value;
    cannot(stepId, field, text, expected);
    return null;
  };
  const limit = (text: Typed, name: ReadingName, unit: Unit, id: string, field: string): number | null => {
    if (text.trim() === '') return null;
    const assumed = {
      ...FIELDS[READINGS[name].field],
      assume: unit,
      plausible: READINGS[name].bounds.map((each) => convert(each, READINGS[name].unit, unit)) as [number, number],
    };
    const value = numberIn(text, assumed);
    if (!Number.isNaN(value)) return value;
    cannot(id, field, text, `a figure in ${unit}`);
    return null;
  };
  const steps = typed.steps.map((step): RunStep => {
    const { id } = step;
    const seconds = step.seconds.trim() === '' ? null : numberIn(step.seconds, FIELDS.holdTime);
    if (Number.isNaN(seconds)) cannot(id, 'seconds', step.seconds, 'a time such as 20 s or 3 min');
    return {
      ...step,
      seconds: Number.isNaN(seconds) ? null : seconds,
      conditions: step.conditions.map((condition, index) => {
        if (condition.kind === 'flag') return condition;
        const { name, unit } = condition;
        return {
          ...condition,
          low: limit(condition.low, name, unit, id, `conditions.${index}`),
          high: limit(condition.high, name, unit, id, `conditions.${index}`),
        };
      }),
      endsBadly: step.endsBadly.map((end, index) => ({
        ...end,
        below: limit(end.below, end.name, end.unit, id, `endsBadly.${index}`),
        above: limit(end.above, end.name, end.unit, id, `endsBadly.${index}`),
      })),
      again:
        step.again === null
          ? null
          : { back: step.again.back, times: number(step.again.times, id, 'again', 'a count such as 3') ?? 0 },
    };
  });
  const value = typed.way === 'itself' ? number(typed.lookAgain.value, null, 'lookAgain', 'a figure such as 50') : null;
  const recipe: Recipe = {
    ...typed,
    version: 0,
    source: typed.source.trim() === '' ? null : typed.source.trim(),
    lookAgain: value === null ? null : { value, unit: typed.lookAgain.unit },
    steps,
  };
  return { recipe, problems: [...unread, ...recipeProblems(recipe)] };
}
