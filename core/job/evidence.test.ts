import { describe, expect, it } from 'vitest';
import { SHIPPED_KNOWLEDGE } from '../diagnose/knowledge/index.ts';
import { UNIT_FORMS, type UnitForm } from '../clean/index.ts';
import { type PointEntry, pointsFor, POINTS, SPEAKS, speaksOf } from '../inspect/index.ts';
import type { CommandBody } from './catalogue.ts';
import { decide, diagnoseJob, type Job, jobFindings, jobMayStart, openPoints, sheetOf, unanswered } from './index.ts';
import { speaker } from '../sheet/index.ts';
import { attemptFindings } from './diagnosis/attempts.ts';
import { play } from './testing/play.ts';
import { SAMPLE_CONTEXT, SAMPLE_FAMILY, SAMPLES } from './testing/samples.ts';
import type { EngineFamily } from '../vehicle/index.ts';

const K = SHIPPED_KNOWLEDGE;
const opening = (complaint: string): CommandBody => ({
  type: 'open-job',
  data: { ...SAMPLES['open-job'].data, complaint },
});
const jobOf = (...bodies: CommandBody[]): Job => play([opening('Not right.'), ...bodies]).job!;
/** Without what the shop did before: that is a sample of its own. */
const ownFindings = (job: Job, family: EngineFamily | null = SAMPLE_FAMILY) =>
  jobFindings(job, K, family).filter(({ id }) => !id.startsWith('earlier-'));
const found = (job: Job, family: EngineFamily | null = SAMPLE_FAMILY) =>
  ownFindings(job, family).map(({ sign, outcome, source }) => `${sign}=${outcome} ${source}`);
const check = (id: string, outcome: string): CommandBody => ({
  type: 'record-check',
  data: { id: `${id}-${outcome}`, check: id, outcome, typed: [], when: 'before' },
});
const code = (text: string, status: 'stored' | 'pending' | 'cleared' | 'ours' = 'stored'): CommandBody => ({
  type: 'read-code',
  data: { id: `c-${text}`, code: text, status, when: 'before', note: '' },
});

describe('what is told when the job is opened', () => {
  it('is weighed at once, codes and figures with it', () => {
    const { job } = play([opening('Idles at 450, P0505, new idle valve changed nothing')]);
    expect(job!.codes.map(({ code: read }) => read)).toEqual(['P0505']);
    expect(found(job!)).toContain('idle-speed=low said');
    expect(job!.attempts.map(({ option, helped }) => [option, helped])).toEqual([['replace', false]]);
  });
  it('finds by itself what the shop did before, and what came back', () => {
    const earlier = (daysAgo: number, km: number, complaint: string) => ({
      jobId: 'j',
      number: 4,
      option: 'clean-bench' as const,
      closedAt: new Date(Date.parse('2026-05-12T08:00:00Z') - daysAgo * 86_400_000).toISOString(),
      reading: { value: 90_000 - km, unit: 'km' as const },
      complaint,
    });
    const now = opening('hunts at the lights');
    const data: object = now.data;
    const opened = { type: now.type, data: { ...data, reading: { value: 90_000, unit: 'km' } } };
    const works = (daysAgo: number, km: number, complaint = 'It hunts.') => {
      const decision = decide(null, { ...opened, id: 'x', at: '2026-05-12T08:00:00Z' } as never, {
        ...SAMPLE_CONTEXT,
        earlier: [earlier(daysAgo, km, complaint)],
      });
      if (!decision.ok) throw new Error(decision.message);
      const fact = decision.events.find(({ type }) => type === 'earlier-work-found');
      return (fact?.data as { works: { helped: boolean; ago: object }[] } | undefined)?.works[0];
    };
    expect(works(20, 700)).toMatchObject({ helped: false, ago: { km: 700, days: 20 } });
    // Beyond the shop's days or distance it held.
    expect(works(120, 700)).toMatchObject({ helped: true });
    expect(works(20, 9000)).toMatchObject({ helped: true });
    // Another complaint says nothing of this one.
    expect(works(20, 700, 'Black smoke.')).toBeUndefined();
  });
});

