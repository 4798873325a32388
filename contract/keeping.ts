import { z } from 'zod';
import type { BackupAge, DiskRoom } from '../core/keeping/index.ts';
import { count, id } from './primitives.ts';

/** Where backups go and when, as a lead sets it. Folders of this machine; none for the one beside the store. */
export const keepingInput = z.strictObject({
  folders: z
    .array(
      z
        .string()
        .max(500, 'Expected at most 500 characters.')
        .regex(/^(\/|[A-Za-z]:[\\/])/, 'Expected a whole path, such as /media/backup.'),
    )
    .max(2, 'Expected one folder or two.')
    .refine((folders) => new Set(folders).size === folders.length, 'Expected two different folders.'),
  /** Minutes since midnight, by the shop's clock. */
  minute: count.min(0, 'Expected a time of day.').max(1439, 'Expected a time of day.'),
});
/** The type of {@link keepingInput}. */
export type KeepingInput = z.infer<typeof keepingInput>;
/** Sets where backups go. */
export const keepingBody = z.strictObject({ by: id, keeping: keepingInput });
/** Asks for a backup now. */
export const backupBody = z.strictObject({ by: id });

/** One thing that is wrong with a store. */
export interface Finding {
  /** What kind of thing it is. */
  readonly kind: FindingKind;
  /** What is wrong, and where. */
  readonly words: string;
  /** What to do about it. */
  readonly toDo: string;
}
/** What can be wrong with a store. */
export type FindingKind =
  | 'file'
  | 'schema'
  | 'reference'
  | 'chain'
  | 'cut'
  | 'log'
  | 'command'
  | 'projection'
  | 'balance'
  | 'search'
  | 'row'
  | 'gap'
  | 'setting'
  | 'picture'
  | 'backup';

/** A setting that was said and cannot be read, and what holds instead; null where that is not one word. */
export interface BrokenSetting {
  readonly key: string;
  readonly name: string;
  readonly holds: string | null;
}

/** What a backup is doing. */
export type BackupStep = 'copy' | 'check' | 'pack' | 'read back' | 'second copy';

/** One backup in a folder. */
export interface BackupLine {
  readonly name: string;
  readonly folder: string;
  /** ISO time. */
  readonly at: string;
  readonly bytes: number;
  /** Whether all was well with the store when it was made. */
  readonly good: boolean;
}

/** How the shop's data are kept. */
export interface KeepingReply {
  readonly age: BackupAge;
  /** The newest backup of a store that was well. */
  readonly lastGood: BackupLine | null;
  /** How the last try ended since the program was started; null while there was none. */
  readonly lastTry: { readonly at: string; readonly ok: boolean; readonly words: string } | null;
  readonly running: { readonly step: BackupStep; readonly done: number; readonly of: number } | null;
  readonly minute: number;
  /** Where backups go, and what is wrong there; null for nothing. */
  readonly folders: readonly { readonly path: string; readonly problem: string | null }[];
  /** Whether the shop said so, or this is the folder beside the store. */
  readonly chosen: boolean;
  readonly backups: readonly BackupLine[];
  /** What the last check of the store found. */
  readonly findings: readonly Finding[];
  readonly room: DiskRoom;
  readonly freeBytes: number | null;
  /** The store can only be read. */
  readonly readOnly: boolean;
  readonly broken: readonly BrokenSetting[];
}
