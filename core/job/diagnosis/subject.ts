import { checkDone, checkPassedOver, checkRecorded, doCheck, passOverCheck, recordCheck } from './checks.ts';
import { compareVariant, variantCompared } from './variants.ts';
import { chooseKnowledge, knowledgeChosen } from './knowledge.ts';

/** The facts of this subject, and the commands that record them. */
export const DIAGNOSIS = {
  facts: [checkDone, checkRecorded, checkPassedOver, variantCompared, knowledgeChosen],
  commands: [doCheck, recordCheck, passOverCheck, compareVariant, chooseKnowledge],
} as const;
