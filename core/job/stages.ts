/** The stages of a job, in the order in which people do them. */
export const STAGES = [
  'complaint',
  'diagnose',
  'decide',
  'prepare',
  'strip',
  'inspect',
  'clean',
  'rebuild',
  'refit',
  'coolant',
  'relearn',
  'prove',
  'hand-over',
] as const;

/** One stop on the route. */
export type Stage = (typeof STAGES)[number];

/** As printed on the route. */
export const STAGE_NAMES: Readonly<Record<Stage, string>> = {
  complaint: 'Complaint',
  diagnose: 'Diagnose',
  decide: 'Decide',
  prepare: 'Prepare',
  strip: 'Strip',
  inspect: 'Inspect',
  clean: 'Clean',
  rebuild: 'Rebuild',
  refit: 'Refit',
  coolant: 'Coolant',
  relearn: 'Relearn',
  prove: 'Prove',
  'hand-over': 'Hand over',
};

/** The stage after this one, or null after the last. */
export const nextStage = (stage: Stage): Stage | null => STAGES[STAGES.indexOf(stage) + 1] ?? null;
/** The stage before this one, or null before the first. */
export const previousStage = (stage: Stage): Stage | null => STAGES[STAGES.indexOf(stage) - 1] ?? null;
