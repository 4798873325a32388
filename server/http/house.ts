import { Router } from 'express';
import { z } from 'zod';
import { type FamilyInput, figureBody, id, settings } from '../../contract/index.ts';
import { figureProblem, SHOP_FIGURES, type ShopValues } from '../../core/figures/index.ts';
import { ruleProblem } from '../../core/house/index.ts';
import { decimalsOf } from '../../core/quantity/index.ts';
import { STARTER_FAMILIES, type ThrottleKind } from '../../core/vehicle/index.ts';
import type { Services } from '../services.ts';
import { change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const ruleBody = z.strictObject({ by: id, answer: id.nullable() });
/** `sameFigures`: prices that are recorded stand for the new currency, figure for figure. */
const settingsBody = z.strictObject({ by: id, settings, sameFigures: z.boolean().optional() });
const figureName = z.enum(Object.keys(SHOP_FIGURES) as [keyof typeof SHOP_FIGURES], 'There is no such figure.');
const starterBody = z.strictObject({ by: id });
const measuresBody = z.strictObject({ by: id, measures: z.enum(['US', 'imperial']) });
const partNumber = z.string().trim().min(1).max(120);
/** One number, or several. */
const partLivesQuery = z.strictObject({
  number: z.union([partNumber.transform((one) => [one]), z.array(partNumber).max(20)]),
});
const resultQuery = z.strictObject({ throttle: z.enum(['cable', 'electronic', 'diesel-flap']) });

/** Amounts are kept in the smallest coin: with other decimals every one of them would mean something else. */
function wrongDecimals(before: string, wanted: string): HttpError {
  const message = `Prices here are kept with the ${decimalsOf(before)} decimals of ${before}; ${wanted} has ${decimalsOf(wanted)}.`;
  return new HttpError('bad-value', message, {
    fields: { 'settings.currency': message },
    wouldHelp: 'Choose the currency before the first price, or keep one with as many decimals.',
  });
}

/** House rules, the shop's figures, and what the shop has seen of each option. */
export function houseRoutes(services: Services): Router {
  const { house, settings, results, jobs, families } = services;
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
      const { settings: given, sameFigures = false } = parse(settingsBody, request.body);
      mustLead(actor, 'The shop’s figures');
      const before = settings.shop();
      if (decimalsOf(given.currency) !== decimalsOf(before.currency) && settings.hasPrices())
        throw wrongDecimals(before.currency, given.currency);
      if (given.currency !== before.currency && settings.moneyRecorded() && !sameFigures)
        throw new HttpError(
          'money-recorded',
          `Prices are recorded in ${before.currency}. Their figures stay, and would read as ${given.currency} from now on; what was handed over keeps ${before.currency}.`,
          { wouldHelp: 'Say that the figures stand, or leave the currency as it is.' },
        );
      settings.set(
        {
          'shop-name': given.shopName,
          currency: given.currency,
          'time-zone': given.timeZone,
          measures: given.measures ?? '',
          'rate-per-hour-minor': String(given.ratePerHourMinor),
          'day-price-minor': String(given.dayPriceMinor),
          'comeback-minor': String(given.comebackMinor),
          'comeback-within': JSON.stringify(given.comebackWithin),
        },
        actor,
      );
      // Which day an instant falls on is kept in columns; where the shop is decides it.
      if (given.timeZone !== before.timeZone) jobs.rebuild();
      return { body: settings.shop() };
    }),
  );
  router.put(
    '/settings/measures',
    change(services, (request, actor) => {
      const { measures } = parse(measuresBody, request.body);
      // Whoever is asked first answers for the shop; to think again is for those who set its figures.
      if (settings.read('measures') !== null) mustLead(actor, 'Which gallon is meant here');
      settings.set({ measures }, actor);
      return { body: settings.shop() };
    }),
  );
  // One figure of the trade as this shop has it; null goes back to what is usual.
  router.put(
    '/figures/:id',
    change(services, (request, actor) => {
      const name = parse(figureName, request.params.id);
      const { value, source } = parse(figureBody, request.body);
      mustLead(actor, 'A figure of the shop');
      const problem = value === null ? null : figureProblem(name, value);
      if (problem !== null) throw new HttpError('bad-value', problem, { fields: { value: problem } });
      const { [name]: _, ...others } = settings.read('figures');
      const said: ShopValues =
        value === null
          ? others
          : { ...others, [name]: { value, source: source === '' ? null : source, by: actor.by, at: actor.at } };
      settings.set({ figures: JSON.stringify(said) }, actor);
      return { body: { figures: said } };
    }),
  );
  // What is in the starter set and not here yet; what the shop wrote itself stays as it is.
  router.post(
    '/starter',
    change(services, (request, actor) => {
      parse(starterBody, request.body);
      mustLead(actor, 'The starter set');
      const added = STARTER_FAMILIES.filter(({ id: familyId }) => families.get(familyId) === null);
      for (const { id: familyId, ...input } of added) families.put(familyId, input as FamilyInput, 0, actor);
      return { body: { added: added.length, of: STARTER_FAMILIES.length } };
    }),
  );
  router.get('/results', (request, response) => {
    const { throttle } = parse(resultQuery, request.query);
    response.json({ rows: results(throttle as ThrottleKind), next: null });
  });
  router.get('/held', (_request, response) => {
    response.json({ rows: services.years.held(services.now()), next: null });
  });
  router.get('/part-lives', (request, response) => {
    const { number } = parse(partLivesQuery, request.query);
    response.json({ rows: services.partLives(number), next: null });
  });
  router.get('/rung-tries', (_request, response) => {
    response.json({ rows: services.rungTries(), next: null });
  });
  return router;
}
