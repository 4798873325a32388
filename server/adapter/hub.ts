import type { AdapterLinkInfo } from '../../contract/index.ts';
import { AdapterError, InProcessVehicle, type Link, openTcp } from './links.ts';
import { SCRIPTS } from './scripts.ts';
import { vinOf } from './simulator.ts';

/** Every adapter that can be read: simulated vehicles in this process, and whatever listens on a port of this machine. */
export class AdapterHub {
  readonly #vehicles = new Map(SCRIPTS.map((script) => [`sim.${script.id}`, new InProcessVehicle(script)]));
  readonly #ports: readonly number[];

  /** @param ports ports of this machine at which a stand-in is expected */
  constructor(ports: readonly number[] = []) {
    this.#ports = ports;
  }

  list(): AdapterLinkInfo[] {
    return [
      ...[...this.#vehicles].map(([id, { script }]) => ({
        id,
        name: `Simulated: ${script.name}`,
        vehicleId: script.vehicleId,
        vin: vinOf(script),
      })),
      ...this.#ports.map((port) => ({ id: `tcp.${port}`, name: `Stand-in on port ${port}`, vehicleId: '', vin: '' })),
    ];
  }

  /** @throws AdapterError when there is no such adapter, or it does not answer */
  async open(id: string): Promise<Link> {
    const vehicle = this.#vehicles.get(id);
    if (vehicle !== undefined) return vehicle.open();
    // Only ports that the program was started with: a page must not make it knock at others.
    const port = this.#ports.find((each) => id === `tcp.${each}`);
    if (port === undefined) throw new AdapterError('adapter-gone', `There is no adapter “${id}”.`);
    return openTcp(port);
  }
}
