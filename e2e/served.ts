import { spawn } from 'node:child_process';

export interface Served {
  readonly address: string;
  /** All that it said until it served. */
  readonly said: string;
  readonly stop: () => Promise<void>;
}

/**
 * Starts the built server over a store.
 * @param port 0 takes a free one
 * @param program the folder of the built program
 * @param more what else it is started with
 * @throws Error when it ends before it serves
 */
export async function launch(
  file: string,
  port: number,
  program = 'dist',
  more: readonly string[] = [],
): Promise<Served> {
  const child = spawn(
    process.execPath,
    // Simulated vehicles run faster than the world, so that nobody waits for half a minute of idle.
    [`${program}/server/main.js`, '--data', file, '--port', String(port), '--pace', '10', ...more],
    {
      stdio: ['ignore', 'pipe', 'inherit'],
    },
  );
  const ended = new Promise<void>((resolve) => child.on('close', () => resolve()));
  let said = '';
  const address = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (chunk: Buffer) => {
      said += String(chunk);
      const found = /listening on (http:\/\/\S+)/.exec(said)?.[1];
      if (found) resolve(found);
    });
    child.on('close', (code) => reject(new Error(`The server ended with ${code}.`)));
  });
  return {
    address,
    said,
    stop: async () => {
      child.kill('SIGTERM');
      await ended;
    },
  };
}