describe('an earlier job', () => {
  it('that came back counts whole, one that held three tenths: something new may have begun', () => {
    const weightOf = (helped: boolean): number => {
      const work = {
        jobId: 'before',
        number: 4,
        option: 'clean-bench' as const,
        helped,
        ago: { km: 0, h: null, days: 20 },
      };
      const job = jobOf();
      const findings = attemptFindings({ ...job, earlierWork: [work] });
      return findings.find(({ id }) => id === 'earlier-before')?.weight ?? 1;
    };
    expect([weightOf(false), weightOf(true)]).toEqual([1, 0.3]);
  });
});

describe('what was tried counts', () => {
  const tried = (ago: number | null): CommandBody => ({
    type: 'tell-attempt',
    data: {
      id: 't',
      option: 'replace',
      unit: { kind: 'throttle-body', place: 'only' },
      helped: false,
      ago: { km: ago, h: null, days: null },
      words: 'new body',
    },
  });
  const shareOf = (job: Job, id: string) =>
    diagnoseJob(job, K, SAMPLE_FAMILY).ranking.causes.find(({ cause }) => cause === id)!.share;
  it('against a cause that it treats, and less after a distance', () => {
    const [now, later, never] = [
      shareOf(jobOf(check('duct-off-look', 'ring'), tried(100)), 'deposit'),
      shareOf(jobOf(check('duct-off-look', 'ring'), tried(80_000)), 'deposit'),
      shareOf(jobOf(check('duct-off-look', 'ring')), 'deposit'),
    ];
    expect(now).toBeLessThan(later / 2);
    expect(later).toBeLessThan(never);
  });
  it('a relearn that did not take is an attempt, one that was left off is none', () => {
    const run = (outcome: 'did not take' | 'abandoned'): CommandBody[] => [
      { type: 'start-run', data: { id: 'r', recipeId: 'drive' } },
      { type: 'close-run', data: { runId: 'r', outcome, why: 'rain' } },
    ];
    expect(found(jobOf(...run('did not take')))).toContain('tried:relearn=still tried');
    expect(found(jobOf(...run('abandoned')))).not.toContain('tried:relearn=still tried');
  });
  it('a job that is opened again says that what was decided did not help', () => {
    const back = jobOf(
      { type: 'decide', data: { choice: 'clean-bench', reason: 'ring', departure: '', options: [] } },
      { type: 'hand-over', data: SAMPLES['hand-over'].data },
      { type: 'reopen-job', data: { reason: 'still hunts' } },
    );
    expect(found(back)).toContain('tried:clean-bench=still tried');
  });
});

describe('codes', () => {
  it('count by their status, and our own unplugging not at all', () => {
    const weights = (job: Job) => ownFindings(job).map(({ weight }) => weight);
    expect(weights(jobOf(code('P0505')))).toEqual([1]);
    expect(weights(jobOf(code('P0505', 'pending')))).toEqual([0.7]);
    expect(weights(jobOf(code('P0505', 'cleared')))).toEqual([0.3]);
    expect(found(jobOf(code('P0505', 'ours')))).toEqual([]);
  });
  it('typed twice in two notations are one', () => {
    const job = jobOf(code('P0121-62'));
    const again = decide(job, code('p012162'), SAMPLE_CONTEXT);
    expect(again).toMatchObject({ ok: false, code: 'already-there' });
  });
  it('that nothing here knows are unknown, not none', () => {
    const all: CommandBody = { type: 'read-codes-out', data: { when: 'before' } };
    expect(found(jobOf(all))).toContain('misfire-code=none codes read');
    expect(found(jobOf(code('P1234'), all))).not.toContain('misfire-code=none codes read');
    expect(diagnoseJob(jobOf(code('P0480')), K, SAMPLE_FAMILY).mutedCodes[0]?.why).toMatch(/cooling fan/);
  });
});

