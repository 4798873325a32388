import type { Knowledge } from '../types.ts';
import { OTHER_CAUSES } from './causesOther.ts';
import { THROTTLE_CAUSES } from './causesThrottle.ts';
import { VALVE_CAUSES } from './causesValve.ts';
import { CHECKS } from './checks.ts';
import { CODES } from './codes.ts';
import { CIRCUMSTANCES, HISTORY, SYMPTOMS } from './questions.ts';

/** Findings that cannot both be true of one engine at one time. */
const CONFLICTS: Knowledge['conflicts'] = [
  ['idle-high=yes', 'idle-low=yes'],
  ['idle-high=yes', 'idle-speed=low'],
  ['idle-low=yes', 'idle-speed=high'],
  ['idle-code=low', 'idle-speed=high'],
  ['idle-code=high', 'idle-speed=low'],
  ['mixture-code=lean', 'trims=rich'],
  ['mixture-code=rich', 'trims=lean-all'],
  ['valve-moves=dead', 'clicking=yes'],
  ['leak-by-ear=changed', 'smoke-test=none'],
];

/** The knowledge that ships with the program: version 1. Likelihoods are our judgement, for a lead to adjust. */
export const SHIPPED_KNOWLEDGE: Knowledge = {
  version: 1,
  causes: [...THROTTLE_CAUSES, ...VALVE_CAUSES, ...OTHER_CAUSES],
  signs: [...SYMPTOMS, ...CIRCUMSTANCES, ...HISTORY, ...CODES, ...CHECKS],
  conflicts: CONFLICTS,
};
