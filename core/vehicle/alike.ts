import { type EngineFamily, UNIT_KINDS } from './family.ts';
import { type Vehicle, vehicleName } from './types.ts';

/**
 * Another vehicle of the same kind, to be completed: what tells one from the other (plate, VIN, customer, numbers on its
 * units, meter) is not taken over, for that is a fact of the other one.
 * @param freshId gives each of its units an id of its own
 */
export const anotherLike = (vehicle: Vehicle, id: string, freshId: () => string): Vehicle => ({
  ...vehicle,
  id,
  plate: '',
  vin: '',
  nickname: '',
  owner: '',
  notes: '',
  knownSince: null,
  lastReading: null,
  units: vehicle.units.map(({ kind, place }) => ({ id: freshId(), kind, place, partNumber: '', variant: '' })),
});

/** A family made of one vehicle: its kind of throttle and valve, figures and the units that sit on it. */
export function familyOf(vehicle: Vehicle, id: string): EngineFamily {
  const { throttle, idleValve, engine, use, units, figures, computer } = vehicle;
  const kinds = [...new Set(units.map(({ kind }) => kind))];
  const placesOf = (kind: (typeof kinds)[number]) => units.filter((unit) => unit.kind === kind);
  const most = Math.max(1, ...kinds.map((kind) => placesOf(kind).length));
  return {
    id,
    name: vehicleName({ ...vehicle, nickname: '' }),
    engine,
    throttle,
    idleValve,
    use: use === 'motorcycle' || use === 'outboard' ? use : 'road',
    layout: most > 2 ? 'per-cylinder' : most > 1 ? 'per-bank' : 'single',
    unitTypes: kinds.map((kind) => {
      const [first] = placesOf(kind);
      const { portMm = null, gasket = '', pins = null, drive = '', mark = '', bores } = first?.features ?? {};
      return {
        id: kind,
        kind,
        name: UNIT_KINDS[kind],
        places: placesOf(kind).map(({ place }) => place),
        partNumber: first?.partNumber ?? '',
        expected: {
          portMm,
          gasket,
          pins,
          drive,
          mark: mark || (first?.variant ?? ''),
          ...(bores === undefined ? {} : { bores }),
        },
        prices: { new: null, rebuilt: null, used: null },
        daysToGet: null,
        source: `as fitted on ${vehicle.plate}`,
      };
    }),
    figures: Object.fromEntries(Object.entries(figures).filter(([, figure]) => figure !== null)),
    notes: '',
    ...(computer === undefined || computer === '' ? {} : { computers: [computer] }),
  };
}
