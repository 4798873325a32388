export { caseOfVehicle, comesOut, isModelled } from './case.ts';
export { FAULTS } from './faults.ts';
export { type Idling, idling } from './idling.ts';
export { type PracticeVehicle, practiceVehicle, VALVED } from './vehicle.ts';
export { ENGINE_OF, SOUND_WORLD, type World } from './world.ts';
export { caseOfScenario, type Scenario, scenarioProblem, type ScenarioProblem, seedOf, vehicleOf } from './scenario.ts';
export { SCENARIOS } from './scenarios.ts';
export { act, type Work } from './act.ts';
export { FELT_ANSWERS } from './felt.ts';
export { look, LOOKS, type Met, type Shown } from './look.ts';
export { answerOf, complaintOf, triedWords } from './complaint.ts';
export { PRACTICE_ID, PRACTICE_SOURCE, type PracticeFile, practiceFile, readingOf } from './files.ts';
export { type AtHand, DEEDS, handle, type HandAnswer, type HandDeed, isOpenToHands } from './handling.ts';
export { fieldsOf, type Handled, type Harm, harmsOf, stillWrong, UNTOUCHED, worked } from './worked.ts';
export { engineFaults } from './idling.ts';
export { codeFindings, storedCodes } from './codes.ts';
export {
  Belief,
  bestWay,
  chooseInput,
  type Rates,
  toldUnasked,
  type Way,
  wayOf,
  type WayStep,
  workStep,
} from './ways.ts';
export { type FromJob, scenarioFromJob } from './fromJob.ts';
export { ASK_MINUTES, minutesOf, READ_MINUTES } from './minutes.ts';
export { type Done, type Misread, type Parting, type Review, reviewOf, stepKey } from './review.ts';
export { inPlaceOf, mendMinutes } from './inPlace.ts';
