import type { Person } from '../../contract/index.ts';
import type { ShopValues } from '../../core/figures/index.ts';
import type { Tool } from '../../core/prepare/index.ts';
import type { Wrench } from '../../core/torque/index.ts';
import { give, keep, remove } from './asking.ts';
import { api } from './api.ts';

type PersonInput = Omit<Person, 'id' | 'leftAt'>;

/** Adds somebody or changes what is said of them; the first one of an empty shop adds themselves. */
export const keepPerson = (
  id: string,
  person: PersonInput,
  by: string,
): Promise<{ readonly people: readonly Person[] }> =>
  api.put(`/people/${encodeURIComponent(id)}`, { by: by === '' ? id : by, person });
/** Somebody leaves the workshop. @param to who has their open jobs from now on; null for nobody in particular */
export const letLeave = (id: string, to?: string | null): Promise<{ readonly people: readonly Person[] }> =>
  give(`/people/${encodeURIComponent(id)}/leave`, to === undefined ? {} : { to });
/** Hangs a wrench on the wall. */
export const keepWrench = ({ id, ...wrench }: Wrench): Promise<{ readonly wrenches: readonly Wrench[] }> =>
  keep(`/wrenches/${encodeURIComponent(id)}`, { wrench });
/** Takes a wrench off the wall. */
export const dropWrench = (id: string): Promise<{ readonly wrenches: readonly Wrench[] }> =>
  remove(`/wrenches/${encodeURIComponent(id)}`);
/** Puts the starter set into the shop. */
export const takeStarter = (): Promise<{ readonly added: number; readonly of: number }> => give('/starter');
/** Hangs a tool on the wall. */
export const keepTool = ({ id, ...tool }: Tool): Promise<{ readonly tools: readonly Tool[] }> =>
  keep(`/tools/${encodeURIComponent(id)}`, { tool });
/** Takes a tool off the wall. */
export const dropTool = (id: string): Promise<{ readonly tools: readonly Tool[] }> =>
  remove(`/tools/${encodeURIComponent(id)}`);
/** Says a figure of the trade as this shop has it; null takes it back to what is usual. */
export const keepFigure = (
  id: string,
  value: number | null,
  source: string,
): Promise<{ readonly figures: ShopValues }> =>
  keep(`/figures/${id}`, { value, source: source === '' ? null : source });
