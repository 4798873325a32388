import type { ReportBy } from '../../trace/index.ts';
import type { Vehicle } from '../../vehicle/index.ts';

const LITRES = /(\d+(?:[.,]\d+)?)\s*(?:l|litres?|liters?)\b/i;
const CUBIC = /(\d{2,5})\s*(?:cc|ccm|cm³|cm3)\b/i;
/** Motorcycles are called by their size: *900 four*. */
const CALLED = /^\s*(\d{2,4})\s+(?:single|twin|triple|four|six)\b/i;
/** Engines of vehicles that the work is done on, L. */
const PLAUSIBLE_L = { low: 0.05, high: 12 };

/** Displacement as it stands in words of an engine, *2.5 L four* or *650 cc*, in litres; null where none does. */
export function displacementOf(engine: string): number | null {
  const litres = LITRES.exec(engine)?.[1];
  const cubic = CUBIC.exec(engine)?.[1] ?? CALLED.exec(engine)?.[1];
  const value =
    litres !== undefined ? Number(litres.replace(',', '.')) : cubic !== undefined ? Number(cubic) / 1000 : Number.NaN;
  return value >= PLAUSIBLE_L.low && value <= PLAUSIBLE_L.high ? value : null;
}

/** What recordings of a vehicle are judged by. */
export function reportBy({ engine, figures, units, throttle }: Vehicle): ReportBy {
  const displacementL = displacementOf(engine);
  const plates = units.filter(({ kind }) => kind === 'throttle-body' || kind === 'throttle-actuator');
  const bore = plates.map(({ features }) => features?.portMm).find((each) => typeof each === 'number');
  return {
    idleBand: figures.idleRpm,
    air:
      displacementL === null
        ? null
        : {
            displacementL,
            boreMm: throttle === 'cable' || bore === undefined ? null : bore,
            bodies: Math.max(1, plates.length),
            valveMm2PerPercent: null,
          },
  };
}
