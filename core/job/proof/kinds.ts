import { type Field, FIELDS, formatNumber, type Unit } from '../../quantity/index.ts';
/** Figures measured before and after. `figure` names the family band that judges it. */
export const MEASURES = {
  'idle-rpm': { name: 'Idle speed, warm', unit: 'rpm', figure: 'idleRpm', low: 0, high: 10_000 },
  'valve-duty': { name: 'Idle valve duty', unit: '%', figure: 'valveDuty', low: 0, high: 100 },
  'closed-volts': { name: 'Position sensor, plate closed', unit: 'V', figure: 'closedVolts', low: 0, high: 5.5 },
  'settle-time': { name: 'Settles after a blip', unit: 's', figure: null, low: 0, high: 60 },
} as const satisfies Record<
  string,
  { name: string; unit: Unit; figure: 'idleRpm' | 'valveDuty' | 'closedVolts' | null; low: number; high: number }
>;
/** The id of a measure. */
export type MeasureKind = keyof typeof MEASURES;

/** What is typed into the field of each measure. */
export const MEASURE_FIELDS: Readonly<Record<MeasureKind, Field>> = {
  'idle-rpm': FIELDS.idleSpeed,
  'valve-duty': FIELDS.share,
  'closed-volts': FIELDS.sensorVolts,
  'settle-time': FIELDS.seconds,
};

/** A measured figure with the decimals that it was typed with. */
export const measureText = ({ kind, value, typed: text }: MeasuredFigure): string =>
  formatNumber({ value, unit: MEASURES[kind].unit, text });

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
