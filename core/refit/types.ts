/** An item as the planner sees it. */
export interface PlanItem {
  readonly id: string;
  /** 1-based place in the order in which things came off. */
  readonly stripOrder: number;
  readonly name: string;
}

/** `a` must be back before `b`. */
export interface BeforeConstraint {
  readonly kind: 'before';
  readonly id: string;
  readonly a: string;
  readonly b: string;
  readonly reason: string;
}

/** The item waits for the bench work on a unit. */
export interface AfterBenchConstraint {
  readonly kind: 'after-bench';
  readonly id: string;
  readonly item: string;
  readonly unit: string;
  readonly reason: string;
}

/** The item waits for a part. */
export interface NeedsConstraint {
  readonly kind: 'needs';
  readonly id: string;
  readonly item: string;
  readonly part: string;
  readonly reason: string;
}

/** The item closes an opening; the plug in it, if any, is itself an item that comes out straight before. */
export interface ClosesConstraint {
  readonly kind: 'closes';
  readonly id: string;
  readonly item: string;
  readonly plug: string;
  readonly reason: string;
}

/** These go back one straight after the other. */
export interface TogetherConstraint {
  readonly kind: 'together';
  readonly id: string;
  readonly items: readonly string[];
  readonly reason: string;
}

/** What ties items to one another, to parts and to the bench. */
export type Constraint =
  BeforeConstraint | AfterBenchConstraint | NeedsConstraint | ClosesConstraint | TogetherConstraint;

/** One step of the way back. */
export interface RefitStep {
  readonly itemId: string;
  /** The place, counted from the first to go back, that the plain mirror of strip would give. 1-based. */
  readonly mirrors: number;
  /** The place it has. 1-based. */
  readonly position: number;
  /** Constraints that go against the mirror and involve this item; empty when it merely slides along. */
  readonly movedBy: readonly Constraint[];
}

/** One link of a cycle: `from` must come before `to`, because. */
export interface CycleLink {
  readonly from: string;
  readonly to: string;
  readonly reason: string;
}

/** The plan, or the chain that makes one impossible. */
export type RefitPlan =
  | { readonly ok: true; readonly steps: readonly RefitStep[] }
  | { readonly ok: false; readonly cycle: readonly CycleLink[] };
