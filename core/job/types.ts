import type { OptionTerms } from '../choose/index.ts';
import type { CoolantEntry, Inhibitor } from '../coolant/index.ts';
import type { Method, PassKind, Substance, Surface } from '../clean/index.ts';
import type { Need, Procedure, ProcedureItem, ProcedureOpening } from '../procedure/index.ts';
import type { Quantity } from '../quantity/index.ts';
import type { Constraint, ItemState } from '../refit/index.ts';
import type { Rubber } from '../rebuild/index.ts';
import type { Run } from '../relearn/index.ts';
import type { TightenMethod } from '../torque/index.ts';
import type { MeterReading, Vehicle } from '../vehicle/index.ts';
import type { Choice, MeasureKind, ProofKind } from './lists.ts';
import type { Stage } from './stages.ts';
import type {
  Belief,
  CheckDone,
  Clearing,
  CodeRead,
  Departure,
  Estimate,
  FreezeFrame,
  PassedOver,
  SignNoted,
  Symptom,
  Told,
  ValuesRead,
  VariantCompared,
} from './intakeTypes.ts';
import type {
  CoolantTest,
  JudgedFinding,
  LeakCheck,
  PictureMarking,
  PieceApart,
  Recheck,
  ScrewTurn,
  SeizedRecord,
  SensorSweep,
  UnitReplaced,
  WasteTaken,
} from './benchTypes.ts';
import type { Stamp, When } from './stamp.ts';
import type {
  BenchDone,
  BrokenOrder,
  EndStepDone,
  ItemFlag,
  KeptMeasure,
  Override,
  Retorque,
  Search,
  StepInHand,
  ThreadDamage,
  Tray,
} from './stripTypes.ts';

export type * from './benchTypes.ts';
export type * from './intakeTypes.ts';
export type * from './stamp.ts';
export type * from './stripTypes.ts';

/** A bolt's last recorded pass. */
export interface BoltResult extends Stamp {
  readonly boltId: string;
  readonly pass: number;
  readonly final: boolean;
  /** As entered; null by feel. */
  readonly torque: Quantity | null;
  readonly nm: number | null;
  readonly method: TightenMethod;
  readonly wrench: string;
  /** Degrees turned in an angle pass; absent otherwise. */
  readonly angleDeg?: number | undefined;
  /** The adapter that was on the wrench, in words; absent when none was. */
  readonly adapter?: string | undefined;
}

/** An item with where it is on its round trip. */
export interface JobItem extends ProcedureItem {
  /** From the procedure, typed by a person, or a plug that was put into an opening. */
  readonly origin: 'procedure' | 'typed' | 'plug';
  readonly state: ItemState;
  /** 1-based place in which it came off; null while on. */
  readonly stripOrder: number | null;
  readonly off: Stamp | null;
  readonly back: Stamp | null;
  readonly pocket: string;
  readonly label: string;
  readonly remark: string;
  readonly confirmed: boolean;
  readonly countedOut: number | null;
  readonly countedBack: number | null;
  readonly fitted: string;
  readonly bolts: readonly BoltResult[];
  /** Fasteners left in to hold the weight. */
  readonly stayingIn: number;
  /** Counted out by length, where a group has several. */
  readonly lengthsOut: readonly LengthCount[];
  readonly flag: ItemFlag | null;
  readonly kept: readonly KeptMeasure[];
  readonly threads: readonly ThreadDamage[];
  /** Moved from the old unit to the new one. */
  readonly swapped: Stamp | null;
  readonly retorqued: Retorque | null;
  /** Hands-on seconds that went into taking it off and putting it back, from gaps between one person's entries. */
  readonly seconds: { readonly off: number; readonly back: number };
}

/** Fasteners of one length. */
export interface LengthCount {
  readonly lengthMm: number;
  readonly count: number;
}

/** An opening and what is in it. */
export interface JobOpening extends ProcedureOpening {
  readonly state: 'whole' | 'open' | 'plugged' | 'closed';
  readonly plugId: string | null;
}

