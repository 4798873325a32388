import { pointName } from '../../inspect/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { looksBad, type Seen } from '../inspection/bad.ts';
import { unitName } from '../inspection/units.ts';
import type { Job } from '../job.ts';
import type { ProofLine, Verdict } from './line.ts';

/** What was bad on the bench, looked at again. */
export function benchLines(job: Job): ProofLine[] {
  const gone = new Set(job.replaced.map(({ unit }) => unit));
  const which = ({ judged }: Seen): string => judged?.which ?? '';
  const same = (a: Seen, b: Seen): boolean => a.unit === b.unit && a.point === b.point && which(a) === which(b);
  return job.findings
    .filter((finding) => finding.when === 'before' && looksBad(finding))
    .map((before) => {
      const after = job.findings.find((each) => each.when === 'after' && same(each, before));
      const replaced = gone.has(before.unit);
      const part = which(before) === '' ? '' : ` (${which(before)})`;
      return {
        id: `bench:${[before.unit, before.point, which(before)].filter(Boolean).join(' ')}`,
        kind: 'bench',
        name: `${unitName(job, before.unit)}, ${lowerFirst(pointName(before.point))}${part}`,
        before: seenWords(before),
        after: replaced ? 'replaced' : after === undefined ? '' : seenWords(after),
        under: {},
        verdict: replaced ? 'gone' : after === undefined ? 'not tried' : benchVerdict(before, after),
        remark: '',
        byHand: false,
        at: { stage: 'inspect' },
      };
    });
}

const benchVerdict = (before: Seen, after: Seen): Verdict =>
  !looksBad(after) ? 'gone' : (after.grade ?? 0) > (before.grade ?? 0) ? 'worse' : 'still there';

const seenWords = ({ grade, text, judged }: Seen): string =>
  judged?.words ?? (grade === null ? text : [`grade ${grade}`, text].filter(Boolean).join(', '));
