import { random } from '../../chance/index.ts';
import type { Block, HandsOn, Stretch, WeaveJob, WeaveProblem } from './problem.ts';

/** How large a random shop is. */
export interface ShopSize {
  readonly jobs: number;
  readonly stretches: number;
  readonly people: number;
  readonly bays: number;
  /** Breaks at noon, and a second day. */
  readonly hours?: boolean;
}

/** A random workshop, the same for the same seed. */
export function randomShop(seed: number, { jobs, stretches, people, bays, hours = true }: ShopSize): WeaveProblem {
  const { uniform } = random(seed);
  const whole = (low: number, high: number): number => low + Math.floor(uniform() * (high - low + 1));
  const stretch = (nth: number, last: string): Stretch => {
    const minutes = whole(1, 12) * 5;
    // What nobody does needs no tool, and waits for nothing.
    if (nth > 0 && last === 'hands' && uniform() < 0.3) return { id: `s${nth}`, kind: 'wait', minutes };
    return {
      id: `s${nth}`,
      kind: 'hands',
      minutes,
      ...(uniform() < 0.2 && { skill: 'signs' }),
      ...(nth < 2 && uniform() < 0.2 && { outside: true }),
      ...(uniform() < 0.25 && { tool: 'the small wrench' }),
      ...(uniform() < 0.08 && { from: whole(0, 300) }),
    };
  };
  const line = (): Stretch[] => {
    const made: Stretch[] = [];
    for (let nth = 0; nth < stretches; nth += 1) made.push(stretch(nth, made.at(-1)?.kind ?? 'wait'));
    return made;
  };
  return {
    now: whole(0, 30),
    bays,
    people: Array.from({ length: people }, (_, nth) => ({
      id: `p${nth}`,
      skills: nth === 0 || uniform() < 0.4 ? ['signs'] : [],
      hours: hours
        ? [0, 1, 2, 3, 4].flatMap((day) => [
            { from: day * 1440, to: day * 1440 + 240 },
            { from: day * 1440 + 285, to: day * 1440 + 540 },
          ])
        : [{ from: 0, to: 100_000 }],
    })),
    jobs: Array.from({ length: jobs }, (_, nth): WeaveJob => ({
      id: `j${nth}`,
      stretches: line(),
      bay: uniform() < 0.8,
      promised: uniform() < 0.7 ? whole(60, 600) : null,
      weight: whole(1, 3),
    })),
  };
}

/** What of a plan breaks a need, as sentences; empty where it keeps all. */
export function brokenNeeds(problem: WeaveProblem, blocks: readonly Block[]): string[] {
  const stretchOf = (block: Block): Stretch | undefined =>
    problem.jobs.find(({ id }) => id === block.job)?.stretches.find(({ id }) => id === block.stretch);
  const inHand = (block: Block): HandsOn | undefined => {
    const stretch = stretchOf(block);
    return stretch?.kind === 'hands' ? stretch : undefined;
  };
  const overlaps = (some: readonly Block[]): boolean => {
    const sorted = some.toSorted((a, b) => a.start - b.start);
    return sorted.some((block, at) => at > 0 && block.start < sorted[at - 1]!.end);
  };
  return [
    ...blocks.flatMap((block) => {
      const stretch = stretchOf(block);
      const person = problem.people.find(({ id }) => id === block.person);
      const wrong = [
        stretch === undefined ? 'of no job' : '',
        block.end - block.start !== stretch?.minutes ? 'of another length' : '',
        block.start < problem.now ? 'before now' : '',
        block.start < (inHand(block)?.from ?? 0) ? 'before its part is here' : '',
        (stretch?.kind === 'hands') !== (block.person !== null) ? 'with the wrong hands' : '',
        person && !person.hours.some(({ from, to }) => from <= block.start && block.end <= to) ? 'out of hours' : '',
        person && !person.skills.includes(inHand(block)?.skill ?? person.skills[0] ?? '') && inHand(block)?.skill
          ? 'without the skill'
          : '',
      ].filter(Boolean);
      return wrong.map((why) => `${block.job} ${block.stretch}: ${why}`);
    }),
    ...problem.people.flatMap(({ id }) =>
      overlaps(blocks.filter(({ person }) => person === id)) ? [`${id} is at two`] : [],
    ),
    ...[
      ...new Set(
        problem.jobs.flatMap(({ stretches }) =>
          stretches.map((stretch) => (stretch.kind === 'hands' ? stretch.tool : undefined)),
        ),
      ),
    ].flatMap((tool) =>
      tool !== undefined && overlaps(blocks.filter((block) => inHand(block)?.tool === tool))
        ? [`${tool} is at two`]
        : [],
    ),
    ...problem.jobs.flatMap((job) => orderBroken(job, blocks)),
    ...(mostInside(problem, blocks) > problem.bays ? ['more vehicles inside than there are bays'] : []),
  ];
}

function orderBroken(job: WeaveJob, blocks: readonly Block[]): string[] {
  const own = blocks.filter((block) => block.job === job.id);
  return own.flatMap((block, at) => {
    const stretch = job.stretches[at];
    const before = own[at - 1];
    if (stretch?.id !== block.stretch) return [`${job.id}: ${block.stretch} is not next`];
    if (before === undefined) return [];
    if (block.start < before.end) return [`${job.id}: ${block.stretch} begins too early`];
    const mustFollow = stretch.kind === 'wait' && block.start > before.end;
    return mustFollow ? [`${job.id}: the wait ${block.stretch} does not begin at once`] : [];
  });
}

function mostInside({ jobs }: WeaveProblem, blocks: readonly Block[]): number {
  const stays = jobs.flatMap((job) => {
    const own = blocks.filter((block) => block.job === job.id);
    const outside = new Set(job.stretches.flatMap((each) => (each.kind === 'hands' && each.outside ? [each.id] : [])));
    const first = own.find(({ kind, stretch }) => kind === 'hands' && !outside.has(stretch));
    if (!job.bay || first === undefined) return [];
    return [{ from: first.start, to: Math.max(...own.map(({ end }) => end)) }];
  });
  return Math.max(0, ...stays.map(({ from }) => stays.filter((stay) => stay.from <= from && from < stay.to).length));
}
