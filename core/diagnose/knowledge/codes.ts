import type { Sign } from '../types.ts';
import { coded, outcome } from './build.ts';

const none = (what: string) => outcome(`none|None|no ${what} code`);
/** `outcome: codes…` a line; a shorter entry stands for every code that begins so. */
const codes = (given: Readonly<Record<string, string>>): Readonly<Record<string, string>> =>
  Object.fromEntries(Object.entries(given).flatMap(([to, list]) => list.split(/\s+/).map((code) => [code, to])));
const group = (id: string, name: string, says: string, list: string) =>
  coded(id, name, [outcome(`yes|Stored|${says}`), none(name.toLowerCase())], { yes: 'never' }, codes({ yes: list }));

/** Codes by what they say: circuit, range or performance, correlation, learning and stuck are told apart. */
export const CODES: readonly Sign[] = [
  coded(
    'idle-code',
    'Idle control',
    [
      outcome('cannot|Cannot hold idle|code: idle cannot be held'),
      outcome('low|Idle low|code: idle lower than asked'),
      outcome('high|Idle high|code: idle higher than asked'),
      none('idle'),
    ],
    { cannot: 'never', low: 'never', high: 'never' },
    codes({ cannot: 'P0505 P050A P050B', low: 'P0506', high: 'P0507' }),
  ),
  group('valve-code', 'Idle valve circuit', 'code: idle valve circuit', 'P0508 P0509 P0511'),
  coded(
    'mixture-code',
    'Mixture',
    [
      outcome('lean-idle|Lean at idle|code: lean at idle'),
      outcome('lean|Lean|code: runs lean'),
      outcome('rich|Rich|code: runs rich'),
      none('mixture'),
    ],
    { 'lean-idle': 'never', lean: 'never', rich: 'never' },
    codes({
      'lean-idle': 'P2187 P2189',
      lean: 'P0171 P0174 P2177 P2179 P2191 P2193',
      rich: 'P0172 P0175 P2178 P2180 P2188 P2190 P2192 P2194',
    }),
  ),
  coded(
    'position-code',
    'Throttle position',
    [
      outcome('circuit|Circuit|code: position sensor circuit'),
      outcome('performance|Range or performance|code: position sensor range'),
      outcome('correlation|Tracks disagree|code: position tracks disagree'),
      none('position'),
    ],
    { circuit: 'never', performance: 'never', correlation: 'never' },
    codes({
      circuit: 'P0120 P0122 P0123 P0124 P0220 P0222 P0223 P0224 P0225 P0227 P0228 P0229 P0510',
      performance: 'P0121 P0221 P0226',
      correlation: 'P2135 P2136 P2137',
    }),
  ),
  coded(
    'motor-code',
    'Throttle motor',
    [
      outcome('circuit|Circuit|code: throttle motor circuit'),
      outcome('performance|Does not reach its place|code: throttle motor does not reach its place'),
      none('throttle motor'),
    ],
    { circuit: 'never', performance: 'never' },
    codes({ circuit: 'P2100 P2102 P2103', performance: 'P2101 P2118 P0638 P0639' }),
  ),
  group('stuck-code', 'Plate stuck', 'code: plate stuck', 'P2111 P2112'),
  group('closed-code', 'Closed position', 'code: closed position', 'P2109 P2113 P2114 P2119'),
  group('learn-code', 'Idle position not learned', 'code: idle position not learned', 'P2176'),
  group('limited-code', 'Engine held back', 'code: the engine is held back', 'P2104 P2105 P2106 P2110'),
  group('fit-code', 'Air against angle', 'code: air does not fit the angle', 'P0068 P2172 P2173 P2174 P2175'),
  coded(
    'pedal-code',
    'Pedal',
    [
      outcome('circuit|Circuit|code: pedal sensor circuit'),
      outcome('correlation|Tracks disagree|code: pedal tracks disagree'),
      none('pedal'),
    ],
    { circuit: 'never', correlation: 'never' },
    codes({
      circuit: 'P2115 P2116 P2117 P212 P2130 P2131 P2132 P2133 P2134',
      correlation: 'P2138 P2139 P2140',
    }),
  ),
  coded(
    'air-code',
    'Air mass or manifold pressure',
    [
      outcome('circuit|Circuit|code: air sensor circuit'),
      outcome('performance|Range or performance|code: air sensor range'),
      none('air sensor'),
    ],
    { circuit: 'never', performance: 'never' },
    codes({
      circuit: 'P0100 P0102 P0103 P0104 P0105 P0107 P0108 P0109 P2228 P2229',
      performance: 'P0101 P0106 P0069 P2227',
    }),
  ),
  group(
    'intake-temperature-code',
    'Intake air temperature',
    'code: intake air temperature',
    'P0110 P0111 P0112 P0113 P0114',
  ),
  group(
    'temperature-code',
    'Coolant temperature',
    'code: coolant temperature',
    'P0115 P0116 P0117 P0118 P0119 P0125 P0126 P0128',
  ),
  group('mixture-sensor-code', 'Mixture sensor', 'code: mixture sensor', 'P013 P015 P2195 P2196'),
  coded(
    'misfire-code',
    'Misfire',
    [
      outcome('one|On one cylinder|code: misfire on one cylinder'),
      outcome('several|On several|code: misfire on several'),
      none('misfire'),
    ],
    { one: 'never', several: 'never' },
    codes({ several: 'P0300', one: 'P0301 P0302 P0303 P0304 P0305 P0306 P0307 P0308 P0309 P0310 P0311 P0312' }),
  ),
  group('supply-code', 'Supply voltage', 'code: supply voltage', 'P0560 P0561 P0562 P0563'),
  group('sensor-supply-code', 'Sensor supply', 'code: sensor supply', 'P0641 P0642 P0643 P0651 P0652 P0653'),
  group('relay-code', 'Main relay', 'code: main relay', 'P0685 P0686 P0687 P0688 P0689 P0690'),
  group(
    'module-code',
    'Control module',
    'code: control module',
    'P0600 P0601 P0602 P0603 P0604 P0605 P0606 P0607 P061 P2107 P2108',
  ),
  group('network-code', 'Network', 'code: a message is missing', 'U0001 U0073 U010 U0155'),
  group(
    'other-system-code',
    'Another system',
    'code: another system',
    'P0504 P0571 P0572 P0573 P0574 P0575 C0 C1 U0121',
  ),
  coded(
    'egr-code',
    'Exhaust recirculation',
    [
      outcome('flow|Flow|code: recirculation flow'),
      outcome('circuit|Circuit|code: recirculation circuit'),
      none('recirculation'),
    ],
    { flow: 'never', circuit: 'never' },
    codes({ flow: 'P0400 P0401 P0402', circuit: 'P0403 P0404 P0405 P0406 P0407 P0408 P0409' }),
  ),
  coded(
    'vapour-code',
    'Fuel vapour',
    [outcome('purge|Purge valve|code: purge valve'), outcome('leak|Leak|code: fuel vapour leak'), none('fuel vapour')],
    { purge: 'never', leak: 'never' },
    codes({ purge: 'P0441 P0443 P0444 P0445 P0458 P0459 P0496 P0497', leak: 'P0440 P0442 P0446 P0447 P0448 P0449' }),
  ),
  group('fuel-code', 'Fuel pressure', 'code: fuel pressure', 'P0087 P0088 P0190 P0191 P0192 P0193'),
  group('boost-code', 'Boost pressure', 'code: boost too low', 'P0299'),
  group('timing-code', 'Timing', 'code: cam or crank timing', 'P001 P033 P034'),
  group(
    'runner-code',
    'Intake runner',
    'code: intake runner',
    'P2004 P2005 P2006 P2007 P2008 P2009 P2010 P2011 P2012 P2013 P2014 P2015',
  ),
];

