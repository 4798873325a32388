// Makes a fresh clone runnable: npm packages, and the one native module compiled once and kept.
import { createHash } from 'node:crypto';
import {
  cpSync,
  existsSync,
  mkdirSync,
  openSync,
  closeSync,
  readFileSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { homedir } from 'node:os';
import { dirname, join, resolve } from 'node:path';
import { setTimeout as wait } from 'node:timers/promises';
import { fail, node, root, run, say } from './say.mjs';

const modules = join(root, 'node_modules');
const stampFile = join(modules, '.installed-from');
const native = join(modules, 'better-sqlite3', 'build', 'Release', 'better_sqlite3.node');

const lockHash = () =>
  createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
const isInstalled = () => existsSync(stampFile) && readFileSync(stampFile, 'utf8') === lockHash() && existsSync(native);

/** Installs what is missing. Safe to call from two processes at once: the second waits for the first. */
export async function ensureInstalled() {
  if (isInstalled()) return;
  const release = await lock(join(root, '.install-lock'));
  try {
    if (isInstalled()) return;
    say('Installing packages (the first time takes about three minutes) …');
    const packages = await run('npm', ['ci', '--ignore-scripts', '--no-audit', '--no-fund', '--include=dev']);
    if (packages.code !== 0) fail('npm could not install the packages.', packages.out);
    await ensureNative();
    writeFileSync(stampFile, lockHash());
  } finally {
    release();
  }
}

async function lock(path) {
  for (;;) {
    try {
      closeSync(openSync(path, 'wx'));
      const release = () => rmSync(path, { force: true });
      // A failed install ends the process; whoever tries again must not wait for it.
      process.once('exit', release);
      return release;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const age = Date.now() - statSync(path, { throwIfNoEntry: false })?.mtimeMs;
      // A lock older than the longest install is one that a killed process left behind.
      if (age > 15 * 60_000) rmSync(path, { force: true });
      else await wait(500);
    }
  }
}

async function nativeWorks() {
  if (!existsSync(native)) return false;
  const probe = "import('better-sqlite3').then(({ default: D }) => new D(':memory:').prepare('select 1').get())";
  return (await node(['--input-type=module', '-e', probe])).code === 0;
}

function cachedNative() {
  const { version } = JSON.parse(readFileSync(join(modules, 'better-sqlite3', 'package.json'), 'utf8'));
  const libc = process.report?.getReport?.().header?.glibcVersionRuntime ?? 'other';
  const cache = process.env.XDG_CACHE_HOME ?? join(homedir(), '.cache');
  const key = `better-sqlite3-${version}-abi${process.versions.modules}-${process.platform}-${process.arch}-${libc}.node`;
  return join(cache, 'unhurried-wrench', key);
}

async function ensureNative() {
  const kept = cachedNative();
  if (existsSync(kept)) {
    mkdirSync(dirname(native), { recursive: true });
    cpSync(kept, native);
    if (await nativeWorks()) return;
  }
  await ensureCompiler();
  say('Compiling the database driver, once (about two minutes) …');
  const headers = resolve(dirname(process.execPath), '..');
  const env = { JOBS: '2', CFLAGS: '-O2', CXXFLAGS: '-O2' };
  if (existsSync(join(headers, 'include', 'node', 'node.h'))) env.npm_config_nodedir = headers;
  const built = await run('npm', ['rebuild', 'better-sqlite3', '--build-from-source', '--foreground-scripts'], { env });
  if (!(await nativeWorks()))
    fail('The database driver did not compile. It needs g++, make and python3.', built.out.slice(-4000));
  mkdirSync(dirname(kept), { recursive: true });
  cpSync(native, kept);
}

async function ensureCompiler() {
  const found = await Promise.all(['g++', 'make', 'python3'].map((name) => run(name, ['--version'])));
  if (found.every(({ code }) => code === 0)) return;
  if (process.getuid?.() !== 0)
    fail('Compiling the database driver needs g++, make and python3. Please install them and start again.');
  say('Installing a compiler from the system packages …');
  await run('apt-get', ['update']);
  const done = await run('apt-get', ['install', '-y', '--no-install-recommends', 'build-essential', 'python3']);
  if (done.code !== 0) fail('The compiler could not be installed.', done.out.slice(-2000));
}
