import { SOUND, type EngineFaults, type EngineSpec } from './spec.ts';

/** What a person does with an engine. */
export interface EngineInputs {
  readonly key: 'off' | 'on' | 'start';
  /** Foot, 0 to 100 %. */
  readonly pedal: number;
  /** Electric loads switched on, W, beside what the engine itself needs. */
  readonly loadsW: number;
  /** Gear engaged, by engine turns a second at 1 m/s of the road; 0 is neutral. */
  readonly gear: number;
}

/** Key off, foot off, nothing switched on. */
export const AT_REST: EngineInputs = { key: 'off', pedal: 0, loadsW: 0, gear: 0 };

/** An engine at a moment: plain numbers, so that it can be kept, compared and gone on from. */
export interface EngineState {
  readonly spec: EngineSpec;
  readonly faults: EngineFaults;
  readonly ambientC: number;
  readonly baroKPa: number;
  /** Seconds since the model began, and since the engine started. */
  readonly time: number;
  readonly runS: number;
  readonly running: boolean;
  readonly key: EngineInputs['key'];
  readonly pedal: number;
  readonly loadsW: number;
  /** What the alternator gives of them by now: it comes up slowly, so that it does not stall the engine, W. */
  readonly loadNowW: number;
  readonly manifoldKPa: number;
  /** Crank, rad/s. */
  readonly omega: number;
  /** What was drawn waits to become power: torque by 5 ms slots, newest at `slot`. */
  readonly torques: readonly number[];
  readonly slot: number;
  readonly slotS: number;
  /** Share of the way to the next firing, and how strong this one is. */
  readonly firing: number;
  readonly strength: number;
  readonly coolantC: number;
  readonly fan: boolean;
  readonly roadMs: number;
  /** Plate above closed as it is and as it is asked to be, °. */
  readonly plateDeg: number;
  readonly plateAskedDeg: number;
  /** Valve as it is and as it is driven, % of its travel. */
  readonly valvePercent: number;
  readonly valveAskedPercent: number;
  /** Idle air that was learned, and that the controller adds just now, mm². */
  readonly learnedMm2: number;
  readonly addedMm2: number;
  /** Air held back after a lift of the foot, mm². */
  readonly dashMm2: number;
  /** Fuel a stroke of a diesel, as a share of what it can burn. */
  readonly fuelShare: number;
  /** What a diesel’s controller adds of it just now. */
  readonly addedFuel: number;
  /** By bank. */
  readonly lambda: readonly [number, number];
  readonly trimShort: readonly [number, number];
  readonly trimLong: readonly [number, number];
  readonly advanceDeg: number;
  readonly airMeterGs: number;
  readonly airGs: number;
  readonly volts: number;
  /** Seconds for which each fault has been seen by the computer. */
  readonly seen: Readonly<Record<string, number>>;
  readonly pending: readonly string[];
  readonly stored: readonly string[];
  readonly sinceClearedM: number;
  readonly warmUps: number;
  /** Coolant when it was started, °C; null while it stands, and once this run has counted as a warm-up. */
  readonly startedAtC: number | null;
  readonly stalls: number;
  readonly dice: number;
}

/** How much air a sound engine of that kind needs at warm idle, mm²: where its computer starts from. */
export function idleNeedMm2(spec: EngineSpec): number {
  // Friction of Heywood’s engine at idle and a small charging load, against what a gram of air brings.
  return spec.displacementL * (spec.idleRpm / 830) * 7.2;
}

/** Slots that what was drawn waits in: longer than the slowest crank’s delay. */
export const TORQUE_SLOTS = 96;

/** An engine that stands. @param seed repeats its every noise */
export function createEngine(
  spec: EngineSpec,
  options: {
    readonly faults?: Partial<EngineFaults>;
    readonly seed?: number;
    readonly ambientC?: number;
    readonly baroKPa?: number;
    readonly coolantC?: number;
  } = {},
): EngineState {
  const { faults = {}, seed = 1, ambientC = 16, baroKPa = 101, coolantC = ambientC } = options;
  return {
    spec,
    faults: { ...SOUND, ...faults },
    ambientC,
    baroKPa,
    time: 0,
    runS: 0,
    running: false,
    key: 'off',
    pedal: 0,
    loadsW: 0,
    loadNowW: 0,
    manifoldKPa: baroKPa,
    omega: 0,
    torques: Array.from({ length: TORQUE_SLOTS }, () => 0),
    slot: 0,
    slotS: 0,
    firing: 0,
    strength: 1,
    coolantC,
    fan: false,
    roadMs: 0,
    plateDeg: 0,
    plateAskedDeg: 0,
    valvePercent: 50,
    valveAskedPercent: 50,
    learnedMm2: Math.max(0, idleNeedMm2(spec) - spec.gapMm2) + (faults.depositMm2 ?? 0) + (faults.mislearnedMm2 ?? 0),
    addedMm2: 0,
    dashMm2: 0,
    fuelShare: 0.12,
    addedFuel: 0,
    lambda: [1, 1],
    trimShort: [0, 0],
    trimLong: [0, 0],
    advanceDeg: 8,
    airMeterGs: 0,
    airGs: 0,
    volts: 12.6,
    seen: {},
    pending: [],
    stored: [],
    sinceClearedM: 1_000_000,
    warmUps: 40,
    startedAtC: null,
    stalls: 0,
    dice: seed | 0,
  };
}
