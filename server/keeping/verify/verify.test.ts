import { cpSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import { createServices } from '../../services.ts';
import { openStore } from '../../store/open.ts';
import { realFiles } from '../files.ts';
import { type Place, placeOf } from '../place.ts';
import { DAMAGES, seeded } from '../../testing/damages.ts';
import { copyOfStore, goodStore } from '../../testing/goodStore.ts';
import { PROJECTIONS } from '../../store/projections/index.ts';
import { BALANCE_TABLES } from './lists.ts';
import { ROW_TABLES } from './rows.ts';
import { verifyStore } from './verify.ts';

const STORES = fileURLToPath(new URL('../../testing/stores/', import.meta.url));
const how = { files: realFiles, machineZone: 'Europe/London' };
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'uw-verify-'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

describe.each(readdirSync(STORES))('a store that version %s wrote', (version) => {
  it('is whole as it lies there, and once it was started', async () => {
    cpSync(join(STORES, version), folder, { recursive: true });
    const place = placeOf(join(folder, 'shop.sqlite'));
    expect((await verifyStore(place, how)).findings).toEqual([]);
    const db = openStore(place.store);
    createServices(db, place.pictures, () => '2026-05-13T13:09:00.000Z', 'Europe/London');
    db.close();
    const after = await verifyStore(place, how);
    expect(after.findings).toEqual([]);
    expect(after.jobs).toBeGreaterThan(5);
  });
});

describe('a check', () => {
  it('looks at every table that there is', () => {
    const db = openStore(join(folder, 'new.sqlite'));
    const tables = db
      .prepare<[], { name: string }>(
        "SELECT name FROM sqlite_schema WHERE type = 'table' AND name NOT LIKE 'sqlite_%' ORDER BY name",
      )
      .all()
      .map(({ name }) => name);
    db.close();
    const looked = new Set([
      ...PROJECTIONS.map(({ table }) => table),
      ...ROW_TABLES,
      ...BALANCE_TABLES,
      // The log and its commands, what is worked out of it, settings, and what rows are found by, each by a check of its own.
      ...['event', 'command', 'hands_on', 'work_stretch', 'setting', 'row_words', 'migration', 'access_line'],
    ]);
    const indexes = /^(row|job)_found(_\w+)?$/;
    expect(tables.filter((name) => !looked.has(name) && !indexes.test(name))).toEqual([]);
  });
});

describe('a store that was damaged', () => {
  let good: Place;
  let home: string;
  beforeAll(async () => {
    home = mkdtempSync(join(tmpdir(), 'uw-good-'));
    good = await goodStore(join(home, 'good'));
  });
  afterAll(() => rmSync(home, { recursive: true, force: true }));

  it('is whole before', async () => {
    expect((await verifyStore(good, how)).findings).toEqual([]);
  });
  it.each(DAMAGES)('is told so: $name', async ({ name, found, plant }) => {
    const place = copyOfStore(good, join(folder, 'damaged'));
    plant(place, seeded(name.length));
    const { findings } = await verifyStore(place, how);
    expect(
      findings.map(({ kind }) => kind).filter((kind) => found.includes(kind)),
      JSON.stringify(findings.slice(0, 3)),
    ).not.toEqual([]);
    for (const { words, toDo } of findings) expect([words, toDo].every((text) => text.length > 10)).toBe(true);
  });
});
