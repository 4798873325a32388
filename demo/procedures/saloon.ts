import type { Need, Procedure, ProcedureItem, ProcedureOpening } from '../../core/procedure/index.ts';
import type { Constraint } from '../../core/refit/index.ts';
import { batteryNeed, before, DEMO_SOURCE, group, item, loose, need, pair, row, square } from './parts.ts';

const ALLOY = { hole: { material: 'die-cast-aluminium', engagementMm: 12 }, grade: '8.8' } as const;

/** What one bank adds. Left and right look alike: everything that can be swapped is tagged. */
interface Bank {
  /** Comes off before the plenum. */
  readonly outer: readonly ProcedureItem[];
  /** Reached once the plenum is off. */
  readonly inner: readonly ProcedureItem[];
  readonly openings: readonly ProcedureOpening[];
  readonly constraints: readonly Constraint[];
}

function airSide(s: 'l' | 'r', side: string): ProcedureItem[] {
  const section = `${side === 'left' ? 'Left' : 'Right'} bank, air side`;
  return [
    item(`duct-${s}`, `Air duct, ${side}`, 'duct', {
      section,
      tool: '7 mm nut driver',
      alike: 'air duct',
      tag: side,
      note: 'Look inside for oil.',
    }),
    item(`duct-clamp-${s}`, `Duct clamp at the body, ${side}`, 'clamp', { section, tool: '7 mm nut driver' }),
    item(`maf-plug-${s}`, `Air-mass sensor plug, ${side}`, 'connector', { section, alike: 'air-mass plug', tag: side }),
    item(`breather-${s}`, `Breather hose, ${side}`, 'hose', { section, note: 'Brittle: twist, do not pull.' }),
    item(`vac-a-${s}`, `Vacuum hose A, ${side}`, 'hose', { section, note: 'Front post.' }),
    item(`vac-b-${s}`, `Vacuum hose B, ${side}`, 'hose', { section, note: 'Rear post.' }),
    item(`vac-c-${s}`, `Vacuum hose C, ${side}`, 'hose', { section, note: 'To the purge rail.' }),
    item(`loom-${s}`, `Loom clip, ${side}`, 'clamp', { section }),
  ];
}

function wiring(s: 'l' | 'r', side: string): ProcedureItem[] {
  const section = `${side === 'left' ? 'Left' : 'Right'} bank, plugs`;
  const cylinders = s === 'l' ? [1, 2, 3, 4] : [5, 6, 7, 8];
  return [
    item(`cover-${s}`, `Coil cover, ${side}`, 'cover', {
      section,
      tool: 'T30',
      alike: 'coil cover',
      tag: side,
      fasteners: loose(4, 'M6×18', 'rubber mounts'),
    }),
    ...cylinders.map((cylinder) =>
      item(`coil-plug-${cylinder}`, `Coil plug, cylinder ${cylinder}`, 'connector', {
        section,
        alike: 'coil plug',
        tag: `cylinder ${cylinder}`,
      }),
    ),
    ...cylinders.map((cylinder) =>
      item(`injector-plug-${cylinder}`, `Injector plug, cylinder ${cylinder}`, 'connector', {
        section,
        alike: 'injector plug',
        tag: `cylinder ${cylinder}`,
        note: 'Slide the lock first.',
      }),
    ),
    item(`tps-plug-${s}`, `Position sensor plug, ${side}`, 'connector', {
      section,
      alike: 'position sensor plug',
      tag: side,
    }),
    item(`ta-plug-${s}`, `Throttle actuator plug, ${side}`, 'connector', {
      section,
      alike: 'actuator plug',
      tag: side,
      cautions: ['plate'],
    }),
    item(`ia-plug-${s}`, `Idle actuator plug, ${side}`, 'connector', { section, alike: 'idle plug', tag: side }),
  ];
}

