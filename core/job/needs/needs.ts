import type { Need } from '../../procedure/index.ts';
import { samePart } from '../../stock/index.ts';
import type { Job } from '../job.ts';
import type { NeedState } from './state.ts';

/** Everything that the job needs: the procedure's list, then what was found on the way. */
export const allNeeds = (job: Job): readonly Need[] => [...(job.procedure?.needs ?? []), ...job.ownNeeds];
/** The part numbers that a job needs, as the stock is asked for them. */
export const neededNumbers = (job: Job): readonly string[] =>
  allNeeds(job).flatMap(({ partNumber }) => (partNumber === '' ? [] : [partNumber]));

/** What is known of a need, or undefined when nobody has looked yet. */
export const needState = (job: Job, needId: string): NeedState | undefined =>
  job.needs.find((each) => each.needId === needId);

/** What is known of a part, by the id or part number of its need; null when nobody has looked. */
export function partHere(job: Job, part: string): { here: boolean; expected: string | null } | null {
  const need = allNeeds(job).find(({ id, partNumber }) => id === part || samePart(partNumber, part));
  const state = need === undefined ? undefined : needState(job, need.id);
  return state === undefined ? null : { here: state.state === 'ready', expected: state.expected };
}

/** The name of a part as the list has it, or the part itself. */
export const partName = (job: Job, part: string): string =>
  allNeeds(job).find(({ id, partNumber }) => id === part || samePart(partNumber, part))?.name ?? part;

/** What was done first and must be undone at the end, in the reverse of the order in which it is listed. */
export function endSteps(job: Job): { need: Need; words: string; beforeStart: boolean; done: boolean }[] {
  return allNeeds(job)
    .flatMap((need) =>
      need.atEnd !== undefined && needState(job, need.id)?.state === 'ready'
        ? [{ need, ...need.atEnd, done: job.endSteps.some(({ needId }) => needId === need.id) }]
        : [],
    )
    .reverse();
}
