import { beliefKept, decideOn, decisionMade, departFromRule, ruleDeparted } from './decision.ts';
import { setTerms, termsSet } from './terms.ts';
import { answerEstimate, estimateAnswered, estimateMade, makeEstimate } from './estimate.ts';

/** The facts of this subject, and the commands that record them. */
export const CHOICE = {
  facts: [decisionMade, beliefKept, ruleDeparted, termsSet, estimateMade, estimateAnswered],
  commands: [decideOn, departFromRule, setTerms, makeEstimate, answerEstimate],
} as const;
