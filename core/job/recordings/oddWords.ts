import { type Implausible, ROLES } from '../../trace/index.ts';

const round = (value: number): string => String(Math.round(value * 10) / 10);

/** What cannot be in a recording, in a sentence with what would be expected. */
export function oddWords({ role, what, value, expected: { low, high }, unit }: Implausible): string {
  const { name } = ROLES[role];
  const read = `${name} ${round(value)} ${unit}`;
  switch (what) {
    case 'stuck':
      return `${name} stood still at ${round(value)} ${unit} while the engine speed moved`;
    case 'manifold-key-on':
      return `${read} with the engine standing: expected the air outside, ${round(low)} to ${round(high)} ${unit}`;
    case 'cold-apart':
      return `${read}, colder than the air that it stands in`;
    case 'air-mass-apart':
      return `${read} at idle: at that speed and pressure the cylinders draw ${round(low)} to ${round(high)} ${unit}`;
    case 'supply':
      return `${read} with the engine running: expected ${round(low)} to ${round(high)} ${unit}`;
    case 'above-supply':
      return `${read}: more than a sensor is fed with`;
  }
}
