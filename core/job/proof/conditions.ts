import { keyOf, optional } from '../../shape/index.ts';
import { TRIAL_PLACES } from '../start/runPlaces.ts';

/** Where something was tried. */
export const PROOF_PLACES = { bay: 'in the bay', stand: 'on the stand', road: 'on the road', ...TRIAL_PLACES } as const;
/** The id of a {@link PROOF_PLACES}. */
export type ProofPlace = keyof typeof PROOF_PLACES;

/** How the engine was while something was tried. */
export const PROOF_STATES = { cold: 'cold', warm: 'warm', loads: 'loads on' } as const;
/** The id of a {@link PROOF_STATES}. */
export type ProofState = keyof typeof PROOF_STATES;

/** The condition that something was tried under, as far as it was said. */
export interface Condition {
  readonly place?: ProofPlace | undefined;
  readonly state?: ProofState | undefined;
}

/** The fields of a fact that keep its condition. */
export const condition = { place: optional(keyOf(PROOF_PLACES)), state: optional(keyOf(PROOF_STATES)) } as const;

/** A condition in words, *warm, on the road*; empty where none was said. */
export const conditionWords = ({ place, state }: Condition): string =>
  [state === undefined ? '' : PROOF_STATES[state], place === undefined ? '' : PROOF_PLACES[place]]
    .filter((part) => part !== '')
    .join(', ');

/** Words of a complaint that say under which condition it shows. */
const NAMED: readonly (readonly [RegExp, Condition])[] = [
  // What goes or blows cold is the heater, not the engine.
  [
    /(?<!\b(?:heater|blow\w*|vents?)\W+(?:(?!on|when|while|if)\w+\W+){0,2})\bcold\b|\b(?:mornings?|overnight|first start)\b/i,
    { state: 'cold' },
  ],
  [/\b(?:lights? on|headlights?|heater on|air.?con\w*|loads? on|steering)\b/i, { state: 'loads' }],
  [/\bon the water\b/i, { place: 'water' }],
  [
    /\b(?:coming to rest|comes? to rest|at (?:the )?(?:stops?|junctions?|lights)|in traffic|under way|uphill|downhill|cruis\w+|on the road|driving)\b/i,
    { place: 'road' },
  ],
];

/** The condition under which it shows, as far as its words name one. */
export const conditionNamed = (words: string): Condition =>
  Object.assign({}, ...NAMED.map(([pattern, found]) => (pattern.test(words) ? found : {}))) as Condition;

/**
 * Whether a trial under `tried` says anything of what shows under `named`: another state or place than the one it came
 * under does not. A trial whose condition was not said counts as the person meant it.
 */
export const speaksOf = (tried: Condition, named: Condition): boolean =>
  agree(tried.state, named.state) && (agree(tried.place, named.place) || UNDER_WAY.has(tried.place ?? 'bay'));

const agree = <T>(tried: T | undefined, named: T | undefined): boolean =>
  named === undefined || tried === undefined || tried === named;

/** Places at which a vehicle or a boat moves. */
const UNDER_WAY: ReadonlySet<ProofPlace> = new Set<ProofPlace>(['road', 'water']);
