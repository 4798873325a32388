import type { EngineFamily, UnitObjectKind, UnitType } from './family.ts';

/** A band that no book gave: shown as *shop figure, verify*. */
const verify = (low: number, high: number) => ({ low, high, source: null });

const unit = (id: string, kind: UnitObjectKind, name: string, places: readonly string[] = ['only']): UnitType => ({
  id,
  kind,
  name,
  places,
  partNumber: '',
  expected: { portMm: null, gasket: '', pins: null, drive: '', mark: '' },
  prices: { new: null, rebuilt: null, used: null },
  daysToGet: null,
  source: null,
});

const family = (given: Omit<EngineFamily, 'engine' | 'notes' | 'id'> & { readonly id: string }): EngineFamily => ({
  ...given,
  id: `starter-${given.id}`,
  engine: 'any',
  notes: 'From the starter set. Neutral figures without a source: verify each in the maker’s book.',
});

/**
 * Kinds of engine with the units that sit on them and neutral figures, for a shop on its first day. Usual bands of the
 * trade for a warm engine without load; no maker’s data. Every figure stays *shop figure, verify* until it is given a
 * source.
 */
export const STARTER_FAMILIES: readonly EngineFamily[] = [
  family({
    id: 'cable-rotary',
    name: 'Cable body with rotary or duty valve',
    throttle: 'cable',
    idleValve: 'rotary',
    use: 'road',
    layout: 'single',
    unitTypes: [unit('tb', 'throttle-body', 'Cable body'), unit('iacv', 'idle-valve', 'Idle air valve, rotary')],
    figures: { idleRpm: verify(700, 900), valveDuty: verify(25, 45), closedVolts: verify(0.3, 0.7) },
  }),
  family({
    id: 'cable-stepper',
    name: 'Cable body with stepper valve',
    throttle: 'cable',
    idleValve: 'stepper',
    use: 'road',
    layout: 'single',
    unitTypes: [unit('tb', 'throttle-body', 'Cable body'), unit('iacv', 'idle-valve', 'Idle air valve, stepper')],
    figures: { idleRpm: verify(700, 900), closedVolts: verify(0.3, 0.7) },
  }),
  family({
    id: 'electronic',
    name: 'Electronic body',
    throttle: 'electronic',
    idleValve: 'none',
    use: 'road',
    layout: 'single',
    unitTypes: [unit('tb', 'throttle-body', 'Electronic body')],
    figures: { idleRpm: verify(600, 850), closedVolts: verify(0.3, 1) },
  }),
  family({
    id: 'diesel-flap',
    name: 'Diesel intake flap',
    throttle: 'diesel-flap',
    idleValve: 'none',
    use: 'road',
    layout: 'single',
    unitTypes: [unit('flap', 'throttle-body', 'Intake flap')],
    figures: { idleRpm: verify(700, 900) },
  }),
  family({
    id: 'motorcycle-one',
    name: 'Motorcycle, one body',
    throttle: 'cable',
    idleValve: 'stepper',
    use: 'motorcycle',
    layout: 'single',
    unitTypes: [unit('tb', 'throttle-body', 'Cable body'), unit('iacv', 'idle-valve', 'Idle air valve, stepper')],
    figures: { idleRpm: verify(1100, 1500), closedVolts: verify(0.3, 0.8) },
  }),
  family({
    id: 'motorcycle-bank',
    name: 'Motorcycle, a bank of four',
    throttle: 'cable',
    idleValve: 'stepper',
    use: 'motorcycle',
    layout: 'per-cylinder',
    unitTypes: [
      unit('tb', 'throttle-body', 'Bank of bodies', ['cylinder 1', 'cylinder 2', 'cylinder 3', 'cylinder 4']),
      unit('iacv', 'idle-valve', 'Idle air valve, stepper'),
    ],
    figures: { idleRpm: verify(1000, 1300), closedVolts: verify(0.3, 0.8) },
  }),
  family({
    id: 'outboard',
    name: 'Outboard with plastic body',
    throttle: 'cable',
    idleValve: 'stepper',
    use: 'outboard',
    layout: 'single',
    unitTypes: [unit('tb', 'throttle-body', 'Plastic body'), unit('iacv', 'idle-valve', 'Idle air valve, stepper')],
    figures: { idleRpm: verify(600, 800), closedVolts: verify(0.3, 0.8) },
  }),
];
