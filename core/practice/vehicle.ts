import { random } from '../chance/index.ts';
import type { Group } from '../diagnose/index.ts';
import { FAULTS } from './faults.ts';
import { type Idling, idling } from './idling.ts';
import { SOUND_WORLD, type World } from './world.ts';

/** A simulated vehicle with what is hidden in it. */
export interface PracticeVehicle {
  readonly group: Group;
  readonly hasValve: boolean;
  readonly seed: number;
  /** Ids of causes of the knowledge; what a person is to find. */
  readonly faults: readonly string[];
  readonly world: World;
  readonly idle: Idling;
  /** The same engine with nothing wrong, which is what figures are held against. */
  readonly sound: Idling;
}

/** Groups that have a valve of their own for the idle. */
export const VALVED: ReadonlySet<Group> = new Set<Group>(['cable', 'motorcycle', 'outboard', 'multi-bank']);

/** The seed of the engine that figures are held against. */
const BOOK_SEED = 1;
const books = new Map<Group, Idling>();
/** What a sound engine of a group does at idle: what a book would say of it. */
export function soundIdle(group: Group): Idling {
  const known = books.get(group) ?? idling(SOUND_WORLD, group, BOOK_SEED);
  books.set(group, known);
  return known;
}

/** A vehicle of a group with one or two faults. The same seed makes the same vehicle. @throws RangeError for a fault nobody knows */
export function practiceVehicle(seed: number, group: Group, faults: readonly string[]): PracticeVehicle {
  const dice = random(seed);
  const world = faults.reduce((so, id): World => {
    const fault = FAULTS[id];
    if (fault === undefined) throw new RangeError(`Expected a cause of the knowledge, got “${id}”.`);
    return { ...so, ...fault(dice) };
  }, SOUND_WORLD);
  return {
    group,
    hasValve: VALVED.has(group),
    seed,
    faults,
    world,
    idle: idling(world, group, seed),
    sound: soundIdle(group),
  };
}
