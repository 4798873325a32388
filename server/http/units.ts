import { Router } from 'express';
import { z } from 'zod';
import { familyInput, id, lifeInput, unitInput } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { mustBeKnown } from './people.ts';

const familyBody = z.strictObject({ by: id, family: familyInput });
const unitBody = z.strictObject({ by: id, unit: unitInput });
const lifeBody = z.strictObject({ by: id, entry: lifeInput });

/** Engine families. */
export function familyRoutes(services: Services): Router {
  const { families, now } = services;
  const router = Router();
  router.get('/', (_request, response) => {
    response.json({ rows: families.all(), next: null });
  });
  router.get('/:id', (request, response) => {
    const family = families.get(parse(id, request.params.id));
    if (family === null) throw new HttpError('no-such-family', 'There is no such engine family.');
    response.json(family);
  });
  router.put('/:id', (request, response) => {
    const familyId = parse(id, request.params.id);
    const { by, family } = parse(familyBody, request.body);
    mustBeKnown(services, by);
    const known = families.get(familyId);
    response.status(known === null ? 201 : 200).json(families.put(familyId, family, by, now()));
  });
  return router;
}

/** Units as objects of their own, with their lives. */
export function unitRoutes(services: Services): Router {
  const { units, vehicles, now } = services;
  const router = Router();
  router.get('/', (_request, response) => {
    response.json({ rows: units.loose(), next: null });
  });
  router.get('/:id', (request, response) => {
    const file = units.file(parse(id, request.params.id));
    if (file === null) throw new HttpError('no-such-unit', 'There is no such unit.');
    response.json(file);
  });
  router.put('/:id', (request, response) => {
    const unitId = parse(id, request.params.id);
    const { by, unit } = parse(unitBody, request.body);
    mustBeKnown(services, by);
    const known = units.get(unitId);
    response.status(known === null ? 201 : 200).json(units.describe(unitId, unit));
  });
  router.post('/:id/life', (request, response) => {
    const unitId = parse(id, request.params.id);
    const { by, entry } = parse(lifeBody, request.body);
    mustBeKnown(services, by);
    if (units.get(unitId) === null) throw new HttpError('no-such-unit', 'There is no such unit.');
    if (entry.vehicleId !== null && vehicles.get(entry.vehicleId) === null)
      throw new HttpError('no-such-vehicle', 'There is no such vehicle.');
    const outcome = units.live(unitId, entry, by, now());
    if (!outcome.ok) throw new HttpError('not-possible', outcome.message);
    response.status(201).json(outcome.file);
  });
  return router;
}
