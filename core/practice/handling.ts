import type { Group } from '../diagnose/index.ts';
import type { Job } from '../job/index.ts';

/** What hands do at a practice vehicle that no record asks for. */
export const DEEDS = {
  'hand-at-plate': 'Hand at the plate',
  'hand-away': 'Hand away',
  'key-off': 'Key off',
  'key-on': 'Key on',
  run: 'Run',
  blip: 'Blip',
  'lights-on': 'Lights on',
  sweep: 'Pedal down and up',
  'rag-in': 'Lay a rag into the inlet',
  'rag-out': 'Take the rag out',
  'spray-bore': 'Spray cleaner into the bore',
  'spray-sensor': 'Spray cleaner over the sensor',
} as const;
/** A key of {@link DEEDS}. */
export type HandDeed = keyof typeof DEEDS;

/** Looks after which hands and rags reach the plate. */
const REACHES_IN: ReadonlySet<string> = new Set(['duct-off-look', 'light-gap', 'plate-by-hand']);
/** Whether a hand or a rag reaches in: something gapes, the duct or a unit is off, or a look has taken the duct off. */
export const isOpenToHands = ({ openings, items }: Job, looks: readonly string[]): boolean =>
  openings.some(({ state }) => state === 'open') ||
  items.some(({ kind, unit, state }) => (kind === 'duct' || unit !== null) && state === 'off') ||
  looks.some((sign) => REACHES_IN.has(sign));

/** How things stand where hands are. */
export interface AtHand {
  readonly group: Group;
  readonly handAtPlate: boolean;
  readonly ragIn: boolean;
  /** The duct is off or the inlet gapes: hands and rags reach in. */
  readonly open: boolean;
  readonly key: 'off' | 'on' | 'run';
  /** Why the engine may not be started, in words; empty where it may. */
  readonly held: readonly string[];
}

/** How a vehicle answers what hands do. */
export interface HandAnswer {
  /** Stopped: nothing moved, since it would have hurt somebody or the engine. */
  readonly stopped: boolean;
  /** Whether anything is otherwise than before. */
  readonly changed: boolean;
  /** Counted as a risk that was taken. */
  readonly risk: boolean;
  readonly words: string;
}

const done = (words: string): HandAnswer => ({ stopped: false, changed: true, risk: false, words });
const nothing = (words: string): HandAnswer => ({ stopped: false, changed: false, risk: false, words });
const stop = (words: string): HandAnswer => ({ stopped: true, changed: false, risk: true, words });
const POWERED: ReadonlySet<Group> = new Set<Group>(['electronic', 'multi-bank', 'diesel-flap']);
const ENERGISES: ReadonlySet<HandDeed> = new Set<HandDeed>(['key-on', 'run', 'blip', 'lights-on', 'sweep']);
const RUNS: ReadonlySet<HandDeed> = new Set<HandDeed>(['run', 'blip', 'lights-on']);

/** What a deed brings, as things stand. */
export function handle(deed: HandDeed, { group, handAtPlate, ragIn, open, key, held }: AtHand): HandAnswer {
  const powered = POWERED.has(group);
  if (ENERGISES.has(deed) && handAtPlate)
    return powered
      ? stop(
          'Stopped: a finger lies at the plate. With the key on, the motor may shut it with more force than a finger stands.',
        )
      : stop('Stopped: a finger lies at the plate. Nobody turns a key while a hand is in the bore.');
  if (RUNS.has(deed) && held.length > 0)
    return { stopped: true, changed: false, risk: false, words: `Held: ${held.join('; ')}.` };
  switch (deed) {
    case 'hand-at-plate':
      if (key !== 'off' && powered)
        return stop(
          'Stopped: the key is on, and this plate has a motor. Key off first, and let the computer go to sleep.',
        );
      return open ? done('Your finger lies at the plate.') : nothing('The duct is in the way: nothing to reach.');
    case 'hand-away':
      return done('Hand out.');
    case 'rag-in':
      return open ? done('The rag lies in the inlet.') : nothing('Nothing is open that a rag would go into.');
    case 'rag-out':
      return ragIn ? done('The rag is out; it is whole.') : nothing('There is no rag in it.');
    case 'spray-bore':
      if (key === 'run')
        return stop(
          'Stopped: cleaner burns. Nothing is sprayed into a running engine beyond what the recipe of a check says.',
        );
      return open ? done('Cleaner runs down the bore onto the cloth.') : nothing('Nothing is open to spray into.');
    case 'spray-sensor':
      return {
        stopped: false,
        changed: true,
        risk: true,
        words: 'It runs over the sensor and in at the shaft. What it shows from now on is another figure than before.',
      };
    case 'key-off':
      return done('Key off.');
    case 'key-on':
      return done(powered ? 'Key on: the plate moves a little by itself, and stands.' : 'Key on.');
    case 'run':
      return done('It is turned over.');
    case 'blip':
      return done('The pedal goes down and up.');
    case 'lights-on':
      return done('Lights and blower on.');
    case 'sweep':
      return done('Slowly down, slowly up.');
  }
}
