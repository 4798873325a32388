import { join } from 'node:path';
import { goodStore } from '../../goodStore.ts';
import type { Measured } from '../measure.ts';
import { EARLIER, goodStores, plantedDamages } from './damages.ts';
import { fullDisks } from './disk.ts';
import { badInputs } from './input.ts';
import { type Killed, killServer, killTask, type Programs, type Task } from './kills.ts';
import { verifySpeed } from './speed.ts';

const TASKS: readonly Task[] = ['migration', 'backup', 'restore', 'rebuild'];

/** Everything that `npm run bench -- --faults` promises. @param folder for stores @param dist the built application */
export async function measureFaults(folder: string, dist: string, kills: number): Promise<Measured[]> {
  const programs: Programs = { main: join(dist, 'server', 'main.js'), maintain: join(dist, 'server', 'maintain.js') };
  const good = await goodStore(join(folder, 'good'));
  return [
    await badInputs(),
    await plantedDamages(folder, good, 100),
    await goodStores(folder, EARLIER, 50),
    await fullDisks(folder, good, 40),
    await verifySpeed(folder, 20_000),
    await killed(programs, folder, good, kills),
  ];
}

/** Kills by a third at a server at work, the rest at what is done to a store. */
async function killed(
  programs: Programs,
  folder: string,
  good: Awaited<ReturnType<typeof goodStore>>,
  kills: number,
): Promise<Measured> {
  const each = Math.floor((kills * 2) / 3 / TASKS.length);
  const results: Killed[] = [];
  for (const [index, task] of TASKS.entries())
    results.push(await killTask(programs, task, folder, good, join(EARLIER, '0.4.0'), each, 77 + index));
  results.push(await killServer(programs, folder, kills - each * TASKS.length, 20260513));
  const wrong = results.flatMap((result) => result.wrong);
  const count = (of: 'kills' | 'acknowledged'): number => results.reduce((sum, result) => sum + result[of], 0);
  return {
    what: 'kills over commands, photos, migration, backup, restore, rebuild',
    measured: `${count('kills')} kills, ${count('acknowledged')} acknowledged, ${wrong.length} wrong${wrong.length > 0 ? `: ${wrong.slice(0, 3).join('; ')}` : ''}`,
    wanted: `${kills}, 0 lost, 0 not whole`,
    met: wrong.length === 0 && count('kills') >= kills,
  };
}