describe('something at the plate', () => {
  const seen = jobOf(check('duct-off-look', 'object'));
  const [lies] = seen.foreign;
  const say = speaker(new Map(), 'cr', 'UTC');
  it('holds the engine from the moment it was seen until all of it is out', () => {
    expect(jobMayStart(seen)).toMatchObject({ may: false, holds: [{ code: 'object-in' }] });
    const described = play([
      opening('Not right.'),
      check('duct-off-look', 'object'),
      {
        type: 'describe-foreign',
        data: { id: lies!.id, what: 'Acorn', where: 'under the plate', came: 'the air box', amount: 'one' },
      },
    ]).job!;
    expect(described.foreign).toHaveLength(1);
    const out = (recovered: 'part' | 'all', how: string): CommandBody => ({
      type: 'recover-foreign',
      data: { id: lies!.id, recovered, how },
    });
    const part = play([opening('Not right.'), check('duct-off-look', 'object'), out('part', 'half of the shell')]).job!;
    expect(jobMayStart(part).may).toBe(false);
    const all = play([opening('Not right.'), check('duct-off-look', 'object'), out('all', '')]).job!;
    expect(jobMayStart(all).may).toBe(true);
    const rows = sheetOf(all, say).sections.find(({ title }) => title === 'Left over or unusual')!.rows;
    expect(rows.map(({ label, value }) => [label, value])).toContainEqual([
      'Something at the plate, at the plate',
      'all of it out',
    ]);
  });
  it('proves the foreign object, whatever else was told', () => {
    const [first] = diagnoseJob(seen, K, SAMPLE_FAMILY).ranking.causes;
    expect(first).toMatchObject({ cause: 'foreign', standing: 'proved' });
    expect(first!.share).toBeGreaterThan(0.9);
  });
  it('only a lead may say that the rest is accounted for, and nobody without saying what is missing', () => {
    const recover = (recovered: 'part' | 'accounted', how: string, role: 'lead' | 'technician') =>
      decide(seen, { type: 'recover-foreign', data: { id: lies!.id, recovered, how } }, { ...SAMPLE_CONTEXT, role });
    expect(recover('accounted', 'burnt', 'technician')).toMatchObject({ ok: false, code: 'lead-only' });
    expect(recover('accounted', 'burnt', 'lead')).toMatchObject({ ok: true });
    expect(recover('part', '', 'lead')).toMatchObject({ ok: false, field: 'how' });
  });
});

describe('two looks that cannot both be', () => {
  const both = jobOf(
    { type: 'answer-question', data: { id: 'a', sign: 'idle-high', outcome: 'yes' } },
    { type: 'answer-question', data: { id: 'b', sign: 'idle-low', outcome: 'yes' } },
  );
  it('are asked about, and the one that falls is not weighed', () => {
    expect(diagnoseJob(both, K, SAMPLE_FAMILY).contradictions).toHaveLength(1);
    const settled = jobOf(...SAMPLES['let-stand'].after.slice(1), {
      type: 'let-stand',
      data: SAMPLES['let-stand'].data,
    });
    expect(found(settled)).toEqual(['idle-low=yes asked']);
    expect(diagnoseJob(settled, K, SAMPLE_FAMILY).contradictions).toEqual([]);
  });
  it('are not settled where they do not contradict', () => {
    const none = decide(
      both,
      {
        type: 'let-stand',
        data: { id: 's', stands: { sign: 'rough', outcome: 'yes' }, falls: { sign: 'idle-low', outcome: 'yes' } },
      },
      SAMPLE_CONTEXT,
    );
    expect(none).toMatchObject({ ok: false, code: 'no-contradiction' });
  });
});

describe('every look on the bench', () => {
  const forms = Object.keys(UNIT_FORMS) as UnitForm[];
  const rows = forms.flatMap((form) => pointsFor(form).map((point) => [form, point.id] as const));
  it.each(rows)('%s, %s: moves the ranking, or says why it does not', (form, id) => {
    const speaks = speaksOf(id, form)!;
    expect(speaks, `${id} on ${form}`).toBeDefined();
    if (speaks.by === 'nothing') {
      expect(speaks.why.length).toBeGreaterThan(15);
      return;
    }
    const sign = K.signs.find((each) => each.id === speaks.sign)!;
    expect(sign, speaks.sign).toBeDefined();
    const outcomes = sign.outcomes.map((outcome) => outcome.id);
    const said =
      speaks.by === 'answer'
        ? Object.values(speaks.to)
        : speaks.by === 'verdict'
          ? [speaks.good, speaks.bad]
          : speaks.by === 'side'
            ? [speaks.below, speaks.within, speaks.above]
            : [];
    for (const each of said) expect(outcomes).toContain(each);
    // Some cause that sits at such a unit, or elsewhere, says something of it.
    expect(K.causes.some(({ shows }) => shows.some((row) => row.sign === speaks.sign))).toBe(true);
    const entry: PointEntry = POINTS.find((point) => point.id === id)!.entry;
    if (speaks.by === 'answer' && entry.kind === 'choice')
      for (const answer of Object.keys(speaks.to)) expect(entry.outcomes.map((one) => one.id)).toContain(answer);
  });
  it('is spoken of for no point that is not there', () => {
    for (const id of Object.keys(SPEAKS)) expect(POINTS.map((point) => point.id)).toContain(id);
  });
});

