import type { BenchEventData } from '../benchEvents.ts';
import type { EventData } from '../events.ts';
import type { Job, SeizedRecord, Stamp } from '../types.ts';

type Apply<K extends keyof EventData> = (job: Job, data: EventData[K], stamp: Stamp) => Partial<Job>;

const onScrew = (job: Job, id: string, how: (screw: SeizedRecord) => SeizedRecord): Partial<Job> => ({
  seized: job.seized.map((screw) => (screw.id === id ? how(screw) : screw)),
});

/** What the events of the bench change. */
export const APPLY_BENCH: { readonly [K in keyof BenchEventData]: Apply<K> } = {
  'point-judged': (job, { id, unit, point, when, note, ...judged }, stamp) => ({
    findings: [
      ...job.findings.filter(
        (known) =>
          !(
            known.point === point &&
            known.unit === unit &&
            known.when === when &&
            (known.judged?.which ?? '') === judged.which
          ),
      ),
      {
        id,
        unit,
        point,
        when,
        grade: point.includes('deposit') ? (judged.marks[0] ?? null) : null,
        text: note,
        judged,
        ...stamp,
      },
    ],
  }),
  'picture-marked': (job, { pictureId, ...marking }) => ({
    pictures: job.pictures.map((picture) => (picture.id === pictureId ? { ...picture, marking } : picture)),
  }),
  'screw-seized': (job, data, stamp) => ({
    seized: [...job.seized, { ...data, ...stamp, tried: [], ended: null }],
  }),
  'rung-tried': (job, { screwId, rung, outcome, note, timerId }, stamp) =>
    onScrew(job, screwId, (screw) => ({
      ...screw,
      headWhole: screw.headWhole && outcome !== 'head gone',
      // The end of a wait takes the place of its beginning.
      tried: [
        ...screw.tried.filter((each) => !(each.rung === rung && each.outcome === 'waiting')),
        { rung, outcome, note, timerId, ...stamp },
      ],
      ended: outcome === 'out' || outcome === 'part spoilt' ? { outcome, why: note, ...stamp } : screw.ended,
    })),
  'screw-given-up': (job, { screwId, why }, stamp) =>
    onScrew(job, screwId, (screw) => ({ ...screw, ended: { outcome: 'given up', why, ...stamp } })),
  'waste-taken': (job, data, stamp) => ({ waste: [...job.waste, { ...data, ...stamp }] }),
  'piece-set-apart': (job, data, stamp) => ({ pieces: [...job.pieces, { ...data, ...stamp, returned: null }] }),
  'piece-returned': (job, { id, renewed }, stamp) => ({
    pieces: job.pieces.map((piece) => (piece.id === id ? { ...piece, returned: { renewed, ...stamp } } : piece)),
  }),
  'sensor-swept': (job, data, stamp) => ({
    sweeps: [
      ...job.sweeps.filter(({ unit, when }) => !(unit === data.unit && when === data.when)),
      { ...data, ...stamp },
    ],
  }),
  'screw-turned': (job, data, stamp) => ({ turned: [...job.turned, { ...data, ...stamp }] }),
  'unit-replaced': (job, data, stamp) => ({
    replaced: [...job.replaced.filter(({ unit }) => unit !== data.unit), { ...data, ...stamp }],
  }),
  'coolant-tested': (job, data, stamp) => ({
    coolantTests: [...job.coolantTests.filter(({ when }) => when !== data.when), { ...data, ...stamp }],
  }),
  'leak-checked': (job, data, stamp) => ({
    leakChecks: [...job.leakChecks.filter(({ when }) => when !== data.when), { ...data, ...stamp }],
  }),
  'recheck-set': (job, data, stamp) => ({
    rechecks: [...job.rechecks.filter(({ what }) => what !== data.what), { ...data, ...stamp }],
  }),
};
