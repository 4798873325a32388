import { describe, expect, it } from 'vitest';
import { plainItem, type Procedure, type ProcedureItem } from '../procedure/index.ts';
import { isSpec, specFromText } from '../torque/index.ts';
import type { Vehicle } from '../vehicle/index.ts';
import {
  type Command,
  type CommandData,
  type CommandType,
  type Context,
  currentStage,
  decide,
  evolve,
  type Job,
  jobMayStart,
  jobPlan,
  jobTally,
  NO_CONTEXT,
  nextBolt,
  type RecordedEvent,
  replay,
  openPoints,
  stageGaps,
  stagesSkipped,
  unanswered,
  STAGES,
} from './index.ts';

const spec = specFromText('8–10 Nm', null);
const item = (id: string, more: Partial<ProcedureItem> = {}): ProcedureItem =>
  plainItem(id, `The ${id}`, 'other', more);
const procedure: Procedure = {
  id: 'p',
  version: 1,
  name: 'Small',
  family: 'test',
  source: null,
  items: [
    item('plug', { kind: 'connector' }),
    item('bolts', {
      kind: 'fasteners',
      fasteners: {
        count: 2,
        thread: 'M6',
        into: 'alloy',
        spec: isSpec(spec) ? spec : null,
        fractions: [0.5, 1],
        bolts: [
          { id: '1', x: 0, y: 0, label: '' },
          { id: '2', x: 60, y: 0, label: '' },
        ],
      },
    }),
    item('body', { kind: 'unit', unit: 'throttle-body', opens: ['inlet'] }),
    item('gasket', { kind: 'gasket', singleUse: true, partNumber: 'G-1' }),
  ],
  openings: [{ id: 'inlet', name: 'Inlet', plugWith: 'Cap' }],
  constraints: [
    { kind: 'before', id: 'c1', a: 'body', b: 'bolts', reason: 'the bolts hold the body' },
    { kind: 'before', id: 'c2', a: 'gasket', b: 'body', reason: 'it lies under' },
  ],
  needs: [{ id: 'n', kind: 'part', name: 'Gasket', partNumber: 'G-1', note: '', caution: null }],
  coolant: { capacityL: 6, glycol: 'ethylene', concentration: 0.5, bleedPoint: 'top' },
  relearn: ['timed-idle'],
};
const vehicle: Vehicle = {
  id: 'v',
  plate: 'AB 1',
  vin: '',
  make: 'Sule',
  model: '650',
  nickname: '',
  year: null,
  engine: 'twin',
  throttle: 'cable',
  idleValve: 'none',
  owner: '',
  meterUnit: 'km',
  lastReading: { value: 1000, unit: 'km' },
  figures: { idleRpm: null, valveDuty: null, closedVolts: null },
  units: [],
  notes: '',
};
const context: Context = {
  ...NO_CONTEXT,
  nextNumber: 7,
  vehicle,
  procedure,
  wrenches: [
    {
      id: 'w',
      name: 'Click',
      scale: { unit: 'N·m', low: 2, high: 20, step: 0.5 },
      deviationPercent: null,
      calibratedOn: null,
    },
  ],
};

/** A job at work: a clock, commands, and the log they leave. */
class Shop {
  job: Job | null = null;
  log: RecordedEvent[] = [];
  minutes = 0;
  count = 0;

  try<K extends CommandType>(type: K, data: CommandData[K], afterMinutes = 1): ReturnType<typeof decide> {
    this.minutes += afterMinutes;
    this.count += 1;
    const at = new Date(Date.UTC(2026, 4, 13, 8) + this.minutes * 60_000).toISOString();
    const decision = decide(
      this.job,
      { type, data, id: `c${this.count}`, at, by: 'tomas', seen: this.job?.version ?? 0 } as unknown as Command,
      context,
    );
    if (decision.ok) {
      for (const fact of decision.events) {
        const recorded = {
          ...fact,
          seq: this.log.length + 1,
          commandId: `c${this.count}`,
          at,
          by: 'tomas',
        } as RecordedEvent;
        this.log.push(recorded);
        this.job = evolve(this.job, recorded, 'j');
      }
    }
    return decision;
  }
  do<K extends CommandType>(type: K, data: CommandData[K], afterMinutes = 1): this {
    const decision = this.try(type, data, afterMinutes);
    if (!decision.ok) throw new Error(decision.message);
    return this;
  }
  get now(): Job {
    if (this.job === null) throw new Error('not open');
    return this.job;
  }
}
const opened = (): Shop =>
  new Shop().do('open-job', {
    vehicleId: 'v',
    reading: { value: 1200, unit: 'km' },
    readingReason: '',
    complaint: 'hunts',
  });
