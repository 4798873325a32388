import type { ProcedureItem, ProcedureOpening } from '../../procedure/index.ts';
import type { Constraint, ItemState } from '../../refit/index.ts';
import type { TypeOf } from '../../shape/index.ts';
import type { Recorded } from '../fact.ts';
import type { Stamp } from '../stamp.ts';
import type { BoltResult, ByFeel, LikeJob, Retorque, ThreadDamage } from '../torque/state.ts';
import type { benchFinishedShape, stepTakenShape } from './confirming.ts';
import type { itemCorrectedShape, removalStruckShape } from './correcting.ts';
import type { itemFlaggedShape, measureKeptShape } from './flags.ts';
import type { objectDroppedShape, objectPlacedShape, searchEndedShape } from './objects.ts';
import type { orderBrokenShape } from './refitting.ts';

/** Fasteners of one length. */
export interface LengthCount {
  readonly lengthMm: number;
  readonly count: number;
}

/** An item found broken, seized, missing or wrong. */
export type ItemFlag = Stamp &
  Omit<TypeOf<typeof itemFlaggedShape>, 'itemId'> & {
    /** How it was settled; null while it is open. */
    readonly settled: (Stamp & { readonly how: string }) | null;
  };

/** A measure or mark taken before an item came off. */
export type KeptMeasure = Stamp &
  Omit<TypeOf<typeof measureKeptShape>, 'itemId'> & {
    /** What it was set to again; null while it is not. */
    readonly restored: (Stamp & { readonly text: string }) | null;
  };

/** An item that was moved out of the way with everything still connected. */
export interface TiedAside extends Pick<ProcedureItem, 'fasteners' | 'opens' | 'singleUse'> {
  readonly where: string;
}

/** An item with where it is on its round trip. */
export interface JobItem extends ProcedureItem {
  /** From the procedure, typed by a person, or a plug that was put into an opening. */
  readonly origin: 'procedure' | 'typed' | 'plug';
  /** The units of the vehicle's file that it is; empty where it is none, or the file does not have it. */
  readonly unitIds: readonly string[];
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
  /** Chosen where a figure is called for and nobody has one. */
  readonly byFeel: ByFeel | null;
  /** The like job that the figure is from; null where it was not taken from one. */
  readonly figureFrom: LikeJob | null;
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
  /** What was said of it and put right, oldest first. */
  readonly corrections: readonly (Stamp & Omit<TypeOf<typeof itemCorrectedShape>, 'itemId'>)[];
  /** Left connected and tied out of the way, with what it would have taken to undo it; null for what really came off. */
  readonly aside: TiedAside | null;
  /** It was said to be off and never was; null where nobody said so. */
  readonly neverOff: (Stamp & Omit<TypeOf<typeof removalStruckShape>, 'itemId'>) | null;
  /** Hands-on seconds that went into taking it off and putting it back, from gaps between one person's entries. */
  readonly seconds: { readonly off: number; readonly back: number };
}

/** An opening and what is in it. */
export interface JobOpening extends ProcedureOpening {
  readonly state: 'whole' | 'open' | 'plugged' | 'closed';
  readonly plugId: string | null;
}

/** Something that was put in and must come out. */
export type PlacedObject = Recorded<typeof objectPlacedShape> & { readonly out: boolean };
/** Something that was dropped, and how the search ended. */
export type Search = Recorded<typeof objectDroppedShape> & {
  readonly ended: (Stamp & Omit<TypeOf<typeof searchEndedShape>, 'id'>) | null;
};
/** An item that went on although something else had to be on first. */
export type BrokenOrder = Recorded<typeof orderBrokenShape>;
/** The work on one unit is finished. */
export type UnitWorkDone = Recorded<typeof benchFinishedShape>;
/** The step that a person has in hand. */
export type StepInHand = Recorded<typeof stepTakenShape>;

/** The lay-out tray: a grid of pockets, lettered down and numbered across. */
export interface Tray {
  readonly rows: number;
  readonly columns: number;
  /** Names that people gave to pockets, by pocket. */
  readonly names: Readonly<Record<string, string>>;
}

/** What came off, where it is, and what it left open. */
export interface ItemsState {
  readonly items: readonly JobItem[];
  readonly openings: readonly JobOpening[];
  readonly constraints: readonly Constraint[];
  readonly objects: readonly PlacedObject[];
  readonly searches: readonly Search[];
  readonly brokenOrders: readonly BrokenOrder[];
  readonly unitWorkDone: readonly UnitWorkDone[];
  /** Who has which step in hand, one a person. */
  readonly hands: readonly StepInHand[];
  readonly tray: Tray;
}

/** Before anything came off. */
export const FRESH_ITEMS: ItemsState = {
  items: [],
  openings: [],
  constraints: [],
  objects: [],
  searches: [],
  brokenOrders: [],
  unitWorkDone: [],
  hands: [],
  tray: { rows: 4, columns: 6, names: {} },
};
