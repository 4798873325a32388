import { Worker } from 'node:worker_threads';
import type { BackupStep } from '../../contract/index.ts';
import type { Backup } from './backup.ts';
import type { MakeBackup } from './keeper.ts';

/** What the thread says. Errors cross as data: their code and words. */
export type FromWorker =
  | { readonly kind: 'progress'; readonly step: BackupStep; readonly done: number; readonly of: number }
  | { readonly kind: 'made'; readonly backup: Backup }
  | { readonly kind: 'failed'; readonly message: string; readonly code: string };

/** Makes backups in a thread of their own. @param script of the thread */
export const inThread =
  (script: URL): MakeBackup =>
  (task, progress) =>
    new Promise((resolve, reject) => {
      const worker = new Worker(script, { workerData: task });
      worker.on('message', (message: FromWorker) => {
        if (message.kind === 'progress') progress(message.step, message.done, message.of);
        else if (message.kind === 'made') resolve(message.backup);
        else reject(Object.assign(new Error(message.message), { code: message.code }));
      });
      worker.on('error', reject);
      // After an answer this says nothing more.
      worker.on('exit', () => reject(new Error('The backup was stopped before it was done.')));
    });
