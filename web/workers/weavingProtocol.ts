import type { DayInput, DayWay, WovenDay } from '../../core/bay/index.ts';

/** What the weaving worker is asked. */
export interface WeavingTask {
  readonly id: number;
  readonly input: DayInput;
}

/** What it answers: the day as soon as it is woven, then the ways out of its clashes one by one. */
export type WeavingAnswer =
  | { readonly kind: 'woven'; readonly id: number; readonly day: WovenDay }
  | { readonly kind: 'ways'; readonly id: number; readonly nth: number; readonly ways: readonly DayWay[] };
