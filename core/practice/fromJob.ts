import { causesOf, type Group, type Knowledge, OPTION_IDS, type OptionId } from '../diagnose/index.ts';
import type { Job } from '../job/index.ts';
import { FAULTS } from './faults.ts';
import type { Scenario } from './scenario.ts';
import { VALVED } from './vehicle.ts';

/** A scenario that was made of a job, or why none can be. */
export type FromJob =
  { readonly ok: true; readonly scenario: Omit<Scenario, 'id'> } | { readonly ok: false; readonly message: string };

/** Options whose names a customer could give to what was tried. */
const isOption = (text: string): text is OptionId => (OPTION_IDS as readonly string[]).includes(text);

/**
 * A scenario from a past job: what was found there is hidden in a practice vehicle of its kind. Nothing of the vehicle,
 * its owner or who worked on it is in it: no plate, no number, no reading, no day.
 */
export function scenarioFromJob(job: Job, group: Group, knowledge: Knowledge): FromJob {
  const lead = job.belief?.causes[0];
  if (lead === undefined)
    return { ok: false, message: 'Nothing was decided on that job: it does not say what was wrong.' };
  const cause = lead.id.split('@')[0] ?? lead.id;
  const has = causesOf(knowledge, { group, hasValve: VALVED.has(group) }).find(({ id }) => id === cause);
  if (has === undefined || FAULTS[cause] === undefined)
    return {
      ok: false,
      message: `What was wrong there, “${lead.name}”, cannot be hidden in a practice vehicle of that kind.`,
    };
  const tried = [...new Set(job.attempts.flatMap(({ option }) => (isOption(option) ? [option] : [])))].slice(0, 4);
  return {
    ok: true,
    scenario: {
      group,
      faults: [cause],
      seed: 1,
      difficulty: tried.length > 0 ? 3 : 2,
      teaches: `From a job of this shop: ${has.name.toLowerCase()}.`,
      tried,
    },
  };
}
