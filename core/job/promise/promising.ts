import { line, paragraph, record, time } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';

/**
 * What {@link readyPromised} holds: when it is to be ready, the same as the customer was told it by the shop’s clock, and
 * why it moved where it did.
 */
export const readyPromisedShape = record({ ready: time, told: line, why: paragraph });
/** The customer was told when the vehicle is ready; another time takes the place of the one before. */
export const readyPromised = fact('ready-promised', {
  shape: readyPromisedShape,
  means: (job, data, stamp) => ({
    promise: { ...data, ...stamp },
    promisesMoved: job.promise === null ? job.promisesMoved : job.promisesMoved + 1,
  }),
  words: ({ told }, job) => `${job.promise === null ? 'Promised' : 'Promise moved'}: ready ${told}`,
  sheet: { no: 'what was promised is the shop’s word to its customer, not work that was done' },
});

/** Promises a time, or another one. */
export const promiseReady = command('promise-ready', {
  shape: readyPromisedShape,
  decide: (job, { ready, told, why }, _, at) => {
    if (at !== null && ready <= at) return refuseField('ready', `${told} is gone: expected a time from now on.`);
    if (job.promise?.ready === ready) return refuse('already-there', 'That is what was promised already.');
    return (
      nonEmpty('told', told, 'What was the customer told?') ??
      accept(readyPromised.of({ ready, told: told.trim(), why: why.trim() }))
    );
  },
});

/** What {@link promiseWithdrawn} holds. */
export const promiseWithdrawnShape = record({ why: paragraph });
/** No time is promised any more. */
export const promiseWithdrawn = fact('promise-withdrawn', {
  shape: promiseWithdrawnShape,
  means: () => ({ promise: null }),
  words: () => 'Promise withdrawn',
  sheet: { no: 'what was promised is the shop’s word to its customer, not work that was done' },
});

/** Takes a promise back. */
export const withdrawPromise = command('withdraw-promise', {
  shape: promiseWithdrawnShape,
  decide: (job, { why }) =>
    job.promise === null
      ? refuse('not-there', 'No time is promised.')
      : (nonEmpty('why', why, 'Why? The customer will ask.') ?? accept(promiseWithdrawn.of({ why: why.trim() }))),
});
