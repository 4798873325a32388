import { describe, expect, it } from 'vitest';
import { bringUp, type CommandBody, evolve, FACTS, isCurrent, type Job, type LoggedFact } from './index.ts';
import { play } from './testing/play.ts';
import { open, pin, SAMPLE_PROCEDURE } from './testing/samples.ts';
import { plainItem } from '../procedure/index.ts';

/** What each fact held by its earlier versions, oldest first, and what it holds now. */
const EARLIER: Readonly<
  Record<string, readonly { readonly held: object; readonly holds: object; readonly v?: number }[]>
> = {
  // At first a picture could not be marked with circles.
  'picture-marked': [
    {
      held: { pictureId: 'p', rotation: 90, marks: [{ kind: 'text', x: 0.1, y: 0.1, text: 'here' }], anchors: [] },
      holds: { rotation: 90, marks: [{ kind: 'text', text: 'here' }] },
    },
  ],
  // Which item is which unit was known by its name at first.
  'procedure-pinned': [{ held: { procedure: SAMPLE_PROCEDURE }, holds: { units: [{ itemId: 'body', unitId: 'u' }] } }],
  'procedure-moved': [{ held: { procedure: SAMPLE_PROCEDURE }, holds: { units: [{ itemId: 'body', unitId: 'u' }] } }],
  'item-added': [
    {
      held: { item: plainItem('typed', 'Idle valve', 'unit') },
      holds: { item: { name: 'Idle valve' }, unitIds: [] },
    },
  ],
  'item-removed': [
    {
      held: { itemId: 'cover', pocket: 'A1', label: '', countedOut: 3 },
      holds: { itemId: 'cover', pocket: 'A1', label: '', countedOut: 3, stayIn: 0, lengthsOut: [] },
    },
    {
      held: {
        itemId: 'cover',
        pocket: '',
        label: '',
        countedOut: 3,
        stayIn: 2,
        lengthsOut: [{ lengthMm: 20, count: 3 }],
      },
      holds: {
        itemId: 'cover',
        pocket: '',
        label: '',
        countedOut: 3,
        stayIn: 2,
        lengthsOut: [{ lengthMm: 20, count: 3 }],
      },
    },
  ],
  'item-put-back': [
    {
      held: { itemId: 'cover', renewed: false, fitted: '', countedBack: null, confirmed: false },
      holds: { itemId: 'cover', renewed: false, fitted: '', countedBack: null, confirmed: false, against: '' },
    },
  ],
  'bolt-tightened': [
    {
      held: {
        itemId: 'bolts',
        boltId: '1',
        pass: 1,
        method: 'wrench',
        final: true,
        torque: null,
        nm: null,
        wrench: '',
      },
      holds: { boltId: '1', angleDeg: null, adapter: null, reading: null },
    },
    {
      held: {
        itemId: 'bolts',
        boltId: '1',
        pass: 2,
        method: 'angle',
        final: true,
        torque: null,
        nm: null,
        wrench: '',
        angleDeg: 45,
        adapter: '40 mm adapter at 90° on a 250 mm lever',
      },
      holds: { angleDeg: 45, adapter: { lengthMm: 40, angleDeg: 90, leverMm: 250 }, reading: null },
    },
  ],
  'can-weighed': [
    {
      held: { id: 'w', substance: 'isopropyl', beforeG: 400, afterG: 388, grams: 12, surface: 'bore' },
      holds: { grams: 12, minutes: 0, surfaces: [], priceMinor: null, stockId: null, emptied: false, against: null },
    },
  ],
  'pass-done': [
    {
      held: { id: 'p', unit: 'throttle-body', kind: 'wipe' },
      holds: { kind: 'wipe', substance: null, how: null, minutes: null, onVehicle: false, against: null },
    },
  ],
  'timer-started': [
    { held: { id: 't', label: 'Soaks', minutes: 25, kind: 'soak' }, holds: { minutes: 25, itemId: null, unit: null } },
  ],
  'seal-decided': [
    {
      held: { id: 's', name: 'O-ring', decision: 'renewed', partNumber: '', why: '' },
      holds: { name: 'O-ring', rubber: null, lubricant: null, wayRound: '' },
    },
  ],
  'coolant-recorded': [
    {
      held: { id: 'c', kind: 'caught', quantity: { value: 0.7, unit: 'L' }, litres: 0.7, concentration: null },
      holds: { litres: 0.7, inhibitor: null, priceMinor: null, stockId: null, emptied: false },
    },
  ],
  'rung-tried': [
    {
      held: { screwId: 'z', rung: 'oil', outcome: 'not yet', note: '', timerId: '' },
      holds: { rung: 'oil', changed: null, because: '' },
    },
  ],
  'run-started': [
    {
      held: {
        id: 'r',
        recipe: {
          id: 'old',
          name: 'Old',
          purpose: 'relearn',
          source: null,
          steps: [
            {
              id: 'warm',
              kind: 'idle until',
              title: 'Warm',
              how: '',
              seconds: 30,
              conditions: [{ kind: 'reading', name: 'ect', low: 80, high: null, words: 'warm' }],
              pausedBy: ['fan-running'],
              endsBadly: { name: 'speed', below: null, above: 5, words: 'rolled', goTo: null },
            },
          ],
        },
      },
      holds: {
        recipe: {
          way: 'steps',
          version: 0,
          steps: [
            {
              conditions: [{ unit: '°C', low: 80 }],
              endsBadly: [{ unit: 'km/h', above: 5, goTo: 'failed' }],
              answers: [],
              again: null,
            },
          ],
        },
      },
    },
  ],
  'run-advanced': [
    {
      held: {
        runId: 'r',
        input: { kind: 'confirm' },
        reached: { at: 1, status: 'running', counted: 0, readings: [], flags: [], said: '' },
      },
      holds: { reached: { at: 1, rounds: [], leftOut: [], texts: [] } },
      v: 2,
    },
    {
      held: { runId: 'r', input: { kind: 'reading', name: 'ect', value: 84 } },
      holds: { reached: { at: 0, status: 'running', readings: [{ name: 'ect', value: 84 }], flags: [], said: '' } },
    },
  ],
};

