import { describe, expect, it } from 'vitest';
import { MASKS, PART_FORMS } from '../../clean/index.ts';
import { pointsFor } from '../../inspect/index.ts';
import {
  benchParts,
  type CommandBody,
  commandOf,
  decide,
  diagnoseJob,
  isVehicleUnit,
  itemOf,
  type Job,
  jobUnits,
  nextUnitPass,
  passesNow,
  tapOn,
  unitMethod,
  UNTYPED,
  wantsGrade,
} from '../index.ts';
import type { Command } from '../catalogue.ts';
import { SHIPPED_KNOWLEDGE } from '../../diagnose/knowledge/index.ts';
import { play } from '../testing/play.ts';
import { back, item, off, open, SAMPLE_CONTEXT } from '../testing/samples.ts';
import { partOnBenchRows, renewedPartRows } from './sheet.ts';

const job = (...bodies: CommandBody[]): Job => play([open, ...bodies]).job!;
const lay = (id: string, form: (typeof PART_FORMS)[number], place = '', name = ''): CommandBody => ({
  type: 'lay-out-part',
  data: { id, form, name, place },
});
const pass = (unit: string, kind: string, id: string, more: object = {}): CommandBody =>
  ({ type: 'do-pass', data: { id, unit, kind, ...more } }) as CommandBody;

