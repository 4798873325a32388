import { earliest, isFree, release, take, type Taken } from './free.ts';
import {
  type Block,
  type HandsOn,
  type NoPlace,
  type PushedPin,
  type Span,
  type Stretch,
  stretchKey,
  type WeaveJob,
  type WeaveProblem,
  type Worker,
} from './problem.ts';

/** A plan, laid. */
export interface Laid {
  readonly blocks: readonly Block[];
  readonly noPlace: readonly NoPlace[];
  /** Pins that could not be kept. */
  readonly pushed: readonly PushedPin[];
}

/** What is said of how stretches in hand are laid. */
export interface Laying {
  /** Who does one, where somebody has said; else whoever is done first. */
  readonly chosen?: (job: string, stretch: string) => string | undefined;
  /** When one began in the plan before: it begins no sooner. */
  readonly begun?: (job: string, stretch: string) => number | undefined;
}

interface Line {
  readonly job: WeaveJob;
  next: number;
  ready: number;
  last: string | null;
  bay: number | null;
  failed: boolean;
}

/**
 * Serial schedule generation (Kelley 1963): goes through an order of jobs, and gives the next stretch in hand of each its
 * earliest place, with the person who is done with it first; waits begin at once. Gaps between what lies already are used.
 * A vehicle that finds no bay lets those that stand inside go on first, so that nothing ever blocks itself.
 * @param order ids of jobs, one for each of their stretches in hand; what is missing at its end is added
 */
export function lay(problem: WeaveProblem, order: readonly string[], laying: Laying = {}): Laid {
  const laid = layOnce(problem, order, laying, new Set());
  if (laid.pushed.length === 0) return laid;
  // Time that was kept free for a pin that cannot be is in everybody's way.
  return layOnce(problem, order, laying, new Set(laid.pushed.map(({ job, stretch }) => stretchKey(job, stretch))));
}

