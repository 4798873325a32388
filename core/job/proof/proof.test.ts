import { describe, expect, it } from 'vitest';
import type { CommandBody, Job } from '../index.ts';
import { openPoints, proofOf, sheetOf, stageGaps } from '../index.ts';
import { play } from '../testing/play.ts';
import { back, off, open, pin } from '../testing/samples.ts';
import { CLEANING_SAMPLES } from '../cleaning/samples.ts';
import { clearing, decided, handOver, run } from '../testing/steps.ts';
import { SHIPPED_KNOWLEDGE } from '../../diagnose/knowledge/index.ts';
import { FAULT_SIGNS, WELL_OUTCOMES } from '../../diagnose/index.ts';
import { conditionNamed, speaksOf } from './conditions.ts';
import { speaker } from '../../sheet/index.ts';

const say = speaker(new Map(), 'cr', 'UTC');
const symptom = (id: string, text: string): CommandBody => ({ type: 'note-symptom', data: { id, text } });
const code = (code: string, when: 'before' | 'after', status: 'stored' | 'ours' = 'stored'): CommandBody => ({
  type: 'read-code',
  data: { id: `${code}-${when}`, code, status, when, note: '' },
});
const readOut = (driven?: number): CommandBody => ({
  type: 'read-codes-out',
  data: { when: 'after', ...(driven === undefined ? {} : { driven: { value: driven, unit: 'km' } }) },
});
const idle = (when: 'before' | 'after', value: number): CommandBody => ({
  type: 'take-measurement',
  data: { id: `${when}-${value}`, kind: 'idle-rpm', when, value },
});
const tried = (line: string, verdict: 'gone' | 'still there', more: object = {}): CommandBody => ({
  type: 'try-line',
  data: { line, words: '', verdict, came: verdict === 'gone' ? '' : 'it did', ...more },
});
const made = (...bodies: CommandBody[]): Job => play([open, ...bodies]).job!;
const verdicts = (job: Job): Record<string, string> =>
  Object.fromEntries(proofOf(job).lines.map(({ id, verdict }) => [id, verdict]));
const openOf = (job: Job): string[] =>
  openPoints(job).flatMap(({ code, subject, asks }) => (asks ? [`${code} ${subject}`] : []));

