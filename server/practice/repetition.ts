import { type Card, createEmptyCard, fsrs, type Grade, Rating } from 'ts-fsrs';

/** Free Spaced Repetition Scheduler, with its own usual weights and no chance in it: the same practice is due on the same day. */
const scheduler = fsrs({ enable_fuzz: false, enable_short_term: false });

/** How it went. */
export type Went = 'badly' | 'with help' | 'well' | 'easily';
const GRADES: Readonly<Record<Went, Grade>> = {
  badly: Rating.Again,
  'with help': Rating.Hard,
  well: Rating.Good,
  easily: Rating.Easy,
};

/** When it is due again. @param kept the card as it was kept last; null for what is new @param at ISO time */
export function dueAgain(kept: string | null, went: Went, at: string): { readonly due: string; readonly body: string } {
  const now = new Date(at);
  const card = kept === null ? createEmptyCard(now) : revived(kept);
  const { card: next } = scheduler.next(card, now, GRADES[went]);
  return { due: next.due.toISOString(), body: JSON.stringify(next) };
}

function revived(kept: string): Card {
  const card = JSON.parse(kept) as Card;
  return {
    ...card,
    due: new Date(card.due),
    ...(card.last_review === undefined ? {} : { last_review: new Date(card.last_review) }),
  };
}
