import { copyFileSync, mkdirSync, mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { replay } from '../../core/job/index.ts';
import { type Harness, harness, NOW, openJob, PROCEDURE } from '../testing/harness.ts';
import { storedRows } from '../testing/storedRows.ts';
import { canonical, chainHash } from './chain.ts';
import { migrate } from './migrate.ts';
import { openStore } from './open.ts';
import { PROJECTIONS } from './projections/index.ts';
import { ITEMS_TABLES } from './projections/items.ts';
import { NEEDS_TABLES } from './projections/needs.ts';
import { START_TABLES } from './projections/start.ts';
import { TORQUE_TABLES } from './projections/torque.ts';

let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'uw-store-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe('migrations', () => {
  it('refuse a database that is newer than the program, and touch nothing', () => {
    const file = join(folder, 'a.sqlite');
    const db = openStore(file);
    db.prepare("INSERT INTO migration VALUES ('999-future.sql', 'x', '2030-01-01')").run();
    db.close();
    expect(() => openStore(file)).toThrow('last used by a newer program');
  });
  it('refuse a history that was rewritten', () => {
    const file = join(folder, 'a.sqlite');
    const db = openStore(file);
    db.prepare("UPDATE migration SET checksum = 'other'").run();
    db.close();
    expect(() => openStore(file)).toThrow('differs from the one');
  });
  it('keep nothing of a file that fails', () => {
    const own = join(folder, 'migrations');
    copyMigrations(own);
    writeFileSync(join(own, '002-broken.sql'), 'CREATE TABLE half (id TEXT) STRICT; SELECT * FROM nowhere;');
    const db = new Sqlite(join(folder, 'b.sqlite'));
    expect(() => migrate(db, own)).toThrow('002-broken.sql failed');
    expect(db.prepare("SELECT name FROM sqlite_master WHERE name = 'half'").get()).toBeUndefined();
    expect(db.prepare('SELECT count(*) AS n FROM migration').get()).toEqual({ n: 1 });
    db.close();
  });
  it('are strict tables, every one', () => {
    const db = openStore(join(folder, 'c.sqlite'));
    const loose = (db.pragma('table_list') as { name: string; type: string; strict: number }[]).filter(
      ({ name, type, strict }) => type === 'table' && strict === 0 && !name.startsWith('sqlite_'),
    );
    expect(loose).toEqual([]);
    expect(db.pragma('synchronous', { simple: true })).toBe(2);
    expect(db.pragma('journal_mode', { simple: true })).toBe('wal');
    db.close();
  });
});

function copyMigrations(to: string): void {
  mkdirSync(to, { recursive: true });
  copyFileSync(new URL('./migrations/001-first.sql', import.meta.url), join(to, '001-first.sql'));
}

