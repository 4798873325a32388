import { perElement, type Projection } from '../projection.ts';

/** Tables of the coolant. */
export const COOLANT_TABLES: readonly Projection[] = [
  perElement(
    'coolant_entry',
    ['id'],
    (job) => job.coolant,
    ({ id, kind, litres, quantity, concentration, stockId, emptied, at }, job) => [
      {
        job_id: job.id,
        id,
        kind,
        litres,
        value: quantity.value,
        unit: quantity.unit,
        concentration,
        stock_id: stockId,
        emptied: emptied ? 1 : 0,
        at,
      },
    ],
  ),
  perElement(
    'coolant_test',
    ['id'],
    (job) => job.coolantTests,
    ({ id, when, tool, celsius, share }, job) => [
      {
        job_id: job.id,
        id,
        phase: when,
        tool,
        celsius,
        share,
      },
    ],
  ),
  perElement(
    'leak_check',
    ['phase'],
    (job) => job.leakChecks,
    ({ when, result, where, at }, job) => [{ job_id: job.id, phase: when, result, place: where, at }],
  ),
];
