import { restOf } from '../model.ts';
import type { Finding, OwnPhrase, Sign } from '../types.ts';
import { isAnothers, isForeign, isNearly, isNegated, isNotOnly, isSupposed, isWished } from './context.ts';
import { deedIn, type ToldAttempt } from './deeds.ts';
import { figuresIn, type ToldFigures } from './figures.ts';
import { found, type Match, matchesOf, stemsOf } from './pattern.ts';
import { putRight } from './spelling.ts';
import { type Clause, sentencesOf } from './tokens.ts';
import { isLongAgo } from './time.ts';

/** A finding heard in what somebody said, and the words it was heard in. */
export interface Heard extends Finding {
  readonly phrase: string;
}

/** Something that can be read two ways: asked back with a button each. */
export interface AskBack {
  readonly phrase: string;
  readonly sign: string;
  /** “Cleaned just before it began”, “Wished for, or long ago”. */
  readonly readings: readonly [
    { readonly outcome: string; readonly words: string },
    { readonly outcome: null; readonly words: string },
  ];
}

/** What was understood of what somebody said. */
export interface Understood extends ToldFigures {
  readonly heard: readonly Heard[];
  readonly attempts: readonly ToldAttempt[];
  readonly asks: readonly AskBack[];
  /** Parts between commas and stops in which nothing was understood: kept, not weighed. */
  readonly left: readonly string[];
}

/** Signs of deeds: a wish, or what was done long ago, is none. */
const DEED_SIGNS = new Set(['battery', 'cleaned', 'unit-changed', 'intake-work', 'relearn-done', 'gasket-reused']);
/** What is only told of when it is plain that it happened before: otherwise it is asked. */
const VAGUE: readonly { readonly sign: string; readonly says: readonly string[]; readonly words: string }[] = [
  {
    sign: 'unit-changed',
    says: ['new throttle/body/valve/unit', 'used throttle/body/valve/unit', 'another throttle/body/valve'],
    words: 'Fitted before it began',
  },
  { sign: 'cleaned', says: ['throttle clean', 'clean throttle', 'cleaning'], words: 'Cleaned just before it began' },
  { sign: 'battery', says: ['new battery', 'flat battery'], words: 'Just before it began' },
];

/** What is heard within a longer phrase of another sign is a part of that: “surges at a steady speed” is no hunting. */
const WITHIN: Readonly<Record<string, readonly string[]>> = {
  hunting: ['cruise-surge'],
  snatch: ['cruise-surge'],
  hangs: ['code-returns'],
  'comes-and-goes': ['code-returns', 'hard-start', 'stands'],
  temperature: ['heater-cold', 'temperature'],
  load: ['heater-cold'],
  onset: ['stands'],
  'idle-low': ['idle-high', 'hangs'],
  clicking: ['motor-noise'],
};
/** What is left when one of three answers is denied. */
const DENIED: Readonly<Record<string, string>> = { 'temperature=warm': 'cold', 'temperature=cold': 'warm' };

interface Candidate extends Heard {
  readonly named: number;
  readonly from: number;
  readonly end: number;
  readonly of: Sign;
}

/** What is there says more than what is not, then what names more words. */
const saysMore = (one: Candidate, before: Candidate, rest: string): boolean =>
  (one.outcome === rest) === (before.outcome === rest) ? one.named > before.named : before.outcome === rest;

const spellings = new WeakMap<readonly Sign[], readonly string[]>();

/** Stems long enough to say that a word is spelt right; gathered once for the same signs. */
function spellingOf(signs: readonly Sign[]): readonly string[] {
  const known = spellings.get(signs);
  if (known !== undefined) return known;
  const stems = new Set(signs.flatMap(({ outcomes }) => outcomes.flatMap(({ phrases }) => phrases.flatMap(stemsOf))));
  const long = [...stems].filter((stem) => stem.length > 3);
  spellings.set(signs, long);
  return long;
}

/**
 * Listens to how people say things: word stems in a row, with what stands before them (not, nearly, if, please), whose
 * vehicle and which part of it is meant, and how long ago. Of two phrases for one sign the one that names more words
 * wins; nothing is guessed beyond the phrases.
 * @returns findings in the order of the signs, attempts, codes and figures, what has to be asked back, and the clauses
 * in which nothing was understood
 */
