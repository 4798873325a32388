import { INHIBITORS } from '../../coolant/index.ts';
import { convert, FIELDS } from '../../quantity/index.ts';
import { keyOf, line, number, numberWithin, oneOf, optional, orNull, record } from '../../shape/index.ts';
import type { CoolantSystem } from '../../procedure/index.ts';
import { command } from '../command.ts';
import { accept, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { quantity } from '../shapes.ts';
import { typedAmount } from '../typedAmount.ts';

/** What {@link coolantSystemGiven} holds. */
export const coolantSystemGivenShape = record({
  quantity,
  capacityL: number,
  glycol: oneOf('ethylene', 'propylene'),
  concentration: numberWithin({ low: 0, high: 1 }),
  bleedPoint: line,
  inhibitor: orNull(keyOf(INHIBITORS)),
});
/** What the cooling system of this vehicle holds was said, where no procedure says it or says it otherwise. */
export const coolantSystemGiven = fact('coolant-system-given', {
  shape: coolantSystemGivenShape,
  means: (_, data, stamp) => ({ coolantGiven: { ...data, ...stamp } }),
  words: ({ capacityL }) => `Cooling system: ${capacityL} L`,
  sheet: 'Coolant',
});

/** Says what the cooling system holds. */
export const giveCoolantSystem = command('give-coolant-system', {
  shape: record({
    capacityText: line,
    glycol: oneOf('ethylene', 'propylene'),
    concentration: number,
    bleedPoint: line,
    inhibitor: optional(keyOf(INHIBITORS)),
  }),
  asks: () => ({ measures: true }),
  decide: (_, { capacityText, inhibitor, ...data }, { measures }) => {
    const quantity = typedAmount('capacityText', capacityText, FIELDS.coolantLitres, measures);
    if ('ok' in quantity) return quantity;
    const capacityL = Number(convert(quantity.value, quantity.unit, 'L').toPrecision(6));
    if (capacityL < 0.1) return refuseField('capacityText', 'Expected 0.1 to 60 L.');
    return (
      within('concentration', data.concentration * 100, 0, 100, '%') ??
      accept(coolantSystemGiven.of({ ...data, quantity, capacityL, inhibitor: inhibitor ?? null }))
    );
  },
});

/** The cooling system: as it was said on this job, else as the procedure has it, else as the vehicle's file has it. */
export function coolantSystem({ coolantGiven, procedure, vehicle }: Job): CoolantSystem | null {
  const known = procedure?.coolant ?? null;
  if (coolantGiven === null) return known ?? vehicle.coolant ?? null;
  const { capacityL, glycol, concentration, bleedPoint, inhibitor } = coolantGiven;
  return {
    ...(known?.losses === undefined ? {} : { losses: known.losses }),
    capacityL,
    glycol,
    concentration,
    bleedPoint,
    ...(inhibitor === null ? {} : { inhibitor }),
  };
}
