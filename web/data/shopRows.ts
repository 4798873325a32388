import type { RungTries } from '../../core/seized/index.ts';
import type { AirReply } from '../../contract/index.ts';
import type { PartLived, RepairsHeld, ShopResult } from '../../core/choose/index.ts';
import type { AiringState } from '../../core/clean/index.ts';
import type { HouseRules } from '../../core/house/index.ts';
import type { Calendar } from '../../core/prepare/index.ts';
import type { ThrottleKind } from '../../core/vehicle/index.ts';
import { ask, give, keep } from './asking.ts';

/** The air of the bay. */
export const readAir = (): Promise<AirReply> => ask('/air');
/** How the bay is aired from now on. */
export const airBay = (state: AiringState): Promise<AirReply> => give('/air', { state });
/** How large the bay is, and what doors and fan change of its air. */
export const keepAir = (roomM3: number, rates: Readonly<Record<AiringState, number>>): Promise<AirReply> =>
  keep('/air', { roomM3, rates });
/** What the shop answers to a question; null for no rule. */
export const keepRule = (question: string, answer: string | null): Promise<{ readonly rules: HouseRules }> =>
  keep(`/house-rules/${question}`, { answer });
/** When the shop is open. */
export const keepCalendar = (calendar: Calendar): Promise<Calendar> => keep('/calendar', { calendar });
/** What became of earlier choices on throttles of that kind. */
export const readResults = async (throttle: ThrottleKind): Promise<readonly ShopResult[]> =>
  (await ask<{ rows: readonly ShopResult[] }>(`/results?throttle=${throttle}`)).rows;
/** What parts of these numbers lasted here before they failed. */
export const readPartLives = async (numbers: readonly string[]): Promise<readonly PartLived[]> =>
  numbers.length === 0
    ? []
    : (
        await ask<{ rows: readonly PartLived[] }>(
          `/part-lives?${numbers.map((number) => `number=${encodeURIComponent(number)}`).join('&')}`,
        )
      ).rows;
/** How long each kind of repair held here, where enough failed to say. */
export const readHeld = async (): Promise<readonly RepairsHeld[]> =>
  (await ask<{ rows: readonly RepairsHeld[] }>('/held')).rows;
/** How often each rung of the ladder was tried here, and brought the screw. */
export const readRungTries = async (): Promise<readonly RungTries[]> =>
  (await ask<{ rows: readonly RungTries[] }>('/rung-tries')).rows;
/** Open jobs by part number that they want, and how many have something off. */
export const readWanted = (): Promise<{
  readonly rows: readonly { readonly partNumber: string; readonly jobId: string; readonly number: number }[];
  readonly opened: number;
}> => ask('/wanted');
