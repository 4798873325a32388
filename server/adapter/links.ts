import { createServer, type Server, Socket } from 'node:net';
import type { VehicleScript } from './scripts.ts';
import { SimulatedVehicle } from './simulator.ts';

/** Why an adapter cannot be read any further, in words. */
export class AdapterError extends Error {
  override readonly name = 'AdapterError';
  readonly code: 'adapter-silent' | 'adapter-gone' | 'adapter-garbled' | 'adapter-refuses';

  constructor(code: AdapterError['code'], message: string) {
    super(message);
    this.code = code;
  }
}

/** Lines out and in, over whatever. */
export interface Link {
  send(line: string): void;
  /** The next line. @throws AdapterError when none comes in time, or the connection is gone */
  next(timeoutMs: number): Promise<string>;
  /** Throws away what came too late. */
  drain(): void;
  close(): void;
}

/** No answer of an adapter is longer than this; one that is never ends. */
const LINE_BYTES = 4096;

/** Cuts what comes into lines. @param tooLong told, once, of a line that does not end */
export function intoLines(take: (line: string) => void, tooLong: () => void): (chunk: Buffer) => void {
  let rest = '';
  let ended = false;
  return (chunk) => {
    if (ended) return;
    const lines = (rest + chunk.toString('latin1')).split('\n');
    rest = lines.pop() ?? '';
    for (const line of lines) take(line.replace(/\r$/, ''));
    if (rest.length <= LINE_BYTES) return;
    ended = true;
    rest = '';
    tooLong();
  };
}

/** Lines that wait to be read, and readers that wait for lines. */
class Inbox {
  #lines: string[] = [];
  #gone: AdapterError | null = null;
  #waiting: ((line: string | null) => void) | null = null;

  push(line: string): void {
    if (this.#waiting !== null) this.#waiting(line);
    else this.#lines.push(line);
  }

  /** Nothing comes any more. @param why said to whoever waits or asks again; the first reason stands */
  end(why = new AdapterError('adapter-gone', 'The adapter is gone: the connection closed.')): void {
    this.#gone ??= why;
    this.#waiting?.(null);
  }

  drain(): void {
    this.#lines = [];
  }

  next(timeoutMs: number): Promise<string> {
    const ready = this.#lines.shift();
    if (ready !== undefined) return Promise.resolve(ready);
    if (this.#gone !== null) return Promise.reject(this.#gone);
    return new Promise((resolve, reject) => {
      const timer = setTimeout(() => {
        this.#waiting = null;
        reject(new AdapterError('adapter-silent', `No answer within ${timeoutMs} ms.`));
      }, timeoutMs);
      this.#waiting = (line) => {
        clearTimeout(timer);
        this.#waiting = null;
        if (line === null) reject(this.#gone ?? new Error('ended without a reason'));
        else resolve(line);
      };
    });
  }
}

const wait = (ms: number, then: () => void): void => void setTimeout(then, ms).unref();
const seconds = (): number => Date.now() / 1000;

/** A simulated vehicle in this process. It keeps its state between links, as a vehicle does. */
export class InProcessVehicle {
  readonly script: VehicleScript;
  readonly vehicle: SimulatedVehicle;

  /** @param clock seconds, running */
  constructor(script: VehicleScript, clock: () => number = seconds) {
    this.script = script;
    this.vehicle = new SimulatedVehicle(script, wait, clock);
  }

  open(): Link {
    const inbox = new Inbox();
    const receive = this.vehicle.plug(
      (line) => inbox.push(line),
      () => inbox.end(),
    );
    return {
      send: receive,
      next: (timeoutMs) => inbox.next(timeoutMs),
      drain: () => inbox.drain(),
      close: () => inbox.end(),
    };
  }
}

const CONNECT_MS = 1500;

/** A link over TCP to this machine only. @throws AdapterError when nothing listens there */
export function openTcp(port: number): Promise<Link> {
  return new Promise((resolve, reject) => {
    const socket = new Socket();
    const inbox = new Inbox();
    const fail = (): void => {
      socket.destroy();
      reject(
        new AdapterError('adapter-gone', `Nothing answers on port ${port} of this machine. Is the stand-in running?`),
      );
    };
    // Lines are short and each waits for the other: nothing is gained by holding them back.
    socket.setNoDelay(true);
    socket.setTimeout(CONNECT_MS, fail);
    socket.once('error', fail);
    socket.connect(port, '127.0.0.1', () => {
      socket.setTimeout(0);
      socket.off('error', fail);
      socket.on('error', () => inbox.end());
      socket.on('close', () => inbox.end());
      const endless = (): void => {
        inbox.end(
          new AdapterError('adapter-garbled', 'The adapter sends a line that does not end; it was hung up on.'),
        );
        socket.destroy();
      };
      socket.on(
        'data',
        intoLines((line) => inbox.push(line), endless),
      );
      resolve({
        send: (line) => void socket.write(`${line}\n`),
        next: (timeoutMs) => inbox.next(timeoutMs),
        drain: () => inbox.drain(),
        close: () => socket.destroy(),
      });
    });
  });
}

/** Serves a simulated vehicle on a port of this machine; every connection talks to the same vehicle. @param port 0 for any */
export function serveTcp(
  script: VehicleScript,
  port: number,
): Promise<{ readonly port: number; readonly close: () => void }> {
  const vehicle = new SimulatedVehicle(script, wait, seconds);
  const server: Server = createServer({ noDelay: true }, (socket) => {
    const receive = vehicle.plug(
      (line) => void (socket.writable && socket.write(`${line}\n`)),
      () => socket.destroy(),
    );
    socket.on('error', () => socket.destroy());
    socket.on(
      'data',
      intoLines(receive, () => socket.destroy()),
    );
  });
  return new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, '127.0.0.1', () => {
      const address = server.address();
      resolve({
        port: typeof address === 'object' && address !== null ? address.port : port,
        close: () => void server.close(),
      });
    });
  });
}
