import { GRADES, pointName } from '../../inspect/index.ts';
import { format } from '../../quantity/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import { droppedUnseen } from './dropping.ts';
import type { Finding } from './state.ts';
import { unitName } from './units.ts';

/** Findings, before and after, and what was dropped. */
export const findingRows = (job: Job): SheetRow[] => [...job.findings.map(findingRow), ...dropRows(job)];

const findingRow = ({ point: id, grade, judged, text, when }: Finding): SheetRow => {
  const point = pointName(id);
  const graded = grade === null ? '' : `${grade}, ${GRADES[grade] ?? ''}`;
  if (judged === undefined) return row(`${point}, ${when}`, [graded, text].filter(Boolean).join('; '));
  return row(
    `${[point, judged.which].filter(Boolean).join(', ')}, ${when}`,
    `${judged.words.replace(/\.$/, '')}${judged.verdict === 'bad' ? ': BAD' : ''}`,
    [text, judged.limit === null ? '' : sourceWords(judged.limit)].filter(Boolean).join(' · '),
  );
};

function dropRows(job: Job): SheetRow[] {
  const unseen = new Set(droppedUnseen(job));
  return job.drops.map((drop) =>
    row(
      `Dropped: ${unitName(job, drop.unit)}`,
      drop.height === null ? 'from a height not known' : `from ${format(drop.height)}`,
      [drop.note, unseen.has(drop) ? 'NOT LOOKED AT SINCE' : 'looked at since'].filter(Boolean).join(' · '),
    ),
  );
}
