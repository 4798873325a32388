import type { Job } from '../job/index.ts';
import { CHOICES, sheetOf } from '../job/index.ts';
import { format } from '../quantity/index.ts';
import { type SheetRow, speaker } from '../sheet/index.ts';
import { isLooseUnit } from '../vehicle/index.ts';
import { meterOf } from '../visits/index.ts';

/** One job as it is told to another shop: what its sheet says, without customers, people’s names and money. */
export interface Chapter {
  /** The id of the job, or of what is told, in the shop that tells it. */
  readonly id: string;
  readonly title: string;
  /** ISO times; null where it was not handed over. */
  readonly openedAt: string;
  readonly closedAt: string | null;
  /** As it was read: “148,220 km”; empty where there was no meter. */
  readonly reading: string;
  /** km, or running hours; null where there was no meter. */
  readonly meter: number | null;
  readonly hours: boolean;
  readonly sections: readonly { readonly title: string; readonly rows: readonly SheetRow[] }[];
}

/** Sections and rows that are between a shop and its customer. */
const OWN: ReadonlySet<string> = new Set(['Time and money', 'Estimate']);

/**
 * A job as a chapter of a life; null while it is open, and for one that was called off.
 * @param roleOf person id → what they are: “technician” @param timeZone IANA name, of the shop that tells it
 */
export function chapterOf(job: Job, roleOf: ReadonlyMap<string, string>, timeZone: string): Chapter | null {
  if (job.handOver === null || job.cancelled !== null) return null;
  const say = {
    ...speaker(new Map(), '', timeZone),
    person: (id: string): string => roleOf.get(id) ?? 'somebody',
    money: (): string => 'price left out',
  };
  const loose = isLooseUnit(job.vehicle);
  return {
    id: job.id,
    title: job.decision === null ? 'Nothing was decided' : CHOICES[job.decision.choice],
    openedAt: job.opened.at,
    closedAt: job.handOver.at,
    reading: loose ? '' : format(job.reading),
    ...(loose ? { meter: null, hours: false } : meterOf(job)),
    sections: sheetOf(job, say)
      .sections.map(({ title, rows }) => ({ title, rows: rows.filter(({ label }) => !OWN.has(label)) }))
      .filter(({ title, rows }) => !OWN.has(title) && rows.length > 0),
  };
}