const off = (id: string): CommandData['remove-item'] => ({ itemId: id, pocket: '', label: '', countedOut: null });
const back = (id: string, more: Partial<CommandData['put-back-item']> = {}): CommandData['put-back-item'] => ({
  itemId: id,
  renewed: false,
  fitted: '',
  countedBack: null,
  confirmed: false,
  ...more,
});
const stripped = (): Shop => {
  const shop = opened().do('pin-procedure', { procedureId: 'p' });
  for (const id of ['plug', 'bolts', 'body']) shop.do('remove-item', off(id));
  return shop.do('plug-opening', { openingId: 'inlet', plugId: 'cap', what: 'Cap' }).do('remove-item', off('gasket'));
};
const refusal = (decision: ReturnType<typeof decide>): string =>
  decision.ok ? 'taken' : (decision.field ?? decision.code);
const bolt = (boltId: string, pass: number, torqueText: string): CommandData['tighten-bolt'] => ({
  itemId: 'bolts',
  boltId,
  pass,
  torqueText,
  method: 'wrench',
  wrenchId: 'w',
});

describe('opening', () => {
  it('keeps the vehicle as it was and numbers the job', () => {
    expect(opened().now).toMatchObject({
      number: 7,
      status: 'open',
      vehicle: { plate: 'AB 1' },
      reading: { value: 1200, unit: 'km' },
      version: 1,
    });
  });
  it.each([
    [{ value: 900, unit: 'km' } as const, '', 'reading'],
    [{ value: 900, unit: 'km' } as const, 'cluster', 'taken'],
    [{ value: 9, unit: 'h' } as const, '', 'reading'],
  ])('judges %o', (reading, readingReason, expected) => {
    expect(refusal(new Shop().try('open-job', { vehicleId: 'v', reading, readingReason, complaint: 'x' }))).toBe(
      expected,
    );
  });
  it('takes nothing before it is opened', () => {
    expect(refusal(new Shop().try('make-note', { id: 'n', stage: 'strip', text: 'x' }))).toBe('no-such-job');
  });
});

describe('strip', () => {
  it('exposes an opening, holds the engine, and counts the plug through it', () => {
    const shop = opened().do('pin-procedure', { procedureId: 'p' }).do('remove-item', off('body'));
    expect(jobTally(shop.now).openingsOpen.map(({ id }) => id)).toEqual(['inlet']);
    shop.do('plug-opening', { openingId: 'inlet', plugId: 'cap', what: 'Cap' });
    expect(jobTally(shop.now)).toMatchObject({ openingsOpen: [], openingsPlugged: [{ id: 'inlet', plug: 'Cap' }] });
    expect(jobTally(shop.now).itemsOff.map(({ id }) => id)).toEqual(['body']);
    expect(jobMayStart(shop.now).may).toBe(false);
  });
  it('refuses what cannot be', () => {
    const shop = stripped();
    expect(refusal(shop.try('remove-item', off('body')))).toBe('already-off');
    expect(refusal(shop.try('remove-item', off('nothing')))).toBe('no-such-item');
    expect(refusal(shop.try('plug-opening', { openingId: 'inlet', plugId: 'x', what: 'Cap' }))).toBe('not-open');
    expect(refusal(shop.try('pin-procedure', { procedureId: 'p' }))).toBe('already-stripping');
    expect(refusal(shop.try('add-item', { item: item('b2', { name: 'the BODY' }) }))).toBe('name');
    expect(refusal(shop.try('leave-off-item', { itemId: 'cap', reason: 'x' }))).toBe('plug-must-come-out');
  });
  it('refuses an order that circles and names the chain', () => {
    const decision = stripped().try('add-constraint', {
      constraint: { kind: 'before', id: 'x', a: 'bolts', b: 'gasket', reason: 'so I think' },
    });
    expect(decision).toMatchObject({ ok: false, code: 'goes-in-a-circle' });
    expect(decision.ok ? '' : decision.message).toContain('The gasket before The body (it lies under)');
  });
});

