import express, { type Request, type RequestHandler, Router } from 'express';
import { parse } from './parse.ts';
import { id } from '../../contract/index.ts';
import { PracticeError } from '../practice/errors.ts';
import type { World } from '../practice/world.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';

/** A mount of the shop's own routes. */
export type Mount = readonly [path: string, routes: (services: Services) => Router];

/** What may be changed in a practice world: the job, and what is read and photographed for it. All else is the shop's own. */
const CHANGED_IN_PRACTICE = /^\/(jobs\/[^/]+\/(commands|countersign)|(adapter|pictures|recordings)(\/.*)?)$/;
/** Files by which a practice job would go into a shop as if it had been done, and what tells others of it. */
const LEAVES =
  /^\/(jobs\/[^/]+\/(file|links|phones)|(vehicles|units)\/[^/]+\/life|know-how|feeds|calendars.*|keeping|reports\/.*)$/;
const READS: ReadonlySet<string> = new Set(['GET', 'HEAD']);

/**
 * The shop's own routes over the world of a practice job: the same screens work there, and what they do stays there.
 * @param fileRoutes those that read the body of a request themselves
 */
export function practiceWorldRoutes(
  services: Services,
  fileRoutes: readonly Mount[],
  routes: readonly Mount[],
): RequestHandler {
  const routers = new WeakMap<World, Router>();
  const routerOf = (world: World): Router => {
    const known = routers.get(world) ?? routerFor(world);
    routers.set(world, known);
    return known;
  };

  function routerFor(world: World): Router {
    const router = Router();
    for (const [path, made] of fileRoutes) router.use(path, made(world.services));
    router.use(express.json({ limit: '2mb' }));
    for (const [path, made] of routes) router.use(path, made(world.services));
    return router;
  }

  return (request, response, next) => {
    const changes = !READS.has(request.method);
    const world = worldOf(services, request, changes);
    response.set({ 'x-shop-time': world.nowIso(), 'x-practice-pace': world.pace });
    if (LEAVES.test(request.path)) throw new HttpError('in-practice', 'Nothing of a practice job leaves practice.');
    if (changes && !CHANGED_IN_PRACTICE.test(request.path))
      throw new HttpError('in-practice', 'That is the shop’s own, and is not changed from a practice job.', {
        wouldHelp: 'Leave practice first.',
      });
    routerOf(world)(request, response, next);
  };
}

/** @param changes nothing of one that is ended changes any more */
function worldOf({ practice }: Services, request: Request, changes: boolean): World {
  try {
    const which = parse(id, request.params.world);
    if (changes) practice.mustBeOpen(which);
    return practice.world(which);
  } catch (error) {
    if (error instanceof PracticeError) throw new HttpError(error.code, error.message, { wouldHelp: error.wouldHelp });
    throw error;
  }
}
