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
import { cookieKeyOf } from './network/kept.ts';
import { ClockNotSet } from './network/network.ts';
import { CannotServe, serve } from './network/serving.ts';
import { createServices, type ServiceOptions, type Services } from './services.ts';
import { StoreError } from './store/errors.ts';
import { type Held } from './store/holder.ts';
import { openStore } from './store/open.ts';
import { Supplier } from './supplier/client.ts';

const { values } = parseArgs({
  options: {
    port: { type: 'string' },
    data: { type: 'string' },
    clock: { type: 'string' },
    quiet: { type: 'boolean', default: false },
    /** The store is left as it is: everything can be looked at. */
    'read-only': { type: 'boolean', default: false },
    /** Served over the workshop's own network too, by HTTPS. */
    network: { type: 'boolean', default: false },
    /** Names of this machine that it does not know of itself. */
    name: { type: 'string', multiple: true, default: [] },
    /** The workshop's certificate authority is made anew. */
    'new-authority': { type: 'boolean', default: false },
    /** The address of a proxy on this machine that speaks for the server. */
    proxy: { type: 'string' },
    /** Ports of this machine at which a stand-in for the diagnostic adapter is expected. */
    adapter: { type: 'string', multiple: true, default: ['4217'] },
    /** Ports of this machine at which instruments of the bench are expected. */
    instrument: { type: 'string', multiple: true, default: [] },
    /** The port of this machine at which a supplier is asked and ordered from. */
    supplier: { type: 'string' },
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
      cookieKey: cookieKeyOf(place.folder),
      ...(values.supplier !== undefined && { supplier: new Supplier(Number(values.supplier)) }),
    };
    const services = createServices(db, place.pictures, clock(), machineZone(), HUB, options);
    services.oneGo.run(() => services.access.sessions.clearOld());
    const stop = services.keeper.watch();
    return {
      services,
      held,
      close: () => {
        stop();
        services.practice.close();
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

async function start(): Promise<void> {
  const { services, held, close } = open();
  const webRoot = join(dirname(fileURLToPath(import.meta.url)), '..', 'web');
  const overNetwork = values.network || values.proxy !== undefined;
  if (overNetwork && services.keeper.readOnly) {
    close();
    throw new CannotServe('A store that can only be read is served on this machine alone: nobody could sign in.');
  }
  if (overNetwork && !services.access.isAsked()) {
    close();
    throw new CannotServe(
      'Nobody has a password yet, so nobody could be told from anybody else. Start without --network, give yourself one under Settings, Who is let in, and start again.',
    );
  }
  try {
    const serving = await serve((front) => createApp(services, log, webRoot, front), {
      port: Number(values.port ?? process.env.PORT ?? 0),
      network: values.network,
      names: values.name,
      newAuthority: values['new-authority'],
      proxy: values.proxy ?? null,
      folder: place.folder,
      shop: services.settings.shop().shopName || 'The workshop',
      now: services.now(),
    });
    services.network.reply = serving.reply;
    held?.serving(serving.here);
    for (const words of serving.reply.said) print(words);
    for (const address of serving.reply.addresses) print(`on the network at ${address}`);
    for (const address of serving.reply.joining.slice(0, 1)) print(`bring a tablet in at ${address}`);
    print(`listening on ${serving.here}`);
    const stop = (): void =>
      void serving.close().then(() => {
        close();
        process.exit(0);
      });
    process.on('SIGINT', stop);
    process.on('SIGTERM', stop);
  } catch (error) {
    close();
    throw error;
  }
}

/** Exit codes as of the commands: 97 held, 98 a port that is taken, 4 no store that can be used, 2 asked wrongly. */
function codeOf(error: unknown): number {
  if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') return 98;
  if (error instanceof CannotServe || error instanceof ClockNotSet) return 2;
  if (!(error instanceof StoreError)) return 1;
  if (error.code === 'held') return 97;
  return 4;
}

/** Why it did not start, in words where there are any. */
function wordsFor(error: unknown): string {
  if ((error as NodeJS.ErrnoException).code === 'EADDRINUSE') return `Port ${values.port ?? ''} is taken.`;
  return error instanceof Error ? error.message : String(error);
}

start().catch((error: unknown) => {
  process.stderr.write(`${wordsFor(error)}\n`);
  process.exit(codeOf(error));
});
