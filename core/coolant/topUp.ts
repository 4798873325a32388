import { type CoolantState, mix } from './mix.ts';
import { upperFirst } from '../words/index.ts';

/** Where the system should end. */
export interface CoolantTarget {
  /** Litres when full to the mark. */
  readonly volume: number;
  /** Share of antifreeze by volume, 0 to 1. */
  readonly concentration: number;
}

/** One way to get there. Litres. */
export interface TopUp {
  readonly way: 'nothing' | 'concentrate and water' | 'ready-mix' | 'water' | 'drain first';
  /** To be let out first, thrown away or kept. */
  readonly drain: number;
  readonly concentrate: number;
  readonly readyMix: number;
  readonly water: number;
  /** All that is poured in, and its share of antifreeze; 0 when it is nothing. */
  readonly added: number;
  readonly addedShare: number;
  /** What the system then holds. */
  readonly after: CoolantState;
  readonly words: string;
}

/** A ready-mix is half and half unless its label says otherwise. */
export const READY_MIX_SHARE = 0.5;
/** A share this near the target is right: a refractometer reads no finer. */
export const SHARE_SLACK = 0.02;
/** Less than this is not worth measuring out, litres. */
const DROP_L = 0.02;

const litres = (value: number): string => `${value.toFixed(2)} L`;

/**
 * How to reach both level and concentration: exact with concentrate and deionised water, or more simply with ready-mix
 * or water alone where that ends within {@link SHARE_SLACK}. Too strong or too weak for what still fits: how much has to
 * be let out first. Volumes and antifreeze add up as in {@link mix}.
 * @param state litres now and their share; empty is allowed
 * @returns simplest first, at least one
 * @throws RangeError for a negative volume, a share outside 0 to 1 or a target without volume
 * @example 7.0 L at 50 % to 7.4 L at 50 %: 0.20 L concentrate and 0.20 L water, or 0.40 L ready-mix
 */
export function topUp(state: CoolantState, target: CoolantTarget): readonly TopUp[] {
  for (const [name, value] of [
    ['volume', state.volume],
    ['target volume', target.volume],
  ] as const)
    if (!(value >= 0)) throw new RangeError(`Expected zero litres or more for ${name}, got ${value}.`);
  for (const share of [state.concentration, target.concentration])
    if (!(share >= 0 && share <= 1)) throw new RangeError(`Expected a share from 0 to 1, got ${share}.`);
  if (target.volume === 0) throw new RangeError('Expected a system that holds more than 0 L.');

  const off = state.volume - target.volume;
  const rightShare = Math.abs(state.concentration - target.concentration) <= SHARE_SLACK;
  if (Math.abs(off) <= DROP_L && rightShare)
    return [way('nothing', state, {}, 'Level and mix are right: nothing to add.')];

  const exact = exactWay(state, target);
  const missing = Math.max(0, -off);
  const simple = (name: 'ready-mix' | 'water'): TopUp[] => {
    if (missing <= DROP_L) return [];
    const added = name === 'water' ? { water: missing } : { readyMix: missing };
    const found = way(
      name,
      state,
      added,
      `${litres(missing)} of ${name === 'water' ? 'deionised water' : 'ready-mix'}.`,
    );
    return Math.abs(found.after.concentration - target.concentration) <= SHARE_SLACK ? [found] : [];
  };
  return [...simple('ready-mix'), ...simple('water'), exact];
}

/** Concentrate and water, after letting out just as much as it takes. */
function exactWay(state: CoolantState, target: CoolantTarget): TopUp {
  const { volume, concentration } = state;
  const antifreeze = target.volume * target.concentration;
  let kept = Math.min(volume, target.volume);
  // Too strong: what stays may hold no more antifreeze than the target; too weak: no more water.
  if (kept * concentration > antifreeze) kept = Math.min(kept, antifreeze / concentration);
  const water = target.volume - antifreeze;
  if (kept * (1 - concentration) > water) kept = Math.min(kept, water / (1 - concentration));
  const drain = volume - kept;
  const add = {
    drain,
    concentrate: Math.max(0, antifreeze - kept * concentration),
    water: Math.max(0, water - kept * (1 - concentration)),
  };
  const parts = [
    add.concentrate > DROP_L / 4 ? `${litres(add.concentrate)} of concentrate` : '',
    add.water > DROP_L / 4 ? `${litres(add.water)} of deionised water` : '',
  ].filter(Boolean);
  const fill = parts.length === 0 ? 'nothing to add' : parts.join(' and ');
  return drain > DROP_L
    ? way('drain first', state, add, `Let out ${litres(drain)} first, then ${fill}.`)
    : way('concentrate and water', state, add, `${upperFirst(fill)}.`);
}

function way(
  name: TopUp['way'],
  state: CoolantState,
  given: Partial<Pick<TopUp, 'drain' | 'concentrate' | 'readyMix' | 'water'>>,
  words: string,
): TopUp {
  const { drain = 0, concentrate = 0, readyMix = 0, water = 0 } = given;
  const added = concentrate + readyMix + water;
  const addedShare = added === 0 ? 0 : Math.min(1, (concentrate + readyMix * READY_MIX_SHARE) / added);
  const after = mix(state, { drained: drain, returned: 0, added, addedConcentration: addedShare });
  return { way: name, drain, concentrate, readyMix, water, added, addedShare, after, words };
}
