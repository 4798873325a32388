import { OPTIONS } from '../choose/index.ts';
import { passName, WASTE_KINDS } from '../clean/index.ts';
import { lowerFirst } from '../words/index.ts';
import { pointName } from '../inspect/index.ts';
import { RESTORE_KINDS } from '../procedure/index.ts';
import { format } from '../quantity/index.ts';
import { COUNTED_SCREWS, turnWords } from '../rebuild/index.ts';
import { RUNGS } from '../seized/index.ts';
import { REPAIRS } from '../torque/index.ts';
import type { RecordedEvent } from './events.ts';
import { CHOICES, MEASURES, PROOFS } from './lists.ts';
import { allNeeds, endSteps } from './needs.ts';
import { itemOf } from './query.ts';
import { STAGE_NAMES } from './stages.ts';
import { FLAGS } from './stripTypes.ts';
import type { Job } from './types.ts';

/** An event in a few words, as on the tally and in the log: “Inlet cap out”. @param job the state before it */
export function eventWords(recorded: RecordedEvent, job: Job): string {
  const name = (id: string): string => itemOf(job, id)?.name ?? id;
  const opening = (id: string): string => job.openings.find((candidate) => candidate.id === id)?.name ?? id;
  const { type } = recorded;
  switch (type) {
    case 'job-opened':
      return 'Job opened';
    case 'reading-corrected':
      return `Reading ${format(recorded.data.reading)}`;
    case 'history-told':
      return 'History noted';
    case 'symptom-noted':
      return `Noted: ${recorded.data.text}`;
    case 'symptom-struck':
      return 'Symptom struck out';
    case 'code-read':
      return `${recorded.data.code} read`;
    case 'codes-read-out':
      return `Codes read ${recorded.data.when}`;
    case 'check-done':
      return `Checked: ${lowerFirst(recorded.data.name)}`;
    case 'knowledge-chosen':
      return `Judged by knowledge ${recorded.data.version}`;
    case 'complaint-told':
      return `Told: ${recorded.data.text}`;
    case 'answer-given':
      return `Answered: ${recorded.data.words}`;
    case 'sign-struck':
      return `Struck out: ${job.signs.find(({ id }) => id === recorded.data.id)?.words ?? 'a finding'}`;
    case 'check-recorded':
      return `Checked: ${lowerFirst(recorded.data.name)}`;
    case 'check-passed-over':
      return `Not done: ${lowerFirst(recorded.data.name)}`;
    case 'frame-read':
      return `Freeze frame of ${recorded.data.code}`;
    case 'values-read':
      return `Live values read ${recorded.data.when}`;
    case 'codes-cleared':
      return `Clearing ${recorded.data.codes.join(', ') || 'no codes'}`;
    case 'clearing-ended':
      return recorded.data.outcome === 'cleared' ? 'Codes cleared' : 'Codes not cleared';
    case 'variant-compared':
      return `Variant: ${recorded.data.verdict}`;
    case 'terms-set':
      return `Figures of “${OPTIONS[recorded.data.option]}”`;
    case 'belief-kept':
      return `Decided: ${job.decision === null ? '' : lowerFirst(CHOICES[job.decision.choice])}`;
    case 'rule-departed':
      return `House rule departed from: ${recorded.data.reason}`;
    case 'estimate-made':
      return 'Estimate made';
    case 'estimate-answered':
      return `Estimate ${recorded.data.answer === 'up to' ? 'approved with a limit' : recorded.data.answer}`;
    case 'decision-made':
      return `Decided: ${lowerFirst(CHOICES[recorded.data.choice])}`;
    case 'procedure-pinned':
      return `Procedure: ${recorded.data.procedure.name}`;
    case 'need-ticked':
      return `${allNeeds(job).find(({ id }) => id === recorded.data.needId)?.name ?? 'Need'}: ${recorded.data.state}`;
    case 'caution-acknowledged':
      return 'Caution read';
    case 'item-added':
      return `Added: ${lowerFirst(recorded.data.item.name)}`;
    case 'constraint-added':
      return `Order: ${lowerFirst(name(recorded.data.constraint.a))} before ${lowerFirst(name(recorded.data.constraint.b))}`;
    case 'item-removed':
      return `${name(recorded.data.itemId)} off`;
    case 'item-remarked':
      return `${name(recorded.data.itemId)}: marked`;
    case 'procedure-moved':
      return `Procedure moved to version ${recorded.data.procedure.version}`;
    case 'need-added':
      return `Needed: ${lowerFirst(recorded.data.need.name)}`;
    case 'end-step-done':
      return endSteps(job).find(({ need }) => need.id === recorded.data.needId)?.words ?? 'Undone again';
    case 'opening-added':
      return `${recorded.data.opening.name} noted as opening`;
    case 'rest-taken-out':
      return `${name(recorded.data.itemId)}: the rest out`;
    case 'item-flagged':
      return `${name(recorded.data.itemId)}: ${lowerFirst(FLAGS[recorded.data.flag])}`;
    case 'flag-settled':
      return `${name(recorded.data.itemId)}: settled`;
    case 'measure-kept':
      return `${name(recorded.data.itemId)}: ${lowerFirst(RESTORE_KINDS[recorded.data.kind])} ${recorded.data.text}`;
    case 'measure-restored':
      return `${name(recorded.data.itemId)}: ${lowerFirst(RESTORE_KINDS[recorded.data.kind])} set again`;
    case 'object-dropped':
      return `Dropped: ${lowerFirst(recorded.data.what)}`;
    case 'search-ended': {
      const what = job.searches.find(({ id }) => id === recorded.data.id)?.what ?? 'It';
      return recorded.data.outcome === 'found' ? `${what} found` : `${what}: loss accepted`;
    }
    case 'hold-overridden':
      return `Let pass by a lead: ${recorded.data.holds.length} ${recorded.data.holds.length === 1 ? 'hold' : 'holds'}`;
    case 'bench-finished':
      return `${name(recorded.data.itemId)}: bench work finished`;
    case 'order-broken':
      return `${name(recorded.data.itemId)} back before its turn`;
    case 'item-swapped-over':
      return `${name(recorded.data.itemId)} moved over`;
    case 'step-taken':
      return recorded.data.itemId === '' ? 'Step put down' : `${name(recorded.data.itemId)} in hand`;
    case 'tray-laid-out':
      return `Tray laid out, ${recorded.data.rows} by ${recorded.data.columns}`;
    case 'pocket-named':
      return `Pocket ${recorded.data.pocket}: ${recorded.data.name}`;
    case 'thread-stripped':
      return `${name(recorded.data.itemId)}, bolt ${recorded.data.boltId}: thread stripped`;
    case 'thread-repaired':
      return `${name(recorded.data.itemId)}, bolt ${recorded.data.boltId}: ${lowerFirst(REPAIRS[recorded.data.route])}`;
    case 'group-gone-over':
      return `${name(recorded.data.itemId)} gone over${recorded.data.moved ? ', some moved' : ', none moved'}`;
    case 'opening-plugged':
      return `${opening(recorded.data.openingId)} plugged`;
    case 'opening-unplugged':
      return `${name(job.openings.find(({ id }) => id === recorded.data.openingId)?.plugId ?? '')} out`;
    case 'item-put-back':
      return `${name(recorded.data.itemId)} ${recorded.data.renewed ? 'renewed' : 'back'}`;
    case 'connector-confirmed':
      return `${name(recorded.data.itemId)} lock felt`;
    case 'item-left-off':
      return `${name(recorded.data.itemId)} left off`;
    case 'bolt-tightened': {
      const { torque: entered, angleDeg } = recorded.data;
      const torque = angleDeg !== undefined ? `${angleDeg}°` : entered === null ? 'by feel' : format(entered);
      return `${name(recorded.data.itemId)}, bolt ${recorded.data.boltId}: ${torque}`;
    }
    case 'object-placed':
      return `${recorded.data.what} in: ${recorded.data.where}`;
    case 'object-taken-out':
      return `${job.objects.find(({ id }) => id === recorded.data.id)?.what ?? 'Object'} out`;
    case 'finding-recorded':
      return `${pointName(recorded.data.point)} looked at`;
    case 'point-judged':
      return `${pointName(recorded.data.point)}: ${recorded.data.verdict}`;
    case 'picture-marked':
      return 'Picture marked';
    case 'screw-seized':
      return `Seized: ${lowerFirst(recorded.data.where)}`;
    case 'rung-tried':
      return `${RUNGS.find(({ id }) => id === recorded.data.rung)?.name ?? 'Tried'}: ${recorded.data.outcome}`;
    case 'screw-given-up':
      return 'Seized screw given up';
    case 'waste-taken':
      return `${WASTE_KINDS[recorded.data.kind].name} taken away`;
    case 'piece-set-apart':
      return `${recorded.data.what} of ${lowerFirst(recorded.data.place)} set apart`;
    case 'piece-returned': {
      const what = job.pieces.find(({ id }) => id === recorded.data.id)?.what ?? 'Piece';
      return `${what} back at ${lowerFirst(recorded.data.place)}`;
    }
    case 'sensor-swept':
      return `Position sensor swept: ${recorded.data.good ? 'straight' : 'not straight'}`;
    case 'screw-turned':
      return `${COUNTED_SCREWS[recorded.data.screw]}: ${turnWords(recorded.data.turns)}`;
    case 'unit-replaced':
      return `Replaced by ${recorded.data.fitted.partNumber}`;
    case 'coolant-tested':
      return `Coolant freezes at ${Math.round(recorded.data.celsius)} °C`;
    case 'leak-checked':
      return `Leaks, ${recorded.data.when}: ${recorded.data.result}`;
    case 'recheck-set':
      return `To be looked at again: ${lowerFirst(recorded.data.what)}`;
    case 'picture-attached':
      return 'Picture added';
    case 'can-weighed':
      return `${recorded.data.grams.toFixed(0)} g of cleaner`;
    case 'pass-done':
      return `${passName(recorded.data.kind)} done`;
    case 'timer-started':
      return `Timer: ${lowerFirst(recorded.data.label)}`;
    case 'timer-ended':
      return `Timer ${recorded.data.outcome}`;
    case 'seal-decided':
      return `${recorded.data.name}: ${recorded.data.decision}`;
    case 'coolant-recorded':
      return `Coolant ${recorded.data.kind}: ${format(recorded.data.quantity)}`;
    case 'level-checked':
      return `Level ${recorded.data.when}: ${recorded.data.level}`;
    case 'run-started':
      return `${recorded.data.recipe.name} started`;
    case 'run-advanced':
      return recorded.data.input.kind === 'reading'
        ? `${recorded.data.input.name} ${recorded.data.input.value}`
        : 'Run goes on';
    case 'run-closed':
      return `Run ${recorded.data.outcome}`;
    case 'measurement-taken':
      return `${MEASURES[recorded.data.kind].name} ${recorded.data.value} ${MEASURES[recorded.data.kind].unit}`;
    case 'proof-recorded':
      return `${PROOFS[recorded.data.check].split(':')[0] ?? ''}: ${recorded.data.result}`;
    case 'part-used':
      return `${recorded.data.name} fitted`;
    case 'note-made':
      return `Note at ${lowerFirst(STAGE_NAMES[recorded.data.stage])}`;
    case 'stage-passed':
      return `${STAGE_NAMES[recorded.data.stage]} done`;
    case 'handed-over':
      return 'Handed over';
    case 'job-reopened':
      return 'Opened again';
    case 'undone':
      return `Undone: ${recorded.data.what}`;
  }
}
