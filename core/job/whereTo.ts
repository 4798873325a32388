import type { Stage } from './stages.ts';

/** A part of a stage that can be gone to. */
export type Spot =
  | 'said'
  | 'codes'
  | 'checks'
  | 'needs'
  | 'passes'
  | 'can'
  | 'waste'
  | 'seals'
  | 'pieces'
  | 'book'
  | 'level'
  | 'bleed'
  | 'lines'
  | 'live'
  | 'measured'
  | 'balance'
  | 'codes-after'
  | 'driven'
  | 'last'
  | 'still-open'
  | 'countersign';

/** Where something is done: a stage, and there an item or a part of it. */
export interface WhereTo {
  readonly stage: Stage;
  readonly item?: string;
  readonly spot?: Spot;
}
