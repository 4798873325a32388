import type { BayReply, Change } from '../../contract/index.ts';
import { type Job, neededNumbers } from '../../core/job/index.ts';
import { OutOfReach } from '../data/api.ts';
import { ask } from '../data/kept.ts';
import { dropLog, followLog, jobsKept, keepLog, keptLog } from '../data/jobLogs.ts';
import { allPages } from '../data/pages.ts';
import { listOf } from '../data/read.ts';
import { isReadable, replay } from './engine.ts';
import { tellGone } from './gone.ts';

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
/** What a job moves along with itself. */
const MOVED_BY_JOBS: readonly string[] = ['jobs', 'stock', 'wanted', 'units', 'returns'];
/** Pictures of one job, the newest. */
const MOST_PICTURES = 40;

/**
 * Takes along what may be needed with the server away: the log of every open job with the procedure, the knowledge, the
 * vehicle and the pictures that it speaks of, and the first page of each list. What is asked for is kept where it is
 * asked, pictures by the service worker. One after the other, and of what was taken along already only what has changed:
 * nobody at the bench should feel it. Where the server goes away it ends, and goes on at the next contact.
 * @param changes since the last time; null for all
 * @throws OutOfReach; ApiError where the Bay or a log cannot be read
 */
export async function carry(changes: readonly Change[] | null): Promise<void> {
  const jobs = new Set(changes?.flatMap((change) => (change.kind === 'job' ? [change.id] : [])));
  const lists = new Set(changes?.flatMap((change) => (change.kind === 'rows' ? [change.list] : MOVED_BY_JOBS)));
  if (changes === null || jobs.size > 0) {
    const { lines } = await ask<BayReply>('/bay');
    for (const { jobId } of lines) if (changes === null || jobs.has(jobId)) await carryJob(jobId);
    const still = new Set(lines.map(({ jobId }) => jobId));
    for (const jobId of await jobsKept()) if (!still.has(jobId)) await leaveBehind(jobId);
  }
  if (changes === null || lists.has('procedures')) {
    const { rows } = await ask<{ rows: readonly { id: string }[] }>('/procedures');
    for (const { id } of rows)
      for (const path of ['', '/versions', '/times']) await carried(`/procedures/${id}${path}`);
  }
  for (const path of LISTS) if (changes === null || lists.has(listOf(path))) await carried(path);
}

/** What cannot be had is no reason to leave out the rest. */
const carried = (path: string): Promise<unknown> => hadOrNot(ask(path));
const hadOrNot = (asked: Promise<unknown>): Promise<unknown> =>
  asked.catch((error: unknown) => {
    if (error instanceof OutOfReach) throw error;
  });

async function carryJob(jobId: string): Promise<void> {
  const known = await keptLog(jobId);
  const { events, gone } = await followLog(jobId, isReadable(known) ? known : []);
  tellGone(jobId, known, gone);
  if (events !== known) await keepLog(jobId, events);
  const job = replay(jobId, events);
  if (job === null) return;
  for (const path of pathsOf(job)) await carried(path);
  const number = neededNumbers(job);
  if (number.length > 0) await hadOrNot(allPages('/stock', { number }));
  for (const { hash } of job.pictures.slice(-MOST_PICTURES))
    for (const size of ['?size=small', '']) await fetch(`/api/pictures/${hash}${size}`).catch(() => undefined);
}

/** A job that is not open any more is not taken along; where its store has lost it, somebody must know. */
async function leaveBehind(jobId: string): Promise<void> {
  const known = await keptLog(jobId);
  const { gone } = await followLog(jobId, isReadable(known) ? known : []);
  tellGone(jobId, known, gone);
  await dropLog(jobId);
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
      : ['', `?version=${procedure.version}`, '/times'].map((path) => `/procedures/${procedure.id}${path}`)),
  ];
}
