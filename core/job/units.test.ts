import { describe, expect, it } from 'vitest';
import {
  jobUnits,
  type CommandBody,
  coolantLoss,
  coolantNow,
  decide,
  formOf,
  gradedAt,
  inhibitorQuestions,
  isInPlace,
  type Job,
  jobCoolantQuestions,
  jobObjections,
  nextUnitPass,
  passesNow,
  passesOf,
  rulesOf,
  shareBefore,
  unitMethod,
  wantsGrade,
  wasteDue,
} from './index.ts';
import type { Command, CommandData, CommandType } from './catalogue.ts';
import { againstRows } from './cleaning/sheet.ts';
import type { Context } from './context.ts';
import { play } from './testing/play.ts';
import { item, off, open, pin, SAMPLE_CONTEXT, SAMPLE_FAMILY, SAMPLE_VEHICLE, SAMPLES } from './testing/samples.ts';

const job = (...bodies: CommandBody[]): Job => play([open, ...bodies]).job!;
const of = <K extends CommandType>(type: K, change: Partial<CommandData[K]> = {}): CommandBody =>
  ({ type, data: { ...SAMPLES[type].data, ...change } }) as unknown as CommandBody;
const refusal = (on: Job, body: CommandBody, context: Partial<Context> = {}) => {
  const decision = decide(on, body as Command, { ...SAMPLE_CONTEXT, ...context });
  return decision.ok ? null : decision;
};
const units = (on: Job) => jobUnits(on, SAMPLE_FAMILY);
const body = (on: Job) => units(on)[0]!;

describe('the units on the bench', () => {
  it('are known by their kind where there is one of each, so that old logs say the same', () => {
    expect(units(job()).map(({ id, form, name }) => [id, form, name])).toEqual([
      ['throttle-body', 'cable', 'Throttle body'],
      ['idle-valve', 'stepper-valve', 'Idle air valve'],
    ]);
  });
  it('are told apart by their own id and place where there are several', () => {
    const four = [1, 2].map((each) => ({
      id: `tb-${each}`,
      kind: 'throttle-body' as const,
      place: `cylinder ${each}`,
      partNumber: '',
      variant: '',
    }));
    const bank = { ...job(), vehicle: { ...SAMPLE_VEHICLE, units: four, idleValve: 'none' as const } };
    const family = { ...SAMPLE_FAMILY, layout: 'per-cylinder' as const, idleValve: 'none' as const };
    expect(jobUnits(bank, family).map(({ id, form, name }) => [id, form, name])).toEqual([
      ['tb-1', 'bank', 'Throttle body, cylinder 1'],
      ['tb-2', 'bank', 'Throttle body, cylinder 2'],
    ]);
  });
  it.each([
    ['throttle-body', { meterUnit: 'h' }, null, 'plastic'],
    ['throttle-body', {}, { use: 'outboard' }, 'plastic'],
    ['throttle-body', { throttle: 'electronic' }, null, 'electronic'],
    ['throttle-body', {}, { throttle: 'diesel-flap' }, 'diesel-flap'],
    ['idle-valve', { idleValve: 'duty' }, null, 'duty-valve'],
    ['idle-actuator', {}, null, 'actuator'],
  ] as const)('%s of %j, %j is made as %s', (kind, vehicle, family, form) => {
    expect(
      formOf(kind, { ...SAMPLE_VEHICLE, ...vehicle }, family === null ? null : { ...SAMPLE_FAMILY, ...family }),
    ).toBe(form);
  });
});

