import { spawn, spawnSync } from 'node:child_process';
import { existsSync, mkdirSync, mkdtempSync, readdirSync, rmSync, symlinkSync, writeFileSync } from 'node:fs';
import { get as httpGet } from 'node:http';
import { get as httpsGet } from 'node:https';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import Sqlite from 'better-sqlite3';
import { afterAll, afterEach, beforeAll, beforeEach, describe, expect, it } from 'vitest';
import type { Place } from './keeping/place.ts';
import { VERSION } from './version.ts';
import { builtPrograms } from './testing/builtPrograms.ts';
import { copyOfStore, goodStore } from './testing/goodStore.ts';

/** The commands as a person starts them: what they print, and how they end. */
let programs: Awaited<ReturnType<typeof builtPrograms>>;
let home: string;
let good: Place;
let place: Place;
beforeAll(async () => {
  home = mkdtempSync(join(tmpdir(), 'uw-commands-'));
  programs = await builtPrograms();
  good = await goodStore(join(home, 'good'));
});
afterAll(() => {
  programs.remove();
  rmSync(home, { recursive: true, force: true });
});
let folder: string;
beforeEach(() => {
  folder = mkdtempSync(join(home, 'one-'));
  place = copyOfStore(good, join(folder, 'shop'));
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const run = (...args: readonly string[]): { code: number | null; said: string } => {
  const { status, stdout, stderr } = spawnSync(process.execPath, [programs.maintain, ...args], {
    encoding: 'utf8',
    env: { ...process.env, TZ: 'Europe/London' },
  });
  return { code: status, said: `${stdout}${stderr}` };
};

/** The server, until it is told to stop. */
async function serving(
  store: string,
  ...args: readonly string[]
): Promise<{ said: () => string; address: string; code: Promise<number | null>; stop: () => Promise<void> }> {
  const child = spawn(process.execPath, [programs.main, '--data', store, '--port', '0', ...args], {
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  let said = '';
  const code = new Promise<number | null>((resolve) => child.on('close', resolve));
  await new Promise<void>((resolve) => {
    const hear = (chunk: Buffer): void => {
      said += String(chunk);
      if (/listening on/.test(said)) resolve();
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    void code.then(() => resolve());
  });
  return {
    said: () => said,
    address: /http:\/\/\S+/.exec(said)?.[0] ?? '',
    code,
    stop: async () => {
      child.kill('SIGTERM');
      await code;
    },
  };
}

describe('verify', () => {
  it('says in one line that a store is whole', () => {
    expect(run('verify', place.store)).toEqual({ code: 0, said: 'Whole: 9 jobs, 652 entries, 6 photos.\n' });
  });
  it('says a line a finding with what to do, and ends otherwise', () => {
    const db = new Sqlite(place.store);
    db.exec(
      "UPDATE stock_moved SET booked = booked + 1 WHERE item_id = (SELECT MIN(item_id) FROM stock_moved); UPDATE setting SET value = 'x' WHERE key = 'calendar'",
    );
    db.close();
    const { code, said } = run('verify', place.store);
    expect(code).toBe(3);
    expect(said.trim().split('\n')).toEqual([
      expect.stringMatching(/^In “stock_moved”, .* does not add up\. Stop the program and run “npm run rebuild”/),
      'The setting of the opening hours (“calendar”) cannot be read. Set it anew in Settings.',
      '2 findings in 9 jobs, 652 entries, 6 photos.',
    ]);
    expect(run('rebuild', place.store).code).toBe(0);
    expect(run('verify', place.store).said).toMatch(/^The setting of the opening hours[^\n]*\n1 finding in/);
  });
  it.each<[string, () => string, RegExp]>([
    ['a name that is mistyped', () => join(folder, 'shop', 'shp.sqlite'), /There is no store at .*Check the name/],
    ['a folder', () => place.folder, /is a folder; the store is a file in it/],
    ['a text', () => written('notes.txt', 'buy gaskets'), /is no store of this program/],
    ['an empty file', () => written('empty.sqlite', ''), /is an empty file, and no store/],
    ['a database of another program', () => other(), /a database of another program. Nothing in it was touched/],
  ])('of %s is an error, and makes no store of it', (_, make, words) => {
    const path = make();
    const before = existsSync(path) ? readdirSync(folder, { recursive: true }).length : 0;
    for (const command of ['verify', 'backup', 'rebuild']) {
      const { code, said } = run(command, path);
      expect([command, code, said]).toEqual([command, 4, expect.stringMatching(words)]);
    }
    if (before === 0) expect(existsSync(path)).toBe(false);
  });
  const written = (name: string, text: string): string => {
    writeFileSync(join(folder, name), text);
    return join(folder, name);
  };
  const other = (): string => {
    const db = new Sqlite(join(folder, 'other.sqlite'));
    db.exec('CREATE TABLE songs (name TEXT)');
    db.close();
    return join(folder, 'other.sqlite');
  };
});

describe('backup and restore', () => {
  it('say what they made, what was kept, and what only that has', () => {
    mkdirSync(join(folder, 'disk'));
    const backup = run('backup', place.store, join(folder, 'disk'));
    expect(backup.code).toBe(0);
    expect(backup.said).toMatch(/disk\/workshop-\w{8}-[\dTZ-]+\.backup\.zip: \d+ kB, read back and whole\./);
    const [name = ''] = readdirSync(join(folder, 'disk'));
    const db = new Sqlite(place.store);
    db.prepare("INSERT INTO airing (at, person, state) VALUES ('2026-05-14T08:00:00.000Z', 'isla', 'door')").run();
    db.close();
    const { code, said } = run('restore', join(folder, 'disk', name), place.store);
    expect([code, said]).toEqual([
      0,
      expect.stringMatching(
        /holds 9 jobs as of 20\d\d-[\s\S]*What was there is kept in .*before-restore-[\s\S]*It has, and the backup had not:\n1 airings of the bay\./,
      ),
    ]);
    expect(run('verify', place.store).code).toBe(0);
  });
  it('with a mistyped name empties nothing', () => {
    const { code, said } = run('restore', join(folder, 'bakcup.zip'), place.store);
    expect([code, said]).toEqual([4, expect.stringMatching(/There is no backup at .*Nothing was changed/)]);
    expect(run('verify', place.store).said).toContain('Whole: 9 jobs');
  });
  it('are explained when they are called wrongly', () => {
    for (const args of [[], ['restore', place.store], ['backup'], ['sing']]) {
      const { code, said } = run(...args);
      expect([code, said]).toEqual([2, expect.stringContaining('restore <backup> <store>')]);
    }
  });
});

describe('a store that is in use', () => {
  it('is held against everything, by whichever name it is called; its server makes the backup', async () => {
    const server = await serving(place.store);
    const [backup = ''] = readdirSync(place.backups);
    symlinkSync(place.store, join(folder, 'by-another-name.sqlite'));
    for (const name of [place.store, join(folder, 'by-another-name.sqlite')]) {
      for (const args of [
        ['verify', name],
        ['rebuild', name],
        ['restore', join(place.backups, backup), name],
        ['held', name],
      ]) {
        const { code, said } = run(...args);
        expect([args[0], code, said]).toEqual([
          args[0],
          97,
          expect.stringContaining(`It serves at ${server.address}: open that instead, or stop it first.`),
        ]);
      }
      const second = await serving(name);
      expect([await second.code, second.said()]).toEqual([97, expect.stringContaining(server.address)]);
    }
    const { code, said } = run('backup', place.store);
    expect([code, said]).toEqual([
      0,
      expect.stringMatching(/The store is in use; the program at .* makes the backup\.\n.*read back and whole/),
    ]);
    expect(readdirSync(place.backups).filter((name) => name.endsWith('.zip'))).toHaveLength(2);
    await server.stop();
    expect(run('verify', place.store).code).toBe(0);
  }, 60_000);
});

describe('a start', () => {
  it('on an earlier store says what it is doing, and only the first time', async () => {
    const earlier = join(process.cwd(), 'server/testing/stores/0.1.0');
    const old = copyOfStore({ ...good, folder: earlier }, join(folder, 'old'));
    const first = await serving(old.store);
    await first.stop();
    expect(first.said()).toMatch(
      /Bringing the store up to date: 005-rows\.sql[\s\S]*009-keeping\.sql[\s\S]*listening on/,
    );
    const second = await serving(old.store);
    await second.stop();
    expect(second.said()).toMatch(/^listening on/);
    const fresh = await serving(join(folder, 'new', 'shop.sqlite'));
    await fresh.stop();
    expect(fresh.said()).toMatch(/^Making a new store\.\nlistening on/);
  }, 60_000);
  it('where the store is gone that was there makes no new one in its place', async () => {
    rmSync(place.store);
    for (const tail of ['-wal', '-shm']) rmSync(`${place.store}${tail}`, { force: true });
    for (const make of [() => undefined, () => writeFileSync(place.store, '')]) {
      make();
      const server = await serving(place.store);
      expect(await server.code).toBe(4);
      expect(server.said()).toMatch(
        /and held 9 jobs when it was last seen. Nothing was made in its place. Restore a backup/,
      );
    }
  }, 60_000);
  it('on a file of another program touches nothing', async () => {
    const path = join(folder, 'other.sqlite');
    const db = new Sqlite(path);
    db.exec('CREATE TABLE songs (name TEXT)');
    db.close();
    const server = await serving(path);
    expect([await server.code, server.said()]).toEqual([4, expect.stringContaining('database of another program')]);
    const after = new Sqlite(path, { readonly: true });
    expect(after.pragma('journal_mode', { simple: true })).toBe('delete');
    after.close();
  }, 60_000);
  it('for reading only shows the store and leaves it as it is', async () => {
    const server = await serving(place.store, '--read-only');
    expect(server.said()).toContain('open for reading only');
    const shop = (await (await fetch(`${server.address}/api/shop`)).json()) as { readOnly: boolean };
    expect(shop.readOnly).toBe(true);
    // Nobody is kept from working on it meanwhile.
    expect(run('verify', place.store).code).toBe(0);
    await server.stop();
  }, 60_000);
});

describe('the version', () => {
  it('is the one of the package', async () => {
    const { default: manifest } = (await import('../package.json')) as { default: { version: string } };
    expect(VERSION).toBe(manifest.version);
  });
});

describe('signing in, from the machine itself', () => {
  const letIn = (name: string, password: string): { code: number | null; said: string } => {
    const { status, stdout, stderr } = spawnSync(process.execPath, [programs.maintain, 'let-in', place.store, name], {
      encoding: 'utf8',
      input: `${password}\n`,
    });
    return { code: status, said: `${stdout}${stderr}` };
  };

  it('is set for somebody of the workshop, is recorded, and for nobody else', () => {
    expect(letIn('nobody', 'four words that do')).toMatchObject({
      code: 4,
      said: expect.stringContaining('There are: '),
    });
    expect(letIn('Isla Renn', 'short')).toMatchObject({
      code: 4,
      said: expect.stringContaining('at least 10 characters'),
    });
    expect(letIn('isla', 'four words that do')).toMatchObject({
      code: 0,
      said: expect.stringContaining('Isla Renn signs in'),
    });
    const db = new Sqlite(place.store, { readonly: true });
    expect(db.prepare('SELECT kind, subject, place FROM access_line').all()).toEqual([
      { kind: 'password-set', subject: 'isla', place: 'this machine' },
    ]);
    db.close();
  });

  it('is asked for before the network is served, which is by HTTPS with the workshop’s own authority then', async () => {
    const none = await serving(place.store, '--network');
    expect([await none.code, none.said()]).toEqual([2, expect.stringContaining('Nobody has a password yet')]);
    letIn('isla', 'four words that do');
    const server = await serving(place.store, '--network', '--name', 'localhost');
    try {
      const said = server.said();
      const [, port] = /https:\/\/localhost:(\d+)/.exec(said) ?? [];
      const [, joining] = /bring a tablet in at (http:\S+)/.exec(said) ?? [];
      const [, here] = /listening on (http:\S+)/.exec(said) ?? [];
      // The page that brings a tablet in is plain, and gives out what the tablet is to trust.
      const fetched = await fetch(`${joining}authority.crt`);
      expect(fetched.status).toBe(200);
      const der = Buffer.from(await fetched.arrayBuffer());
      const ca = `-----BEGIN CERTIFICATE-----\n${der.toString('base64')}\n-----END CERTIFICATE-----`;
      const ask = (path: string, headers: Record<string, string> = {}) =>
        new Promise<number | undefined>((done, fail) =>
          httpsGet({ host: 'localhost', servername: 'localhost', port, path, ca, headers }, (answer) => {
            answer.resume();
            done(answer.statusCode);
          }).on('error', fail),
        );
      expect([await ask('/api/health'), await ask('/api/bay')]).toEqual([200, 401]);
      expect(await ask('/api/health', { host: 'evil.example' })).toBe(403);
      expect(await ask('/api/health', { origin: `http://localhost:${port}` })).toBe(403);
      expect(await ask('/api/health', { origin: `https://localhost:${port}` })).toBe(200);
      // On the machine itself it is plain, and asks for a sign-in too.
      expect((await fetch(`${here}/api/health`)).status).toBe(200);
      expect((await fetch(`${here}/api/bay`)).status).toBe(401);
    } finally {
      await server.stop();
    }
    expect(existsSync(join(place.folder, 'network', 'authority.key'))).toBe(true);
  });

  it('is asked for behind a proxy too, which must be named in full, and only that name is answered', async () => {
    letIn('isla', 'four words that do');
    const wrong = await serving(place.store, '--proxy', 'wrench.example');
    expect([await wrong.code, wrong.said()]).toEqual([2, expect.stringContaining('--proxy https://')]);
    const server = await serving(place.store, '--proxy', 'https://wrench.quay.example');
    try {
      const ask = (headers: Record<string, string>) =>
        new Promise<number | undefined>((done, fail) =>
          httpGet(`${/listening on (http:\S+)/.exec(server.said())?.[1] ?? ''}/api/health`, { headers }, (answer) => {
            answer.resume();
            done(answer.statusCode);
          }).on('error', fail),
        );
      expect(await ask({ host: 'wrench.quay.example', origin: 'https://wrench.quay.example' })).toBe(200);
      expect(await ask({ host: 'other.example' })).toBe(403);
      expect(await ask({ host: 'wrench.quay.example', origin: 'https://other.example' })).toBe(403);
    } finally {
      await server.stop();
    }
  });

  it('ends for everybody when a backup is put back', async () => {
    letIn('isla', 'four words that do');
    const server = await serving(place.store);
    await server.stop();
    const key = join(place.folder, 'network', 'cookie.key');
    expect(existsSync(key)).toBe(true);
    const kept = join(folder, 'elsewhere');
    mkdirSync(kept);
    expect(run('backup', place.store, kept).code).toBe(0);
    const [name = ''] = readdirSync(kept);
    expect(run('restore', join(kept, name), place.store).code).toBe(0);
    expect(existsSync(key)).toBe(false);
  });
});
