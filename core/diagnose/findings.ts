import { baseCode, failureTypeOf } from '../vehicle/index.ts';
import { CODES_WITHOUT } from './knowledge/codes.ts';
import { findingKey, restOf } from './model.ts';
import { OPTIONS } from './options.ts';
import { triedOf } from './tried.ts';
import { sameUnit } from './subject.ts';
import type { Finding, Knowledge, OwnCode, Sign } from './types.ts';

/** How many of its first characters a code is known by: all of it, then the ten it belongs to, then its kind. */
const PREFIXES = [5, 4, 3, 2] as const;

/**
 * The sign and outcome that a code speaks for, or null for a code that nothing here knows. A failure type tells
 * circuit and correlation apart where the code alone does not.
 * @param own codes that the shop gave a sign; they come first
 */
export function findingOfCode(signs: readonly Sign[], code: string, own: readonly OwnCode[] = []): Finding | null {
  const taught = own.find((one) => one.code === code || one.code === baseCode(code));
  if (taught !== undefined)
    return taught.sign === null || taught.outcome === null || !signs.some(({ id }) => id === taught.sign)
      ? null
      : { sign: taught.sign, outcome: taught.outcome };
  const base = baseCode(code);
  for (const length of PREFIXES)
    for (const sign of signs) {
      const outcome = sign.codes[base.slice(0, length)];
      if (outcome !== undefined) return { sign: sign.id, outcome: byFailureType(sign, outcome, failureTypeOf(code)) };
    }
  return null;
}

/** Failure types (SAE J2012-DA): 1x and 31 are electrical, 62 and 64 are two signals that do not agree. */
function byFailureType({ outcomes }: Sign, outcome: string, type: string | null): string {
  const has = (id: string): boolean => outcomes.some((each) => each.id === id);
  if (type === null) return outcome;
  if ((type.startsWith('1') || type === '31') && has('circuit')) return 'circuit';
  return (type === '62' || type === '64') && has('correlation') ? 'correlation' : outcome;
}

/** Why a generic code says nothing of a cause here, or null when that was not thought about. */
export function whyNoSign(code: string): string | null {
  const base = baseCode(code);
  return PREFIXES.map((length) => CODES_WITHOUT[base.slice(0, length)]).find((why) => why !== undefined) ?? null;
}

/**
 * Findings from codes. Once they were read to the end, a group of codes without one speaks too.
 * @param readToEnd whether all stored codes were read
 */
export function findingsOfCodes(
  signs: readonly Sign[],
  codes: readonly string[],
  readToEnd: boolean,
  own: readonly OwnCode[] = [],
): Finding[] {
  const found = codes.flatMap((code) => findingOfCode(signs, code, own) ?? []);
  if (!readToEnd) return found;
  const absent = signs.filter(({ id, kind }) => kind === 'code' && !found.some(({ sign }) => sign === id));
  return [...found, ...absent.map((sign) => ({ sign: sign.id, outcome: restOf(sign) }))];
}

/** Two findings that cannot both be. */
export interface Contradiction {
  readonly a: Finding;
  readonly b: Finding;
}

/**
 * Findings that contradict each other at one unit: by the knowledge's list, or because one proves what the other rules
 * out. They are still weighed: people say which stands. Proofs of two causes do not contradict: there are two faults.
 */
export function contradictions(knowledge: Knowledge, findings: readonly Finding[]): Contradiction[] {
  const listed = knowledge.conflicts.flatMap(([first, second]) => pairsOf(findings, first, second));
  const proved = knowledge.causes.flatMap(({ shows }) =>
    shows
      .filter(({ word }) => word === 'proves')
      .flatMap((proof) =>
        shows
          .filter(({ word }) => word === 'rules out')
          .flatMap((against) =>
            proof.sign === against.sign ? [] : pairsOf(findings, findingKey(proof), findingKey(against)),
          ),
      ),
  );
  return [...listed, ...proved];
}

const pairsOf = (findings: readonly Finding[], first: string, second: string): Contradiction[] =>
  findings
    .filter((a) => findingKey(a) === first)
    .flatMap((a) =>
      findings
        .filter((b) => findingKey(b) === second && (!a.unit || !b.unit || sameUnit(a.unit, b.unit)))
        .map((b) => ({ a, b })),
    );

/** A finding in words: “speed changed at a joint”. */
export function findingWords(signs: readonly Sign[], { sign, outcome }: Finding): string {
  const tried = triedOf(sign);
  if (tried !== null)
    return `${OPTIONS[tried.option].split(':')[0]?.toLowerCase() ?? ''} ${outcome === 'helped' ? 'helped before' : 'did not help'}`;
  const known = signs.find(({ id }) => id === sign);
  return known?.outcomes.find(({ id }) => id === outcome)?.found ?? `${sign}: ${outcome}`;
}
