import { record, wholeWithin } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link knowledgeChosen} holds. */
export const knowledgeChosenShape = record({ version: wholeWithin({ low: 1 }) });
/** The version of the knowledge that the job is judged by. */
export const knowledgeChosen = fact('knowledge-chosen', {
  shape: knowledgeChosenShape,
  means: (_, { version }) => ({ knowledge: version }),
  words: (data) => `Judged by knowledge ${data.version}`,
  undo: { keeps: ['knowledge'] },
  sheet: { no: 'the decision names the version it was made by' },
});

/** Judges the job by another version of the knowledge. */
export const chooseKnowledge = command('choose-knowledge', {
  shape: knowledgeChosenShape,
  asks: ({ version }) => ({ knowledge: version }),
  decide: (_, { version }, { knowledge }) =>
    knowledge === null || knowledge.version !== version
      ? refuse('no-knowledge', `There is no knowledge ${version}.`, 'Pick a version from the knowledge page.')
      : accept(knowledgeChosen.of({ version })),
});
