import { balanceOf } from '../../balance/index.ts';
import { figureOf } from '../../figures/index.ts';
import { convert, FIELDS, readFigure, type Unit } from '../../quantity/index.ts';
import { id, line, list, number, oneOf, optional, orNull, record } from '../../shape/index.ts';
import { command } from '../command.ts';
import { accept, refuse, refuseField } from '../decision.ts';
import { fact } from '../fact.ts';
import type { Job } from '../job.ts';
import { when } from '../shapes.ts';

/** What gauges of a workshop are marked in. */
export const GAUGE_UNITS = ['kPa', 'mmHg', 'mmH2O', 'inHg', 'mbar'] as const satisfies readonly Unit[];

/** What {@link balanceMeasured} holds. */
export const balanceMeasuredShape = record({
  id,
  when,
  /** Engine speed, rpm; null where nobody looked. */
  rpm: orNull(number),
  /** The body without a screw of its own, by its place. */
  reference: line,
  /** What the gauge is marked in; `typed` is in it. */
  unit: oneOf(...GAUGE_UNITS),
  bodies: list(record({ place: line, typed: line, kPa: number }), { low: 2, high: 12 }),
  /** The spread that counted as even then, kPa. */
  evenKPa: number,
});
/** The suction of each body of a bank was read. */
export const balanceMeasured = fact('balance-measured', {
  shape: balanceMeasuredShape,
  means: (job, data, stamp) => ({ balances: [...job.balances, { ...data, ...stamp }] }),
  words: ({ when: at, bodies, reference, evenKPa }) =>
    `Balance ${at}: ${balanceOf(bodies, reference, evenKPa).even ? 'even' : 'uneven'}`,
  putRight: {},
  sheet: 'Proved',
});

/** The places of the bodies of a bank, in the order of the vehicle’s file; fewer than two where there is nothing to balance. */
export const bankPlaces = ({ vehicle }: Pick<Job, 'vehicle'>): readonly string[] =>
  vehicle.units.filter(({ kind }) => kind === 'throttle-body').map(({ place }) => place);

/** Reads the suction of each body, all in one unit. */
export const measureBalance = command('measure-balance', {
  shape: record({
    id,
    when,
    rpmText: optional(line),
    reference: line,
    unit: oneOf(...GAUGE_UNITS),
    bodies: list(record({ place: line, text: line }), { high: 12 }),
  }),
  asks: () => ({ figures: true }),
  decide: (job, { rpmText = '', bodies, ...data }, { figures }) => {
    if (job.balances.some(({ id: known }) => known === data.id))
      return refuse('already-there', 'That reading is noted already.');
    const listed = bankPlaces(job);
    // Where the file lists no body, whoever holds the gauge says how many there are.
    const places = listed.length === 0 ? bodies.map(({ place }) => place) : listed;
    if (places.length < 2 || new Set(places).size < places.length)
      return refuse('single', 'One body alone has nothing to be balanced with.', 'Set its idle by the maker’s way.');
    const read: { place: string; typed: string; kPa: number }[] = [];
    for (const [index, { place, text }] of bodies.entries()) {
      if (!places.includes(place)) return refuseField(`bodies.${index}`, `There is no body at “${place}”.`);
      const figure = readFigure(text, { ...FIELDS.manifoldPressure, assume: data.unit });
      if (!figure.ok) return refuseField(`bodies.${index}`, figure.message);
      const kPa = convert(figure.value, data.unit, 'kPa');
      if (!(kPa >= 0 && kPa <= 101))
        return refuseField(`bodies.${index}`, 'Expected suction below the outside air, 0 to 101 kPa.');
      read.push({ place, typed: text.trim(), kPa });
    }
    const missing = places.findIndex((place) => read.every((each) => each.place !== place));
    if (missing >= 0) return refuseField(`bodies.${missing}`, `Type what the gauge shows at ${places[missing]}.`);
    if (!places.includes(data.reference)) return refuseField('reference', 'Which body has no screw of its own?');
    const rpm = rpmText.trim() === '' ? null : readFigure(rpmText, FIELDS.idleSpeed);
    if (rpm !== null && !rpm.ok) return refuseField('rpmText', rpm.message);
    return accept(
      balanceMeasured.of({
        ...data,
        rpm: rpm?.value ?? null,
        bodies: read,
        evenKPa: figureOf(figures, 'balance-spread'),
      }),
    );
  },
});
