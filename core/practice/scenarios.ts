import type { Group, OptionId } from '../diagnose/index.ts';
import type { Scenario } from './scenario.ts';

/** What a scenario of a cause teaches, its difficulty, and the groups it is practised on. */
const ONE: readonly (readonly [
  cause: string,
  difficulty: Scenario['difficulty'],
  groups: readonly Group[],
  teaches: string,
])[] = [
  [
    'deposit',
    1,
    ['cable', 'electronic', 'motorcycle', 'outboard', 'diesel-flap', 'multi-bank'],
    'A ring at the edge takes the air that idle needs; look behind the plate too.',
  ],
  [
    'foreign',
    2,
    ['cable', 'electronic', 'motorcycle', 'outboard', 'diesel-flap', 'multi-bank'],
    'An object on the plate is found by one look, and by no code.',
  ],
  ['wrong-variant', 3, ['cable', 'electronic'], 'A unit can be new and wrong: compare before anything is cleaned.'],
  ['warped', 2, ['cable', 'electronic'], 'Uneven light is never cured by cleaning; a straight edge says so.'],
  ['shaft', 2, ['cable', 'electronic', 'motorcycle'], 'Play is felt, not seen, and cleaning makes it worse.'],
  [
    'stiff-shaft',
    2,
    ['cable', 'electronic', 'diesel-flap'],
    'A slow return is the shaft or the spring: free it before it is blamed.',
  ],
  [
    'valve-stuck',
    1,
    ['cable', 'multi-bank', 'motorcycle', 'outboard'],
    'A valve that clicks and does not turn is driven well and stuck.',
  ],
  [
    'valve-coil',
    1,
    ['cable', 'multi-bank', 'outboard'],
    'Dead is not stuck: ohms at a known temperature tell them apart.',
  ],
  ['valve-leak', 2, ['cable', 'outboard'], 'A hard ring lets air past a valve that is nearly shut.'],
  ['passage', 2, ['cable', 'motorcycle'], 'The valve is free and the air still does not come: look into its passage.'],
  [
    'cable',
    1,
    ['cable', 'motorcycle', 'outboard'],
    'A tight cable holds the plate open before the computer has a say.',
  ],
  ['dashpot', 2, ['cable', 'motorcycle'], 'It stalls on lift-off or hangs: count the seconds of the damper.'],
  ['idle-screw', 2, ['cable', 'outboard'], 'An O-ring of a screw is an air leak that nobody looks for.'],
  ['stop-moved', 2, ['cable', 'motorcycle'], 'A broken paint mark: somebody has moved the zero.'],
  ['sync', 2, ['motorcycle', 'multi-bank'], 'Rough with nothing wrong on any body: balance them.'],
  ['fast-idle', 2, ['cable', 'motorcycle'], 'Fast idle that stays is wax, not the computer.'],
  ['gears', 2, ['electronic', 'multi-bank', 'diesel-flap'], 'A plate that jumps has teeth missing.'],
  [
    'motor',
    2,
    ['electronic', 'multi-bank', 'diesel-flap'],
    'A circuit code of the motor is measured at the motor first.',
  ],
  [
    'not-learned',
    1,
    ['cable', 'electronic', 'multi-bank'],
    'After a battery or a cleaning, learn before anything is replaced.',
  ],
  [
    'position',
    2,
    ['cable', 'electronic', 'outboard', 'multi-bank'],
    'A worn track drops out for a moment: sweep it slowly, and record it.',
  ],
  [
    'pigtail',
    3,
    ['cable', 'electronic', 'motorcycle', 'outboard', 'diesel-flap', 'multi-bank'],
    'It comes and goes with the loom: green pins behind the lock.',
  ],
  [
    'left-unplugged',
    1,
    ['cable', 'electronic', 'motorcycle', 'diesel-flap'],
    'It began after work: count the connectors before the codes.',
  ],
  ['pedal', 3, ['electronic', 'multi-bank'], 'The throttle only obeys: compare both tracks of the pedal.'],
  ['module', 3, ['cable', 'electronic'], 'No drive at the plug while the valve is whole: it is what drives it.'],
  [
    'other-system',
    3,
    ['electronic', 'multi-bank'],
    'Another system holds the power back; the throttle is not to blame.',
  ],
  [
    'intake-leak',
    1,
    ['cable', 'electronic', 'motorcycle', 'diesel-flap', 'multi-bank'],
    'Lean at idle and better above: listen, spray carefully, smoke it.',
  ],
  ['flange-leak', 2, ['cable', 'electronic'], 'It leaks since the body was off: a crushed gasket or a folded boot.'],
  ['pcv', 2, ['cable', 'electronic'], 'Oil in the duct and a breather that does not rattle.'],
  ['purge', 3, ['cable', 'electronic'], 'Rough after filling up: pinch the purge hose warm.'],
  [
    'air-meter',
    2,
    ['cable', 'electronic', 'diesel-flap'],
    'Lean everywhere and no leak: the meter tells less air than there is.',
  ],
  ['egr', 3, ['diesel-flap', 'electronic'], 'Smoke and a heavy back of the plate: blank it once and see.'],
  ['coolant-sensor', 2, ['cable', 'electronic'], 'Cold, all temperatures should agree.'],
  ['coolant-low', 2, ['cable', 'electronic'], 'No heat in the cabin and an idle that hunts: look at the level first.'],
  ['ignition', 1, ['cable', 'electronic', 'motorcycle'], 'One cylinder: no throttle does that.'],
  ['fuel', 2, ['cable', 'electronic', 'outboard'], 'Weak under load and lean everywhere: measure the pressure.'],
  [
    'supply',
    2,
    ['cable', 'electronic', 'motorcycle', 'outboard', 'multi-bank'],
    'Everything a little weak, worse with loads: volts and ground under load.',
  ],
  ['other', 3, ['cable', 'electronic', 'diesel-flap'], 'When nothing of the intake fits, compression is next.'],
];

