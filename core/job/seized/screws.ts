import { CHANGED, HOSTS, leftOut, RUNGS } from '../../seized/index.ts';
import {
  flag,
  id,
  idOrNone,
  keyOf,
  line,
  list,
  oneOf,
  optional,
  orNull,
  record,
  type TypeOf,
} from '../../shape/index.ts';
import { lowerFirst } from '../../words/index.ts';
import { command } from '../command.ts';
import { accept, nonEmpty, type Refusal, refuse, refuseField } from '../decision.ts';
import { earlier, fact, type MadeFact } from '../fact.ts';
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
  /** What had changed since it was tried before; null for a first try. */
  changed: orNull(keyOf(CHANGED)),
  /** Why it was tried although it is left out on such a screw; empty where it is not. */
  because: line,
});
const { changed: _, because: __, ...triedBefore } = rungTriedShape.fields;
/** A rung of the ladder was tried on it. */
export const rungTried = fact('rung-tried', {
  shape: rungTriedShape,
  earlier: [
    // At first each rung was tried once, and one that is left out not at all.
    earlier(record(triedBefore), (data) => ({ ...data, changed: null, because: '' })),
  ],
  means: (job, { screwId, rung, outcome, note, timerId, changed, because }, stamp) =>
    onScrew(job, screwId, (screw) => ({
      ...screw,
      headWhole: screw.headWhole && outcome !== 'head gone',
      // The end of a wait takes the place of its beginning.
      tried: [
        ...screw.tried.filter((each) => !(each.rung === rung && each.outcome === 'waiting')),
        { rung, outcome, note, timerId, changed, because, ...stamp },
      ],
      ended: outcome === 'out' || outcome === 'part spoilt' ? { outcome, why: note, ...stamp } : screw.ended,
    })),
  words: (data) => `${RUNGS.find(({ id }) => id === data.rung)?.name ?? 'Tried'}: ${data.outcome}`,
  putRight: {},
  sheet: 'On the bench',
});

/** What {@link tryRung} holds. */
const tryRungShape = record({
  ...triedBefore,
  changed: optional(keyOf(CHANGED)),
  because: optional(line),
  /** Other screws that the same is done to, while it waits or has not brought them. */
  also: optional(list(record({ screwId: id, timerId: idOrNone }), { high: 40 })),
});
/** Tries any rung at any time, on one screw or several, or says how it went. */
export const tryRung = command('try-rung', {
  shape: tryRungShape,
  decide: (job, { also = [], ...data }, _, at) => {
    if (also.length > 0 && data.outcome !== 'waiting' && data.outcome !== 'not yet')
      return refuseField('outcome', 'How a screw ended is said of each by itself.');
    const facts: MadeFact[] = [];
    for (const own of [data, ...also.map((each) => ({ ...data, ...each }))]) {
      const tried = triedOn(job, own, at);
      if ('ok' in tried) return tried;
      facts.push(...tried);
    }
    return accept(...facts);
  },
});

/** The facts of one try at one screw, or why it cannot be recorded so. */
function triedOn(
  job: Job,
  { changed, because = '', ...data }: Omit<TypeOf<typeof tryRungShape>, 'also'>,
  at: string | null,
): MadeFact[] | Refusal {
  const known = job.seized.find((each) => each.id === data.screwId);
  if (known !== undefined && known.ended !== null)
    return refuse(
      'not-there',
      `${known.where}: that is over (${known.ended.outcome}); no rung is climbed on it any more.`,
    );
  const screw = openScrew(job, data.screwId);
  if (screw === undefined) return refuse('not-there', 'That screw is not waiting to come out.');
  const rung = RUNGS.find(({ id }) => id === data.rung);
  if (rung === undefined) return refuse('no-such-rung', 'There is no such rung.');
  const waits = screw.tried.some((each) => each.rung === data.rung && each.outcome === 'waiting');
  const before = screw.tried.some((each) => each.rung === data.rung && each.outcome !== 'waiting');
  if (before && !waits && changed === undefined)
    return refuseField('changed', `“${rung.name}” was tried already. What has changed since?`);
  const out = leftOut(screw, rung);
  if (out !== '' && !waits && because.trim() === '')
    return refuseField('because', `“${rung.name}” is left out here: ${out}. Say why it is tried all the same.`);
  const where = lowerFirst(screw.where);
  const waited = screw.tried.find((each) => each.rung === data.rung && each.outcome === 'waiting');
  // Whoever says how it went has ended the wait.
  const facts: MadeFact[] = [
    ...waitsEnded(job, screw, at),
    // What still waited on another rung has not brought it.
    ...screw.tried
      .filter((each) => each.outcome === 'waiting' && each.rung !== data.rung)
      .map(({ rung: other, note, timerId, changed: then, because: why }) =>
        rungTried.of({
          screwId: screw.id,
          rung: other,
          outcome: 'not yet',
          note,
          timerId,
          changed: then,
          because: why,
        }),
      ),
    rungTried.of({
      ...data,
      changed: changed ?? waited?.changed ?? null,
      because: out === '' ? '' : because.trim() || (waited?.because ?? ''),
    }),
  ];
  if (data.outcome === 'waiting') {
    if (rung.waitMinutes === 0) return refuseField('outcome', `“${rung.name}” has no wait: say how it went.`);
    if (data.timerId === '') return refuseField('timerId', 'The wait needs a timer.');
    facts.push(
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
  // Whatever it went through, it does not go back in.
  if (data.outcome === 'out')
    facts.push(
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
  return facts;
}

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
