import type { Constraint } from '../refit/index.ts';
import type { IdleValveKind, ThrottleKind, VehicleUse } from '../vehicle/index.ts';
import { plainItem } from './plain.ts';
import type { Bolt, Need, Procedure, ProcedureItem, ProcedureOpening } from './types.ts';

/** What kind of unit it is. */
export const STARTER_UNITS = {
  cable: 'Cable body',
  electronic: 'Electronic body',
  'diesel-flap': 'Diesel intake flap',
  boot: 'One body on a rubber boot',
  bank: 'Bank of bodies, rubber boots',
  plastic: 'Plastic body of an outboard',
} as const;
/** How it is reached. */
export const STARTER_REACHES = {
  open: 'It stands free',
  cover: 'Under a cover',
  plenum: 'Under a plenum or airbox',
  'tank-up': 'Under a tank that is propped up',
  'tank-off': 'Under a tank that comes off',
} as const;
/** What its bolts go into. */
export const STARTER_HOLES = { alloy: 'Alloy', plastic: 'Plastic or inserts', iron: 'Iron or steel' } as const;
/** What seals it. */
export const STARTER_SEALS = { gasket: 'A gasket', ring: 'A ring', none: 'Neither' } as const;
/** Where the idle valve sits. */
export const STARTER_VALVES = { none: 'None', on: 'On the body', apart: 'Apart, on a hose' } as const;

/** The answers to the eight questions. */
export interface StarterAnswers {
  readonly unit: keyof typeof STARTER_UNITS;
  readonly reach: keyof typeof STARTER_REACHES;
  /** Bolts at the flange, 0 to 12, and what they go into. */
  readonly bolts: number;
  readonly into: keyof typeof STARTER_HOLES;
  readonly seal: keyof typeof STARTER_SEALS;
  /** Air, breather and vacuum hoses, 0 to 12. */
  readonly hoses: number;
  /** Coolant hoses through it, 0 to 4. */
  readonly coolantHoses: number;
  readonly valve: keyof typeof STARTER_VALVES;
  /** Connectors on it, 0 to 8. */
  readonly plugs: number;
  /** How many of the unit there are, where the vehicle’s file says so: parts are counted by it. 1 to 12. */
  readonly bodies?: number | undefined;
}

/** A draft with why each of its lines is there. */
export interface StarterDraft {
  readonly procedure: Procedure;
  /** By the id of an item, opening, constraint or need. */
  readonly reasons: Readonly<Record<string, string>>;
}

/** What is known of a vehicle already answers some of the questions; the others are asked. */
export const answersFor = (vehicle: {
  readonly throttle: ThrottleKind;
  readonly idleValve: IdleValveKind;
  readonly use?: VehicleUse | undefined;
  readonly units?: readonly { readonly kind: string }[] | undefined;
}): Partial<StarterAnswers> => {
  const bodies = (vehicle.units ?? []).filter(({ kind }) => kind === 'throttle-body').length;
  const boots = vehicle.use === 'motorcycle' && vehicle.throttle === 'cable';
  // A motorcycle whose file lists no body may have one or four: that is asked.
  const unit =
    vehicle.use === 'outboard'
      ? 'plastic'
      : !boots
        ? vehicle.throttle
        : bodies === 0
          ? null
          : bodies === 1
            ? ('boot' as const)
            : ('bank' as const);
  return {
    ...(unit === null ? {} : { unit }),
    ...(bodies > 1 ? { bodies } : {}),
    ...(vehicle.idleValve === 'none' ? { valve: 'none' as const } : {}),
  };
};

interface Line {
  readonly item: ProcedureItem;
  readonly why: string;
}

const item = (
  id: string,
  name: string,
  kind: ProcedureItem['kind'],
  why: string,
  more: Partial<ProcedureItem> = {},
) => ({
  item: plainItem(id, name, kind, more),
  why,
});
const minutes = (off: number, back: number) => ({ minutes: { off, back } });
const numbered = (name: string, count: number, index: number): string => (count === 1 ? name : `${name} ${index + 1}`);
const several = (count: number, make: (index: number) => Line): Line[] =>
  Array.from({ length: count }, (_, index) => make(index));

/** Bolts evenly round a flange: where they really sit is put right on the vehicle. */
const ring = (count: number): Bolt[] =>
  Array.from({ length: count }, (_, index) => {
    const angle = (2 * Math.PI * index) / count - (3 * Math.PI) / 4;
    return {
      id: String(index + 1),
      x: Math.round(40 + 40 * Math.cos(angle)),
      y: Math.round(40 + 40 * Math.sin(angle)),
      label: `place ${index + 1}, clockwise`,
    };
  });

