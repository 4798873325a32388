import { type Recipe, recipeOf, type RunCondition, step } from '../core/relearn/index.ts';

const SOURCE = 'demo data, made up for this engine';
const warmC: RunCondition = { kind: 'reading', name: 'ect', low: 82, high: null, unit: '°C', words: '' };
const quiet: RunCondition = { kind: 'flag', name: 'loads-off', on: true, words: '' };
const neutral: RunCondition = { kind: 'flag', name: 'in-neutral', on: true, words: '' };
const families = (...ids: string[]): Recipe['fits'] => ({ families: ids, kinds: [], vehicles: [] });

/** Relearns of the demo vehicles, one of each way that people go about it. Timings are made up. */
export const RECIPES: readonly Recipe[] = [
  recipeOf({
    id: 'wick-tool',
    name: 'Wick: throttle stops by the tool, or timed',
    source: SOURCE,
    fits: families('calder-14'),
    steps: [
      step({
        id: 'battery',
        kind: 'check',
        title: 'Battery above 12.2 V, everything off',
        how: 'Charger on if in doubt: it breaks off in the middle otherwise.',
        conditions: [{ kind: 'reading', name: 'volts', low: 12.2, high: null, unit: 'V', words: '' }, quiet],
      }),
      step({
        id: 'tool',
        kind: 'tool',
        title: 'Throttle adaptation on the tool',
        how: 'Key on, engine off. Fingers away from the plate: it drives to both stops.',
        asks: 'the text it ended on',
        answers: [
          { words: 'Adaptation finished', goTo: 'store' },
          { words: 'It broke off', goTo: 'key-on' },
        ],
        instead: [{ words: 'No tool here: timed', goTo: 'key-on' }],
      }),
      step({
        id: 'key-on',
        kind: 'key',
        title: 'Key on, engine off',
        how: 'Foot off the pedal. You hear the plate seek its stops.',
        seconds: 20,
        conditions: [{ kind: 'flag', name: 'foot-off', on: true, words: '' }],
      }),
      step({ id: 'key-off', kind: 'key', title: 'Key off', how: 'Wait for the relay to drop.', seconds: 10 }),
      step({
        id: 'pedal',
        kind: 'pedal',
        title: 'Key on, pedal slowly down and up',
        how: 'To the floor in three seconds, and back in three.',
        again: { back: 'pedal', times: 2 },
      }),
      step({ id: 'store', kind: 'key', title: 'Key off to store', how: 'Leave it off.', seconds: 15 }),
    ],
  }),
  recipeOf({
    id: 'wick-pedal',
    name: 'Wick: timed key and pedal',
    source: SOURCE,
    fits: families('calder-14'),
    steps: [
      step({ id: 'on', kind: 'key', title: 'Key on, engine off', how: 'Wait.', seconds: 3 }),
      step({
        id: 'press',
        kind: 'pedal',
        title: 'Pedal down and up, five times within five seconds',
        how: 'Even strokes, to the floor.',
      }),
      step({ id: 'wait', kind: 'wait', title: 'Foot off, wait', how: 'Count nothing, touch nothing.', seconds: 7 }),
      step({
        id: 'hold',
        kind: 'pedal',
        title: 'Pedal down until the lamp stays lit',
        how: 'It flashes first. Let go within three seconds of its staying lit.',
        answers: [
          { words: 'Lit, and let go in time', goTo: 'start' },
          { words: 'It only flashed', goTo: 'on' },
        ],
      }),
      step({ id: 'start', kind: 'key', title: 'Start, and let it idle', how: 'Foot off.', seconds: 20 }),
    ],
  }),
  recipeOf({
    id: 'parcel-turns',
    name: 'Parcel: timed idle in turns, then a staged drive',
    source: SOURCE,
    fits: families('norrland-25'),
    steps: [
      step({
        id: 'run',
        kind: 'wait',
        title: 'Run at idle, everything off',
        how: 'Time does not count while the radiator fan runs.',
        seconds: 180,
        conditions: [warmC, quiet, neutral],
        pausedBy: ['fan-running'],
        endsBadly: [
          {
            name: 'rpm',
            below: 400,
            above: null,
            unit: 'rpm',
            words: 'It stalled: begin the turn again.',
            goTo: 'run',
          },
        ],
      }),
      step({
        id: 'off',
        kind: 'key',
        title: 'Key off',
        how: 'The valve goes to its rest and the values are written.',
        seconds: 15,
        again: { back: 'run', times: 2 },
      }),
      step({
        id: 'codes',
        kind: 'check',
        title: 'Look at the codes',
        how: 'Key on. Pending ones count too.',
        answers: [
          { words: 'No code', goTo: 'slow' },
          { words: 'A code is back', goTo: 'failed' },
        ],
      }),
      step({
        id: 'slow',
        kind: 'drive',
        title: 'Drive, first stage',
        how: 'Steadily, no hill. Only where lawful and safe.',
        seconds: 120,
        conditions: [{ kind: 'reading', name: 'speed', low: 25, high: 40, unit: 'km/h', words: '' }],
      }),
      step({
        id: 'fast',
        kind: 'drive',
        title: 'Drive, second stage',
        how: 'Then foot off and let it coast down in gear.',
        seconds: 120,
        conditions: [{ kind: 'reading', name: 'speed', low: 55, high: 75, unit: 'km/h', words: '' }],
      }),
    ],
  }),
  recipeOf({
    id: 'fan-hold',
    name: 'Till: hold a speed until the fan has cycled',
    source: SOURCE,
    fits: families('ostrea-20'),
    steps: [
      step({
        id: 'hold',
        kind: 'hold rpm',
        title: 'Hold 1,500 rpm',
        how: 'Until the radiator fan has come on and gone off again.',
        conditions: [
          { kind: 'reading', name: 'rpm', low: 1400, high: 1600, unit: 'rpm', words: '' },
          { kind: 'flag', name: 'fan-cycled', on: true, words: '' },
        ],
        endsBadly: [
          {
            name: 'ect',
            below: null,
            above: 226,
            unit: '°F',
            words: 'Too hot, and no fan: engine off. Look at the fan first.',
            goTo: 'failed',
          },
        ],
      }),
      step({
        id: 'idle',
        kind: 'idle until',
        title: 'Down to idle, everything off',
        how: 'It drops, catches itself and settles.',
        seconds: 60,
        conditions: [quiet],
      }),
    ],
  }),
  recipeOf({
    id: 'regent-actuators',
    name: 'Regent: actuators, one after the other',
    source: SOURCE,
    fits: { families: ['vantaro-46'], kinds: ['throttle-actuator', 'idle-actuator'], vehicles: [] },
    flags: [{ id: 'left-unplugged', on: 'left idle actuator unplugged', off: 'left idle actuator plugged in' }],
    steps: [
      step({
        id: 'right-throttle',
        kind: 'tool',
        title: 'Right throttle actuator',
        how: 'Choose it on the tool by its bank. It drives to both stops.',
        asks: 'what the tool said of the right bank',
      }),
      step({
        id: 'left-throttle',
        kind: 'tool',
        title: 'Left throttle actuator',
        how: 'The same for the left bank: the part numbers are alike, the banks are not.',
        asks: 'what the tool said of the left bank',
      }),
      step({
        id: 'right-idle',
        kind: 'idle until',
        title: 'Right idle actuator alone',
        how: 'Left one unplugged: this sets a code of our own, which is cleared afterwards.',
        seconds: 60,
        conditions: [{ kind: 'flag', name: 'left-unplugged', on: true, words: '' }, quiet],
        instead: [{ words: 'The tool does both at once', goTo: 'settle' }],
      }),
      step({
        id: 'settle',
        kind: 'idle until',
        title: 'Both plugged in, idle until they agree',
        how: 'The share of each settles within a few per cent of the other.',
        seconds: 120,
        conditions: [{ kind: 'flag', name: 'left-unplugged', on: false, words: '' }, quiet],
      }),
      step({
        id: 'drive',
        kind: 'drive',
        title: 'Drive steadily',
        how: 'Only where lawful and safe; a second person types.',
        seconds: 240,
        conditions: [{ kind: 'reading', name: 'speed', low: 30, high: 45, unit: 'mph', words: '' }],
      }),
    ],
  }),
  recipeOf({
    id: 'terrow-adapts',
    name: 'Terrow: it adapts while it runs',
    source: SOURCE,
    way: 'itself',
    lookAgain: { value: 2, unit: 'h' },
    fits: families('terrow-45'),
  }),
  recipeOf({
    id: 'sule-none',
    name: 'Sule: none needed after cleaning',
    source: SOURCE,
    way: 'none',
    fits: families('sule-650', 'sule-900'),
  }),
];
