import type { Database } from 'better-sqlite3';
import type { RecipeVersion } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import type { Recipe } from '../../core/relearn/index.ts';
import type { Audit } from './audit.ts';
import { prepared } from './prepared.ts';

/** How saving a version of a recipe ended. */
export type RecipeOutcome =
  { readonly ok: true; readonly recipe: Recipe } | { readonly ok: false; readonly newest: number };

/** The shop's own recipes of relearn and bleeding. A version is never changed: runs were worked by it. */
export class Recipes {
  readonly #sql: Database['prepare'];
  readonly #audit: Audit;

  constructor(db: Database, audit: Audit) {
    this.#audit = audit;
    this.#sql = prepared(db);
  }

  /** The newest version of each, by name. */
  all(): Recipe[] {
    return this.#sql<[], { body: string }>('SELECT body FROM recipe ORDER BY name, id')
      .all()
      .map(({ body }) => JSON.parse(body) as Recipe);
  }

  /** A recipe, the newest version unless one is named; null when there is none. */
  get(id: string, version?: number): Recipe | null {
    const row =
      version === undefined
        ? this.#sql<[string], { body: string }>('SELECT body FROM recipe WHERE id = ?').get(id)
        : this.#sql<[string, number], { body: string }>(
            'SELECT body FROM recipe_version WHERE id = ? AND version = ?',
          ).get(id, version);
    return row === undefined ? null : (JSON.parse(row.body) as Recipe);
  }

  /** Its versions, newest first. */
  versions(id: string): RecipeVersion[] {
    return this.#sql<[string], RecipeVersion>(
      'SELECT version, at, person AS by, note FROM recipe_version WHERE id = ? ORDER BY version DESC',
    ).all(id);
  }

  /**
   * Stores the next version. @param basedOn the version it was made from, 0 for a new recipe; when another was saved
   * meanwhile nothing is stored
   */
  save(recipe: Recipe, basedOn: number, note: string, who: Stamp): RecipeOutcome {
    const newest = this.get(recipe.id)?.version ?? 0;
    if (newest !== basedOn) return { ok: false, newest };
    const next: Recipe = { ...recipe, version: newest + 1 };
    this.#put(next, note, who);
    this.#audit.write(who, 'recipe-saved', recipe.id, { version: next.version, note });
    return { ok: true, recipe: next };
  }

  /** Takes a recipe as a shop file has it; one that is here already stays as it is. */
  adopt(recipe: Recipe, who: Stamp): void {
    if (this.get(recipe.id) === null) this.#put({ ...recipe, version: 1 }, '', who);
  }

  #put(recipe: Recipe, note: string, { by, at }: Stamp): void {
    const body = JSON.stringify(recipe);
    this.#sql('INSERT INTO recipe_version (id, version, at, person, note, body) VALUES (?, ?, ?, ?, ?, ?)').run(
      recipe.id,
      recipe.version,
      at,
      by,
      note,
      body,
    );
    this.#sql('INSERT OR REPLACE INTO recipe (id, version, name, body) VALUES (?, ?, ?, ?)').run(
      recipe.id,
      recipe.version,
      recipe.name,
      body,
    );
  }
}
