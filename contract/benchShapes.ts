import { z } from 'zod';
import { METHODS, SUBSTANCES, SURFACES, UNIT_FORMS, WASTE_KINDS } from '../core/clean/index.ts';
import { INHIBITORS } from '../core/coolant/index.ts';
import { FAIL_CODES } from '../core/job/index.ts';
import { COUNTED_SCREWS, RUBBERS } from '../core/rebuild/index.ts';
import { HOSTS, type RungId, RUNGS } from '../core/seized/index.ts';
import { UNIT_KINDS } from '../core/vehicle/index.ts';
import { count, id, keysOf, line, number, paragraph, when } from './primitives.ts';
import { variantFeatures } from './vehicle.ts';

const share = number.min(0, 'Expected a place on the picture.').max(1, 'Expected a place on the picture.');
const rungIds = RUNGS.map((rung) => rung.id) as [RungId, ...RungId[]];
/** The id of a unit on the bench. */
export const benchUnit = id;
const glycol = z.enum(['ethylene', 'propylene']);

/** What a judged point shares between its command and its event. */
export const pointParts = {
  id,
  unit: benchUnit,
  kind: z.enum(keysOf(UNIT_KINDS)),
  form: z.enum(keysOf(UNIT_FORMS)),
  point: line,
  when,
  which: line,
  marks: z.array(count).max(12),
  outcome: line,
  typed: z.array(z.string().max(40)).max(2),
  note: paragraph,
};

const limit = z.strictObject({
  low: number.nullable(),
  high: number.nullable(),
  unit: line,
  source: line.nullable(),
});

/** What `replace-unit` shares with its event. */
export const replaceParts = {
  id,
  unit: benchUnit,
  kind: z.enum(keysOf(UNIT_KINDS)),
  place: line,
  oldUnitId: z.union([id, z.literal('')]),
  oldPartNumber: line,
  fitted: z.strictObject({
    unitId: z.union([id, z.literal('')]),
    partNumber: line,
    features: variantFeatures,
    origin: z.enum(['new', 'rebuilt', 'used']),
    priceMinor: count,
    supplier: line,
    warrantyMonths: count,
  }),
  failCode: z.enum(keysOf(FAIL_CODES)),
  failNote: line,
  anyway: line,
};

/** What `test-coolant` shares with its event. */
export const testParts = {
  id,
  when,
  tool: z.enum(['refractometer', 'strip', 'hydrometer']),
  scale: glycol,
  typed: line,
};

/** Optional fields that came with the bench. */
export const cleanerExtras = {
  minutes: number.optional(),
  surfaces: z
    .array(z.enum(keysOf(SURFACES)))
    .max(20)
    .optional(),
  priceMinor: count.optional(),
  stockId: id.optional(),
  emptied: z.boolean().optional(),
};
export const passExtras = {
  substance: z.enum(keysOf(SUBSTANCES)).optional(),
  how: z.enum(keysOf(METHODS)).optional(),
};
export const sealExtras = {
  rubber: z.enum(keysOf(RUBBERS)).optional(),
  lubricant: z.enum(keysOf(SUBSTANCES)).optional(),
  wayRound: line.optional(),
};
export const coolantExtras = {
  inhibitor: z.enum(keysOf(INHIBITORS)).optional(),
  priceMinor: count.optional(),
  stockId: id.optional(),
  emptied: z.boolean().optional(),
};
/** What `do-pass` says beside its event. */
export const passForm = {
  form: z.enum(keysOf(UNIT_FORMS)).optional(),
  soak: z.strictObject({ timerId: id, label: line, minutes: number }).optional(),
};

/** Shapes of the bench that a command and its event share, and those of its other events. */
export const benchShapes = {
  'point-judged': z.strictObject({
    ...pointParts,
    verdict: z.enum(['good', 'watch', 'bad', 'noted']),
    value: number.nullable(),
    limit: limit.nullable(),
    words: paragraph,
    cure: z.enum(['clean', 'renew', 'rebuild', 'replace']).nullable(),
  }),
  'picture-marked': z.strictObject({
    pictureId: id,
    rotation: z.union([z.literal(0), z.literal(90), z.literal(180), z.literal(270)]),
    marks: z
      .array(
        z.discriminatedUnion('kind', [
          z.strictObject({ kind: z.literal('arrow'), x: share, y: share, toX: share, toY: share }),
          z.strictObject({ kind: z.literal('text'), x: share, y: share, text: z.string().max(60) }),
        ]),
      )
      .max(40),
    anchors: z.array(z.strictObject({ x: share, y: share })).max(2),
  }),
  'screw-seized': z.strictObject({
    id,
    unit: benchUnit,
    where: line,
    thread: line,
    host: z.enum(keysOf(HOSTS)),
    headWhole: z.boolean(),
    nearDelicate: z.boolean(),
    partNumber: line,
  }),
  'rung-tried': z.strictObject({
    screwId: id,
    rung: z.enum(rungIds),
    outcome: z.enum(['waiting', 'not yet', 'head gone', 'out', 'part spoilt']),
    note: line,
    timerId: z.union([id, z.literal('')]),
  }),
  'screw-given-up': z.strictObject({ screwId: id, why: line }),
  'waste-taken': z.strictObject({ id, kind: z.enum(keysOf(WASTE_KINDS)), amount: line, where: line }),
  'piece-set-apart': z.strictObject({ id, unit: benchUnit, what: line, place: line }),
  'piece-returned': z.strictObject({ id, place: line, renewed: z.boolean() }),
  'sensor-swept': z.strictObject({
    id,
    unit: benchUnit,
    when,
    points: z
      .array(z.strictObject({ percent: number, volts: number }))
      .min(3)
      .max(20),
    deviationPercent: number,
    good: z.boolean(),
    words: line,
  }),
  'screw-turned': z.strictObject({
    id,
    unit: benchUnit,
    screw: z.enum(keysOf(COUNTED_SCREWS)),
    turns: number,
    why: line,
  }),
  'unit-replaced': z.strictObject({
    ...replaceParts,
    verdict: z.enum(['fits', 'fits, but sets idle codes', 'does not fit', 'not known']),
    words: paragraph,
  }),
  'coolant-tested': z.strictObject({ ...testParts, celsius: number, share: number }),
  'leak-checked': z.strictObject({ when: z.enum(['hot', 'cold']), result: z.enum(['dry', 'leaks']), where: line }),
  'recheck-set': z.strictObject({ id, what: line, days: count.nullable(), use: number.nullable() }),
};