function layOnce(
  problem: WeaveProblem,
  order: readonly string[],
  { chosen = () => undefined, begun = () => undefined }: Laying,
  givenUp: ReadonlySet<string>,
): Laid {
  const lines = new Map<string, Line>(
    problem.jobs.map((job) => [
      job.id,
      { job, next: 0, ready: problem.now, last: job.last ?? null, bay: null, failed: false },
    ]),
  );
  const people = new Map<string, Taken>(problem.people.map(({ id }) => [id, []]));
  const tools = new Map<string, Taken>();
  const inside = problem.jobs.filter((job) => job.bay && job.inside === true);
  // What stands inside stands there, whatever was said of how many have room.
  const bays = Array.from({ length: Math.max(problem.bays, inside.length) }, () => ({
    freeFrom: problem.now,
    holder: null as string | null,
  }));
  for (const [at, { id }] of inside.entries()) {
    bays[at]!.holder = id;
    lines.get(id)!.bay = at;
  }
  const blocks: Block[] = [];
  const noPlace: NoPlace[] = [];
  const pushed: PushedPin[] = [];
  const kept = new Map<string, Span>();

  /** Keeps the time of pins free before anything else is laid. */
  function keepPins(): void {
    for (const { id, stretches } of problem.jobs)
      for (const stretch of stretches) {
        if (stretch.kind !== 'hands' || stretch.pin === undefined || stretch.given === undefined) continue;
        if (givenUp.has(stretchKey(id, stretch.id))) continue;
        const hours = problem.people.find((person) => person.id === stretch.given)?.hours ?? [];
        const span = { from: stretch.pin, to: stretch.pin + stretch.minutes };
        if (span.from < problem.now || !isFree(hours, takenBy(stretch, stretch.given), span)) continue;
        taken(stretch, stretch.given, (had) => take(had, span));
        kept.set(stretchKey(id, stretch.id), span);
      }
  }
  const takenBy = (stretch: HandsOn, person: string): Taken[] => [
    people.get(person) ?? [],
    ...(stretch.tool === undefined ? [] : [tools.get(stretch.tool) ?? []]),
  ];
  function taken(stretch: HandsOn, person: string, change: (had: Taken) => Taken): void {
    people.set(person, change(people.get(person) ?? []));
    if (stretch.tool !== undefined) tools.set(stretch.tool, change(tools.get(stretch.tool) ?? []));
  }

  const put = (line: Line, stretch: Stretch, start: number, person: string | null): void => {
    const end = start + stretch.minutes;
    blocks.push({ job: line.job.id, stretch: stretch.id, kind: stretch.kind, start, end, person });
    line.ready = end;
    line.next += 1;
  };
  /** Waits that come now begin at once, without anybody. */
  const waits = (line: Line): void => {
    for (let stretch = line.job.stretches[line.next]; stretch?.kind === 'wait'; stretch = line.job.stretches[line.next])
      put(line, stretch, line.ready, null);
    if (line.next >= line.job.stretches.length) leave(line);
  };
  const leave = (line: Line): void => {
    const bay = bays[line.bay ?? -1];
    if (bay !== undefined) Object.assign(bay, { freeFrom: line.ready, holder: null });
    line.bay = null;
  };
  const fail = (line: Line, stretch: Stretch, why: NoPlace['why']): void => {
    noPlace.push({ job: line.job.id, stretch: stretch.id, why });
    line.failed = true;
    leave(line);
  };

  /** @returns false where it has to wait for a bay */
  function step(line: Line): boolean {
    waits(line);
    const stretch = line.job.stretches[line.next];
    if (line.failed || stretch?.kind !== 'hands') return true;
    if (line.job.bay && line.bay === null && stretch.outside !== true) {
      const free = bays.flatMap((bay, at) => (bay.holder === null ? [{ at, from: bay.freeFrom }] : []));
      const first = free.toSorted((a, b) => a.from - b.from || a.at - b.at)[0];
      if (first === undefined) {
        if (problem.bays > 0) return false;
        fail(line, stretch, 'no-bay');
        return true;
      }
      line.bay = first.at;
      bays[first.at]!.holder = line.job.id;
      line.ready = Math.max(line.ready, first.from);
    }
    freePin(stretch, line);
    const place = placeFor(stretch, line);
    if ('why' in place) fail(line, stretch, place.why);
    else {
      put(line, stretch, place.start, place.person.id);
      line.last = place.person.id;
      const span = { from: place.start, to: place.start + stretch.minutes };
      taken(stretch, place.person.id, (had) => take(had, span));
      if (stretch.pin !== undefined && span.from !== stretch.pin)
        pushed.push({ job: line.job.id, stretch: stretch.id, pin: stretch.pin });
      waits(line);
    }
    return true;
  }

  /** Its own pin keeps nothing free from itself. */
  function freePin(stretch: HandsOn, { job }: Line): void {
    const key = stretchKey(job.id, stretch.id);
    const span = kept.get(key);
    if (span === undefined || stretch.given === undefined) return;
    taken(stretch, stretch.given, (had) => release(had, span));
    kept.delete(key);
  }

  function placeFor(
    stretch: HandsOn,
    { job, ready, last }: Line,
  ): { readonly start: number; readonly person: Worker } | { readonly why: NoPlace['why'] } {
    const asked = stretch.given ?? chosen(job.id, stretch.id);
    const able = problem.people.filter(
      ({ id, skills }) =>
        (asked === undefined || asked === id) && (stretch.skill === undefined || skills.includes(stretch.skill)),
    );
    if (able.length === 0) return { why: 'nobody-can' };
    const from = Math.max(ready, stretch.from ?? 0, stretch.pin ?? begun(job.id, stretch.id) ?? 0);
    let best: { start: number; person: Worker } | null = null;
    for (const person of able) {
      const start = earliest(person.hours, takenBy(stretch, person.id), from, stretch.minutes);
      if (start === null) continue;
      // Of two who are done at once, whoever was at it before goes on.
      if (
        best === null ||
        start < best.start ||
        (start === best.start && person.id === last && best.person.id !== last)
      )
        best = { start, person };
    }
    if (best !== null) return best;
    const longest = Math.max(0, ...able.flatMap(({ hours }) => hours.map(({ from: begin, to }) => to - begin)));
    return { why: longest < stretch.minutes ? (longest === 0 ? 'no-hours' : 'too-long') : 'no-hours' };
  }

  keepPins();
  const rest = problem.jobs.flatMap(({ id, stretches }) => stretches.map(() => id));
  let queue = [...order, ...rest];
  while (queue.length > 0) {
    const held: string[] = [];
    let moved = false;
    for (const id of queue) {
      const line = lines.get(id);
      if (line === undefined) continue;
      // What waits for a bay keeps its place, and is asked again once somebody has gone on.
      if (held.includes(id) || !step(line)) held.push(id);
      else moved = true;
    }
    queue = moved ? held : [];
  }
  return { blocks, noPlace, pushed };
}
