import { type Transfer, TRANSFER_FORMAT, TRANSFER_VERSION } from '../../contract/index.ts';
import { dayOf } from '../../core/days/index.ts';
import { factProblem, type Job, type Stamp } from '../../core/job/index.ts';
import type { Services } from '../services.ts';
import { firstBreak } from './chain.ts';
import { StoreError } from './errors.ts';
import { PackError } from '../../core/trace/index.ts';
import type { PreparedPicture } from './pictures.ts';
import type { PreparedRecording, Recordings } from './recordings.ts';
import { readLog } from './reader.ts';

/** Why a job file was not taken, or the job it became. */
export type ImportOutcome = TakenJob | ImportRefusal;
interface TakenJob {
  readonly ok: true;
  readonly jobId: string;
  readonly number: number;
  /** Who worked on it and is not of this shop, by id. */
  readonly strangers: readonly string[];
}
interface ImportRefusal {
  readonly ok: false;
  readonly code: string;
  readonly message: string;
}

/** A job file that was read to the end and may be taken: its job, and its pictures with their files written. */
export interface ReadJobFile {
  readonly ok: true;
  readonly file: Transfer;
  readonly job: Job;
  readonly pictures: readonly PreparedPicture[];
  readonly recordings: readonly PreparedRecording[];
}

const refusal = (code: string, message: string): ImportRefusal => ({
  ok: false,
  code,
  message: `${message} Nothing was changed.`,
});

/** A job as a file, its log as it was written; null when there is no such job. */
export function exportJob(
  jobId: string,
  { jobs, vehicles, pictures, recordings }: Pick<Services, 'jobs' | 'vehicles' | 'pictures' | 'recordings'>,
): Transfer | null {
  const job = jobs.job(jobId);
  if (job === null) return null;
  const hashes = [...new Set(job.pictures.map(({ hash }) => hash))];
  const read = hashes.map((hash) => ({ hash, mime: pictures.mimeOf(hash), bytes: pictures.bytesOf(hash) }));
  const traces = [...new Set(job.recordings.map(({ hash }) => hash))].map((hash) => ({
    hash,
    bytes: recordings.file(hash).bytes,
  }));
  const lost = [...read, ...traces].flatMap(({ hash, bytes }) => (bytes === null ? [hash] : []));
  return {
    format: TRANSFER_FORMAT,
    version: TRANSFER_VERSION,
    jobId,
    vehicle: structuredClone(vehicles.get(job.vehicle.id) ?? job.vehicle) as Transfer['vehicle'],
    events: jobs.log.since(jobId, 0),
    hashes: jobs.log.hashes(jobId),
    pictures: read.flatMap(({ hash, mime, bytes }) =>
      bytes === null ? [] : [{ hash, mime: mime as 'image/jpeg', base64: bytes.toString('base64') }],
    ),
    ...(traces.length === 0
      ? {}
      : {
          recordings: traces.flatMap(({ hash, bytes }) =>
            bytes === null ? [] : [{ hash, base64: bytes.toString('base64') }],
          ),
        }),
    ...(lost.length === 0 ? {} : { lost }),
  };
}

/**
 * Reads a job file whose shape was parsed: its chain, its log, whether its figures and times can be, and its pictures.
 * Nothing is known of it yet.
 * @param now ISO time @param timeZone of the shop that takes it in
 */
export async function readJobFile(
  file: Transfer,
  { pictures, recordings }: Pick<Services, 'pictures' | 'recordings'>,
  now: string,
  timeZone: string,
): Promise<ReadJobFile | ImportRefusal> {
  const broken = firstBreak(file.jobId, file.events, file.hashes);
  if (broken !== null) return refusal('chain-broken', `The file was altered: its chain breaks at entry ${broken}.`);
  if (file.events[0]?.type !== 'job-opened')
    return refusal('bad-log', 'The file does not begin with the opening of a job.');
  for (const each of file.events) {
    const problem = factProblem(each, now, timeZone);
    if (problem !== null) return refusal('bad-log', problem);
  }
  const job = jobOf(file);
  if (job === null || 'ok' in job) return job ?? refusal('bad-log', 'The file holds no job.');
  const prepared: PreparedPicture[] = [];
  for (const { hash, base64 } of file.pictures) {
    const picture = await pictures.prepare(Buffer.from(base64, 'base64'));
    if (picture?.hash !== hash)
      return refusal('bad-picture', `A picture of the file is damaged (${hash.slice(0, 8)}…).`);
    prepared.push(picture);
  }
  const traces: PreparedRecording[] = [];
  for (const { hash, base64 } of file.recordings ?? []) {
    const recording = recordingOf(recordings, base64);
    if (recording?.hash !== hash)
      return refusal('bad-recording', `A recording of the file is damaged (${hash.slice(0, 8)}…).`);
    traces.push(recording);
  }
  return { ok: true, file, job, pictures: prepared, recordings: traces };
}

function recordingOf(recordings: Recordings, base64: string): PreparedRecording | null {
  try {
    return recordings.prepareFile(Buffer.from(base64, 'base64'));
  } catch (error) {
    if (error instanceof PackError) return null;
    throw error;
  }
}

function jobOf({ jobId, events }: Transfer): Job | ImportRefusal | null {
  try {
    return readLog(jobId, events).job;
  } catch (error) {
    if (error instanceof StoreError) return refusal('bad-log', error.message);
    throw error;
  }
}

/** Takes a job file: its pictures, its vehicle unless it is here already, and its log. Call inside a transaction. */
export function takeJobFile(
  { file, job, pictures: prepared, recordings: traces }: ReadJobFile,
  {
    jobs,
    vehicles,
    pictures,
    recordings,
    people,
    audit,
  }: Pick<Services, 'jobs' | 'vehicles' | 'pictures' | 'recordings' | 'people' | 'audit'>,
  who: Stamp,
  timeZone: string,
): ImportOutcome {
  if (jobs.log.length(job.id) > 0) return refusal('already-there', `Job ${job.number} is here already.`);
  if (jobs.numberTaken(job.number)) return refusal('number-taken', `Another job here has number ${job.number}.`);
  if (file.events.some(({ commandId }) => jobs.log.command(commandId) !== undefined))
    return refusal('command-id-used', 'Part of this file belongs to another job here.');
  const twin = vehicles.version(file.vehicle.id) === 0 ? vehicles.withPlate(file.vehicle.plate, file.vehicle.id) : null;
  if (twin !== null)
    return refusal('plate-taken', `Another vehicle here has the plate ${twin.plate}: ${twin.make} ${twin.model}.`);
  for (const picture of prepared) pictures.record(picture, who.at);
  for (const trace of traces) recordings.record(trace, who.at);
  if (vehicles.version(file.vehicle.id) === 0) {
    const { id, lastReading: _, ...input } = file.vehicle;
    vehicles.put(id, input, 0, who, dayOf(job.opened.at, timeZone));
  }
  jobs.adopt(job, file.events, file.hashes, who.at);
  const known = people.names();
  const strangers = [...new Set(file.events.map(({ by }) => by))].filter((by) => !known.has(by)).sort();
  audit.write(who, 'job-file-read', job.id, { number: job.number, strangers });
  return { ok: true, jobId: job.id, number: job.number, strangers };
}
