import { isBody, isPart, PART_FORMS, UNIT_FORMS, type UnitForm } from '../clean/index.ts';
import type { PointResult } from './types.ts';

/** The finding of the knowledge that a judged point stands for. */
export interface Spoken {
  readonly sign: string;
  readonly outcome: string;
}

/** How a judged point is read as a finding, or why it says nothing of a cause. */
export type Speaks =
  /** By how it was judged; what is only worth watching speaks when `watch` says so. */
  | {
      readonly by: 'verdict';
      readonly sign: string;
      readonly good: string;
      readonly bad: string;
      readonly watch?: string;
    }
  /** By the answer that was picked. */
  | { readonly by: 'answer'; readonly sign: string; readonly to: Readonly<Record<string, string>> }
  /** By the side of its limit on which a figure lies. */
  | {
      readonly by: 'side';
      readonly sign: string;
      readonly below: string;
      readonly within: string;
      readonly above: string;
    }
  /** By the outcome that its judge worked out: the light test, the coil. */
  | { readonly by: 'judge'; readonly sign: string }
  | { readonly by: 'nothing'; readonly why: string };

interface Row {
  /** Forms for which this reading holds. */
  readonly forms: readonly UnitForm[];
  readonly speaks: Speaks;
}

const ALL = Object.keys(UNIT_FORMS) as UnitForm[];
const BODIES = ALL.filter(isBody);
const VALVES = ALL.filter((form) => !isBody(form) && !isPart(form));
/** Parts are no unit: what is found on them is the part’s own. */
const PART_ROW: Row = {
  forms: PART_FORMS,
  speaks: { by: 'nothing', why: 'it is a part beside the throttle: it says nothing of the throttle itself' },
};
const row = (forms: readonly UnitForm[], speaks: Speaks): Row => ({ forms, speaks });
const everywhere = (speaks: Speaks): readonly Row[] => [row(ALL, speaks)];
const nothing = (why: string): Speaks => ({ by: 'nothing', why });

