import { Router } from 'express';
import { z } from 'zod';
import { id } from '../../contract/index.ts';
import { type AiringState, USUAL_AIRING } from '../../core/clean/index.ts';
import type { Services } from '../services.ts';
import { change, mustLead } from './acting.ts';
import { parse } from './parse.ts';

const state = z.enum(Object.keys(USUAL_AIRING) as [AiringState, ...AiringState[]]);
const airingBody = z.strictObject({ by: id, state });
const rate = z
  .number()
  .min(0, 'Expected 0 to 100 air changes an hour.')
  .max(100, 'Expected 0 to 100 air changes an hour.');
const roomBody = z.strictObject({
  by: id,
  roomM3: z.number().min(10, 'Expected 10 to 100,000 m³.').max(100_000, 'Expected 10 to 100,000 m³.'),
  rates: z.strictObject({ shut: rate, door: rate, fan: rate, both: rate }),
});

/** The air of the bay. */
export function airRoutes(services: Services): Router {
  const { air, now } = services;
  const router = Router();
  router.get('/air', (_request, response) => {
    response.json(air.at(now()));
  });
  router.post(
    '/air',
    change(services, (request, actor) => {
      air.setAiring(parse(airingBody, request.body).state, actor);
      return { status: 201, body: air.at(now()) };
    }),
  );
  router.put(
    '/air',
    change(services, (request, actor) => {
      const { roomM3, rates } = parse(roomBody, request.body);
      mustLead(actor, 'The size of the bay');
      air.setRoom(roomM3, rates, actor);
      return { body: air.at(now()) };
    }),
  );
  return router;
}
