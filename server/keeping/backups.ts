import { readdirSync } from 'node:fs';
import { join } from 'node:path';
import type { BackupLine } from '../../contract/index.ts';
import { lengthOf } from './files.ts';

/** Backups of one shop carry the first signs of its id, so that two shops can share a folder. */
const NAME = /^workshop-([0-9a-f]{8})-(\d{4}-\d\d-\d\d)T(\d\d)-(\d\d)-(\d\d)Z(-not-well)?\.backup\.zip$/;

/** The file name of a backup. @param shopId of the shop @param at ISO time @param good whether all was well with the store */
export const backupName = (shopId: string, at: string, good: boolean): string =>
  `workshop-${shopId.slice(0, 8)}-${new Date(at)
    .toISOString()
    .replace(/\.\d+Z$/, 'Z')
    .replaceAll(':', '-')}${good ? '' : '-not-well'}.backup.zip`;

/** Backups in a folder, newest first; none where there is no such folder. @param shopId of the shop whose they are; all of them without */
export function backupsIn(folder: string, shopId?: string): BackupLine[] {
  let names: string[];
  try {
    names = readdirSync(folder);
  } catch {
    return [];
  }
  return names
    .flatMap((name): BackupLine[] => {
      const [, shop, day, hour, minute, second, notWell] = NAME.exec(name) ?? [];
      if (shop === undefined || (shopId !== undefined && shop !== shopId.slice(0, 8))) return [];
      const at = `${day}T${hour}:${minute}:${second}.000Z`;
      return [{ name, folder, at, bytes: lengthOf(join(folder, name)) ?? 0, good: notWell === undefined }];
    })
    .sort((a, b) => (a.at < b.at ? 1 : -1));
}
