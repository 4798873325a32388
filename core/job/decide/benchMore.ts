import { shareFromRefractometer } from '../../coolant/index.ts';
import { ruleFor } from '../../house/index.ts';
import { isPointProblem, judgePoint, limitOf, pointOf } from '../../inspect/index.ts';
import { parseNumber, parseQuantity } from '../../quantity/index.ts';
import { linearity, SWEEP_PERCENT } from '../../rebuild/index.ts';
import { RUNGS } from '../../seized/index.ts';
import { type EngineFamily, figuresOf, matchVariant, unitTypeOf } from '../../vehicle/index.ts';
import { signsFor, restOf } from '../../diagnose/index.ts';
import type { PointEntryData } from '../benchEvents.ts';
import { accept, type Context, refuse, refuseField } from '../commands.ts';
import { subjectOf } from '../diagnosis.ts';
import { lowerFirst, upperFirst } from '../../words/index.ts';
import { event, type JobEvent } from '../events.ts';
import type { Job, SeizedRecord } from '../types.ts';
import { runningTimers } from '../query.ts';
import { type Handlers, nonEmpty, timerEnded, within } from './handlers.ts';

const openScrew = (job: Job, id: string): SeizedRecord | undefined =>
  job.seized.find((screw) => screw.id === id && screw.ended === null);

/** Ends what still waits on a screw. */
function waitsEnded(job: Job, screw: SeizedRecord, at: string | null): JobEvent[] {
  const timers = new Set(screw.tried.flatMap(({ timerId }) => (timerId === '' ? [] : [timerId])));
  return runningTimers(job)
    .filter(({ id }) => timers.has(id))
    .map((timer) => timerEnded(timer, at));
}

/** The check of the knowledge that a judged point answers, as the event that records it; nothing where there is none. */
function asCheck(job: Job, data: PointEntryData, outcome: string | null, words: string, context: Context): JobEvent[] {
  const point = pointOf(data.point);
  const { knowledge, family } = context;
  const checkId = checkOf(data.point);
  if (data.when === 'after' || outcome === null || knowledge === null || point === undefined || checkId === null)
    return [];
  const sign = signsFor(knowledge, subjectOf(job, family)).find(({ id }) => id === checkId);
  const found = sign?.outcomes.find(({ id }) => id === outcome);
  if (sign === undefined || found === undefined) return [];
  const normal = outcome === restOf(sign);
  // One good coil, or one good body of four, does not make the bad one good.
  if (normal && anotherIsBad(job, data)) return [];
  return [
    event('check-recorded', {
      id: `${data.id}-check`,
      check: checkId,
      name: sign.name,
      outcome,
      result: words,
      verdict: normal ? 'normal' : 'abnormal',
      typed: [],
      band: null,
      when: 'before',
    }),
  ];
}

const anotherIsBad = (job: Job, { unit, point, which }: PointEntryData): boolean =>
  job.findings.some(
    (each) =>
      each.point === point &&
      each.when === 'before' &&
      each.judged?.verdict === 'bad' &&
      !(each.unit === unit && each.judged.which === which.trim()),
  );

/** The light test answers a check of its own, which tells more than good and bad. */
const checkOf = (point: string): string | null =>
  point === 'light' ? 'light-gap' : (pointOf(point)?.check?.id ?? null);

/** More of the bench: judged findings, seized screws, waste, sensors, replacing, testing coolant. */
export const benchMore: Handlers<
  | 'judge-point'
  | 'mark-picture'
  | 'note-seized'
  | 'try-rung'
  | 'give-up-screw'
  | 'take-waste'
  | 'set-apart'
  | 'return-piece'
  | 'sweep-sensor'
  | 'turn-screw'
  | 'replace-unit'
  | 'test-coolant'
  | 'check-leaks'
  | 'set-recheck'
