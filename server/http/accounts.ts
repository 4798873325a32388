import { type Request, Router } from 'express';
import { z } from 'zod';
import { accessQuery, id, passwordSet, pinSet } from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import { placeOf } from '../access/caller.ts';
import { byPassword } from '../access/lettingIn.ts';
import { hashSecret } from '../access/secrets.ts';
import { freshSigned } from '../access/sessions.ts';
import type { Services } from '../services.ts';
import { actorOf, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { begin } from './signIn.ts';

const nothing = z.strictObject({ by: id.optional() });

/** What people sign in by: set, opened again, and who has one. */
export function accountRoutes(services: Services): Router {
  const { access, people, oneGo, now, changes } = services;
  const router = Router();
  const told = () => {
    changes.tell({ kind: 'rows', list: 'shop' });
    return { accounts: access.accounts.all() };
  };
  const here = (personId: string) => {
    const person = people.here().find((each) => each.id === personId);
    if (person === undefined) throw new HttpError('no-such-person', 'Nobody of that name works here.');
    return person;
  };

  router.put('/people/:id/password', async (request, response) => {
    const person = here(parse(id, request.params.id));
    const { password, current } = parse(passwordSet, request.body);
    const { caller } = request;
    // Before anybody has a password there is nobody to ask: whoever answers for the shop begins.
    const by = caller?.personId ?? firstAccount(services, request, person.role).by;
    if (caller !== undefined && by === person.id)
      await byPassword(services, person.id, current ?? '', placeOf(request));
    else if (caller !== undefined) mustLead(actorOf(services, request), 'A password of somebody else');
    const hash = await hashSecret(password);
    oneGo.run(() => {
      access.accounts.setPassword(person.id, hash, now());
      // Whoever came in by the old one, elsewhere, is out.
      access.sessions.endOf(person.id, caller?.signed.stretch);
      access.record.write('password-set', now(), by, person.id, placeOf(request));
    });
    if (caller === undefined && by === person.id) {
      await begin(request, freshSigned(person.id, 'password', now(), { stationId: request.station?.id ?? null }));
      oneGo.run(() => access.record.write('signed-in', now(), by, by, placeOf(request)));
    }
    // Answered first: whoever hears that something changed asks anew, and has the cookie by then.
    response.json({ accounts: access.accounts.all() });
    changes.tell({ kind: 'rows', list: 'shop' });
  });

  router.put('/people/:id/pin', async (request, response) => {
    const person = here(parse(id, request.params.id));
    const { password, pin } = parse(pinSet, request.body);
    if (request.caller?.personId !== person.id)
      throw new HttpError('not-yours', 'A PIN is set by its own person.', { wouldHelp: 'Ask them to sign in.' });
    await byPassword(services, person.id, password, placeOf(request));
    const hash = await hashSecret(pin);
    oneGo.run(() => {
      access.accounts.setPin(person.id, hash, now());
      access.record.write('pin-set', now(), person.id, person.id, placeOf(request));
    });
    response.json(told());
  });

  router.post('/people/:id/unlock', (request, response) => {
    const person = here(parse(id, request.params.id));
    parse(nothing, request.body);
    oneGo.run(() => {
      const actor = actorOf(services, request);
      mustLead(actor, 'A locked account');
      access.accounts.unlock(person.id);
      access.record.write('unlocked', now(), actor.by, person.id, placeOf(request));
    });
    response.json(told());
  });

  router.post('/people/:id/sign-out', (request, response) => {
    const person = here(parse(id, request.params.id));
    parse(nothing, request.body);
    oneGo.run(() => {
      const actor = actorOf(services, request);
      mustLead(actor, 'Where somebody else is signed in');
      access.sessions.endOf(person.id);
      access.record.write('signed-out-everywhere', now(), actor.by, person.id, placeOf(request));
    });
    response.json(told());
  });

  router.get('/access-lines', (request, response) => {
    const { before, limit } = parse(accessQuery, request.query);
    response.json({
      rows: access.record.page(before, limit),
      // Read from end to end: once for a page that is opened, not for each that is turned.
      brokenAt: before === undefined ? access.record.brokenAt() : null,
      accounts: access.accounts.all(),
    });
  });
  return router;
}

/** @throws HttpError where the first account would be of somebody who cannot let the others in */
function firstAccount(services: Services, request: Request, role: Parameters<typeof mayChange>[0]) {
  const actor = actorOf(services, request);
  mustLead(actor, 'Who signs in');
  if (!mayChange(role))
    throw new HttpError('bad-value', 'The first password is that of a lead or the proprietor.', {
      wouldHelp: 'They let the others in, and open what is locked.',
    });
  return actor;
}
