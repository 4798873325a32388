import { type Field, FIELDS, formatNumber, type Unit } from '../../quantity/index.ts';

/** The figures of a family that judge a measure. */
type JudgedBy = 'idleRpm' | 'valveDuty' | 'closedVolts' | null;

/** Figures measured before and after. `figure` names the family band that judges it; without one both are shown. */
export const MEASURES = {
  'idle-rpm': { name: 'Idle speed, warm', unit: 'rpm', figure: 'idleRpm', low: 0, high: 10_000 },
  'valve-duty': { name: 'Idle valve duty', unit: '%', figure: 'valveDuty', low: 0, high: 100 },
  'closed-volts': { name: 'Position sensor, plate closed', unit: 'V', figure: 'closedVolts', low: 0, high: 5.5 },
  'settle-time': { name: 'Settles after a blip', unit: 's', figure: null, low: 0, high: 60 },
  'closed-volts-second': { name: 'Second track, plate closed', unit: 'V', figure: null, low: 0, high: 5.5 },
  'closed-share': { name: 'Position sensor, plate closed', unit: '%', figure: null, low: 0, high: 100 },
  'closed-share-second': { name: 'Second track, plate closed', unit: '%', figure: null, low: 0, high: 100 },
  'valve-steps': { name: 'Idle valve steps', unit: 'steps', figure: null, low: -1000, high: 1000 },
  'air-mass': { name: 'Air mass at idle', unit: 'g/s', figure: null, low: 0, high: 400 },
  manifold: { name: 'Manifold pressure at idle', unit: 'kPa', figure: null, low: 0, high: 400 },
  'short-trim': { name: 'Short trim at idle', unit: '%', figure: null, low: -100, high: 100 },
  'long-trim': { name: 'Long trim at idle', unit: '%', figure: null, low: -100, high: 100 },
} as const satisfies Record<
  string,
  { name: string; unit: Unit | 'steps'; figure: JudgedBy; low: number; high: number }
>;
/** The id of a measure. */
export type MeasureKind = keyof typeof MEASURES;

/** What is typed into the field of each measure. */
export const MEASURE_FIELDS: Readonly<Record<MeasureKind, Field>> = {
  'idle-rpm': FIELDS.idleSpeed,
  'valve-duty': FIELDS.share,
  'closed-volts': FIELDS.sensorVolts,
  'settle-time': FIELDS.seconds,
  'closed-volts-second': FIELDS.sensorVolts,
  'closed-share': FIELDS.share,
  'closed-share-second': FIELDS.share,
  'valve-steps': FIELDS.plain,
  'air-mass': FIELDS.airMass,
  manifold: FIELDS.manifoldPressure,
  'short-trim': FIELDS.trim,
  'long-trim': FIELDS.trim,
};

/** Measures by which every engine is proved; the others are for whoever has read them. */
export const USUAL_MEASURES: readonly MeasureKind[] = ['idle-rpm', 'valve-duty', 'closed-volts', 'settle-time'];

/** A measured figure with the decimals that it was typed with. */
export const measureText = ({ kind, value, typed: text }: MeasuredFigure): string =>
  formatNumber({ value, unit: quantityUnit(kind), text });

/** Steps of an actuator are counted; they are a unit of nothing. */
const quantityUnit = (kind: MeasureKind): Unit => {
  const { unit } = MEASURES[kind];
  return unit === 'steps' ? 'pcs' : unit;
};

/** A figure of a measure, with what was typed where it was. */
export interface MeasuredFigure {
  readonly kind: MeasureKind;
  readonly value: number;
  readonly typed?: string | undefined;
}

/** What is proved by looking and driving. */
export const PROOFS = {
  leaks: 'No leaks, air or coolant',
  settles: 'Settles quickly after a blip',
  'road-test': 'Road test: comes to rest without stalling',
} as const;
/** In a few words, where it stands in a line with others. */
export const PROOF_SHORT: Readonly<Record<ProofKind, string>> = {
  leaks: 'No leaks, air or coolant',
  settles: 'Settles quickly after a blip',
  'road-test': 'Road test',
};
/** The id of a proof. */
export type ProofKind = keyof typeof PROOFS;
