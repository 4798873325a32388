import type { FieldName, Unit } from '../quantity/index.ts';

/** A reading that a run can wait for or end on. */
export interface ReadingDefinition {
  readonly name: string;
  /** The unit that its value is kept in. */
  readonly unit: Unit;
  /** Other units that people think in. */
  readonly units: readonly Unit[];
  readonly field: FieldName;
  /** What can be read at all, both ends inclusive, in `unit`. */
  readonly bounds: readonly [low: number, high: number];
  /** A change that is worth telling on the way, in `unit`. */
  readonly step: number;
  /** Its parameter id in live data, SAE J1979. */
  readonly pid: number;
}

/** What can be read while a run goes on, typed or from the adapter. Ids are stored: never change one. */
export const READINGS = {
  ect: {
    name: 'Coolant',
    unit: '°C',
    units: ['°C', '°F'],
    field: 'coolantTemperature',
    bounds: [-50, 150],
    step: 2,
    pid: 0x05,
  },
  rpm: {
    name: 'Engine speed',
    unit: 'rpm',
    units: ['rpm'],
    field: 'idleSpeed',
    bounds: [0, 15_000],
    step: 50,
    pid: 0x0c,
  },
  speed: {
    name: 'Road speed',
    unit: 'km/h',
    units: ['km/h', 'mph'],
    field: 'roadSpeed',
    bounds: [0, 300],
    step: 3,
    pid: 0x0d,
  },
  volts: {
    name: 'Battery',
    unit: 'V',
    units: ['V'],
    field: 'batteryVolts',
    bounds: [0, 60],
    step: 0.2,
    pid: 0x42,
  },
  throttle: {
    name: 'Throttle opening',
    unit: '%',
    units: ['%'],
    field: 'share',
    bounds: [0, 100],
    step: 2,
    pid: 0x11,
  },
  iat: {
    name: 'Intake air',
    unit: '°C',
    units: ['°C', '°F'],
    field: 'coolantTemperature',
    bounds: [-50, 150],
    step: 2,
    pid: 0x0f,
  },
} as const satisfies Record<string, ReadingDefinition>;

/** What a person can type in, or the adapter reads, while a run goes on. */
export type ReadingName = keyof typeof READINGS;

/** What is or is not the case, ticked by the person, in words for both. Ids are stored: never change one. */
export const FLAGS: Readonly<Record<string, { readonly on: string; readonly off: string }>> = {
  'loads-off': { on: 'lights, fan and heater off', off: 'lights or heater on' },
  'fan-running': { on: 'radiator fan runs', off: 'radiator fan at rest' },
  'fan-cycled': { on: 'radiator fan has come on and gone off', off: 'radiator fan has not come on yet' },
  bubbles: { on: 'bubbles rise', off: 'no bubbles' },
  'heater-hot': { on: 'heater blows hot', off: 'heater blows cold' },
  'in-neutral': { on: 'in neutral or park', off: 'in gear' },
  'foot-off': { on: 'foot off the pedal', off: 'foot on the pedal' },
  'charger-on': { on: 'charger on the battery', off: 'charger off' },
  'codes-gone': { on: 'no code is stored', off: 'a code is stored' },
};
