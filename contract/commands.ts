import { z } from 'zod';
import type { Command, CommandData, CommandType } from '../core/job/index.ts';
import { count, id, isoTime, line, meterReading, paragraph, when } from './primitives.ts';
import { diagnosisParts, optionFigures, parts, shapes } from './shapes.ts';

/** A schema for the data of every command; one that is missing or differs from core's type does not compile. */
export const commandData = {
  'open-job': z.strictObject({ vehicleId: id, reading: meterReading, readingReason: line, complaint: paragraph }),
  'correct-reading': shapes['reading-corrected'],
  'tell-history': shapes['history-told'],
  'note-symptom': shapes['symptom-noted'],
  'strike-symptom': shapes['symptom-struck'],
  'read-code': shapes['code-read'],
  'read-codes-out': z.strictObject({ when }),
  'do-check': shapes['check-done'],
  'choose-knowledge': shapes['knowledge-chosen'],
  'tell-complaint': z.strictObject({ id, text: paragraph }),
  'answer-question': z.strictObject({ id, sign: id, outcome: id }),
  'strike-sign': shapes['sign-struck'],
  'record-check': z.strictObject(diagnosisParts.check),
  'pass-over-check': z.strictObject({ id, check: id, why: line }),
  'read-frame': shapes['frame-read'],
  'read-values': shapes['values-read'],
  'clear-codes': shapes['codes-cleared'],
  'end-clearing': shapes['clearing-ended'],
  'compare-variant': z.strictObject(diagnosisParts.variant),
  'set-terms': shapes['terms-set'],
  decide: shapes['decision-made'].extend({ departure: line, options: z.array(optionFigures).max(12) }),
  'make-estimate': shapes['estimate-made'],
  'answer-estimate': shapes['estimate-answered'],
  'depart-from-rule': z.strictObject({ question: id, taken: id, reason: line }),
  'pin-procedure': z.strictObject({ procedureId: id }),
  'tick-need': shapes['need-ticked'],
  'acknowledge-caution': shapes['caution-acknowledged'],
  'add-item': shapes['item-added'],
  'add-constraint': shapes['constraint-added'],
  'remove-item': shapes['item-removed'],
  'remark-item': shapes['item-remarked'],
  'plug-opening': shapes['opening-plugged'],
  'unplug-opening': shapes['opening-unplugged'],
  'put-back-item': shapes['item-put-back'],
  'confirm-connector': shapes['connector-confirmed'],
  'leave-off-item': shapes['item-left-off'],
  'tighten-bolt': z.strictObject({ ...parts.bolt, torqueText: line, wrenchId: z.union([id, z.literal('')]) }),
  'place-object': shapes['object-placed'],
  'take-object-out': shapes['object-taken-out'],
  'record-finding': shapes['finding-recorded'],
  'attach-picture': shapes['picture-attached'],
  'weigh-can': z.strictObject({ ...parts.can, beforeText: line, afterText: line }),
  'do-pass': shapes['pass-done'],
  'start-timer': shapes['timer-started'],
  'end-timer': shapes['timer-ended'],
  'decide-seal': shapes['seal-decided'],
  'record-coolant': z.strictObject({ ...parts.coolant, amountText: line }),
  'check-level': shapes['level-checked'],
  'start-run': z.strictObject({ id, recipeId: id }),
  'advance-run': shapes['run-advanced'],
  'close-run': shapes['run-closed'],
  'take-measurement': shapes['measurement-taken'],
  'record-proof': shapes['proof-recorded'],
  'use-part': shapes['part-used'],
  'make-note': shapes['note-made'],
  'pass-stage': shapes['stage-passed'],
  'hand-over': shapes['handed-over'],
  'reopen-job': shapes['job-reopened'],
  undo: z.strictObject({ expected: id }),
} satisfies { [K in CommandType]: z.ZodType<CommandData[K]> };

const head = { id, at: isoTime, by: id, seen: count.min(0) };
const members = Object.entries(commandData).map(([type, data]) =>
  z.strictObject({ ...head, type: z.literal(type), data }),
);

/** A command as it crosses the wire. */
export const command = z.discriminatedUnion(
  'type',
  members as [(typeof members)[number], ...typeof members],
) as unknown as z.ZodType<Command>;
