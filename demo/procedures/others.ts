import type { Procedure } from '../../core/procedure/index.ts';
import { batteryNeed, before, DEMO_SOURCE, group, item, loose, need, pair, square } from './parts.ts';

/** School minibus: diesel flap with heavy coke. */
export const minibusProcedure: Procedure = {
  id: 'diesel-flap',
  version: 1,
  name: 'Intake flap off, descale and back',
  family: 'Vantaro 3.0 V6 diesel',
  familyId: 'vantaro-30d',
  work: 'clean',
  source: DEMO_SOURCE,
  items: [
    item('cover', 'Engine cover', 'cover', { fasteners: loose(4, 'ball studs', 'rubber') }),
    item('charge-pipe', 'Charge pipe', 'duct', {
      tool: '7 mm nut driver',
      note: 'Oil film is usual, a puddle is not.',
    }),
    item('charge-seal', 'Charge pipe seal', 'gasket', { singleUse: true, partNumber: 'VF-30-0722' }),
    item('flap-plug', 'Flap motor plug', 'connector', { cautions: ['plate'] }),
    item('egr-plug', 'Recirculation valve plug', 'connector'),
    item('egr-pipe', 'Recirculation pipe', 'hose', {
      part: 'passage',
      tool: '10 mm',
      note: 'Two bolts, heat-tight. Oil them the day before.',
    }),
    item('egr-gasket', 'Recirculation gasket, steel', 'gasket', { singleUse: true, partNumber: 'VF-30-0731' }),
    item('dipstick', 'Dipstick tube bracket', 'bracket', { tool: '10 mm', fasteners: loose(1, 'M6×16', 'steel') }),
    item('flap-bolts', 'Flap bolts, four', 'fasteners', {
      tool: '6 mm hex',
      cautions: ['alloy'],
      offAfter: [{ item: 'dipstick', kind: 'reach', reason: 'its bracket sits on a flap bolt' }],
      fasteners: group('M8×45', 'alloy', '20–24 Nm', square(84, 45), [0.5, 1], {
        staysIn: 2,
        hole: { material: 'die-cast-aluminium', engagementMm: 16 },
        grade: '8.8',
        condition: 'dry',
      }),
    }),
    item('flap', 'Intake flap', 'unit', { unit: 'throttle-body', opens: ['manifold'], restore: ['way-round'] }),
    item('flap-gasket', 'Flap gasket', 'gasket', { singleUse: true, partNumber: 'VF-30-0714' }),
    item('flakes', 'Vacuum the manifold mouth', 'other', {
      backBefore: 'flap-gasket',
      note: 'flakes of coke go straight into the engine',
    }),
  ],
  openings: [{ id: 'manifold', name: 'Intake manifold', plugWith: 'Manifold cap, 80 mm' }],
  constraints: [
    before('flap-gasket', 'flap', 'the gasket lies under the flap'),
    before('flap', 'flap-bolts', 'the bolts hold the flap'),
    before('flap-bolts', 'dipstick', 'the bracket sits on a flap bolt'),
    before('flap-bolts', 'egr-pipe', 'the pipe pulls a loose flap crooked'),
    before('egr-gasket', 'egr-pipe', 'the gasket lies under the pipe'),
    before('egr-pipe', 'egr-plug', 'the loom runs over the pipe'),
    before('charge-seal', 'charge-pipe', 'the seal sits in the pipe'),
    before('flap-plug', 'charge-pipe', 'the pipe closes the way to the lock'),
    { kind: 'after-bench', id: 'bench-flap', item: 'flap', unit: 'flap', reason: 'descaled, rinsed and dry first' },
    { kind: 'needs', id: 'needs-flap-gasket', item: 'flap-gasket', part: 'VF-30-0714', reason: 'a new one' },
  ],
  needs: [
    need('n-flap-gasket', 'part', 'Flap gasket', { partNumber: 'VF-30-0714', leadDays: 3 }),
    need('n-egr-gasket', 'part', 'Recirculation gasket', { partNumber: 'VF-30-0731', leadDays: 3 }),
    need('n-charge-seal', 'part', 'Charge pipe seal', { partNumber: 'VF-30-0722', leadDays: 3 }),
    need('n-scraper', 'tool', 'Scraper and wire brush', { note: 'bare metal only' }),
    need('n-wrench', 'tool', 'Middle torque wrench', { note: '10 to 50 N·m' }),
    need('n-cool', 'do-first', 'Engine cool enough to touch', { caution: 'hot-coolant' }),
    batteryNeed(),
  ],
  coolant: null,
  relearn: ['timed-idle', 'drive'],
};

