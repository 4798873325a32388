import type { Sign } from '../types.ts';
import { coded, outcome } from './build.ts';

const none = (what: string) => outcome(`none|None|no ${what} code`);
const group = (
  id: string,
  name: string,
  says: string,
  codes: readonly string[],
  usually: 'never' | 'seldom' = 'never',
) =>
  coded(
    id,
    name,
    [outcome(`yes|Stored|${says}`), none(name.toLowerCase())],
    { yes: usually },
    Object.fromEntries(codes.map((code) => [code, 'yes'])),
  );

/** Codes by what they say. A key of four characters stands for the whole decade. */
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
    { P0505: 'cannot', P0506: 'low', P0507: 'high' },
  ),
  group('valve-code', 'Idle valve circuit', 'code: idle valve circuit', ['P0508', 'P0509', 'P0511']),
  coded(
    'mixture-code',
    'Mixture',
    [outcome('lean|Lean|code: runs lean'), outcome('rich|Rich|code: runs rich'), none('mixture')],
    { lean: 'never', rich: 'never' },
    { P0171: 'lean', P0174: 'lean', P0172: 'rich', P0175: 'rich' },
  ),
  group('position-code', 'Throttle position', 'code: position sensor', ['P012', 'P022', 'P2135']),
  group('motor-code', 'Throttle motor', 'code: throttle motor', [
    'P2100',
    'P2101',
    'P2102',
    'P2103',
    'P2118',
    'P0638',
    'P0639',
  ]),
  group('stuck-code', 'Plate stuck', 'code: plate stuck', ['P2111', 'P2112']),
  group('closed-code', 'Closed position', 'code: closed position', ['P2119', 'P2176']),
  group('pedal-code', 'Pedal', 'code: pedal sensor', ['P2122', 'P2123', 'P2127', 'P2128', 'P2138']),
  group('air-code', 'Air mass', 'code: air mass', ['P010', 'P0068']),
  group('temperature-code', 'Coolant temperature', 'code: coolant temperature', [
    'P0115',
    'P0116',
    'P0117',
    'P0118',
    'P0119',
    'P0125',
    'P0128',
  ]),
  group('misfire-code', 'Misfire', 'code: misfire', ['P030']),
  group('supply-code', 'Supply voltage', 'code: supply voltage', ['P056', 'P0562', 'P0563']),
  group('egr-code', 'Exhaust recirculation', 'code: exhaust recirculation', ['P040']),
  group('vapour-code', 'Fuel vapour', 'code: fuel vapour system', ['P044', 'P0496', 'P0497']),
];
