import { randomUUID } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { type SessionData, Store } from 'express-session';
import { prepared } from '../store/prepared.ts';
import { freshToken, tokenHash } from './secrets.ts';

/** How somebody came in. */
export type Way = 'password' | 'pin' | 'phone';

/** What is known of whoever is signed in. */
export interface Signed {
  readonly personId: string;
  readonly way: Way;
  /** The station that it began at; null for a browser that is none. */
  readonly stationId: string | null;
  /** The one job that a phone takes photos for; null otherwise. */
  readonly jobId: string | null;
  /** Sent along with whatever changes something, so that no other page can do it. */
  readonly token: string;
  /** Names this stretch of work: no secret. */
  readonly stretch: string;
  /** ISO time at which it ends whatever is done. */
  readonly endsAt: string;
}

declare module 'express-session' {
  interface SessionData {
    signed: Signed;
  }
}

/** A shift: after so long somebody signs in again, ms. */
export const SHIFT_MS = 12 * 3_600_000;
/** A page that asked for nothing this long is left alone by its person, ms. */
export const IDLE_MS = 4 * 3_600_000;
/** A phone takes photos for so long, ms. */
export const PHONE_MS = 30 * 60_000;
/** Seen again within this time is not written down again, ms. */
const SEEN_MS = 60_000;

interface Row extends Signed {
  readonly seenAt: string;
  readonly endedAt: string | null;
}

const later = (at: string, ms: number): string => new Date(Date.parse(at) + ms).toISOString();

/** Makes what a session holds. @param at ISO time now */
export const freshSigned = (
  personId: string,
  way: Way,
  at: string,
  { stationId = null, jobId = null }: { stationId?: string | null; jobId?: string | null } = {},
): Signed => ({
  personId,
  way,
  stationId,
  jobId,
  token: freshToken(),
  stretch: randomUUID(),
  endsAt: later(at, way === 'phone' ? PHONE_MS : SHIFT_MS),
});

/**
 * Sessions in the store, for `express-session`. What ended stays for a while, since entries that waited at a station
 * are vouched for by the stretch they were made in; the id is kept as a hash, so that a copy of the store lets nobody in.
 */
export class Sessions extends Store {
  readonly #sql: Database['prepare'];
  readonly #now: () => string;

  constructor(db: Database, now: () => string) {
    super();
    this.#sql = prepared(db);
    this.#now = now;
  }

  override get = (id: string, back: (error: unknown, session?: SessionData | null) => void): void =>
    answer(back, () => {
      const row = this.#row(id);
      if (row === undefined || !this.#holds(row)) return null;
      const { seenAt, endedAt: _, ...signed } = row;
      const now = this.#now();
      if (Date.parse(now) - Date.parse(seenAt) > SEEN_MS)
        this.#sql('UPDATE session SET seen_at = ? WHERE id_hash = ?').run(now, tokenHash(id));
      return { cookie: { originalMaxAge: null, expires: null }, signed } as unknown as SessionData;
    });

  override set = (id: string, { signed }: SessionData, back: (error?: unknown) => void = () => undefined): void =>
    answer(back, () => {
      const now = this.#now();
      this.#sql(
        `INSERT INTO session (id_hash, stretch, person_id, station_id, way, job_id, token, begun_at, seen_at, ends_at)
         VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?) ON CONFLICT (id_hash) DO UPDATE SET seen_at = excluded.seen_at`,
      ).run(
        tokenHash(id),
        signed.stretch,
        signed.personId,
        signed.stationId,
        signed.way,
        signed.jobId,
        signed.token,
        now,
        now,
        signed.endsAt,
      );
    });

  override destroy = (id: string, back: (error?: unknown) => void = () => undefined): void =>
    answer(back, () => {
      this.#sql('UPDATE session SET ended_at = ? WHERE id_hash = ? AND ended_at IS NULL').run(
        this.#now(),
        tokenHash(id),
      );
    });

  #row(id: string): Row | undefined {
    return this.#sql<[string], Row>(
      `SELECT person_id AS personId, way, station_id AS stationId, job_id AS jobId, token, stretch, ends_at AS endsAt,
         seen_at AS seenAt, ended_at AS endedAt FROM session WHERE id_hash = ?`,
    ).get(tokenHash(id));
  }

  #holds({ endedAt, endsAt, seenAt }: Row): boolean {
    const now = this.#now();
    return endedAt === null && endsAt > now && Date.parse(now) - Date.parse(seenAt) <= IDLE_MS;
  }

  /** Ends all sessions of a station. */
  endAt(stationId: string): void {
    this.#sql('UPDATE session SET ended_at = ? WHERE station_id = ? AND ended_at IS NULL').run(this.#now(), stationId);
  }

  /** Ends the sessions of a person. @param but the stretch that goes on */
  endOf(personId: string, but = ''): void {
    this.#sql('UPDATE session SET ended_at = ? WHERE person_id = ? AND ended_at IS NULL AND stretch <> ?').run(
      this.#now(),
      personId,
      but,
    );
  }

  /** Whether a stretch goes on: for what stays open longer than one request. */
  goesOn(stretch: string): boolean {
    return (
      this.#sql('SELECT 1 FROM session WHERE stretch = ? AND ended_at IS NULL AND ends_at > ?').get(
        stretch,
        this.#now(),
      ) !== undefined
    );
  }

  /**
   * Who was at a station in a stretch of work. What waited there while it was out of reach was made by them, whoever is
   * signed in when it is sent.
   * @param at ISO time of the entry
   * @returns the person; null for a stretch of another station, and for a time outside it
   */
  whoWas(stretch: string, stationId: string, at: string): string | null {
    const row = this.#sql<
      [string, string],
      { personId: string; begunAt: string; endsAt: string; endedAt: string | null }
    >(
      `SELECT person_id AS personId, begun_at AS begunAt, ends_at AS endsAt, ended_at AS endedAt
       FROM session WHERE stretch = ? AND station_id = ? AND way <> 'phone'`,
    ).get(stretch, stationId);
    if (row === undefined || at < later(row.begunAt, -CLOCKS_MS)) return null;
    return at <= later(row.endedAt ?? row.endsAt, CLOCKS_MS) ? row.personId : null;
  }

  /** Takes out what ended long ago. */
  clearOld(): void {
    this.#sql('DELETE FROM session WHERE ends_at < ?').run(later(this.#now(), -KEPT_MS));
  }
}

/** Clocks of two devices agree no better than this, ms. */
const CLOCKS_MS = 2 * 60_000;
/** A tablet is out of reach no longer than this, ms. */
const KEPT_MS = 90 * 24 * 3_600_000;

/** Calls back with what the work gives, or with what it throws. */
function answer<T>(back: (error?: unknown, value?: T) => void, work: () => T): void {
  let value: T;
  try {
    value = work();
  } catch (error) {
    back(error);
    return;
  }
  back(null, value);
}
