import type { Sign } from '../types.ts';
import { checked, outcome } from './build.ts';

const ROAD = ['cable', 'electronic', 'diesel-flap', 'multi-bank'] as const;

/** Eyes, ears and hands. */
export const VISUAL_CHECKS: readonly Sign[] = [
  checked(
    'leak-by-ear',
    'Listen for leaks, hose by hose',
    [
      outcome('changed|Speed changed at a joint|speed changed at a joint'),
      outcome('none|No change anywhere|no change at any joint'),
    ],
    { changed: 'never' },
    {
      minutes: 9,
      key: 'engine running',
      steps: [
        'Engine idling, hand on each joint in turn.',
        'Press the duct at its folds; watch the speed.',
        'Note where it changes.',
      ],
      normal: 'no change anywhere',
      cautions: ['running'],
    },
  ),
  checked(
    'smoke-test',
    'Smoke into the intake',
    [
      outcome('hose|Smoke at a hose or duct|smoke at a hose or duct'),
      outcome('flange|Smoke at the body flange|smoke at the body flange'),
      outcome('none|No smoke|no smoke anywhere'),
    ],
    { hose: 'never', flange: 'never' },
    {
      minutes: 20,
      costMinor: 600,
      key: 'key off',
      tools: ['smoke machine, low pressure'],
      steps: [
        'Block the intake, feed smoke at 2 kPa at most.',
        'Wait two minutes; look with a lamp along every joint.',
        'Look at the body flange and at the idle screw too.',
      ],
      normal: 'no smoke',
    },
  ),
  checked(
    'pcv-shake',
    'Shake the PCV valve',
    [
      outcome('silent|Does not rattle|PCV valve does not rattle'),
      outcome('rattles|Rattles free|PCV valve rattles free'),
    ],
    { silent: 'never' },
    {
      minutes: 4,
      key: 'key off',
      steps: ['Pull it from its grommet.', 'Shake it: it should rattle free.', 'Blow gently: one way only.'],
      normal: 'rattles, blows one way',
    },
    { groups: ['cable', 'electronic', 'multi-bank'] },
  ),
  checked(
    'pcv-pinch',
    'Pinch the breather hose',
    [
      outcome('settles|Idle settles|idle settles with the breather pinched'),
      outcome('none|No change|pinching the breather changes nothing'),
    ],
    { settles: 'never' },
    {
      minutes: 3,
      key: 'engine running',
      tools: ['hose clamp with smooth jaws'],
      steps: [
        'Engine warm and idling.',
        'Pinch the breather hose for five seconds.',
        'Watch the idle; let go at once.',
      ],
      normal: 'a small dip at most',
      cautions: ['running'],
      needs: ['warm'],
      leaves: ['warm'],
    },
    { groups: ROAD },
  ),
  checked(
    'purge-pinch',
    'Pinch the purge hose',
    [
      outcome('settles|Idle settles|idle settles with the purge hose pinched'),
      outcome('none|No change|pinching the purge hose changes nothing'),
    ],
    { settles: 'never' },
    {
      minutes: 3,
      key: 'engine running',
      steps: ['Engine warm and idling.', 'Pinch the hose between purge valve and manifold.', 'Watch the idle.'],
      normal: 'no change',
      cautions: ['running'],
      needs: ['warm'],
      leaves: ['warm'],
    },
    { groups: ['cable', 'electronic', 'multi-bank'] },
  ),
  checked(
    'duct-off-look',
    'Duct off, look at the plate',
    [
      outcome('object|Something lies there|foreign object at the plate'),
      outcome('ring|Dark ring or crust at the edge|ring of deposit at the plate edge'),
      outcome('oil|Wet with oil|duct wet with oil'),
      outcome('clean|Thin even film|plate clean'),
    ],
    { object: 'never', ring: 'seldom', oil: 'seldom' },
    {
      minutes: 8,
      key: 'key off',
      tools: ['lamp', 'mirror'],
      steps: [
        'Loosen both clamps, take the duct off.',
        'Look at the edge of the plate all round, with a lamp.',
        'Look for anything that does not belong: seed, clip, rag, ice.',
        'Feel the duct for oil.',
      ],
      normal: 'thin even film, nothing loose',
      cautions: ['plate'],
      leaves: ['duct-off'],
    },
  ),
  checked(
    'light-gap',
    'Light round the closed plate',
    [
      outcome('uneven|Wide on one side|light gap uneven'),
      outcome('blocked|No light at all|no light round the plate'),
      outcome('even|Thin and even|light gap thin and even'),
    ],
    { uneven: 'never', blocked: 'seldom' },
    {
      minutes: 5,
      key: 'key off',
      tools: ['lamp'],
      steps: ['Lamp behind, eye in front, plate closed.', 'Mark where light shows, clock-face style.'],
      normal: 'a thin even crescent',
      cautions: ['plate'],
      after: ['duct-off-look'],
      needs: ['duct-off'],
      leaves: ['duct-off'],
    },
  ),
  checked(
    'plate-by-hand',
    'Move the plate by its linkage',
    [
      outcome('sticks|Sticks as it leaves its stop|plate sticks as it leaves its stop'),
      outcome('sandy|Drags or does not return|plate drags or does not return'),
      outcome('free|Free, snaps shut|plate moves freely'),
    ],
    { sticks: 'never', sandy: 'never' },
    {
      minutes: 4,
      key: 'key off',
      steps: [
        'Key off, by the linkage and not by the plate.',
        'Open slowly from the stop, then let go.',
        'Feel for a step at the start and a lazy return.',
      ],
      normal: 'free, snaps shut',
    },
    { groups: ['cable', 'motorcycle', 'outboard'] },
  ),
  checked(
    'shaft-play',
    'Shaft play',
    [outcome('felt|Play can be felt|play in the throttle shaft'), outcome('none|None felt|no shaft play')],
    { felt: 'never' },
    {
      minutes: 3,
      key: 'key off',
      steps: [
        'Rock the shaft at both ends, across its axis.',
        'Engine idling: a drop of oil at the shaft end must not change the speed.',
      ],
      normal: 'none felt',
      needs: ['duct-off'],
      leaves: ['duct-off'],
    },
  ),
  checked(
    'cable-play',
    'Cable play and full travel',
    [
      outcome('tight|No play, holds the plate off|cable holds the plate off its stop'),
      outcome('short|Does not open fully|plate does not open fully'),
      outcome('right|A little play, full travel|cable right'),
    ],
    { tight: 'never', short: 'never' },
    {
      minutes: 4,
      key: 'key off',
      steps: [
        'Pedal or grip at rest: a little play at the drum.',
        'To the floor: the plate stands full open.',
        'Turn the bars or steer fully: the play must stay.',
      ],
      normal: '1 to 3 mm of play, full travel',
    },
    { groups: ['cable', 'motorcycle', 'outboard'] },
  ),
  checked(
    'stop-screw',
    'Stop screw and its paint mark',
    [outcome('moved|Mark broken, moved|stop screw was moved'), outcome('sealed|Mark whole|stop screw untouched')],
    { moved: 'never' },
    {
      minutes: 2,
      key: 'key off',
      steps: ['Look for the factory’s paint across screw and boss.', 'Count how many threads stand proud and note it.'],
      normal: 'paint whole',
    },
    { groups: ['cable', 'motorcycle', 'outboard'] },
  ),
  checked(
    'idle-screw-ring',
    'Idle screw O-ring',
    [
      outcome('hard|Hard, flat or missing|idle screw O-ring hard'),
      outcome('soft|Soft and round|idle screw O-ring good'),
    ],
    { hard: 'seldom' },
    {
      minutes: 6,
      key: 'key off',
      steps: [
        'Count the turns in until it seats, and write them down.',
        'Take it out; press the ring with a nail.',
        'Put it back to the counted turns.',
      ],
      normal: 'soft, round, oiled',
    },
    { groups: ['cable', 'outboard'] },
  ),
  checked(
    'boot-look',
    'Boot and gasket at the flange',
    [
      outcome('folded|Folded, cracked or proud|boot folded or gasket damaged'),
      outcome('good|Sits all round|boot and gasket sit well'),
    ],
    { folded: 'never' },
    {
      minutes: 5,
      key: 'key off',
      tools: ['mirror', 'lamp'],
      steps: [
        'Mirror and lamp all round the flange or boot.',
        'Look for a folded lip, a crack, a gasket crushed to one side.',
      ],
      normal: 'sits evenly all round',
    },
  ),
  checked(
    'variant',
    'Variant against what the computer expects',
    [outcome('differs|Differs|unit is of the wrong variant'), outcome('same|The same|unit is the right variant')],
    { differs: 'never' },
    {
      minutes: 6,
      key: 'key off',
      tools: ['callipers', 'mirror'],
      steps: [
        'Read the casting mark and part number.',
        'Measure the port; compare the gasket outline and count the pins.',
        'Compare with the family’s file.',
      ],
      normal: 'as in the family’s file',
    },
  ),
  checked(
    'plug-pins',
    'Plug, pins and pigtail',
    [outcome('bad|Green, bent or broken|plug or pigtail damaged'), outcome('good|Dry and bright|plug and pins good')],
    { bad: 'never' },
    {
      minutes: 7,
      key: 'key off',
      steps: [
        'Key off. Slide the lock, pull the plug by its body.',
        'Look for green, bent pins, pulled wires.',
        'Bend the pigtail where it leaves the sleeve.',
      ],
      normal: 'dry and bright, wires firm',
      cautions: ['plate'],
      leaves: ['plug-out'],
    },
  ),
  checked(
    'plugs-look',
    'Spark plugs out, look',
    [outcome('worn|Worn or fouled|spark plugs worn or fouled'), outcome('good|Even and dry|spark plugs even')],
    { worn: 'seldom' },
    {
      minutes: 22,
      key: 'key off',
      tools: ['plug socket', 'gap gauge'],
      steps: [
        'Engine cool enough to touch.',
        'Plugs out in cylinder order; lay them in a row.',
        'Compare colour and gap.',
      ],
      normal: 'all alike, gap in the book',
      cautions: ['hot-coolant'],
    },
    { groups: ['cable', 'electronic', 'multi-bank', 'motorcycle', 'outboard'] },
  ),
];