describe('parts beside the units', () => {
  it('stand in a lane of their own, told apart by where they go', () => {
    const laid = job(lay('a', 'injector', 'cylinder 1'), lay('b', 'injector', 'cylinder 2'), lay('c', 'breather'));
    const parts = jobUnits(laid, null).filter((unit) => !isVehicleUnit(unit));
    expect(parts.map(({ id, name }) => [id, name])).toEqual([
      ['part-a', 'Injector, cylinder 1'],
      ['part-b', 'Injector, cylinder 2'],
      ['part-c', 'Breather valve'],
    ]);
    const twice = decide(laid, lay('d', 'injector', 'cylinder 1') as Command, SAMPLE_CONTEXT);
    expect(twice).toMatchObject({ ok: false, field: 'place', message: /say where this one goes/ });
  });
  it.each(PART_FORMS)('%s is covered, cleaned, looked at and dried by its own method', (form) => {
    const bodies: CommandBody[] = [lay('a', form)];
    const unit = () => jobUnits(job(...bodies), null).find(({ id }) => id === 'part-a')!;
    expect(MASKS[form].length).toBeGreaterThan(0);
    expect(pointsFor(form).map(({ id }) => id)).toContain('part-whole');
    const kinds: string[] = [];
    for (let step = 0; step < 12; step += 1) {
      const now = job(...bodies);
      const method = unitMethod(now, unit(), {});
      if (wantsGrade(now, unit(), method)) {
        bodies.push({
          type: 'judge-point',
          data: {
            id: `g${step}`,
            unit: 'part-a',
            kind: 'part',
            form,
            point: 'part-deposit',
            when: 'after',
            which: '',
            marks: [0],
            outcome: '',
            typed: [],
            note: '',
          },
        } as CommandBody);
        continue;
      }
      const next = nextUnitPass(now, unit(), method);
      if (next === null) break;
      const plan = method.passes.find(({ kind }) => kind === next);
      kinds.push(next);
      // What is proposed is taken without a question.
      bodies.push(
        pass('part-a', next, `p${step}`, {
          form,
          ...(plan?.substance && plan.how ? { substance: plan.substance, how: plan.how } : {}),
        }),
      );
    }
    expect(kinds[0]).toBe('protect');
    expect(kinds.at(-1)).toBe('dry');
    expect(partOnBenchRows(job(...bodies))[0]?.value).toContain('cleaned: protect');
  });
  it('asks about the film of an air meter whatever else is sprayed', () => {
    const laid = job(lay('a', 'air-meter'), pass('part-a', 'protect', 'c'));
    const spray = pass('part-a', 'wet', 'w', { form: 'air-meter', substance: 'throttle-cleaner', how: 'spray' });
    expect(decide(laid, spray as Command, SAMPLE_CONTEXT)).toMatchObject({
      ok: false,
      field: 'because',
      message: /hot-film element/,
    });
  });
  it('say nothing of the throttle: a torn ring of an injector moves no cause', () => {
    const torn: CommandBody = {
      type: 'judge-point',
      data: {
        id: 'r',
        unit: 'part-a',
        kind: 'part',
        form: 'injector',
        point: 'ring-look',
        when: 'before',
        which: 'lower ring',
        marks: [],
        outcome: 'cracked',
        typed: [],
        note: '',
      },
    };
    const plain = job(lay('a', 'injector', 'cylinder 1'));
    const found = job(lay('a', 'injector', 'cylinder 1'), torn);
    expect(found.findings[0]?.judged).toMatchObject({ verdict: 'bad', cure: 'renew' });
    const shares = (of: Job) =>
      diagnoseJob(of, SHIPPED_KNOWLEDGE, null).ranking.causes.map(({ id, share }) => [id, share]);
    expect(shares(found)).toEqual(shares(plain));
  });
  it('come to the bench by themselves where an item of the procedure is one, and go when it was only tied aside', () => {
    const add: CommandBody = {
      type: 'add-item',
      data: { item: item('meter', { part: 'air-meter', partNumber: 'AM-1' }) },
    };
    const parts = (made: Job) => benchParts(made).map(({ id, form, itemId }) => [id, form, itemId]);
    expect(parts(job(add))).toEqual([]);
    expect(parts(job(add, off('meter')))).toEqual([['part-meter', 'air-meter', 'meter']]);
    const aside: CommandBody = { type: 'tie-aside', data: { itemId: 'meter', where: 'wing' } };
    expect(parts(job(add, aside))).toEqual([]);
    const again = job(
      add,
      off('meter'),
      pass('part-meter', 'protect', 'c', { form: 'air-meter' }),
      back('meter'),
      off('meter'),
    );
    expect(passesNow(again, 'part-meter').before).toHaveLength(1);
  });
  it('renew their item: what goes back is the other one, unless somebody says otherwise', () => {
    const add: CommandBody = {
      type: 'add-item',
      data: { item: item('meter', { part: 'air-meter', partNumber: 'AM-1' }) },
    };
    const renew: CommandBody = {
      type: 'renew-part',
      data: {
        id: 'r',
        unit: 'part-meter',
        partNumber: 'AM-2',
        origin: 'new',
        priceMinor: 0,
        why: 'its film is broken',
      },
    };
    const made = job(add, off('meter'), renew);
    const meter = itemOf(made, 'meter')!;
    const tap = tapOn('refit', made, meter, UNTYPED, null)!;
    expect(commandOf(tap, made, UNTYPED, 'x')).toMatchObject({ data: { renewed: true, fitted: 'AM-2' } });
    expect(tapOn('refit', made, meter, { ...UNTYPED, renew: false }, null)).toMatchObject({ renewed: false });
    expect(renewedPartRows(made)[0]).toMatchObject({ label: 'Sample meter', value: 'new one, AM-2' });
    const nothing = { ...renew, data: { ...renew.data, unit: 'part-none' } } as Command;
    expect(decide(job(add), nothing, SAMPLE_CONTEXT)).toMatchObject({ ok: false, message: /not lie on the bench/ });
    const silent = { ...renew, data: { ...renew.data, why: '' } } as Command;
    expect(decide(job(add, off('meter')), silent, SAMPLE_CONTEXT)).toMatchObject({ field: 'why' });
  });
  it('can be said to be one of those that came off, and only of those', () => {
    const lays = {
      type: 'lay-out-part',
      data: { id: 'l', form: 'hose', name: '', place: '', itemId: 'pipe' },
    } as Command;
    const add: CommandBody = { type: 'add-item', data: { item: item('pipe') } };
    expect(decide(job(add), lays, SAMPLE_CONTEXT)).toMatchObject({ ok: false, field: 'itemId' });
    expect(benchParts(job(add, off('pipe'), lays as CommandBody))).toMatchObject([{ id: 'part-l', itemId: 'pipe' }]);
  });
});
