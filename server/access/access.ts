import { randomBytes } from 'node:crypto';
import type { Database } from 'better-sqlite3';
import { Accounts } from './accounts.ts';
import { Feeds } from './feeds.ts';
import { Links } from './links.ts';
import { AccessRecord } from './record.ts';
import { Sessions } from './sessions.ts';
import { Stations } from './stations.ts';

/** Who is let in, and what is known of it. */
export interface Access {
  readonly accounts: Accounts;
  readonly sessions: Sessions;
  readonly stations: Stations;
  readonly links: Links;
  readonly feeds: Feeds;
  readonly record: AccessRecord;
  /**
   * Whether people sign in at all: once somebody has a password. A store that can only be read is looked at on its own
   * machine by whoever has it there; nothing can be entered in anybody's name.
   */
  readonly isAsked: () => boolean;
  /** What cookies are signed with: it is kept beside the store and in no backup. */
  readonly cookieKey: string;
}

/** @param cookieKey left out: sessions end with this process */
export function createAccess(
  db: Database,
  now: () => string,
  { cookieKey = randomBytes(32).toString('hex'), readOnly = false }: { cookieKey?: string; readOnly?: boolean } = {},
): Access {
  const accounts = new Accounts(db);
  return {
    accounts,
    isAsked: () => !readOnly && accounts.any(),
    sessions: new Sessions(db, now),
    stations: new Stations(db),
    links: new Links(db),
    feeds: new Feeds(db),
    record: new AccessRecord(db),
    cookieKey,
  };
}