/** Checks for which something has to come off first. */
export const BENCH_CHECKS: readonly Sign[] = [
  checked(
    'flatness',
    'Straight edge across the body',
    [outcome('warped|Light under the edge|body or plate warped'), outcome('flat|Flat|body flat')],
    { warped: 'never' },
    {
      minutes: 25,
      key: 'key off',
      tools: ['straight edge', 'feeler gauges'],
      steps: [
        'Body off its manifold, flange clean.',
        'Straight edge both ways and across.',
        'Feeler under the edge: note the thickest that goes.',
      ],
      normal: 'less than 0.05 mm',
      after: ['duct-off-look'],
    },
  ),
  checked(
    'gear-look',
    'Gears under the cover',
    [outcome('worn|Teeth worn or broken|gears worn'), outcome('good|Whole|gears whole')],
    { worn: 'never' },
    {
      minutes: 18,
      key: 'key off',
      steps: [
        'Plug out. Cover off where it is made to come off.',
        'Turn the gears by finger through the whole travel.',
        'Look for shaved teeth and for dust.',
      ],
      normal: 'whole, light grease',
      cautions: ['plate'],
      after: ['plug-pins'],
    },
    { groups: ['electronic', 'multi-bank', 'diesel-flap'] },
  ),
  checked(
    'relearn-trial',
    'Relearn and see',
    [outcome('cured|Idles as it should|a relearn cured it'), outcome('same|No change|a relearn changed nothing')],
    { cured: 'never' },
    {
      minutes: 15,
      key: 'engine running',
      steps: [
        'Engine warm, loads off, battery above 12.4 V.',
        'Do the maker’s relearn once, all of it.',
        'Drive a short way and let it idle.',
      ],
      normal: 'idles in its band',
      cautions: ['running'],
      needs: ['warm'],
      leaves: ['warm'],
    },
    { groups: ['cable', 'electronic', 'multi-bank', 'diesel-flap'] },
  ),
];
