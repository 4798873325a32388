import type { HouseRules } from '../../house/index.ts';
import { FIELDS, readFigure } from '../../quantity/index.ts';
import { COUNTED_SCREWS, linearity, SWEEP_PERCENT, turnWords } from '../../rebuild/index.ts';
import { flag, id, keyOf, line, list, number, record, text } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, type Refusal, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import { rulesOf } from '../house/rules.ts';
import type { Job } from '../job.ts';
import { when } from '../shapes.ts';
import { lowerFirst } from '../../words/index.ts';

/** What {@link sensorSwept} holds. */
export const sensorSweptShape = record({
  id,
  unit: id,
  when,
  points: list(record({ percent: number, volts: number }), { low: 3, high: 20 }),
  deviationPercent: number,
  good: flag,
  words: line,
});
/** A position sensor was read over its travel. */
export const sensorSwept = fact('sensor-swept', {
  shape: sensorSweptShape,
  means: (job, data, stamp) => ({
    sweeps: [
      ...job.sweeps.filter(({ unit, when }) => !(unit === data.unit && when === data.when)),
      { ...data, ...stamp },
    ],
  }),
  words: (data) => `Position sensor swept: ${data.good ? 'straight' : 'not straight'}`,
  putRight: {},
  sheet: 'On the bench',
});

/** Reads a sensor: volts at 0, 25, 50, 75 and 100 % of the travel, as typed. */
export const sweepSensor = command('sweep-sensor', {
  shape: record({
    id,
    unit: id,
    when,
    typed: list(text(40), { low: 5, high: 5, words: 'Expected volts at five openings.' }),
  }),
  decide: (_, { typed, ...data }) => {
    const points: { percent: number; volts: number }[] = [];
    for (const [index, percent] of SWEEP_PERCENT.entries()) {
      const read = readFigure(typed[index] ?? '', FIELDS.sensorVolts);
      if (!read.ok) return refuseField(`typed.${index}`, `Volts at ${percent} %: ${lowerFirst(read.message)}`);
      const volts = read.value;
      if (!(volts >= 0 && volts <= 5.5))
        return refuseField(`typed.${index}`, `Volts at ${percent} %: expected 0 to 5.5 V, got “${read.text}”.`);
      points.push({ percent, volts });
    }
    if (points[0]?.volts === points.at(-1)?.volts)
      return refuseField('typed.4', 'Both ends read the same: is the plate moving, is the sensor plugged in?');
    const { deviationPercent, good, words } = linearity(points);
    return accept(sensorSwept.of({ ...data, points, deviationPercent, good, words }));
  },
});

/** What {@link screwTurned} holds. */
export const screwTurnedShape = record({ id, unit: id, screw: keyOf(COUNTED_SCREWS), turns: number, why: line });
/** A screw was turned from where it was found; out is plus. */
export const screwTurned = fact('screw-turned', {
  shape: screwTurnedShape,
  means: (job, data, stamp) => ({ turned: [...job.turned, { ...data, ...stamp }] }),
  words: (data) => `${COUNTED_SCREWS[data.screw]}: ${turnWords(data.turns)}`,
  putRight: {},
  sheet: 'On the bench',
});

/** Why the stop screw is left alone: the house says so, and this job has not departed from it. */
export const stopScrewLeft = (job: Job, rules: HouseRules): Refusal | null =>
  rulesOf(job, rules)['stop-screw'] === 'never'
    ? refuse(
        'house-rule',
        'The house rule is never to touch the stop screw.',
        'Depart from the rule with a reason first.',
        { stage: 'rebuild' },
      )
    : null;

/** Turns a screw and counts. */
export const turnScrew = command('turn-screw', {
  shape: record({ id, unit: id, screw: keyOf(COUNTED_SCREWS), turnsText: line, why: line }),
  asks: () => ({ rules: true }),
  decide: (job, { turnsText, ...data }, { rules }) => {
    const read = readFigure(turnsText, FIELDS.turnsOfScrew);
    if (!read.ok) return refuseField('turnsText', read.message);
    const turns = read.value;
    if (!(Math.abs(turns) <= 20) || turns === 0)
      return refuseField('turnsText', 'Expected turns such as 0.25 or −1.5; out is plus, in is minus.');
    return (data.screw === 'stop' ? stopScrewLeft(job, rules) : null) ?? accept(screwTurned.of({ ...data, turns }));
  },
});
