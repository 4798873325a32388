import { Router } from 'express';
import { z } from 'zod';
import { auditQuery, familyInput, id, lifeInput, unitInput, unitQuery } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { change } from './acting.ts';
import { HttpError, saved } from './errors.ts';
import { answerPage, readKey } from './pageKeys.ts';
import { parse } from './parse.ts';

const basedOn = z.number().int().min(0).default(0);
const familyBody = z.strictObject({ by: id, basedOn, family: familyInput });
const unitBody = z.strictObject({ by: id, basedOn, unit: unitInput });
const lifeBody = z.strictObject({ by: id, entry: lifeInput });

/** Engine families. */
export function familyRoutes(services: Services): Router {
  const { families, audit } = services;
  const router = Router();
  router.get('/', (_request, response) => {
    response.json({ rows: families.all(), next: null });
  });
  router.get('/:id', (request, response) => {
    const family = families.get(parse(id, request.params.id));
    if (family === null) throw new HttpError('no-such-family', 'There is no such engine family.');
    response.json({ family, version: families.version(family.id) });
  });
  router.get('/:id/audit', (request, response) => {
    const { before, limit } = parse(auditQuery, request.query);
    response.json({ rows: audit.of('family', parse(id, request.params.id), before, limit), next: null });
  });
  router.put(
    '/:id',
    change(services, (request, actor) => {
      const familyId = parse(id, request.params.id);
      const { basedOn: version, family } = parse(familyBody, request.body);
      const {
        row,
        version: now,
        created,
      } = saved(families.put(familyId, family, version, actor), family.name, () =>
        audit.of('family', familyId, undefined, 1),
      );
      return { status: created ? 201 : 200, body: { family: row, version: now } };
    }),
  );
  return router;
}

/** Units as objects of their own, with their lives. */
export function unitRoutes(services: Services): Router {
  const { units, vehicles, audit } = services;
  const router = Router();
  router.get('/', (request, response) => {
    const { q, kind, state, sort, direction, after, limit } = parse(unitQuery, request.query);
    const order = { list: 'units', sort, direction, columns: units.keyLength(sort) };
    const ask = { after: readKey(after, order), descending: direction === 'desc', limit };
    response.json(answerPage(units.loose({ text: q, kind, state }, sort, ask), order));
  });
  router.get('/:id', (request, response) => {
    const file = units.file(parse(id, request.params.id));
    if (file === null) throw new HttpError('no-such-unit', 'There is no such unit.');
    response.json(file);
  });
  router.get('/:id/audit', (request, response) => {
    const { before, limit } = parse(auditQuery, request.query);
    response.json({ rows: audit.of('unit', parse(id, request.params.id), before, limit), next: null });
  });
  router.put(
    '/:id',
    change(services, (request, actor) => {
      const unitId = parse(id, request.params.id);
      const { basedOn: version, unit } = parse(unitBody, request.body);
      const { row, created } = saved(units.put(unitId, unit, version, actor), unit.partNumber || unitId, () =>
        audit.of('unit', unitId, undefined, 1),
      );
      return { status: created ? 201 : 200, body: row };
    }),
  );
  router.post(
    '/:id/life',
    change(services, (request, actor) => {
      const unitId = parse(id, request.params.id);
      const { entry } = parse(lifeBody, request.body);
      if (units.get(unitId) === null) throw new HttpError('no-such-unit', 'There is no such unit.');
      if (entry.vehicleId !== null && vehicles.get(entry.vehicleId) === null)
        throw new HttpError('no-such-vehicle', 'There is no such vehicle.');
      const outcome = units.live(unitId, entry, actor);
      if (!outcome.ok) throw new HttpError('not-possible', outcome.message);
      return { status: 201, body: outcome.file };
    }),
  );
  return router;
}