export interface NeedState {
  readonly needId: string;
  readonly state: 'ready' | 'ordered' | 'missing';
  /** ISO date on which it is expected, when ordered. */
  readonly expected: string | null;
  /** When this job ordered it, ISO; absent when it did not. */
  readonly orderedAt?: string;
  /** When what this job had ordered came, ISO; absent when it lay there anyway, or is still to come. */
  readonly arrivedAt?: string;
}
export interface PlacedObject extends Stamp {
  readonly id: string;
  readonly what: string;
  readonly where: string;
  readonly out: boolean;
}
export interface Finding extends Stamp {
  readonly id: string;
  /** A unit on the bench, see `benchUnits`. */
  readonly unit: string;
  readonly point: string;
  readonly when: When;
  readonly grade: number | null;
  readonly text: string;
  /** How it was judged; absent for a grade or words from before there were limits. */
  readonly judged?: JudgedFinding | undefined;
}
export interface PictureRef extends Stamp {
  readonly id: string;
  readonly hash: string;
  readonly subject: string;
  readonly when: When;
  readonly caption: string;
  readonly marking?: PictureMarking | undefined;
}
export interface CleanerUse extends Stamp {
  readonly id: string;
  readonly substance: Substance;
  readonly beforeG: number;
  readonly afterG: number;
  readonly grams: number;
  readonly surface: string;
  /** Minutes it was sprayed over; absent for all at once. */
  readonly minutes?: number | undefined;
  readonly surfaces?: readonly Surface[] | undefined;
  /** Minor units for what was used; absent where the price is not known. */
  readonly priceMinor?: number | undefined;
  readonly stockId?: string | undefined;
  /** The can is empty now. */
  readonly emptied?: boolean | undefined;
}
export interface CleanPass extends Stamp {
  readonly id: string;
  readonly unit: string;
  readonly kind: PassKind;
  readonly substance?: Substance | undefined;
  readonly how?: Method | undefined;
}
export interface Timer extends Stamp {
  readonly id: string;
  readonly label: string;
  readonly minutes: number;
  readonly kind: TimerKind;
  /** The item that cures or is gone over again; absent for others. */
  readonly itemId?: string | undefined;
  /** The unit on the bench that it is about; absent for others. */
  readonly unit?: string | undefined;
  readonly ended: (Stamp & { readonly outcome: 'done' | 'stopped' }) | null;
}
/** What a timer is for. */
export type TimerKind = 'soak' | 'cure' | 'cool' | 'heat-cycle' | 'oil' | 'air' | 'other';
export interface SealDecision extends Stamp {
  readonly id: string;
  readonly name: string;
  readonly decision: 'renewed' | 'reused';
  readonly partNumber: string;
  readonly why: string;
  readonly rubber?: Rubber | undefined;
  /** What it went in with; absent for dry. */
  readonly lubricant?: Substance | undefined;
  /** Its way round was looked at. */
  readonly wayRound?: string | undefined;
}
export interface CoolantRecord extends CoolantEntry, Stamp {
  /** The bottle of the stock that it was poured from, and whether that is empty now. */
  readonly stockId?: string | undefined;
  readonly emptied?: boolean | undefined;
  readonly id: string;
  readonly quantity: Quantity;
  readonly inhibitor?: Inhibitor | undefined;
  readonly priceMinor?: number | undefined;
}
export interface LevelCheck extends Stamp {
  readonly when: 'hot' | 'cold';
  readonly level: 'low' | 'right' | 'high';
}
export interface JobRun extends Stamp {
  readonly id: string;
  readonly run: Run;
  readonly closed: (Stamp & { readonly outcome: RunOutcome; readonly why: string }) | null;
}
/** How an attempt ended, in the person's judgement. */
export type RunOutcome = 'took' | 'did not take' | 'abandoned';
export interface Measurement extends Stamp {
  readonly id: string;
  readonly kind: MeasureKind;
  readonly when: When;
  readonly value: number;
}
export interface Proof extends Stamp {
  readonly check: ProofKind;
  readonly result: 'good' | 'bad';
  readonly note: string;
}
export interface PartUsed extends Stamp {
  readonly id: string;
  readonly name: string;
  readonly partNumber: string;
  readonly quantity: number;
  /** Minor units of the shop's currency, for one. */
  readonly priceMinor: number;
}
export interface Note extends Stamp {
  readonly id: string;
  readonly stage: Stage;
  readonly text: string;
}
export interface HandOver extends Stamp {
  readonly watch: string;
  readonly nextDue: MeterReading | null;
  readonly labourMinutes: number;
  readonly ratePerHourMinor: number;
  readonly currency: string;
}

