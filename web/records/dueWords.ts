// What is due, in words.
import type { DueLine } from '../../contract/index.ts';
import { sayDate } from '../../core/days/index.ts';
import type { Speaker } from '../../core/sheet/index.ts';
import { rounded } from '../../core/visits/index.ts';

/** “due around 12 June 2026; 8 in 10 between 3 March and 4 November 2026”. @param today ISO day */
export function dueWords({ likelyOn, lowOn, highOn }: DueLine, today: string): string {
  const around = likelyOn < today ? `likely due since ${sayDate(likelyOn)}` : `due around ${sayDate(likelyOn)}`;
  return `${around}; 8 in 10 between ${sayDate(lowOn)} and ${sayDate(highOn)}`;
}

const UNIT = (hours: boolean): string => (hours ? 'h' : 'km');

/** Why, with the figures behind it. */
export function dueWhy(line: DueLine, say: Speaker): string {
  const { hours, interval, stretches, from, perDay, use, lastOn, lastMeter, meter } = line;
  const unit = UNIT(hours);
  const fouls = {
    own: `Between its visits it fouled so fast that it is due again after ${rounded(interval.likely, hours)} ${unit} (${rounded(interval.low, hours)} to ${rounded(interval.high, hours)}), by ${stretches === 1 ? 'one stretch' : `${stretches} stretches`} of its own.`,
    kind: `It was not seen twice yet; vehicles of its kind here are due again after ${rounded(interval.likely, hours)} ${unit} (${rounded(interval.low, hours)} to ${rounded(interval.high, hours)}).`,
    house: `Nothing is known of how it fouls: by the house interval it is due again after about ${rounded(interval.likely, hours)} ${unit}. A house figure, verify.`,
  }[from];
  const used =
    use === null
      ? `How much it is used nobody knows: taken as ${perDay.toFixed(hours ? 1 : 0)} ${unit} a day.`
      : `It is used ${perDay.toFixed(hours ? 1 : 0)} ${unit} a day, by ${use.readings} readings.`;
  return `${fouls} ${used} It was last seen to ${say.day(lastOn)} at ${rounded(lastMeter, hours)} ${unit}; due at about ${rounded(meter.likely, hours)} ${unit}.`;
}
