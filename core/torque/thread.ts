/** A metric thread as a person writes it. Millimetres. */
export interface Thread {
  readonly diameter: number;
  readonly pitch: number;
  /** Under the head; null when it is not said. */
  readonly length: number | null;
}

/** Coarse pitches of ISO 261, by nominal diameter, mm. */
const COARSE: Readonly<Record<number, number>> = {
  2: 0.4,
  2.5: 0.45,
  3: 0.5,
  3.5: 0.6,
  4: 0.7,
  5: 0.8,
  6: 1,
  7: 1,
  8: 1.25,
  10: 1.5,
  12: 1.75,
  14: 2,
  16: 2,
};

/** No pitch of ISO 261 is more than this share of its diameter, and no bolt is that short: it tells one from the other. */
const PITCH_AT_MOST = 0.35;

/**
 * Reads `M6`, `M6×20`, `M6×1.0×30`, `M10 x 1.25`, with a decimal comma or point. A second figure below a third of the
 * diameter is the pitch, above it the length. Without a pitch the coarse one of ISO 261 is meant.
 * @returns null when it is not a metric thread or its coarse pitch is not known
 */
export function parseThread(text: string): Thread | null {
  const figures = /^\s*M\s*(\d+(?:[.,]\d+)?)((?:\s*[×x*]\s*\d+(?:[.,]\d+)?){0,2})/i.exec(text);
  if (figures === null) return null;
  const diameter = number(figures[1] ?? '');
  const [second, third] = [...(figures[2] ?? '').matchAll(/\d+(?:[.,]\d+)?/g)].map(([figure]) => number(figure));
  const hasPitch = second !== undefined && second <= PITCH_AT_MOST * diameter;
  const pitch = hasPitch ? second : COARSE[diameter];
  if (pitch === undefined || !(diameter > 0) || pitch === 0) return null;
  return { diameter, pitch, length: (hasPitch ? third : second) ?? null };
}

const number = (text: string): number => Number(text.replace(',', '.'));

/** Pitch diameter of the ISO 68-1 profile: d − 0.649519·P, mm. */
export const pitchDiameter = ({ diameter, pitch }: Thread): number => diameter - 0.649519 * pitch;

/** Tensile stress area by ISO 898-1: π/4·(d − 0.9382·P)², mm². */
export const stressArea = ({ diameter, pitch }: Thread): number => (Math.PI / 4) * (diameter - 0.9382 * pitch) ** 2;

/** What two threads of one size share however they are written: `m6x1`; what is no metric thread is compared as words. */
export function threadKey(text: string): string {
  const thread = parseThread(text);
  return thread === null ? text.toLowerCase().replace(/\s+/g, '') : `m${thread.diameter}x${thread.pitch}`;
}
