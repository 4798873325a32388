/**
 * What this page says of whoever is signed in, with whatever it sends. Not secret in itself: the cookie that goes with it
 * is, and no page can read that.
 */
interface SignedAs {
  readonly token: string;
  /** Names the stretch of work. */
  readonly stretch: string;
}

const NOBODY: SignedAs = { token: '', stretch: '' };
let now: SignedAs = NOBODY;
let refused: () => void = () => undefined;

/** What goes along with requests from now on. */
export const signAs = (as: SignedAs | null): void => void (now = as ?? NOBODY);
/** What goes along with requests now. */
export const signedAs = (): SignedAs => now;
/** Told when the server knows nobody here any more, or somebody else. */
export const onNobody = (listener: () => void): void => void (refused = listener);
/** The server answered so. */
export const nobodyHere = (): void => refused();