describe('the proof line by line', () => {
  it('asks after each symptom, and counts what was tried', () => {
    const job = made(symptom('s', 'hunts'), symptom('t', 'whistles'), tried('symptom:s', 'gone', { state: 'warm' }));
    expect(verdicts(job)).toEqual({ 'symptom:s': 'gone', 'symptom:t': 'not tried' });
    expect(proofOf(job).lines[0]).toMatchObject({ name: 'Hunts', under: { state: 'warm' } });
    expect(stageGaps(job, 'prove').map(({ words }) => words)).toContain('the complaint is not tried line by line');
  });
  it('asks after what was told where nobody noted a symptom, once', () => {
    const odd = { ...open, data: { ...open.data, complaint: 'it is not as it was' } };
    expect(verdicts(play([odd]).job!)).toEqual({ told: 'not tried' });
    const job = made({ type: 'tell-complaint', data: { id: 't', text: 'It hunts and stalls at the lights.' } });
    expect(Object.keys(verdicts(job))).toEqual(['sign:hunting', 'sign:stalls']);
    expect(
      Object.keys(
        verdicts(made(symptom('s', 'it hunts'), { type: 'tell-complaint', data: { id: 't', text: 'It hunts.' } })),
      ),
    ).toEqual(['symptom:s']);
  });
  it('knows every sign of the knowledge by which a fault shows, and its outcome when nothing is wrong', () => {
    const symptoms = SHIPPED_KNOWLEDGE.signs.filter(({ kind }) => kind === 'symptom');
    expect([...FAULT_SIGNS, 'at-idle-only'].sort()).toEqual(symptoms.map(({ id }) => id).sort());
    for (const { outcomes } of symptoms) expect(outcomes.filter(({ id }) => WELL_OUTCOMES.has(id))).toHaveLength(1);
  });
  it('does not take a run in the bay for what came on the road', () => {
    const words = 'stalls coming to rest, lights on';
    const inBay = made(symptom('s', words), tried('symptom:s', 'gone', { place: 'bay', state: 'loads' }));
    expect(proofOf(inBay).lines[0]).toMatchObject({
      verdict: 'not tried',
      remark: 'gone loads on, in the bay; it came loads on, on the road',
    });
    const cold = made(symptom('s', words), tried('symptom:s', 'gone', { place: 'road', state: 'cold' }));
    expect(verdicts(cold)['symptom:s']).toBe('not tried');
    const there = made(symptom('s', words), tried('symptom:s', 'gone', { place: 'road', state: 'loads' }));
    expect(verdicts(there)['symptom:s']).toBe('gone');
    // What fails has failed, wherever it was tried.
    const still = made(symptom('s', words), tried('symptom:s', 'still there', { place: 'bay' }));
    expect(verdicts(still)['symptom:s']).toBe('still there');
  });
  it('reads from words under which condition it shows', () => {
    expect(conditionNamed('high when cold in the morning')).toEqual({ state: 'cold' });
    expect(conditionNamed('heater goes cold at idle')).toEqual({});
    expect(conditionNamed('the heater blows stone cold air')).toEqual({});
    expect(conditionNamed('heater fine, hunts when cold')).toEqual({ state: 'cold' });
    expect(conditionNamed('dies on the water')).toEqual({ place: 'water' });
    expect(conditionNamed('hunts')).toEqual({});
    expect(speaksOf({ place: 'water' }, { place: 'road' })).toBe(true);
    expect(speaksOf({}, { state: 'cold' })).toBe(true);
  });
  it('judges figures by their bands, and shows those without one', () => {
    const of = (before: number | null, after: number | null): string =>
      verdicts(
        made(...(before === null ? [] : [idle('before', before)]), ...(after === null ? [] : [idle('after', after)])),
      )['band:idle-rpm']!;
    // The sample's band is 1200 to 1400.
    expect(of(1000, 1300)).toBe('gone');
    expect(of(1300, 1250)).toBe('good');
    expect(of(1000, null)).toBe('not tried');
    expect(of(1000, 1020)).toBe('still there');
    expect(of(1000, 900)).toBe('worse');
    expect(of(1300, 900)).toBe('worse');
    expect(of(null, 900)).toBe('failed');
    const trims = made(
      { type: 'take-measurement', data: { id: 'a', kind: 'long-trim', when: 'before', value: 9.4 } },
      { type: 'take-measurement', data: { id: 'b', kind: 'long-trim', when: 'after', value: 1.6 } },
    );
    expect(proofOf(trims).lines.at(-1)).toMatchObject({ before: '9.4 %', after: '1.6 %', verdict: 'shown' });
  });
  it('counts steps of an actuator and two tracks in volts or per cent', () => {
    const job = made(
      { type: 'take-measurement', data: { id: 'a', kind: 'valve-steps', when: 'after', value: 32 } },
      {
        type: 'take-measurement',
        data: { id: 'b', kind: 'closed-volts-second', when: 'after', value: 4.5, typed: '4.50' },
      },
      { type: 'take-measurement', data: { id: 'c', kind: 'closed-share', when: 'after', value: 12.5 } },
    );
    expect(
      proofOf(job)
        .lines.filter(({ kind }) => kind === 'band')
        .map(({ after }) => after),
    ).toEqual(['4.50 V', '12.5 %', '32 steps']);
  });
  it('tells a code that came back from one that is gone, one that is new and one that we set', () => {
    const job = made(
      code('P0505', 'before'),
      code('P0507', 'before'),
      code('P0505', 'after'),
      code('P0171', 'after'),
      code('P0120', 'after', 'ours'),
      readOut(),
    );
    expect(verdicts(job)).toMatchObject({ 'code:P0505': 'still there', 'code:P0507': 'gone', 'code:P0171': 'worse' });
    expect(Object.keys(verdicts(job))).not.toContain('code:P0120');
    expect(openOf(job)).toEqual(expect.arrayContaining(['returned code:P0505', 'returned code:P0171']));
  });
  it('says how far it was driven since codes were cleared, and that none says little without', () => {
    const cleared: CommandBody[] = [
      code('P0505', 'before'),
      clearing,
      { type: 'end-clearing', data: { id: 'z', outcome: 'cleared', words: '' } },
    ];
    expect(proofOf(made(...cleared, readOut())).lines.at(-1)).toMatchObject({
      verdict: 'not tried',
      after: 'not there',
    });
    expect(verdicts(made(...cleared, readOut(0)))['code:P0505']).toBe('not tried');
    expect(proofOf(made(...cleared, readOut(12))).lines.at(-1)).toMatchObject({
      verdict: 'gone',
      remark: 'driven 12 km since they were cleared',
    });
  });
  it('lets a code that was read after the work be read again once it was cleared or something came off', () => {
    const cleared: CommandBody[] = [
      clearing,
      { type: 'end-clearing', data: { id: 'z', outcome: 'cleared', words: '' } },
    ];
    const back2: CommandBody[] = [code('P0505', 'before'), code('P0505', 'after'), readOut(3)];
    const line = (...more: CommandBody[]) => proofOf(made(...back2, ...more)).lines.find(({ kind }) => kind === 'code');
    const anew = { ...code('P0505', 'after'), data: { ...code('P0505', 'after').data, id: 'anew' } } as CommandBody;
    expect(line()).toMatchObject({ verdict: 'still there', after: 'stored again' });
    expect(() => line(anew)).toThrow(/already noted/);
    expect(line(...cleared)).toMatchObject({ verdict: 'not tried', remark: 'read before they were cleared' });
    expect(line(...cleared, readOut(12))).toMatchObject({ verdict: 'gone', after: 'not there' });
    expect(line(...cleared, anew, readOut(12))).toMatchObject({ verdict: 'still there' });
    expect(line(pin, off('cover'), back('cover'))).toMatchObject({
      verdict: 'not tried',
      remark: 'stored, but read before the sample cover came off',
    });
    expect(line(pin, off('cover'), back('cover'), anew, readOut())).toMatchObject({ verdict: 'still there' });
  });
  it('has checks that found something done again, by the check or by hand', () => {
    const bad: CommandBody = {
      type: 'do-check',
      data: { id: 'k', name: 'Smoke test', result: 'leak at hose B', verdict: 'abnormal' },
    };
    expect(verdicts(made(bad))['check:k']).toBe('not tried');
    expect(verdicts(made(bad, tried('check:k', 'gone')))['check:k']).toBe('gone');
    const good: CommandBody = {
      type: 'do-check',
      data: { id: 'k', name: 'Smoke test', result: 'tight', verdict: 'normal' },
    };
    expect(verdicts(made(good))).not.toHaveProperty('check:k');
  });
  it('has what was bad on the bench looked at again', () => {
    const seen = (when: 'before' | 'after', grade: number): CommandBody => ({
      type: 'record-finding',
      data: { id: `g-${when}`, unit: 'u', point: 'deposit-back', when, grade, text: '' },
    });
    const line = (job: Job) => proofOf(job).lines.find(({ kind }) => kind === 'bench');
    expect(line(made(seen('before', 3)))).toMatchObject({ verdict: 'not tried', before: 'grade 3' });
    expect(line(made(seen('before', 3), seen('after', 0)))).toMatchObject({ verdict: 'gone' });
    expect(line(made(seen('before', 3), seen('after', 3)))).toMatchObject({ verdict: 'still there' });
    expect(line(made(seen('before', 3), seen('after', 4)))).toMatchObject({ verdict: 'worse' });
    expect(line(made(seen('before', 1)))).toBeUndefined();
  });
  it('keeps what somebody tried of their own, and what the tool said', () => {
    const job = made(
      { type: 'try-line', data: { line: 'own:', words: 'Lamp stays off', verdict: 'good', came: '' } },
      { type: 'note-tool-said', data: { what: 'Throttle adaptation', when: 'before', said: 'not learned' } },
      { type: 'note-tool-said', data: { what: 'throttle adaptation', when: 'after', said: 'learned' } },
    );
    expect(verdicts(job)).toMatchObject({ 'own:lamp stays off': 'good', 'tool:throttle adaptation': 'shown' });
    expect(proofOf(job).lines.at(-1)).toMatchObject({ before: 'not learned', after: 'learned' });
    const rows = sheetOf(job, say).sections.find(({ title }) => title === 'Proved')!.rows;
    expect(rows.map(({ label, value }) => `${label}: ${value}`)).toEqual(
      expect.arrayContaining(['Lamp stays off: good', 'Throttle adaptation: not learned before, learned after']),
    );
  });
});

