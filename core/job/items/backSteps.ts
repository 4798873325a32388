import { isBackStep } from '../../procedure/index.ts';
import type { Stamp } from '../stamp.ts';
import type { JobItem } from './state.ts';

/**
 * Steps of the way back wait from the moment that what they come before is off, in the order in which they are listed.
 * @param which of its steps; all of them where it came off just now
 */
export function stepsWait(
  items: readonly JobItem[],
  cueId: string,
  stamp: Stamp,
  which: (step: JobItem) => boolean = () => true,
): readonly JobItem[] {
  const cue = items.find(({ id }) => id === cueId);
  const steps = items.filter((item) => item.backBefore === cueId && which(item));
  if (cue?.stripOrder == null || steps.length === 0) return items;
  const after = cue.stripOrder;
  // Those with a place keep it; the others stand straight after what they belong to, so that the string stays straight.
  const fresh = steps.filter(({ stripOrder }) => stripOrder === null).map(({ id }) => id);
  return items.map((item) => {
    if (steps.includes(item)) {
      const place = fresh.indexOf(item.id);
      return {
        ...item,
        state: 'off',
        off: stamp,
        back: null,
        remark: '',
        stripOrder: place === -1 ? item.stripOrder : after + 1 + place,
      };
    }
    return item.stripOrder !== null && item.stripOrder > after && fresh.length > 0
      ? { ...item, stripOrder: item.stripOrder + fresh.length }
      : item;
  });
}

/** Steps that waited for something that never came off wait no more. */
export const stepsRest = (items: readonly JobItem[], cueId: string): JobItem[] =>
  items.map((item) =>
    item.backBefore === cueId ? { ...item, state: 'on', off: null, back: null, stripOrder: null, remark: '' } : item,
  );

/** What comes off, as against steps of the way back and plugs. */
export const comesOff = (item: JobItem): boolean => item.origin !== 'plug' && !isBackStep(item);
