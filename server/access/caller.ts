import type { Request } from 'express';
import type { Role } from '../../core/access/index.ts';
import type { Signed } from './sessions.ts';

/** Who sends a request, as the server found it out. */
export interface SignedCaller {
  readonly personId: string;
  readonly role: Role;
  readonly signed: Signed;
}

declare module 'express-serve-static-core' {
  interface Request {
    /** Whoever is signed in; absent where nobody is, and in a shop without accounts. */
    caller?: SignedCaller;
    /** The station that the browser is, by the token that it was given; absent for none. */
    station?: { readonly id: string; readonly name: string };
  }
}

/** Where a request comes from, for the access record: its station, else its network address. */
export const placeOf = (request: Request): string => request.station?.id ?? request.ip ?? '';

/** A cookie by its name; undefined where it was not sent. */
export function cookieOf(request: Request, name: string): string | undefined {
  const [, value] =
    request.headers.cookie
      ?.split(';')
      .map((each) => each.trim().split('='))
      .find(([key]) => key === name) ?? [];
  return value;
}