function unitSide(s: 'l' | 'r', side: string): ProcedureItem[] {
  const section = `${side === 'left' ? 'Left' : 'Right'} bank, units`;
  return [
    item(`cool-in-${s}`, `Coolant hose in, ${side}`, 'coolant-hose', {
      section,
      tool: 'hose pliers',
      opens: [`pipe-in-${s}`],
      cautions: ['hot-coolant'],
      alike: 'coolant hose in',
      tag: side,
    }),
    item(`cool-out-${s}`, `Coolant hose out, ${side}`, 'coolant-hose', {
      section,
      tool: 'hose pliers',
      opens: [`pipe-out-${s}`],
      alike: 'coolant hose out',
      tag: side,
    }),
    item(`brace-${s}`, `Body brace, ${side}`, 'bracket', {
      section,
      tool: '12 mm, long extension',
      fasteners: group('M8×20', 'alloy', '18–22 Nm', pair(46, 20), [1], {
        hole: { material: 'die-cast-aluminium', engagementMm: 16 },
        grade: '8.8',
      }),
    }),
    item(`flange-${s}`, `Flange bolts, four, ${side}`, 'fasteners', {
      section,
      tool: '5 mm hex',
      note: 'The short one is lower left.',
      cautions: ['alloy'],
      fasteners: group('M6×1.0×35', 'alloy', '9 Nm', square(72, 35, 28), [0.5, 1], {
        ...ALLOY,
        staysIn: 2,
        retorqueAfterMin: 180,
      }),
    }),
    item(`body-${s}`, `Throttle body, ${side}`, 'unit', {
      section,
      unit: 'throttle-body',
      unitPlace: `${side} bank`,
      opens: [`inlet-${s}`],
      alike: 'throttle body',
      tag: side,
      cautions: ['plate'],
      note: 'Plug the inlet at once.',
    }),
    item(`gasket-${s}`, `Body gasket, ${side}`, 'gasket', { section, singleUse: true, partNumber: 'VR-48-0330' }),
    item(`ta-screws-${s}`, `Actuator screws, three, ${side}`, 'fasteners', {
      section,
      tool: 'T25',
      fasteners: group(
        'M5×16',
        'alloy',
        '45 in·lb',
        [
          ['1', 0, 0, 'upper', 16],
          ['2', 34, 20, 'right', 16],
          ['3', 0, 40, 'lower', 16],
        ],
        [1],
        { hole: { material: 'die-cast-aluminium', engagementMm: 9 } },
      ),
    }),
    item(`ta-${s}`, `Throttle actuator, ${side}`, 'other', {
      section,
      alike: 'throttle actuator',
      tag: side,
      swapFrom: `body-${s}`,
      restore: ['way-round'],
      note: 'Plastic gears inside: look for missing teeth.',
    }),
    item(`arm-${s}`, `Actuator arm, ${side}`, 'other', { section, swapFrom: `body-${s}`, restore: ['witness-mark'] }),
    item(`ia-screws-${s}`, `Idle actuator screws, two, ${side}`, 'fasteners', {
      section,
      tool: 'cross-point bit, Japanese pattern',
      note: 'A Phillips driver strips these.',
      fasteners: group('M5×14', 'brass inserts', '3.5 Nm', pair(38, 14), [1], {
        hole: { material: 'brass-insert', engagementMm: 8 },
      }),
    }),
    item(`ia-${s}`, `Idle actuator, ${side}`, 'unit', {
      section,
      unit: 'idle-valve',
      unitPlace: `${side} bank`,
      opens: [`idle-port-${s}`],
      alike: 'idle actuator',
      tag: side,
    }),
    item(`ia-ring-${s}`, `Idle actuator O-ring, ${side}`, 'gasket', {
      section,
      singleUse: true,
      partNumber: 'VR-48-0341',
    }),
    item(`tps-screws-${s}`, `Sensor screws, two, ${side}`, 'fasteners', {
      section,
      tool: 'T20',
      fasteners: group('M4×12', 'brass inserts', '1.8 Nm', pair(30, 12), [1], {
        hole: { material: 'brass-insert', engagementMm: 6 },
      }),
    }),
    item(`tps-${s}`, `Position sensor, ${side}`, 'other', { section, restore: ['witness-mark'] }),
  ];
}

/** Injectors go back to their own cylinder. */
function fuelSide(s: 'l' | 'r', side: string): ProcedureItem[] {
  const section = `${side === 'left' ? 'Left' : 'Right'} bank, fuel`;
  const cylinders = s === 'l' ? [1, 2, 3, 4] : [5, 6, 7, 8];
  return [
    item(`rail-bolts-${s}`, `Fuel rail bolts, two, ${side}`, 'fasteners', {
      section,
      tool: '5 mm hex',
      fasteners: group('M6×1.0×25', 'alloy', '8 Nm', pair(210, 25), [1], ALLOY),
    }),
    item(`rail-${s}`, `Fuel rail, ${side}`, 'other', { section, alike: 'fuel rail', tag: side, cautions: ['fuel'] }),
    ...cylinders.map((cylinder) =>
      item(`injector-${cylinder}`, `Injector, cylinder ${cylinder}`, 'other', {
        section,
        alike: 'injector',
        tag: `cylinder ${cylinder}`,
      }),
    ),
    ...cylinders.map((cylinder) =>
      item(`injector-ring-${cylinder}`, `Injector O-ring, cylinder ${cylinder}`, 'gasket', {
        section,
        singleUse: true,
        partNumber: 'VR-48-0350',
      }),
    ),
  ];
}

