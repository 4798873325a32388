import { proofOf } from '../../core/job/index.ts';
import { ENGINE_KINDS, type EngineSpec } from '../../core/engine/index.ts';
import type { Player } from '../player.ts';
import { recordEngine } from '../recordings.ts';
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
  player: Player,
  figures: { idle: readonly [number, number]; volts: readonly [number, number]; duty?: readonly [number, number] },
): Promise<void> {
  const measure = (kind: 'idle-rpm' | 'closed-volts' | 'valve-duty', when: 'before' | 'after', value: number) =>
    player.do('take-measurement', { id: player.id(), kind, when, value }, 1);
  await measure('idle-rpm', 'after', figures.idle[1]);
  await measure('closed-volts', 'after', figures.volts[1]);
  if (figures.duty) await measure('valve-duty', 'after', figures.duty[1]);
  await player.do('read-codes-out', { when: 'after' });
  // What only a person can say is tried as it was complained of.
  for (const { id, name } of proofOf(player.job).untried.filter(({ byHand }) => byHand))
    await player.do(
      'try-line',
      { line: id, words: '', verdict: 'gone', came: '', state: /cold/i.test(name) ? 'cold' : 'warm', place: 'road' },
      1,
    );
  for (const check of ['leaks', 'settles', 'road-test'] as const)
    await player.do('record-proof', { check, result: 'good', note: '' }, 3);
  await player.do('pass-stage', { stage: 'prove' }, 1);
}

/** Engines of the vehicles as they behave. */
const VAN: EngineSpec = ENGINE_KINDS.electronic;
const FARM: EngineSpec = {
  ...ENGINE_KINDS.valve,
  displacementL: 2,
  boreMm: 50,
  idleRpm: 850,
  gapMm2: 4,
  valveMm2: 34,
};

