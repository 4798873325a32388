import { describe, expect, it } from 'vitest';
import { random } from '../../chance/index.ts';
import type { Block, HandsOn, WeaveJob, WeaveProblem } from './problem.ts';
import { brokenNeeds, randomShop } from './testing.ts';
import { weave } from './weave.ts';

/** One thing that a morning brings: work that takes longer, another vehicle, a part that is late, somebody who goes home. */
function changed(problem: WeaveProblem, seed: number): { readonly problem: WeaveProblem; readonly touched: string } {
  const { uniform } = random(seed);
  const jobs = [...problem.jobs];
  const at = Math.floor(uniform() * jobs.length);
  const job = jobs[at]!;
  const which = job.stretches.findIndex(({ kind }) => kind === 'hands');
  const alter = (change: (stretch: HandsOn) => HandsOn): WeaveJob => ({
    ...job,
    stretches: job.stretches.map((each, nth) => (nth === which && each.kind === 'hands' ? change(each) : each)),
  });
  const kind = uniform();
  if (kind < 0.4) jobs[at] = alter((stretch) => ({ ...stretch, minutes: stretch.minutes + 20 }));
  else if (kind < 0.6) jobs[at] = alter((stretch) => ({ ...stretch, from: problem.now + 240 }));
  else if (kind < 0.8) jobs[at] = { ...job, promised: problem.now + 120 };
  else jobs.push({ ...randomShop(seed + 7, { jobs: 1, stretches: 4, people: 1, bays: 1 }).jobs[0]!, id: 'new' });
  return { problem: { ...problem, jobs }, touched: kind < 0.8 ? job.id : 'new' };
}

describe('a plan that people have in their heads', () => {
  it('moves at most a fifth of the rest when one thing changes, on average, and still keeps every need', () => {
    const shares: number[] = [];
    for (let seed = 1; seed <= 120; seed += 1) {
      const first = randomShop(seed, { jobs: 7, stretches: 6, people: 4, bays: 4 });
      const before = weave(first, { seed, tries: 80 }).blocks;
      const { problem, touched } = changed(first, seed);
      const { blocks, moved, noPlace } = weave({ ...problem, before }, { seed, tries: 80 });
      if (noPlace.length === 0) expect(brokenNeeds(problem, blocks)).toEqual([]);
      const rest = before.filter(({ kind, job }) => kind === 'hands' && job !== touched);
      shares.push(moved.filter(({ job }) => job !== touched).length / rest.length);
    }
    const mean = shares.reduce((sum, share) => sum + share, 0) / shares.length;
    console.info(`a new fact moves ${(100 * mean).toFixed(1)} % of the rest, over ${shares.length} shops`);
    expect(mean).toBeLessThan(0.2);
  });

  it('stays as it is when nothing changes', () => {
    const problem = randomShop(3, { jobs: 6, stretches: 5, people: 3, bays: 3 });
    const before = weave(problem).blocks;
    const again = weave({ ...problem, before }, { seed: 99 });
    expect(again.moved).toEqual([]);
    expect(again.blocks).toEqual(before);
  });

  it('knows nothing of work that was not in it', () => {
    const problem = randomShop(3, { jobs: 2, stretches: 3, people: 2, bays: 2 });
    const before: Block[] = [{ job: 'gone', stretch: 's0', kind: 'hands', start: 0, end: 9, person: 'p0' }];
    expect(weave({ ...problem, before }).moved).toEqual([]);
  });
});
