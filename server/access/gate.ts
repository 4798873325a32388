import type { Request, RequestHandler } from 'express';
import session from 'express-session';
import { HttpError } from '../http/errors.ts';
import type { Services } from '../services.ts';
import { sameText } from './secrets.ts';
import { cookieOf, type SignedCaller } from './caller.ts';
import { SHIFT_MS, type Signed } from './sessions.ts';
import { type Caller, ruleFor } from './table.ts';

/** The cookie of whoever is signed in, and that of a station. */
export const SESSION_COOKIE = 'wrench-session';
export const STATION_COOKIE = 'wrench-station';
/** Sent along by our own page with all that changes something; another page cannot know it. */
export const TOKEN_HEADER = 'x-wrench-token';

const CHANGES_NOTHING: ReadonlySet<string> = new Set(['GET', 'HEAD', 'OPTIONS']);

const IN_PRACTICE = /^\/practice\/worlds\/[^/]+(?=\/)/;

type Needed = Pick<Services, 'access' | 'people' | 'now'>;

/**
 * Stands before every route under `/api`. A shop without accounts is open to whoever is at its one machine; once
 * somebody has a password, a request is answered only to those whom the table names.
 */
export function gate(services: Needed): RequestHandler[] {
  const { access } = services;
  const sessions = session({
    name: SESSION_COOKIE,
    secret: access.cookieKey,
    store: access.sessions,
    resave: false,
    saveUninitialized: false,
    unset: 'destroy',
    cookie: { httpOnly: true, sameSite: 'strict', secure: 'auto', path: '/api', maxAge: SHIFT_MS },
  });
  return [
    (request, response, next) => {
      const station = access.isAsked()
        ? access.stations.byToken(cookieOf(request, STATION_COOKIE), services.now())
        : null;
      if (station !== null) request.station = station;
      // Whoever sets the first password is in by it.
      if (access.isAsked() || /^\/(session|people\/)/.test(request.path)) sessions(request, response, next);
      else next();
    },
    (request, _response, next) => {
      if (access.isAsked()) judge(services, request);
      next();
    },
  ];
}

/** @throws HttpError 401 for whoever is not signed in, 403 for whoever may not */
function judge(services: Needed, request: Request): void {
  const caller = callerOf(services, request.session.signed);
  if (caller !== null) request.caller = caller;
  // In a practice world everybody may what they may in the shop.
  const rule = ruleFor(request.method, request.path.replace(IN_PRACTICE, ''));
  if (rule?.may.has('anybody') === true) return;
  if (caller === null)
    throw new HttpError('not-signed-in', 'Nobody is signed in here.', {
      wouldHelp: 'Sign in; what was typed is kept here.',
    });
  const as: Caller = caller.signed.way === 'phone' ? 'phone' : caller.role;
  if (rule !== null && !rule.may.has(as) && !(as !== 'phone' && services.people.alone(caller.personId)))
    throw new HttpError('not-yours', `That is not done as ${as === 'phone' ? 'a phone that takes photos' : as}.`, {
      wouldHelp: 'Ask somebody who does it, or change who is at this station.',
    });
  if (!CHANGES_NOTHING.has(request.method) && !sameText(request.get(TOKEN_HEADER) ?? '', caller.signed.token))
    throw new HttpError('bad-token', 'This page was opened before somebody else signed in here.', {
      wouldHelp: 'Open it anew; what was typed is kept here.',
    });
}

/** Whoever a session is of, as what they are in the workshop now; null for nobody, and for one who has left. */
function callerOf({ people }: Needed, signed: Signed | undefined): SignedCaller | null {
  if (signed === undefined) return null;
  const { personId } = signed;
  const role = people.roleOf(personId);
  return role === null ? null : { personId, role, signed };
}
