import { restOf } from './model.ts';
import type { Finding, Knowledge, Sign } from './types.ts';

/** The sign and outcome that a code speaks for, or null for a code that nothing here knows. */
export function findingOfCode(signs: readonly Sign[], code: string): Finding | null {
  for (const sign of signs) {
    const outcome = sign.codes[code] ?? sign.codes[code.slice(0, 4)];
    if (outcome !== undefined) return { sign: sign.id, outcome };
  }
  return null;
}

/**
 * Findings from codes. Once they were read to the end, a group of codes without one speaks too.
 * @param readToEnd whether all stored codes were read
 */
export function findingsOfCodes(signs: readonly Sign[], codes: readonly string[], readToEnd: boolean): Finding[] {
  const found = codes.flatMap((code) => findingOfCode(signs, code) ?? []);
  if (!readToEnd) return found;
  const absent = signs.filter(({ id, kind }) => kind === 'code' && !found.some(({ sign }) => sign === id));
  return [...found, ...absent.map((sign) => ({ sign: sign.id, outcome: restOf(sign) }))];
}

/** Two findings that cannot both be. */
export interface Contradiction {
  readonly a: Finding;
  readonly b: Finding;
}

const key = ({ sign, outcome }: Finding): string => `${sign}=${outcome}`;

/** Findings that contradict each other, by the knowledge's list. They are still weighed: people decide. */
export function contradictions(knowledge: Knowledge, findings: readonly Finding[]): Contradiction[] {
  const byKey = new Map(findings.map((finding) => [key(finding), finding]));
  return knowledge.conflicts.flatMap(([first, second]) => {
    const [a, b] = [byKey.get(first), byKey.get(second)];
    return a === undefined || b === undefined ? [] : [{ a, b }];
  });
}

/** A finding in words: “speed changed at a joint”. */
export function findingWords(signs: readonly Sign[], { sign, outcome }: Finding): string {
  const known = signs.find(({ id }) => id === sign);
  return known?.outcomes.find(({ id }) => id === outcome)?.found ?? `${sign}: ${outcome}`;
}
