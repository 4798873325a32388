import { FACTS } from './catalogue.ts';
import { BALANCE } from './balance/subject.ts';
import { CHOICE } from './choice/subject.ts';
import { CLEANING } from './cleaning/subject.ts';
import { COMPLAINT } from './complaint/subject.ts';
import { COOLANT } from './coolant/subject.ts';
import { DIAGNOSIS } from './diagnosis/subject.ts';
import { HANDOVER } from './handover/subject.ts';
import { INSPECTION } from './inspection/subject.ts';
import { ITEMS } from './items/subject.ts';
import { NEEDS } from './needs/subject.ts';
import { PARTS } from './parts/subject.ts';
import { PROCEDURE } from './procedure/subject.ts';
import { PROOF } from './proof/subject.ts';
import { REBUILD } from './rebuild/subject.ts';
import { RECORDINGS } from './recordings/subject.ts';
import { RUNS } from './runs/subject.ts';
import { SEIZED } from './seized/subject.ts';
import { type Stage, STAGES } from './stages.ts';
import { START } from './start/subject.ts';
import { TORQUE } from './torque/subject.ts';
import { TRIM } from './trim/subject.ts';

interface Subject {
  readonly facts: readonly { readonly type: string }[];
}
/** The stage that each subject belongs to; notes, pictures, timers and what is put right belong to the work around them. */
const SUBJECTS: readonly (readonly [Stage, Subject])[] = [
  ['complaint', COMPLAINT],
  ['diagnose', DIAGNOSIS],
  ['decide', CHOICE],
  ['prepare', PROCEDURE],
  ['prepare', NEEDS],
  ['strip', ITEMS],
  ['inspect', INSPECTION],
  ['clean', CLEANING],
  ['clean', SEIZED],
  ['clean', PARTS],
  ['rebuild', REBUILD],
  ['refit', TORQUE],
  ['refit', START],
  ['coolant', COOLANT],
  ['relearn', RUNS],
  ['prove', PROOF],
  ['prove', RECORDINGS],
  ['prove', BALANCE],
  ['prove', TRIM],
  ['hand-over', HANDOVER],
];
const BY_FACT = new Map(SUBJECTS.flatMap(([stage, { facts }]) => facts.map(({ type }) => [type, stage] as const)));

/**
 * The stage that an entry is work of, or null where it belongs to whatever is worked on: what was read before is of the
 * diagnosis, what goes back is of the refit.
 */
export function stageOfEntry({ type, data }: { readonly type: string; readonly data: unknown }): Stage | null {
  const said = data as { readonly stage?: unknown; readonly when?: unknown };
  if (type === 'stage-passed') return STAGES.find((stage) => stage === said.stage) ?? null;
  // A part is used where work is, at whatever stage that is.
  if (type === 'part-used') return null;
  const stage = BY_FACT.get(type) ?? null;
  if (stage === 'prove' && said.when === 'before') return 'diagnose';
  if (stage === 'strip' && FACTS.get(type)?.way === 'back') return 'refit';
  return stage;
}
