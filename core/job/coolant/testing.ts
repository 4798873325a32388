import { shareFromRefractometer } from '../../coolant/index.ts';
import { FIELDS, readFigure } from '../../quantity/index.ts';
import { id, line, number, oneOf, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import { when } from '../shapes.ts';

/** What {@link coolantTested} holds. */
export const coolantTestedShape = record({
  id,
  when,
  tool: oneOf('refractometer', 'strip', 'hydrometer'),
  scale: oneOf('ethylene', 'propylene'),
  typed: line,
  celsius: number,
  share: number,
});
/** The strength was read. */
export const coolantTested = fact('coolant-tested', {
  shape: coolantTestedShape,
  means: (job, data, stamp) => ({
    coolantTests: [...job.coolantTests.filter(({ when }) => when !== data.when), { ...data, ...stamp }],
  }),
  words: (data) => `Coolant freezes at ${Math.round(data.celsius)} °C`,
  sheet: 'Coolant',
});

/** Reads the strength. */
export const testCoolant = command('test-coolant', {
  shape: record({
    id,
    when,
    tool: oneOf('refractometer', 'strip', 'hydrometer'),
    scale: oneOf('ethylene', 'propylene'),
    typed: line,
  }),
  decide: (job, data) => {
    const system = job.procedure?.coolant ?? null;
    if (system === null)
      return refuse('no-coolant', 'This procedure has no coolant.', 'Use the coolant page under Tools.');
    const read = readFigure(data.typed, FIELDS.freezePoint);
    if (!read.ok) return refuseField('typed', read.message);
    const celsius = read.value;
    try {
      const share = shareFromRefractometer(system.glycol, data.scale, celsius);
      return accept(coolantTested.of({ ...data, celsius, share }));
    } catch (error) {
      return refuseField(data.scale === system.glycol ? 'typed' : 'scale', (error as RangeError).message);
    }
  },
});

/** What {@link leakChecked} holds. */
export const leakCheckedShape = record({ when: oneOf('hot', 'cold'), result: oneOf('dry', 'leaks'), where: line });
/** Somebody looked for leaks. */
export const leakChecked = fact('leak-checked', {
  shape: leakCheckedShape,
  means: (job, data, stamp) => ({
    leakChecks: [...job.leakChecks.filter(({ when }) => when !== data.when), { ...data, ...stamp }],
  }),
  words: (data) => `Leaks, ${data.when}: ${data.result}`,
  sheet: 'Coolant',
});

/** Notes what a look for leaks found. */
export const checkLeaks = command('check-leaks', {
  shape: leakCheckedShape,
  decide: (_, data) =>
    (data.result === 'leaks' ? nonEmpty('where', data.where, 'Where does it leak?') : null) ??
    accept(leakChecked.of(data)),
});