describe('a proof is of a moment', () => {
  it('is before a cleaning and before a relearn that took', () => {
    const { after, data } = CLEANING_SAMPLES['do-pass'];
    const cleaned: CommandBody[] = [...after.slice(1), { type: 'do-pass', data }];
    const measured = [symptom('s', 'hunts'), tried('symptom:s', 'gone')];
    const remark = (...more: CommandBody[]) => proofOf(made(...measured, ...more)).lines[0]!.remark;
    expect(remark(run)).toBe('');
    expect(remark(run, { type: 'close-run', data: { runId: 'r', outcome: 'abandoned', why: 'rain' } })).toBe('');
    expect(remark(run, { type: 'close-run', data: { runId: 'r', outcome: 'took', why: 'idle stands' } })).toBe(
      'gone, but before the idle was learned anew',
    );
    expect(remark(...cleaned)).toMatch(/^gone, but before the .* was cleaned$/);
  });
  const proved: CommandBody[] = [
    symptom('s', 'hunts'),
    code('P0505', 'before'),
    pin,
    tried('symptom:s', 'gone'),
    idle('after', 1300),
    readOut(),
    { type: 'record-proof', data: { check: 'leaks', result: 'good', note: '' } },
  ];
  it('is before that when something comes off again, and is asked anew', () => {
    expect(proofOf(made(...proved)).untried).toEqual([]);
    const job = made(...proved, off('cover'), back('cover'));
    expect(verdicts(job)).toEqual({
      'symptom:s': 'not tried',
      'code:P0505': 'not tried',
      'band:idle-rpm': 'not tried',
      'proof:leaks': 'not tried',
    });
    expect(proofOf(job).lines[0]!.remark).toBe('gone, but before the sample cover came off');
    expect(stageGaps(job, 'prove').map(({ words }) => words)).toEqual(
      expect.arrayContaining([
        'nothing measured after since the sample cover came off',
        'codes not read after since the sample cover came off',
        'leaks and road test not noted since the sample cover came off',
      ]),
    );
    const rows = sheetOf(job, say).sections.find(({ title }) => title === 'Proved')!.rows;
    expect(rows.at(-1)).toMatchObject({
      label: 'Before that',
      value: '4 of these were proved before the sample cover came off',
    });
  });
  it('stands again once it is tried again', () => {
    const job = made(...proved, off('cover'), back('cover'), tried('symptom:s', 'gone'), idle('after', 1290));
    expect(verdicts(job)).toMatchObject({ 'symptom:s': 'gone', 'band:idle-rpm': 'good' });
  });
});

