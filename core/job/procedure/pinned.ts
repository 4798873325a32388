import type { Procedure } from '../../procedure/index.ts';
import { id, record, type TypeOf, wholeWithin } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import { freshItem } from '../items/item.ts';
import type { JobItem, JobOpening } from '../items/state.ts';
import { pointing, unitItems, unitItemsShape } from '../items/units.ts';
import type { Job } from '../job.ts';
import { procedure } from '../shapes.ts';
import { moveProcedure } from './move.ts';

/** What {@link procedurePinned} holds. */
export const procedurePinnedShape = record({ procedure, units: unitItemsShape });
/** What both facts held while an item was known to be a unit by its name. */
const withoutUnits = record({ procedure });
/** The job goes by a procedure, kept whole as it was then. */
export const procedurePinned = fact('procedure-pinned', {
  shape: procedurePinnedShape,
  earlier: [earlier(withoutUnits, ({ procedure }, job) => pinned(job, procedure))],
  means: (job, { procedure, units }) => ({
    procedure,
    withoutProcedure: null,
    items: pointing(itemsOf(job, procedure), units),
    openings: procedure.openings.map((opening): JobOpening => ({ ...opening, state: 'whole', plugId: null })),
    constraints: procedure.constraints,
    needs: [],
    brokenOrders: [],
    unitWorkDone: [],
  }),
  words: (data) => `Procedure: ${data.procedure.name}`,
  sheet: 'Checked and decided',
});

/** The items of a job that goes by a procedure from now on. */
const itemsOf = (job: Job | null, procedure: Procedure): JobItem[] => [
  ...procedure.items.map((item) => freshItem(item, 'procedure')),
  ...(job?.items ?? []).filter(({ origin }) => origin === 'typed'),
];

function pinned(job: Job | null, procedure: Procedure): TypeOf<typeof procedurePinnedShape> {
  return { procedure, units: unitItems(itemsOf(job, procedure), job?.vehicle.units ?? []) };
}

/** Chooses a procedure. */
export const pinProcedure = command('pin-procedure', {
  shape: record({ procedureId: id }),
  asks: ({ procedureId }) => ({ procedure: { id: procedureId } }),
  decide: (job, _, { procedure }) => {
    if (procedure === null) return refuse('no-such-procedure', 'That procedure is not in the library.');
    if (job.items.some(({ state }) => state !== 'on')) {
      return refuse(
        'already-stripping',
        'Things have come off by another procedure already.',
        'Put them back or undo, then choose again.',
      );
    }
    return accept(procedurePinned.of(pinned(job, procedure)));
  },
});

/** What {@link procedureMoved} holds. */
export const procedureMovedShape = procedurePinnedShape;
/** The job goes on by a newer version of its procedure. */
export const procedureMoved = fact('procedure-moved', {
  shape: procedureMovedShape,
  earlier: [earlier(withoutUnits, ({ procedure }, job) => moved(job, procedure))],
  means: (job, { procedure, units }) => {
    const { items, ...rest } = moveProcedure(job, procedure);
    return { ...rest, items: pointing(items, units) };
  },
  words: (data) => `Procedure moved to version ${data.procedure.version}`,
  sheet: 'Checked and decided',
});

function moved(job: Job | null, procedure: Procedure): TypeOf<typeof procedureMovedShape> {
  const items = job === null ? procedure.items : moveProcedure(job, procedure).items;
  return { procedure, units: unitItems(items, job?.vehicle.units ?? []) };
}

/** Goes on by a newer version. */
export const moveToVersion = command('move-to-version', {
  shape: record({ procedureId: id, version: wholeWithin({ low: 1 }) }),
  asks: ({ procedureId, version }) => ({ procedure: { id: procedureId, version } }),
  decide: (job, data, { procedure }) => {
    if (job.procedure === null || job.procedure.id !== data.procedureId)
      return refuse('not-this-procedure', 'This job works by another procedure.', 'Choose the procedure at Prepare.');
    if (procedure === null || procedure.version !== data.version)
      return refuse('no-such-procedure', 'That version is not in the library.');
    return procedure.version === job.procedure.version
      ? refuse('already-there', `The job works by version ${procedure.version} already.`)
      : accept(procedureMoved.of(moved(job, procedure)));
  },
});
