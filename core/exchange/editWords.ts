import { GROUPS, type Knowledge, type KnowledgeEdit, OPTIONS } from '../diagnose/index.ts';

/** What an edit of the knowledge says, and what the knowledge says of the same now; `now` is empty where it says nothing. */
export interface EditWords {
  readonly about: string;
  readonly says: string;
  readonly now: string;
}

/** An edit in words, against a knowledge; ids stand where that knowledge does not have the thing. */
export function editWords(edit: KnowledgeEdit, { causes, signs, groups, ownCodes, ownPhrases }: Knowledge): EditWords {
  const causeOf = (id: string) => causes.find((each) => each.id === id);
  const found = (sign: string | null, outcome: string | null): string =>
    signs.find(({ id }) => id === sign)?.outcomes.find(({ id }) => id === outcome)?.found ??
    [sign, outcome].filter(Boolean).join(': ');
  switch (edit.kind) {
    case 'likelihood': {
      const cause = causeOf(edit.cause);
      return {
        about: `${cause?.name ?? edit.cause}: ${found(edit.sign, edit.outcome)}`,
        says: `${edit.word}, ${edit.why}`,
        now: cause?.shows.find(({ sign, outcome }) => sign === edit.sign && outcome === edit.outcome)?.word ?? '',
      };
    }
    case 'cure': {
      const cause = causeOf(edit.cause);
      return {
        about: `${cause?.name ?? edit.cause}, cured by “${OPTIONS[edit.option].toLowerCase()}”`,
        says: `${edit.word}, ${edit.why}`,
        now: cause?.cures.find(({ option }) => option === edit.option)?.word ?? '',
      };
    }
    case 'common': {
      const cause = causeOf(edit.cause);
      return {
        about: `${cause?.name ?? edit.cause}, how common (${GROUPS[edit.group].toLowerCase()})`,
        says: edit.to ?? 'does not occur',
        now: cause?.common[edit.group] ?? '',
      };
    }
    case 'minutes': {
      const sign = signs.find(({ id }) => id === edit.sign);
      const now = sign?.method?.minutes;
      return {
        about: `Minutes of “${sign?.name ?? edit.sign}”`,
        says: `${edit.minutes} min`,
        now: now === undefined ? '' : `${now} min`,
      };
    }
    case 'group':
      return {
        about: `Seen as one: ${edit.name}`,
        says: edit.signs.map((id) => signs.find((each) => each.id === id)?.name ?? id).join(', '),
        now: (groups.find(({ id }) => id === edit.id)?.signs ?? [])
          .map((id) => signs.find((each) => each.id === id)?.name ?? id)
          .join(', '),
      };
    case 'code':
      return {
        about: `Code ${edit.code}`,
        says: edit.meaning,
        now: ownCodes.find(({ code }) => code === edit.code)?.meaning ?? '',
      };
    case 'phrase': {
      const known = ownPhrases.find(({ phrase }) => phrase === edit.phrase);
      return {
        about: `“${edit.phrase}”, as customers say it`,
        says: found(edit.sign, edit.outcome),
        now: known === undefined ? '' : found(known.sign, known.outcome),
      };
    }
    case 'forget-code':
      return { about: `Code ${edit.code}`, says: 'no words of its own', now: '' };
    case 'forget-phrase':
      return { about: `“${edit.phrase}”`, says: 'not taught', now: '' };
  }
}
