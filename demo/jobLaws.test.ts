import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Command,
  type CommandBody,
  type Context,
  decide,
  evolve,
  FACTS,
  fixesOf,
  type Job,
  jobLocks,
  jobMayStart,
  jobPlan,
  jobTally,
  type LoggedFact,
  nameOfEntry,
  NO_CONTEXT,
  type RecordedEvent,
  replay,
  stateBefore,
} from '../core/job/index.ts';
import type { Procedure } from '../core/procedure/index.ts';
import { cableProcedure } from './procedures/cable.ts';
import { electronicProcedure } from './procedures/electronic.ts';
import { shop } from './shop.ts';
import { vehicles } from './vehicles.ts';

const vehicle = { ...vehicles.bus!, id: 'bus', lastReading: null };
const contextOf = (procedure: Procedure): Context => ({
  ...NO_CONTEXT,
  nextNumber: 1,
  vehicle,
  procedure,
  wrenches: shop.wrenches,
  role: 'lead',
});

/** A job in play: what is refused changes nothing, as for a person. */
class Play {
  readonly log: RecordedEvent[] = [];
  job: Job | null = null;
  readonly #context: Context;

  constructor(procedure: Procedure) {
    this.#context = contextOf(procedure);
    this.send({
      type: 'open-job',
      data: { vehicleId: 'bus', reading: { value: 1, unit: 'km' }, readingReason: '', complaint: 'x' },
    });
    this.send({ type: 'pin-procedure', data: { procedureId: procedure.id } });
  }

  get now(): Job {
    if (this.job === null) throw new Error('not opened');
    return this.job;
  }

