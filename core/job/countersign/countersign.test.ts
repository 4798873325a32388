import { describe, expect, it } from 'vitest';
import { type ItemKind, plainItem } from '../../procedure/index.ts';
import { speaker } from '../../sheet/index.ts';
import type { CommandBody, RecordedEvent } from '../catalogue.ts';
import { decide } from '../decide.ts';
import { evolve } from '../evolve.ts';
import { openPoints } from '../handover/openPoints.ts';
import type { Job } from '../job.ts';
import { sheetOf } from '../sheet.ts';
import { play, type Played } from '../testing/play.ts';
import { off, open, pin, SAMPLE_CONTEXT } from '../testing/samples.ts';
import { decided, handOver as handOverData } from '../testing/steps.ts';
import { awaitingCountersign, countersignerOf, handOverCountersigned } from './awaiting.ts';

const APPRENTICE = { role: 'apprentice', alone: false } as const;
const tight: CommandBody = {
  type: 'tighten-bolt',
  data: { itemId: 'bolts', boltId: '1', pass: 1, method: 'wrench', torqueText: '9 Nm', wrenchId: 'w' },
};
const sign = (seqs: readonly number[], handOver = false): CommandBody => ({
  type: 'countersign',
  data: { seqs, handOver },
});
const note: CommandBody = { type: 'make-note', data: { id: 'n', stage: 'strip', text: 'bracket bent' } };
const handOver: CommandBody = { type: 'hand-over', data: handOverData };
const types = (job: Job | null) => awaitingCountersign(job!).map(({ type }) => type);

/** Goes on from what was played, as somebody of a role. */
const then = ({ log, job }: Played, body: CommandBody, role: 'apprentice' | 'technician' | 'lead' | 'owner') =>
  decide(job, body, { ...SAMPLE_CONTEXT, role, alone: false, nextNumber: log.length });

describe('what an apprentice enters', () => {
  const done = play([open, pin, off('bolts'), tight], APPRENTICE);

  it('waits for a technician where it is a torque that counts, and stands in the log as it was done', () => {
    expect(types(done.job)).toEqual(['bolt-tightened']);
    expect(done.job?.items[2]?.bolts[0]?.nm).toBe(9);
    expect(done.log.map(({ type }) => type).slice(-3)).toEqual([
      'bolt-tightened',
      'item-put-back',
      'countersign-asked',
    ]);
  });

  it('asks nothing of a technician, and of nobody who works alone', () => {
    expect(types(play([open, pin, off('bolts'), tight], { role: 'technician' }).job)).toEqual([]);
    expect(types(play([open, pin, off('bolts'), tight], { role: 'apprentice', alone: true }).job)).toEqual([]);
  });

  it('waits where what came off can hurt somebody, and not where it cannot', () => {
    const item = (cautions: string[], kind: ItemKind): CommandBody => ({
      type: 'add-item',
      data: { item: plainItem('x', 'Thing', kind, { cautions }) },
    });
    const removal = (cautions: string[], kind: ItemKind = 'duct') =>
      types(play([open, item(cautions, kind), off('x')], APPRENTICE).job);
    expect(removal(['fuel'])).toEqual(['item-removed']);
    expect(removal([], 'coolant-hose')).toEqual(['item-removed']);
    expect(removal([])).toEqual([]);
  });

  it('does not wait any more once it was taken back, and waits again when it is done again', () => {
    const expected = 'c3';
    const back = play([open, pin, off('bolts'), tight, { type: 'undo', data: { expected } }], APPRENTICE);
    expect(types(back.job)).toEqual([]);
    const again = play(
      [
        open,
        pin,
        off('bolts'),
        tight,
        { type: 'undo', data: { expected } },
        { type: 'redo', data: { expected: 'c4' } },
      ],
      APPRENTICE,
    );
    expect(types(again.job)).toEqual(['bolt-tightened']);
  });

  it('leaves the last action what it was: the tally says the torque, and undo takes it back whole', () => {
    expect(done.job?.last?.words).toBe(play([open, pin, off('bolts'), tight]).job?.last?.words);
    expect(done.job?.undo?.commandId).toBe('c3');
  });
});