/** Nurse’s motorcycle: one body on a rubber boot. */
export const twinProcedure: Procedure = {
  id: 'motorcycle-twin',
  version: 1,
  name: 'Body off the boot, clean and back',
  family: 'Sule 650 twin',
  familyId: 'sule-650',
  work: 'clean',
  source: DEMO_SOURCE,
  items: [
    item('seat', 'Seat', 'cover', { note: 'Key in the lock at the left.' }),
    item('side-panel', 'Side panel, right', 'cover', { note: 'Three grommets; pull straight.' }),
    item('tank-bolts', 'Tank bolts, two', 'fasteners', {
      tool: '10 mm',
      fasteners: group('M6×25', 'steel', '10 Nm', pair(120, 25), [1], { hole: { material: 'steel', engagementMm: 8 } }),
    }),
    item('fuel-line', 'Fuel line', 'hose', {
      opens: ['fuel-line-end'],
      cautions: ['fuel'],
      note: 'Pressure off; cloth round it.',
    }),
    item('tank', 'Tank', 'other', {
      cautions: ['fuel', 'fuel-tank'],
      offAfter: [{ item: 'fuel-line', kind: 'reach', reason: 'it would tear the line' }],
    }),
    item('route', 'Route cables and hoses under the tank', 'other', {
      backBefore: 'tank',
      note: 'a pinched hose starves the engine',
    }),
    item('cables', 'Throttle cables, two', 'cable', {
      restore: ['lock-nut', 'threads'],
      note: 'Pull and return: mark which is which.',
    }),
    item('body-plug', 'Position sensor plug', 'connector'),
    item('injector-plug', 'Injector plug', 'connector'),
    item('airbox-clamp', 'Air box clamp', 'clamp', { tool: '4 mm hex' }),
    item('boot-clamp', 'Boot clamp', 'clamp', { tool: '4 mm hex, ball end', restore: ['way-round'] }),
    item('body', 'Throttle body', 'unit', {
      unit: 'throttle-body',
      opens: ['boot'],
      note: 'Rock it out; do not lever on the boot.',
    }),
  ],
  openings: [
    { id: 'boot', name: 'Inlet boot', plugWith: 'Boot bung, 44 mm' },
    { id: 'fuel-line-end', name: 'Fuel line', plugWith: 'Line cap' },
  ],
  constraints: [
    before('body', 'boot-clamp', 'the boot must not fold: look all round, then clamp'),
    before('boot-clamp', 'airbox-clamp', 'the body must sit before the box pushes'),
    before('body', 'cables', 'the pulley is on the body'),
    before('cables', 'tank', 'the tank hides the adjusters'),
    before('injector-plug', 'tank', 'the tank hides the plug'),
    before('body-plug', 'tank', 'the tank hides the plug'),
    before('tank', 'tank-bolts', 'the bolts hold the tank'),
    before('tank-bolts', 'seat', 'the seat hooks over the rear bolt'),
    { kind: 'after-bench', id: 'bench-body', item: 'body', unit: 'body', reason: 'cleaned and dry first' },
  ],
  needs: [
    need('n-cleaner', 'consumable', 'Throttle cleaner, sensor-safe', {
      partNumber: 'TQ-CL-500',
      caution: 'vapour',
      leadDays: 2,
    }),
    need('n-ball', 'tool', 'Hex key, 4 mm, ball end'),
    need('n-stand', 'do-first', 'On the paddock stand, front strapped', { caution: 'support' }),
    need('n-fuel', 'do-first', 'Fuel pressure released', { caution: 'fuel' }),
  ],
  coolant: null,
  relearn: ['timed-idle'],
};

const CYLINDERS = [1, 2, 3, 4] as const;