describe('judging a point', () => {
  it('holds the finding against the choice, and lets go once the unit is replaced', () => {
    const warped = job(of('decide', { choice: 'clean-bench' }), of('judge-point'));
    expect(jobObjections(warped).map(({ words }) => words)).toEqual([
      'Body flatness: 0.3 mm; at most 0.1 mm. Cleaning will not cure that.',
    ]);
    expect(jobObjections(job(of('judge-point')))).toEqual([]);
    const swapped = job(of('decide', { choice: 'clean-bench' }), of('judge-point'), of('replace-unit'));
    expect(jobObjections(swapped)).toEqual([]);
  });
  it('feeds the diagnosis before, and leaves it alone after', () => {
    expect(job(of('judge-point')).checks.map(({ check, outcome }) => [check, outcome])).toEqual([
      ['flatness', 'warped'],
    ]);
    expect(job(of('judge-point', { when: 'after' })).checks).toEqual([]);
    const light = of('judge-point', {
      point: 'light',
      typed: [],
      marks: [2, 2, 1, 1, 0, 0, 0, 0, 0, 1, 1, 2],
    });
    expect(job(light).checks.map(({ check, outcome }) => [check, outcome])).toEqual([['light-gap', 'uneven']]);
  });
  it('does not let a good one hide a bad one of the same kind', () => {
    const coil = (which: string, typed: string) =>
      of('judge-point', {
        id: which,
        point: 'coil',
        form: 'rotary-valve',
        unit: 'idle-valve',
        kind: 'idle-valve',
        which,
        typed: [typed, '20'],
      });
    const outcomes = (...bodies: CommandBody[]) => job(...bodies).checks.map(({ outcome }) => outcome);
    expect(outcomes(coil('open side', '90'), coil('close side', '50'))).toEqual(['open']);
    expect(outcomes(coil('close side', '50'), coil('open side', '90'))).toEqual(['in-band', 'open']);
    // Measured again and found right: then it is.
    expect(outcomes(coil('open side', '90'), coil('open side', '50'))).toEqual(['open', 'in-band']);
  });
  it('keeps one line a point, and one a ring', () => {
    const ring = (which: string, typed: string) => of('judge-point', { point: 'ring', which, typed: [typed] });
    const seen = job(ring('idle screw', '90'), ring('valve', '70'), ring('idle screw', '72'));
    expect(seen.findings.map(({ judged }) => [judged?.which, judged?.verdict])).toEqual([
      ['valve', 'good'],
      ['idle screw', 'good'],
    ]);
  });
  it.each([
    [{ point: 'nothing' }, 'no-such-point', null],
    [{ form: 'electronic', point: 'dashpot' }, 'does-not-apply', null],
    [{ point: 'ring', typed: ['70'] }, 'bad-value', 'which'],
    [{ typed: ['much'] }, 'bad-value', 'typed.0'],
    [{ point: 'stop-screw', outcome: 'x' }, 'bad-value', 'outcome'],
    [{ point: 'deposit-edge', marks: [9] }, 'bad-value', 'marks'],
  ] as const)('refuses %j', (change, code, field) => {
    expect(refusal(job(), of('judge-point', change))).toMatchObject({ code, field });
  });
});

