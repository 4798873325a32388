import { HOSTS, RUNGS } from '../../seized/index.ts';
import { flag, id, idOrNone, keyOf, line, oneOf, record } from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, refuse, refuseField } from '../decision.ts';
import { fact, type MadeFact } from '../fact.ts';
import type { Job } from '../job.ts';
import { needAdded } from '../needs/ticking.ts';
import { runningTimers } from '../timers/query.ts';
import { endWait, timerStarted } from '../timers/timing.ts';
import type { SeizedRecord } from './state.ts';

/** The rungs of the ladder by id. */
const RUNG_IDS = RUNGS.map((rung) => rung.id);

/** What {@link screwSeized} holds. */
export const screwSeizedShape = record({
  id,
  unit: id,
  where: line,
  thread: line,
  host: keyOf(HOSTS),
  headWhole: flag,
  nearDelicate: flag,
  partNumber: line,
});
/** A small screw does not come. */
export const screwSeized = fact('screw-seized', {
  shape: screwSeizedShape,
  means: (job, data, stamp) => ({
    seized: [...job.seized, { ...data, ...stamp, tried: [], ended: null }],
  }),
  words: (data) => `Seized: ${lowerFirst(data.where)}`,
  sheet: 'On the bench',
});

/** Notes a seized screw. */
export const noteSeized = command('note-seized', {
  shape: screwSeizedShape,
  decide: (job, data) =>
    job.seized.some(({ id }) => id === data.id)
      ? refuse('already-there', 'That screw is noted already.')
      : (nonEmpty('where', data.where, 'Which screw? Say where it sits.') ?? accept(screwSeized.of(data))),
});

/** What {@link rungTried} holds. */
export const rungTriedShape = record({
  screwId: id,
  rung: oneOf(...RUNG_IDS),
  outcome: oneOf('waiting', 'not yet', 'head gone', 'out', 'part spoilt'),
  note: line,
  timerId: idOrNone,
});
/** A rung of the ladder was tried on it. */
export const rungTried = fact('rung-tried', {
  shape: rungTriedShape,
  means: (job, { screwId, rung, outcome, note, timerId }, stamp) =>
    onScrew(job, screwId, (screw) => ({
      ...screw,
      headWhole: screw.headWhole && outcome !== 'head gone',
      // The end of a wait takes the place of its beginning.
      tried: [
        ...screw.tried.filter((each) => !(each.rung === rung && each.outcome === 'waiting')),
        { rung, outcome, note, timerId, ...stamp },
      ],
      ended: outcome === 'out' || outcome === 'part spoilt' ? { outcome, why: note, ...stamp } : screw.ended,
    })),
  words: (data) => `${RUNGS.find(({ id }) => id === data.rung)?.name ?? 'Tried'}: ${data.outcome}`,
  putRight: {},
  sheet: 'On the bench',
});

/** Tries a rung, or says how it went. */
export const tryRung = command('try-rung', {
  shape: rungTriedShape,
  decide: (job, data, _, at) => {
    const screw = openScrew(job, data.screwId);
    if (screw === undefined) return refuse('not-there', 'That screw is not waiting to come out.');
    const rung = RUNGS.find(({ id }) => id === data.rung);
    if (rung === undefined) return refuse('no-such-rung', 'There is no such rung.');
    const done = screw.tried.find((each) => each.rung === data.rung && each.outcome !== 'waiting');
    if (done !== undefined) return refuse('already-there', `“${rung.name}” was tried already.`);
    const where = lowerFirst(screw.where);
    // Whoever says how it went has ended the wait.
    const events: MadeFact[] = [...waitsEnded(job, screw, at), rungTried.of(data)];
    if (data.outcome === 'waiting') {
      if (rung.waitMinutes === 0) return refuseField('outcome', `“${rung.name}” has no wait: say how it went.`);
      if (data.timerId === '') return refuseField('timerId', 'The wait needs a timer.');
      events.push(
        timerStarted.of({
          id: data.timerId,
          label: `${rung.id === 'heat' ? 'Warms through' : 'Oil works'}: ${where}`,
          minutes: rung.waitMinutes,
          kind: 'oil',
          itemId: null,
          unit: screw.unit,
        }),
      );
    }
    if (data.outcome === 'out') {
      // Whatever it went through, it does not go back in.
      events.push(
        needAdded.of({
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
});

/** What {@link screwGivenUp} holds. */
export const screwGivenUpShape = record({ screwId: id, why: line });
/** It was given up. */
export const screwGivenUp = fact('screw-given-up', {
  shape: screwGivenUpShape,
  means: (job, { screwId, why }, stamp) =>
    onScrew(job, screwId, (screw) => ({ ...screw, ended: { outcome: 'given up', why, ...stamp } })),
  words: () => 'Seized screw given up',
  sheet: 'On the bench',
});

/** Gives a screw up. */
export const giveUpScrew = command('give-up-screw', {
  shape: screwGivenUpShape,
  decide: (job, data, _, at) => {
    const screw = openScrew(job, data.screwId);
    if (screw === undefined) return refuse('not-there', 'That screw is not waiting to come out.');
    return (
      nonEmpty('why', data.why, 'Why is it given up? The next one asks.') ??
      accept(...waitsEnded(job, screw, at), screwGivenUp.of(data))
    );
  },
});

const openScrew = (job: Job, id: string): SeizedRecord | undefined =>
  job.seized.find((screw) => screw.id === id && screw.ended === null);

/** Ends what still waits on a screw. */
function waitsEnded(job: Job, screw: SeizedRecord, at: string | null): MadeFact[] {
  const timers = new Set(screw.tried.flatMap(({ timerId }) => (timerId === '' ? [] : [timerId])));
  return runningTimers(job)
    .filter(({ id }) => timers.has(id))
    .map((timer) => endWait(timer, at));
}

const onScrew = (job: Job, id: string, how: (screw: SeizedRecord) => SeizedRecord): Partial<Job> => ({
  seized: job.seized.map((screw) => (screw.id === id ? how(screw) : screw)),
});
