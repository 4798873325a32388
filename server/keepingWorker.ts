import { parentPort, workerData } from 'node:worker_threads';
import { makeBackup } from './keeping/backup.ts';
import { realFiles } from './keeping/files.ts';
import type { FromWorker } from './keeping/inThread.ts';
import type { BackupTask } from './keeping/backup.ts';

/** A backup in a thread of its own: copying, checking and packing hold up nobody's tap. */
const tell = (message: FromWorker): void => parentPort?.postMessage(message);

makeBackup(realFiles, workerData as BackupTask, (step, done, of) => tell({ kind: 'progress', step, done, of })).then(
  (backup) => tell({ kind: 'made', backup }),
  (error: unknown) => {
    const { message, code } = error as { message?: string; code?: string };
    tell({ kind: 'failed', message: message ?? String(error), code: code ?? '' });
  },
);
