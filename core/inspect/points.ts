import { isBody, isPart, PART_FORMS, UNIT_FORMS, type UnitForm } from '../clean/index.ts';
import type { InspectPoint, PointEntry, PointOutcome, PointVerdict } from './types.ts';

/** Deposit grades in words, as drawn on our own scale. */
export const GRADES = ['as new', 'film', 'lacquer', 'crust', 'coke'] as const;
/** What each grade looks like on the card. */
export const GRADE_LOOKS = [
  'Metal all over; a cloth comes away clean.',
  'A brown breath; the machining shows through.',
  'A closed brown skin at the edge; shines, a nail slides on it.',
  'A raised ring, matt and black; a nail catches.',
  'Thick and hard; the plate does not close on its stop.',
] as const;

/** Units; parts have a walk of their own. */
const all = (Object.keys(UNIT_FORMS) as UnitForm[]).filter((form) => !isPart(form));
const PARTS: readonly UnitForm[] = PART_FORMS;
const BODIES = all.filter(isBody);
const VALVES: readonly UnitForm[] = ['rotary-valve', 'stepper-valve', 'duty-valve', 'wax-valve', 'actuator'];
const CABLED: readonly UnitForm[] = ['cable', 'bank', 'plastic'];

const answer = (id: string, name: string, verdict: PointVerdict, cure?: PointOutcome['cure']): PointOutcome => ({
  id,
  name,
  verdict,
  cure,
});
const choice = (...outcomes: readonly PointOutcome[]): PointEntry => ({ kind: 'choice', outcomes });
const figure = (unit: string, low: number, high: number): PointEntry => ({ kind: 'figure', unit, low, high });

const point = (
  id: string,
  name: string,
  forms: readonly UnitForm[],
  entry: PointEntry,
  texts: readonly [how: string, why: string, consequence: string],
  given: Partial<InspectPoint> = {},
): InspectPoint => ({
  id,
  name,
  forms,
  entry,
  how: texts[0],
  why: texts[1],
  consequence: texts[2],
  limit: null,
  figure: null,
  cure: null,
  felt: [],
  each: false,
  again: false,
  ...given,
});
const grade = (
  id: string,
  name: string,
  forms: readonly UnitForm[],
  how: string,
  given: Partial<InspectPoint> = {},
): InspectPoint =>
  point(
    id,
    name,
    forms,
    { kind: 'grade' },
    [how, 'Deposit takes the air that idle needs', 'The computer opens further to make up, until it cannot.'],
    { cure: 'clean', again: true, ...given },
  );

