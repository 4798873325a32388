import { describe, expect, it } from 'vitest';
import { random } from '../chance/index.ts';
import { causesOf, GROUPS, type Group, interpret, signsFor } from '../diagnose/index.ts';
import { SHIPPED_KNOWLEDGE as KNOWN } from '../diagnose/knowledge/index.ts';
import { figuresOf, groupOf, hasIdleValve } from '../vehicle/index.ts';
import { checkProcedure } from '../procedure/index.ts';
import {
  answerOf,
  comesOut,
  complaintOf,
  FELT_ANSWERS,
  look,
  type PracticeVehicle,
  practiceFile,
  practiceVehicle,
  triedWords,
  VALVED,
} from './index.ts';

const groups = Object.keys(GROUPS) as Group[];
/** Every cause that a group can have. */
const FAULTY: readonly PracticeVehicle[] = groups.flatMap((group) =>
  causesOf(KNOWN, { group, hasValve: VALVED.has(group) }).map(({ id }, nth) => practiceVehicle(nth, group, [id])),
);
const checksOf = (vehicle: PracticeVehicle) => signsFor(KNOWN, vehicle).filter(({ kind }) => kind === 'check');

describe('what is met at a check', () => {
  it('is something for every check of every kind of vehicle', () => {
    for (const group of groups) {
      const vehicle = practiceVehicle(3, group, ['deposit']);
      expect(
        checksOf(vehicle)
          .filter(({ id }) => look(vehicle, id) === null)
          .map(({ id }) => id),
      ).toEqual([]);
    }
  });
  it('has words for every answer of a check without a picture', () => {
    const wrong = KNOWN.signs.flatMap(({ id, outcomes }) => {
      const words = FELT_ANSWERS[id];
      return words === undefined || outcomes.every((one) => words.includes(one.id)) ? [] : [id];
    });
    expect(wrong).toEqual([]);
  });
  it('read off and typed, is judged as the vehicle is', () => {
    const wrong: string[] = [];
    for (const vehicle of FAULTY) {
      const { vehicle: file, family } = practiceFile(vehicle.group, 'P 1');
      for (const sign of checksOf(vehicle)) {
        const met = look(vehicle, sign.id);
        if (sign.method?.entry.kind === 'choice' || met?.kind !== 'figures') continue;
        // Beyond the meter nothing is typed.
        if (met.figures.some(({ value }) => value === null)) continue;
        const judged = interpret(
          sign,
          met.figures.map(({ value }) => String(value)),
          figuresOf(file, family),
        );
        const outcome = judged.ok ? judged.outcome : judged.message;
        if (outcome !== comesOut(sign, vehicle))
          wrong.push(
            `${vehicle.group} ${vehicle.faults.join()} ${sign.id}: ${outcome}, not ${comesOut(sign, vehicle)}`,
          );
      }
    }
    expect(wrong).toEqual([]);
  });
  it('says nothing of which answer it is', () => {
    for (const sign of KNOWN.signs.filter(({ id }) => FELT_ANSWERS[id] !== undefined))
      for (const vehicle of FAULTY) {
        const met = look(vehicle, sign.id);
        const names = sign.outcomes.map(({ name }) => name.toLowerCase()).filter((name) => name.length > 6);
        if (met?.kind === 'felt') for (const name of names) expect(met.words.toLowerCase()).not.toContain(name);
      }
  });
});

describe('the file of a practice vehicle', () => {
  it.each(groups)('of a %s is judged as that kind, and has a procedure without faults', (group) => {
    const { vehicle, family, procedure } = practiceFile(group, 'PRACTICE 1');
    expect(groupOf(vehicle, family)).toBe(group);
    expect(hasIdleValve(vehicle, family)).toBe(VALVED.has(group));
    expect(checkProcedure(procedure)).toEqual([]);
    expect(procedure.items.some(({ unit }) => unit === 'throttle-body')).toBe(true);
  });
});

describe('a customer', () => {
  it('says at most two things unasked, and something in every case', () => {
    for (const vehicle of FAULTY) {
      const words = complaintOf(vehicle, KNOWN);
      expect(words.length).toBeGreaterThan(20);
      expect(words.split(', and ').length).toBeLessThanOrEqual(3);
    }
  });
  it('answers what is asked, and knows nothing of checks and codes', () => {
    const vehicle = practiceVehicle(5, 'cable', ['valve-stuck']);
    expect(answerOf(vehicle, KNOWN, 'clicking')).toMatch(/clicks|not that I noticed/);
    expect(answerOf(vehicle, KNOWN, 'onset')).toBe('Slowly.');
    expect(answerOf(vehicle, KNOWN, 'coil-ohms')).toBeNull();
    expect(answerOf(vehicle, KNOWN, 'idle-code')).toBeNull();
  });
  it('speaks as people of that kind do', () => {
    const dice = random(4);
    const told = Array.from({ length: 30 }, () =>
      complaintOf(practiceVehicle(Math.floor(dice.uniform() * 1e6), 'outboard', ['deposit']), KNOWN),
    );
    expect(told.some((words) => words.includes('quay'))).toBe(true);
    expect(told.every((words) => !words.includes('the van'))).toBe(true);
  });
  it('tells what was tried', () => {
    expect(triedWords({ tried: ['clean-bench'] })).toBe('It was off and cleaned; it did not help.');
    expect(triedWords({ tried: [] })).toBe('');
  });
});
