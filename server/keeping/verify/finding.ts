import type { Finding, FindingKind } from '../../../contract/index.ts';

const RESTORE = 'Restore the last good backup; what is kept beside it says what came since.';
const REBUILD = 'Stop the program and run “npm run rebuild” on the store: lists are made anew from the logs.';

/** What is done about each kind of thing that can be wrong. */
const TO_DO: Readonly<Record<FindingKind, string>> = {
  file: RESTORE,
  schema: `Something changed the tables behind the program’s back. ${RESTORE}`,
  reference: RESTORE,
  chain: 'Something changed the past of this job. Compare it with the last good backup, and ask who had the file.',
  cut: 'Work that was there is missing. It is in a backup or in the folder “kept”; restore the one that has it. If an older copy was put in place by hand and that was meant, remove the file that ends in .heads.',
  log: 'A later program wrote it, or it is damaged: start that program, or restore a backup.',
  command: RESTORE,
  projection: REBUILD,
  balance: REBUILD,
  search: REBUILD,
  row: 'Put it right in the program, or restore the last good backup.',
  gap: RESTORE,
  setting: 'Set it anew in Settings.',
  picture: 'Take the photo in again if somebody still has it; until then the sheet names the gap.',
  backup: 'Make a backup now, and do not count on this one.',
};

/** A finding in words. @param words what is wrong and where, as a sentence */
export const finding = (kind: FindingKind, words: string): Finding => ({ kind, words, toDo: TO_DO[kind] });
