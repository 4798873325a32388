import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { parseArgs } from 'node:util';
import { pino } from 'pino';
import { AdapterHub } from './adapter/hub.ts';
import { worldClock } from './adapter/recorder.ts';
import { createApp } from './app.ts';
import { realFiles as files } from './keeping/files.ts';
import { mustNotBeLost, takeStore } from './keeping/hold.ts';
import { inThread } from './keeping/inThread.ts';
import { openForReading } from './keeping/openForReading.ts';
import { placeOf, storePath } from './keeping/place.ts';
import { machineZone } from './machineZone.ts';
import { createServices, type ServiceOptions, type Services } from './services.ts';
import { StoreError } from './store/errors.ts';
import { type Held } from './store/holder.ts';
import { openStore } from './store/open.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string' },
    data: { type: 'string' },
    clock: { type: 'string' },
    quiet: { type: 'boolean', default: false },
    /** The store is left as it is: everything can be looked at. */
    'read-only': { type: 'boolean', default: false },
    /** Ports of this machine at which a stand-in for the diagnostic adapter is expected. */
    adapter: { type: 'string', multiple: true, default: ['4217'] },
    /** Ports of this machine at which instruments of the bench are expected. */
    instrument: { type: 'string', multiple: true, default: [] },
    /** How much faster than the world simulated vehicles run, and what records them: for trials. */
    pace: { type: 'string', default: '1' },
  },
});
const log = pino({ level: values.quiet ? 'error' : 'warn' });
const place = placeOf(storePath(values.data ?? process.env.UW_DATA ?? 'var/shop.sqlite'));
const print = (words: string): void => void process.stdout.write(`${words}\n`);

/** `--clock` starts the clock at a given moment, for pictures and demonstrations; it runs on from there. */
function clock(): () => string {
  if (values.clock === undefined) return () => new Date().toISOString();
  const offset = Date.parse(values.clock) - Date.now();
  return () => new Date(Date.now() + offset).toISOString();
}

/** A store at work, and how to let go of it. */
interface Open {
  readonly services: Services;
  readonly held: Held | null;
  readonly close: () => void;
}

const HUB = new AdapterHub(values.adapter.map(Number), worldClock(Math.max(1, Number(values.pace) || 1)));

/** Says what is done to the columns of a store that an earlier version wrote, a line for each tenth. */
function sayRemaking(): (done: number, of: number) => void {
  let told = -1;
  return (done, of) => {
    const tenth = Math.floor((done / of) * 10);
    if (of < 500 || tenth === told) return;
    told = tenth;
    print(`Reading the logs of ${of} jobs for the lists: ${tenth * 10} %`);
  };
}

function openToWork(): Open {
  const held = takeStore(files, place, new Date().toISOString());
  try {
    mustNotBeLost(place);
    const db = openStore(place.store, { say: print });
    const options: ServiceOptions = {
      instrumentPorts: values.instrument.map(Number),
      make: inThread(new URL('./keepingWorker.js', import.meta.url)),
      progress: sayRemaking(),
    };
    const services = createServices(db, place.pictures, clock(), machineZone(), HUB, options);
    const stop = services.keeper.watch();
    return {
      services,
      held,
      close: () => {
        stop();
        db.close();
        held.release();
      },
    };
  } catch (error) {
    held.release();
    throw error;
  }
}

function openToRead(): Open {
  const { db, seal, close } = openForReading(files, place.store, print);
  const options: ServiceOptions = { readOnly: true, place, progress: sayRemaking() };
  const services = createServices(db, place.pictures, clock(), machineZone(), HUB, options);
  seal();
  print(`${place.store} is open for reading only: nothing can be entered.`);
  return { services, held: null, close };
}

function open(): Open {
  if (values['read-only']) return openToRead();
  try {
    return openToWork();
  } catch (error) {
    if (error instanceof StoreError && error.code === 'read-only') return openToRead();
    throw error;
  }
}

function start(): void {
  const { services, held, close } = open();
  const webRoot = join(dirname(fileURLToPath(import.meta.url)), '..', 'web');
  const server = createApp(services, log, webRoot).listen(Number(values.port ?? process.env.PORT ?? 0), '127.0.0.1');
  server.on('listening', () => {
    const address = server.address();
    const port = typeof address === 'object' && address !== null ? address.port : 0;
    held?.serving(`http://127.0.0.1:${port}`);
    print(`listening on http://127.0.0.1:${port}`);
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    process.stderr.write(error.code === 'EADDRINUSE' ? `Port ${values.port ?? ''} is taken.\n` : `${error.message}\n`);
    process.exit(error.code === 'EADDRINUSE' ? 98 : 1);
  });
  const stop = (): void => {
    server.close(() => {
      close();
      process.exit(0);
    });
    server.closeAllConnections();
  };
  process.on('SIGINT', stop);
  process.on('SIGTERM', stop);
}

/** Exit codes as of the commands: 97 held, 4 no store that can be used. */
function codeOf(error: unknown): number {
  if (!(error instanceof StoreError)) return 1;
  if (error.code === 'held') return 97;
  return 4;
}

try {
  start();
} catch (error) {
  process.stderr.write(`${error instanceof StoreError ? error.message : String(error)}\n`);
  process.exit(codeOf(error));
}
