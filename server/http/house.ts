import { Router } from 'express';
import { z } from 'zod';
import { id, settings } from '../../contract/index.ts';
import { ruleProblem } from '../../core/house/index.ts';
import type { ThrottleKind } from '../../core/vehicle/index.ts';
import type { Services } from '../services.ts';
import { change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const ruleBody = z.strictObject({ by: id, answer: id.nullable() });
const settingsBody = z.strictObject({ by: id, settings });
const resultQuery = z.strictObject({ throttle: z.enum(['cable', 'electronic', 'diesel-flap']) });

/** House rules, the shop's figures, and what the shop has seen of each option. */
export function houseRoutes(services: Services): Router {
  const { house, settings, results } = services;
  const router = Router();
  router.put(
    '/house-rules/:question',
    change(services, (request, actor) => {
      const question = parse(id, request.params.question);
      const { answer } = parse(ruleBody, request.body);
      mustLead(actor, 'A house rule');
      const problem = answer === null ? null : ruleProblem(question, answer);
      if (problem !== null) throw new HttpError('bad-value', problem, { fields: { answer: problem } });
      house.setRule(question, answer, actor);
      return { body: { rules: house.rules() } };
    }),
  );
  router.put(
    '/settings',
    change(services, (request, actor) => {
      const { settings: given } = parse(settingsBody, request.body);
      mustLead(actor, 'The shop’s figures');
      settings.set(
        {
          'shop-name': given.shopName,
          currency: given.currency,
          'rate-per-hour-minor': String(given.ratePerHourMinor),
          'day-price-minor': String(given.dayPriceMinor),
          'comeback-minor': String(given.comebackMinor),
        },
        actor,
      );
      return { body: settings.shop() };
    }),
  );
  router.get('/results', (request, response) => {
    const { throttle } = parse(resultQuery, request.query);
    response.json({ rows: results(throttle as ThrottleKind), next: null });
  });
  return router;
}