/** What undo needs: the state before, which holds the entry before this one, and words for the button. */
export interface UndoEntry extends Stamp {
  readonly commandId: string;
  readonly seqs: readonly number[];
  readonly label: string;
  readonly before: Job;
}

/** A job as computed from its log. Immutable; unchanged parts keep their identity from one event to the next. */
export interface Job {
  readonly id: string;
  readonly number: number;
  /** The number of events applied. */
  readonly version: number;
  readonly status: 'open' | 'closed';
  readonly opened: Stamp;
  readonly lastAt: string;
  readonly vehicle: Vehicle;
  readonly reading: MeterReading;
  readonly readingReason: string;
  readonly complaint: string;
  readonly since: string;
  readonly doneBefore: string;
  readonly symptoms: readonly Symptom[];
  readonly codes: readonly CodeRead[];
  /** Codes were read to the end, before or after. */
  readonly codesRead: Readonly<Record<When, Stamp | null>>;
  readonly checks: readonly CheckDone[];
  /** The version of the knowledge that this job is judged by; 1 for logs from before it was kept. */
  readonly knowledge: number;
  readonly told: readonly Told[];
  readonly signs: readonly SignNoted[];
  readonly passedOver: readonly PassedOver[];
  readonly frames: readonly FreezeFrame[];
  readonly values: readonly ValuesRead[];
  readonly clearings: readonly Clearing[];
  readonly variants: readonly VariantCompared[];
  /** Prices, minutes and days set by hand, by option. */
  readonly terms: readonly Pick<OptionTerms, 'id' | 'partsMinor' | 'minutes' | 'daysOff' | 'life'>[];
  readonly belief: Belief | null;
  readonly departures: readonly Departure[];
  readonly estimates: readonly Estimate[];
  readonly decision: (Stamp & { readonly choice: Choice; readonly reason: string }) | null;
  readonly procedure: Procedure | null;
  readonly needs: readonly NeedState[];
  /** Needs found on the way, beside the procedure's. */
  readonly ownNeeds: readonly Need[];
  readonly endSteps: readonly EndStepDone[];
  readonly cautions: readonly string[];
  readonly items: readonly JobItem[];
  readonly openings: readonly JobOpening[];
  readonly constraints: readonly Constraint[];
  readonly objects: readonly PlacedObject[];
  readonly searches: readonly Search[];
  readonly overrides: readonly Override[];
  readonly brokenOrders: readonly BrokenOrder[];
  readonly benchDone: readonly BenchDone[];
  /** Who has which step in hand, one a person. */
  readonly hands: readonly StepInHand[];
  readonly tray: Tray;
  /** When each person last entered anything. */
  readonly people: Readonly<Record<string, string>>;
  readonly findings: readonly Finding[];
  readonly pictures: readonly PictureRef[];
  readonly cleaners: readonly CleanerUse[];
  readonly passes: readonly CleanPass[];
  readonly timers: readonly Timer[];
  readonly seals: readonly SealDecision[];
  readonly coolant: readonly CoolantRecord[];
  readonly levels: readonly LevelCheck[];
  readonly seized: readonly SeizedRecord[];
  readonly waste: readonly WasteTaken[];
  readonly pieces: readonly PieceApart[];
  readonly sweeps: readonly SensorSweep[];
  readonly turned: readonly ScrewTurn[];
  readonly replaced: readonly UnitReplaced[];
  readonly coolantTests: readonly CoolantTest[];
  readonly leakChecks: readonly LeakCheck[];
  readonly rechecks: readonly Recheck[];
  readonly runs: readonly JobRun[];
  readonly measurements: readonly Measurement[];
  readonly proofs: readonly Proof[];
  readonly parts: readonly PartUsed[];
  readonly notes: readonly Note[];
  readonly passed: readonly Stage[];
  readonly handOver: HandOver | null;
  readonly reopened: readonly (Stamp & { readonly reason: string })[];
  /** Seconds: hands-on from gaps between entries, waiting from gaps that a timer covers. */
  readonly time: { readonly handsOnS: number; readonly waitingS: number };
  readonly last: (Stamp & { readonly words: string }) | null;
  /** The last action that can be taken back; earlier ones are reached through its `before`. */
  readonly undo: UndoEntry | null;
}
