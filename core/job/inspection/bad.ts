import type { Finding } from './state.ts';

/** What was seen of a unit. */
export type Seen = Finding;

/** A grade of deposit from which a unit is not clean: crust. */
const BAD_GRADE = 3;

/** Whether what was seen of a unit is bad, by its limit or, from before there were limits, its grade. */
export const looksBad = ({ judged, grade }: Seen): boolean =>
  judged === undefined ? (grade ?? 0) >= BAD_GRADE : judged.verdict === 'bad';
