import { ENDS, type Recipe } from '../../../core/relearn/index.ts';

/** A way from one step to another that is not the next one, as it is drawn beside the list. */
export interface DrawnWay {
  readonly from: number;
  readonly to: number;
  readonly kind: 'again' | 'answer' | 'instead' | 'bad';
  /** How far out it runs, 0 the nearest. */
  readonly lane: number;
  readonly words: string;
}

/** Every way of a recipe that leads to another step than the next, in lanes in which none runs over another. */
export function drawnWays({ steps }: Pick<Recipe, 'steps'>): readonly DrawnWay[] {
  const at = new Map(steps.map(({ id }, index) => [id, index]));
  const ways = steps.flatMap(({ answers, instead, endsBadly, again }, from) => {
    const way = (kind: DrawnWay['kind'], goTo: string, words: string): Omit<DrawnWay, 'lane'>[] => {
      const to = at.get(goTo);
      return to === undefined || (to === from + 1 && kind === 'answer') ? [] : [{ from, to, kind, words }];
    };
    return [
      ...(again === null ? [] : way('again', again.back, `${again.times} times`)),
      ...answers.flatMap(({ words, goTo }) => way('answer', goTo, words)),
      ...instead.flatMap(({ words, goTo }) => way('instead', goTo, words)),
      ...endsBadly.flatMap(({ goTo, words }) => way('bad', goTo, words)),
    ];
  });
  const drawn: DrawnWay[] = [];
  for (const way of [...ways].sort((a, b) => Math.abs(a.from - a.to) - Math.abs(b.from - b.to))) {
    const [top, bottom] = [Math.min(way.from, way.to), Math.max(way.from, way.to)];
    const taken = new Set(
      drawn.filter(({ from, to }) => Math.min(from, to) <= bottom && Math.max(from, to) >= top).map(({ lane }) => lane),
    );
    let lane = 0;
    while (taken.has(lane)) lane += 1;
    drawn.push({ ...way, lane });
  }
  return drawn;
}

/** The ends that a step leads to by one of its ways, in words. */
export function endsOf({ steps }: Pick<Recipe, 'steps'>, index: number): readonly ('done' | 'failed')[] {
  const step = steps[index];
  if (step === undefined) return [];
  const goes = [...step.answers, ...step.instead, ...step.endsBadly].map(({ goTo }) => goTo);
  if (step.answers.length === 0 && index === steps.length - 1) goes.push('done');
  return (Object.keys(ENDS) as ('done' | 'failed')[]).filter((end) => goes.includes(end));
}
