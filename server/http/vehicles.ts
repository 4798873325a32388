import { Router } from 'express';
import { z } from 'zod';
import { id, vehicleInput, vehicleQuery } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';
import { mustBeKnown } from './people.ts';

const body = z.strictObject({ by: id, vehicle: vehicleInput });

/** Vehicles: search, file, create, change. */
export function vehicleRoutes({ vehicles, units, families, lists, people, now }: Services): Router {
  const router = Router();

  router.get('/', (request, response) => {
    const { q, after, limit } = parse(vehicleQuery, request.query);
    response.json(vehicles.search(q, after, limit));
  });

  router.get('/:id', (request, response) => {
    const vehicle = vehicles.get(parse(id, request.params.id));
    if (vehicle === null) throw new HttpError('no-such-vehicle', 'There is no such vehicle.');
    response.json({
      vehicle,
      family: families.get(vehicle.familyId ?? null),
      jobs: lists.jobs({ status: 'all', vehicleId: vehicle.id, limit: 100 }),
    });
  });

  // One way to write: the client makes the id, so that sending twice changes nothing.
  router.put('/:id', (request, response) => {
    const vehicleId = parse(id, request.params.id);
    const { by, vehicle } = parse(body, request.body);
    mustBeKnown({ people }, by);
    const other = vehicles.withPlate(vehicle.plate, vehicleId);
    if (other !== null) {
      const message = `${other.plate} is on the list already: ${other.make} ${other.model}.`;
      throw new HttpError('bad-value', message, { fields: { 'vehicle.plate': message } });
    }
    const taken = units.elsewhere(vehicleId, vehicle.units);
    if (taken !== null) {
      const message = `Unit ${taken.partNumber || taken.id} sits on ${vehicles.get(taken.vehicleId ?? '')?.plate ?? 'another vehicle'}. Take it off there first.`;
      throw new HttpError('bad-value', message, { fields: { 'vehicle.units': message } });
    }
    const known = vehicles.get(vehicleId);
    response.status(known === null ? 201 : 200).json(vehicles.put(vehicleId, vehicle, by, now()));
  });

  return router;
}