describe('the log', () => {
  let server: Harness;
  beforeEach(async () => {
    server = await harness();
    await openJob(server, 'j').expect(201);
    await server.send('j', 'pin-procedure', { procedureId: PROCEDURE }).expect(201);
    await server.send('j', 'remove-item', { itemId: 'cover', pocket: 'A1', label: '', countedOut: 3 }).expect(201);
  });
  afterEach(() => server.close());

  it('cannot be changed or deleted by plain SQL', () => {
    expect(() => server.db.prepare("UPDATE event SET person = 'x'").run()).toThrow('append-only');
    expect(() => server.db.prepare('DELETE FROM event').run()).toThrow('append-only');
  });
  it('shows where it was altered behind the program’s back', () => {
    server.db.exec('DROP TRIGGER event_is_append_only');
    server.db.prepare("UPDATE event SET person = 'wen' WHERE seq = 2").run();
    expect(server.services.jobs.verify('j')).toBe(2);
  });
  it('has every projection equal to a replay, after every command', async () => {
    const check = (): void => {
      const job = replay('j', server.services.jobs.log.since('j', 0));
      for (const { table, rows } of PROJECTIONS) {
        const stored = storedRows(server.db, table, 'j');
        const sorted = (list: readonly object[]): string[] => list.map((row) => canonical(row)).sort();
        expect(sorted(stored), table).toEqual(sorted(job === null ? [] : rows(job, 'Europe/London')));
      }
    };
    check();
    const steps: [string, object][] = [
      ['read-code', { id: 'c', code: 'P0505', status: 'stored', when: 'before', note: '' }],
      ['remove-item', { itemId: 'body', pocket: '', label: '', countedOut: null }],
      ['plug-opening', { openingId: 'inlet', plugId: 'cap', what: 'Cap' }],
      ['place-object', { id: 'rag', what: 'Rag', where: 'duct' }],
      ['take-object-out', { id: 'rag' }],
      ['record-finding', { id: 'f', unit: 'throttle-body', point: 'deposit-edge', when: 'before', grade: 2, text: '' }],
      [
        'record-finding',
        { id: 'f2', unit: 'throttle-body', point: 'deposit-edge', when: 'before', grade: 3, text: '' },
      ],
      ['start-timer', { id: 't', label: 'Soak', minutes: 10, kind: 'soak' }],
      ['end-timer', { id: 't', outcome: 'done' }],
      ['decide-seal', { id: 's', name: 'Body gasket', decision: 'renewed', partNumber: 'G', why: '' }],
      ['use-part', { id: 'p', name: 'Gasket', partNumber: 'NP-25-1107', quantity: 1, priceMinor: 640 }],
      [
        'weigh-can',
        { id: 'w', substance: 'throttle-cleaner', surface: 'bore', beforeText: '400 g', afterText: '380 g' },
      ],
      ['record-coolant', { id: 'k', kind: 'caught', amountText: '0.7 L', concentration: null }],
      ['take-measurement', { id: 'm', kind: 'idle-rpm', when: 'before', value: 610 }],
      ['attach-picture', { id: 'pic', hash: 'a'.repeat(64), subject: 'throttle-body', when: 'before', caption: '' }],
      ['remove-item', { itemId: 'valve-screws', pocket: '', label: '', countedOut: 3 }],
      [
        'tighten-bolt',
        {
          itemId: 'valve-screws',
          boltId: '1',
          pass: 1,
          torqueText: '35 in-lb',
          method: 'wrench',
          wrenchId: 'small-click',
        },
      ],
    ];
    const more: [string, object][] = [
      ['tick-need', { needId: 'n-tray', state: 'ready', expected: null }],
      ['flag-item', { itemId: 'duct', flag: 'broken', needs: 'part', text: '', partNumber: 'D-1', needId: 'n-own' }],
      ['settle-flag', { itemId: 'duct', how: 'bought' }],
      ['keep-measure', { itemId: 'dashpot', kind: 'gap', text: '7.4 mm' }],
      ['restore-measure', { itemId: 'dashpot', kind: 'gap', text: '7.5 mm' }],
      ['drop-object', { id: 'nut', what: 'Nut', where: 'valley' }],
      ['end-search', { id: 'nut', outcome: 'found', where: 'tray' }],
      ['override-hold', { keys: ['item-off cover', 'opening-plugged inlet'], reason: 'looked at twice' }],
      ['finish-bench', { itemId: 'body', note: '' }],
      ['take-step', { itemId: 'cover' }],
      ['name-pocket', { pocket: 'A1', name: 'top' }],
      ['strip-thread', { itemId: 'valve-screws', boltId: '2', note: '' }],
      ['repair-thread', { itemId: 'valve-screws', boltId: '2', route: 'insert', note: '' }],
      [
        'put-back-item',
        {
          itemId: 'body',
          renewed: false,
          fitted: '',
          countedBack: null,
          confirmed: false,
          against: 'it is on already',
        },
      ],
    ];
    for (const [index, [type, data]] of [...steps, ...more].entries()) {
      const at = new Date(Date.parse(NOW) - 3_600_000 + index * 10_000).toISOString();
      await server.send('j', type, data, { by: 'isla', at }).expect(201);
      check();
    }
    // A projection that never held a row proves nothing.
    const empty = [...NEEDS_TABLES, ...ITEMS_TABLES, ...TORQUE_TABLES, ...START_TABLES].filter(
      ({ table }) => server.db.prepare(`SELECT 1 FROM ${table}`).get() === undefined,
    );
    expect(empty.map(({ table }) => table)).toEqual([]);
    for (let left = 16; left > 0; left -= 1) {
      const expected = server.services.jobs.job('j')?.undo?.commandId;
      await server.send('j', 'undo', { expected }).expect(201);
      check();
    }
  });
});

describe('chain', () => {
  it('does not depend on the order of keys', () => {
    expect(canonical({ b: 1, a: [{ d: null, c: 'x' }] })).toBe('{"a":[{"c":"x","d":null}],"b":1}');
    const recorded = {
      seq: 1,
      commandId: 'c',
      at: 'x',
      by: 'y',
      type: 'note-made',
      v: 1,
      data: { id: 'n', stage: 'strip', text: 't' },
    } as const;
    const turned = {
      data: { text: 't', stage: 'strip', id: 'n' },
      v: 1,
      type: 'note-made',
      by: 'y',
      at: 'x',
      commandId: 'c',
      seq: 1,
    } as const;
    expect(chainHash('0', 'j', recorded)).toBe(chainHash('0', 'j', turned));
    expect(chainHash('0', 'k', recorded)).not.toBe(chainHash('0', 'j', recorded));
  });
});
