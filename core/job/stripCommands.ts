import type { TightenMethod } from '../torque/index.ts';
import type { StripEventData } from './stripEvents.ts';

/** Commands about items, openings and fasteners beyond taking off and putting back. */
export interface StripCommandData {
  'move-to-version': { readonly procedureId: string; readonly version: number };
  'add-need': StripEventData['need-added'];
  'do-end-step': StripEventData['end-step-done'];
  'add-opening': StripEventData['opening-added'];
  'take-out-rest': StripEventData['rest-taken-out'];
  /** `partNumber` and a fresh `needId` put the part on the list when one is needed. */
  'flag-item': Omit<StripEventData['item-flagged'], 'needId'> & {
    readonly partNumber: string;
    readonly needId: string;
  };
  'settle-flag': StripEventData['flag-settled'];
  'keep-measure': StripEventData['measure-kept'];
  'restore-measure': StripEventData['measure-restored'];
  'drop-object': StripEventData['object-dropped'];
  'end-search': StripEventData['search-ended'];
  /** Keys of holds, see `holdKey` of the refit room. */
  'override-hold': { readonly keys: readonly string[]; readonly reason: string };
  'finish-bench': StripEventData['bench-finished'];
  'swap-over': StripEventData['item-swapped-over'];
  'take-step': StripEventData['step-taken'];
  'lay-out-tray': StripEventData['tray-laid-out'];
  'name-pocket': StripEventData['pocket-named'];
  /** One figure for every bolt of a pass that is not done yet. */
  'tighten-pass': {
    readonly itemId: string;
    readonly pass: number;
    readonly method: TightenMethod;
    readonly torqueText: string;
    readonly wrenchId: string;
    readonly adapter?: string | undefined;
  };
  'strip-thread': StripEventData['thread-stripped'];
  'repair-thread': StripEventData['thread-repaired'];
  'go-over-group': StripEventData['group-gone-over'];
}
