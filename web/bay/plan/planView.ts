// What is drawn of a plan: where each block lies on the shown day.
import type { BayLine, DoneStretch } from '../../../contract/index.ts';
import { type PlannedBlock, stretchKey, type TimedStretch, type WovenDay } from '../../../core/bay/index.ts';
import { type Day, placeOf } from '../day.ts';

/** A block as it is drawn: shares of the day in per cent. */
export interface DrawnBlock extends PlannedBlock {
  readonly key: string;
  readonly left: number;
  readonly width: number;
  readonly plate: string;
  readonly words: string;
  /** Whether its minutes come from this shop's own finished jobs. */
  readonly own: boolean;
  readonly pinned: boolean;
}

/** Work that was done, as it is drawn. */
export interface DrawnDone {
  readonly jobId: string;
  readonly plate: string;
  readonly left: number;
  readonly width: number;
}

/** One person's line. */
export interface PersonLine {
  readonly id: string;
  readonly done: readonly DrawnDone[];
  readonly planned: readonly DrawnBlock[];
  /** Minutes until their next block, where they have nothing in hand now; null where they have, or are not here. */
  readonly freeMinutes: number | null;
}

/** What the drawing is made from. */
export interface PlanInput {
  readonly day: Day;
  readonly woven: WovenDay | null;
  readonly lines: readonly BayLine[];
  readonly done: readonly DoneStretch[];
  readonly pins: ReadonlySet<string>;
  readonly stretchOf: (block: PlannedBlock) => TimedStretch | null;
}

/** The part of a time that lies in the day, in per cent; null when none of it does. */
function shown(from: string, to: string, day: Day): { left: number; width: number } | null {
  const [start, end] = [Date.parse(from), Date.parse(to)];
  if (end <= day.from || start >= day.to) return null;
  const left = placeOf(start, day);
  return { left: left * 100, width: (placeOf(end, day) - left) * 100 };
}

/** The blocks of a plan that lie in the day. */
export function drawnBlocks({ day, woven, lines, pins, stretchOf }: PlanInput): DrawnBlock[] {
  const plates = new Map(lines.map(({ jobId, job }) => [jobId, job.plate]));
  return (woven?.blocks ?? []).flatMap((block): DrawnBlock[] => {
    const place = shown(block.from, block.to, day);
    const plate = plates.get(block.jobId);
    if (place === null || plate === undefined) return [];
    const stretch = stretchOf(block);
    const key = stretchKey(block.jobId, block.stretch);
    return [
      {
        ...block,
        ...place,
        key,
        plate,
        words: stretch?.words ?? '',
        own: stretch?.own ?? false,
        pinned: pins.has(key),
      },
    ];
  });
}

/** What each person did and is to do. @param people ids, in the order in which they are shown @param now ISO time */
export function personLines(input: PlanInput, people: readonly string[], now: string): PersonLine[] {
  const blocks = drawnBlocks(input);
  return people.map((id) => {
    const planned = blocks.filter(({ personId }) => personId === id);
    const first = planned[0];
    const minutes = first === undefined ? null : Math.round((Date.parse(first.from) - Date.parse(now)) / 60_000);
    return {
      id,
      done: doneOf(input, id),
      planned,
      freeMinutes: minutes !== null && minutes >= LEAST_FREE ? minutes : null,
    };
  });
}
/** Less than so many minutes is no time to speak of. */
const LEAST_FREE = 10;
/** Stretches of one vehicle that lie closer are drawn as one, ms. */
const JOINED_MS = 4 * 60_000;

function doneOf({ done, day }: PlanInput, person: string): DrawnDone[] {
  const joined: { jobId: string; plate: string; from: string; to: string }[] = [];
  for (const each of done.filter(({ personId }) => personId === person)) {
    const last = joined.at(-1);
    if (last?.jobId === each.jobId && Date.parse(each.from) - Date.parse(last.to) < JOINED_MS) last.to = each.to;
    else joined.push({ jobId: each.jobId, plate: each.plate, from: each.from, to: each.to });
  }
  return joined.flatMap(({ jobId, plate, from, to }) => {
    const place = shown(from, to, day);
    return place === null || place.width < 0.3 ? [] : [{ jobId, plate, ...place }];
  });
}

/** A promise on the line of its vehicle. */
export interface DrawnPromise {
  /** Per cent; null when it lies on another day. */
  readonly left: number | null;
  readonly at: string;
  /** Minutes between the end by the plan and the promise: below zero when it is late; null where there is no end. */
  readonly spare: number | null;
  readonly holds: number | null;
  /** Whether a plan is there that could say so. */
  readonly woven: boolean;
}

/** The promise of a vehicle, or null. */
export function promiseOf(
  { day, woven }: Pick<PlanInput, 'day' | 'woven'>,
  jobId: string,
  promised: string | null,
): DrawnPromise | null {
  if (promised === null) return null;
  const end = woven?.ends.find((each) => each.jobId === jobId);
  const time = Date.parse(promised);
  return {
    left: time > day.from && time < day.to ? placeOf(time, day) * 100 : null,
    at: promised,
    spare: end === undefined ? null : Math.round((time - Date.parse(end.end)) / 60_000),
    holds: end?.holds ?? null,
    woven: woven !== null,
  };
}
