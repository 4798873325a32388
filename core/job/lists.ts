import { type OptionId, OPTIONS } from '../choose/index.ts';
import type { UnitKind } from '../procedure/index.ts';
import type { Unit } from '../quantity/index.ts';

/** The choices of the decide stage: the options that are compared. */
export const CHOICES = OPTIONS;
/** The id of a choice. */
export type Choice = OptionId;

/** What a bench inspection looks at, per unit. Grades run from 0 (as new) to 4 (worst). */
export const INSPECTION_POINTS: readonly {
  readonly id: string;
  readonly unit: UnitKind;
  readonly name: string;
  readonly graded: boolean;
}[] = [
  { id: 'deposit-front', unit: 'throttle-body', name: 'Deposit, front', graded: true },
  { id: 'deposit-back', unit: 'throttle-body', name: 'Deposit, back', graded: true },
  { id: 'deposit-edge', unit: 'throttle-body', name: 'Deposit at the plate’s edge', graded: true },
  { id: 'light', unit: 'throttle-body', name: 'Light round the closed plate', graded: false },
  { id: 'play', unit: 'throttle-body', name: 'Shaft play', graded: false },
  { id: 'spring', unit: 'throttle-body', name: 'Spring return, sticking', graded: false },
  { id: 'valve-deposit', unit: 'idle-valve', name: 'Deposit in the port', graded: true },
  { id: 'valve-free', unit: 'idle-valve', name: 'Valve turns freely', graded: false },
  { id: 'gasket', unit: 'idle-valve', name: 'Gasket and O-ring', graded: false },
];

/** Deposit grades in words. */
export const GRADES = ['as new', 'film', 'lacquer', 'crust', 'coke'] as const;

/** Figures measured before and after. `figure` names the family band that judges it. */
export const MEASURES = {
  'idle-rpm': { name: 'Idle speed, warm', unit: 'rpm', figure: 'idleRpm', low: 0, high: 10_000 },
  'valve-duty': { name: 'Idle valve duty', unit: '%', figure: 'valveDuty', low: 0, high: 100 },
  'closed-volts': { name: 'Position sensor, plate closed', unit: 'V', figure: 'closedVolts', low: 0, high: 5.5 },
  'settle-time': { name: 'Settles after a blip', unit: 's', figure: null, low: 0, high: 60 },
} as const satisfies Record<
  string,
  { name: string; unit: Unit | '%'; figure: 'idleRpm' | 'valveDuty' | 'closedVolts' | null; low: number; high: number }
>;
/** The id of a measure. */
export type MeasureKind = keyof typeof MEASURES;

/** What is proved by looking and driving. */
export const PROOFS = {
  leaks: 'No leaks, air or coolant',
  settles: 'Settles quickly after a blip',
  'road-test': 'Road test: comes to rest without stalling',
} as const;
/** The id of a proof. */
export type ProofKind = keyof typeof PROOFS;
