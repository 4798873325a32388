import type { Bench } from '../bench.ts';
import {
  CABLE_BODY,
  checkDone,
  decide,
  ELECTRONIC_BODY,
  inspectAndClean,
  prepareAll,
  refitUntil,
  ROTARY_VALVE,
  runThrough,
  stripAll,
} from './steps.ts';

async function prove(
  bench: Bench,
  figures: { idle: readonly [number, number]; volts: readonly [number, number]; duty?: readonly [number, number] },
): Promise<void> {
  const measure = (kind: 'idle-rpm' | 'closed-volts' | 'valve-duty', when: 'before' | 'after', value: number) =>
    bench.do('take-measurement', { id: bench.id(), kind, when, value }, 1);
  await measure('idle-rpm', 'after', figures.idle[1]);
  await measure('closed-volts', 'after', figures.volts[1]);
  if (figures.duty) await measure('valve-duty', 'after', figures.duty[1]);
  await bench.do('read-codes-out', { when: 'after' });
  for (const check of ['leaks', 'settles', 'road-test'] as const)
    await bench.do('record-proof', { check, result: 'good', note: '' }, 3);
  await bench.do('pass-stage', { stage: 'prove' }, 1);
}

/** Post van 1: electronic body wiped; closed. */
export async function finishedVan(bench: Bench): Promise<void> {
  await bench.do('open-job', {
    vehicleId: 'van1',
    reading: { value: 118_340, unit: 'km' },
    readingReason: '',
    complaint: 'Dips at every stop and twice went out.',
  });
  await bench.do('tell-complaint', { id: bench.id(), text: 'Dips at every stop and twice went out.' });
  await bench.do('read-code', { id: bench.id(), code: 'P0506', status: 'stored', when: 'before', note: '' });
  await bench.do('read-codes-out', { when: 'before' });
  await bench.do('take-measurement', { id: bench.id(), kind: 'idle-rpm', when: 'before', value: 610 });
  await bench.do('take-measurement', { id: bench.id(), kind: 'closed-volts', when: 'before', value: 0.98 });
  await checkDone(bench, 'duct-off-look', 'ring', 8);
  await checkDone(bench, 'light-gap', 'blocked', 5);
  await decide(bench, { choice: 'clean-bench', reason: 'deposit only, plate true, motor quiet' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await bench.do('pin-procedure', { procedureId: 'electronic-small' });
  await prepareAll(bench);
  await stripAll(bench);
  await bench.do('pass-stage', { stage: 'strip' }, 0.2);
  await inspectAndClean(bench, ELECTRONIC_BODY, 3);
  await bench.do('weigh-can', {
    id: bench.id(),
    substance: 'throttle-cleaner',
    surface: 'bore and plate, by cloth',
    beforeText: '412 g',
    afterText: '396 g',
  });
  await bench.do('decide-seal', {
    id: bench.id(),
    name: 'Body seal ring',
    decision: 'renewed',
    partNumber: 'CW-14-0210',
    why: '',
  });
  await bench.do('use-part', {
    id: bench.id(),
    name: 'Body seal ring',
    partNumber: 'CW-14-0210',
    quantity: 1,
    priceMinor: 410,
  });
  for (const stage of ['inspect', 'clean', 'rebuild'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await refitUntil(bench, null);
  for (const stage of ['refit', 'coolant'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await runThrough(bench, 'timed-idle', 'took');
  await bench.do('pass-stage', { stage: 'relearn' }, 0.2);
  await prove(bench, { idle: [610, 715], volts: [0.98, 0.74] });
  await bench.do('hand-over', {
    watch: 'Oil mist in the duct: look at the breather at the next service.',
    nextDue: { value: 148_000, unit: 'km' },
    labourMinutes: 75,
    ratePerHourMinor: 5800,
    currency: 'cr',
  });
}

/** Farm utility: cable body and valve; closed, with coolant, two relearn attempts and everything recorded. */
export async function finishedFarm(bench: Bench): Promise<void> {
  await bench.do('open-job', {
    vehicleId: 'farm',
    reading: { value: 203_118, unit: 'km' },
    readingReason: '',
    complaint: 'Hunts up and down at the gate, worse when cold.',
  });
  await bench.do('tell-complaint', { id: bench.id(), text: 'Hunts up and down at the gate, worse when cold.' });
  await bench.do('read-code', { id: bench.id(), code: 'P0505', status: 'stored', when: 'before', note: '' });
  await bench.do('read-codes-out', { when: 'before' });
  await bench.do('tell-history', { since: 'since harvest', doneBefore: 'plugs and leads last year' });
  await bench.do('take-measurement', { id: bench.id(), kind: 'idle-rpm', when: 'before', value: 1040 });
  await bench.do('take-measurement', { id: bench.id(), kind: 'valve-duty', when: 'before', value: 22 });
  await checkDone(bench, 'leak-by-ear', 'none', 9);
  await checkDone(bench, 'valve-moves', 'clicks', 6);
  await checkDone(bench, 'idle-screw-ring', 'hard', 6);
  await decide(bench, { choice: 'rebuild', reason: 'valve sticks, O-rings hard; body itself is good' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await bench.do('pin-procedure', { procedureId: 'cable-rotary' });
  await prepareAll(bench);
  await stripAll(bench);
  await bench.do('record-coolant', { id: bench.id(), kind: 'caught', amountText: '0.9 L', concentration: null });
  await bench.do('pass-stage', { stage: 'strip' }, 0.2);
  await inspectAndClean(bench, CABLE_BODY, 2);
  await inspectAndClean(bench, ROTARY_VALVE, 4);
  await bench.do('weigh-can', {
    id: bench.id(),
    substance: 'throttle-cleaner',
    surface: 'bore, plate and valve',
    beforeText: '396 g',
    afterText: '301 g',
  });
  for (const [name, partNumber, priceMinor] of [
    ['Body gasket', 'NP-25-1107', 640],
    ['Valve O-ring', 'NP-25-1131', 180],
    ['Idle screw O-ring', 'NP-25-1140', 120],
  ] as const) {
    await bench.do('decide-seal', { id: bench.id(), name, decision: 'renewed', partNumber, why: 'hard' });
    await bench.do('use-part', { id: bench.id(), name, partNumber, quantity: 1, priceMinor });
  }
  for (const stage of ['inspect', 'clean', 'rebuild'] as const) await bench.do('pass-stage', { stage }, 0.2);
  await refitUntil(bench, null);
  await bench.do('pass-stage', { stage: 'refit' }, 0.2);
  await bench.do('acknowledge-caution', { caution: 'hot-coolant' });
  await bench.do('record-coolant', { id: bench.id(), kind: 'returned', amountText: '0.8 L', concentration: null });
  await bench.do('record-coolant', { id: bench.id(), kind: 'discarded', amountText: '0.1 L', concentration: null });
  await bench.do('record-coolant', { id: bench.id(), kind: 'added', amountText: '0.1 L', concentration: 0.5 });
  await runThrough(bench, 'bleed', 'took');
  await bench.wait(180).do('check-level', { when: 'cold', level: 'right' });
  await bench.do('check-leaks', { when: 'cold', result: 'dry', where: '' });
  await bench.do('set-recheck', { id: bench.id(), what: 'Coolant level and hoses', days: 14, use: 500 });
  await bench.do('take-waste', { id: bench.id(), kind: 'rags', amount: 'four', where: 'closed metal bin' });
  await bench.do('take-waste', { id: bench.id(), kind: 'coolant', amount: '0.1 L', where: 'coolant drum' });
  await bench.do('pass-stage', { stage: 'coolant' }, 0.2);
  await runThrough(bench, 'timed-idle', 'did not take');
  await runThrough(bench, 'drive', 'took');
  await bench.do('pass-stage', { stage: 'relearn' }, 0.2);
  await prove(bench, { idle: [1040, 850], volts: [0.5, 0.51], duty: [22, 33] });
  await bench.do('hand-over', {
    watch: 'Idle after the next frost; the cable is near its end.',
    nextDue: { value: 233_000, unit: 'km' },
    labourMinutes: 190,
    ratePerHourMinor: 5800,
    currency: 'cr',
  });
}