describe('open points', () => {
  const decided: CommandBody = {
    type: 'decide',
    data: { choice: 'clean-bench', reason: 'ring', departure: '', options: [] },
  };
  const bad: CommandBody = {
    type: 'record-finding',
    data: { id: 'g', unit: 'throttle-body', point: 'deposit-back', when: 'after', grade: 4, text: '' },
  };
  it('what is still bad after the work needs a reason, something to watch and a day', () => {
    const job = jobOf(decided, bad);
    expect(openPoints(job).map(({ code: what, subject }) => [what, subject])).toEqual([
      ['still-bad', 'throttle-body deposit-back'],
    ]);
    const handing = (of: Job) => decide(of, { type: 'hand-over', data: SAMPLES['hand-over'].data }, SAMPLE_CONTEXT);
    expect(handing(job)).toMatchObject({ ok: false, code: 'still-open' });
    const left = jobOf(decided, bad, { type: 'leave-open', data: SAMPLES['leave-open'].data });
    expect(unanswered(left)).toEqual([]);
    expect(handing(left)).toMatchObject({ ok: true });
  });
  it.each([
    ['reason', { reason: '' }],
    ['watch', { watch: '' }],
    ['days', { days: null }],
  ])('asks for %s at its field', (field, change) => {
    const leaving = decide(
      jobOf(decided, bad),
      { type: 'leave-open', data: { ...SAMPLES['leave-open'].data, ...change } },
      SAMPLE_CONTEXT,
    );
    expect(leaving).toMatchObject({ ok: false, field });
  });
  it('what holds the engine cannot stay open, and what is not open cannot be left', () => {
    const leave = (job: Job, subject: string, which = 'holds-engine') =>
      decide(
        job,
        { type: 'leave-open', data: { ...SAMPLES['leave-open'].data, code: which, subject } },
        SAMPLE_CONTEXT,
      );
    const held = jobOf(check('duct-off-look', 'object'));
    const [hold] = openPoints(held);
    expect(leave(held, hold!.subject)).toMatchObject({ ok: false, code: 'must-close' });
    expect(leave(jobOf(), 'moon')).toMatchObject({ ok: false, code: 'not-open' });
  });
});

describe('which one', () => {
  const bodies: EngineFamily = {
    ...SAMPLE_FAMILY,
    layout: 'per-bank',
    throttle: 'electronic',
    unitTypes: [{ ...SAMPLE_FAMILY.unitTypes[0]!, places: ['left bank', 'right bank'] }],
  };
  it('is said of the unit it was made on', () => {
    const gear: CommandBody = {
      type: 'record-check',
      data: {
        id: 'k',
        check: 'gear-look',
        outcome: 'worn',
        typed: [],
        when: 'before',
        unit: { kind: 'throttle-body', place: 'left bank' },
      },
    };
    const job = play([opening('Not right.'), gear], { family: bodies }).job!;
    const { ranking } = diagnoseJob(job, K, bodies);
    expect(ranking.causes[0]).toMatchObject({
      cause: 'gears',
      unit: { kind: 'throttle-body', place: 'left bank' },
      standing: 'proved',
    });
    const right = ranking.causes.find(({ cause, unit }) => cause === 'gears' && unit?.place === 'right bank')!;
    expect(right.share).toBeLessThan(0.01);
  });
  it('refuses a look that is not made on that kind of unit', () => {
    const wrong = decide(
      jobOf(),
      {
        type: 'record-check',
        data: {
          id: 'k',
          check: 'trims',
          outcome: 'rich',
          typed: [],
          when: 'before',
          unit: { kind: 'throttle-body', place: 'only' },
        },
      },
      SAMPLE_CONTEXT,
    );
    expect(wrong).toMatchObject({ ok: false, field: 'unit' });
  });
});
