export { advance, STEP_S } from './advance.ts';
export { idleTarget, rpmOf } from './live.ts';
export { ENGINE_KINDS, SOUND } from './spec.ts';
export type { EngineFaults, EngineKind, EngineSpec, IdleGovernor } from './spec.ts';
export { AT_REST, createEngine, idleNeedMm2 } from './state.ts';
export type { EngineInputs, EngineState } from './state.ts';
export { cleared, MAKER_VALUES, makerReadings, mended, readings, relearned, tracks } from './readings.ts';
export type { Readings } from './readings.ts';
export { shown } from './shown.ts';
