import { jointOf, type ProcedureItem } from '../../procedure/index.ts';
import type { Context } from '../context.ts';
import type { MadeFact } from '../fact.ts';
import { itemOf } from '../items/query.ts';
import type { Job } from '../job.ts';
import { countersignAsked } from './countersigning.ts';

/** What an apprentice enters, with what asks a technician to look at it. @param job the state before */
export function withAsking(job: Job, events: readonly MadeFact[], { role, alone }: Context): readonly MadeFact[] {
  if (role !== 'apprentice' || alone) return events;
  const seqs = events.flatMap((made, at) => (isLookedAt(job, made, events) ? [job.version + 1 + at] : []));
  return seqs.length === 0 ? events : [...events, countersignAsked.of({ seqs })];
}

/** Torques that count, threads, and removals of safety kind. */
function isLookedAt(job: Job, { type, data }: MadeFact, events: readonly MadeFact[]): boolean {
  switch (type) {
    case 'bolt-tightened':
      return (data as { readonly final: boolean }).final;
    case 'by-feel-chosen':
    case 'thread-repaired':
    case 'group-gone-over':
      return true;
    case 'item-removed':
      return isOfSafety(removed(job, (data as { readonly itemId: string }).itemId, events));
    default:
      return false;
  }
}

/** The item that came off: one of the job, or one that the same command adds to it. */
function removed(job: Job, itemId: string, events: readonly MadeFact[]): ProcedureItem | undefined {
  const added = events.find(({ type, data }) => type === 'item-added' && (data as AddedItem).item.id === itemId);
  return itemOf(job, itemId) ?? (added?.data as AddedItem | undefined)?.item;
}
interface AddedItem {
  readonly item: ProcedureItem;
}

/** What can hurt somebody or let something run out: it carries a caution, holds fuel, or hot coolant under pressure. */
const isOfSafety = (item: ProcedureItem | undefined): boolean =>
  item !== undefined && (item.cautions.length > 0 || item.kind === 'coolant-hose' || jointOf(item) === 'fuel');
