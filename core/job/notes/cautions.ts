import { useOf, type VehicleUse } from '../../vehicle/index.ts';
import type { Job } from '../job.ts';
import type { Stage } from '../stages.ts';

/** A short, specific caution, acknowledged once a job. */
export interface Caution {
  readonly id: string;
  readonly text: string;
  /** Stages at which it is shown whether or not an item calls for it. */
  readonly stages: readonly Stage[];
}

/** Where every caution ends. */
export const CAUTION_CLOSE =
  'Follow the maker’s procedure and local rules; some of this work is reserved for licensed people.';

/** All cautions. Ids are used by procedures and stored in the log: never change one. */
export const CAUTIONS: readonly Caution[] = [
  {
    id: 'plate',
    text: 'An energised plate can take a finger. Key off and plug out before a hand goes near an electronic body.',
    stages: [],
  },
  {
    id: 'battery',
    text: 'Battery negative off first and insulated; wait as long as the maker says before touching airbag wiring.',
    stages: ['prepare'],
  },
  {
    id: 'hot-coolant',
    text: 'Hot coolant scalds. Let the engine cool; open a cap under pressure only with a cloth and in stages.',
    stages: ['coolant'],
  },
  {
    id: 'vapour',
    text: 'Solvent vapour burns and makes you dizzy. Air moving, no flame or arc, gloves and goggles on.',
    stages: ['clean'],
  },
  {
    id: 'chlorinated',
    text: 'Never chlorinated solvent near heat, welding or a hot engine: it makes poison gas.',
    stages: [],
  },
  {
    id: 'fuel',
    text: 'Fuel under pressure. Release it by the maker’s way, catch what runs, keep sparks away.',
    stages: [],
  },
  {
    id: 'running',
    text: 'Engine running: sleeves, cords and hair away from fan and belts; exhaust led outdoors.',
    stages: ['relearn', 'prove'],
  },
  {
    id: 'diesel-spray',
    text: 'Nothing is ever sprayed into a running diesel: it can run away on it, and nothing stops it but no air.',
    stages: [],
  },
  {
    id: 'regeneration',
    text: 'A filter that is burning itself clean makes the exhaust glow: let it end or cool for an hour, outdoors, before work begins.',
    stages: [],
  },
  {
    id: 'fuel-tank',
    text: 'A tank that comes up or off spills and breathes: tap shut or line pinched, lid on, no flame or charger near.',
    stages: [],
  },
  {
    id: 'self-start',
    text: 'An engine that starts by itself (hybrid, stop-start) is made safe by the maker’s way first; key out of its reach.',
    stages: [],
  },
  {
    id: 'propeller',
    text: 'Propeller off or guarded, kill-cord on the wrist, nobody astern; water on before it turns.',
    stages: [],
  },
  { id: 'support', text: 'Never under a vehicle held by a jack alone.', stages: [] },
  {
    id: 'alloy',
    text: 'Alloy threads. Start every bolt by hand before you tighten one; if it turns hard, take it out and look.',
    stages: [],
  },
  { id: 'road', text: 'Road test only where lawful and safe, with the bonnet fully latched.', stages: [] },
];

/** Stages at which an outboard is run. */
const RUN_UP: ReadonlySet<Stage> = new Set<Stage>(['rebuild', 'relearn', 'prove']);
/** Stages at which hands come near a plate. */
const AT_THE_PLATE: ReadonlySet<Stage> = new Set<Stage>(['diagnose', 'inspect', 'clean']);

/** What may have an engine that starts by itself while nobody has said. */
const MAY_SELF_START: ReadonlySet<VehicleUse> = new Set<VehicleUse>(['road', 'other']);
/** Stages at which hands come near the exhaust, or the engine is driven hot. */
const HOT: ReadonlySet<Stage> = new Set<Stage>(['strip', 'relearn', 'prove']);
/** Stages at which an engine that starts by itself can hurt whoever has hands in it. */
const HANDS_IN: ReadonlySet<Stage> = new Set<Stage>(['diagnose', 'prepare', 'strip', 'clean', 'refit', 'coolant']);

/** Cautions that a vehicle calls for at a stage: a plate that is driven, a diesel at the cleaner. */
export function cautionsFor({ vehicle }: Pick<Job, 'vehicle'>, stage: Stage): readonly string[] {
  const use = useOf(vehicle, null);
  const diesel = vehicle.throttle === 'diesel-flap';
  const driven =
    diesel || vehicle.throttle === 'electronic' || vehicle.units.some(({ kind }) => kind === 'throttle-actuator');
  return [
    ...(driven && AT_THE_PLATE.has(stage) ? ['plate'] : []),
    ...(use === 'outboard' && RUN_UP.has(stage) ? ['propeller'] : []),
    ...(diesel && stage === 'clean' ? ['diesel-spray'] : []),
    ...(diesel && HOT.has(stage) ? ['regeneration'] : []),
    ...(use === 'motorcycle' && stage === 'strip' ? ['fuel-tank'] : []),
    // Where nobody has said, it may: strip says so for every engine that is not known to wait for its key.
    ...((vehicle.selfStarting === true && HANDS_IN.has(stage)) ||
    (vehicle.selfStarting === undefined && MAY_SELF_START.has(use) && stage === 'strip')
      ? ['self-start']
      : []),
  ];
}

/** A caution by its id, or undefined. */
export const caution = (id: string): Caution | undefined => CAUTIONS.find((candidate) => candidate.id === id);
