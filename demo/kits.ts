import type { KitPart, Rubber } from '../core/rebuild/index.ts';

const part = (
  order: number,
  id: string,
  name: string,
  partNumber: string,
  rubber: Rubber | null,
  more: Partial<KitPart> = {},
): KitPart => ({ id, name, partNumber, count: 1, rubber, wayRound: '', order, ...more });

/** Seals of each unit in the order in which they go in. Made up, as the numbers are. */
export const KITS = {
  norrlandBody: [
    part(1, 'shaft', 'Shaft seals', 'NP-25-1112', 'nbr', { count: 2, wayRound: 'lip outwards' }),
    part(2, 'screw', 'Idle screw O-ring', 'NP-25-1140', 'nbr', { note: 'count the turns' }),
    part(3, 'tps', 'Sensor seal', 'NP-25-1118', 'silicone-rubber', { wayRound: 'flat side to the sensor' }),
    part(4, 'gasket', 'Body gasket', 'NP-25-1107', null, { wayRound: 'printed side to the manifold' }),
  ],
  norrlandValve: [
    part(1, 'ring', 'Valve O-ring', 'NP-25-1131', 'nbr'),
    part(2, 'screws', 'Valve screws', 'NP-05-0514', null, { count: 2, note: 'new ones; the old were seized' }),
  ],
  calderBody: [part(1, 'ring', 'Body seal ring', 'CW-14-0210', 'fkm', { wayRound: 'tongue in the slot' })],
  terrowBody: [
    part(1, 'shaft', 'Shaft seals', 'TM-45-125', 'nbr', { count: 2, wayRound: 'lip outwards' }),
    part(2, 'gasket', 'Body gasket', 'TM-45-119', null),
  ],
  terrowValve: [part(1, 'ring', 'Stepper O-ring', 'TM-45-121', 'nbr')],
  vantaroIdle: [part(1, 'ring', 'Idle actuator O-ring', 'VR-48-0341', 'fkm')],
  vantaroBody: [part(1, 'gasket', 'Body gasket', 'VR-48-0330', null, { wayRound: 'tab upwards' })],
  flap: [part(1, 'gasket', 'Flap gasket', 'VF-30-0714', null, { wayRound: 'bead to the flap' })],
  suleBank: [
    part(1, 'ring', 'Injector O-ring', 'SU-90-112', 'epdm', { placed: 'cylinder', note: 'silicone grease only' }),
    part(2, 'sync', 'Sync screw O-ring', 'SU-90-118', 'nbr'),
  ],
} as const satisfies Record<string, readonly KitPart[]>;
