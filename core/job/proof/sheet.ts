import { row, type SheetRow } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import { codesAfterRows } from '../complaint/sheet.ts';
import type { Job } from '../job.ts';
import { TRIAL_PLACES, type TrialPlace } from '../start/runPlaces.ts';
import { type MeasureKind, MEASURES, PROOFS } from './kinds.ts';
import { bandOf, type Measured, measured } from './measured.ts';

/** Figures before and after, what was proved, and the codes after the work. */
export const proofRows = (job: Job): SheetRow[] => [
  ...(Object.keys(MEASURES) as MeasureKind[]).flatMap((kind) => figureRows(job, kind)),
  ...job.proofs.map(({ check, result, note, place }) =>
    row(PROOFS[check], result, [placeWords(place), note].filter(Boolean).join(' · ')),
  ),
  ...codesAfterRows(job),
];

/** How an outboard ran for it; empty for any other. */
const placeWords = (place: TrialPlace | undefined): string => (place === undefined ? '' : TRIAL_PLACES[place]);

function figureRows(job: Job, kind: MeasureKind): SheetRow[] {
  const before = measured(job, kind, 'before');
  const after = measured(job, kind, 'after');
  if (before === null && after === null) return [];
  const { name, unit } = MEASURES[kind];
  const band = bandOf(job, kind);
  const ran = placeWords(job.measurements.find((each) => each.kind === kind && each.when === 'after')?.place);
  const said = (figure: Measured | null): string => (figure === null ? '—' : `${figure.shown} ${unit}`);
  return [
    row(
      name,
      `${said(before)} before, ${said(after)} after${ran === '' ? '' : `, ${ran}`}`,
      band === null
        ? ''
        : `band ${band.low} to ${band.high} ${unit}, ${after?.words ?? 'not measured after'}; ${sourceWords(band)}`,
    ),
  ];
}
