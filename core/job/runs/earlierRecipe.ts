import { recipeOf, step, type Recipe } from '../../relearn/index.ts';
import {
  flag,
  id,
  line,
  list,
  number,
  numberWithin,
  oneOf,
  orNull,
  paragraph,
  record,
  type TypeOf,
  variants,
} from '../../shape/index.ts';

const readingName = oneOf('ect', 'rpm', 'speed');
const flagName = oneOf('loads-off', 'fan-running', 'bubbles', 'heater-hot');

/** A recipe as it was before shops wrote their own: one line of steps, figures in °C, rpm and km/h. */
export const earlierRecipe = record({
  id,
  name: line,
  purpose: oneOf('bleed', 'relearn'),
  source: orNull(line),
  steps: list(
    record({
      id,
      kind: oneOf('key', 'pedal', 'wait', 'hold rpm', 'idle until', 'drive', 'tool', 'check'),
      title: line,
      how: paragraph,
      seconds: orNull(numberWithin({ low: 0 })),
      conditions: list(
        variants(
          'kind',
          record({
            kind: oneOf('reading'),
            name: readingName,
            low: orNull(number),
            high: orNull(number),
            words: line,
          }),
          record({ kind: oneOf('flag'), name: flagName, on: flag, words: line }),
        ),
      ),
      pausedBy: list(flagName),
      endsBadly: orNull(
        record({
          name: readingName,
          below: orNull(number),
          above: orNull(number),
          words: line,
          /** null ended the run. */
          goTo: orNull(id),
        }),
      ),
    }),
  ),
});

const UNIT_THEN = { ect: '°C', rpm: 'rpm', speed: 'km/h' } as const;

/** The same recipe as it is written now. */
export const recipeBroughtUp = (recipe: TypeOf<typeof earlierRecipe>): Recipe =>
  recipeOf({
    ...recipe,
    steps: recipe.steps.map(({ conditions, endsBadly, ...each }) =>
      step({
        ...each,
        conditions: conditions.map((condition) =>
          condition.kind === 'flag' ? condition : { ...condition, unit: UNIT_THEN[condition.name] },
        ),
        endsBadly:
          endsBadly === null
            ? []
            : [{ ...endsBadly, unit: UNIT_THEN[endsBadly.name], goTo: endsBadly.goTo ?? 'failed' }],
      }),
    ),
  });