const started: CommandBody = { type: 'start-run', data: { id: 'r', recipeId: 'drive' } };
const logged = (type: string, v: number, data: object, job: Job): LoggedFact => ({
  type,
  v,
  data,
  seq: job.version + 1,
  commandId: 'old',
  at: '2026-05-13T08:30:00.000Z',
  by: 'tomas',
});

describe('facts of earlier versions', () => {
  it('are all shown here', () => {
    const declared = [...FACTS.values()].flatMap(({ type, earlier = [] }) => (earlier.length > 0 ? [type] : []));
    expect(Object.keys(EARLIER).sort()).toEqual(declared.sort());
  });
  it.each(Object.entries(EARLIER).flatMap(([type, all]) => all.map((each) => [type, each] as const)))(
    '%s is brought up whole',
    (type, { held, holds, v = 1 }) => {
      const { job } = play([open, pin, started]);
      const now = bringUp(logged(type, v, held, job!), job);
      expect(now.v).toBe(FACTS.get(type)?.v);
      expect(isCurrent(now)).toBe(true);
      expect(now.data).toMatchObject(holds);
      expect(() => evolve(job, now)).not.toThrow();
    },
  );
  it('a run that was kept by its inputs stands where those had brought it', () => {
    const { job } = play([open, started]);
    const inputs = [
      { kind: 'reading', name: 'ect', value: 84 },
      { kind: 'flag', name: 'loads-off', on: true },
      { kind: 'confirm' },
    ];
    const byInputs = inputs.reduce<Job>(
      (state, input) => evolve(state, bringUp(logged('run-advanced', 1, { runId: 'r', input }, state), state)),
      job!,
    );
    const byState = play([
      open,
      started,
      ...inputs.map((input) => ({ type: 'advance-run', data: { runId: 'r', input } }) as CommandBody),
    ]).job!;
    const { asOf: _, counted: __, ...old } = byInputs.runs[0]!.run;
    const { asOf: ___, counted: ____, ...now } = byState.runs[0]!.run;
    expect(old).toEqual(now);
  });
  it('what is current is left as it is, and what is not declared is said', () => {
    const { log } = play([open]);
    expect(bringUp(log[0]!, null)).toEqual(log[0]);
    expect(() => bringUp({ ...log[0]!, type: 'plate-polished' }, null)).toThrow('plate-polished');
  });
});
