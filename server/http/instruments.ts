import { Router } from 'express';
import { id, instrumentPair, instrumentQuery, instrumentSet } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { actorOf } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

/** Instruments of the bench: what there is, pairing with a station, and hearing one. */
export function instrumentRoutes(services: Services): Router {
  const { instruments, oneGo, audit } = services;
  const router = Router();

  const known = (name: string): string => {
    if (!instruments.has(name)) throw new HttpError('no-such-instrument', 'There is no such instrument.');
    return name;
  };

  router.get('/', async (_request, response) => {
    response.json({ rows: await instruments.list(), next: null });
  });

  router.put('/:id/station', (request, response) => {
    const name = known(parse(id, request.params.id));
    const { station } = parse(instrumentPair, request.body);
    const actor = actorOf(services, request);
    oneGo.run(() => {
      instruments.pair(name, station, actor.at);
      audit.write(actor, 'instrument-paired', name, { station });
    });
    response.json({ id: name, station });
  });

  /** As server-sent events, to the station that it is paired with and to no other. */
  router.get('/:id/readings', (request, response) => {
    const name = known(parse(id, request.params.id));
    const { station } = parse(instrumentQuery, request.query);
    if (instruments.stationOf(name) !== station)
      throw new HttpError('paired-elsewhere', 'This instrument is paired with another station.', {
        wouldHelp: 'Pair it with this one in Settings.',
      });
    response.set({ 'content-type': 'text/event-stream', 'cache-control': 'no-cache, no-transform' });
    response.write(': here\n\n');
    const stop = instruments.listen(name, (news) => void response.write(`data: ${JSON.stringify(news)}\n\n`));
    request.on('close', stop);
  });

  router.put('/:id/shows', (request, response) => {
    const name = known(parse(id, request.params.id));
    const { values, unit, mood } = parse(instrumentSet, request.body);
    if (!instruments.set(name, values, unit, mood))
      throw new HttpError('not-simulated', 'This instrument shows what it measures: it cannot be set from here.');
    response.json({ id: name });
  });

  return router;
}