describe('refit', () => {
  it('plans the plug straight before the body', () => {
    const plan = jobPlan(stripped().now);
    expect(plan.ok && plan.steps.map(({ itemId }) => itemId)).toEqual(['gasket', 'cap', 'body', 'bolts', 'plug']);
  });
  it('will not bury a plug, nor go before what must come first', () => {
    const shop = stripped();
    expect(refusal(shop.try('put-back-item', back('body')))).toBe('plug-still-in');
    shop.do('unplug-opening', { openingId: 'inlet' });
    const waits = shop.try('put-back-item', back('body'));
    expect(waits).toMatchObject({ ok: false, code: 'must-wait', wouldHelp: 'The gasket first: it lies under.' });
    expect(refusal(shop.try('tighten-bolt', bolt('1', 1, '4 Nm')))).toBe('must-wait');
  });
  it('brings a group back by its last bolt, and lets the engine start when all is accounted for', () => {
    const shop = stripped()
      .do('put-back-item', back('gasket', { renewed: true }))
      .do('unplug-opening', { openingId: 'inlet' })
      .do('put-back-item', back('body'));
    const asked: string[] = [];
    for (let next = nextBolt(shop.now.items[1]!); next !== null; next = nextBolt(shop.now.items[1]!)) {
      asked.push(`${next.boltId}/${next.pass}`);
      shop.do('tighten-bolt', bolt(next.boltId, next.pass, next.pass === 1 ? '4.5 Nm' : '80 in-lb'));
    }
    expect(asked).toEqual(['1/1', '2/1', '1/2', '2/2']);
    expect(shop.now.items[1]?.state).toBe('refitted');
    shop.do('put-back-item', back('plug'));
    expect(jobMayStart(shop.now)).toMatchObject({ may: false, holds: [{ code: 'connector' }] });
    expect(jobMayStart(shop.do('confirm-connector', { itemId: 'plug' }).now)).toMatchObject({ may: true });
    expect(jobTally(shop.now)).toMatchObject({ boltsAtTorque: 2, boltsToTorque: 2, reusedSingleUse: [] });
  });
  it('keeps torque as entered with N·m beside it, and asks again for what is over', () => {
    const shop = stripped()
      .do('put-back-item', back('gasket', { renewed: true }))
      .do('unplug-opening', { openingId: 'inlet' })
      .do('put-back-item', back('body'));
    shop.do('tighten-bolt', bolt('1', 2, '110 in-lb'));
    const recorded = shop.now.items[1]?.bolts[0];
    expect(recorded).toMatchObject({ torque: { value: 110, unit: 'in·lb' }, wrench: 'Click', final: true });
    expect(recorded?.nm).toBeCloseTo(12.428, 3);
    expect(nextBolt(shop.now.items[1]!)).toEqual({ boltId: '2', pass: 1 });
    expect(refusal(shop.try('tighten-bolt', bolt('1', 2, '9 lb')))).toBe('torqueText');
    expect(refusal(shop.try('tighten-bolt', bolt('1', 3, '9 Nm')))).toBe('pass');
    expect(refusal(shop.try('tighten-bolt', bolt('9', 1, '9 Nm')))).toBe('no-such-bolt');
  });
  it('notices fewer fasteners back than out', () => {
    const shop = opened()
      .do('add-item', {
        item: item('cover', {
          kind: 'cover',
          fasteners: { count: 3, thread: 'M6', into: 'x', spec: null, fractions: [1], bolts: [] },
        }),
      })
      .do('remove-item', { ...off('cover'), countedOut: 3 });
    expect(refusal(shop.try('put-back-item', back('cover', { countedBack: 4 })))).toBe('countedBack');
    shop.do('put-back-item', back('cover', { countedBack: 2 }));
    expect(jobMayStart(shop.now)).toMatchObject({ may: false, holds: [{ code: 'count' }] });
  });
});