describe('a countersignature', () => {
  const done = play([open, pin, off('bolts'), tight], APPRENTICE);
  const [waits] = awaitingCountersign(done.job!);

  it('is given by a technician or a lead, for what waits, and stands on the sheet with a name', () => {
    expect(then(done, sign([waits!.seq]), 'apprentice')).toMatchObject({ ok: false, code: 'lead-only' });
    expect(then(done, sign([waits!.seq]), 'owner')).toMatchObject({ ok: false, code: 'not-yours' });
    expect(then(done, sign([waits!.seq]), 'technician')).toMatchObject({ ok: true });
    const signed = signedBy('technician', done, sign([waits!.seq]));
    expect(types(signed)).toEqual([]);
    expect(countersignerOf(signed, waits!.seq)).toMatchObject({ by: 'tomas' });
    const say = speaker(new Map([['tomas', 'Tomas Virk']]), 'cr', 'UTC');
    const left = (job: Job) =>
      sheetOf(job, say).sections.find(({ title }) => title === 'Left over or unusual')?.rows ?? [];
    expect(JSON.stringify(left(done.job!))).toMatch(/Not countersigned.*1 entry of Tomas Virk/);
    expect(JSON.stringify(left(signed))).toMatch(/"Countersigned".*1 entry.*Tomas Virk/);
  });

  it('is not given for nothing, nor twice, nor for what does not wait', () => {
    expect(then(done, sign([]), 'lead')).toMatchObject({ code: 'nothing-awaited' });
    expect(then(done, sign([1]), 'lead')).toMatchObject({ code: 'not-awaited' });
    const again = decide(signedBy('lead', done, sign([waits!.seq])), sign([waits!.seq]), SAMPLE_CONTEXT);
    expect(again).toMatchObject({ code: 'not-awaited' });
  });

  it('that is lacking is open at the hand-over, and asks why it stays so', () => {
    const point = openPoints(done.job!).find(({ code }) => code === 'not-countersigned');
    expect(point).toMatchObject({ subject: 'tomas', asks: true, mayStay: true });
    expect(
      openPoints(signedBy('lead', done, sign([waits!.seq]))).some(({ code }) => code === 'not-countersigned'),
    ).toBe(false);
  });
});

describe('a hand-over by an apprentice', () => {
  const ready = play([open, decided]);

  it('is refused until a technician put a name beside the job as it stands', () => {
    expect(then(ready, handOver, 'technician')).toMatchObject({ ok: true });
    expect(then(ready, handOver, 'apprentice')).toMatchObject({
      ok: false,
      code: 'countersign-first',
      at: { stage: 'hand-over', spot: 'countersign' },
    });
    const signed = signedBy('technician', ready, sign([], true));
    expect(handOverCountersigned(signed)).toBe(true);
    expect(decide(signed, handOver, { ...SAMPLE_CONTEXT, ...APPRENTICE })).toMatchObject({ ok: true });
  });

  it('asks for it anew when anything was entered since', () => {
    expect(handOverCountersigned(play([open, sign([], true), note], { role: 'technician' }).job!)).toBe(false);
  });

  it('asks nobody in a workshop of one', () => {
    expect(decide(ready.job, handOver, { ...SAMPLE_CONTEXT, role: 'apprentice', alone: true })).toMatchObject({
      ok: true,
    });
  });
});

/** The job after somebody of a role did one thing more. @throws Error when it is refused */
function signedBy(role: 'technician' | 'lead', { job, log }: Played, body: CommandBody): Job {
  const decision = decide(job, body, { ...SAMPLE_CONTEXT, role });
  if (!decision.ok) throw new Error(decision.message);
  return decision.events.reduce<Job>(
    (state, fact, nth) =>
      evolve(state, {
        ...fact,
        seq: log.length + 1 + nth,
        commandId: 'signed',
        at: '2026-05-13T10:00:00.000Z',
        by: 'tomas',
      } as RecordedEvent),
    job!,
  );
}
