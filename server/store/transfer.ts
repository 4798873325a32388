import { readFileSync } from 'node:fs';
import { type Transfer, TRANSFER_FORMAT, TRANSFER_VERSION } from '../../contract/index.ts';
import { replay } from '../../core/job/index.ts';
import { firstBreak } from './chain.ts';
import type { Jobs } from './jobs.ts';
import type { Pictures } from './pictures.ts';
import type { Vehicles } from './vehicles.ts';

/** Why a job file was not taken, or the job it became. */
export type ImportOutcome =
  | { readonly ok: true; readonly jobId: string; readonly number: number }
  | { readonly ok: false; readonly code: string; readonly message: string };

/** A job as a file, or null when there is no such job. */
export function exportJob(jobId: string, jobs: Jobs, vehicles: Vehicles, pictures: Pictures): Transfer | null {
  const job = jobs.job(jobId);
  if (job === null) return null;
  const hashes = [...new Set(job.pictures.map(({ hash }) => hash))];
  return {
    format: TRANSFER_FORMAT,
    version: TRANSFER_VERSION,
    jobId,
    vehicle: structuredClone(vehicles.get(job.vehicle.id) ?? job.vehicle) as Transfer['vehicle'],
    events: jobs.log.since(jobId, 0),
    hashes: jobs.log.hashes(jobId),
    pictures: hashes.flatMap((hash) => {
      const file = pictures.file(hash, true);
      return file === null
        ? []
        : [{ hash, mime: file.mime as 'image/jpeg', base64: readFileSync(file.path).toString('base64') }];
    }),
  };
}

/** Takes a job file whose shape was parsed: checks the chain, stores pictures, vehicle and log. Nothing is half-taken. */
export async function importJob(
  file: Transfer,
  jobs: Jobs,
  vehicles: Vehicles,
  pictures: Pictures,
  at: string,
  by: string,
): Promise<ImportOutcome> {
  const broken = firstBreak(file.jobId, file.events, file.hashes);
  if (broken !== null)
    return {
      ok: false,
      code: 'chain-broken',
      message: `The file was altered: its chain breaks at event ${broken}. Nothing was read.`,
    };
  if (file.events[0]?.type !== 'job-opened')
    return {
      ok: false,
      code: 'bad-log',
      message: 'The file does not begin with the opening of a job. Nothing was read.',
    };
  const job = replay(file.jobId, file.events);
  if (job === null) return { ok: false, code: 'bad-log', message: 'The file holds no job. Nothing was read.' };
  if (jobs.job(job.id) !== null)
    return { ok: false, code: 'already-there', message: `Job ${job.number} is here already. Nothing was read.` };
  if (jobs.numberTaken(job.number))
    return { ok: false, code: 'number-taken', message: `Another job here has number ${job.number}. Nothing was read.` };
  const seen = file.events.find(({ commandId }) => jobs.log.command(commandId) !== undefined);
  if (seen !== undefined)
    return {
      ok: false,
      code: 'command-id-used',
      message: 'Part of this file belongs to another job here. Nothing was read.',
    };
  for (const picture of file.pictures) {
    const stored = await pictures.put(Buffer.from(picture.base64, 'base64'), at);
    if (stored?.hash !== picture.hash)
      return {
        ok: false,
        code: 'bad-picture',
        message: `A picture of the file is damaged (${picture.hash.slice(0, 8)}…). Nothing was read.`,
      };
  }
  if (vehicles.get(file.vehicle.id) === null) {
    const { id, lastReading: _, ...input } = file.vehicle;
    vehicles.put(id, input, by, at);
  }
  jobs.adopt(job, file.events, file.hashes, at);
  return { ok: true, jobId: job.id, number: job.number };
}
