/**
 * Own-words meanings for the generic (SAE J2012 / ISO 15031-6) throttle, pedal, idle, air-metering and fuel-trim
 * codes. Only the code numbers come from the standard; the sentences are ours. Families with the same pattern over
 * several sensors are generated, so that no row is a near copy of another.
 */
const electrical = (what: string): readonly string[] => [
  `${what}: circuit fault`,
  `${what}: reading outside what is plausible`,
  `${what}: signal too low`,
  `${what}: signal too high`,
  `${what}: signal comes and goes`,
];

function series(first: number, meanings: readonly string[]): [string, string][] {
  return meanings.map((meaning, index) => [`P${(first + index).toString(16).toUpperCase().padStart(4, '0')}`, meaning]);
}

/** Code → what it says, in our own words. */
export const DTC_MEANINGS: ReadonlyMap<string, string> = new Map([
  ...series(0x0068, ['Air pressure or air mass does not fit the throttle position']),
  ...series(0x0100, electrical('Air-mass sensor A')),
  ...series(0x0105, electrical('Manifold pressure sensor')),
  ...series(0x0110, electrical('Intake air temperature sensor')),
  ...series(0x0115, electrical('Coolant temperature sensor')),
  ['P0128', 'Coolant does not get warm in time'],
  ...series(0x0120, electrical('Throttle or pedal sensor A')),
  ...series(0x0130, electrical('Oxygen sensor, bank 1 before the catalyst').slice(0, 1)),
  ['P0133', 'Oxygen sensor, bank 1 before the catalyst: slow to answer'],
  ['P0171', 'Bank 1 runs lean: more air than was measured, or too little fuel'],
  ['P0172', 'Bank 1 runs rich: too much fuel, or less air than was measured'],
  ['P0174', 'Bank 2 runs lean: more air than was measured, or too little fuel'],
  ['P0175', 'Bank 2 runs rich: too much fuel, or less air than was measured'],
  ...series(0x0220, electrical('Throttle or pedal sensor B')),
  ['P0300', 'Misfires on more than one cylinder'],
  ...Array.from({ length: 8 }, (_, cylinder): [string, string] => [
    `P030${cylinder + 1}`,
    `Cylinder ${cylinder + 1} misfires`,
  ]),
  ['P0401', 'Exhaust recirculation: too little flow'],
  ['P0402', 'Exhaust recirculation: too much flow'],
  ['P0403', 'Exhaust recirculation: circuit fault'],
  ['P0440', 'Fuel vapour system: fault'],
  ['P0441', 'Fuel vapour system: purge flow not as asked'],
  ['P0496', 'Fuel vapour system: purge when none was asked'],
  ['P0500', 'Vehicle speed signal: missing or implausible'],
  ['P0505', 'Idle air control: the computer cannot hold the idle'],
  ['P0506', 'Idle is lower than the computer asks for'],
  ['P0507', 'Idle is higher than the computer asks for'],
  ['P0508', 'Idle air valve circuit: signal too low'],
  ['P0509', 'Idle air valve circuit: signal too high'],
  ['P0511', 'Idle air valve circuit: fault'],
  ['P0560', 'Supply voltage: fault'],
  ['P0562', 'Supply voltage: too low'],
  ['P0563', 'Supply voltage: too high'],
  ['P0638', 'Throttle actuator, bank 1: does not reach what is asked'],
  ['P0639', 'Throttle actuator, bank 2: does not reach what is asked'],
  ['P2100', 'Throttle motor: circuit open'],
  ['P2101', 'Throttle motor: circuit outside what is plausible'],
  ['P2102', 'Throttle motor: signal too low'],
  ['P2103', 'Throttle motor: signal too high'],
  ['P2106', 'Throttle control: engine power is being limited'],
  ['P2110', 'Throttle control: engine speed is being limited'],
  ['P2111', 'Throttle plate: stuck open'],
  ['P2112', 'Throttle plate: stuck closed'],
  ['P2118', 'Throttle motor current: outside what is plausible'],
  ['P2119', 'Throttle plate: closed position outside what is plausible'],
  ['P2122', 'Pedal sensor D: signal too low'],
  ['P2123', 'Pedal sensor D: signal too high'],
  ['P2127', 'Pedal sensor E: signal too low'],
  ['P2128', 'Pedal sensor E: signal too high'],
  ['P2135', 'Throttle sensors A and B disagree'],
  ['P2138', 'Pedal sensors D and E disagree'],
  ['P2176', 'Throttle control: closed position not learned'],
]);
