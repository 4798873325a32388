import type { RecordedEvent } from '../events.ts';
import { closerOf } from '../query.ts';
import type { Job } from '../types.ts';

/** Which item an entry is about and which way it was going, or null when its time belongs to no item. */
function subjectOf(job: Job, recorded: RecordedEvent): { itemId: string; way: 'off' | 'back' } | null {
  switch (recorded.type) {
    case 'item-removed':
    case 'rest-taken-out':
    case 'item-flagged':
    case 'measure-kept':
      return { itemId: recorded.data.itemId, way: 'off' };
    case 'opening-plugged': {
      const closer = closerOf(job, recorded.data.openingId);
      return closer === undefined ? null : { itemId: closer.id, way: 'off' };
    }
    case 'opening-unplugged': {
      const closer = closerOf(job, recorded.data.openingId);
      return closer === undefined ? null : { itemId: closer.id, way: 'back' };
    }
    case 'item-put-back':
    case 'bolt-tightened':
    case 'connector-confirmed':
    case 'measure-restored':
    case 'item-swapped-over':
    case 'thread-repaired':
      return { itemId: recorded.data.itemId, way: 'back' };
    default:
      return null;
  }
}

/** The hands-on seconds that an entry adds to an item: the gap to the same person's last entry, if it is a working gap. */
export function itemTimeOf(
  job: Job,
  recorded: RecordedEvent,
  longestGapS: number,
): { itemId: string; way: 'off' | 'back'; seconds: number } | null {
  const before = job.people[recorded.by];
  if (before === undefined) return null;
  const seconds = (Date.parse(recorded.at) - Date.parse(before)) / 1000;
  if (!(seconds > 0) || seconds > longestGapS) return null;
  const subject = subjectOf(job, recorded);
  return subject === null ? null : { ...subject, seconds };
}
