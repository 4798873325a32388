import { parseDtc } from '../vehicle/index.ts';
import { checkKnowledge, type KnowledgeProblem } from './check.ts';
import type { Commonness, UsualWord, Word } from './likelihood.ts';
import type { OptionId } from './options.ts';
import type { Group } from './subject.ts';
import type { Cause, Knowledge, OwnCode, OwnPhrase, Portrait } from './types.ts';

/** One change that a lead makes. */
export type KnowledgeEdit =
  | {
      readonly kind: 'likelihood';
      readonly cause: string;
      readonly sign: string;
      readonly outcome: string;
      readonly word: Word;
      readonly why: string;
      /** For a proof: how often it is seen when this is the cause. */
      readonly seen?: UsualWord | undefined;
    }
  | { readonly kind: 'common'; readonly cause: string; readonly group: Group; readonly to: Commonness | null }
  | { readonly kind: 'minutes'; readonly sign: string; readonly minutes: number }
  /** How often an option cures a cause, which is also what a failed attempt says. */
  | {
      readonly kind: 'cure';
      readonly cause: string;
      readonly option: OptionId;
      readonly word: UsualWord;
      readonly why: string;
    }
  /** The signs that are views of one observation; none dissolves the group. */
  | {
      readonly kind: 'group';
      readonly id: string;
      readonly name: string;
      readonly signs: readonly string[];
      readonly why: string;
    }
  | ({ readonly kind: 'code' } & OwnCode)
  | { readonly kind: 'forget-code'; readonly code: string }
  | ({ readonly kind: 'phrase' } & OwnPhrase)
  | { readonly kind: 'forget-phrase'; readonly phrase: string };

/** The changed knowledge, or what is wrong with it: then nothing is changed. */
export type EditResult =
  | { readonly ok: true; readonly knowledge: Knowledge }
  | { readonly ok: false; readonly problems: readonly KnowledgeProblem[] };

/** Makes changes and checks the whole. The version goes up by one. Pure: the old knowledge stays as it is. */
export function editKnowledge(knowledge: Knowledge, edits: readonly KnowledgeEdit[]): EditResult {
  const problems = edits.flatMap((edit, index) => unfit(knowledge, edit, edits.slice(0, index)));
  if (problems.length > 0) return { ok: false, problems };
  const edited = edits.reduce(applied, knowledge);
  const found = checkKnowledge(edited);
  return found.length > 0
    ? { ok: false, problems: found }
    : { ok: true, knowledge: { ...edited, version: knowledge.version + 1 } };
}

const problem = (at: string, message: string): KnowledgeProblem[] => [{ at, message }];

function unfit(knowledge: Knowledge, edit: KnowledgeEdit, earlier: readonly KnowledgeEdit[]): KnowledgeProblem[] {
  switch (edit.kind) {
    case 'minutes':
      if (!knowledge.signs.some(({ id, method }) => id === edit.sign && method !== null))
        return problem(edit.sign, `There is no check “${edit.sign}”.`);
      return edit.minutes >= 1 && edit.minutes <= 600
        ? []
        : problem(edit.sign, `Expected 1 to 600 minutes, got ${edit.minutes}.`);
    case 'likelihood':
    case 'common':
    case 'cure':
      return knowledge.causes.some(({ id }) => id === edit.cause)
        ? []
        : problem(edit.cause, `There is no cause “${edit.cause}”.`);
    case 'group':
      return edit.signs.length === 1 ? problem(edit.id, 'One sign is no group: take a second one, or none.') : [];
    case 'code':
      return codeProblems(knowledge, edit);
    case 'phrase':
      return phraseProblems(knowledge, edit, earlier);
    case 'forget-code':
      return knowledge.ownCodes.some(({ code }) => code === edit.code)
        ? []
        : problem(edit.code, `The shop has given no words to ${edit.code}.`);
    case 'forget-phrase':
      return knowledge.ownPhrases.some(({ phrase }) => phrase === edit.phrase)
        ? []
        : problem(edit.phrase, `The shop has not taught “${edit.phrase}”.`);
  }
}

function codeProblems({ signs }: Knowledge, { code, meaning, sign, outcome }: OwnCode): KnowledgeProblem[] {
  const parsed = parseDtc(code);
  if (!parsed.ok) return problem(code, parsed.message);
  if (meaning.trim() === '') return problem(code, 'Say what it means, in a few words.');
  if (sign === null) return [];
  return signs.some(({ id, outcomes }) => id === sign && outcomes.some((each) => each.id === outcome))
    ? []
    : problem(code, `There is no finding “${sign}=${outcome ?? ''}” for it to speak for.`);
}

