import { type KnowHowFile, SIGNED_FORMAT } from '../../contract/index.ts';
import { type Beside, besideOurs, type KnowHow } from '../../core/exchange/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { procedureProblems } from '../../core/procedure/index.ts';
import { type Recipe, recipeProblems, starterRecipe } from '../../core/relearn/index.ts';
import type { Services } from '../services.ts';
import { signatureOf } from './signing.ts';

type Sources = Pick<Services, 'procedures' | 'recipes' | 'knowledge' | 'shops' | 'settings'>;

/** A recipe of ours, or one that came with the program. */
const recipeHere = ({ recipes }: Pick<Sources, 'recipes'>, id: string): Recipe | null =>
  recipes.get(id) ?? starterRecipe(id);

/** What of ours goes into a file. */
export interface Picked {
  readonly procedures: readonly string[];
  readonly recipes: readonly string[];
  readonly knowledge: boolean;
}

/** Our procedures and recipes by id, and what we changed in the knowledge, signed. Call inside a transaction. */
export function tellKnowHow(
  { procedures, recipes, knowledge, shops, settings }: Sources,
  picked: Picked,
  now: string,
): KnowHowFile {
  const key = shops.own(now);
  const content = {
    format: SIGNED_FORMAT,
    version: 1 as const,
    kind: 'know-how' as const,
    shop: { name: settings.shop().shopName, key: key.public },
    madeAt: now,
    body: {
      procedures: picked.procedures.flatMap((id) => procedures.get(id) ?? []),
      recipes: picked.recipes.flatMap((id) => recipeHere({ recipes }, id) ?? []),
      edits: picked.knowledge ? knowledge.ownChanges() : [],
    },
  };
  return { ...content, signature: signatureOf(content, key.private) } as KnowHowFile;
}

/** What another shop sends, each beside what is here. */
export const lookAtKnowHow = (theirs: KnowHow, { procedures, recipes, knowledge }: Sources): Beside[] =>
  besideOurs(theirs, {
    procedure: (id) => procedures.get(id),
    recipe: (id) => recipeHere({ recipes }, id),
    knowledge: knowledge.newest(),
  });

/** What came of it: how much was taken, or why nothing was. */
export type KnowHowTaken =
  { readonly ok: true; readonly taken: number } | { readonly ok: false; readonly message: string };

/**
 * Takes what is named by its keys: a procedure or a recipe as the next version, with whose it is; edits of the knowledge as
 * one version. Call inside a transaction, which a refusal must undo.
 */
export function takeKnowHow(file: KnowHowFile, keys: readonly string[], sources: Sources, who: Stamp): KnowHowTaken {
  const { procedures, recipes, knowledge } = sources;
  const wanted = new Set(keys);
  const note = `from ${file.shop.name}`;
  let taken = 0;
  for (const each of file.body.procedures) {
    if (!wanted.has(`procedure:${each.id}`)) continue;
    const [wrong] = procedureProblems(each).filter(({ level }) => level === 'wrong');
    if (wrong !== undefined) return { ok: false, message: `“${each.name}”: ${wrong.words}` };
    procedures.save(each, procedures.get(each.id)?.version ?? 0, note, who);
    taken += 1;
  }
  for (const each of file.body.recipes) {
    if (!wanted.has(`recipe:${each.id}`)) continue;
    const [wrong] = recipeProblems(each).filter(({ level }) => level === 'wrong');
    if (wrong !== undefined) return { ok: false, message: `“${each.name}”: ${wrong.words}` };
    recipes.save(each, recipes.get(each.id)?.version ?? 0, note, who);
    taken += 1;
  }
  const edits = file.body.edits.filter((_, nth) => wanted.has(`edit:${nth}`));
  if (edits.length > 0) {
    const result = knowledge.change(edits, note, who);
    if (!result.ok) return { ok: false, message: result.problems[0]?.message ?? 'That cannot be used.' };
    taken += edits.length;
  }
  sources.shops.seen(file.shop, who.at);
  return { ok: true, taken };
}
