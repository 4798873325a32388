import { type Finding, type Knowledge, restOf, signsFor } from '../diagnose/index.ts';
import { parseDtc } from '../vehicle/index.ts';
import { comesOut } from './case.ts';
import type { PracticeVehicle } from './vehicle.ts';

/** Codes as the computer of a practice vehicle has them stored: one for each sign of its kind that is not at rest. */
export function storedCodes(vehicle: PracticeVehicle, knowledge: Knowledge): readonly string[] {
  const found = signsFor(knowledge, vehicle).flatMap((sign): string[] => {
    if (sign.kind !== 'code') return [];
    const outcome = comesOut(sign, vehicle);
    if (outcome === restOf(sign)) return [];
    // A knowledge may name codes by their first four characters: any code of that stretch is one of them.
    const named = Object.entries(sign.codes).filter(([, says]) => says === outcome);
    const whole = named.find(([code]) => parseDtc(code).ok) ?? named[0];
    return whole === undefined ? [] : [parseDtc(whole[0]).ok ? whole[0] : `${whole[0]}0`.slice(0, 5)];
  });
  return [...new Set(found)];
}

/** What those codes amount to. */
export const codeFindings = (vehicle: PracticeVehicle, knowledge: Knowledge): readonly Finding[] =>
  signsFor(knowledge, vehicle)
    .filter(({ kind }) => kind === 'code')
    .map((sign) => ({ sign: sign.id, outcome: comesOut(sign, vehicle) }));
