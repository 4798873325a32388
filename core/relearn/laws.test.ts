import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  advance,
  currentStep,
  type Recipe,
  recipeOf,
  recipeProblems,
  type Run,
  type RunInput,
  type RunStep,
  startRun,
  step,
  stepsWithoutEnd,
} from './index.ts';

const START = Date.UTC(2026, 0, 1);
const at = (seconds: number): string => new Date(START + seconds * 1000).toISOString();

/** Any recipe of up to 40 steps whose ways lead somewhere, wherever that is. */
const anyRecipe = fc.integer({ min: 1, max: 40 }).chain((size) => {
  const ids = Array.from({ length: size }, (_, index) => `s${index}`);
  // Ends are rare enough that some recipes have none.
  const where = fc.oneof(
    { weight: 12, arbitrary: fc.constantFrom(...ids) },
    { weight: 1, arbitrary: fc.constantFrom('done', 'failed') },
  );
  const way = fc.record({ words: fc.constant('w'), goTo: where });
  const ways = fc.array(way, { maxLength: 3 });
  const other = fc.oneof(
    { weight: 5, arbitrary: fc.constant([]) },
    { weight: 1, arbitrary: fc.array(way, { maxLength: 2 }) },
  );
  const one = (id: string, index: number): fc.Arbitrary<RunStep> =>
    fc
      .record({
        seconds: fc.option(fc.integer({ min: 1, max: 120 })),
        answers: ways,
        instead: other,
        pausedBy: fc.subarray(['fan-running', 'bubbles']),
        needs: fc.subarray(['loads-off', 'heater-hot']),
        bad: fc.option(where, { freq: 1 }),
        again: fc.option(
          fc.record({ back: fc.constantFrom(...ids.slice(0, index + 1)), times: fc.integer({ min: 2, max: 4 }) }),
        ),
      })
      .map(({ seconds, answers, instead, pausedBy, needs, bad, again }) =>
        step({
          id,
          kind: 'check',
          title: id,
          how: '',
          seconds,
          answers,
          instead,
          pausedBy,
          conditions: needs.map((name) => ({ kind: 'flag', name, on: true, words: '' }) as const),
          endsBadly: bad === null ? [] : [{ name: 'rpm', below: 400, above: null, unit: 'rpm', words: '', goTo: bad }],
          again: answers.length > 0 ? null : again,
        }),
      );
  return fc.tuple(...ids.map(one)).map((steps): Recipe => recipeOf({ id: 'any', name: 'Any', steps }));
});

const anyInput = fc.oneof(
  fc.record({ kind: fc.constant('confirm' as const), answer: fc.integer({ min: 0, max: 2 }) }),
  fc.constant({ kind: 'tick' as const }),
  fc.record({ kind: fc.constant('instead' as const), answer: fc.integer({ min: 0, max: 2 }) }),
  fc.record({ kind: fc.constant('leave-out' as const), why: fc.constant('w'), answer: fc.integer({ min: 0, max: 2 }) }),
  fc.record({
    kind: fc.constant('reading' as const),
    name: fc.constant('rpm' as const),
    value: fc.constantFrom(300, 800),
  }),
  fc.record({
    kind: fc.constant('flag' as const),
    name: fc.constantFrom('fan-running', 'bubbles', 'loads-off', 'heater-hot'),
    on: fc.boolean(),
  }),
);
const steps = fc.array(fc.tuple(fc.integer({ min: 0, max: 90 }), anyInput), { maxLength: 60 });

/** The fewest inputs to an end, by trying; another search than the one that is tested. */
function endsWithin(run: Run, seen: Set<string>): boolean {
  if (run.status !== 'running') return true;
  const here = currentStep(run);
  if (here === null || seen.has(here.id)) return false;
  seen.add(here.id);
  // Each way out is taken on a run that stands at its last turn, with whatever it needs.
  const ready: Run = { ...run, rounds: here.again === null ? {} : { [here.id]: here.again.times - 1 } };
  const inputs: RunInput[] = [
    ...(here.answers.length > 0 ? here.answers.map((_, answer) => answer) : [undefined]).map(
      (answer) => ({ kind: 'leave-out', why: 'w', answer, at: run.asOf }) as const,
    ),
    ...here.instead.map((_, answer) => ({ kind: 'instead', answer, at: run.asOf }) as const),
    { kind: 'reading', name: 'rpm', value: 0, at: run.asOf },
  ];
  const first: Run = { ...run, rounds: {} };
  return [...inputs.map((input) => advance(ready, input)), ...inputs.map((input) => advance(first, input))].some(
    (next) => endsWithin(next, seen),
  );
}