describe('bench, coolant and runs', () => {
  it('keeps weights and volumes as entered with SI beside them', () => {
    const shop = stripped().do('weigh-can', {
      id: 'w1',
      substance: 'throttle-cleaner',
      surface: 'bore',
      beforeText: '0.4 kg',
      afterText: '388 g',
    });
    expect(shop.now.cleaners[0]).toMatchObject({ beforeG: 400, afterG: 388, grams: 12 });
    shop.do('record-coolant', { id: 'k', kind: 'caught', amountText: '1 US qt', concentration: null });
    expect(shop.now.coolant[0]).toMatchObject({ quantity: { value: 1, unit: 'US qt' } });
    expect(shop.now.coolant[0]?.litres).toBeCloseTo(0.946353, 5);
  });
  it.each([
    ['caught', '7 L', null, 'amountText'],
    ['caught', '-1 L', null, 'amountText'],
    ['returned', '0.5 L', null, 'amountText'],
    ['added', '0.2 L', null, 'concentration'],
    ['added', '0.2 L', 1.4, 'concentration'],
    ['added', '0.2 L', 0.5, 'taken'],
    ['caught', 'some', null, 'amountText'],
  ] as const)('coolant %s %s at %s: %s', (kind, amountText, concentration, expected) => {
    expect(refusal(stripped().try('record-coolant', { id: 'k', kind, amountText, concentration }))).toBe(expected);
  });
  it('starts no run while the engine is held, and one at a time', () => {
    expect(refusal(stripped().try('start-run', { id: 'r', recipeId: 'timed-idle' }))).toBe('engine-held');
    const shop = opened().do('start-run', { id: 'r', recipeId: 'timed-idle' });
    expect(refusal(shop.try('start-run', { id: 'r2', recipeId: 'drive' }))).toBe('run-open');
    expect(refusal(shop.try('close-run', { runId: 'r', outcome: 'took', why: '' }))).toBe('why');
    expect(refusal(shop.try('close-run', { runId: 'r', outcome: 'did not take', why: '' }))).toBe('why');
    expect(
      shop.do('close-run', { runId: 'r', outcome: 'abandoned', why: 'battery flat' }).now.runs[0]?.closed?.outcome,
    ).toBe('abandoned');
  });
  it('counts hands-on and waiting from the entries’ own times', () => {
    const shop = opened()
      .do('make-note', { id: 'n', stage: 'clean', text: 'x' }, 10)
      .do('start-timer', { id: 't', label: 'Soaks', minutes: 25, kind: 'soak' }, 5)
      .do('end-timer', { id: 't', outcome: 'done' }, 60);
    expect(shop.now.time).toEqual({ handsOnS: 15 * 60, waitingS: 25 * 60 });
  });
});

describe('what a stage misses', () => {
  it('is said with where it is made good, and a stage left so is skipped until it is', () => {
    const shop = opened().do('pass-stage', { stage: 'decide' });
    expect(stagesSkipped(shop.now)).toEqual([
      { stage: 'decide', gaps: [{ words: 'nothing decided', at: { stage: 'decide' } }] },
    ]);
    const left = openPoints(shop.now).find(({ code }) => code === 'left-out');
    expect(left).toMatchObject({ words: 'nothing decided', mayStay: true, asks: false, at: { stage: 'decide' } });
    expect(unanswered(shop.now)).toEqual([]);
    shop.do('decide', { choice: 'relearn', reason: 'clean bore', departure: '', options: [] });
    expect(stagesSkipped(shop.now)).toEqual([]);
    expect(openPoints(shop.now).filter(({ code }) => code === 'left-out')).toEqual([]);
  });
  it('is led to by what refuses', () => {
    const refused = opened().try('hand-over', {
      watch: '',
      nextDue: null,
      labourMinutes: 30,
      ratePerHourMinor: 6000,
      currency: 'cr',
    });
    expect(refused).toMatchObject({ code: 'not-decided', at: { stage: 'decide' } });
    const held = stripped().try('record-proof', { check: 'leaks', result: 'good', note: '' });
    expect(held).toMatchObject({ code: 'engine-held', at: { stage: 'refit' } });
  });
});

