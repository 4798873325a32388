import { day, id, line, oneOf, orNull, record, type TypeOf } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { need } from '../shapes.ts';
import { allNeeds, endSteps } from './needs.ts';
import type { NeedState } from './state.ts';

/** What {@link needTicked} holds. */
export const needTickedShape = record({
  needId: id,
  state: oneOf('ready', 'ordered', 'missing'),
  expected: orNull(day),
});
/** Something needed is ready, ordered or missing. */
export const needTicked = fact('need-ticked', {
  shape: needTickedShape,
  means: (job, data, { at }) => ({
    needs: [...job.needs.filter(({ needId }) => needId !== data.needId), { ...data, ...orderOf(job, data, at) }],
  }),
  words: (data, job) => `${allNeeds(job).find(({ id }) => id === data.needId)?.name ?? 'Need'}: ${data.state}`,
  sheet: { no: 'the sheet lists what was fitted' },
});

/** Ticks something needed. */
export const tickNeed = command('tick-need', {
  shape: needTickedShape,
  decide: (job, data) => {
    if (!allNeeds(job).some(({ id }) => id === data.needId))
      return refuse('not-there', 'Nothing of that name is on the list.');
    if (data.state === 'ordered' && data.expected === null)
      return refuseField('expected', 'On which day is it expected?');
    return accept(needTicked.of(data));
  },
});

/** Plugged openings keep their plug: only the person takes it out. */
/** A need that this job ordered keeps when, and when it came; from the shelf it has neither. */
function orderOf(
  job: Job,
  { needId, state }: TypeOf<typeof needTickedShape>,
  at: string,
): Pick<NeedState, 'orderedAt' | 'arrivedAt'> {
  const before = job.needs.find((each) => each.needId === needId);
  if (state === 'missing' || (state === 'ready' && before?.orderedAt === undefined)) return {};
  const orderedAt = before?.orderedAt ?? at;
  return state === 'ordered' ? { orderedAt } : { orderedAt, arrivedAt: before?.arrivedAt ?? at };
}

/** What {@link needAdded} holds. */
export const needAddedShape = record({ need });
/** Something was needed that the procedure does not list. */
export const needAdded = fact('need-added', {
  shape: needAddedShape,
  means: (job, { need }) => ({ ownNeeds: [...job.ownNeeds, need] }),
  words: (data) => `Needed: ${lowerFirst(data.need.name)}`,
  putRight: {},
  sheet: { no: 'the sheet lists what was fitted' },
});

/** Puts something on the list. */
export const addNeed = command('add-need', {
  shape: needAddedShape,
  decide: (job, { need }) =>
    nonEmpty('name', need.name, 'What is needed?') ??
    (allNeeds(job).some(({ id }) => id === need.id)
      ? refuse('already-there', `${need.name} is on the list already.`)
      : accept(needAdded.of({ need: { ...need, name: need.name.trim() } }))),
});

/** What {@link endStepDone} holds. */
export const endStepDoneShape = record({ needId: id, note: line });
/** Something done first was undone again, such as the battery. */
export const endStepDone = fact('end-step-done', {
  shape: endStepDoneShape,
  means: (job, data, stamp) => ({ endSteps: [...job.endSteps, { ...data, ...stamp }] }),
  words: (data, job) => endSteps(job).find(({ need }) => need.id === data.needId)?.words ?? 'Undone again',
  sheet: { no: 'only one that is still open is printed' },
});

/** Undoes at the end what was done first. */
export const doEndStep = command('do-end-step', {
  shape: endStepDoneShape,
  decide: (job, data) => {
    const step = endSteps(job).find(({ need }) => need.id === data.needId);
    if (step === undefined) return refuse('not-there', 'Nothing of that kind was done first.');
    return step.done ? refuse('already-there', `Done already: ${step.words}.`) : accept(endStepDone.of(data));
  },
});
