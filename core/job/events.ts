import type { Method, PassKind, Substance, Surface } from '../clean/index.ts';
import type { OptionId } from '../choose/index.ts';
import type { CoolantEntry, Inhibitor } from '../coolant/index.ts';
import type { Band, Heard } from '../diagnose/index.ts';
import type { Procedure, ProcedureItem } from '../procedure/index.ts';
import type { Quantity } from '../quantity/index.ts';
import type { Rubber } from '../rebuild/index.ts';
import type { BeforeConstraint } from '../refit/index.ts';
import type { FlagName, ReadingName, Recipe } from '../relearn/index.ts';
import type { TightenMethod } from '../torque/index.ts';
import type { MeterReading, UnitObjectKind, VariantFeatures, VariantMatch, Vehicle } from '../vehicle/index.ts';
import type { BenchEventData } from './benchEvents.ts';
import type { Choice, MeasureKind, ProofKind } from './lists.ts';
import type { Stage } from './stages.ts';
import type { PutBackExtras, RemovedExtras, StripEventData, TightenExtras } from './stripEvents.ts';
import type { BeliefShare, EstimateLine, LiveValue, OptionFigures, RunOutcome, TimerKind, When } from './types.ts';

/** A run's input without its time, which is the event's. */
export type RunInputData =
  | { readonly kind: 'confirm' }
  | { readonly kind: 'tick' }
  | { readonly kind: 'reading'; readonly name: ReadingName; readonly value: number }
  | { readonly kind: 'flag'; readonly name: FlagName; readonly on: boolean };

