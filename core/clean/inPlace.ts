import type { HouseRules } from '../house/index.ts';
import { isBody, type Mask, type UnitForm } from './forms.ts';
import { type CleaningMethod, pass } from './method.ts';

/** What is covered on the vehicle before anything wet comes near an open inlet. */
const IN_PLACE_MASKS: readonly Mask[] = [
  {
    what: 'Air meter',
    with: 'off with the duct, or a bag over it',
    why: 'one drop shifts its reading',
    keeps: ['hot-film'],
  },
  { what: 'Connector', with: 'left plugged in and taped, key out', why: 'the plate must not move', keeps: [] },
  {
    what: 'Behind the plate',
    with: 'a rag with a tail hanging out, counted in',
    why: 'what runs through is in the manifold',
    keeps: [],
  },
  { what: 'Belts and paint', with: 'a cloth', why: 'solvent swells the one and lifts the other', keeps: [] },
];

/** What cleaning on the vehicle comes to, in words for the head of the walk. */
export interface InPlaceWalk {
  readonly reached: string;
  readonly staysOn: string;
  readonly engine: string;
  readonly after: string;
}

/** What is reached on the vehicle, what stays, and how the engine is meanwhile. */
export const walkInPlace = (form: UnitForm, rules: HouseRules): InPlaceWalk => ({
  reached: isBody(form)
    ? 'The front of plate and bore, and the edge as far as a cloth goes round it'
    : 'The port, as far as a brush goes in',
  staysOn: isBody(form) ? 'The back, the shaft and the idle passages' : 'Seat, motor side and rings',
  engine: runsOn(form, rules)
    ? 'Warm and running, somebody at the key; never a diesel'
    : 'Off, key out; the plate is held open by hand only where it has no motor',
  after: 'Rags out and counted. Start it outdoors: it runs rough and smokes until what ran in has burned off',
});

/** The running school, where the house or the job goes by it and the engine burns petrol. */
const runsOn = (form: UnitForm, rules: HouseRules): boolean =>
  rules['running-spray'] === 'bursts' && form !== 'diesel-flap';

/**
 * Cleaning a unit that stays on the vehicle: covered, wiped and brushed from the front, or in bursts into the running
 * engine where that is the rule; then looked at from the front alone.
 */
export function methodInPlace(form: UnitForm, rules: HouseRules): CleaningMethod {
  const protect = pass(
    'protect',
    IN_PLACE_MASKS.map(({ what, with: cover }) => `${what.toLowerCase()}: ${cover}`).join('; '),
  );
  const end = pass('dry', 'rags out, then run it until it burns clean');
  if (runsOn(form, rules))
    return {
      masks: IN_PLACE_MASKS,
      passes: [
        protect,
        pass('wet', 'short bursts past the plate, never a stream', { substance: 'throttle-cleaner', how: 'running' }),
        pass('wipe', 'engine off: what is loose comes away'),
        end,
      ],
      rounds: { round: ['wet', 'wipe'], end: ['dry'] },
      words: 'On the vehicle, in bursts into the running engine.',
      rule: 'By the running school; the back is not seen.',
    };
  const damp = { substance: form === 'electronic' ? 'throttle-cleaner' : 'isopropyl', how: 'wipe' } as const;
  return {
    masks: IN_PLACE_MASKS,
    passes: [
      protect,
      pass('wipe', 'a damp cloth, out of the inlet again each time', damp),
      pass('brush', 'soft, cloth under it', { ...damp, how: 'brush' }),
      end,
    ],
    rounds: { round: ['wipe', 'brush', 'wipe'], end: ['dry'] },
    words: 'On the vehicle, from the front: damp cloth and soft brush.',
    rule: rules.where === 'off' ? 'The house takes it off; this job does not.' : '',
  };
}
