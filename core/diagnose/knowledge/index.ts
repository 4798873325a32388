import type { Knowledge, Sign } from '../types.ts';
import { AIR_CAUSES } from './causesAir.ts';
import { DRIVE_CAUSES } from './causesDrive.ts';
import { ENGINE_CAUSES } from './causesEngine.ts';
import { LINKAGE_CAUSES } from './causesLinkage.ts';
import { PLATE_CAUSES } from './causesPlate.ts';
import { VALVE_CAUSES } from './causesValve.ts';
import { CHECKS } from './checks.ts';
import { CODES } from './codes.ts';
import { SIGN_GROUPS } from './groups.ts';
import { PHRASES } from './phrases.ts';
import { CIRCUMSTANCES, HISTORY, SYMPTOMS } from './questions.ts';

/** Findings that cannot both be true of one engine, or of one unit, at one time. */
const CONFLICTS: Knowledge['conflicts'] = [
  ['idle-high=yes', 'idle-low=yes'],
  ['idle-high=yes', 'idle-speed=low'],
  ['idle-low=yes', 'idle-speed=high'],
  ['idle-code=low', 'idle-speed=high'],
  ['idle-code=high', 'idle-speed=low'],
  ['mixture-code=lean', 'trims=rich'],
  ['mixture-code=rich', 'trims=lean-all'],
  ['valve-moves=dead', 'clicking=yes'],
  ['valve-moves=clicks', 'valve-turns=free'],
  ['valve-moves=moves', 'valve-turns=stuck'],
  ['leak-by-ear=changed', 'smoke-test=none'],
  ['light-gap=blocked', 'back-of-plate=thin'],
  ['key-on-sweep=smooth', 'gear-look=worn'],
  ['learn-status=learned', 'learn-code=yes'],
  ['plug-pins=good', 'plug-fit=wet'],
];

/** How people say it, beside what each outcome shows. */
const withPhrases = (sign: Sign): Sign => ({
  ...sign,
  outcomes: sign.outcomes.map((outcome) => ({ ...outcome, phrases: PHRASES[`${sign.id}=${outcome.id}`] ?? [] })),
});

/** The knowledge that ships with the program. Likelihoods are our judgement, for a lead to adjust. */
export const SHIPPED_KNOWLEDGE: Knowledge = {
  version: 1,
  edition: 2,
  causes: [...PLATE_CAUSES, ...VALVE_CAUSES, ...LINKAGE_CAUSES, ...DRIVE_CAUSES, ...AIR_CAUSES, ...ENGINE_CAUSES],
  signs: [...SYMPTOMS, ...CIRCUMSTANCES, ...HISTORY, ...CODES, ...CHECKS].map(withPhrases),
  groups: SIGN_GROUPS,
  ownCodes: [],
  ownPhrases: [],
  conflicts: CONFLICTS,
};
