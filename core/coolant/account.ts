/** One entry of the coolant book, litres. */
export interface CoolantEntry {
  readonly kind: 'caught' | 'returned' | 'added' | 'discarded';
  readonly litres: number;
  /** Share of antifreeze by volume in what was added, 0 to 1; ignored for the others. */
  readonly concentration: number | null;
}

/** The balance of a job's coolant. */
export interface CoolantAccount {
  readonly caught: number;
  readonly returned: number;
  readonly added: number;
  readonly discarded: number;
  /** Caught but neither returned nor discarded: still in the tray. */
  readonly inTray: number;
  /** Back in the system less what was caught: positive when more went in than came out. */
  readonly net: number;
  /** Share of antifreeze in all that was added, or null when nothing was. */
  readonly addedConcentration: number | null;
}

/** Loss that needs no explanation: what stays on hoses, rags and the floor of the tray. Shop convention, litres. */
export const UNREMARKABLE_LOSS_L = 0.15;

/** Adds up the book. Entries may come in any order. */
export function coolantAccount(entries: readonly CoolantEntry[]): CoolantAccount {
  const sum = (kind: CoolantEntry['kind']): number =>
    entries.reduce((total, entry) => (entry.kind === kind ? total + entry.litres : total), 0);
  const [caught, returned, added, discarded] = [sum('caught'), sum('returned'), sum('added'), sum('discarded')];
  const antifreeze = entries.reduce(
    (total, entry) => (entry.kind === 'added' ? total + entry.litres * (entry.concentration ?? 0) : total),
    0,
  );
  return {
    caught,
    returned,
    added,
    discarded,
    inTray: Math.max(0, caught - returned - discarded),
    net: returned + added - caught,
    addedConcentration: added === 0 ? null : antifreeze / added,
  };
}

/** What about the coolant is still an open question, in words; empty when the book is square. */
export function coolantQuestions(account: CoolantAccount): string[] {
  const litres = (value: number): string => `${value.toFixed(2)} L`;
  if (account.caught === 0 && account.returned === 0 && account.added === 0) return [];
  const questions: string[] = [];
  if (account.inTray > UNREMARKABLE_LOSS_L)
    questions.push(`${litres(account.inTray)} of coolant is still in the tray: return it or discard it`);
  if (account.net < -UNREMARKABLE_LOSS_L)
    questions.push(`${litres(-account.net)} less coolant went back than came out`);
  if (account.net > 2 * UNREMARKABLE_LOSS_L)
    questions.push(`${litres(account.net)} more coolant went in than came out: was the level low before?`);
  return questions;
}