/** Post van 1: electronic body wiped; closed. */
export async function finishedVan(player: Player): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'van1',
    reading: { value: 118_340, unit: 'km' },
    readingReason: '',
    complaint: 'Dips at every stop and twice went out.',
  });
  await player.do('read-code', { id: player.id(), code: 'P0506', status: 'stored', when: 'before', note: '' });
  await player.do('read-codes-out', { when: 'before' });
  await player.do('take-measurement', { id: player.id(), kind: 'idle-rpm', when: 'before', value: 610 });
  await player.do('take-measurement', { id: player.id(), kind: 'closed-volts', when: 'before', value: 0.98 });
  await player.record(recordEngine(VAN, { depositMm2: 3.2, mostIdleMm2: 5.8 }, 11), 'before');
  await checkDone(player, 'duct-off-look', 'ring', 8);
  await checkDone(player, 'light-gap', 'blocked', 5);
  await decide(player, { choice: 'clean-bench', reason: 'deposit only, plate true, motor quiet' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await player.do('pass-stage', { stage }, 0.2);
  await player.do('pin-procedure', { procedureId: 'electronic-small' });
  await prepareAll(player);
  await stripAll(player);
  await player.do('pass-stage', { stage: 'strip' }, 0.2);
  await inspectAndClean(player, ELECTRONIC_BODY, 3);
  await player.do('weigh-can', {
    id: player.id(),
    substance: 'throttle-cleaner',
    surface: 'bore and plate, by cloth',
    beforeText: '412 g',
    afterText: '396 g',
  });
  await player.do('decide-seal', {
    id: player.id(),
    name: 'Body seal ring',
    decision: 'renewed',
    partNumber: 'CW-14-0210',
    why: '',
  });
  await player.do('use-part', {
    id: player.id(),
    name: 'Body seal ring',
    partNumber: 'CW-14-0210',
    quantity: 1,
    priceMinor: 410,
  });
  for (const stage of ['inspect', 'clean', 'rebuild'] as const) await player.do('pass-stage', { stage }, 0.2);
  await refitUntil(player, null);
  for (const stage of ['refit', 'coolant'] as const) await player.do('pass-stage', { stage }, 0.2);
  await runThrough(player, 'timed-idle', 'took');
  await player.do('pass-stage', { stage: 'relearn' }, 0.2);
  await player.record(recordEngine(VAN, {}, 12), 'after');
  await prove(player, { idle: [610, 715], volts: [0.98, 0.74] });
  await player.do('hand-over', {
    watch: 'Oil mist in the duct: look at the breather at the next service.',
    nextDue: { value: 148_000, unit: 'km' },
    labourMinutes: 75,
    ratePerHourMinor: 5800,
    currency: 'cr',
  });
}

/** Farm utility: cable body and valve; closed, with coolant, two relearn attempts and everything recorded. */
export async function finishedFarm(player: Player): Promise<void> {
  await player.do('open-job', {
    vehicleId: 'farm',
    reading: { value: 203_118, unit: 'km' },
    readingReason: '',
    complaint: 'Hunts up and down at the gate, worse when cold.',
  });
  await player.do('read-code', { id: player.id(), code: 'P0505', status: 'stored', when: 'before', note: '' });
  await player.do('read-codes-out', { when: 'before' });
  await player.do('tell-history', { since: 'since harvest', doneBefore: 'plugs and leads last year' });
  await player.do('take-measurement', { id: player.id(), kind: 'idle-rpm', when: 'before', value: 915 });
  await player.do('take-measurement', { id: player.id(), kind: 'valve-duty', when: 'before', value: 22 });
  await player.record(recordEngine(FARM, { leakMm2: 4, valveStickPercent: 18 }, 21), 'before');
  await checkDone(player, 'leak-by-ear', 'none', 9);
  await checkDone(player, 'valve-moves', 'clicks', 6);
  await checkDone(player, 'idle-screw-ring', 'hard', 6);
  await decide(player, { choice: 'rebuild', reason: 'valve sticks, O-rings hard; body itself is good' });
  for (const stage of ['complaint', 'diagnose', 'decide'] as const) await player.do('pass-stage', { stage }, 0.2);
  await player.do('pin-procedure', { procedureId: 'cable-rotary' });
  await prepareAll(player);
  await stripAll(player);
  await player.do('record-coolant', { id: player.id(), kind: 'caught', amountText: '0.9 L', concentration: null });
  await player.do('pass-stage', { stage: 'strip' }, 0.2);
  await inspectAndClean(player, CABLE_BODY, 2);
  await inspectAndClean(player, ROTARY_VALVE, 4);
  await player.do('weigh-can', {
    id: player.id(),
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
    await player.do('decide-seal', { id: player.id(), name, decision: 'renewed', partNumber, why: 'hard' });
    await player.do('use-part', { id: player.id(), name, partNumber, quantity: 1, priceMinor });
  }
  for (const stage of ['inspect', 'clean', 'rebuild'] as const) await player.do('pass-stage', { stage }, 0.2);
  await refitUntil(player, null);
  await player.do('pass-stage', { stage: 'refit' }, 0.2);
  await player.do('acknowledge-caution', { caution: 'hot-coolant' });
  await player.do('record-coolant', { id: player.id(), kind: 'returned', amountText: '0.8 L', concentration: null });
  await player.do('record-coolant', { id: player.id(), kind: 'discarded', amountText: '0.1 L', concentration: null });
  await player.do('record-coolant', { id: player.id(), kind: 'added', amountText: '0.1 L', concentration: 0.5 });
  await runThrough(player, 'bleed', 'took');
  await player.wait(180).do('check-level', { when: 'cold', level: 'right' });
  await player.do('check-leaks', { when: 'cold', result: 'dry', where: '' });
  await player.do('set-recheck', { id: player.id(), what: 'Coolant level and hoses', days: 14, use: 500 });
  await player.do('take-waste', { id: player.id(), kind: 'rags', amount: 'four', where: 'closed metal bin' });
  await player.do('take-waste', { id: player.id(), kind: 'coolant', amount: '0.1 L', where: 'coolant drum' });
  await player.do('pass-stage', { stage: 'coolant' }, 0.2);
  await runThrough(player, 'timed-idle', 'did not take');
  await runThrough(player, 'drive', 'took');
  await player.do('pass-stage', { stage: 'relearn' }, 0.2);
  await player.record(recordEngine(FARM, {}, 22), 'after');
  await prove(player, { idle: [915, 850], volts: [0.5, 0.51], duty: [22, 33] });
  await player.do('hand-over', {
    watch: 'Idle after the next frost; the cable is near its end.',
    nextDue: { value: 233_000, unit: 'km' },
    labourMinutes: 190,
    ratePerHourMinor: 5800,
    currency: 'cr',
  });
}
