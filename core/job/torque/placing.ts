import { id, list, number, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import { change } from '../items/item.ts';
import { itemOf, nameOf } from '../items/query.ts';

const place = record({ x: number, y: number });

/** What {@link boltsPlaced} holds: where the bolts of a group sit, in the order of their numbers, in any unit. */
export const boltsPlacedShape = record({ itemId: id, places: list(place, { low: 2, high: 40 }) });
/** Where the bolts of a group sit on its flange was shown: the order of tightening follows from it. */
export const boltsPlaced = fact('bolts-placed', {
  shape: boltsPlacedShape,
  means: (job, { itemId, places }) => ({
    items: change(job.items, itemId, (item) =>
      item.fasteners === null
        ? item
        : {
            ...item,
            fasteners: {
              ...item.fasteners,
              bolts: places.map(({ x, y }, index) => ({ id: String(index + 1), x, y, label: '' })),
            },
          },
    ),
  }),
  words: ({ itemId }, job) => `${nameOf(job, itemId)}: where they sit`,
  about: ({ itemId }) => itemId,
  putRight: {},
  sheet: { no: 'it says in which order they are tightened, and the figures stand there' },
});

/** Two bolts nearer than this share of the flange's width are one tapped twice. */
const APART = 0.04;

/** Shows where the bolts of a typed group sit. */
export const placeBolts = command('place-bolts', {
  shape: boltsPlacedShape,
  decide: (job, { itemId, places }) => {
    const item = itemOf(job, itemId);
    if (item === undefined || item.fasteners === null)
      return refuse('no-such-item', 'That item has no fasteners to place.');
    if (item.origin !== 'typed') return refuse('not-typed', 'The procedure says where these sit.');
    if (item.bolts.length > 0)
      return refuse('already-there', 'Some of them are recorded as tightened by their numbers.', 'Undo those first.');
    if (places.length !== item.fasteners.count)
      return refuseField('places', `Expected ${item.fasteners.count} places, got ${places.length}.`);
    const wide = Math.max(...places.flatMap((a) => places.map((b) => Math.hypot(a.x - b.x, a.y - b.y))));
    const twice = places.some((a, index) =>
      places.slice(index + 1).some((b) => Math.hypot(a.x - b.x, a.y - b.y) <= wide * APART),
    );
    return twice ? refuseField('places', 'Two of them sit in one place.') : accept(boltsPlaced.of({ itemId, places }));
  },
});
