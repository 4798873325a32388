export { adapterClear, adapterRead } from './adapter.ts';
export type { AdapterLinkInfo, AdapterReading, EngineShown } from './adapter.ts';
export { command } from './commands.ts';
export type { SentCommand } from './commands.ts';
export { exportedFact, factData } from './events.ts';
export {
  auditQuery,
  figureBody,
  person,
  personInput,
  searchQuery,
  settings,
  shopValues,
  itemQuery,
  sinceQuery,
} from './http.ts';
export type {
  AirReply,
  AuditLine,
  BayLine,
  BayReply,
  BayStretch,
  Change,
  CommandReply,
  ErrorReply,
  ItemTimes,
  JobReply,
  FoundKind,
  FoundLine,
  FoundPart,
  JobSummary,
  LikeFigure,
  Person,
  ProcedureLine,
  ProcedureVersion,
  Reminder,
  ReturnLine,
  SearchReply,
  Settings,
  VehicleFile,
} from './http.ts';
export { absenceInput, dayFigures, hoursOfDay, longerInput, planInput, skills, weekOfHours, wishInput } from './day.ts';
export type { AbsenceInput, DayFigures, DayReply, DoneStretch, KeptPlan } from './day.ts';
export {
  offer,
  offersAnswer,
  offersQuery,
  onOrderQuery,
  orderTaken,
  priceListQuery,
  supplierOrder,
} from './supplier.ts';
export type { OnOrderLine, OnOrderReply, PriceListLine, SupplierOrder, SupplierReply } from './supplier.ts';
export { behindQuery, reportPeriod } from './report.ts';
export type { BehindJob, Report, ReportColumn, ReportRow, ReportTable } from './report.ts';
export {
  chapter,
  knowHowQuery,
  lifeFile,
  SIGNED_FORMAT,
  shopConfirmed,
  signedFile,
  signedFileLook,
  signedFileTake,
} from './exchange.ts';
export type {
  ChapterElsewhere,
  KnowHowFile,
  LifeFile,
  ShopKnown,
  ShopsReply,
  SignedFile,
  SignedLook,
} from './exchange.ts';
export { lessonAnswerInput } from './lessons.ts';
export type { CauseLine, LessonAnswer, LessonAnswerInput, LessonLine, LessonsReply } from './lessons.ts';
export { dueAnswerInput, dueQuery, followUpInput } from './years.ts';
export type { DueAnswerInput, DueLine, DueReply, FollowUpInput, LastingReply, LifeLine, ShelfPart } from './years.ts';
export { backupBody, keepingBody, keepingInput } from './keeping.ts';
export type {
  BackupLine,
  BackupStep,
  BrokenSetting,
  Finding,
  FindingKind,
  KeepingInput,
  KeepingReply,
} from './keeping.ts';
export { knowledgeChange, knowledgeTrial } from './knowledge.ts';
export type { KnowledgeReply, KnowledgeVersion, StoredCase, TrialChange, TrialReply } from './knowledge.ts';
export { jobQuery, plainQuery, stockQuery, unitQuery, vehicleQuery } from './lists.ts';
export type { JobSort, Page, StockSort, UnitSort, VehicleSort } from './lists.ts';
export { id } from './primitives.ts';
export {
  calendar,
  PROCEDURE_FORMAT,
  procedure,
  procedureFile,
  tool,
  toolInput,
  wrench,
  wrenchInput,
} from './procedure.ts';
export type { ProcedureFile } from './procedure.ts';
export {
  crossReference,
  movementInput,
  orderInput,
  receiveInput,
  stockDetail,
  stockInput,
  stockItem,
} from './stock.ts';
export type {
  BatchLine,
  JobQuantity,
  MovementInput,
  OrderInput,
  ReceiveInput,
  Reservation,
  StockDetail,
  StockFile,
  StockInput,
  StockItem,
  StockKind,
  StockMovement,
  StockOrder,
  StockOutlook,
} from './stock.ts';
export { recipe, RECIPE_FORMAT, recipeFile, recipeSave } from './recipe.ts';
export type { RecipeFile, RecipeVersion } from './recipe.ts';
export { transfer, TRANSFER_FORMAT, TRANSFER_VERSION } from './transfer.ts';
export type { Transfer } from './transfer.ts';
export { family, familyInput, lifeInput, unitInput, vehicle, vehicleInput, vehicleMerge } from './vehicle.ts';
export type { FamilyInput, FamilyRow, LifeInput, UnitFile, UnitInput, VehicleInput } from './vehicle.ts';
export { adapterAct, DEEDS, recordingBegin, recordingEnd, recordingStep } from './recordings.ts';
export type { Deed, RecordingBegun, RecordingNews, RecordingStored, VisitFigure } from './recordings.ts';
export { instrumentPair, instrumentQuery, instrumentSet, MOODS } from './instruments.ts';
export type { InstrumentInfo, InstrumentNews, Mood } from './instruments.ts';
export {
  accessQuery,
  changeHands,
  countersignBody,
  customerAnswer,
  linkInput,
  passwordSet,
  phoneJoin,
  pinSet,
  role,
  signIn,
  stationInput,
} from './signIn.ts';
export type {
  AccessLine,
  Feed,
  FeedMade,
  ForCustomer,
  JobLink,
  LinkMade,
  NetworkReply,
  SessionReply,
  Station,
} from './signIn.ts';
export {
  drillDone,
  practiceAgain,
  practiceBegin,
  practiceBy,
  practiceDecided,
  practiceDeed,
  SCENARIO_FILE_VERSION,
  scenarioFile,
  scenarioInput,
} from './practice.ts';
export type {
  PracticeAnswer,
  PracticeDeed,
  PracticeEntry,
  PracticeHome,
  PracticeLine,
  PracticeProgress,
  PracticeReply,
  PracticeReview,
  PracticeStanding,
  PracticeState,
  ScenarioFile,
  ScenarioInput,
  ScenarioLine,
} from './practice.ts';
