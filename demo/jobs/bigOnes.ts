import type { Player } from '../player.ts';
import { checkDone, decide, judge } from './steps.ts';

const DAY = 24 * 60 * 60_000;

/** The first Monday at least `days` from now, ISO: past a closed Sunday. */
function mondayAfter(now: number, days: number): string {
  const from = new Date(now + days * DAY);
  const ahead = (8 - from.getUTCDay()) % 7;
  return new Date(from.getTime() + ahead * DAY).toISOString().slice(0, 10);
}

/** Hotel saloon: both banks, everything here but the plenum seal, which comes after a closed Sunday. */
export async function saloonWaitsForSeal(player: Player, now: number): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'saloon',
    reading: { value: 171_380, unit: 'km' },
    readingReason: '',
    complaint: 'Hunts when warm, clatters behind the plenum with the key on.',
  });
  await player.do('read-code', { id: player.id(), code: 'P0505', status: 'stored', when: 'before', note: 'left bank' });
  await player.do('read-codes-out', { when: 'before' });
  await checkDone(player, 'valve-moves', 'clicks', 6);
  await decide(player, { choice: 'rebuild', reason: 'both idle actuators sticky, gears still whole' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await player.do('pass-stage', { stage }, 0.2);
  await player.do('pin-procedure', { procedureId: 'multi-bank-v8' });
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
    await player.do('tick-need', { needId, state: 'ready', expected: null }, 1);
  await player.do('tick-need', { needId: 'n-plenum-seal', state: 'ordered', expected: mondayAfter(now, 3) }, 3);
}

/** School minibus: flap on the player, a gasket found broken and ordered, a nut dropped and found. */
export async function minibusInPieces(player: Player, now: number): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'minibus',
    reading: { value: 240_610, unit: 'km' },
    readingReason: '',
    complaint: 'No power uphill, limp mode twice this week.',
  });
  await player.do('read-codes-out', { when: 'before' });
  await checkDone(player, 'duct-off-look', 'ring', 8);
  await decide(player, { choice: 'clean-bench', reason: 'coke closes half the flap; motor moves freely' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await player.do('pass-stage', { stage }, 0.2);
  await player.do('pin-procedure', { procedureId: 'diesel-flap' });
  for (const needId of ['n-flap-gasket', 'n-charge-seal', 'n-scraper', 'n-wrench', 'n-cool', 'n-battery'])
    await player.do('tick-need', { needId, state: 'ready', expected: null }, 1);
  await player.do('pass-stage', { stage: 'prepare' }, 0.2);
  await player.do('lay-out-tray', { rows: 3, columns: 5 }, 1);
  await player.do('name-pocket', { pocket: 'A1', name: 'top' }, 0.3);
  await player.do('name-pocket', { pocket: 'B1', name: 'recirculation' }, 0.3);
  const off = (itemId: string, pocket: string, minutes: number, more = {}): Promise<void> =>
    player.do('remove-item', { itemId, pocket, label: '', countedOut: null, ...more }, minutes);
  await off('cover', 'A1', 3);
  await off('charge-pipe', 'bench', 4);
  await off('charge-seal', 'A2', 1);
  await off('flap-plug', 'A3', 1);
  await off('egr-plug', 'A4', 1);
  await player.do(
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
  await player.do('tick-need', { needId: 'n-egr-own', state: 'ordered', expected: mondayAfter(now, 2) }, 2);
  await off('egr-pipe', 'B1', 6);
  await off('egr-gasket', 'B1', 1);
  await player.do('drop-object', { id: player.id(), what: 'M6 flange nut', where: 'heard it below the pump' }, 1);
  await player.do(
    'end-search',
    { id: player.job.searches[0]?.id ?? '', outcome: 'found', where: 'undertray, with the magnet' },
    9,
  );
  await off('dipstick', 'B2', 3);
  await player.do('keep-measure', { itemId: 'flap', kind: 'way-round', text: 'motor to the rear' }, 1);
  await off('flap-bolts', 'B3', 5, { countedOut: 4, stayIn: 2 });
  await player.do('take-out-rest', { itemId: 'flap-bolts' }, 2);
  await off('flap', 'bench', 3);
  const [opening] = player.job.openings;
  await player.do(
    'plug-opening',
    { openingId: opening?.id ?? '', plugId: player.id(), what: 'Manifold cap, 80 mm' },
    0.4,
  );
  await off('flap-gasket', 'B4', 2);
  await player.do('place-object', { id: player.id(), what: 'Rag', where: 'charge pipe end' }, 0.5);
  await player.do('pass-stage', { stage: 'strip' }, 0.2);
  const flap = { unit: 'throttle-body', kind: 'throttle-body', form: 'diesel-flap' } as const;
  await judge(player, flap, 'deposit-back', { marks: [4], note: 'a nail’s breadth of coke' });
  await judge(player, flap, 'deposit-edge', { marks: [3] });
  await judge(player, flap, 'gears', { outcome: 'whole' });
  await judge(player, flap, 'play', { typed: ['0.1'] });
  for (const stage of ['inspect', 'clean'] as const) await player.do('pass-stage', { stage }, 0.2);
  await player.do('finish-bench', { itemId: 'flap', note: 'descaled, rinsed, dry' }, 40);
}
