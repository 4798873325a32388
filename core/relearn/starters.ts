import { recipeOf, step } from './building.ts';
import type { BadEnd, Recipe, RunCondition } from './shape.ts';

const warm: RunCondition = { kind: 'reading', name: 'ect', low: 80, high: null, unit: '°C', words: '' };
const quiet: RunCondition = { kind: 'flag', name: 'loads-off', on: true, words: '' };
const stalled: BadEnd = {
  name: 'rpm',
  below: 400,
  above: null,
  unit: 'rpm',
  words: 'It stalled. Start again and let it idle.',
  goTo: 'start',
};
const tooHot: BadEnd = {
  name: 'ect',
  below: null,
  above: 108,
  unit: '°C',
  words: 'Too hot: engine off, let it cool, look for trapped air.',
  goTo: 'open',
};

/**
 * What every shop begins with: neutral recipes for want of the maker's own, which comes first. Timings are shop figures,
 * to be verified. A recipe of the shop with the same id takes the place of one of these.
 */
export const STARTER_RECIPES: readonly Recipe[] = [
  recipeOf({
    id: 'timed-idle',
    name: 'Timed key and idle',
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
        how: 'The adapter reads the coolant temperature; without one, type it as it climbs.',
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
        endsBadly: [stalled],
      }),
      step({
        id: 'store',
        kind: 'key',
        title: 'Key off to store',
        how: 'Leave it off so that the values are written.',
        seconds: 15,
      }),
    ],
  }),
  recipeOf({
    id: 'drive',
    name: 'Drive cycle',
    steps: [
      step({
        id: 'warm',
        kind: 'idle until',
        title: 'Idle until warm',
        how: 'The adapter reads the coolant temperature; without one, type it as it climbs.',
        conditions: [warm],
      }),
      step({
        id: 'steady',
        kind: 'drive',
        title: 'Drive steadily',
        how: 'Gently. Only where lawful and safe; a second person types.',
        seconds: 300,
        conditions: [{ kind: 'reading', name: 'speed', low: 40, high: 60, unit: 'km/h', words: '' }],
      }),
      step({
        id: 'coast',
        kind: 'drive',
        title: 'Coast to rest',
        how: 'Foot off from 50 km/h in gear, let it come to rest.',
        again: { back: 'coast', times: 3 },
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
  }),
  recipeOf({
    id: 'by-tool',
    name: 'By the maker’s tool',
    steps: [
      step({
        id: 'ready',
        kind: 'check',
        title: 'Charger on, everything off',
        how: 'A weak battery breaks off in the middle. Key on, engine off.',
      }),
      step({
        id: 'tool',
        kind: 'tool',
        title: 'Start the routine of the tool',
        how: 'Follow what it says. Keep fingers away from the plate: it moves by itself.',
        asks: 'the text it ended on',
        answers: [
          { words: 'It says that it took', goTo: 'store' },
          { words: 'It broke off or refused', goTo: 'failed' },
        ],
      }),
      step({ id: 'store', kind: 'key', title: 'Key off to store', how: 'Leave it off for a while.', seconds: 15 }),
    ],
  }),
  recipeOf({
    id: 'adapts',
    name: 'Left to itself',
    way: 'itself',
    lookAgain: { value: 50, unit: 'km' },
  }),
  recipeOf({ id: 'none-needed', name: 'None needed', way: 'none' }),
  recipeOf({
    id: 'bleed',
    name: 'Bleed the coolant',
    purpose: 'bleed',
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
        conditions: [warm, { kind: 'flag', name: 'heater-hot', on: true, words: '' }],
        endsBadly: [tooHot],
      }),
      step({
        id: 'bubbles',
        kind: 'wait',
        title: 'Until no bubbles rise',
        how: 'Two minutes without a bubble, and the fan has cycled.',
        seconds: 120,
        pausedBy: ['bubbles'],
        endsBadly: [tooHot],
      }),
      step({
        id: 'close',
        kind: 'check',
        title: 'Close the bleed point and the cap',
        how: 'Engine off. Cloth over the cap, face away.',
      }),
    ],
  }),
];

/** A starter recipe by its id. */
export const starterRecipe = (id: string): Recipe | null =>
  STARTER_RECIPES.find((candidate) => candidate.id === id) ?? null;

/** The shop's recipes and those starters that it has not written anew, by name. */
export const allRecipes = (own: readonly Recipe[]): readonly Recipe[] =>
  [...own, ...STARTER_RECIPES.filter(({ id }) => own.every((each) => each.id !== id))].sort((a, b) =>
    a.name.localeCompare(b.name),
  );
