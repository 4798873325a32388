import type { PartForm } from '../clean/index.ts';
import type { CoolantFilling } from '../coolant/index.ts';
import type { Constraint } from '../refit/index.ts';
import type { BoltPlace, PropertyClass, ThreadCondition, ThreadMaterial, TorqueSpec } from '../torque/index.ts';

/** What kind of thing an item is; it decides the words on the buttons and what is asked. */
export const ITEM_KINDS = {
  cover: 'cover',
  duct: 'duct',
  clamp: 'clamp',
  hose: 'hose',
  'coolant-hose': 'coolant hose',
  connector: 'connector',
  cable: 'cable or link',
  bracket: 'bracket',
  fasteners: 'fasteners',
  unit: 'unit itself',
  gasket: 'gasket or seal',
  plug: 'bung',
  other: 'something else',
} as const;
/** The id of an {@link ITEM_KINDS}. */
export type ItemKind = keyof typeof ITEM_KINDS;

/** The two units that this work is about. */
export type UnitKind = 'throttle-body' | 'idle-valve';

/** A bolt of a group with its place on the flange and what it is called. */
export interface Bolt extends BoltPlace {
  /** “upper left”, “the short one: 25 mm”. */
  readonly label: string;
  /** Under the head; told apart by this where one flange has several lengths. */
  readonly lengthMm?: number | undefined;
}

/** What a thread is cut into and how deep the bolt grips, for the margin against stripping. */
export interface ThreadHole {
  readonly material: ThreadMaterial;
  readonly engagementMm: number;
}

/** What a group of fasteners holds, and whether that calls for a torque figure. */
export const JOINTS = {
  flange: { name: 'unit or its flange', figure: true },
  fuel: { name: 'fuel joint', figure: true },
  coolant: { name: 'coolant joint', figure: true },
  sensor: { name: 'sensor', figure: true },
  bracket: { name: 'bracket that carries load', figure: true },
  trim: { name: 'clamp, cover or trim', figure: false },
} as const satisfies Readonly<Record<string, { readonly name: string; readonly figure: boolean }>>;
/** The id of what a group holds. */
export type Joint = keyof typeof JOINTS;

/** Fasteners that hold one thing. */
export interface FastenerGroup {
  readonly count: number;
  readonly thread: string;
  /** Places on the flange; empty when they are not drawn. */
  readonly bolts: readonly Bolt[];
  /** Null when no torque is called for. */
  readonly spec: TorqueSpec | null;
  /** Shares of the target per pass, rising to 1. */
  readonly fractions: readonly number[];
  readonly into: string;
  /** What they hold; where it is not said, the kind of the item says it. */
  readonly joint?: Joint | undefined;
  /** How many stay in until the part itself comes off, to hold its weight. */
  readonly staysIn?: number | undefined;
  readonly hole?: ThreadHole | undefined;
  readonly grade?: PropertyClass | undefined;
  /** The wetness that the figure is for; dry when it is not said. */
  readonly condition?: ThreadCondition | undefined;
  /** Minutes from warm to cold after which the group is gone over again; absent when it is not called for. */
  readonly retorqueAfterMin?: number | undefined;
}

/** What is measured or marked before an item comes off, so that it goes back the same. */
export const RESTORE_KINDS = {
  'lock-nut': 'Lock-nut position',
  'witness-mark': 'Witness mark',
  threads: 'Threads showing',
  turns: 'Turns counted',
  gap: 'Gap or length',
  'way-round': 'Way round',
} as const;
/** The id of a {@link RESTORE_KINDS}. */
export type RestoreKind = keyof typeof RESTORE_KINDS;

/** Why one thing comes off before another. */
export const OFF_REASONS = {
  reach: 'closes the way to it',
  drops: 'would let it drop',
  weight: 'holds its weight',
  'tie-back': 'is tied back out of the way',
  'keep-out': 'keeps dirt or fingers out',
} as const;
/** The id of an {@link OFF_REASONS}. */
export type OffReasonKind = keyof typeof OFF_REASONS;

/** What comes off before an item, and why. Advice: what was done in another order is recorded as it was. */
export interface OffReason {
  /** The item that comes off first. */
  readonly item: string;
  readonly kind: OffReasonKind;
  /** In a few words; empty where the kind says all. */
  readonly reason: string;
}

