import {
  correctReading,
  historyTold,
  jobOpened,
  openJob,
  planWork,
  readingCorrected,
  tellHistory,
  workPlanned,
} from './opening.ts';
import { moveJob, vehiclePutRight } from './moving.ts';
import { noteSymptom, strikeSymptom, symptomNoted, symptomStruck } from './symptoms.ts';
import { answerGiven, answerQuestion, complaintTold, signStruck, strikeSign, tellComplaint } from './told.ts';
import {
  codeRead,
  codesReadOut,
  frameRead,
  readCode,
  readCodesOut,
  readFrame,
  readValues,
  valuesRead,
} from './codes.ts';
import { clearCodes, clearingEnded, codesCleared, endClearing } from './clearing.ts';

/** The facts of this subject, and the commands that record them. */
export const COMPLAINT = {
  facts: [
    jobOpened,
    readingCorrected,
    vehiclePutRight,
    historyTold,
    workPlanned,
    symptomNoted,
    symptomStruck,
    complaintTold,
    answerGiven,
    signStruck,
    codeRead,
    codesReadOut,
    frameRead,
    valuesRead,
    codesCleared,
    clearingEnded,
  ],
  commands: [
    openJob,
    correctReading,
    moveJob,
    tellHistory,
    planWork,
    noteSymptom,
    strikeSymptom,
    tellComplaint,
    answerQuestion,
    strikeSign,
    readCode,
    readCodesOut,
    readFrame,
    readValues,
    clearCodes,
    endClearing,
  ],
} as const;
