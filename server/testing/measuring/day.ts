import { weave } from '../../../core/bay/index.ts';
import { randomShop } from '../../../core/bay/weave/testing.ts';
import { type Measured, median, ms, time } from './measure.ts';

/** The day that must be woven while somebody looks: 12 jobs of 15 stretches, 4 people, 3 bays. */
const DAY = { jobs: 12, stretches: 15, people: 4, bays: 3 } as const;
/** Orders that are tried, as on the screen. */
const ORDERS = 500;

/** As many plain lists as orders are tried: each piece put after the last of its job and of its person, and nothing else kept. */
function bare(jobs: number, stretches: number, people: number): number {
  let end = 0;
  for (let order = 0; order < ORDERS; order += 1) {
    const ofJob = Array<number>(jobs).fill(0);
    const ofPerson = Array<number>(people).fill(0);
    for (let piece = 0; piece < jobs * stretches; piece += 1) {
      const [job, person] = [(piece * 7 + order) % jobs, (piece + order) % people];
      const start = Math.max(ofJob[job] ?? 0, ofPerson[person] ?? 0);
      ofJob[job] = ofPerson[person] = start + 30;
    }
    end = Math.max(end, ...ofJob);
  }
  return end;
}

/** Weaving a day, first and after something changed. */
export function weaving(): Measured[] {
  const problem = randomShop(42, DAY);
  const before = weave(problem, { seed: 7 }).blocks;
  const [first, again] = [
    median(time(() => void weave(problem, { seed: 1 }), 7)),
    median(time(() => void weave({ ...problem, before }, { seed: 1 }), 7)),
  ];
  const plain = median(time(() => void bare(DAY.jobs, DAY.stretches, DAY.people), 21));
  const line = (what: string, took: number): Measured => ({
    what,
    measured: `${ms(took)} (${(took / plain).toFixed(0)} × as many plain lists)`,
    wanted: 'under 300 ms',
    met: took < 300,
  });
  return [
    line('a day of 12 jobs × 15 stretches woven', first),
    line('the same woven again after the plan before', again),
  ];
}
