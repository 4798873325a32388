import type { Player } from '../player.ts';
import { item } from '../procedures/parts.ts';
import { readyAfter } from '../promises.ts';
import {
  CABLE_BODY,
  checkDone,
  decide,
  inspectAndClean,
  judge,
  prepareAll,
  refitUntil,
  ROTARY_VALVE,
  stripAll,
  tightenAll,
} from './steps.ts';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;

/** Library bus: second day, refit under way, three of four flange bolts at torque. */
export async function busInRefit(player: Player, now: number): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'bus',
    reading: { value: 148_220, unit: 'km' },
    readingReason: '',
    complaint: 'Hunts at the quay, stalls when it comes to rest.',
  });
  await player.do('promise-ready', readyAfter(now, 150), 0.5);
  await player.do('answer-question', { id: player.id(), sign: 'temperature', outcome: 'cold' });
  await player.do('read-code', {
    id: player.id(),
    code: 'P0505',
    status: 'stored',
    when: 'before',
    note: 'engine warm, 610 rpm',
  });
  await player.do('read-codes-out', { when: 'before' });
  await player.do('tell-history', { since: 'about a month', doneBefore: 'battery changed in spring' });
  await player.do('take-measurement', { id: player.id(), kind: 'idle-rpm', when: 'before', value: 610 });
  await player.do('take-measurement', { id: player.id(), kind: 'valve-duty', when: 'before', value: 58 });
  await player.do('take-measurement', { id: player.id(), kind: 'closed-volts', when: 'before', value: 0.5 });
  await checkDone(player, 'leak-by-ear', 'none', 9);
  await checkDone(player, 'duct-off-look', 'ring', 8);
  await checkDone(player, 'valve-moves', 'clicks', 4);
  await decide(player, {
    choice: 'clean-bench',
    reason: 'deposit at the edge, valve stiff; body true, shaft without play',
  });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await player.do('pass-stage', { stage }, 0.2);
  await player.do('pin-procedure', { procedureId: 'cable-rotary' });
  await prepareAll(player);
  await stripAll(player);
  await player.do('record-coolant', { id: player.id(), kind: 'caught', amountText: '0.7 L', concentration: null });
  await player.do('pass-stage', { stage: 'strip' }, 0.2);
  player.at(now - 5 * HOUR);
  await player.do('test-coolant', {
    id: player.id(),
    when: 'before',
    tool: 'refractometer',
    scale: 'ethylene',
    typed: '−31 °C',
  });
  await busWalk(player);
  await freedScrew(player);
  await inspectAndClean(player, CABLE_BODY, 2);
  await inspectAndClean(player, ROTARY_VALVE, 3);
  const soak = player.id();
  await player.do('start-timer', { id: soak, label: 'Valve soaks', minutes: 25, kind: 'soak', unit: 'idle-valve' });
  await player.wait(25).do('end-timer', { id: soak, outcome: 'done' });
  await player.do('weigh-can', {
    id: player.id(),
    substance: 'throttle-cleaner',
    surface: 'throttle body',
    beforeText: '301 g',
    afterText: '238 g',
    minutes: 6,
    surfaces: ['bare-aluminium'],
    stockId: 's-clean',
    priceMinor: 140,
  });
  for (const [name, partNumber, priceMinor] of [
    ['Body gasket', 'NP-25-1107', 640],
    ['Valve O-ring', 'NP-25-1131', 180],
    ['Idle screw O-ring', 'NP-25-1140', 120],
  ] as const) {
    await player.do('decide-seal', {
      id: player.id(),
      name,
      decision: 'renewed',
      partNumber,
      why: '',
      ...(name === 'Body gasket' ? {} : { rubber: 'nbr' as const, lubricant: 'silicone-grease' as const }),
    });
    await player.do('use-part', { id: player.id(), name, partNumber, quantity: 1, priceMinor });
  }
  await player.do('turn-screw', {
    id: player.id(),
    unit: 'throttle-body',
    screw: 'idle',
    turnsText: '1.75',
    why: 'out for its ring',
  });
  await player.do('turn-screw', {
    id: player.id(),
    unit: 'throttle-body',
    screw: 'idle',
    turnsText: '-1.75',
    why: 'back',
  });
  await player.do('sweep-sensor', {
    id: player.id(),
    unit: 'throttle-body',
    when: 'after',
    typed: ['0.51', '1.44', '2.41', '3.36', '4.29'],
  });
  for (const stage of ['inspect', 'clean', 'rebuild'] as const) await player.do('pass-stage', { stage }, 0.2);
  player.at(now - 70 * 60_000);
  await player.do('acknowledge-caution', { caution: 'alloy' });
  await refitUntil(player, 'flange');
  await tightenAll(player, 'flange', '75 in·lb', 'small-click', 7);
}

