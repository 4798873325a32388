import { Router } from 'express';
import { z } from 'zod';
import { auditQuery, id, vehicleInput, vehicleMerge, vehicleQuery } from '../../contract/index.ts';
import { dayOf } from '../../core/days/index.ts';
import type { Services } from '../services.ts';
import { change, mustLead } from './acting.ts';
import { HttpError, saved } from './errors.ts';
import { answerPage, readKey } from './pageKeys.ts';
import { NEWEST_FIRST } from './jobs.ts';
import { parse } from './parse.ts';
import { takeOn } from './takeOn.ts';

const body = z.strictObject({ by: id, basedOn: z.number().int().min(0).default(0), vehicle: vehicleInput });

/** Shown with a vehicle; the rest is asked for. */
const NEWEST_JOBS = { after: null, descending: true, limit: 50 } as const;

/** Vehicles: search, file, create, change. */
export function vehicleRoutes(services: Services): Router {
  const { vehicles, units, families, jobLines, audit, settings, visits } = services;
  const router = Router();

  router.get('/', (request, response) => {
    const { q, sort, direction, after, limit } = parse(vehicleQuery, request.query);
    const order = { list: 'vehicles', sort, direction, columns: vehicles.keyLength(sort) };
    const ask = { after: readKey(after, order), descending: direction === 'desc', limit };
    response.json(answerPage(vehicles.page(q, sort, ask), order));
  });

  router.get('/:id', (request, response) => {
    const vehicle = vehicles.get(parse(id, request.params.id));
    if (vehicle === null) throw new HttpError('no-such-vehicle', 'There is no such vehicle.');
    response.json({
      vehicle,
      version: vehicles.version(vehicle.id),
      family: families.get(vehicle.familyId ?? null),
      jobs: answerPage(
        jobLines.page({ text: '', status: 'all', vehicleId: vehicle.id }, 'number', NEWEST_JOBS),
        NEWEST_FIRST,
      ),
    });
  });

  router.get('/:id/figures', (request, response) => {
    response.json({ rows: visits.of(parse(id, request.params.id)), next: null });
  });

  router.get('/:id/audit', (request, response) => {
    const { before, limit } = parse(auditQuery, request.query);
    response.json({ rows: audit.of('vehicle', parse(id, request.params.id), before, limit), next: null });
  });

  // One way to write: the client makes the id, so that sending twice changes nothing.
  router.put(
    '/:id',
    change(services, (request, actor) => {
      const vehicleId = parse(id, request.params.id);
      const { basedOn, vehicle } = parse(body, request.body);
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
      const { row, created } = saved(
        vehicles.put(vehicleId, vehicle, basedOn, actor, dayOf(actor.at, settings.timeZone())),
        vehicle.plate,
        () => audit.of('vehicle', vehicleId, undefined, 1),
      );
      return { status: created ? 201 : 200, body: row };
    }),
  );

  // Only what nothing hangs on is taken out of the list: a job keeps its vehicle.
  router.delete(
    '/:id',
    change(services, (request, actor) => {
      const vehicleId = parse(id, request.params.id);
      const vehicle = vehicles.get(vehicleId);
      if (vehicle === null) throw new HttpError('no-such-vehicle', 'There is no such vehicle.');
      const jobsOn = jobLines.on(vehicleId);
      if (jobsOn.length > 0)
        throw new HttpError(
          'jobs-on-it',
          `${vehicle.plate} has ${jobsOn.length === 1 ? 'a job' : `${jobsOn.length} jobs`}.`,
          { wouldHelp: 'Put each job on the right vehicle, or merge this vehicle into it.' },
        );
      if (services.lives.elsewhere({ kind: 'vehicle', id: vehicleId }).length > 0)
        throw new HttpError('told-of', `Other shops have told of ${vehicle.plate}.`, {
          wouldHelp: 'Merge it into the right vehicle: what they told goes along.',
        });
      vehicles.remove(vehicleId, actor);
      return { body: { removed: vehicleId } };
    }),
  );

  router.post(
    '/:id/merge',
    change(services, (request, actor) => {
      const from = parse(id, request.params.id);
      const { into, why } = parse(vehicleMerge, request.body);
      mustLead(actor, 'Which vehicles are one');
      const [gone, stays] = [vehicles.get(from), vehicles.get(into)];
      if (gone === null || stays === null) throw new HttpError('no-such-vehicle', 'There is no such vehicle.');
      if (from === into) {
        const message = 'That is the same vehicle. Pick the other entry of it.';
        throw new HttpError('bad-value', message, { fields: { into: message } });
      }
      const moved = jobLines.on(from);
      for (const jobId of moved) takeOn(services, jobId, { type: 'move-job', data: { vehicleId: into, why } }, actor);
      services.lives.move(from, into);
      vehicles.remove(from, actor);
      // What sat on it is on the other one, where that had nothing noted.
      if (stays.units.length === 0 && gone.units.length > 0) {
        const { id: _, lastReading: __, ...input } = { ...stays, units: gone.units };
        vehicles.put(
          into,
          vehicleInput.parse(input),
          vehicles.version(into),
          actor,
          dayOf(actor.at, settings.timeZone()),
        );
      }
      audit.write(actor, 'vehicle-merged', into, { from: gone.plate, jobs: moved.length, why });
      return { body: { into, jobs: moved.length } };
    }),
  );

  return router;
}
