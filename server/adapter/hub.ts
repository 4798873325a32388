import type { AdapterLinkInfo, Deed } from '../../contract/index.ts';
import type { EngineState } from '../../core/engine/index.ts';
import type { VehicleDone } from '../../core/job/index.ts';
import { AdapterError, InProcessVehicle, type Link, openTcp } from './links.ts';
import { type RecorderClock, worldClock } from './recorder.ts';
import { SCRIPTS, type VehicleScript } from './scripts.ts';
import { vinOf } from './simulator.ts';

/** Every adapter that can be read: simulated vehicles in this process, and whatever listens on a port of this machine. */
export class AdapterHub {
  readonly #vehicles: ReadonlyMap<string, InProcessVehicle>;
  readonly #ports: readonly number[];
  readonly clock: RecorderClock;

  /**
   * @param ports ports of this machine at which a stand-in is expected
   * @param clock time of simulated vehicles, and of what records them
   * @param scripts the vehicles that are simulated here
   */
  constructor(
    ports: readonly number[] = [],
    clock: RecorderClock = worldClock(),
    scripts: readonly VehicleScript[] = SCRIPTS,
  ) {
    this.#ports = ports;
    this.clock = clock;
    this.#vehicles = new Map(
      scripts.map((script) => [`sim.${script.id}`, new InProcessVehicle(script, this.clock.seconds)]),
    );
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

  /**
   * Somebody does something at a vehicle’s key and foot: on a simulated one the program does it itself.
   * @returns false where a person has to
   */
  act(id: string, deed: Deed): boolean {
    const found = this.#vehicles.get(id);
    found?.vehicle.act(deed);
    return found !== undefined;
  }

  /** How the engine of a simulated vehicle is now; null where it is not simulated here. */
  engineOf(id: string): EngineState | null {
    return this.#vehicles.get(id)?.vehicle.engineNow() ?? null;
  }

  /** Tells the simulated vehicle of a file what was done to it in the shop. */
  meet(vehicleId: string, done: VehicleDone): void {
    for (const { script, vehicle } of this.#vehicles.values()) if (script.vehicleId === vehicleId) vehicle.meet(done);
  }
}
