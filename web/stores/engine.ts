// What decides and folds jobs: large, and a chunk of its own. Pages that only show lists never load it.
export { asksOf, decide, evolve, replay, wordsOf } from '../../core/job/index.ts';
