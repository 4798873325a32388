import type { Block, NoPlace, PushedPin, Span, WeaveJob, WeaveProblem } from './problem.ts';
import { type Weave, weave } from './weave.ts';

/** Something that people have said and that the plan cannot keep. */
export type Clash =
  /** A vehicle is done after it was promised. */
  | { readonly kind: 'late'; readonly job: string; readonly promised: number; readonly end: number }
  /** A vehicle finds no place at all. */
  | ({ readonly kind: 'no-place' } & NoPlace)
  /** Work cannot begin when somebody said. */
  | ({ readonly kind: 'pushed' } & PushedPin & { readonly start: number });

/** What somebody can do about a clash, with the plan that comes of it. */
export interface WayOut {
  readonly does:
    /** The customer is told another time. */
    | { readonly kind: 'move-promise'; readonly job: string; readonly to: number }
    /** It goes before all others. */
    | { readonly kind: 'first'; readonly job: string }
    /** Somebody else is asked. */
    | { readonly kind: 'ask'; readonly job: string; readonly stretches: readonly string[]; readonly person: string }
    /** Somebody stays so many minutes longer. */
    | { readonly kind: 'stay'; readonly person: string; readonly minutes: number; readonly until: number }
    /** Another vehicle is begun, or gone on with, on the next day. */
    | { readonly kind: 'tomorrow'; readonly job: string; readonly from: number }
    /** What was pinned begins when it can. */
    | { readonly kind: 'let-go'; readonly job: string; readonly stretch: string };
  readonly plan: Weave;
  /** How late every vehicle with a promise is then, minutes; only those that are. */
  readonly late: readonly { readonly job: string; readonly minutes: number }[];
}

/** The clashes of a plan: what finds no place first, then by how late it is. */
export function clashesOf({ jobs }: WeaveProblem, { blocks, noPlace, pushed }: Weave): Clash[] {
  const lost = new Set(noPlace.map(({ job }) => job));
  const late = jobs.flatMap(({ id, promised }): Clash[] => {
    const end = endOf(blocks, id);
    return promised !== null && !lost.has(id) && end > promised ? [{ kind: 'late', job: id, promised, end }] : [];
  });
  const behind = (clash: Clash): number => (clash.kind === 'late' ? clash.end - clash.promised : 0);
  return [
    ...noPlace.map((each): Clash => ({ kind: 'no-place', ...each })),
    ...late.toSorted((a, b) => behind(b) - behind(a)),
    ...pushed.map((each): Clash => {
      const block = blocks.find(({ job, stretch }) => job === each.job && stretch === each.stretch);
      return { kind: 'pushed', ...each, start: block?.start ?? each.pin };
    }),
  ];
}

/** When a vehicle is done, or zero where it is not in the plan. */
export const endOf = (blocks: readonly Block[], job: string): number =>
  blocks.reduce((last, block) => (block.job === job ? Math.max(last, block.end) : last), 0);

/** A promise is said in quarters of an hour. */
const QUARTER = 15;
/** What goes first weighs so many times as much. */
const FIRST = 20;
/** Nobody is asked to stay longer than this, minutes. */
const LONGEST_STAY = 90;
/** Orders that are tried for a way out: there are several, and somebody waits to see them. */
const TRIES = 60;

/**
 * What can be done about a clash: at most two ways, each with the plan that comes of it. The first keeps the plan and
 * moves what was said; the second is whatever leaves least to be late of asking somebody else, staying longer, going
 * first, and leaving another vehicle for tomorrow.
 */
export function waysOut(problem: WeaveProblem, woven: Weave, clash: Clash, seed = 1): WayOut[] {
  if (clash.kind === 'no-place') return [];
  const tried = (does: WayOut['does'], change: Partial<WeaveProblem>): WayOut => {
    const plan = weave({ ...problem, before: woven.blocks, ...change }, { seed, tries: TRIES });
    // Late is judged by what was promised to begin with, but for the promise that this way moves.
    const moved = does.kind === 'move-promise' ? { ...problem, jobs: change.jobs ?? problem.jobs } : problem;
    return { does, plan, late: lateOf(moved, plan) };
  };
  const own = problem.jobs.find(({ id }) => id === clash.job);
  if (own === undefined) return [];
  const withJob = (id: string, change: (job: WeaveJob) => WeaveJob): Pick<WeaveProblem, 'jobs'> => ({
    jobs: problem.jobs.map((job) => (job.id === id ? change(job) : job)),
  });
  const first = tried(
    { kind: 'first', job: own.id },
    withJob(own.id, (job) => ({ ...job, weight: job.weight * FIRST })),
  );
  if (clash.kind === 'pushed') {
    const letGo = tried(
      { kind: 'let-go', job: own.id, stretch: clash.stretch },
      withJob(own.id, (job) => ({
        ...job,
        stretches: job.stretches.map((each) => {
          if (each.id !== clash.stretch || each.kind === 'wait') return each;
          const { pin: _, ...free } = each;
          return free;
        }),
      })),
    );
    return [letGo, ...(keepsPin(first.plan, clash) ? [first] : [])];
  }
  const to = Math.ceil(clash.end / QUARTER) * QUARTER;
  const moves = tried(
    { kind: 'move-promise', job: own.id, to },
    withJob(own.id, (job) => ({ ...job, promised: to })),
  );
  const others = [
    first,
    ...askings(problem, woven, own.id).map(({ person, stretches }) =>
      tried(
        { kind: 'ask', job: own.id, stretches, person },
        withJob(own.id, (job) => ({
          ...job,
          stretches: job.stretches.map((each) =>
            each.kind === 'hands' && stretches.includes(each.id) ? { ...each, given: person } : each,
          ),
        })),
      ),
    ),
    ...staying(problem, woven, clash).map(({ person, from, until, people }) => {
      const way = tried({ kind: 'stay', person, until, minutes: until - from }, { people });
      const used = way.plan.blocks.reduce(
        (last, block) => (block.person === person && block.end <= until ? Math.max(last, block.end) : last),
        from,
      );
      return { ...way, does: { ...way.does, until: used, minutes: used - from } };
    }),
    ...tomorrows(problem, own.id).map(({ job, from }) =>
      tried(
        { kind: 'tomorrow', job, from },
        withJob(job, (other) => ({
          ...other,
          stretches: other.stretches.map((each, at) =>
            at === other.stretches.findIndex(({ kind }) => kind === 'hands') && each.kind === 'hands'
              ? { ...each, from: Math.max(from, each.from ?? 0) }
              : each,
          ),
        })),
      ),
    ),
  ].filter(({ plan, late }) => plan.noPlace.length === 0 && total(late) < total(lateOf(problem, woven)));
  const best = others.toSorted((a, b) => total(a.late) - total(b.late) || bother(a) - bother(b))[0];
  return [moves, ...(best === undefined ? [] : [best])];
}

