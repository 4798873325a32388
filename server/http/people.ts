import { Router } from 'express';
import { z } from 'zod';
import { id, type Person, personInput } from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import { placeOf } from '../access/caller.ts';
import type { Services } from '../services.ts';
import { type Actor, actorOf, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { takeOn } from './takeOn.ts';

const personBody = z.strictObject({ by: id, person: personInput });
/** `to`: who has their open jobs from now on; null for nobody in particular. */
const leavingBody = z.strictObject({ by: id, to: id.nullable().optional() });

/** Who works here: added, changed, gone and come back. In an empty shop the first one adds themselves. */
export function peopleRoutes(services: Services): Router {
  const { people, now, oneGo, changes, jobLines, access } = services;
  const router = Router();
  const told = (): { readonly people: unknown } => {
    changes.tell({ kind: 'rows', list: 'shop' });
    return { people: people.all() };
  };

  router.put('/people/:id', (request, response) => {
    const personId = parse(id, request.params.id);
    const { person } = parse(personBody, request.body);
    oneGo.run(() => {
      const first = people.here().length === 0;
      const actor: Actor = first ? { by: personId, at: now(), role: person.role } : actorOf(services, request);
      if (!first) mustLead(actor, 'Who works here');
      const others = people.here().filter((each) => each.id !== personId);
      const was = people.roleOf(personId);
      mustAnswer(services, [...others, { id: personId, role: person.role }], 'person.role');
      const name = person.name.toLowerCase();
      if (others.some((each) => each.name.toLowerCase() === name))
        throw new HttpError('bad-value', `There is a ${person.name} already.`, {
          fields: { 'person.name': `There is a ${person.name} already. Add an initial or a second name.` },
        });
      people.put({ id: personId, ...person }, actor);
      if (was !== person.role) access.record.write('role-changed', actor.at, actor.by, personId, placeOf(request));
    });
    response.json(told());
  });

  router.post('/people/:id/leave', (request, response) => {
    const personId = parse(id, request.params.id);
    const { to } = parse(leavingBody, request.body);
    oneGo.run(() => {
      const actor = actorOf(services, request);
      mustLead(actor, 'Who works here');
      const leaving = people.here().find((each) => each.id === personId);
      if (leaving === undefined) throw new HttpError('no-such-person', 'Nobody of that name works here.');
      mustAnswer(
        services,
        people.here().filter((each) => each.id !== personId),
        'person',
      );
      const theirs = jobLines.assignedTo(personId);
      if (theirs.length > 0) giveOn(services, theirs, leaving.name, to, actor);
      people.leave(personId, actor);
      access.accounts.remove(personId);
      access.sessions.endOf(personId);
      access.record.write('left', actor.at, actor.by, personId, placeOf(request));
    });
    response.json(told());
  });
  return router;
}

/** What somebody who leaves still has goes to somebody else, or to nobody in particular; each job says so in its log. */
function giveOn(
  services: Services,
  theirs: readonly { readonly jobId: string; readonly number: number }[],
  name: string,
  to: string | null | undefined,
  actor: Actor,
): void {
  if (to === undefined)
    throw new HttpError(
      'jobs-with-them',
      `${name} still has ${theirs.length === 1 ? 'job' : 'jobs'} ${theirs.map(({ number }) => number).join(', ')}.`,
      { wouldHelp: 'Say who has them from now on.' },
    );
  const takes = to === null ? null : services.people.here().find((each) => each.id === to && each.name !== name);
  if (takes === undefined)
    throw new HttpError('bad-value', 'That person is not in the list.', { fields: { to: 'Who takes them on?' } });
  const data = { to: takes?.id ?? '', name: takes?.name ?? '', note: `${name} has left the workshop` };
  for (const { jobId } of theirs) takeOn(services, jobId, { type: 'assign-job', data }, actor);
}

/** Somebody must be able to sign off and to change the shop's figures; where people sign in, to let the others in too. */
function mustAnswer({ access }: Services, people: readonly Pick<Person, 'id' | 'role'>[], field: string): void {
  const signIn = access.accounts.any();
  const answers = people.some(
    ({ id: each, role }) => mayChange(role) && (!signIn || access.accounts.of(each)?.passwordHash != null),
  );
  if (answers) return;
  const message = signIn
    ? 'Somebody has to answer for the shop: a lead or the proprietor who can sign in.'
    : 'Somebody has to answer for the shop: a lead or the owner.';
  throw new HttpError('bad-value', message, { fields: { [field]: message } });
}
