// Small helpers every script shares: speaking, running a child, and tidy exits.
import { spawn } from 'node:child_process';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

export const root = resolve(dirname(fileURLToPath(import.meta.url)), '..', '..');

export const say = (text) => process.stdout.write(`${text}\n`);

/** A tool from node_modules, started with this Node (npx would not pass signals on). */
export const bin = (path) => resolve(root, 'node_modules', path);

const children = new Set();

/** Passes signals on to a child and forgets it once it has ended: a signal to this script alone must not leave it alive. */
export function track(child) {
  children.add(child);
  child.on('close', () => children.delete(child));
  return child;
}
for (const signal of ['SIGINT', 'SIGTERM', 'SIGHUP']) {
  process.on(signal, () => {
    for (const child of children) child.kill(signal);
    process.exit(signal === 'SIGINT' ? 130 : 143);
  });
}

/**
 * Runs a command to its end. Output is shown when `show` is set, and always kept.
 * @returns {Promise<{ code: number, out: string, seconds: number }>}
 */
export function run(command, args, { show = false, env = {}, cwd = root } = {}) {
  const started = performance.now();
  return new Promise((done) => {
    const child = spawn(command, args, { cwd, env: { ...process.env, ...env }, stdio: ['ignore', 'pipe', 'pipe'] });
    track(child);
    let out = '';
    const take = (chunk) => {
      out += chunk;
      if (show) process.stdout.write(chunk);
    };
    child.stdout.on('data', take);
    child.stderr.on('data', take);
    child.on('error', (error) => take(`${error.message}\n`));
    child.on('close', (code) => {
      done({ code: code ?? 1, out, seconds: (performance.now() - started) / 1000 });
    });
  });
}

export const node = (args, options) => run(process.execPath, args, options);

/** Prints what failed and ends the process. */
export function fail(text, detail = '') {
  process.stderr.write(`\n${text}\n${detail ? `\n${detail}\n` : ''}`);
  process.exit(1);
}
