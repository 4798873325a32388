import { cpSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { makeBackup } from '../keeping/backup.ts';
import { realFiles } from '../keeping/files.ts';
import { type Place, placeOf } from '../keeping/place.ts';
import { createServices } from '../services.ts';
import { openStore } from '../store/open.ts';
import { NOW } from './harness.ts';

/** The demo shop as version 0.4.0 wrote it. */
const KEPT = join(process.cwd(), 'server', 'testing', 'stores', '0.4.0');
export const ZONE = 'Europe/London';

/** Makes a store that is well, brought up to this version, with heads beside it and a backup of it. @param folder new */
export async function goodStore(folder: string): Promise<Place> {
  mkdirSync(folder, { recursive: true });
  for (const name of ['shop.sqlite', 'pictures']) cpSync(join(KEPT, name), join(folder, name), { recursive: true });
  const place = placeOf(join(folder, 'shop.sqlite'));
  const db = openStore(place.store);
  createServices(db, place.pictures, () => NOW, ZONE);
  db.close();
  await makeBackup(realFiles, { place, folders: [], now: NOW, machineZone: ZONE });
  return place;
}

/** A copy of a store with all that belongs to it. @param folder new */
export function copyOfStore({ folder: from }: Place, folder: string): Place {
  cpSync(from, folder, { recursive: true });
  return placeOf(join(folder, 'shop.sqlite'));
}