/** The walk over both units of the library bus. */
async function busWalk(player: Player): Promise<void> {
  const light = [1, 1, 0, 0, 1, 1, 1, 0, 0, 1, 1, 1];
  await judge(player, CABLE_BODY, 'deposit-front', { marks: [1] }, 2);
  await judge(player, CABLE_BODY, 'deposit-back', { marks: [3], note: 'oily, from the breather' });
  await judge(player, CABLE_BODY, 'light', { marks: light });
  await judge(player, CABLE_BODY, 'play', { typed: ['0.06'] }, 2);
  await judge(player, CABLE_BODY, 'plate-flat', { typed: ['0.02'] });
  await judge(player, CABLE_BODY, 'body-flat', { typed: ['0.05'] });
  await judge(player, CABLE_BODY, 'spring', { typed: ['0.3'] });
  await judge(player, CABLE_BODY, 'stop-screw', { outcome: 'sealed' });
  await judge(player, CABLE_BODY, 'gasket-height', { typed: ['1.3', '2.0'] });
  await judge(player, CABLE_BODY, 'ring', { which: 'idle screw', typed: ['88'] });
  await judge(player, ROTARY_VALVE, 'valve-free', { outcome: 'stiff', note: 'comes free with a push' }, 2);
  await judge(player, ROTARY_VALVE, 'coil', { which: 'open side', typed: ['12.1', '31'] });
  await judge(player, ROTARY_VALVE, 'coil', { which: 'close side', typed: ['11.8', '31'] });
  await judge(player, ROTARY_VALVE, 'ring', { which: 'valve', typed: ['85'] });
}

/** One valve screw that did not come at once. */
async function freedScrew(player: Player): Promise<void> {
  const screwId = player.id();
  await player.do('note-seized', {
    id: screwId,
    unit: 'idle-valve',
    where: 'Valve screw, lower',
    thread: 'M5×14',
    host: 'aluminium',
    headWhole: true,
    nearDelicate: true,
    partNumber: 'NP-05-0514',
  });
  const tried = (rung: 'right-bit' | 'heat', outcome: 'not yet' | 'out', note: string): Promise<void> =>
    player.do('try-rung', { screwId, rung, outcome, note, timerId: '' }, 4);
  await tried('right-bit', 'not yet', 'bit begins to climb');
  await tried('heat', 'out', 'at 110 °C');
}

/** Post van 3: just in, being diagnosed by the apprentice. */
export async function vanInDiagnose(player: Player, now: number): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'van3',
    reading: { value: 91_640, unit: 'km' },
    readingReason: '',
    complaint: 'Rough at the lights and idles too low since the battery went flat last week.',
  });
  await player.do('promise-ready', readyAfter(now, 9 * 60), 0.5);
  await player.do('answer-question', { id: player.id(), sign: 'comes-and-goes', outcome: 'no' });
  await player.do('read-code', { id: player.id(), code: 'P2119', status: 'stored', when: 'before', note: '' });
  await player.do('read-code', { id: player.id(), code: 'P0171', status: 'pending', when: 'before', note: '' });
  await player.do('read-codes-out', { when: 'before' });
  await player.do('tell-history', { since: 'last week', doneBefore: 'battery flat, jump started' });
  await player.do('take-measurement', { id: player.id(), kind: 'idle-rpm', when: 'before', value: 620 });
  await player.do('pass-stage', { stage: 'complaint' }, 0.2);
  await player.do(
    'record-check',
    { id: player.id(), check: 'air-mass', outcome: '', typed: ['2.1'], when: 'before' },
    6,
  );
  await checkDone(player, 'leak-by-ear', 'none', 9);
}

