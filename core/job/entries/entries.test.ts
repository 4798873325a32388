import { describe, expect, it } from 'vitest';
import { type CommandBody, type CommandData, type CommandType, FACTS } from '../catalogue.ts';
import { decide } from '../decide.ts';
import { replay } from '../evolve.ts';
import type { Job } from '../job.ts';
import { contextFor, play, type Played } from '../testing/play.ts';
import { open, SAMPLES } from '../testing/samples.ts';
import { bodyOf } from './deciding.ts';
import { entryOf, nameOfEntry, standsOn } from './history.ts';

const body = <K extends CommandType>(type: K, data: CommandData[K]): CommandBody =>
  ({ type, data }) as unknown as CommandBody;
const note = (id: string, text: string): CommandBody => body('make-note', { id, stage: 'strip', text });
const last = (log: Played['log'], kind: string): NonNullable<Played['log'][number]> =>
  log.findLast(({ type }) => type === kind)!;
const named = ({ job, log }: Played, kind: string) => nameOfEntry(job!, last(log, kind));
/** All that a job holds besides its clock and what was put right. */
const held = ({
  version: _,
  lastAt: __,
  time,
  last: ___,
  people,
  undo,
  redo,
  history,
  trail,
  struck,
  moved,
  ...rest
}: Job) => {
  expect([time, people, undo, redo, history, trail, struck, moved]).toBeDefined();
  return rest;
};

const strikable = [...FACTS.values()].filter(({ putRight }) => putRight !== undefined).map(({ type }) => type);
const sampleOf = (fact: string): CommandType =>
  (Object.keys(SAMPLES) as CommandType[]).find((type) => SAMPLES[type].events.includes(fact as never))!;

describe('an entry that is struck', () => {
  it.each(strikable)('%s is as if it had never been made, and stays legible', (fact) => {
    const type = sampleOf(fact);
    const { after, data } = SAMPLES[type];
    const bodies = [...after, { type, data } as CommandBody];
    const done = play(bodies);
    const entry = done.log.find(({ type: name, commandId }) => name === fact && commandId === `c${bodies.length - 1}`)!;
    const struck = play([...bodies, body('strike-entry', { ...nameOfEntry(done.job!, entry), why: 'wrong car' })]).job!;
    const others = done.log.filter(
      ({ seq }) => seq !== entry.seq && !standsOn(done.job!, entry).some((each) => each.seq === seq),
    );
    expect(held(struck)).toEqual(held(replay('j', others)!));
    expect(struck.struck).toMatchObject([{ type: fact, why: 'wrong car', instead: '', entered: { by: 'tomas' } }]);
    expect(struck.undo?.label).toMatch(/^Struck: /);
  });

  it('takes with it what stands on it, and nothing else', () => {
    const bodies = [open, note('n', 'x'), body('place-object', { id: 'rag', what: 'Rag', where: 'inlet' })];
    const out = play([...bodies, body('take-object-out', { id: 'rag' })]);
    const struck = play([
      ...bodies,
      body('take-object-out', { id: 'rag' }),
      body('strike-entry', { ...named(out, 'object-placed'), why: 'never put in' }),
    ]).job!;
    expect(struck.objects).toEqual([]);
    expect(struck.notes).toHaveLength(1);
    expect(struck.struck[0]?.seqs).toHaveLength(2);
  });

  it('keeps cautions that were read, before and after', () => {
    const read = body('acknowledge-caution', { caution: 'fuel' });
    const bodies = [open, note('n', 'x'), read, note('m', 'y')];
    const struck = play([
      ...bodies,
      body('undo', { expected: 'c3' }),
      body('strike-entry', { command: 'c1', kind: 'note-made', nth: 0, why: 'x' }),
    ]).job!;
    expect(struck.cautions).toEqual(['fuel']);
    expect(struck.notes).toEqual([]);
  });

  it('wants a reason, and an entry that counts', () => {
    const done = play([open, note('n', 'x')]);
    const name = named(done, 'note-made');
    const tried = (data: CommandData['strike-entry']) =>
      decide(done.job, body('strike-entry', data), contextFor(body('strike-entry', data)));
    expect(tried({ ...name, why: ' ' })).toMatchObject({ ok: false, field: 'why' });
    expect(tried({ ...name, nth: 1, why: 'x' })).toMatchObject({ ok: false, code: 'no-such-entry' });
    expect(tried({ command: 'c0', kind: 'job-opened', nth: 0, why: 'x' })).toMatchObject({ code: 'not-struck' });
  });

  it('can be taken back, and struck again', () => {
    const done = play([open, note('n', 'x')]);
    const strike = body('strike-entry', { ...named(done, 'note-made'), why: 'x' });
    const back = play([open, note('n', 'x'), strike, body('undo', { expected: 'c2' })]).job!;
    expect(back.notes).toHaveLength(1);
    expect(back.struck).toEqual([]);
    const again = play([
      open,
      note('n', 'x'),
      strike,
      body('undo', { expected: 'c2' }),
      body('redo', { expected: 'c3' }),
    ]).job!;
    expect(again.notes).toEqual([]);
    expect(again.struck).toHaveLength(1);
  });
});

