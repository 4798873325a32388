import { type Request, Router } from 'express';
import { changeHands, type SessionReply, signIn } from '../../contract/index.ts';
import { placeOf } from '../access/caller.ts';
import { SESSION_COOKIE } from '../access/gate.ts';
import { byPassword, byPin } from '../access/lettingIn.ts';
import { freshSigned, type Signed } from '../access/sessions.ts';
import { fewTries } from '../access/tries.ts';
import type { AccessKind } from '../access/record.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

/** Coming in, changing hands, and going. */
export function signInRoutes(services: Services): Router {
  const { access, people, oneGo, now } = services;
  const router = Router();

  const replyTo = (request: Request): SessionReply => {
    const signed = request.session.signed;
    const person = signed === undefined ? undefined : people.here().find(({ id }) => id === signed.personId);
    const pins = new Set(access.accounts.all().flatMap(({ personId, hasPin }) => (hasPin ? [personId] : [])));
    return {
      shopName: services.settings.shop().shopName,
      open: !access.isAsked(),
      person: person === undefined ? null : { id: person.id, name: person.name, role: person.role },
      way: person === undefined ? null : (signed?.way ?? null),
      token: person === undefined ? '' : (signed?.token ?? ''),
      stretch: signed?.stretch ?? '',
      endsAt: signed?.endsAt ?? null,
      jobId: signed?.jobId ?? null,
      station: request.station ?? null,
      // Names are told to a station of the shop, and to whoever is in already.
      hands:
        request.station === undefined
          ? []
          : people.here().flatMap(({ id, name }) => (pins.has(id) ? [{ id, name }] : [])),
    };
  };

  router.get('/session', (request, response) => {
    response.set('cache-control', 'no-store').json(replyTo(request));
  });

  router.post(
    '/session',
    fewTries(({ name }) => name),
    async (request, response) => {
      const { name, password } = parse(signIn, request.body);
      const person = await byPassword(services, name, password, placeOf(request));
      await begin(request, freshSigned(person.id, 'password', now(), { stationId: request.station?.id ?? null }));
      record(request, 'signed-in', person.id);
      response.status(201).json(replyTo(request));
    },
  );

  router.post(
    '/session/hands',
    fewTries(({ personId }) => personId),
    async (request, response) => {
      const { personId, pin } = parse(changeHands, request.body);
      const station = mustBeStation(request);
      const person = await byPin(services, personId, pin, placeOf(request));
      await begin(request, freshSigned(person.id, 'pin', now(), { stationId: station.id }));
      record(request, 'changed-hands', person.id);
      response.status(201).json(replyTo(request));
    },
  );

  router.delete('/session', async (request, response) => {
    const personId = request.session.signed?.personId;
    await end(request);
    if (personId !== undefined) record(request, 'signed-out', personId);
    response.clearCookie(SESSION_COOKIE, { path: '/api' }).json({ open: !access.isAsked() });
  });

  router.post('/session/everywhere', async (request, response) => {
    const personId = request.caller?.personId;
    if (personId === undefined) throw new HttpError('not-signed-in', 'Nobody is signed in here.');
    oneGo.run(() => {
      access.sessions.endOf(personId);
      access.record.write('signed-out-everywhere', now(), personId, personId, placeOf(request));
    });
    await end(request);
    response.clearCookie(SESSION_COOKIE, { path: '/api' }).json({ open: !access.isAsked() });
  });

  function record(request: Request, kind: AccessKind, personId: string): void {
    oneGo.run(() => access.record.write(kind, now(), personId, personId, placeOf(request)));
  }
  return router;
}

/** @throws HttpError 403 where the browser is no station: a PIN is short, and counts only where a lead put it */
export function mustBeStation(request: Request): NonNullable<Request['station']> {
  if (request.station !== undefined) return request.station;
  throw new HttpError('no-station', 'This is no station of the workshop: a PIN is not taken here.', {
    wouldHelp: 'Sign in by the password. A lead can make this device a station under Settings.',
  });
}

/** Lets somebody in: always as a session of its own, so that an id somebody planted before is worth nothing. */
export const begin = (request: Request, signed: Signed): Promise<void> =>
  new Promise((done, fail) => {
    request.session.regenerate((error: unknown) => {
      if (error) return fail(error as Error);
      request.session.signed = signed;
      request.session.save((failed: unknown) => (failed ? fail(failed as Error) : done()));
    });
  });

const end = (request: Request): Promise<void> =>
  new Promise((done, fail) => {
    request.session.destroy((error: unknown) => (error ? fail(error as Error) : done()));
  });
