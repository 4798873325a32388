import type { AbsenceInput, DayFigures, DayReply, KeptPlan } from '../../contract/index.ts';
import type { PlannedBlock, Wish } from '../../core/bay/index.ts';
import { ask, keep, remove } from './asking.ts';

/** Everything that the day is woven from but what the shop says of itself. */
export const readDay = (): Promise<DayReply> => ask('/day');
/** Keeps a plan in the place of the one that was seen. @throws ApiError with the newer one where somebody was first */
export const keepPlan = (seen: number, blocks: readonly PlannedBlock[]): Promise<KeptPlan> =>
  keep('/day/plan', { seen, blocks });
/** Says who does a stretch and when; with neither, takes back what was said. */
export const sayWish = (wish: Wish): Promise<DayReply> => keep('/day/wishes', wish);
/** How many vehicles stand inside, and when nobody works. */
export const keepDayFigures = (figures: DayFigures): Promise<DayFigures> => keep('/day/figures', { figures });
/** Somebody stays until a minute of a day; null for as long as usual. */
export const keepLonger = (personId: string, day: string, until: number | null): Promise<DayReply> =>
  keep('/day/longer', { personId, day, until });
/** Writes down when somebody is away. */
export const keepAbsence = (id: string, absence: AbsenceInput): Promise<DayReply> =>
  keep(`/absences/${encodeURIComponent(id)}`, { absence });
/** Somebody is here after all. */
export const dropAbsence = (id: string): Promise<DayReply> => remove(`/absences/${encodeURIComponent(id)}`);
