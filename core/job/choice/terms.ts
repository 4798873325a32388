import { OPTIONS } from '../../choose/index.ts';
import { keyOf, line, number, optional, orNull, record, whole } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, within } from '../decision.ts';
import { fact } from '../fact.ts';
import { DEAREST } from './dearest.ts';

/** What {@link termsSet} holds. */
export const termsSetShape = record({
  option: keyOf(OPTIONS),
  /** The way that it is set for; left out it goes for every way of the option. */
  way: optional(line),
  partsMinor: orNull(whole),
  minutes: number,
  daysOff: number,
  life: number,
});
/** Price, minutes, days and life of an option were set by hand. */
export const termsSet = fact('terms-set', {
  shape: termsSetShape,
  means: (job, { option, ...terms }) => ({
    terms: [...job.terms.filter(({ id, way }) => !(id === option && way === terms.way)), { id: option, ...terms }],
  }),
  words: (data) => `Figures of “${OPTIONS[data.option]}”`,
  sheet: { no: 'the estimate carries what came of it' },
});

/** Sets the figures of an option by hand. */
export const setTerms = command('set-terms', {
  shape: termsSetShape,
  decide: (_, data) =>
    (data.partsMinor === null ? null : within('partsMinor', data.partsMinor, 0, DEAREST)) ??
    within('minutes', data.minutes, 1, 6000, 'minutes') ??
    within('daysOff', data.daysOff, 0, 365, 'days') ??
    within('life', data.life, 1, 2_000_000) ??
    accept(termsSet.of(data)),
});