export function understand(text: string, signs: readonly Sign[], own: readonly OwnPhrase[] = []): Understood {
  const stems = spellingOf(signs);
  const known = (word: string): boolean => stems.some((stem) => word.startsWith(stem));
  const best = new Map<string, Candidate>();
  const attempts: ToldAttempt[] = [];
  const asks: AskBack[] = [];
  const left: string[] = [];
  const figures = figuresIn(text);
  for (const sentence of sentencesOf(text)) {
    const clauses = sentence.clauses.map((clause) => ({ ...clause, words: putRight(clause.words, known) }));
    const asked = /\?\s*$/.test(sentence.text);
    const said = clauses.map(({ words }) => words);
    const attempt = said.some(isWished) ? null : deedIn(said);
    if (attempt !== null) attempts.push(attempt);
    for (const [index, clause] of clauses.entries()) {
      const heard =
        asked || isSupposed(clause.words) || isAnothers(clause.words)
          ? []
          : heardIn(withSubject(clause, said.slice(0, index)), signs, own, attempt);
      for (const one of heard) {
        const before = best.get(one.sign);
        if (before === undefined || saysMore(one, before, restOf(one.of))) best.set(one.sign, one);
      }
      const vague = heard.length > 0 || attempt !== null || asked ? null : vagueIn(clause, signs);
      const sign = signs.find(({ id }) => id === vague?.sign);
      // “New throttle body, since then the lamp is on”: the next clause says which of the two it is.
      if (vague !== null && sign !== undefined && found(['since then', 'since'], said[index + 1] ?? []))
        best.set(vague.sign, {
          sign: vague.sign,
          outcome: 'yes',
          phrase: vague.phrase,
          named: 1,
          from: 0,
          end: 0,
          of: sign,
        });
      else if (vague !== null) asks.push(vague);
      const figured = figuresIn(clause.text);
      if (
        heard.length === 0 &&
        vague === null &&
        attempt === null &&
        figured.codes.length === 0 &&
        figured.idleRpm === null
      )
        left.push(clause.text);
    }
  }
  const heard = signs.flatMap((sign): Heard[] => {
    const one = best.get(sign.id);
    return one === undefined ? [] : [{ sign: one.sign, outcome: one.outcome, phrase: one.phrase }];
  });
  return { heard, attempts, asks, left, ...figures };
}

function heardIn(
  { words }: Clause,
  signs: readonly Sign[],
  own: readonly OwnPhrase[],
  attempt: ToldAttempt | null,
): Candidate[] {
  const wished = isWished(words);
  const longAgo = isLongAgo(words);
  const all = signs.flatMap((sign): Candidate[] => {
    if (DEED_SIGNS.has(sign.id) && (wished || longAgo)) return [];
    // A deed that was in vain, or that helped, is not what began it.
    if (attempt !== null && (sign.id === 'unit-changed' || sign.id === 'cleaned' || sign.id === 'relearn-done'))
      return [];
    const taughtOfSign = own.filter((one) => one.sign === sign.id);
    return sign.outcomes.flatMap(({ id, phrases }) => {
      const taught = taughtOfSign.filter((one) => one.outcome === id).map(({ phrase }) => phrase.toLowerCase());
      return [...phrases, ...taught].flatMap((phrase) =>
        matchesOf(phrase, words).flatMap((match): Candidate[] => {
          if (isForeign(words, match)) return [];
          const outcome = outcomeOf(sign, id, words, match);
          return outcome === null
            ? []
            : [
                {
                  sign: sign.id,
                  outcome,
                  phrase: words.slice(match.from, match.end).join(' '),
                  named: match.named,
                  from: match.from,
                  end: match.end,
                  of: sign,
                },
              ];
        }),
      );
    });
  });
  const apart = all.filter(
    (one) =>
      !all.some(
        (other) => (WITHIN[one.sign] ?? []).includes(other.sign) && other.named > one.named && covers(other, one),
      ),
  );
  // In one clause the longer phrase covers the shorter: “lights on or off” is no “lights on”.
  return apart.filter(
    (one) => !apart.some((other) => other.sign === one.sign && other.named > one.named && covers(other, one)),
  );
}

const covers = (longer: Candidate, one: Candidate): boolean => longer.from <= one.from && longer.end >= one.end;

/** “Steady as a rock, only too high”: what a clause without a subject speaks of is the idle of the one before. */
function withSubject(clause: Clause, before: readonly (readonly string[])[]): Clause {
  const bare = clause.words.length <= 4 && found(['too high/low/fast/slow', '=just high/low'], clause.words);
  return bare && !found(SUBJECTS, clause.words) && before.some((words) => found(SUBJECTS, words))
    ? { ...clause, words: ['idle', ...clause.words] }
    : clause;
}
const SUBJECTS = ['idle', 'tickover', 'revs'];

/** What a phrase amounts to where it stands; null when it says nothing. */
function outcomeOf(sign: Sign, outcome: string, words: readonly string[], match: Match): string | null {
  const rest = restOf(sign);
  if (isNotOnly(words, match)) return null;
  if (isNegated(words, match)) {
    const denied = DENIED[`${sign.id}=${outcome}`];
    if (denied !== undefined) return denied;
    if (outcome === rest) return null;
    // Of three answers a “no” leaves two; only where the last one is itself a “no” is it plain.
    return sign.outcomes.length === 2 || rest === 'no' ? rest : null;
  }
  if (outcome === 'yes' && sign.outcomes.some(({ id }) => id === 'nearly') && isNearly(words, match)) return 'nearly';
  return outcome;
}

function vagueIn({ words, text }: Clause, signs: readonly Sign[]): AskBack | null {
  if (isWished(words) || isLongAgo(words)) return null;
  const vague = VAGUE.find(({ sign, says }) => signs.some(({ id }) => id === sign) && found(says, words));
  return vague === undefined
    ? null
    : {
        phrase: text,
        sign: vague.sign,
        readings: [
          { outcome: 'yes', words: vague.words },
          { outcome: null, words: 'Wished for, or long ago' },
        ],
      };
}
