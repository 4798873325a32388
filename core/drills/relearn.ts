import { random } from '../chance/index.ts';
import { oneOf } from './shuffle.ts';

/** What is pressed and for how long. Times in seconds. */
export interface TimedStep {
  readonly control: 'key' | 'pedal';
  /** Pressed, or left alone. */
  readonly down: boolean;
  readonly words: string;
  readonly low: number;
  readonly high: number;
}
/** A relearn of key and pedal as a recipe gives it. */
export interface RelearnDrill {
  readonly name: string;
  readonly steps: readonly TimedStep[];
}
/** A step as it was done. */
export interface StepJudged {
  readonly step: TimedStep;
  readonly seconds: number;
  readonly isRight: boolean;
  readonly words: string;
}

const key = (down: boolean, words: string, low: number, high: number): TimedStep => ({
  control: 'key',
  down,
  words,
  low,
  high,
});
const pedal = (down: boolean, words: string, low: number, high: number): TimedStep => ({
  control: 'pedal',
  down,
  words,
  low,
  high,
});

/** Neutral recipes of the usual kinds, shortened to what a drill takes; the maker’s own comes first. */
const RECIPES: readonly ((pick: (of: readonly number[]) => number) => RelearnDrill)[] = [
  (pick) => {
    const hold = pick([4, 6, 8]);
    return {
      name: 'Closed position by key',
      steps: [
        key(true, `Key on, foot off: wait ${hold} s`, hold - 0.5, hold + 1.5),
        key(false, 'Key off: wait 5 s', 4.5, 7),
        key(true, 'Key on again for 3 s', 2.5, 4.5),
      ],
    };
  },
  (pick) => {
    const [wait, hold] = [pick([2, 3]), pick([5, 7])];
    return {
      name: 'Pedal travel',
      steps: [
        key(true, `Key on, foot off: wait ${wait} s`, wait - 0.5, wait + 1),
        pedal(true, `Pedal to the floor: hold ${hold} s`, hold - 0.5, hold + 1),
        pedal(false, 'Pedal up: wait 3 s', 2.5, 4.5),
        key(false, 'Key off: wait 4 s', 3.5, 6),
      ],
    };
  },
  (pick) => {
    const times = pick([2, 3]);
    return {
      name: 'Pedal by strokes',
      steps: [
        key(true, 'Key on, foot off: wait 3 s', 2.5, 4),
        ...Array.from({ length: times }, (_, index) => [
          pedal(true, `Stroke ${index + 1}: down for 1 s`, 0.6, 1.6),
          pedal(false, 'and up for 1 s', 0.6, 1.6),
        ]).flat(),
        key(false, 'Key off: wait 4 s', 3.5, 6),
      ],
    };
  },
];

/** @param seed 0 to 2³² − 1; the same seed is the same drill */
export function relearnDrill(seed: number): RelearnDrill {
  const dice = random(seed);
  return oneOf(RECIPES, dice)((of) => oneOf(of, dice));
}

/** @param seconds how long each step was kept up, in order; those that never came are missing */
export function judgeRelearn({ steps }: RelearnDrill, seconds: readonly number[]): readonly StepJudged[] {
  return steps.map((step, index) => {
    const was = seconds[index] ?? 0;
    const isRight = was >= step.low && was <= step.high;
    const words = isRight
      ? 'within its time'
      : was < step.low
        ? `too short: ${was.toFixed(1)} s of at least ${step.low} s`
        : `too long: ${was.toFixed(1)} s, at most ${step.high} s`;
    return { step, seconds: was, isRight, words };
  });
}
