import type { Recipe, RunStep } from './types.ts';

const step = (partial: Partial<RunStep> & Pick<RunStep, 'id' | 'kind' | 'title' | 'how'>): RunStep => ({
  seconds: null,
  conditions: [],
  pausedBy: [],
  endsBadly: null,
  ...partial,
});
const warm = { kind: 'reading', name: 'ect', low: 80, high: null, words: 'coolant at 80 °C or more' } as const;
const quiet = { kind: 'flag', name: 'loads-off', on: true, words: 'lights, fan and heater off' } as const;

/** Demo data: timings made up for the demo vehicles. The maker's own procedure comes first. */
export const RECIPES: readonly Recipe[] = [
  {
    id: 'timed-idle',
    name: 'Timed key and idle',
    purpose: 'relearn',
    source: null,
    steps: [
      step({
        id: 'key-on',
        kind: 'key',
        title: 'Key on, engine off',
        how: 'Do not touch the pedal. The valve sweeps to its stops.',
        seconds: 10,
      }),
      step({ id: 'key-off', kind: 'key', title: 'Key off', how: 'Wait until the main relay drops.', seconds: 10 }),
      step({
        id: 'start',
        kind: 'key',
        title: 'Start, foot off the pedal',
        how: 'It may run rough until cleaner has burned off.',
      }),
      step({
        id: 'warm',
        kind: 'idle until',
        title: 'Idle until warm',
        how: 'Type the coolant temperature as it climbs.',
        conditions: [warm],
      }),
      step({
        id: 'idle',
        kind: 'wait',
        title: 'Idle, everything off',
        how: 'Time does not count while the radiator fan runs.',
        seconds: 180,
        conditions: [warm, quiet],
        pausedBy: ['fan-running'],
        endsBadly: {
          name: 'rpm',
          below: 400,
          above: null,
          words: 'It stalled. Start again and let it idle.',
          goTo: 'start',
        },
      }),
      step({
        id: 'store',
        kind: 'key',
        title: 'Key off to store',
        how: 'Leave it off so that the values are written.',
        seconds: 15,
      }),
    ],
  },
  {
    id: 'drive',
    name: 'Drive cycle',
    purpose: 'relearn',
    source: null,
    steps: [
      step({
        id: 'warm',
        kind: 'idle until',
        title: 'Idle until warm',
        how: 'Type the coolant temperature as it climbs.',
        conditions: [warm],
      }),
      step({
        id: 'steady',
        kind: 'drive',
        title: 'Drive steadily',
        how: 'Between 40 and 60 km/h, gently. Only where lawful and safe; a second person types.',
        seconds: 300,
        conditions: [{ kind: 'reading', name: 'speed', low: 40, high: 60, words: 'between 40 and 60 km/h' }],
      }),
      step({
        id: 'coast',
        kind: 'drive',
        title: 'Coast to rest, three times',
        how: 'Foot off from 50 km/h in gear, let it come to rest.',
      }),
      step({
        id: 'rest',
        kind: 'idle until',
        title: 'Idle at rest',
        how: 'In neutral, everything off.',
        seconds: 60,
        conditions: [quiet],
        pausedBy: ['fan-running'],
      }),
    ],
  },
  {
    id: 'bleed',
    name: 'Bleed the coolant',
    purpose: 'bleed',
    source: null,
    steps: [
      step({
        id: 'open',
        kind: 'check',
        title: 'Cap loose or bleed point open',
        how: 'Engine cold. Heater to hot, blower low.',
      }),
      step({
        id: 'run',
        kind: 'key',
        title: 'Start and keep the level up',
        how: 'Top up as the level drops. Keep hands and sleeves off the fan.',
      }),
      step({
        id: 'hot',
        kind: 'idle until',
        title: 'Until the thermostat opens',
        how: 'The upper hose turns hot and the heater blows hot.',
        conditions: [warm, { kind: 'flag', name: 'heater-hot', on: true, words: 'heater blows hot' }],
        endsBadly: {
          name: 'ect',
          below: null,
          above: 108,
          words: 'Too hot: engine off, let it cool, look for trapped air.',
          goTo: 'open',
        },
      }),
      step({
        id: 'bubbles',
        kind: 'wait',
        title: 'Until no bubbles rise',
        how: 'Two minutes without a bubble, and the fan has cycled.',
        seconds: 120,
        pausedBy: ['bubbles'],
        endsBadly: {
          name: 'ect',
          below: null,
          above: 108,
          words: 'Too hot: engine off, let it cool, look for trapped air.',
          goTo: 'open',
        },
      }),
      step({
        id: 'close',
        kind: 'check',
        title: 'Close the bleed point and the cap',
        how: 'Engine off. Cloth over the cap, face away.',
      }),
    ],
  },
];

/** A recipe by its id. */
export const recipe = (id: string): Recipe | undefined => RECIPES.find((candidate) => candidate.id === id);
