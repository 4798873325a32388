import { row, type SheetRow } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import { codesAfterRows } from '../complaint/sheet.ts';
import type { Job } from '../job.ts';
import { type MeasureKind, MEASURES, PROOFS } from './kinds.ts';
import { bandOf, type Measured, measured } from './measured.ts';

/** Figures before and after, what was proved, and the codes after the work. */
export const proofRows = (job: Job): SheetRow[] => [
  ...(Object.keys(MEASURES) as MeasureKind[]).flatMap((kind) => figureRows(job, kind)),
  ...job.proofs.map(({ check, result, note }) => row(PROOFS[check], result, note)),
  ...codesAfterRows(job),
];

function figureRows(job: Job, kind: MeasureKind): SheetRow[] {
  const before = measured(job, kind, 'before');
  const after = measured(job, kind, 'after');
  if (before === null && after === null) return [];
  const { name, unit } = MEASURES[kind];
  const band = bandOf(job, kind);
  const said = (figure: Measured | null): string => (figure === null ? '—' : `${figure.shown} ${unit}`);
  return [
    row(
      name,
      `${said(before)} before, ${said(after)} after`,
      band === null
        ? ''
        : `band ${band.low} to ${band.high} ${unit}, ${after?.words ?? 'not measured after'}; ${sourceWords(band)}`,
    ),
  ];
}
