import { describe, expect, it } from 'vitest';
import { SHIPPED_KNOWLEDGE } from '../diagnose/knowledge/index.ts';
import type { CommandBody, CommandData } from './catalogue.ts';
import {
  decide,
  diagnoseJob,
  estimateLines,
  estimateRange,
  type Job,
  jobChoice,
  jobFindings,
  wayMinutes,
} from './index.ts';
import { play } from './testing/play.ts';
import { SAMPLE_CONTEXT, SAMPLE_FAMILY, SAMPLE_PROCEDURE, SAMPLES } from './testing/samples.ts';

const open: CommandBody = { type: 'open-job', data: { ...SAMPLES['open-job'].data, complaint: 'Not right.' } };
const check = (id: string, outcome: string, when: 'before' | 'after' = 'before'): CommandBody => ({
  type: 'record-check',
  data: { id: `${id}-${outcome}-${when}`, check: id, outcome, typed: [], when },
});
const jobOf = (...bodies: CommandBody[]): Job => play([open, ...bodies]).job!;
/** Without what the shop did before: that is a sample of its own. */
const ownFindings = (job: Job) =>
  jobFindings(job, SHIPPED_KNOWLEDGE, SAMPLE_FAMILY).filter(({ id }) => !id.startsWith('earlier-'));
const found = (job: Job) => ownFindings(job).map(({ sign, outcome, source }) => `${sign}=${outcome} ${source}`);
const live = (values: readonly (readonly [number, number])[]): CommandBody => ({
  type: 'read-values',
  data: {
    id: 'v',
    when: 'before',
    from: 'sim',
    values: values.map(([pid, value]) => ({ pid, name: '', value, unit: '' })),
  },
});

describe('findings of a job', () => {
  it('come from words, answers, codes, measures, the adapter, comparisons and checks, in the order met', () => {
    const job = jobOf(
      { type: 'tell-complaint', data: { id: 't', text: 'It hunts.' } },
      { type: 'answer-question', data: { id: 'a', sign: 'load', outcome: 'yes' } },
      { type: 'note-symptom', data: { id: 's', text: 'whistles on the hill' } },
      { type: 'read-code', data: { id: 'c', code: 'P0505', status: 'stored', when: 'before', note: '' } },
      { type: 'take-measurement', data: { id: 'm', kind: 'idle-rpm', when: 'before', value: 900 } },
      live([
        [0x0c, 900],
        [0x05, 85],
        [0x0d, 0],
        [0x0b, 50],
      ]),
      { type: 'compare-variant', data: SAMPLES['compare-variant'].data },
      check('leak-by-ear', 'none'),
    );
    expect(found(job)).toEqual([
      'hunting=yes said',
      'load=yes asked',
      'whistle=yes noted',
      'idle-code=cannot code',
      'idle-speed=low measured',
      'idle-speed=low adapter',
      'manifold=high adapter',
      'variant=differs compared',
      'leak-by-ear=none checked',
    ]);
  });
  it('what was done before is heard too, and what was said since counts more', () => {
    const history: CommandBody = {
      type: 'tell-history',
      data: { since: 'all at once last week', doneBefore: 'battery changed' },
    };
    expect(found(jobOf(history))).toEqual(['onset=sudden noted', 'battery=yes noted']);
    const denied = jobOf(history, { type: 'answer-question', data: { id: 'a', sign: 'battery', outcome: 'no' } });
    const { ranking } = diagnoseJob(denied, SHIPPED_KNOWLEDGE, SAMPLE_FAMILY);
    expect(ranking.causes[0]?.evidence.map(({ finding }) => finding.outcome)).toContain('no');
  });
  it('values read cold, moving or with the engine off say nothing', () => {
    for (const values of [
      [
        [0x0c, 900],
        [0x05, 30],
      ],
      [
        [0x0c, 900],
        [0x05, 85],
        [0x0d, 40],
      ],
      [
        [0x0c, 0],
        [0x05, 85],
        [0x0b, 100],
      ],
    ] as const)
      expect(found(jobOf(live(values)))).toEqual([]);
  });
  it('silence of the codes counts once they were read to the end', () => {
    const job = jobOf({ type: 'read-codes-out', data: { when: 'before' } });
    expect(found(job)).toContain('misfire-code=none codes read');
  });
  it('a check repeated after work is kept beside the first, and not weighed', () => {
    const job = jobOf(check('leak-by-ear', 'changed'), check('leak-by-ear', 'none', 'after'));
    expect(job.checks.map(({ outcome, when }) => [outcome, when])).toEqual([
      ['changed', 'before'],
      ['none', 'after'],
    ]);
    expect(found(job)).toEqual(['leak-by-ear=changed checked']);
  });
  it('the later of two counts when a check is done again before the work', () => {
    const job = jobOf(check('leak-by-ear', 'changed'), check('leak-by-ear', 'none'));
    const { ranking } = diagnoseJob(job, SHIPPED_KNOWLEDGE, SAMPLE_FAMILY);
    expect(ranking.causes[0]?.evidence.map(({ finding }) => finding.outcome)).toEqual(['none']);
  });
  it('what was left out is offered again once it was done after all', () => {
    const skip: CommandBody = { type: 'pass-over-check', data: { id: 'o', check: 'leak-by-ear', why: '' } };
    expect(jobOf(skip).passedOver).toHaveLength(1);
    expect(jobOf(skip, check('leak-by-ear', 'none')).passedOver).toEqual([]);
  });
});