describe('cleaning a unit', () => {
  const pass = (kind: CommandData['do-pass']['kind'], at = 'p'): CommandBody => ({
    type: 'do-pass',
    data: { id: at + kind, unit: 'throttle-body', kind },
  });
  const graded = (grade: number, when: 'before' | 'after' = 'after') =>
    of('judge-point', { id: `g${grade}${when}`, point: 'deposit-edge', typed: [], marks: [grade], when });
  it('asks for a look after each round, and believes none from before it', () => {
    const round = [pass('protect'), pass('wet'), pass('soak'), pass('brush'), pass('wipe')];
    const once = job(graded(3, 'before'), ...round);
    const method = unitMethod(once, body(once), {});
    expect(wantsGrade(once, body(once), method)).toBe(true);
    const poor = job(graded(3, 'before'), ...round, graded(2));
    expect([wantsGrade(poor, body(poor), method), nextUnitPass(poor, body(poor), method)]).toEqual([false, 'wet']);
    const again = job(...round, graded(1), ...round);
    expect(wantsGrade(again, body(again), method)).toBe(true);
    const good = job(...round, graded(1));
    expect(nextUnitPass(good, body(good), method)).toBe('dry');
  });
  it('starts the soak’s own timer with the pass', () => {
    const soaked = job(of('do-pass', { id: 'c', kind: 'protect', unit: 'throttle-body' }), {
      type: 'do-pass',
      data: {
        id: 'p',
        unit: 'throttle-body',
        kind: 'soak',
        form: 'cable',
        substance: 'throttle-cleaner',
        how: 'soak',
        soak: { timerId: 't', label: 'Body soaks', minutes: 15 },
      },
    });
    expect(soaked.timers).toMatchObject([{ id: 't', minutes: 15, kind: 'soak', unit: 'throttle-body' }]);
    expect(soaked.passes[1]).toMatchObject({ substance: 'throttle-cleaner', how: 'soak' });
  });
  it('takes a unit out of its soak when somebody goes on with it', () => {
    const soak: CommandBody = {
      type: 'do-pass',
      data: {
        id: 'p',
        unit: 'throttle-body',
        kind: 'soak',
        soak: { timerId: 't', label: 'Body soaks', minutes: 15 },
      },
    };
    const other = job(soak, { type: 'do-pass', data: { id: 'q', unit: 'idle-valve', kind: 'wet' } });
    expect(other.timers[0]?.ended).toBeNull();
    const brushed = job(soak, { type: 'do-pass', data: { id: 'q', unit: 'throttle-body', kind: 'brush' } });
    expect(brushed.timers[0]?.ended?.outcome).toBe('done');
    const early = decide(
      job(soak),
      {
        type: 'do-pass',
        data: { id: 'q', unit: 'throttle-body', kind: 'brush' },
        at: '2026-05-13T08:05:00.000Z',
      } as Command,
      SAMPLE_CONTEXT,
    );
    expect(early.ok && early.events[0]).toMatchObject({ type: 'timer-ended', data: { id: 't', outcome: 'stopped' } });
  });
  it('knows what is covered: a spray asks before it, and not after', () => {
    const wet = of('do-pass', {
      id: 'w',
      kind: 'wet',
      unit: 'throttle-body',
      form: 'cable',
      substance: 'throttle-cleaner',
      how: 'spray',
    });
    expect(refusal(job(), wet)?.message).toContain('position sensor');
    const covered = job(of('do-pass', { id: 'c', kind: 'protect', unit: 'throttle-body' }), wet);
    expect(covered.passes.at(-1)).toMatchObject({ kind: 'wet', against: null });
  });
  it('records what is against advice with what speaks against it and why, and prints it', () => {
    const done = job(
      of('do-pass', {
        id: 'b',
        kind: 'bath',
        unit: 'throttle-body',
        form: 'cable',
        substance: 'alkaline-detergent',
        how: 'bath',
        soak: { timerId: 't', label: 'bath', minutes: 2400 },
        because: 'the customer brought it in pieces',
      }),
    );
    expect(done.passes[0]).toMatchObject({ minutes: 2400, substance: 'alkaline-detergent' });
    expect(done.passes[0]?.against?.because).toBe('the customer brought it in pieces');
    expect(done.passes[0]?.against?.advice.join(' ')).toContain('10 min at most, not 2400');
    expect(againstRows(done)).toMatchObject([
      { label: 'Throttle body: bath', value: 'alkaline detergent, in a bath, 40 h' },
    ]);
    expect(againstRows(done)[0]?.note).toContain('Because: the customer brought it in pieces');
    expect(wasteDue(done).map(({ kind }) => kind)).toContain('bath');
  });
  it('on the vehicle goes by a walk of its own, from the front, until the unit comes off', () => {
    const inPlace = {
      type: 'decide',
      data: { choice: 'clean-in-place', reason: 'ring', departure: 'soon', options: [] },
    } as CommandBody;
    const began = job(pin, inPlace);
    const unit = jobUnits(began, null).find(({ kind }) => kind === 'throttle-body')!;
    expect(isInPlace(began, unit.id)).toBe(true);
    expect(gradedAt(began, unit)).toBe('deposit-front');
    expect(unitMethod(began, unit, {}).passes.map(({ kind }) => kind)).toEqual(['protect', 'wipe', 'brush', 'dry']);
    const wiped = job(pin, inPlace, of('do-pass', { id: 'a', kind: 'wipe', unit: unit.id }));
    expect(wiped.passes[0]).toMatchObject({ onVehicle: true });
    const after = job(pin, inPlace, of('do-pass', { id: 'a', kind: 'wipe', unit: unit.id }), off('body'));
    expect(isInPlace(after, unit.id)).toBe(false);
    expect(gradedAt(after, unit)).toBe('deposit-edge');
    expect([passesOf(after, unit.id), passesNow(after, unit.id).before.length]).toEqual([[], 1]);
  });
  it('goes by what the job departs from, not by the house alone', () => {
    const departed = job({
      type: 'depart-from-rule',
      data: { question: 'where', taken: 'in-place', reason: 'late' },
    } as CommandBody);
    expect(rulesOf(departed, { where: 'off', gasket: 'renew' })).toEqual({ where: 'in-place', gasket: 'renew' });
  });
  it('is never into a running diesel, whatever is said; into a running petrol engine it is asked about', () => {
    const run = (form: 'diesel-flap' | 'cable', substance: 'throttle-cleaner' | 'brake-cleaner') =>
      of('do-pass', { id: 'r', kind: 'wet', form, substance, how: 'running' });
    const said = { ...run('diesel-flap', 'throttle-cleaner') } as { data: object };
    const forced = { type: 'do-pass', data: { ...said.data, because: 'he said so' } } as CommandBody;
    expect(refusal(job(), forced)).toMatchObject({ code: 'runs-away', wouldHelp: /mishap/ });
    expect(refusal(job(), run('cable', 'throttle-cleaner'))).toBeNull();
    expect(refusal(job(), run('cable', 'brake-cleaner'))).toMatchObject({ code: 'against-advice' });
  });
  it('is not recorded on a unit that is not there', () => {
    expect(refusal(job(), of('do-pass', { id: 'p', kind: 'wipe', unit: 'left-body' }))).toMatchObject({
      code: 'not-there',
      message: /No such unit/,
    });
  });
  it('counts what was done since it came off last; before that is before that', () => {
    const pass = (id: string, kind: CommandData['do-pass']['kind']) =>
      of('do-pass', { id, kind, unit: 'throttle-body' });
    const twice = job(pin, pass('a', 'protect'), pass('b', 'wet'), off('body'), pass('c', 'protect'));
    expect(passesOf(twice, 'throttle-body')).toEqual(['protect']);
    expect(passesNow(twice, 'throttle-body').before.map(({ id }) => id)).toEqual(['a', 'b']);
  });
  it.each([
    ['electronic', 'throttle-cleaner', 'spray', 'runs into the motor'],
    ['plastic', 'carburettor-cleaner', 'wipe', 'crazes'],
    ['cable', 'brake-cleaner-chlorinated', 'near-heat', 'poison gas'],
  ] as const)('asks about %s %s, %s', (form, substance, how, words) => {
    const refused = refusal(job(), {
      type: 'do-pass',
      data: { id: 'p', unit: 'throttle-body', kind: 'wet', form, substance, how },
    });
    expect(refused).toMatchObject({ code: 'against-advice', field: 'because' });
    expect(refused?.message).toContain(words);
  });
  it('refuses a can on what it must never touch, and keeps minutes, price and surfaces', () => {
    const can = (change: object) => of('weigh-can', change);
    expect(refusal(job(), can({ substance: 'carburettor-cleaner', surfaces: ['epdm'] }))?.message).toContain('EPDM');
    expect(refusal(job(), can({ minutes: -1 }))).toMatchObject({ field: 'minutes' });
    expect(job(can({ minutes: 4, priceMinor: 120, surfaces: ['bare-aluminium'] })).cleaners[0]).toMatchObject({
      minutes: 4,
      priceMinor: 120,
    });
  });
  it('gives a bath to what is stripped to the metal', () => {
    const bare = job(of('judge-point', { point: 'stripped', outcome: 'all-off', typed: [] }));
    expect(unitMethod(bare, body(bare), { substance: 'bath' }).passes.map(({ kind }) => kind)).toContain('bath');
    expect(unitMethod(job(), body(job()), { substance: 'bath' }).passes.map(({ kind }) => kind)).not.toContain('bath');
  });
  it('lists waste until it is taken away', () => {
    const used = job(of('weigh-can', { emptied: true }));
    expect(wasteDue(used).map(({ kind }) => kind)).toEqual(['rags', 'cans']);
    expect(wasteDue(job(of('weigh-can', { emptied: true }), of('take-waste'))).map(({ kind }) => kind)).toEqual([
      'cans',
    ]);
  });
});

