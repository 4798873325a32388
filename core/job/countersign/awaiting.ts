import type { Job } from '../job.ts';
import type { LoggedFact } from '../recorded.ts';
import { inOrder } from '../trail.ts';

/** Entries that count and that a technician has yet to look at, oldest first. */
export function awaitingCountersign(job: Job): LoggedFact[] {
  if (job.countersignAsked.length === 0) return [];
  const signed = new Set(job.countersigned.flatMap(({ seqs }) => seqs));
  const asked = new Set(job.countersignAsked.flatMap(({ seqs }) => seqs));
  return inOrder(job.history).filter(({ seq }) => asked.has(seq) && !signed.has(seq));
}

/** Whether the hand-over was countersigned with the job as it stands now: anything entered since asks for it anew. */
export function handOverCountersigned({ history, countersigned }: Job): boolean {
  const last = countersigned.at(-1);
  return history?.fact.type === 'countersigned' && last?.handOver === true && history.fact.at === last.at;
}

/** Who put a name beside an entry, and when; null while nobody has. @param seq of the entry */
export const countersignerOf = ({ countersigned }: Pick<Job, 'countersigned'>, seq: number) =>
  countersigned.find(({ seqs }) => seqs.includes(seq)) ?? null;

/** What waits for a countersignature, by whose it is, in the order of their first entry. */
export function awaitingByPerson(job: Job): { readonly by: string; readonly waits: readonly LoggedFact[] }[] {
  const byPerson = new Map<string, LoggedFact[]>();
  for (const entry of awaitingCountersign(job)) byPerson.set(entry.by, [...(byPerson.get(entry.by) ?? []), entry]);
  return [...byPerson].map(([by, waits]) => ({ by, waits }));
}
