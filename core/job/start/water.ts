import { line, record } from '../../shape/index.ts';
import { useOf } from '../../vehicle/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';

/** What {@link waterGiven} holds. */
export const waterGivenShape = record({ how: line });
/** An outboard has its cooling water. */
export const waterGiven = fact('water-given', {
  shape: waterGivenShape,
  means: (_, { how }, stamp) => ({ water: { how, ...stamp } }),
  words: ({ how }) => `Cooling water: ${how}`,
  putRight: {},
  sheet: { no: 'it is true only while it runs' },
});

/** Says how an outboard gets its cooling water. */
export const giveWater = command('give-water', {
  shape: waterGivenShape,
  decide: (job, { how }) =>
    needsWater(job)
      ? (nonEmpty('how', how, 'How: muffs and hose, a tank, afloat?') ?? accept(waterGiven.of({ how: how.trim() })))
      : refuse('not-needed', 'This engine carries its cooling with it.'),
});

/** Whether an outboard lacks it: nobody has said, or something came off since. */
export const lacksWater = (job: Job): boolean =>
  needsWater(job) &&
  (job.water === null || job.items.some(({ off }) => off !== null && off.at > (job.water?.at ?? '')));

/** An outboard runs dry in seconds without water from outside. */
const needsWater = ({ vehicle }: Job): boolean => useOf(vehicle, null) === 'outboard';
