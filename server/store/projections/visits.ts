import { costOf } from '../../../core/job/index.ts';
import { looksOf } from '../../../core/lessons/index.ts';
import { visitOf } from '../../../core/visits/index.ts';
import type { Projection } from '../projection.ts';

/** What each job tells of its vehicle over the years. */
export const VISIT_TABLES: readonly Projection[] = [
  {
    table: 'visit',
    key: [],
    from: (job) => [
      job.vehicle,
      job.reading,
      job.planned,
      job.decision,
      job.findings,
      job.measurements,
      job.recordings,
      job.status,
      job.handOver,
      job.cancelled,
      job.reopened,
      job.parts,
      job.cleaners,
      job.coolant,
    ],
    rows: (job) => {
      const visit = visitOf(job);
      if (visit === null) return [];
      const { handOver } = job;
      const cost = handOver === null ? null : costOf(job, handOver.labourMinutes, handOver.ratePerHourMinor);
      return [
        {
          job_id: visit.jobId,
          number: visit.number,
          vehicle_id: visit.vehicleId,
          family_id: visit.familyId,
          kind: visit.kind,
          option: visit.option,
          unit_kind: visit.unitKind,
          opened_at: visit.openedAt,
          closed_at: visit.closedAt,
          meter: visit.meter,
          hours: visit.hours ? 1 : 0,
          anew: visit.anew ? 1 : 0,
          level_before: visit.before?.level ?? null,
          sd_before: visit.before?.sd ?? null,
          level_after: visit.after?.level ?? null,
          sd_after: visit.after?.sd ?? null,
          cleaned: visit.cleaned ? 1 : 0,
          reopened: visit.reopened,
          labour_minutes: job.handOver?.labourMinutes ?? null,
          parts_minor: cost?.partsMinor ?? null,
          total_minor: cost?.totalMinor ?? null,
        },
      ];
    },
  },
  {
    table: 'look',
    key: ['form', 'thing'],
    from: (job) => [job.vehicle, job.reading, job.cancelled, job.findings, job.items, job.seized, job.runs],
    rows: (job) =>
      looksOf(job).map(({ jobId, vehicleId, familyId, form, thing, bad, meter, hours }) => ({
        job_id: jobId,
        form,
        thing,
        vehicle_id: vehicleId,
        family_id: familyId,
        bad: bad ? 1 : 0,
        meter,
        hours: hours ? 1 : 0,
      })),
  },
];
