import { z } from 'zod';
import { id } from './primitives.ts';
import { stockItem } from './stock.ts';
import { unitInput } from './vehicle.ts';

/** A page of a list; `next` is the key to ask for the page after, null at the end. */
export interface Page<T> {
  readonly rows: readonly T[];
  readonly next: string | null;
}

/** What every list is asked by: in which order, after which page, how many lines. */
const paged = <S extends string>(sorts: readonly [S, ...S[]], direction: 'asc' | 'desc' = 'asc') =>
  z.strictObject({
    sort: z.enum(sorts).default(sorts[0] as never),
    direction: z.enum(['asc', 'desc']).default(direction),
    /** `next` of the page before. */
    after: z.string().max(1000).optional(),
    limit: z.coerce.number().int().min(1).max(200).default(50),
  });
const text = { q: z.string().max(2000).default('') };
/** One or several of the same name in an address. */
const several = <T extends z.ZodType>(one: T) =>
  z.preprocess((value) => (value === undefined ? [] : [value].flat()), z.array(one));

/** Query of a list of vehicles. */
export const vehicleQuery = paged(['plate', 'make', 'owner']).extend(text);
/** Query of a list of jobs. */
export const jobQuery = paged(['number', 'last', 'plate'], 'desc').extend({
  ...text,
  status: z.enum(['open', 'closed', 'all']).default('all'),
  vehicleId: id.optional(),
});
/** Query of the stock; `number` asks for part numbers, however they are spelt. */
export const stockQuery = paged(['name', 'number', 'place', 'kind']).extend({
  ...text,
  kind: several(stockItem.shape.kind),
  number: several(z.string().max(120)),
});
/** Query of the units that sit on no vehicle. */
export const unitQuery = paged(['state', 'number', 'place']).extend({
  ...text,
  kind: unitInput.shape.kind.optional(),
  state: z.enum(['fitted', 'on the shelf', 'scrapped', 'sold']).optional(),
});
/** Query of a list that has one order. */
export const plainQuery = z.strictObject({
  after: z.string().max(1000).optional(),
  limit: z.coerce.number().int().min(1).max(200).default(50),
});

/** By what vehicles are put in order. */
export type VehicleSort = z.infer<typeof vehicleQuery>['sort'];
/** By what jobs are put in order. */
export type JobSort = z.infer<typeof jobQuery>['sort'];
/** By what the stock is put in order. */
export type StockSort = z.infer<typeof stockQuery>['sort'];
/** By what units are put in order. */
export type UnitSort = z.infer<typeof unitQuery>['sort'];
