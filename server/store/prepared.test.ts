import Sqlite from 'better-sqlite3';
import { describe, expect, it } from 'vitest';
import { prepared } from './prepared.ts';

describe('prepared', () => {
  it('prepares each text once, and each for its own database', () => {
    const [one, other] = [new Sqlite(':memory:'), new Sqlite(':memory:')];
    const sql = prepared(one);
    expect(sql('SELECT 1 AS n')).toBe(sql('SELECT 1 AS n'));
    expect(sql('SELECT 2 AS n')).not.toBe(sql('SELECT 1 AS n'));
    expect(prepared(other)('SELECT 1 AS n')).not.toBe(sql('SELECT 1 AS n'));
    one.exec('CREATE TABLE t (a TEXT)');
    const all = () => sql<[], { a: string }>('SELECT * FROM t').all();
    expect(all()).toEqual([]);
    one.exec("INSERT INTO t VALUES ('x')");
    expect(all()).toEqual([{ a: 'x' }]);
    // A table that has grown a column is seen as it is now.
    one.exec("ALTER TABLE t ADD COLUMN b TEXT NOT NULL DEFAULT 'y'");
    expect(all()).toEqual([{ a: 'x', b: 'y' }]);
    for (const db of [one, other]) db.close();
  });
  it('says what is wrong with a text each time, and keeps nothing of it', () => {
    const db = new Sqlite(':memory:');
    const sql = prepared(db);
    expect(() => sql('SELECT * FROM later')).toThrow('no such table');
    db.exec('CREATE TABLE later (a TEXT)');
    expect(sql('SELECT * FROM later').all()).toEqual([]);
    db.close();
  });
});
