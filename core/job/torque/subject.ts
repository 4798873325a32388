import { byFeelChosen, chooseByFeel, figureGiven, giveFigure } from './figures.ts';
import { boltsPlaced, placeBolts } from './placing.ts';
import { boltTightened, tightenBolt, tightenPass } from './tightening.ts';
import { goOverGroup, groupGoneOver, repairThread, stripThread, threadRepaired, threadStripped } from './threads.ts';

/** The facts of this subject, and the commands that record them. */
export const TORQUE = {
  facts: [boltTightened, threadStripped, threadRepaired, groupGoneOver, figureGiven, byFeelChosen, boltsPlaced],
  commands: [tightenBolt, tightenPass, stripThread, repairThread, goOverGroup, giveFigure, chooseByFeel, placeBolts],
} as const;
