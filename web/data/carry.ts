import type { BayReply } from '../../contract/index.ts';
import type { Job } from '../../core/job/index.ts';
import { isReadable, replay } from '../stores/engine.ts';
import { OutOfReach } from './api.ts';
import { ask } from './asking.ts';
import { keepLog, keepOnlyLogs, readLog } from './jobLogs.ts';

/**
 * Takes along what may be needed with the server away: the log of every open job with the procedure, the knowledge, the
 * vehicle and the small pictures that it speaks of, and the first page of each list. What is asked for is kept where it
 * is asked (`kept.ts`), pictures by the service worker. One after the other: nobody at the bench should feel it.
 */
export async function carry(): Promise<void> {
  try {
    const { lines } = await ask<BayReply>('/bay');
    for (const { jobId } of lines) await carryJob(jobId);
    await keepOnlyLogs(new Set(lines.map(({ jobId }) => jobId)));
    for (const { id } of (await ask<{ rows: readonly { id: string }[] }>('/procedures')).rows)
      for (const path of ['', '/versions', '/times']) await ask(`/procedures/${id}${path}`).catch(unlessOutOfReach);
    for (const path of LISTS) await ask(path).catch(unlessOutOfReach);
  } catch (error) {
    unlessOutOfReach(error, true);
  }
}

/** What pages ask for when they are opened, in the words in which they ask. */
const LISTS: readonly string[] = [
  '/shop',
  '/keeping',
  '/families',
  '/vehicles?sort=plate&direction=asc',
  '/jobs?sort=number&direction=desc&status=all',
  '/stock?sort=kind&direction=asc',
  ...['kind=cleaner', 'kind=gasket&kind=seal', 'kind=coolant'].map((kinds) => `/stock?${kinds}&limit=200`),
  '/stock/outlook',
  '/returns',
  '/returns?limit=1',
  '/wanted',
  '/units?sort=state&direction=asc',
  '/knowledge/newest',
  '/knowledge/newest/page',
  '/results?throttle=cable',
  '/results?throttle=electronic',
  '/instruments',
  '/air',
];

/** Pictures of one job, the newest. */
const MOST_PICTURES = 40;

async function carryJob(jobId: string): Promise<void> {
  const events = await readLog(jobId);
  await keepLog(jobId, events);
  const job = isReadable(events) ? replay(jobId, events) : null;
  if (job === null) return;
  for (const path of pathsOf(job)) await ask(path).catch(unlessOutOfReach);
  for (const { hash } of job.pictures.slice(-MOST_PICTURES))
    for (const size of ['?size=small', '']) await fetch(`/api/pictures/${hash}${size}`).catch(() => undefined);
}

/** What the page of a job asks for beside its log. */
function pathsOf({ vehicle, procedure, knowledge }: Job): readonly string[] {
  return [
    `/vehicles/${vehicle.id}`,
    `/vehicles/${vehicle.id}/figures`,
    `/reminders?vehicleId=${vehicle.id}`,
    ...(vehicle.familyId ? [`/families/${vehicle.familyId}`] : []),
    ...(knowledge === null ? [] : [`/knowledge/${knowledge}`]),
    ...(procedure === null
      ? []
      : [
          `/procedures/${procedure.id}`,
          `/procedures/${procedure.id}?version=${procedure.version}`,
          `/procedures/${procedure.id}/times`,
        ]),
  ];
}

/** Away again: it goes on at the next contact. Whatever else cannot be had is no reason to leave out the rest. */
function unlessOutOfReach(error: unknown, quietly = false): void {
  if (error instanceof OutOfReach && !quietly) throw error;
}
