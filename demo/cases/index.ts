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
import { toCase } from './case.ts';
import { OTHER_CASES } from './others.ts';
import { ROAD_CASES } from './road.ts';

/** Every written case of the demo world, ready to be scored. */
export const CASES: readonly Case[] = [...ROAD_CASES, ...OTHER_CASES].map(toCase);

/** Both ways over all cases. @param minutePrice minor units a minute */
export function scoreCases(
  knowledge: Knowledge,
  minutePrice: number,
): { gain: Score; list: Score; results: readonly CaseResult[]; byList: readonly CaseResult[] } {
  const results = CASES.map((each) => scoreByGain(knowledge, each, minutePrice));
  const byList = CASES.map((each) => scoreByList(knowledge, each, FIXED_ORDER));
  return { gain: summarise(results), list: summarise(byList), results, byList };
}
