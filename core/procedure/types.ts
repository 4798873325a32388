import type { Glycol } from '../coolant/index.ts';
import type { Constraint } from '../refit/index.ts';
import type { BoltPlace, TorqueSpec } from '../torque/index.ts';

/** What kind of thing an item is; it decides the words on the buttons and what is asked. */
export type ItemKind =
  | 'cover'
  | 'duct'
  | 'clamp'
  | 'hose'
  | 'coolant-hose'
  | 'connector'
  | 'cable'
  | 'bracket'
  | 'fasteners'
  | 'unit'
  | 'gasket'
  | 'plug'
  | 'other';

/** The two units that this work is about. */
export type UnitKind = 'throttle-body' | 'idle-valve';

/** A bolt of a group with its place on the flange and what it is called. */
export interface Bolt extends BoltPlace {
  /** “upper left”, “the short one: 25 mm”. */
  readonly label: string;
}

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
}

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
  readonly cautions: readonly string[];
}

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
}

/** The coolant system of the family. */
export interface CoolantSystem {
  readonly capacityL: number;
  readonly glycol: Glycol;
  /** Share by volume, 0 to 1. */
  readonly concentration: number;
  readonly bleedPoint: string;
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
}
