import type { Random } from '../chance/index.ts';
import { type Channel, type Role, roleChannel } from './trace.ts';

/** A channel of a role from its times and what it shows at each. */
export const channel = (role: Role, times: readonly number[], shows: (time: number, at: number) => number): Channel =>
  roleChannel(role, times, times.map(shows));

/** Times at a rate, uneven by a fifth of a step, with a few readings lost. */
export function unevenTimes(seconds: number, hz: number, { uniform }: Pick<Random, 'uniform'>): number[] {
  const times: number[] = [];
  for (let at = 0; at < seconds * hz; at += 1)
    if (at === 0 || uniform() > 0.02) times.push(at / hz + (uniform() - 0.5) * (0.2 / hz));
  return times.sort((a, b) => a - b).map((time) => Math.max(0, time));
}
