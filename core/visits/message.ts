import type { Speaker } from '../sheet/index.ts';
import type { DueOn } from './due.ts';

/** A vehicle as its customer knows it. */
export interface NamedVehicle {
  readonly plate: string;
  readonly name: string;
  readonly owner: string;
}

/** What a customer is told of a vehicle that is due, short enough for a telephone. */
export function dueMessage(due: DueOn, { plate, name }: NamedVehicle, say: Speaker, shop: string): string {
  const unit = due.hours ? 'hours' : 'km';
  return [
    `${shop}: the throttle of ${plate}, ${name}, is best cleaned again around ${say.day(due.likelyOn)}`,
    `(at about ${rounded(due.meter.likely, due.hours)} ${unit}; it was last done ${say.day(due.lastOn)} at ${rounded(due.lastMeter, due.hours)} ${unit}).`,
    'May we book it in? It can wait a little, but idle gets rough and it may stall before then if you drive more than usual.',
  ].join(' ');
}

/** A figure that is foretold is said in round numbers: to the thousand km, to ten hours. */
export function rounded(value: number, hours: boolean): string {
  const step = hours ? 10 : 1000;
  return String(Math.round(value / step) * step).replace(/\B(?=(\d{3})+(?!\d))/g, '\u2009');
}
