import { convert } from '../quantity/index.ts';
import { FLAGS, READINGS } from './readings.ts';
import { ENDS, type Recipe, type RunStep } from './shape.ts';
import { conditionWords, flagWords } from './words.ts';

/** What is wrong with a recipe, or worth a second look. */
export interface RecipeProblem {
  readonly level: 'wrong' | 'note';
  /** The step it is about; null for the whole. */
  readonly stepId: string | null;
  /** The field of the step or recipe. */
  readonly field: string;
  readonly words: string;
}

/** The longest that a step may hold: two days. */
const LONGEST_S = 48 * 3600;

/** Where a step can lead, by any of its ways: ids of steps and of {@link ENDS}. */
function waysFrom(recipe: Recipe, index: number): readonly string[] {
  const step = recipe.steps[index];
  if (step === undefined) return [];
  const onward =
    step.answers.length > 0 ? step.answers.map(({ goTo }) => goTo) : [recipe.steps[index + 1]?.id ?? 'done'];
  return [
    ...onward,
    ...step.instead.map(({ goTo }) => goTo),
    ...step.endsBadly.map(({ goTo }) => goTo),
    ...(step.again === null ? [] : [step.again.back]),
  ];
}

/** The steps from which no end can be reached, whatever is answered. */
export function stepsWithoutEnd(recipe: Recipe): readonly string[] {
  const ends = new Set<string>(Object.keys(ENDS));
  for (let grew = true; grew;) {
    grew = false;
    recipe.steps.forEach(({ id }, index) => {
      if (!ends.has(id) && waysFrom(recipe, index).some((way) => ends.has(way))) {
        ends.add(id);
        grew = true;
      }
    });
  }
  return recipe.steps.flatMap(({ id }) => (ends.has(id) ? [] : [id]));
}

/** The steps that can be come to from the first. */
function reached(recipe: Recipe): ReadonlySet<string> {
  const seen = new Set<string>();
  const ahead = recipe.steps.slice(0, 1).map(({ id }) => id);
  for (let id = ahead.pop(); id !== undefined; id = ahead.pop()) {
    const index = recipe.steps.findIndex((step) => step.id === id);
    if (index < 0 || seen.has(id)) continue;
    seen.add(id);
    ahead.push(...waysFrom(recipe, index));
  }
  return seen;
}

/** Everything that is wrong with a recipe, in the order of its steps; it can be worked by when nothing is *wrong*. */
export function recipeProblems(recipe: Recipe): RecipeProblem[] {
  return [...wholeProblems(recipe), ...recipe.steps.flatMap((step, index) => stepProblems(recipe, step, index))];
}

const wrong = (when: boolean, stepId: string | null, field: string, words: string): RecipeProblem[] =>
  when ? [{ level: 'wrong', stepId, field, words }] : [];

function wholeProblems(recipe: Recipe): RecipeProblem[] {
  const { name, way, lookAgain, steps } = recipe;
  return [
    ...wrong(name.trim() === '', null, 'name', 'What is it called?'),
    ...wrong(way === 'steps' && steps.length === 0, null, 'steps', 'A recipe needs at least one step.'),
    ...wrong(
      way === 'none' && steps.length > 0,
      null,
      'steps',
      'None is needed, and yet there are steps: take them out, or say that it goes by steps.',
    ),
    ...wrong(recipe.purpose === 'bleed' && way !== 'steps', null, 'way', 'Bleeding goes by steps.'),
    ...wrong(
      way === 'itself' && !(lookAgain !== null && lookAgain.value > 0),
      null,
      'lookAgain',
      'After how far, or how long, does somebody look again? Expected more than zero.',
    ),
  ];
}

