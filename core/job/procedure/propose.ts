import { plainNumber } from '../../stock/index.ts';
import type { Need, Procedure, ProcedureItem } from '../../procedure/index.ts';
import type { BeforeConstraint, Constraint } from '../../refit/index.ts';
import type { RecordedEvent } from '../catalogue.ts';
import { asItWas } from '../items/aside.ts';
import { itemOf, leftColumn, nameOf } from '../items/query.ts';
import type { JobItem } from '../items/state.ts';
import type { Job } from '../job.ts';
import { itemLessons, type Lesson, minutesOf, orderLessons, surprises } from './lessons.ts';
import { coolantSystem } from '../coolant/system.ts';
import { inOrder } from '../trail.ts';

/** A procedure made out of a job, and what is new in it against the one that the job began with. */
export interface Proposal {
  readonly procedure: Procedure;
  readonly lessons: readonly Lesson[];
}

/**
 * Makes a procedure out of what was done: items in the order in which they came off, minutes as they were, openings
 * with what plugged them, single-use parts that were renewed, and the reasons that were found on the way. A reason is
 * found when something had to come off a second time: what went in while it was off had to be in first.
 * @param log the job's events, for what its state no longer tells
 * @param head id, name and family of the procedure; version and source follow
 */
export function proposeProcedure(
  job: Job,
  log: readonly RecordedEvent[],
  head: Pick<Procedure, 'id' | 'name' | 'family' | 'familyId' | 'work'>,
): Proposal {
  const travelled = leftColumn(job).filter(({ state, origin }) => state !== 'on' && origin !== 'plug');
  const found = foundReasons(job, log);
  const known = new Set(job.procedure?.constraints.map(({ id }) => id) ?? []);
  const there = new Set(travelled.map(({ id }) => id));
  const constraints = [...job.constraints, ...found].filter((constraint) => namesOnly(constraint, there));
  const openings = job.openings.filter(({ id }) => travelled.some(({ opens }) => opens.includes(id)));
  const procedure: Procedure = {
    ...head,
    version: 0,
    source: `job ${job.number}`,
    items: travelled.map((item) => toProcedureItem(item, there)),
    openings: openings.map(({ id, name, plugWith, plugId }) => ({
      id,
      name,
      plugWith: (plugId === null ? undefined : itemOf(job, plugId)?.name) ?? plugWith,
    })),
    constraints,
    needs: needsOf(job, travelled),
    coolant: coolantSystem(job),
    relearn: relearnOf(job),
  };
  return {
    procedure,
    lessons: [
      ...found.map((reason): Lesson => ({
        kind: 'reason',
        itemId: reason.a,
        words: `${nameOf(job, reason.a)} before ${nameOf(job, reason.b).toLowerCase()}: ${reason.reason}.`,
      })),
      ...job.constraints.flatMap((constraint): Lesson[] =>
        constraint.kind === 'before' && !known.has(constraint.id)
          ? [
              {
                kind: 'reason',
                itemId: constraint.a,
                words: `${nameOf(job, constraint.a)} before ${nameOf(job, constraint.b).toLowerCase()}: ${constraint.reason}.`,
              },
            ]
          : [],
      ),
      ...itemLessons(job, travelled),
      ...orderLessons(job, travelled, constraints),
      ...surprises(job),
    ],
  };
}

const namesOnly = (constraint: Constraint, there: ReadonlySet<string>): boolean =>
  constraint.kind === 'before'
    ? there.has(constraint.a) && there.has(constraint.b)
    : constraint.kind === 'together'
      ? constraint.items.every((id) => there.has(id))
      : there.has(constraint.item);

/** What had to go in while something was off for the second time had to be in before it. */
function foundReasons(job: Job, log: readonly RecordedEvent[]): BeforeConstraint[] {
  const counts = new Set(inOrder(job.history).map(({ seq }) => seq));
  const events = log.filter(({ seq }) => counts.has(seq));
  const reasons = new Map<string, BeforeConstraint>();
  const backOnce = new Set<string>();
  const againOff = new Set<string>();
  for (const recorded of events) {
    if (recorded.type === 'item-removed') {
      if (backOnce.has(recorded.data.itemId)) againOff.add(recorded.data.itemId);
    } else if (recorded.type === 'item-put-back') {
      const { itemId } = recorded.data;
      if (againOff.delete(itemId)) {
        backOnce.add(itemId);
        continue;
      }
      for (const late of againOff) {
        // What went back for the second time itself was only in the way.
        if (backOnce.has(itemId)) continue;
        const id = `found-${itemId}-${late}`;
        const known = job.constraints.some(
          (constraint) => constraint.kind === 'before' && constraint.a === itemId && constraint.b === late,
        );
        if (!known)
          reasons.set(id, {
            kind: 'before',
            id,
            a: itemId,
            b: late,
            reason: `${nameOf(job, late).toLowerCase()} had to come off again for it`,
          });
      }
      backOnce.add(itemId);
    }
  }
  return [...reasons.values()];
}

