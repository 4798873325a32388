// Starts the built server as a child and waits until it says where it listens.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { fail, root, say, track } from './say.mjs';

/**
 * @param {{ data: string, port?: number, clock?: string, pace?: number, env?: Record<string, string>, more?: readonly string[] }} options
 * @returns {Promise<{ address: string, said: string, stop: () => Promise<void>, kill: () => Promise<void>, child: import('node:child_process').ChildProcess }>}
 */
export function startServer({ data, port = 0, clock, pace, env = {}, more = [] }) {
  const args = [
    join(root, 'dist/server/main.js'),
    '--data',
    data,
    '--port',
    String(port),
    ...(clock ? ['--clock', clock] : []),
    ...(pace ? ['--pace', String(pace)] : []),
    ...more,
  ];
  const child = track(
    spawn(process.execPath, args, {
      cwd: root,
      env: { ...process.env, ...env },
      stdio: ['ignore', 'pipe', 'pipe'],
    }),
  );
  let said = '';
  const ended = new Promise((done) => child.on('close', (code) => done(code)));
  const end = (signal) => async () => {
    if (child.exitCode === null && child.signalCode === null) child.kill(signal);
    await ended;
  };
  return new Promise((ready, failed) => {
    const hear = (chunk) => {
      said += chunk;
      const address = /listening on (http:\/\/\S+)/.exec(said)?.[1];
      if (address) ready({ address, said, stop: end('SIGTERM'), kill: end('SIGKILL'), child });
    };
    child.stdout.on('data', hear);
    child.stderr.on('data', hear);
    void ended.then((code) =>
      failed(Object.assign(new Error(said.trim() || `The server ended with ${code}.`), { exitCode: code })),
    );
  });
}

/**
 * Serves a store until it is stopped, on the port that is wanted or the first free one of fifty.
 * @param {{ data: string, wanted?: string, firstPort: number, clock?: string, more?: readonly string[] }} options
 */
export async function keepServing({ data, wanted, firstPort, clock, more = [] }) {
  for (let port = Number(wanted ?? firstPort); port < Number(wanted ?? firstPort) + 50; port += 1) {
    try {
      const server = await startServer({ data, port, clock, more });
      // What else the server said: where the network finds it, and what has changed.
      const beside = server.said.split('\n').filter((line) => line !== '' && !line.startsWith('listening on '));
      for (const line of beside) say(line);
      say(`\nUnhurried Wrench is at ${server.address}\nStop it with Ctrl+C.`);
      server.child.on('close', (code) => process.exit(code ?? 0));
      // npm hands a signal to its shell only, which dies without passing it on: once orphaned, the server ends.
      const parent = process.ppid;
      setInterval(() => {
        if (process.ppid !== parent) void server.stop();
      }, 500).unref();
      return;
    } catch (error) {
      if (error.exitCode !== 98 || wanted !== undefined) fail(error.message);
    }
  }
  fail('No free port was found.');
}
