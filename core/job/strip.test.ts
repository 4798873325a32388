import { describe, expect, it } from 'vitest';
import type { Command, CommandBody, RecordedEvent } from './catalogue.ts';
import type { Context } from './context.ts';
import { decide } from './decide.ts';
import { evolve } from './evolve.ts';
import {
  endSteps,
  isAtTorque,
  itemOf,
  jobLocks,
  jobMayStart,
  jobPlan,
  jobTally,
  lengthsOf,
  lockWords,
  nextBack,
  nextBolt,
  nextOffFor,
  peopleAtIt,
  proposeProcedure,
} from './index.ts';
import { contextFor } from './testing/play.ts';
import { back, open, pinRich, RICH_PROCEDURE } from './testing/world.ts';
import type { Job } from './job.ts';

/** A job in the hands of several people, with a clock. */
class Shop {
  readonly log: RecordedEvent[] = [];
  #job: Job | null = null;
  #clock = Date.UTC(2026, 4, 13, 8);

  get now(): Job {
    if (this.#job === null) throw new Error('not open');
    return this.#job;
  }

  try(body: CommandBody, by = 'tomas', minutes = 1, context: Partial<Context> = {}) {
    this.#clock += minutes * 60_000;
    const at = new Date(this.#clock).toISOString();
    const command = { ...body, id: `c${this.log.length}`, at, by, seen: 0 } as Command;
    const decision = decide(this.#job, command, { ...contextFor(body), ...context });
    if (decision.ok)
      for (const fact of decision.events) {
        const recorded = { ...fact, seq: this.log.length + 1, commandId: command.id, at, by } as RecordedEvent;
        this.log.push(recorded);
        this.#job = evolve(this.#job, recorded, 'j');
      }
    return decision;
  }

  do(body: CommandBody, by = 'tomas', minutes = 1): this {
    const decision = this.try(body, by, minutes);
    if (!decision.ok) throw new Error(`${body.type}: ${decision.message} ${decision.wouldHelp}`);
    return this;
  }

  off(itemId: string, more: object = {}, by = 'tomas', minutes = 1): this {
    return this.do(
      { type: 'remove-item', data: { itemId, pocket: '', label: '', countedOut: null, ...more } },
      by,
      minutes,
    );
  }
}

const rich = (): Shop => new Shop().do(open).do(pinRich);
const code = (decision: ReturnType<Shop['try']>): string => (decision.ok ? 'taken' : decision.code);
const take = (itemId: string, more: object = {}): CommandBody => ({
  type: 'remove-item',
  data: { itemId, pocket: '', label: '', countedOut: null, ...more },
});
const pass = (
  itemId: string,
  number: number,
  torqueText: string,
  method: 'wrench' | 'angle' = 'wrench',
): CommandBody => ({
  type: 'tighten-pass',
  data: { itemId, pass: number, method, torqueText, wrenchId: 'w' },
});

describe('look-alikes', () => {
  it('ask for a tag, and for another one each', () => {
    const shop = rich();
    expect(shop.try(take('left-plug'))).toMatchObject({
      ok: false,
      field: 'label',
      message: expect.stringContaining('sample right-plug'),
    });
    shop.off('left-plug', { label: 'left' });
    expect(shop.try(take('right-plug', { label: 'Left' }))).toMatchObject({ ok: false, field: 'label' });
    shop.off('right-plug', { label: 'right' });
    // Off again it keeps its tag.
    shop.do(back('right-plug')).off('right-plug');
    expect(itemOf(shop.now, 'right-plug')?.label).toBe('right');
  });
});

describe('fasteners', () => {
  const counted = {
    countedOut: 4,
    stayIn: 2,
    lengthsOut: [
      { lengthMm: 25, count: 3 },
      { lengthMm: 20, count: 1 },
    ],
  };
  it('are counted by length, and the lengths must add up', () => {
    const shop = rich();
    expect(lengthsOf(itemOf(shop.now, 'screws')!)).toEqual([
      { lengthMm: 25, count: 3, places: ['upper left', 'upper right', 'lower right'] },
      { lengthMm: 20, count: 1, places: ['lower left'] },
    ]);
    expect(shop.try(take('screws', { ...counted, lengthsOut: [{ lengthMm: 25, count: 3 }] }))).toMatchObject({
      ok: false,
      field: 'lengthsOut',
    });
    expect(shop.try(take('screws', { countedOut: 4, stayIn: 4 }))).toMatchObject({ ok: false, field: 'stayIn' });
  });
  it('that stay in hold the unit until they are out', () => {
    const shop = rich().off('screws', counted);
    expect(jobTally(shop.now).stayingIn.map(({ id }) => id)).toEqual(['screws']);
    expect(code(shop.try(take('unit')))).toBe('held-by-bolts');
    shop.do({ type: 'take-out-rest', data: { itemId: 'screws' } }).off('unit');
    expect(code(shop.try({ type: 'take-out-rest', data: { itemId: 'screws' } }))).toBe('not-there');
  });
});

describe('tightening', () => {
  const ready = (): Shop => rich().off('screws');
  it('goes by angle after the torque where the source says so, and the last bolt brings the group back', () => {
    const shop = ready().do(pass('screws', 1, '5 Nm'));
    expect(itemOf(shop.now, 'screws')?.bolts.every(({ final }) => !final)).toBe(true);
    expect(nextBolt(itemOf(shop.now, 'screws')!)).toMatchObject({ pass: 2 });
    expect(shop.try(pass('screws', 2, 'far', 'angle'))).toMatchObject({ ok: false, field: 'torqueText' });
    expect(code(shop.try(pass('screws', 3, '45', 'angle')))).toBe('bad-value');
    shop.do(pass('screws', 2, '45°', 'angle'));
    expect(itemOf(shop.now, 'screws')).toMatchObject({ state: 'refitted', bolts: [{ angleDeg: 45 }, {}, {}, {}] });
    expect(code(shop.try(pass('screws', 2, '45', 'angle')))).toBe('already-there');
  });
  it.each([
    ['30', false],
    ['41', true],
    ['50', true],
    ['51', false],
  ])('takes %s° of 45° as good: %s', (angle, good) => {
    const shop = ready()
      .do(pass('screws', 1, '5 Nm'))
      .do(pass('screws', 2, angle, 'angle'));
    expect(isAtTorque(itemOf(shop.now, 'screws')!, '1')).toBe(good);
    expect(itemOf(shop.now, 'screws')?.state).toBe(good ? 'refitted' : 'off');
  });
  it('keeps the adapter that was on the wrench', () => {
    const on = pass('screws', 1, '5 Nm');
    const adapter = { lengthMm: 40, leverMm: 250, angleDeg: 90 };
    const shop = ready().do({ ...on, data: { ...on.data, adapter } as never });
    expect(itemOf(shop.now, 'screws')?.bolts[0]).toMatchObject({ adapter, nm: expect.closeTo(5, 9) as number });
  });
  it('fills in only what a pass still wants', () => {
    const shop = ready()
      .do({
        type: 'tighten-bolt',
        data: { itemId: 'screws', boltId: '2', pass: 1, method: 'wrench', torqueText: '4.8 Nm', wrenchId: 'w' },
      })
      .do(pass('screws', 1, '5 Nm'));
    expect(
      itemOf(shop.now, 'screws')
        ?.bolts.map(({ boltId, nm }) => `${boltId} ${nm}`)
        .sort(),
    ).toEqual(['1 5', '2 4.8', '3 5', '4 5']);
  });
  it('stops at a thread that stripped until it is repaired, and asks for the bolt again', () => {
    const shop = ready()
      .do(pass('screws', 1, '5 Nm'))
      .do(pass('screws', 2, '45', 'angle'));
    shop.do({ type: 'strip-thread', data: { itemId: 'screws', boltId: '3', note: 'turned without end' } });
    expect(jobMayStart(shop.now)).toMatchObject({ may: false, holds: [{ code: 'thread' }, { code: 'torque' }] });
    const again: CommandBody = {
      type: 'tighten-bolt',
      data: { itemId: 'screws', boltId: '3', pass: 2, method: 'angle', torqueText: '45', wrenchId: 'w' },
    };
    expect(code(shop.try(again))).toBe('thread-stripped');
    shop.do({ type: 'repair-thread', data: { itemId: 'screws', boltId: '3', route: 'insert', note: '' } });
    expect(nextBolt(itemOf(shop.now, 'screws')!)).toEqual({ boltId: '3', pass: 1 });
    shop.do({ ...again, data: { ...again.data, pass: 1, torqueText: '5 Nm', method: 'wrench' } as never }).do(again);
    expect(jobMayStart(shop.now).may).toBe(true);
  });
  it('is gone over again once cold, and what moved is said', () => {
    const over = (moved: boolean, note: string): CommandBody => ({
      type: 'go-over-group',
      data: { itemId: 'screws', moved, note },
    });
    const shop = ready();
    expect(code(shop.try(over(false, '')))).toBe('not-tight');
    shop.do(pass('screws', 1, '5 Nm')).do(pass('screws', 2, '45', 'angle'));
    expect(shop.try(over(true, ''))).toMatchObject({ ok: false, field: 'note' });
    expect(itemOf(shop.do(over(true, 'lower left, an eighth')).now, 'screws')?.retorqued?.moved).toBe(true);
  });
});

describe('locks', () => {
  const say = (iso: string): string => iso.slice(0, 10);
  const words = (shop: Shop, itemId: string, at: string | null = null): string[] =>
    jobLocks(shop.now, itemId, at).map((lock) => lockWords(shop.now, lock, say));
  it('hold a unit for the bench, and let it go when the bench is done', () => {
    const shop = rich().off('unit');
    expect(words(shop, 'unit')).toEqual(['Bench work on sample unit is not finished: clean and dry first.']);
    expect(code(shop.try(back('unit')))).toBe('must-wait');
    shop.do({ type: 'finish-bench', data: { itemId: 'unit', note: '' } }).do(back('unit'));
    expect(code(shop.try({ type: 'finish-bench', data: { itemId: 'unit', note: '' } }))).toBe('already-there');
  });
  it('take passing Rebuild as the whole bench done', () => {
    const shop = rich()
      .off('unit')
      .do({ type: 'pass-stage', data: { stage: 'rebuild' } });
    expect(words(shop, 'unit')).toEqual([]);
  });
  it('wait for a part that is on order, with its day', () => {
    const shop = rich().off('seal');
    expect(words(shop, 'seal')).toEqual([]);
    shop.do({ type: 'tick-need', data: { needId: 'seal-7', state: 'ordered', expected: '2026-05-18' } });
    expect(words(shop, 'seal')).toEqual(['Seal is not here, expected 2026-05-18: a new one.']);
    shop.do({ type: 'tick-need', data: { needId: 'seal-7', state: 'ready', expected: null } }).do(back('seal'));
  });
  it('wait for a cure until its time is over', () => {
    const shop = rich().off('dashpot');
    shop.do({
      type: 'start-timer',
      data: { id: 't', label: 'Sealant cures', minutes: 30, kind: 'cure', itemId: 'dashpot' },
    });
    expect(words(shop, 'dashpot', shop.now.lastAt)).toEqual(['Sealant cures until 2026-05-13.']);
    expect(code(shop.try(back('dashpot')))).toBe('must-wait');
    expect(code(shop.try(back('dashpot'), 'tomas', 40))).toBe('taken');
  });
  it('follow a flag: a part is ordered for it, a repair is done, a note holds nothing', () => {
    const flag = (itemId: string, needs: 'part' | 'repair' | 'note', needId: string): CommandBody => ({
      type: 'flag-item',
      data: { itemId, flag: 'broken', needs, text: 'cracked', partNumber: 'X-1', needId },
    });
    const shop = rich()
      .off('dashpot')
      .do(flag('dashpot', 'part', 'own'))
      .off('arm')
      .do(flag('arm', 'repair', 'n2'));
    expect(words(shop, 'dashpot')).toEqual(['Sample dashpot is not here: the old one cannot serve.']);
    expect(words(shop, 'arm')).toEqual(['Bench work on sample arm is not finished: repair first: cracked.']);
    shop.do({ type: 'tick-need', data: { needId: 'own', state: 'ready', expected: null } });
    shop.do({ type: 'settle-flag', data: { itemId: 'arm', how: 'brazed' } });
    expect([words(shop, 'dashpot'), words(shop, 'arm')]).toEqual([[], []]);
    expect(
      shop.try({
        type: 'flag-item',
        data: { itemId: 'arm', flag: 'seized', needs: 'note', text: '', partNumber: '', needId: 'q' },
      }),
    ).toMatchObject({
      ok: false,
      field: 'text',
    });
  });
  it('keep a new unit off until what sat on the old one has moved over', () => {
    const shop = rich()
      .off('unit')
      .do({ type: 'finish-bench', data: { itemId: 'unit', note: '' } });
    const fitNew: CommandBody = { type: 'put-back-item', data: { ...back('unit').data, renewed: true } as never };
    expect(shop.try(fitNew)).toMatchObject({
      ok: false,
      code: 'swap-first',
      message: 'Still on the old one: sample arm.',
    });
    shop.do({ type: 'swap-over', data: { itemId: 'arm' } }).do(fitNew);
    expect(code(shop.try({ type: 'swap-over', data: { itemId: 'seal' } }))).toBe('no-such-item');
  });
});

describe('going against the order', () => {
  const against = (itemId: string): CommandBody => ({
    type: 'put-back-item',
    data: { ...back(itemId).data, against: 'it is on already' } as never,
  });
  it('is kept as it is, says what cannot be done now, and bends the plan', () => {
    const shop = rich()
      .off('left-plug', { label: 'l' })
      .off('unit')
      .do({ type: 'finish-bench', data: { itemId: 'unit', note: '' } });
    expect(code(shop.try(back('unit')))).toBe('must-wait');
    shop.do(against('unit'));
    expect(jobLocks(shop.now, 'left-plug', null)).toMatchObject([{ kind: 'buried', item: 'unit' }]);
    expect(code(shop.try(back('left-plug')))).toBe('must-wait');
    const plan = jobPlan(shop.now);
    expect(plan.ok && plan.steps.map(({ itemId }) => itemId)).toEqual(['unit', 'left-plug']);
    shop.off('unit').do(back('left-plug')).do(back('unit'));
    expect(shop.now.brokenOrders).toEqual([]);
  });
  it('buries a plug, which then cannot come out until the part is off again', () => {
    const shop = rich()
      .off('unit')
      .do({ type: 'plug-opening', data: { openingId: 'inlet', plugId: 'cap', what: 'Cap' } });
    shop.do({ type: 'finish-bench', data: { itemId: 'unit', note: '' } }).do(against('unit'));
    expect(shop.now.openings[0]?.state).toBe('plugged');
    expect(jobMayStart(shop.now)).toMatchObject({ may: false, holds: [{ code: 'opening-plugged' }] });
    expect(code(shop.try({ type: 'unplug-opening', data: { openingId: 'inlet' } }))).toBe('buried');
    shop
      .off('unit')
      .do({ type: 'unplug-opening', data: { openingId: 'inlet' } })
      .do(back('unit'));
    expect(jobMayStart(shop.now).may).toBe(true);
  });
});

describe('a plug', () => {
  it('is not taken off like an item once it is out: that would count it as in, with no opening to be in', () => {
    const shop = rich()
      .off('unit')
      .do({ type: 'plug-opening', data: { openingId: 'inlet', plugId: 'cap', what: 'Cap' } });
    shop.do({ type: 'unplug-opening', data: { openingId: 'inlet' } });
    expect(code(shop.try(take('cap')))).toBe('not-an-item');
    shop.do({ type: 'plug-opening', data: { openingId: 'inlet', plugId: 'cap-2', what: 'Cap' } });
    expect(jobTally(shop.now).openingsPlugged).toMatchObject([{ id: 'inlet', plug: 'Cap' }]);
  });
});

describe('two people', () => {
  it('are each offered a step that nothing ties to the other’s', () => {
    const shop = rich();
    for (const [id, label] of [
      ['dashpot', ''],
      ['right-plug', 'r'],
      ['left-plug', 'l'],
      ['arm', ''],
    ] as const)
      shop.off(id, { label });
    expect(nextBack(shop.now, 'wen')?.id).toBe('arm');
    shop.do({ type: 'take-step', data: { itemId: 'arm' } }, 'tomas');
    expect(nextBack(shop.now, 'tomas')?.id).toBe('arm');
    expect(nextBack(shop.now, 'wen')?.id).toBe('left-plug');
    shop.do({ type: 'take-step', data: { itemId: 'left-plug' } }, 'wen');
    expect(nextBack(shop.now, 'isla')?.id).toBe('right-plug');
    shop.do(back('arm'), 'tomas');
    expect(shop.now.hands.map(({ by }) => by)).toEqual(['wen']);
    expect(peopleAtIt(shop.now, shop.now.lastAt)).toEqual(['tomas', 'wen']);
    expect(peopleAtIt(shop.now, '2026-05-13T23:00:00.000Z')).toEqual([]);
  });
});

describe('two people taking off', () => {
  it('work under different headings, and neither is sent to what the other has', () => {
    const sections: Readonly<Record<string, string>> = { 'left-plug': 'Left', dashpot: 'Left', 'right-plug': 'Right' };
    const procedure = {
      ...RICH_PROCEDURE,
      items: RICH_PROCEDURE.items.map((item) => ({ ...item, section: sections[item.id] ?? '' })),
    };
    const shop = new Shop().do(open);
    shop.try({ type: 'pin-procedure', data: { procedureId: 'rich' } }, 'tomas', 1, { procedure });
    expect(nextOffFor(shop.now, 'wen')?.id).toBe('left-plug');
    shop.do({ type: 'take-step', data: { itemId: 'left-plug' } }, 'tomas');
    expect(nextOffFor(shop.now, 'tomas')?.id).toBe('left-plug');
    expect(nextOffFor(shop.now, 'wen')?.id).toBe('right-plug');
    shop.do({ type: 'take-step', data: { itemId: 'right-plug' } }, 'wen');
    expect(nextOffFor(shop.now, 'isla')?.id).toBe('screws');
    shop.off('left-plug', { label: 'l' }, 'tomas');
    expect(shop.now.hands.map(({ by }) => by)).toEqual(['wen']);
    expect(nextOffFor(shop.now, 'tomas')?.id).toBe('dashpot');
  });
});

describe('when all that is free is in other hands', () => {
  it('offers what is tied rather than nothing, and never the step that another has', () => {
    const shop = rich()
      .off('left-plug', { label: 'l' })
      .off('unit')
      .do({ type: 'finish-bench', data: { itemId: 'unit', note: '' } });
    shop.do({ type: 'take-step', data: { itemId: 'left-plug' } }, 'tomas');
    // The unit waits for the plug that Tomas has; nothing else is off.
    expect(nextBack(shop.now, 'wen')).toBeNull();
    shop.do(back('left-plug'), 'tomas');
    expect(nextBack(shop.now, 'wen')?.id).toBe('unit');
  });
});

describe('what is undone at the end', () => {
  it('comes from what was done first, and only that', () => {
    const shop = rich();
    expect(endSteps(shop.now)).toEqual([]);
    shop.do({ type: 'tick-need', data: { needId: 'battery-off', state: 'ready', expected: null } });
    expect(endSteps(shop.now)).toMatchObject([{ words: 'Battery negative on', done: false }]);
    expect(jobMayStart(shop.now)).toMatchObject({
      may: false,
      holds: [{ code: 'end-step', words: 'not yet: battery negative on' }],
    });
    shop.do({ type: 'do-end-step', data: { needId: 'battery-off', note: '' } });
    expect(jobMayStart(shop.now).may).toBe(true);
    expect(code(shop.try({ type: 'do-end-step', data: { needId: 'battery-off', note: '' } }))).toBe('already-there');
  });
});

describe('only a lead', () => {
  it('accepts a loss or lets the engine start', () => {
    const shop = rich().do({ type: 'drop-object', data: { id: 'd', what: 'Nut', where: 'valley' } });
    const lost: CommandBody = { type: 'end-search', data: { id: 'd', outcome: 'accepted', where: 'somewhere' } };
    const word: CommandBody = { type: 'override-hold', data: { keys: ['search d'], reason: 'x' } };
    for (const [role, why] of [
      ['technician', 'lead-only'],
      ['apprentice', 'lead-only'],
      [null, 'lead-only'],
      ['owner', 'not-yours'],
      ['parts', 'not-yours'],
    ] as const) {
      expect(code(shop.try(lost, 'tomas', 1, { role }))).toBe(why);
      expect(code(shop.try(word, 'tomas', 1, { role }))).toBe(why);
    }
    expect(
      code(
        shop.try({ type: 'end-search', data: { ...lost.data, outcome: 'found' } as never }, 'tomas', 1, {
          role: 'apprentice',
        }),
      ),
    ).toBe('taken');
    expect(code(shop.try(word))).toBe('not-held');
  });
});

describe('a lead’s word', () => {
  it('is for what they looked at: what comes off again holds again', () => {
    const shop = rich()
      .off('arm')
      .do({ type: 'override-hold', data: { keys: ['item-off arm'], reason: 'a test run' } }, 'isla');
    expect(jobMayStart(shop.now)).toMatchObject({ may: true, passed: [{ code: 'item-off' }] });
    shop.do(back('arm')).off('arm');
    expect(jobMayStart(shop.now)).toMatchObject({
      may: false,
      holds: [{ code: 'item-off', subject: 'arm' }],
      passed: [],
    });
  });
  it('for an opening ends when the opening is exposed anew', () => {
    const shop = rich()
      .off('unit')
      .do(
        {
          type: 'override-hold',
          data: { keys: ['opening-open inlet', 'item-off unit'], reason: 'cranked for the pump' },
        },
        'isla',
      );
    expect(jobMayStart(shop.now).may).toBe(true);
    shop
      .do({ type: 'finish-bench', data: { itemId: 'unit', note: '' } })
      .do(back('unit'))
      .off('unit');
    expect(jobMayStart(shop.now)).toMatchObject({
      may: false,
      holds: [{ code: 'opening-open' }, { code: 'item-off' }],
    });
  });
});

describe('time', () => {
  it('goes to the item that an entry is about, by each person’s own gaps', () => {
    const shop = rich()
      .off('dashpot', {}, 'tomas', 5)
      .off('arm', {}, 'wen', 3)
      .off('seal', {}, 'wen', 4)
      .do(back('dashpot'), 'tomas', 2)
      .off('dashpot', {}, 'tomas', 90);
    const seconds = (id: string) => itemOf(shop.now, id)?.seconds;
    // Wen’s first entry follows nothing of hers; Tomas’s gap runs over hers; ninety minutes are no working gap.
    expect(seconds('dashpot')).toEqual({ off: 300, back: 540 });
    expect(seconds('arm')).toEqual({ off: 0, back: 0 });
    expect(seconds('seal')).toEqual({ off: 240, back: 0 });
  });
});

describe('proposeProcedure', () => {
  const head = { id: 'new', name: 'New', family: 'samples', familyId: null, work: 'clean' } as const;
  function worked(): Shop {
    const shop = rich();
    shop.do({ type: 'tick-need', data: { needId: 'seal-7', state: 'ready', expected: null } });
    shop.off('dashpot', {}, 'tomas', 6).off('left-plug', { label: 'l' }).off('unit').off('seal');
    shop.do({ type: 'keep-measure', data: { itemId: 'dashpot', kind: 'gap', text: '7 mm' } });
    shop.do({ type: 'finish-bench', data: { itemId: 'unit', note: '' } });
    shop.do({ type: 'put-back-item', data: { ...back('seal').data, renewed: true, fitted: 'S-8' } as never });
    // The unit went on before the dashpot, and had to come off again for it.
    shop.do(back('left-plug')).do(back('unit')).off('unit').do(back('dashpot')).do(back('unit'));
    shop.do({
      type: 'add-need',
      data: { need: { id: 'clip', kind: 'part', name: 'Clip', partNumber: '', note: '', caution: null } },
    });
    return shop;
  }
  it('takes what was done: order, parts, measures, minutes and needs', () => {
    const shop = worked();
    const { procedure } = proposeProcedure(shop.now, shop.log, head);
    expect(procedure.items.map(({ id }) => id)).toEqual(['dashpot', 'left-plug', 'unit', 'seal']);
    expect(procedure.items[0]).toMatchObject({ restore: ['lock-nut', 'gap'], minutes: { off: 7 } });
    expect(procedure.items[3]).toMatchObject({ singleUse: true, partNumber: 'S-8' });
    expect(procedure.needs.map(({ id }) => id)).toEqual(['seal-7', 'battery-off', 'clip', 'need-seal']);
    expect(procedure.openings.map(({ id }) => id)).toEqual(['inlet']);
    expect(procedure.source).toBe('job 1');
  });
  it('finds the reason that a thing had to come off again', () => {
    const shop = worked();
    const { procedure, lessons } = proposeProcedure(shop.now, shop.log, head);
    expect(procedure.constraints.find(({ id }) => id === 'found-dashpot-unit')).toMatchObject({
      kind: 'before',
      a: 'dashpot',
      b: 'unit',
    });
    expect(lessons.map(({ words }) => words)).toContain(
      'Sample dashpot before sample unit: sample unit had to come off again for it.',
    );
    expect(lessons.map(({ words }) => words)).toContain('Clip was needed and not listed.');
    expect(lessons.map(({ words }) => words)).toContain('Sample arm could stay on.');
  });
  it('takes nothing from what was undone', () => {
    const shop = rich().off('left-plug', { label: 'l' }).off('dashpot').do(back('left-plug')).off('left-plug');
    shop.do({ type: 'undo', data: { expected: shop.now.undo!.commandId } }).do(back('dashpot'));
    expect(proposeProcedure(shop.now, shop.log, head).procedure.constraints.map(({ id }) => id)).not.toContain(
      'found-dashpot-left-plug',
    );
  });
  it('can be worked from by the next job', () => {
    const shop = worked();
    const { procedure } = proposeProcedure(shop.now, shop.log, head);
    const next = new Shop().do(open);
    expect(code(next.try({ type: 'pin-procedure', data: { procedureId: 'new' } }, 'tomas', 1, { procedure }))).toBe(
      'taken',
    );
    for (const { id, alike } of procedure.items) next.off(id, { label: alike ?? '' });
    const plan = jobPlan(next.now);
    expect(plan.ok && plan.steps.map(({ itemId }) => itemId)).toEqual(['seal', 'left-plug', 'dashpot', 'unit']);
    expect(RICH_PROCEDURE.constraints).toHaveLength(4);
  });
});