/** A phrase stands for one thing: taught for a second, it is asked which. */
function phraseProblems(
  { signs, ownPhrases }: Knowledge,
  { phrase, sign, outcome }: OwnPhrase,
  earlier: readonly KnowledgeEdit[],
): KnowledgeProblem[] {
  const said = phrase.trim().toLowerCase();
  if (said.length < 3) return problem(phrase, 'Expected at least three letters: less is heard everywhere.');
  const known = signs.find(({ id }) => id === sign);
  if (!known?.outcomes.some(({ id }) => id === outcome))
    return problem(phrase, `There is no finding “${sign}=${outcome}” for it to stand for.`);
  const taught = [...ownPhrases, ...earlier.flatMap((edit) => (edit.kind === 'phrase' ? [edit] : []))].find(
    (one) => one.phrase.trim().toLowerCase() === said && one.sign !== sign,
  );
  if (taught === undefined) return [];
  const other = signs.find(({ id }) => id === taught.sign)?.name ?? taught.sign;
  return problem(phrase, `“${phrase}” already stands for “${other}”. Forget that first, or say it in more words.`);
}

function applied(knowledge: Knowledge, edit: KnowledgeEdit): Knowledge {
  switch (edit.kind) {
    case 'minutes':
      return {
        ...knowledge,
        signs: knowledge.signs.map((sign) =>
          sign.id === edit.sign && sign.method !== null
            ? { ...sign, method: { ...sign.method, minutes: edit.minutes } }
            : sign,
        ),
      };
    case 'group': {
      const others = knowledge.groups
        .filter(({ id }) => id !== edit.id)
        .map((group) => ({ ...group, signs: group.signs.filter((sign) => !edit.signs.includes(sign)) }))
        .filter(({ signs }) => signs.length > 1);
      const { kind: _, ...group } = edit;
      return { ...knowledge, groups: edit.signs.length === 0 ? others : [...others, group] };
    }
    case 'code': {
      const { kind: _, ...own } = edit;
      const parsed = parseDtc(own.code);
      const code = parsed.ok ? parsed.dtc.code : own.code;
      return {
        ...knowledge,
        ownCodes: [
          ...knowledge.ownCodes.filter((each) => each.code !== code),
          { ...own, code, meaning: own.meaning.trim() },
        ],
      };
    }
    case 'forget-code':
      return { ...knowledge, ownCodes: knowledge.ownCodes.filter(({ code }) => code !== edit.code) };
    case 'phrase': {
      const phrase = edit.phrase.trim().toLowerCase();
      return {
        ...knowledge,
        ownPhrases: [
          ...knowledge.ownPhrases.filter((each) => each.phrase !== phrase),
          { phrase, sign: edit.sign, outcome: edit.outcome },
        ],
      };
    }
    case 'forget-phrase':
      return { ...knowledge, ownPhrases: knowledge.ownPhrases.filter(({ phrase }) => phrase !== edit.phrase) };
    default:
      return {
        ...knowledge,
        causes: knowledge.causes.map((cause) => (cause.id === edit.cause ? changed(cause, edit) : cause)),
      };
  }
}

function changed(cause: Cause, edit: Extract<KnowledgeEdit, { readonly cause: string }>): Cause {
  if (edit.kind === 'likelihood') return { ...cause, shows: withRow(cause.shows, edit) };
  if (edit.kind === 'cure') {
    const { option, word, why } = edit;
    const row = { option, word, why };
    return cause.cures.some((cure) => cure.option === option)
      ? { ...cause, cures: cause.cures.map((cure) => (cure.option === option ? row : cure)) }
      : { ...cause, cures: [...cause.cures, row] };
  }
  const { [edit.group]: _, ...others } = cause.common;
  return { ...cause, common: edit.to === null ? others : { ...others, [edit.group]: edit.to } };
}

function withRow(rows: readonly Portrait[], { sign, outcome, word, why, seen }: Portrait): Portrait[] {
  const row: Portrait = { sign, outcome, word, why, ...(word === 'proves' ? { seen: seen ?? 'nearly always' } : {}) };
  const same = (other: Portrait): boolean => other.sign === sign && other.outcome === outcome;
  return rows.some(same) ? rows.map((other) => (same(other) ? row : other)) : [...rows, row];
}
