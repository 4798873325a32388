import type { Person } from '../../contract/index.ts';
import type { Wrench } from '../../core/torque/index.ts';
import { give, keep, remove } from './asking.ts';
import { api } from './api.ts';

type PersonInput = Pick<Person, 'name' | 'role' | 'bay'>;

/** Adds somebody or changes what is said of them; the first one of an empty shop adds themselves. */
export const keepPerson = (
  id: string,
  person: PersonInput,
  by: string,
): Promise<{ readonly people: readonly Person[] }> =>
  api.put(`/people/${encodeURIComponent(id)}`, { by: by === '' ? id : by, person });
/** Somebody leaves the workshop. */
export const letLeave = (id: string): Promise<{ readonly people: readonly Person[] }> =>
  give(`/people/${encodeURIComponent(id)}/leave`);
/** Hangs a wrench on the wall. */
export const keepWrench = ({ id, ...wrench }: Wrench): Promise<{ readonly wrenches: readonly Wrench[] }> =>
  keep(`/wrenches/${encodeURIComponent(id)}`, { wrench });
/** Takes a wrench off the wall. */
export const dropWrench = (id: string): Promise<{ readonly wrenches: readonly Wrench[] }> =>
  remove(`/wrenches/${encodeURIComponent(id)}`);
/** Puts the starter set into the shop. */
export const takeStarter = (): Promise<{ readonly added: number; readonly of: number }> => give('/starter');