/** What kind of work a procedure is for. */
export const WORK_KINDS = {
  clean: 'Off, clean and back',
  rebuild: 'Off, rebuild and back',
  replace: 'Off and replaced',
} as const;
/** The id of a {@link WORK_KINDS}. */
export type WorkKind = keyof typeof WORK_KINDS;

/** An item that comes off and goes back. */
export interface ProcedureItem {
  readonly id: string;
  readonly name: string;
  readonly kind: ItemKind;
  readonly tool: string;
  /** How to do it, one sentence. */
  readonly note: string;
  /** Openings that its removal exposes; putting it back closes them. */
  readonly opens: readonly string[];
  readonly fasteners: FastenerGroup | null;
  readonly singleUse: boolean;
  readonly partNumber: string;
  /** The unit that this item is, if it is one. */
  readonly unit: UnitKind | null;
  /** Where the engine has several of them: the place of this one, as the vehicle's file names it. */
  readonly unitPlace?: string | undefined;
  readonly cautions: readonly string[];
  /** Heading under which it stands in the outline; empty or absent for none. */
  readonly section?: string | undefined;
  /** Hands-on minutes off and back, as the source or the shop says. */
  readonly minutes?: { readonly off: number; readonly back: number } | undefined;
  /** Items with the same word here look alike: each needs its own tag. */
  readonly alike?: string | undefined;
  /** What tells it from those it looks like, “left”: proposed as its tag. */
  readonly tag?: string | undefined;
  /** The unit that it moves from when a new one is fitted: an arm, a bracket. */
  readonly swapFrom?: string | undefined;
  /** What to measure before it comes off and set again. */
  readonly restore?: readonly RestoreKind[] | undefined;
  /** A step that exists only on the way back: the item before which it is done. Its note says why. */
  readonly backBefore?: string | undefined;
  /** What comes off before it, and why. */
  readonly offAfter?: readonly OffReason[] | undefined;
  /** It may stay connected: where it is tied meanwhile. Absent where it has to come off. */
  readonly mayStay?: string | undefined;
  /** What it lies on the bench as, where it is looked at and cleaned in a lane of its own. */
  readonly part?: PartForm | undefined;
}

/** Whether an item never comes off: it is a step of the way back. */
export const isBackStep = ({ backBefore }: Pick<ProcedureItem, 'backBefore'>): boolean => backBefore !== undefined;

/** A hole that strip exposes. */
export interface ProcedureOpening {
  readonly id: string;
  readonly name: string;
  readonly plugWith: string;
}

/** Something needed before starting. */
export interface Need {
  readonly id: string;
  readonly kind: 'part' | 'tool' | 'consumable' | 'do-first';
  readonly name: string;
  readonly partNumber: string;
  readonly note: string;
  readonly caution: string | null;
  /** How many; absent for one. */
  readonly count?: number | undefined;
  /** Days until it is here when ordered; absent where it is not known. */
  readonly leadDays?: number | undefined;
  /** What undoes it once the work is done: “battery negative on”. */
  readonly atEnd?: { readonly words: string; readonly beforeStart: boolean } | undefined;
}

/** The coolant system of the family. */
export interface CoolantSystem extends CoolantFilling {
  /** What each hose lets go when it comes off, litres. */
  readonly losses?: readonly { readonly itemId: string; readonly litres: number }[] | undefined;
}

/** How a kind of work is done on an engine family. */
export interface Procedure {
  readonly id: string;
  readonly version: number;
  readonly name: string;
  readonly family: string;
  readonly source: string | null;
  readonly items: readonly ProcedureItem[];
  readonly openings: readonly ProcedureOpening[];
  readonly constraints: readonly Constraint[];
  readonly needs: readonly Need[];
  readonly coolant: CoolantSystem | null;
  /** Ids of the relearn runs that suit. */
  readonly relearn: readonly string[];
  /** The engine family it belongs to; absent in files from before. */
  readonly familyId?: string | null | undefined;
  readonly work?: WorkKind | undefined;
  /** What is new in this version, in a sentence. */
  readonly changes?: string | undefined;
}
