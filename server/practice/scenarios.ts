import { createHash, randomInt, randomUUID } from 'node:crypto';
import type { ScenarioInput, ScenarioLine } from '../../contract/index.ts';
import { type Group, GROUPS, type Knowledge } from '../../core/diagnose/index.ts';
import type { Stamp } from '../../core/job/index.ts';
import {
  type Scenario,
  scenarioProblem,
  type ScenarioProblem,
  SCENARIOS,
  triedWords,
} from '../../core/practice/index.ts';
import { PracticeError } from './errors.ts';
import type { PracticeRecords, PracticeRow } from './records.ts';

/** So many seeds are tried until one shows its fault. */
const SEEDS_TRIED = 12;
/** The address of a shipped scenario: its own id would tell what is wrong. */
const keyOfShipped = (id: string): string => createHash('sha256').update(id).digest('hex').slice(0, 12);

/** What can be practised: what ships with the program, and what this shop has written. */
export class ScenarioList {
  readonly #records: () => PracticeRecords;
  readonly #knowledge: () => Knowledge;

  constructor(records: () => PracticeRecords, knowledge: () => Knowledge) {
    this.#records = records;
    this.#knowledge = knowledge;
  }

  /** A scenario with another seed: one that shows its fault. @throws PracticeError where the seed asked for does not */
  seeded(scenario: Scenario, seed: number | string | undefined): Scenario {
    if (seed !== undefined) {
      const asked = { ...scenario, seed };
      this.mustShow(asked);
      return asked;
    }
    for (let tries = 0; tries < SEEDS_TRIED; tries += 1) {
      const other = { ...scenario, seed: randomInt(1, 1_000_000) };
      if (scenarioProblem(other, this.#knowledge()) === null) return other;
    }
    return scenario;
  }

  /** @throws PracticeError in words where it cannot be practised */
  mustShow(scenario: Scenario): void {
    const problem = scenarioProblem(scenario, this.#knowledge());
    if (problem === null) return;
    const words = this.#problemWords(problem);
    throw new PracticeError(
      'not-to-be-practised',
      words,
      problem.kind === 'not-observable' || problem.kind === 'hides' ? 'Take another seed.' : '',
    );
  }

  #problemWords(problem: ScenarioProblem): string {
    const name = (id: string): string => this.#knowledge().causes.find((cause) => cause.id === id)?.name ?? id;
    switch (problem.kind) {
      case 'no-such-fault':
        return `There is no cause “${problem.fault}” in the knowledge.`;
      case 'no-such-part':
        return `A vehicle of that kind has no part for “${name(problem.fault)}”.`;
      case 'one-or-two':
        return 'One cause, or two different ones, can be hidden in a vehicle.';
      case 'not-observable':
        return `With that seed nothing tells “${name(problem.fault)}” from “${name(problem.looksLike)}”: nobody could find it.`;
      case 'hides':
        return `“${name(problem.fault)}” cannot be seen behind “${name(problem.behind)}”.`;
    }
  }

  /** With a seed by which its fault shows, where the one it has does not. */
  withSeed(input: ScenarioInput): ScenarioInput {
    const { id: _, ...seeded } = this.seeded({ ...input, id: '' }, undefined);
    return seeded;
  }

  /** A scenario of the shop. @throws PracticeError where it cannot be practised */
  keepScenario(input: ScenarioInput, who: Stamp): string {
    const scenario = { ...input, id: `own-${randomUUID()}` };
    this.mustShow(scenario);
    this.#records().keepScenario(scenario, who.by, who.at);
    return scenario.id;
  }
  dropScenario(key: string): void {
    if (!this.#records().dropScenario(key))
      throw new PracticeError('no-such-scenario', 'There is no such scenario of this shop.');
  }

  #all(): readonly { readonly scenario: Scenario; readonly key: string; readonly own: ScenarioLine['own'] }[] {
    return [
      ...SCENARIOS.map((scenario) => ({ scenario, key: keyOfShipped(scenario.id), own: null })),
      ...this.#records()
        .scenarios()
        .map(({ scenario, by, at }) => ({ scenario, key: scenario.id, own: { by, at } })),
    ];
  }

  /** @throws PracticeError for one that is not there */
  of(key: string): Scenario {
    const found = this.#all().find((each) => each.key === key);
    if (found === undefined) throw new PracticeError('no-such-scenario', 'There is no such scenario.');
    return found.scenario;
  }

  /** One that the person has been through least; of those any. */
  pick({ group, difficulty }: { group?: Group | undefined; difficulty?: number | undefined }, by: string): Scenario {
    const done = this.#records().jobs(by);
    const fitting = this.#all()
      .map(({ scenario }) => scenario)
      .filter((each) => group === undefined || each.group === group)
      .filter((each) => difficulty === undefined || each.difficulty === difficulty);
    const times = ({ id }: Scenario): number => done.filter(({ scenario }) => scenario.id === id).length;
    const least = Math.min(...fitting.map(times));
    const able = fitting.filter((each) => times(each) === least);
    const picked = able[able.length === 0 ? 0 : randomInt(able.length)];
    if (picked === undefined)
      throw new PracticeError(
        'no-such-scenario',
        `There is no scenario of that difficulty for “${group === undefined ? 'any vehicle' : GROUPS[group].toLowerCase()}”.`,
        'Take another kind of vehicle, or another difficulty.',
      );
    return picked;
  }

  lines(done: readonly PracticeRow[], isLead: boolean): ScenarioLine[] {
    return this.#all().map(({ scenario, key, own }): ScenarioLine => {
      const been = done.filter((row) => row.scenario.id === scenario.id && row.state === 'ended').length;
      return {
        key,
        group: scenario.group,
        difficulty: scenario.difficulty,
        tried: triedWords(scenario),
        done: been,
        own,
        teaches: been > 0 || (own !== null && isLead) ? scenario.teaches : '',
      };
    });
  }
}
