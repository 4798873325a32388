import type { MadeFact } from './fact.ts';
import type { WhereTo } from './whereTo.ts';

/** Why a command is not taken, and what would make it possible. */
export interface Refusal {
  readonly ok: false;
  /** Stable, for programs and for the error catalogue. */
  readonly code: string;
  readonly message: string;
  readonly wouldHelp: string;
  /** The field of the command's data that is wrong, when one is. */
  readonly field: string | null;
  /** Where what is in the way is put right; left out where that is here, or nowhere in the job. */
  readonly at?: WhereTo;
}

/** The facts a command leads to, or why it leads to none. */
export type Decision = { readonly ok: true; readonly events: readonly MadeFact[] } | Refusal;

/** Takes the command. */
export const accept = (...events: readonly MadeFact[]): Decision => ({ ok: true, events });

/** Does not take it: the state is not right for it. */
export const refuse = (code: string, message: string, wouldHelp = '', at?: WhereTo): Refusal => ({
  ok: false,
  code,
  message,
  wouldHelp,
  field: null,
  ...(at && { at }),
});

/** Does not take it: a field holds something that cannot be right. */
export const refuseField = (field: string, message: string): Refusal => ({
  ok: false,
  code: 'bad-value',
  message,
  wouldHelp: '',
  field,
});

/** A refusal when a text is empty, else null. */
export const nonEmpty = (field: string, text: string, message: string): Refusal | null =>
  text.trim() === '' ? refuseField(field, message) : null;

/** A refusal when a number is outside its range, else null. The bounds named are the bounds checked. */
export function within(field: string, value: number, low: number, high: number, unit = ''): Refusal | null {
  const tail = unit === '' ? '' : ` ${unit}`;
  return Number.isFinite(value) && value >= low && value <= high
    ? null
    : refuseField(field, `Expected ${low} to ${high}${tail}, got ${value}.`);
}
