import { type Advice, advise, type BathTime } from './advise.ts';
import { FORM_SURFACES, isCovered, type UnitForm } from './forms.ts';
import type { Method, Substance, Surface } from './substances.ts';

/** How a unit lies there when something is brought onto it. */
export interface UnitState {
  /** What {@link MASKS} says is covered, is. */
  readonly covered: boolean;
  /** Sensors, seals, valve, levers and plated screws are off: nothing but the bare casting and its plate is left. */
  readonly stripped: boolean;
}

/** What is not there any more once a unit is stripped, and what a cloth or a brush is kept off. */
const SOFT: ReadonlySet<Surface> = new Set<Surface>([
  'shaft-bearing',
  'motor-gears',
  'position-sensor',
  'nbr',
  'fkm',
  'epdm',
  'silicone-rubber',
]);

/**
 * The surfaces of a unit that something gets onto: a spray runs over all that is not covered, a bath over all that is
 * there, a cloth and a brush stay on what is hard.
 */
export function surfacesReached(form: UnitForm, how: Method, { covered, stripped }: UnitState): readonly Surface[] {
  const there = FORM_SURFACES[form].filter((surface) => !(stripped && (SOFT.has(surface) || surface === 'zinc-steel')));
  switch (how) {
    case 'bath':
    case 'near-heat':
      return there;
    case 'spray':
    case 'soak':
      return covered ? there.filter((surface) => !isCovered(form, surface)) : there;
    // It goes with the air: onto what is hard, and through.
    case 'running':
    case 'brush':
    case 'wipe':
    case 'smear':
      return there.filter((surface) => !SOFT.has(surface));
  }
}

/**
 * What of a unit must never be touched by this, with why; empty where nothing speaks against it. The one rule: what is
 * proposed and what is asked about go by it alike.
 * @param bath how long it lies in a bath; left out, the usual time
 */
export const againstAdvice = (
  form: UnitForm,
  substance: Substance,
  how: Method,
  state: UnitState,
  bath?: BathTime,
): readonly { readonly surface: Surface; readonly advice: Advice }[] =>
  surfacesReached(form, how, state).flatMap((surface) => {
    const advice = advise(substance, surface, how, bath);
    return advice.verdict === 'never' ? [{ surface, advice }] : [];
  });