function toProcedureItem(travelled: JobItem, there: ReadonlySet<string>): ProcedureItem {
  // What was tied aside is listed as what it is: the next one may have to take it off.
  const item = asItWas(travelled);
  const plain: ProcedureItem = {
    id: item.id,
    name: item.name,
    kind: item.kind,
    tool: item.tool,
    note: item.note,
    opens: item.opens,
    fasteners: item.fasteners,
    singleUse: item.singleUse || (item.state === 'renewed' && item.kind === 'gasket'),
    partNumber: item.fitted || item.partNumber,
    unit: item.unit,
    cautions: item.cautions,
  };
  const timed = item.seconds.off > 0 || item.seconds.back > 0;
  const restore = [...new Set([...(item.restore ?? []), ...item.kept.map(({ kind }) => kind)])];
  return {
    ...plain,
    ...(item.section === undefined ? {} : { section: item.section }),
    ...(item.unitPlace === undefined ? {} : { unitPlace: item.unitPlace }),
    ...(item.alike === undefined ? {} : { alike: item.alike }),
    ...tagOf(item),
    ...(item.backBefore === undefined ? {} : { backBefore: item.backBefore }),
    ...(item.part === undefined ? {} : { part: item.part }),
    // What stayed connected this time may stay so the next time.
    ...mayStay(travelled),
    ...(item.offAfter === undefined ? {} : { offAfter: item.offAfter.filter((each) => there.has(each.item)) }),
    ...(item.swapFrom === undefined ? {} : { swapFrom: item.swapFrom }),
    ...(restore.length === 0 ? {} : { restore }),
    ...(timed
      ? { minutes: { off: minutesOf(item.seconds.off), back: minutesOf(item.seconds.back) } }
      : item.minutes === undefined
        ? {}
        : { minutes: item.minutes }),
  };
}

const mayStay = ({ aside, mayStay: known }: JobItem): { mayStay?: string } => {
  const where = aside?.where ?? known;
  return where === undefined ? {} : { mayStay: where };
};

/** What told it from its look-alikes on the bench is what will tell it the next time. */
function tagOf({ alike, label, tag }: JobItem): { tag?: string } {
  const told = alike === undefined ? tag : label || tag;
  return told === undefined || told === '' ? {} : { tag: told };
}

function needsOf(job: Job, travelled: readonly JobItem[]): Need[] {
  const needs = [...(job.procedure?.needs ?? []), ...job.ownNeeds];
  const numbers = new Set(needs.map(({ partNumber }) => plainNumber(partNumber)));
  const renewed = travelled.filter(
    ({ state, fitted, partNumber }) =>
      state === 'renewed' && (fitted || partNumber) !== '' && !numbers.has(plainNumber(fitted || partNumber)),
  );
  // Parts of one number are one line, counted: two banks take two gaskets.
  const byNumber = new Map<string, JobItem[]>();
  for (const item of renewed) {
    const number = plainNumber(item.fitted || item.partNumber);
    byNumber.set(number, [...(byNumber.get(number) ?? []), item]);
  }
  return [
    ...needs,
    ...[...byNumber.values()].flatMap(([item, ...others]): Need[] =>
      item === undefined
        ? []
        : [
            {
              id: `need-${item.id}`,
              kind: 'part',
              name: item.name,
              partNumber: item.fitted || item.partNumber,
              note: '',
              caution: null,
              ...(others.length === 0 ? {} : { count: others.length + 1 }),
            },
          ],
    ),
  ];
}

/** What took comes first; what did not take is left out. */
function relearnOf(job: Job): string[] {
  const took = job.runs.filter(({ closed }) => closed?.outcome === 'took').map(({ run }) => run.recipe.id);
  const failed = new Set(
    job.runs.filter(({ closed }) => closed?.outcome === 'did not take').map(({ run }) => run.recipe.id),
  );
  return [...new Set([...took, ...(job.procedure?.relearn ?? []).filter((id) => !failed.has(id))])];
}
