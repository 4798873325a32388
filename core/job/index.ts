export { type NotTaken, reasonsNotTaken } from './runs/notTaken.ts';
export { rulesOf } from './house/rules.ts';
export { QUESTIONS_AT } from './house/places.ts';
export { MISHAPS, type MishapId } from './mishaps/kinds.ts';
export { bankPlaces, GAUGE_UNITS } from './balance/measuring.ts';
export { balanceSeen, type BalanceSeen } from './balance/query.ts';
export { benchParts, type BenchPart } from './parts/onBench.ts';
export { renewalOf, type Renewal } from './rebuild/renewal.ts';
export { sealWords } from './rebuild/sheet.ts';
export { offReasonWords, stillBefore } from './items/offOrder.ts';
export { comesOff } from './items/backSteps.ts';
export { TRIAL_PLACES, type TrialPlace } from './start/runPlaces.ts';
export { trimmedUnits } from './trim/trying.ts';
export { recipesFor } from './runs/offered.ts';
export { bringUp, isCurrent } from './bringUp.ts';
export { typedParts, type TypedPart, withText } from './typed.ts';
export type {
  Command,
  CommandBody,
  CommandData,
  CommandType,
  EventData,
  EventType,
  RecordedEvent,
} from './catalogue.ts';
export { factProblem } from './bounds.ts';
export { COMMANDS, FACTS, wordsOf } from './catalogue.ts';
export {
  awaitingByPerson,
  awaitingCountersign,
  countersignerOf,
  handOverCountersigned,
} from './countersign/awaiting.ts';
export { CHOICES } from './choice/choices.ts';
export type { Choice } from './choice/choices.ts';
export {
  ESTIMATE_SPREAD,
  estimateLines,
  estimateRange,
  jobBelief,
  jobChoice,
  jobTerms,
  partNumberFor,
  wayMinutes,
} from './choice/options.ts';
export type { ShopFigures } from './choice/options.ts';
export { failedOptions } from './diagnosis/attempts.ts';
export { estimateMessage, estimateSheet } from './choice/estimateSheet.ts';
export type { EstimateSheet } from './choice/estimateSheet.ts';
export type { Belief, Departure, Estimate, EstimateLine, OptionFigures } from './choice/state.ts';
export { wasteDue } from './cleaning/due.ts';
export { isInPlace, passesNow, passesOf, unitState } from './cleaning/present.ts';
export { againstWords } from './cleaning/against.ts';
export { boreGrade, gradedAt, looksClean, nextUnitPass, seenSince, unitMethod, wantsGrade } from './cleaning/method.ts';
export type { CleanerUse, CleanPass, WasteTaken } from './cleaning/state.ts';
export type {
  Clearing,
  CodeRead,
  FreezeFrame,
  LiveValue,
  SignNoted,
  Symptom,
  Told,
  ValuesRead,
} from './complaint/state.ts';
export { NO_CONTEXT } from './context.ts';
export type { Asks, Comeback, Context, EarlierJob, Role } from './context.ts';
export { mixAfter } from './coolant/sheet.ts';
export { coolantSystem } from './coolant/system.ts';
export { coolantLoss, coolantNow, inhibitorQuestions, openedHoses, shareBefore } from './coolant/account.ts';
export type { CoolantRecord, CoolantTest, LeakCheck, LevelCheck } from './coolant/state.ts';
export { asksOf, decide } from './decide.ts';
export { bodyOf, entryWords } from './entries/deciding.ts';
export { entryOf, fixesOf, nameOfEntry, recordOf, standsOn } from './entries/history.ts';
export type { MovedEntry, StruckEntry } from './entries/state.ts';
export type { Decision, Refusal } from './decision.ts';
export { diagnoseJob, isOrdinary } from './diagnosis/diagnose.ts';
export { jobFindings, subjectOf, unitsOf, whereIs } from './diagnosis/findings.ts';
export { AMOUNTS, foreignHolding, foreignStillIn } from './diagnosis/foreign.ts';
export type { ForeignFound } from './diagnosis/foreign.ts';
export { openPoints, unanswered } from './handover/openPoints.ts';
export type { LeftOpen, OpenCode, OpenPoint } from './handover/openPoints.ts';
export { JOB_KINDS } from './complaint/opening.ts';
export type { JobDiagnosis } from './diagnosis/diagnose.ts';
export type { FindingSource, JobFinding } from './diagnosis/found.ts';
export type { CheckDone, PassedOver, VariantCompared } from './diagnosis/state.ts';
export { clockOffsetMs, counted, judgeTime } from './entryTime.ts';
export type { EntryTime, Late } from './entryTime.ts';
export { evolve, replay, stateBefore } from './evolve.ts';
export type { MadeFact } from './fact.ts';
export { costOf } from './handover/cost.ts';
export type { Cost } from './handover/cost.ts';
export type { Gap } from './gap.ts';
export type { Spot, WhereTo } from './whereTo.ts';
export { engineHolds } from './start/gaps.ts';
export { whereCleared } from './start/whereCleared.ts';
export { currentStage, stageGaps, stagesSkipped } from './handover/progress.ts';
export type { HandOver, Recheck } from './handover/state.ts';
export { jobObjections, judgedFindings } from './inspection/objections.ts';
export { droppedUnseen } from './inspection/dropping.ts';
export type { UnitDropped } from './inspection/dropping.ts';
export type { Finding, JudgedFinding } from './inspection/state.ts';
export { boreNames, formOf, isVehicleUnit, jobUnits, lightEven, unitName, worstGrade } from './inspection/units.ts';
export type { JobUnit } from './inspection/units.ts';
export { FLAG_NEEDS, FLAGS } from './items/flagKinds.ts';
export type { Flag, FlagNeed } from './items/flagKinds.ts';
export {
  AT_IT_MIN,
  benchIsDone,
  foreseenPlan,
  freeToGoBack,
  jobConstraints,
  jobLocks,
  jobPlan,
  lockWords,
  nextBack,
  peopleAtIt,
} from './items/plans.ts';
export { freePocket, hangsLoose, placeFor, pocketId, pocketsOf, tagFor, UNIT_PLACE } from './items/places.ts';
export { standsAt, workQueue } from './items/queue.ts';
export { changesOf, fallsWith, saidOf } from './items/correcting.ts';
export { asItem, listedAs, takenOff } from './items/typed.ts';
export type { ChipState, TypedField, TypedThing } from './items/typed.ts';
export { commandOf, gaping, holding, passEntry, tapOn, UNTYPED } from './items/tap.ts';
export type { Tap, Typed, Way } from './items/tap.ts';
export { closerOf, isBack, itemOf, leftColumn, nextOff, nextOffFor, tagNumbers } from './items/query.ts';
export type {
  BrokenOrder,
  ItemFlag,
  JobItem,
  JobOpening,
  KeptMeasure,
  LengthCount,
  PlacedObject,
  Search,
  StepInHand,
  Tray,
  UnitWorkDone,
} from './items/state.ts';
export type { Job } from './job.ts';
export { allNeeds, endSteps, neededNumbers, needState, partHere, partName } from './needs/needs.ts';
export { jobOutlook, missingParts } from './needs/outlook.ts';
export type { ItemHistory, Missing, Outlook } from './needs/outlook.ts';
export type { EndStepDone, NeedState, PartUsed } from './needs/state.ts';
export { caution, CAUTION_CLOSE, CAUTIONS, cautionsFor } from './notes/cautions.ts';
export type { Caution } from './notes/cautions.ts';
export type { Note } from './notes/state.ts';
export {
  circleOf,
  type DrawnMark,
  drawnMark,
  MARK_STROKES,
  markAt,
  markUnit,
  type PictureSize,
  type Place,
  shifted,
} from './pictures/drawing.ts';
export type { PictureMark, PictureMarking, PictureRef } from './pictures/state.ts';
export { asTaken, asTurned, type Turn, type Turned, turned } from './pictures/turned.ts';
export type { Lesson } from './procedure/lessons.ts';
export { proposeProcedure } from './procedure/propose.ts';
export type { Proposal } from './procedure/propose.ts';
export { conditionWords, PROOF_PLACES, PROOF_STATES } from './proof/conditions.ts';
export type { Condition, ProofPlace, ProofState } from './proof/conditions.ts';
export { MEASURE_FIELDS, MEASURES, PROOFS, USUAL_MEASURES } from './proof/kinds.ts';
export { ownLine, VERDICT_WORDS } from './proof/line.ts';
export type { ProofLine, TriedVerdict, Verdict } from './proof/line.ts';
export { proofOf } from './proof/lines.ts';
export { codeStands, sinceCleared } from './proof/codesStand.ts';
export type { ProofSoFar } from './proof/lines.ts';
export type { MeasureKind, ProofKind } from './proof/kinds.ts';
export { bandOf, measured } from './proof/measured.ts';
export type { Measured } from './proof/measured.ts';
export type { Measurement, Proof } from './proof/state.ts';
export { FAIL_CODES } from './rebuild/failCodes.ts';
export type { FailCode } from './rebuild/failCodes.ts';
export { unitDeeds, unitMoves } from './rebuild/unitMoves.ts';
export type { UnitDeed, UnitMove } from './rebuild/unitMoves.ts';
export type { NewUnit, PieceApart, ScrewTurn, SealDecision, SensorSweep, UnitReplaced } from './rebuild/state.ts';
export type { LoggedFact } from './recorded.ts';
export type { RunInputData } from './runs/running.ts';
export type { JobRun, RunOutcome } from './runs/state.ts';
export type { RungOutcome, RungTried, SeizedRecord } from './seized/state.ts';
export type { NamedTypes } from './shapes.ts';
export { sheetOf } from './sheet.ts';
export { SHEET_TITLES } from './sheetTitles.ts';
export type { SheetTitle } from './sheetTitles.ts';
export { nextStage, previousStage, STAGE_NAMES, STAGES } from './stages.ts';
export type { Stage } from './stages.ts';
export { stageOfEntry } from './stageOf.ts';
export type { Stamp, When } from './stamp.ts';
export { jobCoolantQuestions, jobMayStart, jobTally } from './start/tallies.ts';
export type { Override } from './start/state.ts';
export { HANDS_ON_GAP_S } from './time.ts';
export { runningTimers, secondsLeft, timerEnd } from './timers/query.ts';
export type { Timer, TimerKind } from './timers/state.ts';
export {
  boltIds,
  boltOrder,
  boltVerdict,
  groupPasses,
  isAtTorque,
  isTight,
  lengthsOf,
  nextBolt,
  strippedThreads,
  wantsPass,
} from './torque/bolts.ts';
export { wantsFigure } from './torque/figures.ts';
export type { ByFeel, LikeJob } from './torque/state.ts';
export { adapterWords, torqueStep } from './torque/step.ts';
export type { TorqueStep } from './torque/step.ts';
export type { AdapterOn } from './torque/tightening.ts';
export type { BoltResult, Retorque, ThreadDamage } from './torque/state.ts';
export { promiseMessage } from './promise/message.ts';
export type { Trail, UndoEntry } from './trail.ts';
export { eventWords } from './words.ts';
export {
  figureGood,
  figureMeans,
  figureSeen,
  figuresJudged,
  figureText,
  recordingBandOf,
} from './recordings/judged.ts';
export type { FigureJudged, FigureSeen } from './recordings/judged.ts';
export type { RecordingKept } from './recordings/state.ts';
export { vehicleDone } from './recordings/vehicleDone.ts';
export type { VehicleDone } from './recordings/vehicleDone.ts';
export { displacementOf, reportBy } from './recordings/reportBy.ts';
export { keepingOf } from './recordings/keepingOf.ts';