describe('a seized screw', () => {
  const tried = (rung: CommandData['try-rung']['rung'], outcome: CommandData['try-rung']['outcome'], timerId = '') =>
    of('try-rung', { rung, outcome, timerId });
  it('waits by a timer, then says how it went, and ends on the list of what to get', () => {
    const done = job(of('note-seized'), tried('oil', 'waiting', 't1'), tried('oil', 'not yet'), tried('impact', 'out'));
    expect(done.seized[0]).toMatchObject({ ended: { outcome: 'out' } });
    expect(done.seized[0]?.tried.map(({ rung, outcome }) => [rung, outcome])).toEqual([
      ['oil', 'not yet'],
      ['impact', 'out'],
    ]);
    expect(done.timers[0]).toMatchObject({ minutes: 960, label: 'Oil works: valve screw, lower' });
    expect(done.ownNeeds[0]).toMatchObject({ name: 'New screw M5×14, valve screw, lower', partNumber: 'NP-05-0514' });
  });
  it('has no timer left once somebody has said how it went, or given it up', () => {
    const running = (...bodies: Parameters<typeof job>) => job(...bodies).timers.filter(({ ended }) => ended === null);
    const oiled = [of('note-seized'), tried('oil', 'waiting', 't1')];
    expect(running(...oiled)).toHaveLength(1);
    expect(running(...oiled, tried('oil', 'not yet'))).toEqual([]);
    expect(running(...oiled, of('give-up-screw'))).toEqual([]);
    // Another screw goes on waiting.
    const other = of('note-seized', { id: 'other', where: 'Valve screw, upper' });
    const both = [
      ...oiled,
      other,
      of('try-rung', { screwId: 'other', rung: 'oil', outcome: 'waiting', timerId: 't2' }),
    ];
    expect(running(...both, tried('oil', 'out')).map(({ id }) => id)).toEqual(['t2']);
  });
  it('loses its head for the rungs that come', () => {
    expect(job(of('note-seized'), tried('right-bit', 'head gone')).seized[0]?.headWhole).toBe(false);
  });
  it.each([
    [[of('note-seized')], tried('right-bit', 'waiting', 't'), 'outcome'],
    [[of('note-seized')], tried('oil', 'waiting'), 'timerId'],
    [[of('note-seized'), tried('oil', 'not yet')], tried('oil', 'not yet'), 'changed'],
    [[of('note-seized'), tried('drill', 'out')], tried('grip', 'out'), null],
  ])('refuses what cannot be', (before, body_, field) => {
    expect(refusal(job(...before), body_)).toMatchObject({ field });
  });
});

