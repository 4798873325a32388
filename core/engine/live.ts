import type { EngineState } from './state.ts';

/** An engine while it is being moved on: the same numbers, open to change. Nobody outside this room sees one. */
export type Live = {
  -readonly [K in keyof EngineState]: EngineState[K] extends readonly [number, number]
    ? [number, number]
    : EngineState[K] extends readonly (infer T)[]
      ? T[]
      : EngineState[K];
};

export const clamp = (value: number, low: number, high: number): number =>
  value < low ? low : value > high ? high : value;

/** Moves towards a target as a first-order lag does, by an implicit step: it never overshoots. */
export const towards = (value: number, target: number, dt: number, tauS: number): number =>
  value + ((target - value) * dt) / (tauS + dt);

/** Engine turns a minute. */
export const rpmOf = ({ omega }: Pick<EngineState, 'omega'>): number => (omega * 30) / Math.PI;

/** Warm from here, °C. */
export const WARM_C = 70;

/** How cold an engine is: 1 at 20 °C and below, 0 once it is warm. */
export const coldness = ({ coolantC }: Pick<EngineState, 'coolantC'>): number => clamp((WARM_C - coolantC) / 50, 0, 1);

/** The speed that the computer idles at now. */
export const idleTarget = (state: EngineState | Live): number =>
  state.spec.idleRpm + state.spec.coldExtraRpm * coldness(state) + (state.loadsW > 250 ? 20 : 0);
