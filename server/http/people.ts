import type { Person } from '../../contract/index.ts';
import type { Services } from '../services.ts';
import { HttpError } from './errors.ts';

/** Refuses a sender that is not in the list. */
export function mustBeKnown({ people }: Pick<Services, 'people'>, by: string): void {
  if (!people().has(by))
    throw new HttpError('bad-value', 'That person is not in the list.', {
      fields: { by: 'Pick who is at the bench.' },
    });
}

const MAY: ReadonlySet<Person['role']> = new Set(['lead', 'owner']);

/** Refuses what only a lead or the owner may change. */
export function mustLead({ people, lists }: Pick<Services, 'people' | 'lists'>, by: string, what: string): void {
  mustBeKnown({ people }, by);
  const role = lists.people().find(({ id }) => id === by)?.role;
  if (role === undefined || !MAY.has(role))
    throw new HttpError('not-yours', `${what} is changed by a lead or the owner.`, {
      wouldHelp: 'Ask them, or change who is at the bench.',
    });
}
