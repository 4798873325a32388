import {
  buildGraph,
  type Constraint,
  mayStart,
  type PlanItem,
  planRefit,
  replan,
  tally,
  type TallyInput,
} from '../../../core/refit/index.ts';
import { type Measured, median, ms, time } from './measure.ts';

/** Items and constraints that cannot circle. */
function problem(count: number, ties: number): [PlanItem[], Constraint[]] {
  let state = 7;
  const next = (below: number): number => (state = (state * 1664525 + 1013904223) % 4294967296) % below;
  const items = Array.from({ length: count }, (_, index) => ({ id: `i${index}`, name: '', stripOrder: index + 1 }));
  const constraints = Array.from({ length: ties }, (_, index): Constraint => {
    const [a, b] = [next(count), next(count)];
    // A hidden order keeps them free of circles.
    const [first, second] = (a * 7919) % count < (b * 7919) % count ? [a, b] : [b, a];
    return {
      kind: 'before',
      id: `c${index}`,
      a: `i${first}`,
      b: `i${second === first ? (first + 1) % count : second}`,
      reason: '',
    };
  }).filter(({ kind, ...tie }) => kind === 'before' && 'a' in tie && tie.a !== tie.b);
  return [items, constraints];
}

/** A job of `count` items as the tally sees it: half off, every third a group of four. */
const counted = (count: number): TallyInput => ({
  items: Array.from({ length: count }, (_, index) => ({
    id: `i${index}`,
    name: `Item ${index}`,
    kind: index % 5 === 0 ? 'connector' : 'other',
    state: index % 2 === 0 ? 'off' : 'refitted',
    confirmed: false,
    singleUse: index % 7 === 0,
    toRestore: [],
    fasteners:
      index % 3 === 0
        ? {
            count: 4,
            torqued: true,
            atTorque: index % 5,
            byFeel: 0,
            figureWanted: false,
            countedOut: 4,
            countedBack: 4,
            stayingIn: 0,
            stripped: 0,
          }
        : null,
  })),
  openings: Array.from({ length: 40 }, (_, index) => ({
    id: `o${index}`,
    name: 'Port',
    state: 'plugged',
    plug: 'cap',
  })),
  objects: [],
  searches: [],
  endSteps: [],
  fluidsWanted: [],
  openQuestions: [],
});

/** Planning, planning anew after one change, and counting. */
export function planning(): Measured[] {
  const run = (count: number, ties: number): number => {
    const [items, constraints] = problem(count, ties);
    time(() => planRefit(items, constraints), 20);
    return median(time(() => planRefit(items, constraints), 60));
  };
  const [small, large] = [run(500, 1000), run(2000, 4000)];
  const growth = large / small;
  const ideal = (2000 * Math.log(2000)) / (500 * Math.log(500));
  const [items, constraints] = problem(2000, 4000);
  const graph = buildGraph(items, constraints);
  const whole = planRefit(items, constraints);
  const order = whole.ok ? whole.steps.map(({ itemId }) => itemId) : [];
  // One thing more is back at each turn, every tenth time out of its turn.
  let done: string[] = [];
  const anew = median(
    Array.from({ length: 200 }, (_, index) => {
      done = [...done, order[index % 10 === 9 ? order.length - 1 - index : index] ?? ''];
      return time(() => replan(graph, done), 1)[0] ?? 0;
    }),
  );
  const job = counted(600);
  time(() => mayStart(job), 200);
  const [count, verdict] = [median(time(() => tally(job), 400)), median(time(() => mayStart(job), 400))];
  return [
    { what: 'planRefit, 2,000 items, 4,000 constraints', measured: ms(large), wanted: '< 50 ms', met: large < 50 },
    {
      what: 'its growth from 500 to 2,000',
      measured: `${growth.toFixed(2)} ×`,
      wanted: `≤ ${(1.5 * ideal).toFixed(2)} × (1.5 n log n)`,
      met: growth <= 1.5 * ideal,
    },
    { what: 'planned anew after one change, 2,000 items', measured: ms(anew), wanted: '< 5 ms', met: anew < 5 },
    {
      what: 'tally and mayStart, 600 items',
      measured: `${ms(count)}, ${ms(verdict)}`,
      wanted: '< 2 ms',
      met: count < 2 && verdict < 2,
    },
  ];
}
