import { editKnowledge, type Knowledge, type KnowledgeEdit } from '../diagnose/index.ts';
import { diffProcedures, type Procedure } from '../procedure/index.ts';
import type { Recipe } from '../relearn/index.ts';
import { editWords } from './editWords.ts';

/** What shops teach each other. */
export interface KnowHow {
  readonly procedures: readonly Procedure[];
  readonly recipes: readonly Recipe[];
  /** Changes of a shop to what ships: likelihoods, cures, codes and phrases. */
  readonly edits: readonly KnowledgeEdit[];
}

/** How one thing of another shop stands beside what is here. */
export interface Beside {
  /** `procedure:<id>`, `recipe:<id>` or `edit:<place in the file>`. */
  readonly key: string;
  readonly name: string;
  readonly state: 'new' | 'same' | 'differs' | 'does-not-fit';
  /** What differs, or why it does not fit: one line each. */
  readonly lines: readonly string[];
}

/** What is here, to be held against it. */
export interface Here {
  readonly procedure: (id: string) => Procedure | null;
  readonly recipe: (id: string) => Recipe | null;
  readonly knowledge: Knowledge;
}

/** Everything that another shop sends, each beside what is here, in the order of the file. */
export const besideOurs = (theirs: KnowHow, here: Here): Beside[] => [
  ...theirs.procedures.map((each) => procedureBeside(each, here.procedure(each.id))),
  ...theirs.recipes.map((each) => recipeBeside(each, here.recipe(each.id))),
  ...theirs.edits.map((each, nth) => editBeside(each, nth, here.knowledge)),
];

function procedureBeside(theirs: Procedure, ours: Procedure | null): Beside {
  const differs = ours === null ? [] : diffProcedures(ours, theirs);
  const worded = differs.map(({ name, change, fields }) =>
    [
      `${name}: ${change}`,
      fields.map(({ field, before, after }) => `${field} ${before || '–'} → ${after || '–'}`).join(', '),
    ]
      .filter(Boolean)
      .join('; '),
  );
  return {
    key: `procedure:${theirs.id}`,
    name: theirs.name,
    state: ours === null ? 'new' : differs.length === 0 ? 'same' : 'differs',
    lines: worded,
  };
}

function recipeBeside(theirs: Recipe, ours: Recipe | null): Beside {
  const fields =
    ours === null
      ? []
      : [...new Set([...Object.keys(theirs), ...Object.keys(ours)] as (keyof Recipe)[])].filter(
          (key) => key !== 'version' && plain(theirs[key]) !== plain(ours[key]),
        );
  return {
    key: `recipe:${theirs.id}`,
    name: theirs.name,
    state: ours === null ? 'new' : fields.length === 0 ? 'same' : 'differs',
    lines: fields.map((field) => (field === 'steps' ? 'other steps' : `another ${field}`)),
  };
}

function editBeside(edit: KnowledgeEdit, nth: number, knowledge: Knowledge): Beside {
  const { about, says, now } = editWords(edit, knowledge);
  const edited = editKnowledge(knowledge, [edit]);
  const same = edited.ok && plain({ ...edited.knowledge, version: 0 }) === plain({ ...knowledge, version: 0 });
  return {
    key: `edit:${nth}`,
    name: about,
    state: !edited.ok ? 'does-not-fit' : same ? 'same' : now === '' ? 'new' : 'differs',
    lines: edited.ok
      ? [now === '' ? says : `here ${now}, there ${says}`]
      : edited.problems.map(({ message }) => message).slice(0, 3),
  };
}

/** The same text for the same content, however its fields stand: a file and a store write them in orders of their own. */
const plain = (value: unknown): string =>
  JSON.stringify(value, (_, inner: unknown) =>
    inner !== null && typeof inner === 'object' && !Array.isArray(inner)
      ? Object.fromEntries(Object.entries(inner).toSorted(([a], [b]) => (a < b ? -1 : 1)))
      : inner,
  ) ?? '';
