import {
  advance,
  AT_REST,
  createEngine,
  type EngineFaults,
  type EngineInputs,
  type EngineSpec,
  shown,
} from '../core/engine/index.ts';
import { Lanes, type Phase, type PhaseKind, type Trace } from '../core/trace/index.ts';

/** What is done while an engine is recorded: a phase, and what the person does in it, in seconds. */
interface Step {
  readonly kind: PhaseKind | null;
  readonly seconds: number;
  readonly inputs: EngineInputs;
  /** A pedal that moves goes straight from where it is to there. */
  readonly pedalTo?: number;
}

const ON: EngineInputs = { ...AT_REST, key: 'on' };
/** The round that this shop records: sweep, idle, blip, loads. */
const ROUND: readonly Step[] = [
  { kind: 'sweep', seconds: 2, inputs: ON },
  { kind: 'sweep', seconds: 5, inputs: ON, pedalTo: 100 },
  { kind: 'sweep', seconds: 5, inputs: { ...ON, pedal: 100 }, pedalTo: 0 },
  { kind: null, seconds: 1.5, inputs: { ...ON, key: 'start' } },
  { kind: null, seconds: 12, inputs: ON },
  { kind: 'warm-idle', seconds: 45, inputs: ON },
  { kind: 'blip', seconds: 3, inputs: ON },
  { kind: 'blip', seconds: 0.7, inputs: { ...ON, pedal: 20 } },
  { kind: 'blip', seconds: 14, inputs: ON },
  { kind: 'loads', seconds: 20, inputs: { ...ON, loadsW: 420 } },
];
const EVERY_S = 0.1;
const WARM_C = 86;

/** A recording of an engine as an adapter would read it, ten times a second, in the bytes that carry it. */
export function recordEngine(spec: EngineSpec, faults: Partial<EngineFaults>, seed: number): Trace {
  let engine = createEngine(spec, { faults, seed, coolantC: WARM_C });
  const lanes = new Lanes();
  const phases: Phase[] = [];
  let time = 0;
  for (const { kind, seconds, inputs, pedalTo } of ROUND) {
    const from = time;
    for (let tick = 0; tick < Math.round(seconds / EVERY_S); tick += 1) {
      const share = (tick * EVERY_S) / seconds;
      const pedal = pedalTo === undefined ? inputs.pedal : inputs.pedal + (pedalTo - inputs.pedal) * share;
      engine = advance(engine, { ...inputs, pedal }, EVERY_S);
      time = Math.round((time + EVERY_S) * 10) / 10;
      lanes.add(
        time,
        shown(engine).map(([role, value]) => [role, Math.round(value * 100) / 100]),
      );
    }
    if (kind === null) continue;
    const last = phases.at(-1);
    if (last?.kind === kind && last.to === from) phases[phases.length - 1] = { ...last, to: time };
    else phases.push({ kind, from, to: time });
  }
  return { phases, channels: lanes.channels() };
}
