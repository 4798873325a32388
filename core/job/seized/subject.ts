import { giveUpScrew, noteSeized, rungTried, screwGivenUp, screwSeized, tryRung } from './screws.ts';

/** The facts of this subject, and the commands that record them. */
export const SEIZED = {
  facts: [screwSeized, rungTried, screwGivenUp],
  commands: [noteSeized, tryRung, giveUpScrew],
} as const;
