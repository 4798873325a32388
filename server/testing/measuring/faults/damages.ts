import { cpSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { realFiles } from '../../../keeping/files.ts';
import { type Place, placeOf } from '../../../keeping/place.ts';
import { makeBackup } from '../../../keeping/backup.ts';
import { restoreStore } from '../../../keeping/restore.ts';
import { verifyStore } from '../../../keeping/verify/verify.ts';
import { createServices } from '../../../services.ts';
import { atOnce } from '../../../store/log.ts';
import { openStore } from '../../../store/open.ts';
import { DAMAGES, type Random, seeded } from '../../damages.ts';
import { copyOfStore, ZONE } from '../../goodStore.ts';
import type { Measured } from '../measure.ts';
import { command } from '../store.ts';

const how = { files: realFiles, machineZone: ZONE };

/** Plants damages one at a time in copies of a good store, each kind in turn, and has them looked for. */
export async function plantedDamages(folder: string, good: Place, count: number): Promise<Measured> {
  const missed: string[] = [];
  for (let index = 0; index < count; index += 1) {
    const { name, found, plant } = DAMAGES[index % DAMAGES.length]!;
    const place = copyOfStore(good, join(folder, `damaged-${index}`));
    plant(place, seeded(index + 1));
    const { findings } = await verifyStore(place, how);
    if (!findings.some(({ kind }) => found.includes(kind))) missed.push(`${name} (${index})`);
    rmSync(place.folder, { recursive: true });
  }
  return {
    what: `planted damages of ${DAMAGES.length} kinds found by verify`,
    measured: `${count - missed.length} of ${count}${missed.length > 0 ? `; missed: ${missed.join(', ')}` : ''}`,
    wanted: `${count} of ${count}`,
    met: missed.length === 0,
  };
}

/** Ordinary work on a store, so much of it as chance will have it. */
function work(place: Place, random: Random): void {
  const db = openStore(place.store);
  const now = '2026-05-20T10:00:00.000Z';
  const { jobs, vehicles, stock, settings, air, oneGo, house } = createServices(db, place.pictures, () => now, ZONE);
  const who = { by: 'isla', at: now };
  const open = db
    .prepare<[], { job_id: string }>("SELECT job_id FROM job_summary WHERE status = 'open' ORDER BY job_id")
    .all();
  for (let step = 0; step < 4 + random() * 30; step += 1) {
    const jobId = open[Math.floor(random() * open.length)]?.job_id ?? '';
    const id = `work-${Math.floor(random() * 1e9)}`;
    const sent = (type: string, data: object) =>
      oneGo.run(() => jobs.take(jobId, { ...(command(id, type, data) as object), at: now } as never, atOnce(now)));
    const kinds: readonly (() => unknown)[] = [
      () => sent('make-note', { id, stage: 'strip', text: `seen ${id}` }),
      () => sent('take-measurement', { id, kind: 'idle-rpm', when: 'before', value: 600 + Math.floor(random() * 300) }),
      () => sent('use-part', { id, name: 'Gasket', partNumber: 'NP-25-1107', quantity: 1, priceMinor: 640 }),
      () => sent('start-timer', { id, label: 'Soak', minutes: 10, kind: 'soak' }),
      () => sent('undo', { expected: jobs.job(jobId)?.undo?.commandId ?? '' }),
      () =>
        oneGo.run(() =>
          stock.move(
            db.prepare<[], { id: string }>('SELECT id FROM stock ORDER BY id').all()[Math.floor(random() * 20)]?.id ??
              '',
            { id, kind: 'received', figure: 3, batch: random() < 0.5 ? `B${step}` : '', bestBefore: null, note: '' },
            who,
          ),
        ),
      () => oneGo.run(() => air.setAiring(random() < 0.5 ? 'door' : 'shut', who)),
      () => oneGo.run(() => house.setRule('gasket', 'renew', who)),
      () =>
        oneGo.run(() => {
          const bus = vehicles.get('bus');
          if (bus === null) return;
          const { id: vehicleId, lastReading: _, ...input } = bus;
          vehicles.put(vehicleId, { ...input, notes: `n ${id}` } as never, vehicles.version('bus'), who, '2026-05-20');
        }),
      () =>
        oneGo.run(() => {
          settings.set({ 'time-zone': random() < 0.5 ? 'Pacific/Auckland' : 'Europe/London' }, who);
          jobs.rebuild();
        }),
    ];
    kinds[Math.floor(random() * kinds.length)]?.();
  }
  // Half of them are left as a killed program would: with work in the log beside the file.
  if (random() < 0.5) db.close();
}

/** Stores that are well, of every version and after all sorts of work; none may be said not to be. */
export async function goodStores(folder: string, stores: string, count: number): Promise<Measured> {
  const versions = readdirSync(stores);
  const alarms: string[] = [];
  for (let index = 0; index < count; index += 1) {
    const random = seeded(1000 + index);
    const version = versions[index % versions.length] ?? '';
    const home = join(folder, `good-${index}`);
    cpSync(join(stores, version), home, { recursive: true });
    let place = placeOf(join(home, 'shop.sqlite'));
    if (index >= versions.length) work(place, random);
    if (index % 3 === 2)
      await makeBackup(realFiles, { place, folders: [], now: '2026-05-20T11:00:00.000Z', machineZone: ZONE });
    if (index % 6 === 5) {
      const to = placeOf(join(folder, `restored-${index}`, 'shop.sqlite'));
      const [name = ''] = readdirSync(place.backups);
      const task = { backup: join(place.backups, name), place: to, now: '2026-05-20T12:00:00.000Z', machineZone: ZONE };
      await restoreStore(realFiles, task);
      place = to;
    }
    const { findings } = await verifyStore(place, how);
    if (findings.length > 0) alarms.push(`${version} ${index}: ${findings[0]?.words}`);
  }
  return {
    what: 'false alarms of verify on good stores',
    measured: `${alarms.length} on ${count}${alarms.length > 0 ? `; ${alarms.join('; ')}` : ''}`,
    wanted: `0 on ${count}`,
    met: alarms.length === 0,
  };
}

/** Where the stores lie that earlier versions wrote, in the source. */
export const EARLIER = join(process.cwd(), 'server', 'testing', 'stores');
