import { row, type SheetRow } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import { codesAfterRows } from '../complaint/sheet.ts';
import { PHASES, TRACE_FIGURES } from '../../trace/index.ts';
import type { Job } from '../job.ts';
import { figuresJudged, figureText } from '../recordings/judged.ts';
import { type Condition, conditionWords } from './conditions.ts';
import { type MeasureKind, MEASURES, PROOFS } from './kinds.ts';
import { overtaken, VERDICT_WORDS } from './line.ts';
import { proofOf } from './lines.ts';
import { lastMoved } from './moved.ts';
import { bandOf, type Measured, measured } from './measured.ts';

/** Figures before and after, what was proved, and the codes after the work. */
export const proofRows = (job: Job): SheetRow[] => [
  ...(Object.keys(MEASURES) as MeasureKind[]).flatMap((kind) => figureRows(job, kind)),
  ...job.proofs.map(({ check, result, note, ...under }) =>
    row(PROOFS[check], result, [conditionWords(under), note].filter(Boolean).join(' · ')),
  ),
  ...codesAfterRows(job),
  ...recordingRows(job),
  ...triedRows(job),
  ...overtakenRows(job),
];

function figureRows(job: Job, kind: MeasureKind): SheetRow[] {
  const before = measured(job, kind, 'before');
  const after = measured(job, kind, 'after');
  if (before === null && after === null) return [];
  const { name, unit } = MEASURES[kind];
  const band = bandOf(job, kind);
  const taken: Condition = job.measurements.find((each) => each.kind === kind && each.when === 'after') ?? {};
  const ran = conditionWords(taken);
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

/** Each line of the complaint that was tried again, and what somebody tried of their own. */
const triedRows = (job: Job): SheetRow[] =>
  proofOf(job).lines.flatMap(({ id, kind, name, before, after, under, verdict, remark }) =>
    kind === 'tool' || job.tried.some(({ line }) => line === id)
      ? [
          row(
            name,
            kind === 'tool' ? `${before || '—'} before, ${after || '—'} after` : VERDICT_WORDS[verdict],
            [kind === 'tool' ? '' : after, conditionWords(under), remark].filter(Boolean).join(' · '),
          ),
        ]
      : [],
  );

/** What was proved before something came off again does not stand for how it went out. */
const overtakenRows = (job: Job): SheetRow[] => {
  const moved = lastMoved(job);
  const early = [
    ...job.measurements.filter(({ when }) => when === 'after'),
    ...job.proofs,
    ...job.tried,
    ...(job.codesRead.after === null ? [] : [job.codesRead.after]),
  ].filter((stamp) => overtaken(stamp, moved) !== null);
  return moved === null || early.length === 0
    ? []
    : [
        row(
          'Before that',
          `${early.length} of these were proved before ${moved.words}`,
          'they say nothing of how it went out',
        ),
      ];
};

/** Live data before and after, in figures. */
function recordingRows(job: Job): SheetRow[] {
  const figures = figuresJudged(job).filter(({ before, after }) => before !== null || after !== null);
  return [
    ...job.recordings.map(({ when, seconds, channels, phases, ended, odd }) =>
      row(
        `Live data, ${when}`,
        `${Math.round(seconds)} s of ${channels.length} values${ended === 'lost' ? ', lost in the middle' : ''}`,
        [[...new Set(phases.map(({ kind }) => PHASES[kind]))].join(', '), ...odd].filter(Boolean).join(' · '),
      ),
    ),
    ...figures.map(({ kind, before, after, verdict, remark }) =>
      row(
        TRACE_FIGURES[kind].name,
        `${before === null ? '—' : figureText(kind, before)} before, ${after === null ? '—' : figureText(kind, after)} after`,
        [verdict === 'shown' ? '' : VERDICT_WORDS[verdict], remark].filter(Boolean).join(' · '),
      ),
    ),
  ];
}
