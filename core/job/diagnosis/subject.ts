import { attemptStruck, attemptTold, earlierWorkFound, strikeAttempt, tellAttempt } from './attempts.ts';
import { checkDone, checkPassedOver, checkRecorded, doCheck, passOverCheck, recordCheck } from './checks.ts';
import { describeForeign, foreignFound, foreignRecovered, recoverForeign } from './foreign.ts';
import { chooseKnowledge, knowledgeChosen } from './knowledge.ts';
import { findingStands, letStand } from './standing.ts';
import { compareVariant, variantCompared } from './variants.ts';

/** The facts of this subject, and the commands that record them. */
export const DIAGNOSIS = {
  facts: [
    checkDone,
    checkRecorded,
    checkPassedOver,
    variantCompared,
    knowledgeChosen,
    attemptTold,
    attemptStruck,
    earlierWorkFound,
    foreignFound,
    foreignRecovered,
    findingStands,
  ],
  commands: [
    doCheck,
    recordCheck,
    passOverCheck,
    compareVariant,
    chooseKnowledge,
    tellAttempt,
    strikeAttempt,
    describeForeign,
    recoverForeign,
    letStand,
  ],
} as const;
