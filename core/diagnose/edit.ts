import { checkKnowledge, type KnowledgeProblem } from './check.ts';
import type { Commonness, Group, Knowledge, Portrait, Word } from './types.ts';

/** One change that a lead makes. */
export type KnowledgeEdit =
  | {
      readonly kind: 'likelihood';
      readonly cause: string;
      readonly sign: string;
      readonly outcome: string;
      readonly word: Word;
      readonly why: string;
    }
  | { readonly kind: 'common'; readonly cause: string; readonly group: Group; readonly to: Commonness | null }
  | { readonly kind: 'minutes'; readonly sign: string; readonly minutes: number };

/** The changed knowledge, or what is wrong with it: then nothing is changed. */
export type EditResult =
  | { readonly ok: true; readonly knowledge: Knowledge }
  | { readonly ok: false; readonly problems: readonly KnowledgeProblem[] };

/** Makes changes and checks the whole. The version goes up by one. Pure: the old knowledge stays as it is. */
export function editKnowledge(knowledge: Knowledge, edits: readonly KnowledgeEdit[]): EditResult {
  const problems = edits.flatMap((edit) => unknown(knowledge, edit));
  if (problems.length > 0) return { ok: false, problems };
  const edited = edits.reduce(applied, knowledge);
  const found = checkKnowledge(edited);
  return found.length > 0
    ? { ok: false, problems: found }
    : { ok: true, knowledge: { ...edited, version: knowledge.version + 1 } };
}

function unknown(knowledge: Knowledge, edit: KnowledgeEdit): KnowledgeProblem[] {
  if (edit.kind === 'minutes') {
    if (!knowledge.signs.some(({ id, method }) => id === edit.sign && method !== null))
      return [{ at: edit.sign, message: `There is no check “${edit.sign}”.` }];
    return edit.minutes >= 1 && edit.minutes <= 600
      ? []
      : [{ at: edit.sign, message: `Expected 1 to 600 minutes, got ${edit.minutes}.` }];
  }
  return knowledge.causes.some(({ id }) => id === edit.cause)
    ? []
    : [{ at: edit.cause, message: `There is no cause “${edit.cause}”.` }];
}

function applied(knowledge: Knowledge, edit: KnowledgeEdit): Knowledge {
  if (edit.kind === 'minutes')
    return {
      ...knowledge,
      signs: knowledge.signs.map((sign) =>
        sign.id === edit.sign && sign.method !== null
          ? { ...sign, method: { ...sign.method, minutes: edit.minutes } }
          : sign,
      ),
    };
  return {
    ...knowledge,
    causes: knowledge.causes.map((cause) => {
      if (cause.id !== edit.cause) return cause;
      if (edit.kind === 'likelihood') return { ...cause, shows: withRow(cause.shows, edit) };
      const { [edit.group]: _, ...others } = cause.common;
      return { ...cause, common: edit.to === null ? others : { ...others, [edit.group]: edit.to } };
    }),
  };
}

function withRow(rows: readonly Portrait[], { sign, outcome, word, why }: Portrait): Portrait[] {
  const row = { sign, outcome, word, why };
  const same = (other: Portrait): boolean => other.sign === sign && other.outcome === outcome;
  return rows.some(same) ? rows.map((other) => (same(other) ? row : other)) : [...rows, row];
}
