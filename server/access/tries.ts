import type { Request, RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import { HttpError } from '../http/errors.ts';
import { placeOf } from './caller.ts';

/** Tries of one name from one place in a minute. */
export const TRIES_A_MINUTE = 10;
/** Requests of one station in a minute: a hundred times what a busy hand makes. */
export const REQUESTS_A_MINUTE = 3000;
const MINUTE_MS = 60_000;

const tooMany =
  (words: string): RequestHandler =>
  () => {
    throw new HttpError('too-many', words, { wouldHelp: 'Wait a minute.' });
  };

/**
 * Whoever tries to come in under a name: no more than ten times a minute. What names nobody is no try, and is refused for
 * what it is.
 */
export const fewTries = (nameIn: (body: Record<string, unknown>) => unknown): RequestHandler =>
  rateLimit({
    windowMs: MINUTE_MS,
    limit: TRIES_A_MINUTE,
    standardHeaders: false,
    legacyHeaders: false,
    validate: false,
    skip: (request: Request) => typeof nameIn((request.body ?? {}) as Record<string, unknown>) !== 'string',
    keyGenerator: (request: Request) =>
      `${String(nameIn((request.body ?? {}) as Record<string, unknown>)).toLowerCase()} ${placeOf(request)}`,
    handler: tooMany('That was tried ten times within a minute.'),
  });

/** More requests than any station makes by hand. Each station has its own measure, and so has whoever is signed in. */
export const fewRequests = (): RequestHandler =>
  rateLimit({
    windowMs: MINUTE_MS,
    limit: REQUESTS_A_MINUTE,
    standardHeaders: false,
    legacyHeaders: false,
    validate: false,
    keyGenerator: (request: Request) => request.caller?.signed.stretch ?? placeOf(request),
    skip: (request: Request) => request.caller === undefined && request.station === undefined && isHere(request),
    handler: tooMany('This station asks for more than a person can.'),
  });

/** From this very machine, where nobody has to sign in. */
const isHere = ({ ip = '' }: Request): boolean => ip === '127.0.0.1' || ip === '::1' || ip === '::ffff:127.0.0.1';
