import { random } from '../chance/index.ts';
import { mix } from '../coolant/index.ts';
import { oneOf } from './shuffle.ts';

/** A system that lost some of what it holds, and what is asked of it. Litres; shares 0 to 1. */
export interface MixDrill {
  readonly volume: number;
  readonly lost: number;
  /** Of concentrate in what is left. */
  readonly share: number;
  /** What it should be once it is full. */
  readonly target: number;
  /** Litres of concentrate that go in; the rest of what is missing is water. */
  readonly concentrate: number;
}
/** How an answer comes out. */
export interface MixJudged {
  readonly isRight: boolean;
  /** What the system would have. */
  readonly share: number;
  readonly words: string;
}

/** Nearer than this nobody pours, L; and further off than this no tester reads, as a share. */
const POURED_L = 0.05;
const SLACK = 0.02;

/** @param seed 0 to 2³² − 1; the same seed is the same system */
export function mixDrill(seed: number): MixDrill {
  const dice = random(seed);
  for (;;) {
    const volume = oneOf([4.5, 5, 6, 7.5, 8], dice);
    const lost = oneOf([0.8, 1, 1.5, 2, 2.5], dice);
    const share = oneOf([0.3, 0.35, 0.4, 0.45], dice);
    const target = oneOf([0.4, 0.45, 0.5], dice);
    // What is poured must be possible: between none and all of what is missing.
    const concentrate = volume * target - (volume - lost) * share;
    if (concentrate >= 0.1 && concentrate <= lost - 0.1)
      return { volume, lost, share, target, concentrate: Number(concentrate.toFixed(2)) };
  }
}

/** @param concentrate litres that are poured in; water makes up the rest @throws RangeError for more than is missing */
export function judgeMix(
  { volume, lost, share, target, concentrate: right }: MixDrill,
  concentrate: number,
): MixJudged {
  if (!(concentrate >= 0 && concentrate <= lost)) throw new RangeError(`Expected 0 to ${lost} L, got ${concentrate}.`);
  const after = mix(
    { volume: volume - lost, concentration: share },
    { drained: 0, returned: 0, added: lost, addedConcentration: concentrate / lost },
  ).concentration;
  const isRight = Math.abs(concentrate - right) <= POURED_L || Math.abs(after - target) <= SLACK;
  const percent = (value: number): string => `${Math.round(value * 100)} %`;
  return {
    isRight,
    share: after,
    words: isRight
      ? `${right.toFixed(2)} L of concentrate and ${(lost - right).toFixed(2)} L of water: ${percent(target)}.`
      : `With ${concentrate.toFixed(2)} L it would be ${percent(after)}. ${volume} L at ${percent(target)} hold ${(volume * target).toFixed(2)} L of concentrate; ${((volume - lost) * share).toFixed(2)} L are in there; ${right.toFixed(2)} L are missing.`,
  };
}
