import { id, line, optional, orNull, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { NO_CONTEXT } from '../context.ts';
import { accept, refuse, refuseField } from '../decision.ts';
import { item, opening } from '../shapes.ts';
import { itemTiedAside } from './aside.ts';
import { addItem } from './listing.ts';
import { openingAdded, openingPlugged } from './openings.ts';
import { itemRemoved } from './removing.ts';

/**
 * Takes off what nobody had listed: what it is, what it leaves open, and what plugs that, in one entry. What stays
 * connected is tied aside, and leaves nothing open.
 */
export const takeOffTyped = command('take-off-typed', {
  shape: record({
    item,
    opening: orNull(opening),
    pocket: line,
    plug: orNull(record({ id, what: line })),
    aside: optional(line),
  }),
  decide: (job, { item, opening: leaves, pocket, plug, aside = '' }) => {
    const listed = addItem.decide(job, { item: { ...item, opens: [] } }, NO_CONTEXT, null);
    if (!listed.ok) return listed;
    if (aside.trim() !== '')
      return accept(...listed.events, itemTiedAside.of({ itemId: item.id, where: aside.trim() }));
    const count = item.fasteners?.count ?? null;
    const off = itemRemoved.of({
      itemId: item.id,
      pocket: pocket.trim(),
      label: '',
      countedOut: count,
      stayIn: 0,
      lengthsOut: [],
    });
    if (leaves === null) return accept(...listed.events, off);
    if (leaves.name.trim() === '') return refuseField('opening', 'What does it leave open?');
    if (job.openings.some(({ id }) => id === leaves.id))
      return refuse('already-there', `${leaves.name} is listed already.`);
    return accept(
      ...listed.events,
      openingAdded.of({ itemId: item.id, opening: leaves }),
      off,
      ...(plug === null || plug.what.trim() === ''
        ? []
        : [openingPlugged.of({ openingId: leaves.id, plugId: plug.id, what: plug.what.trim() })]),
    );
  },
});