describe('rebuilding', () => {
  it('keeps petroleum jelly off EPDM', () => {
    const seal = of('decide-seal', { rubber: 'epdm', lubricant: 'petroleum-jelly' });
    expect(refusal(job(), seal)).toMatchObject({ field: 'lubricant' });
    expect(refusal(job(), of('decide-seal', { rubber: 'epdm', lubricant: 'silicone-grease' }))).toBeNull();
  });
  it('sends each injector back to its own cylinder', () => {
    const apart = job(of('set-apart'));
    expect(refusal(apart, of('return-piece', { place: 'cylinder 3' }))?.message).toContain('came from cylinder 2');
    expect(refusal(apart, of('return-piece', { place: 'Cylinder 2 ' }))).toBeNull();
    expect(refusal(apart, of('return-piece', { place: 'cylinder 3', renewed: true }))).toBeNull();
    expect(refusal(apart, of('set-apart', { id: 'other' }))).toMatchObject({ field: 'place' });
  });
  it('leaves the stop screw alone until the rule is departed from', () => {
    const turn = of('turn-screw', { screw: 'stop' });
    const rules = { 'stop-screw': 'never' };
    expect(refusal(job(), turn, { rules })).toMatchObject({ code: 'house-rule' });
    const departed = decide(
      job(),
      { type: 'depart-from-rule', data: { question: 'stop-screw', taken: 'stop-gap', reason: 'warped' } } as Command,
      { ...SAMPLE_CONTEXT, rules },
    );
    expect(departed.ok).toBe(true);
    expect(refusal(job(), of('turn-screw', { turnsText: 'a bit' }))).toMatchObject({ field: 'turnsText' });
  });
  it.each([
    [{ typed: ['0.5', '1.5', 'x', '3.5', '4.5'] }, 'typed.2'],
    [{ typed: ['0.5', '1.5', '2.5', '3.5', '9'] }, 'typed.4'],
    [{ typed: ['0.5', '1.5', '2.5', '3.5', '0.5'] }, 'typed.4'],
  ])('refuses the sweep %j', (change, field) => {
    expect(refusal(job(), of('sweep-sensor', change))).toMatchObject({ field });
  });
});

