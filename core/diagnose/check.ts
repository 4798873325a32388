import { CHANCE, COMMONNESS, isProofWord } from './likelihood.ts';
import { causesOf, chancesOf, findingKey, LEAST_REST, proofsOf, restOf } from './model.ts';
import { OPTIONS } from './options.ts';
import { GROUPS, type Group } from './subject.ts';
import { TRIED } from './tried.ts';
import type { Cause, Knowledge, Portrait, Sign, SignGroup } from './types.ts';

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
  const proofs = proofsOf(knowledge);
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
      ...cause.shows.flatMap((row, index) => [
        ...rowProblems(cause.id, row, signs, cause.shows.slice(0, index)),
        ...proofProblems(cause, row, proofs, knowledge),
      ]),
      ...knowledge.signs
        .filter((sign) => !rulesOutRest(cause, sign))
        .flatMap((sign) => sumProblem(cause.id, cause.name, sign, chancesOf(cause, sign, proofs)[restOf(sign)] ?? 0)),
      ...causeProblems(cause, signs),
      ...Object.entries(cause.common).flatMap(([group, word]) =>
        word in COMMONNESS
          ? []
          : [{ at: `${cause.id}/${group}`, message: `Expected ${Object.keys(COMMONNESS).join(', ')}, got “${word}”.` }],
      ),
    ]),
    ...knowledge.groups.flatMap((group, index) => groupProblems(group, signs, knowledge.groups.slice(0, index))),
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
  if (sign.id.startsWith(TRIED))
    problems.push({ at: sign.id, message: `“${TRIED}” names attempts; a sign needs another name.` });
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
  const isRest = row.outcome === restOf(sign) && !isProofWord(row.word);
  if (!sign.outcomes.some(({ id }) => id === row.outcome) || isRest)
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

/** Where the last answer rules the cause out, the others share all that is left. */
const rulesOutRest = ({ shows }: Cause, sign: Sign): boolean =>
  shows.some((row) => row.sign === sign.id && row.outcome === restOf(sign) && row.word === 'rules out');

/** What proves one cause is seen once in a thousand with every other: a likelihood beside it would say otherwise. */
function proofProblems(
  cause: Cause,
  row: Portrait,
  proofs: ReadonlyMap<string, readonly string[]>,
  { causes }: Knowledge,
): KnowledgeProblem[] {
  const names = proofs.get(findingKey(row)) ?? [];
  if (names.length === 0 || isProofWord(row.word)) return [];
  const proved = names.map((id) => causes.find((each) => each.id === id)?.name ?? id).join(' and ');
  return [
    {
      at: `${cause.id}/${row.sign}/${row.outcome}`,
      message: `This proves “${proved}”: with any other cause it is seen once in a thousand. Say that it proves this one too, or nothing.`,
    },
  ];
}

function causeProblems(cause: Cause, signs: ReadonlyMap<string, Sign>): KnowledgeProblem[] {
  return [
    ...cause.decides
      .filter((id) => !signs.has(id))
      .map((id) => ({ at: cause.id, message: `“${cause.name}” is settled by “${id}”, which is not there.` })),
    ...cause.cures.flatMap(({ option, word, why }) => [
      ...(option in OPTIONS ? [] : [{ at: `${cause.id}/${option}`, message: `There is no option “${option}”.` }]),
      ...(word in CHANCE && !isProofWord(word)
        ? []
        : [{ at: `${cause.id}/${option}`, message: `Expected how often it cures, got “${word}”.` }]),
      ...(why.trim() === ''
        ? [{ at: `${cause.id}/${option}`, message: 'Say why, in a few words: others will read it.' }]
        : []),
    ]),
    ...repeated(
      cause.cures.map(({ option }) => option),
      'cure',
    ),
    ...(cause.returns !== null && !(cause.returns.km > 0 && cause.returns.h > 0)
      ? [{ at: cause.id, message: 'Expected a distance and hours above 0 after which it is back.' }]
      : []),
  ];
}

function groupProblems(
  group: SignGroup,
  signs: ReadonlyMap<string, Sign>,
  earlier: readonly SignGroup[],
): KnowledgeProblem[] {
  return [
    ...group.signs
      .filter((id) => !signs.has(id))
      .map((id) => ({ at: group.id, message: `“${group.name}” holds the sign “${id}”, which is not there.` })),
    ...group.signs
      .filter((id) => earlier.some((other) => other.signs.includes(id)))
      .map((id) => ({
        at: group.id,
        message: `The sign “${id}” is in two groups; it can be one view of one thing only.`,
      })),
    ...(group.why.trim() === '' ? [{ at: group.id, message: 'Say why these are one observation.' }] : []),
  ];
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
