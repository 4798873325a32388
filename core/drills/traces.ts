import { random } from '../chance/index.ts';
import {
  advance,
  AT_REST,
  createEngine,
  ENGINE_KINDS,
  type EngineFaults,
  makerReadings,
  MAKER_VALUES,
  readings,
  rpmOf,
  SOUND,
} from '../engine/index.ts';
import { oneOf } from './shuffle.ts';

/** What a trace can show. */
export const TRACE_ANSWERS = {
  hunting: 'It hunts',
  'drop-out': 'A signal drops out',
  slow: 'It settles slowly',
  nothing: 'Nothing',
} as const;
/** A key of {@link TRACE_ANSWERS}. */
export type TraceAnswer = keyof typeof TRACE_ANSWERS;

/** A trace to be read: seconds from its beginning, speed and what the position sensor says. */
export interface TraceDrill {
  readonly seconds: readonly number[];
  readonly rpm: readonly number[];
  /** Throttle position, %. */
  readonly position: readonly number[];
  readonly answer: TraceAnswer;
  /** Why it is that, in a sentence. */
  readonly because: string;
}

const WRONG: Readonly<Record<TraceAnswer, Partial<EngineFaults>>> = {
  hunting: { depositMm2: 3.1, valveStickPercent: 18 },
  'drop-out': {},
  slow: { depositMm2: 0, leakMm2: 0 },
  nothing: {},
};
const BECAUSE: Readonly<Record<TraceAnswer, string>> = {
  hunting: 'With the foot off and nothing switched, the speed goes up and down, as far each time and as often.',
  'drop-out': 'On the way of the pedal the position falls for a blink and is back; no plate moves so fast.',
  slow: 'After the pedal is let go the speed comes down, and takes its time to get into its band.',
  nothing: 'It rises with the pedal, falls after it, and stands.',
};
const STEP_S = 0.1;
const WARM_S = 25;
const LONG_S = 24;
const PRESSED = { from: 5, to: 7.5 } as const;
/** A plate that closes late: the pedal is up, and it follows so slowly, % a second. */
const SLOW_PER_S = 3.2;

/** @param seed 0 to 2³² − 1; the same seed is the same trace */
export function traceDrill(seed: number): TraceDrill {
  const dice = random(seed);
  const answer = oneOf(Object.keys(TRACE_ANSWERS) as TraceAnswer[], dice);
  const drops = PRESSED.from + 0.6 + dice.uniform() * 1.2;
  const pedalMost = 14 + dice.uniform() * 6;
  let engine = advance(
    advance(
      createEngine(ENGINE_KINDS.valve, {
        faults: { ...SOUND, ...WRONG[answer] },
        coolantC: 86,
        seed: Math.floor(dice.uniform() * 1e9),
      }),
      { ...AT_REST, key: 'start' },
      1.2,
    ),
    { ...AT_REST, key: 'on' },
    WARM_S,
  );
  const seconds: number[] = [];
  const rpm: number[] = [];
  const position: number[] = [];
  let pedal = 0;
  for (let tick = 0; tick * STEP_S < LONG_S; tick += 1) {
    const at = tick * STEP_S;
    const pressed = at >= PRESSED.from && at < PRESSED.to;
    const wanted = pressed ? Math.min(pedalMost, (at - PRESSED.from) * 18) : 0;
    pedal = answer === 'slow' && wanted < pedal ? Math.max(wanted, pedal - SLOW_PER_S * STEP_S) : wanted;
    engine = advance(engine, { ...AT_REST, key: 'on', pedal }, STEP_S);
    seconds.push(Number(at.toFixed(1)));
    rpm.push(Math.round(rpmOf(engine)));
    const true_ = readings(engine)[0x11] ?? makerReadings(engine)[MAKER_VALUES.plateDeg] ?? pedal;
    const isOut = answer === 'drop-out' && at >= drops && at < drops + 0.25;
    position.push(Number((isOut ? 0 : true_).toFixed(1)));
  }
  return { seconds, rpm, position, answer, because: BECAUSE[answer] };
}
