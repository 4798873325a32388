import type { Bench } from '../bench.ts';
import { item } from '../procedures/parts.ts';
import { checkDone, decide, inspectAndClean, prepareAll, refitUntil, stripAll, tightenAll } from './steps.ts';

const HOUR = 60 * 60_000;
const DAY = 24 * HOUR;

/** Library bus: second day, refit under way, three of four flange bolts at torque. */
export async function busInRefit(bench: Bench, now: number): Promise<void> {
  await bench.do('open-job', {
    vehicleId: 'bus',
    reading: { value: 148_220, unit: 'km' },
    readingReason: '',
    complaint: 'Hunts at the quay, stalls when it comes to rest.',
  });
  await bench.do('tell-complaint', { id: bench.id(), text: 'Hunts at the quay, stalls when it comes to rest.' });
  await bench.do('answer-question', { id: bench.id(), sign: 'temperature', outcome: 'cold' });
  await bench.do('read-code', {
    id: bench.id(),
    code: 'P0505',
    status: 'stored',
    when: 'before',
    note: 'engine warm, 610 rpm',
  });
  await bench.do('read-codes-out', { when: 'before' });
  await bench.do('tell-history', { since: 'about a month', doneBefore: 'battery changed in spring' });
  await bench.do('take-measurement', { id: bench.id(), kind: 'idle-rpm', when: 'before', value: 610 });
  await bench.do('take-measurement', { id: bench.id(), kind: 'valve-duty', when: 'before', value: 58 });
  await bench.do('take-measurement', { id: bench.id(), kind: 'closed-volts', when: 'before', value: 0.5 });
  await checkDone(bench, 'leak-by-ear', 'none', 9);
  await checkDone(bench, 'duct-off-look', 'ring', 8);
  await checkDone(bench, 'valve-moves', 'clicks', 4);
  await decide(bench, {
    choice: 'clean-bench',
    reason: 'deposit at the edge, valve stiff; body true, shaft without play',
  });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await bench.do('pin-procedure', { procedureId: 'cable-rotary' });
  await prepareAll(bench);
  await stripAll(bench);
  await bench.do('record-coolant', { id: bench.id(), kind: 'caught', amountText: '0.7 L', concentration: null });
  await bench.do('pass-stage', { stage: 'strip' }, 0.2);
  bench.at(now - 5 * HOUR);
  await inspectAndClean(bench, 'throttle-body', 2);
  const soak = bench.id();
  await bench.do('start-timer', { id: soak, label: 'Valve soaks', minutes: 25, kind: 'soak' });
  await bench.wait(25).do('end-timer', { id: soak, outcome: 'done' });
  await inspectAndClean(bench, 'idle-valve', 3);
  await bench.do('weigh-can', {
    id: bench.id(),
    substance: 'throttle-cleaner',
    surface: 'bore, plate and valve',
    beforeText: '301 g',
    afterText: '238 g',
  });
  for (const [name, partNumber, priceMinor] of [
    ['Body gasket', 'NP-25-1107', 640],
    ['Valve O-ring', 'NP-25-1131', 180],
    ['Idle screw O-ring', 'NP-25-1140', 120],
  ] as const) {
    await bench.do('decide-seal', { id: bench.id(), name, decision: 'renewed', partNumber, why: '' });
    await bench.do('use-part', { id: bench.id(), name, partNumber, quantity: 1, priceMinor });
  }
  for (const stage of ['inspect', 'clean', 'rebuild'] as const) await bench.do('pass-stage', { stage }, 0.2);
  bench.at(now - 70 * 60_000);
  await bench.do('acknowledge-caution', { caution: 'alloy' });
  await refitUntil(bench, 'flange');
  await tightenAll(bench, 'flange', '75 in·lb', 'small-click', 7);
}