/** Whether rubber boots hold it to the engine. */
const onBoots = (unit: StarterAnswers['unit']): boolean => unit === 'bank' || unit === 'boot';

/** A tank that lies over the unit: propped up with its line left on, or taken off. */
function tank(reach: StarterAnswers['reach']): Line[] {
  if (reach !== 'tank-up' && reach !== 'tank-off') return [];
  const up = reach === 'tank-up';
  return [
    ...(up
      ? []
      : [
          item('fuel-line', 'Fuel line at the tank', 'hose', 'Fuel stands in it, and runs when it comes off.', {
            opens: ['fuel-union'],
            cautions: ['fuel', 'fuel-tank'],
            note: 'Tap shut or pump quiet first; a cloth round the joint, catch what runs.',
            ...minutes(3, 3),
          }),
        ]),
    item('tank', up ? 'Tank, propped up' : 'Tank', 'cover', 'It lies over the unit.', {
      cautions: ['fuel-tank'],
      note: up ? 'Line and wires stay on: nothing may pull on them.' : 'Two hands: it is heavier than it looks.',
      ...(up ? {} : { offAfter: [{ item: 'fuel-line', kind: 'reach' as const, reason: 'it would tear the line' }] }),
      ...minutes(up ? 4 : 8, up ? 4 : 8),
    }),
    item('route', 'Route hoses and cables under the tank', 'other', 'A pinched one starves or floods the engine.', {
      backBefore: 'tank',
      note: 'a pinched hose starves or floods the engine',
      ...minutes(0, 2),
    }),
  ];
}

/** What stands in the way before the unit itself. */
function before({ unit, reach, hoses, coolantHoses, plugs }: StarterAnswers): Line[] {
  const electric = unit === 'electronic' || unit === 'diesel-flap';
  return [
    ...(reach === 'cover' ? [item('cover', 'Cover', 'cover', 'It lies over the unit.', minutes(3, 4))] : []),
    ...(reach === 'plenum'
      ? [
          item(
            'plenum',
            'Plenum or airbox',
            'cover',
            'It buries what is below it, so it goes on late.',
            minutes(12, 15),
          ),
        ]
      : []),
    ...tank(reach),
    ...(reach === 'plenum' || onBoots(unit) || reach === 'tank-up' || reach === 'tank-off'
      ? []
      : [
          item('duct', 'Air duct', 'duct', 'The plate’s front is seen and reached once it is off.', {
            note: 'Look inside for oil.',
            ...minutes(4, 4),
          }),
        ]),
    ...several(plugs, (index) =>
      item(
        `plug-${index + 1}`,
        numbered('Connector', plugs, index),
        'connector',
        'Slide the lock first; brittle with age.',
        {
          ...(plugs > 1 ? { alike: 'connector' } : {}),
          ...(electric ? { cautions: ['plate'] } : {}),
          ...minutes(1, 1),
        },
      ),
    ),
    ...several(hoses, (index) =>
      item(
        `hose-${index + 1}`,
        numbered('Air or vacuum hose', hoses, index),
        'hose',
        'Tagged, so that it finds its post again.',
        {
          ...(hoses > 1 ? { alike: 'air hose' } : {}),
          ...minutes(1, 1),
        },
      ),
    ),
    ...several(coolantHoses, (index) =>
      item(
        `coolant-${index + 1}`,
        numbered('Coolant hose', coolantHoses, index),
        'coolant-hose',
        'Coolant goes through the unit.',
        {
          opens: [`pipe-${index + 1}`],
          cautions: ['hot-coolant'],
          note: 'Clamp it or tie it up high.',
          ...minutes(3, 3),
        },
      ),
    ),
    ...(unit === 'cable' || onBoots(unit) || unit === 'plastic'
      ? [
          item('cable', 'Throttle cable', 'cable', 'Only one lock-nut is moved, so that the adjustment survives.', {
            restore: ['lock-nut'],
            ...minutes(4, 5),
          }),
        ]
      : []),
  ];
}