describe('an entry that is said anew', () => {
  const reworded = strikable.filter((type) => FACTS.get(type)?.putRight?.anew !== undefined);

  it.each(reworded)('%s says the same again by the command that said it', (fact) => {
    const type = sampleOf(fact);
    const done = play([...SAMPLES[type].after, { type, data: SAMPLES[type].data } as CommandBody]);
    const entry = last(done.log, fact);
    const again = bodyOf(entry)!;
    const before = replay(
      'j',
      done.log.filter(({ commandId }) => commandId !== entry.commandId),
    );
    const decision = decide(before, again, contextFor(again));
    expect(decision).toMatchObject({ ok: true });
    if (decision.ok) expect(decision.events.find(({ type: name }) => name === fact)?.data).toEqual(entry.data);
  });

  it.each([
    ['code', 'P0505 and more', 'code'],
    ['status', 'odd', 'status'],
    ['id', 'x', 'id'],
  ])('is refused at its field: %s “%s”', (field, text, expected) => {
    const code = body('read-code', { id: 'k', code: 'P0505', status: 'stored', when: 'before', note: '' });
    const done = play([open, code]);
    const data = { ...named(done, 'code-read'), why: '', is: [{ field, text }] };
    expect(decide(done.job, body('correct-entry', data), contextFor(code))).toMatchObject({
      ok: false,
      field: expected,
    });
  });

  it('is judged without what it said first: the same code with another status is no second one', () => {
    const code = body('read-code', { id: 'k', code: 'P0505', status: 'stored', when: 'before', note: '' });
    const done = play([open, code]);
    const fix = body('correct-entry', {
      ...named(done, 'code-read'),
      why: '',
      is: [{ field: 'status', text: 'pending' }],
    });
    const { job } = play([open, code, fix]);
    expect(job!.codes).toMatchObject([{ code: 'P0505', status: 'pending' }]);
    expect(job!.struck).toMatchObject([{ id: 'k', instead: 'P0505 read' }]);
    const same = body('correct-entry', {
      ...named(done, 'code-read'),
      why: '',
      is: [{ field: 'status', text: 'stored' }],
    });
    expect(decide(done.job, same, contextFor(same))).toMatchObject({ ok: false, code: 'nothing-changes' });
  });

  it('keeps its figure as it was typed', () => {
    const measured = body('take-measurement', { id: 'm', kind: 'idle-rpm', when: 'before', value: 900 });
    const done = play([open, measured]);
    const fix = body('correct-entry', {
      ...named(done, 'measurement-taken'),
      why: 'misread',
      is: [{ field: 'value', text: '850.0' }],
    });
    expect(play([open, measured, fix]).job!.measurements).toMatchObject([{ value: 850, typed: '850.0' }]);
  });

  it.each(reworded)('%s happened when it did and before what came after it', (fact) => {
    const type = sampleOf(fact);
    const bodies = [...SAMPLES[type].after, { type, data: SAMPLES[type].data } as CommandBody, note('later', 'x')];
    const done = play(bodies);
    const entry = done.log.find(({ type: name, commandId }) => name === fact && commandId === `c${bodies.length - 2}`)!;
    const made = done.log.filter(({ commandId }) => commandId === entry.commandId);
    const same = made.filter(({ seq }) => seq === entry.seq || standsOn(done.job!, entry).some((on) => on.seq === seq));
    const stamp = { commandId: 'fix', at: '2026-05-14T08:00:00.000Z', by: 'tomas' };
    const struck = { seqs: same.map(({ seq }) => seq), words: 'x', instead: 'y', why: '' };
    const log = [
      ...done.log,
      { ...stamp, type: 'entry-struck', v: 1, data: struck, seq: done.log.length + 1 } as const,
      ...same.map((each, index) => ({ ...each, ...stamp, seq: done.log.length + 2 + index })),
    ];
    const fixed = replay('j', log)!;
    expect(held(fixed)).toEqual(held(done.job!));
    expect(fixed.lastAt).toBe(stamp.at);
  });

  it('stays in its place over a second correction, a strike beside it, undo and redo', () => {
    const bodies = [open, note('n', 'old'), note('gone', 'x'), note('m', 'next')];
    const began = play(bodies).job!.notes[0]!.at;
    const first = () => play(bodies).job!.notes[0];
    const fix = (id: string, text: string) => {
      const { job } = play(bodies);
      const name = nameOfEntry(job!, entryOf(job!, 'note-made', { id })!);
      bodies.push(body('correct-entry', { ...name, why: '', is: [{ field: 'text', text }] }));
    };
    fix('n', 'better');
    expect(first()).toMatchObject({ text: 'better', at: began });
    fix('n', 'best');
    bodies.push(body('strike-entry', { ...named(play(bodies.slice(0, 3)), 'note-made'), why: 'x' }));
    expect(play(bodies).job!.notes.map(({ text }) => text)).toEqual(['best', 'next']);
    bodies.push(body('undo', { expected: 'c6' }), body('undo', { expected: 'c5' }));
    expect(first()).toMatchObject({ text: 'better', at: began });
    bodies.push(body('redo', { expected: 'c8' }));
    expect(first()).toMatchObject({ text: 'best', at: began });
    bodies.push(note('later', 'y'));
    expect(play(bodies).job!.notes.at(-1)?.at).toBe(play(bodies).log.at(-1)!.at);
  });

  it('keeps what was done to it since, and takes that along when it is struck', () => {
    const bodies = [...SAMPLES['mark-picture'].after, body('mark-picture', SAMPLES['mark-picture'].data)];
    const name = () => named(play(bodies), 'picture-attached');
    bodies.push(body('correct-entry', { ...name(), why: '', is: [{ field: 'caption', text: 'ring of soot' }] }));
    expect(play(bodies).job!.pictures).toMatchObject([{ caption: 'ring of soot', marking: { rotation: 90 } }]);
    bodies.push(body('strike-entry', { ...name(), why: 'other car' }));
    expect(play(bodies).job!.pictures).toEqual([]);
    expect(play(bodies).job!.struck.at(-1)?.seqs).toHaveLength(2);
  });

  it('lets what was entered of it later stand', () => {
    const told = body('read-code', { id: 'k', code: 'P0505', status: 'stored', when: 'before', note: '' });
    const frame = body('read-frame', {
      id: 'f',
      code: 'P0505',
      values: [{ pid: 12, name: 'Engine speed', value: 900, unit: 'rpm' }],
    } as unknown as CommandData['read-frame']);
    const done = play([open, told, frame]);
    const fix = body('correct-entry', { ...named(done, 'code-read'), why: '', is: [{ field: 'note', text: 'twice' }] });
    expect(play([open, told, frame, fix]).job!.frames).toHaveLength(1);
  });
});

