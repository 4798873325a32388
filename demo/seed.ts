import { Player, type DemoClient } from './player.ts';
import { finishedFarm, finishedVan } from './jobs/finished.ts';
import { minibusInPieces, saloonWaitsForSeal } from './jobs/bigOnes.ts';
import { busInRefit, farmWaitsForPart, fourOnBench, launchOiled, vanInDiagnose } from './jobs/open.ts';
import { busLife } from './busLife.ts';
import { PAST_JOBS, seedPast } from './past.ts';
import { cableNext } from './procedures/cableNext.ts';
import { shop } from './shop.ts';
import { vehicles } from './vehicles.ts';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;

/** All vehicles of the island have been here before. */
const KNOWN_SINCE = '2024-03-01';

/** Fills an empty server with the demo world, by the same requests that a person's taps make. @param now ms since 1970 */
export async function seedDemo(client: DemoClient, now: number): Promise<void> {
  // Numbers of the past jobs come before those of the open ones.
  const first = Number(shop.settings['first-job-number']) - PAST_JOBS;
  await client.putShop({ ...shop, settings: { ...shop.settings, 'first-job-number': String(first) } });
  for (const [id, vehicle] of Object.entries(vehicles))
    await client.putVehicle(id, { ...vehicle, knownSince: KNOWN_SINCE });
  await client.takeLife(busLife, 'bus');
  await seedPast(client, now);
  await finishedVan(new Player(client, 'job-228', 'tomas', now - 62 * DAY - 5 * HOUR));
  await finishedFarm(new Player(client, 'job-229', 'isla', now - 41 * DAY - 6 * HOUR));
  await busInRefit(new Player(client, 'job-230', 'tomas', now - DAY - 4 * HOUR), now);
  await farmWaitsForPart(new Player(client, 'job-231', 'isla', now - 3 * HOUR), now);
  await launchOiled(new Player(client, 'job-232', 'tomas', now - 4 * HOUR - 30 * 60_000));
  await vanInDiagnose(new Player(client, 'job-233', 'wen', now - 65 * 60_000), now);
  await saloonWaitsForSeal(new Player(client, 'job-234', 'isla', now - 2 * HOUR - 10 * 60_000), now);
  await minibusInPieces(new Player(client, 'job-235', 'tomas', now - 6 * HOUR - 20 * 60_000), now);
  await fourOnBench(new Player(client, 'job-236', 'wen', now - 3 * HOUR - 20 * 60_000), now);
  await client.putProcedure(cableNext, 3, 'measures to set again, two bolts stay in, battery back on');
}
