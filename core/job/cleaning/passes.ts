import { advise, FORM_SURFACES, METHODS, PASS_KINDS, passName, SUBSTANCES, UNIT_FORMS } from '../../clean/index.ts';
import { id, keyOf, line, number, optional, orNull, record, type RecordOf, type TypeOf } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, type Refusal, refuse, within } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import { runningTimers } from '../timers/query.ts';
import { endWait, timerStarted } from '../timers/timing.ts';
import { sentence } from './cans.ts';

/** What {@link passDone} holds. */
export const passDoneShape = record({
  id,
  unit: id,
  kind: keyOf(PASS_KINDS),
  /** What it was done with; null where nothing was, or nobody said. */
  substance: orNull(keyOf(SUBSTANCES)),
  how: orNull(keyOf(METHODS)),
});
/** What need not be said of a pass. */
const unsaid = { substance: optional(keyOf(SUBSTANCES)), how: optional(keyOf(METHODS)) } as const;
const inFull = (said: RecordOf<typeof unsaid>) => ({
  substance: said.substance ?? null,
  how: said.how ?? null,
});
/** A pass of cleaning was done on a unit. */
export const passDone = fact('pass-done', {
  shape: passDoneShape,
  earlier: [
    // At first a pass said neither what it was done with nor how.
    earlier(record({ ...passDoneShape.fields, ...unsaid }), (data) => ({ ...data, ...inFull(data) })),
  ],
  means: (job, data, stamp) => ({ passes: [...job.passes, { ...data, ...stamp }] }),
  words: (data) => `${passName(data.kind)} done`,
  putRight: {},
  sheet: { no: 'the grade after it says what came of it' },
});

/** What {@link doPass} holds: the pass, what is cleaned, and the soak that it begins. */
const doPassShape = record({
  ...passDoneShape.fields,
  ...unsaid,
  form: optional(keyOf(UNIT_FORMS)),
  soak: optional(record({ timerId: id, label: line, minutes: number })),
});
/** Does a pass. `form` says what is cleaned, so that what must not touch it is refused; `soak` starts a timer of so many minutes. */
export const doPass = command('do-pass', {
  shape: doPassShape,
  decide: (job, { form, soak, ...data }, _, at) => {
    const done = passDone.of({ ...data, ...inFull(data) });
    const never = form === undefined ? null : neverOn(form, data);
    if (never !== null) return never;
    // Whoever goes on with a unit has taken it out of its soak.
    const ended = runningTimers(job)
      .filter(({ kind, unit }) => kind === 'soak' && unit === data.unit)
      .map((timer) => endWait(timer, at));
    if (soak === undefined) return accept(...ended, done);
    if (job.timers.some(({ id }) => id === soak.timerId)) return refuse('already-there', 'That timer runs already.');
    return (
      within('soak.minutes', soak.minutes, 0.1, 14 * 24 * 60, 'minutes') ??
      accept(
        ...ended,
        done,
        timerStarted.of({
          id: soak.timerId,
          label: soak.label,
          minutes: soak.minutes,
          kind: 'soak',
          itemId: null,
          unit: data.unit,
        }),
      )
    );
  },
});

/** A pass that would bring something onto what is cleaned that must never touch it, or into a motor by spraying. */
function neverOn(
  form: NonNullable<TypeOf<typeof doPassShape>['form']>,
  { substance, how }: Pick<TypeOf<typeof doPassShape>, 'substance' | 'how'>,
): Refusal | null {
  if (substance === undefined || how === undefined) return null;
  const [cleaned] = FORM_SURFACES[form];
  // A body with a motor on it cannot be wetted without wetting the motor; a valve can be held port down.
  const wetMotor = form === 'electronic' ? (['motor-gears'] as const) : [];
  for (const surface of [...(cleaned === undefined ? [] : [cleaned]), ...wetMotor]) {
    const { verdict, reason } = advise(substance, surface, how);
    if (verdict === 'never')
      return refuse('never', sentence(substance, surface, reason), 'Look at the advice for what may touch it.');
  }
  return null;
}
