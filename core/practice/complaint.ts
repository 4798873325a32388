import { type Finding, type Group, type Knowledge, restOf, signsFor } from '../diagnose/index.ts';
import { lowerFirst, upperFirst } from '../words/index.ts';
import { comesOut } from './case.ts';
import type { Scenario } from './scenario.ts';
import type { PracticeVehicle } from './vehicle.ts';

/** How people of each kind call what they brought, and where they notice it. */
const WHO: Readonly<Record<Group, { readonly it: string; readonly where: string }>> = {
  cable: { it: 'the van', where: 'at the lights' },
  electronic: { it: 'the car', where: 'at the lights' },
  'diesel-flap': { it: 'the pick-up', where: 'at the gate' },
  'multi-bank': { it: 'the big saloon', where: 'at the lights' },
  motorcycle: { it: 'the bike', where: 'at the junction' },
  outboard: { it: 'the engine', where: 'coming to the quay' },
};

/** What a driver says of a symptom, by the answer of its sign. */
const SAID: Readonly<Record<string, (who: (typeof WHO)[Group]) => string>> = {
  'hunting=yes': ({ where }) => `it goes up and down ${where} and never settles`,
  'stalls=yes': ({ where }) => `it dies ${where}`,
  'stalls=nearly': ({ where }) => `it nearly dies ${where} and just catches itself`,
  'idle-high=yes': ({ where }) => `it runs far too fast ${where}`,
  'idle-low=yes': ({ where }) => `it hardly turns over ${where}`,
  'rough=yes': ({ where }) => `it shakes ${where}`,
  'after-blip=yes': () => 'when I let go it does not fall back as it should',
  'response=yes': () => 'there is no pull in it',
  'snatch=yes': () => 'it jerks when I pull away',
  'cruise-surge=yes': () => 'it surges when I hold it steady',
  'limp=yes': () => 'it came home on its emergency run',
  'clicking=yes': () => 'something clicks with the key on',
  'motor-noise=yes': () => 'something whirrs in there',
  'whistle=yes': () => 'it whistles',
  'hangs=yes': () => 'it is slow to come down again',
  'sticky-pedal=yes': () => 'it sticks at first and then leaps',
  'hard-start=yes': () => 'it is hard to start',
  'fast-idle=missing': () => 'cold it has no fast idle',
  'fast-idle=stays': () => 'it stays fast even when warm',
  'heater-cold=yes': () => 'the heater goes cold',
  'other-lamp=yes': () => 'another lamp is lit as well',
  'smoke=yes': () => 'it smokes black',
};
/** So much is told unasked; the rest is asked for. */
const UNASKED = 2;

/** What a customer says of itself on coming in: the first symptoms that there are words for. */
export function unaskedSymptoms(vehicle: PracticeVehicle, knowledge: Knowledge): readonly Finding[] {
  return signsFor(knowledge, vehicle)
    .flatMap((sign): Finding[] => {
      const outcome = comesOut(sign, vehicle);
      const isTold = sign.kind === 'symptom' && outcome !== restOf(sign) && SAID[`${sign.id}=${outcome}`] !== undefined;
      return isTold ? [{ sign: sign.id, outcome }] : [];
    })
    .slice(0, UNASKED);
}

/** What the customer says on coming in; the rest has to be asked. */
export function complaintOf(vehicle: PracticeVehicle, knowledge: Knowledge): string {
  const who = WHO[vehicle.group];
  const told = unaskedSymptoms(vehicle, knowledge)
    .map(({ sign, outcome }) => SAID[`${sign}=${outcome}`]?.(who) ?? '')
    .join(', and ');
  const begins = vehicle.world.sudden ? 'since the other day' : 'for some while now';
  return told === ''
    ? `Something is not right with ${who.it}, ${begins}. I cannot say what.`
    : `${upperFirst(who.it)}: ${begins} ${told}.`;
}

const ANSWERS: Readonly<Record<string, string>> = { yes: 'Yes, it does.', no: 'No, not that I noticed.' };

/** What the customer answers when a question of the knowledge is put; null for what is no question. */
export function answerOf(vehicle: PracticeVehicle, knowledge: Knowledge, sign: string): string | null {
  const asked = signsFor(knowledge, vehicle).find(({ id }) => id === sign);
  if (asked === undefined || asked.kind === 'check' || asked.kind === 'code') return null;
  const outcome = comesOut(asked, vehicle);
  const said = SAID[`${sign}=${outcome}`];
  const words = asked.outcomes.find(({ id }) => id === outcome)?.name ?? '';
  return said === undefined
    ? (ANSWERS[outcome] ?? `${upperFirst(words)}.`)
    : `Yes: ${lowerFirst(said(WHO[vehicle.group]))}.`;
}

const TRIED: Readonly<Record<string, string>> = {
  relearn: 'somebody relearned it',
  remove: 'somebody took something out of it',
  adjust: 'somebody adjusted it',
  'clean-in-place': 'somebody sprayed it clean where it sits',
  'clean-bench': 'it was off and cleaned',
  rebuild: 'it was rebuilt',
  replace: 'it has a new unit',
  'replace-rebuilt': 'it has a rebuilt unit',
  'replace-used': 'it has a unit from another one',
  elsewhere: 'something else was repaired on it',
};
/** What was done before, and did not help; empty where nothing was. */
export const triedWords = ({ tried }: Pick<Scenario, 'tried'>): string =>
  tried.length === 0 ? '' : `${upperFirst(tried.map((each) => TRIED[each] ?? each).join(', and '))}; it did not help.`;
