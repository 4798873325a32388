import type { Need, Procedure, ProcedureOpening, RestoreKind } from '../procedure/index.ts';
import type { Hold } from '../refit/index.ts';
import type { RepairRoute } from '../torque/index.ts';
import type { Flag, FlagNeed } from './stripTypes.ts';
import type { LengthCount } from './types.ts';

/** What can happen to items, openings and fasteners beyond coming off and going back. */
export interface StripEventData {
  'procedure-moved': { readonly procedure: Procedure };
  'need-added': { readonly need: Need };
  'end-step-done': { readonly needId: string; readonly note: string };
  'opening-added': { readonly itemId: string; readonly opening: ProcedureOpening };
  'rest-taken-out': { readonly itemId: string };
  'item-flagged': {
    readonly itemId: string;
    readonly flag: Flag;
    readonly needs: FlagNeed;
    readonly text: string;
    readonly needId: string | null;
  };
  'flag-settled': { readonly itemId: string; readonly how: string };
  'measure-kept': { readonly itemId: string; readonly kind: RestoreKind; readonly text: string };
  'measure-restored': { readonly itemId: string; readonly kind: RestoreKind; readonly text: string };
  'object-dropped': { readonly id: string; readonly what: string; readonly where: string };
  'search-ended': { readonly id: string; readonly outcome: 'found' | 'accepted'; readonly where: string };
  'hold-overridden': { readonly holds: readonly Hold[]; readonly reason: string };
  'bench-finished': { readonly itemId: string; readonly note: string };
  'order-broken': {
    readonly itemId: string;
    readonly over: readonly { readonly item: string; readonly reason: string }[];
    readonly reason: string;
  };
  'item-swapped-over': { readonly itemId: string };
  /** Empty when the person puts the step down. */
  'step-taken': { readonly itemId: string };
  'tray-laid-out': { readonly rows: number; readonly columns: number };
  'pocket-named': { readonly pocket: string; readonly name: string };
  'thread-stripped': { readonly itemId: string; readonly boltId: string; readonly note: string };
  'thread-repaired': {
    readonly itemId: string;
    readonly boltId: string;
    readonly route: RepairRoute;
    readonly note: string;
  };
  'group-gone-over': { readonly itemId: string; readonly moved: boolean; readonly note: string };
}

/** What coming off, going back and tightening learned to say later: absent in logs from before. */
export interface RemovedExtras {
  /** Left in to hold the weight. */
  readonly stayIn?: number | undefined;
  readonly lengthsOut?: readonly LengthCount[] | undefined;
}
/** See {@link RemovedExtras}. */
export interface PutBackExtras {
  /** Why it went on although something else must be on first; empty or absent when nothing did. */
  readonly against?: string | undefined;
}
/** See {@link RemovedExtras}. */
export interface TightenExtras {
  readonly angleDeg?: number | undefined;
  readonly adapter?: string | undefined;
}
