import type { Deed } from '../../contract/index.ts';
import { AT_REST, type EngineInputs } from '../../core/engine/index.ts';

/** Inputs for so many seconds; a pedal that moves goes straight from one to the other. */
export interface Stretch {
  readonly seconds: number;
  readonly inputs: EngineInputs;
  readonly pedalTo?: number;
}

const ON: EngineInputs = { ...AT_REST, key: 'on' };
const FOREVER = Number.POSITIVE_INFINITY;
const still = (inputs: EngineInputs): Stretch => ({ seconds: FOREVER, inputs });
/** Lights, blower and rear window. */
const LOADS_W = 420;

/** How each is done. The engine is started by turning the key, whatever went before. */
export const HOW: Readonly<Record<Deed, readonly Stretch[]>> = {
  off: [still(AT_REST)],
  'key-on': [{ seconds: 2, inputs: AT_REST }, still(ON)],
  start: [{ seconds: 1.5, inputs: { ...ON, key: 'start' } }, still(ON)],
  idle: [still(ON)],
  sweep: [
    { seconds: 1, inputs: ON },
    { seconds: 5, inputs: ON, pedalTo: 100 },
    { seconds: 1, inputs: { ...ON, pedal: 100 } },
    { seconds: 5, inputs: { ...ON, pedal: 100 }, pedalTo: 0 },
    still(ON),
  ],
  blip: [{ seconds: 2, inputs: ON }, { seconds: 0.7, inputs: { ...ON, pedal: 20 } }, still(ON)],
  hold: [{ seconds: 12, inputs: { ...ON, pedal: 7 } }, still(ON)],
  loads: [{ seconds: 15, inputs: { ...ON, loadsW: LOADS_W } }, still(ON)],
  drive: [
    { seconds: 9, inputs: { ...ON, pedal: 30, gear: 1.6 } },
    { seconds: 8, inputs: { ...ON, pedal: 18, gear: 1.1 } },
    { seconds: 9, inputs: { ...ON, gear: 1.1, loadsW: LOADS_W } },
    still(ON),
  ],
  cool: [still(AT_REST)],
};
