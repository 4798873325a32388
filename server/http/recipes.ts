import { Router } from 'express';
import { z } from 'zod';
import { id, RECIPE_FORMAT, recipeFile, recipeSave } from '../../contract/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import { type Recipe, recipeProblems, starterRecipe } from '../../core/relearn/index.ts';
import type { Services } from '../services.ts';
import { change } from './acting.ts';
import { HttpError } from './errors.ts';
import { parse } from './parse.ts';

const fileBody = z.strictObject({ by: id, file: recipeFile });
const versionQuery = z.strictObject({ version: z.coerce.number().int().min(1).optional() });

/** Recipes of relearn and bleeding: the shop's own, their versions, and files out and in. */
export function recipeRoutes(services: Services): Router {
  const { recipes } = services;
  const router = Router();

  const find = (idText: unknown, query: unknown): Recipe => {
    const recipeId = parse(id, idText);
    const { version } = parse(versionQuery, query);
    // What came with the program can be read and saved as a file like any other.
    const found = recipes.get(recipeId, version) ?? (version === undefined ? starterRecipe(recipeId) : null);
    if (found === null)
      throw new HttpError(
        'no-such-recipe',
        version === undefined ? 'There is no such recipe.' : 'There is no such version of it.',
      );
    return found;
  };

  const save = (body: Recipe, basedOn: number, note: string, who: Stamp): Recipe => {
    const wrong = recipeProblems(body).filter(({ level }) => level === 'wrong');
    if (wrong[0] !== undefined)
      throw new HttpError('bad-value', wrong[0].words, {
        fields: Object.fromEntries(
          wrong.map(({ stepId, field, words }) => [
            stepId === null ? `recipe.${field}` : `recipe.steps.${stepId}.${field}`,
            words,
          ]),
        ),
      });
    const outcome = recipes.save(body, basedOn, note, who);
    if (!outcome.ok)
      throw new HttpError(
        'recipe-moved-on',
        basedOn === 0
          ? `A recipe with that id is here already, version ${outcome.newest}.`
          : `Version ${outcome.newest} was saved meanwhile; this was made from version ${basedOn}. Nothing was saved.`,
        { wouldHelp: 'Open the newest version and put your change into it.' },
      );
    return outcome.recipe;
  };

  router.get('/', (_request, response) => {
    response.json({ rows: recipes.all(), next: null });
  });
  router.get('/:id', (request, response) => {
    response.json(find(request.params.id, request.query));
  });
  router.get('/:id/versions', (request, response) => {
    response.json({ rows: recipes.versions(find(request.params.id, {}).id), next: null });
  });
  router.get('/:id/file', (request, response) => {
    const body = find(request.params.id, request.query);
    response
      .attachment(`${body.id}-${body.version}.recipe.json`)
      .json({ format: RECIPE_FORMAT, version: 1, recipe: body });
  });
  router.put(
    '/:id',
    change(services, (request, actor) => {
      const recipeId = parse(id, request.params.id);
      const { basedOn, note, recipe: body } = parse(recipeSave, request.body);
      if (body.id !== recipeId)
        throw new HttpError('bad-value', 'The address and the recipe name different ids.', {
          fields: { 'recipe.id': `Expected ${recipeId}.` },
        });
      return { status: basedOn === 0 ? 201 : 200, body: save(body, basedOn, note, actor) };
    }),
  );
  // A file becomes the next version of a recipe that is here, or a new one.
  router.post(
    '/files',
    change(services, (request, actor) => {
      const { file } = parse(fileBody, request.body);
      const here = recipes.get(file.recipe.id)?.version ?? 0;
      return { status: 201, body: save(file.recipe, here, 'read from a file', actor) };
    }),
  );
  return router;
}
