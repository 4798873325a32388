import { type Channel, type Role, roleChannel } from './trace.ts';

/** Gathers what is read, reading by reading, into channels. */
export class Lanes {
  readonly #lanes = new Map<Role, { readonly times: number[]; readonly values: number[] }>();

  /** @param time seconds, not before what came last @param shown what was read then */
  add(time: number, shown: Iterable<readonly [Role, number]>): void {
    for (const [role, value] of shown) {
      const lane = this.#lanes.get(role) ?? { times: [], values: [] };
      this.#lanes.set(role, lane);
      lane.times.push(time);
      lane.values.push(value);
    }
  }

  /** What came until now. */
  channels(): Channel[] {
    return [...this.#lanes].map(([role, { times, values }]) => roleChannel(role, times, values));
  }
}