describe('diagnoseJob', () => {
  it('keeps unknown codes apart, and says what contradicts what', () => {
    const code = (id: string): CommandBody => ({
      type: 'read-code',
      data: { id, code: id, status: 'stored', when: 'before', note: '' },
    });
    const said = diagnoseJob(
      jobOf(code('P1234'), { type: 'tell-complaint', data: { id: 't', text: 'Idle is too high, idle is too low.' } }),
      SHIPPED_KNOWLEDGE,
      SAMPLE_FAMILY,
    );
    expect(said.unknownCodes).toEqual(['P1234']);
    expect(said.contradictions).toHaveLength(1);
  });
  it('tries two causes together only when one explains poorly', () => {
    const odd = jobOf(
      ...['clicking', 'smoke', 'whistle', 'overheated'].map((sign): CommandBody => ({
        type: 'answer-question',
        data: { id: sign, sign, outcome: 'yes' },
      })),
    );
    expect(diagnoseJob(odd, SHIPPED_KNOWLEDGE, SAMPLE_FAMILY).pair).not.toBeNull();
    expect(diagnoseJob(jobOf(), SHIPPED_KNOWLEDGE, SAMPLE_FAMILY).pair).toBeNull();
  });
});

describe('what is refused', () => {
  const refusal = (body: CommandBody, job: Job | null = jobOf(), context = SAMPLE_CONTEXT) =>
    decide(job, body, context);
  const record = (change: Partial<CommandData['record-check']>): CommandBody => ({
    type: 'record-check',
    data: { id: 'k', check: 'leak-by-ear', outcome: 'none', typed: [], when: 'before', ...change },
  });
  const deciding = (change: Partial<CommandData['decide']>): CommandBody => ({
    type: 'decide',
    data: { choice: 'clean-bench', reason: 'ring', departure: '', options: [], ...change },
  });
  it.each<[string, CommandBody, string, RegExp, string | null]>([
    [
      'a check before its forerunner',
      record({ check: 'light-gap', outcome: 'even' }),
      'not-yet',
      /comes after “Duct off, look at the plate”/,
      null,
    ],
    ['a check that is not there', record({ check: 'moon' }), 'no-such-check', /has no “moon”/, null],
    [
      'a check for another kind of vehicle',
      record({ check: 'egr-blank' }),
      'does-not-apply',
      /does not apply to this vehicle/,
      null,
    ],
    ['a question as a check', record({ check: 'hunting', outcome: 'yes' }), 'not-a-check', /asked, not checked/, null],
    ['a check without an answer', record({ outcome: '' }), 'bad-value', /Say what was found/, 'outcome'],
    [
      'negative volts',
      record({ check: 'closed-volts', outcome: '', typed: ['-1'] }),
      'bad-value',
      /Expected 0 to 5.5 V/,
      'typed.0',
    ],
    [
      '140 % duty',
      record({ check: 'valve-duty', outcome: '', typed: ['140'] }),
      'bad-value',
      /Expected 0 to 100 %/,
      'typed.0',
    ],
    [
      'an answer that is not there',
      { type: 'answer-question', data: { id: 'a', sign: 'hunting', outcome: 'maybe' } },
      'bad-value',
      /no answer “maybe”/,
      'outcome',
    ],
    [
      'a check as a question',
      { type: 'answer-question', data: { id: 'a', sign: 'leak-by-ear', outcome: 'none' } },
      'is-a-check',
      /checked, not asked/,
      null,
    ],
    ['an empty complaint', { type: 'tell-complaint', data: { id: 't', text: '  ' } }, 'bad-value', /own words/, 'text'],
    ['striking what is not there', { type: 'strike-sign', data: { id: 'x' } }, 'not-there', /not there/, null],
    [
      'a frame of no code',
      { type: 'read-frame', data: { id: 'f', code: 'XYZ', values: [] } },
      'bad-value',
      /Expected a code/,
      'code',
    ],
    [
      'values of nothing',
      { type: 'read-values', data: { id: 'v', when: 'before', values: [], from: '' } },
      'nothing-read',
      /No value was read/,
      null,
    ],
    [
      'the end of a clearing that never began',
      { type: 'end-clearing', data: { id: 'z', outcome: 'cleared', words: '' } },
      'not-there',
      /Nothing was being cleared/,
      null,
    ],
    [
      'a port of 2 mm',
      {
        type: 'compare-variant',
        data: { ...SAMPLES['compare-variant'].data, found: { ...SAMPLES['compare-variant'].data.found, portMm: 2 } },
      },
      'bad-value',
      /5 to 200 mm/,
      'portMm',
    ],
    [
      'a unit of which the family says nothing',
      { type: 'compare-variant', data: { ...SAMPLES['compare-variant'].data, kind: 'idle-valve' } },
      'nothing-to-compare',
      /says nothing of this unit/,
      null,
    ],
    ['deciding without a reason', deciding({ reason: '' }), 'bad-value', /Say why/, 'reason'],
    [
      'departing from a house rule without a word',
      deciding({ choice: 'clean-in-place' }),
      'bad-value',
      /House rule: off, both faces/,
      'departure',
    ],
    [
      'a life of nothing',
      { type: 'set-terms', data: { ...SAMPLES['set-terms'].data, life: 0 } },
      'bad-value',
      /1 to 2000000/,
      'life',
    ],
    [
      'a price below nothing',
      { type: 'set-terms', data: { ...SAMPLES['set-terms'].data, partsMinor: -1 } },
      'bad-value',
      /0 to 100000000/,
      'partsMinor',
    ],
    [
      'an estimate before a decision',
      { type: 'make-estimate', data: SAMPLES['make-estimate'].data },
      'not-decided',
      /Nothing is decided/,
      null,
    ],
    [
      'an answer to no estimate',
      { type: 'answer-estimate', data: SAMPLES['answer-estimate'].data },
      'not-there',
      /no such estimate/,
      null,
    ],
    [
      'a departure that is none',
      { type: 'depart-from-rule', data: { question: 'where', taken: 'off', reason: 'x' } },
      'no-departure',
      /what the house rule says/,
      null,
    ],
    [
      'a departure from no rule',
      { type: 'depart-from-rule', data: { question: 'tea', taken: 'off', reason: 'x' } },
      'no-such-rule',
      /no such house rule/,
      null,
    ],
    [
      'a school that is not there',
      { type: 'depart-from-rule', data: { question: 'where', taken: 'underwater', reason: 'x' } },
      'bad-value',
      /no answer “underwater”/,
      'taken',
    ],
    [
      'a departure without a reason',
      { type: 'depart-from-rule', data: { question: 'where', taken: 'in-place', reason: '' } },
      'bad-value',
      /Say why/,
      'reason',
    ],
  ])('%s', (_, body, code, words, field) => {
    const decision = refusal(body);
    expect(decision).toMatchObject({ ok: false, code, field });
    expect(decision.ok || decision.message).toMatch(words);
  });
  it('an estimate of no lines, upside down, or of a negative line', () => {
    const job = jobOf({ type: 'decide', data: { choice: 'relearn', reason: 'x', departure: '', options: [] } });
    const make = (change: object) =>
      refusal({ type: 'make-estimate', data: { ...SAMPLES['make-estimate'].data, ...change } }, job);
    expect(make({ lines: [] })).toMatchObject({ field: 'lines' });
    expect(make({ lines: [{ words: 'x', minor: -1 }] })).toMatchObject({ field: 'lines' });
    expect(make({ lowMinor: 9000 })).toMatchObject({ field: 'highMinor' });
    const made = jobOf(
      { type: 'decide', data: { choice: 'relearn', reason: 'x', departure: '', options: [] } },
      { type: 'make-estimate', data: SAMPLES['make-estimate'].data },
    );
    const answer = (change: object) =>
      refusal({ type: 'answer-estimate', data: { ...SAMPLES['answer-estimate'].data, ...change } }, made);
    expect(answer({ limitMinor: null })).toMatchObject({ field: 'limitMinor' });
    expect(answer({ who: '' })).toMatchObject({ field: 'who' });
  });
  it('judging before the knowledge is at hand', () => {
    const blind = { ...SAMPLE_CONTEXT, knowledge: null };
    expect(refusal(record({}), jobOf(), blind)).toMatchObject({ code: 'no-knowledge' });
    expect(refusal({ type: 'tell-complaint', data: { id: 't', text: 'x' } }, jobOf(), blind)).toMatchObject({
      code: 'no-knowledge',
    });
    expect(refusal({ type: 'choose-knowledge', data: { version: 7 } })).toMatchObject({ code: 'no-knowledge' });
    // A decision is still taken; only the state of belief is missing.
    expect(
      refusal({ type: 'decide', data: { choice: 'relearn', reason: 'x', departure: '', options: [] } }, jobOf(), blind),
    ).toMatchObject({ ok: true });
  });
  it('a second ending of one clearing, but not the first after hand-over', () => {
    const end: CommandBody = { type: 'end-clearing', data: { id: 'z', outcome: 'failed', words: 'no answer' } };
    const clearing: CommandBody = { type: 'clear-codes', data: { id: 'z', codes: [], from: 'sim' } };
    expect(refusal(end, jobOf(clearing, end))).toMatchObject({ code: 'already-there' });
    const closed = jobOf(
      clearing,
      { type: 'decide', data: { choice: 'relearn', reason: 'x', departure: '', options: [] } },
      { type: 'hand-over', data: SAMPLES['hand-over'].data },
    );
    expect(refusal(end, closed)).toMatchObject({ ok: true });
  });
  it('a house rule is not asked about twice', () => {
    const departed = jobOf({
      type: 'depart-from-rule',
      data: { question: 'where', taken: 'in-place', reason: 'front only' },
    });
    expect(refusal(deciding({ choice: 'clean-in-place' }), departed)).toMatchObject({ ok: true });
  });
});

