import { parseDtc } from './dtc.ts';

/** A code found in a printout, with the status that its line speaks of. */
export interface PrintedCode {
  readonly code: string;
  readonly status: 'stored' | 'pending';
  /** What else stood on its line. */
  readonly note: string;
}

const CODE = /\b[PCBU][0-3O][0-9A-FO]{3}\b/gi;
const PENDING = /\b(pending|sporadic|intermittent|mode 07|not confirmed|unconfirmed)\b/i;

/**
 * Finds codes in whatever was pasted: a scan printout, an e-mail, a list. Each code counts once; a line that speaks of
 * pending makes its codes pending. O in place of 0 is forgiven.
 */
export function codesInText(text: string): PrintedCode[] {
  const found = new Map<string, PrintedCode>();
  for (const line of text.split(/\r?\n/)) {
    for (const [written] of line.matchAll(CODE)) {
      const parsed = parseDtc(written);
      if (!parsed.ok || found.has(parsed.dtc.code)) continue;
      const note = line
        .replace(CODE, ' ')
        .replace(PENDING, ' ')
        .replace(/[\s:;,|–-]+/g, ' ')
        .trim()
        .slice(0, 120);
      found.set(parsed.dtc.code, { code: parsed.dtc.code, status: PENDING.test(line) ? 'pending' : 'stored', note });
    }
  }
  return [...found.values()];
}