/** Every point of the walk, for every kind of unit: what it says of the causes, or why nothing. */
export const SPEAKS: Readonly<Record<string, readonly Row[]>> = {
  'deposit-front': everywhere({ by: 'verdict', sign: 'duct-off-look', good: 'clean', watch: 'ring', bad: 'ring' }),
  'deposit-edge': everywhere({ by: 'verdict', sign: 'duct-off-look', good: 'clean', watch: 'ring', bad: 'ring' }),
  'deposit-back': everywhere({ by: 'verdict', sign: 'back-of-plate', good: 'thin', bad: 'heavy' }),
  'deposit-recirculation': everywhere({ by: 'verdict', sign: 'back-of-plate', good: 'thin', bad: 'heavy' }),
  'coke-thickness': [row(BODIES, { by: 'verdict', sign: 'back-of-plate', good: 'thin', bad: 'heavy' }), PART_ROW],
  'plate-time': everywhere({ by: 'verdict', sign: 'motor-test', good: 'right', bad: 'weak' }),
  'valve-deposit': everywhere({ by: 'verdict', sign: 'valve-deposit', good: 'thin', bad: 'heavy' }),
  light: everywhere({ by: 'judge', sign: 'light-gap' }),
  stripped: everywhere(nothing('it says what may go into a bath, not what is wrong')),
  play: everywhere({ by: 'verdict', sign: 'shaft-play', good: 'none', bad: 'felt' }),
  'plate-flat': everywhere({ by: 'verdict', sign: 'flatness', good: 'flat', bad: 'warped' }),
  'body-flat': everywhere({ by: 'verdict', sign: 'flatness', good: 'flat', bad: 'warped' }),
  spring: everywhere({ by: 'verdict', sign: 'spring-return', good: 'quick', bad: 'slow' }),
  'rest-angle': everywhere({ by: 'answer', sign: 'spring-return', to: { yes: 'quick', slow: 'slow', no: 'slow' } }),
  gears: everywhere({ by: 'answer', sign: 'gear-look', to: { whole: 'good', worn: 'worn', broken: 'worn' } }),
  'stop-screw': everywhere({ by: 'answer', sign: 'stop-screw', to: { sealed: 'sealed', moved: 'moved' } }),
  dashpot: everywhere({ by: 'side', sign: 'dashpot-damps', below: 'dead', within: 'right', above: 'holds' }),
  'sensor-spring': everywhere({ by: 'answer', sign: 'sensor-set', to: { firm: 'right', slack: 'off' } }),
  'gasket-height': [
    row(BODIES, { by: 'verdict', sign: 'gasket-look', good: 'good', bad: 'crushed' }),
    row(VALVES, { by: 'verdict', sign: 'valve-ring', good: 'good', bad: 'hard' }),
    PART_ROW,
  ],
  ring: [
    row(BODIES, { by: 'verdict', sign: 'seal-look', good: 'good', bad: 'hard' }),
    row(VALVES, { by: 'verdict', sign: 'valve-ring', good: 'good', bad: 'hard' }),
    PART_ROW,
  ],
  'ring-look': [
    row(BODIES, { by: 'answer', sign: 'seal-look', to: { round: 'good', cracked: 'hard' } }),
    row(VALVES, { by: 'answer', sign: 'valve-ring', to: { round: 'good', flat: 'hard', cracked: 'hard' } }),
    PART_ROW,
  ],
  'valve-free': everywhere({ by: 'answer', sign: 'valve-turns', to: { free: 'free', stiff: 'stiff', stuck: 'stuck' } }),
  'valve-travel': everywhere({ by: 'verdict', sign: 'valve-turns', good: 'free', bad: 'stiff' }),
  coil: [
    row(VALVES, { by: 'judge', sign: 'coil-ohms' }),
    row(BODIES, { by: 'verdict', sign: 'motor-test', good: 'right', bad: 'weak' }),
  ],
  'part-deposit': [PART_ROW],
  'part-whole': [PART_ROW],
  'part-clear': [PART_ROW],
  'part-moves': [PART_ROW],
  'part-face': [PART_ROW],
  leak: everywhere(nothing('made on the bench after the work: what leaks there is put right there')),
  port: everywhere(nothing('a measure to be compared with what the computer expects: the variant says it')),
};

/** How a point of a kind of unit is read; undefined for a point that is not in the walk. */
export const speaksOf = (point: string, form: UnitForm): Speaks | undefined =>
  SPEAKS[point]?.find(({ forms }) => forms.includes(form))?.speaks;

/** The finding that a judged point stands for, or null when it says nothing. @param answer the outcome that was picked */
export function spokenBy(point: string, form: UnitForm, result: PointResult, answer: string): Spoken | null {
  const speaks = speaksOf(point, form);
  // What was felt speaks of the causes as what was measured does.
  const judged = result.felt === undefined ? result : { ...result, verdict: result.felt };
  if (speaks === undefined || speaks.by === 'nothing' || judged.verdict === 'noted') return null;
  const outcome = outcomeBy(speaks, judged, answer);
  return outcome === null ? null : { sign: speaks.sign, outcome };
}

function outcomeBy(
  speaks: Exclude<Speaks, { by: 'nothing' }>,
  { verdict, value, limit, outcome }: PointResult,
  answer: string,
): string | null {
  switch (speaks.by) {
    case 'judge':
      return outcome;
    case 'answer':
      return speaks.to[answer] ?? null;
    case 'verdict':
      return verdict === 'bad' ? speaks.bad : verdict === 'good' ? speaks.good : (speaks.watch ?? null);
    case 'side':
      // Felt, and not measured: its own word says on which side.
      if (value === null && outcome !== null && [speaks.below, speaks.above].includes(outcome)) return outcome;
      if (value === null || limit === null || verdict !== 'bad') return verdict === 'bad' ? null : speaks.within;
      return limit.low !== null && value < limit.low ? speaks.below : speaks.above;
  }
}
