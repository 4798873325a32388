import {
  compatible,
  coolantAccount,
  type CoolantState,
  type ExpectedLoss,
  expectedLoss,
  lossQuestion,
  mix,
} from '../../coolant/index.ts';
import type { Job } from '../job.ts';
import { coolantSystem } from './system.ts';

/** Coolant hoses that came off, with what each lets go as the procedure says. */
export const openedHoses = (job: Job): { readonly name: string; readonly litres: number | null }[] =>
  job.items
    .filter(({ kind, stripOrder, aside }) => kind === 'coolant-hose' && stripOrder !== null && aside === null)
    .map(({ id, name }) => ({
      name,
      litres: coolantSystem(job)?.losses?.find(({ itemId }) => itemId === id)?.litres ?? null,
    }));

/** The coolant of a job against what should have come out. */
export const coolantLoss = (job: Job): ExpectedLoss & { readonly question: string | null } => {
  const expected = expectedLoss(openedHoses(job));
  return { ...expected, question: lossQuestion(coolantAccount(job.coolant).caught, expected) };
};

/** The share of antifreeze before the work: as read, else as the procedure says. Null without a coolant system. */
export function shareBefore(job: Job): { readonly share: number; readonly read: boolean } | null {
  const system = coolantSystem(job);
  if (system === null) return null;
  const read = job.coolantTests.find(({ when }) => when === 'before');
  return read === undefined ? { share: system.concentration, read: false } : { share: read.share, read: true };
}

/** Litres and share in the system now, by the book; null without a system or an entry. */
export function coolantNow(job: Job): CoolantState | null {
  const system = coolantSystem(job);
  const before = shareBefore(job);
  if (system === null || before === null) return null;
  const account = coolantAccount(job.coolant);
  return mix(
    { volume: system.capacityL, concentration: before.share },
    {
      drained: Math.min(account.caught, system.capacityL),
      returned: Math.min(account.returned, account.caught, system.capacityL),
      added: account.added,
      addedConcentration: account.addedConcentration ?? 0,
    },
  );
}

/** What was poured in that does not go with what the system holds, in sentences. */
export function inhibitorQuestions(job: Job): string[] {
  const own = coolantSystem(job)?.inhibitor;
  if (own === undefined) return [];
  const added = new Set(job.coolant.flatMap(({ inhibitor }) => (inhibitor === null ? [] : [inhibitor])));
  return [...added].flatMap((each) => {
    const { verdict, words } = compatible(own, each);
    return verdict === 'do not mix' ? [words] : [];
  });
}