> = {
  'judge-point': (job, data, context) => {
    const point = pointOf(data.point);
    if (point === undefined) return refuse('no-such-point', `There is no point “${data.point}” in the walk.`);
    if (!point.forms.includes(data.form))
      return refuse('does-not-apply', `“${point.name}” does not apply to this kind of unit.`);
    if (point.each && data.which.trim() === '') return refuseField('which', 'Which one? Each has its own line.');
    const limit = limitOf(point, figuresOf(job.vehicle, context.family), context.family, data.kind);
    const judged = judgePoint(point, data, limit);
    if (isPointProblem(judged)) return refuseField(fieldOf(point.entry.kind, judged.field), judged.message);
    const { verdict, value, words, cure, outcome } = judged;
    return accept(
      event('point-judged', { ...data, which: data.which.trim(), verdict, value, limit: judged.limit, words, cure }),
      ...asCheck(job, data, outcome, words, context),
    );
  },
  'mark-picture': (job, data) => {
    const picture = job.pictures.find(({ id }) => id === data.pictureId);
    if (picture === undefined) return refuse('not-there', 'That picture is not on this job.');
    if (data.anchors.length !== 0 && data.anchors.length !== 2)
      return refuseField('anchors', 'Pick two places that both pictures show.');
    const [a, b] = data.anchors;
    if (a !== undefined && b !== undefined && Math.hypot(a.x - b.x, a.y - b.y) < 0.05)
      return refuseField('anchors', 'The two places lie too near each other to line the pictures up.');
    const empty = data.marks.some((mark) => mark.kind === 'text' && mark.text.trim() === '');
    return empty ? refuseField('marks', 'What should it say?') : accept(event('picture-marked', data));
  },
  'note-seized': (job, data) =>
    job.seized.some(({ id }) => id === data.id)
      ? refuse('already-there', 'That screw is noted already.')
      : (nonEmpty('where', data.where, 'Which screw? Say where it sits.') ?? accept(event('screw-seized', data))),
  'try-rung': (job, data, _, at) => {
    const screw = openScrew(job, data.screwId);
    if (screw === undefined) return refuse('not-there', 'That screw is not waiting to come out.');
    const rung = RUNGS.find(({ id }) => id === data.rung);
    if (rung === undefined) return refuse('no-such-rung', 'There is no such rung.');
    const done = screw.tried.find((each) => each.rung === data.rung && each.outcome !== 'waiting');
    if (done !== undefined) return refuse('already-there', `“${rung.name}” was tried already.`);
    const where = lowerFirst(screw.where);
    // Whoever says how it went has ended the wait.
    const events: JobEvent[] = [...waitsEnded(job, screw, at), event('rung-tried', data)];
    if (data.outcome === 'waiting') {
      if (rung.waitMinutes === 0) return refuseField('outcome', `“${rung.name}” has no wait: say how it went.`);
      if (data.timerId === '') return refuseField('timerId', 'The wait needs a timer.');
      events.push(
        event('timer-started', {
          id: data.timerId,
          label: `${rung.id === 'heat' ? 'Warms through' : 'Oil works'}: ${where}`,
          minutes: rung.waitMinutes,
          kind: 'oil',
          unit: screw.unit,
        }),
      );
    }
    if (data.outcome === 'out') {
      // Whatever it went through, it does not go back in.
      events.push(
        event('need-added', {
          need: {
            id: `screw-${screw.id}`,
            kind: 'part',
            name: `New screw ${screw.thread}, ${where}`,
            partNumber: screw.partNumber,
            note: 'the old one was seized',
            caution: null,
          },
        }),
      );
    }
    return accept(...events);
  },
  'give-up-screw': (job, data, _, at) => {
    const screw = openScrew(job, data.screwId);
    if (screw === undefined) return refuse('not-there', 'That screw is not waiting to come out.');
    return (
      nonEmpty('why', data.why, 'Why is it given up? The next one asks.') ??
      accept(...waitsEnded(job, screw, at), event('screw-given-up', data))
    );
  },
  'take-waste': (_, data) => nonEmpty('where', data.where, 'Where did it go?') ?? accept(event('waste-taken', data)),
  'set-apart': (job, data) => {
    const taken = job.pieces.find(
      ({ what, place, returned }) => returned === null && what === data.what && place === data.place,
    );
    if (taken !== undefined) return refuseField('place', `${data.what} of ${data.place} lies apart already.`);
    return (
      nonEmpty('what', data.what, 'What is it?') ??
      nonEmpty('place', data.place, 'From which cylinder or place?') ??
      accept(event('piece-set-apart', data))
    );
  },
  'return-piece': (job, data) => {
    const piece = job.pieces.find(({ id }) => id === data.id);
    if (piece === undefined || piece.returned !== null) return refuse('not-there', 'That piece does not lie apart.');
    if (!data.renewed && piece.place.trim().toLowerCase() !== data.place.trim().toLowerCase())
      return refuseField('place', `This ${piece.what.toLowerCase()} came from ${piece.place}: it goes back there.`);
    return accept(event('piece-returned', data));
  },
  'sweep-sensor': (_, { typed, ...data }) => {
    const points: { percent: number; volts: number }[] = [];
    for (const [index, percent] of SWEEP_PERCENT.entries()) {
      const volts = parseNumber((typed[index] ?? '').trim().replace(/\s*V$/i, ''));
      if (!(volts >= 0 && volts <= 5.5))
        return refuseField(
          `typed.${index}`,
          `Volts at ${percent} %: expected 0 to 5.5 V, got “${typed[index] ?? ''}”.`,
        );
      points.push({ percent, volts });
    }
    if (points[0]?.volts === points.at(-1)?.volts)
      return refuseField('typed.4', 'Both ends read the same: is the plate moving, is the sensor plugged in?');
    const { deviationPercent, good, words } = linearity(points);
    return accept(event('sensor-swept', { ...data, points, deviationPercent, good, words }));
  },
  'turn-screw': (job, { turnsText, ...data }, { rules }) => {
    const turns = parseNumber(turnsText.trim().replace(/\s*turns?$/i, ''));
    if (!(Math.abs(turns) <= 20) || turns === 0)
      return refuseField('turnsText', 'Expected turns such as 0.25 or −1.5; out is plus, in is minus.');
    const departed = job.departures.some(({ question }) => question === 'stop-screw');
    if (data.screw === 'stop' && ruleFor(rules, 'stop-screw')?.id === 'never' && !departed)
      return refuse(
        'house-rule',
        'The house rule is never to touch the stop screw.',
        'Depart from the rule with a reason first.',
      );
    return accept(event('screw-turned', { ...data, turns }));
  },
  'replace-unit': (_, data, { family }) => {
    const { fitted } = data;
    const wrong =
      nonEmpty('fitted.partNumber', fitted.partNumber, 'Which number is on the one that goes on?') ??
      nonEmpty('fitted.unitId', fitted.unitId, 'Give it a tag, so that its history has a name.') ??
      within('fitted.priceMinor', fitted.priceMinor, 0, 100_000_000) ??
      within('fitted.warrantyMonths', fitted.warrantyMonths, 0, 120, 'months');
    if (wrong) return wrong;
    if (fitted.unitId === data.oldUnitId)
      return refuseField('fitted.unitId', 'That is the tag of the one that came off.');
    const match = matchVariant(expectedOf(family, data.kind) ?? fitted.features, fitted.features);
    const words = expectedOf(family, data.kind) === null ? 'Nothing to compare it with.' : match.words;
    if (match.verdict === 'does not fit' && data.anyway.trim() === '')
      return refuse('does-not-fit', words, 'Get the right one, or say why it goes on all the same.');
    const name = `${data.place === 'only' ? '' : `${data.place}, `}${fitted.origin} unit`;
    return accept(
      event('unit-replaced', { ...data, verdict: match.verdict, words }),
      ...(fitted.priceMinor === 0
        ? []
        : [
            event('part-used', {
              id: `${data.id}-part`,
              name: upperFirst(name),
              partNumber: fitted.partNumber,
              quantity: 1,
              priceMinor: fitted.priceMinor,
            }),
          ]),
    );
  },
  'test-coolant': (job, data) => {
    const system = job.procedure?.coolant ?? null;
    if (system === null)
      return refuse('no-coolant', 'This procedure has no coolant.', 'Use the coolant page under Tools.');
    const read = parseQuantity(data.typed, 'temperature', '°C');
    const celsius = read.ok ? read.quantity.value : parseNumber(data.typed);
    if (Number.isNaN(celsius)) return refuseField('typed', 'Expected a freeze point such as −37 °C.');
    try {
      const share = shareFromRefractometer(system.glycol, data.scale, celsius);
      return accept(event('coolant-tested', { ...data, celsius, share }));
    } catch (error) {
      return refuseField(data.scale === system.glycol ? 'typed' : 'scale', (error as RangeError).message);
    }
  },
  'check-leaks': (_, data) =>
    (data.result === 'leaks' ? nonEmpty('where', data.where, 'Where does it leak?') : null) ??
    accept(event('leak-checked', data)),
  'set-recheck': (job, data) => {
    const per = job.vehicle.meterUnit;
    const wrong =
      nonEmpty('what', data.what, 'What is to be looked at again?') ??
      (data.days === null ? null : within('days', data.days, 1, 3650, 'days')) ??
      (data.use === null ? null : within('use', data.use, 1, 500_000, per));
    if (wrong) return wrong;
    return data.days === null && data.use === null
      ? refuseField('days', `After how many days, or how many ${per}?`)
      : accept(event('recheck-set', data));
  },
};

const expectedOf = (family: EngineFamily | null, kind: PointEntryData['kind']) =>
  unitTypeOf(family, kind)?.expected ?? null;

const fieldOf = (entry: string, index: number): string =>
  entry === 'grade' || entry === 'light' ? 'marks' : entry === 'choice' ? 'outcome' : `typed.${index}`;
