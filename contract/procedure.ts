import { z } from 'zod';
import { PART_FORMS } from '../core/clean/index.ts';
import {
  ITEM_KINDS,
  JOINTS,
  type Need,
  OFF_REASONS,
  type Procedure,
  type ProcedureItem,
  RESTORE_KINDS,
  WORK_KINDS,
} from '../core/procedure/index.ts';
import type { Calendar, Tool } from '../core/prepare/index.ts';
import type { Constraint } from '../core/refit/index.ts';
import { CONDITIONS, PROOF_STRESS, STRENGTHS, type TorqueSpec, type Wrench } from '../core/torque/index.ts';
import { count, id, isoDay, keysOf, line, number, paragraph, unitKind } from './primitives.ts';
import { coolantFilling } from './vehicle.ts';

const positive = number.positive('Expected more than zero.');

/** A torque specification; its figures follow from the text, and are checked to be a band. */
export const torqueSpec = z.strictObject({
  text: line,
  lowNm: positive,
  highNm: positive,
  targetNm: positive,
  angleDeg: positive.nullable(),
  source: line.nullable(),
}) satisfies z.ZodType<TorqueSpec>;

const bolt = z.strictObject({ id, x: number, y: number, label: line, lengthMm: positive.max(1000).optional() });
const fastenerGroup = z.strictObject({
  count: count.min(1).max(200),
  thread: line,
  bolts: z.array(bolt).max(200),
  spec: torqueSpec.nullable(),
  fractions: z.array(positive.max(1)).min(1).max(5),
  into: line,
  joint: z.enum(keysOf(JOINTS)).optional(),
  staysIn: count.min(0).max(199).optional(),
  hole: z.strictObject({ material: z.enum(keysOf(STRENGTHS)), engagementMm: positive.max(500) }).optional(),
  grade: z.enum(keysOf(PROOF_STRESS)).optional(),
  condition: z.enum(keysOf(CONDITIONS)).optional(),
  retorqueAfterMin: positive.max(20_160).optional(),
});

/** An item, in a procedure or typed at the vehicle. */
export const procedureItem = z.strictObject({
  id,
  name: line,
  kind: z.enum(keysOf(ITEM_KINDS)),
  tool: line,
  note: paragraph,
  opens: z.array(id).max(20),
  fasteners: fastenerGroup.nullable(),
  singleUse: z.boolean(),
  partNumber: line,
  unit: unitKind.nullable(),
  unitPlace: line.optional(),
  cautions: z.array(id).max(10),
  section: line.optional(),
  minutes: z.strictObject({ off: number.min(0).max(600), back: number.min(0).max(600) }).optional(),
  alike: line.optional(),
  tag: line.optional(),
  swapFrom: id.optional(),
  restore: z
    .array(z.enum(keysOf(RESTORE_KINDS)))
    .max(6)
    .optional(),
  backBefore: id.optional(),
  offAfter: z
    .array(z.strictObject({ item: id, kind: z.enum(keysOf(OFF_REASONS)), reason: line }))
    .max(20)
    .optional(),
  part: z.enum(PART_FORMS).optional(),
  mayStay: line.optional(),
}) satisfies z.ZodType<ProcedureItem>;

/** “a before b, because”. */
export const beforeConstraint = z.strictObject({ kind: z.literal('before'), id, a: id, b: id, reason: line });

/** Any constraint. */
export const constraint = z.discriminatedUnion('kind', [
  beforeConstraint,
  z.strictObject({ kind: z.literal('after-bench'), id, item: id, unit: id, reason: line }),
  z.strictObject({ kind: z.literal('needs'), id, item: id, part: line, reason: line }),
  z.strictObject({ kind: z.literal('closes'), id, item: id, plug: id, reason: line }),
  z.strictObject({ kind: z.literal('together'), id, items: z.array(id).min(2).max(50), reason: line }),
]) satisfies z.ZodType<Constraint>;

/** Something needed before starting. */
export const need = z.strictObject({
  id,
  kind: z.enum(['part', 'tool', 'consumable', 'do-first']),
  name: line,
  partNumber: line,
  note: line,
  caution: id.nullable(),
  count: count.min(1, 'Expected 1 to 99.').max(99, 'Expected 1 to 99.').optional(),
  leadDays: number.min(0).max(365).optional(),
  atEnd: z.strictObject({ words: line, beforeStart: z.boolean() }).optional(),
}) satisfies z.ZodType<Need>;

/** An opening and what plugs it. */
export const procedureOpening = z.strictObject({ id, name: line, plugWith: line });

/** A procedure as stored, exported and pinned to a job. */
export const procedure = z.strictObject({
  id,
  version: count.min(1),
  name: line,
  family: line,
  source: line.nullable(),
  items: z.array(procedureItem).max(2000),
  openings: z.array(procedureOpening).max(200),
  constraints: z.array(constraint).max(4000),
  needs: z.array(need).max(200),
  coolant: coolantFilling
    .extend({
      capacityL: positive,
      losses: z
        .array(z.strictObject({ itemId: id, litres: number.min(0).max(40) }))
        .max(40)
        .optional(),
    })
    .nullable(),
  relearn: z.array(id).max(10),
  familyId: id.nullable().optional(),
  work: z.enum(keysOf(WORK_KINDS)).optional(),
  changes: paragraph.optional(),
}) satisfies z.ZodType<Procedure>;

/** A torque wrench of the shop. */
export const wrench = z.strictObject({
  id,
  name: line,
  kind: z.enum(['beam', 'screwdriver']).optional(),
  scale: z.strictObject({
    unit: z.enum(['N·m', 'in·lb', 'ft·lb', 'kgf·cm', 'kgf·m']),
    low: number.min(0),
    high: positive,
    step: positive,
  }),
  deviationPercent: positive.max(50).nullable(),
  calibratedOn: z.iso.date().nullable(),
}) satisfies z.ZodType<Wrench>;

/** What a person types about a wrench. */
export const wrenchInput = wrench.omit({ id: true }).extend({ name: line.trim().min(1, 'What is it called?') });

/** The name of the open format of a procedure; described in docs/procedure-file.md. */
export const PROCEDURE_FORMAT = 'unhurried-wrench-procedure';
/** A procedure as a file. */
export const procedureFile = z.strictObject({
  format: z.literal(PROCEDURE_FORMAT, 'This is not a procedure file of this program.'),
  version: z.literal(1, 'This procedure file is of a version that this program does not read.'),
  procedure,
});
/** The type of {@link procedureFile}. */
export type ProcedureFile = z.infer<typeof procedureFile>;

/** A tool of the shop. */
export const tool = z.strictObject({
  id,
  name: line,
  place: line,
  range: line,
  calibratedOn: z.iso.date().nullable(),
  calibrationMonths: count.min(1).max(120).nullable(),
}) satisfies z.ZodType<Tool>;
/** What a person types about a tool. */
export const toolInput = tool.omit({ id: true }).extend({ name: line.trim().min(1, 'What is it called?') });

const minuteOfDay = count.min(0, 'Expected a time of day.').max(24 * 60, 'Expected a time of day.');
const hours = z
  .strictObject({ from: minuteOfDay, to: minuteOfDay })
  .refine(({ from, to }) => from < to, 'Expected to close after opening.');
/** When the shop is open: Monday to Sunday, and days on which it is closed all the same. */
export const calendar = z.strictObject({
  hours: z.array(hours.nullable()).length(7, 'Expected seven days, Monday first.'),
  closed: z.array(isoDay).max(400),
}) satisfies z.ZodType<Calendar>;
