import type { OptionId } from '../options.ts';
import { THROTTLE_KINDS, IDLE_KINDS } from '../subject.ts';
import type { Group } from '../subject.ts';
import type { UsualWord } from '../likelihood.ts';
import type { UnitObjectKind } from '../../vehicle/index.ts';
import type { Cause, Cure, Method, Outcome, Portrait, Returns, Sign } from '../types.ts';

/** An outcome: `id | button | as a finding`. */
export function outcome(text: string): Outcome {
  const [id = '', name = id, found = name] = text.split('|').map((part) => part.trim());
  return { id, name, found, phrases: [] };
}

type Usual = Readonly<Record<string, UsualWord>>;
interface SignOptions {
  readonly groups?: readonly Group[];
  readonly needsValve?: boolean;
  /** Kinds of unit of which it is a look at one. */
  readonly of?: readonly UnitObjectKind[];
}

const base = (options: SignOptions) => ({
  groups: options.groups ?? null,
  needsValve: options.needsValve ?? false,
  of: options.of ?? [],
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

/** A group of trouble codes; `codes` maps a code, or as many of its first characters as they share, to an outcome. */
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
export function shows(what: string, word: UsualWord, why: string): Portrait {
  const [sign = '', found = 'yes'] = what.split('=');
  return { sign, outcome: found, word, why };
}

/** A row for what proves the cause when it is seen; `seen` says how often it is, when this is the cause. */
export const proves = (what: string, why: string, seen: UsualWord = 'nearly always'): Portrait => ({
  ...shows(what, 'never', why),
  word: 'proves',
  seen,
});

/** A row for what rules the cause out when it is seen. */
export const rulesOut = (what: string, why: string): Portrait => ({ ...shows(what, 'never', why), word: 'rules out' });

/** What cures a cause: `option, how often: why`. */
export const cures = (...rows: readonly string[]): Cure[] =>
  rows.map((row) => {
    const [, option = '', word = '', why = ''] = /^([a-z-]+), ([a-z ]+): (.+)$/.exec(row) ?? [];
    return { option: option as OptionId, word: word as UsualWord, why };
  });

/** Another unit: new and rebuilt nearly always, used often. */
export const renewed = (why: string): Cure[] =>
  cures(`replace, nearly always: ${why}`, `replace-rebuilt, nearly always: ${why}`, `replace-used, often: ${why}`);

/** Where a cause sits: at whatever holds a plate, or at whatever lets idle air past it. */
export const AT_PLATE = THROTTLE_KINDS;
/** See {@link AT_PLATE}. */
export const AT_VALVE = IDLE_KINDS;

interface CauseOptions {
  readonly throttle?: boolean;
  readonly needsValve?: boolean;
  readonly homes?: readonly UnitObjectKind[];
  readonly leastUnits?: number;
  readonly decides: readonly string[];
  readonly cures: readonly Cure[];
  readonly returns?: Returns;
}

/** A cause; `name` is `name|short name`. */
export const cause = (
  id: string,
  name: string,
  about: string,
  common: Cause['common'],
  rows: readonly Portrait[],
  options: CauseOptions,
): Cause => ({
  id,
  name: name.split('|')[0] ?? name,
  short: name.split('|')[1] ?? name,
  about,
  common,
  shows: rows,
  throttle: options.throttle ?? true,
  needsValve: options.needsValve ?? false,
  homes: options.homes ?? [],
  leastUnits: options.leastUnits ?? 1,
  decides: options.decides,
  cures: options.cures,
  returns: options.returns ?? null,
});