/** Farm utility: waits for its gasket; must stay whole and driving. */
export async function farmWaitsForPart(player: Player, now: number): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'farm',
    reading: { value: 206_880, unit: 'km' },
    readingReason: '',
    complaint: 'Throttle snatches when pulling away.',
  });
  await player.do('read-codes-out', { when: 'before' });
  await checkDone(player, 'duct-off-look', 'ring', 8);
  await checkDone(player, 'shaft-play', 'none', 4);
  await decide(player, { choice: 'clean-bench', reason: 'crust behind the plate' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await player.do('pass-stage', { stage }, 0.2);
  await player.do('pin-procedure', { procedureId: 'cable-rotary' });
  const expected = new Date(now + 5 * DAY).toISOString().slice(0, 10);
  await player.do('tick-need', { needId: 'n-gasket', state: 'ordered', expected });
  for (const needId of ['n-ring', 'n-screw-ring', 'n-cleaner', 'n-bit', 'n-wrench'])
    await player.do('tick-need', { needId, state: 'ready', expected: null }, 1);
}

/** Harbour launch: no procedure, items typed at the engine, two screws under penetrating oil. */
export async function launchOiled(player: Player): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'launch',
    reading: { value: 612, unit: 'h' },
    readingReason: '',
    complaint: 'Trolls too fast and clicks with the key on.',
  });
  await checkDone(player, 'valve-moves', 'clicks', 4);
  await decide(player, { choice: 'rebuild', reason: 'stepper stuck with salt; body still flat' });
  for (const stage of ['complaint', 'diagnose', 'decide', 'prepare'] as const)
    await player.do('pass-stage', { stage }, 0.2);
  const items = [
    item('cowl', 'Cowl', 'cover'),
    item('silencer', 'Intake silencer', 'duct'),
    item('stepper-plug', 'Stepper plug', 'connector'),
    item('link', 'Throttle link', 'cable'),
    item('stepper', 'Stepper valve', 'unit', { unit: 'idle-valve' }),
  ];
  for (const each of items) {
    await player.do('add-item', { item: each }, 1);
    await player.do(
      'remove-item',
      { itemId: each.id, pocket: each.kind === 'unit' ? 'bench' : 'crate', label: '', countedOut: null },
      3,
    );
  }
  await player.do('pass-stage', { stage: 'strip' }, 0.2);
  const stepper = { unit: 'idle-valve', kind: 'idle-valve', form: 'stepper-valve' } as const;
  await judge(player, stepper, 'valve-deposit', { marks: [3], note: 'white crust' }, 2);
  await judge(player, stepper, 'valve-free', { outcome: 'stuck', note: 'salt' });
  await player.do('pass-stage', { stage: 'inspect' }, 0.2);
  for (const where of ['Stepper screw, upper', 'Stepper screw, lower']) {
    const screwId = player.id();
    await player.do('note-seized', {
      id: screwId,
      unit: 'idle-valve',
      where,
      thread: 'M5×16',
      host: 'brass-insert',
      headWhole: true,
      nearDelicate: true,
      partNumber: '',
    });
    const attempt = (rung: 'right-bit' | 'oil', outcome: 'not yet' | 'waiting', timerId = ''): Promise<void> =>
      player.do('try-rung', { screwId, rung, outcome, note: '', timerId }, 3);
    await attempt('right-bit', 'not yet');
    await attempt('oil', 'waiting', player.id());
  }
}

/** Courier's four: the bank on the player, two bodies soak while the other two are brushed; injectors lie apart. */
export async function fourOnBench(player: Player, now: number): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'four',
    reading: { value: 58_410, unit: 'km' },
    readingReason: '',
    complaint: 'Uneven at idle and stalls when it comes to rest, always at the ferry ramp.',
  });
  await player.do('promise-ready', readyAfter(now, 16 * 60), 0.5);
  await player.do('read-codes-out', { when: 'before' });
  await checkDone(player, 'duct-off-look', 'ring', 8);
  await checkDone(player, 'light-gap', 'blocked', 6);
  await decide(player, { choice: 'clean-bench', reason: 'no light round two of four plates' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await player.do('pass-stage', { stage }, 0.2);
  await player.do('pin-procedure', { procedureId: 'motorcycle-four' });
  await prepareAll(player);
  await stripAll(player);
  await player.do('pass-stage', { stage: 'strip' }, 0.2);
  for (const cylinder of [1, 2, 3, 4])
    await player.do(
      'set-apart',
      { id: player.id(), unit: `four-tb-${cylinder}`, what: 'Injector', place: `cylinder ${cylinder}` },
      0.5,
    );
  const grades = [2, 3, 3, 2];
  const unitOf = (index: number) => ({ unit: `four-tb-${index + 1}`, kind: 'throttle-body', form: 'bank' }) as const;
  for (const [index, grade] of grades.entries()) {
    await judge(player, unitOf(index), 'deposit-edge', { marks: [grade] });
    await judge(player, unitOf(index), 'light', {
      marks: Array.from({ length: 12 }, (_, sector) => (grade === 3 ? 0 : sector % 5 === 0 ? 0 : 1)),
    });
  }
  await player.do('pass-stage', { stage: 'inspect' }, 0.2);
  player.at(now - 9 * 60_000);
  const pass = (index: number, kind: 'protect' | 'wet' | 'brush' | 'wipe'): Promise<void> =>
    player.do('do-pass', { id: player.id(), unit: `four-tb-${index + 1}`, kind }, 0.3);
  const soak = (index: number, minutes: number): Promise<void> =>
    player.do(
      'do-pass',
      {
        id: player.id(),
        unit: `four-tb-${index + 1}`,
        kind: 'soak',
        form: 'bank',
        substance: 'throttle-cleaner',
        how: 'soak',
        soak: { timerId: player.id(), label: `Throttle body, cylinder ${index + 1} soaks`, minutes },
      },
      0.3,
    );
  for (const index of [0, 1, 2, 3]) await pass(index, 'protect');
  for (const index of [0, 1, 2, 3]) await pass(index, 'wet');
  await soak(1, 15);
  await soak(2, 15);
  for (const kind of ['brush', 'wipe'] as const) for (const index of [0, 3]) await pass(index, kind);
  await player.do(
    'weigh-can',
    {
      id: player.id(),
      substance: 'throttle-cleaner',
      surface: 'throttle bodies',
      beforeText: '388 g',
      afterText: '301 g',
      minutes: 5,
      surfaces: ['bare-aluminium'],
      stockId: 's-clean',
      priceMinor: 194,
    },
    1,
  );
}
