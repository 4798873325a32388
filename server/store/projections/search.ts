import type { Job } from '../../../core/job/index.ts';
import { plainNumber } from '../../../core/stock/index.ts';
import { vehicleName } from '../../../core/vehicle/index.ts';
import type { Projection, Row } from '../projection.ts';

/** What of a job can be found, by the word it is said with on the list. */
export type SearchPiece = 'job' | 'said' | 'code' | 'finding' | 'check' | 'note' | 'part' | 'unit' | 'person';

interface Piece {
  readonly piece: SearchPiece;
  readonly ref: string;
  readonly words: string;
  readonly plain: string;
}
const piece = (of: SearchPiece, ref: string, words: readonly string[], plain: readonly string[] = []): Piece[] => {
  const text = words.filter((word) => word.trim() !== '').join(', ');
  const keys = plain.map(plainNumber).filter((key) => key !== '');
  return text === '' && keys.length === 0 ? [] : [{ piece: of, ref, words: text, plain: keys.join(' ') }];
};

/** Everything of a job that a person might look for. */
function piecesOf(job: Job): Piece[] {
  const { vehicle } = job;
  return [
    ...piece(
      'job',
      '',
      [String(job.number), vehicle.plate, vehicleName(vehicle), vehicle.engine, vehicle.owner, vehicle.vin],
      [vehicle.plate, vehicle.vin],
    ),
    ...piece('said', 'complaint', [job.complaint]),
    ...job.told.flatMap(({ id, text }) => piece('said', id, [text])),
    ...job.codes.flatMap(({ id, code, note }) => piece('code', id, [code, note], [code])),
    ...job.findings.flatMap(({ id, unit, text, judged }) => piece('finding', id, [unit, judged?.words ?? '', text])),
    ...job.checks.flatMap(({ id, name, result }) => piece('check', id, [name, result])),
    ...job.notes.flatMap(({ id, text }) => piece('note', id, [text])),
    ...job.parts.flatMap(({ id, name, partNumber }) => piece('part', id, [name, partNumber], [partNumber])),
    ...job.replaced.flatMap(({ id, fitted, oldUnitId, oldPartNumber }) =>
      piece(
        'unit',
        id,
        [fitted.unitId, fitted.partNumber, oldUnitId, oldPartNumber],
        [fitted.unitId, fitted.partNumber, oldUnitId, oldPartNumber],
      ),
    ),
    ...vehicle.units.flatMap(({ id, partNumber, place }) =>
      piece('unit', `on ${id}`, [id, partNumber, place], [id, partNumber]),
    ),
    ...Object.keys(job.people).flatMap((person) => piece('person', person, [person])),
  ];
}

/** What can be found of a job. */
export const SEARCH_TABLES: readonly Projection[] = [
  {
    table: 'job_words',
    key: ['piece', 'ref'],
    from: (job) => [
      job.vehicle,
      job.told,
      job.codes,
      job.findings,
      job.checks,
      job.notes,
      job.parts,
      job.replaced,
      Object.keys(job.people).length,
    ],
    rows: (job): Row[] => piecesOf(job).map((each) => ({ job_id: job.id, ...each })),
  },
];