/** The unit, what holds it and what seals it. */
function itself({ unit, bolts, into, seal, valve }: StarterAnswers): Line[] {
  const name = unit === 'diesel-flap' ? 'Intake flap' : unit === 'bank' ? 'Bank of bodies' : 'Throttle body';
  const boots = unit === 'bank' ? 'Boot clamps' : 'Boot clamp';
  return [
    ...(onBoots(unit)
      ? [item('boots', boots, 'clamp', 'Slackened; the rubber boots hold the unit.', minutes(5, 8))]
      : []),
    ...(valve === 'apart'
      ? [
          item('valve', 'Idle air valve', 'unit', 'It sits on a hose of its own.', {
            unit: 'idle-valve',
            opens: ['valve-port'],
            ...minutes(4, 5),
          }),
        ]
      : []),
    ...(bolts > 0
      ? [
          item(
            'flange',
            'Flange bolts',
            'fasteners',
            'They hold the unit: a figure is wanted before the engine starts.',
            {
              fasteners: {
                count: bolts,
                thread: '',
                into: STARTER_HOLES[into].toLowerCase(),
                bolts: bolts > 1 ? ring(bolts) : [],
                fractions: into === 'plastic' ? [1] : [0.5, 1],
                spec: null,
                joint: 'flange',
                ...(bolts > 3 ? { staysIn: 2 } : {}),
              },
              cautions: into === 'alloy' ? ['alloy'] : [],
              ...minutes(bolts, bolts * 2),
            },
          ),
        ]
      : []),
    item('unit', name, 'unit', 'What the job is about. Plug the inlet at once.', {
      unit: 'throttle-body',
      opens: ['inlet'],
      ...(unit === 'electronic' ? { cautions: ['plate'] } : {}),
      ...minutes(2, 3),
    }),
    ...(seal === 'none'
      ? []
      : [
          item('seal', seal === 'ring' ? 'Body ring' : 'Body gasket', 'gasket', 'Renewed where the house does.', {
            singleUse: true,
            ...minutes(2, 1),
          }),
          item('face', 'Clean the face it seals on', 'other', 'What is left of the old one leaks round the new one.', {
            backBefore: 'seal',
            note: 'what is left of the old one leaks round the new one',
            ...minutes(0, 2),
          }),
        ]),
    ...(onBoots(unit)
      ? [
          item('boot-look', 'Look into the boots: no fold, no rag', 'other', 'A folded boot draws air.', {
            backBefore: 'unit',
            note: 'a folded boot draws air; what lies in it goes in',
            ...minutes(0, 1),
          }),
        ]
      : []),
    ...(valve === 'on'
      ? [
          item('valve', 'Idle air valve', 'unit', 'It sits on the body and comes off on the bench.', {
            unit: 'idle-valve',
            opens: ['valve-port'],
            ...minutes(4, 5),
          }),
        ]
      : []),
  ];
}

const openingsOf = ({ coolantHoses, valve, reach }: StarterAnswers): ProcedureOpening[] => [
  ...(reach === 'tank-off' ? [{ id: 'fuel-union', name: 'Fuel union of the tank', plugWith: 'Cap' }] : []),
  { id: 'inlet', name: 'Manifold inlet', plugWith: 'Inlet cap' },
  ...Array.from({ length: coolantHoses }, (_, index) => ({
    id: `pipe-${index + 1}`,
    name: numbered('Coolant pipe', coolantHoses, index),
    plugWith: 'Bung',
  })),
  ...(valve === 'none' ? [] : [{ id: 'valve-port', name: 'Valve port', plugWith: 'Clean cloth' }]),
];

/** What goes back before what, where the mirror of strip would be wrong. */
function constraintsOf(has: (id: string) => boolean): (Constraint & { readonly reason: string })[] {
  const order = (a: string, b: string, reason: string) =>
    has(a) && has(b) ? [{ kind: 'before' as const, id: `${a}-${b}`, a, b, reason }] : [];
  return [
    ...order('seal', 'unit', 'it lies under the unit'),
    ...order('unit', 'flange', 'the bolts hold the unit'),
    ...order('unit', 'boots', 'the clamps hold the boots on it'),
    ...order('tank', 'fuel-line', 'the line is pushed on once the tank sits'),
    ...order('unit', 'cable', 'the cable hooks onto the unit'),
    { kind: 'after-bench', id: 'bench', item: 'unit', unit: 'throttle-body', reason: 'clean and dry first' },
  ];
}

