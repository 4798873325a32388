import { perElement, type Projection } from '../projection.ts';

/** Tables of what was weighed, decided and agreed. */
export const CHOICE_TABLES: readonly Projection[] = [
  perElement(
    'option_terms',
    ['choice'],
    (job) => job.terms,
    ({ id, way, partsMinor, minutes, daysOff, life }, job) => [
      {
        job_id: job.id,
        // Set for one of several units, it is named with its unit.
        choice: way ?? id,
        parts_minor: partsMinor,
        minutes,
        days_off: daysOff,
        life,
      },
    ],
  ),
  {
    table: 'job_decision',
    key: [],
    from: (job) => [job.decision, job.handOver, job.reopened, job.knowledge, job.vehicle],
    rows: (job) =>
      job.decision === null
        ? []
        : [
            {
              job_id: job.id,
              vehicle_id: job.vehicle.id,
              throttle: job.vehicle.throttle,
              choice: job.decision.choice,
              reason: job.decision.reason,
              knowledge: job.knowledge,
              opened_at: job.opened.at,
              closed_at: job.handOver?.at ?? null,
              reopened: job.reopened.length,
            },
          ],
  },
  {
    table: 'belief_share',
    key: ['cause'],
    from: (job) => [job.belief],
    rows: (job) => (job.belief?.causes ?? []).map(({ id, share }) => ({ job_id: job.id, cause: id, share })),
  },
  perElement(
    'rule_departure',
    ['question'],
    (job) => job.departures,
    ({ question, rule, taken, reason }, job) => [{ job_id: job.id, question, rule, taken, reason }],
  ),
  perElement(
    'estimate',
    ['id'],
    (job) => job.estimates,
    ({ id, choice, lowMinor, highMinor, answer, at }, job) => [
      {
        job_id: job.id,
        id,
        choice,
        low_minor: lowMinor,
        high_minor: highMinor,
        answer: answer?.answer ?? null,
        who: answer?.who ?? null,
        at,
      },
    ],
  ),
];
