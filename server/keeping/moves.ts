import { existsSync, readFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { z } from 'zod';
import { type Files, putFile, removeQuietly } from './files.ts';

const moves = z.array(z.strictObject({ from: z.string(), to: z.string() }));
const plan = z.strictObject({
  /** What makes way, and what comes in its place once that is safe. */
  out: moves,
  in: moves,
  /** Folders that are empty of use once all is moved. */
  leftovers: z.array(z.string()),
});
/** Several files that change their places together. */
export type Plan = z.infer<typeof plan>;

/**
 * Moves several files as one: what is to be moved is written down first, and that note is the point of no return. Stopped
 * before it, nothing has happened; stopped after it, {@link finishMoves} does the rest at the next start.
 * @param note path of the note
 */
export function moveTogether(files: Files, note: string, wanted: Plan): void {
  putFile(files, note, Buffer.from(`${JSON.stringify(wanted)}\n`));
  carryOut(files, note, wanted);
}

/** Finishes moves that were stopped in the middle. @returns whether there was anything to finish */
export function finishMoves(files: Files, note: string): boolean {
  if (!existsSync(note)) return false;
  carryOut(files, note, plan.parse(JSON.parse(readFileSync(note, 'utf8'))));
  return true;
}

function carryOut(files: Files, note: string, wanted: Plan): void {
  for (const phase of [wanted.out, wanted.in]) {
    // Made already, a move has its file at the other end: what stands in the old place now is what came in for it.
    for (const { from, to } of phase) if (existsSync(from) && !existsSync(to)) files.rename(from, to);
    const folders = new Set(phase.flatMap(({ from, to }) => [dirname(from), dirname(to)]));
    for (const folder of folders) if (existsSync(folder)) files.syncFolder(folder);
  }
  for (const folder of wanted.leftovers) removeQuietly(files, folder);
  files.remove(note);
  files.syncFolder(dirname(note));
}
