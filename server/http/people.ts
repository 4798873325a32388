import { Router } from 'express';
import { z } from 'zod';
import { id, personInput } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { type Actor, actorOf, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { takeOn } from './takeOn.ts';

const personBody = z.strictObject({ by: id, person: personInput });
/** `to`: who has their open jobs from now on; null for nobody in particular. */
const leavingBody = z.strictObject({ by: id, to: id.nullable().optional() });
const ANSWERS: ReadonlySet<string> = new Set(['lead', 'owner']);

/** Who works here: added, changed, gone and come back. In an empty shop the first one adds themselves. */
export function peopleRoutes(services: Services): Router {
  const { people, now, oneGo, changes, jobLines } = services;
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
      mustAnswer([...others.map(({ role }) => role), person.role], 'person.role');
      const name = person.name.toLowerCase();
      if (others.some((each) => each.name.toLowerCase() === name))
        throw new HttpError('bad-value', `There is a ${person.name} already.`, {
          fields: { 'person.name': `There is a ${person.name} already. Add an initial or a second name.` },
        });
      people.put({ id: personId, ...person }, actor);
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
        people.here().flatMap((each) => (each.id === personId ? [] : [each.role])),
        'person',
      );
      const theirs = jobLines.assignedTo(personId);
      if (theirs.length > 0) giveOn(services, theirs, leaving.name, to, actor);
      people.leave(personId, actor);
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

/** Somebody must be able to sign off and to change the shop's figures. */
function mustAnswer(roles: readonly string[], field: string): void {
  if (roles.some((role) => ANSWERS.has(role))) return;
  const message = 'Somebody has to answer for the shop: a lead or the owner.';
  throw new HttpError('bad-value', message, { fields: { [field]: message } });
}
