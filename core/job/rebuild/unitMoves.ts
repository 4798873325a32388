import { dayOf, sayDate } from '../../days/index.ts';
import { warrantyUntil } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import type { UnitReplaced } from './state.ts';

/** One unit that changes places with another, with what is noted in the life of each. */
export interface UnitMove extends Pick<UnitReplaced, 'kind' | 'place' | 'fitted'> {
  readonly offNote: string;
  readonly onNote: string;
}

/** What a job that is handed over moves: which unit comes off for which. @param timeZone the shop's, IANA name */
export const unitMoves = ({ replaced, number }: Job, timeZone: string): UnitMove[] =>
  replaced.map(({ kind, place, fitted, failCode, failNote, at }) => ({
    kind,
    place,
    fitted,
    offNote: `Job ${number}: ${failCode}${failNote === '' ? '' : `, ${failNote}`}`,
    onNote: `Job ${number}, ${fitted.origin}${warrantyWords(fitted.warrantyMonths, dayOf(at, timeZone))}`,
  }));

const warrantyWords = (months: number, from: string): string =>
  months === 0 ? '' : `, warranty until ${sayDate(warrantyUntil(from, months))}`;
