import { convert } from './convert.ts';
import type { Field } from './fields.ts';
import { type Kind, type Unit, unitOf } from './units.ts';

/**
 * What is met on the engines of this trade, both ends inclusive. It decides between two readings of one text and is
 * no limit. Shop figures, chosen wide; a field's own range goes before them.
 */
const PLAUSIBLE: Readonly<Record<Kind, readonly [low: number, high: number, unit: Unit]>> = {
  torque: [0.2, 600, 'N·m'],
  length: [0, 10_000, 'mm'],
  distance: [0, 3_000_000, 'km'],
  volume: [5, 60_000, 'mL'],
  temperature: [-80, 400, '°C'],
  pressure: [-100, 250_000, 'kPa'],
  mass: [0, 100_000, 'g'],
  duration: [0, 360_000_000, 's'],
  angle: [-1080, 1080, '°'],
  area: [0, 10_000, 'mm²'],
  voltage: [-60, 60, 'V'],
  frequency: [0, 20_000, 'rpm'],
  resistance: [0, 1e7, 'Ω'],
  share: [-100, 200, '%'],
  flow: [0, 400, 'g/s'],
  speed: [0, 400, 'km/h'],
  hardness: [0, 100, 'Shore A'],
  count: [0, 1_000_000, 'pcs'],
  money: [0, 1e9, 'cr'],
};

/** The most decimals that an instrument of the trade, or a sheet, gives in a unit; where none stands, two. */
const FINEST: Readonly<Partial<Record<Unit, number>>> = {
  'in·lb': 1,
  'N·cm': 1,
  'cN·m': 1,
  'kgf·cm': 1,
  'kgf·m': 3,
  mm: 3,
  m: 3,
  µm: 1,
  in: 4,
  thou: 1,
  km: 1,
  mi: 1,
  mL: 1,
  L: 3,
  '°C': 1,
  '°F': 1,
  bar: 3,
  mbar: 1,
  hPa: 1,
  kg: 3,
  V: 3,
  mV: 1,
  rpm: 1,
  Hz: 3,
  Ω: 3,
  kΩ: 3,
  MΩ: 3,
  min: 1,
  '°': 1,
  'mm²': 3,
  'g/s': 3,
  pcs: 0,
};

/** Whether a value is one that is met in this field. */
export function isPlausible(field: Field, value: number, unit: Unit): boolean {
  if (field.plausible !== undefined && field.assume !== undefined) {
    const own = convert(value, unit, field.assume);
    return own >= field.plausible[0] && own <= field.plausible[1];
  }
  const [low, high, kindUnit] = PLAUSIBLE[unitOf(unit).kind];
  const own = convert(value, unit, kindUnit);
  return own >= low && own <= high;
}

/** Whether an instrument gives so many decimals in a unit. */
export const isReadable = (field: Field, decimals: number, unit: Unit): boolean =>
  decimals <= (field.decimals ?? FINEST[unit] ?? 2);
