import type { Vehicle } from '../../../core/vehicle/index.ts';

/** A check that is often worth doing, with how and why. Minutes are shop figures. */
export interface StandardCheck {
  readonly name: string;
  readonly minutes: number;
  readonly steps: readonly string[];
  readonly normal: string;
  readonly why: string;
  readonly fits: (vehicle: Vehicle) => boolean;
}

const always = (): boolean => true;
const hasValve = ({ idleValve }: Vehicle): boolean => idleValve !== 'none';
const isElectronic = ({ throttle }: Vehicle): boolean => throttle === 'electronic';
const isCable = ({ throttle }: Vehicle): boolean => throttle === 'cable';

/** From the cheapest upward. The ranking by what each would tell belongs to the diagnosis itself. */
export const STANDARD_CHECKS: readonly StandardCheck[] = [
  {
    name: 'Shake the PCV valve',
    minutes: 4,
    steps: ['Pull it from its grommet.', 'Shake it: it should rattle free.'],
    normal: 'rattles free',
    why: 'Stuck open it is an air leak; its mist is where most deposit comes from.',
    fits: always,
  },
  {
    name: 'Valve clicks or moves with key on',
    minutes: 4,
    steps: ['Key on, engine off.', 'Hand on the valve: feel it move once.'],
    normal: 'moves once, then still',
    why: 'A valve that buzzes or clicks on is looking for its stop.',
    fits: hasValve,
  },
  {
    name: 'Key-on sweep of the plate',
    minutes: 6,
    steps: [
      'Duct off, hands clear, key on.',
      'A second person moves the pedal slowly.',
      'The plate follows without steps.',
    ],
    normal: 'follows smoothly',
    why: 'Worn gears skip; a foreign object stops it.',
    fits: isElectronic,
  },
  {
    name: 'Cable play and full travel',
    minutes: 4,
    steps: ['Pedal at rest: a little play.', 'Pedal to the floor: the plate stands full open.'],
    normal: '2 mm of play, full travel',
    why: 'A tight cable holds the plate off its stop.',
    fits: isCable,
  },
  {
    name: 'Plug, pins and pigtail',
    minutes: 7,
    steps: ['Key off. Slide the lock, pull the plug.', 'Look for green, bent pins, pulled wires.'],
    normal: 'dry and bright',
    why: 'A broken pigtail costs days when it is found last.',
    fits: always,
  },
  {
    name: 'Duct off, look at the plate',
    minutes: 8,
    steps: [
      'Loosen both clamps, take the duct off.',
      'Look at the edge of the plate and for oil in the duct.',
      'Look for anything that does not belong.',
    ],
    normal: 'thin even film',
    why: 'Shows deposit, oil and foreign objects at once.',
    fits: always,
  },
  {
    name: 'Intake leak, hose by hose',
    minutes: 9,
    steps: [
      'Engine idling, hand on each joint in turn.',
      'Press the duct at its folds; watch the speed.',
      'Note where it changes.',
    ],
    normal: 'no change anywhere',
    why: 'Unmeasured air looks just like a dirty throttle.',
    fits: always,
  },
  {
    name: 'Idle screw O-ring',
    minutes: 5,
    steps: ['Count the turns in.', 'Look at the ring: hard or flat?'],
    normal: 'soft, round',
    why: 'A hardened ring leaks air past the screw.',
    fits: isCable,
  },
  {
    name: 'Variant against what is fitted',
    minutes: 6,
    steps: ['Read the mark on the unit.', 'Compare port, gasket outline and pins with the file.'],
    normal: 'the same',
    why: 'The wrong variant sets idle codes even when new.',
    fits: always,
  },
];