function bank(s: 'l' | 'r', side: string): Bank {
  const cylinders = s === 'l' ? [1, 2, 3, 4] : [5, 6, 7, 8];
  const own = (id: string): string => `${id}-${s}`;
  return {
    outer: [...airSide(s, side), ...wiring(s, side)],
    inner: [...fuelSide(s, side), ...unitSide(s, side)],
    openings: [
      { id: own('inlet'), name: `Manifold inlet, ${side}`, plugWith: 'Inlet cap, 70 mm' },
      { id: own('idle-port'), name: `Idle port, ${side}`, plugWith: 'Clean cloth' },
      { id: own('pipe-in'), name: `Coolant pipe in, ${side}`, plugWith: 'Bung, 10 mm' },
      { id: own('pipe-out'), name: `Coolant pipe out, ${side}`, plugWith: 'Bung, 10 mm' },
    ],
    constraints: [
      before(own('gasket'), own('body'), 'the gasket lies under the body'),
      before(own('body'), own('flange'), 'the bolts hold the body'),
      before(own('flange'), own('brace'), 'the body must sit flat before it is braced'),
      before(own('flange'), own('cool-in'), 'a hose pulls a loose body crooked'),
      before(own('flange'), own('cool-out'), 'a hose pulls a loose body crooked'),
      before(own('cool-out'), own('brace'), 'the brace closes the way to the clamp'),
      before(own('ia-ring'), own('ia'), 'the ring sits in the groove'),
      before(own('ia'), own('ia-screws'), 'the screws hold it'),
      before(own('ia-screws'), own('body'), 'the screws face the valley'),
      before(own('tps'), own('tps-screws'), 'the screws hold the sensor'),
      before(own('tps-screws'), own('body'), 'set on the bench, where the meter reaches'),
      before(own('ta'), own('ta-screws'), 'the screws hold it'),
      before(own('arm'), own('ta'), 'the arm goes through the actuator'),
      before(own('ta-screws'), own('body'), 'the lower screw is under the body'),
      before(own('body'), own('ta-plug'), 'the plug is on the body'),
      before(own('body'), own('tps-plug'), 'the plug is on the body'),
      before(own('ia-plug'), own('duct'), 'the duct closes the way to the lock'),
      before(own('body'), own('vac-a'), 'the post is on the body'),
      before(own('body'), own('vac-b'), 'the post is on the body'),
      before(own('vac-b'), own('brace'), 'the hose runs under the brace'),
      before(own('flange'), own('duct-clamp'), 'the duct pushes a loose body'),
      before(own('duct'), own('duct-clamp'), 'the clamp is round the duct'),
      before(own('loom'), own('cover'), 'the clip is under the cover'),
      ...cylinders.map((cylinder) => before(`coil-plug-${cylinder}`, own('cover'), 'the plug is under the cover')),
      ...cylinders.flatMap((cylinder) => [
        before(`injector-ring-${cylinder}`, `injector-${cylinder}`, 'the ring sits on the injector'),
        before(`injector-${cylinder}`, own('rail'), 'the rail holds the injectors'),
        before(own('rail-bolts'), `injector-plug-${cylinder}`, 'an injector turns until the rail is tight'),
      ]),
      before(own('rail'), own('rail-bolts'), 'the bolts hold it'),
      before(own('rail-bolts'), 'plenum', 'the plenum hangs over the rail'),
      ...cylinders.map((cylinder) =>
        before(`injector-plug-${cylinder}`, 'plenum', 'the plenum hangs over the injector'),
      ),
      before(own('body'), 'crossover', 'the crossover lies over both bodies'),
      { kind: 'after-bench', id: own('bench'), item: own('body'), unit: own('body'), reason: 'cleaned and dry first' },
      { kind: 'after-bench', id: own('bench-ia'), item: own('ia'), unit: own('ia'), reason: 'freed and dry first' },
      { kind: 'needs', id: own('needs-gasket'), item: own('gasket'), part: 'VR-48-0330', reason: 'a new one' },
      { kind: 'needs', id: own('needs-ring'), item: own('ia-ring'), part: 'VR-48-0341', reason: 'a new one' },
    ],
  };
}

