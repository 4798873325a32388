import type { Substance } from './substances.ts';

/** What a safety sheet says that the air in the bay is judged by. */
export interface Safety {
  /** g/mol of what evaporates. */
  readonly molarMass: number;
  /** Share of what is sprayed that ends up in the air, 0 to 1. */
  readonly evaporates: number;
  /** °C; null when it does not burn. */
  readonly flashPointC: number | null;
  /** Lower explosive limit, % by volume; null when it does not burn. */
  readonly lelPercent: number | null;
  /** Mean over eight hours, ppm; null when none is set. */
  readonly limitPpm: number | null;
  /** Where the figures are from, with the year; null for a shop figure. */
  readonly source: string | null;
}

const burns = (
  molarMass: number,
  flashPointC: number,
  lelPercent: number,
  limitPpm: number,
  source: string,
  evaporates = 1,
): Safety => ({ molarMass, flashPointC, lelPercent, limitPpm, source, evaporates });

const LIMITS = (what: string, list: string): string =>
  `${what} as the main solvent: ${list}; flash point and explosive limit as usually tabled (CRC Handbook)`;

/**
 * Shipped defaults by kind, taken for the solvent that usually makes up most of it. A product's own safety sheet comes
 * first: its figures are kept with the stock item and take the place of these. Null for what gives no vapour worth counting.
 */
export const SAFETY: Readonly<Record<Substance, Safety | null>> = {
  'throttle-cleaner': burns(58.08, -20, 2.5, 500, LIMITS('Acetone', 'Directive 2000/39/EC, 500 ppm')),
  'carburettor-cleaner': burns(92.14, 4, 1.1, 50, LIMITS('Toluene', 'Directive 2006/15/EC, 50 ppm')),
  'brake-cleaner': burns(100.2, -4, 1.05, 500, LIMITS('Heptane', 'Directive 2000/39/EC, 500 ppm')),
  'brake-cleaner-chlorinated': {
    molarMass: 165.83,
    evaporates: 1,
    flashPointC: null,
    lelPercent: null,
    limitPpm: 20,
    source: 'Tetrachloroethylene: Directive (EU) 2017/164, 20 ppm; does not burn, decomposes to poison gas in heat',
  },
  'air-mass-cleaner': burns(86.18, -26, 1.1, 20, LIMITS('Hexane', 'Directive 2006/15/EC, 20 ppm')),
  'contact-cleaner': burns(60.1, 12, 2, 200, LIMITS('Propan-2-ol', 'ACGIH 2001, 200 ppm')),
  isopropyl: burns(60.1, 12, 2, 200, LIMITS('Propan-2-ol', 'ACGIH 2001, 200 ppm')),
  'injector-cleaner': burns(170, 62, 0.7, 29, LIMITS('Kerosene', 'ACGIH 2003, 200 mg/m³, about 29 ppm'), 0.3),
  'alkaline-detergent': null,
  'oxalic-acid-bath': null,
  'penetrating-oil': burns(142, 40, 0.6, 20, LIMITS('White spirit', 'SCOEL 2007, 20 ppm'), 0.5),
  'silicone-grease': null,
  'lithium-grease': null,
  'petroleum-jelly': null,
  'clean-oil': null,
};