const TWO: readonly (readonly [faults: readonly [string, string], group: Group, teaches: string])[] = [
  [['deposit', 'stiff-shaft'], 'cable', 'Clean it and it still returns slowly: one fault can stand behind another.'],
  [['deposit', 'intake-leak'], 'cable', 'A deposit asks for more air and a leak gives it: idle can look right.'],
  [['deposit', 'supply'], 'cable', 'A dirty plate and a weak battery together stall what either alone would not.'],
  [['foreign', 'valve-stuck'], 'cable', 'What was found by one look is not all there is.'],
  [['foreign', 'gears'], 'electronic', 'The object that broke the teeth.'],
  [['wrong-variant', 'valve-coil'], 'cable', 'The wrong valve, and a dead one.'],
  [['warped', 'valve-leak'], 'cable', 'Heat has warped the body and hardened the ring.'],
  [['warped', 'ignition'], 'cable', 'A high idle and a dead cylinder have nothing to do with each other.'],
  [['shaft', 'sync'], 'motorcycle', 'Balance will not hold while a shaft has play.'],
  [['shaft', 'position'], 'cable', 'A shaft with play wears the track that rides on it.'],
  [['valve-stuck', 'dashpot'], 'cable', 'It stalls cold and on lift-off: two old parts of one body.'],
  [['valve-stuck', 'flange-leak'], 'cable', 'The leak hides what the valve cannot give, until it is mended.'],
];

const AFTER: readonly (readonly [cause: string, group: Group, tried: readonly OptionId[], teaches: string])[] = [
  ['intake-leak', 'cable', ['clean-bench'], 'It was cleaned and is as before: the air comes from elsewhere.'],
  ['pigtail', 'electronic', ['replace'], 'A new unit and the same codes: look at what it is plugged into.'],
  ['foreign', 'electronic', ['relearn'], 'It would not learn: something keeps the plate from closing.'],
  ['pcv', 'cable', ['clean-bench'], 'Clean, and soon oily again.'],
  ['position', 'electronic', ['clean-bench'], 'Cleaning does not mend a track.'],
  ['warped', 'cable', ['clean-bench'], 'Cleaned twice, and the light is still uneven.'],
];

/** Scenarios that ship with the program. */
export const SCENARIOS: readonly Scenario[] = [
  ...ONE.flatMap(([cause, difficulty, groups, teaches]) =>
    groups.map((group): Scenario => ({
      id: `${cause}-${group}`,
      group,
      faults: [cause],
      seed: 1,
      difficulty,
      teaches,
      tried: [],
    })),
  ),
  ...TWO.map(([faults, group, teaches]): Scenario => ({
    id: `${faults.join('-and-')}-${group}`,
    group,
    faults,
    seed: 1,
    difficulty: 3,
    teaches,
    tried: [],
  })),
  ...AFTER.map(([cause, group, tried, teaches]): Scenario => ({
    id: `${cause}-${group}-after-${tried.join('-')}`,
    group,
    faults: [cause],
    seed: 2,
    difficulty: 3,
    teaches,
    tried,
  })),
];
