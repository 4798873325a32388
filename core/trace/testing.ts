import type { Channel, Role } from './trace.ts';
import { ROLES } from './trace.ts';

/** Random numbers from a seed, for synthetic traces. */
export function random(seed: number): { readonly uniform: () => number; readonly normal: () => number } {
  let state = seed | 0;
  const uniform = (): number => {
    state = (state + 0x6d2b79f5) | 0;
    let mixed = Math.imul(state ^ (state >>> 15), 1 | state);
    mixed = (mixed + Math.imul(mixed ^ (mixed >>> 7), 61 | mixed)) ^ mixed;
    return ((mixed ^ (mixed >>> 14)) >>> 0) / 4_294_967_296;
  };
  return {
    uniform,
    normal: () => Math.sqrt(-2 * Math.log(Math.max(uniform(), 1e-12))) * Math.cos(2 * Math.PI * uniform()),
  };
}

/** A channel of a role from its times and what it shows at each. */
export function channel(role: Role, times: readonly number[], shows: (time: number, at: number) => number): Channel {
  const { name, unit } = ROLES[role];
  return {
    id: role,
    role,
    name,
    unit,
    times: Float64Array.from(times),
    values: Float64Array.from(times, (time, at) => shows(time, at)),
  };
}

/** Times at a rate, uneven by a fifth of a step, with a few readings lost. */
export function unevenTimes(
  seconds: number,
  hz: number,
  { uniform }: Pick<ReturnType<typeof random>, 'uniform'>,
): number[] {
  const times: number[] = [];
  for (let at = 0; at < seconds * hz; at += 1)
    if (at === 0 || uniform() > 0.02) times.push(at / hz + (uniform() - 0.5) * (0.2 / hz));
  return times.sort((a, b) => a - b).map((time) => Math.max(0, time));
}
