import { decideSeal, sealDecided } from './seals.ts';
import { pieceReturned, pieceSetApart, returnPiece, setApart } from './pieces.ts';
import { screwTurned, sensorSwept, sweepSensor, turnScrew } from './setting.ts';
import { replaceUnit, unitReplaced } from './replacing.ts';

/** The facts of this subject, and the commands that record them. */
export const REBUILD = {
  facts: [sealDecided, pieceSetApart, pieceReturned, sensorSwept, screwTurned, unitReplaced],
  commands: [decideSeal, setApart, returnPiece, sweepSensor, turnScrew, replaceUnit],
} as const;
