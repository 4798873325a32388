import { GRADES, pointName } from '../../inspect/index.ts';
import { row, type SheetRow } from '../../sheet/index.ts';
import { sourceWords } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';

/** Findings, before and after. */
export const findingRows = (job: Job): SheetRow[] =>
  job.findings.map(({ point: id, grade, judged, text, when }) => {
    const point = pointName(id);
    const graded = grade === null ? '' : `${grade}, ${GRADES[grade] ?? ''}`;
    if (judged === undefined) return row(`${point}, ${when}`, [graded, text].filter(Boolean).join('; '));
    return row(
      `${[point, judged.which].filter(Boolean).join(', ')}, ${when}`,
      `${judged.words.replace(/\.$/, '')}${judged.verdict === 'bad' ? ': BAD' : ''}`,
      [text, judged.limit === null ? '' : sourceWords(judged.limit)].filter(Boolean).join(' · '),
    );
  });
