import { ref } from 'vue';
import type { DayClash, DayWay } from '../../../core/bay/index.ts';
import { dayOf, momentOf } from '../../../core/days/index.ts';
import { keepLonger, sayWish } from '../../data/day.ts';
import { giveCommand } from '../../data/jobCommand.ts';
import { nowIso } from '../../stores/clock.ts';
import { useDay } from '../../stores/day.ts';
import { useShop } from '../../stores/shop.ts';
import type { Saying } from './planWords.ts';

/** Takes a way out of a clash: says what it says, so that everybody’s next plan is that one. */
export function useWayOut() {
  const day = useDay();
  const shop = useShop();
  const problem = ref('');
  const busy = ref(false);

  async function does({ does: way, until, blocks }: DayWay, { clash }: DayClash, { say }: Saying): Promise<void> {
    switch (way.kind) {
      case 'move-promise': {
        if (until === null) return;
        const data = { ready: until, told: say.nearTime(until), why: '' };
        await giveCommand(way.job, { type: 'promise-ready', data });
        return;
      }
      case 'stay': {
        if (until === null) return;
        const zone = shop.settings.timeZone;
        await keepLonger(way.person, dayOf(until, zone), momentOf(until, zone).minute);
        return;
      }
      case 'ask':
        for (const stretch of way.stretches) await sayWish({ jobId: way.job, stretch, at: null, personId: way.person });
        return;
      case 'let-go':
        await sayWish({ jobId: way.job, stretch: way.stretch, at: null, personId: null });
        return;
      case 'tomorrow': {
        const first = blocks.find(({ jobId, kind }) => jobId === way.job && kind === 'hands');
        if (first === undefined) return;
        const data = { until: dayOf(first.from, shop.settings.timeZone), why: 'room for what was promised' };
        await giveCommand(way.job, { type: 'put-aside', data });
        return;
      }
      case 'first': {
        // What goes first is pinned where it then lies: else the next plan would weigh it as before.
        const now = nowIso();
        for (const { jobId, stretch, kind, from, personId } of blocks)
          if (jobId === clash.job && kind === 'hands' && from > now)
            await sayWish({ jobId, stretch, at: from, personId });
        return;
      }
    }
  }
  async function take(way: DayWay, clash: DayClash, saying: Saying): Promise<void> {
    problem.value = '';
    busy.value = true;
    try {
      await does(way, clash, saying);
      await day.load();
    } catch (error) {
      problem.value = error instanceof Error ? error.message : String(error);
    } finally {
      busy.value = false;
    }
  }
  return { take, problem, busy };
}
