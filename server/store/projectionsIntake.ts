import type { Projection } from './projection.ts';

/** Tables of what is told, read, checked, weighed and agreed before anything comes off. */
export const INTAKE_PROJECTIONS: readonly Projection[] = [
  {
    table: 'told',
    key: ['id'],
    from: (job) => [job.told],
    rows: (job) => job.told.map(({ id, text, at }) => ({ job_id: job.id, id, body: text, at })),
  },
  {
    table: 'sign_noted',
    key: ['id'],
    from: (job) => [job.signs],
    rows: (job) =>
      job.signs.map(({ id, sign, outcome, source, words }) => ({ job_id: job.id, id, sign, outcome, source, words })),
  },
  {
    table: 'check_result',
    key: ['id'],
    from: (job) => [job.checks],
    rows: (job) =>
      job.checks.map(({ id, check, name, outcome, verdict, when, result, typed, at }) => ({
        job_id: job.id,
        id,
        kind: check,
        name,
        outcome,
        verdict,
        phase: when,
        result,
        typed: typed.join(' ; '),
        at,
      })),
  },
  {
    table: 'check_passed_over',
    key: ['id'],
    from: (job) => [job.passedOver],
    rows: (job) => job.passedOver.map(({ id, check, why }) => ({ job_id: job.id, id, kind: check, why })),
  },
  {
    table: 'live_value',
    key: ['id', 'pid'],
    from: (job) => [job.values, job.frames],
    rows: (job) => [
      ...job.values.flatMap(({ id, when, values, at }) =>
        values.map(({ pid, name, value, unit }) => ({
          job_id: job.id,
          id,
          pid,
          code: null,
          phase: when,
          name,
          value,
          unit,
          at,
        })),
      ),
      ...job.frames.flatMap(({ id, code, values, at }) =>
        values.map(({ pid, name, value, unit }) => ({
          job_id: job.id,
          id,
          pid,
          code,
          phase: 'frame',
          name,
          value,
          unit,
          at,
        })),
      ),
    ],
  },
  {
    table: 'clearing',
    key: ['id'],
    from: (job) => [job.clearings],
    rows: (job) =>
      job.clearings.map(({ id, codes, from, ended, at }) => ({
        job_id: job.id,
        id,
        codes: codes.join(' '),
        origin: from,
        outcome: ended?.outcome ?? null,
        at,
      })),
  },
  {
    table: 'variant_compared',
    key: ['id'],
    from: (job) => [job.variants],
    rows: (job) =>
      job.variants.map(({ id, kind, place, verdict, words }) => ({ job_id: job.id, id, kind, place, verdict, words })),
  },
  {
    table: 'option_terms',
    key: ['choice'],
    from: (job) => [job.terms],
    rows: (job) =>
      job.terms.map(({ id, partsMinor, minutes, daysOff, life }) => ({
        job_id: job.id,
        choice: id,
        parts_minor: partsMinor,
        minutes,
        days_off: daysOff,
        life,
      })),
  },
  {
    table: 'job_decision',
    key: [],
    from: (job) => [job.decision, job.handOver, job.reopened, job.knowledge],
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
  {
    table: 'rule_departure',
    key: ['question'],
    from: (job) => [job.departures],
    rows: (job) =>
      job.departures.map(({ question, rule, taken, reason }) => ({ job_id: job.id, question, rule, taken, reason })),
  },
  {
    table: 'estimate',
    key: ['id'],
    from: (job) => [job.estimates],
    rows: (job) =>
      job.estimates.map(({ id, choice, lowMinor, highMinor, answer, at }) => ({
        job_id: job.id,
        id,
        choice,
        low_minor: lowMinor,
        high_minor: highMinor,
        answer: answer?.answer ?? null,
        who: answer?.who ?? null,
        at,
      })),
  },
];
