import { type InstrumentId, type InstrumentReading, readingLine } from '../../core/instruments/index.ts';
import type { Mood } from '../../contract/index.ts';

/** Readings a second of an instrument that is listened to. */
const EVERY_MS = 200;

/** What each shows at first. */
interface Shown {
  readonly values: readonly number[];
  readonly unit: string;
}

/** Instruments that ship with the program, with what they show when nobody has set them. */
export const STAND_INS: readonly (InstrumentId & { readonly id: string; readonly shows: Shown })[] = [
  {
    id: 'wrench-1',
    kind: 'torque-wrench',
    name: 'Electronic wrench 2–20',
    low: 2,
    high: 20,
    unit: 'N·m',
    calibratedOn: '2026-02-18',
    shows: { values: [9], unit: 'N·m' },
  },
  {
    id: 'meter-1',
    kind: 'multimeter',
    name: 'Bench meter',
    low: 0,
    high: 60,
    unit: 'V',
    calibratedOn: '2025-11-04',
    shows: { values: [0.512], unit: 'V' },
  },
  {
    id: 'scale-1',
    kind: 'scale',
    name: 'Can scale',
    low: 0,
    high: 5000,
    unit: 'g',
    calibratedOn: null,
    shows: { values: [412], unit: 'g' },
  },
  {
    id: 'refractometer-1',
    kind: 'refractometer',
    name: 'Coolant refractometer',
    low: -60,
    high: 0,
    unit: '°C',
    calibratedOn: null,
    shows: { values: [-31], unit: '°C' },
  },
  {
    id: 'thermometer-1',
    kind: 'thermometer',
    name: 'Probe thermometer',
    low: -40,
    high: 200,
    unit: '°C',
    calibratedOn: '2026-01-12',
    shows: { values: [88.2], unit: '°C' },
  },
  {
    id: 'gauge-1',
    kind: 'balance-gauge',
    name: 'Four-column gauge',
    low: 0,
    high: 110,
    unit: 'kPa',
    calibratedOn: null,
    shows: { values: [31.2, 31, 30.4, 31.1], unit: 'kPa' },
  },
];

/** One of them at work: it sends lines while somebody listens. What it shows is set by whoever holds it. */
export class StandIn {
  readonly id: string;
  readonly about: InstrumentId;
  #shown: Shown;
  #mood: Mood = 'steady';
  #tick = 0;
  /** Steps of a pull that are still to come; a torque wrench tells one when it is set. */
  #pull = 0;

  constructor({ id, shows, ...about }: (typeof STAND_INS)[number]) {
    this.id = id;
    this.about = about;
    this.#shown = shows;
  }

  set(values: readonly number[], unit: string, mood: Mood): void {
    this.#shown = { values, unit };
    this.#mood = mood;
    this.#pull = PULL.length;
  }

  /** Sends lines until it is told to stop. @param gone told when it is unplugged */
  listen(line: (text: string) => void, gone: () => void): () => void {
    const send = (): void => {
      if (this.#mood === 'unplugged') {
        clearInterval(timer);
        return gone();
      }
      line(readingLine(this.#reading()));
    };
    const timer = setInterval(send, EVERY_MS);
    timer.unref();
    return () => clearInterval(timer);
  }

  #reading(): InstrumentReading {
    this.#tick += 1;
    const { values, unit } = this.#shown;
    if (this.#mood === 'overload') return { values: null, unit, peak: false, angleDeg: null };
    if (this.about.kind === 'torque-wrench') return this.#torque(values, unit);
    // A noisy one wanders by a tenth; a steady one stands.
    const wander = this.#mood === 'noisy' ? 0.1 * Math.sin(this.#tick * 1.7) : 0;
    const shown = values.map((value) => Math.round(value * (1 + wander) * 1000) / 1000);
    return { values: shown, unit, peak: false, angleDeg: null };
  }

  /** A pull rises, is let go, and then tells what it reached; between pulls it shows nothing. */
  #torque(values: readonly number[], unit: string): InstrumentReading {
    const share = this.#pull === 0 ? 0 : (PULL[PULL.length - this.#pull] ?? 0);
    const peak = this.#pull === 1 && this.#mood === 'steady';
    if (this.#pull > 0) this.#pull -= 1;
    const shown = values.map((value) => Math.round(value * share * 1000) / 1000);
    return { values: shown, unit, peak, angleDeg: peak ? Math.round(20 + 3 * (values[0] ?? 0)) : null };
  }
}

/** How a pull rises, as shares of what it reaches; the last is the peak. */
const PULL = [0.4, 0.8, 1, 1] as const;
