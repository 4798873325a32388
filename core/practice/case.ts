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

/** What a driver would mention by himself: the rest is answered when it is asked. */
const MENTIONED = Object.keys(TOLD);

/**
 * A practice vehicle as a written case: what is told and stored, what each check would find, and what it is. So the program’s
 * own plan is tried on vehicles that its likelihoods were not made from.
 */
export function caseOfVehicle(vehicle: PracticeVehicle, knowledge: Knowledge): Case {
  const subject: Subject = { group: vehicle.group, hasValve: vehicle.hasValve };
  const signs = signsFor(knowledge, subject);
  const found = (of: (id: string, isCheck: boolean) => boolean): Finding[] =>
    signs.flatMap((sign): Finding[] => {
      if (!of(sign.id, sign.kind === 'check')) return [];
      const outcome = comesOut(sign, vehicle);
      return outcome === restOf(sign) ? [] : [{ sign: sign.id, outcome }];
    });
  return {
    id: `practice-${vehicle.seed}`,
    title: vehicle.faults.join(' and ') || 'nothing',
    subject,
    told: found((id, isCheck) => !isCheck && (MENTIONED.includes(id) || CODES[id] !== undefined)),
    finds: found((_, isCheck) => isCheck),
    truth: vehicle.faults,
    first: [],
  };
}
