import { advise, canUse, SUBSTANCES, SURFACES } from '../../clean/index.ts';
import { against, askAgainst } from './against.ts';
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
import { accept, refuseField, within } from '../decision.ts';
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
  /** What spoke against it, and why it was done all the same; null where nothing did. */
  against: orNull(against),
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
const { against: _, ...weighedBefore } = canWeighedShape.fields;
/** A can was weighed before and after: what was used. */
export const canWeighed = fact('can-weighed', {
  shape: canWeighedShape,
  earlier: [
    // At first a can was weighed and no more.
    earlier(record({ ...weighedBefore, ...unsaid }), (data) => ({ ...data, ...inFull(data) })),
    // Then what was against advice was refused.
    earlier(record(weighedBefore), (data) => ({ ...data, against: null })),
  ],
  means: (job, data, stamp) => ({ cleaners: [...job.cleaners, { ...data, ...stamp }] }),
  words: (data) => `${data.grams.toFixed(0)} g of cleaner`,
  putRight: {},
  sheet: 'Used and fitted',
});

/** Weighs a can before and after. */
export const weighCan = command('weigh-can', {
  shape: record({
    id,
    substance: keyOf(SUBSTANCES),
    surface: line,
    ...unsaid,
    beforeText: line,
    afterText: line,
    /** Why it was used on what it should not touch. */
    because: optional(line),
  }),
  decide: (_, { beforeText, afterText, because = '', ...data }) => {
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
    const never = (data.surfaces ?? []).flatMap((surface) => {
      const advice = advise(data.substance, surface, 'spray');
      return advice.verdict === 'never' ? [sentence(data.substance, surface, advice.reason)] : [];
    });
    if (never.length > 0 && because.trim() === '') return askAgainst(never);
    return accept(
      canWeighed.of({
        ...data,
        ...inFull(data),
        beforeG,
        afterG,
        grams: canUse(beforeG, afterG).grams,
        against: never.length === 0 ? null : { advice: never, because: because.trim() },
      }),
    );
  },
});

/** What must never touch what, as a sentence. */
export const sentence = (substance: keyof typeof SUBSTANCES, surface: keyof typeof SURFACES, reason: string): string =>
  `Never ${SUBSTANCES[substance]} on ${SURFACES[surface]}: ${reason}.`;
