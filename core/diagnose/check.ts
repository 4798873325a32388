import { causesOf, chancesOf, LEAST_REST, restOf } from './model.ts';
import { CHANCE, COMMONNESS, GROUPS, type Group, type Knowledge, type Portrait, type Sign } from './types.ts';

/** What is wrong with a piece of knowledge, and where. */
export interface KnowledgeProblem {
  /** `cause/sign/outcome`, `cause`, `sign`, or a group. */
  readonly at: string;
  readonly message: string;
}

const percent = (value: number): string => `${Math.round(value * 100)} %`;
/** Sums of two-digit decimals drift in the sixteenth place. */
const SLACK = 1e-9;

/** Everything that would make the knowledge unusable; empty when it can be used. */
export function checkKnowledge(knowledge: Knowledge): KnowledgeProblem[] {
  const signs = new Map(knowledge.signs.map((sign) => [sign.id, sign]));
  return [
    ...repeated(
      knowledge.causes.map(({ id }) => id),
      'cause',
    ),
    ...repeated(
      knowledge.signs.map(({ id }) => id),
      'sign',
    ),
    ...knowledge.signs.flatMap((sign) => signProblems(sign, signs)),
    ...knowledge.causes.flatMap((cause) => [
      ...cause.shows.flatMap((row, index) => rowProblems(cause.id, row, signs, cause.shows.slice(0, index))),
      ...knowledge.signs.flatMap((sign) =>
        sumProblem(cause.id, cause.name, sign, chancesOf(cause, sign)[restOf(sign)] ?? 0),
      ),
      ...Object.entries(cause.common).flatMap(([group, word]) =>
        word in COMMONNESS
          ? []
          : [{ at: `${cause.id}/${group}`, message: `Expected ${Object.keys(COMMONNESS).join(', ')}, got “${word}”.` }],
      ),
    ]),
    ...(Object.keys(GROUPS) as Group[]).flatMap((group) =>
      causesOf(knowledge, { group, hasValve: true }).length > 0
        ? []
        : [{ at: group, message: `No cause is left for ${GROUPS[group].toLowerCase()}: nothing could be ranked.` }],
    ),
  ];
}

function repeated(ids: readonly string[], what: string): KnowledgeProblem[] {
  return ids
    .filter((id, index) => ids.indexOf(id) !== index)
    .map((id) => ({ at: id, message: `There are two of the ${what} “${id}”.` }));
}

function signProblems(sign: Sign, signs: ReadonlyMap<string, Sign>): KnowledgeProblem[] {
  const problems: KnowledgeProblem[] = [];
  if (sign.outcomes.length < 2) problems.push({ at: sign.id, message: `“${sign.name}” needs at least two answers.` });
  const rest = restOf(sign);
  for (const id of Object.keys(sign.usually))
    if (id === rest || !sign.outcomes.some((outcome) => outcome.id === id))
      problems.push({
        at: `${sign.id}/${id}`,
        message: `“${sign.name}” has no answer “${id}” to be given a likelihood.`,
      });
  const sum = Object.values(sign.usually).reduce((total, word) => total + CHANCE[word], 0);
  problems.push(...sumProblem('', 'causes that say nothing of it', sign, 1 - sum));
  for (const needed of sign.method?.after ?? [])
    if (!signs.has(needed))
      problems.push({ at: sign.id, message: `“${sign.name}” comes after “${needed}”, which is not there.` });
  return problems;
}

function rowProblems(
  cause: string,
  row: Portrait,
  signs: ReadonlyMap<string, Sign>,
  earlier: readonly Portrait[],
): KnowledgeProblem[] {
  const at = `${cause}/${row.sign}/${row.outcome}`;
  const sign = signs.get(row.sign);
  if (sign === undefined) return [{ at, message: `There is no sign “${row.sign}”.` }];
  if (!sign.outcomes.some(({ id }) => id === row.outcome) || row.outcome === restOf(sign))
    return [
      {
        at,
        message: `“${sign.name}” has no answer “${row.outcome}” to be given a likelihood: the last answer takes what the others leave.`,
      },
    ];
  if (!(row.word in CHANCE)) return [{ at, message: `Expected ${Object.keys(CHANCE).join(', ')}, got “${row.word}”.` }];
  if (row.why.trim() === '') return [{ at, message: 'Say why, in a few words: others will read it.' }];
  return earlier.some(({ sign: other, outcome }) => other === row.sign && outcome === row.outcome)
    ? [{ at, message: `“${sign.name}” is said twice of this cause.` }]
    : [];
}

/** Answers of one sign must leave something for the last one. */
function sumProblem(cause: string, name: string, sign: Sign, rest: number): KnowledgeProblem[] {
  return rest >= LEAST_REST - SLACK
    ? []
    : [
        {
          at: cause === '' ? sign.id : `${cause}/${sign.id}`,
          message: `The answers of “${sign.name}” add up to ${percent(1 - rest)} for ${name}; expected at most ${percent(1 - LEAST_REST)}, so that something is left for “${sign.outcomes.at(-1)?.name ?? ''}”.`,
        },
      ];
}