function needsOf({
  unit,
  seal,
  valve,
  coolantHoses,
  into,
  bolts,
  reach,
  bodies = 1,
}: StarterAnswers): { need: Need; why: string }[] {
  const need = (id: string, kind: Need['kind'], name: string, why: string, more: Partial<Need> = {}) => ({
    need: { id, kind, name, partNumber: '', note: '', caution: null, ...more },
    why,
  });
  return [
    ...(unit === 'electronic' || unit === 'diesel-flap'
      ? [
          need(
            'battery',
            'do-first',
            'Battery negative off',
            'A motor moves the plate: an energised one takes a finger.',
            {
              note: 'Radio code first.',
              caution: 'battery',
              atEnd: { words: 'Battery negative on', beforeStart: true },
            },
          ),
        ]
      : []),
    ...(coolantHoses > 0
      ? [
          need('cool', 'do-first', 'Engine cool, tray below', 'Coolant runs when the first hose comes off.'),
          need('coolant', 'consumable', 'Coolant, the right mix', 'What is lost is topped up.'),
          need(
            'bungs',
            'tool',
            coolantHoses > 1 ? 'Two bungs or hose clamps' : 'A bung or hose clamp',
            'An open pipe runs dry.',
          ),
        ]
      : []),
    ...(seal === 'none'
      ? []
      : [
          need(
            'seal-part',
            'part',
            seal === 'ring' ? 'Body ring' : 'Body gasket',
            'Without it the vehicle stands over the weekend.',
            bodies > 1 ? { count: bodies } : {},
          ),
        ]),
    ...(valve === 'none' ? [] : [need('valve-seal', 'part', 'Valve gasket or ring', 'A hardened one leaks air.')]),
    need('cleaner', 'consumable', 'Throttle-body cleaner', 'The bore and both faces of the plate.'),
    need('cap', 'tool', 'Cap or clean cloth for the inlet', 'Nothing may fall in.'),
    ...(bolts > 0 && into !== 'iron'
      ? [
          need(
            'small-wrench',
            'tool',
            'Low-range torque wrench',
            `Small torques into ${STARTER_HOLES[into].toLowerCase()}.`,
          ),
        ]
      : []),
    ...(reach === 'tank-off'
      ? [
          need('fuel-cap', 'tool', 'Cap for the fuel line, a tin for what runs', 'Fuel runs when the line comes off.', {
            caution: 'fuel',
          }),
        ]
      : []),
    ...(unit === 'bank' ? [need('gauges', 'tool', 'Vacuum gauges for the bank', 'Balance before and after.')] : []),
    ...(unit === 'plastic'
      ? [need('water', 'tool', 'Cooling water for the run', 'An outboard never runs without it.')]
      : []),
  ];
}

/**
 * A first procedure from eight answers: what comes off in which order, what it opens, what goes back before what, what is
 * needed, and about how long it takes. Usual practice of the trade and no maker’s data: every line is to be verified and
 * can be left out.
 * @param head id, name and family it is kept under
 * @param without ids of items, openings and needs that this one does not have
 * @throws RangeError for counts outside those of {@link StarterAnswers}
 */
export function starterProcedure(
  answers: StarterAnswers,
  head: Pick<Procedure, 'id' | 'name' | 'family' | 'familyId'>,
  without: ReadonlySet<string> = new Set(),
): StarterDraft {
  const counts = [
    ['bolts', answers.bolts, 12],
    ['hoses', answers.hoses, 12],
    ['coolant hoses', answers.coolantHoses, 4],
    ['connectors', answers.plugs, 8],
    ['bodies', answers.bodies ?? 1, 12],
  ] as const;
  for (const [name, count, most] of counts)
    if (!Number.isInteger(count) || count < 0 || count > most)
      throw new RangeError(`Expected 0 to ${most} ${name}, got ${count}.`);
  const lines = [...before(answers), ...itself(answers)].filter(
    ({ item: { id, backBefore } }) => !without.has(id) && !(backBefore !== undefined && without.has(backBefore)),
  );
  const needs = needsOf(answers).filter(({ need: { id } }) => !without.has(id));
  const there = new Set(lines.map(({ item: { id } }) => id));
  const opened = new Set(lines.flatMap(({ item: { opens } }) => opens));
  return {
    procedure: {
      ...head,
      version: 1,
      source: null,
      items: lines.map(({ item: line }) => line),
      openings: openingsOf(answers).filter(({ id }) => opened.has(id)),
      constraints: constraintsOf((id) => there.has(id)).filter(
        (each) => each.kind !== 'after-bench' || there.has('unit'),
      ),
      needs: needs.map(({ need }) => need),
      coolant: null,
      relearn:
        answers.unit === 'electronic'
          ? ['timed-idle', 'drive']
          : answers.unit === 'diesel-flap'
            ? ['drive']
            : ['timed-idle'],
      work: 'clean',
    },
    reasons: Object.fromEntries([
      ...lines.map(({ item: { id }, why }) => [id, why]),
      ...needs.map(({ need: { id }, why }) => [id, why]),
    ]) as Record<string, string>,
  };
}