  /** @returns whether it was taken */
  send(body: CommandBody, by = 'tomas'): boolean {
    const at = new Date(Date.UTC(2026, 4, 13, 8) + this.log.length * 40_000).toISOString();
    const commandId = `c${this.log.length}`;
    const decision = decide(this.job, { ...body, id: commandId, at, by, seen: 0 } as Command, this.#context);
    if (!decision.ok) return false;
    for (const fact of decision.events) {
      const recorded = { ...fact, seq: this.log.length + 1, commandId, at, by } as RecordedEvent;
      this.log.push(recorded);
      this.job = evolve(this.job, recorded, 'j');
    }
    return true;
  }
}

/** An entry that can be struck, picked by a number; one that is not there where none can. */
function strikable(job: Job, choice: number): { command: string; kind: string; nth: number } {
  const all: LoggedFact[] = [];
  for (let step = job.history; step !== null; step = step.earlier)
    if (fixesOf(FACTS.get(step.fact.type)!) !== 'none') all.push(step.fact);
  const entry = all[Math.floor(choice / 40) % Math.max(1, all.length)];
  return entry === undefined ? { command: 'none', kind: 'note-made', nth: 0 } : nameOfEntry(job, entry);
}

/** What a person might do next, picked by one number; many are refused. */
function move(job: Job, choice: number, index: number): CommandBody {
  const item = job.items[Math.floor(choice / 20) % job.items.length]!;
  const opening = job.openings[Math.floor(choice / 20) % Math.max(1, job.openings.length)];
  const openingId = opening?.id ?? 'none';
  const itemId = item.id;
  const takeOff: CommandBody = {
    type: 'remove-item',
    data: {
      itemId,
      pocket: '',
      label: item.alike === undefined ? '' : itemId,
      countedOut: item.fasteners?.count ?? null,
    },
  };
  const putBack = (more: { countedBack?: number; renewed?: boolean; against?: string }): CommandBody => ({
    type: 'put-back-item',
    data: { itemId, renewed: item.singleUse, fitted: '', countedBack: null, confirmed: true, ...more },
  });
  const moves: readonly CommandBody[] = [
    takeOff,
    takeOff,
    { type: 'remove-item', data: { ...takeOff.data, stayIn: 2, countedOut: null } as never },
    putBack({}),
    putBack({ countedBack: 0 }),
    putBack({ against: 'it was on already' }),
    { type: 'plug-opening', data: { openingId, plugId: `plug${index}`, what: 'cap' } },
    { type: 'unplug-opening', data: { openingId } },
    {
      type: 'tighten-bolt',
      data: {
        itemId,
        boltId: String(1 + (choice % 4)),
        pass: 1 + (choice % 2),
        torqueText: '8.5 Nm',
        method: 'wrench',
        wrenchId: 'small-click',
      },
    },
    {
      type: 'tighten-pass',
      data: { itemId, pass: 1 + (choice % 2), torqueText: '8.5 Nm', method: 'wrench', wrenchId: 'small-click' },
    },
    // The procedure itself stays: the laws are about what happens to its items.
    {
      type: 'undo',
      data: { expected: (job.undo?.label.startsWith('Procedure') ? undefined : job.undo?.commandId) ?? 'none' },
    },
    { type: 'redo', data: { expected: job.redo?.by ?? 'none' } },
    { type: 'strike-entry', data: { ...strikable(job, choice), why: 'wrong' } },
    { type: 'leave-off-item', data: { itemId, reason: 'missing' } },
    { type: 'place-object', data: { id: `rag${index}`, what: 'rag', where: 'duct' } },
    { type: 'drop-object', data: { id: `nut${index}`, what: 'nut', where: 'plenum' } },
    { type: 'end-search', data: { id: job.searches[0]?.id ?? 'none', outcome: 'found', where: 'tray' } },
    { type: 'take-out-rest', data: { itemId } },
    { type: 'finish-bench', data: { itemId, note: '' } },
    { type: 'strip-thread', data: { itemId, boltId: '1', note: '' } },
    { type: 'repair-thread', data: { itemId, boltId: '1', route: 'insert', note: '' } },
    {
      type: 'flag-item',
      data: {
        itemId,
        flag: 'seized',
        needs: choice % 3 === 0 ? 'part' : 'note',
        text: 'x',
        partNumber: '',
        needId: `n${index}`,
      },
    },
  ];
  return moves[choice % moves.length]!;
}

const PROCEDURES = [cableProcedure, electronicProcedure];

function play(choices: readonly number[]): Play {
  const game = new Play(PROCEDURES[(choices[0] ?? 0) % PROCEDURES.length]!);
  for (const [index, choice] of choices.entries())
    game.send(move(game.now, choice, index), choice % 7 === 0 ? 'wen' : 'tomas');
  return game;
}

const actions = (most: number) => fc.array(fc.nat({ max: 1_000_000 }), { minLength: 1, maxLength: most });
/** What an undo gives back: all but the log's own growth, the clock and who was seen. */
const given = ({
  undo: _,
  version: __,
  lastAt: ___,
  time: ____,
  last: _____,
  people: ______,
  hands: _______,
  trail: ________,
  // What was taken back can be done again, and cautions read since stay among the entries.
  redo: _________,
  history: __________,
  ...rest
}: Job): unknown => rest;

/** Nothing is lost: items, openings and fasteners are all where the tally says. */
function checkTally(job: Job): void {
  const listed = job.procedure!;
  const now = jobTally(job);
  if (job.items.filter(({ origin }) => origin === 'procedure').length !== listed.items.length)
    throw new Error('an item was lost');
  if (job.openings.length !== listed.openings.length) throw new Error('an opening was lost');
  const off = job.items.filter(({ state, origin }) => state === 'off' && origin !== 'plug').length;
  if (now.itemsOff.length !== off) throw new Error(`the tally has ${now.itemsOff.length} off, the job ${off}`);
  for (const opening of job.openings) {
    const closer = job.items.find(({ opens }) => opens.includes(opening.id))!;
    if (closer.state === 'on' && opening.state !== 'whole')
      throw new Error(`${opening.id} is ${opening.state} under an item that never moved`);
    if (closer.state === 'off' && opening.state !== 'open' && opening.state !== 'plugged')
      throw new Error(`${opening.id} is ${opening.state} with nothing over it`);
    if (opening.state === 'plugged' && job.items.find(({ id }) => id === opening.plugId)?.state !== 'off')
      throw new Error(`the plug of ${opening.id} is lost`);
  }
  const plugs = job.items.filter(({ origin, state }) => origin === 'plug' && state === 'off').length;
  if (plugs !== job.openings.filter(({ state }) => state === 'plugged').length) throw new Error('a plug is lost');
  if (now.fastenersBack > now.fastenersOut) throw new Error('more fasteners back than out');
  if (now.searching.length !== job.searches.filter(({ ended }) => ended === null).length)
    throw new Error('a search was lost');
  if (jobMayStart(job).may && (off > 0 || plugs > 0 || now.searching.length > 0))
    throw new Error('the engine may start with something off, in or lost');
}

/** Does what the plan says to the end. Bench work and parts are given, since they lock on purpose. */
function carryOut(game: Play): void {
  for (const item of game.now.items) {
    if (item.kind === 'unit' && item.state === 'off')
      game.send({ type: 'finish-bench', data: { itemId: item.id, note: '' } });
    if (item.flag?.needId && item.flag.settled === null)
      game.send({ type: 'settle-flag', data: { itemId: item.id, how: 'bought' } });
  }
  for (const need of game.now.procedure?.needs ?? [])
    game.send({ type: 'tick-need', data: { needId: need.id, state: 'ready', expected: null } });
  const plan = jobPlan(game.now);
  if (!plan.ok) throw new Error('no plan');
  for (const { itemId } of plan.steps) {
    const item = game.now.items.find(({ id }) => id === itemId)!;
    if (item.state !== 'off') continue;
    const opening = game.now.openings.find(({ plugId, state }) => plugId === itemId && state === 'plugged');
    const taken = game.send(
      opening
        ? { type: 'unplug-opening', data: { openingId: opening.id } }
        : { type: 'put-back-item', data: { itemId, renewed: false, fitted: '', countedBack: null, confirmed: true } },
    );
    if (!taken) throw new Error(`${itemId} was refused: ${JSON.stringify(jobLocks(game.now, itemId, null))}`);
  }
  expect(jobTally(game.now).itemsOff).toEqual([]);
}

describe('laws of a job', () => {
  it(
    'over 10,000 random jobs nothing is lost, undo gives back the state exactly, and every accepted plan can be carried out',
    { timeout: 240_000 },
    () => {
      fc.assert(
        fc.property(actions(30), (choices) => {
          const game = play(choices);
          checkTally(game.now);
          const { undo } = game.now;
          if (undo !== null && !undo.label.startsWith('Procedure')) {
            const before = game.now;
            game.send({ type: 'undo', data: { expected: undo.commandId } });
            expect(given(game.now)).toEqual({ ...(given(stateBefore(undo)) as object), cautions: before.cautions });
            checkTally(game.now);
            // Done again it is as if it had never been taken back.
            game.send({ type: 'redo', data: { expected: game.now.redo!.by } });
            expect(given(game.now)).toEqual(given(before));
            expect(game.now.undo?.commandId).toBe(undo.commandId);
          }
          // What went on against the order must come off again first: the plan says so, and is not carried out here.
          if (game.now.brokenOrders.length === 0) carryOut(game);
        }),
        { numRuns: 10_000 },
      );
    },
  );
  it('replays to the same job', () => {
    fc.assert(
      fc.property(actions(120), (choices) => {
        const game = play(choices);
        expect(replay('j', game.log)).toEqual(game.now);
      }),
      { numRuns: 200 },
    );
  });
  it('says of what lies under something that went on too early that it must come off again, and then it can go in', () => {
    const game = new Play(cableProcedure);
    const off = (itemId: string): boolean =>
      game.send({ type: 'remove-item', data: { itemId, pocket: '', label: '', countedOut: null } });
    const back = (itemId: string, against = ''): boolean =>
      game.send({
        type: 'put-back-item',
        data: { itemId, renewed: false, fitted: '', countedBack: null, confirmed: true, against },
      });
    for (const id of ['cool-low', 'support', 'flange']) off(id);
    back('flange');
    expect(back('support')).toBe(false);
    expect(back('support', 'it is on already')).toBe(true);
    expect(jobLocks(game.now, 'cool-low', null)).toMatchObject([{ kind: 'buried', item: 'support' }]);
    expect(back('cool-low')).toBe(false);
    off('support');
    expect(jobLocks(game.now, 'cool-low', null)).toEqual([]);
    expect([back('cool-low'), back('support')]).toEqual([true, true]);
    expect(game.now.brokenOrders).toEqual([]);
  });
});