function stepProblems(recipe: Recipe, step: RunStep, index: number): RecipeProblem[] {
  const { id, title, seconds, again, answers, instead, endsBadly } = step;
  const ids = recipe.steps.map((each) => each.id);
  const leads = (where: string): boolean => where in ENDS || ids.includes(where);
  const named = `Step ${index + 1}${title === '' ? '' : `, “${title}”`},`;
  return [
    ...wrong(title.trim() === '', id, 'title', 'Say what is done.'),
    ...wrong(ids.indexOf(id) !== index, id, 'id', `Two steps have the id “${id}”.`),
    ...wrong(id in ENDS, id, 'id', `“${id}” means that ${ENDS[id as keyof typeof ENDS]}; a step needs another id.`),
    ...wrong(
      seconds !== null && !(seconds > 0 && seconds <= LONGEST_S),
      id,
      'seconds',
      'Expected more than 0 s and at most 48 h, or nothing where it is done when it is tapped.',
    ),
    ...wrong(
      step.kind === 'wait' && seconds === null && step.conditions.length === 0,
      id,
      'seconds',
      'How long, or until what? A wait needs a time or a condition.',
    ),
    ...[...answers, ...instead].flatMap(({ words, goTo }) => [
      ...wrong(words.trim() === '', id, 'answers', 'Say in a few words when it goes this way.'),
      ...wrong(!leads(goTo), id, 'answers', `“${words}” leads to a step that is not there.`),
    ]),
    ...endsBadly.flatMap((end) => [
      ...wrong(!leads(end.goTo), id, 'endsBadly', 'What ends badly leads to a step that is not there.'),
      ...wrong(end.below === null && end.above === null, id, 'endsBadly', 'Below or above which figure does it end?'),
    ]),
    ...(again === null
      ? []
      : [
          ...wrong(
            !ids.includes(again.back) || ids.indexOf(again.back) > index,
            id,
            'again',
            'Expected to go back to this step or an earlier one.',
          ),
          ...wrong(!(again.times >= 2 && again.times <= 50), id, 'again', 'Expected 2 to 50 times.'),
          ...wrong(answers.length > 0, id, 'again', 'A step either asks which way, or is done several times.'),
        ]),
    ...contradictions(recipe, step),
    ...wrong(
      stepsWithoutEnd(recipe).includes(id),
      id,
      'answers',
      `${named} never comes to an end: every way from it leads round. Let one answer end the run.`,
    ),
    ...(reached(recipe).has(id)
      ? []
      : [{ level: 'note' as const, stepId: id, field: 'id', words: `Nothing leads to step ${index + 1}.` }]),
  ];
}

/** What can never hold, so that its time would never count. */
function contradictions(recipe: Recipe, { id, conditions, pausedBy }: RunStep): RecipeProblem[] {
  return conditions.flatMap((condition, index) => {
    const at = `conditions.${index}`;
    if (condition.kind === 'flag') {
      const other = conditions.some(
        (each) => each.kind === 'flag' && each.name === condition.name && each.on !== condition.on,
      );
      const said = recipe.flags.find((flag) => flag.id === condition.name)?.on ?? FLAGS[condition.name]?.on ?? '';
      return [
        ...wrong(said.trim() === '', id, at, 'Say in a few words what must be so.'),
        ...wrong(other && condition.on, id, at, `It needs both: ${flagWords(recipe, condition.name)}, and not.`),
        ...wrong(
          condition.on && pausedBy.includes(condition.name),
          id,
          at,
          `Its time would never count: it needs “${flagWords(recipe, condition.name)}” and pauses while it is so.`,
        ),
      ];
    }
    const { name, low, high, unit } = condition;
    const { bounds, unit: kept } = READINGS[name];
    const beyond = [low, high].some((limit) => {
      if (limit === null) return false;
      const value = convert(limit, unit, kept);
      return value < bounds[0] || value > bounds[1];
    });
    return [
      ...wrong(low === null && high === null, id, at, 'From which figure on, or up to which?'),
      ...wrong(
        low !== null && high !== null && low > high,
        id,
        at,
        `Expected the lower figure first, got ${low} to ${high}.`,
      ),
      ...wrong(beyond, id, at, `Nothing reads that: ${conditionWords(recipe, condition)}.`),
    ];
  });
}
