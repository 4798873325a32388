import { CHANCE, type Word } from '../diagnose/index.ts';
import type { OptionId } from './types.ts';

type Treats = Readonly<Partial<Record<OptionId, Word>>>;

const REPLACED = { replace: 'nearly always', 'replace-rebuilt': 'nearly always', 'replace-used': 'often' } as const;

/** How well each option treats each cause; what is not listed it never cures. Shop judgement, to be verified. */
export const TREATS: Readonly<Record<string, Treats>> = {
  deposit: { 'clean-in-place': 'often', 'clean-bench': 'nearly always', rebuild: 'nearly always', ...REPLACED },
  foreign: {
    'clean-in-place': 'nearly always',
    'clean-bench': 'nearly always',
    rebuild: 'nearly always',
    replace: 'nearly always',
    'replace-rebuilt': 'nearly always',
    'replace-used': 'nearly always',
  },
  'wrong-variant': REPLACED,
  warped: REPLACED,
  shaft: { rebuild: 'sometimes', ...REPLACED },
  cable: { elsewhere: 'nearly always', 'clean-bench': 'sometimes' },
  'idle-screw': { rebuild: 'nearly always', 'clean-bench': 'sometimes', ...REPLACED },
  'stop-moved': { 'clean-bench': 'sometimes', rebuild: 'often', ...REPLACED },
  gears: { rebuild: 'often', ...REPLACED },
  'not-learned': {
    relearn: 'nearly always',
    'clean-in-place': 'often',
    'clean-bench': 'often',
    rebuild: 'often',
    replace: 'often',
    'replace-rebuilt': 'often',
    'replace-used': 'often',
  },
  position: { rebuild: 'often', ...REPLACED },
  sync: { 'clean-bench': 'often', rebuild: 'often', elsewhere: 'sometimes' },
  'valve-stuck': { 'clean-in-place': 'sometimes', 'clean-bench': 'often', rebuild: 'nearly always', ...REPLACED },
  'valve-coil': { ...REPLACED },
  'valve-leak': { rebuild: 'nearly always', 'clean-bench': 'sometimes', ...REPLACED },
  'flange-leak': { 'clean-bench': 'nearly always', rebuild: 'nearly always', ...REPLACED },
};

/** Causes that no work on the throttle cures: looking elsewhere does. */
const ELSEWHERE: Treats = { elsewhere: 'nearly always' };

/** The chance that an option cures a cause, 0 to 1. Here never means never: no amount of relearning flattens a body. */
export function cures(option: OptionId, cause: string): number {
  const word = (TREATS[cause] ?? ELSEWHERE)[option];
  return word === undefined || word === 'never' ? 0 : CHANCE[word];
}
