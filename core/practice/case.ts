import { type Case, type Finding, type Knowledge, restOf, signsFor, type Subject } from '../diagnose/index.ts';
import { CHECKS } from './checks.ts';
import { CODES, type Sign, TOLD } from './told.ts';
import type { PracticeVehicle } from './vehicle.ts';

const SIGNS: Readonly<Record<string, Sign>> = { ...TOLD, ...CODES, ...CHECKS };

/** How a sign of the knowledge comes out on a vehicle; its usual outcome where the model says nothing of it. */
export function comesOut({ id, outcomes }: Knowledge['signs'][number], vehicle: PracticeVehicle): string {
  const outcome = SIGNS[id]?.(vehicle);
  return outcome === undefined || !outcomes.some((each) => each.id === outcome) ? (outcomes.at(-1)?.id ?? '') : outcome;
}

/** Whether the model says anything of a sign. */
export const isModelled = (sign: string): boolean => SIGNS[sign] !== undefined;

/**
 * A practice vehicle as a written case: what is told and stored, what each check would find, and what it is. So the program’s
 * own plan is tried on vehicles that its likelihoods were not made from.
 */
export function caseOfVehicle(vehicle: PracticeVehicle, knowledge: Knowledge): Case {
  const subject: Subject = { group: vehicle.group, hasValve: vehicle.hasValve };
  const signs = signsFor(knowledge, subject);
  const found = (checks: boolean): Finding[] =>
    signs.flatMap((sign): Finding[] => {
      if ((sign.kind === 'check') !== checks) return [];
      const outcome = comesOut(sign, vehicle);
      return outcome === restOf(sign) ? [] : [{ sign: sign.id, outcome }];
    });
  return {
    id: `practice-${vehicle.seed}`,
    title: vehicle.faults.join(' and ') || 'nothing',
    subject,
    told: found(false),
    finds: found(true),
    truth: vehicle.faults,
    first: [],
  };
}
