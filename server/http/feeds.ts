import { Router } from 'express';
import { z } from 'zod';
import { type FeedMade, id } from '../../contract/index.ts';
import { placeOf } from '../access/caller.ts';
import { calendarText } from '../report/calendar.ts';
import type { Services } from '../services.ts';
import { DUE_WEEKS, dueEntries } from '../store/comingUp.ts';
import { actorOf, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const makeBody = z.strictObject({ by: id.optional(), personId: id.nullable() });
const withdrawBody = z.strictObject({ by: id.optional() });
const tokenParam = z.string().regex(/^[\w-]{20,80}\.ics$/, 'Expected a token and .ics.');

/** Calendars that other programs read: made and withdrawn in the shop, read by whoever has the address. */
export function feedRoutes(services: Services): Router {
  const { access, comingUp, day, years, oneGo, now, settings, people } = services;
  const router = Router();
  router.get('/feeds', (_request, response) => {
    response.json({ rows: access.feeds.all() });
  });
  router.post('/feeds', (request, response) => {
    const { personId } = parse(makeBody, request.body);
    const made = oneGo.run((): FeedMade => {
      const actor = actorOf(services, request);
      // One’s own day is one’s own to take along; that of others and of the shop is given out by those who answer for it.
      if (personId !== actor.by) mustLead(actor, 'What a calendar shows of others');
      if (personId !== null && people.roleOf(personId) === null)
        throw new HttpError('bad-value', 'That person is not in the list.', {
          fields: { personId: 'Pick somebody who works here.' },
        });
      const { feed, token } = access.feeds.make(personId, actor.by, actor.at);
      access.record.write('link-made', actor.at, actor.by, feed.id, placeOf(request));
      return { feed, path: `/api/calendars/${token}.ics` };
    });
    response.status(201).json(made);
  });
  router.post('/feeds/:id/withdraw', (request, response) => {
    const feedId = parse(id, request.params.id);
    parse(withdrawBody, request.body);
    oneGo.run(() => {
      const actor = actorOf(services, request);
      const feed = access.feeds.all().find((each) => each.id === feedId);
      if (feed === undefined)
        throw new HttpError('no-such-link', 'There is no such calendar, or it was withdrawn already.');
      if (feed.personId !== actor.by) mustLead(actor, 'What a calendar shows of others');
      access.feeds.withdraw(feedId, actor.by, actor.at);
      access.record.write('link-withdrawn', actor.at, actor.by, feedId, placeOf(request));
    });
    response.json({ rows: access.feeds.all() });
  });
  router.get('/calendars/:token', (request, response) => {
    const feed = access.feeds.follow(parse(tokenParam, request.params.token).slice(0, -'.ics'.length));
    if (feed === null)
      throw new HttpError(
        'no-such-link',
        'This calendar leads nowhere: it was withdrawn, or its address is not whole.',
      );
    const at = now();
    const name = settings.read('shop-name');
    const person = feed.personId === null ? null : (people.names().get(feed.personId) ?? null);
    const entries =
      feed.personId === null
        ? [...comingUp.ofShop(), ...dueEntries(years.due(at, DUE_WEEKS))]
        : comingUp.ofPerson(feed.personId, day.plan()?.blocks ?? []);
    if (!services.keeper.readOnly) access.feeds.read(feed.id, at);
    response
      .type('text/calendar; charset=utf-8')
      .set('cache-control', 'no-store')
      .send(calendarText(person === null ? name : `${person}, ${name}`, entries, at));
  });
  return router;
}
