import type { Recipe, RunStep } from './shape.ts';

/** A step with nothing in it but what is said of it: for recipes that are written down as data. */
export const step = (said: Partial<RunStep> & Pick<RunStep, 'id' | 'kind' | 'title' | 'how'>): RunStep => ({
  seconds: null,
  conditions: [],
  pausedBy: [],
  endsBadly: [],
  answers: [],
  instead: [],
  again: null,
  asks: '',
  ...said,
});

/** A recipe for anything, by steps, but for what is said of it. */
export const recipeOf = (said: Partial<Recipe> & Pick<Recipe, 'id' | 'name'>): Recipe => ({
  purpose: 'relearn',
  way: 'steps',
  lookAgain: null,
  source: null,
  version: 0,
  fits: { families: [], kinds: [], vehicles: [] },
  flags: [],
  steps: [],
  ...said,
});
