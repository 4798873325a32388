import type { Procedure, ProcedureItem } from '../../core/procedure/index.ts';
import { cableProcedure } from './cable.ts';
import { batteryNeed, before } from './parts.ts';

const learned: Readonly<Record<string, Partial<ProcedureItem>>> = {
  dashpot: { restore: ['gap'], note: 'Measure how far the lock-nut sits; a caliper reaches from below.' },
  'idle-screw': { restore: ['turns'] },
  tps: { restore: ['witness-mark'] },
  valve: { restore: ['way-round'] },
  'valve-screws': { minutes: { off: 14, back: 5 } },
  'spring-clip': { note: 'Flies. Eyes. Hold it with a magnet.' },
};

/** What the last jobs taught: measures that are asked for, the battery put back on, and one more reason. */
export const cableNext: Procedure = {
  ...cableProcedure,
  items: cableProcedure.items
    .filter(({ id }) => id !== 'purge')
    .map((item): ProcedureItem => {
      const more = learned[item.id];
      if (item.id === 'flange' && item.fasteners !== null)
        return {
          ...item,
          fasteners: {
            ...item.fasteners,
            staysIn: 2,
            hole: { material: 'die-cast-aluminium', engagementMm: 12 },
            bolts: item.fasteners.bolts.map((bolt) => ({ ...bolt, lengthMm: bolt.id === '4' ? 25 : 30 })),
          },
        };
      return more === undefined ? item : { ...item, ...more };
    }),
  constraints: [
    ...cableProcedure.constraints.filter(({ id }) => id !== 'body-before-purge'),
    before('vac-b', 'duct', 'the hose runs under the duct'),
  ],
  needs: [batteryNeed(), ...cableProcedure.needs],
};