/** Post van 3: just in, being diagnosed by the apprentice. */
export async function vanInDiagnose(bench: Bench): Promise<void> {
  await bench.do('open-job', {
    vehicleId: 'van3',
    reading: { value: 91_640, unit: 'km' },
    readingReason: '',
    complaint: 'Idles rough at the lights since the battery went flat.',
  });
  await bench.do('tell-complaint', {
    id: bench.id(),
    text: 'Rough at the lights and idles too low since the battery went flat last week.',
  });
  await bench.do('answer-question', { id: bench.id(), sign: 'comes-and-goes', outcome: 'no' });
  await bench.do('read-code', { id: bench.id(), code: 'P2119', status: 'stored', when: 'before', note: '' });
  await bench.do('read-code', { id: bench.id(), code: 'P0171', status: 'pending', when: 'before', note: '' });
  await bench.do('read-codes-out', { when: 'before' });
  await bench.do('tell-history', { since: 'last week', doneBefore: 'battery flat, jump started' });
  await bench.do('take-measurement', { id: bench.id(), kind: 'idle-rpm', when: 'before', value: 620 });
  await bench.do('pass-stage', { stage: 'complaint' }, 0.2);
  await bench.do('record-check', { id: bench.id(), check: 'air-mass', outcome: '', typed: ['2.1'], when: 'before' }, 6);
  await checkDone(bench, 'leak-by-ear', 'none', 9);
}

/** Farm utility: waits for its gasket; must stay whole and driving. */
export async function farmWaitsForPart(bench: Bench, now: number): Promise<void> {
  await bench.do('open-job', {
    vehicleId: 'farm',
    reading: { value: 206_880, unit: 'km' },
    readingReason: '',
    complaint: 'Throttle snatches when pulling away.',
  });
  await bench.do('tell-complaint', { id: bench.id(), text: 'Throttle snatches when pulling away.' });
  await bench.do('read-codes-out', { when: 'before' });
  await checkDone(bench, 'duct-off-look', 'ring', 8);
  await checkDone(bench, 'shaft-play', 'none', 4);
  await decide(bench, { choice: 'clean-bench', reason: 'crust behind the plate' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await bench.do('pin-procedure', { procedureId: 'cable-rotary' });
  const expected = new Date(now + 5 * DAY).toISOString().slice(0, 10);
  await bench.do('tick-need', { needId: 'n-gasket', state: 'ordered', expected });
  for (const needId of ['n-ring', 'n-screw-ring', 'n-cleaner', 'n-bit', 'n-wrench'])
    await bench.do('tick-need', { needId, state: 'ready', expected: null }, 1);
}

/** Harbour launch: no procedure, items typed at the engine, two screws under penetrating oil. */
export async function launchOiled(bench: Bench): Promise<void> {
  await bench.do('open-job', {
    vehicleId: 'launch',
    reading: { value: 612, unit: 'h' },
    readingReason: '',
    complaint: 'Trolls too fast and clicks with the key on.',
  });
  await bench.do('tell-complaint', { id: bench.id(), text: 'Trolls too fast and clicks with the key on.' });
  await checkDone(bench, 'valve-moves', 'clicks', 4);
  await decide(bench, { choice: 'rebuild', reason: 'stepper stuck with salt; body still flat' });
  for (const stage of ['complaint', 'diagnose', 'decide', 'prepare'] as const)
    await bench.do('pass-stage', { stage }, 0.2);
  const items = [
    item('cowl', 'Cowl', 'cover'),
    item('silencer', 'Intake silencer', 'duct'),
    item('stepper-plug', 'Stepper plug', 'connector'),
    item('link', 'Throttle link', 'cable'),
    item('stepper', 'Stepper valve', 'unit', { unit: 'idle-valve' }),
  ];
  for (const each of items) {
    await bench.do('add-item', { item: each }, 1);
    await bench.do(
      'remove-item',
      { itemId: each.id, pocket: each.kind === 'unit' ? 'bench' : 'crate', label: '', countedOut: null },
      3,
    );
  }
  await bench.do('pass-stage', { stage: 'strip' }, 0.2);
  await bench.do('record-finding', {
    id: bench.id(),
    unit: 'idle-valve',
    point: 'valve-free',
    when: 'before',
    grade: null,
    text: 'stuck, white crust',
  });
  for (const stage of ['inspect', 'clean'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await bench.do('start-timer', {
    id: bench.id(),
    label: 'Two screws under penetrating oil',
    minutes: 7 * 60,
    kind: 'soak',
  });
}