describe('what is not proved stays open at the hand-over', () => {
  const points = (...bodies: CommandBody[]) => openOf(made(decided, ...bodies));
  it.each([
    ['out-of-band band:idle-rpm', idle('after', 900)],
    ['not-cured proof:leaks', { type: 'record-proof', data: { check: 'leaks', result: 'bad', note: 'hose B' } }],
    [
      'not-cured own:click',
      { type: 'try-line', data: { line: 'own:', words: 'click', verdict: 'failed', came: 'clicks' } },
    ],
  ] as const)('%s', (subject, body) => {
    expect(points(body as CommandBody)).toContain(subject);
  });
  it('asks for a reason, and takes it', () => {
    const bad = [decided, symptom('s', 'hunts'), tried('symptom:s', 'still there')];
    expect(() => made(...bad, { type: 'hand-over', data: handOver })).toThrow(/Still open: Hunts: still there, it did/);
    const left: CommandBody = {
      type: 'leave-open',
      data: {
        code: 'not-cured',
        subject: 'symptom:s',
        reason: 'parts on order',
        watch: 'stalling',
        days: 7,
        use: null,
      },
    };
    expect(made(...bad, left, { type: 'hand-over', data: handOver }).status).toBe('closed');
  });
  it('is open when a relearn or a bleed did not take, until one does', () => {
    const failed: CommandBody[] = [
      run,
      { type: 'close-run', data: { runId: 'r', outcome: 'did not take', why: 'still hunts' } },
    ];
    expect(points(...failed)).toContain('did-not-take r');
    const again: CommandBody = { type: 'start-run', data: { id: 'r2', recipeId: 'drive' } };
    const stays = (...more: CommandBody[]) => points(...failed, ...more).filter((each) => each.startsWith('did-not'));
    expect(stays(again)).toEqual([]);
    const given: CommandBody = { type: 'close-run', data: { runId: 'r2', outcome: 'abandoned', why: 'rain' } };
    expect(stays(again, given)).toEqual(['did-not-take r']);
  });
});

describe('what cannot be tried so', () => {
  const refused = (...bodies: CommandBody[]) => expect(() => made(...bodies));
  it('is a line that is not there, one that the record shows, and a fault without words', () => {
    refused(tried('symptom:x', 'gone')).toThrow(/not a line of this proof/);
    refused(idle('after', 900), tried('band:idle-rpm', 'gone')).toThrow(/what is read, measured or looked at/);
    refused(symptom('s', 'hunts'), tried('symptom:s', 'still there', { came: ' ' })).toThrow(/Say what it did/);
    refused({ type: 'try-line', data: { line: 'own:', words: ' ', verdict: 'good', came: '' } }).toThrow(
      /What was tried/,
    );
    refused({ type: 'note-tool-said', data: { what: 'x', when: 'after', said: ' ' } }).toThrow(/What did the tool say/);
    refused(readOut(-1)).toThrow(/Expected 0 to 100000 km/);
  });
  it('is what needs the engine while it is held; what is only looked at needs none', () => {
    const held = [symptom('s', 'hunts'), pin, off('plug')];
    refused(...held, tried('symptom:s', 'gone')).toThrow(/engine is held/);
    const looked: CommandBody = {
      type: 'try-line',
      data: { line: 'own:', words: 'duct lip sits flat', verdict: 'good', came: '' },
    };
    expect(made(...held, looked).tried).toHaveLength(1);
  });
});
