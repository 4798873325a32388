import type { RestoreKind } from '../procedure/index.ts';
import type { Hold } from '../refit/index.ts';
import type { RepairRoute } from '../torque/index.ts';
import type { Stamp } from './stamp.ts';

/** How an item was found. */
export const FLAGS = {
  broken: 'Broken',
  seized: 'Seized',
  missing: 'Missing',
  wrong: 'Wrong one fitted',
} as const;
/** The id of a flag. */
export type Flag = keyof typeof FLAGS;

/** What a flagged item needs. */
export const FLAG_NEEDS = {
  part: 'A new part',
  repair: 'A repair',
  note: 'A line on the sheet',
} as const;
/** The id of what it needs. */
export type FlagNeed = keyof typeof FLAG_NEEDS;

/** An item found broken, seized, missing or wrong. */
export interface ItemFlag extends Stamp {
  readonly flag: Flag;
  readonly needs: FlagNeed;
  readonly text: string;
  /** The need that was put on the list for it, if it needs a part. */
  readonly needId: string | null;
  /** How it was settled; null while it is open. */
  readonly settled: (Stamp & { readonly how: string }) | null;
}

/** A measure or mark taken before an item came off. */
export interface KeptMeasure extends Stamp {
  readonly kind: RestoreKind;
  readonly text: string;
  /** What it was set to again; null while it is not. */
  readonly restored: (Stamp & { readonly text: string }) | null;
}

/** A thread that stripped. */
export interface ThreadDamage extends Stamp {
  readonly boltId: string;
  readonly note: string;
  readonly repaired: (Stamp & { readonly route: RepairRoute; readonly note: string }) | null;
}

/** Something that was dropped, and how the search ended. */
export interface Search extends Stamp {
  readonly id: string;
  readonly what: string;
  readonly where: string;
  readonly ended: (Stamp & { readonly outcome: 'found' | 'accepted'; readonly where: string }) | null;
}

/** Holds that a lead let pass, with the reason. */
export interface Override extends Stamp {
  readonly holds: readonly Hold[];
  readonly reason: string;
}

/** An item that went on although something else had to be on first. */
export interface BrokenOrder extends Stamp {
  readonly itemId: string;
  readonly over: readonly { readonly item: string; readonly reason: string }[];
  readonly reason: string;
}

/** Bench work on one unit is finished. */
export interface BenchDone extends Stamp {
  readonly itemId: string;
  readonly note: string;
}

/** Something like the battery, undone again. */
export interface EndStepDone extends Stamp {
  readonly needId: string;
  readonly note: string;
}

/** The step that a person has in hand. */
export interface StepInHand extends Stamp {
  readonly itemId: string;
}

/** The lay-out tray: a grid of pockets, lettered down and numbered across. */
export interface Tray {
  readonly rows: number;
  readonly columns: number;
  /** Names that people gave to pockets, by pocket. */
  readonly names: Readonly<Record<string, string>>;
}

/** A group gone over again once the engine had been hot and was cold. */
export interface Retorque extends Stamp {
  readonly moved: boolean;
  readonly note: string;
}
