import { advise, canUse, SUBSTANCES, SURFACES } from '../../clean/index.ts';
import { convert, FIELDS } from '../../quantity/index.ts';
import {
  flag,
  id,
  keyOf,
  line,
  list,
  number,
  optional,
  orNull,
  record,
  type RecordOf,
  whole,
} from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField, within } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import { typedAmount } from '../typedAmount.ts';

/** What {@link canWeighed} holds. */
export const canWeighedShape = record({
  id,
  substance: keyOf(SUBSTANCES),
  beforeG: number,
  afterG: number,
  grams: number,
  surface: line,
  /** Minutes it was sprayed over; 0 for all at once. */
  minutes: number,
  surfaces: list(keyOf(SURFACES), { high: 20 }),
  /** Minor units for what was used; null where the price is not known. */
  priceMinor: orNull(whole),
  /** The can of the stock; null for one that is not from there. */
  stockId: orNull(id),
  /** The can is empty now. */
  emptied: flag,
});
/** What need not be said of a can. */
const unsaid = {
  minutes: optional(number),
  surfaces: optional(list(keyOf(SURFACES), { high: 20 })),
  priceMinor: optional(whole),
  stockId: optional(id),
  emptied: optional(flag),
} as const;
const inFull = (said: RecordOf<typeof unsaid>) => ({
  minutes: said.minutes ?? 0,
  surfaces: said.surfaces ?? [],
  priceMinor: said.priceMinor ?? null,
  stockId: said.stockId ?? null,
  emptied: said.emptied ?? false,
});
/** A can was weighed before and after: what was used. */
export const canWeighed = fact('can-weighed', {
  shape: canWeighedShape,
  earlier: [
    // At first a can was weighed and no more.
    earlier(record({ ...canWeighedShape.fields, ...unsaid }), (data) => ({ ...data, ...inFull(data) })),
  ],
  means: (job, data, stamp) => ({ cleaners: [...job.cleaners, { ...data, ...stamp }] }),
  words: (data) => `${data.grams.toFixed(0)} g of cleaner`,
  putRight: {},
  sheet: 'Used and fitted',
});

/** Weighs a can before and after. */
export const weighCan = command('weigh-can', {
  shape: record({ id, substance: keyOf(SUBSTANCES), surface: line, ...unsaid, beforeText: line, afterText: line }),
  decide: (_, { beforeText, afterText, ...data }) => {
    const before = typedAmount('beforeText', beforeText, FIELDS.canGrams);
    if ('ok' in before) return before;
    const after = typedAmount('afterText', afterText, FIELDS.canGrams);
    if ('ok' in after) return after;
    const beforeG = convert(before.value, before.unit, 'g');
    const afterG = convert(after.value, after.unit, 'g');
    if (!(beforeG > 0)) return refuseField('beforeText', 'Expected the can to weigh more than 0 g before.');
    if (afterG > beforeG)
      return refuseField(
        'afterText',
        `Expected at most ${beforeG} g after use, got ${afterG}: the can cannot gain weight.`,
      );
    const wrong =
      (data.minutes === undefined ? null : within('minutes', data.minutes, 0, 600, 'minutes')) ??
      (data.priceMinor === undefined ? null : within('priceMinor', data.priceMinor, 0, 10_000_000));
    if (wrong) return wrong;
    for (const surface of data.surfaces ?? []) {
      const { verdict, reason } = advise(data.substance, surface, 'spray');
      if (verdict === 'never')
        return refuse(
          'never',
          sentence(data.substance, surface, reason),
          'Take another cleaner, or keep it off there.',
        );
    }
    return accept(canWeighed.of({ ...data, ...inFull(data), beforeG, afterG, grams: canUse(beforeG, afterG).grams }));
  },
});

/** What must never touch what, as a sentence. */
export const sentence = (substance: keyof typeof SUBSTANCES, surface: keyof typeof SURFACES, reason: string): string =>
  `Never ${SUBSTANCES[substance]} on ${SURFACES[surface]}: ${reason}.`;