describe('replacing', () => {
  const fitted = (change: object) => ({ ...SAMPLES['replace-unit'].data.fitted, ...change });
  it('does not fit what does not fit, unless somebody says why', () => {
    const wrong = fitted({ features: { portMm: 42, gasket: 'round', pins: 3, drive: 'cable', mark: 'A' } });
    expect(refusal(job(), of('replace-unit', { fitted: wrong }))).toMatchObject({ code: 'does-not-fit' });
    expect(refusal(job(), of('replace-unit', { fitted: wrong, anyway: 'adapter plate' }))).toBeNull();
  });
  it.each([
    [{ partNumber: '' }, 'fitted.partNumber'],
    [{ unitId: '' }, 'fitted.unitId'],
    [{ unitId: 'u' }, 'fitted.unitId'],
    [{ priceMinor: -1 }, 'fitted.priceMinor'],
    [{ warrantyMonths: 500 }, 'fitted.warrantyMonths'],
  ])('refuses %j', (change, field) => {
    expect(refusal(job(), of('replace-unit', { fitted: fitted(change) }))).toMatchObject({ field });
  });
});

describe('coolant', () => {
  const hose: CommandBody = { type: 'add-item', data: { item: item('hose', { kind: 'coolant-hose' }) } };
  const book = (kind: 'caught' | 'added', amountText: string, change: object = {}): CommandBody => ({
    type: 'record-coolant',
    data: { id: kind + amountText, kind, amountText, concentration: kind === 'added' ? 0.5 : null, ...change },
  });
  it('asks where the coolant of an opened hose went', () => {
    expect(coolantLoss(job(pin, hose, off('hose')))).toMatchObject({ middle: 0.25 });
    expect(jobCoolantQuestions(job(pin, hose, off('hose'))).join()).toContain('how much was caught?');
    expect(jobCoolantQuestions(job(pin, hose, off('hose'), book('caught', '0.3 L'))).join()).not.toContain('how much');
    expect(jobCoolantQuestions(job(pin))).toEqual([]);
  });
  it('goes by what was read before, else by the procedure', () => {
    expect(shareBefore(job(pin))).toEqual({ share: 0.5, read: false });
    const read = job(pin, of('test-coolant', { typed: '-14.1' }), book('caught', '1 L'), book('added', '1 L'));
    expect(shareBefore(read)?.read).toBe(true);
    expect(shareBefore(read)?.share).toBeCloseTo(0.278, 2);
    expect(coolantNow(read)?.volume).toBeCloseTo(6, 9);
    expect(coolantNow(read)?.concentration).toBeCloseTo((5 * shareBefore(read)!.share + 0.5) / 6, 9);
  });
  it('says when two inhibitors do not mix', () => {
    const mixed = job(pin, book('added', '1 L', { inhibitor: 'OAT' }));
    expect(inhibitorQuestions(mixed)).toEqual([]);
    const procedure = { ...mixed.procedure!, coolant: { ...mixed.procedure!.coolant!, inhibitor: 'IAT' as const } };
    expect(inhibitorQuestions({ ...mixed, procedure })[0]).toContain('Flush');
  });
  it.each([
    [of('test-coolant', { scale: 'propylene' }), 'scale'],
    [of('test-coolant', { typed: 'cold' }), 'typed'],
    [of('test-coolant', { typed: '-90' }), 'typed'],
    [of('check-leaks', { where: '' }), 'where'],
    [of('set-recheck', { days: null, use: null }), 'days'],
    [of('set-recheck', { what: ' ' }), 'what'],
    [of('set-recheck', { days: 0 }), 'days'],
  ])('refuses %j', (body_, field) => {
    expect(refusal(job(pin), body_)).toMatchObject({ field });
  });
});

describe('marking a picture', () => {
  const on = () => job(...(SAMPLES['mark-picture'].after as CommandBody[]).slice(1));
  it.each([
    [{ anchors: [{ x: 0.5, y: 0.5 }] }, 'anchors'],
    [
      {
        anchors: [
          { x: 0.5, y: 0.5 },
          { x: 0.51, y: 0.5 },
        ],
      },
      'anchors',
    ],
    [{ marks: [{ kind: 'text', x: 0, y: 0, text: ' ' }] }, 'marks'],
    [{ pictureId: 'other' }, null],
  ] as const)('refuses %j', (change, field) => {
    expect(refusal(on(), of('mark-picture', change as never))).toMatchObject({ field });
  });
});
