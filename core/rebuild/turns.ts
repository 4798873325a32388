/** Screws of a body that are counted when they are turned. */
export const COUNTED_SCREWS = { stop: 'Stop screw', idle: 'Idle screw', air: 'Air screw', sync: 'Sync screw' } as const;
/** The id of a counted screw. */
export type CountedScrew = keyof typeof COUNTED_SCREWS;

/** One turning: out is positive, in quarter turns or finer. */
export interface Turn {
  readonly screw: CountedScrew;
  readonly turns: number;
}

/** How far a screw stands from where it was found, turns out. */
export const netTurns = (turned: readonly Turn[], screw: CountedScrew): number =>
  turned.reduce((sum, each) => (each.screw === screw ? sum + each.turns : sum), 0);

/** In words: “1¼ turns out”, “as found”. */
export function turnWords(turns: number): string {
  const quarters = Math.round(Math.abs(turns) * 4);
  if (quarters === 0)
    return Math.abs(turns) < 1e-9 ? 'as found' : `${Math.abs(turns).toFixed(2)} turns ${turns > 0 ? 'out' : 'in'}`;
  if (Math.abs(Math.abs(turns) * 4 - quarters) > 1e-9)
    return `${Math.abs(turns).toFixed(2)} turns ${turns > 0 ? 'out' : 'in'}`;
  const whole = Math.floor(quarters / 4);
  const part = ['', '¼', '½', '¾'][quarters % 4] ?? '';
  const said = `${whole === 0 ? '' : whole}${part}`;
  return `${said} ${quarters <= 4 ? 'turn' : 'turns'} ${turns > 0 ? 'out' : 'in'}`;
}
