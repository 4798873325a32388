import type { Database } from 'better-sqlite3';
import type { DueReply } from '../../contract/index.ts';
import type { CalendarEntry } from '../report/calendar.ts';
import type { LeftStretch, PlannedBlock } from '../../core/bay/index.ts';
import { prepared } from './prepared.ts';

interface Named {
  readonly job_id: string;
  readonly plate: string;
  readonly name: string;
}

/** A promise takes so long in a calendar, minutes: the vehicle is fetched. */
const FETCH_MINUTES = 15;

/** What is coming up in the shop, as entries of a calendar. */
export class ComingUp {
  readonly #sql: Database['prepare'];

  constructor(db: Database) {
    this.#sql = prepared(db);
  }

  /** Promises of open jobs, waits that run, and what is due to be looked at again. */
  ofShop(): CalendarEntry[] {
    const promises = this.#sql<[], Named & { promised: string }>(
      `SELECT job_id, plate, name, promised FROM job_summary WHERE status = 'open' AND promised IS NOT NULL ORDER BY promised`,
    ).all();
    const waits = this.#sql<[], Named & { id: string; label: string; started_at: string; ends_at: string }>(
      `SELECT t.job_id, j.plate, j.name, t.id, t.label, t.started_at, t.ends_at FROM bay_line b
         CROSS JOIN timer t ON t.job_id = b.job_id JOIN job_summary j ON j.job_id = b.job_id
       WHERE t.ended_at IS NULL ORDER BY t.ends_at, t.id`,
    ).all();
    const due = this.#sql<[], Named & { id: string; what: string; due_on: string }>(
      `SELECT o.job_id, j.plate, j.name, o.id, r.what, r.due_on FROM reminder_open o
         JOIN reminder r ON r.job_id = o.job_id AND r.id = o.id JOIN job_summary j ON j.job_id = o.job_id
       WHERE r.due_on IS NOT NULL ORDER BY r.due_on, o.job_id, o.id LIMIT 1000`,
    ).all();
    return [
      ...promises.map(({ job_id, plate, name, promised }) => ({
        id: `promise-${job_id}`,
        title: `${plate} promised`,
        about: name,
        from: promised,
        to: new Date(Date.parse(promised) + FETCH_MINUTES * 60_000).toISOString(),
      })),
      ...waits.map(({ job_id, plate, name, id, label, started_at, ends_at }) => ({
        id: `wait-${job_id}-${id}`,
        title: `${plate}: ${label}`,
        about: name,
        from: started_at,
        to: ends_at,
      })),
      ...due.map(({ job_id, plate, name, id, what, due_on }) => ({
        id: `due-${job_id}-${id}`,
        title: `${plate}: ${what}`,
        about: name,
        day: due_on,
      })),
    ];
  }

  /** What one person has in hand by the plan that is kept. */
  ofPerson(personId: string, blocks: readonly PlannedBlock[]): CalendarEntry[] {
    return blocks
      .filter((block) => block.personId === personId)
      .flatMap(({ jobId, stretch, from, to }) => {
        const row = this.#sql<[string], Named & { work_left: string }>(
          `SELECT b.job_id, j.plate, j.name, b.work_left FROM bay_line b JOIN job_summary j ON j.job_id = b.job_id WHERE b.job_id = ?`,
        ).get(jobId);
        if (row === undefined) return [];
        const left = JSON.parse(row.work_left) as LeftStretch[];
        const words = left.find(({ id }) => id === stretch)?.words;
        // Work that was done since the plan was made is not coming up any more.
        return words === undefined
          ? []
          : [{ id: `plan-${jobId}-${stretch}`, title: `${row.plate}: ${words}`, about: row.name, from, to }];
      });
  }
}

/** A calendar looks so far ahead for what is due by its own use, weeks. */
export const DUE_WEEKS = 26;

/**
 * Vehicles that are due by their own fouling and use, each on its likeliest day or on the one it was put off to; what is
 * overdue stands on today. Left out is what is refused, and what stands in the shop already.
 */
export const dueEntries = ({ today, rows }: DueReply): CalendarEntry[] =>
  rows
    .filter(({ answer, openJob }) => answer?.answer !== 'not-wanted' && openJob === null)
    .map(({ vehicleId, plate, name, likelyOn, lowOn, highOn, answer }) => {
      const on = answer?.answer === 'put-off' && answer.until !== null ? answer.until : likelyOn;
      return {
        id: `likely-due-${vehicleId}`,
        title: `${plate}: throttle likely due`,
        about: `${name}. 8 in 10 between ${lowOn} and ${highOn}.`,
        day: on < today ? today : on,
      };
    });
