import { describe, expect, it } from 'vitest';
import { type CommandBody, COMMANDS, type CommandType, FACTS } from '../core/job/index.ts';
import { play } from '../core/job/testing/play.ts';
import { SAMPLE_PROCEDURE, SAMPLE_VEHICLE, SAMPLES, sampleWorld } from '../core/job/testing/samples.ts';
import { command, exportedFact, factData, procedure, transfer, vehicle } from './index.ts';

const kinds = Object.keys(SAMPLES) as CommandType[];
const envelope = { id: 'c', at: '2026-05-13T08:00:00.000Z', by: 'tomas', seen: 0 };
const everyEvent = kinds.flatMap(
  (type) => play([...SAMPLES[type].after, { type, data: SAMPLES[type].data } as CommandBody], sampleWorld(type)).log,
);

describe('the contract', () => {
  it('is shown every command and every fact by a sample', () => {
    expect([...COMMANDS.keys()].sort()).toEqual([...kinds].sort());
    expect([...new Set(everyEvent.map(({ type }) => type))].sort()).toEqual([...FACTS.keys()].sort());
  });
  it.each([...FACTS.values()].map(({ type, v }) => [type, v] as const))(
    'has a parser for %s in each of its versions, up to %i',
    (type, v) => {
      for (let version = 1; version <= v; version += 1) expect(factData(type, version)).not.toBeNull();
      expect(factData(type, v + 1)).toBeNull();
    },
  );
  it.each(kinds)('lets %s through as it is, and nothing that it does not know', (type) => {
    const sent = { ...envelope, type, data: SAMPLES[type].data };
    expect(command.parse(sent)).toEqual(sent);
    expect(command.safeParse({ ...sent, data: { ...sent.data, colour: 'red' } }).success).toBe(false);
    expect(command.safeParse({ ...sent, colour: 'red' }).success).toBe(false);
  });
  it.each(kinds)('wants every field of %s', (type) => {
    const { node } = COMMANDS.get(type)!.shape;
    const mayBeLeftOut: readonly string[] = node.kind === 'record' ? node.optional : [];
    for (const field of Object.keys(SAMPLES[type].data)) {
      if (mayBeLeftOut.includes(field)) continue;
      const data = Object.fromEntries(Object.entries(SAMPLES[type].data).filter(([name]) => name !== field));
      expect(command.safeParse({ ...envelope, type, data }).success, field).toBe(false);
    }
  });
  it.each([...FACTS.keys()])('reads %s back from a file just as it was written', (type) => {
    const recorded = everyEvent.find((each) => each.type === type)!;
    expect(exportedFact.parse(JSON.parse(JSON.stringify(recorded)))).toEqual(recorded);
    expect(exportedFact.safeParse({ ...recorded, v: 99 }).error?.issues[0]?.message).toContain('a later program');
    expect(exportedFact.safeParse({ ...recorded, data: { ...recorded.data, colour: 'red' } }).success).toBe(false);
  });
  it('passes vehicles and procedures through unchanged', () => {
    expect(vehicle.parse(SAMPLE_VEHICLE)).toEqual(SAMPLE_VEHICLE);
    expect(procedure.parse(SAMPLE_PROCEDURE)).toEqual(SAMPLE_PROCEDURE);
  });
  it.each([
    ['', 'ids are not empty'],
    ['../etc', 'ids are no paths'],
    ['a b', 'ids hold no spaces'],
    ['x'.repeat(81), 'ids are short'],
  ])('refuses the id “%s”: %s', (id) => {
    expect(command.safeParse({ ...envelope, id, type: 'read-codes-out', data: { when: 'before' } }).success).toBe(
      false,
    );
  });
  it('says which format and version a file should have', () => {
    const file = {
      format: 'unhurried-wrench-job',
      version: 1,
      jobId: 'j',
      vehicle: SAMPLE_VEHICLE,
      events: play(SAMPLES['make-note'].after).log,
      hashes: [],
      pictures: [],
    };
    expect(transfer.safeParse(file).success).toBe(true);
    expect(transfer.safeParse({ ...file, version: 2 }).error?.issues[0]?.message).toContain('of a version');
    expect(transfer.safeParse({ ...file, format: 'x' }).error?.issues[0]?.message).toContain('not a job file');
    expect(transfer.safeParse({ ...file, events: [] }).error?.issues[0]?.message).toContain('no events');
  });
});
