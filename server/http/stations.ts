import { randomUUID } from 'node:crypto';
import { Router } from 'express';
import { z } from 'zod';
import { id, stationInput } from '../../contract/index.ts';
import { placeOf } from '../access/caller.ts';
import { STATION_COOKIE } from '../access/gate.ts';
import { freshToken } from '../access/secrets.ts';
import type { Services } from '../services.ts';
import { actorOf, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const enrolBody = stationInput.extend({ by: id.optional() });
const strikeBody = z.strictObject({ by: id.optional() });
/** A station stays one for a year from when it was made one. */
const YEAR_MS = 365 * 86_400_000;

/** Stations: where people change hands by a PIN. */
export function stationRoutes(services: Services): Router {
  const { access, oneGo, now } = services;
  const router = Router();

  router.get('/stations', (_request, response) => {
    response.json({ rows: access.stations.all() });
  });

  // The browser that asks becomes the station.
  router.post('/stations', (request, response) => {
    const { name } = parse(enrolBody, request.body);
    const station = { id: randomUUID(), name, token: freshToken() };
    oneGo.run(() => {
      const actor = actorOf(services, request);
      mustLead(actor, 'Which devices are stations');
      access.stations.enrol(station, actor.by, actor.at);
      access.record.write('station-enrolled', actor.at, actor.by, station.id, placeOf(request));
    });
    response
      .cookie(STATION_COOKIE, station.token, {
        httpOnly: true,
        sameSite: 'strict',
        secure: request.secure,
        path: '/api',
        maxAge: YEAR_MS,
      })
      .status(201)
      .json({ station: { id: station.id, name }, rows: access.stations.all() });
  });

  router.post('/stations/:id/strike', (request, response) => {
    const stationId = parse(id, request.params.id);
    parse(strikeBody, request.body);
    oneGo.run(() => {
      const actor = actorOf(services, request);
      mustLead(actor, 'Which devices are stations');
      if (!access.stations.strike(stationId, actor.by, now()))
        throw new HttpError('no-such-station', 'There is no such station, or it is struck out already.');
      access.sessions.endAt(stationId);
      access.record.write('station-struck', now(), actor.by, stationId, placeOf(request));
    });
    response.json({ rows: access.stations.all() });
  });
  return router;
}
