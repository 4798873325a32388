import { z } from 'zod';
import { calendar, hoursOfDay, keepingInput, settings, shopValues } from '../../contract/index.ts';
import { type AiringState, USUAL_AIRING } from '../../core/clean/index.ts';
import type { ShopValues } from '../../core/figures/index.ts';
import { type Calendar, type Hours, ORDINARY_WEEK } from '../../core/prepare/index.ts';
import { type Comeback, NO_CONTEXT } from '../../core/job/index.ts';
import type { Measures } from '../../core/quantity/index.ts';

/** A setting that a shop may have: what it is called, how its text is read, and what holds while nothing was said. */
interface SettingKey<T> {
  readonly name: string;
  readonly read: z.ZodType<T, string>;
  readonly otherwise: T;
}
const setting = <T>(name: string, read: z.ZodType<T, string>, otherwise: T): SettingKey<T> => ({
  name,
  read,
  otherwise,
});

const whole = (low: number, high: number) =>
  z
    .string()
    .regex(/^\d{1,12}$/, `Expected a whole number from ${low} to ${high}.`)
    .transform(Number)
    .pipe(z.number().min(low, `Expected ${low} or more.`).max(high, `Expected at most ${high}.`));
const json = <T>(inner: z.ZodType<T>) =>
  z
    .string()
    .transform((text, context): unknown => {
      try {
        return JSON.parse(text) as unknown;
      } catch {
        context.addIssue('Expected JSON.');
        return z.NEVER;
      }
    })
    .pipe(inner);
/** Ten million in the smallest coin: more than any workshop's hour costs. */
const money = whole(0, 1_000_000_000);

/** Air changes an hour. */
const rate = z.number().min(0).max(100);
const cubicMetres = z
  .string()
  .regex(/^\d{1,6}(\.\d+)?$/, 'Expected 10 to 100,000 m³.')
  .transform(Number)
  .pipe(z.number().min(10, 'Expected 10 to 100,000 m³.').max(100_000, 'Expected 10 to 100,000 m³.'));

/** Every setting by its key in the store. Nothing else is read from the table or written to it. */
export const SETTINGS = {
  'shop-name': setting('the shop’s name', settings.shape.shopName, 'This workshop'),
  currency: setting('the currency', settings.shape.currency, 'cr'),
  // Whether this machine knows the zone is asked when it is used: what it does not know gives way to its own.
  'time-zone': setting<string | null>('the time zone', settings.shape.timeZone, null),
  measures: setting<Measures>(
    'which gallon is meant',
    z.enum(['US', 'imperial', '']).transform((told) => (told === '' ? null : told)),
    null,
  ),
  'rate-per-hour-minor': setting('the price of an hour', money, 0),
  'day-price-minor': setting('the price of a day', money, 0),
  'comeback-minor': setting('the price of a comeback', money, 0),
  'comeback-within': setting<Comeback>(
    'within what the same complaint is a comeback',
    json(settings.shape.comebackWithin),
    NO_CONTEXT.comeback,
  ),
  figures: setting<ShopValues>('the shop’s own figures', json(shopValues), {}),
  'first-job-number': setting('the first job’s number', whole(1, 9_999_999), 1),
  calendar: setting<Calendar>('the opening hours', json(calendar), ORDINARY_WEEK),
  bays: setting('how many vehicles stand inside', whole(1, 50), 3),
  pause: setting<Hours | null>('when nobody works', json(hoursOfDay.nullable()), null),
  'bay-volume-m3': setting('the size of the bay', cubicMetres, 180),
  'air-rates': setting(
    'how fast the bay’s air is changed',
    json<Readonly<Record<AiringState, number>>>(z.strictObject({ shut: rate, door: rate, fan: rate, both: rate })),
    USUAL_AIRING,
  ),
  'backup-minute': setting('the time of the backup', whole(0, 1439), 180),
  'backup-folders': setting<readonly string[]>('where backups go', json(keepingInput.shape.folders), []),
} as const;

/** The key of a setting. */
export type SettingName = keyof typeof SETTINGS;
/** What a setting is read as. */
export type SettingValue<K extends SettingName> = z.output<(typeof SETTINGS)[K]['read']>;

/** Marks of the store itself, beside the settings: what has to be made anew, and by what it was made. */
export const MARKS = ['projections', 'vehicle-words', 'projected-by'] as const;
/** The key of a mark. */
export type Mark = (typeof MARKS)[number];

/** Whether a key is a setting. */
export const isSetting = (key: string): key is SettingName => key in SETTINGS;

/** Why a text cannot be a setting's; null when it can. */
export function settingProblem(key: string, text: string): string | null {
  if (!isSetting(key)) return 'There is no such setting.';
  const read = (SETTINGS[key].read as z.ZodType).safeParse(text);
  return read.success ? null : (read.error.issues[0]?.message ?? 'It cannot be read.');
}
