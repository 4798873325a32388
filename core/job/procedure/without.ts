import { record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse } from '../decision.ts';
import { fact } from '../fact.ts';

/** What {@link procedureDoneWithout} holds. */
export const procedureDoneWithoutShape = record({});
/** The work goes without a procedure, on purpose. */
export const procedureDoneWithout = fact('procedure-done-without', {
  shape: procedureDoneWithoutShape,
  means: (_, __, stamp) => ({ withoutProcedure: stamp }),
  words: () => 'Worked without a procedure',
  sheet: 'Checked and decided',
});

/** Goes without a procedure. */
export const workWithout = command('work-without-procedure', {
  shape: procedureDoneWithoutShape,
  decide: (job) =>
    job.procedure !== null
      ? refuse('already-there', `This job works by ${job.procedure.name} already.`)
      : job.withoutProcedure !== null
        ? refuse('already-there', 'That is said already.')
        : accept(procedureDoneWithout.of({})),
});
