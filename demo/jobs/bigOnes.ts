import type { Bench } from '../bench.ts';
import { checkDone, decide, judge } from './steps.ts';

const DAY = 24 * 60 * 60_000;

/** The first Monday at least `days` from now, ISO: past a closed Sunday. */
function mondayAfter(now: number, days: number): string {
  const from = new Date(now + days * DAY);
  const ahead = (8 - from.getUTCDay()) % 7;
  return new Date(from.getTime() + ahead * DAY).toISOString().slice(0, 10);
}

/** Hotel saloon: both banks, everything here but the plenum seal, which comes after a closed Sunday. */
export async function saloonWaitsForSeal(bench: Bench, now: number): Promise<void> {
  await bench.do('open-job', {
    vehicleId: 'saloon',
    reading: { value: 171_380, unit: 'km' },
    readingReason: '',
    complaint: 'Hunts warm, clatters behind the plenum with the key on.',
  });
  await bench.do('tell-complaint', { id: bench.id(), text: 'Hunts when warm and clicks with the key on.' });
  await bench.do('read-code', { id: bench.id(), code: 'P0505', status: 'stored', when: 'before', note: 'left bank' });
  await bench.do('read-codes-out', { when: 'before' });
  await checkDone(bench, 'valve-moves', 'clicks', 6);
  await decide(bench, { choice: 'rebuild', reason: 'both idle actuators sticky, gears still whole' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await bench.do('pin-procedure', { procedureId: 'multi-bank-v8' });
  for (const needId of [
    'n-gaskets',
    'n-rings',
    'n-inj-rings',
    'n-cleaner',
    'n-wrench',
    'n-bit',
    'n-fuel-tool',
    'n-long',
  ])
    await bench.do('tick-need', { needId, state: 'ready', expected: null }, 1);
  await bench.do('tick-need', { needId: 'n-plenum-seal', state: 'ordered', expected: mondayAfter(now, 3) }, 3);
}

/** School minibus: flap on the bench, a gasket found broken and ordered, a nut dropped and found. */
export async function minibusInPieces(bench: Bench, now: number): Promise<void> {
  await bench.do('open-job', {
    vehicleId: 'minibus',
    reading: { value: 240_610, unit: 'km' },
    readingReason: '',
    complaint: 'No power uphill, limp mode twice this week.',
  });
  await bench.do('tell-complaint', { id: bench.id(), text: 'Limp mode uphill twice this week.' });
  await bench.do('read-codes-out', { when: 'before' });
  await checkDone(bench, 'duct-off-look', 'ring', 8);
  await decide(bench, { choice: 'clean-bench', reason: 'coke closes half the flap; motor moves freely' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await bench.do('pin-procedure', { procedureId: 'diesel-flap' });
  for (const needId of ['n-flap-gasket', 'n-charge-seal', 'n-scraper', 'n-wrench', 'n-cool', 'n-battery'])
    await bench.do('tick-need', { needId, state: 'ready', expected: null }, 1);
  await bench.do('pass-stage', { stage: 'prepare' }, 0.2);
  await bench.do('lay-out-tray', { rows: 3, columns: 5 }, 1);
  await bench.do('name-pocket', { pocket: 'A1', name: 'top' }, 0.3);
  await bench.do('name-pocket', { pocket: 'B1', name: 'recirculation' }, 0.3);
  const off = (itemId: string, pocket: string, minutes: number, more = {}): Promise<void> =>
    bench.do('remove-item', { itemId, pocket, label: '', countedOut: null, ...more }, minutes);
  await off('cover', 'A1', 3);
  await off('charge-pipe', 'bench', 4);
  await off('charge-seal', 'A2', 1);
  await off('flap-plug', 'A3', 1);
  await off('egr-plug', 'A4', 1);
  await bench.do(
    'flag-item',
    {
      itemId: 'egr-gasket',
      flag: 'broken',
      needs: 'part',
      text: 'burnt through at the lower bolt',
      partNumber: 'VF-30-0731',
      needId: 'n-egr-own',
    },
    11,
  );
  await bench.do('tick-need', { needId: 'n-egr-own', state: 'ordered', expected: mondayAfter(now, 2) }, 2);
  await off('egr-pipe', 'B1', 6);
  await off('egr-gasket', 'B1', 1);
  await bench.do('drop-object', { id: bench.id(), what: 'M6 flange nut', where: 'heard it below the pump' }, 1);
  await bench.do(
    'end-search',
    { id: bench.job.searches[0]?.id ?? '', outcome: 'found', where: 'undertray, with the magnet' },
    9,
  );
  await off('dipstick', 'B2', 3);
  await bench.do('keep-measure', { itemId: 'flap', kind: 'way-round', text: 'motor to the rear' }, 1);
  await off('flap-bolts', 'B3', 5, { countedOut: 4, stayIn: 2 });
  await bench.do('take-out-rest', { itemId: 'flap-bolts' }, 2);
  await off('flap', 'bench', 3);
  const [opening] = bench.job.openings;
  await bench.do(
    'plug-opening',
    { openingId: opening?.id ?? '', plugId: bench.id(), what: 'Manifold cap, 80 mm' },
    0.4,
  );
  await off('flap-gasket', 'B4', 2);
  await bench.do('place-object', { id: bench.id(), what: 'Rag', where: 'charge pipe end' }, 0.5);
  await bench.do('pass-stage', { stage: 'strip' }, 0.2);
  const flap = { unit: 'throttle-body', kind: 'throttle-body', form: 'diesel-flap' } as const;
  await judge(bench, flap, 'deposit-back', { marks: [4], note: 'a nail’s breadth of coke' });
  await judge(bench, flap, 'deposit-edge', { marks: [3] });
  await judge(bench, flap, 'gears', { outcome: 'whole' });
  await judge(bench, flap, 'play', { typed: ['0.1'] });
  for (const stage of ['inspect', 'clean'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await bench.do('finish-bench', { itemId: 'flap', note: 'descaled, rinsed, dry' }, 40);
}