describe('the time of an entry', () => {
  it('is put right between the opening and now, and a wait counts from it', () => {
    const timer = body('start-timer', { id: 't', label: 'Soak', minutes: 20, kind: 'soak' });
    const done = play([open, note('n', 'x'), timer]);
    const name = named(done, 'timer-started');
    const move = (at: string) => body('move-entry', { ...name, at, why: '' });
    expect(play([open, note('n', 'x'), timer, move('2026-05-13T08:02:00.000Z')]).job!.timers[0]?.at).toBe(
      '2026-05-13T08:02:00.000Z',
    );
    const tried = (at: string) =>
      decide(
        done.job,
        { ...move(at), id: 'x', at: '2026-05-13T09:00:00.000Z', by: 'tomas', seen: 3 } as never,
        contextFor(timer),
      );
    expect(tried('2026-05-13T07:00:00.000Z')).toMatchObject({ ok: false, field: 'at' });
    expect(tried('2026-05-13T10:00:00.000Z')).toMatchObject({ ok: false, field: 'at' });
    expect(tried(entryOf(done.job!, 'timer-started', { id: 't' })!.at)).toMatchObject({ code: 'nothing-changes' });
  });
});

describe('redo', () => {
  const bodies = [
    open,
    note('n', 'x'),
    note('m', 'y'),
    body('undo', { expected: 'c2' }),
    body('undo', { expected: 'c1' }),
  ];
  it('does again what was taken back, in its order, with who and when it had', () => {
    const once = play([...bodies, body('redo', { expected: 'c4' })]).job!;
    expect(once.notes.map(({ id }) => id)).toEqual(['n']);
    const twice = play([...bodies, body('redo', { expected: 'c4' }), body('redo', { expected: 'c3' })]).job!;
    expect(twice.notes.map(({ id }) => id)).toEqual(['n', 'm']);
    expect(twice.notes[1]?.at).toBe('2026-05-13T08:04:00.000Z');
    expect(twice.redo).toBeNull();
    expect(twice.undo?.commandId).toBe('c2');
  });
  it('ends where anything else is done, and knows what it does again', () => {
    const after = play(bodies).job!;
    expect(after.redo).toMatchObject({ label: 'Note at strip', by: 'c4', earlier: { by: 'c3' } });
    expect(play([...bodies, note('k', 'z')]).job!.redo).toBeNull();
    const refused = (expected: string) => decide(after, body('redo', { expected }), contextFor(note('k', 'z')));
    expect(refused('c3')).toMatchObject({ ok: false, code: 'not-the-last' });
    expect(decide(play([open]).job, body('redo', { expected: 'c3' }), contextFor(open))).toMatchObject({
      code: 'nothing-to-redo',
    });
  });
  it('can be taken back again, as often as one likes', () => {
    const { job } = play([...bodies, body('redo', { expected: 'c4' }), body('undo', { expected: 'c1' })]);
    expect(job!.notes).toEqual([]);
    expect(job!.redo?.label).toBe('Note at strip');
    expect(job!.redo?.earlier).toMatchObject({ by: 'c3' });
  });
});
