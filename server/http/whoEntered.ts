import type { Request } from 'express';
import type { Command } from '../../core/job/index.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';

/** Names the stretch of work at this station that an entry was made in, where that is not the one that goes on. */
export const STRETCH_HEADER = 'x-wrench-stretch';

/**
 * Whether an entry is of whoever it says: the person who is signed in, or the one who was at this station in the stretch
 * of work that it was made in. In a shop without accounts its word is taken.
 * @throws HttpError 403 where it is not
 */
export function whoEntered({ access, people }: Services, request: Request, jobId: string, entry: Command): void {
  const { caller, station } = request;
  if (caller === undefined) return;
  if (caller.signed.way === 'phone' && (entry.type !== 'attach-picture' || caller.signed.jobId !== jobId))
    throw new HttpError('not-yours', 'This phone takes photos for one job, and nothing else.');
  // Whoever is signed in sends what is their own, whenever and in whichever stretch they made it.
  if (entry.by === caller.personId) return;
  const stretch = request.get(STRETCH_HEADER);
  const wasHere = stretch !== undefined && station !== undefined;
  if (wasHere && access.sessions.whoWas(stretch, station.id, entry.at) === entry.by) return;
  const name = people.names().get(entry.by) ?? entry.by;
  throw new HttpError('somebody-else', `${name} entered this, and is not signed in.`, {
    wouldHelp: `It waits here until ${name} signs in.`,
  });
}