/** The walk, in the order in which the eye and the hand go over a unit. Ids are stored: never change one. */
export const POINTS: readonly InspectPoint[] = [
  grade('deposit-front', 'Deposit, front', BODIES, 'Lamp from the duct side, plate closed.'),
  grade('deposit-back', 'Deposit, back', BODIES, 'From the engine side: it is always worse there.'),
  grade('deposit-edge', 'Deposit at the plate’s edge', BODIES, 'Open the plate a little and look along its rim.'),
  grade(
    'deposit-recirculation',
    'Deposit, recirculation side',
    ['diesel-flap'],
    'Where exhaust comes back in: behind the flap, and as far up its port as the lamp reaches.',
  ),
  point(
    'coke-thickness',
    'Coke, how thick',
    ['diesel-flap', 'passage'],
    figure('mm', 0, 40),
    [
      'Depth gauge or a scribed stick down to the metal, at the thickest place: flap, port, passage.',
      'Thick coke narrows the way and breaks off in lumps',
      'Scrape it dry on bare metal with the engine side plugged; what breaks off must not go in.',
    ],
    {
      limit: { low: null, high: 1, unit: 'mm' },
      cure: 'clean',
      each: true,
      again: true,
      felt: [
        answer('film', 'A film', 'good'),
        answer('third', 'Narrows it by a third', 'watch', 'clean'),
        answer('half', 'Half shut or more', 'bad', 'clean'),
      ],
    },
  ),
  point(
    'plate-time',
    'Plate to its stop and back',
    ['diesel-flap', 'electronic'],
    figure('s', 0, 30),
    [
      'Driven by the tester, on the bench or on the vehicle, fingers out: time it from stop to stop and back.',
      'A motor or gears that labour are late long before they stick',
      'Clean the shaft ends once; still slow means motor or gears.',
    ],
    {
      limit: { low: null, high: 1, unit: 's' },
      cure: 'replace',
      again: true,
      felt: [
        answer('at-once', 'At once, knocks on its stop', 'good'),
        answer('slowly', 'Slowly', 'watch', 'clean'),
        answer('short', 'Does not reach its stop', 'bad', 'replace'),
      ],
    },
  ),
  grade('valve-deposit', 'Deposit in the port', VALVES, 'Look into the port, then turn the valve and look again.'),
  point(
    'light',
    'Light round the closed plate',
    ['cable', 'electronic', 'bank', 'plastic'],
    { kind: 'light' },
    [
      'Plate closed by its spring, lamp behind, look all round. Tap a sector: none, thin, wide.',
      'The closed gap is the idle air; its shape tells deposit from a bent plate',
      'Uneven light after cleaning is never cured by more cleaning.',
    ],
    { cure: 'clean', again: true },
  ),
  point(
    'stripped',
    'Stripped to bare metal',
    ['cable', 'bank'],
    choice(
      answer('all-off', 'Sensors, seals, valve, levers and plated screws are off', 'noted'),
      answer('not', 'Not all of them', 'noted'),
    ),
    [
      'Look round it once: anything of rubber, plastic or with a plug still on?',
      'Only bare metal may go into a bath',
      'It is cleaned by spray, soak and brush.',
    ],
  ),
  point(
    'play',
    'Shaft play',
    BODIES,
    figure('mm', 0, 5),
    [
      'Dial gauge on the plate’s edge; lift and press the shaft.',
      'A loose shaft draws air and never closes twice in one place',
      'Cleaning makes it worse: the deposit was sealing it.',
    ],
    {
      limit: { low: null, high: 0.15, unit: 'mm' },
      figure: 'shaftPlay',
      cure: 'replace',
      felt: [
        answer('none-felt', 'No play felt', 'good'),
        answer('felt', 'Play felt', 'watch', 'replace'),
        answer('rocks', 'Rocks and knocks', 'bad', 'replace'),
      ],
    },
  ),
  point(
    'plate-flat',
    'Plate flatness',
    BODIES,
    figure('mm', 0, 5),
    [
      'Straight edge across the plate, feeler under it.',
      'A bent plate closes on one side only',
      'It cannot be straightened true: replace the body.',
    ],
    {
      limit: { low: null, high: 0.05, unit: 'mm' },
      figure: 'plateFlat',
      cure: 'replace',
      felt: [
        answer('flat-by-eye', 'No light under the edge', 'good'),
        answer('gap-by-eye', 'Light under the edge', 'bad', 'replace'),
      ],
    },
  ),
  point(
    'body-flat',
    'Body flatness',
    BODIES,
    figure('mm', 0, 5),
    [
      'Straight edge over the flange both ways, feeler under it. Plastic: cold.',
      'A warped body leaks at the flange and pinches the plate',
      'Cleaning will not cure it; a thicker gasket hides it for a month.',
    ],
    {
      limit: { low: null, high: 0.1, unit: 'mm' },
      figure: 'bodyFlat',
      cure: 'replace',
      felt: [
        answer('flat-by-eye', 'Does not rock on glass', 'good'),
        answer('rocks', 'Rocks on glass', 'bad', 'replace'),
      ],
    },
  ),
  point(
    'spring',
    'Spring return time',
    ['cable', 'diesel-flap', 'bank', 'plastic'],
    figure('s', 0, 30),
    [
      'Open fully, let go, count until it knocks on its stop. Dashpot off.',
      'A slow return is felt as a stall or a hang-up',
      'Clean once; still slow means a bent shaft or a tired spring.',
    ],
    {
      limit: { low: null, high: 0.5, unit: 's' },
      figure: 'springReturn',
      cure: 'rebuild',
      again: true,
      felt: [
        answer('snaps', 'Snaps shut', 'good'),
        answer('slow', 'Falls slowly', 'watch', 'clean'),
        answer('hangs', 'Hangs open', 'bad', 'rebuild'),
      ],
    },
  ),
  point(
    'rest-angle',
    'Returns to its rest angle',
    ['electronic', 'actuator'],
    choice(
      answer('yes', 'Springs back from both sides', 'good'),
      answer('slow', 'Slowly from one side', 'watch', 'clean'),
      answer('no', 'Stays where it is put', 'bad', 'replace'),
    ),
    [
      'Unplugged and off: move it a little by hand each way, only if the house allows it.',
      'The rest angle is what the engine limps home on',
      'A tired return spring is inside the gear case: replace.',
    ],
    { again: true },
  ),
  point(
    'gears',
    'Gears',
    ['electronic', 'diesel-flap', 'actuator'],
    choice(
      answer('whole', 'Whole', 'good'),
      answer('worn', 'Teeth polished or worn', 'watch', 'replace'),
      answer('broken', 'Teeth broken', 'bad', 'replace'),
    ),
    [
      'Cover off only if it can be sealed again; turn slowly through the whole travel.',
      'A tooth that slips is a plate that jumps',
      'Gears are not sold singly here: replace or fit a rebuilt one.',
    ],
  ),
  point(
    'stop-screw',
    'Stop screw and its paint mark',
    CABLED,
    choice(answer('sealed', 'Mark whole', 'good'), answer('moved', 'Mark broken, moved', 'watch', 'rebuild')),
    [
      'Look for paint across screw and lock-nut.',
      'The computer’s zero is this screw',
      'Set it back to the light test and learn again; never trim idle with it.',
    ],
  ),
  point(
    'dashpot',
    'Dashpot rate',
    ['cable'],
    figure('s', 0, 30),
    [
      'Press its rod home, let go, count until it is out.',
      'Too fast and it stalls on lift-off; too slow and it hangs',
      'Renew it: it cannot be opened.',
    ],
    {
      limit: { low: 1, high: 4, unit: 's' },
      figure: 'dashpotTime',
      cure: 'rebuild',
      felt: [
        answer('damps', 'Falls slowly and evenly', 'good'),
        answer('dead', 'Falls as if it were not there', 'bad', 'rebuild'),
        answer('holds', 'Does not come out', 'bad', 'rebuild'),
      ],
    },
  ),
  point(
    'sensor-spring',
    'Sensor spring',
    ['cable', 'bank', 'plastic', 'diesel-flap'],
    choice(answer('firm', 'Turns back firmly', 'good'), answer('slack', 'Slack or catches', 'bad', 'rebuild')),
    [
      'Sensor off: turn its arm and let go.',
      'A slack arm reads another angle each time',
      'Renew the sensor and set it by meter.',
    ],
  ),
  point(
    'gasket-height',
    'Gasket height against new',
    [...all, 'seat', 'passage'],
    { kind: 'against-new', unit: 'mm', low: 0.05, high: 20 },
    ['Calliper on the bead: the old one, then a new one.', 'A crushed bead no longer pushes back', 'Renew it.'],
    {
      limit: { low: 80, high: null, unit: '%' },
      cure: 'renew',
      felt: [answer('proud', 'Still proud', 'good'), answer('level', 'Level with its groove', 'bad', 'renew')],
    },
  ),
  point(
    'ring',
    'O-ring hardness',
    [...all, 'injector', 'fast-idle'],
    figure('Shore A', 10, 100),
    [
      'Durometer, or a nail beside a new one: each ring by name.',
      'A hard ring seals nothing when cold',
      'Renew it, and put it in with what its rubber allows.',
    ],
    {
      limit: { low: 55, high: 82, unit: 'Shore A' },
      figure: 'ringShore',
      cure: 'renew',
      each: true,
      felt: [
        answer('soft', 'Soft as a new one', 'good'),
        answer('firm', 'Firmer than a new one', 'watch', 'renew'),
        answer('hard', 'Hard, keeps a dent', 'bad', 'renew'),
      ],
    },
  ),
  point(
    'ring-look',
    'O-ring, cracks',
    [...all, 'injector', 'fast-idle'],
    choice(
      answer('round', 'Round and whole', 'good'),
      answer('flat', 'Flattened', 'watch', 'renew'),
      answer('cracked', 'Cracked or torn', 'bad', 'renew'),
    ),
    ['Bend it between two fingers under the lamp.', 'A crack opens when it is squeezed', 'Renew it.'],
    { each: true },
  ),
  point(
    'valve-free',
    'Valve turns freely',
    VALVES,
    choice(
      answer('free', 'Free', 'good'),
      answer('stiff', 'Stiff, comes free', 'watch', 'clean'),
      answer('stuck', 'Stuck', 'bad', 'clean'),
    ),
    [
      'Turn it gently by its vane; never by the motor shaft.',
      'A stiff valve lags behind what it is told',
      'Soak and try again; what stays stuck is replaced.',
    ],
    { again: true },
  ),
  point(
    'valve-travel',
    'Valve travel',
    ['rotary-valve', 'stepper-valve', 'duty-valve', 'wax-valve'],
    figure('mm', 0, 60),
    ['From stop to stop along its path.', 'Short travel is idle air that is missing', 'Clean, then replace.'],
    {
      figure: 'valveTravel',
      cure: 'replace',
      again: true,
      felt: [
        answer('lifts', 'Lifts and falls freely', 'good'),
        answer('slow', 'Lifts and falls slowly', 'watch', 'clean'),
        answer('short', 'Stops short', 'bad', 'replace'),
      ],
    },
  ),
  point(
    'coil',
    'Coil resistance',
    ['rotary-valve', 'stepper-valve', 'duty-valve', 'actuator', 'electronic', 'diesel-flap'],
    { kind: 'ohms' },
    [
      'Unplugged; note how warm the coil is: copper gains 4 % each 10 K.',
      'A coil out of its band moves weakly or blows its driver',
      'Replace it: a coil is not repaired.',
    ],
    { figure: 'coilOhms', cure: 'replace', each: true },
  ),
  point(
    'leak',
    'Leak test',
    [...all, 'injector', 'hose', 'breather'],
    choice(
      answer('tight', 'Tight', 'good'),
      answer('weeps', 'Weeps', 'watch', 'renew'),
      answer('leaks', 'Leaks', 'bad', 'renew'),
    ),
    [
      'Put together, ports plugged, 20 kPa of air, soap on every joint; count to thirty.',
      'What leaks here will whistle on the engine',
      'Find the ring that was folded or dry.',
    ],
    { again: true },
  ),
  point(
    'port',
    'Port diameter',
    all,
    figure('mm', 3, 200),
    [
      'Inside calliper, twice, crosswise.',
      'Another port is another amount of air',
      'Wrong variant: compare all its marks.',
    ],
    {
      limit: null,
      felt: [
        answer('same', 'Like the new one by eye', 'good'),
        answer('other', 'Another size by eye', 'bad', 'replace'),
      ],
    },
  ),
  grade('part-deposit', 'Deposit on it', PARTS, 'Under the lamp, on the side that the air or the mist comes from.'),
  point(
    'part-whole',
    'Whole',
    PARTS,
    choice(
      answer('whole', 'Whole', 'good'),
      answer('worn', 'Hard, swollen or worn', 'watch', 'renew'),
      answer('broken', 'Cracked, torn or broken', 'bad', 'renew'),
    ),
    ['Bend it, press it, look along its edges.', 'A crack lets air by that nobody measured', 'Renew it.'],
    { again: true },
  ),
  point(
    'part-clear',
    'Its way is clear',
    PARTS,
    choice(
      answer('clear', 'Clear', 'good'),
      answer('narrow', 'Narrowed', 'watch', 'clean'),
      answer('shut', 'Shut', 'bad', 'clean'),
    ),
    ['Look or blow through it, never with the mouth.', 'What is narrow starves or floods', 'Clean it, and look again.'],
    { again: true },
  ),
  point(
    'part-moves',
    'What moves in it moves',
    PARTS,
    choice(
      answer('free', 'Moves or rattles freely', 'good'),
      answer('stiff', 'Stiff', 'watch', 'clean'),
      answer('stuck', 'Stuck', 'bad', 'replace'),
      answer('nothing', 'Nothing in it moves', 'noted'),
    ),
    [
      'Shake it, press it with a finger.',
      'A valve that sticks is a leak or a plug',
      'Clean it; what still sticks is renewed.',
    ],
    { again: true },
  ),
  point(
    'part-face',
    'Where it seals',
    PARTS,
    choice(
      answer('clean', 'Clean and flat', 'good'),
      answer('rests', 'Old gasket on it', 'watch', 'clean'),
      answer('marked', 'Scratched or pitted', 'bad', 'replace'),
    ),
    [
      'A straight edge and a lamp behind it.',
      'A face that is marked leaks round a new gasket',
      'Plastic first; a mark is dressed or the part renewed.',
    ],
    { again: true },
  ),
];

/** What each bore of a casting has of its own. */
export const PER_BORE: readonly string[] = [
  'deposit-front',
  'deposit-back',
  'deposit-edge',
  'light',
  'plate-flat',
  'port',
];

/** The walk for a form. */
export const pointsFor = (form: UnitForm): readonly InspectPoint[] =>
  POINTS.filter(({ forms }) => forms.includes(form));
/** Where a round of cleaning is judged: in a valve's port, at the edge that the plate closes on, or on a part. */
export const cleaningPoint = (form: UnitForm): 'valve-deposit' | 'deposit-edge' | 'part-deposit' =>
  isPart(form) ? 'part-deposit' : VALVES.includes(form) ? 'valve-deposit' : 'deposit-edge';

/** The name of a point; `gasket` was one before each ring was judged. */
export const pointName = (id: string): string => pointOf(id)?.name ?? (id === 'gasket' ? 'Gasket and O-ring' : id);
/** A point by its id, or undefined. */
export const pointOf = (id: string): InspectPoint | undefined => POINTS.find((point) => point.id === id);
