import Sqlite, { type Database } from 'better-sqlite3';
import type { Finding } from '../../../contract/index.ts';
import { AccessRecord } from '../../access/record.ts';
import { Audit } from '../../store/audit.ts';
import { Settings } from '../../store/settings.ts';
import { VERSION } from '../../version.ts';
import { checkFile, checkSchema } from './file.ts';
import { finding } from './finding.ts';
import { checkJobs, type Witness } from './jobs.ts';
import { checkBalances, checkCommands, checkFound, checkGrowing, checkSearchIndex } from './lists.ts';
import { checkPointers, checkRows, checkSaved, settingFindings } from './rows.ts';

/** What is being checked, and how far it is. */
export type CheckProgress = (what: 'jobs' | 'photos', done: number, of: number) => void;

/** How a database is checked. */
export interface DatabaseCheck {
  readonly witnesses: readonly Witness[];
  /** Of this machine, for a shop that never said where it is. */
  readonly machineZone: string;
  readonly progress: CheckProgress;
}

/**
 * Everything that a database can be asked for by itself. It is brought up to date already.
 * @returns what is wrong, in the order in which it was looked for
 */
export function checkDatabase(db: Database, { witnesses, machineZone, progress }: DatabaseCheck): Finding[] {
  const settings = new Settings(db, new Audit(db), machineZone);
  const madeIn = zoneOfColumns(settings);
  const checks: readonly (() => Finding[])[] = [
    () => checkSchema(db),
    () => checkJobs(db, { witnesses, madeIn, progress: (done, of) => progress('jobs', done, of) }),
    () => checkCommands(db),
    () => checkGrowing(db, witnesses),
    ...(madeIn === null ? [] : [() => checkBalances(db), () => checkFound(db)]),
    () => checkRows(db),
    () => checkPointers(db),
    () => checkSaved(db),
    () => accessFindings(db),
    () => settingFindings(settings.broken()),
  ];
  const file = told(() => checkFile(db));
  const others = checks.flatMap(told);
  // A file that is damaged as such is not written to, and this asks for it.
  const index = file.length > 0 || db.readonly ? [] : told(() => checkSearchIndex(db));
  return [...file, ...others, ...index];
}

/** The record of who was let in: a line that was changed does not follow from the one before it. */
function accessFindings(db: Database): Finding[] {
  const brokenAt = new AccessRecord(db).brokenAt();
  return brokenAt === null
    ? []
    : [
        finding(
          'chain',
          `The record of who was let in breaks at line ${brokenAt}: somebody changed it by other means.`,
        ),
      ];
}

/** What a check finds; where the file is too damaged for it to be asked, that is the finding. */
function told(check: () => Finding[]): Finding[] {
  try {
    return check();
  } catch (error) {
    if (!isDamage(error)) throw error;
    return [finding('file', `The database is damaged: ${(error as Error).message}.`)];
  }
}

/** In which zone the kept columns were made; null when they will be made anew at the next start. */
function zoneOfColumns(settings: Settings): string | null {
  const [version, zone] = (settings.mark('projected-by') ?? '').split(' ');
  return version === VERSION && zone !== undefined && settings.mark('projections') === undefined ? zone : null;
}

const isDamage = (error: unknown): boolean =>
  error instanceof Sqlite.SqliteError && /^SQLITE_(CORRUPT|NOTADB|ERROR|IOERR)/.test(error.code);
