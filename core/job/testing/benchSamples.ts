import type { BenchCommandData } from '../benchEvents.ts';
import type { CommandBody } from '../commands.ts';
import { open, pin, type Sample } from './world.ts';

const seized = {
  id: 'z',
  unit: 'idle-valve',
  where: 'Valve screw, lower',
  thread: 'M5×14',
  host: 'aluminium',
  headWhole: true,
  nearDelicate: false,
  partNumber: 'NP-05-0514',
} as const;
const noted: CommandBody = { type: 'note-seized', data: seized };
const picture: CommandBody = {
  type: 'attach-picture',
  data: { id: 'pic', hash: 'a'.repeat(64), subject: 'throttle-body', when: 'before', caption: '' },
};
const apart: CommandBody = {
  type: 'set-apart',
  data: { id: 'inj', unit: 'throttle-body', what: 'Injector', place: 'cylinder 2' },
};

/** Samples of the commands of the bench; see `SAMPLES`. */
export const BENCH_SAMPLES: { readonly [K in keyof BenchCommandData]: Sample<K> } = {
  'judge-point': {
    after: [open],
    data: {
      id: 'f',
      unit: 'throttle-body',
      kind: 'throttle-body',
      form: 'cable',
      point: 'body-flat',
      when: 'before',
      which: '',
      marks: [],
      outcome: '',
      typed: ['0.3'],
      note: 'both ways',
    },
    events: ['point-judged', 'check-recorded'],
    shows: (job) => [job.findings[0]?.judged?.verdict, job.checks.map(({ outcome }) => outcome)],
    as: ['bad', ['warped']],
  },
  'mark-picture': {
    after: [open, picture],
    data: {
      pictureId: 'pic',
      rotation: 90,
      marks: [
        { kind: 'arrow', x: 0.1, y: 0.2, toX: 0.5, toY: 0.5 },
        { kind: 'text', x: 0.1, y: 0.1, text: 'ring' },
      ],
      anchors: [
        { x: 0.2, y: 0.2 },
        { x: 0.8, y: 0.8 },
      ],
    },
    events: ['picture-marked'],
    shows: (job) => job.pictures[0]?.marking?.marks.length,
    as: 2,
  },
  'note-seized': {
    after: [open],
    data: seized,
    events: ['screw-seized'],
    shows: (job) => job.seized.map(({ where }) => where),
    as: ['Valve screw, lower'],
  },
  'try-rung': {
    after: [open, noted],
    data: { screwId: 'z', rung: 'oil', outcome: 'waiting', note: '', timerId: 't' },
    events: ['rung-tried', 'timer-started'],
    shows: (job) => [job.seized[0]?.tried.length, job.timers[0]?.kind],
    as: [1, 'oil'],
  },
  'give-up-screw': {
    after: [open, noted],
    data: { screwId: 'z', why: 'a new valve is cheaper' },
    events: ['screw-given-up'],
    shows: (job) => job.seized[0]?.ended?.outcome,
    as: 'given up',
  },
  'take-waste': {
    after: [open],
    data: { id: 'w', kind: 'rags', amount: 'two', where: 'metal bin' },
    events: ['waste-taken'],
    shows: (job) => job.waste.map(({ kind }) => kind),
    as: ['rags'],
  },
  'set-apart': {
    after: [open],
    data: { id: 'inj', unit: 'throttle-body', what: 'Injector', place: 'cylinder 2' },
    events: ['piece-set-apart'],
    shows: (job) => job.pieces.map(({ place }) => place),
    as: ['cylinder 2'],
  },
  'return-piece': {
    after: [open, apart],
    data: { id: 'inj', place: 'cylinder 2', renewed: false },
    events: ['piece-returned'],
    shows: (job) => job.pieces[0]?.returned?.renewed,
    as: false,
  },
  'sweep-sensor': {
    after: [open],
    data: { id: 's', unit: 'throttle-body', when: 'after', typed: ['0.5', '1.5', '2.5', '3.5', '4.5'] },
    events: ['sensor-swept'],
    shows: (job) => job.sweeps.map(({ good }) => good),
    as: [true],
  },
  'turn-screw': {
    after: [open],
    data: { id: 't', unit: 'throttle-body', screw: 'idle', turnsText: '1.5', why: 'to free it' },
    events: ['screw-turned'],
    shows: (job) => job.turned.map(({ turns }) => turns),
    as: [1.5],
  },
  'replace-unit': {
    after: [open],
    data: {
      id: 'r',
      unit: 'throttle-body',
      kind: 'throttle-body',
      place: 'only',
      oldUnitId: 'u',
      oldPartNumber: 'S-1',
      fitted: {
        unitId: 'u2',
        partNumber: 'S-1',
        features: { portMm: 42, gasket: 'oval', pins: 3, drive: 'cable', mark: 'A' },
        origin: 'used',
        priceMinor: 20_000,
        supplier: 'breaker',
        warrantyMonths: 3,
      },
      failCode: 'F-10',
      failNote: '0.3 mm',
      anyway: '',
    },
    events: ['unit-replaced', 'part-used'],
    shows: (job) => [job.replaced.map(({ verdict }) => verdict), job.parts.map(({ name }) => name)],
    as: [['fits'], ['Used unit']],
  },
  'test-coolant': {
    after: [open, pin],
    data: { id: 'c', when: 'before', tool: 'refractometer', scale: 'ethylene', typed: '−37 °C' },
    events: ['coolant-tested'],
    shows: (job) => job.coolantTests.map(({ celsius, share }) => [celsius, Math.round(share * 100)]),
    as: [[-37, 49]],
  },
  'check-leaks': {
    after: [open],
    data: { when: 'hot', result: 'leaks', where: 'lower hose' },
    events: ['leak-checked'],
    shows: (job) => job.leakChecks.map(({ where }) => where),
    as: ['lower hose'],
  },
  'set-recheck': {
    after: [open],
    data: { id: 'k', what: 'Coolant level', days: 14, use: 500 },
    events: ['recheck-set'],
    shows: (job) => job.rechecks.map(({ days }) => days),
    as: [14],
  },
};