/** Comes off first, goes back last. */
const onTop: ProcedureItem[] = [
  item('wipers', 'Wiper arms, two', 'other', {
    section: 'On top',
    tool: '15 mm',
    restore: ['witness-mark'],
    note: 'Tape the rest position on the glass.',
  }),
  item('scuttle-clips', 'Scuttle clips, eight', 'clamp', { section: 'On top' }),
  item('scuttle', 'Scuttle panel', 'cover', { section: 'On top' }),
  item('strut', 'Strut brace', 'bracket', {
    section: 'On top',
    tool: '15 mm',
    fasteners: group('M10×30', 'steel', '45 Nm', square(180, 30), [0.5, 1], {
      hole: { material: 'steel', engagementMm: 10 },
    }),
  }),
  item('engine-cover', 'Engine cover', 'cover', { section: 'On top', fasteners: loose(4, 'ball studs', 'rubber') }),
  item('airbox', 'Air box', 'cover', { section: 'On top', tool: '10 mm', fasteners: loose(3, 'M6×20', 'steel clips') }),
  item('crossover', 'Air crossover', 'duct', { section: 'On top', tool: '7 mm nut driver', note: 'Heavy: two hands.' }),
  item('crossover-clamps', 'Crossover clamps, two', 'clamp', { section: 'On top', tool: '7 mm nut driver' }),
];

/** The plenum and what hangs on it: off before rails and bodies can be reached. */
const middle: ProcedureItem[] = [
  item('alternator-duct', 'Alternator air duct', 'duct', { section: 'Plenum' }),
  item('shield-screws', 'Heat shield screws, three', 'fasteners', {
    section: 'Plenum',
    tool: '8 mm',
    fasteners: loose(3, 'M5×12', 'clip nuts'),
  }),
  item('shield', 'Heat shield', 'cover', { section: 'Plenum' }),
  item('purge-plug', 'Purge valve plug', 'connector', { section: 'Plenum' }),
  item('purge', 'Purge valve', 'other', { section: 'Plenum' }),
  item('heater-hose', 'Heater hose at the plenum', 'coolant-hose', {
    section: 'Plenum',
    tool: 'hose pliers',
    opens: ['heater-pipe'],
    cautions: ['hot-coolant'],
  }),
  item('filler', 'Oil filler neck', 'other', { section: 'Plenum', opens: ['filler-hole'] }),
  item('dipstick', 'Dipstick tube bracket', 'bracket', {
    section: 'Plenum',
    tool: '10 mm',
    fasteners: loose(1, 'M6×16', 'steel'),
  }),
  item('support', 'Plenum support, rear', 'bracket', {
    section: 'Plenum',
    tool: '12 mm, long extension',
    fasteners: group('M8×20', 'steel', '20 Nm', pair(40, 20), [1], {
      hole: { material: 'steel', engagementMm: 8 },
    }),
  }),
  item('fuel-feed', 'Fuel feed', 'hose', {
    section: 'Plenum',
    tool: 'release tool, 3/8',
    opens: ['fuel-rail'],
    cautions: ['fuel'],
    note: 'Pressure off first, cloth round it.',
  }),
  item('map-plug', 'Manifold pressure plug', 'connector', { section: 'Plenum' }),
  item('brake-vac', 'Brake servo hose', 'hose', { section: 'Plenum', note: 'Check valve points to the servo.' }),
  item('pcv', 'Crankcase vent valve', 'other', { section: 'Plenum', note: 'Does it rattle?' }),
  item('plenum-bolts', 'Plenum bolts, seven', 'fasteners', {
    section: 'Plenum',
    tool: '10 mm, long extension',
    cautions: ['alloy'],
    fasteners: group('M6×1.0×90', 'alloy', '10 Nm', row(7, 62, 90), [0.5, 1], {
      hole: { material: 'die-cast-aluminium', engagementMm: 14 },
      grade: '8.8',
    }),
  }),
  item('plenum', 'Plenum', 'cover', {
    section: 'Plenum',
    opens: ['valley'],
    note: 'Long bung under it: free the bung first on the way back.',
  }),
  item('valley', 'Vacuum the valley', 'other', {
    section: 'Plenum',
    backBefore: 'plenum',
    note: 'what lies there falls into the ports',
  }),
  item('plenum-seal', 'Plenum seal', 'gasket', { section: 'Plenum', singleUse: true, partNumber: 'VR-48-0302' }),
];

const [left, right] = [bank('l', 'left'), bank('r', 'right')];

