import {
  againstAdvice,
  bathMinutes,
  type Method,
  METHODS,
  PASS_KINDS,
  passName,
  type Substance,
  SUBSTANCES,
  UNIT_FORMS,
  type UnitForm,
} from '../../clean/index.ts';
import { soakFigures } from '../../figures/index.ts';
import { flag, id, keyOf, line, number, optional, orNull, record, type RecordOf } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse, within } from '../decision.ts';
import { earlier, fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { jobUnits } from '../inspection/units.ts';
import { runningTimers } from '../timers/query.ts';
import { endWait, timerStarted } from '../timers/timing.ts';
import { against, askAgainst } from './against.ts';
import { sentence } from './cans.ts';
import { isInPlace, unitState } from './present.ts';

/** What {@link passDone} holds. */
export const passDoneShape = record({
  id,
  unit: id,
  kind: keyOf(PASS_KINDS),
  /** What it was done with; null where nothing was, or nobody said. */
  substance: orNull(keyOf(SUBSTANCES)),
  how: orNull(keyOf(METHODS)),
  /** Minutes that a soak or a bath is meant to take; null for what is done by hand. */
  minutes: orNull(number),
  /** It was done where the unit sits, on the vehicle. */
  onVehicle: flag,
  /** What spoke against it, and why it was done all the same; null where nothing did. */
  against: orNull(against),
});
const { against: _, minutes: __, onVehicle: ___, ...doneBefore } = passDoneShape.fields;
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
    earlier(record({ ...doneBefore, ...unsaid }), (data) => ({ ...data, ...inFull(data) })),
    // Then what was against advice was refused, and a bath's time was its timer's alone.
    earlier(record(doneBefore), (data) => ({ ...data, minutes: null, onVehicle: false, against: null })),
  ],
  means: (job, data, stamp) => ({ passes: [...job.passes, { ...data, ...stamp }] }),
  words: (data) =>
    `${passName(data.kind)} done${data.onVehicle ? ' on the vehicle' : ''}${data.against === null ? '' : ', against advice'}`,
  putRight: {},
  sheet: { no: 'the grade after it says what came of it; only what was done against advice is printed' },
});

/** What {@link doPass} holds: the pass, what is cleaned, and the soak that it begins. */
const doPassShape = record({
  ...doneBefore,
  ...unsaid,
  form: optional(keyOf(UNIT_FORMS)),
  soak: optional(record({ timerId: id, label: line, minutes: number })),
  /** Why it is done although something speaks against it. */
  because: optional(line),
});
/**
 * Does a pass. `form` says what is cleaned, so that advice can speak before it is recorded; `soak` starts a timer of so
 * many minutes.
 */
export const doPass = command('do-pass', {
  shape: doPassShape,
  asks: () => ({ figures: true, family: true }),
  decide: (job, { form, soak, because = '', ...data }, { figures, family }, at) => {
    const there = [...jobUnits(job, family), ...jobUnits(job, null)];
    if (there.every(({ id }) => id !== data.unit))
      return refuse('not-there', 'No such unit is on this job.', 'Lay it out first, or pick one that is.');
    const wrong = soak === undefined ? null : within('soak.minutes', soak.minutes, 0.1, 14 * 24 * 60, 'minutes');
    if (wrong) return wrong;
    if (soak !== undefined && job.timers.some(({ id }) => id === soak.timerId))
      return refuse('already-there', 'That timer runs already.');
    if (form === 'diesel-flap' && data.how === 'running')
      return refuse(
        'runs-away',
        'Nothing is ever sprayed into a running diesel: it can run away on it.',
        'If it happened, note it as a mishap.',
      );
    const never =
      form === undefined || data.substance === undefined || data.how === undefined
        ? []
        : adviceAgainst(job, data.unit, form, data.substance, data.how, soak?.minutes, soakFigures(figures).bath);
    if (never.length > 0 && because.trim() === '') return askAgainst(never);
    const done = passDone.of({
      ...data,
      ...inFull(data),
      minutes: soak?.minutes ?? null,
      onVehicle: isInPlace(job, data.unit),
      against: never.length === 0 ? null : { advice: never, because: because.trim() },
    });
    // Whoever goes on with a unit has taken it out of its soak.
    const ended = runningTimers(job)
      .filter(({ kind, unit }) => kind === 'soak' && unit === data.unit)
      .map((timer) => endWait(timer, at));
    return soak === undefined
      ? accept(...ended, done)
      : accept(
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
        );
  },
});

/** What speaks against a pass over a unit as it lies there, in sentences. @param bathMost minutes that this shop lets a detergent bath take */
function adviceAgainst(
  job: Job,
  unit: string,
  form: UnitForm,
  substance: Substance,
  how: Method,
  minutes: number | undefined,
  bathMost: number,
): readonly string[] {
  const usual = bathMinutes(substance);
  // What the shop has said itself counts where it is longer: somebody answers for it.
  const most = usual === undefined ? undefined : substance === 'alkaline-detergent' ? Math.max(usual, bathMost) : usual;
  const bath = minutes === undefined || most === undefined ? undefined : { minutes, most };
  return againstAdvice(form, substance, how, unitState(job, unit), bath).map(({ surface, advice }) =>
    sentence(substance, surface, advice.reason),
  );
}
