import { random } from '../chance/index.ts';
import { type Group, type Knowledge, restOf } from '../diagnose/index.ts';
import { comesOut, look, type Met, practiceVehicle } from '../practice/index.ts';
import { oneOf } from './shuffle.ts';

/** A picture that is to be judged, with the answers there are. */
export interface SeenDrill {
  readonly met: Met;
  readonly sign: string;
  readonly name: string;
  readonly answers: readonly { readonly id: string; readonly name: string }[];
  readonly answer: string;
}

/** Looks at what is drawn, with causes that show there, and nothing wrong as often. */
const LOOKS: readonly { readonly sign: string; readonly group: Group; readonly causes: readonly string[] }[] = [
  { sign: 'duct-off-look', group: 'cable', causes: ['deposit', 'foreign', 'pcv', 'ignition', 'valve-coil'] },
  { sign: 'light-gap', group: 'cable', causes: ['deposit', 'warped', 'foreign', 'ignition', 'valve-coil'] },
  { sign: 'back-of-plate', group: 'electronic', causes: ['deposit', 'ignition'] },
  { sign: 'valve-deposit', group: 'cable', causes: ['valve-stuck', 'ignition'] },
  { sign: 'gasket-look', group: 'cable', causes: ['flange-leak', 'ignition'] },
  { sign: 'seal-look', group: 'cable', causes: ['shaft', 'ignition'] },
  { sign: 'plug-pins', group: 'electronic', causes: ['pigtail', 'ignition'] },
  { sign: 'hoses-seen', group: 'cable', causes: ['intake-leak', 'ignition'] },
];

/** @param seed 0 to 2³² − 1; the same seed is the same picture */
export function seenDrill(seed: number, knowledge: Knowledge): SeenDrill {
  const dice = random(seed);
  const { sign: id, group, causes } = oneOf(LOOKS, dice);
  const vehicle = practiceVehicle(Math.floor(dice.uniform() * 1e9), group, [oneOf(causes, dice)]);
  const sign = knowledge.signs.find((each) => each.id === id);
  const met = look(vehicle, id);
  if (sign === undefined || met === null) throw new RangeError(`Expected a check “${id}” in the knowledge.`);
  return {
    met,
    sign: id,
    name: sign.name,
    answers: sign.outcomes.map(({ id: outcome, name }) => ({ id: outcome, name })),
    answer: comesOut(sign, vehicle),
  };
}

/** Whether an answer is the one of a part that is as it should be. */
export const isSound = (knowledge: Knowledge, { sign, answer }: Pick<SeenDrill, 'sign' | 'answer'>): boolean => {
  const known = knowledge.signs.find(({ id }) => id === sign);
  return known !== undefined && restOf(known) === answer;
};
