import { Router } from 'express';
import { z } from 'zod';
import { id, procedure, PROCEDURE_FORMAT, procedureFile } from '../../contract/index.ts';
import { type Procedure, procedureProblems } from '../../core/procedure/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Services } from '../services.ts';
import { change } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const saveBody = z.strictObject({
  by: id,
  /** The version it was made from; 0 for a new procedure. */
  basedOn: z.number().int().min(0),
  note: z.string().trim().min(1, 'Say in a few words what is new.').max(300),
  procedure,
});
const fileBody = z.strictObject({ by: id, file: procedureFile });
const versionQuery = z.strictObject({ version: z.coerce.number().int().min(1).optional() });

/** The procedures library: versions, what they took, and files out and in. */
export function procedureRoutes(services: Services): Router {
  const { procedures } = services;
  const router = Router();

  const find = (idText: unknown, query: unknown): Procedure => {
    const procedureId = parse(id, idText);
    const { version } = parse(versionQuery, query);
    const found = procedures.get(procedureId, version);
    if (found === null)
      throw new HttpError(
        'no-such-procedure',
        version === undefined ? 'There is no such procedure.' : 'There is no such version of it.',
      );
    return found;
  };

  const save = (body: Procedure, basedOn: number, note: string, who: Stamp): Procedure => {
    const wrong = procedureProblems(body).filter(({ level }) => level === 'wrong');
    if (wrong[0] !== undefined)
      throw new HttpError('bad-value', wrong[0].words, {
        fields: Object.fromEntries(wrong.map(({ subject, words }) => [`procedure.${subject ?? 'whole'}`, words])),
      });
    const outcome = procedures.save(body, basedOn, note, who);
    if (!outcome.ok)
      throw new HttpError(
        'procedure-moved-on',
        basedOn === 0
          ? `A procedure with that id is here already, version ${outcome.newest}.`
          : `Version ${outcome.newest} was saved meanwhile; this was made from version ${basedOn}. Nothing was saved.`,
        { wouldHelp: 'Look at the difference, then save on top of it.' },
      );
    return outcome.procedure;
  };

  router.get('/', (_request, response) => {
    response.json({ rows: procedures.lines(), next: null });
  });
  router.get('/:id', (request, response) => {
    response.json(find(request.params.id, request.query));
  });
  router.get('/:id/versions', (request, response) => {
    const { id: procedureId } = find(request.params.id, {});
    response.json({ rows: procedures.versions(procedureId), next: null });
  });
  router.get('/:id/times', (request, response) => {
    const { id: procedureId } = find(request.params.id, {});
    response.json(procedures.times(procedureId));
  });
  router.get('/:id/file', (request, response) => {
    const body = find(request.params.id, request.query);
    response
      .attachment(`${body.id}-${body.version}.procedure.json`)
      .json({ format: PROCEDURE_FORMAT, version: 1, procedure: body });
  });
  router.put(
    '/:id',
    change(services, (request, actor) => {
      const procedureId = parse(id, request.params.id);
      const { basedOn, note, procedure: body } = parse(saveBody, request.body);
      if (body.id !== procedureId)
        throw new HttpError('bad-value', 'The address and the procedure name different ids.', {
          fields: { 'procedure.id': `Expected ${procedureId}.` },
        });
      return { status: basedOn === 0 ? 201 : 200, body: save(body, basedOn, note, actor) };
    }),
  );
  // A file becomes the next version of a procedure that is here, or a new one.
  router.post(
    '/files',
    change(services, (request, actor) => {
      const { file } = parse(fileBody, request.body);
      const here = procedures.get(file.procedure.id)?.version ?? 0;
      const note = file.procedure.changes || 'read from a file';
      return { status: 201, body: save(file.procedure, here, note, actor) };
    }),
  );
  return router;
}
