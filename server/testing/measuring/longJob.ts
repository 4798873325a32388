import { setFlagsFromString } from 'node:v8';
import { runInNewContext } from 'node:vm';
import { type Job, replay } from '../../../core/job/index.ts';
import { cableProcedure } from '../../../demo/procedures/cable.ts';
import type { Services } from '../../services.ts';
import { type Measured, median, ms } from './measure.ts';
import { command, fresh, openedJob, take } from './store.ts';

const ENTRIES = 4000;
const UNDO_MB = 12;

/** One of what a day brings, over and over, as one who has seen all of the job sends it. */
function entry(services: Services, jobId: string, index: number): never {
  return { ...told(jobId, index), seen: services.jobs.job(jobId)?.version ?? 0 } as never;
}

/** A note, a remark on an item, a rag in, the rag out. */
function told(jobId: string, index: number): object {
  const item = cableProcedure.items[Math.floor(index / 4) % cableProcedure.items.length]!;
  const id = `${jobId}-${index}`;
  switch (index % 4) {
    case 0:
      return command(id, 'make-note', { id: `n${index}`, stage: 'strip', text: `Seen at ${index}: as it should be.` });
    case 1:
      return command(id, 'remark-item', { itemId: item.id, pocket: `P${index}`, label: '', remark: 'as found' });
    case 2:
      return command(id, 'place-object', { id: `o${index}`, what: 'rag', where: 'inlet' });
    default:
      return command(id, 'take-object-out', { id: `o${index - 1}` });
  }
}

/** Heap in use once all that nobody holds is gone, bytes. */
function heap(): number {
  setFlagsFromString('--expose-gc');
  const gc = runInNewContext('gc') as () => void;
  for (let round = 0; round < 4; round += 1) gc();
  return process.memoryUsage().heapUsed;
}

interface Holder {
  job: Job | null;
}
// Functions of their own, so that nothing on the stack still holds the job with its way back.
const fold = (services: Services, jobId: string): Holder => ({
  job: replay(jobId, services.jobs.log.since(jobId, 0)),
});
const forgetUndo = (holder: Holder): void => {
  if ((holder.job?.version ?? 0) < ENTRIES) throw new Error('measuring: the job is short');
  if (holder.job !== null) holder.job = { ...holder.job, undo: null, trail: null };
};

/** What the way back costs in memory: a folded job, less the same without its undo. */
function undoMegabytes(services: Services, jobId: string): number {
  const holder = fold(services, jobId);
  const whole = heap();
  forgetUndo(holder);
  const without = heap();
  if (holder.job === null) throw new Error('measuring: no job');
  return (whole - without) / 1024 / 1024;
}

/** A job of thousands of entries: a command costs what it costs on a fresh one, and the way back fits in memory. */
export function longJob(folder: string): Measured[] {
  const { services, db } = fresh(folder, 'long.sqlite');
  openedJob(services, 'long', 1000);
  for (let index = 0; index < ENTRIES; index += 1) take(services, 'long', entry(services, 'long', index));
  const memory = undoMegabytes(services, 'long');
  const [short, long]: [number[], number[]] = [[], []];
  // Taken in turn, so that the machine's mood falls on both alike; a fresh job every forty entries.
  let freshId = '';
  const timed = (jobId: string, index: number): number => {
    const sent = entry(services, jobId, index);
    const from = performance.now();
    take(services, jobId, sent);
    return performance.now() - from;
  };
  for (let index = 0; index < 400; index += 1) {
    if (index % 40 === 0) openedJob(services, (freshId = `fresh${index}`), 2000 + index);
    short.push(timed(freshId, index));
    long.push(timed('long', ENTRIES + index));
  }
  db.close();
  const [a, b] = [median(long), median(short)];
  return [
    {
      what: `a command on a job of ${ENTRIES} entries, against a fresh one`,
      measured: `${(a / b).toFixed(2)} × (${ms(a)} : ${ms(b)})`,
      wanted: '≤ 1.5 ×',
      met: a / b <= 1.5,
    },
    {
      what: `memory of its way back`,
      measured: `${memory.toFixed(1)} MB`,
      wanted: `≤ ${UNDO_MB} MB`,
      met: memory <= UNDO_MB,
    },
  ];
}
