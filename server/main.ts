import { dirname, join, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { pino } from 'pino';
import { AdapterHub } from './adapter/hub.ts';
import { createApp } from './app.ts';
import { createServices } from './services.ts';
import { StoreError } from './store/errors.ts';
import { holdStore } from './store/holder.ts';
import { openStore } from './store/open.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string' },
    data: { type: 'string' },
    clock: { type: 'string' },
    quiet: { type: 'boolean', default: false },
    /** Ports of this machine at which a stand-in for the diagnostic adapter is expected. */
    adapter: { type: 'string', multiple: true, default: ['4217'] },
  },
});
const log = pino({ level: values.quiet ? 'error' : 'warn' });
const file = resolve(values.data ?? process.env.UW_DATA ?? 'var/shop.sqlite');

/** `--clock` starts the clock at a given moment, for pictures and demonstrations; it runs on from there. */
function clock(): () => string {
  if (values.clock === undefined) return () => new Date().toISOString();
  const offset = Date.parse(values.clock) - Date.now();
  return () => new Date(Date.now() + offset).toISOString();
}

function start(): void {
  const held = holdStore(file, new Date().toISOString());
  const db = openStore(file);
  // eslint-disable-next-line no-restricted-syntax -- the machine's zone is what a shop has until it says where it is
  const machineZone = Intl.DateTimeFormat().resolvedOptions().timeZone;
  const services = createServices(
    db,
    join(dirname(file), 'pictures'),
    clock(),
    machineZone,
    new AdapterHub(values.adapter.map(Number)),
  );
  const webRoot = join(dirname(fileURLToPath(import.meta.url)), '..', 'web');
  const server = createApp(services, log, webRoot).listen(Number(values.port ?? process.env.PORT ?? 0), '127.0.0.1');
  server.on('listening', () => {
    const address = server.address();
    const port = typeof address === 'object' && address !== null ? address.port : 0;
    held.serving(`http://127.0.0.1:${port}`);
    process.stdout.write(`listening on http://127.0.0.1:${port}\n`);
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    process.stderr.write(error.code === 'EADDRINUSE' ? `Port ${values.port ?? ''} is taken.\n` : `${error.message}\n`);
    process.exit(error.code === 'EADDRINUSE' ? 98 : 1);
  });
  const stop = (): void => {
    server.close(() => {
      db.close();
      held.release();
      process.exit(0);
    });
    server.closeAllConnections();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

try {
  start();
} catch (error) {
  process.stderr.write(`${error instanceof StoreError ? error.message : String(error)}\n`);
  process.exit(error instanceof StoreError && error.code === 'held' ? 97 : 1);
}
