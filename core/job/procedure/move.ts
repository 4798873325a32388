import type { Procedure } from '../../procedure/index.ts';
import { stepsWait } from '../items/backSteps.ts';
import { freshItem } from '../items/item.ts';
import type { JobItem, JobOpening } from '../items/state.ts';
import type { Job } from '../job.ts';

/**
 * A job that goes on by a newer version: what happened stays, what is described changes. Items that the new version
 * no longer lists stay if they were touched, as if they had been typed.
 */
export function moveProcedure(job: Job, procedure: Procedure) {
  const known = new Map(job.items.map((item) => [item.id, item]));
  const listed = new Set(procedure.items.map(({ id }) => id));
  const described: JobItem[] = [
    ...procedure.items.map((item): JobItem => {
      const old = known.get(item.id);
      if (old === undefined) return freshItem(item, 'procedure');
      const bolts = new Set(item.fasteners?.bolts.map(({ id }) => id) ?? []);
      // Bolts without a place are numbered; those with one are known by their id.
      const kept = bolts.size === 0 ? old.bolts : old.bolts.filter(({ boltId }) => bolts.has(boltId));
      const opensTyped = old.opens.filter((id) => !openingsBefore(job).has(id));
      const opens = [...new Set([...item.opens, ...opensTyped])];
      const moved: JobItem = { ...old, ...item, opens, bolts: kept, origin: 'procedure' };
      // Nothing of what is tied aside was undone, whatever the new version says of it.
      return old.aside === null
        ? moved
        : {
            ...moved,
            fasteners: null,
            opens: [],
            singleUse: false,
            aside: { where: old.aside.where, fasteners: item.fasteners, opens, singleUse: item.singleUse },
          };
    }),
    ...job.items
      .filter((item) => !listed.has(item.id) && (item.origin !== 'procedure' || item.state !== 'on'))
      .map((item): JobItem => (item.origin === 'procedure' ? { ...item, origin: 'typed' } : item)),
  ];
  // A step that only the new version has waits at once where what it belongs to is off.
  const items = described.reduce<readonly JobItem[]>((all, { id, backBefore, state }) => {
    const cue = backBefore === undefined ? undefined : all.find((each) => each.id === backBefore);
    return state === 'on' && cue?.state === 'off' && cue.off !== null
      ? stepsWait(all, cue.id, cue.off, (step) => step.id === id)
      : all;
  }, described);
  const openings: JobOpening[] = [
    ...procedure.openings.map((opening): JobOpening => {
      const old = job.openings.find(({ id }) => id === opening.id);
      if (old !== undefined) return { ...old, ...opening };
      const closer = items.find(({ opens }) => opens.includes(opening.id));
      return { ...opening, state: closer?.state === 'off' ? 'open' : 'whole', plugId: null };
    }),
    ...job.openings.filter(
      ({ id, state }) =>
        !procedure.openings.some((opening) => opening.id === id) && (state !== 'whole' || !openingsBefore(job).has(id)),
    ),
  ];
  const before = new Set(job.procedure?.constraints.map(({ id }) => id) ?? []);
  const needs = new Set([...procedure.needs.map(({ id }) => id), ...job.ownNeeds.map(({ id }) => id)]);
  return {
    procedure,
    items,
    openings,
    constraints: [...procedure.constraints, ...job.constraints.filter(({ id }) => !before.has(id))],
    needs: job.needs.filter(({ needId }) => needs.has(needId)),
  };
}

const openingsBefore = (job: Job): ReadonlySet<string> => new Set(job.procedure?.openings.map(({ id }) => id) ?? []);