describe('any recipe of up to 40 steps', () => {
  it('reaches an end from every step, or names the step from which there is none', () => {
    let stuck = 0;
    fc.assert(
      fc.property(anyRecipe, (recipe) => {
        const without = stepsWithoutEnd(recipe);
        if (without.length > 0) stuck += 1;
        const stuckAt = recipe.steps.flatMap(({ id }, index) =>
          endsWithin({ ...startRun(recipe, at(0)), at: index }, new Set()) ? [] : [id],
        );
        expect(without).toEqual(stuckAt);
        const named = recipeProblems(recipe).filter(({ words }) => words.includes('never comes to an end'));
        expect(named.map(({ stepId }) => stepId)).toEqual(without);
      }),
      { numRuns: 400 },
    );
    // Both kinds were met.
    expect(stuck).toBeGreaterThan(10);
    expect(stuck).toBeLessThan(390);
  });

  it('is walked 10,000 times at random: never out of its steps, turns within their number, the same when said again', () => {
    fc.assert(
      fc.property(fc.constantFrom(...fc.sample(anyRecipe, { numRuns: 400, seed: 17 })), steps, (recipe, walk) => {
        const turnsOf = new Map(recipe.steps.map(({ id, again }) => [id, again?.times ?? 0]));
        const walked = (): Run => {
          let run = startRun(recipe, at(0));
          let now = 0;
          for (const [wait, input] of walk) {
            now += wait;
            const before = run;
            run = advance(run, { ...input, at: at(now) } as RunInput);
            if (before.status !== 'running' && run !== before) throw new Error('went on after its end');
            const inside = run.status === 'complete' ? run.at === recipe.steps.length : run.at < recipe.steps.length;
            if (!inside) throw new Error(`stands at ${run.at} of ${recipe.steps.length}, ${run.status}`);
            for (const [id, turns] of Object.entries(run.rounds))
              if (turns >= (turnsOf.get(id) ?? 0)) throw new Error(`${turns} turns at ${id}`);
          }
          return run;
        };
        const { recipe: _, ...once } = walked();
        const { recipe: __, ...again } = walked();
        expect(again).toEqual(once);
      }),
      { numRuns: 10_000 },
    );
  });

  it('counts just the time in which its conditions held', () => {
    const flags = ['loads-off', 'fan-running'] as const;
    const one = recipeOf({
      id: 'one',
      name: 'One',
      steps: [
        step({
          id: 'hold',
          kind: 'wait',
          title: 'Hold',
          how: '',
          seconds: 100_000,
          conditions: [
            { kind: 'flag', name: 'loads-off', on: true, words: '' },
            { kind: 'reading', name: 'ect', low: 80, high: 110, unit: '°C', words: '' },
          ],
          pausedBy: ['fan-running'],
        }),
      ],
    });
    const change = fc.oneof(
      fc.record({ kind: fc.constant('flag' as const), name: fc.constantFrom(...flags), on: fc.boolean() }),
      fc.record({
        kind: fc.constant('reading' as const),
        name: fc.constant('ect' as const),
        value: fc.integer({ min: 60, max: 130 }),
      }),
      fc.constant({ kind: 'tick' as const }),
    );
    fc.assert(
      fc.property(fc.array(fc.tuple(fc.integer({ min: 0, max: 60 }), change), { maxLength: 40 }), (changes) => {
        let now = 0;
        let run = startRun(one, at(0));
        // Second by second, by looking at what was true in it.
        const state = { off: false, fan: false, ect: null as number | null };
        let held = 0;
        for (const [wait, input] of changes) {
          for (let second = 0; second < wait; second += 1)
            if (state.off && !state.fan && state.ect !== null && state.ect >= 80 && state.ect <= 110) held += 1;
          now += wait;
          if (input.kind === 'flag' && input.name === 'loads-off') state.off = input.on;
          if (input.kind === 'flag' && input.name === 'fan-running') state.fan = input.on;
          if (input.kind === 'reading') state.ect = input.value;
          run = advance(run, { ...input, at: at(now) });
        }
        expect(run.counted).toBeCloseTo(held, 6);
      }),
      { numRuns: 1000 },
    );
  });
});
