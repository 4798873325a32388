import { writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createServices } from '../services.ts';
import { openStore } from '../store/open.ts';
import { NOW } from './harness.ts';
import { sayingOf } from './sayings.ts';

/** Writes `facts.json` beside a store: what this version says of every job in it. @param folder with `shop.sqlite` */
export function writeFacts(folder: string): number {
  const db = openStore(join(folder, 'shop.sqlite'));
  const services = createServices(db, join(folder, 'pictures'), () => NOW, 'Europe/London');
  const facts = Object.fromEntries(services.jobs.log.jobIds().map((jobId) => [jobId, sayingOf(services, jobId)]));
  // One file, nothing beside it.
  db.pragma('wal_checkpoint(TRUNCATE)');
  db.pragma('journal_mode = DELETE');
  db.close();
  writeFileSync(join(folder, 'facts.json'), `${JSON.stringify(facts, null, 1)}\n`);
  return Object.keys(facts).length;
}
