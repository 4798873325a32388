import type { EngineFamily, UnitType, VariantFeatures } from '../core/vehicle/index.ts';
import { DEMO_SOURCE } from './procedures/parts.ts';

const band = (low: number, high: number) => ({ low, high, source: DEMO_SOURCE });
const variant = (portMm: number, gasket: string, pins: number, drive: string, mark: string): VariantFeatures => ({ portMm, gasket, pins, drive, mark });
const unit = (
  id: string,
  kind: UnitType['kind'],
  name: string,
  partNumber: string,
  expected: VariantFeatures,
  prices: readonly [number | null, number | null, number | null],
  daysToGet: number,
  places: readonly string[] = ['only'],
): UnitType => ({
  id,
  kind,
  name,
  places,
  partNumber,
  expected,
  prices: { new: prices[0], rebuilt: prices[1], used: prices[2] },
  daysToGet,
  source: DEMO_SOURCE,
});

const family = (given: Partial<EngineFamily> & Pick<EngineFamily, 'id' | 'name' | 'engine' | 'throttle' | 'unitTypes' | 'figures'>): EngineFamily => ({
  idleValve: 'none',
  use: 'road',
  layout: 'single',
  notes: '',
  ...given,
});

/** Engine families of the island. Everything is made up. */
export const families: readonly EngineFamily[] = [
  family({
    id: 'norrland-25',
    name: 'Norrland 2.5 four',
    engine: '2.5 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    unitTypes: [
      unit('tb', 'throttle-body', 'Cable body', 'NP-25-1100', variant(52, 'square, four holes', 3, 'cable', 'C'), [71_000, 38_000, 12_000], 6),
      unit('iv', 'idle-valve', 'Rotary idle valve', 'NP-25-1120', variant(14, 'oval, two holes', 3, 'rotary', '2'), [29_000, null, 6_500], 6, ['under the body']),
    ],
    figures: { idleRpm: band(780, 880), valveDuty: band(28, 40), closedVolts: band(0.45, 0.55), openVolts: band(4, 4.6), coilOhms: band(9, 13), idleManifold: band(30, 42) },
  }),
  family({
    id: 'calder-14',
    name: 'Calder 1.4 four',
    engine: '1.4 L four',
    throttle: 'electronic',
    unitTypes: [unit('tb', 'throttle-body', 'Electronic body', 'CW-14-0200', variant(46, 'round, three holes', 6, 'motor', 'E4'), [46_000, 27_000, 9_000], 3)],
    figures: { idleRpm: band(680, 760), closedVolts: band(0.6, 0.9), openVolts: band(4, 4.5), learnedAngle: band(1.5, 4.5), idleAir: band(1.8, 2.8), idleManifold: band(28, 40) },
  }),
  family({
    id: 'ostrea-20',
    name: 'Ostrea 2.0 four',
    engine: '2.0 L four',
    throttle: 'cable',
    idleValve: 'rotary',
    unitTypes: [
      unit('tb', 'throttle-body', 'Cable body with dashpot', 'OT-20-0410', variant(50, 'square, four holes', 3, 'cable', 'B'), [64_000, null, 10_500], 9),
      unit('iv', 'idle-valve', 'Rotary idle valve', 'OT-20-0440', variant(13, 'oval, two holes', 3, 'rotary', '1'), [26_500, null, 5_500], 9),
    ],
    figures: { idleRpm: band(800, 900), valveDuty: band(28, 40), closedVolts: band(0.45, 0.55), coilOhms: band(9, 13), idleManifold: band(30, 42) },
    notes: 'Dust. Dashpot sets the last of the closing.',
  }),
  family({
    id: 'terrow-45',
    name: 'Terrow 45 outboard',
    engine: '45 hp outboard',
    throttle: 'cable',
    idleValve: 'stepper',
    use: 'outboard',
    unitTypes: [
      unit('tb', 'throttle-body', 'Plastic body', 'TM-45-118', variant(40, 'round, three holes', 3, 'cable', 'P'), [58_000, null, 18_000], 12),
      unit('iv', 'idle-valve', 'Stepper valve', 'TM-45-131', variant(10, 'O-ring', 4, 'stepper', 'S'), [17_500, null, null], 12),
    ],
    figures: { idleRpm: band(700, 800), closedVolts: band(0.5, 0.7), coilOhms: band(48, 58) },
    notes: 'Plastic body: heat warps it.',
  }),
  family({
    id: 'vantaro-46',
    name: 'Vantaro 4.8 V8',
    engine: '4.8 L V8',
    throttle: 'electronic',
    layout: 'per-bank',
    unitTypes: [
      unit('ta', 'throttle-actuator', 'Throttle actuator', 'VR-48-2200', variant(62, 'square, four holes', 6, 'motor', 'L'), [92_000, 51_000, 19_000], 8, ['left bank', 'right bank']),
      unit('ia', 'idle-actuator', 'Idle actuator', 'VR-48-2260', variant(16, 'oval, two holes', 5, 'motor', 'K'), [61_000, 33_000, null], 8, ['left bank', 'right bank']),
    ],
    figures: { idleRpm: band(560, 660), closedVolts: band(0.5, 0.8), learnedAngle: band(1, 4), idleAir: band(4.5, 7) },
    notes: 'Left and right look alike: tag them before they come off.',
  }),
  family({
    id: 'vantaro-30d',
    name: 'Vantaro 3.0 V6 diesel',
    engine: '3.0 L V6 diesel',
    throttle: 'diesel-flap',
    unitTypes: [unit('flap', 'throttle-body', 'Intake flap', 'VF-30-0710', variant(60, 'round, four holes', 5, 'motor', 'D'), [54_000, 29_000, 8_000], 5)],
    figures: { idleRpm: band(680, 760), idleAir: band(9, 13) },
  }),
  family({
    id: 'sule-650',
    name: 'Sule 650 twin',
    engine: '650 twin',
    throttle: 'cable',
    use: 'motorcycle',
    unitTypes: [unit('tb', 'throttle-body', 'Body on a rubber boot', 'SU-65-040', variant(42, 'rubber boot', 3, 'cable', 'M'), [39_000, null, 14_000], 10)],
    figures: { idleRpm: band(1200, 1400), closedVolts: band(0.6, 0.7) },
  }),
  family({
    id: 'sule-900',
    name: 'Sule 900 four',
    engine: '900 four',
    throttle: 'cable',
    idleValve: 'stepper',
    use: 'motorcycle',
    layout: 'per-cylinder',
    unitTypes: [unit('tb', 'throttle-body', 'Bank of four', 'SU-90-210', variant(38, 'rubber boots', 3, 'cable', 'Q'), [118_000, null, 36_000], 14, ['cylinder 1', 'cylinder 2', 'cylinder 3', 'cylinder 4'])],
    figures: { idleRpm: band(1100, 1250), closedVolts: band(0.6, 0.7) },
    notes: 'Injectors go back to their own cylinder.',
  }),
];
