import { FULL_STEPS } from '../trace/index.ts';
import { clamp, rpmOf } from './live.ts';
import { idleNeedMm2 } from './state.ts';
import type { EngineState } from './state.ts';

/** The engine’s values by their PID in mode 01 (SAE J1979), in the unit that each has there. */
export type Readings = Readonly<Record<number, number>>;
/** Values that only the maker numbers, by their identifier in mode 22. */
export const MAKER_VALUES = { valveDuty: 0x1101, valveSteps: 0x1102, learned: 0x1103, plateDeg: 0x1104 } as const;

const SUPPLY_V = 5;
/** Volts of a track over the whole travel of the plate. */
const TRACK_V = 3.9;
const TRAVEL_DEG = 84;

/** Volts of both tracks of the plate’s sensor; the second falls as the first rises. */
export function tracks({ spec, faults, plateDeg }: EngineState): { readonly first: number; readonly second: number } {
  const rise = (plateDeg / TRAVEL_DEG) * TRACK_V;
  const worn = faults.wornTrack;
  const drop = worn !== null && Math.abs(plateDeg - worn.atDeg) < worn.widthDeg / 2 ? worn.volts : 0;
  return {
    first: clamp(spec.closedVolts + rise - drop, 0, SUPPLY_V),
    second: clamp(SUPPLY_V - spec.closedVolts - rise, 0, SUPPLY_V),
  };
}

/**
 * What a diagnostic adapter can read of an engine now. Sensors are as good as the engine’s faults leave them; how fine a
 * figure is comes from the bytes that carry it.
 */
export function readings(state: EngineState): Readings {
  const { spec, faults } = state;
  const { first, second } = tracks(state);
  const rpm = rpmOf(state);
  const on = state.key !== 'off';
  const pedal = 0.157 + (state.pedal / 100) * 0.66;
  const most = (spec.volumetricEfficiency * state.baroKPa * spec.displacementL * rpm * 1000) / (120 * 287 * 310);
  return {
    0x04: state.running ? clamp((state.airGs / Math.max(most, 0.1)) * 100, 0, 100) : 0,
    0x05: coolantShown(state),
    ...(spec.governor === 'fuel' ? {} : { 0x06: state.trimShort[0], 0x07: state.trimLong[0] }),
    ...(spec.banks === 2 ? { 0x08: state.trimShort[1], 0x09: state.trimLong[1] } : {}),
    0x0b: spec.meter === 'pressure' ? state.manifoldKPa * faults.meterFactor : state.manifoldKPa,
    0x0c: rpm,
    0x0d: state.roadMs * 3.6,
    0x0e: state.advanceDeg,
    0x0f: state.ambientC + 8,
    ...(spec.meter === 'air-mass' ? { 0x10: state.airMeterGs } : {}),
    0x11: (first / SUPPLY_V) * 100,
    0x1f: state.runS,
    0x30: state.warmUps,
    0x31: state.sinceClearedM / 1000,
    0x33: state.baroKPa,
    0x42: on ? state.volts : 0,
    0x45: clamp(((first - spec.closedVolts) / SUPPLY_V) * 100, 0, 100),
    0x46: state.ambientC,
    ...(spec.governor === 'plate'
      ? {
          0x47: (second / SUPPLY_V) * 100,
          0x49: pedal * 100,
          0x4a: pedal * 50,
          0x4c: clamp((state.plateAskedDeg / TRAVEL_DEG) * 100, 0, 100),
        }
      : {}),
  };
}

/** Values that the maker numbers himself: what drives the idle. */
export function makerReadings(state: EngineState): Readings {
  const { spec } = state;
  return {
    ...(spec.governor === 'valve-duty' ? { [MAKER_VALUES.valveDuty]: state.valveAskedPercent } : {}),
    ...(spec.governor === 'valve-steps'
      ? { [MAKER_VALUES.valveSteps]: Math.round((state.valveAskedPercent / 100) * FULL_STEPS) }
      : {}),
    ...(spec.governor === 'plate' ? { [MAKER_VALUES.plateDeg]: state.plateDeg } : {}),
    ...(spec.governor === 'plate' || spec.valveMm2 > 0
      ? { [MAKER_VALUES.learned]: (state.learnedMm2 / idleNeedMm2(spec)) * 100 }
      : {}),
  };
}

/** Air in the coolant makes the sensor read in jumps. */
const coolantShown = ({ coolantC, faults, time }: EngineState): number =>
  coolantC + (faults.coolantAir > 0 ? faults.coolantAir * 9 * Math.sin(time / 7) : 0);

/** The engine once somebody has done something to it: cleaned, found a leak, learned anew. */
export const mended = (state: EngineState, faults: Partial<EngineState['faults']>): EngineState => ({
  ...state,
  faults: { ...state.faults, ...faults },
});

/** Idle learned anew: what it needs now is what it starts from. */
export const relearned = (state: EngineState): EngineState => ({
  ...state,
  learnedMm2: Math.max(
    0,
    idleNeedMm2(state.spec) - Math.max(0, state.spec.gapMm2 - state.faults.depositMm2) - state.faults.leakMm2,
  ),
  addedMm2: 0,
});

/** Codes cleared: with them goes what was learned of the mixture, and the distance counts from now. */
export const cleared = (state: EngineState): EngineState => ({
  ...state,
  seen: {},
  pending: [],
  stored: [],
  trimShort: [0, 0],
  trimLong: [0, 0],
  sinceClearedM: 0,
  warmUps: 0,
});