const lateOf = ({ jobs }: WeaveProblem, { blocks }: Weave): WayOut['late'] =>
  jobs.flatMap(({ id, promised }) => {
    const minutes = promised === null ? 0 : endOf(blocks, id) - promised;
    return minutes > 0 ? [{ job: id, minutes }] : [];
  });
const total = (late: WayOut['late']): number => late.reduce((sum, { minutes }) => sum + minutes, 0);
/** Of two that leave as much late, what bothers fewest people: order first, then asking, tomorrow, staying. */
const bother = ({ does }: WayOut): number => ['first', 'ask', 'tomorrow', 'stay'].indexOf(does.kind);
const keepsPin = ({ blocks }: Weave, { job, stretch, pin }: PushedPin): boolean =>
  blocks.some((block) => block.job === job && block.stretch === stretch && block.start === pin);

/** Whom else the work on a vehicle could be given to: all of it that they do, its first piece, or its last. */
function askings(
  { jobs, people }: WeaveProblem,
  { blocks }: Weave,
  id: string,
): { readonly person: string; readonly stretches: readonly string[] }[] {
  const stretches = jobs.find((job) => job.id === id)?.stretches ?? [];
  return people.flatMap(({ id: person, skills, hours }) => {
    const able = stretches.flatMap((each) =>
      each.kind === 'hands' &&
      (each.skill === undefined || skills.includes(each.skill)) &&
      blocks.some((block) => block.job === id && block.stretch === each.id && block.person !== person)
        ? [each.id]
        : [],
    );
    if (hours.length === 0 || able.length === 0) return [];
    const sets = [able, able.slice(0, 1), able.slice(-1)];
    return sets.slice(0, able.length === 1 ? 1 : sets.length).map((some) => ({ person, stretches: some }));
  });
}

/** Whoever would stop before the promise, and how long they would have to stay. */
function staying(
  problem: WeaveProblem,
  { blocks }: Weave,
  clash: Clash,
): {
  readonly person: string;
  /** When they stop now. */
  readonly from: number;
  readonly until: number;
  readonly people: WeaveProblem['people'];
}[] {
  if (clash.kind !== 'late') return [];
  const own = blocks.filter(({ job, person }) => job === clash.job && person !== null);
  return [...new Set(own.map(({ person }) => person))].flatMap((person) => {
    const worker = problem.people.find(({ id }) => id === person);
    if (worker === undefined) return [];
    // The day on which it was promised; its last hours are made longer, as far as the next day leaves room.
    const last = worker.hours.findLast(({ from }) => from <= clash.promised);
    if (last === undefined) return [];
    const next = worker.hours[worker.hours.indexOf(last) + 1]?.from ?? Infinity;
    const until = Math.min(last.to + LONGEST_STAY, next);
    if (until <= last.to) return [];
    const longer = worker.hours.map((span): Span => (span === last ? { ...span, to: until } : span));
    const people = problem.people.map((each) => (each === worker ? { ...each, hours: longer } : each));
    return [{ person: worker.id, from: last.to, until, people }];
  });
}

/** Vehicles that could be left for the next day: promised to nobody, or later than today. */
function tomorrows({ jobs, people, now }: WeaveProblem, id: string): { readonly job: string; readonly from: number }[] {
  const from = Math.min(
    ...people.flatMap(({ hours }) => hours.flatMap((span) => (span.from >= now + NIGHT ? [span.from] : []))),
  );
  if (!Number.isFinite(from)) return [];
  return jobs.flatMap(({ id: job, promised, inside }) =>
    job !== id && inside !== true && (promised === null || promised > from) ? [{ job, from }] : [],
  );
}
/** What begins after so many minutes begins on another day. */
const NIGHT = 600;