const needs: Need[] = [
  need('n-gaskets', 'part', 'Body gaskets, two', { partNumber: 'VR-48-0330', leadDays: 4 }),
  need('n-rings', 'part', 'Idle actuator O-rings, two', { partNumber: 'VR-48-0341', leadDays: 4 }),
  need('n-inj-rings', 'part', 'Injector O-rings, eight', { partNumber: 'VR-48-0350', leadDays: 4 }),
  need('n-plenum-seal', 'part', 'Plenum seal', { partNumber: 'VR-48-0302', leadDays: 6 }),
  need('n-cleaner', 'consumable', 'Throttle cleaner, sensor-safe', {
    partNumber: 'TQ-CL-500',
    caution: 'vapour',
    leadDays: 2,
  }),
  need('n-wrench', 'tool', 'Low-range torque wrench', { note: '2 to 20 N·m' }),
  need('n-bit', 'tool', 'Cross-point bit, Japanese pattern', { note: 'a Phillips strips these' }),
  need('n-fuel-tool', 'tool', 'Fuel release tool, 3/8'),
  need('n-long', 'tool', 'Extension, 400 mm'),
  need('n-radio', 'do-first', 'Radio code noted', { atEnd: { words: 'Radio code entered', beforeStart: false } }),
  batteryNeed(),
  need('n-fuel', 'do-first', 'Fuel pressure released', {
    caution: 'fuel',
    atEnd: { words: 'Fuel pump fuse back in', beforeStart: true },
  }),
  need('n-cool', 'do-first', 'Engine cool enough to touch', { caution: 'hot-coolant' }),
  need('n-tray', 'do-first', 'Catch tray in place, clean', {
    atEnd: { words: 'Catch tray out from under it', beforeStart: true },
  }),
];

/** Hotel saloon: two throttle and two idle actuators, left and right alike. */
export const saloonProcedure: Procedure = {
  id: 'multi-bank-v8',
  version: 1,
  name: 'Both banks off, clean and rebuild',
  family: 'Vantaro 4.8 V8',
  familyId: 'vantaro-46',
  work: 'rebuild',
  source: DEMO_SOURCE,
  items: [...onTop, ...left.outer, ...right.outer, ...middle, ...left.inner, ...right.inner],
  openings: [
    ...left.openings,
    ...right.openings,
    { id: 'fuel-rail', name: 'Fuel rail port', plugWith: 'Fuel cap, 3/8' },
    { id: 'heater-pipe', name: 'Heater pipe', plugWith: 'Bung, 16 mm' },
    { id: 'filler-hole', name: 'Oil filler hole', plugWith: 'Filler cap' },
    { id: 'valley', name: 'Valley ports', plugWith: 'Foam strip' },
  ],
  constraints: [
    ...left.constraints,
    ...right.constraints,
    before('plenum-seal', 'plenum', 'the seal sits in the plenum’s groove'),
    before('plenum', 'plenum-bolts', 'the bolts hold it'),
    before('plenum-bolts', 'fuel-feed', 'the feed runs over the plenum'),
    before('plenum', 'brake-vac', 'the post is on the plenum'),
    before('support', 'plenum-bolts', 'the support pulls the plenum down first'),
    before('plenum-bolts', 'heater-hose', 'the hose pulls a loose plenum'),
    before('plenum', 'filler', 'the neck goes through the plenum'),
    before('plenum-bolts', 'dipstick', 'the bracket sits on a plenum bolt'),
    before('purge', 'purge-plug', 'the plug is on the valve'),
    before('shield', 'shield-screws', 'the screws hold it'),
    before('dipstick', 'shield', 'the bracket is behind the shield'),
    before('scuttle', 'scuttle-clips', 'the clips hold the panel'),
    before('scuttle-clips', 'wipers', 'the arms go through the panel'),
    before('strut', 'scuttle', 'the panel covers the brace’s ends'),
    before('plenum', 'map-plug', 'the sensor is on the plenum'),
    before('pcv', 'crossover', 'the valve is under the crossover'),
    before('cover-l', 'strut', 'the brace hangs over the cover'),
    before('cover-r', 'strut', 'the brace hangs over the cover'),
    before('crossover', 'crossover-clamps', 'the clamps are round it'),
    before('crossover-clamps', 'airbox', 'the box closes the way to the screws'),
    before('airbox', 'engine-cover', 'the cover snaps onto the box'),
    { kind: 'needs', id: 'needs-plenum-seal', item: 'plenum-seal', part: 'VR-48-0302', reason: 'a new one' },
  ],
  needs,
  coolant: { capacityL: 11.2, glycol: 'ethylene', concentration: 0.5, bleedPoint: 'screw at the header, right' },
  relearn: ['timed-idle', 'drive'],
};
