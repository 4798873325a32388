import { earliest, take, type Taken } from './free.ts';
import type { Block, HandsOn, NoPlace, Stretch, WeaveJob, WeaveProblem, Worker } from './problem.ts';

/** A plan, laid. */
export interface Laid {
  readonly blocks: readonly Block[];
  readonly noPlace: readonly NoPlace[];
}

/** Who does a stretch in hand, where somebody has said; else whoever is done first. */
export type Chosen = (job: string, stretch: string) => string | undefined;

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
export function lay(problem: WeaveProblem, order: readonly string[], chosen: Chosen = () => undefined): Laid {
  const lines = new Map<string, Line>(
    problem.jobs.map((job) => [job.id, { job, next: 0, ready: problem.now, last: null, bay: null, failed: false }]),
  );
  const people = new Map<string, Taken>(problem.people.map(({ id }) => [id, []]));
  const tools = new Map<string, Taken>();
  const bays = Array.from({ length: problem.bays }, () => ({ freeFrom: problem.now, holder: null as string | null }));
  const blocks: Block[] = [];
  const noPlace: NoPlace[] = [];

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
    if (line.job.bay && line.bay === null) {
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
    const place = placeFor(stretch, line);
    if ('why' in place) fail(line, stretch, place.why);
    else {
      put(line, stretch, place.start, place.person.id);
      line.last = place.person.id;
      const span = { from: place.start, to: place.start + stretch.minutes };
      people.set(place.person.id, take(people.get(place.person.id) ?? [], span));
      if (stretch.tool !== undefined) tools.set(stretch.tool, take(tools.get(stretch.tool) ?? [], span));
      waits(line);
    }
    return true;
  }

  function placeFor(
    stretch: HandsOn,
    { job, ready, last }: Line,
  ): { readonly start: number; readonly person: Worker } | { readonly why: NoPlace['why'] } {
    const asked = chosen(job.id, stretch.id);
    const able = problem.people.filter(
      ({ id, skills }) =>
        (asked === undefined || asked === id) && (stretch.skill === undefined || skills.includes(stretch.skill)),
    );
    if (able.length === 0) return { why: 'nobody-can' };
    const from = Math.max(ready, stretch.from ?? 0);
    const held = stretch.tool === undefined ? [] : [tools.get(stretch.tool) ?? []];
    let best: { start: number; person: Worker } | null = null;
    for (const person of able) {
      const start = earliest(person.hours, [people.get(person.id) ?? [], ...held], from, stretch.minutes);
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
  return { blocks, noPlace };
}
