import { type Asks, type Context, type EarlierJob, type Job, NO_CONTEXT } from '../../core/job/index.ts';
import type { Families } from './families.ts';
import type { House } from './house.ts';
import type { KnowledgeStore } from './knowledge.ts';
import type { People } from './people.ts';
import type { Procedures } from './procedures.ts';
import type { Recipes } from './recipes.ts';
import type { Settings } from './settings.ts';
import type { Tools } from './tools.ts';
import type { Units } from './units.ts';
import type { Vehicles } from './vehicles.ts';

/** Where the answers to what a command asks for are found. */
export interface Sources {
  readonly vehicles: Vehicles;
  readonly people: People;
  readonly settings: Settings;
  readonly tools: Tools;
  readonly procedures: Procedures;
  readonly recipes: Recipes;
  readonly knowledge: KnowledgeStore;
  readonly families: Families;
  readonly house: House;
  readonly units: Units;
  /** Earlier jobs of a vehicle that were handed over, newest first. */
  readonly earlier: (vehicleId: string) => readonly EarlierJob[];
}

/** Fetches what a command asks for, and nothing else. @param by who sent it @param nextNumber the next job's number */
export function answer(asks: Asks, job: Job | null, by: string, sources: Sources, nextNumber: () => number): Context {
  const { vehicles, people, settings, tools, procedures, recipes, knowledge, families, house, units } = sources;
  const vehicle = asks.vehicle === undefined ? null : vehicles.get(asks.vehicle);
  return {
    ...NO_CONTEXT,
    vehicle,
    nextNumber: asks.nextNumber ? nextNumber() : null,
    unit: asks.unit === undefined ? null : units.get(asks.unit),
    procedure: asks.procedure === undefined ? null : procedures.get(asks.procedure.id, asks.procedure.version),
    recipe: asks.recipe === undefined ? null : recipes.get(asks.recipe),
    wrenches: asks.wrenches ? tools.wrenches() : [],
    knowledge: knowledgeFor(asks.knowledge, job, knowledge),
    family: asks.family ? families.get((vehicle ?? job?.vehicle)?.familyId ?? null) : null,
    rules: asks.rules ? house.rules() : {},
    figures: asks.figures ? settings.read('figures') : {},
    measures: asks.measures ? settings.read('measures') : null,
    earlier: asks.earlier === undefined ? [] : sources.earlier(asks.earlier),
    comeback: asks.earlier === undefined ? NO_CONTEXT.comeback : settings.read('comeback-within'),
    role: asks.role ? people.roleOf(by) : null,
    alone: asks.role === true && people.alone(by),
  };
}

function knowledgeFor(asked: Asks['knowledge'], job: Job | null, store: KnowledgeStore): Context['knowledge'] {
  if (asked === undefined) return null;
  if (asked === 'newest') return store.newest();
  return asked === 'own' ? (job === null ? null : store.get(job.knowledge)) : store.get(asked);
}
