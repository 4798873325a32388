import type { UnitObjectKind } from '../vehicle/index.ts';
import type { Recipe } from './shape.ts';

/** What a recipe is looked for by. */
export interface RecipeFor {
  readonly purpose: Recipe['purpose'];
  readonly vehicleId: string;
  readonly familyId: string | null;
  readonly kinds: readonly UnitObjectKind[];
  /** Recipes that the procedure names. */
  readonly named: readonly string[];
}

/** A recipe that is offered, and why it stands where it does. */
export interface OfferedRecipe {
  readonly recipe: Recipe;
  readonly why: 'vehicle' | 'family' | 'procedure' | 'kind' | 'any';
}

const RANK: readonly OfferedRecipe['why'][] = ['vehicle', 'family', 'procedure', 'kind', 'any'];

/** The recipes for a job: those for its vehicle first, then its family's, the procedure's, its units', and those for anything. */
export function offeredRecipes(recipes: readonly Recipe[], wanted: RecipeFor): readonly OfferedRecipe[] {
  const whyOf = ({ id, fits }: Recipe): OfferedRecipe['why'] | null => {
    if (fits.vehicles.includes(wanted.vehicleId)) return 'vehicle';
    if (wanted.familyId !== null && fits.families.includes(wanted.familyId)) return 'family';
    if (wanted.named.includes(id)) return 'procedure';
    if (fits.kinds.some((kind) => wanted.kinds.includes(kind))) return 'kind';
    return fits.vehicles.length + fits.families.length + fits.kinds.length === 0 ? 'any' : null;
  };
  return recipes
    .flatMap((recipe) => {
      const why = recipe.purpose === wanted.purpose ? whyOf(recipe) : null;
      return why === null ? [] : [{ recipe, why }];
    })
    .sort((a, b) => RANK.indexOf(a.why) - RANK.indexOf(b.why));
}
