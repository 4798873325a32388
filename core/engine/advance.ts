import { idleAir, ignition } from './idle.ts';
import { clamp, type Live } from './live.ts';
import { watch } from './monitors.ts';
import { moveParts } from './plate.ts';
import { breathe, governFuel, turnCrank } from './power.ts';
import type { EngineInputs, EngineState } from './state.ts';
import { warmUp } from './warmth.ts';

/** The longest step, s: halving it changes speeds by under 1 %. */
export const STEP_S = 0.005;
/** How often the computer looks for faults, s. */
const WATCH_S = 0.1;

/**
 * Moves an engine on. A mean-value model (Hendricks & Sorenson, SAE 900616; Crossley & Cook 1991): the manifold fills
 * and empties, what was drawn becomes power a turn later, friction and loads take from it, and a controller with
 * learned values holds the idle.
 * @param seconds zero or more @param stepS at most {@link STEP_S}
 * @throws RangeError for a negative time or a longer step
 * @returns the engine then; the one given is left as it is
 */
export function advance(state: EngineState, inputs: EngineInputs, seconds: number, stepS = STEP_S): EngineState {
  if (!(seconds >= 0)) throw new RangeError(`Expected zero or more seconds, got ${seconds}.`);
  if (!(stepS > 0 && stepS <= STEP_S)) throw new RangeError(`Expected a step of at most ${STEP_S} s, got ${stepS}.`);
  const s: Live = {
    ...state,
    torques: [...state.torques],
    lambda: [...state.lambda],
    trimShort: [...state.trimShort],
    trimLong: [...state.trimLong],
    pending: [...state.pending],
    stored: [...state.stored],
    key: inputs.key,
    pedal: clamp(inputs.pedal, 0, 100),
    loadsW: Math.max(0, inputs.loadsW),
  };
  const steps = Math.round(seconds / stepS);
  const every = Math.round(WATCH_S / stepS);
  for (let step = 1; step <= steps; step += 1) {
    moveParts(s, idleAir(s, stepS), stepS);
    if (s.spec.governor === 'fuel') governFuel(s, stepS);
    else ignition(s, stepS);
    breathe(s, stepS);
    turnCrank(s, inputs.gear, stepS);
    warmUp(s, stepS);
    s.time += stepS;
    if (Math.round(s.time / stepS) % every === 0) watch(s, WATCH_S);
  }
  return s;
}
