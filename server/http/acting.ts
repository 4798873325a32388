import type { Request, Response } from 'express';
import type { Person } from '../../contract/index.ts';
import { mayChange } from '../../core/access/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';

/** Who does what a request asks for, and when. The only place that says so. */
export interface Actor extends Stamp {
  readonly role: Person['role'];
}

/** The answer to a request that changed something. */
export interface Answer {
  readonly status?: number;
  readonly body: unknown;
}

type Acting = Pick<Services, 'people' | 'now'>;

/**
 * The person who sent a request: whoever is signed in; in a shop without accounts, `by` in its body or query.
 * @throws HttpError 400 for one who is not in the list
 */
export function actorOf({ people, now }: Acting, request: Request): Actor {
  if (request.caller !== undefined) return { by: request.caller.personId, at: now(), role: request.caller.role };
  const sent: unknown = (request.body as { by?: unknown } | undefined)?.by ?? request.query.by;
  const by = typeof sent === 'string' ? sent : '';
  const role = people.roleOf(by);
  if (role === null)
    throw new HttpError('bad-value', 'That person is not in the list.', { fields: { by: 'Pick who you are.' } });
  return { by, at: now(), role };
}

/** The shop itself, as it reads a file that nobody in particular sends. */
export const shopItself = ({ now }: Pick<Services, 'now'>): Stamp => ({ by: 'shop', at: now() });

/** Refuses what only a lead or the owner may change. */
export function mustLead({ role }: Actor, what: string): void {
  if (!mayChange(role))
    throw new HttpError('not-yours', `${what} is changed by a lead or the proprietor.`, {
      wouldHelp: 'Ask them, or change who is working.',
    });
}

/** A practice world has the same lists under an address of its own. */
const IN_PRACTICE = /^\/api\/practice\/worlds\/[^/]+(?=\/)/;

/**
 * A route that changes something: what it does is one transaction, kept whole or not at all, and it is answered once
 * that is on disk.
 */
export const change =
  (services: Acting & Pick<Services, 'oneGo' | 'changes'>, work: (request: Request, actor: Actor) => Answer) =>
  (request: Request, response: Response): void => {
    const { status = 200, body } = services.oneGo.run(() => work(request, actorOf(services, request)));
    response.status(status).json(body);
    // Lists are known by the noun in their address; a job tells of itself.
    const list = new URL(request.originalUrl, 'http://shop').pathname.replace(IN_PRACTICE, '/api').split('/')[2] ?? '';
    if (list !== 'jobs') services.changes.tell({ kind: 'rows', list });
  };
