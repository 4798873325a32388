import { createServer, Socket } from 'node:net';
import type { Database } from 'better-sqlite3';
import { heardIn, idLine, type InstrumentId } from '../../core/instruments/index.ts';
import type { InstrumentInfo, InstrumentNews, Mood } from '../../contract/index.ts';
import { intoLines } from '../adapter/links.ts';
import { prepared } from '../store/prepared.ts';
import { STAND_INS, StandIn } from './standIns.ts';

type Tell = (news: InstrumentNews) => void;

const GONE: InstrumentNews = { reading: null, words: 'The instrument is unplugged.', gone: true };
const CONNECT_MS = 1000;

/** Every instrument that can be heard: stand-ins in this process, and what answers on configured ports of this machine. */
export class InstrumentHub {
  readonly #sql: Database['prepare'];
  readonly #standIns: ReadonlyMap<string, StandIn>;
  readonly #ports: readonly number[];

  /** @param ports of this machine at which instruments are expected */
  constructor(db: Database, ports: readonly number[] = []) {
    this.#sql = prepared(db);
    this.#ports = ports;
    this.#standIns = new Map(STAND_INS.map((each) => [each.id, new StandIn(each)]));
  }

  /** What there is, and with which station each is paired. */
  async list(): Promise<InstrumentInfo[]> {
    const own = [...this.#standIns.values()].map(({ id, about }) => ({ id, about, simulated: true }));
    const others = await Promise.all(
      this.#ports.map(async (port) => {
        const about = await askPort(port);
        return about === null ? [] : [{ id: `port-${port}`, about, simulated: false }];
      }),
    );
    return [...own, ...others.flat()].map(({ id, about, simulated }) => ({
      id,
      ...about,
      simulated,
      station: this.stationOf(id),
    }));
  }

  /** The station that an instrument is paired with; null for none. */
  stationOf(id: string): string | null {
    return (
      this.#sql<[string], { station: string }>('SELECT station FROM instrument_pair WHERE instrument_id = ?').get(id)
        ?.station ?? null
    );
  }

  /** Pairs an instrument with a station, or with none: what it shows goes nowhere else. Call inside a transaction. */
  pair(id: string, station: string | null, at: string): void {
    if (station === null) this.#sql('DELETE FROM instrument_pair WHERE instrument_id = ?').run(id);
    else
      this.#sql('INSERT OR REPLACE INTO instrument_pair (instrument_id, station, paired_at) VALUES (?, ?, ?)').run(
        id,
        station,
        at,
      );
  }

  has(id: string): boolean {
    return this.#standIns.has(id) || this.#portOf(id) !== undefined;
  }

  /** Sets what a stand-in shows. @returns false for an instrument that somebody holds */
  set(id: string, values: readonly number[], unit: string, mood: Mood): boolean {
    const found = this.#standIns.get(id);
    found?.set(values, unit, mood);
    return found !== undefined;
  }

  /** Listens until it is told to stop. */
  listen(id: string, tell: Tell): () => void {
    const standIn = this.#standIns.get(id);
    if (standIn !== undefined) return standIn.listen((line) => tell(newsOf(line)), () => tell(GONE)); // prettier-ignore
    const port = this.#portOf(id);
    if (port === undefined) {
      tell({ ...GONE, words: 'There is no such instrument.' });
      return () => undefined;
    }
    const socket = onPort(port, (line) => tell(newsOf(line)), () => tell(GONE)); // prettier-ignore
    return () => socket.destroy();
  }

  #portOf(id: string): number | undefined {
    return this.#ports.find((port) => id === `port-${port}`);
  }
}

function newsOf(line: string): InstrumentNews {
  const heard = heardIn(line);
  if (heard.kind === 'reading') return { reading: heard.reading, words: '', gone: false };
  return { reading: null, words: heard.kind === 'garbled' ? heard.words : '', gone: false };
}

/** A line that never ends is no instrument’s. */
function onPort(port: number, line: (text: string) => void, gone: () => void): Socket {
  const socket = new Socket();
  socket.setNoDelay(true);
  socket.on('error', () => socket.destroy());
  socket.on('close', gone);
  socket.on('data', intoLines(line, () => socket.destroy())); // prettier-ignore
  socket.connect(port, '127.0.0.1');
  return socket;
}

/** What answers on a port says of itself; null where nothing does in time. */
function askPort(port: number): Promise<InstrumentId | null> {
  return new Promise((resolve) => {
    const end = (found: InstrumentId | null): void => {
      clearTimeout(timer);
      socket.destroy();
      resolve(found);
    };
    const socket = onPort(
      port,
      (line) => {
        const heard = heardIn(line);
        if (heard.kind === 'id') end(heard.id);
      },
      () => end(null),
    );
    const timer = setTimeout(() => end(null), CONNECT_MS);
    socket.on('connect', () => socket.write('?\n'));
  });
}

/** Serves one of the stand-ins on a port of this machine, by the same lines. @param port 0 for any */
export function serveInstrument(
  id: string,
  port: number,
): Promise<{ readonly port: number; readonly standIn: StandIn; readonly close: () => void }> {
  const found = STAND_INS.find((each) => each.id === id);
  if (found === undefined) return Promise.reject(new Error(`There is no instrument “${id}”.`));
  const standIn = new StandIn(found);
  const server = createServer({ noDelay: true }, (socket) => {
    const send = (line: string): void => void (socket.writable && socket.write(`${line}\n`));
    send(idLine(standIn.about));
    const stop = standIn.listen(send, () => socket.destroy());
    socket.on('data', intoLines((line) => line.trim() === '?' && send(idLine(standIn.about)), () => socket.destroy())); // prettier-ignore
    socket.on('error', () => socket.destroy());
    socket.on('close', stop);
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      resolve({
        port: typeof address === 'object' && address !== null ? address.port : port,
        standIn,
        close: () => void server.close(),
      });
    });
  });
}