/** Courier’s four: a bank whose injectors go back to their own cylinder. */
export const fourProcedure: Procedure = {
  id: 'motorcycle-four',
  version: 1,
  name: 'Bank of four off, clean, injectors back to their own',
  family: 'Sule 900 four',
  familyId: 'sule-900',
  work: 'rebuild',
  source: DEMO_SOURCE,
  items: [
    item('seat', 'Seat', 'cover', { section: 'On top' }),
    item('tank', 'Tank, hinged up', 'other', {
      section: 'On top',
      cautions: ['fuel', 'fuel-tank'],
      note: 'Prop in the toolkit.',
    }),
    item('airbox-bolts', 'Air box bolts, two', 'fasteners', {
      section: 'On top',
      fasteners: loose(2, 'M6×20', 'rubber mounts'),
    }),
    item('airbox', 'Air box', 'cover', { section: 'On top', opens: ['trumpets'], part: 'air-box' }),
    item('trumpet-look', 'Wipe round the trumpets, cloths still in', 'other', {
      section: 'On top',
      backBefore: 'airbox',
      note: 'what lies round them falls in when the cloths come out',
    }),
    item('fuel-feed', 'Fuel feed', 'hose', { section: 'Fuel', opens: ['rail-port'], cautions: ['fuel'] }),
    ...CYLINDERS.map((each) =>
      item(`inj-plug-${each}`, `Injector plug, cylinder ${each}`, 'connector', {
        section: 'Fuel',
        alike: 'injector plug',
        tag: `cylinder ${each}`,
      }),
    ),
    item('rail-screws', 'Fuel rail screws, four', 'fasteners', {
      section: 'Fuel',
      tool: 'T25',
      fasteners: group(
        'M5×18',
        'alloy',
        '5 Nm',
        [
          ['1', 0, 0, 'cylinder 1', 18],
          ['2', 62, 0, 'cylinder 2', 18],
          ['3', 124, 0, 'cylinder 3', 18],
          ['4', 186, 0, 'cylinder 4', 18],
        ],
        [1],
        { hole: { material: 'die-cast-aluminium', engagementMm: 9 } },
      ),
    }),
    item('rail', 'Fuel rail', 'other', {
      section: 'Fuel',
      offAfter: [{ item: 'fuel-feed', kind: 'reach', reason: 'the feed holds it' }],
    }),
    item('ring-oil', 'A drop of clean oil on each injector ring', 'other', {
      section: 'Fuel',
      backBefore: 'rail',
      note: 'a dry ring folds and leaks fuel',
    }),
    ...CYLINDERS.map((each) =>
      item(`injector-${each}`, `Injector, cylinder ${each}`, 'other', {
        section: 'Fuel',
        alike: 'injector',
        tag: `cylinder ${each}`,
        part: 'injector',
      }),
    ),
    ...CYLINDERS.map((each) =>
      item(`inj-ring-${each}`, `Injector O-ring, cylinder ${each}`, 'gasket', {
        section: 'Fuel',
        singleUse: true,
        partNumber: 'SU-90-112',
      }),
    ),
    item('cables', 'Throttle cables, two', 'cable', {
      section: 'Bank',
      restore: ['lock-nut', 'threads'],
      mayStay: 'to the frame, left',
    }),
    item('tps-plug', 'Position sensor plug', 'connector', { section: 'Bank' }),
    item('idle-hoses', 'Idle hoses, four', 'hose', { section: 'Bank', note: 'Tag 1 to 4.' }),
    ...CYLINDERS.map((each) =>
      item(`boot-clamp-${each}`, `Boot clamp, cylinder ${each}`, 'clamp', {
        section: 'Bank',
        tool: '4 mm hex, ball end',
      }),
    ),
    item('bank', 'Throttle bank', 'unit', {
      section: 'Bank',
      unit: 'throttle-body',
      opens: ['boots'],
      note: 'Rock it out evenly.',
    }),
  ],
  openings: [
    { id: 'trumpets', name: 'Intake trumpets', plugWith: 'Clean cloth' },
    { id: 'rail-port', name: 'Fuel rail port', plugWith: 'Fuel cap' },
    { id: 'boots', name: 'Inlet boots, four', plugWith: 'Boot bungs, four' },
  ],
  constraints: [
    ...CYLINDERS.flatMap((each) => [
      before(`inj-ring-${each}`, `injector-${each}`, 'the ring sits on the injector'),
      before(`injector-${each}`, 'rail', 'the rail holds the injectors'),
      before('bank', `boot-clamp-${each}`, 'look that no boot is folded, then clamp'),
      before('rail-screws', `inj-plug-${each}`, 'an injector turns until the rail is tight'),
    ]),
    before('rail', 'rail-screws', 'the screws hold the rail'),
    before('rail-screws', 'fuel-feed', 'the feed pulls a loose rail'),
    before('bank', 'cables', 'the pulley is on the bank'),
    before('bank', 'idle-hoses', 'the posts are on the bank'),
    before('boot-clamp-1', 'cables', 'a bank that moves sets the cables wrong'),
    before('idle-hoses', 'airbox', 'the box hides the posts'),
    before('fuel-feed', 'airbox', 'the box hides the feed'),
    before('airbox', 'airbox-bolts', 'the bolts hold the box'),
    before('airbox-bolts', 'tank', 'the tank lies on the box'),
    before('tank', 'seat', 'the seat hooks under the tank'),
    {
      kind: 'together',
      id: 'boots-together',
      items: CYLINDERS.map((each) => `boot-clamp-${each}`),
      reason: 'all four in one round',
    },
    { kind: 'after-bench', id: 'bench-bank', item: 'bank', unit: 'bank', reason: 'cleaned and dry first' },
    ...CYLINDERS.map((each) => ({
      kind: 'needs' as const,
      id: `needs-ring-${each}`,
      item: `inj-ring-${each}`,
      part: 'SU-90-112',
      reason: 'a new one',
    })),
  ],
  needs: [
    need('n-rings', 'part', 'Injector O-rings, four', { partNumber: 'SU-90-112', leadDays: 5 }),
    need('n-jelly', 'consumable', 'Silicone grease', { note: 'on the rings; never petroleum jelly' }),
    need('n-driver', 'tool', 'Preset screwdriver', { note: '1 to 6 N·m' }),
    need('n-stand', 'do-first', 'On the paddock stand', { caution: 'support' }),
    need('n-fuel', 'do-first', 'Fuel pressure released', { caution: 'fuel' }),
  ],
  coolant: null,
  relearn: ['timed-idle'],
};

