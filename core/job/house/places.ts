import type { Stage } from '../stages.ts';

/** The questions of the house that bite at a stage, by their ids; where to clean is answered at Decide by what is chosen. */
export const QUESTIONS_AT: Readonly<Partial<Record<Stage, readonly string[]>>> = {
  prepare: ['battery'],
  strip: ['hoses'],
  inspect: ['plate'],
  clean: ['substance', 'tool', 'plate', 'scrape-face', 'bearing-air', 'running-spray'],
  rebuild: ['gasket', 'grease', 'stop-screw', 'idle-screw'],
  refit: ['tightening', 'gasket'],
  coolant: ['caught-coolant'],
  relearn: ['relearn'],
};