describe('undo', () => {
  it('gives back the state before exactly, with the log longer', () => {
    const shop = stripped();
    const { undo: _, redo: _r, trail: _t, version, lastAt, time, last, people, ...beforeState } = shop.now;
    shop.do('unplug-opening', { openingId: 'inlet' });
    shop.do('undo', { expected: shop.now.undo!.commandId });
    const {
      undo: __,
      trail: __t,
      redo: __r,
      version: newVersion,
      lastAt: ___,
      time: ____,
      last: undone,
      people: seen,
      ...afterState
    } = shop.now;
    expect(afterState).toEqual(beforeState);
    expect(newVersion).toBe(version + 2);
    expect(undone?.words).toBe('Undone: Cap out');
    expect([lastAt, time, last]).toBeDefined();
    // When somebody was last at it is no state that an undo takes back.
    expect(Object.keys(seen)).toEqual(Object.keys(people));
  });
  it('takes back both events of one command', () => {
    const shop = stripped()
      .do('put-back-item', back('gasket', { renewed: true }))
      .do('unplug-opening', { openingId: 'inlet' })
      .do('put-back-item', back('body'))
      .do('tighten-bolt', bolt('1', 2, '9 Nm'))
      .do('tighten-bolt', bolt('2', 2, '9 Nm'));
    expect(shop.now.items[1]?.state).toBe('refitted');
    shop.do('undo', { expected: shop.now.undo!.commandId });
    expect(shop.now.items[1]).toMatchObject({ state: 'off', bolts: [{ boltId: '1' }] });
  });
  it('undoes only the last, never a caution, never the opening', () => {
    const shop = opened()
      .do('make-note', { id: 'n', stage: 'strip', text: 'a' })
      .do('acknowledge-caution', { caution: 'battery' });
    expect(refusal(shop.try('undo', { expected: 'c1' }))).toBe('not-the-last');
    shop.do('undo', { expected: shop.now.undo!.commandId });
    expect(shop.now).toMatchObject({ notes: [], cautions: ['battery'] });
    expect(refusal(shop.try('undo', { expected: 'c1' }))).toBe('nothing-to-undo');
  });
});

describe('handing over', () => {
  const ready = (): Shop =>
    opened().do('decide', { departure: '', options: [], choice: 'relearn', reason: 'battery was off' });
  const handOver: CommandData['hand-over'] = {
    watch: '',
    nextDue: null,
    labourMinutes: 30,
    ratePerHourMinor: 6000,
    currency: 'cr',
  };
  it('closes the job, which then changes only by being opened again with a reason', () => {
    const shop = ready().do('hand-over', handOver);
    expect(shop.now.status).toBe('closed');
    expect(refusal(shop.try('note-symptom', { id: 's', text: 'x' }))).toBe('job-closed');
    expect(refusal(shop.try('undo', { expected: 'c2' }))).toBe('job-closed');
    expect(refusal(shop.try('reopen-job', { reason: ' ' }))).toBe('reason');
    expect(shop.do('reopen-job', { reason: 'came back hunting' }).now).toMatchObject({
      status: 'open',
      reopened: [{ reason: 'came back hunting' }],
    });
    expect(refusal(shop.try('reopen-job', { reason: 'x' }))).toBe('not-closed');
  });
  it.each([
    [{ nextDue: { value: 1100, unit: 'km' } as const }, 'nextDue'],
    [{ nextDue: { value: 50, unit: 'h' } as const }, 'nextDue'],
    [{ labourMinutes: -1 }, 'labourMinutes'],
    [{}, 'taken'],
  ])('judges %o', (change, expected) => {
    expect(refusal(ready().try('hand-over', { ...handOver, ...change }))).toBe(expected);
  });
  it('is refused while anything is off or nothing was decided', () => {
    expect(
      refusal(
        stripped()
          .do('decide', { departure: '', options: [], choice: 'relearn', reason: 'x' })
          .try('hand-over', handOver),
      ),
    ).toBe('engine-held');
    expect(refusal(opened().try('hand-over', handOver))).toBe('not-decided');
  });
});

describe('the log', () => {
  it('replays to the same job', () => {
    const shop = stripped();
    expect(replay('j', shop.log)).toEqual(shop.now);
  });
  it('refuses a log that does not begin with the opening', () => {
    expect(() => replay('j', stripped().log.slice(1))).toThrow('Expected job-opened first');
  });
  it('stands at the first stage not passed and names what is missing', () => {
    const shop = opened();
    expect(currentStage(shop.now)).toBe('complaint');
    expect(currentStage(shop.do('pass-stage', { stage: 'complaint' }).now)).toBe('diagnose');
    for (const stage of STAGES) expect(Array.isArray(stageGaps(shop.now, stage))).toBe(true);
    expect(stageGaps(shop.now, 'decide')).toEqual([{ words: 'nothing decided', at: { stage: 'decide' } }]);
  });
});
