import { isBackStep } from '../../../core/procedure/index.ts';
import { boltIds, isAtTorque, type Job, type JobItem, type Way } from '../../../core/job/index.ts';

/** A few words on the tag of what came off: how its opening stands, else its label or where it lies. */
export function offNote(job: Job, item: JobItem): string {
  if (isBackStep(item)) return item.state === 'on' || item.state === 'off' ? 'on the way back' : '';
  if (item.state === 'on') return '';
  if (item.aside !== null && item.state === 'off') return 'tied aside';
  if (item.origin === 'plug') return item.state === 'off' ? 'in' : 'out';
  const opening = job.openings.find(({ id }) => item.opens.includes(id))?.state;
  if (opening === 'plugged' || opening === 'open') return opening;
  return item.label || (item.pocket === '' ? '' : item.pocket === 'bench' ? 'on the bench' : item.pocket);
}

/** A few words on the tag of what goes back: when it did, how many bolts are at torque, or that a new one is due. */
export function backNote(item: JobItem, way: Way, clock: (iso: string) => string): string {
  if (item.back !== null)
    return item.state === 'left-off'
      ? isBackStep(item)
        ? 'left out'
        : 'left off'
      : `${isBackStep(item) ? 'done' : item.origin === 'plug' ? 'out' : item.state === 'renewed' ? 'new' : 'back'} ${clock(item.back.at)}`;
  const group = item.fasteners;
  if (way === 'refit' && group?.spec && item.bolts.length > 0)
    return `${boltIds(item).filter((id) => isAtTorque(item, id)).length} of ${group.count}`;
  return item.singleUse && item.state === 'off' ? 'new' : '';
}

/** A plug goes back by coming out. */
export const backName = (item: JobItem): string => (item.origin === 'plug' ? `${item.name} out` : item.name);