/** Generic codes that say nothing of a cause here, and why. A shorter entry stands for every code that begins so. */
export const CODES_WITHOUT: Readonly<Record<string, string>> = {
  P0170: 'a trim at its limit, and it does not say which way: read the trims',
  P0176: 'fuel composition: it has no part in idle air',
  P0177: 'fuel composition: it has no part in idle air',
  P0178: 'fuel composition: it has no part in idle air',
  P0179: 'fuel composition: it has no part in idle air',
  P0173: 'a trim at its limit, and it does not say which way: read the trims',
  P2181: 'cooling performance: seen at the coolant level and at the thermostat',
  P2182: 'a second coolant sensor, for which no cause here is told apart',
  P2183: 'a second coolant sensor, for which no cause here is told apart',
  P2184: 'a second coolant sensor, for which no cause here is told apart',
  P2185: 'a second coolant sensor, for which no cause here is told apart',
  P2186: 'a second coolant sensor, for which no cause here is told apart',
  P048: 'the cooling fan: it loads the idle, it does not upset it',
  P0644: 'the dashboard: it has no part in idle',
  P0645: 'the cooling compressor relay: it loads the idle, it does not upset it',
  P0646: 'the cooling compressor relay: it loads the idle, it does not upset it',
  P0647: 'the cooling compressor relay: it loads the idle, it does not upset it',
  P0648: 'a lamp: it has no part in idle',
  P0649: 'a lamp: it has no part in idle',
  P0650: 'a lamp: it has no part in idle',
  P0500: 'road speed: the computer may not know that it stands; see that the signal is there before idle is judged',
  P0501: 'road speed: the computer may not know that it stands; see that the signal is there before idle is judged',
  P0502: 'road speed: the computer may not know that it stands; see that the signal is there before idle is judged',
  P0503: 'road speed: the computer may not know that it stands; see that the signal is there before idle is judged',
  P0512: 'the starter request: it has no part in idle',
};
