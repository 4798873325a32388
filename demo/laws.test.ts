import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import {
  type Command,
  type CommandBody,
  decide,
  evolve,
  type Job,
  jobPlan,
  jobTally,
  NO_CONTEXT,
  type RecordedEvent,
  replay,
} from '../core/job/index.ts';
import { checkProcedure } from '../core/procedure/index.ts';
import { checkVin } from '../core/vehicle/index.ts';
import { cableProcedure } from './procedures/cable.ts';
import { electronicProcedure } from './procedures/electronic.ts';
import { shop } from './shop.ts';
import { vehicles } from './vehicles.ts';

const vehicle = { ...vehicles.bus!, id: 'bus', lastReading: null };
const context = { ...NO_CONTEXT, nextNumber: 1, vehicle, procedure: cableProcedure, wrenches: shop.wrenches };

/** Plays commands; those that are refused change nothing, as for a person. */
function play(choices: readonly number[]): { job: Job; log: RecordedEvent[] } {
  const log: RecordedEvent[] = [];
  let job: Job | null = null;
  const send = (body: CommandBody): void => {
    const at = new Date(Date.UTC(2026, 4, 13, 8) + log.length * 60_000).toISOString();
    const commandId = `c${log.length}`;
    const decision = decide(job, body as Command, context);
    if (!decision.ok) return;
    for (const fact of decision.events) {
      const recorded = { ...fact, seq: log.length + 1, commandId, at, by: 'tomas' } as RecordedEvent;
      log.push(recorded);
      job = evolve(job, recorded, 'j');
    }
  };
  send({
    type: 'open-job',
    data: { vehicleId: 'bus', reading: { value: 1, unit: 'km' }, readingReason: '', complaint: 'x' },
  });
  send({ type: 'pin-procedure', data: { procedureId: cableProcedure.id } });
  for (const [index, choice] of choices.entries()) {
    const now: Job = job!;
    const item = now.items[Math.floor(choice / 10) % now.items.length]!;
    const opening = now.openings[choice % now.openings.length]!;
    const bodies: CommandBody[] = [
      {
        type: 'remove-item',
        data: { itemId: item.id, pocket: '', label: '', countedOut: item.fasteners?.count ?? null },
      },
      { type: 'remove-item', data: { itemId: item.id, pocket: 'A1', label: '', countedOut: null } },
      {
        type: 'put-back-item',
        data: { itemId: item.id, renewed: item.singleUse, fitted: '', countedBack: null, confirmed: true },
      },
      {
        type: 'put-back-item',
        data: { itemId: item.id, renewed: false, fitted: '', countedBack: 0, confirmed: false },
      },
      { type: 'plug-opening', data: { openingId: opening.id, plugId: `plug${index}`, what: 'cap' } },
      { type: 'unplug-opening', data: { openingId: opening.id } },
      {
        type: 'tighten-bolt',
        data: {
          itemId: item.id,
          boltId: String(1 + (choice % 4)),
          pass: 1 + (choice % 2),
          torqueText: '8.5 Nm',
          method: 'wrench',
          wrenchId: 'small-click',
        },
      },
      // The procedure itself stays: the laws are about what happens to its items.
      { type: 'undo', data: { expected: (now.undo?.before.undo ? now.undo.commandId : undefined) ?? 'none' } },
      { type: 'leave-off-item', data: { itemId: item.id, reason: 'missing' } },
      { type: 'place-object', data: { id: `rag${index}`, what: 'rag', where: 'duct' } },
    ];
    send(bodies[choice % 10]!);
  }
  return { job: job!, log };
}

const actions = fc.array(fc.nat({ max: 100_000 }), { minLength: 1, maxLength: 120 });

