import { FIELDS, readFigure } from '../../quantity/index.ts';
import { netTurns } from '../../rebuild/index.ts';
import { flag, id, keyOf, line, number, optional, orNull, record } from '../../shape/index.ts';
import { type Figure, useOf } from '../../vehicle/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField, within } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { screwTurned, stopScrewLeft } from '../rebuild/setting.ts';
import { TRIAL_PLACES } from '../start/runPlaces.ts';
import { lacksWater } from '../start/water.ts';

const window = record({ low: number, high: number, source: orNull(line) });

/** What {@link trimTried} holds. */
export const trimTriedShape = record({
  id,
  unit: id,
  /** Turns of the stop screw from where it was found; out is plus. */
  turns: number,
  place: keyOf(TRIAL_PLACES),
  /** Idle, rpm, and the valve's duty, %; null where nobody looked. */
  rpm: orNull(number),
  duty: orNull(number),
  /** What they were judged by; null where no window is known. */
  rpmWindow: orNull(window),
  dutyWindow: orNull(window),
  /** Whether all that was read lay in its window; null where there was none to judge by. */
  inside: orNull(flag),
  note: line,
});
/** The stop screw stood so far, and the engine ran so. */
export const trimTried = fact('trim-tried', {
  shape: trimTriedShape,
  means: (job, data, stamp) => ({ trims: [...job.trims, { ...data, ...stamp }] }),
  words: ({ inside }) =>
    `Trim trial: ${inside === null ? 'no window to judge by' : inside ? 'in its window' : 'not in its window'}`,
  putRight: {},
  sheet: 'On the bench',
});

const inWindow = (value: number | null, within_: Figure | null): boolean | null =>
  value === null || within_ === null ? null : value >= within_.low && value <= within_.high;

/** One step of a trim trial: how far the screw stands, and what the engine makes of it. The turn is counted with it. */
export const tryTrim = command('try-trim', {
  shape: record({
    id,
    unit: id,
    turnsText: line,
    place: keyOf(TRIAL_PLACES),
    rpmText: optional(line),
    dutyText: optional(line),
    note: line,
  }),
  asks: () => ({ rules: true }),
  decide: (job, { turnsText, rpmText = '', dutyText = '', ...data }, { rules }) => {
    if (useOf(job.vehicle, null) !== 'outboard')
      return refuse(
        'not-outboard',
        'A stop screw is trimmed on a warped outboard body alone.',
        'Here it stays as it is.',
      );
    const left = stopScrewLeft(job, rules);
    if (left !== null) return left;
    if (lacksWater(job))
      return refuse('no-water', 'An outboard never runs without cooling water.', 'Say first how it gets it.', {
        stage: 'refit',
      });
    if (job.trims.some(({ id: known }) => known === data.id))
      return refuse('already-there', 'That step is noted already.');
    const turns = readFigure(turnsText, FIELDS.turnsOfScrew);
    if (!turns.ok) return refuseField('turnsText', turns.message);
    const rpm = rpmText.trim() === '' ? null : readFigure(rpmText, FIELDS.idleSpeed);
    if (rpm !== null && !rpm.ok) return refuseField('rpmText', rpm.message);
    const duty = dutyText.trim() === '' ? null : readFigure(dutyText, FIELDS.share);
    if (duty !== null && !duty.ok) return refuseField('dutyText', duty.message);
    if (rpm === null && duty === null)
      return refuseField('rpmText', 'What did it do: the idle speed, the duty of the valve, or both?');
    const wrong =
      within('turnsText', turns.value, -20, 20, 'turns') ??
      (rpm === null ? null : within('rpmText', rpm.value, 0, 10_000, 'rpm')) ??
      (duty === null ? null : within('dutyText', duty.value, 0, 100, '%'));
    if (wrong) return wrong;
    const { idleRpm, valveDuty } = job.vehicle.figures;
    const judged = [inWindow(rpm?.value ?? null, idleRpm), inWindow(duty?.value ?? null, valveDuty)];
    const delta = turns.value - netTurns(turnsOf(job, data.unit), 'stop');
    return accept(
      ...(Math.abs(delta) < 1e-9
        ? []
        : [screwTurned.of({ id: `${data.id}-turn`, unit: data.unit, screw: 'stop', turns: delta, why: 'trim trial' })]),
      trimTried.of({
        ...data,
        turns: turns.value,
        rpm: rpm?.value ?? null,
        duty: duty?.value ?? null,
        rpmWindow: idleRpm,
        dutyWindow: valveDuty,
        inside: judged.includes(false) ? false : judged.includes(true) ? true : null,
      }),
    );
  },
});

const turnsOf = (job: Job, unit: string) => job.turned.filter((each) => each.unit === unit);

/** Units whose stop screw stands otherwise than it was found after a trial, and that were not replaced since. */
export function trimmedUnits(job: Job): readonly { readonly unit: string; readonly turns: number }[] {
  const gone = new Set(job.replaced.map(({ unit }) => unit));
  return [...new Set(job.trims.map(({ unit }) => unit))].flatMap((unit) => {
    const turns = netTurns(turnsOf(job, unit), 'stop');
    return gone.has(unit) || Math.abs(turns) < 1e-9 ? [] : [{ unit, turns }];
  });
}