/** Every event and what it holds. Facts in the past tense; values as entered with SI beside. */
export interface EventData extends StripEventData, BenchEventData {
  'job-opened': {
    readonly number: number;
    readonly vehicle: Vehicle;
    readonly reading: MeterReading;
    readonly readingReason: string;
    readonly complaint: string;
  };
  'reading-corrected': { readonly reading: MeterReading; readonly reason: string };
  'history-told': { readonly since: string; readonly doneBefore: string };
  'symptom-noted': { readonly id: string; readonly text: string };
  'symptom-struck': { readonly id: string };
  'code-read': {
    readonly id: string;
    readonly code: string;
    readonly status: 'stored' | 'pending' | 'cleared';
    readonly when: When;
    readonly note: string;
  };
  'codes-read-out': { readonly when: When };
  'check-done': {
    readonly id: string;
    readonly name: string;
    readonly result: string;
    readonly verdict: 'normal' | 'abnormal' | 'unclear';
  };
  'knowledge-chosen': { readonly version: number };
  'complaint-told': { readonly id: string; readonly text: string; readonly heard: readonly Heard[] };
  'answer-given': { readonly id: string; readonly sign: string; readonly outcome: string; readonly words: string };
  'sign-struck': { readonly id: string };
  'check-recorded': {
    readonly id: string;
    readonly check: string;
    readonly name: string;
    readonly outcome: string;
    readonly result: string;
    readonly verdict: 'normal' | 'abnormal';
    /** As typed; empty when the answer was picked. */
    readonly typed: readonly string[];
    readonly band: Band | null;
    readonly when: When;
  };
  'check-passed-over': { readonly id: string; readonly check: string; readonly name: string; readonly why: string };
  'frame-read': { readonly id: string; readonly code: string; readonly values: readonly LiveValue[] };
  'values-read': {
    readonly id: string;
    readonly when: When;
    readonly values: readonly LiveValue[];
    readonly from: string;
  };
  /** What was stored when it was cleared, kept before the request goes out. */
  'codes-cleared': { readonly id: string; readonly codes: readonly string[]; readonly from: string };
  'clearing-ended': { readonly id: string; readonly outcome: 'cleared' | 'failed'; readonly words: string };
  'variant-compared': {
    readonly id: string;
    readonly kind: UnitObjectKind;
    readonly place: string;
    readonly expected: VariantFeatures;
    readonly found: VariantFeatures;
    readonly verdict: VariantMatch['verdict'];
    readonly words: string;
  };
  'terms-set': {
    readonly option: OptionId;
    readonly partsMinor: number | null;
    readonly minutes: number;
    readonly daysOff: number;
    readonly life: number;
  };
  'decision-made': { readonly choice: Choice; readonly reason: string };
  /** What was believed at the moment of the decision, and what the options looked like. */
  'belief-kept': {
    readonly knowledge: number;
    readonly causes: readonly BeliefShare[];
    readonly findings: readonly string[];
    readonly options: readonly OptionFigures[];
  };
  'rule-departed': {
    readonly question: string;
    readonly rule: string;
    readonly taken: string;
    readonly reason: string;
  };
  'estimate-made': {
    readonly id: string;
    readonly choice: Choice;
    readonly lines: readonly EstimateLine[];
    readonly lowMinor: number;
    readonly highMinor: number;
    readonly currency: string;
    readonly note: string;
  };
  'estimate-answered': {
    readonly id: string;
    readonly answer: 'approved' | 'declined' | 'up to';
    readonly limitMinor: number | null;
    readonly who: string;
    readonly how: string;
    readonly note: string;
  };
  'procedure-pinned': { readonly procedure: Procedure };
  'need-ticked': {
    readonly needId: string;
    readonly state: 'ready' | 'ordered' | 'missing';
    readonly expected: string | null;
  };
  'caution-acknowledged': { readonly caution: string };
  'item-added': { readonly item: ProcedureItem };
  'constraint-added': { readonly constraint: BeforeConstraint };
  'item-removed': RemovedExtras & {
    readonly itemId: string;
    readonly pocket: string;
    readonly label: string;
    readonly countedOut: number | null;
  };
  'item-remarked': {
    readonly itemId: string;
    readonly pocket: string;
    readonly label: string;
    readonly remark: string;
  };
  'opening-plugged': { readonly openingId: string; readonly plugId: string; readonly what: string };
  'opening-unplugged': { readonly openingId: string };
  'item-put-back': PutBackExtras & {
    readonly itemId: string;
    readonly renewed: boolean;
    readonly fitted: string;
    readonly countedBack: number | null;
    readonly confirmed: boolean;
  };
  'connector-confirmed': { readonly itemId: string };
  'item-left-off': { readonly itemId: string; readonly reason: string };
  'bolt-tightened': TightenExtras & {
    readonly itemId: string;
    readonly boltId: string;
    readonly pass: number;
    readonly final: boolean;
    readonly torque: Quantity | null;
    readonly nm: number | null;
    readonly method: TightenMethod;
    readonly wrench: string;
  };
  'object-placed': { readonly id: string; readonly what: string; readonly where: string };
  'object-taken-out': { readonly id: string };
  'finding-recorded': {
    readonly id: string;
    readonly unit: string;
    readonly point: string;
    readonly when: When;
    readonly grade: number | null;
    readonly text: string;
  };
  'picture-attached': {
    readonly id: string;
    readonly hash: string;
    readonly subject: string;
    readonly when: When;
    readonly caption: string;
  };
  'can-weighed': {
    readonly id: string;
    readonly substance: Substance;
    readonly beforeG: number;
    readonly afterG: number;
    readonly grams: number;
    readonly surface: string;
    readonly minutes?: number | undefined;
    readonly surfaces?: readonly Surface[] | undefined;
    readonly priceMinor?: number | undefined;
    readonly stockId?: string | undefined;
    readonly emptied?: boolean | undefined;
  };
  'pass-done': {
    readonly id: string;
    readonly unit: string;
    readonly kind: PassKind;
    readonly substance?: Substance | undefined;
    readonly how?: Method | undefined;
  };
  'timer-started': {
    readonly id: string;
    readonly label: string;
    readonly minutes: number;
    readonly kind: TimerKind;
    readonly itemId?: string | undefined;
    readonly unit?: string | undefined;
  };
  'timer-ended': { readonly id: string; readonly outcome: 'done' | 'stopped' };
  'seal-decided': {
    readonly id: string;
    readonly name: string;
    readonly decision: 'renewed' | 'reused';
    readonly partNumber: string;
    readonly why: string;
    readonly rubber?: Rubber | undefined;
    readonly lubricant?: Substance | undefined;
    readonly wayRound?: string | undefined;
  };
  'coolant-recorded': {
    readonly id: string;
    readonly kind: CoolantEntry['kind'];
    readonly quantity: Quantity;
    readonly litres: number;
    readonly concentration: number | null;
    readonly inhibitor?: Inhibitor | undefined;
    readonly priceMinor?: number | undefined;
    /** The bottle of the stock that it was poured from, and whether that is empty now. */
    readonly stockId?: string | undefined;
    readonly emptied?: boolean | undefined;
  };
  'level-checked': { readonly when: 'hot' | 'cold'; readonly level: 'low' | 'right' | 'high' };
  'run-started': { readonly id: string; readonly recipe: Recipe };
  'run-advanced': { readonly runId: string; readonly input: RunInputData };
  'run-closed': { readonly runId: string; readonly outcome: RunOutcome; readonly why: string };
  'measurement-taken': { readonly id: string; readonly kind: MeasureKind; readonly when: When; readonly value: number };
  'proof-recorded': { readonly check: ProofKind; readonly result: 'good' | 'bad'; readonly note: string };
  'part-used': {
    readonly id: string;
    readonly name: string;
    readonly partNumber: string;
    readonly quantity: number;
    readonly priceMinor: number;
  };
  'note-made': { readonly id: string; readonly stage: Stage; readonly text: string };
  'stage-passed': { readonly stage: Stage };
  'handed-over': {
    readonly watch: string;
    readonly nextDue: MeterReading | null;
    readonly labourMinutes: number;
    readonly ratePerHourMinor: number;
    readonly currency: string;
  };
  'job-reopened': { readonly reason: string };
  undone: { readonly seqs: readonly number[]; readonly what: string };
}

/** The name of an event. */
export type EventType = keyof EventData;

/** An event before it is recorded. */
export type JobEvent = {
  readonly [K in EventType]: { readonly type: K; readonly v: 1; readonly data: EventData[K] };
}[EventType];

/** An event in the log: what, who, when, and which command caused it. */
export type RecordedEvent = JobEvent & {
  readonly seq: number;
  readonly commandId: string;
  readonly at: string;
  readonly by: string;
};

/** Makes an event of the current version. */
export const event = <K extends EventType>(type: K, data: EventData[K]): JobEvent => ({ type, v: 1, data }) as JobEvent;
