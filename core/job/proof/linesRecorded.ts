import { TRACE_FIGURES, type TraceFigureKind } from '../../trace/index.ts';
import type { Job } from '../job.ts';
import { type FigureJudged, figuresJudged, figureText } from '../recordings/judged.ts';
import type { ProofLine } from './line.ts';

/** Figures that say more beside another than in a line of their own. */
const BESIDE: ReadonlySet<TraceFigureKind> = new Set<TraceFigureKind>([
  'swing-period',
  'idle-share',
  'idle-cold',
  'valve-curve',
  'sweep-largest',
]);
/** Figures that are measured by hand as well: what was typed stands. */
const MEASURED_TOO: Readonly<Partial<Record<TraceFigureKind, string>>> = {
  idle: 'idle-rpm',
  duty: 'valve-duty',
  settle: 'settle-time',
};

/** What recordings show, before and after. */
export const traceLines = (job: Job): ProofLine[] =>
  figuresJudged(job)
    .filter(
      ({ kind }) =>
        !BESIDE.has(kind) &&
        !job.measurements.some((each) => each.kind === MEASURED_TOO[kind] && each.when === 'after'),
    )
    .map((judged): ProofLine => ({
      id: `trace:${judged.kind}`,
      kind: 'trace',
      name: TRACE_FIGURES[judged.kind].name,
      ...shownOf(judged),
      byHand: false,
      at: { stage: 'prove', spot: 'live' },
    }));

/** A figure before and after as a line shows it. */
export const shownOf = ({
  kind,
  before,
  after,
  verdict,
  remark,
}: FigureJudged): Pick<ProofLine, 'before' | 'after' | 'under' | 'verdict' | 'remark'> => ({
  before: before === null ? '' : figureText(kind, before),
  after: after === null ? '' : figureText(kind, after),
  under: after?.of ?? {},
  verdict,
  remark,
});

/** Signs of the complaint that a recording shows by itself. */
export const SHOWN_BY: Readonly<Record<string, TraceFigureKind>> = {
  hunting: 'swing',
  hangs: 'settle',
  'after-blip': 'blip-lowest',
  'idle-high': 'idle',
  'idle-low': 'idle',
};
