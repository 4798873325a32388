import { allRecipes, type OfferedRecipe, offeredRecipes, type Recipe } from '../../relearn/index.ts';
import type { Job } from '../job.ts';

/** The recipes for a job, the nearest first. @param own those that the shop has written */
export const recipesFor = (job: Job, own: readonly Recipe[], purpose: Recipe['purpose']): readonly OfferedRecipe[] =>
  offeredRecipes(allRecipes(own), {
    purpose,
    vehicleId: job.vehicle.id,
    familyId: job.vehicle.familyId ?? null,
    kinds: [...new Set(job.vehicle.units.map(({ kind }) => kind))],
    named: job.procedure?.relearn ?? [],
  });