describe('laws of a job', () => {
  it('never loses an item, an opening or a fastener', () => {
    fc.assert(
      fc.property(actions, (choices) => {
        const { job } = play(choices);
        const now = jobTally(job);
        expect(job.items.filter(({ origin }) => origin === 'procedure').map(({ id }) => id)).toEqual(
          cableProcedure.items.map(({ id }) => id),
        );
        expect(job.openings.map(({ id }) => id)).toEqual(cableProcedure.openings.map(({ id }) => id));
        expect(now.itemsOff).toHaveLength(
          job.items.filter(({ state, origin }) => state === 'off' && origin !== 'plug').length,
        );
        for (const opening of job.openings) {
          const closer = job.items.find(({ opens }) => opens.includes(opening.id))!;
          if (closer.state === 'on') expect(opening.state).toBe('whole');
          if (closer.state === 'off') expect(['open', 'plugged']).toContain(opening.state);
          if (opening.state === 'plugged') expect(job.items.find(({ id }) => id === opening.plugId)?.state).toBe('off');
        }
        expect(now.fastenersBack).toBeLessThanOrEqual(now.fastenersOut);
      }),
      { numRuns: 1500 },
    );
  });
  it('replays to the same job, and undo gives back the state exactly', () => {
    const strip = ({ undo: _, version: __, lastAt: ___, time: ____, last: _____, ...rest }: Job): unknown => rest;
    fc.assert(
      fc.property(actions, (choices) => {
        const { job, log } = play(choices);
        expect(replay('j', log)).toEqual(job);
        const last = job.undo;
        if (last === null) return;
        const decision = decide(job, { type: 'undo', data: { expected: last.commandId } }, NO_CONTEXT);
        const undone = decision.ok
          ? evolve(job, {
              ...decision.events[0]!,
              seq: job.version + 1,
              commandId: 'u',
              at: job.lastAt,
              by: 'tomas',
            } as RecordedEvent)
          : job;
        expect(strip(undone)).toEqual({ ...(strip(last.before) as object), cautions: job.cautions });
      }),
      { numRuns: 300 },
    );
  });
  it('every plan can be carried out', () => {
    fc.assert(
      fc.property(actions, (choices) => {
        let { job } = play(choices);
        const plan = jobPlan(job);
        expect(plan.ok).toBe(true);
        const ids = plan.ok ? plan.steps.map(({ itemId }) => itemId) : [];
        for (const [index, id] of ids.entries()) {
          const item = job.items.find((each) => each.id === id)!;
          if (item.state !== 'off') continue;
          const opening = job.openings.find(({ plugId, state }) => plugId === id && state === 'plugged');
          const decision = decide(
            job,
            opening
              ? { type: 'unplug-opening', data: { openingId: opening.id } }
              : {
                  type: 'put-back-item',
                  data: { itemId: id, renewed: false, fitted: '', countedBack: null, confirmed: true },
                },
            NO_CONTEXT,
          );
          expect(decision, `${id} at ${index}`).toMatchObject({ ok: true });
          if (decision.ok)
            for (const fact of decision.events)
              job = evolve(job, {
                ...fact,
                seq: job.version + 1,
                commandId: `p${index}`,
                at: job.lastAt,
                by: 'tomas',
              } as RecordedEvent);
        }
        expect(jobTally(job).itemsOff).toEqual([]);
      }),
      { numRuns: 300 },
    );
  });
});

describe('the demo world', () => {
  it('has two procedures that can be worked from, the first large enough to be worth planning', () => {
    expect([...checkProcedure(cableProcedure), ...checkProcedure(electronicProcedure)]).toEqual([]);
    expect(cableProcedure.items.length).toBeGreaterThanOrEqual(24);
    expect(cableProcedure.constraints.length).toBeGreaterThanOrEqual(12);
  });
  it('is told when a procedure cannot be worked from', () => {
    const broken = {
      ...electronicProcedure,
      openings: [],
      constraints: [
        ...electronicProcedure.constraints,
        { kind: 'before' as const, id: 'x', a: 'bolts', b: 'seal', reason: 'wrong' },
      ],
    };
    expect(checkProcedure(broken).join(' ')).toMatch(/not described.*round in a circle/);
  });
  it('has VINs whose check digit agrees, or none', () => {
    for (const each of Object.values(vehicles))
      expect(each.vin === '' ? 'passes' : checkVin(each.vin).status).toBe('passes');
  });
});
