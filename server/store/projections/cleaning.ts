import { plainNumber } from '../../../core/stock/index.ts';
import { perElement, type Projection } from '../projection.ts';

/** Tables of what was cleaned with what. */
export const CLEANING_TABLES: readonly Projection[] = [
  perElement(
    'clean_pass',
    ['id'],
    (job) => job.passes,
    ({ id, unit, kind, substance, how, at }, job) => [
      {
        job_id: job.id,
        id,
        unit,
        kind,
        substance,
        way: how,
        at,
      },
    ],
  ),
  perElement(
    'can_use',
    ['id'],
    (job) => job.cleaners,
    ({ id, substance, grams, minutes, stockId, emptied, priceMinor, at }, job) => [
      {
        job_id: job.id,
        id,
        substance,
        grams,
        minutes,
        stock_id: stockId,
        emptied: emptied ? 1 : 0,
        price_minor: priceMinor,
        at,
      },
    ],
  ),
  perElement(
    'waste',
    ['id'],
    (job) => job.waste,
    ({ id, kind, amount, where, at }, job) => [{ job_id: job.id, id, kind, amount, place: where, at }],
  ),
  {
    table: 'consumption',
    key: ['id'],
    from: (job) => [job.parts, job.cleaners],
    rows: (job) => [
      ...job.parts.map((part) => ({
        job_id: job.id,
        id: part.id,
        kind: 'part',
        name: part.name,
        part_number: part.partNumber,
        part_key: plainNumber(part.partNumber),
        quantity: part.quantity,
        unit: '',
        price_minor: part.priceMinor,
      })),
      ...job.cleaners.map((use) => ({
        job_id: job.id,
        id: use.id,
        kind: 'cleaner',
        name: use.substance,
        part_number: '',
        part_key: '',
        quantity: use.grams,
        unit: 'g',
        price_minor: 0,
      })),
    ],
  },
];
