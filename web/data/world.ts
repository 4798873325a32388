/** Under this path the application is open in the world of a practice job. */
const IN_PRACTICE = /^\/practice\/at\/([\w.-]+)(?=\/|$)/;

/** Which world this page is of: the shop, or a practice job. A page is of one world as long as it is open. */
export interface World {
  /** The practice job; null in the shop. */
  readonly practice: string | null;
  /** What the addresses of its pages begin with. */
  readonly base: string;
  /** What the addresses of its server begin with. */
  readonly api: string;
}

/** The world that an address belongs to. */
export function worldOf(path: string): World {
  const practice = IN_PRACTICE.exec(path)?.[1] ?? null;
  return practice === null
    ? { practice, base: '', api: '/api' }
    : { practice, base: `/practice/at/${practice}`, api: `/api/practice/worlds/${practice}` };
}

/** The world that this page is of. */
export const WORLD: World = worldOf(typeof location === 'undefined' ? '/' : location.pathname);

/** Who is signed in, and what is practised, is the shop's also while somebody practises. */
const SHOPS_OWN = /^\/(session|people|stations?|practice)(\/|\?|$)/;

/** The address of something that the server holds. @param path under the API */
export const apiUrl = (path: string, { api }: World = WORLD): string => `${SHOPS_OWN.test(path) ? '/api' : api}${path}`;

/** The name of a store of this browser: what is practised is kept apart from what is done. */
export const storeName = (name: string, { practice }: World = WORLD): string =>
  practice === null ? name : `${name}-practice-${practice}`;