describe('options of a job', () => {
  const SHOP = { ratePerHourMinor: 6000, dayPriceMinor: 0, comebackMinor: 0 };
  const choiceFor = (job: Job, family = SAMPLE_FAMILY, procedure: typeof SAMPLE_PROCEDURE | null = null) =>
    jobChoice(job, diagnoseJob(job, SHIPPED_KNOWLEDGE, family), SHIPPED_KNOWLEDGE, family, procedure, [], SHOP);
  it('are priced for the unit they are done to', () => {
    const valve = {
      ...SAMPLE_FAMILY,
      unitTypes: [
        ...SAMPLE_FAMILY.unitTypes,
        {
          ...SAMPLE_FAMILY.unitTypes[0]!,
          id: 'iv',
          kind: 'idle-valve' as const,
          prices: { new: 100, rebuilt: null, used: null },
        },
      ],
    };
    const stuck = jobOf(check('valve-moves', 'clicks'), { type: 'tell-complaint', data: { id: 't', text: 'hunts' } });
    const { terms } = choiceFor(stuck, valve);
    expect(terms.filter(({ id }) => id === 'replace').map(({ kind, partsMinor }) => [kind, partsMinor])).toEqual([
      ['throttle-body', 90_000],
      ['idle-valve', 100],
    ]);
  });
  it('take the way off and back from the procedure once, and the bench for body and valve', () => {
    const clean = (procedure: typeof SAMPLE_PROCEDURE | null) =>
      choiceFor(jobOf(), SAMPLE_FAMILY, procedure).terms.find(({ id }) => id === 'clean-bench')?.minutes;
    expect(clean(SAMPLE_PROCEDURE)).toBe(Math.round(wayMinutes(SAMPLE_PROCEDURE) + 2 * 40));
    expect(clean(null)).toBe(170);
  });
  it('prefer what was set by hand, for one way or for every way of an option', () => {
    const job = jobOf({ type: 'set-terms', data: SAMPLES['set-terms'].data });
    const { terms, per } = choiceFor(job);
    expect(terms.find(({ id }) => id === 'replace')).toMatchObject({
      partsMinor: 80_000,
      minutes: 90,
      consumablesMinor: 800,
    });
    expect(per).toBe('km');
  });
  it('no longer hold a relearn that did not take', () => {
    const tried = jobOf({
      type: 'tell-attempt',
      data: { id: 't', option: 'relearn', helped: false, ago: { km: 10, h: null, days: 1 }, words: '' },
    });
    expect(choiceFor(tried).failed).toEqual(['relearn']);
    expect(choiceFor(jobOf()).failed).toEqual([]);
  });
  it('hold two faults at once where both were seen', () => {
    const both = jobOf(check('hoses-seen', 'cracked'), check('valve-ring', 'hard'), check('fuel-pressure', 'low'));
    const { belief } = choiceFor(both);
    const pair = belief.find((one) => one.with !== undefined);
    expect([pair?.cause, pair?.with?.cause].sort()).toEqual(['fuel', 'intake-leak']);
    expect(belief.reduce((sum, { share }) => sum + share, 0)).toBeCloseTo(1, 9);
  });
  it('become lines of an estimate, with room below and above', () => {
    const lines = estimateLines(
      { id: 'rebuild', partsMinor: 3400, consumablesMinor: 1800, minutes: 190, daysOff: 0, life: 1 },
      () => 'Rebuild',
      6000,
    );
    expect(lines).toEqual([
      { words: 'Rebuild: labour, about 190 minutes', minor: 19_000 },
      { words: 'Parts and seals', minor: 3400 },
      { words: 'Cleaner and small materials', minor: 1800 },
    ]);
    expect(estimateRange(lines, 'cr')).toEqual({ lowMinor: 22_900, highMinor: 29_100 });
    expect(
      estimateLines(
        { id: 'relearn', partsMinor: null, consumablesMinor: 0, minutes: 30, daysOff: 0, life: 1 },
        () => 'Relearn',
        6000,
      ),
    ).toHaveLength(1);
  });
});
