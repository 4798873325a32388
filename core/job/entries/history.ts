import type { AnyFact } from '../fact.ts';
import type { Job } from '../job.ts';
import type { LoggedFact } from '../recorded.ts';
import { inOrder } from '../trail.ts';

/**
 * How an entry is named before it has its number: the command that made it, its fact, and which of several of that fact
 * (0 is the first), so that what waits to be saved can be put right too.
 */
export interface EntryName {
  readonly command: string;
  readonly kind: string;
  readonly nth: number;
}

/** The entry with that number, or undefined where it does not count any more. */
export function entryAt(job: Job, seq: number): LoggedFact | undefined {
  for (let step = job.history; step !== null; step = step.earlier) if (step.fact.seq === seq) return step.fact;
  return undefined;
}

const alike = (job: Job, command: string, kind: string): LoggedFact[] =>
  inOrder(job.history).filter((fact) => fact.commandId === command && fact.type === kind);

/** The entry of that name, or undefined where it does not count any more. */
export const entryNamed = (job: Job, { command, kind, nth }: EntryName): LoggedFact | undefined =>
  alike(job, command, kind)[nth];

/** How an entry is named. */
export const nameOfEntry = (job: Job, entry: LoggedFact): EntryName => ({
  command: entry.commandId,
  kind: entry.type,
  nth: alike(job, entry.commandId, entry.type).findIndex(({ seq }) => seq === entry.seq),
});

/** The latest entry of a fact that holds these values, or undefined. */
export function entryOf(job: Job, type: string, holds: Readonly<Record<string, unknown>>): LoggedFact | undefined {
  const wanted = Object.entries(holds);
  for (let step = job.history; step !== null; step = step.earlier) {
    const { fact } = step;
    if (fact.type !== type) continue;
    const data = fact.data as Readonly<Record<string, unknown>>;
    if (wanted.every(([field, value]) => data[field] === value)) return fact;
  }
  return undefined;
}

/** The id of the record that an entry made; empty where it made none. */
export const recordOf = ({ data }: LoggedFact): string => {
  const made = (data as { readonly id?: unknown }).id;
  return typeof made === 'string' ? made : '';
};

/**
 * Entries that stand on one and fall with it, oldest first: whatever was entered of the record that it made, or together
 * with it under an id made from that one.
 */
export function standsOn(job: Job, entry: LoggedFact): LoggedFact[] {
  const made = recordOf(entry);
  if (made === '') return [];
  const all = inOrder(job.history);
  // By its place, not its number: what was said anew has a later number than what stands on it.
  return all.slice(all.findIndex(({ seq }) => seq === entry.seq) + 1).filter((later) => mentions(later.data, made));
}

function mentions(value: unknown, id: string): boolean {
  if (typeof value === 'string') return value === id || value.startsWith(`${id}-`);
  if (Array.isArray(value)) return value.some((each) => mentions(each, id));
  return typeof value === 'object' && value !== null && Object.values(value).some((each) => mentions(each, id));
}

/** What may be done to an entry where it stands. */
export const fixesOf = ({ putRight }: AnyFact): 'none' | 'strike' | 'reword' =>
  putRight === undefined ? 'none' : putRight.anew === undefined ? 'strike' : 'reword';
