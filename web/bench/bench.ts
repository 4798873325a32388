// What one person does next, from the plan and from what the jobs say of themselves.
import type { BayLine } from '../../contract/index.ts';
import { nextTask, type PlannedBlock, type TimedStretch, type WovenDay } from '../../core/bay/index.ts';

/** A piece of one person's day. */
export interface BenchStep {
  readonly key: string;
  readonly jobId: string;
  readonly plate: string;
  readonly nickname: string;
  /** What exactly, where the job says it; else the stretch. */
  readonly what: string;
  /** Of the exact step where it is known, else of the stretch. */
  readonly minutes: number;
  readonly from: string;
  readonly to: string;
}

/**
 * A person's next pieces of work. The first on each vehicle that is not waited for says what exactly; what comes later
 * says its stretch.
 * @param now ISO time
 */
export function benchSteps(
  person: string,
  woven: WovenDay | null,
  lines: ReadonlyMap<string, BayLine>,
  stretchOf: (block: PlannedBlock) => TimedStretch | null,
  now: string,
): BenchStep[] {
  const seen = new Set<string>();
  const first = new Map<string, string>();
  for (const { jobId, stretch, kind } of woven?.blocks ?? [])
    if (kind === 'hands' && !first.has(jobId)) first.set(jobId, stretch);
  return (woven?.blocks ?? []).flatMap((block): BenchStep[] => {
    const line = lines.get(block.jobId);
    if (block.personId !== person || line === undefined) return [];
    const key = `${block.jobId}/${block.stretch}`;
    if (seen.has(key)) return [];
    seen.add(key);
    // What a job says comes next is the beginning of its first piece, whoever does it.
    const exact = first.get(block.jobId) === block.stretch && block.from <= now ? nextTask(line, now) : null;
    const minutes = Math.round((Date.parse(block.to) - Date.parse(block.from)) / 60_000);
    return [
      {
        key,
        jobId: block.jobId,
        plate: line.job.plate,
        nickname: line.nickname,
        what: exact?.what ?? stretchOf(block)?.words ?? '',
        minutes: exact?.minutes ?? minutes,
        from: block.from,
        to: block.to,
      },
    ];
  });
}
