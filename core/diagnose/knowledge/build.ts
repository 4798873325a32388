import type { Cause, Group, Method, Outcome, Portrait, Sign, Word } from '../types.ts';

/** An outcome: `id | button | as a finding`, then how people say it. */
export function outcome(text: string, ...phrases: string[]): Outcome {
  const [id = '', name = id, found = name] = text.split('|').map((part) => part.trim());
  return { id, name, found, phrases };
}

type Usual = Readonly<Record<string, Word>>;
interface SignOptions {
  readonly groups?: readonly Group[];
  readonly needsValve?: boolean;
}

const base = (options: SignOptions) => ({
  groups: options.groups ?? null,
  needsValve: options.needsValve ?? false,
  codes: {},
});

/** Something noticed, told or asked about. */
export const asked = (
  kind: 'symptom' | 'circumstance' | 'history',
  id: string,
  name: string,
  ask: string,
  outcomes: readonly Outcome[],
  usually: Usual,
  options: SignOptions = {},
): Sign => ({ ...base(options), id, kind, name, ask, outcomes, usually, method: null });

/** A group of trouble codes. */
export const coded = (
  id: string,
  name: string,
  outcomes: readonly Outcome[],
  usually: Usual,
  codes: Readonly<Record<string, string>>,
  options: SignOptions = {},
): Sign => ({ ...base(options), id, kind: 'code', name, ask: '', outcomes, usually, codes, method: null });

/** Fills in what most checks share. */
const method = (given: Partial<Method> & Pick<Method, 'minutes' | 'key' | 'steps' | 'normal'>): Method => ({
  costMinor: 0,
  tools: [],
  cautions: [],
  after: [],
  needs: [],
  leaves: [],
  entry: { kind: 'choice' },
  ...given,
});

/** A check with how it is done. */
export const checked = (
  id: string,
  name: string,
  outcomes: readonly Outcome[],
  usually: Usual,
  how: Parameters<typeof method>[0],
  options: SignOptions = {},
): Sign => ({ ...base(options), id, kind: 'check', name, ask: '', outcomes, usually, method: method(how) });

/** A portrait row: `sign=outcome`, how often, why. */
export function shows(what: string, word: Word, why: string): Portrait {
  const [sign = '', found = 'yes'] = what.split('=');
  return { sign, outcome: found, word, why };
}

/** A cause; `name` is `name|short name`. */
export const cause = (
  id: string,
  name: string,
  about: string,
  common: Cause['common'],
  rows: readonly Portrait[],
  options: { readonly throttle?: boolean; readonly needsValve?: boolean } = {},
): Cause => ({
  id,
  name: name.split('|')[0] ?? name,
  short: name.split('|')[1] ?? name,
  about,
  common,
  shows: rows,
  throttle: options.throttle ?? true,
  needsValve: options.needsValve ?? false,
});
