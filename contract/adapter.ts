import { z } from 'zod';
import type { LiveValue } from '../core/job/index.ts';
import { count, id, isoTime } from './primitives.ts';

/** An adapter that can be read. */
export interface AdapterLinkInfo {
  readonly id: string;
  readonly name: string;
  /** The vehicle it is plugged into, when that is known beforehand. */
  readonly vehicleId: string;
  readonly vin: string;
}

/** What was read, and what could not be. */
export interface AdapterReading {
  readonly vin: string;
  readonly stored: readonly string[];
  readonly pending: readonly string[];
  /** Both lists of codes were read to their ends. */
  readonly codesRead: boolean;
  readonly frame: { readonly code: string; readonly values: readonly LiveValue[] } | null;
  readonly values: readonly LiveValue[];
  readonly problems: readonly string[];
  /** The adapter went away in the middle; what is here was read before. */
  readonly gone: boolean;
}

/** What to read from which adapter. */
export const adapterRead = z.strictObject({ link: id, codes: z.boolean(), values: z.boolean(), jobId: id.optional() });

/** Clearing: the server keeps what is stored in the job's log before the request goes out. */
export const adapterClear = z.strictObject({
  link: id,
  jobId: id,
  commandId: id,
  at: isoTime,
  by: id,
  seen: count.min(0),
});

/** What the instruments of a simulated engine show. */
export interface EngineShown {
  readonly rpm: number;
  /** What drives its idle: duty or travel of the valve, %, or the plate, °; null where nothing of the kind is read. */
  readonly drive: number | null;
  readonly coolantC: number;
  readonly running: boolean;
}
