import { Router } from 'express';
import { z } from 'zod';
import { id, toolInput, wrenchInput } from '../../contract/index.ts';
import type { Tool } from '../../core/prepare/index.ts';
import type { Wrench } from '../../core/torque/index.ts';
import type { Services } from '../services.ts';
import { change, mustLead } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const wrenchBody = z.strictObject({ by: id, wrench: wrenchInput });
const toolBody = z.strictObject({ by: id, tool: toolInput });

/** Torque wrenches and tools of the wall: hung up, changed, taken down. */
export function wallRoutes(services: Services): Router {
  const { tools } = services;
  const router = Router();
  router.put(
    '/wrenches/:id',
    change(services, (request, actor) => {
      mustLead(actor, 'The wall of tools');
      const { wrench } = parse(wrenchBody, request.body);
      const { low, high } = wrench.scale;
      if (low >= high)
        throw new HttpError('bad-value', 'Expected the smaller figure first.', {
          fields: { 'wrench.scale': 'Expected the smaller figure first.' },
        });
      tools.put('wrench', { id: parse(id, request.params.id), ...wrench } as Wrench, actor);
      return { body: { wrenches: tools.wrenches() } };
    }),
  );
  router.put(
    '/tools/:id',
    change(services, (request, actor) => {
      mustLead(actor, 'The wall of tools');
      const { tool } = parse(toolBody, request.body);
      tools.put('tool', { id: parse(id, request.params.id), ...tool } as Tool, actor);
      return { body: { tools: tools.all() } };
    }),
  );
  for (const [path, kind] of [
    ['/wrenches/:id', 'wrench'],
    ['/tools/:id', 'tool'],
  ] as const)
    router.delete(
      path,
      change(services, (request, actor) => {
        mustLead(actor, 'The wall of tools');
        if (!tools.remove(kind, parse(id, request.params.id), actor))
          throw new HttpError('no-such-tool', 'That does not hang there.');
        return { body: { wrenches: tools.wrenches(), tools: tools.all() } };
      }),
    );
  return router;
}
