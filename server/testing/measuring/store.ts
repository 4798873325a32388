import { atOnce } from '../../store/log.ts';
import { join } from 'node:path';
import { cableProcedure } from '../../../demo/procedures/cable.ts';
import { shop } from '../../../demo/shop.ts';
import { vehicles } from '../../../demo/vehicles.ts';
import { createServices, type Services } from '../../services.ts';
import { openStore } from '../../store/open.ts';

/** A store of its own with the demo shop and one vehicle. */
export function fresh(folder: string, name: string): { services: Services; db: ReturnType<typeof openStore> } {
  const db = openStore(join(folder, name));
  const services = createServices(db, join(folder, `${name}-pictures`), () => new Date().toISOString(), 'UTC');
  const who = { by: 'isla', at: new Date().toISOString() };
  services.oneGo.run(() => {
    services.people.adopt(shop.people as Parameters<Services['people']['adopt']>[0]);
    services.settings.adopt(shop.settings);
    services.tools.adopt(...([shop.wrenches, shop.tools] as Parameters<Services['tools']['adopt']>));
    for (const each of shop.procedures) services.procedures.adopt(each, who);
    services.vehicles.put('bus', vehicles.bus!, 0, who, '2020-01-01');
  });
  return { services, db };
}

/** A command as a browser would send it. */
export const command = (id: string, type: string, data: unknown) =>
  ({ id, at: new Date().toISOString(), by: 'tomas', seen: 0, type, data }) as never;

/** Sends commands as requests do, each in one transaction of its own. @throws Error when one is refused */
export function take(services: Services, jobId: string, ...commands: readonly never[]): void {
  for (const each of commands) {
    const outcome = services.oneGo.run(() => services.jobs.take(jobId, each, atOnce(new Date().toISOString())));
    if (outcome.kind === 'refused') throw new Error(`measuring: ${outcome.refusal.message}`);
  }
}

/** A job on the library bus with its procedure chosen. */
export function openedJob(services: Services, jobId: string, reading: number): void {
  take(
    services,
    jobId,
    command(`${jobId}-open`, 'open-job', {
      vehicleId: 'bus',
      reading: { value: reading, unit: 'km' },
      readingReason: '',
      complaint: 'x',
    }),
    command(`${jobId}-pin`, 'pin-procedure', { procedureId: cableProcedure.id }),
  );
}
