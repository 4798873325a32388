import {
  type Case,
  type CaseResult,
  FIXED_ORDER,
  type Knowledge,
  type Score,
  scoreByGain,
  scoreByList,
  summarise,
} from '../../core/diagnose/index.ts';
import { SHIPPED_KNOWLEDGE } from '../../core/diagnose/knowledge/index.ts';
import { APART_CABLE } from './apart/cable.ts';
import { APART_ELECTRONIC } from './apart/electronic.ts';
import { APART_OTHERS } from './apart/others.ts';
import { toCase } from './case.ts';
import { OTHER_CASES } from './others.ts';
import { ROAD_CASES } from './road.ts';
import { TRIED_CASES } from './tried.ts';
import type { WrittenCase } from './written.ts';

/** Cases to work with. */
export const WORK_CASES: readonly WrittenCase[] = [...ROAD_CASES, ...OTHER_CASES, ...TRIED_CASES];
/** Cases set apart: never looked at while likelihoods are set. One that is changed later is listed as changed. */
export const APART_CASES: readonly WrittenCase[] = [...APART_CABLE, ...APART_ELECTRONIC, ...APART_OTHERS];
/** Cases of {@link APART_CASES} that were changed after they were written. */
export const CHANGED_APART: readonly string[] = [];

/** Written cases, ready to be scored by a knowledge. */
export const casesFor = (knowledge: Knowledge, written: readonly WrittenCase[] = WORK_CASES): readonly Case[] =>
  written.map((each) => toCase(each, knowledge));

/** The cases to work with, as the program that ships hears them. */
export const CASES: readonly Case[] = casesFor(SHIPPED_KNOWLEDGE);

/** Both ways over cases. @param minutePrice minor units a minute */
export function scoreCases(
  knowledge: Knowledge,
  minutePrice: number,
  written: readonly WrittenCase[] = WORK_CASES,
): { gain: Score; list: Score; results: readonly CaseResult[]; byList: readonly CaseResult[] } {
  const cases = casesFor(knowledge, written);
  const results = cases.map((each) => scoreByGain(knowledge, each, minutePrice));
  const byList = cases.map((each) => scoreByList(knowledge, each, FIXED_ORDER));
  return { gain: summarise(results), list: summarise(byList), results, byList };
}
