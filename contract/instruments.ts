import { z } from 'zod';
import type { InstrumentId, InstrumentReading } from '../core/instruments/index.ts';
import { id, number } from './primitives.ts';

/** How a stand-in behaves. */
export const MOODS = ['steady', 'noisy', 'overload', 'unplugged'] as const;
/** The id of one of {@link MOODS}. */
export type Mood = (typeof MOODS)[number];

/** An instrument as it is listed. */
export interface InstrumentInfo extends InstrumentId {
  readonly id: string;
  /** It ships with the program: what it shows can be set. */
  readonly simulated: boolean;
  /** The station that it is paired with; null for none. */
  readonly station: string | null;
}

/** News of an instrument that is listened to. */
export interface InstrumentNews {
  readonly reading: InstrumentReading | null;
  readonly words: string;
  readonly gone: boolean;
}

/** Pairs an instrument with a station; null with none. */
export const instrumentPair = z.strictObject({ by: id, station: id.nullable() });
/** The station that asks to hear one. */
export const instrumentQuery = z.strictObject({ station: id });
/** What a stand-in shows from now on. */
export const instrumentSet = z.strictObject({
  values: z.array(number).min(1, 'Expected a figure.').max(4, 'Expected at most four figures.'),
  unit: z.string().min(1, 'Expected a unit.').max(12),
  mood: z.enum(MOODS),
});
