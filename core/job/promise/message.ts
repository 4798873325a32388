import { vehicleName } from '../../vehicle/index.ts';
import type { Speaker } from '../../sheet/index.ts';
import type { Job } from '../job.ts';

/** What the customer is told of the time that is promised, short enough for a telephone; null without a promise. */
export function promiseMessage(job: Job, say: Speaker, shop: string): string | null {
  const { promise, promisesMoved, vehicle } = job;
  if (promise === null) return null;
  const what = `${vehicle.plate}, ${vehicleName(vehicle)}`;
  const ready = say.nearTime(promise.ready);
  return promisesMoved === 0
    ? `${shop}: ${what} will be ready ${ready}. We write again if that moves.`
    : [
        `${shop}: ${what} will be ready ${ready}, not when we told you before.`,
        ...(promise.why === '' ? [] : [`The reason: ${promise.why}.`]),
        'We are sorry for the wait. If you need it sooner, please call us.',
      ].join(' ');
}
