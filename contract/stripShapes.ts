import { z } from 'zod';
import { FLAG_NEEDS, FLAGS } from '../core/job/index.ts';
import { RESTORE_KINDS } from '../core/procedure/index.ts';
import type { HoldCode } from '../core/refit/index.ts';
import { REPAIRS } from '../core/torque/index.ts';
import { count, id, keysOf, line, paragraph } from './primitives.ts';
import { need } from './procedure.ts';

/** Every code of a hold; one that core does not know, or that is missing here, does not compile. */
const HOLD_CODES = {
  'opening-open': 0,
  search: 0,
  'object-in': 0,
  'opening-plugged': 0,
  thread: 0,
  count: 0,
  'item-off': 0,
  torque: 0,
  connector: 0,
  measure: 0,
  'end-step': 0,
} as const satisfies Record<HoldCode, 0>;

const measure = z.strictObject({ itemId: id, kind: z.enum(keysOf(RESTORE_KINDS)), text: line });
const bolt = { itemId: id, boltId: id, note: paragraph };

/** Shapes of what happens to items, openings and fasteners beyond coming off and going back. */
export const stripShapes = {
  'need-added': z.strictObject({ need }),
  'end-step-done': z.strictObject({ needId: id, note: line }),
  'opening-added': z.strictObject({ itemId: id, opening: z.strictObject({ id, name: line, plugWith: line }) }),
  'rest-taken-out': z.strictObject({ itemId: id }),
  'item-flagged': z.strictObject({
    itemId: id,
    flag: z.enum(keysOf(FLAGS)),
    needs: z.enum(keysOf(FLAG_NEEDS)),
    text: paragraph,
    needId: id.nullable(),
  }),
  'flag-settled': z.strictObject({ itemId: id, how: line }),
  'measure-kept': measure,
  'measure-restored': measure,
  'object-dropped': z.strictObject({ id, what: line, where: line }),
  'search-ended': z.strictObject({ id, outcome: z.enum(['found', 'accepted']), where: line }),
  'hold-overridden': z.strictObject({
    holds: z.array(z.strictObject({ code: z.enum(keysOf(HOLD_CODES)), subject: line, words: line })).min(1),
    reason: paragraph,
  }),
  'bench-finished': z.strictObject({ itemId: id, note: line }),
  'order-broken': z.strictObject({
    itemId: id,
    over: z.array(z.strictObject({ item: id, reason: line })).max(2000),
    reason: paragraph,
  }),
  'item-swapped-over': z.strictObject({ itemId: id }),
  'step-taken': z.strictObject({ itemId: z.union([id, z.literal('')]) }),
  'tray-laid-out': z.strictObject({ rows: count, columns: count }),
  'pocket-named': z.strictObject({ pocket: line, name: line }),
  'thread-stripped': z.strictObject(bolt),
  'thread-repaired': z.strictObject({ ...bolt, route: z.enum(keysOf(REPAIRS)) }),
  'group-gone-over': z.strictObject({ itemId: id, moved: z.boolean(), note: line }),
};
