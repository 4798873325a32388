import type { OptionTerms } from '../../choose/index.ts';
import type { TypeOf } from '../../shape/index.ts';
import type { Recorded } from '../fact.ts';
import type { optionFigures } from '../shapes.ts';
import type { Stamp } from '../stamp.ts';
import type { beliefKeptShape, decisionMadeShape, ruleDepartedShape } from './decision.ts';
import type { estimateAnsweredShape, estimateMadeShape } from './estimate.ts';

/** What was believed when it was decided: causes by name, so that it can be read without the knowledge. */
export type Belief = Recorded<typeof beliefKeptShape>;
/** An option as it looked when the decision was made; money in minor units. */
export type OptionFigures = TypeOf<typeof optionFigures>;
/** A house rule that the job departs from. */
export type Departure = Recorded<typeof ruleDepartedShape>;
/** A line of an estimate, minor units. */
export type EstimateLine = TypeOf<typeof estimateMadeShape>['lines'][number];
/** An estimate, with the customer's answer once there is one. */
export type Estimate = Recorded<typeof estimateMadeShape> & {
  readonly answer: (Stamp & Omit<TypeOf<typeof estimateAnsweredShape>, 'id'>) | null;
};

/** What was weighed, decided and agreed. */
export interface ChoiceState {
  /** Prices, minutes and days set by hand, by option. */
  readonly terms: readonly (Pick<OptionTerms, 'id' | 'partsMinor' | 'minutes' | 'daysOff' | 'life'> & {
    readonly way?: string | undefined;
  })[];
  readonly belief: Belief | null;
  readonly departures: readonly Departure[];
  readonly estimates: readonly Estimate[];
  readonly decision: Recorded<typeof decisionMadeShape> | null;
}

/** Before anything was decided. */
export const FRESH_CHOICE: ChoiceState = { terms: [], belief: null, departures: [], estimates: [], decision: null };