/** Harbour launch: plastic body, stepper valve, salt. */
export const outboardProcedure: Procedure = {
  id: 'outboard-45',
  version: 1,
  name: 'Plastic body and stepper, off, free and back',
  family: 'Terrow 45 outboard',
  familyId: 'terrow-45',
  work: 'rebuild',
  source: DEMO_SOURCE,
  items: [
    item('cowl', 'Cowl', 'cover', { note: 'Two latches; mind the seal.' }),
    item('silencer-bolts', 'Silencer bolts, three', 'fasteners', {
      tool: '10 mm',
      fasteners: loose(3, 'M6×30', 'plastic'),
    }),
    item('silencer', 'Intake silencer', 'duct'),
    item('stepper-plug', 'Stepper plug', 'connector', { note: 'Green crust is salt: clean and grease.' }),
    item('tps-plug', 'Position sensor plug', 'connector'),
    item('link', 'Throttle link', 'cable', { restore: ['threads', 'lock-nut'] }),
    item('drain', 'Water drain hose', 'hose'),
    item('stepper-screws', 'Stepper screws, two', 'fasteners', {
      tool: 'T20',
      note: 'Penetrating oil the day before.',
      fasteners: group('M5×16', 'brass inserts', '2.5 Nm', pair(32, 16), [1], {
        hole: { material: 'brass-insert', engagementMm: 8 },
        condition: 'anti-seize',
      }),
    }),
    item('stepper', 'Stepper valve', 'unit', { unit: 'idle-valve', opens: ['stepper-port'] }),
    item('stepper-ring', 'Stepper O-ring', 'gasket', { singleUse: true, partNumber: 'TM-45-121' }),
    item('body-bolts', 'Body bolts, four', 'fasteners', {
      tool: '10 mm',
      note: 'Crosswise and slowly: heat warps this body.',
      cautions: ['alloy'],
      fasteners: group('M6×40', 'PA66 body on alloy', '7–9 Nm', square(64, 40), [0.4, 0.7, 1], {
        staysIn: 2,
        hole: { material: 'die-cast-aluminium', engagementMm: 11 },
        condition: 'anti-seize',
        retorqueAfterMin: 120,
      }),
    }),
    item('body', 'Throttle body', 'unit', { unit: 'throttle-body', opens: ['inlet'] }),
    item('body-gasket', 'Body gasket', 'gasket', { singleUse: true, partNumber: 'TM-45-119' }),
  ],
  openings: [
    { id: 'inlet', name: 'Manifold inlet', plugWith: 'Inlet cap' },
    { id: 'stepper-port', name: 'Stepper port', plugWith: 'Clean cloth' },
  ],
  constraints: [
    before('body-gasket', 'body', 'the gasket lies under the body'),
    before('body', 'body-bolts', 'the bolts hold the body'),
    before('stepper-ring', 'stepper', 'the ring sits in the groove'),
    before('stepper', 'stepper-screws', 'the screws hold it'),
    before('body-bolts', 'link', 'the link needs a body that does not move'),
    before('body-bolts', 'drain', 'the hose pulls a loose body'),
    before('stepper-screws', 'stepper-plug', 'the plug turns a loose stepper'),
    before('link', 'silencer', 'the silencer hides the link'),
    before('tps-plug', 'silencer', 'the silencer hides the plug'),
    before('stepper-plug', 'silencer', 'the silencer hides the plug'),
    before('silencer', 'silencer-bolts', 'the bolts hold it'),
    before('silencer-bolts', 'cowl', 'the cowl goes over all'),
    { kind: 'after-bench', id: 'bench-stepper', item: 'stepper', unit: 'stepper', reason: 'freed and dry first' },
    { kind: 'needs', id: 'needs-ring', item: 'stepper-ring', part: 'TM-45-121', reason: 'a new one' },
  ],
  needs: [
    need('n-ring', 'part', 'Stepper O-ring', { partNumber: 'TM-45-121', leadDays: 4 }),
    need('n-gasket', 'part', 'Body gasket', { partNumber: 'TM-45-119', leadDays: 4 }),
    need('n-wrench', 'tool', 'Low-range torque wrench', { note: '2 to 20 N·m' }),
    need('n-lanyard', 'do-first', 'Kill cord out, prop clear', {
      caution: 'running',
      atEnd: { words: 'Kill cord back in', beforeStart: true },
    }),
    batteryNeed(),
  ],
  coolant: null,
  relearn: ['timed-idle'],
};
