import { Router } from 'express';
import { z } from 'zod';
import { absenceInput, dayFigures, id, longerInput, planInput, wishInput } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const planBody = planInput.extend({ by: id });
const wishBody = wishInput.extend({ by: id });
const figuresBody = z.strictObject({ by: id, figures: dayFigures });
const longerBody = longerInput.extend({ by: id });
const absenceBody = z.strictObject({ by: id, absence: absenceInput });

/** The plan of the day: what it is woven from, what people say of it, who is away. */
export function dayRoutes(services: Services): Router {
  const { day, people, jobs, now } = services;
  const router = Router();
  router.get('/day', (_request, response) => {
    response.json(day.read(now()));
  });
  // Of two stations that weave at once the first is kept; the other takes what it finds.
  router.put(
    '/day/plan',
    change(services, (request, actor) => {
      const { seen, blocks } = parse(planBody, request.body);
      if (!day.keepPlan(seen, blocks, actor))
        throw new HttpError('row-moved-on', 'The day was woven anew meanwhile.', {
          newer: { version: day.plan()?.version ?? 0, row: day.plan(), changed: undefined },
        });
      return { body: day.plan() };
    }),
  );
  router.put(
    '/day/wishes',
    change(services, (request, actor) => {
      const { by: _, ...wish } = parse(wishBody, request.body);
      if (jobs.job(wish.jobId) === null) throw new HttpError('no-such-job', 'There is no such job.');
      if (wish.personId !== null) mustBeHere(wish.personId);
      if (wish.at !== null && wish.at < actor.at)
        throw new HttpError('bad-value', 'That time is gone: expected a time from now on.', {
          fields: { at: 'That time is gone: expected a time from now on.' },
        });
      day.wish(wish, actor);
      return { body: day.read(now()) };
    }),
  );
  router.put(
    '/day/figures',
    change(services, (request, actor) => {
      const { figures } = parse(figuresBody, request.body);
      mustLead(actor, 'How many vehicles stand inside');
      day.setFigures(figures, actor);
      return { body: day.figures() };
    }),
  );
  router.put(
    '/day/longer',
    change(services, (request, actor) => {
      const { personId, day: on, until } = parse(longerBody, request.body);
      // Asked by whoever sees the clash; that somebody does stay is between the two of them.
      mustBeHere(personId);
      day.stay(personId, on, until, actor);
      return { body: day.read(now()) };
    }),
  );
  router.put(
    '/absences/:id',
    change(services, (request, actor) => {
      const absenceId = parse(id, request.params.id);
      const { absence } = parse(absenceBody, request.body);
      // Everybody says when they are away themselves; of others, and of all, those who answer for the shop do.
      if (absence.personId !== actor.by) mustLead(actor, 'When somebody else is away');
      if (absence.personId !== null) mustBeHere(absence.personId);
      day.putAbsence(absenceId, absence, actor);
      return { body: day.read(now()) };
    }),
  );
  router.delete(
    '/absences/:id',
    change(services, (request, actor) => {
      const absenceId = parse(id, request.params.id);
      if (!day.hasAbsence(absenceId)) throw new HttpError('no-such-absence', 'There is no such absence.');
      const own = day.absences('').find((each) => each.id === absenceId)?.personId === actor.by;
      if (!own) mustLead(actor, 'When somebody else is away');
      day.dropAbsence(absenceId, actor);
      return { body: day.read(now()) };
    }),
  );
  const mustBeHere = (personId: string): void => {
    if (people.roleOf(personId) === null)
      throw new HttpError('bad-value', 'That person is not in the list.', {
        fields: { personId: 'Pick somebody who works here.' },
      });
  };
  return router;
}
